package bylaws_test

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/interchange/bylaws"
)

const written = `bylaws:
  - name: Slot of the sound
    authority: Grey Coast Fishery
    species: [red drum, drums]
    ring: 31 -45.2; 31.2 -45.2; 31.2 -45
    seasons: [03-01 to 06-30]
    days: [saturday, sunday]
    hours: 19:00 to 05:00
    min: 14 in
    max: 24 in
    over: 1
    bag: 3
    gear: [circle hooks, 2 rods, 1 hook]
    duties: [tag, report within 24 h to the harbour office]
    source: Handbook, p. 4
    checked: 2026-05-03
  - species: [any]
    code: true
    status: closed
    source: The club
    checked: 2026-05-03
`

func TestAFileIsRead(t *testing.T) {
	read, err := bylaws.ReadYAML([]byte(written))
	require.NoError(t, err)
	require.Len(t, read, 2)
	bag := 3
	assert.Equal(t, bylaw.Rule{Name: "Slot of the sound", Authority: "Grey Coast Fishery", Species: []string{"red drum", "drums"},
		Area:    bylaw.Area{Ring: ground.Ring{{Lat: 31, Lon: -45.2}, {Lat: 31.2, Lon: -45.2}, {Lat: 31.2, Lon: -45}}},
		Seasons: []bylaw.Season{{From: bylaw.Date{Month: 3, Day: 1}, To: bylaw.Date{Month: 6, Day: 30}}},
		Hours:   bylaw.Hours{Days: []time.Weekday{time.Saturday, time.Sunday}, From: 19 * 60, To: 5 * 60}, MinM: 0.3556, MaxM: 0.6096,
		Over: 1, Bag: &bag, Gear: bylaw.Gear{CircleHooks: true, MostRods: 2, MostHooks: 1},
		Duties: []bylaw.Duty{{Kind: bylaw.Tag}, {Kind: bylaw.Report, WithinHours: 24, To: "the harbour office"}},
		Source: "Handbook, p. 4", CheckedOn: time.Date(2026, 5, 3, 0, 0, 0, 0, time.UTC)}, read[0].Rule)
	assert.Equal(t, 17, read[1].Line)
	assert.True(t, read[1].Rule.Voluntary)
	out, err := bylaws.WriteYAML([]bylaw.Rule{read[0].Rule, read[1].Rule})
	require.NoError(t, err)
	assert.Contains(t, string(out), "min: 14 in", "in the unit it was meant in")
}

// What is wrong is named with its line and field.
func TestWhatIsWrongIsNamed(t *testing.T) {
	swap := func(old, with string) string { return strings.Replace(written, old, with, 1) }
	for _, c := range []struct{ file, says string }{
		{"", "line 1: the file is empty; expected a list called bylaws"},
		{"rules: []", "line 1: expected one list called bylaws"},
		{swap("min: 14 in", "min: 14 stone"), "line 9, column min:"},
		{swap("min: 14 in", "min: 40 in"), "line 10, column max: the greatest length"},
		{swap("03-01 to 06-30", "March"), "line 6, column seasons: \"March\" is no season"},
		{swap("19:00 to 05:00", "7 pm"), "line 8, column hours:"},
		{swap("bag: 3", "bags: 3"), "line 12, column bags: is unknown; known are name,"},
		{swap("bag: 3", "bag: three"), "line 12:"},
		{swap("[circle hooks,", "[square hooks,"), "line 13, column gear: unknown gear \"square hooks\""},
		{swap("31 -45.2;", "31;"), "line 5, column ring: corner 1"},
		{swap("    source: Handbook, p. 4\n", ""), "line 2, column source: expected where the rule stands"},
		{swap("checked: 2026-05-03", "checked: May"), "column checked: \"May\" is no day"},
		{swap("status: closed", "status: shut"), "column status: unknown status"},
	} {
		_, err := bylaws.ReadYAML([]byte(c.file))
		if assert.Error(t, err, c.says) {
			assert.Contains(t, err.Error(), c.says)
		}
	}
	_, err := bylaws.ReadCSV([]byte("species,source,checked,min\nany,book,2026-01-01,14 in\nany,book,2026-01-01,14 pints\n"))
	assert.ErrorContains(t, err, "line 3, column min:")
	_, err = bylaws.ReadCSV([]byte("species,sources,checked\n"))
	assert.ErrorContains(t, err, "line 1, column sources: is unknown")
}

