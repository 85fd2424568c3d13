package bylaw_test

import (
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"greypebble/core/bylaw"
	"greypebble/core/quantity"
)

var everyFish = []bylaw.Species{pompano, drum, redDrum, flounder, seabream, bass}

// everyClass one may be of: not said, of none, of some.
var everyClass = [][]string{nil, {}, {"visitor"}, {"charter"}, {"visitor", "charter"}}

func someRule(authorities ...string) *rapid.Generator[bylaw.Rule] {
	return rapid.Custom(func(t *rapid.T) bylaw.Rule {
		r := bylaw.Rule{Authority: rapid.SampledFrom(authorities).Draw(t, "authority"), Source: "leaflet", CheckedOn: now}
		r.Species = rapid.SampledFrom([][]string{{"any"}, {"drums"}, {"red-drum"}, {"red drum", "Black drum"}, {"striped bass"}}).Draw(t,
			"species")
		length := rapid.SampledFrom([]float64{0, 0, 10, 14, 18, 22})
		r.MinM = length.Draw(t, "min") * inch
		if rapid.Bool().Draw(t, "slot") {
			r.MaxM = r.MinM + rapid.Float64Range(0, 10).Draw(t, "width")*inch
		}
		if r.MaxM > 0 && rapid.Bool().Draw(t, "allowance") {
			r.Over = rapid.IntRange(1, 2).Draw(t, "over")
			r.OverM = rapid.SampledFrom([]float64{0, r.MaxM, r.MaxM + 2*inch}).Draw(t, "over from")
		}
		if rapid.Bool().Draw(t, "bag") {
			r.Bag = fish(rapid.IntRange(0, 4).Draw(t, "of"))
		}
		if rapid.Bool().Draw(t, "boat") {
			r.BoatBag = fish(rapid.IntRange(0, 6).Draw(t, "of the boat"))
		}
		r.Status = rapid.SampledFrom([]bylaw.Status{"", "", "", "", bylaw.ReleaseOnly, bylaw.Closed, bylaw.Protected}).Draw(t, "status")
		r.Measure = rapid.SampledFrom([]bylaw.Measure{"", bylaw.Total, bylaw.Fork, bylaw.Pinched}).Draw(t, "measure")
		r.Voluntary = rapid.IntRange(0, 5).Draw(t, "code") == 0
		r.Licence = rapid.SampledFrom([]string{"", "", "", "Visitor", "charter"}).Draw(t, "licence")
		if rapid.Bool().Draw(t, "part") {
			where := rapid.SampledFrom([][2]float64{{30, 31.5}, {30.5, 31.2}, {31.1, 32}}).Draw(t, "where")
			r.Area.Ring = box(where[0], where[1])
		}
		if rapid.Bool().Draw(t, "season") {
			r.Seasons = []bylaw.Season{{From: bylaw.Date{Month: time.Month(rapid.IntRange(1, 12).Draw(t, "from")), Day: 1},
				To: bylaw.Date{Month: time.Month(rapid.IntRange(1, 12).Draw(t, "to")), Day: 28}}}
		}
		return r
	})
}

func someAsked(t *rapid.T) *bylaw.Asked {
	q := ask(rapid.SampledFrom(everyFish).Draw(t, "fish"), rapid.SampledFrom([]float64{0, 9, 12, 14, 15.5, 18, 21, 24, 30}).Draw(t,
		"inches"))
	q.Place = at(rapid.SampledFrom([]float64{30.2, 31, 31.15, 31.8, 33}).Draw(t, "place"))
	q.Time = now.AddDate(0, rapid.IntRange(0, 11).Draw(t, "month"), 0)
	q.Fish.Measure = rapid.SampledFrom([]bylaw.Measure{"", bylaw.Total, bylaw.Fork, bylaw.Pinched}).Draw(t, "measured")
	q.Licences = rapid.SampledFrom(everyClass).Draw(t, "licences")
	q.Fish.ErrorM = rapid.SampledFrom([]float64{0, 0, 0.02}).Draw(t, "error")
	for range rapid.IntRange(0, 5).Draw(t, "kept") {
		q.Kept = append(q.Kept, bylaw.Kept{Species: rapid.SampledFrom(everyFish).Draw(t, "of"),
			LengthM: rapid.SampledFrom([]float64{0, 12, 20, 33}).Draw(t, "long") * inch, Time: q.Time,
			Who: rapid.SampledFrom([]string{"", "Finch"}).Draw(t, "by")})
	}
	return q
}

// Loosening a rule never turns keep into release.
func TestLooseningNeverReleases(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		rules := rapid.SliceOfN(someRule("A", "A", "B", ""), 1, 5).Draw(t, "rules")
		q := someAsked(t)
		before := bylaw.Judge(rules, q)
		r := &rules[rapid.IntRange(0, len(rules)-1).Draw(t, "which")]
		switch rapid.IntRange(0, 5).Draw(t, "how") {
		case 0:
			r.MinM *= 0.8
		case 1:
			if r.MaxM > 0 {
				r.MaxM *= 1.2
				if r.OverM > 0 && r.OverM < r.MaxM {
					r.MaxM = r.OverM // no more than a rule may say
				}
			}
		case 2:
			if r.Bag != nil {
				r.Bag = fish(*r.Bag + 1)
			}
		case 3:
			if r.BoatBag != nil {
				r.BoatBag = fish(*r.BoatBag + 1)
			}
		case 4:
			r.Status = bylaw.Limits
		case 5:
			if r.Over > 0 {
				r.Over++
			}
		}
		if before.Word == bylaw.Keep {
			assert.NotEqual(t, bylaw.Release, bylaw.Judge(rules, q).Word)
		}
	})
}

