package advice_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTwoChoicesSideBySide(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	bar := wren.Spots()["Kettle Bar"]
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
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise/compare", object{"a": pick("2026-11-20T15:00:00Z", ""),
		"b": pick("2026-11-20T20:00:00Z", "")}, &c))
	ratio := 1.0
	for _, r := range c.Reasons {
		ratio *= r.A / r.B
	}
	assert.InEpsilon(t, c.A.Edge/c.B.Edge, ratio, 1e-9)
	assert.InEpsilon(t, c.Ratio, ratio, 1e-9)

	// A way of one's own stands beside what was offered, weighed as it is alone.
	way := object{"mark": "Crest", "offering_id": "live-shrimp", "rig_id": "popping-float"}
	own, alone := pick("2026-11-20T15:00:00Z", ""), pick("2026-11-20T15:00:00Z", "")
	own["way"] = way
	delete(alone, "offering")
	for k, v := range way {
		alone[k] = v
	}
	var mine struct{ Edge float64 }
	require.Equal(t, http.StatusOK, wren.Do("POST", "/edge", alone, &mine))
	require.Equal(t, http.StatusOK, wren.Do("POST", "/advise/compare", object{"a": own, "b": pick("2026-11-20T15:00:00Z", "")}, &c))
	assert.InEpsilon(t, mine.Edge, c.A.Edge, 1e-12)
	assert.Greater(t, c.B.Edge, c.A.Edge)
	way["rig_id"] = "rope"
	var p problem
	assert.Equal(t, 422, wren.Do("POST", "/advise/compare", object{"a": pick("2026-11-20T15:00:00Z", ""), "b": own}, &p))
	assert.Equal(t, "body.b.way.rig_id", p.Errors[0].Location)
	assert.Equal(t, 422, wren.Do("POST", "/advise/compare", object{"a": pick("2026-11-20T15:00:00Z", "Skirted lure"),
		"b": pick("2026-11-20T20:00:00Z", "")}, &p))
	assert.Contains(t, p.Detail, "cannot be fished there")
}
