package ahead_test

import (
	"net/http"
	"regexp"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type keptLeg struct {
	SpotID        string `json:"spot_id"`
	Spot          string
	Arrive, Leave time.Time
	Pinned        bool
	Expected      float64
	Choice, Says  string
	Against       []string
}

type keptPlan struct {
	ID       string
	Revision int
	Name     string
	Tell     string
	Stays    []object
	Gone     int
	Now      struct {
		LeaveHome    time.Time `json:"leave_home"`
		BackHome     time.Time `json:"back_home"`
		Expected     float64
		ExpectedLow  float64 `json:"expected_low"`
		ExpectedHigh float64 `json:"expected_high"`
		WorthH       float64 `json:"worth_h"`
		Legs         []keptLeg
		Against      []string
		Says         string
	}
}

// A day that was laid is kept, read again with what it comes to, changed, and is one event of a
// calendar throughout: the same UID, a higher SEQUENCE.
func TestAPlanIsKeptChangedAndCarried(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var laid struct {
		Plans []struct {
			Legs         []keptLeg
			Expected     float64
			ExpectedLow  float64 `json:"expected_low"`
			ExpectedHigh float64 `json:"expected_high"`
			WorthH       float64 `json:"worth_h"`
			Robust       float64
			Changes      []struct {
				Says   string
				WorthH float64 `json:"worth_h"`
				BestH  float64 `json:"best_h"`
				Better string
			}
		}
	}
	day := object{"from": "2026-11-21T08:00:00Z", "to": "2026-11-21T20:00:00Z", "targets": []string{}, "legs": 2}
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", day, &laid))
	best := laid.Plans[0]
	assert.Less(t, best.ExpectedLow, best.Expected)
	assert.Greater(t, best.ExpectedHigh, best.Expected)
	assert.GreaterOrEqual(t, best.Robust, 0.0)
	assert.LessOrEqual(t, best.Robust, 1.0)
	require.Len(t, best.Changes, 2)
	assert.Equal(t, "with 3.0 m/s more wind", best.Changes[0].Says)
	for _, k := range best.Changes {
		assert.LessOrEqual(t, k.WorthH, k.BestH+1e-9)
		assert.Equal(t, k.Better != "", k.WorthH < 0.9*k.BestH)
	}
	plan := object{"name": "Saturday", "tell": "Reed, at home", "call_min": 90}
	for k, v := range day {
		plan[k] = v
	}
	stays := func(legs []keptLeg) (out []object) {
		for _, l := range legs {
			assert.NotEmpty(t, l.Choice, "each leg says what to tie on")
			out = append(out, object{"spot_id": l.SpotID, "arrive": l.Arrive, "leave": l.Leave, "pinned": l.Pinned})
		}
		return out
	}
	plan["stays"] = stays(best.Legs)
	path := "/plans/" + uuid.NewString()
	var r struct{ Revision int }
	require.Equal(t, http.StatusOK, c.Do("PUT", path, plan, &r))
	assert.Equal(t, 1, r.Revision)
	var got keptPlan
	require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &got))
	assert.Equal(t, "Saturday", got.Name)
	require.Len(t, got.Now.Legs, len(best.Legs))
	assert.InDelta(t, best.WorthH, got.Now.WorthH, 1e-9, "nothing has changed since it was laid")
	assert.InDelta(t, best.ExpectedHigh, got.Now.ExpectedHigh, 1e-9)
	assert.Empty(t, got.Now.Against)
	var list struct {
		Plans []struct {
			Name  string
			Spots []string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/plans", nil, &list))
	require.Len(t, list.Plans, 1)
	assert.Equal(t, best.Legs[0].Spot, list.Plans[0].Spots[0])

	uid, sequence := event(t, c, path)
	// A stay is set by hand, and the day is planned around it.
	moved := barLeg(t, c)
	moved.Arrive, moved.Leave = moved.Arrive.Add(30*time.Minute), moved.Arrive.Add(90*time.Minute)
	around := object{"pins": []object{{"spot_id": moved.SpotID, "arrive": moved.Arrive, "leave": moved.Leave}}}
	for k, v := range day {
		around[k] = v
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", around, &laid))
	require.NotEmpty(t, laid.Plans)
	assert.LessOrEqual(t, laid.Plans[0].WorthH, best.WorthH+1e-9, "none is worth more than the best of all")
	pinned := false
	for _, l := range laid.Plans[0].Legs {
		pinned = pinned || l.SpotID == moved.SpotID && l.Arrive.Equal(moved.Arrive) && l.Leave.Equal(moved.Leave) && l.Pinned
	}
	assert.True(t, pinned)
	plan["stays"], plan["revision"] = stays(laid.Plans[0].Legs), 1
	var refused string
	require.Equal(t, http.StatusOK, c.Do("PUT", path, plan, &refused), refused)
	r.Revision = 2
	again, higher := event(t, c, path)
	assert.Equal(t, uid, again)
	assert.Greater(t, higher, sequence)
	// Sent again, it is the same; written over what was not read, it is refused.
	require.Equal(t, http.StatusOK, c.Do("PUT", path, plan, &r))
	assert.Equal(t, 2, r.Revision)
	plan["name"], plan["revision"] = "Sunday", 1
	assert.Equal(t, http.StatusConflict, c.Do("PUT", path, plan, nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", path, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("GET", path, nil, nil))
}

// barLeg is the best stay at the bar alone.
func barLeg(t *testing.T, c *testkit.Client) keptLeg {
	t.Helper()
	var a struct{ Plans []struct{ Legs []keptLeg } }
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", object{"from": "2026-11-21T08:00:00Z", "to": "2026-11-21T20:00:00Z",
		"targets": []string{}, "spots": []string{c.ID("Kettle Bar")}, "legs": 1, "plans": 1}, &a))
	require.Len(t, a.Plans, 1)
	return a.Plans[0].Legs[0]
}

func event(t *testing.T, c *testkit.Client, path string) (uid string, sequence int) {
	t.Helper()
	var text string
	require.Equal(t, http.StatusOK, c.Do("GET", path+"/plan.ics", nil, &text))
	assert.Equal(t, 1, strings.Count(text, "BEGIN:VEVENT"))
	text = strings.ReplaceAll(text, "\r\n ", "")
	assert.Contains(t, text, "SUMMARY:Saturday")
	uid = regexp.MustCompile(`UID:(\S+)`).FindStringSubmatch(text)[1]
	sequence, err := strconv.Atoi(regexp.MustCompile(`SEQUENCE:(\d+)`).FindStringSubmatch(text)[1])
	require.NoError(t, err)
	return uid, sequence
}

// A sheet holds what one wants on the water without the screen.
func TestTheSheetOfADay(t *testing.T) {
	c := kit.Fresh(t, "wren")
	path := "/plans/" + uuid.NewString()
	bar, beach := c.ID("Kettle Bar"), c.ID("Long Strand")
	p := testkit.APlan(bar)
	p["targets"] = []string{}
	first := barLeg(t, c)
	p["stays"] = []object{{"spot_id": bar, "arrive": first.Arrive, "leave": first.Leave},
		{"spot_id": beach, "arrive": first.Leave.Add(10 * time.Minute), "leave": first.Leave.Add(2 * time.Hour)}}
	require.Equal(t, http.StatusOK, c.Do("PUT", path, p, nil))
	var s struct {
		Name, Says, Tell                      string
		TimeZone                              string `json:"time_zone"`
		Against, Bring, Missing, Bait, Bylaws []string
		Hygiene                               []string
		Cautions                              []struct{ Says, Severity string }
		Sun                                   []struct{ Says string }
		Stops                                 []struct {
			Spot, Says, Way string
			ArriveM         float64 `json:"arrive_m"`
			Turns           []struct{ Kind string }
			Against         []string
			Weather         []string
			Tie             *struct {
				Offering, Says string
				Drawing        *struct{ Width float64 }
			}
		}
	}
	rule := object{"species": []string{"any"}, "bag": 9, "source": "Invented handbook", "checked": "2026-05-03"}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/bylaws/"+uuid.NewString(), rule, nil))
	require.Equal(t, http.StatusOK, c.Do("GET", path+"/sheet", nil, &s))
	require.Len(t, s.Stops, 2)
	assert.Contains(t, strings.Join(s.Bylaws, " "), "Any fish: 9 together a person and day.", "of both stops, once")
	assert.Contains(t, strings.Join(s.Hygiene, " "), "Check, clean, dry")
	assert.Equal(t, "Kettle Bar", s.Stops[0].Spot)
	assert.NotEmpty(t, s.Cautions)
	assert.NotEmpty(t, s.Bring)
	for _, k := range s.Stops {
		assert.GreaterOrEqual(t, len(k.Turns), 2)
		for i := 1; i < len(k.Turns); i++ {
			assert.NotEqual(t, k.Turns[i-1].Kind, k.Turns[i].Kind)
		}
		assert.Contains(t, strings.Join(k.Weather, ", "), "wind ")
		require.NotNil(t, k.Tie, k.Spot)
		require.NotNil(t, k.Tie.Drawing, "its rig is drawn")
		assert.Positive(t, k.Tie.Drawing.Width)
	}
	assert.Equal(t, "first light", s.Sun[0].Says)
	for _, want := range []string{"For Reed, at home", "I am off fishing on Sat 21 Nov", "Kettle Bar, 31.",
		"If you have not heard of me by"} {
		assert.Contains(t, s.Tell, want)
	}
	// Ten minutes from the bar to the beach are not enough, and the sheet says so.
	assert.Contains(t, strings.Join(s.Stops[1].Against, " "), "packing included; there are 10 min")
}

// A rule entered after a plan was kept is told of where one's plans are listed: one that closes the place, one that forbids
// what is sought there; not one of another time.
func TestARuleThatClosesAPlanIsTold(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar := c.ID("Kettle Bar")
	first := barLeg(t, c)
	p := testkit.APlan(bar)
	p["stays"] = []object{{"spot_id": bar, "arrive": first.Arrive, "leave": first.Leave, "target": "red-drum"}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/plans/"+uuid.NewString(), p, nil))
	said := func(more object) []string {
		t.Helper()
		rule, body := "/bylaws/"+uuid.NewString(), object{"source": "Invented handbook", "checked": "2026-05-03", "name": "Winter rest"}
		for k, v := range more {
			body[k] = v
		}
		var said any
		require.Equal(t, http.StatusOK, c.Do("PUT", rule, body, &said), "%v", said)
		var list struct{ Plans []struct{ Closed []string } }
		require.Equal(t, http.StatusOK, c.Do("GET", "/plans", nil, &list))
		require.Len(t, list.Plans, 1)
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", rule, nil, nil))
		return list.Plans[0].Closed
	}
	season := func(from, to string) []object { return []object{{"from": from, "to": to}} }
	assert.Equal(t, []string{"Kettle Bar is closed then: Winter rest."},
		said(object{"species": []string{"any"}, "status": "closed", "seasons": season("11-15", "12-15")}))
	assert.Empty(t, said(object{"species": []string{"any"}, "status": "closed", "seasons": season("12-15", "12-31")}))
	assert.Equal(t, []string{"At Kettle Bar nobody may fish for red drum then: Winter rest."},
		said(object{"species": []string{"red drum"}, "status": "closed", "seasons": season("11-15", "12-15")}))
	assert.Empty(t, said(object{"species": []string{"black drum"}, "status": "closed", "seasons": season("11-15", "12-15")}))
	assert.Empty(t, said(object{"species": []string{"any"}, "status": "closed", "voluntary": true, "seasons": season("11-15", "12-15")}))
}

// What cannot be a day is refused, and what stands against one is said.
func TestADayThatCannotBe(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar := c.ID("Kettle Bar")
	path := "/plans/" + uuid.NewString()
	var p problem
	for at, stays := range map[string][]object{
		"body.stays[0].leave": {{"spot_id": bar, "arrive": "2026-11-21T12:00:00Z", "leave": "2026-11-21T12:00:00Z"}},
		"body.stays[0]":       {{"spot_id": bar, "arrive": "2026-11-25T12:00:00Z", "leave": "2026-11-25T13:00:00Z"}},
		"body.stays[1].arrive": {{"spot_id": bar, "arrive": "2026-11-21T10:00:00Z", "leave": "2026-11-21T12:00:00Z"},
			{"spot_id": bar, "arrive": "2026-11-21T11:00:00Z", "leave": "2026-11-21T13:00:00Z"}},
	} {
		b := testkit.APlan(bar)
		b["stays"] = stays
		require.Equal(t, 422, c.Do("PUT", path, b, &p), at)
		assert.Equal(t, at, p.Errors[0].Location)
	}
	b := testkit.APlan(kit.Fresh(t, "moss").ID("Candle Bar"))
	assert.Equal(t, http.StatusNotFound, c.Do("PUT", path, b, nil), "a spot of somebody else")

	// Pins nobody can keep.
	var a struct {
		Plans []object
		Why   string
	}
	ask := object{"from": "2026-11-21T08:00:00Z", "to": "2026-11-21T20:00:00Z", "targets": []string{}, "legs": 1,
		"pins": []object{{"spot_id": bar, "arrive": "2026-11-21T08:00:00Z", "leave": "2026-11-21T19:50:00Z"}}}
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", ask, &a))
	assert.Empty(t, a.Plans)
	assert.Contains(t, a.Why, "cannot be kept")

	// A plan outlives its spot, and says that it is gone.
	bad := testkit.APlan(bar)
	require.Equal(t, http.StatusOK, c.Do("PUT", path, bad, nil))
	lone := "/spots/" + uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", lone, object{"name": "Post", "place": "pier",
		"lat": 31.2, "lon": -45.1, "manner": "on foot",
		"water_id": c.ID("Sedge Sound"), "in": object{"name": "stair", "elevation_m": 3}, "out": object{"name": "stair", "elevation_m": 3},
		"section": []object{{"distance_m": 0, "elevation_m": 2}, {"distance_m": 60, "elevation_m": -2}},
		"marks":   []object{{"id": uuid.NewString(), "name": "Post", "kind": "timber", "distance_m": 30}}}, nil))
	bad["stays"], bad["revision"] = []object{{"spot_id": strings.TrimPrefix(lone, "/spots/"), "arrive": "2026-11-21T10:00:00Z",
		"leave": "2026-11-21T12:00:00Z"}}, 1
	require.Equal(t, http.StatusOK, c.Do("PUT", path, bad, nil))
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", lone, nil, nil))
	var got keptPlan
	require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &got))
	assert.Equal(t, 1, got.Gone)
	assert.Empty(t, got.Now.Legs)
	var sheet object
	assert.Equal(t, http.StatusOK, c.Do("GET", path+"/sheet", nil, &sheet))
}
