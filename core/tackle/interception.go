package tackle

import (
	"fmt"
	"math"

	"greypebble/core/words"
)

// Fish that was seen moving: metres east and north of the angler, metres a second
// and degrees clockwise from north.
type Fish struct{ XM, YM, SpeedMS, BearingDeg float64 }

// At is where it is after a time if it keeps its bearing.
func (f Fish) At(seconds float64) (x, y float64) {
	s, c := math.Sincos(f.BearingDeg * math.Pi / 180)
	return f.XM + f.SpeedMS*seconds*s, f.YM + f.SpeedMS*seconds*c
}

// Cast at a moving fish. The lure is drawn straight to the angler at PaceMS.
type Cast struct {
	Fish Fish
	// PaceMS over the ground; FlightMS through the air.
	PaceMS, FlightMS float64
	// ReachM is the longest cast in still air; WindMS the wind, WindFromDeg where it
	// comes from, degrees clockwise from north.
	ReachM              float64
	WindMS, WindFromDeg float64
	// SplashClearM is how far from the fish the lure must fall: 1.5 to 2 m (common
	// practice, no source).
	SplashClearM float64
	// The strike window: how far ahead of the fish's nose the lure is to cross its
	// path, metres.
	WindowMinM, WindowMaxM float64
}

// Aim is where to land the lure and when.
type Aim struct {
	LandXM, LandYM float64
	// WaitS before the cast; the lure lands at SplashS and crosses the fish's path
	// at CrossS, all counted from now.
	WaitS, SplashS, CrossS float64
	// PassDistanceM is how far ahead of the nose it crosses.
	PassDistanceM float64
	// Possible says that it can be done; Why, what prevents it or what to mind.
	Possible bool
	Why      string
}

// How far ahead of time a fish is followed, and how finely aims are tried.
const (
	longestWait = 90.0 // seconds
	aimStep     = 0.1
	leadStep    = 0.05
	longestLead = 20.0 // seconds between splash and crossing
	// besideM: the line falls at least so far from the fish.
	besideM = 0.3
)

// Validate names what is wrong.
func (c Cast) Validate() error {
	switch {
	case !(math.Hypot(c.Fish.XM, c.Fish.YM) < 500):
		return fmt.Errorf("tackle: the fish must be within 500 m, not at %v, %v", c.Fish.XM, c.Fish.YM)
	case !(c.Fish.SpeedMS >= 0 && c.Fish.SpeedMS < 20):
		return fmt.Errorf("tackle: the fish's speed must be between 0 and 20 m/s, not %v", c.Fish.SpeedMS)
	case math.IsNaN(c.Fish.BearingDeg) || math.IsInf(c.Fish.BearingDeg, 0):
		return fmt.Errorf("tackle: the fish's bearing must be degrees, not %v", c.Fish.BearingDeg)
	case !(c.PaceMS > 0 && c.PaceMS < 10) || !(c.FlightMS > 0 && c.FlightMS < 100):
		return fmt.Errorf("tackle: the pace must be between 0 and 10 m/s and the flight between 0 and 100 m/s, not %v and %v",
			c.PaceMS, c.FlightMS)
	case !(c.ReachM > 0 && c.ReachM < 400) || !(c.SplashClearM >= 0 && c.SplashClearM < 50):
		return fmt.Errorf("tackle: the reach must be between 0 and 400 m and the splash 0 to 50 m clear, not %v and %v", c.ReachM,
			c.SplashClearM)
	case !(c.WindMS >= 0 && c.WindMS <= 40) || math.IsNaN(c.WindFromDeg) || math.IsInf(c.WindFromDeg, 0):
		return fmt.Errorf("tackle: the wind must be between 0 and 40 m/s from a direction in degrees, not %v from %v", c.WindMS,
			c.WindFromDeg)
	case !(c.WindowMinM >= 0 && c.WindowMaxM >= c.WindowMinM && c.WindowMaxM < 50):
		return fmt.Errorf("tackle: the strike window must run from 0 or more to less than 50 m, not %v to %v", c.WindowMinM, c.WindowMaxM)
	}
	return nil
}

