package quantity

import "strings"

// Bounds are the least and the most a number may be: what is physically possible, wide
// enough for any water and any tackle. What is likely is not asked here.
type Bounds struct{ Least, Most float64 }

// longest and shallowest of what anglers measure, metres.
const (
	highest = 200.0  // above chart datum, and below it
	farAway = 20_000 // along a section or a cast
)

// fields whose bounds are narrower than their unit's. Zero is within those where it means
// "not said".
var fields = map[string]Bounds{
	"lat": {-90, 90}, "from_lat": {-90, 90}, "to_lat": {-90, 90}, "origin_lat": {-90, 90},
	"lon": {-180, 180}, "from_lon": {-180, 180}, "to_lon": {-180, 180}, "origin_lon": {-180, 180},

	"amplitude_m": {0, 20}, "phase_deg": {-360, 720}, "z0_m": {-50, 50}, "datum_m": {-50, 50}, "by_m": {-5, 5},
	"difference_high_m": {-20, 20}, "difference_low_m": {-20, 20}, "factor_high": {0, 20}, "factor_low": {0, 20},
	"lag_high_min": {-840, 840}, "lag_low_min": {-840, 840}, "utc_offset_min": {-900, 900}, "fade_h": {0, 96},
	"height_m": {-20, 20}, "level_m": {-30, 30},

	"elevation_m": {-highest, highest}, "bank_m": {-highest, highest}, "bed_m": {-highest, highest}, "crest_m": {-highest, highest},
	"depth_m": {0, 11_000}, "from_depth_m": {0, 11_000}, "to_depth_m": {0, 11_000}, "cell_m": {0, farAway},
	"distance_m": {0, farAway}, "from_m": {0, farAway}, "to_m": {0, farAway}, "behind_m": {0, farAway}, "reach_m": {0, farAway},
	"min_m": {0, 11_000}, "max_m": {0, 11_000}, "fishable_min_m": {0, 11_000}, "fishable_max_m": {0, 11_000},
	"strip_min_m": {0, 11_000}, "strip_max_m": {0, 11_000}, "window_min_m": {0, 11_000}, "window_max_m": {0, 11_000},
	"strikes_from_m": {0, farAway}, "strikes_to_m": {0, farAway}, "stand_m": {-20, farAway}, "think": {0, 1000}, "do_not": {0, 1000},
	"splash_clear_m": {0, farAway},
	"clear_m":        {0, farAway}, "cast_m": {0, 400}, "lift_m": {0, 100}, "ledge_m": {-highest, highest}, "blur_m": {100, farAway},
	"land_x_m": {-farAway, farAway}, "land_y_m": {-farAway, farAway}, "x_m": {-farAway, farAway}, "y_m": {-farAway, farAway},
	"basin_m2": {0, 1e10}, "width_m": {0, farAway}, "draught_m": {0, 4}, "seen_ms": {0, 8},
	"faces_deg": {0, 360}, "section_bearing_deg": {0, 360}, "bearing_deg": {0, 360}, "wind_from_deg": {0, 360}, "angle_deg": {-90, 90},
	"sun_altitude_deg": {-90, 90}, "moon_altitude_deg": {-90, 90},

	"secchi_m": {0, 80}, "clarity_secchi_m": {0, 80}, "swell_height_m": {0, 30}, "swell_period_s": {0, 40},
	"wind_ms": {0, 100}, "current_ms": {-8, 8}, "cloud_fraction": {0, 1}, "moon_illumination": {0, 1},
	"feeds_from_c": {-5, 45}, "feeds_to_c": {-5, 45}, "gone_below_c": {-5, 45},

	"length_m": {0, 10_000}, "girth_m": {0, 4}, "mass_kg": {0, 500}, "weight_kg": {0, 100}, "rated_kg": {0, 100}, "rated_m": {0, 200},
	"weight_a": {0, 1000}, "weight_b": {0, 10}, "worth": {0, 1e6},
	"diameter_m": {0, 0.05}, "line_diameter_m": {0, 0.05}, "spool_diameter_m": {0, 0.5}, "spool_m": {0, farAway}, "turn_m": {0, 10},
	"line_length_m": {0, farAway}, "length_per_turn_m": {0, 10}, "gear_ratio": {0, 20}, "ratio": {0, 20},
	"break_n": {0, 5000}, "line_n": {0, 5000}, "leader_n": {0, 5000}, "drag_n": {0, 5000}, "stretch_at_break": {0, 2},
	"density_kg_m3": {0, 23_000}, "fall_ms": {0, 20}, "pace_ms": {0, 20},

	"from_md": {0, 1231}, "to_md": {0, 1231}, "third": {0, 3}, "rods": {1, 12}, "count": {0, 10_000}, "most": {1, 1000},
	"days": {1, 1100}, "hours": {1, 96}, "points": {2, 400}, "revision": {0, 2147483646}, "seed": {0, 1 << 53}, "step_s": {0, 31_557_600},
	"margin_min": {0, 720}, "value": {-1e6, 1e6}, "at_s": {0, 31_557_600},
}

// endings of names, with the unit they stand for.
var endings = []struct {
	ending, unit string
	Bounds
}{
	{"_kg_m3", "kg/m³", Bounds{0, 23_000}}, {"_m2", "m²", Bounds{0, 1e12}}, {"_ms", "m/s", Bounds{-100, 100}},
	{"_kg", "kg", Bounds{0, 1000}},
	{"_deg", "°", Bounds{-360, 720}}, {"_min", "min", Bounds{-525_600, 525_600}}, {"_n", "N", Bounds{0, 10_000}},
	{"_s", "s", Bounds{0, 31_557_600}}, {"_h", "h", Bounds{0, 8784}}, {"_c", "°C", Bounds{-60, 60}}, {"_mm", "mm", Bounds{0, 10_000}},
	{"_fraction", "", Bounds{0, 1}}, {"_m", "m", Bounds{-11_000, 100_000}},
}

// BoundsOf a field by its name, which ends in its unit; false where it says neither.
func BoundsOf(name string) (Bounds, bool) {
	if b, ok := fields[name]; ok {
		return b, true
	}
	for _, e := range endings {
		if strings.HasSuffix(name, e.ending) {
			return e.Bounds, true
		}
	}
	return Bounds{}, false
}

// FieldUnit is the unit a field's name ends in, and the name without it; empty where it
// ends in none.
func FieldUnit(name string) (bare, unit string) {
	for _, e := range endings {
		if bare, ends := strings.CutSuffix(name, e.ending); ends {
			return bare, e.unit
		}
	}
	return name, ""
}
