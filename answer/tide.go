package answer

import (
	"time"

	"greypebble/core/tide"
)

// TurnAt is a high or low water.
type TurnAt struct {
	Time    time.Time `json:"time"`
	HeightM float64   `json:"height_m"`
	Kind    string    `json:"kind" enum:"high,low"`
}

// Turns of the tide.
func Turns(list []tide.Turn) []TurnAt {
	out := make([]TurnAt, len(list))
	for i, k := range list {
		out[i] = TurnAt{k.Time, k.LevelM, k.Kind.String()}
	}
	return out
}

// StageOut is where in a rise or fall a moment lies.
type StageOut struct {
	Says      string  `json:"says" example:"flood, last third"`
	Direction string  `json:"direction" enum:"flood,ebb"`
	Third     int     `json:"third"`
	Elapsed   float64 `json:"elapsed" doc:"share of the time between the turns, 0…1"`
	RateMPerH float64 `json:"rate_m_per_h"`
	RangeM    float64 `json:"range_m"`
	Last      TurnAt  `json:"last"`
	Next      TurnAt  `json:"next"`
}

// Stage of the tide.
func Stage(s tide.Stage) StageOut {
	t := Turns([]tide.Turn{s.Last, s.Next})
	return StageOut{Says: s.String(), Direction: s.Direction.String(), Third: s.Third, Elapsed: s.Elapsed,
		RateMPerH: s.RateMPerH, RangeM: s.RangeM, Last: t[0], Next: t[1]}
}

// Moment is a time, null where it is not known or lies outside what was asked about.
func Moment(t time.Time) *time.Time {
	if t.IsZero() {
		return nil
	}
	t = t.UTC()
	return &t
}
