package plan

import (
	"errors"
	"fmt"
	"maps"
	"math"
	"slices"
	"time"

	"greypebble/core/ground"
)

// Home stands for where a day begins and ends, where a spot is asked for.
const Home = -1

// MostSpare a day can have.
const MostSpare = 4 * time.Hour

// MostSpots a day is planned over.
const MostSpots = 12

// Day is what an itinerary is wanted for.
type Day struct {
	// Leave home no sooner than From, be back by Until; both within the outlook.
	From, Until time.Time
	// Spots that come into question, by their place in the outlook, at most [MostSpots].
	Spots []int
	// Legs at most: so many spots one cares to fish in a day.
	Legs int
	// Way from one spot (or [Home]) to another, packing and rigging included; false where there is none.
	Way func(from, to int) (time.Duration, bool)
	// Targets, ByDay and Margin are as in a [Wish].
	Targets []int
	ByDay   bool
	Margin  time.Duration
	// Pins are stays the day is planned around.
	Pins []Pin
	// Spare is time without fishing, in one piece: to eat, or for what takes longer than one thinks. It
	// is laid where it costs least, within a stay or in waiting for a way.
	Spare time.Duration
}

// Leg of an itinerary: a stay at a spot.
type Leg struct {
	// Target it is best for most of the time; −1 where one only waits.
	Spot, Target  int
	Arrive, Leave time.Time
	// Spare time within the stay; empty for none.
	Spare ground.Window
	// Worth in ordinary rod-hours: the edge over the stay, added up by the hour.
	Worth float64
	// Catch of one rod that is expected, at the usual catch of what is sought.
	Catch float64
}

// Edge of the stay: its worth by the hour.
func (l Leg) Edge() float64 { return l.Worth / l.Leave.Sub(l.Arrive).Hours() }

// Itinerary through a day.
type Itinerary struct {
	LeaveHome, BackHome time.Time
	Legs                []Leg
	// Worth and Catch of its legs.
	Worth, Catch float64
}

// Validate refuses a day that cannot be planned.
func (d Day) Validate(o *Outlook) error {
	switch {
	case !d.Until.After(d.From):
		return errors.New("plan: one must be back after one leaves")
	case d.From.Before(o.From) || d.Until.After(o.End()):
		return errors.New("plan: the day must lie within the outlook")
	case len(d.Spots) == 0 || len(d.Spots) > MostSpots:
		return fmt.Errorf("plan: a day is planned over 1 to %d spots, not %d", MostSpots, len(d.Spots))
	case d.Spare < 0 || d.Spare > MostSpare:
		return fmt.Errorf("plan: a day has up to %v to spare, not %v", MostSpare, d.Spare)
	case d.Legs < 1 || d.Legs > MostSpots:
		return fmt.Errorf("plan: a day has 1 to %d legs, not %d", MostSpots, d.Legs)
	}
	return d.validatePins()
}

// sooner breaks ties: of days worth the same the one with less time away from home, hours a step.
const sooner = 1e-9

// planned is a day being planned, in steps from its first. Values are the most one can gain from a
// step to the end of the day; −∞ where one cannot get home from there.
type planned struct {
	steps int
	// gain of a step at a spot; −∞ where one cannot be there. target it is made of.
	gain   [][]float64
	target [][]int
	// way in steps between spots, the last row and column being home; −1 where there is none.
	way [][]int
	// spare time in steps.
	spare int
	// still to come: the spare time is due, or had (or there is none).
	due, had tableau
}

// tableau of values at a spot at a step with so many more legs to go, [legs][spot][step]: about to
// fish, and having fished there.
type tableau struct{ fish, stay [][][]float64 }

// move is what to do next: go home (to is the number of spots), fish on (the spot itself), or go to
// another and fish there from a step on. spare: the spare time is had here, or in waiting on the way.
type move struct {
	to, from int
	spare    bool
}

