package conditions

import (
	"fmt"
	"math"
	"strings"
	"time"
)

// Origin is where a reading came from.
type Origin string

// Origins, most trusted first.
const (
	Observed  Origin = "observed"
	Forecast  Origin = "forecast"
	Predicted Origin = "predicted"
	// Usually: nobody told it; it is what the month usually has there.
	Usually Origin = "usual"
	Assumed Origin = "assumed"
)

// Told says whether somebody told it of that time.
func (o Origin) Told() bool { return o != Assumed && o != Usually }

// TheAngler is the source of what the angler says. A forecast of theirs goes
// before a service's.
const TheAngler = "the angler"

// Reading is one condition's value.
type Reading struct {
	Kind   Kind
	Value  float64
	Time   time.Time
	Origin Origin
	// Source says in words who or what it comes from; Site, where it was taken,
	// empty for the whole water.
	Source, Site string
	// Spread of this very reading where it is known: one standard deviation in the
	// unit, or of the natural logarithm. Zero means the usual one of its origin.
	Spread float64
}

// spread of a reading: its own or the usual one of its origin.
func (r *Reading) spread() float64 {
	if r.Spread > 0 {
		return r.Spread
	}
	return natures[r.Kind].Spread[r.Origin]
}

// Validate refuses unknown kinds and origins and impossible values, naming what
// was expected.
func (r Reading) Validate() error {
	n, ok := natures[r.Kind]
	if !ok {
		return fmt.Errorf("conditions: unknown kind of reading %q; known are %s", r.Kind, strings.Join(Names(), ", "))
	}
	if math.IsNaN(r.Value) || r.Value < n.Min || r.Value > n.Max {
		return fmt.Errorf("conditions: %s must be between %v and %v %s, not %v", r.Kind, n.Min, n.Max, n.Unit, r.Value)
	}
	if !(r.Spread >= 0) || math.IsInf(r.Spread, 0) {
		return fmt.Errorf("conditions: spread of %s must be 0 or more, not %v", r.Kind, r.Spread)
	}
	if _, ok := n.Spread[r.Origin]; !ok {
		return fmt.Errorf("conditions: unknown origin %q; known are observed, forecast, predicted, assumed", r.Origin)
	}
	return nil
}

// Value of a condition as it is believed at a moment.
type Value struct {
	Reading
	// Spread is one standard deviation in the kind's unit, or of its natural
	// logarithm for clarity.
	Spread float64
	// Age of the reading at the moment; negative for a reading yet to come.
	Age time.Duration
}

// At shifts the value by z standard deviations, within what is possible.
func (v Value) At(z float64) float64 {
	n := natures[v.Kind]
	x := v.Value + z*v.Spread
	if n.Logarithmic {
		x = v.Value * math.Exp(z*v.Spread)
	}
	return min(max(x, n.Min), n.Max)
}

// Range that holds 80 % of the belief in a value.
func (v Value) Range() (low, high float64) { return v.At(-z80), v.At(z80) }

// z80 is the 90 % quantile of the standard normal.
const z80 = 1.2815515655446004
