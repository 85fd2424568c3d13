package answer

import (
	"greypebble/core/spot"
	"math"
	"time"
)

// Frame is everything the screen needs at one moment of the ribbon, so that moving it
// needs no request.
type Frame struct {
	Time           time.Time  `json:"time"`
	LevelM         float64    `json:"level_m"`
	RateMPerH      float64    `json:"rate_m_per_h"`
	Stage          string     `json:"stage"`
	Says           string     `json:"says" doc:"how deep it is where it matters"`
	SunAltitudeDeg float64    `json:"sun_altitude_deg"`
	Light          string     `json:"light"`
	UnderSays      string     `json:"under_says" doc:"how high waves break and where it is dark under water; empty: nothing to say"`
	DarkBelowM     float64    `json:"dark_below_m" doc:"depth below which it is dark"`
	BreakerM       float64    `json:"breaker_m" doc:"height of breakers on an open beach, 0 elsewhere"`
	White          []WhiteOut `json:"white" nullable:"false" doc:"where waves break along the section"`
	Open           bool       `json:"open"`
	Closing        bool       `json:"closing" doc:"the way shuts before long"`
	DepthsM        []float64  `json:"depths_m" nullable:"false" doc:"by mark, in the order of marks"`
	Breaks         []bool     `json:"breaks" nullable:"false" doc:"whether waves break on the mark, in the same order"`
	TempsC         []*float64 `json:"temps_c" nullable:"false" doc:"of the water over each mark, null when dry"`
	Surface        string     `json:"surface" enum:"glassy,ripple,chop,rough"`
	WaveM          float64    `json:"wave_m" doc:"height of the wind's own waves"`
	CurrentMS      *float64   `json:"current_ms,omitempty" doc:"positive on the flood; left out where it is not known"`
	SurgeM         float64    `json:"surge_m" doc:"how much of the level is the surge seen"`
	Slack          bool       `json:"slack"`
	WayTitle       string     `json:"way_title" doc:"whether one can get in and back"`
	Way            string     `json:"way" doc:"and what comes next, in the water's own time"`
	MarksSay       []string   `json:"marks_say" nullable:"false" doc:"when each mark is worth a cast, in the order of marks"`
}

type WhiteOut struct {
	FromM float64 `json:"from_m"`
	ToM   float64 `json:"to_m"`
}

// known number, null for NaN.
func known(v float64) *float64 {
	if math.IsNaN(v) {
		return nil
	}
	return &v
}

func frameOf(f *spot.Frame) Frame {
	o := Frame{Time: f.Time, LevelM: f.LevelM, RateMPerH: f.Stage.RateMPerH, Stage: f.Stage.String(), Says: f.Says,
		SunAltitudeDeg: f.Sun.Altitude, Light: f.Light().String(), DarkBelowM: f.DarkBelow(), UnderSays: f.Under, BreakerM: f.BreakerM,
		White: []WhiteOut{},
		Open:  f.Open, Closing: f.Closing,
		DepthsM: f.DepthsM, Breaks: f.Breaks, TempsC: make([]*float64, len(f.TempsC)), Surface: f.Surface.Surface.String(),
		WaveM:     f.Surface.WaveM,
		CurrentMS: known(f.CurrentMS), SurgeM: f.SurgeM(), Slack: f.Stage.Slack, WayTitle: f.WayTitle, Way: f.Way, MarksSay: f.MarksSay}
	for _, w := range f.White {
		o.White = append(o.White, WhiteOut(w))
	}
	for j, c := range f.TempsC {
		o.TempsC[j] = known(c)
	}
	return o
}
