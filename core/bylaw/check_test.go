package bylaw_test

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/bylaw"
	"greypebble/core/quantity"
)

func checking(rules ...bylaw.Rule) *bylaw.Checking {
	return &bylaw.Checking{Rules: rules, Known: everyFish, Now: now, Units: quantity.US}
}

// What is wrong with a list is found, each with the rule it is in.
func TestACheckFindsWhatIsWrong(t *testing.T) {
	yearly := func(from, to time.Month) bylaw.Season {
		return bylaw.Season{From: bylaw.Date{Month: from, Day: 1}, To: bylaw.Date{Month: to, Day: 30}}
	}
	least := func(inches float64) func(*bylaw.Rule) { return func(r *bylaw.Rule) { r.MinM = inches * inch } }
	for _, c := range []struct {
		says  string
		rules []bylaw.Rule
		grade bylaw.Grade
		in    int
		found string
	}{
		{"impossible", []bylaw.Rule{rule("Coast", func(r *bylaw.Rule) { r.MinM, r.MaxM = 24*inch, 14*inch }, "red drum")},
			bylaw.Fault, 0, "is less than the least"},
		{"nothing could be kept", []bylaw.Rule{rule("Coast", func(r *bylaw.Rule) { r.MaxM = 20 * inch }, "red drum"), rule("Town",
			least(22), "drums")},
			bylaw.Fault, 1, "no length satisfies both this and Coast (20 in or less)"},
		{"said twice", []bylaw.Rule{rule("Coast", least(14), "red drum"), rule("Coast", least(14), "red drum")}, bylaw.Fault, 1,
			"says the same as Coast"},
		{"a clash", []bylaw.Rule{rule("Coast", least(14), "red drum"), rule("Coast", least(18), "Red-drum")}, bylaw.Remark, 1,
			"clashes with Coast"},
		{"two measures", []bylaw.Rule{rule("Coast", least(14), "red drum"), rule("Town", func(r *bylaw.Rule) {
			r.MinM, r.Measure = 14*inch, bylaw.Fork
		}, "red drum")}, bylaw.Remark, 1, "is of fork length, Coast of total length"},
		{"empty", []bylaw.Rule{rule("Coast", func(*bylaw.Rule) {}, "red drum")}, bylaw.Remark, 0, "stays not known"},
		{"stale", []bylaw.Rule{rule("Coast", func(r *bylaw.Rule) { r.NoLimits, r.CheckedOn = true, now.AddDate(-2, 0, 0) }, "red drum")},
			bylaw.Remark, 0, "too long ago to trust"},
		{"last year's", []bylaw.Rule{rule("Coast", func(r *bylaw.Rule) {
			r.Bag = fish(2)
			r.Seasons = []bylaw.Season{{From: bylaw.Date{Year: 2025, Month: 6, Day: 7}, To: bylaw.Date{Year: 2025, Month: 8, Day: 3}}}
		}, "red drum")}, bylaw.Remark, 0, "the last on 3 August 2025"},
		{"a fish nobody knows", []bylaw.Rule{rule("Coast", least(14), "gillaroo")}, bylaw.Remark, 0, `"gillaroo" is none of your targets`},
		{"a group", []bylaw.Rule{rule("Coast", least(14), "drums")}, bylaw.Remark, 0, `"drums" stands for black drum and red drum`},
		{"seasons apart are no clash", []bylaw.Rule{
			rule("Coast", func(r *bylaw.Rule) { r.Bag, r.Seasons = fish(1), []bylaw.Season{yearly(3, 6)} }, "red drum"),
			rule("Coast", func(r *bylaw.Rule) { r.Bag, r.Seasons = fish(3), []bylaw.Season{yearly(7, 12)} }, "red drum")}, "", 0, ""},
		{"a part of the whole is no clash", []bylaw.Rule{rule("Coast", least(14), "red drum"),
			rule("Coast", func(r *bylaw.Rule) { r.MinM, r.Area.Ring = 18*inch, box(30, 31) }, "red drum")}, "", 0, ""},
	} {
		t.Run(c.says, func(t *testing.T) {
			found := bylaw.Check(checking(c.rules...))
			if c.found == "" {
				assert.Empty(t, found)
				return
			}
			require.NotEmpty(t, found)
			hit := false
			for _, f := range found {
				hit = hit || f.Grade == c.grade && f.Rule == c.in && strings.Contains(f.Says, c.found)
			}
			assert.True(t, hit, "%+v", found)
		})
	}
}