// Intercept finds the soonest cast whose splash is clear of the fish, whose line
// falls beside it, and whose lure crosses the fish's path within the strike
// window, in the middle of it.
//
// A crossing at time T lies ahead of the nose by w: the point C = fish(T) + w·û.
// The lure comes in along the ray from C to the angler, so it must land on that
// ray beyond C by pace × τ, τ before T, and be cast flight earlier still. T and τ
// are tried from the soonest on; the least τ that keeps the splash clear is the
// one that leaves the fish the least time to change its mind.
func (c Cast) Intercept() (Aim, error) {
	if err := c.Validate(); err != nil {
		return Aim{}, err
	}
	w := (c.WindowMinM + c.WindowMaxM) / 2
	blocked := map[string]int{}
	for t := 0.0; t <= longestWait; t += aimStep {
		aim, why := c.crossing(t, w)
		if why == "" {
			aim.Possible, aim.Why = true, words.WatchItForThreeOrFour
			return aim, nil
		}
		blocked[why]++
	}
	aim := Aim{}
	most := 0
	for why, n := range blocked {
		if n > most || n == most && why < aim.Why {
			aim.Why, most = why, n
		}
	}
	return aim, nil
}

// What the wind does to a cast: each m/s in the back or in the face lengthens or
// shortens it, and hastens or slows its flight, by so much of itself (common practice,
// no source: a strong wind in the face takes a third).
const (
	windOnReach  = 0.03
	windOnFlight = 0.4
	leastReach   = 0.3
	mostReach    = 1.4
)

// standsMS and slower is a fish that stands, as one that tails does.
const standsMS = 0.05

// beside a fish the line may fall, metres: a standing one has it no further off than its window, through
// which the lure must come.
func (c Cast) beside() float64 {
	if c.Fish.SpeedMS < standsMS {
		return math.Min(besideM, c.WindowMinM)
	}
	return besideM
}

// Towards a place at a distance east and north: how far a cast reaches that way, metres,
// and how fast it flies, metres a second.
func (c Cast) Towards(x, y float64) (reachM, flightMS float64) {
	r := math.Hypot(x, y)
	if c.WindMS == 0 || r == 0 {
		return c.ReachM, c.FlightMS
	}
	s, co := math.Sincos(c.WindFromDeg * math.Pi / 180)
	behind := -c.WindMS * (s*x + co*y) / r // blowing from there is in the face
	reach := c.ReachM * math.Min(math.Max(1+windOnReach*behind, leastReach), mostReach)
	return reach, math.Max(c.FlightMS+windOnFlight*behind, c.FlightMS/3)
}

// Reasons why a crossing cannot be had.
const (
	noTime   = "the lure cannot fly there in time"
	noReach  = "its path stays beyond the reach of a cast"
	noClear  = "any cast would splash too near to it"
	noAcross = "it swims along the line of the cast: the lure never crosses its path; move to its side"
)

// crossing at a time with the lure so far ahead of the nose; why it cannot be.
func (c Cast) crossing(t, w float64) (Aim, string) {
	s, co := math.Sincos(c.Fish.BearingDeg * math.Pi / 180)
	fx, fy := c.Fish.At(t)
	x, y := fx+w*s, fy+w*co
	r := math.Hypot(x, y)
	reach, flight := c.Towards(x, y)
	if r > reach {
		return Aim{}, noReach
	}
	if r < 1 || math.Abs((x*co-y*s)/r) < 0.17 { // within 10° of the ray
		return Aim{}, noAcross
	}
	why := noTime
	for lead := 0.0; lead <= longestLead; lead += leadStep {
		land := r + c.PaceMS*lead
		if land > reach {
			if why == noTime && lead == 0 {
				return Aim{}, noReach
			}
			return Aim{}, why
		}
		splash := t - lead
		wait := splash - land/flight
		if wait < 0 {
			return Aim{}, why
		}
		lx, ly := x/r*land, y/r*land
		px, py := c.Fish.At(splash)
		if math.Hypot(lx-px, ly-py) < c.SplashClearM || toSegment(px, py, lx, ly) < c.beside() {
			why = noClear
			continue
		}
		return Aim{LandXM: lx, LandYM: ly, WaitS: wait, SplashS: splash, CrossS: t, PassDistanceM: w}, ""
	}
	return Aim{}, why
}

// toSegment is the distance of a point from the line between the angler and
// where the lure fell.
func toSegment(px, py, lx, ly float64) float64 {
	n := lx*lx + ly*ly
	k := math.Max(0, math.Min(1, (px*lx+py*ly)/n))
	return math.Hypot(px-k*lx, py-k*ly)
}
