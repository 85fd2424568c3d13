package bylaw_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// The numbers of these cases are common practice, no source: no rule here is anybody's law.

const inch = 0.0254

var (
	now      = time.Date(2026, 5, 15, 9, 0, 0, 0, time.UTC)
	pompano  = bylaw.Species{ID: "florida-pompano", Name: "Florida pompano", Latin: "Trachinotus carolinus"}
	drum     = bylaw.Species{ID: "black-drum", Name: "Black drum", Latin: "Pogonias cromis"}
	redDrum  = bylaw.Species{ID: "red-drum", Name: "Red drum", Latin: "Sciaenops ocellatus"}
	flounder = bylaw.Species{ID: "summer-flounder", Name: "Summer flounder", Latin: "Paralichthys dentatus"}
	seabream = bylaw.Species{ID: "black-seabream", Name: "Black seabream", Latin: "Spondyliosoma cantharus"}
	bass     = bylaw.Species{ID: "striped-bass", Name: "Striped bass", Latin: "Morone saxatilis"}
)

func fish(n int) *int { return &n }

// rule of an authority as most are written: a source, and looked up this year.
func rule(authority string, set func(*bylaw.Rule), species ...string) bylaw.Rule {
	r := bylaw.Rule{Authority: authority, Species: species, Source: "leaflet 4", CheckedOn: now.AddDate(0, -1, 0)}
	set(&r)
	return r
}

// box of water between two latitudes, a hundred kilometres wide.
func box(south, north float64) ground.Ring {
	return ground.Ring{{Lat: south, Lon: -45.5}, {Lat: south, Lon: -44.5}, {Lat: north, Lon: -44.5}, {Lat: north, Lon: -45.5}}
}

func at(lat float64) []ground.LatLon { return []ground.LatLon{{Lat: lat, Lon: -45}} }

// ask of a fish of a length in inches; 0 is not measured.
func ask(s bylaw.Species, inches float64) *bylaw.Asked {
	return &bylaw.Asked{Fish: bylaw.Fish{Species: s, LengthM: inches * inch}, Place: at(31), Time: now, Now: now, Units: quantity.US}
}

func TestWhatAnAnglerWithAFishInHandIsTold(t *testing.T) {
	slot := func(low, high float64) func(*bylaw.Rule) {
		return func(r *bylaw.Rule) { r.MinM, r.MaxM = low*inch, high*inch }
	}
	least := func(low float64) func(*bylaw.Rule) { return func(r *bylaw.Rule) { r.MinM = low * inch } }
	one := func(r *bylaw.Rule) { slot(18, 27)(r); r.Over, r.Bag = 1, fish(3) }
	for _, c := range []struct {
		says   string
		rule   bylaw.Rule
		fish   bylaw.Species
		inches float64
		word   bylaw.Word
		why    string
		margin float64 // inches
		near   bool
	}{
		{"pompano well over", rule("Coast", least(11), "florida-pompano"), pompano, 12.5, bylaw.Keep,
			"12.5 in: 11 in or more may be kept (Coast).", 1.5, false},
		{"on the line is in", rule("Coast", least(11), "florida-pompano"), pompano, 11, bylaw.Keep,
			"11 in: 11 in or more may be kept (Coast).", 0, true},
		{"black drum in the slot", rule("Coast", slot(14, 24), "Black drum"), drum, 16, bylaw.Keep,
			"16 in: 14 in to 24 in may be kept (Coast).", 2, false},
		{"half an inch short", rule("Coast", least(28), "striped bass"), bass, 27.5, bylaw.Release,
			"1/2 in short: the least is 28 in, and it is 27.5 in (Coast).", -0.5, false},
		{"a flatfish by its group", rule("Coast", least(22), "flounders"), flounder, 22, bylaw.Keep,
			"22 in: 22 in or more may be kept (Coast).", 0, true},
		{"a drum in a slot with one over", rule("Coast", one, "drums"), redDrum, 24.75, bylaw.Keep,
			"24.75 in: 18 in to 27 in may be kept, and 1 a day over 27 in; 3 of 3 left today (Coast).", 2.25, false},
		{"the one over", rule("Coast", one, "drums"), redDrum, 30, bylaw.Keep,
			"30 in is over 27 in, of which 1 may be kept a day; 3 of 3 left today (Coast).", 3, false},
		{"not yet measured", rule("Coast", slot(14, 24), "Black drum"), drum, 0, bylaw.NotKnown,
			"Measure its total length: 14 in to 24 in may be kept (Coast).", 0, false},
		{"too long", rule("Coast", slot(14, 24), "Black drum"), drum, 24.25, bylaw.Release,
			"1/4 in too long: the most is 24 in, and it is 24.25 in (Coast).", -0.25, true},
		{"another fish", rule("Coast", slot(14, 24), "Black drum"), flounder, 20, bylaw.NotKnown,
			"Nothing is entered for summer flounder here. That does not mean it may be kept: ask your authority.", 0, false},
		{"gear only", rule("Coast", func(r *bylaw.Rule) { r.Gear.CircleHooks = true }, "any"), drum, 20, bylaw.NotKnown,
			"What is entered for black drum here says neither size nor number. Ask your authority.", 0, false},
		{"protected", rule("Coast", func(r *bylaw.Rule) { r.Status = bylaw.Protected }, "Black drum"), drum, 20, bylaw.Release,
			"Coast: black drum is protected. Put it back at once, unharmed.", 0, false},
		{"none", rule("Coast", func(r *bylaw.Rule) { r.Bag = fish(0) }, "Black drum"), drum, 20, bylaw.Release,
			"Coast: none may be kept.", 0, false},
		{"no limit, said outright", rule("Coast", func(r *bylaw.Rule) { r.NoLimits = true }, "Black drum"), drum, 20, bylaw.Keep,
			"Coast sets no limit of size or number (Coast).", 0, false},
	} {
		t.Run(c.says, func(t *testing.T) {
			require.NoError(t, c.rule.Validate())
			v := bylaw.Judge([]bylaw.Rule{c.rule}, ask(c.fish, c.inches))
			assert.Equal(t, c.word, v.Word)
			assert.Equal(t, c.why, v.Why)
			assert.Equal(t, c.near, v.Near)
			if v.MarginM != nil {
				assert.InDelta(t, c.margin, *v.MarginM/inch, 1e-9)
			} else {
				assert.Zero(t, c.margin)
			}
		})
	}
}

