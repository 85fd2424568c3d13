package places_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestRibbonAgreesWithState(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	for _, sp := range wren.Spots() {
		var r struct {
			Frames []struct {
				Time    time.Time
				LevelM  float64   `json:"level_m"`
				DepthsM []float64 `json:"depths_m"`
				Stage   string
				Open    bool
			}
			Turns    []object
			Marks    []object
			Daylight []struct{ From, To time.Time }
		}
		require.Equal(t, http.StatusOK, wren.Do("GET", "/spots/"+sp.ID+"/ribbon?from=2026-11-20T03:00:00Z&hours=36", nil, &r))
		assert.GreaterOrEqual(t, len(r.Frames), 217+len(r.Turns)-2)
		assert.NotEmpty(t, r.Daylight)
		f := r.Frames[77]
		var s struct {
			LevelM float64 `json:"level_m"`
			Stage  struct{ Says string }
			Open   bool
			Marks  []struct {
				DepthM float64 `json:"depth_m"`
			}
		}
		require.Equal(t, http.StatusOK, wren.Do("GET", "/spots/"+sp.ID+"/state?time="+f.Time.Format(time.RFC3339), nil, &s))
		assert.InDelta(t, s.LevelM, f.LevelM, 1e-9)
		assert.Equal(t, s.Stage.Says, f.Stage)
		assert.Equal(t, s.Open, f.Open)
		for i, m := range s.Marks {
			assert.InDelta(t, m.DepthM, f.DepthsM[i], 1e-9)
		}
	}
}
