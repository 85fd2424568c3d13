package tackle

import (
	"fmt"
	"math"

	"greypebble/core/words"
)

// Swimmer is a fish for practice: it keeps a bearing, darts off it and comes back. It
// is at XM, YM (metres east and north of the angler) every [SwimStep] seconds.
type Swimmer struct {
	// Fish as it was first seen, with the bearing it comes back to.
	Fish   Fish
	XM, YM []float64
}

const (
	// SwimStep is the time between two places of a swimmer, seconds.
	SwimStep = 0.1
	swims    = 60.0 // seconds
	// dartFaster is how much faster than it cruises a fish darts.
	dartFaster = 2.2
)

// Chance decides what is made up.
type Chance interface {
	Float64() float64
	IntN(n int) int
}

// NewSwimmer makes up a fish that passes within casting distance; chance decides all
// that differs.
func NewSwimmer(chance Chance) Swimmer {
	between := func(a, b float64) float64 { return a + (b-a)*chance.Float64() }
	// It passes between 8 and 18 m off, from the left or from the right.
	side := 1.0
	if chance.IntN(2) == 0 {
		side = -1
	}
	f := Fish{XM: side * between(14, 22), YM: between(8, 16), SpeedMS: between(0.35, 0.8)}
	f.BearingDeg = math.Mod(360-side*90+between(-20, 20), 360)
	s := Swimmer{Fish: f}
	x, y := f.XM, f.YM
	dartUntil, off, next := -1.0, 0.0, between(2, 5)
	for t := 0.0; t <= swims; t += SwimStep {
		s.XM, s.YM = append(s.XM, x), append(s.YM, y)
		if t >= next && t > dartUntil {
			dartUntil, off = t+between(0.4, 1.1), between(35, 80)*float64(1-2*chance.IntN(2))
			next = dartUntil + between(2.5, 6)
		}
		heading, speed := f.BearingDeg, f.SpeedMS
		if t < dartUntil {
			heading, speed = heading+off, speed*dartFaster
		}
		sin, cos := math.Sincos(heading * math.Pi / 180)
		x, y = x+speed*SwimStep*sin, y+speed*SwimStep*cos
	}
	return s
}

// at a time, held to its ends.
func (s *Swimmer) at(seconds float64) (x, y float64) {
	k := min(max(seconds/SwimStep, 0), float64(len(s.XM)-1))
	i := min(int(k), len(s.XM)-2)
	share := k - float64(i)
	return s.XM[i] + share*(s.XM[i+1]-s.XM[i]), s.YM[i] + share*(s.YM[i+1]-s.YM[i])
}

// Throw of a lure: cast at a time, to land at a place, drawn straight to the angler.
type Throw struct{ AtS, LandXM, LandYM float64 }

// Outcome of a throw.
type Outcome struct {
	Strike bool
	// Says what happened and what to do next time.
	Says string
	// SplashS and EndS are when the lure landed and when all was over.
	SplashS, EndS float64
	// NearestM is how near the lure came to the middle of the strike window.
	NearestM float64
}

// beside its path a fish still takes what crosses ahead of it, metres.
const beside = 0.35

// Judge a throw at a swimmer by the cast's pace, flight, reach, splash and window; its
// own Fish is not looked at.
func (c Cast) Judge(s *Swimmer, t Throw) (Outcome, error) {
	c.Fish = s.Fish
	if err := c.Validate(); err != nil {
		return Outcome{}, err
	}
	far := math.Hypot(t.LandXM, t.LandYM)
	reach, flight := c.Towards(t.LandXM, t.LandYM)
	switch {
	case !(t.AtS >= 0 && t.AtS <= swims):
		return Outcome{}, fmt.Errorf("tackle: a throw must be within the %v s the fish swims, not at %v", swims, t.AtS)
	case !(far > 0.5 && far < 500):
		return Outcome{}, fmt.Errorf("tackle: a throw must land 0.5 to 500 m off, not %v", far)
	case far > reach:
		return Outcome{Says: fmt.Sprintf(words.MIsBeyondYourReachOf, far, reach)}, nil
	}
	o := Outcome{SplashS: t.AtS + far/flight, NearestM: math.Inf(1)}
	fx, fy := s.at(o.SplashS)
	if d := math.Hypot(t.LandXM-fx, t.LandYM-fy); d < c.SplashClearM {
		o.EndS, o.NearestM = o.SplashS, d
		o.Says = fmt.Sprintf(words.ItBoltedTheLureFellM, d, c.SplashClearM)
		return o, nil
	}
	sin, cos := math.Sincos(c.Fish.BearingDeg * math.Pi / 180)
	middle := (c.WindowMinM + c.WindowMaxM) / 2
	aheadThen := 0.0
	for now := o.SplashS; ; now += SwimStep / 2 {
		left := far - c.PaceMS*(now-o.SplashS)
		if left <= 0.5 || now > swims {
			o.EndS = now
			break
		}
		lx, ly := t.LandXM/far*left, t.LandYM/far*left
		fx, fy := s.at(now)
		ahead, aside := (lx-fx)*sin+(ly-fy)*cos, (lx-fx)*cos-(ly-fy)*sin
		if d := math.Hypot(ahead-middle, aside); d < o.NearestM {
			o.NearestM, aheadThen = d, ahead
		}
		if ahead >= c.WindowMinM && ahead <= c.WindowMaxM && math.Abs(aside) <= beside {
			o.Strike, o.EndS, o.Says = true, now, fmt.Sprintf(words.StrikeItCrossedCmAheadOf, ahead*100)
			return o, nil
		}
		if toSegment(fx, fy, lx, ly) < besideM/2 && math.Hypot(lx-fx, ly-fy) > 1 {
			o.EndS, o.Says = now, words.ItBoltedTheLineLayOver
			return o, nil
		}
	}
	switch {
	case aheadThen > c.WindowMaxM:
		o.Says = fmt.Sprintf(words.ItNeverSawItTheLure, aheadThen)
	case aheadThen < 0:
		o.Says = fmt.Sprintf(words.TooLateTheLureCrossedM, -aheadThen)
	default:
		o.Says = fmt.Sprintf(words.CloseMOffItDartedOr, o.NearestM)
	}
	return o, nil
}