func TestThreeMillimetresOver(t *testing.T) {
	q := ask(bass, 0)
	q.Units, q.Fish.LengthM = quantity.Metric, 0.423
	v := bylaw.Judge([]bylaw.Rule{rule("Coast", func(r *bylaw.Rule) { r.MinM = 0.42 }, "striped-bass")}, q)
	assert.Equal(t, bylaw.Keep, v.Word, "what is near the limit only adds words")
	assert.Equal(t, []string{"3 mm inside the limit: measure again, mouth closed, on a board from zero. In doubt, release."}, v.Notes)
	assert.Equal(t, bylaw.Total, v.Measure)
}

func TestOverALineBetweenTwoAuthorities(t *testing.T) {
	rules := []bylaw.Rule{
		rule("North", func(r *bylaw.Rule) { r.MinM, r.MaxM, r.Area.Ring = 14*inch, 24*inch, box(31.5, 32) }, "black-drum"),
	}
	q := ask(drum, 16)
	q.Place = at(31.6)
	assert.Equal(t, bylaw.Keep, bylaw.Judge(rules, q).Word)
	q.Place = at(31.4)
	assert.Equal(t, bylaw.NotKnown, bylaw.Judge(rules, q).Word, "south of the line nothing is entered")
	rules = append(rules, rule("South", func(r *bylaw.Rule) { r.MinM, r.Area.Ring = 18*inch, box(31, 31.5) }, "black-drum"))
	assert.Equal(t, bylaw.Release, bylaw.Judge(rules, q).Word)
	// A drift over the line is under both.
	q.Place = append(at(31.6), ground.LatLon{Lat: 31.6, Lon: -45}, ground.LatLon{Lat: 31.4, Lon: -45.1})
	v := bylaw.Judge(rules, q)
	assert.Equal(t, bylaw.Release, v.Word)
	assert.Len(t, v.Sources, 2)
	assert.Equal(t, "2 in short: the least is 18 in, and it is 16 in (South).", v.Why)
}

