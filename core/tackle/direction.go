package tackle

import (
	"fmt"
	"math"
)

// Direction of a cast and what it fishes.
type Direction struct {
	BearingDeg float64
	// InStripM is how far of the cast lies over the depths asked for, FirstM where
	// that begins; Seconds the lure spends there.
	InStripM, FirstM, Seconds float64
}

// Directions a cast is tried in: every tenth degree.
const castDirections = 36

// Directions of a cast of a length over ground whose depth at a place metres east
// and north of the angler is given (NaN where not known), by how long the lure
// stays over depths from minM to maxM at a pace. Casting along an edge instead of
// across it keeps it there many times longer (common practice).
func Directions(castM, paceMS, minM, maxM float64, depth func(eastM, northM float64) float64) ([]Direction, error) {
	switch {
	case !(castM > 1 && castM < 200):
		return nil, fmt.Errorf("tackle: the cast must be between 1 and 200 m, not %v", castM)
	case !(paceMS > 0 && paceMS < 10):
		return nil, fmt.Errorf("tackle: the pace must be between 0 and 10 m/s, not %v", paceMS)
	case !(minM >= 0 && maxM > minM):
		return nil, fmt.Errorf("tackle: the strip must run from 0 or more to more, not %v to %v", minM, maxM)
	}
	const step = 0.5
	out := make([]Direction, castDirections)
	for i := range out {
		d := Direction{BearingDeg: float64(i) * 360 / castDirections, FirstM: -1}
		s, c := math.Sincos(d.BearingDeg * math.Pi / 180)
		for r := step / 2; r < castM; r += step {
			z := depth(r*s, r*c)
			if z >= minM && z <= maxM {
				if d.FirstM < 0 {
					d.FirstM = r - step/2
				}
				d.InStripM += step
			}
		}
		d.Seconds = d.InStripM / paceMS
		out[i] = d
	}
	return out, nil
}
