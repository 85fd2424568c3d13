package ahead_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type visit struct {
	Opens, Closes, Shuts *time.Time
	BestFrom             *time.Time `json:"best_from"`
	BestUntil            *time.Time `json:"best_until"`
	LimitedBy            string     `json:"limited_by"`
}

func visitsOf(t *testing.T, c *testkit.Client, spot, query string) []visit {
	t.Helper()
	var v struct{ Visits []visit }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+spot+"/visits?"+query, nil, &v))
	return v.Visits
}

// A ledge that only the lowest waters bare (common practice, no source): over two months the days on which
// one gets on to it by day, each about a low water below the height that was named; the best ends before
// one must be off, and one is off before it floods.
func TestALedgeOfTheLowestWaters(t *testing.T) {
	c := kit.Fresh(t, "wren")
	ledge := uuid.NewString()
	// On foot one crosses what is no deeper than the ankle.
	const height, ankle = 0.35, 0.1
	var refused string
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+ledge, object{"name": "Outer ledge", "place": "ledge",
		"lat": 31.2, "lon": -45.1,
		"manner": "on foot", "water_id": c.ID("Sedge Sound"), "in": object{"name": "the flat rock", "elevation_m": height},
		"out": object{"name": "the flat rock", "elevation_m": height},
		"section": []object{{"distance_m": 0, "elevation_m": 3}, {"distance_m": 10, "elevation_m": 0.4},
			{"distance_m": 60, "elevation_m": -4}},
		"marks": []object{{"id": uuid.NewString(), "name": "Lip", "kind": "edge", "distance_m": 20}}}, &refused), refused)
	list := visitsOf(t, c, ledge, "from=2026-11-20T00:00:00Z&to=2027-01-19T00:00:00Z&daylight=true&margin_min=30")
	require.NotEmpty(t, list)
	days := map[string]bool{}
	for _, v := range list {
		require.NotNil(t, v.Opens)
		days[v.Opens.Format(time.DateOnly)] = true
		if v.BestUntil != nil {
			assert.False(t, v.BestUntil.After(*v.Closes), "the best ends before one must be off")
		}
		assert.True(t, v.Closes.Before(*v.Shuts), "one is off before it floods")
	}
	assert.Less(t, len(days), 45, "not every day's low water is low enough")
	var m struct {
		Days []struct {
			Turns []struct {
				Time    time.Time
				Kind    string
				HeightM float64 `json:"height_m"`
			}
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+ledge+"/month?month=2026-12", nil, &m))
	whole := 0
	for _, v := range list {
		// Of those that dusk or dawn cuts short the low water itself may lie in the dark.
		if v.Opens.Month() != time.December || v.Opens.Day() < 2 || v.Opens.Day() > 30 || v.LimitedBy == "dark" || v.Opens.Hour() < 11 {
			continue
		}
		whole++
		low := false
		for _, d := range m.Days {
			for _, k := range d.Turns {
				low = low || k.Kind == "low" && k.HeightM < height+ankle && !k.Time.Before(*v.Opens) && k.Time.Before(*v.Shuts)
			}
		}
		assert.True(t, low, "%s to %s (%s) has a low water below the height", v.Opens, v.Shuts, v.LimitedBy)
	}
	assert.Greater(t, whole, 3)
}

// Time over a sill by draught (common practice, no source): a deeper boat has less of it, extra water
// lengthens it, and a falling level shortens it.
func TestTimeOverASill(t *testing.T) {
	c := kit.Fresh(t, "wren")
	lake := func(draught float64) string {
		id := uuid.NewString()
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, object{"name": "Back lake", "place": "back lake",
			"lat": 31.2, "lon": -45.1,
			"manner": "boat", "draught_m": draught, "water_id": c.ID("Sedge Sound"),
			"in": object{"name": "the sill", "elevation_m": 0.9}, "out": object{"name": "the sill", "elevation_m": 0.9},
			"section": []object{{"distance_m": 0, "elevation_m": 1}, {"distance_m": 60, "elevation_m": -1}},
			"marks":   []object{{"id": uuid.NewString(), "name": "Hole", "kind": "hole", "distance_m": 50}}}, nil))
		return id
	}
	within := func(id string) (sum time.Duration) {
		for _, v := range visitsOf(t, c, id, "from=2026-11-20T12:00:00Z&to=2026-11-22T12:00:00Z&margin_min=0") {
			if v.Opens != nil && v.Shuts != nil {
				sum += v.Shuts.Sub(*v.Opens)
			}
		}
		return sum
	}
	light, deep := lake(0.1), lake(0.25)
	asPredicted := within(light)
	assert.Positive(t, asPredicted)
	assert.Less(t, within(deep), asPredicted, "a deeper boat has less time")
	surge := func(m float64) {
		require.Less(t, c.Do("PUT", "/waters/"+c.ID("Sedge Sound")+"/surge", object{"by_m": m, "fade_h": 72,
			"seen_at": "2026-11-20T12:00:00Z"}, nil), 300)
	}
	surge(0.2)
	assert.Greater(t, within(light), asPredicted, "extra water lengthens it")
}

// Two spots on one tide, each open on its own side of the turn, with a way between (common practice, no
// source): where both are wanted one day takes in both, and is never at one while it is shut.
func TestBothSidesOfTheTurn(t *testing.T) {
	c := kit.Fresh(t, "wren")
	place := func(name string, in, out float64, manner string) string {
		id := uuid.NewString()
		var refused string
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, object{"name": name, "place": "oyster bar", "lat": 31.2, "lon": -45.1,
			"manner": manner, "draught_m": 0.1, "water_id": c.ID("Sedge Sound"),
			"in": object{"name": "the gut", "elevation_m": in}, "out": object{"name": "the gut", "elevation_m": out},
			"section": []object{{"distance_m": 0, "elevation_m": 1}, {"distance_m": 60, "elevation_m": -3}},
			"marks":   []object{{"id": uuid.NewString(), "name": "Edge", "kind": "edge", "distance_m": 45}}}, &refused), refused)
		return id
	}
	// One is waded to at low water, the other paddled to at high.
	low, high := place("Low bar", 0.1, 0.1, "wading"), place("High bar", 0.9, 0.9, "kayak")
	var a struct {
		Plans []struct {
			Legs []struct {
				Spot          string
				Arrive, Leave time.Time
			}
		}
		Why string
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", object{"from": "2026-11-21T08:00:00Z", "to": "2026-11-22T06:00:00Z",
		"targets": []string{}, "spots": []string{low, high}, "plans": 1, "legs": 3, "margin_min": 10}, &a))
	require.NotEmpty(t, a.Plans, a.Why)
	seen := map[string]bool{}
	for _, l := range a.Plans[0].Legs {
		seen[l.Spot] = true
		id := map[string]string{"Low bar": low, "High bar": high}[l.Spot]
		inside := false
		for _, v := range visitsOf(t, c, id, "from=2026-11-21T00:00:00Z&to=2026-11-23T00:00:00Z&margin_min=0") {
			opens, shuts := time.Time{}, time.Date(2030, 1, 1, 0, 0, 0, 0, time.UTC)
			if v.Opens != nil {
				opens = *v.Opens
			}
			if v.Shuts != nil {
				shuts = *v.Shuts
			}
			inside = inside || !l.Arrive.Before(opens.Add(-10*time.Minute)) && !l.Leave.After(shuts)
		}
		assert.True(t, inside, "%s %s–%s", l.Spot, l.Arrive, l.Leave)
	}
	assert.Len(t, seen, 2, "both sides of the turn are used")
}
