package spot

import (
	"fmt"
	"math"
	"strings"

	"greypebble/core/conditions"
	"greypebble/core/water"
	"greypebble/core/words"
)

// winds of the compass the water is tried in.
const winds = 16

// Shelter of a spot: how its water would lie in wind of one strength from each point of the
// compass.
type Shelter struct {
	WindMS float64
	// Surfaces by the wind's direction, from north on by equal steps.
	Surfaces [winds]Surface
}

// FromDeg is where wind i comes from.
func (Shelter) FromDeg(i int) float64 { return float64(i) * 360 / winds }

// Shelter in wind of a strength, m/s.
func (m *Moment) Shelter(windMS float64) Shelter {
	s := Shelter{WindMS: windMS}
	for i := range s.Surfaces {
		s.Surfaces[i] = m.SurfaceUnder(windMS, s.FromDeg(i))
	}
	return s
}

// ShelterNow is the shelter in the wind believed in, to the m/s.
func (m *Moment) ShelterNow() Shelter {
	return m.Shelter(math.Max(math.Round(m.Believed[conditions.WindSpeed].Value), 1))
}

// Says from where the wind leaves the water quiet, and from where it makes it rough.
func (s Shelter) Says() string {
	var quiet, rough [winds]bool
	n := 0
	for i, f := range s.Surfaces {
		quiet[i], rough[i] = f.Surface.Sheltered(), f.Surface == water.Rough
		if quiet[i] {
			n++
		}
	}
	says := fmt.Sprintf(words.QuietInWindFrom, sayWinds(quiet))
	switch n {
	case 0:
		says = words.NoWindOfThatStrengthLeaves
	case winds:
		says = words.QuietWhicheverWayItBlows
	}
	if r := sayWinds(rough); r != "" {
		says += fmt.Sprintf(words.RoughFrom, r)
	}
	return says
}

var points = [winds]string{"N", "NNE", "NE", "ENE", "E", "ESE", "SE", "SSE", "S", "SSW", "SW", "WSW", "W", "WNW", "NW", "NNW"}

// sayWinds of which something holds, as stretches of the compass: "NE to SSE, W"; "anywhere"
// for all, nothing for none.
func sayWinds(holds [winds]bool) string {
	first := -1
	for i := range holds {
		if first < 0 && holds[i] && !holds[(i+winds-1)%winds] {
			first = i
		}
	}
	if first < 0 {
		return map[bool]string{true: "anywhere"}[holds[0]]
	}
	var out []string
	for k := 0; k < winds; k++ {
		i := (first + k) % winds
		if !holds[i] {
			continue
		}
		last := i
		for k+1 < winds && holds[(last+1)%winds] {
			last, k = (last+1)%winds, k+1
		}
		if last == i {
			out = append(out, points[i])
		} else {
			out = append(out, fmt.Sprintf(words.To, points[i], points[last]))
		}
	}
	return strings.Join(out, ", ")
}
