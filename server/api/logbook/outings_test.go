package logbook_test

import (
	"net/http"
	"slices"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type toldSpell struct {
	ID, SpotName, Mark, Offering string
	StartedAt                    time.Time `json:"started_at"`
	EndedAt                      time.Time `json:"ended_at"`
	Rods, Revision               int
	PausedS                      int `json:"paused_s"`
	Note                         string
	Presentation                 struct {
		OfferingID string `json:"offering_id"`
		Style      string
	}
	Events   []struct{ Kind, Note string }
	Signs    []string
	Readings []struct {
		Kind, Origin string
		Value        float64
	}
	Catches []struct {
		ID, Target, Who string
		CaughtAt        time.Time `json:"caught_at"`
		LengthM         *float64  `json:"length_m"`
		Revision        int
	}
}

type toldOuting struct {
	ID      string
	EndedAt *time.Time `json:"ended_at"`
	CallAt  *time.Time `json:"call_at"`
	Spells  []toldSpell
	Touches []object
	Kept    []string
	Clashes []struct {
		Log  toldSpell
		Told *toldSpell
	}
	ClockOff float64 `json:"clock_off_s"`
}

// an outing of three spells, two fish, one lost, the clarity changed; its touches by name.
func anOuting(spot string) (id string, touches []object, named map[string]string) {
	named = map[string]string{}
	begins := time.Date(2026, 11, 19, 12, 0, 0, 0, time.UTC)
	add := func(name string, minute int, kind string, more object) {
		named[name] = uuid.Must(uuid.NewV7()).String()
		k := object{"id": named[name], "n": len(touches) + 1, "time": begins.Add(time.Duration(minute) * time.Minute), "kind": kind}
		for key, v := range more {
			k[key] = v
		}
		touches = append(touches, k)
	}
	doing := func(offering string, rods int) object {
		return object{"doing": object{"spot_id": spot, "mark": "Edge", "target": "red-drum", "rods": rods, "approach": "lure",
			"offering_id": "paddle-tail-white", "offering": offering, "style": "hop"}}
	}
	add("first", 0, "fish", doing("White paddle tail", 1))
	add("bite", 8, "bite", nil)
	add("fish", 12, "landed", object{"catch": object{"length_m": 0.61}})
	add("second", 30, "fish", doing("Dark paddle tail", 2))
	add("rest", 35, "rest", nil)
	add("on again", 45, "resume", nil)
	add("clarity", 46, "water", object{"reading": object{"kind": "clarity_secchi_m", "value": 0.4}})
	add("birds", 47, "seen", object{"note": "birds"})
	add("lost", 50, "lost", nil)
	add("third", 60, "fish", doing("Jig", 1))
	add("drum", 70, "landed", object{"catch": object{"target": "black-drum"}, "who": "Reed"})
	add("end", 90, "end", nil)
	return uuid.Must(uuid.NewV7()).String(), touches, named
}

// An outing is told in any parts, any number of times: the log holds exactly it, once.
func TestAnOutingIsToldOnce(t *testing.T) {
	c := kit.Fresh(t, "wren")
	before := logged(t, c)
	id, touches, named := anOuting(c.ID("Kettle Bar"))
	path := "/outings/" + id
	var o toldOuting
	for _, part := range [][]object{touches[:1], touches[:4], touches[3:9], touches, touches} {
		require.Equal(t, http.StatusOK, c.Do("PUT", path, object{"touches": part, "tell": "Reed, at home",
			"call_at": "2026-11-19T16:00:00Z"}, &o))
	}
	require.Len(t, o.Spells, 3)
	assert.NotNil(t, o.EndedAt)
	assert.NotNil(t, o.CallAt)
	assert.Empty(t, o.Kept)
	first, second, third := o.Spells[0], o.Spells[1], o.Spells[2]
	assert.Equal(t, named["first"], first.ID)
	assert.Equal(t, first.EndedAt, second.StartedAt)
	require.Len(t, first.Catches, 1)
	assert.Equal(t, named["fish"], first.Catches[0].ID)
	assert.InDelta(t, 0.61, *first.Catches[0].LengthM, 1e-9)
	assert.Equal(t, "paddle-tail-white", first.Presentation.OfferingID)
	assert.Equal(t, 600, second.PausedS)
	assert.Equal(t, 2, second.Rods)
	assert.Equal(t, []string{"birds"}, second.Signs)
	kinds := []string{}
	for _, e := range second.Events {
		kinds = append(kinds, e.Kind)
	}
	assert.Equal(t, []string{"seen", "lost"}, kinds)
	clarity := slices.IndexFunc(second.Readings, func(r struct {
		Kind, Origin string
		Value        float64
	}) bool {
		return r.Kind == "clarity_secchi_m"
	})
	require.GreaterOrEqual(t, clarity, 0)
	assert.InDelta(t, 0.4, second.Readings[clarity].Value, 1e-9)
	assert.Equal(t, "black-drum", third.Catches[0].Target)
	assert.Equal(t, "Reed", third.Catches[0].Who)

	after := logged(t, c)
	assert.Equal(t, before.Total+3, after.Total)
	assert.Equal(t, before.Catches+2, after.Catches)
	// 30 min, 20 min of two rods, 30 min.
	assert.InDelta(t, before.RodHours+0.5+2.0/3+0.5, after.RodHours, 1e-3)

	var got toldOuting
	require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &got))
	assert.Len(t, got.Touches, len(touches))
	var list struct{ Outings []struct{ ID string } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/outings", nil, &list))
	assert.Equal(t, id, list.Outings[0].ID)
}

