package spot

import (
	"greypebble/core/conditions"
	"greypebble/core/water"
)

// Surface of the water at a spot as the wind leaves it.
type Surface struct {
	water.Surface
	// WaveM is the height of the wind's own waves, FetchM the water they had to
	// grow on.
	WaveM, FetchM float64
	Side          water.Side
	// Outlined says that the fetch comes from the water's outline; otherwise it is
	// assumed and the side is not known.
	Outlined bool
}

// assumedFetch over the water by the kind of place, metres, where no outline is
// known: an open beach and a pier look out to sea.
var assumedFetch = map[string]float64{"surf beach": 50_000, "pier": 50_000}

// sheltered is the assumed fetch of other places.
const sheltered = 1500

// Surface from the wind believed in, the fetch and the depth of the spot's
// deepest mark. The wind itself is taken as it is forecast: that it is weaker
// in the lee of trees and dunes is not in it.
func (m *Moment) Surface() Surface {
	return m.SurfaceUnder(m.Believed[conditions.WindSpeed].Value, m.Believed[conditions.WindFrom].Value)
}

// SurfaceUnder another wind: its speed in m/s and where it comes from, degrees.
func (m *Moment) SurfaceUnder(wind, from float64) Surface {
	var s Surface
	if r := m.Spot.Rose; r != nil {
		s.FetchM, s.Side, s.Outlined = r.Fetch(from), r.SideFor(from), true
	} else if s.FetchM = assumedFetch[m.Spot.Place]; s.FetchM == 0 {
		s.FetchM = sheltered
	}
	h, _, err := water.WindWaves(wind, s.FetchM, m.DeepestM())
	if err != nil {
		return s // readings are within bounds; nothing else can be wrong
	}
	s.WaveM, s.Surface = h, water.SurfaceOf(h)
	return s
}

// Current at the spot in m/s, positive on the flood; not known where nothing
// says what makes it run.
func (m *Moment) Current() (ms float64, known bool) {
	hours := m.Stage.Next.Time.Sub(m.Stage.Last.Time).Hours()
	spring := water.SpringRate(m.Spot.Tide.MeanSpringRange(), hours)
	return m.Spot.Current.Current(m.LevelM, m.Stage.RateMPerH, spring)
}
