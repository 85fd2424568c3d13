package spot

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/ground"
)

// farthestMark from its spot, metres: further off it is another spot.
const farthestMark = 3000

// PutMark on the map of the spot, new or over the one with its id. at is where it lies;
// its elevation, where none is given, is read from the water's depths by bottom, which is
// NaN where nothing is known. Errors name the field.
func (s *Spot) PutMark(m ground.Mark, at ground.LatLon, elevationM *float64, bottom func(ground.LatLon) float64) error {
	if err := at.Validate(); err != nil {
		return FieldError{"at", err}
	}
	if d := ground.Distance(s.LatLon, at); d > farthestMark {
		return FieldError{"at", fmt.Errorf("the mark lies %.0f m from %s; expected at most %d m: make it a spot of its own", d, s.Name,
			farthestMark)}
	}
	begin := s.LatLon
	if s.SectionFrom != nil {
		begin = *s.SectionFrom
	}
	m.At, m.DistanceM = &at, math.Round(ground.Distance(begin, at))
	if elevationM != nil {
		m.ElevationM = *elevationM
	} else if m.ElevationM = math.Round(bottom(at)*100) / 100; math.IsNaN(m.ElevationM) {
		return FieldError{"elevation_m", fmt.Errorf("nothing is known of the depth there; say how high the mark lies above chart datum")}
	}
	if err := m.Validate(); err != nil {
		field := "kind"
		if !ground.KnownBottom(m.Bottom) {
			field = "bottom"
		}
		return FieldError{field, err}
	}
	var marks []ground.Mark
	for _, old := range s.Marks {
		if old.ID != m.ID {
			marks = append(marks, old)
		}
	}
	s.Marks = append(marks, m)
	return nil
}

// What a grid of depths does not know of: decks and walls built over it, the last of the
// way to which is walked.
const (
	builtSlackM = 260
	slackM      = 45
)

var built = map[string]bool{"pier": true, "bridge": true, "jetty": true, "seawall": true}

// Reach works out how long the way to spots takes over the ground of a water, each in its
// own manner, or by what one has.
type Reach struct {
	// By what one has to get about; as each spot is usually reached if left out.
	By     ground.Means
	grid   *ground.Grid
	from   ground.LatLon
	levelM float64
	ways   map[going]*ground.Reached
}

// Way to a spot.
type Way struct {
	Took time.Duration
	// Manner of the way; by car it is that of the last metres.
	Manner ground.Manner
	// Guessed: from the bee line, since nothing is known of the ground, or no road is.
	Guessed bool
}

type going struct {
	manner  ground.Manner
	draught float64
}

// ReachFrom a place at a level of the tide, which is taken to stand still; grid is nil
// where nothing is known of the ground.
func ReachFrom(grid *ground.Grid, from ground.LatLon, levelM float64) *Reach {
	return &Reach{grid: grid, from: from, levelM: levelM, ways: make(map[going]*ground.Reached)}
}

// To a spot; there is false where no way leads there at this level, or not by these means.
func (r *Reach) To(s *Spot) (way Way, there bool) {
	access, there := s.Access.ByMeans(r.By)
	if !there {
		return way, false
	}
	way.Manner = access.Manner
	if r.By == ground.ByCar {
		// How the last metres lie is not known: the way must at least be open.
		way.Took, way.Guessed = ground.Drive(r.from, s.LatLon), true
		return way, access.Passable(r.levelM)
	}
	if r.grid == nil {
		way.Took, way.Guessed = access.Straight(r.from, s.LatLon), true
		return way, true
	}
	k := going{access.Manner, access.DraughtM}
	if r.ways[k] == nil {
		r.ways[k] = r.grid.Reach(r.from, r.levelM, access)
	}
	slack := float64(slackM)
	if built[s.Place] {
		slack = builtSlackM
	}
	way.Took, there = r.ways[k].At(s.LatLon, slack)
	return way, there
}

// sameSpotM is how near two places of one name are one spot, metres.
const sameSpotM = 25

// LiesAt says whether the spot, or a mark of it, by that name lies there already.
func (s *Spot) LiesAt(name string, at ground.LatLon) bool {
	near := func(p ground.LatLon) bool { return ground.Distance(at, p) < sameSpotM }
	if s.Name == name && near(s.LatLon) {
		return true
	}
	for _, m := range s.Marks {
		if p := s.PositionOf(m); p != nil && MarkTitle(s.Name, m) == name && near(*p) {
			return true
		}
	}
	return false
}

// MarkTitle is what a mark is called outside its spot.
func MarkTitle(spot string, m ground.Mark) string { return spot + ": " + m.Name }
