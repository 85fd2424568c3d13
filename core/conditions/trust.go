package conditions

import (
	"math"
	"time"
)

// forecastReach is how far from a moment a forecast hour still speaks for it.
const forecastReach = 3 * time.Hour

// stale is how many times its freshness an observation may be old and still be
// better than assuming.
const stale = 6

// Believed is every kind's value at a moment.
type Believed map[Kind]Value

// Believe weighs readings and says for every kind what to think at t:
//  1. the newest observation no older than the kind's freshness;
//  2. the forecast or prediction nearest in time, within three hours;
//  3. an older observation, its spread growing with its age;
//  4. the assumption.
//
// An observation noted for a later moment than t is not used: what will be seen
// is not known yet.
func Believe(readings []Reading, t time.Time) Believed {
	out := make(Believed, len(natures))
	for _, k := range Kinds() {
		out[k] = believe(readings, k, t)
	}
	return out
}

func believe(readings []Reading, k Kind, t time.Time) Value {
	n := natures[k]
	var seen, ahead *Reading
	for i := range readings {
		r := &readings[i]
		if r.Kind != k {
			continue
		}
		age := t.Sub(r.Time)
		switch {
		case r.Origin == Observed:
			if age >= 0 && age <= stale*n.fresh && (seen == nil || r.Time.After(seen.Time)) {
				seen = r
			}
		case age.Abs() <= forecastReach && (ahead == nil || nearer(r, ahead, t)):
			ahead = r
		}
	}
	value := func(r *Reading) Value {
		return Value{*r, n.spread[r.Origin], t.Sub(r.Time)}
	}
	switch {
	case seen != nil && t.Sub(seen.Time) <= n.fresh:
		return value(seen)
	case ahead != nil:
		return value(ahead)
	case seen != nil:
		v := value(seen)
		grown := n.spread[Observed] * math.Sqrt(float64(v.Age)/float64(n.fresh)) * 2
		v.Spread = math.Min(grown, n.spread[Assumed])
		return v
	}
	return value(&Reading{k, n.assumed, t, Assumed, "nothing known; a middling value"})
}

// nearer prefers the nearer hour, then the more trusted origin.
func nearer(a, b *Reading, t time.Time) bool {
	da, db := t.Sub(a.Time).Abs(), t.Sub(b.Time).Abs()
	if da != db {
		return da < db
	}
	return a.Origin == Forecast && b.Origin != Forecast
}
