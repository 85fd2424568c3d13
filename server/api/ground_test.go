package api_test

import (
	"fmt"
	"net/http"
	"net/url"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/testkit"
)

type visit struct {
	Opens, Closes, Shuts *time.Time
	LimitedBy            string     `json:"limited_by"`
	Best                 *time.Time `json:"best_from"`
	SureFrom             *time.Time `json:"sure_from"`
}

func visitsOf(t *testing.T, c *testkit.Client, spot, query string) (out []visit) {
	t.Helper()
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+spot+"/windows?"+query, nil, &out))
	return out
}

func TestWindowsWithAMargin(t *testing.T) {
	c := kit.As(t, "wren")
	id := demo.SpotID("Lantern Lake")
	plain, kept := visitsOf(t, c, id, ""), visitsOf(t, c, id, "margin_min=40")
	require.NotEmpty(t, plain)
	for _, v := range plain {
		if v.Closes != nil {
			assert.Contains(t, v.LimitedBy, "too little water over the sill")
			assert.Equal(t, v.Shuts, v.Closes)
		}
	}
	for _, v := range kept {
		if v.Closes != nil {
			assert.Equal(t, 40*time.Minute, v.Shuts.Sub(*v.Closes))
		}
	}
	day := visitsOf(t, c, id, "daylight=true&from=2026-11-20T00:00:00Z&to=2026-11-27T00:00:00Z")
	for _, v := range day {
		require.NotNil(t, v.Opens)
		assert.InDelta(t, 15, v.Opens.UTC().Hour(), 7, "in the light there, three hours behind UTC")
	}
	// A surge makes what is sure narrower.
	surgePath := "/waters/" + demo.WaterID("Sedge Sound").String() + "/surge"
	require.Equal(t, http.StatusNoContent, c.Do("PUT", surgePath, object{"by_m": 0.6, "fade_h": 90}, nil))
	high := visitsOf(t, c, id, "")
	require.Equal(t, http.StatusNoContent, c.Do("DELETE", surgePath, nil, nil))
	assert.NotEqual(t, plain, high, "the surge moves the windows")

	var ics string
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id+"/windows.ics?margin_min=20", nil, &ics))
	assert.Contains(t, ics, "BEGIN:VCALENDAR\r\n")
	assert.Contains(t, ics, "SUMMARY:Lantern Lake")
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("GET", "/spots/"+id+"/windows?from=2026-01-01T00:00:00Z&to=2027-01-01T00:00:00Z", nil, &p))
	assert.Contains(t, p.Detail, "62 days")
	assert.Equal(t, http.StatusNotFound, kit.As(t, "moss").Do("GET", "/spots/"+id+"/windows", nil, nil))
}

func TestSurfOverTheAPI(t *testing.T) {
	c := kit.As(t, "wren")
	var out struct {
		Bars []struct {
			Elevation float64 `json:"elevation_m"`
			Stops     float64 `json:"stops_breaking_level_m"`
		}
		Troughs  []object
		Section  []object
		Cautions []string
	}
	body := object{"level_m": 1.2, "breaks": []object{{"distance_m": 85, "height_m": 0.78}, {"distance_m": 150, "height_m": 1.17}}, "spot_id": demo.SpotID("Long Strand"), "reach_m": 100}
	require.Equal(t, http.StatusOK, c.Do("POST", "/ground/surf", body, &out))
	require.Len(t, out.Bars, 2)
	assert.InDelta(t, 0.2, out.Bars[0].Elevation, 1e-9)
	assert.InDelta(t, 0.2+1.5, out.Bars[0].Stops, 1e-9)
	assert.Len(t, out.Troughs, 1)
	assert.Greater(t, len(out.Section), 5)
	assert.Contains(t, strings.Join(out.Cautions, " "), "rip currents")
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/ground/surf", object{"level_m": 1, "breaks": []object{{"distance_m": 10, "height_m": -1}}}, &p))
}

