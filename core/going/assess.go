package going

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// look is a moment being assessed.
type look struct {
	m      *spot.Moment
	limits Limits
	units  quantity.Units
	out    []Caution
}

// Assess a moment at a spot, on its tide: the cautions, gravest first.
func Assess(m *spot.Moment, c *tide.Curve, l Limits, u quantity.Units) []Caution {
	k := look{m: m, limits: l, units: u}
	return k.all(func() { k.way(c) })
}

// AtPlace are the cautions of a moment but for how long the way stays open, for those who know
// that already.
func AtPlace(m *spot.Moment, l Limits, u quantity.Units) []Caution {
	k := look{m: m, limits: l, units: u}
	return k.all(func() {})
}

func (k *look) all(way func()) []Caution {
	k.thunder()
	k.cold()
	way()
	switch k.m.Spot.Access.Manner {
	case ground.Kayak:
		k.kayak()
	case ground.Boat:
		k.boat()
	case ground.Wading:
		k.wading()
		k.onFoot()
	case ground.OnFoot:
		k.onFoot()
	}
	k.place()
	k.night()
	return Sorted(k.out)
}

func (k *look) add(id string, s Severity, format string, args ...any) {
	k.out = append(k.out, Caution{id, s, fmt.Sprintf(format, args...)})
}

// limit adds a caution where a value has passed one.
func (k *look) limit(id, of string, value float64, think, doNot string, args ...any) {
	switch s := k.limits.passed(of, value); s {
	case Think:
		k.add(id, s, think, args...)
	case DoNot:
		k.add(id, s, doNot, args...)
	case Note:
	}
}

func (k *look) at(places ...string) bool { return slices.Contains(places, k.m.Spot.Place) }

func (k *look) sign(s string) bool { return slices.Contains(k.m.Signs, s) }

// known value of a kind: not only assumed.
func (k *look) known(kind conditions.Kind) (float64, bool) {
	v, there := k.m.Believed[kind]
	return v.Value, there && v.Origin != conditions.Assumed
}

func (k *look) manner() ground.Manner { return k.m.Spot.Access.Manner }

// rocky places are those where one stands on stone.
func (k *look) rocky() bool { return k.at("rocky shore", "jetty", "ledge", "reef", "seawall") }

// open to the swell of the sea.
func (k *look) open() bool {
	return k.at("surf beach", "rocky shore", "jetty", "reef", "ledge", "harbour mouth", "pier")
}

// thundery is the cloud cover from which thunder is spoken of, warm the air it wants.
const (
	thundery = 0.8
	warm     = 15
)

// sheltered places have something taller than a rod about.
var sheltered = []string{"overhung bank", "timbered creek", "dug canal", "back lake", "river bend"}

func (k *look) thunder() {
	says := "rods down and off the beach, pier and water; back half an hour after the last"
	switch {
	case k.sign("thunder"):
		k.add("thunder", DoNot, "Do not fish in thunder: %s.", says)
	case k.m.Believed[conditions.Cloud].Value >= thundery && k.m.Believed[conditions.AirTemp].Value >= warm &&
		!slices.Contains(sheltered, k.m.Spot.Place):
		k.add("thunder", Note, "At the first thunder %s.", says)
	}
}

// way there and back: shut, or shutting.
func (k *look) way(c *tide.Curve) {
	w, open := ground.NextClose(k.m.Spot.WayOpen(c), k.m.Time)
	if !open {
		k.add("way", DoNot, "Do not go: the way there or back is shut now.")
		return
	}
	if w.Closes.IsZero() {
		return
	}
	left := w.Closes.Sub(k.m.Time).Round(time.Minute)
	if left > spot.Soon {
		return
	}
	behind := ""
	if k.rocky() && k.m.Stage.Direction == tide.Flood {
		behind = " The flood comes in behind you."
	}
	k.add("way", k.limits.passed(wayBack, left.Minutes()), "Tide cut-off: in %s it is %s. Be out before.%s", prose.Lasting(left),
		w.ClosedBy,
		behind)
}

