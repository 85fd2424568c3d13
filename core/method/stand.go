package method

import (
	"math"

	"greypebble/core/ground"
	"greypebble/core/spot"
)

// Stand is where the angler stands or floats to fish a mark, metres along the spot's section.
type Stand struct {
	Manner ground.Manner
	AtM    float64
	// WaterM is where the water begins before one who stands on dry ground; where one floats, wades or
	// stands on a pier, AtM.
	WaterM float64
	// Over the mark: straight down is possible.
	Over bool
}

// Distances at which one stands (common practice, no source).
const (
	kayakOff, boatOff = 12.0, 20.0 // m off a mark, so as not to be noticed
	wadeOff           = 12.0       // m short of it, wading
	underTip          = 4.0        // m out and still under the rod's tip
	thigh             = 0.7        // m one wades in
	underBoat         = 1.8        // m of water in which fish bear a boat over them
)

// Ashore says that one stands on dry ground.
func (s *Stand) Ashore() bool { return s.Manner == ground.OnFoot }

// deck says that one walks out over the water there.
func deck(place string) bool { return place == "pier" || place == "bridge" }

// afloat says that one gets there by boat.
func afloat(m ground.Manner) bool { return m == ground.Kayak || m == ground.Boat }

// StandAt a mark of a moment's spot; section is nil where none was drawn.
func StandAt(m *spot.Moment, section *ground.Section, k *ground.Mark) Stand {
	s := Stand{Manner: m.Spot.Access.Manner}
	bed := func(at float64) float64 {
		if section == nil {
			return k.ElevationM
		}
		return section.Elevation(at)
	}
	switch {
	case deck(m.Spot.Place):
		s.AtM, s.WaterM, s.Over = k.DistanceM, k.DistanceM, true
	case afloat(s.Manner):
		off := kayakOff
		if s.Manner == ground.Boat {
			off = boatOff
		}
		// Off its deeper side: there one came from.
		s.AtM = k.DistanceM + off
		if bed(k.DistanceM-off) < bed(k.DistanceM+off) && k.DistanceM > off {
			s.AtM = k.DistanceM - off
		}
		if section != nil {
			_, end := section.Ends()
			s.AtM = math.Min(s.AtM, math.Max(end, k.DistanceM))
		}
		s.WaterM, s.Over = s.AtM, k.Depth(m.LevelM) >= underBoat
	default:
		s.onGround(m, section, k)
	}
	return s
}

// onGround of the shore, or as far out as one wades.
func (s *Stand) onGround(m *spot.Moment, section *ground.Section, k *ground.Mark) {
	from := m.Spot.CastsFrom()
	s.AtM, s.WaterM = from, from
	if section == nil {
		s.Over = k.DistanceM-s.WaterM <= underTip
		return
	}
	const step = 0.25
	_, end := section.Ends()
	// A crest one wades to is stood on; else one walks out over ground that is dry, or no deeper than the
	// way itself.
	if s.Manner != ground.Wading || from == 0 {
		way, any := m.Spot.Access.Lowest()
		if !any {
			way = m.LevelM
		}
		highest, dry := from, false
		for at := from; at < end && at < k.DistanceM; at += step {
			e := section.Elevation(at)
			if e > section.Elevation(highest) {
				highest = at
			}
			if e > m.LevelM {
				s.WaterM, dry = at+step, true
			} else if dry && e < way {
				break
			}
		}
		if !dry { // the way is open all the same: one stands on what is highest
			s.WaterM = highest
		}
		s.AtM = math.Max(s.WaterM-1, 0)
	}
	if s.Manner == ground.Wading {
		for s.AtM+step < k.DistanceM-wadeOff && m.LevelM-section.Elevation(s.AtM+step) <= thigh {
			s.AtM += step
		}
		s.WaterM = s.AtM
	}
	s.Over = k.DistanceM-s.WaterM <= underTip && k.DistanceM >= s.AtM
}
