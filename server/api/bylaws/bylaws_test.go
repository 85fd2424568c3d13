package bylaws_test

import (
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type problem struct {
	Errors []struct{ Location, Message string }
}

type verdict struct {
	Verdict, Why, Measure string
	Notes, Duties, Codes  []string
	MarginM               *float64 `json:"margin_m"`
	Near, Stale           bool
	Bag                   *struct {
		Used, Left int
		SharedWith []string `json:"shared_with"`
		Boat       *struct{ Left int }
		People     []struct {
			Angler string
			Left   int
		}
	}
	Sources []struct{ Source, Checked string }
}

func bylaw(more object, species ...string) object {
	b := object{"species": species, "source": "Invented handbook", "checked": "2026-05-03"}
	for k, v := range more {
		b[k] = v
	}
	return b
}

func put(t *testing.T, c *testkit.Client, b object) string {
	t.Helper()
	id := uuid.NewString()
	var out any
	require.Equal(t, http.StatusOK, c.Do("PUT", "/bylaws/"+id, b, &out), "%v", out)
	return id
}

func ask(t *testing.T, c *testkit.Client, body object) (v verdict) {
	t.Helper()
	var said any
	require.Equal(t, http.StatusOK, c.Do("POST", "/keep", body, &said), "%v", said)
	require.Equal(t, http.StatusOK, c.Do("POST", "/keep", body, &v))
	return v
}

// With nothing entered nothing is known; with a rule it is said, with its source; and a bag is counted from the log.
func TestAFishIsJudgedByWhatWasEntered(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	bar := c.ID("Kettle Bar")
	fish := object{"species": "red-drum", "length_m": 0.6985, "spot_id": bar, "time": "2026-11-20T09:00:00Z"}
	v := ask(t, c, fish)
	assert.Equal(t, "not known", v.Verdict)
	assert.Contains(t, v.Why, "Nothing is entered for red drum here")
	assert.Nil(t, v.Bag)

	id := put(t, c, bylaw(object{"min_m": 0.7112, "bag": 2, "authority": "Grey Coast Fishery",
		"duties": []object{{"kind": "tag"}}}, "red drum", "Black drum"))
	v = ask(t, c, fish)
	assert.Equal(t, "release", v.Verdict)
	assert.Equal(t, "1.3 cm short: the least is 71.1 cm, and it is 69.9 cm (Grey Coast Fishery).", v.Why)
	require.NotNil(t, v.MarginM)
	assert.InDelta(t, -0.0127, *v.MarginM, 1e-9)
	assert.Equal(t, []string{"Tag it before anything else."}, v.Duties)
	fish["length_m"] = 0.7112
	v = ask(t, c, fish)
	assert.Equal(t, "keep", v.Verdict, "limits are inclusive")
	assert.True(t, v.Near)
	assert.Equal(t, []string{"Black drum"}, v.Bag.SharedWith)
	assert.Equal(t, "Invented handbook", v.Sources[0].Source)

	// Two kept of the other kind, one in the log and one the log does not know of yet.
	spell := uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+spell, object{"spot_id": bar, "target": "black-drum",
		"started_at": "2026-11-20T06:00:00Z", "ended_at": "2026-11-20T08:00:00Z", "rods": 1}, nil))
	kept := uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/catches/"+kept, object{"spell_id": spell, "target": "black-drum",
		"caught_at": "2026-11-20T07:00:00Z", "kept": true}, nil))
	assert.Equal(t, 1, ask(t, c, fish).Bag.Left)
	fish["kept"] = []object{{"id": kept, "species": "black-drum", "time": "2026-11-20T07:00:00Z"}}
	assert.Equal(t, 1, ask(t, c, fish).Bag.Left, "one the log knows too counts once")
	fish["kept"] = []object{{"id": uuid.NewString(), "species": "black-drum", "time": "2026-11-20T07:30:00Z"},
		{"id": uuid.NewString(), "species": "black-drum", "angler": "Finch", "time": "2026-11-20T07:30:00Z"}}
	fish["aboard"] = []string{"Heron"}
	v = ask(t, c, fish)
	assert.Equal(t, "release", v.Verdict)
	assert.Contains(t, v.Why, "is full")
	require.Len(t, v.Bag.People, 3)
	assert.Equal(t, "Finch", v.Bag.People[1].Angler)
	assert.Equal(t, 1, v.Bag.People[1].Left)
	fish["catch_id"] = kept
	assert.Equal(t, "keep", ask(t, c, fish).Verdict, "a fish does not count against itself")

	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/bylaws/"+id, nil, nil))
	assert.Equal(t, "not known", ask(t, c, fish).Verdict)
	assert.Equal(t, 404, c.Do("DELETE", "/bylaws/"+id, nil, nil))
}

