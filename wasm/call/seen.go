package call

import (
	"greypebble/core/tackle"
)

// seenAsked is a fish touched twice on a plan, metres right of and ahead of the angler.
type seenAsked struct {
	First   sighting `json:"first"`
	Second  sighting `json:"second"`
	Seconds float64  `json:"seconds"`
	Target  string   `json:"target"`
}

type sighting struct {
	XM float64 `json:"x_m"`
	YM float64 `json:"y_m"`
}

// seenAnswer is its course, and where to cast.
type seenAnswer struct {
	SpeedMS    float64 `json:"speed_ms"`
	BearingDeg float64 `json:"bearing_deg"`
	LandXM     float64 `json:"land_x_m"`
	LandYM     float64 `json:"land_y_m"`
	WaitS      float64 `json:"wait_s"`
	CrossS     float64 `json:"cross_s"`
	PassM      float64 `json:"pass_m"`
	Possible   bool    `json:"possible"`
	Still      bool    `json:"still"`
	Why        string  `json:"why"`
}

// seen fish: its course, and the soonest cast that crosses it within its strike window, wound at the kit's
// usual pace. The wind is left out.
func (c *Core) seen(in seenAsked) (seenAnswer, error) {
	fish, err := tackle.Course(in.First.XM, in.First.YM, in.Second.XM, in.Second.YM, in.Seconds)
	if err != nil {
		return seenAnswer{}, err
	}
	cast := tackle.Cast{Fish: fish, PaceMS: tackle.UsualPace, FlightMS: tackle.UsualFlight, ReachM: tackle.UsualCast,
		SplashClearM: tackle.UsualSplash, WindowMinM: tackle.UsualWindowMin, WindowMaxM: tackle.UsualWindowMax}
	if c.kept != nil {
		if u, err := c.kept.Mine.Kit.Usual(); err == nil {
			cast.PaceMS = u.PaceMS
		}
		if t, err := c.kept.book.Target(in.Target); err == nil && t.Strikes.To > 0 {
			cast.WindowMinM, cast.WindowMaxM = t.Strikes.From, t.Strikes.To
		}
	}
	a, err := cast.Intercept()
	if err != nil {
		return seenAnswer{}, err
	}
	return seenAnswer{fish.SpeedMS, fish.BearingDeg, a.LandXM, a.LandYM, a.WaitS, a.CrossS, a.PassDistanceM, a.Possible,
		fish.SpeedMS == 0, a.Why}, nil
}
