package playbook

import (
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// log of the rate under the priors, with some weights before they share.
func logWith(b *Book, weights map[int]float64) float64 {
	sum, group, left := 0.0, -1, 1.0
	for _, i := range b.about["red-drum"] {
		r := &b.Rules[i]
		if r.group != group {
			group, left = r.group, 1
		}
		w := weights[i]
		if r.whole() {
			sum += w * r.Prior.Mean
			continue
		}
		sum += w * left * r.Prior.Mean
		left *= 1 - w/2
	}
	return sum
}

// One more plus never lowers a rate, one more minus never raises it, and each still counts; a
// little more of a rule changes the rate by a little.
func TestFamiliesNeverMakeGoodNewsBad(t *testing.T) {
	b := builtinBook(t)
	about := b.about["red-drum"]
	rapid.Check(t, func(t *rapid.T) {
		weights := map[int]float64{}
		for _, i := range about {
			weights[i] = rapid.SampledFrom([]float64{0, 0, 1, 0.5, 0.1}).Draw(t, "weight")
		}
		i := rapid.SampledFrom(about).Draw(t, "rule")
		weights[i] = rapid.Float64Range(0, 0.9).Draw(t, "before")
		before := logWith(b, weights)
		weights[i] += 0.1
		more := logWith(b, weights)
		if gain := (more - before) * math.Copysign(1, b.Rules[i].Prior.Mean); gain <= 0 {
			t.Fatalf("%s: more of it gains %v", b.Rules[i].ID, gain)
		}
		weights[i] += 1e-6
		if d := math.Abs(logWith(b, weights) - more); d > 3e-6 {
			t.Fatalf("%s: it jumps by %v", b.Rules[i].ID, d)
		}
	})
}

// The strongest counts whole, the next half, the next a quarter; hopeless is whole beside them.
func TestSharesWithinAFamily(t *testing.T) {
	b := builtinBook(t)
	mine, err := b.Over(Overlay{Files: []File{{"mine.yaml", []byte("rules:\n" +
		rules("a", "strong plus", "rain: {above: 1 mm, soft: 1 mm}") + rules("b", "clear plus", "rain: {above: 2 mm, soft: 1 mm}") +
		rules("c", "slight plus", "rain: {above: 3 mm, soft: 1 mm}") + rules("d", "hopeless", "rain: {above: 4 mm, soft: 1 mm}"))}}})
	require.NoError(t, err)
	f := Nothing()
	f.Measure[Rain] = 0.02
	w := make([]float64, len(mine.Rules))
	mine.Weights("red-drum", &f, w)
	for id, want := range map[string]float64{"a": 1, "b": 0.5, "c": 0.25, "d": 1} {
		i := slices.IndexFunc(mine.Rules, func(r Rule) bool { return r.ID == id })
		assert.InDelta(t, want, w[i], 1e-12, id)
	}
}

func rules(id, effect, when string) string {
	return "- {id: " + id + ", says: Some, idea: mine, origin: my own, family: place, effect: " + effect + ", certainty: usual, when: {" +
		when + "}}\n"
}

// A rule is taken exactly when it reads what is offered, or the lure's light, depth or clearance.
func TestEachRuleBelongsToAPart(t *testing.T) {
	b := builtinBook(t)
	for i := range b.Rules {
		r := &b.Rules[i]
		offered := r.when.Says(Offered) || r.when.Reads(ofLure)
		assert.Equal(t, offered, r.Part == Taken, r.ID)
	}
	for id, part := range map[string]Part{"dark-at-noon": Taken, "big-trout-shallow": There, "ledge-lines": There,
		"comfort-in-winter": There,
		"food-in-the-warm":  Feeding, "red-drum-warmth": Feeding, "red-drum-numb": There, "birds": There, "moving-water": Feeding,
		"a-little-ripple": Feeding, "canal-in-winter": There, "full-moon-days": Feeding, "shade-in-the-heat": There} {
		r, known := b.Rule(id)
		require.True(t, known, id)
		assert.Equal(t, part, r.Part, id)
	}
}

// How sure a rule is goes with its size.
func TestASlightRuleIsSlightlyUnsure(t *testing.T) {
	slight, strong := prior("slight plus", "disputed"), prior("strong plus", "disputed")
	assert.InDelta(t, 0.1+1.3*math.Log(1.1), slight.SD, 1e-12)
	assert.InDelta(t, 0.6, strong.SD, 1e-12, "and never more than so much")
	assert.InDelta(t, 0.1+0.4*math.Log(1.25), prior("clear plus", "firm").SD, 1e-12)
}

// A season and a stage pass into the next, and nothing jumps.
func TestSeasonsFade(t *testing.T) {
	b := builtinBook(t)
	r, _ := b.Rule("black-seabream-away")
	f := Nothing()
	f.Say(Month, "december")
	assert.Zero(t, r.Weight(&f))
	f.Fade(Month, "january", 0.5)
	assert.InDelta(t, 0.5, r.Weight(&f), 1e-12)
	f.Say(Month, "january")
	f.Fade(Month, "december", 0.5)
	assert.InDelta(t, 0.5, r.Weight(&f), 1e-12, "the same from the other side")
	ebb, _ := b.Rule("ebb-past-edge")
	f.Say(Place, "oyster bar")
	f.Say(MarkKind, "edge")
	f.Measure[FlowShare] = 1
	assert.True(t, math.IsNaN(ebb.Weight(&f)), "water without a tide has no stage")
	f.Say(Stage, "flood")
	f.Fade(Stage, "ebb", 0.4)
	assert.InDelta(t, 0.4, ebb.Weight(&f), 1e-12)
}

// What is missing is said in its own words, by which side it is missing on.
func TestWhatIsMissingHasItsOwnWords(t *testing.T) {
	b := builtinBook(t)
	r, _ := b.Rule("red-drum-warmth")
	f := Nothing()
	f.Measure[WaterTemp] = 10
	assert.Equal(t, "Cold for them", r.Missing([]Facts{f}))
	f.Measure[WaterTemp] = 33
	assert.Equal(t, "Warm for them", r.Missing([]Facts{f}))
	mild := f
	mild.Measure[WaterTemp] = 24
	assert.Equal(t, "Warm for them", r.Missing([]Facts{mild, f}), "mild in the first scenario, too warm in the other")
}

// A rule about one kind of place is not missed at another.
func TestNothingIsMissedOfAnotherPlace(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	r, there := b.Rule("trough-is-the-road")
	require.True(t, there)
	at := func(place string) string {
		f := Nothing()
		f.Say(Place, place)
		f.Say(MarkKind, "edge")
		return r.Missing([]Facts{f})
	}
	assert.Empty(t, at("oyster bar"))
	assert.Equal(t, r.Lacks, at("surf beach"))

	// A weedless lure in a sandy hole is not told of the shell that lies elsewhere.
	r = nil
	for i := range b.Rules {
		if strings.Contains(b.Rules[i].Lacks, "soon in the shell") {
			r = &b.Rules[i]
		}
	}
	require.NotNil(t, r)
	f := Nothing()
	f.Say(Bottom, "sand")
	assert.Empty(t, r.Missing([]Facts{f}))
	f.Say(Bottom, "shell")
	assert.Equal(t, r.Lacks, r.Missing([]Facts{f}))
}