// Where nothing is entered, or nothing for a part of the year, that is a gap.
func TestGapsAreFound(t *testing.T) {
	summer := rule("Coast", func(r *bylaw.Rule) {
		r.Bag = fish(2)
		r.Seasons = []bylaw.Season{{From: bylaw.Date{Month: 7, Day: 1}, To: bylaw.Date{Month: 4, Day: 30}}}
	}, "red drum")
	c := checking(summer)
	c.Species = []bylaw.Species{redDrum, bass}
	c.Places = []bylaw.Place{{Name: "Kettle Bar", Points: at(31)}}
	var says []string
	for _, f := range bylaw.Check(c) {
		if f.Grade == bylaw.Gap {
			assert.Equal(t, -1, f.Rule)
			says = append(says, f.Says)
		}
	}
	assert.Equal(t, []string{"nothing holds for red drum at Kettle Bar from 15 May 2026 to 30 June 2026: not known then",
		"nothing is entered for striped bass at Kettle Bar: not known, which never means allowed"}, says)
}

func TestARuleReadsAsASentence(t *testing.T) {
	r := rule("Coast", func(r *bylaw.Rule) {
		r.Name, r.MinM, r.MaxM, r.Over, r.Bag, r.Measure = "Slot", 18*inch, 27*inch, 1, fish(3), bylaw.Pinched
		r.Area = bylaw.Area{Name: "Sedge Sound", Ring: box(31, 32)}
		r.Seasons = []bylaw.Season{{From: bylaw.Date{Month: 3, Day: 1}, To: bylaw.Date{Month: 6, Day: 30}}}
		r.Hours = bylaw.Hours{Days: []time.Weekday{time.Saturday, time.Sunday}, From: 300, To: 1200}
		r.Gear = bylaw.Gear{CircleHooks: true, MostRods: 2}
		r.Duties = []bylaw.Duty{{Kind: bylaw.Report, WithinHours: 24}}
	}, "red drum", "black drum")
	assert.Equal(t, "Red drum and black drum, in Sedge Sound, from 1 March to 30 June, on Saturday and Sunday, 5:00 am to 8:00 pm: "+
		"18 in to 27 in length with the tail pinched, and 1 a day over 27 in, "+
		"3 together a person and day, circle hooks with bait, at most 2 "+
		"rods a person, "+
		"report within 24 h.", r.Says(quantity.US))
	closed := rule("Coast", func(r *bylaw.Rule) { r.Status = bylaw.Closed }, "any")
	assert.Equal(t, "Any fish: no fishing.", closed.Says(quantity.Metric))
}

func TestWhatARuleAsksOfTheTackle(t *testing.T) {
	rules := []bylaw.Rule{
		rule("Coast", func(r *bylaw.Rule) { r.Gear = bylaw.Gear{CircleHooks: true, MostHooks: 2} }, "any"),
		rule("Town", func(r *bylaw.Rule) { r.Gear = bylaw.Gear{NoLiveBait: true, MostHooks: 1, MostRods: 2} }, "drums"),
		rule("Club", func(r *bylaw.Rule) { r.Gear, r.Voluntary = bylaw.Gear{Barbless: true}, true }, "any"),
	}
	a := bylaw.GearOf(rules, redDrum, now)
	assert.Equal(t, "Coast", a.CircleHooks)
	assert.Empty(t, a.Barbless, "a code asks nothing here")
	assert.Equal(t, "Town: one hook a line, and this rig has 2", a.RulesOut(false, false, 2))
	assert.Equal(t, "Town: no live bait", a.RulesOut(true, false, 1))
	assert.Empty(t, a.RulesOut(false, false, 1))
	assert.NotEmpty(t, a.RulesOut(false, true, 1), "a jig head is no circle hook")
	assert.Empty(t, bylaw.GearOf(rules, bass, now).RulesOut(true, false, 2))
	assert.Len(t, a.Says(), 2)
}

// Last year's dates stand in the year to come, to be looked up.
func TestARuleAgain(t *testing.T) {
	day := func(y int, m time.Month, d int) bylaw.Date { return bylaw.Date{Year: y, Month: m, Day: d} }
	r := rule("Coast", func(r *bylaw.Rule) {
		r.ID, r.CheckedBy = "x", "Wren"
		r.Seasons = []bylaw.Season{{From: day(2025, 6, 7), To: day(2025, 8, 3)}, {From: day(2024, 2, 29), To: day(2024, 3, 9)},
			{From: day(2024, 12, 1), To: day(2025, 2, 1)}}
	}, "red drum")
	again := r.Again(now)
	assert.Equal(t, []bylaw.Season{{From: day(2026, 6, 7), To: day(2026, 8, 3)}, {From: day(2027, 2, 28), To: day(2027, 3, 9)},
		{From: day(2026, 12, 1), To: day(2027, 2, 1)}}, again.Seasons)
	assert.Empty(t, again.ID)
	assert.Empty(t, again.CheckedBy)
}
