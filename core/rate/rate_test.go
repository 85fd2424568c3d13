package rate

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/playbook"
)

func book(t require.TestingT) *playbook.Book {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	return b
}

func anyWeights(t *rapid.T, rules int) *Weights {
	w := NewWeights(rules)
	for r := range rules {
		x := rapid.Float64Range(0, 1).Draw(t, "w")
		for k := range w {
			w[k][r] = x * rapid.SampledFrom([]float64{1, 0.7}).Draw(t, "scenario")
		}
	}
	return &w
}

// Without a log the edge is the product of the priors over the blind pick's.
func TestEdgeIsTheProductOfItsReasons(t *testing.T) {
	b := book(t)
	rapid.Check(t, func(t *rapid.T) {
		n := len(b.Rules)
		blind := NewBaseline(Priors{b}, n, nil, 3)
		for range rapid.IntRange(1, 5).Draw(t, "ways") {
			blind.Add(rapid.IntRange(0, 2).Draw(t, "spot"), anyWeights(t, n), rapid.Float64Range(0.1, 1).Draw(t, "share"))
		}
		e, err := blind.Edge(1, anyWeights(t, n))
		if err != nil {
			t.Fatal(err)
		}
		product := e.Baseline
		for _, f := range e.Factors {
			product *= f
		}
		if math.Abs(product/e.Value-1) > 1e-9 {
			t.Fatalf("product %v, edge %v", product, e.Value)
		}
		if !(e.Low < e.Value && e.Value < e.High) {
			t.Fatalf("%v %v %v", e.Low, e.Value, e.High)
		}
	})
}

func TestAChoiceThatIsTheBlindPickHasEdgeOne(t *testing.T) {
	b := book(t)
	n := len(b.Rules)
	w := NewWeights(n)
	for k := range w {
		w[k][0], w[k][5] = 0.6, 1
	}
	one := NewBaseline(Priors{b}, n, nil, 1)
	one.Add(0, &w, 1)
	e, err := one.Edge(0, &w)
	require.NoError(t, err)
	assert.InDelta(t, 1, e.Value, 1e-12)
	assert.InDelta(t, 1, e.Low, 1e-9, "nothing differs, so nothing is uncertain")
}

func TestWhatIsNotSharedWidensTheInterval(t *testing.T) {
	b := book(t)
	n := len(b.Rules)
	plain, sure, unsure := NewWeights(n), NewWeights(n), NewWeights(n)
	for k := range sure {
		sure[k][0] = 0.5
		unsure[k][0] = float64(k % 2) // the same mean, not known which
	}
	width := func(spots int, at int, w *Weights) float64 {
		blind := NewBaseline(Priors{b}, n, nil, spots)
		for s := range spots {
			blind.Add(s, &plain, 1)
		}
		e, err := blind.Edge(at, w)
		require.NoError(t, err)
		return math.Log(e.High / e.Low)
	}
	assert.Greater(t, width(1, 0, &unsure), width(1, 0, &sure))
	assert.Greater(t, width(3, 0, &sure), width(1, 0, &sure), "which spot is good is not known")
	// By hand: sd of one rule at half weight.
	assert.InDelta(t, 2*z80*0.5*b.Rules[0].Prior.SD, width(1, 0, &sure), 1e-9)
}

func TestNoBlindPickIsAnError(t *testing.T) {
	b := book(t)
	w := NewWeights(len(b.Rules))
	_, err := NewBaseline(Priors{b}, len(b.Rules), nil, 1).Edge(0, &w)
	assert.ErrorContains(t, err, "no spot can be reached")
}
