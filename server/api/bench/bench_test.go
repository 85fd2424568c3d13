package bench_test

import (
	"fmt"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTheBench(t *testing.T) {
	c := kit.Fresh(t, "wren")
	bench := func(path string, in object) (out object) {
		t.Helper()
		require.Equal(t, http.StatusOK, c.Do("POST", "/bench/"+path, in, &out), path)
		return out
	}
	// 40 ft to a mark at 30 ft at 2 ft a turn is 5 turns (common practice).
	o := bench("reel-turns", object{"length_per_turn_m": 2 * 0.3048, "from_depth_m": 40 * 0.3048, "to_depth_m": 30 * 0.3048})
	assert.InDelta(t, 5, o["turns"], 1e-9)
	o = bench("reel-turns", object{"gear_ratio": 5.2, "spool_diameter_m": 0.045, "from_depth_m": 10, "to_depth_m": 5})
	assert.InDelta(t, 0.7351, o["length_per_turn_m"], 1e-3)
	o = bench("fall", object{"mass_kg": 0.02835, "density_kg_m3": 11340, "shape": "sphere", "depth_m": 10})
	assert.InDelta(t, 2.1, o["speed_ms"], 0.2)
	assert.InDelta(t, 10/o["speed_ms"].(float64), o["seconds"], 1e-9)
	o = bench("fall", object{"mass_kg": 0.01, "density_kg_m3": 2200, "shape": "soft lure", "depth_m": 2, "bank_m": []float64{1, 2, 4},
		"lift_m": 0.3})
	assert.Len(t, o["hops"], 2)
	o = bench("pace", object{"least_water_speed_ms": 0.5, "push_ms": 0.2, "length_per_turn_m": 0.7})
	assert.InDelta(t, 10, o["turns_per_10s"], 1e-9)
	o = bench("cadence", object{"text": "twitch twitch pause 4 s"})
	assert.InDelta(t, 4.8, o["seconds"], 1e-9)
	assert.Equal(t, "2 twitch pause 4 s", o["text"])
	o = bench("lead", object{"current_ms": 0.8, "line_diameter_m": 0.0003, "line_length_m": 50})
	assert.Greater(t, o["hold_kg"], o["trot_kg"])
	assert.Greater(t, o["thicker_kg"], o["thinner_kg"])
	o = bench("interception", object{"fish": object{"x_m": -20, "y_m": 15, "speed_ms": 0.6, "bearing_deg": 90}, "pace_ms": 0.5,
		"flight_speed_ms": 12, "reach_m": 30, "splash_clear_m": 1.8, "window_min_m": 0.15, "window_max_m": 0.3})
	assert.Equal(t, true, o["possible"])
	assert.InDelta(t, 0.225, o["pass_distance_m"], 1e-9)
	o = bench("plug", object{"rated_m": 1.8, "cast_m": 30, "line_diameter_m": 0.0003, "pace_ms": 0.6, "strip_min_m": 0.5, "strip_max_m": 2,
		"spot_id": c.ID("Long Strand")})
	assert.NotEmpty(t, o["path"])
	o = bench("plug", object{"rated_m": 1.8, "cast_m": 30, "line_diameter_m": 0.0003, "pace_ms": 0.6, "strip_min_m": 0.5, "strip_max_m": 2,
		"depths": []object{{"distance_m": 0, "depth_m": 0.5}, {"distance_m": 40, "depth_m": 1}}})
	assert.NotNil(t, o["touches_m"])
	o = bench("cast", object{"spot_id": c.ID("Kettle Bar"), "cast_m": 40, "pace_ms": 0.5, "min_m": 0.5, "max_m": 2})
	assert.Len(t, o["directions"], 36)
	assert.NotNil(t, o["best_deg"])
	assert.Greater(t, bench("jig", object{"depth_m": 30, "run_ms": 0.7, "line_diameter_m": 0.0002})["mass_kg"], 0.02)
	assert.InDelta(t, 3.7, bench("float", object{"level_m": 1.2, "crest_m": -3, "clear_m": 0.5})["knot_m"], 1e-9)
	assert.Len(t, bench("rods", object{"rods": 4, "reach_m": 90, "zones": []object{{"name": "trough", "from_m": 20, "to_m": 50}}})["rods"],
		4)
	assert.Equal(t, true, bench("troll", object{"lure": "bucktail", "speed_ms": 2.6, "behind_m": 25, "ledge_m": 100})["fits"])
	o = bench("line", object{"hazard": "shell", "line_n": 90, "material": "fluorocarbon"})
	assert.InDelta(t, 30, o["drag_n"], 1e-9)
	assert.Equal(t, "clinch", o["knot"])
	// 24–25 in of red drum lie about 6 lb (common practice).
	o = bench("length-weight", object{"target": "red-drum", "length_m": 24.5 * 0.0254, "mass_kg": 2.7})
	assert.InDelta(t, 6*0.45359237, o["mass_kg"], 0.4)
	assert.Less(t, o["low_kg"], o["mass_kg"])
	assert.Greater(t, o["high_kg"], o["mass_kg"])
	assert.NotNil(t, o["condition"])
	// An 18.5 in sheepshead weighs about 6 lb, and 40 to 30 ft at 2 ft a turn is 5 turns (common practice, no source).
	o = bench("length-weight", object{"target": "sheepshead", "length_m": 18.5 * 0.0254})
	assert.InDelta(t, 6*0.45359237, o["mass_kg"], 0.15)
	o = bench("reel-turns", object{"length_per_turn_m": 2 * 0.3048, "from_depth_m": 40 * 0.3048, "to_depth_m": 30 * 0.3048})
	assert.InDelta(t, 5, o["turns"], 1e-6)
	var long problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/bench/length-weight", object{"target": "red-drum", "length_m": 3.9},
		&long))
	assert.Contains(t, fmt.Sprint(long.Errors), "longest known")
	// What holds across the current wants 5 to 10 times what streams down it.
	lead := object{"current_ms": 0.8, "line_diameter_m": 0.0003, "line_length_m": 60, "depth_m": 4}
	across := bench("lead", lead)["hold_kg"].(float64)
	lead["angle_deg"] = 0
	assert.Greater(t, across, 5*bench("lead", lead)["hold_kg"].(float64))
	o = bench("light-finish", object{"secchi_m": 1, "depth_m": 6, "sun_altitude_deg": 40, "cloud_fraction": 0.5})
	assert.NotEmpty(t, o["finishes"])
}

