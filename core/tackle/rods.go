package tackle

import (
	"fmt"
	"math"
	"slices"
)

// Zone of a beach or bank worth a rod, metres from where one stands, best first
// by weight.
type Zone struct {
	Name       string
	FromM, ToM float64
	Worth      float64
}

// Rod is one of a row and where it is cast.
type Rod struct {
	Number int
	CastM  float64
	Over   string
}

// Spread of n rods over the zones within reach, so that they ask different
// questions: one in the middle of each zone from the best on, then to both sides
// of the middles; if there are more rods than places, the last scouts at the end
// of the reach (common practice: bring all to the zone that produces, and leave
// one scouting).
func Spread(n int, reachM float64, zones []Zone) ([]Rod, error) {
	if n < 1 || n > 12 {
		return nil, fmt.Errorf("tackle: a row has 1 to 12 rods, not %d", n)
	}
	if !(reachM > 1 && reachM < 400) {
		return nil, fmt.Errorf("tackle: the reach must be between 1 and 400 m, not %v", reachM)
	}
	var within []Zone
	for _, z := range zones {
		if !(z.FromM >= 0 && z.ToM >= z.FromM) {
			return nil, fmt.Errorf("tackle: zone %q must run outwards from 0 or more, not %v to %v m", z.Name, z.FromM, z.ToM)
		}
		if z.FromM < reachM {
			z.ToM = math.Min(z.ToM, reachM)
			within = append(within, z)
		}
	}
	slices.SortStableFunc(within, func(a, b Zone) int {
		switch {
		case a.Worth > b.Worth:
			return -1
		case a.Worth < b.Worth:
			return 1
		}
		return 0
	})
	var out []Rod
	// First the middles, then a quarter of the zone to either side.
	for _, share := range []float64{0.5, 0.25, 0.75} {
		for _, z := range within {
			if len(out) < n {
				out = append(out, Rod{len(out) + 1, z.FromM + share*(z.ToM-z.FromM), z.Name})
			}
		}
	}
	for len(out) < n {
		k := n - len(out)
		out = append(out, Rod{len(out) + 1, reachM * (1 - 0.12*float64(k-1)), "scouting"})
	}
	return out, nil
}
