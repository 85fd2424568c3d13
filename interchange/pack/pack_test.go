package pack_test

import (
	"fmt"
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/springrun"
	"greypebble/core/tide"
	"greypebble/interchange/pack"
)

var now = time.Date(2026, 11, 20, 9, 0, 0, 0, time.UTC)

func aPack(t testing.TB) *pack.Pack {
	zone, err := time.LoadLocation("Atlantic/Azores")
	require.NoError(t, err)
	issued, stands := now.Add(-time.Hour), 2.5
	return &pack.Pack{
		Mine: pack.Mine{Units: quantity.US, Overlay: playbook.Overlay{
			Files:   []playbook.File{{Name: "rule mine", Data: []byte("rules: []\n")}},
			Changes: map[string]playbook.Change{"dark-at-noon": {Off: true}}, Schools: map[string]string{"Q4": "ignore"}},
			Kit:    kit.Kit{{ID: "k", Kind: "rod", Name: "the long one", LengthM: 3, InHand: true}},
			Limits: going.Limits{"kayak_wind_ms": {Think: 6.5, DoNot: math.NaN()}}},
		Harmonics: []pack.Harmonics{{Z0M: 1.2, Constituents: []tide.Constituent{{Name: "M2", AmplitudeM: 0.7, PhaseDeg: 123}}}},
		Clocks:    map[string]*time.Location{"Atlantic/Azores": zone},
		Spots: []pack.Spot{{ID: "s", WaterID: "w", Offsets: tide.Offsets{LagHigh: time.Minute}, Clock: "Atlantic/Azores", SurgeRevision: 3,
			Spot: spot.Spot{Name: "Rib", Place: "oyster bar", LatLon: ground.LatLon{Lat: 31.2, Lon: -45.1}, StandM: &stands,
				Surge: &tide.Surge{ByM: 0.2, Seen: now, Fade: time.Hour},
				Marks: []ground.Mark{{ID: "m", Name: "drop", Kind: ground.EdgeMark, Fishable: ground.Depths{MinM: 0.4}}}}}},
		Waters: []pack.Water{{ID: "w", Readings: []conditions.Reading{{Kind: conditions.WaterTemp, Value: 15.25, Time: now,
			Origin: conditions.Observed, Source: conditions.TheAngler, Site: "Rib", Spread: 0.5}},
			Usual: conditions.Usual{conditions.WaterTemp: conditions.Year{{Mean: 12}}},
			River: &pack.River{Bends: 4, Now: now, Met: map[string][]springrun.Met{"shad": {{At: now, Bend: 2, Fish: 1, RodHours: 2}}}},
			Feed:  &pack.Feed{IssuedAt: &issued, Problem: "no answer"}}},
		Log: []evidence.Spell{{Target: "red-drum", Spot: "s", RodHours: 2, Fish: 1, Contacts: 3, Told: true,
			Rules: []evidence.Spoke{{Rule: 4, More: 0.5, Either: []float64{0, 1, 0, 1, 0, 1, 0, 1}}}}},
	}
}

// What was packed is read as it was.
func TestAPackIsReadAsItWasWritten(t *testing.T) {
	p := aPack(t)
	parts, err := p.Parts(now)
	require.NoError(t, err)
	again, err := p.Parts(now.AddDate(0, 0, 3))
	require.NoError(t, err)
	assert.Equal(t, parts, again, "the same has the same marks")
	got, err := pack.Read(parts)
	require.NoError(t, err)
	assert.True(t, math.IsNaN(got.Mine.Limits["kayak_wind_ms"].DoNot), "never")
	got.Mine.Limits, p.Mine.Limits = nil, nil
	got.Clocks, p.Clocks = nil, nil
	assert.Equal(t, p, got)
}

// A clock goes as its zone's does, from the year before to two years after.
func TestAClockGoesAsItsZone(t *testing.T) {
	for _, name := range []string{"UTC", "Atlantic/Azores", "America/New_York", "Australia/Lord_Howe", "Asia/Kolkata", "Europe/London",
		"Africa/Casablanca", "Pacific/Apia", "America/Sao_Paulo"} {
		zone, err := time.LoadLocation(name)
		require.NoError(t, err)
		p := aPack(t)
		p.Clocks[name], p.Spots[0].Clock = zone, name
		parts, err := p.Parts(now)
		require.NoError(t, err)
		got, err := pack.Read(parts)
		require.NoError(t, err, name)
		rapid.Check(t, func(t *rapid.T) {
			s := rapid.Int64Range(0, 4*365*24*3600).Draw(t, "s")
			at := time.Date(2025, 1, 1, 0, 0, 0, 0, time.UTC).Add(time.Duration(s) * time.Second)
			assert.Equal(t, at.In(zone).Format(time.RFC1123), at.In(got.Clocks[name]).Format(time.RFC1123), name)
		})
		assert.Equal(t, name, got.Clocks[name].String())
	}
}

// What is missing, twice or of another version is named.
func TestAPackThatIsNotWhole(t *testing.T) {
	parts, err := aPack(t).Parts(now)
	require.NoError(t, err)
	for _, c := range []struct {
		says  string
		parts []pack.Part
	}{
		{`the part "mine" is missing`, parts[1:]},
		{`the part "mine" is there twice`, append(parts[:1:1], parts...)},
		{"the water of Rib is missing", parts[:4]},
		{`part "moon": there is no such part`, append(parts[:5:5], pack.Part{Name: "moon"})},
		{fmt.Sprintf("another version, 9, not %d", pack.Version), append([]pack.Part{{Name: "mine", Data: `{"Version":9}`}}, parts[1:]...)},
		{"follows station 0 of 0", append([]pack.Part{parts[0], {Name: "tides", Data: `{}`}}, parts[2:]...)},
		{"there is no word 0 of 0", append(parts[:4:4], pack.Part{Name: "water w", Data: `{"ID":"w","Rows":[[9,0,0,0,0,0,0]]}`})},
	} {
		_, err := pack.Read(c.parts)
		assert.ErrorContains(t, err, c.says)
	}
}

func FuzzRead(f *testing.F) {
	parts, err := aPack(f).Parts(now)
	require.NoError(f, err)
	for i := range parts {
		f.Add(i, parts[i].Data)
	}
	f.Fuzz(func(t *testing.T, at int, data string) {
		broken := append([]pack.Part{}, parts...)
		broken[uint(at)%uint(len(broken))].Data = data
		p, err := pack.Read(broken)
		if err != nil {
			return
		}
		if _, err := p.Parts(now); err != nil {
			t.Fatalf("what was read cannot be written: %v", err)
		}
	})
}
