package ahead_test

import (
	"math"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type spotDays struct {
	SpotID                  string `json:"spot_id"`
	Spot, State, Dark, Told string
	Against                 []struct {
		Hour int
		Says string
	}
	Cells map[string][]int
}

type days struct {
	From    time.Time
	Hours   int
	StepMin int `json:"step_min"`
	Targets []struct{ ID string }
	Waters  []struct {
		Water    string
		TimeZone string `json:"time_zone"`
		Days     []struct {
			From       time.Time
			Moon, Tide string
		}
	}
	Spots []spotDays
	Bare  []string
}

type window struct {
	SpotID     string `json:"spot_id"`
	Spot       string
	Target     string
	Manner     string
	Place      string
	From, To   *time.Time
	BestFrom   time.Time  `json:"best_from"`
	BestUntil  time.Time  `json:"best_until"`
	Shuts      *time.Time `json:"shuts"`
	BeOutBy    *time.Time `json:"be_out_by"`
	Edge       float64
	Catch      float64
	Dark, Told bool
	Says       string
}

type windows struct {
	Now     string
	First   *window
	Windows []window
	Found   int
}

// The fortnight says of every spot and hour what it is worth, or why one cannot fish; the outlook of a
// moment and the fortnight agree.
func TestTheFortnight(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var d days
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead?from=2026-11-20T15:20:00Z", nil, &d))
	assert.Equal(t, time.Date(2026, 11, 20, 15, 0, 0, 0, time.UTC), d.From)
	assert.Equal(t, 14*24, d.Hours)
	require.Len(t, d.Spots, len(c.Spots()))
	assert.Empty(t, d.Bare)
	open := 0
	for _, s := range d.Spots {
		require.Len(t, s.State, d.Hours)
		require.Len(t, s.Dark, d.Hours)
		require.Len(t, s.Told, d.Hours)
		for id, cells := range s.Cells {
			require.Len(t, cells, d.Hours)
			for h, v := range cells {
				assert.Equal(t, v == 0, strings.ContainsRune("tsc", rune(s.State[h])), "%s for %s in hour %d: %c, %d", s.Spot, id, h,
					s.State[h], v)
			}
		}
		assert.NotContains(t, s.Cells, "kelp-bass", "of another coast")
		open += strings.Count(s.State, "o")
		if strings.Contains(s.State, "d") {
			require.NotEmpty(t, s.Against)
			assert.EqualValues(t, 'd', s.State[s.Against[0].Hour])
		}
		if s.Spot == "Lantern Lake" {
			assert.Equal(t, strings.Repeat("c", d.Hours), s.State, "its refuge is closed all winter")
		}
		assert.Contains(t, s.Dark, "1")
		assert.Contains(t, s.Dark, "0")
		assert.True(t, strings.HasPrefix(s.Told, "1") && strings.HasSuffix(s.Told, "0"), "a forecast ends: %s", s.Told)
	}
	assert.Positive(t, open)
	springs, neaps := 0, 0
	var moons []string
	for n, w := range d.Waters {
		assert.GreaterOrEqual(t, len(w.Days), 14)
		for _, day := range w.Days {
			if n == 0 && day.Moon != "" {
				moons = append(moons, day.Moon)
			}
			springs += strings.Count(day.Tide, "springs")
			neaps += strings.Count(day.Tide, "neaps")
		}
	}
	assert.Positive(t, springs)
	assert.Positive(t, neaps)
	// Full on 24 November 2026, the last quarter on 1 December: from memory.
	assert.Equal(t, []string{"full moon", "last quarter"}, moons)

	// The moment's own outlook lies within what the hour says of it.
	var now struct {
		Spots []struct {
			SpotID string `json:"spot_id"`
			Target string
			Edge   *float64
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/outlook?time=2026-11-20T15:20:00Z", nil, &now))
	compared := 0
	for _, o := range now.Spots {
		for _, s := range d.Spots {
			if s.SpotID == o.SpotID && o.Edge != nil {
				compared++
				assert.GreaterOrEqual(t, float64(s.Cells[o.Target][0])/100, *o.Edge-0.01, s.Spot)
			}
		}
	}
	assert.Greater(t, compared, 3)
}

// Windows come best first, keep what is asked of them, and lie in hours the fortnight calls open.
func TestWindowsKeepWhatIsAsked(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var d days
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead?from=2026-11-20T15:00:00Z&days=7", nil, &d))
	at := map[string]spotDays{}
	for _, s := range d.Spots {
		at[s.Spot] = s
	}
	const days = "/ahead/windows?from=2026-11-20T15:00:00Z&days=7"
	ask := func(more string) (w windows) {
		require.Equal(t, http.StatusOK, c.Do("GET", days+more, nil, &w), more)
		assert.NotEmpty(t, w.Now)
		last := math.Inf(1)
		for _, k := range w.Windows {
			assert.LessOrEqual(t, k.Edge, last)
			last = k.Edge
			assert.Contains(t, k.Says, k.Spot)
			hour := int(k.BestFrom.Sub(d.From) / time.Hour)
			assert.EqualValues(t, 'o', at[k.Spot].State[hour], k.Says)
			cells := at[k.Spot].Cells[k.Target]
			assert.LessOrEqual(t, k.Edge, float64(max(cells[hour], cells[min(hour+1, d.Hours-1)]))/100+0.01)
		}
		return w
	}
	all := ask("")
	require.NotEmpty(t, all.Windows)
	require.NotNil(t, all.First)
	assert.Contains(t, all.Now, all.First.Spot)
	for _, k := range ask("&least=2").Windows {
		assert.GreaterOrEqual(t, k.Edge, 2.0)
	}
	for _, k := range ask("&by_day=true&targets=red-drum&targets=sheepshead").Windows {
		assert.False(t, k.Dark, k.Says)
		assert.Contains(t, []string{"red-drum", "sheepshead"}, k.Target)
	}
	onFoot := ask("&manners=on%20foot&manners=wading")
	require.NotEmpty(t, onFoot.Windows)
	for _, k := range onFoot.Windows {
		assert.Contains(t, []string{"on foot", "wading"}, k.Manner)
	}
	for _, k := range ask("&places=pier").Windows {
		assert.Equal(t, "pier", k.Place)
	}
	free := ask("&weekdays=6&weekdays=0&free_from_h=7&free_until_h=12")
	require.NotEmpty(t, free.Windows)
	zone, err := time.LoadLocation(d.Waters[0].TimeZone)
	require.NoError(t, err)
	for _, k := range free.Windows {
		best := k.BestFrom.In(zone)
		assert.Contains(t, []time.Weekday{time.Saturday, time.Sunday}, best.Weekday())
		assert.GreaterOrEqual(t, best.Hour(), 7)
		assert.Less(t, k.BestUntil.Add(-time.Second).In(zone).Hour(), 12)
	}
	assert.Len(t, ask("&most=3").Windows, 3)
	none := ask("&least=90")
	assert.Zero(t, none.Found)
	assert.Contains(t, none.Now, "Ask for less")

	var p problem
	assert.Equal(t, 422, c.Do("GET", days+"&free_from_h=9&free_until_h=8", nil, &p))
	assert.Contains(t, p.Detail, "from an earlier to a later")
	assert.Equal(t, 422, c.Do("GET", days+"&targets=mermaid", nil, &p))
	assert.Equal(t, 422, c.Do("GET", "/ahead?days=15", nil, &p))
}

// The windows go into a calendar; taken again they are the same events, moved and not doubled.
func TestWindowsAsACalendar(t *testing.T) {
	c := kit.Fresh(t, "wren")
	const asked = "?from=2026-11-20T15:00:00Z&days=7&most=9"
	uids := func(query string) (list []string) {
		var raw string
		require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows.ics"+query, nil, &raw))
		assert.Equal(t, strings.Count(raw, "BEGIN:VEVENT"), strings.Count(raw, "SEQUENCE:"))
		for _, line := range strings.Split(strings.ReplaceAll(raw, "\r\n ", ""), "\r\n") {
			if uid, is := strings.CutPrefix(line, "UID:"); is {
				list = append(list, uid)
			}
		}
		return list
	}
	first := uids(asked)
	require.Len(t, first, 9)
	// One window alone is the event it is among the others.
	var all windows
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows"+asked, nil, &all))
	for i, w := range all.Windows {
		one := uids(asked + "&spot_id=" + w.SpotID + "&best_from=" + w.BestFrom.Format(time.RFC3339))
		require.NotEmpty(t, one)
		assert.Equal(t, first[i], one[0])
	}
	assert.Equal(t, http.StatusNotFound, c.Do("GET", "/ahead/windows.ics"+asked+"&best_from=2026-11-20T15:01:00Z", nil, nil))
	// Ten minutes less of margin move what ends them, and not which they are.
	assert.Equal(t, first, uids(asked+"&margin_min=10"))
	seen := map[string]bool{}
	for _, uid := range first {
		assert.False(t, seen[uid], uid)
		seen[uid] = true
	}
}

// Where there is no spot yet nothing is worked out, and nothing fails.
func TestNobodysFortnight(t *testing.T) {
	c := kit.Fresh(t, "moss")
	for _, s := range c.Spots() {
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+s.ID, nil, nil))
	}
	var d days
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead", nil, &d))
	assert.Empty(t, d.Spots)
	var w windows
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows", nil, &w))
	assert.Empty(t, w.Windows)
	assert.NotEmpty(t, w.Now)
}

// A day over several spots: as many plans as differ by place, each of legs one can get to in time.
func TestADayIsLaid(t *testing.T) {
	c := kit.Fresh(t, "wren")
	type leg struct {
		SpotID        string `json:"spot_id"`
		Spot, Target  string
		Arrive, Leave time.Time
		Expected      float64
		Says          string
	}
	type answer struct {
		Plans []struct {
			LeaveHome time.Time `json:"leave_home"`
			BackHome  time.Time `json:"back_home"`
			WorthH    float64   `json:"worth_h"`
			Expected  float64
			Legs      []leg
			Says      string
		}
		Why string
	}
	ask := func(more object) (a answer) {
		b := object{"from": "2026-11-21T08:00:00Z", "to": "2026-11-21T20:00:00Z", "targets": []string{}}
		for k, v := range more {
			b[k] = v
		}
		require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", b, &a))
		return a
	}
	got := ask(nil)
	require.Len(t, got.Plans, 3)
	last := math.Inf(1)
	var before []map[string]bool
	for _, p := range got.Plans {
		assert.LessOrEqual(t, p.WorthH, last+1e-9)
		last = p.WorthH
		require.NotEmpty(t, p.Legs)
		assert.LessOrEqual(t, len(p.Legs), 3)
		assert.Contains(t, p.Says, "Leave at ")
		spots, when, sum := map[string]bool{}, p.LeaveHome, 0.0
		for _, l := range p.Legs {
			assert.False(t, l.Arrive.Before(when.Add(15*time.Minute)), "there is time to pack")
			assert.True(t, l.Leave.After(l.Arrive))
			assert.Contains(t, l.Says, l.Spot)
			spots[l.Spot], when, sum = true, l.Leave, sum+l.Expected
		}
		assert.InDelta(t, p.Expected, sum, 1e-9)
		for _, b := range before {
			missing := false
			for s := range b {
				missing = missing || !spots[s]
			}
			assert.True(t, missing, "it leaves out a spot of each before it")
		}
		before = append(before, spots)
	}
	// What is asked is kept: one spot, one leg, one fish, on legs from where one sets out.
	beach := c.ID("Long Strand")
	one := ask(object{"spots": []string{beach}, "legs": 1, "targets": []string{"florida-pompano"}, "by": "legs", "plans": 1,
		"home": object{"lat": 31.2, "lon": -45.1}, "by_day": true})
	require.Len(t, one.Plans, 1)
	require.Len(t, one.Plans[0].Legs, 1)
	assert.Equal(t, "Long Strand", one.Plans[0].Legs[0].Spot)
	assert.Equal(t, "florida-pompano", one.Plans[0].Legs[0].Target)
	assert.Greater(t, one.Plans[0].Legs[0].Arrive.Sub(one.Plans[0].LeaveHome), 30*time.Minute)
	none := ask(object{"spots": []string{beach}, "by": "kayak"})
	assert.Empty(t, none.Plans)
	assert.Contains(t, none.Why, "another way to go")
	assert.Empty(t, ask(object{"spots": []string{c.ID("Lantern Lake")}}).Plans, "a rule closes it")

	var p problem
	for at, more := range map[string]object{"body.to": {"to": "2026-11-21T08:30:00Z"}, "body.spots[0]": {"spots": []string{kit.Fresh(t,
		"moss").ID("Candle Bar")}}, "body.targets[0]": {"targets": []string{"mermaid"}},
		"body.home.lat": {"home": object{"lat": 95, "lon": 0}}} {
		b := object{"from": "2026-11-21T08:00:00Z", "to": "2026-11-21T20:00:00Z", "targets": []string{}}
		for k, v := range more {
			b[k] = v
		}
		require.Equal(t, 422, c.Do("POST", "/plans/preview", b, &p), at)
		assert.Equal(t, at, p.Errors[0].Location)
	}
}
