package tackle

// Usual values to start a calculation from (common practice, no source).
const (
	UsualCast    = 35.0    // m
	UsualPace    = 0.5     // m/s over the ground
	UsualLine    = 0.00025 // m thick
	UsualLineOut = 50.0    // m
	UsualFlight  = 12.0    // m/s through the air
	UsualReach   = 90.0    // m, with a surf rod
	UsualSplash  = 1.8     // m clear of a fish
	// A strike window before the nose, m.
	UsualWindowMin, UsualWindowMax = 0.15, 0.3

	UsualRated    = 1.5    // m a plug dives to
	UsualBehind   = 25.0   // m behind a boat
	UsualTrolling = 2.57   // m/s, 5 knots
	UsualLineN    = 89     // N, 20 lb
	GeneralHead   = 0.0053 // kg, 3/16 oz
)

// densities of what sinks by its shape, kg/m³: lead, steel, a soft lure on its head.
var densities = map[Shape]float64{SoftLure: 2200, Jig: leadDensity, Metal: 7800, Flutter: 7800, Egg: leadDensity, Sphere: leadDensity}

// DensityOf what is sold in a shape; lead where nothing is known.
func DensityOf(s Shape) float64 {
	if d, known := densities[s]; known {
		return d
	}
	return leadDensity
}

// stretches of lines at their breaking strength, as a share of their length: mono by about a fifth,
// fluorocarbon hardly less once it is pulled so hard, braid far less (makers' tables, from memory).
var stretches = map[Material]float64{Mono: 0.22, Fluoro: 0.2, Braid: 0.04}

// StretchOf a line's material; that of mono where it is not known.
func StretchOf(m Material) float64 {
	if s, known := stretches[m]; known {
		return s
	}
	return stretches[Mono]
}

// ZoneHalf is how far along a section a mark is taken to reach either side, metres.
const ZoneHalf = 6.0

// ZoneAbout a mark at a distance along a section.
func ZoneAbout(name string, distanceM float64) Zone {
	return Zone{Name: name, FromM: max(distanceM-ZoneHalf, 0), ToM: distanceM + ZoneHalf, Worth: 1}
}