// An authority's rule for a part of its water stands instead of that for the whole; another's never does.
func TestASubAreaDiffers(t *testing.T) {
	whole := rule("Coast", func(r *bylaw.Rule) { r.MinM, r.Bag = 14*inch, fish(5) }, "any")
	part := rule("Coast", func(r *bylaw.Rule) { r.MinM, r.Area.Ring = 12*inch, box(30.5, 31.5) }, "black-drum")
	q := ask(drum, 13)
	v := bylaw.Judge([]bylaw.Rule{whole, part}, q)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Equal(t, 5, v.Bag.Left, "of number the part says nothing, so the whole does")
	part.Bag, whole.BoatBag = fish(6), fish(3)
	v = bylaw.Judge([]bylaw.Rule{whole, part}, q)
	assert.Equal(t, 6, v.Bag.Of, "of a person's the part speaks")
	assert.Equal(t, 3, v.Bag.Boat.Left, "and leaves the boat's as it is")
	part.Bag, whole.BoatBag = nil, nil
	q.Place = at(33)
	assert.Equal(t, bylaw.Release, bylaw.Judge([]bylaw.Rule{whole, part}, q).Word)
	q.Place, part.Authority = at(31), "Town"
	assert.Equal(t, bylaw.Release, bylaw.Judge([]bylaw.Rule{whole, part}, q).Word, "the strictest of two authorities")
	// A lighter rule for one class gives nothing to who has not said theirs.
	part.Licence = "visitor"
	part.Authority = "Coast"
	q.Place = at(31)
	assert.Equal(t, bylaw.Release, bylaw.Judge([]bylaw.Rule{whole, part}, q).Word)
	q.Licences = []string{"visitor"}
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{whole, part}, q).Word)
	part.Licence, q.Licences = "", nil
	// A drift that leaves the part is under the whole as well.
	q.Place, part.Authority = append(at(31), at(31)[0], ground.LatLon{Lat: 33, Lon: -45}), "Coast"
	assert.Equal(t, bylaw.Release, bylaw.Judge([]bylaw.Rule{whole, part}, q).Word)
}

// A male over a nest in May goes back; on a wreck in October it may be kept.
func TestNestingMales(t *testing.T) {
	rules := []bylaw.Rule{
		rule("Coast", func(r *bylaw.Rule) { r.MinM = 0.23 }, "black seabream"),
		rule("Coast", func(r *bylaw.Rule) {
			r.NotKept = []bylaw.Sex{bylaw.NestingMale}
			r.Seasons = []bylaw.Season{{From: bylaw.Date{Month: 4, Day: 1}, To: bylaw.Date{Month: 6, Day: 30}}}
		}, "black seabream"),
	}
	q := ask(seabream, 0)
	q.Units, q.Fish.LengthM, q.Fish.Are = quantity.Metric, 0.35, []bylaw.Sex{bylaw.NestingMale}
	v := bylaw.Judge(rules, q)
	assert.Equal(t, bylaw.Release, v.Word)
	assert.Equal(t, "Coast: one that is nesting male goes back.", v.Why)
	q.Fish.Are = nil
	v = bylaw.Judge(rules, q)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Equal(t, []string{"Coast: one that is nesting male goes back. Look before you keep it."}, v.Notes,
		"nobody said whether it is one")
	q.Fish.Are = []bylaw.Sex{bylaw.NestingMale}
	q.Time = time.Date(2026, 10, 10, 9, 0, 0, 0, time.UTC)
	v = bylaw.Judge(rules, q)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Empty(t, v.Notes)
}

// A season turns at midnight of the place's own clock, also where daylight saving is kept.
func TestASeasonTurnsAtLocalMidnight(t *testing.T) {
	zone, err := time.LoadLocation("America/New_York")
	require.NoError(t, err)
	r := rule("Coast", func(r *bylaw.Rule) {
		r.Bag = fish(1)
		// In 2026 clocks go forward there on 8 March at 2 o'clock and back on 1 November.
		r.Seasons = []bylaw.Season{{From: bylaw.Date{Month: 3, Day: 8}, To: bylaw.Date{Month: 10, Day: 31}}}
	}, "striped-bass")
	for _, c := range []struct {
		utc  string
		word bylaw.Word
	}{
		{"2026-03-08T04:59:00Z", bylaw.NotKnown}, {"2026-03-08T05:00:00Z", bylaw.Keep},
		{"2026-11-01T03:59:00Z", bylaw.Keep}, {"2026-11-01T04:00:00Z", bylaw.NotKnown},
	} {
		q := ask(bass, 30)
		utc, err := time.Parse(time.RFC3339, c.utc)
		require.NoError(t, err)
		q.Time = utc.In(zone)
		v := bylaw.Judge([]bylaw.Rule{r}, q)
		assert.Equal(t, c.word, v.Word, c.utc)
		if c.word == bylaw.NotKnown {
			assert.Equal(t, "What is entered for striped bass here does not hold today (Coast: from 8 March to 31 October). "+
				"Ask your authority.", v.Why)
		}
	}
	// The bag is that of the local day: one kept late last evening, by UTC today, does not count.
	q := ask(bass, 30)
	q.Time = time.Date(2026, 6, 2, 6, 0, 0, 0, zone)
	q.Kept = []bylaw.Kept{{Species: bass, Time: time.Date(2026, 6, 1, 23, 30, 0, 0, zone).UTC()}}
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{r}, q).Word)
	q.Kept[0].Time = time.Date(2026, 6, 2, 0, 30, 0, 0, zone).UTC()
	assert.Equal(t, bylaw.Release, bylaw.Judge([]bylaw.Rule{r}, q).Word)
}

