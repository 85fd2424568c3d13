package sweep

import (
	"math/bits"

	"greypebble/core/conditions"
)

// family of rules of one target: places in the table and the means of their
// coefficients.
type family struct {
	fixed, varying []term
	// own: one of them looks at the water over a mark.
	own    bool
	states int
	// of maps a scenario to the family's state.
	of [conditions.Scenarios]uint8
}

type term struct {
	at   int
	mean float64
	// state of the rule in each state of the family.
	state [mostStates]uint8
}

// settle which states a family has, and which of them each rule and scenario is in.
func (t *Tables) settle(f *family) {
	var readings uint8
	for _, v := range f.varying {
		readings |= t.varying[v.at].readings
	}
	f.states = 1 << bits.OnesCount8(readings)
	for k := range f.of {
		f.of[k] = pack(conditions.High(k), readings)
	}
	for i := range f.varying {
		v := &f.varying[i]
		for s := range f.states {
			v.state[s] = pack(unpack(uint8(s), readings), t.varying[v.at].readings) //nolint:gosec // fewer than 16
		}
	}
}

// pack the bits of all readings into those of some, side by side; unpack them again.
func pack(all, some uint8) (out uint8) {
	n := 0
	for i := range conditions.Draws {
		if some>>i&1 == 1 {
			out |= all >> i & 1 << n
			n++
		}
	}
	return out
}

func unpack(packed, some uint8) (out uint8) {
	n := 0
	for i := range conditions.Draws {
		if some>>i&1 == 1 {
			out |= packed >> n & 1 << i
			n++
		}
	}
	return out
}

// certain part of a family: what its rules that are the same in every scenario weigh
// and come to.
func (t *Tables) certain(f *family) (weight, worth float64) {
	for i := range f.fixed {
		w := t.wFixed[f.fixed[i].at]
		weight += w
		worth += w * f.fixed[i].mean
	}
	return weight, worth
}

// shared is what a family comes to once its rules have shared.
func shared(weight, worth float64) float64 {
	if weight > 1 {
		return worth / weight
	}
	return worth
}

// in one of its states, what a family comes to.
func (t *Tables) in(f *family, s int, weight, worth float64) float64 {
	for i := range f.varying {
		v := &f.varying[i]
		if !t.live[v.at] {
			continue
		}
		w := t.wVarying[v.at][v.state[s]]
		weight += w
		worth += w * v.mean
	}
	return shared(weight, worth)
}

// certainNow says that none of a family's varying rules weighs anything.
func (t *Tables) certainNow(f *family) bool {
	for i := range f.varying {
		if t.live[f.varying[i].at] {
			return false
		}
	}
	return true
}

// meanOf a family over the scenarios.
func (t *Tables) meanOf(f *family) float64 {
	weight, worth := t.certain(f)
	if t.certainNow(f) {
		return shared(weight, worth)
	}
	if f.states == 2 {
		weightHigh, worthHigh := weight, worth
		for n := range f.varying {
			v := &f.varying[n]
			row := &t.wVarying[v.at]
			weight += row[0]
			worth += row[0] * v.mean
			weightHigh += row[1]
			worthHigh += row[1] * v.mean
		}
		return (shared(weight, worth) + shared(weightHigh, worthHigh)) / 2
	}
	all := 0.0
	for s := range f.states {
		all += t.in(f, s, weight, worth)
	}
	return all / float64(f.states)
}

// Means writes, for each target, the sum of its rules' weights times their
// coefficients, mean over the scenarios, families sharing as ever.
func (t *Table) Means(out []float64) {
	for i := range out {
		sum := 0.0
		for _, k := range t.targets[i] {
			sum += t.means[k]
		}
		out[i] = sum
	}
}

// Etas writes the same sum for each scenario.
func (t *Table) Etas(out [][conditions.Scenarios]float64) {
	var states [mostStates]float64
	for i := range out {
		out[i] = [conditions.Scenarios]float64{}
		for _, j := range t.targets[i] {
			f := &t.families[j]
			weight, worth := t.certain(f)
			if t.certainNow(f) {
				for k := range out[i] {
					out[i][k] += shared(weight, worth)
				}
				continue
			}
			for s := range f.states {
				states[s] = t.in(f, s, weight, worth)
			}
			for k := range out[i] {
				out[i][k] += states[f.of[k]]
			}
		}
	}
}
