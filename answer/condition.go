package answer

import (
	"time"

	"greypebble/core/spot"
	"greypebble/core/water"
)

// Condition as it is believed, with where it came from.
type Condition struct {
	Kind   string    `json:"kind"`
	Value  float64   `json:"value"`
	Unit   string    `json:"unit"`
	Says   string    `json:"says,omitempty" doc:"the value in a word, where there is one" example:"stained"`
	Origin string    `json:"origin" enum:"observed,forecast,predicted,usual,assumed"`
	Source string    `json:"source"`
	Place  string    `json:"place,omitempty" doc:"where it was taken; the whole water if left out"`
	Time   time.Time `json:"time"`
	Low    float64   `json:"low" doc:"80 % of the belief lies between low and high"`
	High   float64   `json:"high"`
	AgeS   float64   `json:"age_s" doc:"of the reading at the moment; negative for one yet to come"`
}

// Conditions of a moment.
func Conditions(m *spot.Moment) []Condition {
	out := []Condition{}
	for _, s := range m.Statements() {
		out = append(out, Condition{Kind: s.Kind, Value: s.Value, Unit: s.Unit, Says: s.Says, Origin: string(s.Origin), Source: s.Source,
			Place: s.Site, Time: s.Time, Low: s.Low, High: s.High, AgeS: s.Age.Seconds()})
	}
	return out
}

// SurfaceOut is how the water lies as the wind leaves it.
type SurfaceOut struct {
	Word      string  `json:"word" enum:"glassy,ripple,chop,rough"`
	WaveM     float64 `json:"wave_m" doc:"height of the wind's own waves"`
	FetchM    float64 `json:"fetch_m"`
	Side      string  `json:"side" enum:"lee,exposed,along"`
	Sheltered bool    `json:"sheltered" doc:"glassy or rippled"`
	Outlined  bool    `json:"outlined" doc:"otherwise fetch and side are assumed"`
}

// Surface of the water.
func Surface(s spot.Surface) SurfaceOut {
	return SurfaceOut{Word: s.Surface.String(), WaveM: s.WaveM, FetchM: s.FetchM, Side: s.Side.String(),
		Sheltered: s.Surface.Sheltered(), Outlined: s.Outlined}
}

// FinishOut is a lure's finish and why it shows.
type FinishOut struct {
	Finish string `json:"finish"`
	Why    string `json:"why"`
}

// Finishes for a light and a clarity, best first.
func Finishes(light water.Light, secchiM float64) []FinishOut {
	out := []FinishOut{}
	for _, f := range water.FinishesFor(light, secchiM) {
		out = append(out, FinishOut{string(f.Finish), f.Why})
	}
	return out
}
