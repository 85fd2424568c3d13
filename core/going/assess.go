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
	"greypebble/core/words"
)

// look is a moment being assessed.
type look struct {
	m      *spot.Moment
	limits Limits
	units  quantity.Units
	out    []Caution
	// grave: only what says "do not" is wanted.
	grave bool
}

// Assess a moment at a spot, on its tide: the cautions, gravest first.
func Assess(m *spot.Moment, c *tide.Curve, l Limits, u quantity.Units) []Caution {
	k := look{m: m, limits: l, units: u}
	return k.all(func() { k.way(c) })
}

// Forbidden says what of a moment, but for the way, is one not to go in; "" where nothing is.
func Forbidden(m *spot.Moment, l Limits, u quantity.Units) string {
	k := look{m: m, limits: l, units: u, grave: true}
	if list := k.all(func() {}); len(list) > 0 {
		return list[0].Says
	}
	return ""
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
	if k.grave && s < DoNot {
		return
	}
	k.out = append(k.out, Caution{id, s, fmt.Sprintf(format, args...)})
}

// measured is a quantity that is put into words only where it is said: of most hours nothing is.
type measured struct {
	of    func(quantity.Units, float64) string
	units *quantity.Units
	value float64
}

func (m measured) String() string { return m.of(*m.units, m.value) }

func (k *look) show(of func(quantity.Units, float64) string, value float64) measured {
	return measured{of, &k.units, value}
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
	return v.Value, there && v.Origin.Told()
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
	says := words.RodsDownAndOffTheBeach
	switch {
	case k.sign("thunder"):
		k.add("thunder", DoNot, words.DoNotFishInThunder, says)
	case k.m.Believed[conditions.Cloud].Value >= thundery && k.m.Believed[conditions.AirTemp].Value >= warm &&
		!slices.Contains(sheltered, k.m.Spot.Place):
		k.add("thunder", Note, words.AtTheFirstThunder, says)
	}
}

// way there and back: shut, or shutting.
func (k *look) way(c *tide.Curve) {
	w, open := ground.NextClose(k.m.Spot.WayOpen(c), k.m.Time)
	if !open {
		k.add("way", DoNot, words.DoNotGoTheWayThere)
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
		behind = words.TheFloodComesInBehindYou
	}
	k.add("way", k.limits.passed(wayBack, left.Minutes()), words.TideCutOffInItIs, prose.Lasting(left),
		w.ClosedBy,
		behind)
}