// What came of an outing that goes on is counted by who asks whether to stay; it teaches when it is ended.
func TestAnOutingTeachesWhenItIsEnded(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id, touches, _ := anOuting(c.ID("Kettle Bar"))
	type catch struct{ Median, Low, High float64 }
	here := func() catch {
		var out struct{ Here *catch }
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+c.ID("Kettle Bar")+"/elsewhere?target=red-drum&time=2026-11-20T15:00:00Z",
			nil, &out))
		require.NotNil(t, out.Here)
		return *out.Here
	}
	type counted struct {
		Spells  int
		GoingOn int `json:"going_on"`
	}
	of := func(target string) (n counted) {
		require.Equal(t, http.StatusOK, c.Do("GET", "/evidence?target="+target, nil, &n))
		return n
	}
	before, spells := here(), of("red-drum").Spells
	goesOn := touches[:len(touches)-1]
	require.Equal(t, http.StatusOK, c.Do("PUT", "/outings/"+id, object{"touches": goesOn}, nil))
	assert.Equal(t, before, here())
	assert.Equal(t, counted{spells, 3}, of("red-drum"))
	assert.Zero(t, of("black-drum").GoingOn, "it was not sought")
	require.Equal(t, http.StatusOK, c.Do("PUT", "/outings/"+id, object{"touches": touches}, nil))
	assert.NotEqual(t, before, here())
	assert.Equal(t, counted{spells + 3, 0}, of("red-drum"))

	// One that nobody ended within a day is no longer in hand.
	id, touches, _ = anOuting(c.ID("Kettle Bar"))
	goesOn = touches[:len(touches)-1]
	for _, k := range goesOn {
		k["time"] = k["time"].(time.Time).AddDate(0, 0, -1)
	}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/outings/"+id, object{"touches": goesOn}, nil))
	assert.Equal(t, counted{spells + 6, 0}, of("red-drum"))
}

type summary struct {
	Total, Catches, Blanks int
	RodHours               float64 `json:"rod_hours"`
}

func logged(t *testing.T, c *testkit.Client) (s summary) {
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?most=1", nil, &s))
	return s
}

