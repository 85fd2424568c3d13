package sweep

import (
	"math"
	"math/bits"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
)

// readingsOf an uncertain measure: one, or, of the light under water, clarity and cloud.
var readingsOf = map[playbook.Measure][]conditions.Draw{
	playbook.Secchi: {conditions.DrawClarity}, playbook.WaterTemp: {conditions.DrawWaterTemp},
	playbook.WindSpeed: {conditions.DrawWindSpeed}, playbook.Cloud: {conditions.DrawCloud}, playbook.SurfaceLight: {conditions.DrawCloud},
	playbook.MidLight: {conditions.DrawClarity, conditions.DrawCloud}, playbook.BedLight: {conditions.DrawClarity, conditions.DrawCloud},
}

// Spread is what the uncertain measures are by whether their readings are low or high, a bit each
// in the order of [readingsOf]; only their rows are used.
type Spread [playbook.MeasureCount][4]float64

// mostStates a rule can have: every reading low or high.
const mostStates = 1 << conditions.Draws

// tabled is a rule's clauses with certain and uncertain ramps apart.
type tabled struct {
	clauses []tabledClause
	// readings it looks at, a bit each, and how many states they have.
	readings uint8
	states   int
	// families it is in, and whether it has ever weighed anything.
	families []int
	spoke    bool
	// awake: it may change within the hour.
	awake bool
}

type tabledClause struct {
	tests  []playbook.Test
	sure   []playbook.Ramp
	unsure []unsureRamp
}

// unsureRamp looks at one or two readings: which of the measure's values they are in each of the
// rule's states.
type unsureRamp struct {
	playbook.Ramp
	value [mostStates]uint8
}

func tabledOf(c playbook.When) tabled {
	out := tabled{clauses: make([]tabledClause, len(c))}
	for _, k := range c {
		for _, r := range k.Ramps {
			for _, d := range readingsOf[r.Of] {
				out.readings |= 1 << d
			}
		}
	}
	out.states = 1 << bits.OnesCount8(out.readings)
	for i, k := range c {
		out.clauses[i].tests = k.Tests
		for _, r := range k.Ramps {
			of := readingsOf[r.Of]
			if len(of) == 0 {
				out.clauses[i].sure = append(out.clauses[i].sure, r)
				continue
			}
			u := unsureRamp{Ramp: r}
			for state := range out.states {
				high := unpack(uint8(state), out.readings) //nolint:gosec // fewer than 16
				for j, d := range of {
					u.value[state] |= high >> d & 1 << j
				}
			}
			out.clauses[i].unsure = append(out.clauses[i].unsure, u)
		}
	}
	return out
}

// certain part of a clause; NaN where what is known does not settle it.
func (c *tabledClause) certain(f *playbook.Facts) float64 {
	w, unknown := 1.0, false
	for i := range c.tests {
		switch v := c.tests[i].Weight(f); {
		case v == 0:
			return 0
		case v < w:
			w = v
		case v != v:
			unknown = true
		}
	}
	for i := range c.sure {
		switch v := c.sure[i].Weight(f); {
		case v == 0:
			return 0
		case v < w:
			w = v
		case v != v:
			unknown = true
		}
	}
	if unknown {
		return math.NaN()
	}
	return w
}

// silence a rule; false where it said nothing before.
func (r *tabled) silence(row []float64) (changed bool) {
	for s, w := range row {
		if w != 0 {
			row[s], changed = 0, true
		}
	}
	return changed
}

// weigh a rule in each of its states; false where that is what it weighed before.
func (r *tabled) weigh(f *playbook.Facts, spread *Spread, row []float64) (changed bool) {
	var fresh [mostStates]float64
	now := fresh[:len(row)]
	if len(r.clauses) == 1 {
		r.clauses[0].only(f, spread, now)
	} else {
		for i := range r.clauses {
			r.clauses[i].add(f, spread, now)
		}
	}
	for s, w := range now {
		if w != row[s] && (w == w || row[s] == row[s]) {
			row[s], changed = w, true
		}
	}
	return changed
}

// only clause of a rule: its weight in each state, which were nought.
func (c *tabledClause) only(f *playbook.Facts, spread *Spread, row []float64) {
	base := c.certain(f)
	if base == 0 {
		return
	}
	for s := range row {
		w := base
		for i := range c.unsure {
			w = c.unsure[i].least(w, spread, s)
		}
		row[s] = w
	}
}

// least of a weight and what the ramp weighs in a state; nought decides what is not known.
func (r *unsureRamp) least(w float64, spread *Spread, s int) float64 {
	v := spread[r.Of][r.value[s]]*r.Slope + r.Offset
	switch {
	case v <= 0, w == 0:
		return 0
	case v < w, v != v:
		return v
	}
	return w
}

// add the clause's weight in each state where it is more than what is there.
func (c *tabledClause) add(f *playbook.Facts, spread *Spread, row []float64) {
	base := c.certain(f)
	if base == 0 {
		return
	}
	for s := range row {
		w := base
		for i := range c.unsure {
			w = c.unsure[i].least(w, spread, s)
		}
		switch b := row[s]; {
		case w != w && b < 1, b != b && w == 1, w > b:
			row[s] = w
		}
	}
}
