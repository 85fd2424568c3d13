package ground

import "sort"

// Under is the water beneath a place on a pier.
type Under struct {
	Mark      Mark
	DepthM    float64
	TryDepths []float64 // from the surface, in the order to try
}

// leastTry is how deep it must be for a depth to be worth a try of its own,
// metres, and offBottom how far off the bottom the lowest one keeps.
const (
	leastTry  = 0.4
	offBottom = 0.2
)

// ReadPier lists what lies under a pier's marks at a tide level, deepest first,
// with the depths to try there by halving the column: the middle, just off the
// bottom, then the quarters. Whatever produces is kept. Dry marks are left out.
func ReadPier(marks []Mark, levelM float64) []Under {
	var out []Under
	for _, m := range marks {
		d := m.Depth(levelM)
		if d < leastTry {
			continue
		}
		u := Under{Mark: m, DepthM: d, TryDepths: []float64{d / 2, d - offBottom}}
		if d/4 >= leastTry {
			u.TryDepths = append(u.TryDepths, d/4, 3*d/4)
		}
		out = append(out, u)
	}
	sort.SliceStable(out, func(i, j int) bool { return out[i].DepthM > out[j].DepthM })
	return out
}
