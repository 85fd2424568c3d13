package tide

import (
	"math"
	"slices"
	"time"
)

// inference of a constituent that a short record cannot tell from a neighbour: it is taken to have the
// neighbour's lag, and the share of its amplitude that the equilibrium tide gives.
type inference struct {
	name, from string
	share      float64
	// beat is how long the two take to part by a cycle.
	beat time.Duration
}

const aDay = 24 * time.Hour

// inferences by the equilibrium tide (Schureman 1958, table 2).
var inferences = []inference{{"P1", "K1", 0.331, 18262 * aDay / 100}, {"K2", "S2", 0.272, 18262 * aDay / 100},
	{"NU2", "N2", 0.194, 20589 * aDay / 100},
	// Of a record of less than four weeks even these, and then NU2 goes with M2 as well.
	{"N2", "M2", 0.192, 2755 * aDay / 100}, {"Q1", "O1", 0.191, 2755 * aDay / 100}, {"NU2", "M2", 0.037, 3181 * aDay / 100}}

// shareIsOff by so much of itself at most places, and lagIsOff by so many degrees, one standard
// error each (the house's judgement).
const (
	shareIsOff = 0.2
	lagIsOff   = 10.0
)

// infer which of those left out can be inferred from those that are in; they are taken off the list of
// the left out.
func infer(names []string, excluded []Excluded) (found []inference, left []Excluded) {
	left = excluded
	for _, k := range inferences {
		at := slices.IndexFunc(left, func(e Excluded) bool { return e.Name == k.name && e.clash })
		if at < 0 || !slices.Contains(names, k.from) {
			continue
		}
		found = append(found, k)
		left = slices.Delete(slices.Clone(left), at, at+1)
	}
	return found, left
}

// estimate of what is inferred from an estimate.
func (k inference) estimate(from Estimate) Estimate {
	return Estimate{Constituent: Constituent{Name: k.name, AmplitudeM: k.share * from.AmplitudeM, PhaseDeg: from.PhaseDeg},
		AmplitudeErrorM: k.share * math.Hypot(shareIsOff*from.AmplitudeM, from.AmplitudeErrorM),
		PhaseErrorDeg:   math.Hypot(lagIsOff, from.PhaseErrorDeg), InferredFrom: k.from}
}

// widen the errors of what something was inferred from: over a record much shorter than the beat, all
// that is wrong in the share lies in it.
func (k inference) widen(e *Estimate, span time.Duration) {
	x := math.Pi * span.Hours() / k.beat.Hours()
	within := math.Abs(math.Sin(x) / x)
	off := k.share * math.Hypot(shareIsOff, lagIsOff*degree) * within
	e.AmplitudeErrorM = math.Hypot(e.AmplitudeErrorM, off*e.AmplitudeM/math.Sqrt2)
	e.PhaseErrorDeg = math.Min(math.Hypot(e.PhaseErrorDeg, off/math.Sqrt2/degree), halfCircle)
}
