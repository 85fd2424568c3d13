package advice_test

import (
	"fmt"
	"math"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

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

type caution struct{ ID, Severity, Says string }

func TestAdviseOverTheAPI(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
	type answer struct {
		Choices []struct {
			Sentence, Approach, Mark, Retrieve string
			Edge                               float64
			EdgeLow                            float64 `json:"edge_low"`
			EdgeHigh                           float64 `json:"edge_high"`
			DepthM                             float64 `json:"depth_m"`
			Reasons                            []struct {
				Rule, Says string
				Factor     float64
			}
			There, Feeding, Taken float64
			BeatsNext             float64                             `json:"beats_next"`
			BeatsNextSays         string                              `json:"beats_next_says"`
			PerRodHour            struct{ Median, Low, High float64 } `json:"per_rod_hour"`
			Cautions              []caution
		}
		Cautions   []caution
		Gravest    string
		Usual      float64
		Conditions []struct{ Kind, Origin string }
	}
	ask := func(secchi float64) answer {
		var a answer
		require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "seatrout",
			"time": "2026-11-20T15:00:00Z", "readings": []object{{"kind": "clarity_secchi_m", "value": secchi, "unit": "m"}}}, &a))
		return a
	}
	clear, murky := ask(3), ask(0.25)
	require.Len(t, clear.Choices, 3)
	assert.NotEqual(t, clear.Choices[0].Sentence, murky.Choices[0].Sentence)
	for _, c := range clear.Choices {
		product := 1.0
		for _, r := range c.Reasons {
			product *= r.Factor
		}
		assert.InDelta(t, 1, product/c.Edge, 1e-9)
		assert.InDelta(t, 1, c.There*c.Feeding*c.Taken/c.Edge, 1e-9)
		assert.LessOrEqual(t, c.Taken, 1+1e-9)
		assert.True(t, c.BeatsNext >= 0.5-1e-9 && c.BeatsNext <= 1, "%v", c.BeatsNext)
		assert.Contains(t, c.BeatsNextSays, "next")
		assert.Less(t, c.PerRodHour.Low*3, c.PerRodHour.Median)
		assert.Less(t, c.EdgeLow, c.EdgeHigh)
		assert.NotEmpty(t, c.Cautions)
		assert.False(t, math.IsNaN(c.DepthM))
	}
	assert.InDelta(t, 1, clear.Choices[0].Taken, 1e-9, "nothing is taken better than the best")
	assert.True(t, clear.Usual > 0.1 && clear.Usual < 1)
	require.NotEmpty(t, clear.Cautions)
	assert.Equal(t, clear.Cautions[0].Severity, clear.Gravest)
	for _, c := range clear.Conditions {
		if c.Kind == "clarity_secchi_m" {
			assert.Equal(t, "observed", c.Origin)
		}
	}
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "haddock"}, &p))
	assert.Contains(t, p.Detail, "known are")
}

func TestSeveralTargetsSignsAndWhatWouldChange(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
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

// A spot may be reached in more than one way: the question says which, and is answered by it; one that is not
// written is refused and names what is.
func TestByAnotherManner(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	spots := wren.Spots()
	var body object
	require.Equal(t, http.StatusOK, wren.Do("GET", "/spots/"+spots["Ladle Flat"].ID, nil, &body))
	written := body["written"].(object)
	written["manners"] = []string{"boat"}
	written["draught_m"], written["revision"] = 0.3, body["revision"]
	var saved object
	require.Equal(t, http.StatusOK, wren.Do("PUT", "/spots/"+spots["Ladle Flat"].ID, written, &saved), "%v", saved)
	ask := func(manner string) (int, object) {
		var a object
		b := object{"spot_id": spots["Ladle Flat"].ID, "time": "2026-11-20T15:00:00Z", "target": "red-drum", "drawn_px": 400}
		if manner != "" {
			b["manner"] = manner
		}
		return wren.Do("POST", "/advise", b, &a), a
	}
	says := func(a object) string { return fmt.Sprint(a["cautions"]) }
	_, kayak := ask("")
	status, boat := ask("boat")
	require.Equal(t, http.StatusOK, status)
	assert.Contains(t, says(boat), "controls", "someone at the controls")
	assert.NotContains(t, says(kayak), "controls")
	status, refused := ask("wading")
	assert.Equal(t, 422, status)
	assert.Contains(t, fmt.Sprint(refused["detail"]), "one does not go to Ladle Flat wading")
	written["manners"], written["revision"] = []string{"kayak"}, saved["revision"]
	assert.Equal(t, 422, wren.Do("PUT", "/spots/"+spots["Ladle Flat"].ID, written, &saved))
	assert.Contains(t, fmt.Sprint(saved["detail"]), "stands twice")
	// It is drawn as well, and told to who cannot see it.
	side := boat["choices"].([]any)[0].(object)["side"].(object)
	assert.NotEmpty(t, side["strokes"])
	assert.Contains(t, side["says"], "From the side")
}
