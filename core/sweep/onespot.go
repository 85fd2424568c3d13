package sweep

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/scene"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// oneSpot is the sweep of one spot, an hour at a time.
type oneSpot struct {
	*sweeping
	at     int
	spot   *spot.Spot
	tables *Tables
	hours  []hour
	skies  []spot.Sky
	lights [][2]float64
	// levels and how fast they rise, m/h, at each step.
	levels, rising []float64
	tides          scene.Tides
	curve          *tide.Curve
	warmth         *spot.Warmth
	spread         Spread
	span           Span
	// facts of the hour's steps: those of which the way is open.
	facts []playbook.Facts
	open  []bool
	// over the marks at the hour's steps.
	over [][]overMark
	// logs of the targets on a mark, and the best so far at each step.
	logs []float64
	// runs of the targets in the hour, logarithms: where their schools are in their way up the river.
	runs []float64
	best [][]float64
	// begins of the hour on each mark, and how much warmer it is there.
	begins []int
	warmer []float64
}

// overMark is the water over a mark at a step: its depth, NaN where it cannot be fished, and the
// light half-way down and at the bed, in the order of [readingsOf].
type overMark struct {
	depth    float64
	mid, bed [4]float64
}

// warmEvery is the step the warmth over the marks is worked out by.
const warmEvery = time.Hour

// spotAt sweeps one spot.
func (s *sweeping) spotAt(at int) error {
	sp := s.Spots[at]
	end := s.From.Add(time.Duration(s.steps) * s.Step)
	c, err := s.tides.Over(sp.Tide, s.From.Add(-spot.WarmthRunUp), end.Add(2*warmEvery))
	if err != nil {
		return err
	}
	warmth, err := sp.WarmthOn(c, s.weather(sp, end), s.From, end, warmEvery)
	if err != nil {
		return err
	}
	perHour := int(time.Hour / s.Step)
	o := &oneSpot{sweeping: s, at: at, spot: sp, hours: s.hours(sp), skies: s.skies[skyKeyOf(sp)], tides: scene.TidesOf(sp), curve: c,
		warmth: warmth, levels: make([]float64, s.steps), rising: make([]float64, s.steps), facts: make([]playbook.Facts, perHour),
		open: make([]bool, perHour), over: make([][]overMark, len(sp.Marks)), logs: make([]float64, len(s.Targets)),
		runs: make([]float64, len(s.Targets)),
		best: make([][]float64, perHour), begins: make([]int, len(sp.Marks)), warmer: make([]float64, len(sp.Marks))}
	in := Waters{Tideless: tide.Tideless(sp.Tide), Mixed: spot.Mixed(sp.Place)}
	for i := range o.hours {
		in.Months |= o.hours[i].facts.Word[playbook.Month] | o.hours[i].facts.Next[playbook.Month].Word
	}
	o.tables = NewTables(s.Book, s.measured, scene.Marks(sp), s.Belief, in)
	o.lights = s.light(sp, o.hours)
	c.Sampled(o.levels, o.rising, s.From, s.Step)
	s.field.Waters[at] = Water{o.levels, o.rising}
	for k := range o.over {
		o.over[k] = make([]overMark, perHour)
	}
	for j := range o.best {
		o.best[j] = make([]float64, len(s.Targets))
	}
	for first := 0; first < s.steps; first += perHour {
		o.hour(first)
	}
	return nil
}

// hour of steps from the first on.
func (o *oneSpot) hour(first int) {
	for _, best := range o.best {
		for n := range best {
			best[n] = math.NaN()
		}
	}
	if j := o.water(first); j >= 0 {
		o.run(first)
		o.tables.Hour(&o.facts[j], &o.spread, &o.span)
		o.marks(first)
	}
	for j, best := range o.best {
		for n, v := range best {
			if v == v {
				v = math.Exp(v + o.runs[n])
			}
			if o.unsought(n, first+j) {
				v = math.NaN()
			}
			o.field.Edges[n][o.at][first+j] = float32(v)
		}
	}
}

// unsought says that a rule forbids to fish for a target at a step.
func (o *oneSpot) unsought(target, step int) bool {
	return len(o.spot.Rules) > 0 && o.spot.Unsought(o.Targets[target].Species(), o.From.Add(time.Duration(step)*o.Step)) != nil
}

// run of the targets in the hour of a step.
func (o *oneSpot) run(first int) {
	if o.spot.River == nil {
		return
	}
	for n, t := range o.Targets {
		o.runs[n] = math.Log(scene.Run(o.spot, t, o.From.Add(time.Duration(first)*o.Step)))
	}
}

