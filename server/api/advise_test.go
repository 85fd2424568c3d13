package api_test

import (
	"math"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestAdviseOverTheAPI(t *testing.T) {
	wren := kit.As(t, "wren")
	bar := spotsOf(t, wren)["Kettle Bar"]
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
			Cautions []string
		}
		Conditions []struct{ Kind, Origin string }
	}
	ask := func(secchi float64) answer {
		var a answer
		require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "seatrout", "time": "2026-11-20T15:00:00Z",
			"readings": []object{{"kind": "clarity_secchi_m", "value": secchi, "unit": "m"}}}, &a))
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
		assert.Less(t, c.EdgeLow, c.EdgeHigh)
		assert.NotEmpty(t, c.Cautions)
		assert.False(t, math.IsNaN(c.DepthM))
	}
	for _, c := range clear.Conditions {
		if c.Kind == "clarity_secchi_m" {
			assert.Equal(t, "observed", c.Origin)
		}
	}
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise", object{"spot_id": bar.ID, "target": "haddock"}, &p))
	assert.Contains(t, p.Detail, "known are")
}
