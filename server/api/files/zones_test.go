package files_test

import (
	"fmt"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestZonesAndDriftsFromAFile(t *testing.T) {
	c := kit.Fresh(t, "moss")
	water := c.ID("Fallow Creek")
	const raw = `{"type":"FeatureCollection","features":[
		{"type":"Feature","properties":{"name":"Still reach"},
		"geometry":{"type":"Polygon","coordinates":[[[-45.16,31.19],[-45.15,31.19],[-45.15,31.2],[-45.16,31.19]]]}},
		{"type":"Feature","properties":{"name":"Ebb line"},
		"geometry":{"type":"LineString","coordinates":[[-45.155,31.191],[-45.154,31.192],[-45.153,31.194]]}}]}`
	base := "/interchange/import?format=geojson&water_id=" + water
	var out struct {
		Added   []string
		Skipped []object
	}
	var p problem
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", base+"&as=zones", raw, &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "its rule in words")
	require.Equal(t, http.StatusOK, c.Do("POST", base+"&as=zones&zone_kind=no+take&says=No+take&source=invented&checked_on=2026-11-01",
		raw, &out))
	assert.Equal(t, []string{"Still reach"}, out.Added)
	assert.Len(t, out.Skipped, 1)
	var w struct {
		Zones []struct{ ID, Name, Warning string }
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/waters/"+water, nil, &w))
	require.Len(t, w.Zones, 1)
	assert.Contains(t, w.Zones[0].Warning, "Source: invented")
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/zones/"+w.Zones[0].ID, nil, nil))

	// As spots they keep their shape; a second time they are known.
	require.Equal(t, http.StatusOK, c.Do("POST", base, raw, &out))
	assert.Equal(t, []string{"Still reach", "Ebb line"}, out.Added)
	var again struct {
		Added   []string
		Skipped []object
	}
	require.Equal(t, http.StatusOK, c.Do("POST", base, raw, &again))
	assert.Empty(t, again.Added)
	assert.Len(t, again.Skipped, 2)
	var spots []struct{ ID, Name string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &spots))
	for _, s := range spots {
		if s.Name == "Still reach" || s.Name == "Ebb line" {
			var one struct {
				Written struct{ Shape struct{ Area bool } }
			}
			require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+s.ID, nil, &one))
			assert.Equal(t, s.Name == "Still reach", one.Written.Shape.Area)
			require.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+s.ID, nil, nil))
		}
	}
}
