package testkit

import (
	"net/http"
	"time"

	"github.com/google/uuid"

	"github.com/stretchr/testify/require"
)

// Spot as it is listed.
type Spot struct{ ID, Name, Place string }

// Spots of the angler by name.
func (c *Client) Spots() map[string]Spot {
	c.t.Helper()
	var list []Spot
	require.Equal(c.t, http.StatusOK, c.Do("GET", "/spots", nil, &list))
	out := map[string]Spot{}
	for _, s := range list {
		out[s.Name] = s
	}
	return out
}

// ASpell of an hour at a spot, ready to be logged.
func ASpell(spot string) Object {
	return Object{"spot_id": spot, "target": "red-drum", "started_at": "2026-11-19T12:00:00Z", "ended_at": "2026-11-19T13:00:00Z",
		"approach": "lure", "offering": "White paddle tail"}
}

// APlan of the day after the demo's, with one stay at a spot.
func APlan(spot string) Object {
	return Object{"name": "Saturday", "from": "2026-11-21T08:00:00Z", "to": "2026-11-21T20:00:00Z", "targets": []string{"red-drum"},
		"legs": 2, "pack_min": 15, "margin_min": 20, "tell": "Reed, at home", "call_min": 60,
		"stays": []Object{{"spot_id": spot, "arrive": "2026-11-21T10:00:00Z", "leave": "2026-11-21T12:30:00Z", "target": "red-drum"}}}
}

// AnOuting of one spell at a spot, with a bite.
func AnOuting(spot string) Object {
	touch := func(n int, minute, kind string) Object {
		return Object{"id": uuid.NewString(), "n": n, "time": "2026-11-19T12:" + minute + ":00Z", "kind": kind}
	}
	begins := touch(1, "00", "fish")
	begins["doing"] = Object{"spot_id": spot, "target": "red-drum", "rods": 1, "offering": "White paddle tail"}
	return Object{"touches": []Object{begins, touch(2, "20", "bite"), touch(3, "40", "end")}, "tell": "Reed, at home"}
}

// ATarget of an angler's own.
func ATarget(name string) Object {
	return Object{"name": name, "latin": "Piscis inventus", "weight_a": 0.01, "weight_b": 3, "senses": "both",
		"columns": []string{"bottom"}, "feeds_from_c": 8, "feeds_to_c": 24, "lives": []string{"oyster bar"},
		"takes": []string{"live-shrimp", "cut-shrimp", "bucktail"}, "hooks": "1/0", "strikes_from_m": 0.1, "strikes_to_m": 0.3,
		"hazard": "shell", "handling": "gently"}
}

// Sheet of all that is known of a spot at a moment.
type Sheet struct {
	Light    string
	Readings []struct {
		Kind, Says, Origin, Source, Place string
		Value, Low, High                  float64
		Age                               float64 `json:"age_s"`
	}
	Surface struct {
		Word, Side string
		Outlined   bool
	}
	Trend *struct {
		PerDay float64 `json:"per_day"`
		Days   int
	} `json:"water_temp_trend"`
	Warmth []struct {
		Name   string
		Now    *float64 `json:"now_c"`
		Points []struct{ C *float64 }
	}
	Bands []struct {
		Light    string
		FromM    float64                        `json:"from_m"`
		ToM      float64                        `json:"to_m"`
		Finishes []struct{ Finish, Why string } `json:"finishes"`
	}
	History []struct {
		Kind   string
		Points []struct{ Origin string }
	}
}

// Sheet of a spot at a time.
func (c *Client) Sheet(spot string, at time.Time) (s Sheet) {
	c.t.Helper()
	require.Equal(c.t, http.StatusOK, c.Do("GET", "/conditions?spot_id="+spot+"&time="+at.Format(time.RFC3339), nil, &s))
	return s
}

// Of a kind, what the sheet says.
func (s Sheet) Of(kind string) (origin string, value float64, says, place string) {
	for _, r := range s.Readings {
		if r.Kind == kind {
			return r.Origin, r.Value, r.Says, r.Place
		}
	}
	return "", 0, "", ""
}

// ATrial of two colours at a spot, two rounds of it.
func ATrial(spot string) Object {
	arm := func(colour string) Object {
		return Object{"name": colour, "approach": "lure", "offering_id": "paddle-tail-" + colour, "rig_id": "jig-head"}
	}
	return Object{"question": "Does dark beat white in the murk?", "target": "red-drum", "spot_id": spot, "arms": []Object{arm("dark"),
		arm("white")},
		"block_min": 15, "rounds": 2, "rods": []string{"long", "short"}}
}

// ABlock of a trial's first turn, with a fish.
func ABlock() Object {
	return Object{"turn": 0, "started_at": "2026-11-19T12:00:00Z", "ended_at": "2026-11-19T12:15:00Z", "landed": 1, "lost": 1, "foul": 1,
		"species": Object{"red-drum": 1}}
}

// ASighting of birds at a spot.
func ASighting(spot string) Object {
	return Object{"spot_id": spot, "seen_at": "2026-11-19T06:00:00Z", "signs": []string{"birds", "a run"}, "note": "Terns over the bar."}
}

// ABylaw of an invented authority.
func ABylaw() Object {
	return Object{"name": "Slot of the sound", "authority": "Grey Coast Fishery", "species": []string{"red drum"}, "min_m": 0.3556,
		"max_m": 0.6096, "over": 1, "bag": 3, "measure": "total", "seasons": []Object{{"from": "03-01", "to": "12-31"}},
		"area": Object{"name": "the sound", "ring": []Object{{"lat": 30, "lon": -46}, {"lat": 32, "lon": -46}, {"lat": 32, "lon": -44},
			{"lat": 30, "lon": -44}}},
		"gear": Object{"circle_hooks": true}, "duties": []Object{{"kind": "report", "within_h": 24}},
		"source": "Invented handbook, p. 4", "checked": "2026-05-03", "checked_by": "Wren"}
}

// AFileOfBylaws with one rule.
const AFileOfBylaws = "bylaws:\n  - species: [black drum]\n    min: 14 in\n    source: Invented handbook, p. 5\n    checked: 2026-05-03\n"

// AFile of one spell at a spot of a name.
func AFile(spot string) Object {
	return Object{"id": "018f0000-0000-7000-8000-0000000000c5", "name": "mine.csv",
		"text": "spot,time,hours,target,count\n" + spot + ",2025-11-19 06:00,1,red drum,1\n"}
}