// Five of two kinds together, three anglers, and twelve for the boat.
func TestABagSharedAboard(t *testing.T) {
	r := rule("Coast", func(r *bylaw.Rule) { r.Bag, r.BoatBag = fish(5), fish(12) }, "red-drum", "black-drum")
	q := ask(redDrum, 20)
	q.Aboard = []string{"Finch"}
	keep := func(who string, n int, s bylaw.Species) {
		for range n {
			q.Kept = append(q.Kept, bylaw.Kept{Species: s, Who: who, Time: now})
		}
	}
	keep("", 2, redDrum)
	keep("", 2, drum)
	keep("Heron", 5, drum)
	keep("", 3, flounder)
	v := bylaw.Judge([]bylaw.Rule{r}, q)
	require.NotNil(t, v.Bag)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Equal(t, 1, v.Bag.Left)
	assert.Equal(t, 4, v.Bag.Used)
	assert.Equal(t, []string{"black-drum"}, v.Bag.SharedWith)
	assert.Equal(t, []bylaw.Count{{Who: "", Of: 5, Used: 4, Left: 1}, {Who: "Finch", Of: 5, Left: 5}, {Who: "Heron", Of: 5, Used: 5}},
		v.Bag.People)
	assert.Equal(t, &bylaw.Count{Of: 12, Used: 9, Left: 3}, v.Bag.Boat)
	q.Who = "Heron"
	v = bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, bylaw.Release, v.Word)
	assert.Equal(t, "The bag of 5, shared with black-drum, is full: 5 kept today (Coast).", v.Why)
	q.Who = "Finch"
	keep("Finch", 3, redDrum)
	v = bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, bylaw.Release, v.Word, "the boat's are full")
	assert.Equal(t, 0, v.Bag.Left)
	r.Each, r.BoatBag = true, nil
	assert.Equal(t, 2, bylaw.Judge([]bylaw.Rule{r}, q).Bag.Left, "of each its own")
}

// What is at home counts, but what of the log was eaten nobody knows: it is said, and makes no verdict.
func TestPossessionIsTold(t *testing.T) {
	r := rule("Coast", func(r *bylaw.Rule) { r.Bag, r.Possession = fish(3), fish(6) }, "red-drum")
	q := ask(redDrum, 20)
	keep := func(who string, days int, s bylaw.Species) {
		q.Kept = append(q.Kept, bylaw.Kept{Species: s, Who: who, Time: now.AddDate(0, 0, -days)})
	}
	keep("", 40, redDrum)
	keep("", 3, drum)
	keep("Heron", 3, redDrum)
	keep("", 0, redDrum)
	v := bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Equal(t, []string{"In possession at most 6: what is at home and on ice counts too."}, v.Notes)
	for days := 1; days <= 4; days++ {
		keep("", days, redDrum)
	}
	since := now.AddDate(0, 0, -30).Format("2 January 2006")
	v = bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, []string{"In possession at most 6: what is at home and on ice counts too, and the log has 4 kept since " + since +
		" before today."}, v.Notes, "four, today's and this one are six")
	keep("", 9, redDrum)
	v = bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, []string{"In possession at most 6, and the log has 5 kept since " + since +
		" before today: release it, unless 1 or more of those were eaten or given away."}, v.Notes)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Equal(t, 2, v.Bag.Left)
}

func TestAStaleRuleSaysSo(t *testing.T) {
	r := rule("Coast", func(r *bylaw.Rule) { r.MinM = 11 * inch }, "florida-pompano")
	r.CheckedOn = time.Date(2025, 5, 14, 0, 0, 0, 0, time.UTC)
	v := bylaw.Judge([]bylaw.Rule{r}, ask(pompano, 12.5))
	assert.True(t, v.Stale)
	assert.Equal(t, bylaw.Keep, v.Word)
	assert.Equal(t, []string{"Coast was checked on 14 May 2025: that is too long ago to trust. Look it up before you keep one."}, v.Notes)
	r.CheckedOn = time.Date(2025, 5, 15, 0, 0, 0, 0, time.UTC)
	assert.False(t, bylaw.Judge([]bylaw.Rule{r}, ask(pompano, 12.5)).Stale, "its year is not over")
	r.LifeDays = 30
	assert.True(t, bylaw.Judge([]bylaw.Rule{r}, ask(pompano, 12.5)).Stale)
}

