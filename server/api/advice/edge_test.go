package advice_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What one would do oneself is weighed as the advice is, advised or not.
func TestOnesOwnWay(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	ask := object{"spot_id": wren.ID("Kettle Bar"), "target": "red-drum", "time": "2026-11-20T15:00:00Z"}
	mine := func(more object) object {
		b := object{"mark": "Seaward edge", "offering_id": "live-shrimp", "rig_id": "popping-float"}
		for k, v := range ask {
			b[k] = v
		}
		for k, v := range more {
			b[k] = v
		}
		return b
	}
	type choice struct {
		Sentence, Offering    string
		Mark                  string
		Edge                  float64
		There, Feeding, Taken float64
		Card                  struct {
			RigID string `json:"rig_id"`
			Style string
		}
		Cautions []caution
		Reasons  []struct{ Factor float64 }
	}
	var advised struct{ Choices []choice }
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", ask, &advised))
	first := advised.Choices[0]
	var book struct{ Offerings []struct{ ID, Name string } }
	require.Equal(t, http.StatusOK, wren.Do("GET", "/playbook", nil, &book))
	id := ""
	for _, o := range book.Offerings {
		if o.Name == first.Offering {
			id = o.ID
		}
	}
	require.NotEmpty(t, id)
	var same choice
	require.Equal(t, http.StatusOK, wren.Do("POST", "/edge", mine(object{"mark": first.Mark, "offering_id": id, "rig_id": first.Card.RigID,
		"style": first.Card.Style}), &same))
	assert.InDelta(t, first.Edge, same.Edge, 1e-9, "what was advised is worth what was said")
	assert.Equal(t, first.Sentence, same.Sentence)

	// A spoon wound through shell: nobody would advise it, and it is told what it is worth and why not.
	var odd choice
	require.Equal(t, http.StatusOK, wren.Do("POST", "/edge", mine(object{"mark": "Crest", "offering_id": "jigging-metal",
		"rig_id": "vertical-jig"}), &odd))
	product := 1.0
	for _, r := range odd.Reasons {
		product *= r.Factor
	}
	assert.InEpsilon(t, odd.Edge, product, 1e-9)
	assert.LessOrEqual(t, odd.Taken, 1.0)
	found := false
	for _, c := range odd.Cautions {
		found = found || c.ID == "my way"
	}
	assert.True(t, found, "%v", odd.Cautions)

	for field, b := range map[string]object{"mark": {"mark": "Nowhere"}, "offering_id": {"offering_id": "bread"},
		"rig_id": {"rig_id": "rope"},
		"style":  {"style": "walk"}} {
		var p problem
		assert.Equal(t, 422, wren.Do("POST", "/edge", mine(b), &p), field)
		assert.Equal(t, "body."+field, p.Errors[0].Location)
	}
}

// An angler's own limits are theirs, and advice begins with them.
func TestLimitsToGoing(t *testing.T) {
	wren, heron := kit.Fresh(t, "wren"), kit.Fresh(t, "heron")
	type limits struct {
		Limits []struct {
			ID         string
			Think      *float64
			DoNot      *float64 `json:"do_not"`
			HouseThink *float64 `json:"house_think"`
			Own        bool
		}
	}
	of := func(who interface {
		Do(string, string, any, any) int
	}, id string) (think *float64, own bool) {
		var l limits
		require.Equal(t, http.StatusOK, who.Do("GET", "/limits", nil, &l))
		for _, k := range l.Limits {
			if k.ID == id {
				return k.Think, k.Own
			}
		}
		t.Fatal(id)
		return nil, false
	}
	think, own := of(wren, "kayak_wind_ms")
	assert.InDelta(t, 6, *think, 1e-9)
	assert.False(t, own)
	ask := object{"spot_id": wren.ID("Ladle Flat"), "target": "spotted-seatrout", "time": "2026-11-20T15:00:00Z",
		"readings": []object{{"kind": "wind_speed_ms", "value": 5}, {"kind": "wind_from_deg", "value": 350},
			{"kind": "water_temp_c", "value": 20}}}
	gravest := func() string {
		var a struct{ Gravest string }
		require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", ask, &a))
		return a.Gravest
	}
	before := gravest()
	assert.NotEqual(t, "do not", before)
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/limits", object{"limits": []object{{"id": "kayak_wind_ms", "think": 3, "do_not": 4.5},
		{"id": "cold_water_c", "think": nil, "do_not": nil}}}, nil))
	assert.Equal(t, "do not", gravest())
	think, own = of(wren, "cold_water_c")
	assert.Nil(t, think)
	assert.True(t, own)
	_, own = of(heron, "kayak_wind_ms")
	assert.False(t, own, "somebody else's are their own")
	for says, l := range map[string]object{"unknown limit": {"id": "bravery", "think": 1}, "must come before": {"id": "breakers_m",
		"think": 2, "do_not": 1}} {
		var p problem
		assert.Equal(t, 422, wren.Do("PUT", "/limits", object{"limits": []object{l}}, &p))
		assert.Contains(t, p.Detail, says)
	}
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/limits", object{"limits": []object{}}, nil))
	assert.Equal(t, before, gravest())
}

// Case 12 of the trade: what else an angler has, and where, changes nothing of what a place is worth.
func TestSpotsElsewhereChangeNothing(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	ask := object{"spot_id": wren.ID("Kettle Bar"), "targets": []string{"red-drum", "spotted-seatrout"}, "time": "2026-11-20T15:00:00Z",
		"most": 20}
	edges := func() (out []float64) {
		var a struct{ Choices []struct{ Edge float64 } }
		require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", ask, &a))
		for _, c := range a.Choices {
			out = append(out, c.Edge)
		}
		return out
	}
	before := edges()
	gpx := `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" creator="x">` +
		`<wpt lat="31.25" lon="-45.05"><name>Far Post</name></wpt></gpx>`
	require.Equal(t, http.StatusOK, wren.Do("POST", "/interchange/import?format=gpx&place=pier&water_id="+wren.ID("Sedge Sound"), gpx, nil))
	require.Contains(t, wren.Spots(), "Far Post")
	assert.Equal(t, before, edges())
}