// Itinerary that is worth most, exact at steps of [Step]; false where no spot can be fished and left
// in time. Of equals, the one with less time away from home. For one target that is the greatest
// expected catch; of several, what is better than usual for its fish goes before what is merely many.
// An hour is worth the same whenever it is: nothing is said of how much is enough, nor of a spot one
// has fished out.
func (o *Outlook) Itinerary(d Day) (Itinerary, bool, error) {
	if err := d.Validate(o); err != nil {
		return Itinerary{}, false, err
	}
	p := o.prepare(d)
	pinned := p.pin(d)
	p.solve(d.Legs)
	best, at, leaves := math.Inf(-1), -1, 0
	for s := range d.Spots {
		w := p.way[len(d.Spots)][s]
		if w < 0 {
			continue
		}
		for t := w; t < p.steps; t++ {
			// What leaves home later is away for less.
			if v := p.first().fish[d.Legs-1][s][t] + sooner*float64(t-w); v > best {
				best, at, leaves = v, s, t-w
			}
		}
	}
	switch {
	case pinned > 0 && best < held*float64(pinned)-1:
		return Itinerary{}, false, ErrPins
	case at < 0 || best <= sooner*float64(p.steps):
		return Itinerary{}, false, nil
	}
	return o.follow(d, p, at, leaves), true, nil
}

// prepare the gains and ways of a day.
func (o *Outlook) prepare(d Day) *planned {
	n := len(d.Spots)
	p := &planned{steps: int(d.Until.Sub(d.From) / Step), spare: int((d.Spare + Step - 1) / Step)}
	p.gain, p.target, p.way = make([][]float64, n), make([][]int, n), make([][]int, n+1)
	targets := d.Targets
	if len(targets) == 0 {
		targets = upTo(len(o.Edges))
	}
	for i, at := range d.Spots {
		p.gain[i], p.target[i] = o.gains(at, targets, d, p.steps)
	}
	index := func(i int) int {
		if i == n {
			return Home
		}
		return d.Spots[i]
	}
	for i := range p.way {
		p.way[i] = make([]int, n+1)
		for k := range p.way[i] {
			p.way[i][k] = -1
			if took, there := d.Way(index(i), index(k)); i != k && there {
				p.way[i][k] = int((took + Step - 1) / Step)
			}
		}
	}
	return p
}

// gains at a spot by step: the edge for the best of some targets, in ordinary hours.
func (o *Outlook) gains(at int, targets []int, d Day, steps int) ([]float64, []int) {
	p := &o.Places[at]
	gain, target := make([]float64, steps), make([]int, steps)
	for i := range gain {
		gain[i], target[i] = math.Inf(-1), -1
		t := d.From.Add(time.Duration(i) * Step)
		hour := int(t.Sub(o.From) / time.Hour)
		if s := p.State[hour]; s != Open && s != Thin || d.ByDay && !holds(p.day, t) {
			continue
		}
		if way, open := ground.NextClose(p.way, t); !open || !way.Closes.IsZero() && way.Closes.Sub(t) <= d.Margin {
			continue
		}
		gain[i] = 0 // one may wait there for the water
		step := int(t.Sub(o.From) / Step)
		for _, k := range targets {
			if v := float64(o.Edges[k][at][step]) * Step.Hours(); v > gain[i] {
				gain[i], target[i] = v, k
			}
		}
	}
	return gain, target
}

// first tableau of a day.
func (p *planned) first() *tableau {
	if p.spare > 0 {
		return &p.due
	}
	return &p.had
}

// solve from the end of the day backwards.
func (p *planned) solve(legs int) {
	p.fill(&p.had, legs)
	if p.spare > 0 {
		p.fill(&p.due, legs)
	}
}

func (p *planned) fill(in *tableau, legs int) {
	n := len(p.gain)
	in.fish, in.stay = make([][][]float64, legs), make([][][]float64, legs)
	for l := range legs {
		in.fish[l], in.stay[l] = make([][]float64, n), make([][]float64, n)
		for s := range n {
			in.fish[l][s], in.stay[l][s] = filled(p.steps+1), filled(p.steps+1)
		}
		for t := p.steps; t >= 0; t-- {
			for s := range n {
				if t < p.steps {
					in.fish[l][s][t] = p.gain[s][t] - sooner + in.stay[l][s][t+1]
				}
				in.stay[l][s][t], _ = p.next(in, l, s, t)
			}
		}
	}
}