// water of an hour on no mark: the facts of its open steps and their span. It returns the first
// of them, −1 where the way is shut throughout.
func (o *oneSpot) water(first int) (begins int) {
	begins = -1
	h := &o.hours[first/len(o.open)]
	closed := o.spot.Closing(o.From.Add(time.Duration(first)*o.Step)) != nil
	ruled := len(o.spot.Rules) > 0 // whose hours may turn within the hour
	for j := range o.open {
		i := first + j
		f := &o.facts[j]
		*f = h.facts
		f.Measure[playbook.Warmer] = 0 // of mixed water
		at := o.From.Add(time.Duration(i) * o.Step)
		if ruled && j > 0 {
			closed = o.spot.Closing(at) != nil
		}
		o.open[j] = !closed && o.spot.OpenToday(at) && o.spot.Access.Passable(o.levels[i]) && o.moment(f, i)
		if !o.open[j] {
			continue
		}
		if begins < 0 {
			begins = j
			for end, v := range []*conditions.Values{&h.low, &h.high} {
				o.spread[playbook.Secchi][end], o.spread[playbook.WindSpeed][end] = v.SecchiM, v.WindSpeedMS
				o.spread[playbook.Cloud][end], o.spread[playbook.WaterTemp][end] = v.Cloud, v.WaterTempC
			}
			o.lit(i)
			o.span.From(f, &o.spread)
			continue
		}
		o.span.Reach(&o.facts[begins], f, o.lights[i][:])
	}
	return begins
}

// lit by the light on the water at a step.
func (o *oneSpot) lit(step int) { copy(o.spread[playbook.SurfaceLight][:], o.lights[step][:]) }

// marks of a spot over an hour.
func (o *oneSpot) marks(first int) {
	begins, warmer := o.begins, o.warmer
	for k := range o.over {
		begins[k], warmer[k] = o.dive(first, k)
	}
	h := &o.hours[first/len(o.open)]
	for j := range o.open {
		if !o.open[j] {
			continue
		}
		f := &o.facts[j]
		o.lit(first + j)
		o.tables.Step(f, &o.spread)
		for k := range o.over {
			w := &o.over[k][j]
			if w.depth != w.depth {
				continue
			}
			t := &o.tables.Marks[k]
			f.Measure[playbook.Depth], f.Measure[playbook.Warmer] = w.depth, warmer[k]
			o.spread[playbook.WaterTemp][0], o.spread[playbook.WaterTemp][1] = h.low.WaterTempC+warmer[k], h.high.WaterTempC+warmer[k]
			o.spread[playbook.MidLight], o.spread[playbook.BedLight] = w.mid, w.bed
			if j == begins[k] {
				o.reach(f, k)
				t.Hour(f, &o.spread, &o.span)
			}
			t.Step(f, &o.spread)
			t.Logs(o.logs)
			for n, v := range o.logs {
				if best := &o.best[j][n]; !(*best >= v) {
					*best = v
				}
			}
		}
	}
}

// dive to a mark: the water over it at the hour's open steps. It returns the first step at which
// it can be fished, −1 where there is none, and by how much the water is warmer there.
func (o *oneSpot) dive(first, mark int) (begins int, warmer float64) {
	h, m := &o.hours[first/len(o.open)], &o.spot.Marks[mark]
	var attenuation [2]float64
	for end, v := range []*conditions.Values{&h.low, &h.high} {
		attenuation[end], _ = water.Attenuation(v.SecchiM) // readings are within bounds
	}
	begins = -1
	for j := range o.open {
		w := &o.over[mark][j]
		if w.depth = m.Depth(o.levels[first+j]); !o.open[j] || !m.Fishable.Holds(w.depth) {
			w.depth = math.NaN()
			continue
		}
		if begins < 0 {
			begins = j
		}
		for clarity, k := range attenuation {
			mid := water.Remaining(k, w.depth/2)
			for cloud, lux := range o.lights[first+j] {
				w.mid[clarity|cloud<<1], w.bed[clarity|cloud<<1] = lux*mid, lux*mid*mid
			}
		}
	}
	if warmer, _ = o.warmth.Over(mark, o.From.Add(time.Duration(first)*o.Step)); warmer != warmer { // dry when the hour began
		warmer = 0
	}
	return begins, warmer
}

// reach of what differs from mark to mark over the hour.
func (o *oneSpot) reach(f *playbook.Facts, mark int) {
	s := &o.span
	s.between(playbook.Warmer, f.Measure[playbook.Warmer:playbook.Warmer+1])
	s.between(playbook.WaterTemp, o.spread[playbook.WaterTemp][:2])
	s.between(playbook.Depth, f.Measure[playbook.Depth:playbook.Depth+1])
	s.between(playbook.MidLight, o.spread[playbook.MidLight][:])
	s.between(playbook.BedLight, o.spread[playbook.BedLight][:])
	for j := range o.over[mark] {
		w := &o.over[mark][j]
		if w.depth != w.depth {
			continue
		}
		s.reach(playbook.Depth, w.depth)
		for i := range w.mid {
			s.reach(playbook.MidLight, w.mid[i])
			s.reach(playbook.BedLight, w.bed[i])
		}
	}
}

// moment fills in what changes from step to step; false where the tide has no stage.
func (o *oneSpot) moment(f *playbook.Facts, i int) bool {
	t := o.From.Add(time.Duration(i) * o.Step)
	stage, ok := o.curve.StageRising(t, o.rising[i])
	if !ok {
		return false
	}
	o.tides.Fill(f, o.levels[i], &stage, &o.skies[i])
	return true
}