// Adding an authority never turns release into keep; nor does a rule that does not hold change anything.
func TestAnotherAuthorityNeverKeeps(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		rules := rapid.SliceOfN(someRule("A", "A", "B", ""), 0, 5).Draw(t, "rules")
		q := someAsked(t)
		before := bylaw.Judge(rules, q)
		after := bylaw.Judge(append(rules, someRule("C").Draw(t, "more")), q)
		if before.Word == bylaw.Release {
			assert.Equal(t, bylaw.Release, after.Word)
		}
	})
}

// Who has not said which licence they hold is never told to keep what, once said, they must put back.
func TestAClassNotSaidNeverKeeps(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		rules := rapid.SliceOfN(someRule("A", "A", "A", "B"), 1, 4).Draw(t, "rules")
		for i := range rules { // so that they meet
			rules[i].Species, rules[i].Seasons, rules[i].Status, rules[i].Voluntary = []string{"any"}, nil, bylaw.Limits, false
		}
		q := someAsked(t)
		q.Fish.Measure, q.Place = "", at(31)
		for inches := 8.; inches < 32; inches++ {
			q.Fish.LengthM, q.Licences = inches*inch, nil
			if bylaw.Judge(rules, q).Word != bylaw.Keep {
				continue
			}
			for _, q.Licences = range everyClass {
				assert.NotEqual(t, bylaw.Release, bylaw.Judge(rules, q).Word, "%v: %g in", q.Licences, inches)
			}
		}
	})
}

// Without a rule that permits, nothing is ever kept; a verdict does not depend on the order of rules.
func TestUnknownNeverBecomesKeep(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		rules := rapid.SliceOfN(someRule("A", "B", ""), 0, 4).Draw(t, "rules")
		q := someAsked(t)
		v := bylaw.Judge(rules, q)
		permitted := false
		for _, r := range rules {
			permitted = permitted || !r.Voluntary && r.Status == bylaw.Limits && r.Of(q.Fish.Species) && r.Holds(q.Time) && r.At(q.Place,
				false) && (r.Licence == "" || q.Licences == nil || slices.Contains(q.Licences, strings.ToLower(r.Licence))) &&
				(r.MinM > 0 || r.MaxM > 0 || r.OverM > 0 || r.Bag != nil || r.BoatBag != nil)
		}
		if !permitted {
			assert.NotEqual(t, bylaw.Keep, v.Word)
		}
		back := make([]bylaw.Rule, 0, len(rules))
		for i := range rules {
			back = append(back, rules[len(rules)-1-i])
		}
		assert.Equal(t, v.Word, bylaw.Judge(back, q).Word)
		for _, s := range v.Sources {
			assert.NotEmpty(t, s.Source)
		}
		assert.NotEmpty(t, v.Why)
		assert.NotEmpty(t, (&bylaw.Rule{Species: []string{"any"}}).Says(quantity.Metric))
	})
}

// A rule shuts and opens only at the times it says it may.
func TestRulesTurnWhereTheySay(t *testing.T) {
	zone := time.FixedZone("there", -3*3600)
	rapid.Check(t, func(t *rapid.T) {
		r := someRule("A").Draw(t, "rule")
		r.Status, r.Voluntary, r.Species = bylaw.Closed, false, []string{"any"}
		r.Hours = bylaw.Hours{From: rapid.SampledFrom([]int{0, 360, 1140}).Draw(t, "opens"), To: rapid.SampledFrom([]int{0, 420,
			1440}).Draw(t, "closes")}
		if rapid.Bool().Draw(t, "week") {
			r.Hours.Days = []time.Weekday{time.Saturday, time.Sunday}
		}
		rules := []bylaw.Rule{r}
		from := now.AddDate(0, 0, rapid.IntRange(0, 360).Draw(t, "day"))
		to := from.AddDate(0, 0, 9)
		turns := append(bylaw.Turns(rules, from, to, zone), to)
		at, shut := from, bylaw.Shut(rules, from.In(zone)) != nil
		for _, next := range turns {
			for m := at; m.Before(next); m = m.Add(13 * time.Minute) {
				assert.Equal(t, shut, bylaw.Shut(rules, m.In(zone)) != nil, m)
			}
			at, shut = next, bylaw.Shut(rules, next.In(zone)) != nil
		}
	})
}

func FuzzDates(f *testing.F) {
	for _, s := range []string{"2026-03-15", "02-29", "2026-02-29", "0000-01-01", "1-1", "13-01"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		d, err := bylaw.ParseDate(s)
		if err == nil {
			assert.Equal(t, s, d.String())
		}
	})
}