// A place alone will do; its day is told by the clock of the nearest spot.
func TestAPlaceWithoutASpot(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	put(t, c, bylaw(object{"bag": 1, "seasons": []object{{"from": "11-21", "to": "11-30"}},
		"area": object{"ring": []object{{"lat": 31, "lon": -46}, {"lat": 32, "lon": -46}, {"lat": 32, "lon": -44}, {"lat": 31,
			"lon": -44}}}}, "any"))
	at := func(lat float64, time string) string {
		return ask(t, c, object{"species": "Some wrasse", "lat": lat, "lon": -45.1, "time": time}).Verdict
	}
	// The coast is three hours behind UTC.
	assert.Equal(t, "not known", at(31.2, "2026-11-21T02:59:00Z"))
	assert.Equal(t, "keep", at(31.2, "2026-11-21T03:00:00Z"))
	assert.Equal(t, "not known", at(30.9, "2026-11-21T03:00:00Z"), "beyond the line")
	var p problem
	require.Equal(t, 422, c.Do("POST", "/keep", object{"species": "red-drum"}, &p))
	assert.Equal(t, "body.spot_id", p.Errors[0].Location)
}

// Rules are kept, changed, listed as sentences and asked for by place and day; what is wrong is named.
func TestRulesAreKept(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	b := testkit.ABylaw()
	id := put(t, c, b)
	b["bag"], b["revision"] = 2, 1
	require.Equal(t, http.StatusOK, c.Do("PUT", "/bylaws/"+id, b, nil))
	assert.Equal(t, 409, c.Do("PUT", "/bylaws/"+id, object(bylaw(object{"bag": 9}, "any")), nil))
	type listed struct {
		Bylaws []struct {
			ID, Says, Sourced string
			InForce           bool `json:"in_force"`
			Revision          int
			Seasons           []struct{ From, To string }
		}
	}
	var list listed
	require.Equal(t, http.StatusOK, c.Do("GET", "/bylaws", nil, &list))
	require.Len(t, list.Bylaws, 1)
	assert.Equal(t, "Red drum, in the sound, from 1 March to 31 December: 35.6 cm to 61 cm total length, and 1 a day over 61 cm, "+
		"2 a person and day, "+
		"circle hooks with bait, report within 24 h.", list.Bylaws[0].Says)
	assert.Equal(t, "Invented handbook, p. 4, checked 3 May 2026 by Wren", list.Bylaws[0].Sourced)
	assert.True(t, list.Bylaws[0].InForce)
	for query, n := range map[string]int{"at=31.2,-45.1": 1, "at=51.2,-45.1": 0, "date=2026-02-01": 0, "at=31.2,-45.1&date=2026-04-01": 1} {
		require.Equal(t, http.StatusOK, c.Do("GET", "/bylaws?"+query, nil, &list))
		assert.Len(t, list.Bylaws, n, query)
	}
	for field, wrong := range map[string]object{"body.species": {"species": []string{" "}}, "body.source": {"source": "  "},
		"body.checked": {"checked": "2027-05-01"}, "body": {"min_m": 0.9}, "body.seasons": {"seasons": []object{{"from": "March",
			"to": "May"}}},
		"body.from": {"from": "19:00"}, "body.area": {"area": object{"ring": []object{{"lat": 0, "lon": 0}, {"lat": 1, "lon": 1},
			{"lat": 0, "lon": 1},
			{"lat": 1, "lon": 0}}}}, "body.duties": {"duties": []object{{"kind": "tag", "to": "a;b"}}}} {
		bad := testkit.ABylaw()
		for k, v := range wrong {
			bad[k] = v
		}
		var p problem
		require.Equal(t, 422, c.Do("PUT", "/bylaws/"+uuid.NewString(), bad, &p), field)
		assert.True(t, strings.HasPrefix(p.Errors[0].Location, field), "%s: %v", field, p.Errors)
	}
	var again struct{ Seasons []object }
	require.Equal(t, http.StatusOK, c.Do("GET", "/bylaws/"+id+"/again", nil, &again))
	assert.Len(t, again.Seasons, 1)
}

