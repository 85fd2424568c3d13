package cases

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Shore is an invented spot under an invented tide, at a moment.
type Shore struct {
	Place  string
	Manner ground.Manner
	// Marks of it; depths are at the moment.
	Marks []Mark
	// Time of the question; noon by the sun is 12:00.
	Time time.Time
	// RangeM at springs, 1.5 m where it is not said. Flood or ebb, and the share of it gone.
	RangeM  float64
	Ebb     bool
	Elapsed float64
	// Seen by the angler at the moment, or only foretold; Days, the water of the days before.
	Seen     map[conditions.Kind]float64
	Foretold bool
	Days     []Day
	// Levels fish show at, metres.
	Levels []float64
	// Signs on the water.
	Signs []string
	// StandsM above the water, for who stands on rock; 0: three metres.
	StandsM float64
	Facing  float64
	RunMS   float64
}

// Mark is one of its marks.
type Mark struct {
	Name   string
	Kind   ground.MarkKind
	Bottom string
	DepthM float64
	AtM    float64
}

// Day some days before the moment, and what it was like.
type Day struct {
	Before time.Duration
	Is     map[conditions.Kind]float64
}

// On a day and hour of 2026.
func On(month time.Month, day, hour int) time.Time {
	return time.Date(2026, month, day, hour, 0, 0, 0, time.UTC)
}

// lowestM is where mean low water of springs stands above datum.
const lowestM = 0.1

// Spot of the shore.
func (s Shore) Spot() (*spot.Spot, error) {
	if s.RangeM == 0 {
		s.RangeM = 1.5
	}
	h, err := s.tide()
	if err != nil {
		return nil, err
	}
	c, err := tide.Over(h, s.Time, s.Time)
	if err != nil {
		return nil, err
	}
	level := c.Level(s.Time)
	way := ground.Passage{Name: "the way", ElevationM: level - 0.3}
	stands := 3.0
	if s.StandsM > 0 {
		stands = s.StandsM
	}
	switch s.Manner {
	case ground.OnFoot, "":
		s.Manner, way.ElevationM = ground.OnFoot, level+stands
	case ground.Kayak, ground.Boat:
		way.ElevationM = -10
	case ground.Wading:
	}
	sp := &spot.Spot{Name: "Invented " + s.Place, Place: s.Place, Tide: h, LatLon: ground.LatLon{Lat: 33, Lon: 0}, FacesDeg: &s.Facing,
		Access: ground.Access{Manner: s.Manner, In: way, Out: way, DraughtM: 0.4}, Readings: s.readings()}
	sp.Current.SeenMS = s.RunMS
	for i, m := range s.Marks {
		sp.Marks = append(sp.Marks, ground.Mark{ID: fmt.Sprint(i), Name: m.Name, Kind: m.Kind, Bottom: m.Bottom, DistanceM: m.AtM,
			ElevationM: level - m.DepthM, Fishable: ground.Depths{MinM: 0.05}})
	}
	return sp, nil
}

// tide whose stage at the moment is the one asked for: one constituent, its phase turned to suit.
func (s *Shore) tide() (*tide.Harmonics, error) {
	a := s.RangeM / 2
	of := func(phase float64) (*tide.Harmonics, error) {
		return tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: a, PhaseDeg: phase}}, lowestM+a)
	}
	h, err := of(0)
	if err != nil {
		return nil, err
	}
	speed, err := tide.Speed("M2")
	if err != nil {
		return nil, err
	}
	now := math.Atan2(-h.Rate(s.Time)/(speed*math.Pi/180), h.Level(s.Time)-lowestM-a)
	want := math.Pi * (1 + s.Elapsed) // from low water
	if s.Ebb {
		want = math.Pi * s.Elapsed
	}
	return of(math.Mod((now-want)*180/math.Pi+720, 360))
}

func (s *Shore) readings() conditions.Readings {
	var list []conditions.Reading
	origin, source := conditions.Observed, conditions.TheAngler
	if s.Foretold {
		origin, source = conditions.Forecast, "a forecast"
	}
	for k, v := range s.Seen {
		list = append(list, conditions.Reading{Kind: k, Value: v, Time: s.Time, Origin: origin, Source: source})
	}
	for _, m := range s.Levels {
		list = append(list, conditions.Reading{Kind: conditions.FishDepth, Value: m, Time: s.Time, Origin: conditions.Observed,
			Source: "a sounder"})
	}
	for _, d := range s.Days {
		for k, v := range d.Is {
			list = append(list, conditions.Reading{Kind: k, Value: v, Time: s.Time.Add(-d.Before), Origin: conditions.Observed,
				Source: "a buoy"})
		}
	}
	return conditions.Sorted(list)
}