func TestWaterItsDepthsAndFinds(t *testing.T) {
	c := kit.As(t, "wren")
	water := "/waters/" + demo.WaterID("Sedge Sound").String()
	var w struct {
		Name    string
		Outline [][]object
		Zones   []struct{ Name, Warning string }
		Grid    *struct {
			Rows, Cols              int
			South, West, DLat, DLon float64
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", water, nil, &w))
	require.NotNil(t, w.Grid)
	assert.Len(t, w.Zones, 3)
	assert.NotEmpty(t, w.Outline)
	var raw string
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/grid.bin", nil, &raw))
	assert.Len(t, raw, 2*w.Grid.Rows*w.Grid.Cols)
	var low, high string
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/depth.asc?time=2026-11-20T11:00:00Z", nil, &high))
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/depth.asc?time=2026-11-20T17:00:00Z", nil, &low))
	assert.Contains(t, high, "ncols 900\nnrows 720\n")
	deep := func(asc string) (wet int) {
		for _, word := range strings.Fields(asc[strings.Index(asc, "NODATA"):])[2:] {
			if word[0] != '-' && word != "0" {
				wet++
			}
		}
		return wet
	}
	assert.Greater(t, deep(high), deep(low), "the tide floods and drains it")
	var finds []struct{ Kind, Why string }
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/finds?level_m=0.95", nil, &finds))
	text := fmt.Sprint(finds)
	assert.Contains(t, text, "dug, not grown; 4 creeks join it")
	var cut struct {
		Section []object
		Bearing float64 `json:"bearing_deg"`
	}
	require.Equal(t, http.StatusOK, c.Do("GET", water+"/cut?from_lat=31.18&from_lon=-45.13&to_lat=31.185&to_lon=-45.13", nil, &cut))
	assert.Len(t, cut.Section, 40)
	assert.InDelta(t, 0, cut.Bearing, 1e-6)
	for _, path := range []string{water, water + "/grid.bin", water + "/depth.asc", water + "/finds"} {
		assert.Equal(t, http.StatusNotFound, kit.As(t, "moss").Do("GET", path, nil, nil), path)
	}
	var chart struct {
		Spots []struct {
			Name     string
			Open     bool
			Warnings []string
			Marks    []object
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/chart", nil, &chart))
	assert.Len(t, chart.Spots, 13)
	warned := 0
	for _, s := range chart.Spots {
		if s.Name == "Lantern Lake" {
			require.Len(t, s.Warnings, 1)
			assert.Contains(t, s.Warnings[0], "invented for the demo")
		}
		warned += len(s.Warnings)
	}
	assert.Equal(t, 2, warned, "the refuge in its season, and the code of the grass")
	var state struct{ Cautions []string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+demo.SpotID("Lantern Lake")+"/state", nil, &state))
	assert.Contains(t, state.Cautions[0], "Lantern Refuge", "before anything else")
	var shelter []struct{ Word string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+demo.SpotID("Withy Bank")+"/shelter?wind_ms=9", nil, &shelter))
	require.Len(t, shelter, 16)
	assert.NotEqual(t, shelter[0].Word, shelter[8].Word, "a bank to the south, open water to the north")
	var pier struct {
		Under []struct {
			Try []float64 `json:"try_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+demo.SpotID("Cutwater Pier")+"/pier", nil, &pier))
	assert.Len(t, pier.Under, 3)
}

func TestASpotIsWrittenChangedAndRemoved(t *testing.T) {
	c := kit.As(t, "wren")
	id, mark := uuid.NewString(), uuid.NewString()
	spot := object{"water_id": demo.WaterID("Sedge Sound"), "name": "New hole", "place": "estuary", "lat": 31.18, "lon": -45.12, "manner": "boat", "draught_m": 0.4,
		"in": object{"name": "the bar", "elevation_m": -0.5}, "out": object{"name": "the bar", "elevation_m": -0.5}, "hazards": "a wreck",
		"section":      []object{{"distance_m": 0, "elevation_m": 1}, {"distance_m": 40, "elevation_m": -3}},
		"section_from": object{"lat": 31.18, "lon": -45.12}, "section_bearing_deg": 90,
		"shape": object{"area": true, "points": []object{{"lat": 31.18, "lon": -45.12}, {"lat": 31.181, "lon": -45.12}, {"lat": 31.181, "lon": -45.119}}},
		"marks": []object{{"id": mark, "name": "Hole", "kind": "hole", "distance_m": 40, "elevation_m": -3, "snag": true, "note": "an old anchor"}}}
	var rev struct{ Revision int }
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, spot, &rev))
	assert.Equal(t, 1, rev.Revision)
	var got struct {
		Written  object
		Revision int
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &got))
	again := got.Written
	again["name"], again["revision"] = "Old hole", got.Revision
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spots/"+id, again, &rev))
	assert.Equal(t, 2, rev.Revision)
	var p problem
	assert.Equal(t, http.StatusConflict, c.Do("PUT", "/spots/"+id, again, &p), "written over a newer one")
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &got))
	assert.Equal(t, "Old hole", got.Written["name"])
	assert.Equal(t, "an old anchor", got.Written["marks"].([]any)[0].(object)["note"])
	moss := kit.As(t, "moss")
	assert.Equal(t, http.StatusNotFound, moss.Do("DELETE", "/spots/"+id, nil, nil))
	theirs := object{}
	for k, v := range spot {
		theirs[k] = v
	}
	theirs["water_id"] = demo.WaterID("Fallow Creek")
	assert.Equal(t, http.StatusNotFound, moss.Do("PUT", "/spots/"+id, theirs, nil), "someone else's id")
	for field, bad := range map[string]any{"place": "moon", "manner": "jet", "draught_m": 9, "section": []object{{"distance_m": 0, "elevation_m": 1}},
		"shape": object{"area": true, "points": []object{{"lat": 31, "lon": -45}, {"lat": 31.1, "lon": -45}}}} {
		wrong := object{}
		for k, v := range spot {
			wrong[k] = v
		}
		wrong[field] = bad
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", "/spots/"+uuid.NewString(), wrong, &p), field)
	}
	assert.Equal(t, http.StatusConflict, c.Do("DELETE", "/spots/"+demo.SpotID("Kettle Bar"), nil, &p))
	assert.Contains(t, p.Detail, "the log holds")
	assert.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+id, nil, nil))
	assert.Equal(t, http.StatusNotFound, c.Do("GET", "/spots/"+id, nil, nil))
}

func TestPlacesInAndOut(t *testing.T) {
	c := kit.As(t, "moss")
	water := demo.WaterID("Fallow Creek").String()
	file := `<gpx version="1.1" creator="x"><wpt lat="31.2002" lon="-45.154"><name>Reed gap</name><desc>seen in spring</desc></wpt><wpt lat="31.3" lon="-45.1"/>
		<trk><name>Drift</name><trkseg><trkpt lat="31.2" lon="-45.15"/><trkpt lat="31.21" lon="-45.15"/></trkseg></trk></gpx>`
	var seen struct {
		Features []struct{ Kind, Name, Known string }
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/read?format=gpx", file, &seen))
	require.Len(t, seen.Features, 3)
	assert.Empty(t, seen.Features[0].Known)
	var done struct {
		Added   []string
		Skipped []struct{ What, Why string }
	}
	imported := "/interchange/import?format=gpx&water_id=" + water
	require.Equal(t, http.StatusOK, c.Do("POST", imported, file, &done))
	assert.Equal(t, []string{"Reed gap", "Drift"}, done.Added)
	assert.Len(t, done.Skipped, 1)
	require.Equal(t, http.StatusOK, c.Do("POST", imported, file, &done))
	assert.Empty(t, done.Added, "a second time nothing is added")
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/read?format=gpx", file, &seen))
	assert.Equal(t, "Reed gap", seen.Features[0].Known)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", imported, strings.Replace(file, "31.2002", "131.2", 1), &p))
	assert.Contains(t, p.Detail, "swapped")
	assert.Equal(t, http.StatusNotFound, kit.As(t, "wren").Do("POST", imported, file, nil))
	crossed := `{"type":"Polygon","coordinates":[[[0,0],[1,1],[1,0],[0,1],[0,0]]]}`
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/interchange/import?format=geojson&as=outline&water_id="+water, crossed, &p))
	assert.Contains(t, p.Detail, "crosses itself")

	for _, format := range []string{"gpx", "geojson", "kml", "csv"} {
		var out string
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format="+format, nil, &out))
		assert.NotContains(t, out, "Candle Bar", "private spots stay")
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format="+format+"&private=include", nil, &out))
		assert.Contains(t, out, "Candle Bar: Crest")
		require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format="+format+"&private=blur&blur_m=3000", nil, &out))
		assert.Contains(t, out, "Candle Bar")
		assert.NotContains(t, out, "Crest")
	}
	// Out and in again: nothing new.
	var out string
	require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/export?format=gpx&private=include", nil, &out))
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/read?format=gpx", out, &seen))
	knownSpots := 0
	for _, f := range seen.Features {
		if f.Known != "" {
			knownSpots++
		}
	}
	assert.Len(t, seen.Features, knownSpots, "spots, their marks and shapes")
	var spots []struct{ ID, Name string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots", nil, &spots))
	for _, s := range spots {
		if s.Name == "Reed gap" || s.Name == "Drift" {
			assert.Equal(t, http.StatusNoContent, c.Do("DELETE", "/spots/"+s.ID, nil, nil))
		}
	}
}

func TestGridsAreAskedWhatTheyMean(t *testing.T) {
	c := kit.As(t, "wren")
	id := uuid.NewString()
	var stations []struct{ ID string }
	require.Equal(t, http.StatusOK, c.Do("GET", "/stations", nil, &stations))
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/waters/"+id, object{"name": "Bay", "time_zone": "Atlantic/Azores", "station_id": stations[0].ID}, nil))
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

func TestHowLongTheWayTakes(t *testing.T) {
	c := kit.As(t, "wren")
	path := "/waters/" + demo.WaterID("Sedge Sound").String() + "/reach?"
	reach := func(query string) map[string]*float64 {
		var list []struct {
			SpotID  string `json:"spot_id"`
			Minutes *float64
			Bee     bool `json:"bee_line"`
		}
		require.Equal(t, http.StatusOK, c.Do("GET", path+query, nil, &list))
		out := map[string]*float64{}
		for _, r := range list {
			assert.False(t, r.Bee, "the ground is known")
			out[r.SpotID] = r.Minutes
		}
		return out
	}
	// From beside Ladle Flat, at high and at low water.
	high := reach("lat=31.177&lon=-45.147&time=2026-11-20T11:12:00Z")
	near, lake := high[demo.SpotID("Ladle Flat")], high[demo.SpotID("Lantern Lake")]
	require.NotNil(t, near)
	require.NotNil(t, lake, "the sill is under water")
	assert.Less(t, *near, 25.0)
	assert.Greater(t, *lake, 40.0, "5 km at a paddle's pace")
	low := reach("lat=31.177&lon=-45.147&time=2026-11-20T17:22:00Z")
	assert.Nil(t, low[demo.SpotID("Lantern Lake")], "the sill is dry")
	assert.Equal(t, http.StatusNotFound, kit.As(t, "moss").Do("GET", path+"lat=31.177&lon=-45.147", nil, nil))
}

func TestAMarkIsPutOnTheMap(t *testing.T) {
	c := kit.As(t, "wren")
	id := demo.SpotID("Crooked Creek")
	var before, after struct {
		Revision int
		Written  struct{ Marks []object }
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &before))
	at := object{"lat": 31.1956, "lon": -45.1195}
	mark := "/spots/" + id + "/marks/" + uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", mark, object{"name": "Sunk limb", "kind": "timber", "at": at, "snag": true, "note": "two limbs"}, nil))
	require.Equal(t, http.StatusOK, c.Do("PUT", mark, object{"name": "Sunk limbs", "kind": "timber", "at": at, "snag": true}, nil), "written again, not twice")
	require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &after))
	require.Len(t, after.Written.Marks, len(before.Written.Marks)+1)
	var found object
	for _, m := range after.Written.Marks {
		if m["name"] == "Sunk limbs" {
			found = m
		}
	}
	assert.NotZero(t, found["elevation_m"], "read from the depths")
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", mark, object{"name": "x", "kind": "timber", "at": object{"lat": 32, "lon": -45}}, &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "a spot of its own")
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("PUT", mark, object{"name": "x", "kind": "wreckage", "at": at}, &p))
	assert.Equal(t, http.StatusNotFound, kit.As(t, "moss").Do("PUT", mark, object{"name": "x", "kind": "timber", "at": at}, nil))
}

func TestZonesAndDriftsFromAFile(t *testing.T) {
	c := kit.As(t, "moss")
	water := demo.WaterID("Fallow Creek").String()
	const raw = `{"type":"FeatureCollection","features":[
		{"type":"Feature","properties":{"name":"Still reach"},"geometry":{"type":"Polygon","coordinates":[[[-45.16,31.19],[-45.15,31.19],[-45.15,31.2],[-45.16,31.19]]]}},
		{"type":"Feature","properties":{"name":"Ebb line"},"geometry":{"type":"LineString","coordinates":[[-45.155,31.191],[-45.154,31.192],[-45.153,31.194]]}}]}`
	base := "/interchange/import?format=geojson&water_id=" + water
	var out struct {
		Added   []string
		Skipped []object
	}
	var p problem
	require.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", base+"&as=zones", raw, &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "its rule in words")
	require.Equal(t, http.StatusOK, c.Do("POST", base+"&as=zones&zone_kind=no+take&says=No+take&source=invented&checked_on=2026-11-01", raw, &out))
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

func TestASectionFromCSVAndTheWords(t *testing.T) {
	c := kit.As(t, "wren")
	var out struct {
		Section []struct {
			D float64 `json:"distance_m"`
			Z float64 `json:"elevation_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/section", "distance_ft,depth_ft\n0,-5\n100,10\n", &out))
	require.Len(t, out.Section, 2)
	assert.InDelta(t, -3.048, out.Section[1].Z, 1e-9)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/interchange/section", "distance_m,depth_m\n0,x\n", &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "line 2, column depth_m")
	var words struct {
		Places, Bottoms []string
		Classes         []struct {
			Name string
			From float64 `json:"from_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/ground/words", nil, &words))
	assert.Contains(t, words.Places, "back lake")
	require.Len(t, words.Classes, 6)
	for i := 1; i < len(words.Classes); i++ {
		assert.Greater(t, words.Classes[i].From, words.Classes[i-1].From)
	}
}

// GeoJSON has room for a whole spot: what goes out comes back with its section,
// ways and marks; other formats bring its place, and nothing comes twice.
func TestAWholeSpotGoesOutAndComesBack(t *testing.T) {
	wren, moss := kit.As(t, "wren"), kit.As(t, "moss")
	var raw, table string
	require.Equal(t, http.StatusOK, wren.Do("GET", "/interchange/export?format=geojson&private=include", nil, &raw))
	require.Equal(t, http.StatusOK, wren.Do("GET", "/interchange/export?format=csv&private=include", nil, &table))
	var out struct {
		Added   []string
		Skipped []object
	}
	sound := demo.WaterID("Sedge Sound").String()
	for format, text := range map[string]string{"geojson": raw, "csv": table} {
		out.Added, out.Skipped = nil, nil
		require.Equal(t, http.StatusOK, wren.Do("POST", "/interchange/import?format="+format+"&water_id="+sound, text, &out))
		assert.Empty(t, out.Added, "all of it is there")
	}
	creek := demo.WaterID("Fallow Creek").String()
	require.Equal(t, http.StatusOK, moss.Do("POST", "/interchange/import?format=geojson&water_id="+creek, raw, &out))
	assert.GreaterOrEqual(t, len(out.Added), 12)
	type written struct {
		Name     string
		Section  []object
		In, Out  object
		Manner   string
		Marks    []object
		Hazards  string
		FacesDeg *float64 `json:"faces_deg"`
	}
	get := func(c *testkit.Client, id string) (w struct{ Written written }) {
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+id, nil, &w))
		for _, m := range w.Written.Marks {
			delete(m, "id")
		}
		return w
	}
	theirs := spotsOf(t, moss)
	for name, s := range spotsOf(t, wren) {
		assert.Equal(t, get(wren, s.ID), get(moss, theirs[name].ID), name)
	}
	for _, name := range out.Added {
		require.Equal(t, http.StatusNoContent, moss.Do("DELETE", "/spots/"+theirs[name].ID, nil, nil))
	}
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, moss.Do("POST", "/interchange/import?format=geojson&water_id="+creek, strings.Replace(raw, `\"manner\"`, `\"mannner\"`, 1), &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "carries a spot that cannot be read")
}

func TestSoundingsAsGeoJSON(t *testing.T) {
	c := kit.As(t, "moss")
	base := "/interchange/grid?format=geojson&datum=chart+datum&datum_m=0.5&cell_m=10&reach_m=40&water_id=" + demo.WaterID("Fallow Creek").String()
	var points []string
	for i := range 6 {
		points = append(points, fmt.Sprintf(`{"type":"Feature","properties":{"depth_m":%d},"geometry":{"type":"Point","coordinates":[%v,%v]}}`, i, -45.155+0.0003*float64(i%3), 31.196+0.0003*float64(i/3)))
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
