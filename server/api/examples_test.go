package api_test

import (
	"fmt"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/testkit"
)

// example of a request that is answered.
type example struct {
	path, query map[string]string
	// body is an object, or text.
	body any
}

// examples of every operation of the document that takes something, for an angler like wren.
func examples(c *testkit.Client) map[string]example {
	var at struct{ Lat, Lon float64 }
	c.Do("GET", "/spots/"+c.ID("Kettle Bar"), nil, &at)
	bar, water := c.ID("Kettle Bar"), c.ID("Sedge Sound")
	station := c.ID("wren station")
	when := testkit.Now.Format(time.RFC3339)
	ring := []object{{"lat": 31.2, "lon": -45.12}, {"lat": 31.2, "lon": -45.11}, {"lat": 31.21, "lon": -45.11}}
	reading := []object{{"kind": "water_temp_c", "value": 14.5, "unit": "°C"}, {"kind": "clarity_secchi_m", "word": "stained"}}
	constituents := []object{{"name": "M2", "amplitude_m": 0.6, "phase_deg": 120}, {"name": "S2", "amplitude_m": 0.2, "phase_deg": 150}}
	one := map[string]string{"id": bar}
	fresh := func() map[string]string { return map[string]string{"id": uuid.Must(uuid.NewV7()).String()} }
	turns := object{"flight_speed_ms": 9, "pace_ms": 1, "reach_m": 15, "splash_clear_m": 2, "window_max_m": 1.5,
		"window_min_m": 0.5, "seed": 3}
	throw := object{"at_s": 2, "land_x_m": 1, "land_y_m": 6}
	for k, v := range turns {
		throw[k] = v
	}
	pick := object{"spot_id": bar, "target": "red-drum", "time": "2026-11-20T15:00:00Z", "offering": "", "signs": []string{}, "most": 3,
		"readings": reading, "units": "metric", "kit_only": false}
	ask := object{"spot_id": bar, "target": "red-drum", "time": when, "readings": reading, "signs": []string{}, "most": 3, "units": "us",
		"schools": object{}, "kit_only": true, "what_would_change": false}
	spell := testkit.ASpell(bar)
	spell["rods"], spell["mark"], spell["note"], spell["revision"], spell["readings"] = 2, "Shell edge", "a note", 0, reading
	spell["catches"] = []object{{"id": uuid.Must(uuid.NewV7()).String(), "target": "red-drum", "caught_at": "2026-11-19T12:30:00Z",
		"length_m": 0.6, "mass_kg": 2.5, "kept": false, "note": "", "revision": 0}}
	mark := object{"id": uuid.Must(uuid.NewV7()).String(), "name": "Post", "kind": "timber", "distance_m": 10, "elevation_m": -0.5,
		"bottom": "timber", "fishable_min_m": 0.3, "fishable_max_m": 2, "line": "Post", "note": "", "snag": true,
		"at": object{"lat": 31.2, "lon": -45.1}}
	target := testkit.ATarget("Invented")
	target["gone_below_c"], target["note"], target["stay"], target["idea"] = 4, "a note", "in winter", "my own"
	gpx := `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1" creator="x">` +
		`<wpt lat="31.2" lon="-45.1"><name>Somewhere</name></wpt></gpx>`
	csv := "time,height_m\n"
	for i := range 24 * 16 {
		csv += fmt.Sprintf("%s,%.3f\n", testkit.Now.Add(time.Duration(i)*time.Hour).Format(time.RFC3339), 1+0.5*float64(i%12)/12)
	}
	us := object{"depth": "ft", "tackle": "in", "distance": "yd", "wind": "kn", "boat": "mph", "run": "ft/s", "weight": "oz", "line": "lb",
		"fish": "lb", "temperature": "°F", "clock": "12 h"}
	year := make([]object, 12)
	for i := range year {
		year[i] = object{"month": i + 1, "mean": 10 + i, "spread": 1.5}
	}
	aPlan := testkit.APlan(bar)
	aPlan["home"], aPlan["spots"], aPlan["banned"] = object{"lat": 31.2, "lon": -45.1}, []string{bar}, []string{c.ID("Long Strand")}
	keptPlan := fresh()
	c.Do("PUT", "/plans/"+keptPlan["id"], testkit.APlan(bar), nil)
	keptTrial, aBlock := fresh(), fresh()
	c.Do("PUT", "/trials/"+keptTrial["id"], testkit.ATrial(bar), nil)
	aBlock["block"], aBlock["id"] = aBlock["id"], keptTrial["id"]
	keptImport, keptSighting, keptPhoto := fresh(), fresh(), fresh()
	c.Do("PUT", "/sightings/"+keptSighting["id"], testkit.ASighting(bar), nil)
	keptBylaw := fresh()
	c.Do("PUT", "/bylaws/"+keptBylaw["id"], testkit.ABylaw(), nil)
	keptFile := testkit.AFile("Kettle Bar")
	keptFile["id"], keptFile["keep"] = keptImport["id"], true
	c.Do("POST", "/interchange/log", keptFile, nil)
	c.Do("POST", "/interchange/tags?list=A%20list", "tag_number,time,lat,lon\nA1,2026-06-01T06:00:00Z,38.5,-31\n", nil)
	withFish, aCatch := testkit.ASpell(bar), fresh()["id"]
	withFish["catches"] = []object{{"id": aCatch}}
	c.Do("PUT", "/spells/"+fresh()["id"], withFish, nil)
	goingPhoto := fresh()
	for _, p := range []map[string]string{keptPhoto, goingPhoto} {
		c.PutPhoto("/photos/"+p["id"]+"?catch_id="+aCatch, testkit.APhoto())
	}
	anOuting, keptOuting := testkit.AnOuting(bar), fresh()
	c.Do("PUT", "/outings/"+keptOuting["id"], testkit.AnOuting(bar), nil)
	synced := testkit.AnOuting(bar)
	synced["id"] = fresh()["id"]
	return map[string]example{
		"GET /log/places":           {query: map[string]string{"target": "red-drum"}},
		"GET /log/days":             {query: map[string]string{"target": "red-drum"}},
		"GET /interchange/log.csv":  {query: map[string]string{"target": "red-drum"}},
		"GET /tags":                 {},
		"GET /interchange/tags.csv": {},
		"GET /growth":               {query: map[string]string{"target": "red-drum"}},
		"GET /trials":               {},
		"GET /interchange/log.json": {query: map[string]string{"target": "red-drum"}},
		"POST /interchange/log":     {body: testkit.AFile("Kettle Bar")},
		"POST /interchange/tags": {query: map[string]string{"list": "A list"},
			body: "tag_number,time,lat,lon\nA1,2026-06-01T06:00:00Z,38.5,-31\n"},
		"DELETE /interchange/tags":     {query: map[string]string{"list": "A list"}},
		"GET /imports":                 {},
		"DELETE /imports/{id}":         {path: keptImport},
		"GET /bylaws":                  {query: map[string]string{"at": "31.2,-45.1", "date": "2026-11-20"}},
		"PUT /bylaws/{id}":             {path: fresh(), body: testkit.ABylaw()},
		"GET /bylaws/{id}/again":       {path: keptBylaw},
		"POST /bylaws/check":           {body: object{"bylaw": testkit.ABylaw()}},
		"POST /interchange/bylaws":     {query: map[string]string{"preview": "true"}, body: testkit.AFileOfBylaws},
		"GET /interchange/bylaws.yaml": {}, "GET /interchange/bylaws.csv": {},
		"POST /keep": {body: object{"species": "red-drum", "length_m": 0.5, "spot_id": bar, "time": "2026-11-20T09:00:00Z",
			"aboard": []string{"Finch"}, "kept": []object{{"species": "red-drum", "time": "2026-11-20T08:00:00Z"}}}},
		"POST /care":           {body: object{"target": "red-drum", "length_m": 0.8, "spot_id": bar, "mass_kg": 3}},
		"POST /care/ice":       {body: object{"fish_kg": 5, "hours": 8, "air_temp_c": 30, "water_temp_c": 24}},
		"POST /care/live-bait": {body: object{"count": 24, "each_kg": 0.01, "water_temp_c": 24, "volume_l": 15, "hours": 4}},
		"PUT /care/{target}":   {path: map[string]string{"target": "red-drum"}, body: object{"breeder_m": 0.6}},
		"POST /day-card": {body: object{"spot_id": bar, "time": "2026-11-20T09:00:00Z", "aboard": []string{"Finch"},
			"kept": []object{{"species": "red-drum", "length_m": 0.5, "time": "2026-11-20T08:00:00Z"}}}},
		"DELETE /bylaws/{id}":    {path: fresh()},
		"GET /sightings":         {query: map[string]string{"spot_id": bar, "most": "5"}},
		"PUT /sightings/{id}":    {path: fresh(), body: testkit.ASighting(bar)},
		"DELETE /sightings/{id}": {path: keptSighting},
		"GET /photos/{id}":       {path: keptPhoto, query: map[string]string{"thumb": "true"}},
		"PUT /photos/{id}": {path: keptPhoto, query: map[string]string{"catch_id": aCatch, "keep": "true"},
			body: string(testkit.APhoto())},
		"DELETE /photos/{id}":             {path: goingPhoto},
		"GET /trials/{id}":                {path: keptTrial},
		"GET /trials/{id}/result":         {path: keptTrial},
		"DELETE /trials/{id}":             {path: fresh()},
		"PUT /trials/{id}":                {path: fresh(), body: testkit.ATrial(bar)},
		"PUT /trials/{id}/blocks/{block}": {path: aBlock, body: testkit.ABlock()},
		"GET /outings":                    {query: map[string]string{"most": "5"}},
		"GET /outings/{id}":               {path: keptOuting},
		"DELETE /outings/{id}":            {path: fresh()},
		"PUT /outings/{id}":               {path: fresh(), body: anOuting},
		"POST /sync":                      {body: object{"outings": []object{synced}}},
		"GET /outlook":                    {query: map[string]string{"time": when}},
		"GET /offline":                    {},
		"POST /plans/preview": {body: object{"from": when, "to": "2026-11-20T23:00:00Z", "targets": []string{"red-drum"},
			"spots": []string{bar}, "by": "kayak", "home": object{"lat": 31.2, "lon": -45.1}, "legs": 2, "pack_min": 10, "margin_min": 30,
			"by_day": true, "plans": 2,
			"pins":   []object{{"spot_id": bar, "arrive": "2026-11-20T18:00:00Z", "leave": "2026-11-20T19:00:00Z"}},
			"banned": []string{c.ID("Long Strand")}}},
		"GET /spots/{id}/month":      {path: one, query: map[string]string{"month": "2026-12", "margin_min": "30"}},
		"GET /seasons":               {query: map[string]string{"from": when}},
		"GET /waters/{id}/usual":     {path: map[string]string{"id": water}},
		"GET /waters/{id}/usual.csv": {path: map[string]string{"id": water}},
		"PUT /waters/{id}/usual": {path: map[string]string{"id": water},
			body: object{"kinds": []object{{"kind": "water_temp_c", "months": year}}}},
		"GET /plans":               {query: map[string]string{"after": when}},
		"GET /plans/{id}":          {path: keptPlan},
		"GET /plans/{id}/plan.ics": {path: keptPlan},
		"GET /plans/{id}/sheet":    {path: keptPlan},
		"DELETE /plans/{id}":       {path: fresh()},
		"PUT /plans/{id}":          {path: fresh(), body: aPlan},
		"GET /ahead":               {query: map[string]string{"from": when, "days": "1", "targets": "red-drum", "along": "child"}},
		"GET /ahead/window": {query: map[string]string{"spot_id": bar, "target": "red-drum", "from": when,
			"until": testkit.Now.Add(time.Hour).Format(time.RFC3339),
			"least": "1", "along": "cannot wade"}},
		"GET /ahead/windows.ics": {query: map[string]string{"from": when, "days": "1", "targets": "red-drum", "least": "1",
			"by_day":     "true",
			"margin_min": "30", "manners": "kayak", "places": "oyster bar", "weekdays": "6", "free_from_h": "6", "free_until_h": "20",
			"most": "5", "along": "child", "home": "41.5,-40", "within_min": "120", "kit": "true"}},
		"GET /ahead/windows": {query: map[string]string{"from": when, "days": "1", "targets": "red-drum", "least": "1", "by_day": "true",
			"margin_min": "30", "manners": "kayak", "places": "oyster bar", "weekdays": "6", "free_from_h": "6", "free_until_h": "20",
			"most": "5", "along": "child", "home": "41.5,-40", "within_min": "120", "kit": "true"}},
		"POST /anglers":                 {body: object{"name": "odd one", "password": "four words in a row", "invite": ""}},
		"POST /recover":                 {body: object{"name": "nobody", "password": "four words in a row", "code": "abcd-2345-efgh-6789"}},
		"PUT /account/settings":         {body: object{"units": us, "week": "sunday", "chosen": true}},
		"PUT /account/password":         {body: object{"old": "grey-pebble", "password": "grey-pebble"}},
		"POST /account/recovery-codes":  {body: object{"password": "grey-pebble"}},
		"DELETE /account":               {body: object{"password": "wrong"}},
		"PUT /account/export":           {body: `{"format": "grey-pebble-account", "tables": {}}`},
		"DELETE /account/sessions/{id}": {path: fresh()},
		"POST /invites":                 {body: object{"note": "the pier lot", "uses": 2, "days": 7}},
		"DELETE /invites/{id}":          {path: fresh()},
		"GET /known-stations":           {query: map[string]string{"q": "newport", "lat": "41.5", "lon": "-71.3", "most": "3"}},
		"PUT /stations/{id}/known":      {path: fresh(), body: object{"known_id": "noaa/9446969", "reference_id": uuid.NewString()}},
		"GET /templates":                {query: map[string]string{"station_id": station}},
		"POST /templates/{id}/bend": {path: map[string]string{"id": "pier"}, body: object{"station_id": station,
			"answers": object{"end": 4}, "now": true}},
		"PUT /waters/{id}/feed":    {path: map[string]string{"id": water}, body: object{"url": "http://127.0.0.1:1/forecast.csv"}},
		"DELETE /waters/{id}/feed": {path: map[string]string{"id": water}},
		"POST /advise":             {body: ask},
		"POST /advise/compare":     {body: object{"a": pick, "b": pick}},
		"POST /edge": {body: object{"spot_id": ask["spot_id"], "target": "red-drum", "time": ask["time"], "mark": "Seaward edge",
			"offering_id": "live-shrimp", "rig_id": "popping-float", "style": "pop"}},
		"PUT /limits":         {body: object{"limits": []object{{"id": "kayak_wind_ms", "think": 5, "do_not": 9}}}},
		"POST /bench/cadence": {body: object{"text": "twitch twitch pause 4 s"}},
		"POST /bench/cast": {body: object{"cast_m": 40, "max_m": 1.5, "min_m": 0.3, "pace_ms": 0.5, "spot_id": bar,
			"time": when}},
		"POST /bench/fall": {body: object{"bank_m": []float64{1, 2, 3}, "density_kg_m3": 11000, "depth_m": 2, "lift_m": 0.3,
			"mass_kg": 0.007, "shape": "jig head", "timed_ms": 0.6}},
		"POST /bench/float": {body: object{"clear_m": 0.2, "crest_m": -1, "level_m": 0.8}},
		"POST /bench/interception": {body: object{"fish": object{"x_m": 5, "y_m": 9, "speed_ms": 0.4, "bearing_deg": 90},
			"flight_speed_ms": 9, "pace_ms": 1, "reach_m": 20, "splash_clear_m": 2, "wind_from_deg": 90, "wind_ms": 4, "window_max_m": 1.5,
			"window_min_m": 0.5}},
		"POST /bench/jig": {body: object{"angle_deg": 20, "depth_m": 6, "line_diameter_m": 0.0003, "run_ms": 0.4}},
		"POST /bench/lead": {body: object{"current_ms": 0.4, "depth_m": 3, "line_diameter_m": 0.0003, "line_length_m": 40,
			"sinker": "pyramid"}},
		"POST /bench/length-weight": {body: object{"length_m": 0.6, "mass_kg": 2.5, "target": "red-drum"}},
		"POST /bench/light-finish":  {body: object{"cloud_fraction": 0.4, "depth_m": 1, "secchi_m": 1, "sun_altitude_deg": 30}},
		"POST /bench/line": {body: object{"free_action": true, "hazard": "shell", "leader_n": 100, "line_n": 50,
			"material": "braid"}},
		"POST /bench/pace": {body: object{"least_water_speed_ms": 0.4, "length_per_turn_m": 0.7, "push_ms": 0.2}},
		"POST /bench/plug": {body: object{"cast_m": 30, "depths": []object{{"distance_m": 0, "depth_m": 1},
			{"distance_m": 30, "depth_m": 3}}, "line_diameter_m": 0.0003, "pace_ms": 1, "rated_m": 1.5, "stand_m": 0, "strip_max_m": 2,
			"strip_min_m": 0.5, "spot_id": bar, "time": when}},
		"POST /bench/practice":       {body: turns},
		"POST /bench/practice/throw": {body: throw},
		"POST /bench/reel-turns": {body: object{"from_depth_m": 1, "gear_ratio": 6, "length_per_turn_m": 0, "spool_diameter_m": 0.045,
			"to_depth_m": 3}},
		"POST /bench/rods": {body: object{"reach_m": 90, "rods": 3, "spot_id": bar,
			"zones": []object{{"from_m": 5, "to_m": 30, "name": "trough", "worth": 2}}}},
		"POST /bench/troll": {body: object{"behind_m": 20, "break_n": 60, "drag_n": 20, "ledge_m": 3, "lure": "bucktail",
			"material": "mono", "speed_ms": 1.2, "stretch_at_break": 0.25}},
		"GET /bench/usual": {query: map[string]string{"spot_id": bar, "time": when}},
		"GET /catches": {query: map[string]string{"target": "red-drum", "spot_id": bar, "stage": "ebb", "third": "1",
			"from": when, "to": when, "outcome": "blank", "most": "5"}},
		"PUT /catches/{id}": {path: fresh(), body: object{"caught_at": "2026-11-19T12:30:00Z", "kept": true, "length_m": 0.5,
			"mass_kg": 1.5, "note": "x", "revision": 0, "spell_id": c.ID("a spell"), "target": "red-drum"}},
		"GET /chart":      {query: map[string]string{"time": when}},
		"GET /conditions": {query: map[string]string{"spot_id": bar, "time": when}},
		"POST /ground/surf": {body: object{"breaks": []object{{"distance_m": 40, "height_m": 1}}, "level_m": 0.5, "reach_m": 80,
			"spot_id": bar}},
		"GET /interchange/export": {query: map[string]string{"format": "geojson", "private": "blur", "blur_m": "500"}},
		"POST /interchange/grid": {query: map[string]string{"format": "asc", "water_id": water, "unit": "m", "sign": "depth",
			"datum": "chart datum", "keep": "false"},
			body: "ncols 3\nnrows 2\nxllcorner -45\nyllcorner 31\ncellsize 0.001\nNODATA_value -9999\n1 2 3\n4 -9999 6\n"},
		"POST /interchange/import": {query: map[string]string{"format": "gpx", "as": "spots", "water_id": water, "place": "pier",
			"preview": "true"}, body: gpx},
		"POST /interchange/kit": {query: map[string]string{"preview": "true"},
			body: "kind,name,offering\nbait,Frozen mullet,cut-mullet\n"},
		"POST /interchange/playbook": {body: "rules: []\n"},
		"POST /interchange/read":     {query: map[string]string{"format": "gpx"}, body: gpx},
		"POST /interchange/section":  {body: "distance_m,elevation_m\n0,1\n10,-1\n"},
		"DELETE /kit/{id}":           {path: fresh()},
		"PUT /kit/{id}": {path: fresh(), body: object{"break_n": 0, "count": 0, "in_hand": true, "kind": "rod", "length_m": 3,
			"name": "A rod", "rated_kg": 0.03, "weight_kg": 0.2, "revision": 0, "size": "", "finish": "", "material": "", "pattern": "",
			"offering": "", "rated_m": 0, "ratio": 0, "snag_proof": false, "spool_m": 0, "turn_m": 0, "diameter_m": 0, "fall_ms": 0}},
		"POST /login":          {body: object{"name": "nobody", "password": "wrong"}},
		"POST /playbook/check": {body: object{"name": "mine.yaml", "source": "rules: []\n"}},
		"PUT /playbook/own-rules/{id}": {path: map[string]string{"id": "mine"},
			body: object{"certainty": "usual", "effect": "strong plus", "family": "mark", "says": "Mine.", "targets": []string{"red-drum"},
				"when": []object{{"of": "depth", "above": "1 m", "below": "2 m", "soft": "0.2 m", "not": false},
					{"of": "stage", "any": []string{"ebb"}}}}},
		"DELETE /playbook/own-rules/{id}": {path: map[string]string{"id": "mine"}},
		"PUT /playbook/rules/{id}": {path: map[string]string{"id": "dark-at-noon"},
			body: object{"off": true, "effect": "", "certainty": ""}},
		"PUT /playbook/schools/{id}":    {path: map[string]string{"id": "Q6"}, body: object{"position": ""}},
		"PUT /playbook/targets/{id}":    {path: map[string]string{"id": "invented"}, body: target},
		"DELETE /playbook/targets/{id}": {path: map[string]string{"id": "nothing"}},
		"GET /rigs/{id}/card": {path: map[string]string{"id": "fish-finder"},
			query: map[string]string{"weight_kg": "0.05", "hook": "5/0", "leader_n": "200", "leader_of": "mono", "offering": "cut-mullet",
				"units": "us"}},
		"POST /sky/day": {body: object{"date": "2026-11-20", "lat": 31.2, "lon": -45.1, "utc_offset_min": -180}},
		"GET /spells": {query: map[string]string{"target": "red-drum", "spot_id": bar, "stage": "flood",
			"third": "2", "from": when, "to": when, "outcome": "catch", "most": "5"}},
		"DELETE /spells/{id}":  {path: fresh()},
		"DELETE /catches/{id}": {path: fresh()},
		"DELETE /waters/{id}":  {path: fresh()},
		"PUT /spells/{id}":     {path: fresh(), body: spell},
		"DELETE /spots/{id}":   {path: fresh()},
		"GET /spots/{id}":      {path: one},
		"PUT /spots/{id}": {path: fresh(), body: object{"bottom": "sand", "draught_m": 0.3, "faces_deg": 90,
			"hazards": "mud", "in": object{"name": "stile", "elevation_m": 0.3}, "out": object{"name": "gully", "elevation_m": 0.5},
			"lat": 31.2, "lon": -45.1, "manner": "on foot", "marks": []object{mark}, "name": "New", "note": "n", "place": "surf beach",
			"public": false, "revision": 0, "section": []object{{"distance_m": 0, "elevation_m": 2},
				{"distance_m": 60, "elevation_m": -2}}, "section_bearing_deg": 90, "section_from": object{"lat": 31.2, "lon": -45.1},
			"shape": object{"area": true, "points": ring}, "water_id": water}},
		"PUT /spots/{id}/current": {path: one, body: object{"basin_m2": 0, "bed_m": -1, "seen_ms": 0.5, "width_m": 0}},
		"PUT /spots/{id}/marks/{mark_id}": {path: map[string]string{"id": bar, "mark_id": uuid.Must(uuid.NewV7()).String()},
			body: object{"at": object{"lat": at.Lat + 0.0002, "lon": at.Lon}, "bottom": "mud", "elevation_m": -0.5, "kind": "edge",
				"name": "Here", "note": "", "snag": false}},
		"DELETE /spots/{id}/noted/{noted_id}": {path: map[string]string{"id": bar, "noted_id": uuid.NewString()}},
		"PUT /spots/{id}/noted/{noted_id}": {path: map[string]string{"id": bar, "noted_id": uuid.NewString()},
			body: object{"height_m": 1.2, "kind": "high", "time": when}},
		"PUT /spots/{id}/offsets": {path: one, body: object{"difference_high_m": 0.1, "difference_low_m": 0, "factor_high": 1,
			"factor_low": 1, "lag_high_min": 10, "lag_low_min": 12}},
		"GET /spots/{id}/pier":    {path: one, query: map[string]string{"time": when}},
		"GET /spots/{id}/ribbon":  {path: one, query: map[string]string{"from": when, "hours": "12"}},
		"GET /spots/{id}/shelter": {path: one, query: map[string]string{"wind_ms": "8"}},
		"GET /spots/{id}/state":   {path: one, query: map[string]string{"time": when}},
		"GET /spots/{id}/tide":    {path: one},
		"GET /spots/{id}/visits": {path: one, query: map[string]string{"from": when,
			"to": testkit.Now.Add(48 * time.Hour).Format(time.RFC3339), "margin_min": "30", "daylight": "true"}},
		"POST /spots/{id}/found":    {path: one, body: object{"time": when, "shut": true}},
		"GET /evidence":             {query: map[string]string{"target": "red-drum"}},
		"GET /evidence/rule":        {query: map[string]string{"target": "red-drum", "rule": "moving-water"}},
		"GET /evidence/curve":       {query: map[string]string{"target": "red-drum", "by": "hour"}},
		"GET /evidence/lessons":     {query: map[string]string{"target": "red-drum"}},
		"GET /evidence/calibration": {},
		"POST /stats/rate-ratio": {body: object{"first": object{"name": "black", "fish": 13, "hours": 2},
			"second": object{"name": "chrome", "fish": 3, "hours": 2}}},
		"POST /stats/fisher":        {body: object{"first": object{"so": 7, "of": 10}, "second": object{"so": 1, "of": 14}}},
		"POST /stats/proportion":    {body: object{"so": 3, "of": 10}},
		"POST /trials/power":        {body: object{"ratio": 2, "rate": 1.5, "hours": 6}},
		"GET /spots/{id}/elsewhere": {path: one, query: map[string]string{"target": "red-drum", "time": when}},
		"GET /spots/{id}/windows": {path: one, query: map[string]string{"from": when,
			"to": testkit.Now.Add(48 * time.Hour).Format(time.RFC3339), "margin_min": "30", "daylight": "true"}},
		"GET /spots/{id}/windows.ics": {path: one, query: map[string]string{"from": when,
			"to": testkit.Now.Add(48 * time.Hour).Format(time.RFC3339), "margin_min": "30", "daylight": "true"}},
		"POST /usual/read":      {body: "month,water_temp_c\n1,8\n"},
		"POST /stations/read":   {body: "name,amplitude_m,phase_deg\nM2,0.6,120\n"},
		"DELETE /stations/{id}": {path: fresh()},
		"PUT /stations/{id}": {path: fresh(), body: object{"constituents": constituents, "name": "New quay",
			"source": "made up", "z0_m": 1}},
		"GET /stations/{id}/file": {path: map[string]string{"id": station}, query: map[string]string{"format": "json"}},
		"GET /stations/{id}/turns.csv": {path: map[string]string{"id": station},
			query: map[string]string{"from": when, "days": "2"}},
		"POST /tide/analyse":       {query: map[string]string{"of": "record", "time_zone": "UTC"}, body: csv},
		"POST /tide/analyse/watch": {query: map[string]string{"of": "record", "time_zone": "UTC"}, body: csv},
		"GET /tide/compare":        {query: map[string]string{"a": station, "b": station, "from": when, "days": "2"}},
		"POST /tide/predict": {body: object{"constituents": constituents, "from": when,
			"to": testkit.Now.Add(24 * time.Hour).Format(time.RFC3339), "step_s": 3600, "z0_m": 1}},
		"POST /water/breaking": {body: object{"bars": []object{{"elevation_m": -1}}, "level_m": 0.5, "swell_height_m": 1,
			"swell_period_s": 9}},
		"POST /water/light": {body: object{"cloud_fraction": 0.4, "depth_m": 1, "moon_altitude_deg": 10,
			"moon_illumination": 0.5, "secchi_m": 1, "sun_altitude_deg": 20}},
		"GET /waters/{id}": {path: map[string]string{"id": water}},
		"PUT /waters/{id}": {path: fresh(), body: object{"name": "New water", "station_id": station,
			"time_zone": "Etc/GMT+3"}},
		"GET /waters/{id}/cut": {path: map[string]string{"id": water},
			query: map[string]string{"from_lat": "31.2", "from_lon": "-45.12", "to_lat": "31.21", "to_lon": "-45.1", "points": "20"}},
		"GET /waters/{id}/depth.asc": {path: map[string]string{"id": water}, query: map[string]string{"time": when}},
		"GET /waters/{id}/finds":     {path: map[string]string{"id": water}, query: map[string]string{"level_m": "0.5"}},
		"GET /waters/{id}/grid.bin":  {path: map[string]string{"id": water}},
		"POST /waters/{id}/log": {path: map[string]string{"id": water},
			query: map[string]string{"time_zone": "UTC", "name": "logger", "keep": "false"},
			body:  "time,water_temp_c\n2026-11-19T12:00:00Z,14\n"},
		"GET /waters/{id}/reach": {path: map[string]string{"id": water},
			query: map[string]string{"lat": "31.2", "lon": "-45.1", "time": when}},
		"DELETE /waters/{id}/readings": {path: map[string]string{"id": water},
			query: map[string]string{"kind": "water_temp_c", "time": when}},
		"POST /waters/{id}/readings": {path: map[string]string{"id": water},
			body: object{"readings": reading, "spot_id": bar, "time": when}},
		"GET /waters/{id}/readings.csv": {path: map[string]string{"id": water}, query: map[string]string{"from": when, "to": when}},
		"PUT /waters/{id}/station":      {path: map[string]string{"id": water}, body: object{"station_id": station}},
		"DELETE /waters/{id}/surge":     {path: map[string]string{"id": water}},
		"PUT /waters/{id}/surge": {path: map[string]string{"id": water},
			body: object{"by_m": 0.2, "fade_h": 12, "seen_at": when}},
		"DELETE /zones/{id}": {path: fresh()},
		"PUT /zones/{id}": {path: fresh(), query: map[string]string{"water_id": water},
			body: object{"checked_on": "2026-01-02", "from_md": 1101, "kind": "seasonal", "name": "Nursery", "ring": ring,
				"says": "No fishing.", "source": "invented", "to_md": 228}},
	}
}

// address of an example under its path's pattern.
func (e example) address(pattern string) string {
	for k, v := range e.path {
		pattern = strings.ReplaceAll(pattern, "{"+k+"}", escaped(v))
	}
	sep := "?"
	for k, v := range e.query {
		pattern += sep + k + "=" + escaped(v)
		sep = "&"
	}
	return pattern
}
