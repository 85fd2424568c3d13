package conditions

import (
	"math"
	"slices"
	"sort"
	"time"

	"greypebble/core/quantity"
	"greypebble/core/words"
)

// forecastReach is how far from a moment a forecast hour still speaks for it.
const forecastReach = 3 * time.Hour

// stale is how many times its freshness an observation may be old and still be
// better than assuming.
const stale = 6

// Believed is every kind's value at a moment. Kinds of which nothing is assumed
// are in it only when they were read.
type Believed map[Kind]Value

// Believe weighs readings and says for every kind what to think at t:
//  1. the newest observation no older than the kind's freshness;
//  2. the forecast or prediction, between its two nearest times or at the one
//     within three hours; the angler's own expectation goes before a service's;
//  3. an older observation, its spread growing with its age;
//  4. the assumption.
//
// An observation noted for a later moment than t is not used: what will be seen
// is not known yet.
func Believe(readings []Reading, t time.Time) Believed { return Sorted(readings).Believe(t) }

// Readings by kind and time, for asking many times. Two are equal when they are the
// same readings, not when they say the same.
type Readings struct {
	sorted *sorted
	usual  *Usual
}

// sorted by time within each kind.
type sorted map[Kind][]Reading

func (r Readings) of(k Kind) []Reading {
	if r.sorted == nil {
		return nil
	}
	return (*r.sorted)[k]
}

// Each reading, kind by kind in alphabetical order and by time.
func (r Readings) Each(f func(*Reading)) {
	for _, k := range Kinds() {
		list := r.of(k)
		for i := range list {
			f(&list[i])
		}
	}
}

// Sorted readings. The slice is not kept.
func Sorted(list []Reading) Readings {
	byKind := make(sorted, len(natures))
	for _, one := range list {
		byKind[one.Kind] = append(byKind[one.Kind], one)
	}
	for _, l := range byKind {
		if !sort.SliceIsSorted(l, func(i, j int) bool { return l[i].Time.Before(l[j].Time) }) {
			sort.SliceStable(l, func(i, j int) bool { return l[i].Time.Before(l[j].Time) })
		}
	}
	return Readings{sorted: &byKind}
}

// Believe at a moment, by the order of trust (see [Believe]).
func (r Readings) Believe(t time.Time) Believed { return r.believe(t, t) }

// afterwards is how long after a stretch of time something may be noted that was
// seen in it.
const afterwards = 15 * time.Minute

// BelieveDuring a stretch of time what held in its middle; what was seen within
// it, or noted a quarter of an hour after, counts as seen then.
func (r Readings) BelieveDuring(from, to time.Time) Believed {
	return r.believe(from.Add(to.Sub(from)/2), to.Add(afterwards))
}

// believe at t, observations up to until included.
func (r Readings) believe(t, until time.Time) Believed {
	out := make(Believed, len(natures))
	for k := range natures {
		if v, ok := r.one(k, t, until); ok {
			out[k] = v
		}
	}
	return out
}

func (r Readings) one(k Kind, t, until time.Time) (Value, bool) {
	n := natures[k]
	c := candidates{until: until}
	list := r.of(k)
	from := t.Add(-max(stale*n.Fresh, forecastReach))
	i := sort.Search(len(list), func(i int) bool { return !list[i].Time.Before(from) })
	for last := later(t.Add(forecastReach), until); i < len(list) && !list[i].Time.After(last); i++ {
		c.consider(&list[i], t)
	}
	return r.believed(&c, k, t)
}

// believed of candidates; what is usual goes before what is merely assumed.
func (r Readings) believed(c *candidates, k Kind, t time.Time) (Value, bool) {
	v, known := c.believe(k, t)
	if !known || v.Origin == Assumed {
		if u, usual := r.usually(k, t); usual {
			return u, true
		}
	}
	return v, known
}

// Levels are the different values of a kind that were observed no longer ago than it stays fresh, the
// newest first; of what was said at one moment, in the order it was said.
func (r Readings) Levels(k Kind, t time.Time) []float64 {
	list := r.of(k)
	var fresh []Reading
	for i := range list {
		if age := t.Sub(list[i].Time); list[i].Origin == Observed && age >= 0 && age <= natures[k].Fresh {
			fresh = append(fresh, list[i])
		}
	}
	sort.SliceStable(fresh, func(i, j int) bool { return fresh[i].Time.After(fresh[j].Time) })
	var out []float64
	for i := range fresh {
		if !slices.Contains(out, fresh[i].Value) {
			out = append(out, fresh[i].Value)
		}
	}
	return out
}

