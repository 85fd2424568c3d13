package rate

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
)

type row = [conditions.Scenarios]float64

func book(t require.TestingT) *playbook.Book {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	return b
}

func level(w float64) (r row) {
	for k := range r {
		r[k] = w
	}
	return r
}

// any choice and its ordinary spell.
func anyContrast(t *rapid.T, b *playbook.Book) *Contrast {
	c := NewContrast(Priors{Book: b}, len(b.Rules))
	for range rapid.IntRange(0, 12).Draw(t, "rules") {
		r := rapid.IntRange(0, len(b.Rules)-1).Draw(t, "rule")
		var w row
		for k := range w {
			w[k] = rapid.Float64Range(0, 1).Draw(t, "w")
		}
		o := level(rapid.Float64Range(0, 1).Draw(t, "ordinary"))
		c.Add(b.Rules[r].Part, r, &w, &o)
	}
	return c
}

// Without a log the edge is the product of its parts, and each of those of the priors; its median
// lies within its interval.
func TestEdgeIsTheProductOfItsParts(t *testing.T) {
	b := book(t)
	rapid.Check(t, func(t *rapid.T) {
		c := anyContrast(t, b)
		if rapid.Bool().Draw(t, "bound") {
			c.Bound(rapid.Float64Range(-2, 2).Draw(t, "most"))
		}
		e := c.Edge()
		if product := e.Parts[0] * e.Parts[1] * e.Parts[2]; math.Abs(product/e.Value-1) > 1e-9 {
			t.Fatalf("parts %v, edge %v", e.Parts, e.Value)
		}
		log := math.Log(c.Bounded())
		for r, d := range c.Rules {
			log += d * b.Rules[r].Prior.Mean
		}
		if math.Abs(log-math.Log(e.Value)) > 1e-9 || e.Low > e.Value || e.High < e.Value {
			t.Fatalf("by its rules %v, %v %v %v", math.Exp(log), e.Low, e.Value, e.High)
		}
	})
}

// An ordinary spell is worth one, surely; so is one of which nothing is known.
func TestAnOrdinarySpellIsWorthOne(t *testing.T) {
	b := book(t)
	c := NewContrast(Priors{Book: b}, len(b.Rules))
	w, unknown, o := level(0.4), level(math.NaN()), level(0.4)
	c.Add(playbook.There, 0, &w, &o)
	c.Add(playbook.There, 1, &unknown, &o)
	assert.Equal(t, Edge{1, 1, 1, [playbook.PartCount]float64{1, 1, 1}}, c.Edge())
}

// By hand: one rule in full against none of it.
func TestTheIntervalFollowsFromTheContrast(t *testing.T) {
	b := book(t)
	p := b.Rules[0].Prior
	c := NewContrast(Priors{Book: b}, len(b.Rules))
	w, o := level(1), level(0)
	c.Add(b.Rules[0].Part, 0, &w, &o)
	e := c.Edge()
	assert.InDelta(t, math.Exp(p.Mean), e.Value, 1e-12)
	assert.InDelta(t, 2*Z80*p.SD, math.Log(e.High/e.Low), 1e-12)
	// Of which nobody knows whether it holds: half of it, and less sure than half of it would be.
	unsure, half := NewContrast(Priors{Book: b}, len(b.Rules)), NewContrast(Priors{Book: b}, len(b.Rules))
	for k := range w {
		w[k] = float64(k % 2)
	}
	unsure.Add(b.Rules[0].Part, 0, &w, &o)
	w = level(0.5)
	half.Add(b.Rules[0].Part, 0, &w, &o)
	assert.InDelta(t, half.Edge().Value, unsure.Edge().Value, 1e-12)
	assert.Greater(t, unsure.Edge().High, half.Edge().High)
}

// What two choices share cancels: which is the better is far surer than how good they are.
func TestBeatsForgetsWhatIsShared(t *testing.T) {
	b := book(t)
	rapid.Check(t, func(t *rapid.T) {
		x, y := anyContrast(t, b), anyContrast(t, b)
		p, q := Beats(x, y), Beats(y, x)
		if math.Abs(p+q-1) > 1e-9 || p < 0 || p > 1 {
			t.Fatalf("%v and %v", p, q)
		}
		if Beats(x, x) != 0.5 {
			t.Fatal("as good as itself")
		}
		if (p > 0.5) != (x.Edge().Value > y.Edge().Value) && math.Abs(p-0.5) > 1e-9 {
			t.Fatalf("%v for ×%v over ×%v", p, x.Edge().Value, y.Edge().Value)
		}
	})
	both := func(more bool) *Contrast {
		c := NewContrast(Priors{Book: b}, len(b.Rules))
		w, o := level(1), level(0)
		for r := range 40 {
			c.Add(b.Rules[r].Part, r, &w, &o)
		}
		if more {
			c.Add(b.Rules[50].Part, 50, &w, &o)
		}
		return c
	}
	alone := NewContrast(Priors{Book: b}, len(b.Rules))
	w, o := level(1), level(0)
	alone.Add(b.Rules[50].Part, 50, &w, &o)
	assert.InDelta(t, Beats(alone, NewContrast(Priors{Book: b}, len(b.Rules))), Beats(both(true), both(false)), 1e-9)
}

func TestHowSureInWords(t *testing.T) {
	for p, want := range map[float64]string{0.5: "as good as even", 0.7: "rather better", 0.8: "very likely", 0.99: "almost surely"} {
		assert.Contains(t, SayBeats(p), want)
	}
}

// Nothing makes up for a fish that is not there, and nothing is held down that is below.
func TestABoundHoldsDown(t *testing.T) {
	b := book(t)
	c := NewContrast(Priors{Book: b}, len(b.Rules))
	i := 0
	for b.Rules[i].Effect != "strong plus" {
		i++
	}
	w, o := level(1), level(0)
	c.Add(playbook.There, i, &w, &o)
	c.Bound(math.Inf(1))
	assert.Equal(t, 1.0, c.Bounded())
	c.Bound(0)
	assert.InDelta(t, 1, c.Edge().Value, 1e-12)
	assert.InDelta(t, 1/1.6, c.Bounded(), 1e-12)
}

// A rare fish shows a low catch even at a high edge, and nobody is surer than a factor of three.
func TestTheExpectedCatch(t *testing.T) {
	b := book(t)
	of := func(target string) Catch { return NewContrast(Priors{b, target}, len(b.Rules)).Catch("") }
	assert.InDelta(t, 0.1, of("snook").Median, 1e-12)
	assert.InDelta(t, 1.5, of("white-perch").Median, 1e-12)
	assert.Greater(t, of("snook").High/of("snook").Low, 9.0)
	assert.True(t, math.IsNaN(of("unicorn").Median))
}
