package playbook

import (
	"fmt"
	"math"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// ordinary is a day on which nothing stands out.
func ordinary() Facts {
	f := Nothing()
	for m, v := range map[Measure]float64{Level: 0.7, LevelShare: 0.5, RiseRate: 0.12, Flow: 0.12, FlowShare: 0.25, Elapsed: 0.5,
		SinceLow:  0.5,
		SinceHigh: -0.5, TideRange: 0.8, Rain: 0, Warming: 0, Warmer: 0, Standing: 0, CrestDepth: 0.4, Waves: 0.2, Current: 0.1,
		MidLight: 3000,
		BedLight: 1000, SunAltitude: 18,
		SurfaceLight: 20_000, LureLight: 5000, DaysFromFull: 9 * 86400, Secchi: 1.2, WaterTemp: 18, WindSpeed: 3, Cloud: 0.4, Depth: 1.5,
		LureDepth: 0.8, Clearance: 0.7} {
		f.Measure[m] = v
	}
	f.Say(Stage, "flood")
	f.Say(Place, "estuary")
	f.Say(MarkKind, "slope")
	f.Say(Bottom, "mud")
	f.Say(Month, "may")
	return f
}

// factsOf reads "place=pier, depth=3m" over an ordinary day.
func factsOf(t testing.TB, b *Book, text string) *Facts {
	t.Helper()
	f := ordinary()
	for _, part := range strings.Split(text, ",") {
		key, value, ok := strings.Cut(strings.TrimSpace(part), "=")
		require.True(t, ok, part)
		if w := slices.IndexFunc(factWords[:], func(w wordOf) bool { return w.name == key }); w >= 0 {
			vocabulary := factWords[w].vocabulary
			if Word(w) == RigID {
				r, known := b.Rig(value)
				require.True(t, known, value)
				f.Word[RigID] = r.bit
				continue
			}
			if Word(w) == OfferingID {
				o, known := b.Offering(value)
				require.True(t, known, value)
				f.Offer(o)
				continue
			}
			s, known := setOf(vocabulary, value)
			require.True(t, known, part)
			f.Word[w] = s
			continue
		}
		m := slices.IndexFunc(measures[:], func(m measureOf) bool { return m.name == key })
		require.GreaterOrEqual(t, m, 0, part)
		var v float64
		var err error
		switch {
		case measures[m].difference:
			v, err = quantity.Difference(measures[m].dimension, value)
		case measures[m].dimension == quantity.Fraction:
			_, err = fmt.Sscan(value, &v)
		default:
			v, err = quantity.Of(measures[m].dimension, value)
		}
		require.NoError(t, err, part)
		f.Measure[m] = v
	}
	return &f
}

// Every rule of rules.yaml, with a case in which it must change what a catch rate is
// taken to be and one in which it must not.
func TestEveryRuleSpeaksWhereItShould(t *testing.T) {
	raw, err := os.ReadFile("testdata/cases.txt")
	require.NoError(t, err)
	plain := builtinBook(t)
	walked := map[string]bool{}
	for _, line := range strings.Split(string(raw), "\n") {
		if line == "" || line[0] == '#' {
			continue
		}
		parts := strings.Split(line, " | ")
		require.Len(t, parts, 3, line)
		id := parts[0]
		r, known := plain.Rule(id)
		require.True(t, known, id)
		walked[id] = true
		b := plain
		if r.School != "" {
			school, position, _ := strings.Cut(r.School, "/")
			b, err = plain.Over(Overlay{Schools: map[string]string{school: position}})
			require.NoError(t, err)
		}
		target := "red-drum"
		if len(r.targets) > 0 {
			target = r.targets[0]
		}
		without, err := b.Over(Overlay{Changes: map[string]Change{id: {Off: true}}})
		require.NoError(t, err)
		yes, no := factsOf(t, b, parts[1]), factsOf(t, b, parts[2])
		assert.Greater(t, r.Weight(yes), 0.9, "%s must speak", id)
		assert.Less(t, r.Weight(no), 0.1, "%s must not speak", id)
		assert.Greater(t, math.Abs(rateOf(b, target, yes)-rateOf(without, target, yes)), 0.005, "%s must change the rate of %s", id, target)
		assert.InDelta(t, rateOf(without, target, no), rateOf(b, target, no), 0.03, "%s must not change the rate of %s", id, target)
	}
	for i := range plain.Rules {
		r := &plain.Rules[i]
		generated := slices.ContainsFunc(aspects, func(a string) bool { return len(r.targets) == 1 && r.ID == r.targets[0]+"-"+a })
		assert.True(t, generated || walked[r.ID], "no case for %s", r.ID)
	}
}

// rateOf is the logarithm of the catch rate by the rules alone.
func rateOf(b *Book, target string, f *Facts) float64 {
	w := make([]float64, len(b.Rules))
	b.Weights(target, f, w)
	sum := 0.0
	for i := range w {
		if w[i] == w[i] {
			sum += w[i] * b.Rules[i].Prior.Mean
		}
	}
	return sum
}

// What is said of every target becomes rules that speak where it says and not
// elsewhere.
func TestTargetsBecomeRules(t *testing.T) {
	b := builtinBook(t)
	for i := range b.Targets {
		target := &b.Targets[i]
		weight := func(aspect string, f *Facts) float64 {
			r, known := b.Rule(target.ID + "-" + aspect)
			require.True(t, known, target.ID+"-"+aspect)
			return r.Weight(f)
		}
		f := ordinary()
		f.Measure[WaterTemp] = (target.Feeds.From + target.Feeds.To) / 2
		assert.Greater(t, weight("warmth", &f), 0.9, target.ID)
		assert.Less(t, weight("hot", &f), 0.1, target.ID)
		f.Measure[WaterTemp] = target.Feeds.From - 12
		gone := "numb"
		if target.GoneBelowC != nil {
			gone = "gone"
		}
		assert.Zero(t, weight("warmth", &f), target.ID)
		assert.Equal(t, 1.0, weight("cold", &f), target.ID)
		if gone == "numb" && !target.numbs() {
			gone = "cold"
		} else {
			assert.Equal(t, 1.0, weight(gone, &f), target.ID)
		}
		f.Say(Sign, "fish showing")
		if gone != "cold" {
			assert.Zero(t, weight(gone, &f), "%s: a fish seen is there", target.ID)
		}
		f.Say(Sign)

		for _, p := range ground.Places {
			f.Say(Place, p)
			assert.Equal(t, !slices.Contains(target.Lives, p), weight("elsewhere", &f) == 1, "%s at a %s", target.ID, p)
		}
		for _, m := range Months {
			f.Say(Month, m)
			if len(target.Best) > 0 {
				assert.Equal(t, slices.Contains(target.Best, m), weight("season", &f) == 1, "%s in %s", target.ID, m)
			}
			if len(target.Away) > 0 {
				assert.Equal(t, slices.Contains(target.Away, m), weight("away", &f) == 1, "%s in %s", target.ID, m)
			}
		}
		for j := range b.Offerings {
			f.Offer(&b.Offerings[j])
			if len(target.Eats) > 0 {
				assert.Equal(t, slices.Contains(target.Eats, b.Offerings[j].ID), weight("eats", &f) == 1, "%s: %s", target.ID,
					b.Offerings[j].ID)
			}
		}
		f.Measure[Secchi] = 0.1
		if target.Senses != "scent" {
			assert.Equal(t, 1.0, weight("mud", &f), target.ID)
			assert.Zero(t, weight("clear", &f), target.ID)
		}
		if target.Senses != "sight" && b.offersScent(target) {
			f.Say(Trait, "scent")
			assert.Equal(t, 1.0, weight("scent", &f), target.ID)
			f.Measure[Secchi] = 5
			assert.Zero(t, weight("scent", &f), target.ID)
		}
	}
}

// What to change when it is refused is never what is tied on already.
func TestRefusedIsNotWhatIsTiedOn(t *testing.T) {
	b := builtinBook(t)
	pairs := 0
	for i := range b.Offerings {
		o := &b.Offerings[i]
		for _, r := range o.on {
			pairs++
			says := strings.ToLower(r.Refused)
			assert.NotContains(t, says, strings.ToLower(o.Name), "%s on %s", o.ID, r.ID)
			if o.Approach == "live bait" {
				assert.NotContains(t, says, "live instead", "%s on %s", o.ID, r.ID)
				assert.NotContains(t, says, "a live", "%s on %s", o.ID, r.ID)
			}
			if strings.Contains(o.Name, "tipped") || slices.Contains(o.Traits, "scent") {
				assert.NotContains(t, says, "tip the hook", "%s on %s", o.ID, r.ID)
			}
		}
	}
	assert.Greater(t, pairs, 80)
}