func filled(n int) []float64 {
	out := make([]float64, n)
	for i := range out {
		out[i] = math.Inf(-1)
	}
	return out
}

// next is the best to do after having fished at a spot until a step.
func (p *planned) next(in *tableau, l, s, t int) (best float64, to move) {
	n, due := len(p.gain), in == &p.due
	best, to = math.Inf(-1), move{to: -1, from: t}
	better := func(v float64, m move) {
		if v > best {
			best, to = v, m
		}
	}
	if w := p.way[s][n]; !due && w >= 0 && t+w <= p.steps {
		better(-sooner*float64(w), move{n, t, false})
	}
	if t < p.steps {
		better(in.fish[l][s][t], move{s, t, false})
	}
	if due {
		if v, may := p.idle(s, t); may {
			better(v+p.had.stay[l][s][t+p.spare], move{s, t + p.spare, true})
		}
	}
	if l == 0 {
		return best, to
	}
	for k := range n {
		w := p.way[s][k]
		if k == s || w < 0 {
			continue
		}
		// One may wait for a way to open; who waits that long has had the spare time.
		for u := t + w; u < p.steps; u++ {
			after, had := in, due && u-t-w >= p.spare
			if had {
				after = &p.had
			}
			if v := after.fish[l-1][k][u] - sooner*float64(u-t); v > best {
				best, to = v, move{k, u, had}
			}
		}
	}
	return best, to
}

// idle for the spare time at a spot: what holds a pin goes on holding it; false where one cannot be
// there so long.
func (p *planned) idle(s, t int) (float64, bool) {
	if t+p.spare > p.steps {
		return 0, false
	}
	sum := 0.0
	for u := t; u < t+p.spare; u++ {
		g := p.gain[s][u]
		if math.IsInf(g, -1) {
			return 0, false
		}
		sum += g - p.worth(s, u) - sooner
	}
	return sum, true
}

// follow the best from the first spot on.
func (o *Outlook) follow(d Day, p *planned, s, leaves int) Itinerary {
	when := func(t int) time.Time { return d.From.Add(time.Duration(t) * Step) }
	n, l, in := len(d.Spots), d.Legs-1, p.first()
	t := leaves + p.way[n][s]
	// Ways are planned in whole steps and told as long as they are.
	way := func(from, to int) time.Duration { took, _ := d.Way(from, to); return took }
	out := Itinerary{LeaveHome: when(leaves + p.way[n][s]).Add(-way(Home, d.Spots[s]))}
	for {
		leg := Leg{Spot: d.Spots[s], Arrive: when(t)}
		made := map[int]float64{}
		to := move{to: s, from: t}
		for to.to == s {
			if to.spare {
				leg.Spare = ground.Window{Opens: when(t), Closes: when(to.from)}
				t, in = to.from, &p.had
			} else {
				worth := p.worth(s, t)
				leg.Worth += worth
				if k := p.target[s][t]; k >= 0 {
					made[k] += worth
					leg.Catch += worth * o.Asked.Targets[k].UsualCatch()
				}
				t++
			}
			_, to = p.next(in, l, s, t)
		}
		leg.Leave, leg.Target = when(t), most(made)
		out.Legs, out.Worth, out.Catch = append(out.Legs, leg), out.Worth+leg.Worth, out.Catch+leg.Catch
		if to.to == n {
			out.BackHome = when(t).Add(way(d.Spots[s], Home))
			return out
		}
		if to.spare {
			in = &p.had
		}
		s, t, l = to.to, to.from, l-1
	}
}

// most is the target that is worth most.
func most(made map[int]float64) int {
	best := -1
	for _, k := range slices.Sorted(maps.Keys(made)) {
		if k >= 0 && (best < 0 || made[k] > made[best]) {
			best = k
		}
	}
	return best
}
