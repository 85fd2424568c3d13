package advise

import (
	"math"

	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/tackle"
	"greypebble/core/water"

	"greypebble/core/conditions"
)

// presentation is what is offered, on what rig, where, how deep, how fast.
type presentation struct {
	offering *playbook.Offering
	rig      *playbook.Rig
	mark     *ground.Mark
	depthM   float64 // of the offering below the surface
	pace     string  // slow or medium for lures, empty for baits
	speedMS  float64
	weightKg float64
}

// clearance a float or suspending lure keeps from the bottom, metres.
const clearance = 0.2

// possible lists every presentation that can work at a moment.
func possible(book *playbook.Book, target *playbook.Target, m *Moment) []presentation {
	var out []presentation
	temp := m.Believed[conditions.WaterTemp].Value
	for i := range m.Spot.Marks {
		mark := &m.Spot.Marks[i]
		depth := mark.Depth(m.LevelM)
		if !mark.Fishable.Holds(depth) {
			continue
		}
		for j := range book.Offerings {
			o := &book.Offerings[j]
			if !o.For(target.ID) {
				continue
			}
			for _, rig := range book.RigsOf(o) {
				if !fits(rig, mark, m.Spot.Place, depth) {
					continue
				}
				p := presentation{offering: o, rig: rig, mark: mark, depthM: fishedDepth(rig, depth), weightKg: rig.WeightKg}
				if rig.Head {
					p.weightKg = tackle.HeadFor(depth, temp, m.Stage.RateMPerH)
				}
				if o.SlowMS == 0 {
					out = append(out, p)
					continue
				}
				p.pace, p.speedMS = "slow", o.SlowMS
				out = append(out, p)
				p.pace, p.speedMS = "medium", o.MediumMS
				out = append(out, p)
			}
		}
	}
	return out
}

// fits refuses what cannot work: the wrong depth, an open hook where it snags.
func fits(rig *playbook.Rig, mark *ground.Mark, place string, depthM float64) bool {
	if depthM < rig.MinDepthM || depthM > rig.MaxDepthM || !rig.UsedAt(place) {
		return false
	}
	if rig.FloatM > 0 && depthM < rig.FloatM+clearance {
		return false
	}
	return rig.SnagSafe || !snags(mark)
}

// snags says where an open hook on the bottom is soon lost.
func snags(mark *ground.Mark) bool {
	switch mark.Kind {
	case ground.Timber, ground.Rock:
		return true
	case ground.Crest:
		return mark.Bottom == "shell" || mark.Bottom == "rock"
	}
	return mark.Bottom == "timber" || mark.Bottom == "rock"
}

func fishedDepth(rig *playbook.Rig, depthM float64) float64 {
	switch {
	case rig.FloatM > 0:
		return math.Min(rig.FloatM, depthM-clearance)
	case rig.Column == "bottom":
		return depthM
	case rig.Column == "mid":
		return depthM / 2
	}
	return 0
}

// facts of the presentation in one scenario.
func (p *presentation) facts(levelM float64, s *scenario) playbook.Facts {
	f := s.Facts
	fillMark(&f, p.mark, levelM)
	f.Measure[playbook.LureLight] *= water.Remaining(s.attenuation, p.depthM)
	f.Word[playbook.Approach] = p.offering.Approach
	f.Word[playbook.Pace] = p.pace
	f.Word[playbook.Column] = p.rig.Column
	f.Word[playbook.OfferingID] = p.offering.ID
	f.Traits = p.offering.Traits
	return f
}