func (k *look) cold() {
	c := k.m.Believed[conditions.WaterTemp].Value
	s := k.limits.passed(coldWater, c)
	if s == Note {
		return
	}
	temp := k.units.ShowTemperature(c)
	switch k.manner() {
	case ground.Kayak:
		k.add("cold", s, "Water of %s takes the breath away: dress for the water and not for the air, flotation on, and not alone.", temp)
	case ground.Wading:
		k.add("cold", s, "Water of %s takes the breath away: waders with a belt, flotation, and not alone.", temp)
	case ground.OnFoot, ground.Boat:
		k.add("cold", Note, "Cold water (%s) takes the breath away: wear flotation, and do not fish alone.", temp)
	}
}

// waves where one floats, metres: the wind's own, and the swell where the place is open to it;
// false where nobody knows.
func (k *look) waves() (float64, bool) {
	wind, known := k.known(conditions.WindSpeed)
	h := 0.0
	if known {
		h = k.m.SurfaceUnder(wind, k.m.Believed[conditions.WindFrom].Value).WaveM
	}
	if swell, told := k.known(conditions.SwellHeight); told && k.open() {
		return math.Hypot(h, swell), true
	}
	return h, known
}

// offshore says that the wind blows off the land there; false where it is not known.
func (k *look) offshore() bool {
	from, known := k.known(conditions.WindFrom)
	if !known {
		return false
	}
	if r := k.m.Spot.Rose; r != nil {
		return r.SideFor(from) == water.Lee
	}
	if f := k.m.Spot.FacesDeg; f != nil {
		return math.Cos((from-*f)*math.Pi/180) < -0.5
	}
	return false
}

func (k *look) kayak() {
	wind, known := k.known(conditions.WindSpeed)
	says := k.units.ShowWind(wind)
	switch {
	case !known:
		k.add("wind", Note, "Nobody has told the wind: look before you launch.")
	case k.offshore() && k.limits.passed(kayakOffshore, wind) > k.limits.passed(kayakWind, wind):
		k.limit("wind", kayakOffshore, wind, "Wind of %s off the land carries a kayak out, and the way home is against it.",
			"Do not launch: wind of %s off the land carries a kayak out faster than one paddles home.", says)
	default:
		k.limit("wind", kayakWind, wind, "Wind of %s is a lot for a kayak.",
			"Do not launch: wind of %s is too much for a kayak.",
			says)
	}
	if h, told := k.waves(); told {
		k.limit("waves", kayakWaves, h, "Waves of %s are a lot for a kayak.",
			"Do not launch: waves of %s are too much for a kayak.",
			k.units.ShowDepth(h))
	}
	if k.sign("fog") {
		k.add("fog", DoNot, "Do not launch: in fog nobody sees a kayak.")
	}
	if k.m.Sun.Altitude < sky.SunUp {
		k.add("light", Think, "Not without a white light that shows all round: nobody sees a kayak at dusk.")
	}
	k.add("flotation", Note, "Flotation on, whistle at hand, and somebody who knows when you are due back.")
}

func (k *look) boat() {
	if wind, known := k.known(conditions.WindSpeed); known {
		k.limit("wind", boatWind, wind, "Wind of %s is a lot for a small open boat.",
			"Do not go out: wind of %s is too much for a small open boat.", k.units.ShowWind(wind))
	} else {
		k.add("wind", Note, "Nobody has told the wind: look before you cast off.")
	}
	if h, told := k.waves(); told {
		k.limit("waves", boatWaves, h, "Waves of %s are a lot for a small open boat.",
			"Do not go out: waves of %s are too much for a small open boat.", k.units.ShowDepth(h))
	}
	if k.sign("fog") {
		k.add("fog", Think, "Fog: slow, a sound signal, and not across a channel.")
	}
	k.inlet()
	if k.rocky() || k.at("harbour mouth") {
		k.add("controls", Note, "Off rock one person stays at the controls with the engine running; kill-cord on, lights at dusk.")
	} else {
		k.add("controls", Note, "Kill-cord on when you move, lights at dusk.")
	}
}

// Swell that an ebb makes steep in an inlet, and that which breaks in it, metres.
const (
	steepSwell    = 0.8
	breakingSwell = 1.5
)

