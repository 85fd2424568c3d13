package spot

import (
	"time"

	"greypebble/core/bylaw"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/sky"
	"greypebble/core/springrun"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Spot is a place in a water with its ground. What is written of it comes first, what
// surrounds it after: that is worked out when it is loaded.
type Spot struct {
	// Key by which the log knows it; empty where none does.
	Key  string
	Name string
	// Place is what kind of place it is, one of [ground.Places].
	Place string
	Note  string
	ground.LatLon
	// FacesDeg is the way it looks out, nil where it does not matter.
	FacesDeg        *float64
	Bottom, Hazards string
	// Timetable of its gate, pier, park or lock, by its own clock; none: it never shuts. Fee and Parking
	// say what it costs and where one leaves the car.
	Timetable    ground.Timetable
	Fee, Parking string
	// Bend of a river it lies at, counted from the mouth; 0: it is not said.
	Bend int
	// Public spots may leave in an export; others only when asked to.
	Public bool
	Shape  *ground.Shape
	// Offsets of its tide on its water's station.
	Offsets tide.Offsets
	// Current is what makes the tide run there.
	Current water.Setting
	Access  ground.Access
	Section []ground.Point
	// StandM is how high one stands, in metres above datum; nil where it is not said.
	StandM *float64
	// SectionFrom is where the section begins and SectionBearing the way it runs; nil
	// where that is not known.
	SectionFrom    *ground.LatLon
	SectionBearing float64
	Marks          []ground.Mark

	// Tide of the spot, its own lag and factor and a surge included.
	Tide tide.Predictor
	// Surge seen at the spot's water, if any was.
	Surge *tide.Surge
	// Rose of fetches, nil where the water has no outline.
	Rose *water.Rose
	// Zones of its water that it touches, whatever the season.
	Zones []ground.Zone
	// Rules entered that hold anywhere on it, whatever the time.
	Rules []bylaw.Rule
	// Clock of the place, for the days of rules; nil is UTC.
	Clock *time.Location
	// River it lies on, where it lies at a bend of one.
	River *springrun.River
	// Readings of its water around the time it is asked about.
	Readings conditions.Readings

	// days keeps what was worked out of it; nil where nothing is kept. passing readings are those of
	// one question, of which nothing is.
	days    *days
	passing bool
}

// Bare of what it was laid out with for a time: what is written of it, its surge, and what lies around it.
func (s *Spot) Bare() Spot {
	out := *s
	out.Tide, out.Clock, out.River, out.Readings, out.days, out.passing = nil, nil, nil, conditions.Readings{}, nil, false
	out.Rules = nil
	return out
}

// Observer of the sky there.
func (s *Spot) Observer() sky.Observer { return sky.Observer{Lat: s.Lat, Lon: s.Lon} }

// Count its marks of a kind.
func (s *Spot) Count(k ground.MarkKind) int {
	n := 0
	for i := range s.Marks {
		if s.Marks[i].Kind == k {
			n++
		}
	}
	return n
}

// Run is how many times what an ordinary bend is this spot is worth to one after a fish that runs
// up rivers in a warmth, by where its school is likely to lie then; 1 where nothing is known.
func (s *Spot) Run(target string, w springrun.Warmth, t time.Time) float64 {
	if s.River == nil {
		return 1
	}
	return s.River.Course(target, w).Factor(t, s.Bend)
}

// Touched are the spot's place and, after it, the points of its shape; area says that
// the last of those joins the first.
func (s *Spot) Touched() (points []ground.LatLon, area bool) {
	points = []ground.LatLon{s.LatLon}
	if s.Shape == nil {
		return points, false
	}
	return append(points, s.Shape.Points...), s.Shape.Area
}

// PositionOf a mark on the Earth: where it was put, or its distance along the section; nil
// where neither is known.
func (s *Spot) PositionOf(m ground.Mark) *ground.LatLon {
	if m.At != nil || s.SectionFrom == nil {
		return m.At
	}
	p := ground.Toward(*s.SectionFrom, s.SectionBearing, m.DistanceM)
	return &p
}

// Line of the section on the map; nil where it is not known where the section lies.
func (s *Spot) Line() []ground.LatLon {
	if s.SectionFrom == nil || len(s.Section) < 2 {
		return nil
	}
	at := func(p ground.Point) ground.LatLon {
		return ground.Toward(*s.SectionFrom, s.SectionBearing, p.DistanceM)
	}
	return []ground.LatLon{at(s.Section[0]), at(s.Section[len(s.Section)-1])}
}

// Stands is how high one stands there, in metres above datum: as it is said, else the higher of
// its ways, else the highest of its ground.
func (s *Spot) Stands() float64 {
	if s.StandM != nil {
		return *s.StandM
	}
	if highest, any := s.Access.Highest(); any {
		return highest
	}
	highest := 0.0
	for i, p := range s.Section {
		if i == 0 || p.ElevationM > highest {
			highest = p.ElevationM
		}
	}
	return highest
}

// Reached in another way than it is written: the rest is the same.
func (s *Spot) Reached(a ground.Access) *Spot {
	out := *s
	out.Access = a
	return &out
}

// With readings in place of its own: those sorted once for a water serve all its spots.
func (s *Spot) With(readings conditions.Readings) *Spot {
	out := *s
	out.Readings, out.passing = readings, true
	return &out
}