func (k *look) cold() {
	c := k.m.Believed[conditions.WaterTemp].Value
	s := k.limits.passed(coldWater, c)
	if s == Note {
		return
	}
	temp := k.show(quantity.Units.ShowTemperature, c)
	switch k.manner() {
	case ground.Kayak:
		k.add("cold", s, words.WaterOfTakesTheBreathAway, temp)
	case ground.Wading:
		k.add("cold", s, words.WaterOfTakesTheBreathAway2, temp)
	case ground.OnFoot, ground.Boat:
		k.add("cold", Note, words.ColdWaterTakesTheBreathAway, temp)
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
	says := k.show(quantity.Units.ShowWind, wind)
	switch {
	case !known:
		k.add("wind", Note, words.NobodyHasToldTheWindLook)
	case k.offshore() && k.limits.passed(kayakOffshore, wind) > k.limits.passed(kayakWind, wind):
		k.limit("wind", kayakOffshore, wind, words.WindOfOffTheLandCarries,
			words.DoNotLaunchWindOfOff, says)
	default:
		k.limit("wind", kayakWind, wind, words.WindOfIsALotFor,
			words.DoNotLaunchWindOfIs,
			says)
	}
	if h, told := k.waves(); told {
		k.limit("waves", kayakWaves, h, words.WavesOfAreALotFor,
			words.DoNotLaunchWavesOfAre,
			k.show(quantity.Units.ShowHeight, h))
	}
	if k.sign("fog") {
		k.add("fog", DoNot, words.DoNotLaunchInFogNobody)
	}
	if k.m.Sun.Altitude < sky.SunUp {
		k.add("light", Think, words.NotWithoutAWhiteLightThat)
	}
	k.add("flotation", Note, words.FlotationOnWhistleAtHandAnd)
}

func (k *look) boat() {
	if wind, known := k.known(conditions.WindSpeed); known {
		k.limit("wind", boatWind, wind, words.WindOfIsALotFor2,
			words.DoNotGoOutWindOf, k.show(quantity.Units.ShowWind, wind))
	} else {
		k.add("wind", Note, words.NobodyHasToldTheWindLook2)
	}
	if h, told := k.waves(); told {
		k.limit("waves", boatWaves, h, words.WavesOfAreALotFor2,
			words.DoNotGoOutWavesOf, k.show(quantity.Units.ShowHeight, h))
	}
	if k.sign("fog") {
		k.add("fog", Think, words.FogSlowASoundSignalAnd)
	}
	k.inlet()
	if k.rocky() || k.at("harbour mouth") {
		k.add("controls", Note, words.OffRockOnePersonStaysAt)
	} else {
		k.add("controls", Note, words.KillCordOnWhenYouMove)
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
		k.add("inlet", DoNot, words.DoNotCrossTheEbbAgainst, k.show(quantity.Units.ShowHeight, swell))
	case swell >= steepSwell:
		k.add("inlet", Think, words.TheEbbRunsOutAgainstOf, k.show(quantity.Units.ShowHeight, swell))
	}
}

func (k *look) wading() {
	s := k.m.Spot
	if lowest, any := s.Access.Lowest(); any {
		depth := k.m.LevelM - lowest
		k.limit("depth", wadeDepth, depth, words.OfWaterOnTheWayIs,
			words.DoNotWadeOfWaterOn, k.show(quantity.Units.ShowWater, depth))
	}
	if run, known := k.m.Current(); known {
		k.limit("run", wadeRun, math.Abs(run), words.TheWaterRunsAtItTakes,
			words.DoNotWadeTheWaterRuns, k.show(quantity.Units.ShowRun, math.Abs(run)))
	}
	if k.at("surf beach") && k.m.Sun.Altitude < sky.CivilTwilight {
		k.add("surf at night", DoNot, words.DoNotWadeInSurfAt)
	}
	k.add("wading", Note, words.WadeNoDeeperThanTheThigh)
}

// onFoot on rock and wall, and on the beach.
func (k *look) onFoot() {
	swell, told := k.known(conditions.SwellHeight)
	switch {
	case k.at("surf beach"):
		if h := k.m.Swell(); told {
			k.limit("surf", breakers, h, words.BreakersOfAreHeavyToStand,
				words.DoNotStandOrFishIn, k.show(quantity.Units.ShowHeight, h))
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
	k.limit("run-up", rockClear, clear, words.WavesRunUpToWithinOf,
		words.DoNotGoOutOnIt,
		k.show(quantity.Units.ShowDepth, math.Max(clear, 0)), k.show(quantity.Units.ShowDepth, above),
		k.show(quantity.Units.ShowDepth, runUp))
}

func (k *look) place() {
	onFoot := k.manner() == ground.OnFoot || k.manner() == ground.Wading
	switch {
	case k.at("surf beach"):
		k.add("rip", Note, words.RipCurrentsRunOutThroughThe)
	case k.at("pier"):
		k.add("pier", Note, words.WetPlanksAndRailsAreSlippery)
	case k.at("seawall") && onFoot:
		k.add("wall", Note, words.StandBackFromTheEdgeWhen)
	case k.rocky() && onFoot:
		k.add("rock", Note, words.NeverTurnYourBackToThe)
	case k.at("timbered creek", "mud flat", "back lake", "overhung bank"):
		k.add("mud", Note, words.SoftMudAndHiddenHolesTest)
	}
	if k.sign("crowd") {
		k.add("crowd", Note, words.CrowdedLookBehindYouKeepYour)
	}
	if k.sign("fog") && onFoot {
		k.add("fog", Note, words.FogMindTheWayBackBefore)
	}
}

func (k *look) night() {
	if k.m.Sun.Altitude < sky.CivilTwilight {
		k.add("night", Note, words.ItIsDarkCarryTwoLights)
	}
}
