package files_test

import (
	"fmt"
	"net/http"
	"net/url"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestGridsAreAskedWhatTheyMean(t *testing.T) {
	c := kit.Fresh(t, "wren")
	id := uuid.NewString()
	var stations []struct{ ID string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	require.Equal(t, http.StatusOK, c.Do("PUT", "/waters/"+id, object{"name": "Bay", "time_zone": "Atlantic/Azores",
		"station_id": stations[0].ID}, nil))
	asc := "ncols 3\nnrows 2\nxllcorner -45\nyllcorner 31\ncellsize 0.001\nNODATA_value -9999\n1 2 3\n4 -9999 6\n"
	send := func(query, body string) (int, problem, object) {
		var raw object
		status := c.Do("POST", "/interchange/grid?water_id="+id+"&"+query, body, &raw)
		p := problem{}
		if d, ok := raw["detail"].(string); ok {
			p.Detail = d
		}
		return status, p, raw
	}
	status, p, _ := send("format=asc&unit=ft&sign=depth", asc)
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, p.Detail, "which datum")
	status, p, _ = send("format=asc&datum=MLLW", asc)
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, p.Detail, "say the unit")
	status, _, got := send("format=asc&unit=ft&sign=depth&datum=MLLW&datum_m=0.1", asc)
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, []any{5.0, false}, []any{got["known"], got["kept"]})
	assert.InDelta(t, 0.1-6*0.3048, got["low_m"], 1e-5)
	assert.Equal(t, http.StatusNotFound, c.Do("GET", "/waters/"+id+"/grid.bin", nil, nil), "only looked at")
	status, _, got = send("format=asc&unit=m&sign=elevation&datum=chart&keep=true", asc)
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, true, got["kept"])
	assert.Equal(t, http.StatusOK, c.Do("GET", "/waters/"+id+"/grid.bin", nil, new(string)))

	var csv strings.Builder
	csv.WriteString("lat,lon,depth_m\n")
	for i := range 40 {
		for j := range 40 {
			fmt.Fprintf(&csv, "%.6f,%.6f,%.3f\n", 31+float64(i)*5e-5, -45+float64(j)*5e-5, 2+0.1*float64(i))
		}
	}
	status, _, got = send("format=xyz&datum="+url.QueryEscape("chart datum")+"&cell_m=8&reach_m=24", csv.String())
	require.Equal(t, http.StatusOK, status)
	assert.InDelta(t, -5.9, got["low_m"], 0.2)
	status, p, _ = send("format=xyz&datum=chart", "lat,lon,depth_m\n131,31,1\n")
	assert.Equal(t, http.StatusUnprocessableEntity, status)
	assert.Contains(t, p.Detail, "swapped")
}

func TestSoundingsAsGeoJSON(t *testing.T) {
	c := kit.Fresh(t, "moss")
	base := "/interchange/grid?format=geojson&datum=chart+datum&datum_m=0.5&cell_m=10&reach_m=40&water_id=" + c.ID("Fallow Creek")
	var points []string
	for i := range 6 {
		points = append(points, fmt.Sprintf(`{"type":"Feature","properties":{"depth_m":%d},
			"geometry":{"type":"Point","coordinates":[%v,%v]}}`, i, -45.155+0.0003*float64(i%3), 31.196+0.0003*float64(i/3)))
	}
	var out struct {
		Soundings int
		LowM      float64 `json:"low_m"`
		HighM     float64 `json:"high_m"`
		Kept      bool
	}
	require.Equal(t, http.StatusOK, c.Do("POST", base, `{"type":"FeatureCollection","features":[`+strings.Join(points, ",")+`]}`, &out))
	assert.Equal(t, 6, out.Soundings)
	assert.False(t, out.Kept, "only looked at")
	assert.Less(t, out.LowM, -3.0)
	assert.LessOrEqual(t, out.HighM, 1.5)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", base, `{"type":"FeatureCollection","features":[]}`, &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "no point carries a height")
}