func TestTheBenchNamesWhatIsWrong(t *testing.T) {
	c := kit.Fresh(t, "wren")
	for path, bad := range map[string]struct {
		in   object
		want string
	}{
		"reel-turns": {object{"from_depth_m": 1, "to_depth_m": 2}, "a turn of the handle"},
		"fall":       {object{"mass_kg": 0.01, "density_kg_m3": 900, "shape": "sphere", "depth_m": 1}, "does not sink"},
		"pace":       {object{"least_water_speed_ms": -1, "push_ms": 0, "length_per_turn_m": 0.6}, "least speed"},
		"cadence":    {object{"text": "jiggle"}, "jiggle"},
		"lead":       {object{"current_ms": 9, "line_diameter_m": 0.0003, "line_length_m": 50}, "current"},
		"plug": {object{"rated_m": 1, "cast_m": 30, "line_diameter_m": 0.0003, "pace_ms": 1, "strip_min_m": 0, "strip_max_m": 1},
			"say a spot"},
		"interception": {object{"fish": object{"x_m": 0, "y_m": 5, "speed_ms": -1, "bearing_deg": 0}, "pace_ms": 1, "flight_speed_ms": 9,
			"reach_m": 9, "splash_clear_m": 1, "window_min_m": 0, "window_max_m": 1}, "speed"},
		"jig":           {object{"depth_m": 0, "run_ms": 0, "line_diameter_m": 0.0003}, "depth"},
		"float":         {object{"level_m": 0, "crest_m": 0, "clear_m": 1}, "no room"},
		"rods":          {object{"rods": 99, "reach_m": 90}, "The rods must be 12 or less."},
		"troll":         {object{"lure": "bucktail", "speed_ms": 99, "behind_m": 1, "ledge_m": 1}, "speed"},
		"line":          {object{"hazard": "shell", "line_n": 0, "material": "mono"}, "hold more than 0"},
		"length-weight": {object{"target": "unicorn", "length_m": 1}, "unicorn"},
		"light-finish":  {object{"secchi_m": 0, "depth_m": 6, "sun_altitude_deg": 40, "cloud_fraction": 0.5}, "ecchi"},
	} {
		var p problem
		assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/bench/"+path, bad.in, &p), path)
		assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), bad.want, path)
	}
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("POST", "/bench/cast",
		object{"spot_id": c.ID("Kettle Bar"), "cast_m": 40, "pace_ms": 0.5, "min_m": 0.5, "max_m": 2}, nil))
}