// Background of a kind at a moment: what is believed without what the angler saw there and
// then.
func (r Readings) Background(k Kind, t time.Time) (Value, bool) {
	n := natures[k]
	c := candidates{until: t}
	list := r.of(k)
	from := t.Add(-max(stale*n.Fresh, forecastReach))
	i := sort.Search(len(list), func(i int) bool { return !list[i].Time.Before(from) })
	for last := t.Add(forecastReach); i < len(list) && !list[i].Time.After(last); i++ {
		if list[i].Origin != Observed || list[i].Source != TheAngler {
			c.consider(&list[i], t)
		}
	}
	return r.believed(&c, k, t)
}

func later(a, b time.Time) time.Time {
	if a.After(b) {
		return a
	}
	return b
}

// candidates to speak for a kind at a moment.
type candidates struct {
	// until when observations count.
	until time.Time
	seen  *Reading
	// ofAngler is what the angler expects; before and after are a service's hours
	// around the moment.
	ofAngler, before, after *Reading
}

func (c *candidates) consider(r *Reading, t time.Time) {
	age := t.Sub(r.Time)
	if r.Origin == Observed {
		if !r.Time.After(c.until) && age <= stale*natures[r.Kind].Fresh && (c.seen == nil || r.Time.After(c.seen.Time)) {
			c.seen = r
		}
		return
	}
	if age.Abs() > forecastReach {
		return
	}
	side := &c.before
	switch {
	case r.Source == TheAngler:
		side = &c.ofAngler
	case age < 0:
		side = &c.after
	}
	if *side == nil || nearer(r, *side, t) {
		*side = r
	}
}

func (c *candidates) believe(k Kind, t time.Time) (Value, bool) {
	n := natures[k]
	value := func(r *Reading) (Value, bool) { return Value{*r, r.spread(), t.Sub(r.Time)}, true }
	switch {
	case c.seen != nil && t.Sub(c.seen.Time) <= n.Fresh:
		return value(c.seen)
	case c.ofAngler != nil:
		return value(c.ofAngler)
	case c.before != nil && c.after != nil && c.before.Origin == c.after.Origin:
		return value(between(n, c.before, c.after, t))
	case c.before != nil || c.after != nil:
		return value(closer(c.before, c.after, t))
	case c.seen != nil:
		v, _ := value(c.seen)
		v.Spread = math.Min(v.Spread*math.Sqrt(float64(v.Age)/float64(n.Fresh))*2, n.Spread[Assumed])
		return v, true
	case math.IsNaN(n.Assumed):
		return Value{}, false
	}
	return value(&Reading{Kind: k, Value: n.Assumed, Time: t, Origin: Assumed, Source: words.NothingKnownAMiddlingValue})
}

// between two readings of one origin, by time; angles the short way round.
func between(n *Nature, a, b *Reading, t time.Time) *Reading {
	share := float64(t.Sub(a.Time)) / float64(b.Time.Sub(a.Time))
	step := b.Value - a.Value
	if n.Dimension == quantity.Angle {
		step = math.Mod(step+540, 360) - 180
	}
	r := *a
	r.Time, r.Value = t, a.Value+share*step
	r.Spread = a.spread()*(1-share) + b.spread()*share
	if n.Dimension == quantity.Angle {
		r.Value = math.Mod(r.Value+360, 360)
	}
	return &r
}

// closer of two readings of which one may be missing.
func closer(a, b *Reading, t time.Time) *Reading {
	if a == nil || b != nil && nearer(b, a, t) {
		return b
	}
	return a
}

// nearer prefers the nearer hour, then the more trusted origin.
func nearer(a, b *Reading, t time.Time) bool {
	da, db := t.Sub(a.Time).Abs(), t.Sub(b.Time).Abs()
	if da != db {
		return da < db
	}
	return a.Origin == Forecast && b.Origin != Forecast
}
