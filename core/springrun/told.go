package springrun

import (
	"cmp"
	"slices"

	"greypebble/core/conditions"
)

// Told is a day at a bend as it was met, with how warm the water was.
type Told struct {
	Met
	// WarmthC of the water then, as it was read or is usual; Read says that somebody read it. Nil: not known.
	WarmthC *float64
	Read    bool
}

// ToldOf a fish this run, newest first: effort without a fish too.
func (r *River) ToldOf(target string) (out []Told) {
	for _, m := range r.Met[target] {
		if !m.At.Before(r.Now) || r.Now.Sub(m.At) >= longestRun || m.Fish == 0 && m.RodHours == 0 {
			continue
		}
		t := Told{Met: m}
		v, known := r.Readings.Believe(m.At)[conditions.WaterTemp]
		if known && v.Origin == conditions.Observed {
			t.WarmthC, t.Read = &v.Value, true
		} else if u, known := r.Readings.Usually(conditions.WaterTemp, m.At); known && u.Known() {
			t.WarmthC = &u.Mean
		}
		out = append(out, t)
	}
	slices.SortFunc(out, func(a, b Told) int {
		return cmp.Or(b.At.Compare(a.At), cmp.Compare(a.Bend, b.Bend))
	})
	return out
}
