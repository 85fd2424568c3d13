package ahead_test

import (
	"fmt"
	"net/http"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// Bends of a river are counted from its mouth; a run up it is followed by the water's usual warmth and by
// what the log met, in the seasons, in the days ahead and in the reasons alike (common practice, no source).
func TestARunIsFollowedUpItsRiver(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bends := make([]string, 4)
	put := func(bend int, body object) int {
		return c.Do("PUT", "/spots/"+bends[bend], body, nil)
	}
	body := func(bend int) object {
		return object{"name": fmt.Sprintf("Long reach %d", bend+1), "place": "river bend", "lat": 38.2, "lon": -45.1, "manner": "on foot",
			"water_id": c.ID("Sedge Sound"), "bend": bend + 1,
			"in": object{"name": "", "elevation_m": 0, "clear": true}, "out": object{"name": "", "elevation_m": 0, "clear": true},
			"section": []object{{"distance_m": 0, "elevation_m": 2}, {"distance_m": 60, "elevation_m": -4}},
			"marks":   []object{{"id": uuid.NewString(), "name": "Edge", "kind": "edge", "bottom": "mud", "distance_m": 25}}}
	}
	for bend := range bends {
		bends[bend] = uuid.NewString()
		require.Equal(t, http.StatusOK, put(bend, body(bend)))
	}
	var got struct{ Written struct{ Bend int } }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+bends[2], nil, &got))
	assert.Equal(t, 3, got.Written.Bend)
	var p problem
	wrong := body(0)
	wrong["place"] = "pier"
	require.Equal(t, 422, c.Do("PUT", "/spots/"+uuid.NewString(), wrong, &p))
	assert.Contains(t, fmt.Sprint(p.Errors, p.Detail), "bend of a river")

	warm := []object{}
	for m := range 12 {
		warm = append(warm, object{"month": m + 1, "mean": 5 + 2.5*float64(m), "spread": 0.3})
	}
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+c.ID("Sedge Sound")+"/usual",
		object{"kinds": []object{{"kind": "water_temp_c", "months": warm}}}, nil))

	now := time.Date(2026, 3, 10, 0, 0, 0, 0, time.UTC)
	at := "?from=" + now.Format(time.RFC3339)
	type seasons struct {
		UpRiver []struct {
			Target, Water, Says string
			Bends               []struct {
				Bend  int
				Spots []string
			}
			Shares [][]float64
			Met    []struct {
				Bend, Fish int
				WarmthC    *float64 `json:"warmth_c"`
				Read       bool
			}
		} `json:"up_river"`
	}
	met := 0
	perch := func() (shares []float64, says string) {
		var s seasons
		require.Equal(t, http.StatusOK, c.Do("GET", "/seasons"+at, nil, &s))
		for _, r := range s.UpRiver {
			if r.Target == "white-perch" {
				require.Len(t, r.Bends, 4)
				assert.Equal(t, []string{"Long reach 2"}, r.Bends[1].Spots)
				require.Len(t, r.Shares, 28)
				if met = len(r.Met); met > 0 {
					assert.Equal(t, []int{2, 1}, []int{r.Met[0].Bend, r.Met[0].Fish})
					assert.InDelta(t, 9.7, *r.Met[0].WarmthC, 1.5, "what is usual early in March")
					assert.False(t, r.Met[0].Read)
				}
				return r.Shares[0], r.Says
			}
		}
		t.Fatal("no run of white perch")
		return nil, ""
	}
	before, _ := perch()
	assert.Zero(t, met)
	assert.Less(t, before[3], 0.9)

	spell := testkit.ASpell(bends[1])
	spell["target"], spell["mark"], spell["offering"] = "white-perch", "Edge", ""
	spell["started_at"], spell["ended_at"] = now.Add(-14*time.Hour), now.Add(-12*time.Hour)
	spell["catches"] = []object{{"id": uuid.NewString(), "target": "white-perch", "caught_at": now.Add(-13 * time.Hour)}}
	delete(spell, "readings")
	id := uuid.NewString()
	var refused problem
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+id, spell, &refused), "%+v", refused)
	after, says := perch()
	assert.Equal(t, 1, met)
	assert.Greater(t, after[1], 0.5, "a fish the day before tells")
	assert.Greater(t, after[1], before[1])
	assert.Contains(t, says, "White perch: the spring run is most likely at bend 2 now")

	// The days ahead know it as well: the bend where they were met is worth most on the first day.
	var days struct {
		Spots []struct {
			SpotID string `json:"spot_id"`
			Cells  map[string][]int
		}
	}
	ask := "/ahead" + at + "&days=1&targets=white-perch"
	require.Equal(t, http.StatusOK, c.Do("GET", ask, nil, &days))
	best := map[string]float64{}
	for _, s := range days.Spots {
		for _, hundredths := range s.Cells["white-perch"] {
			best[s.SpotID] = max(best[s.SpotID], float64(hundredths))
		}
	}
	for _, k := range []int{0, 2, 3} {
		assert.Greater(t, best[bends[1]], 1.5*best[bends[k]], "bend %d", k+1)
	}
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spells/"+id, nil, nil))
	again, _ := perch()
	assert.InDeltaSlice(t, before, again, 1e-9, "a spell taken back is forgotten")
}