func someRule(t *rapid.T) bylaw.Rule {
	text := rapid.StringMatching(`[A-Za-z=+'@-]([A-Za-z0-9 ,:'#é]{0,20}[A-Za-z0-9])?`)
	maybe := rapid.OneOf(rapid.Just(""), text)
	number := rapid.Custom(func(t *rapid.T) *int {
		n := rapid.IntRange(-1, 12).Draw(t, "n")
		if n < 0 {
			return nil
		}
		return &n
	})
	r := bylaw.Rule{Name: maybe.Draw(t, "name"), Authority: maybe.Draw(t, "authority"), Voluntary: rapid.Bool().Draw(t, "code"),
		Species: rapid.SliceOfN(text, 1, 3).Draw(t, "species"), Licence: maybe.Draw(t, "licence"), Note: maybe.Draw(t, "note"),
		Status: rapid.SampledFrom(bylaw.Statuses).Draw(t, "status"), Measure: rapid.SampledFrom([]bylaw.Measure{"", bylaw.Fork}).Draw(t,
			"measure"),
		Bag: number.Draw(t, "bag"), BoatBag: number.Draw(t, "boat"), Possession: number.Draw(t, "possession"), Each: rapid.Bool().Draw(t,
			"each"),
		Source: text.Draw(t, "source"), Address: maybe.Draw(t, "address"), CheckedBy: maybe.Draw(t, "by"), LifeDays: rapid.IntRange(0,
			400).Draw(t, "life"),
		CheckedOn: time.Date(2026, 1, rapid.IntRange(1, 300).Draw(t, "checked"), 0, 0, 0, 0, time.UTC), Advisory: maybe.Draw(t, "advisory")}
	r.MinM = rapid.OneOf(rapid.Just(0.0), rapid.Map(rapid.Float64Range(0.01, 1), bylaw.Metres)).Draw(t, "min")
	if rapid.Bool().Draw(t, "slot") {
		r.MaxM, r.Over = bylaw.Metres(r.MinM+rapid.Float64Range(0, 1).Draw(t, "width")), rapid.IntRange(0, 2).Draw(t, "over")
	}
	if rapid.Bool().Draw(t, "area") {
		lat := rapid.Float64Range(-60, 60).Draw(t, "lat")
		r.Area = bylaw.Area{Name: maybe.Draw(t, "called"), Ring: ground.Ring{{Lat: lat, Lon: 1}, {Lat: lat + 1, Lon: 1}, {Lat: lat,
			Lon: 2.5}}}
	}
	if rapid.Bool().Draw(t, "season") {
		r.Seasons = []bylaw.Season{{From: bylaw.Date{Month: 11, Day: 1}, To: bylaw.Date{Month: 2, Day: 29}},
			{From: bylaw.Date{Year: 2026, Month: 6, Day: 6}, To: bylaw.Date{Year: 2026, Month: 8, Day: 2}}}
		r.Hours = bylaw.Hours{Days: []time.Weekday{time.Monday}, From: rapid.IntRange(0, 1439).Draw(t, "from"), To: rapid.IntRange(1,
			1440).Draw(t, "to")}
	}
	if rapid.Bool().Draw(t, "gear") {
		r.Gear = bylaw.Gear{CircleHooks: true, Barbless: rapid.Bool().Draw(t, "barbless"), NoLiveBait: true, NoSnagging: true,
			MostRods: rapid.IntRange(0, 3).Draw(t, "rods"), MostHooks: rapid.IntRange(0, 3).Draw(t, "hooks")}
		r.Duties = []bylaw.Duty{{Kind: bylaw.Tag, To: maybe.Draw(t, "whom")}, {Kind: bylaw.Report, WithinHours: rapid.Float64Range(0.5,
			99).Draw(t, "within")}}
		r.NotKept = []bylaw.Sex{bylaw.EggBearing, bylaw.NestingMale}
	}
	return r
}

// What is written is read back to the same, as YAML and as CSV; what is the same is known for it.
func TestRulesAreTheSameThereAndBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := someRule(t)
		if r.Validate() != nil {
			t.Skip("no rule")
		}
		rules := []bylaw.Rule{r, r}
		for _, kind := range []struct {
			write func([]bylaw.Rule) ([]byte, error)
			read  func([]byte) ([]bylaws.Read, error)
		}{{bylaws.WriteYAML, bylaws.ReadYAML}, {bylaws.WriteCSV, bylaws.ReadCSV}} {
			raw, err := kind.write(rules)
			require.NoError(t, err)
			back, err := kind.read(raw)
			require.NoError(t, err, string(raw))
			require.Len(t, back, 2)
			assert.Equal(t, r, back[1].Rule, string(raw))
			assert.Equal(t, 0, bylaws.Doubled(&back[0].Rule, rules))
		}
	})
}

func FuzzReadYAML(f *testing.F) {
	f.Add([]byte(written))
	f.Add([]byte("bylaws: [{species: [a], source: b, checked: 2026-01-01, bag: &a 3}]"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		read, err := bylaws.ReadYAML(raw)
		if err != nil {
			return
		}
		for _, r := range read {
			assert.NoError(t, r.Rule.Validate())
		}
	})
}

func FuzzReadCSV(f *testing.F) {
	f.Add([]byte("species,source,checked,min,bag\nred drum; drums,book,2026-01-01,14 in,3\n"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		read, err := bylaws.ReadCSV(raw)
		if err != nil {
			return
		}
		for _, r := range read {
			assert.NoError(t, r.Rule.Validate())
		}
	})
}
