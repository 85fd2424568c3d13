package advise

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/words"
)

// Threshold is a change of one reading, all else as it is, that would change the first
// choice.
type Threshold struct {
	// Kind of reading; empty for the time.
	Kind conditions.Kind
	// Past is the value, in the reading's unit, beyond which it changes; Rises, which
	// way. For the time, minutes from the moment.
	Past  float64
	Rises bool
	// Says it in a sentence; Offering is what is first then, Mark where.
	Says, Offering, Mark string
	// Spreads is how far off it is, in standard deviations of what is believed.
	Spreads float64
}

// probe is a reading whose change is looked for: between which values, and how it is
// spoken of.
type probe struct {
	kind      conditions.Kind
	low, high float64
	log       bool
	rises     string
	falls     string
	show      func(quantity.Units, float64) string
}

var probes = []probe{
	{conditions.Clarity, 0.15, 8, true, words.IfItClearsPast, words.IfItColoursBelow, quantity.Units.ShowDepth},
	{conditions.WaterTemp, 3, 32, false, words.IfTheWaterWarmsPast, words.IfTheWaterCoolsBelow, quantity.Units.ShowTemperature},
	{conditions.WindSpeed, 0, 16, false, words.IfTheWindGetsUpPast, words.IfTheWindDropsBelow, quantity.Units.ShowWind},
	{conditions.Cloud, 0, 1, false, words.IfItCloudsOverPast, words.IfTheSkyClearsBelow,
		func(_ quantity.Units, v float64) string { return fmt.Sprintf("%.0f %%", v*100) }},
}

const (
	// probeSteps on each side of what is believed; bisectSteps then narrow it.
	probeSteps  = 8
	bisectSteps = 6
	// timeAhead is how far ahead the time is tried.
	timeAhead = 6 * time.Hour
	timeStep  = 20 * time.Minute
	// coarseWarmth steps are good enough to look ahead by.
	coarseWarmth = 30 * time.Minute
)

// thresholds looks for the nearest change of each reading, either way, and of the time
// that would put something else first.
func (q *Question) thresholds(m *spot.Moment, now ranking) ([]Threshold, error) {
	first := q.first(now.list)
	if first == nil {
		return nil, nil
	}
	var out []Threshold
	for _, p := range probes {
		v, known := m.Believed[p.kind]
		if !known {
			continue
		}
		for _, end := range []float64{p.low, p.high} {
			t, err := q.threshold(m, &p, v, end, first.key())
			if err != nil {
				return nil, err
			}
			if t != nil {
				out = append(out, *t)
			}
		}
	}
	later, err := q.laterThreshold(first.key())
	if err != nil {
		return nil, err
	}
	if later != nil {
		out = append(out, *later)
	}
	slices.SortStableFunc(out, func(a, b Threshold) int { return cmp.Compare(a.Spreads, b.Spreads) })
	return out, nil
}

// first of a ranking that is offered: of the kit where there is one.
func (q *Question) first(list []rankedOption) *rankedOption {
	for i := range list {
		if q.Kit.Empty() || list[i].owned != nil {
			return &list[i]
		}
	}
	if len(list) > 0 {
		return &list[0]
	}
	return nil
}

// threshold of one reading on the way from what is believed to an end.
func (q *Question) threshold(m *spot.Moment, p *probe, v conditions.Value, end float64, first string) (*Threshold, error) {
	scale := func(x float64) float64 { return x }
	back := scale
	if p.log {
		scale, back = math.Log, math.Exp
	}
	at := func(x float64) (*rankedOption, error) { return q.betterWith(m, p.kind, back(x), first) }
	from, to := scale(v.Value), scale(end)
	last := from
	for i := 1; i <= probeSteps; i++ {
		x := from + (to-from)*float64(i)/probeSteps
		o, err := at(x)
		if err != nil {
			return nil, err
		}
		if o == nil {
			last = x
			continue
		}
		lo, hi, then := last, x, o
		for range bisectSteps {
			mid := (lo + hi) / 2
			if o, err = at(mid); err != nil {
				return nil, err
			}
			if o == nil {
				lo = mid
			} else {
				hi, then = mid, o
			}
		}
		t := &Threshold{Kind: p.kind, Past: back(hi), Rises: to > from, Offering: nameOf(then), Mark: then.mark.Name,
			Spreads: math.Abs(hi-from) / math.Max(v.Spread, 1e-9)}
		says := p.falls
		if t.Rises {
			says = p.rises
		}
		t.Says = fmt.Sprintf(says, p.show(q.Units, t.Past)) + ": " + prose.LowerFirst(t.Offering) + ", " + preposition(then.mark) + " " +
			prose.WithArticle(then.mark.Name) + "."
		return t, nil
	}
	return nil, nil
}

func nameOf(o *rankedOption) string {
	if o.owned != nil {
		return o.owned.Name
	}
	return o.offering.Name
}

// clearly is by how much, in the logarithm of the edge, something must be better than
// the first choice before it is said to take its place: two that are nearly even would
// change places at every breath of wind.
const clearly = 0.05

// betterWith another value of a reading, as if it had been seen: what is then clearly
// better than the first choice of now; nil where nothing is.
func (q *Question) betterWith(m *spot.Moment, kind conditions.Kind, value float64, first string) (*rankedOption, error) {
	other := *m
	other.Believed = make(conditions.Believed, len(m.Believed))
	for k, v := range m.Believed {
		other.Believed[k] = v
	}
	v := other.Believed[kind]
	v.Value = value
	other.Believed[kind] = v
	return q.betterAt(&other, first)
}

func (q *Question) betterAt(m *spot.Moment, first string) (*rankedOption, error) {
	r, err := q.rank(m)
	if err != nil {
		return nil, err
	}
	best := q.first(r.list)
	if best == nil || best.key() == first {
		return nil, nil
	}
	for i := range r.list {
		if r.list[i].key() == first && best.value-r.list[i].value < clearly {
			return nil, nil
		}
	}
	return best, nil
}

// laterThreshold is the first time, within hours, at which something else is first.
func (q *Question) laterThreshold(first string) (*Threshold, error) {
	s := q.Spot
	c, err := s.Curve(q.Time, q.Time.Add(timeAhead+time.Hour))
	if err != nil {
		return nil, err
	}
	warmth, err := s.WarmthBy(q.Time, q.Time.Add(timeAhead), coarseWarmth)
	if err != nil {
		return nil, err
	}
	for t := q.Time.Add(timeStep); !t.After(q.Time.Add(timeAhead)); t = t.Add(timeStep) {
		m, err := s.At(c, t)
		if err != nil {
			return nil, err
		}
		m.Signs, m.Warmth = q.Signs, warmth
		o, err := q.betterAt(&m, first)
		if err != nil {
			return nil, err
		}
		if o == nil {
			continue
		}
		in := t.Sub(q.Time)
		return &Threshold{Past: in.Minutes(), Rises: true, Offering: nameOf(o), Mark: o.mark.Name, Spreads: in.Hours(),
			Says: fmt.Sprintf(words.In, prose.Lasting(in), m.Stage, prose.LowerFirst(nameOf(o)), preposition(o.mark),
				prose.WithArticle(o.mark.Name))}, nil
	}
	return nil, nil
}
