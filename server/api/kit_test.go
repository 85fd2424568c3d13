package api_test

import (
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type kitAnswer struct {
	Items []struct {
		ID       string
		Name     string
		Revision int
		Kind     string
		WeightKg float64 `json:"weight_kg"`
	}
	Templates []object
}

func clearKit(t *testing.T, who string) {
	c := kit.As(t, who)
	var k kitAnswer
	require.Equal(t, http.StatusOK, c.Do("GET", "/kit", nil, &k))
	for _, i := range k.Items {
		require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/kit/"+i.ID, nil, nil))
	}
}

func TestTheKitIsKeptAndIsNobodyElses(t *testing.T) {
	clearKit(t, "moss")
	t.Cleanup(func() { clearKit(t, "moss") })
	moss, wren := kit.As(t, "moss"), kit.As(t, "wren")
	id := "/kit/" + uuid.Must(uuid.NewV7()).String()
	head := object{"kind": "head", "name": "Quarter ounce", "weight_kg": 0.0071, "in_hand": true}
	var r struct{ Revision int }
	require.Equal(t, http.StatusOK, moss.Do("PUT", id, head, &r))
	assert.Equal(t, 1, r.Revision)
	assert.Equal(t, http.StatusConflict, moss.Do("PUT", id, head, nil), "written over without having seen it")
	head["revision"], head["name"] = 1, "1/4 oz"
	require.Equal(t, http.StatusOK, moss.Do("PUT", id, head, &r))
	assert.Equal(t, http.StatusNotFound, wren.Do("PUT", id, head, nil))
	assert.Equal(t, http.StatusNotFound, wren.Do("DELETE", id, nil, nil))
	var k kitAnswer
	require.Equal(t, http.StatusOK, moss.Do("GET", "/kit", nil, &k))
	require.Len(t, k.Items, 1)
	assert.Equal(t, "1/4 oz", k.Items[0].Name)
	assert.Greater(t, len(k.Templates), 40)

	for want, body := range map[string]object{
		"needs its weight":                    {"kind": "head", "name": "x", "in_hand": true},
		`no offering "herring"`:               {"kind": "bait", "name": "x", "offering": "herring", "in_hand": true},
		"is no bait":                          {"kind": "bait", "name": "x", "offering": "minnow-plug", "in_hand": true},
		`unknown finish "plaid"`:              {"kind": "lure", "name": "x", "offering": "minnow-plug", "finish": "plaid", "in_hand": true},
		"expected value to be one of":         {"kind": "anchor", "name": "x", "in_hand": true},
		"breaking strength must be between 0": {"kind": "line", "name": "x", "material": "braid", "break_n": 99999, "in_hand": true},
	} {
		var p problem
		assert.Equal(t, 422, moss.Do("PUT", "/kit/"+uuid.Must(uuid.NewV7()).String(), body, &p), want)
		text := p.Detail
		for _, e := range p.Errors {
			text += e.Message
		}
		assert.Contains(t, text, want)
	}

	// Out as a table and in again: the same once more.
	var file string
	require.Equal(t, http.StatusOK, moss.Do("GET", "/interchange/kit.csv", nil, &file))
	assert.True(t, strings.HasPrefix(file, "kind,name,"))
	var read struct {
		Items []object
		Kept  bool
	}
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/kit?preview=true", file, &read))
	assert.False(t, read.Kept)
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/kit", file, &read))
	assert.True(t, read.Kept)
	require.Equal(t, http.StatusOK, moss.Do("GET", "/kit", nil, &k))
	assert.Len(t, k.Items, 2)
	var p problem
	assert.Equal(t, 422, moss.Do("POST", "/interchange/kit", file+"head,no weight\n", &p))
	assert.Contains(t, p.Detail, "line 3")
}

type choices struct {
	Choices []struct {
		Target, Sentence, Offering string
		Edge                       float64
		Uses, Lacks                []string
		Card                       struct {
			RigID    string `json:"rig_id"`
			Hook     string
			Leader   string
			Cast     string
			Refused  string
			WeightKg float64 `json:"weight_kg"`
		}
	}
	Beyond   *struct{ Offering string }
	RuledOut []struct{ Offering, Why string } `json:"ruled_out"`
	Changes  []struct {
		Kind, Says, Offering string
		Past                 float64
		Rises                bool
	} `json:"what_would_change"`
	Kit  bool
	Stay string
	Note string
}

// Advice picks from the kit first, names what is missing and the nearest owned, and
// says what not owned would be better.
func TestAdviceComesFromTheKit(t *testing.T) {
	clearKit(t, "wren")
	t.Cleanup(func() { clearKit(t, "wren") })
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	body := func(more object) object {
		b := object{"spot_id": bar.ID, "target": "red-drum", "time": "2026-11-20T15:00:00Z"}
		for k, v := range more {
			b[k] = v
		}
		return b
	}
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise", body(object{"kit_only": true}), &p))
	assert.Contains(t, p.Detail, "no lure or bait in hand")
	own := func(b object) {
		b["in_hand"] = true
		require.Equal(t, http.StatusOK, wren.Do("PUT", "/kit/"+uuid.Must(uuid.NewV7()).String(), b, nil))
	}
	own(object{"kind": "lure", "name": "Old grey", "offering": "paddle-tail-white", "finish": "dark", "length_m": 0.1})
	own(object{"kind": "bait", "name": "Cut mullet, frozen", "offering": "cut-mullet"})
	own(object{"kind": "hook", "name": "2/0 circles", "size": "2/0", "pattern": "circle"})
	own(object{"kind": "sinker", "name": "4 oz grip", "pattern": "grip", "weight_kg": 0.113})
	var a choices
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", body(nil), &a))
	assert.True(t, a.Kit)
	require.Len(t, a.Choices, 2)
	for _, c := range a.Choices {
		assert.Contains(t, []string{"Old grey", "Cut mullet, frozen"}, c.Offering)
		assert.Equal(t, c.Offering, c.Uses[0])
		if c.Offering == "Cut mullet, frozen" {
			assert.Contains(t, c.Uses, "2/0 circles")
			assert.Contains(t, strings.Join(c.Lacks, "; "), "egg sinker (nearest you have: 4 oz grip)")
			assert.Contains(t, strings.Join(c.Lacks, "; "), "fluorocarbon")
		}
	}
	require.NotNil(t, a.Beyond)
	assert.NotEqual(t, "Old grey", a.Beyond.Offering)
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", body(object{"kit_only": true}), &a))
	assert.Len(t, a.Choices, 2)
}

func TestSeveralTargetsSignsAndWhatWouldChange(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	ask := func(more object) (a choices) {
		b := object{"spot_id": bar.ID, "time": "2026-11-20T15:00:00Z", "targets": []string{"red-drum"}}
		for k, v := range more {
			b[k] = v
		}
		require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", b, &a))
		return a
	}
	both := ask(object{"targets": []string{"red-drum", "spotted-seatrout"}, "most": 20})
	seen := map[string]bool{}
	for i, c := range both.Choices {
		seen[c.Target] = true
		if i > 0 {
			assert.LessOrEqual(t, c.Edge, both.Choices[i-1].Edge)
		}
		assert.NotEmpty(t, c.Card.Cast)
		assert.NotEmpty(t, c.Card.Refused)
	}
	assert.Equal(t, map[string]bool{"red-drum": true, "spotted-seatrout": true}, seen)

	plain, birds, dolphins := ask(nil), ask(object{"signs": []string{"birds"}}), ask(object{"signs": []string{"dolphins"}})
	assert.Greater(t, birds.Choices[0].Edge, plain.Choices[0].Edge*1.3)
	assert.Less(t, dolphins.Choices[0].Edge, plain.Choices[0].Edge/3)
	assert.Contains(t, plain.Stay, "another spot's edge")
	assert.Contains(t, ask(object{"schools": object{"Q3": "clock"}}).Stay, "Half an hour")

	turns := ask(object{"what_would_change": true})
	require.NotEmpty(t, turns.Changes)
	// Believe the reading it names, and the choice is the one it says.
	for _, c := range turns.Changes {
		if c.Kind == "time" {
			continue
		}
		value := c.Past * 1.02
		if !c.Rises {
			value = c.Past * 0.98
		}
		now := ask(object{"readings": []object{{"kind": c.Kind, "value": value}}})
		assert.NotEqual(t, plain.Choices[0].Offering, now.Choices[0].Offering, c.Says)
	}
	var p problem
	for want, b := range map[string]object{
		`unknown sign "mermaid"`:    {"signs": []string{"mermaid"}},
		`unknown school "Q99"`:      {"schools": object{"Q99": "x"}},
		"expected a target":         {"targets": []string{}},
		`unknown position "either"`: {"schools": object{"Q10": "either"}},
	} {
		b["spot_id"] = bar.ID
		if b["targets"] == nil {
			b["targets"] = []string{"red-drum"}
		}
		assert.Equal(t, 422, wren.Do("POST", "/advise", b, &p), want)
		assert.Contains(t, p.Detail, want)
	}
}

func TestTwoChoicesSideBySide(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
	pick := func(at, offering string) object {
		return object{"spot_id": bar.ID, "time": at, "target": "red-drum", "offering": offering}
	}
	var c struct {
		A, B    struct{ Edge float64 }
		Ratio   float64
		Reasons []struct {
			Rule string
			A, B float64
		}
	}
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise/compare", object{"a": pick("2026-11-20T15:00:00Z", ""), "b": pick("2026-11-20T20:00:00Z", "")}, &c))
	ratio := 1.0
	for _, r := range c.Reasons {
		ratio *= r.A / r.B
	}
	assert.InEpsilon(t, c.A.Edge/c.B.Edge, ratio, 1e-9)
	assert.InEpsilon(t, c.Ratio, ratio, 1e-9)
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise/compare", object{"a": pick("2026-11-20T15:00:00Z", "Skirted lure"), "b": pick("2026-11-20T20:00:00Z", "")}, &p))
	assert.Contains(t, p.Detail, "cannot be fished there")
}

func TestRigsKnotsAndPractice(t *testing.T) {
	wren := kit.As(t, "wren")
	var card struct {
		Name    string
		Ways    []object
		Drawing struct {
			Height  float64
			Strokes []object
			Labels  []struct{ Text string }
		}
	}
	require.Equal(t, http.StatusOK, wren.Do("GET", "/rigs/fish-finder/card?leader_n=133&leader_of=fluorocarbon&weight_kg=0.05&hook=2%2F0+circle&offering=live-shrimp", nil, &card))
	var labels []string
	for _, l := range card.Drawing.Labels {
		labels = append(labels, l.Text)
	}
	assert.Contains(t, strings.Join(labels, "|"), "2/0 circle hook")
	assert.Contains(t, strings.Join(labels, "|"), "50 g")
	assert.Equal(t, http.StatusNotFound, wren.Do("GET", "/rigs/hammer/card", nil, nil))
	var knots []struct{ ID string }
	require.Equal(t, http.StatusOK, wren.Do("GET", "/knots", nil, &knots))
	assert.Len(t, knots, 8)

	cast := object{"seed": 7, "pace_ms": 0.5, "flight_speed_ms": 12, "reach_m": 30, "splash_clear_m": 1.8, "window_min_m": 0.15, "window_max_m": 0.6}
	var swim struct {
		XM []float64 `json:"x_m"`
	}
	require.Equal(t, http.StatusOK, wren.Do("POST", "/bench/practice", cast, &swim))
	assert.Greater(t, len(swim.XM), 500)
	cast["at_s"], cast["land_x_m"], cast["land_y_m"] = 0, swim.XM[0], 400
	var out struct {
		Strike bool
		Says   string
	}
	require.Equal(t, http.StatusOK, wren.Do("POST", "/bench/practice/throw", cast, &out))
	assert.Contains(t, out.Says, "beyond your reach")
	var usual struct {
		Turn    float64  `json:"length_per_turn_m"`
		FromKit []string `json:"from_kit"`
	}
	require.Equal(t, http.StatusOK, kit.As(t, "moss").Do("GET", "/bench/usual?spot_id="+spotsOf(t, kit.As(t, "moss"))["Candle Bar"].ID, nil, &usual))
	assert.Equal(t, 0.6, usual.Turn)
}