// What is taken back leaves the log; what somebody changed in the log by hand stays as they made it, and is
// said; an outing that is forgotten leaves its spells.
func TestTouchesTakenBackLeaveTheLog(t *testing.T) {
	c := kit.Fresh(t, "wren")
	before := logged(t, c)
	id, touches, named := anOuting(c.ID("Kettle Bar"))
	path := "/outings/" + id
	var o toldOuting
	tell := func(more ...object) {
		for i := range more {
			more[i]["n"] = len(touches) + 1
			touches = append(touches, more[i])
		}
		o = toldOuting{}
		require.Equal(t, http.StatusOK, c.Do("PUT", path, object{"touches": touches}, &o))
	}
	undo := func(name string) object {
		return object{"id": uuid.NewString(), "time": "2026-11-19T13:30:00Z", "kind": "undo", "of": named[name]}
	}
	tell()
	tell(undo("fish"))
	assert.Empty(t, o.Spells[0].Catches)
	tell(undo("third"))
	require.Len(t, o.Spells, 2, "the second goes on to the end")
	assert.Len(t, o.Spells[1].Catches, 1, "its fish belongs to the one before")
	assert.Equal(t, before.Total+2, logged(t, c).Total)
	assert.Equal(t, before.Catches+1, logged(t, c).Catches)

	// By hand: a note on the first spell.
	edit := object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum", "started_at": o.Spells[0].StartedAt,
		"ended_at": o.Spells[0].EndedAt, "mark": "Crest", "note": "it was the crest", "revision": o.Spells[0].Revision}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+o.Spells[0].ID, edit, nil))
	tell(object{"id": uuid.NewString(), "time": "2026-11-19T13:31:00Z", "kind": "correct", "of": named["drum"],
		"catch": object{"target": "black-drum", "length_m": 0.5}})
	assert.Equal(t, []string{named["first"]}, o.Kept)
	assert.Equal(t, "it was the crest", o.Spells[0].Note)
	assert.Equal(t, "Crest", o.Spells[0].Mark)
	assert.Equal(t, "paddle-tail-white", o.Spells[0].Presentation.OfferingID, "what the change left out stays")
	assert.InDelta(t, 0.5, *o.Spells[1].Catches[0].LengthM, 1e-9)

	assert.Empty(t, o.Clashes, "the touch was about another")

	// A touch that did not know of the change: both are told, the log's stays until somebody says otherwise. Asked
	// again by a device that had no answer it is told again; by one that had, no more.
	tell(object{"id": uuid.NewString(), "time": "2026-11-19T13:32:00Z", "kind": "correct", "of": named["first"],
		"doing": object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum", "rods": 2, "mark": "Gut"}})
	require.Len(t, o.Clashes, 1)
	assert.Equal(t, "Crest", o.Clashes[0].Log.Mark)
	assert.Equal(t, "Gut", o.Clashes[0].Told.Mark)
	assert.Equal(t, "Crest", o.Spells[0].Mark)
	clashes := func(answered int, retell ...string) int {
		o = toldOuting{}
		body := object{"touches": touches, "answered": answered, "retell": append([]string{}, retell...)}
		require.Equal(t, http.StatusOK, c.Do("PUT", path, body, &o))
		return len(o.Clashes)
	}
	assert.Equal(t, 1, clashes(len(touches)-1))
	assert.Equal(t, 0, clashes(len(touches)))
	assert.Equal(t, 0, clashes(len(touches), named["first"]))
	assert.Equal(t, "Gut", o.Spells[0].Mark)
	assert.Equal(t, 2, o.Spells[0].Rods)
	assert.Empty(t, o.Kept, "it is as told from now on")

	// A fish changed by hand, and its spell taken back by touches.
	fish := o.Spells[1].Catches[0]
	require.Equal(t, http.StatusOK, c.Do("PUT", "/catches/"+fish.ID, object{"spell_id": o.Spells[1].ID, "target": "black-drum",
		"caught_at": fish.CaughtAt, "length_m": 0.61, "revision": fish.Revision}, nil))
	tell(undo("second"))
	require.Len(t, o.Clashes, 1)
	assert.Nil(t, o.Clashes[0].Told)
	assert.InDelta(t, 0.61, *o.Clashes[0].Log.Catches[0].LengthM, 1e-9)

	require.Equal(t, http.StatusNoContent, c.Do("DELETE", path, nil, nil))
	require.Equal(t, http.StatusNotFound, c.Do("GET", path, nil, nil))
	assert.Equal(t, before.Total+2, logged(t, c).Total)
}

// A clock that is off by hours is set right by the time it was sent; what is to come and what says nothing is
// refused, and names the touch.
func TestAnOutingByAClockThatIsOff(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id, touches, _ := anOuting(c.ID("Kettle Bar"))
	for _, k := range touches {
		k["time"] = k["time"].(time.Time).Add(5 * time.Hour)
	}
	now := testkit.Now.Add(5 * time.Hour)
	var o toldOuting
	require.Equal(t, http.StatusOK, c.Do("PUT", "/outings/"+id, object{"touches": touches, "sent_at": now}, &o))
	assert.InDelta(t, 5*3600, o.ClockOff, 600)
	assert.WithinDuration(t, time.Date(2026, 11, 19, 12, 0, 0, 0, time.UTC), o.Spells[0].StartedAt, 10*time.Minute)

	refused := func(change func(object)) problem {
		other, list, _ := anOuting(c.ID("Kettle Bar"))
		change(list[2])
		var p problem
		require.Equal(t, 422, c.Do("PUT", "/outings/"+other, object{"touches": list}, &p))
		require.Equal(t, http.StatusNotFound, c.Do("GET", "/outings/"+other, nil, nil), "nothing of it is stored")
		return p
	}
	assert.Contains(t, refused(func(k object) { k["time"] = testkit.Now.AddDate(0, 0, 2) }).Errors[0].Location, "touches[2].time")
	assert.Contains(t, refused(func(k object) { k["kind"] = "comet" }).Detail, "unknown kind of touch")
	assert.NotEmpty(t, refused(func(k object) { k["catch"] = object{"target": "kraken"} }).Detail)
	var p problem
	require.Equal(t, 422, c.Do("PUT", "/outings/"+uuid.NewString(), object{"touches": []object{}}, &p))
	assert.Contains(t, p.Detail, "begins with a touch")
}

// Several outings at once: each is answered by itself, one that is refused holds up no other, and told again
// they are there once. Where rods stood and casts went comes back with the touches.
func TestSeveralOutingsAreToldAtOnce(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bar := c.Spots()["Kettle Bar"].ID
	first, second, wrong := testkit.AnOuting(bar), testkit.AnOuting(bar), testkit.AnOuting(bar)
	for _, o := range []object{first, second, wrong} {
		o["id"] = uuid.NewString()
	}
	wrong["touches"].([]object)[1]["kind"] = "comet"
	more := second["touches"].([]object)
	set := object{"id": uuid.NewString(), "n": 2, "time": "2026-11-19T12:05:00Z", "kind": "rod set", "rod": "1",
		"set": object{"distance_m": 60.0, "offering": "Crab"}}
	cast := object{"id": uuid.NewString(), "n": 2, "time": "2026-11-19T12:06:00Z", "kind": "cast", "note": "pocket",
		"at": object{"lat": 31.2, "lon": -45.1}}
	second["touches"] = []object{more[0], set, cast, more[1], more[2]}
	var out struct {
		Results []struct {
			ID, Detail string
			Status     int
		}
	}
	for range 2 {
		require.Equal(t, http.StatusOK, c.Do("POST", "/sync", object{"outings": []object{first, wrong, second}}, &out))
		require.Len(t, out.Results, 3)
		for i, o := range []object{first, wrong, second} {
			assert.Equal(t, o["id"], out.Results[i].ID)
		}
		assert.Equal(t, []int{http.StatusOK, http.StatusUnprocessableEntity, http.StatusOK},
			[]int{out.Results[0].Status, out.Results[1].Status, out.Results[2].Status})
		assert.Contains(t, out.Results[1].Detail, "unknown kind of touch")
	}
	var all struct{ Outings []object }
	require.Equal(t, http.StatusOK, c.Do("GET", "/outings", nil, &all))
	assert.Len(t, all.Outings, 2)
	var got toldOuting
	require.Equal(t, http.StatusOK, c.Do("GET", "/outings/"+second["id"].(string), nil, &got))
	require.Len(t, got.Spells, 1)
	byKind := map[string]object{}
	for _, k := range got.Touches {
		byKind[k["kind"].(string)] = k
	}
	assert.Equal(t, set["set"], byKind["rod set"]["set"])
	assert.Equal(t, cast["at"], byKind["cast"]["at"])
}

// What a browser sends behind the page's back goes to nobody else who is signed in by then; where casts went and how
// the boat ran come back with the touches, and the wind in a word.
func TestAnOutingIsItsOwners(t *testing.T) {
	c := kit.Fresh(t, "wren")
	body := testkit.AnOuting(c.ID("Kettle Bar"))
	at := object{"lat": 31.2, "lon": -45.1}
	aim, run := object{"along_m": -4.0, "out_m": 30.0}, object{"course_deg": 40.0, "speed_ms": 2.0}
	n := len(body["touches"].([]object))
	add := func(kind string, more object) {
		n++
		more["id"], more["n"], more["time"], more["kind"] = uuid.NewString(), n, "2026-11-19T12:06:00Z", kind
		body["touches"] = append(body["touches"].([]object), more)
	}
	add("cast", object{"at": at, "aim": aim})
	add("fish on", object{"at": at, "run": run})
	add("water", object{"reading": object{"kind": "wind_speed_ms", "word": "fresh breeze"}})
	path := "/outings/" + uuid.NewString()
	var p problem
	body["angler"] = "somebody else"
	require.Equal(t, 422, c.Do("PUT", path, body, &p))
	assert.Equal(t, "body.angler", p.Errors[0].Location)
	require.Equal(t, http.StatusNotFound, c.Do("GET", path, nil, nil))

	var who struct{ Name string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/me", nil, &who))
	body["angler"] = who.Name
	var o toldOuting
	require.Equal(t, http.StatusOK, c.Do("PUT", path, body, &o))
	var aims, runs int
	for _, k := range o.Touches {
		if k["aim"] != nil {
			aims++
			assert.Equal(t, map[string]any(aim), k["aim"])
		}
		if k["run"] != nil {
			runs++
			assert.Equal(t, map[string]any(run), k["run"])
		}
	}
	assert.Equal(t, []int{1, 1}, []int{aims, runs})
	wind := 0.0
	for _, r := range o.Spells[len(o.Spells)-1].Readings {
		if r.Kind == "wind_speed_ms" && r.Origin == "observed" {
			wind = r.Value
		}
	}
	assert.InDelta(t, 9.3, wind, 0.2, "Beaufort 5 is 8.0 to 10.7 m/s (World Meteorological Organization)")
}