// A fish's fork length is at most its total length: what that settles is settled, and nothing else.
func TestMeasuredAnotherWay(t *testing.T) {
	r := rule("Coast", func(r *bylaw.Rule) { r.MinM, r.Measure = 20*inch, bylaw.Fork }, "striped-bass")
	for _, c := range []struct {
		measure bylaw.Measure
		inches  float64
		word    bylaw.Word
	}{{bylaw.Total, 19, bylaw.Release}, {bylaw.Total, 21, bylaw.NotKnown}, {bylaw.Fork, 21, bylaw.Keep}, {"", 21, bylaw.Keep},
		{bylaw.Pinched, 19, bylaw.Release}} {
		q := ask(bass, c.inches)
		q.Fish.Measure = c.measure
		assert.Equal(t, c.word, bylaw.Judge([]bylaw.Rule{r}, q).Word, c)
	}
	r.Measure = bylaw.Pinched
	q := ask(bass, 21)
	q.Fish.Measure = bylaw.Total
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{r}, q).Word, "pinched it is longer still")
	// Estimated from a photo it may lie on either side.
	q = ask(bass, 20.25)
	q.Fish.ErrorM = 0.5 * inch
	v := bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, bylaw.NotKnown, v.Word)
	assert.Contains(t, v.Why, "Measure it on a board")
}

func TestTheOneOverIsCounted(t *testing.T) {
	r := rule("Coast", func(r *bylaw.Rule) { r.MinM, r.MaxM, r.Over, r.OverM = 18*inch, 27*inch, 1, 30*inch }, "red-drum")
	v := bylaw.Judge([]bylaw.Rule{r}, ask(redDrum, 28))
	assert.Equal(t, bylaw.Release, v.Word, "between the slot and the allowance")
	q := ask(redDrum, 31)
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{r}, q).Word)
	q.Kept = []bylaw.Kept{{Species: redDrum, LengthM: 20 * inch, Time: now}}
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{r}, q).Word, "one in the slot is not it")
	q.Kept[0].LengthM = 33 * inch
	v = bylaw.Judge([]bylaw.Rule{r}, q)
	assert.Equal(t, bylaw.Release, v.Word)
	assert.Equal(t, "31 in is over 30 in, and you have kept 1 of that size today (Coast).", v.Why)
	q.Kept[0].LengthM = 0
	assert.Equal(t, bylaw.Release, bylaw.Judge([]bylaw.Rule{r}, q).Word, "one not measured may have been it")
	// A bag of which one may be long, without a slot.
	r = rule("Coast", func(r *bylaw.Rule) { r.Over, r.OverM, r.Bag = 1, 24*inch, fish(5) }, "red-drum")
	q = ask(redDrum, 0)
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{r}, q).Word, "whatever its length, while the one is left")
	q.Kept = []bylaw.Kept{{Species: redDrum, LengthM: 25 * inch, Time: now}}
	assert.Equal(t, bylaw.NotKnown, bylaw.Judge([]bylaw.Rule{r}, q).Word)
	q.Fish.LengthM = 23 * inch
	assert.Equal(t, bylaw.Keep, bylaw.Judge([]bylaw.Rule{r}, q).Word)
}

func TestDutiesCodesAndClasses(t *testing.T) {
	rules := []bylaw.Rule{
		rule("Coast", func(r *bylaw.Rule) {
			r.NoLimits = true
			r.Duties = []bylaw.Duty{{Kind: bylaw.Tag}, {Kind: bylaw.Report, WithinHours: 24, To: "the harbour office"}}
		}, "black-drum"),
		rule("Club", func(r *bylaw.Rule) { r.Voluntary, r.MaxM, r.Name = true, 30*inch, "Big ones back" }, "black-drum"),
		rule("Coast", func(r *bylaw.Rule) { r.MinM, r.Licence = 40*inch, "visitor" }, "black-drum"),
	}
	q := ask(drum, 32)
	q.Licences = []string{"resident"}
	v := bylaw.Judge(rules, q)
	assert.Equal(t, bylaw.Keep, v.Word, "a code forbids nothing, and visitors' rules are not for residents")
	assert.Equal(t, []string{"Tag it before anything else.", "Report it by Sat 16 May 9:00 am (the harbour office)."}, v.Duties)
	assert.Equal(t, []string{"Big ones back, a voluntary code: 2 in too long: the most is 30 in, and it is 32 in."}, v.Codes)
	q.Licences = nil
	assert.Equal(t, bylaw.Release, bylaw.Judge(rules, q).Word, "who has not said counts as either")
}