// A closed season is closed everywhere: the chart, advice, the fortnight.
func TestAClosedRuleIsClosedEverywhere(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	bar := c.ID("Kettle Bar")
	put(t, c, bylaw(object{"name": "Nursery closure", "status": "closed", "seasons": []object{{"from": "11-01", "to": "12-31"}}}, "any"))
	var chart struct {
		Spots []struct {
			ID       string
			Open     bool
			ClosedBy string `json:"closed_by"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/chart?time=2026-11-20T09:30:00Z", nil, &chart))
	require.NotEmpty(t, chart.Spots)
	for _, s := range chart.Spots {
		assert.NotEmpty(t, s.ClosedBy)
		if s.ID == bar {
			assert.Equal(t, "Nursery closure", s.ClosedBy)
		}
		assert.False(t, s.Open)
	}
	var advice struct {
		Note    string
		Choices []any
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": bar, "target": "red-drum", "time": "2026-11-20T09:30:00Z"},
		&advice))
	assert.Empty(t, advice.Choices)
	assert.Contains(t, advice.Note, "Nothing may be taken here now.")
	var windows struct{ Windows []any }
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?targets=red-drum&days=3", nil, &windows))
	assert.Empty(t, windows.Windows)
}

// A file is read as a whole or not at all, says what it would do, and is the same on the way out.
func TestAFileOfRules(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	type taken struct {
		Says                 []string
		Added, Renewed, Same int
		Kept                 bool
		Found                []struct {
			Grade, Says string
			Line        int
		}
	}
	file := testkit.AFileOfBylaws +
		"  - species: [red drum]\n    min: 18 in\n    bag: 3\n    source: Invented handbook, p. 4\n    checked: 2024-05-03\n"
	var out taken
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/bylaws?preview=true", file, &out))
	assert.Equal(t, 2, out.Added)
	assert.False(t, out.Kept)
	require.NotEmpty(t, out.Found)
	assert.Equal(t, 6, out.Found[0].Line)
	assert.Contains(t, out.Found[0].Says, "too long ago to trust")
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/bylaws", file, &out))
	assert.True(t, out.Kept)
	for _, f := range []string{"yaml", "csv"} {
		var raw string
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/bylaws."+f, nil, &raw))
		require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/bylaws", raw, &out), raw)
		assert.Equal(t, 2, out.Same, f)
		assert.Zero(t, out.Added+out.Renewed)
		renewed := strings.ReplaceAll(raw, "2024-05-03", "2026-0"+map[string]string{"yaml": "6", "csv": "7"}[f]+"-01")
		require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/bylaws?preview=true", renewed, &out))
		assert.Equal(t, 1, out.Renewed)
	}
	var p problem
	require.Equal(t, 422, c.Do("POST", "/interchange/bylaws", strings.Replace(file, "bag: 3", "bag: many", 1), &p))
	assert.Contains(t, p.Errors[0].Message, "line 8")
	var list struct{ Bylaws []any }
	require.Equal(t, http.StatusOK, c.Do("GET", "/bylaws", nil, &list))
	assert.Len(t, list.Bylaws, 2)
}

// A check tells what is wrong among the rules one keeps, beside a new one, and where nothing is known.
func TestRulesAreChecked(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	type checked struct {
		Says  string
		Found []struct{ Grade, BylawID, Says string }
	}
	var out checked
	require.Equal(t, http.StatusOK, c.Do("POST", "/bylaws/check", object{}, &out))
	gaps := 0
	for _, f := range out.Found {
		if f.Grade == "gap" && strings.Contains(f.Says, "never means allowed") {
			gaps++
		}
	}
	assert.Positive(t, gaps, "the log has fish nobody entered a rule for")
	put(t, c, bylaw(object{"max_m": 0.5}, "red drum"))
	require.Equal(t, http.StatusOK, c.Do("POST", "/bylaws/check", object{"bylaw": bylaw(object{"min_m": 0.6}, "drums")}, &out))
	assert.Equal(t, "Drums: 60 cm or more total length.", out.Says)
	var says []string
	for _, f := range out.Found {
		says = append(says, f.Grade+": "+f.Says)
	}
	assert.Contains(t, strings.Join(says, "\n"), "fault: no length satisfies both")
}

// The day's card holds everybody's fish of that local day, what is left of each kind, and what was put back.
func TestTheCardOfADay(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	bar := c.ID("Kettle Bar")
	put(t, c, bylaw(object{"min_m": 0.35, "bag": 3}, "red drum"))
	spell := uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+spell, object{"spot_id": bar, "target": "red-drum",
		"started_at": "2026-11-20T02:00:00Z", "ended_at": "2026-11-20T08:00:00Z", "rods": 1, "catches": []object{
			{"id": uuid.NewString(), "target": "red-drum", "caught_at": "2026-11-20T02:30:00Z", "kept": true},
			{"id": uuid.NewString(), "target": "red-drum", "caught_at": "2026-11-20T07:30:00Z", "kept": true, "length_m": 0.5},
			{"id": uuid.NewString(), "target": "red-drum", "caught_at": "2026-11-20T07:40:00Z", "length_m": 0.3}}}, nil))
	var card struct {
		Day            string
		Kept, Released []struct{ Angler, Species string }
		Limits         []struct {
			Species string
			Bag     *struct {
				Left   int
				People []struct{ Left int }
			}
		}
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/day-card", object{"spot_id": bar, "time": "2026-11-20T09:00:00Z",
		"species": []string{"snook"},
		"kept":    []object{{"species": "red-drum", "angler": "Finch", "time": "2026-11-20T08:00:00Z"}}}, &card))
	assert.Equal(t, "2026-11-20", card.Day)
	require.Len(t, card.Kept, 2, "at half past two by UTC it was still the day before")
	assert.Equal(t, "Finch", card.Kept[1].Angler)
	assert.Len(t, card.Released, 1)
	require.Len(t, card.Limits, 2)
	assert.Nil(t, card.Limits[0].Bag, "of snook nothing is entered")
	assert.Equal(t, 2, card.Limits[1].Bag.Left)
	assert.Len(t, card.Limits[1].Bag.People, 2)
}

// A full bag is said with advice on the fish; a fish that may not be sought shuts no place, but is not planned for.
func TestAdviceKnowsTheBagAndTheClosedFish(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	bar := c.ID("Kettle Bar")
	put(t, c, bylaw(object{"name": "Drums", "bag": 1}, "red drum", "black drum"))
	said := func(target string) (all string) {
		var a struct {
			Note     string
			Cautions []struct{ Says string }
		}
		asked := object{"spot_id": bar, "target": target, "time": "2026-11-20T09:30:00Z"}
		require.Equal(t, http.StatusOK, c.Do("POST", "/advise", asked, &a))
		for _, k := range a.Cautions {
			all += k.Says + " "
		}
		return all + a.Note
	}
	assert.NotContains(t, said("red-drum"), "is full")
	spell := testkit.ASpell(bar)
	spell["started_at"], spell["ended_at"] = "2026-11-20T06:00:00Z", "2026-11-20T08:00:00Z"
	spell["catches"] = []object{{"id": uuid.NewString(), "target": "black-drum", "caught_at": "2026-11-20T07:00:00Z", "kept": true}}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), spell, nil))
	assert.Contains(t, said("red-drum"), "Drums: the bag of 1 is full; any more red drum go back.")

	put(t, c, bylaw(object{"name": "Closed season", "status": "closed"}, "red drum"))
	assert.Contains(t, said("red-drum"), "Red drum may not be fished for here now.")
	for target, none := range map[string]bool{"red-drum": true, "spotted-seatrout": false} {
		var windows struct{ Windows []any }
		require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?days=3&targets="+target, nil, &windows))
		assert.Equal(t, none, len(windows.Windows) == 0, target)
	}

	put(t, c, bylaw(object{"status": "release only"}, "Spotted seatrout"))
	var windows struct {
		Windows []struct {
			Release bool `json:"release_only"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/ahead/windows?days=3&targets=spotted-seatrout", nil, &windows))
	require.NotEmpty(t, windows.Windows)
	assert.True(t, windows.Windows[0].Release)
}