// inlet or bar with the ebb against the swell.
func (k *look) inlet() {
	swell, told := k.known(conditions.SwellHeight)
	if !told || !k.at("harbour mouth", "jetty") || k.m.Stage.Direction != tide.Ebb || k.m.Stage.Slack {
		return
	}
	switch {
	case swell >= breakingSwell:
		k.add("inlet", DoNot, "Do not cross: the ebb against %s of swell breaks in the inlet.", k.units.ShowDepth(swell))
	case swell >= steepSwell:
		k.add("inlet", Think, "The ebb runs out against %s of swell: steep in the inlet.", k.units.ShowDepth(swell))
	}
}

func (k *look) wading() {
	s := k.m.Spot
	if lowest, any := s.Access.Lowest(); any {
		depth := k.m.LevelM - lowest
		k.limit("depth", wadeDepth, depth, "%s of water on the way is over mid-thigh.",
			"Do not wade: %s of water on the way is over the hip.", k.units.ShowDepth(depth))
	}
	if run, known := k.m.Current(); known {
		k.limit("run", wadeRun, math.Abs(run), "The water runs at %s: it takes the legs from under you.",
			"Do not wade: the water runs at %s.", k.units.ShowRun(math.Abs(run)))
	}
	if k.at("surf beach") && k.m.Sun.Altitude < sky.CivilTwilight {
		k.add("surf at night", DoNot, "Do not wade in surf at night.")
	}
	k.add("wading", Note, "Wade no deeper than the thigh, shuffle your feet for rays, and wear boots: shell and soft mud.")
}

// onFoot on rock and wall, and on the beach.
func (k *look) onFoot() {
	swell, told := k.known(conditions.SwellHeight)
	switch {
	case k.at("surf beach"):
		if h := k.m.Swell(); told {
			k.limit("surf", breakers, h, "Breakers of %s are heavy to stand and fish in.",
				"Do not stand or fish in this surf: breakers of %s are too heavy.", k.units.ShowDepth(h))
			if r, err := water.RunUp(swell, k.m.Believed[conditions.SwellPeriod].Value, beachSlope); err == nil && k.m.Spot.StandM != nil {
				k.washed(r)
			}
		}
	case k.rocky() && k.open():
		if !told || swell == 0 {
			break
		}
		k.washed(k.m.Swell()) // on steep rock about as high as it breaks
	}
}

// beachSlope of the face of a beach, where nothing is known of it.
const beachSlope = 0.08

// washed by waves that run up so high above still water.
func (k *look) washed(runUp float64) {
	above := k.m.Spot.Stands() - k.m.LevelM
	if above <= 0 {
		return // under water: the way says so
	}
	clear := above - runUp
	k.limit("run-up", rockClear, clear, "Waves run up to within %[1]s of your feet: watch the sets.",
		"Do not go out on it: waves wash over. You stand %[2]s above the water and they run up %[3]s.",
		k.units.ShowDepth(math.Max(clear, 0)), k.units.ShowDepth(above), k.units.ShowDepth(runUp))
}

func (k *look) place() {
	onFoot := k.manner() == ground.OnFoot || k.manner() == ground.Wading
	switch {
	case k.at("surf beach"):
		k.add("rip", Note, "Rip currents run out through the cuts. If caught, float, signal, and move along the shore, not against it. "+
			"Heed lifeguards.")
	case k.at("pier"):
		k.add("pier", Note, "Wet planks and rails are slippery; look behind you before you cast.")
	case k.at("seawall") && onFoot:
		k.add("wall", Note, "Stand back from the edge when you lift a fish, and mind other people's lines.")
	case k.rocky() && onFoot:
		k.add("rock", Note, "Never turn your back to the sea; wet rock is slippery: studs and flotation, and not alone.")
	case k.at("timbered creek", "mud flat", "back lake", "overhung bank"):
		k.add("mud", Note, "Soft mud and hidden holes: test before you step. Heed what lives there, alligators and snakes included.")
	}
	if k.sign("crowd") {
		k.add("crowd", Note, "Crowded: look behind you, keep your line off others', and leave room.")
	}
	if k.sign("fog") && onFoot {
		k.add("fog", Note, "Fog: mind the way back before you lose sight of it.")
	}
}

func (k *look) night() {
	if k.m.Sun.Altitude < sky.CivilTwilight {
		k.add("night", Note, "It is dark: carry two lights and know the way back.")
	}
}
