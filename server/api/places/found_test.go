package places_test

import (
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// A depth that was sounded and a way that was seen to shut correct the spot by the level of the water then.
func TestWhatWasFoundCorrectsTheSpot(t *testing.T) {
	c := kit.Fresh(t, "wren")
	spot := c.Spots()["Kettle Bar"]
	path := "/spots/" + spot.ID
	type state struct {
		LevelM float64 `json:"level_m"`
		Open   bool
		Marks  []struct {
			Name   string
			DepthM float64 `json:"depth_m"`
		}
	}
	now := testkit.Now
	look := func() (s state, revision int) {
		require.Equal(t, http.StatusOK, c.Do("GET", path+"/state?time="+now.Format("2006-01-02T15:04:05Z"), nil, &s))
		var sp struct{ Revision int }
		require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &sp))
		return s, sp.Revision
	}
	before, revision := look()
	require.NotEmpty(t, before.Marks)
	mark := before.Marks[0].Name
	require.Equal(t, http.StatusOK, c.Do("POST", path+"/found", object{"time": now, "mark": mark, "depth_m": 2.75}, nil))
	after, then := look()
	assert.Equal(t, revision+1, then)
	assert.InDelta(t, 2.75, after.Marks[0].DepthM, 0.01)

	require.Equal(t, http.StatusOK, c.Do("POST", path+"/found", object{"time": now, "shut": true}, nil))
	var windows []struct{ Opens *string }
	require.Equal(t, http.StatusOK, c.Do("GET", path+"/windows?from="+now.Format("2006-01-02T15:04:05Z"), nil, &windows))
	require.NotEmpty(t, windows)
	assert.NotNil(t, windows[0].Opens, "it is shut now, and opens later")

	for _, bad := range []object{{"time": now}, {"time": now, "mark": mark}, {"time": now, "mark": "no such mark", "depth_m": 2},
		{"time": now, "shut": true, "mark": mark, "depth_m": 2}, {"time": now, "depth_m": 2}} {
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", path+"/found", bad, nil), bad)
	}
}
