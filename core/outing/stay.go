package outing

import (
	"math"
	"time"

	"gonum.org/v1/gonum/mathext"
)

// Rate of fish a rod-hour as it is believed: gamma, of so many fish in so many rod-hours.
type Rate struct{ Fish, RodHours float64 }

// RateOf what an advice expects: the median catch a rod-hour and the interval that holds it four times in
// five, which is log-normal. The gamma has the mean and the variance of its logarithm, ψ(k) − ln θ and
// ψ′(k) (Abramowitz and Stegun 6.3, 6.4): matched as they stand, a wide log-normal's own mean and variance would
// give one that a single early fish carries off.
func RateOf(median, low, high float64) Rate {
	if !(median > 0) || !(high > low) || !(low > 0) {
		return Rate{}
	}
	sd := math.Log(high/low) / 2 / z80
	shape := shapeOf(sd * sd)
	return Rate{shape, math.Exp(mathext.Digamma(shape)) / median}
}

// shapeOf a gamma whose logarithm has a variance: ψ′, which is Hurwitz's ζ(2, k) (6.4.10), falls from
// infinity to nought, so it is halved down to.
func shapeOf(variance float64) float64 {
	low, high := 1e-3, 1e6
	for range 100 {
		if middle := math.Sqrt(low * high); mathext.Zeta(2, middle) > variance {
			low = middle
		} else {
			high = middle
		}
	}
	return math.Sqrt(low * high)
}

// z80 is the 90 % quantile of the standard normal.
const z80 = 1.2815515655446004

// Seen so many fish in so many rod-hours, what is believed then (the gamma is conjugate to the Poisson: Gelman
// and others, Bayesian Data Analysis, 2.6).
func (r Rate) Seen(fish int, rodHours float64) Rate {
	return Rate{r.Fish + float64(fish), r.RodHours + math.Max(rodHours, 0)}
}

// Mean fish a rod-hour.
func (r Rate) Mean() float64 {
	if r.RodHours <= 0 {
		return 0
	}
	return r.Fish / r.RodHours
}

// Interval that holds the rate four times in five (the gamma's quantiles: Abramowitz and Stegun 26.4.25).
func (r Rate) Interval() (low, high float64) {
	if r.RodHours <= 0 || r.Fish <= 0 {
		return 0, 0
	}
	return mathext.GammaIncRegInv(r.Fish, 0.1) / r.RodHours, mathext.GammaIncRegInv(r.Fish, 0.9) / r.RodHours
}

// AtLeastOne is how likely so much effort takes a fish or more.
func (r Rate) AtLeastOne(rodHours float64) float64 {
	if r.RodHours <= 0 || rodHours <= 0 {
		return 0
	}
	return 1 - math.Pow(r.RodHours/(r.RodHours+rodHours), r.Fish)
}

// Elsewhere one could go.
type Elsewhere struct {
	SpotID, Name string
	Rate         Rate
	// Away so long: packing, the way, setting up.
	Away time.Duration
	// Until the way there shuts, or one wants to be back; zero: as long as here.
	Until time.Time
}

// School of when to leave, Q3 of the book.
type School string

// Schools of when to leave.
const (
	Clock School = "fixed clock"
	Bites School = "while any bite"
	Odds  School = "odds"
)

// Stay is the question whether to stay.
type Stay struct {
	Now time.Time
	// Until when one could stay here.
	Until time.Time
	// Fish and effort of the spells with this target at this spot today, and the last sign of fish.
	Fish     int
	RodHours float64
	// Since one began here or last moved, and of the last fish or bite; zero: none.
	Since, LastSign time.Time
	Rods            int
	// Here, before today's effort was seen.
	Here   Rate
	Others []Elsewhere
	School School
	// Winter: a school that is found is worked until it stops, not left.
	Winter bool
	// AllAtOnce says that those of one place feed together and stop together.
	AllAtOnce bool
	// Dolphins are about since then; zero: none are.
	Dolphins time.Time
}

// Choice to stay or to go.
type Choice struct {
	Stay bool
	// Reason why, one of the below.
	Reason Reason
	// Staying and Going are the fish expected over [Compared], with these rods; the best elsewhere.
	Staying, Going float64
	// StayingLow and StayingHigh hold what staying brings on average four times in five.
	StayingLow, StayingHigh float64
	Best                    *Elsewhere
	// Over so long both were compared.
	Over time.Duration
	// Rate here, as it is believed now.
	Rate Rate
	// Left of a clock or of a patience that runs; zero: none does.
	Left time.Duration
}

// Reason of a choice.
type Reason string

// Reasons.
const (
	ByOdds       Reason = "odds"
	ByClock      Reason = "clock"
	ByBites      Reason = "bites"
	ByWinter     Reason = "winter"
	ByAllAtOnce  Reason = "all at once"
	ByDolphins   Reason = "dolphins"
	NowhereElse  Reason = "nowhere else"
	TimeIsUpHere Reason = "time"
)

// Common practice, no source.
const (
	// FixedClock is what a spot without a fish is given.
	FixedClock = 30 * time.Minute
	// BiteLasts so long: with none in it they have stopped.
	BiteLasts = 20 * time.Minute
	// WithDolphins about, the nearest structure is given so long.
	WithDolphins = 5 * time.Minute
	// Compared is how far ahead staying and going are.
	Compared = time.Hour
	// better by so much elsewhere must be to be worth the walk: what is believed of it was not tried today.
	better = 1.1
)

// Choose to stay or to go.
func (s Stay) Choose() Choice {
	c := Choice{Rate: s.Here.Seen(s.Fish, s.RodHours), Over: min(Compared, max(s.Until.Sub(s.Now), 0))}
	rods := float64(max(s.Rods, 1))
	c.Staying = c.Rate.Mean() * rods * c.Over.Hours()
	low, high := c.Rate.Interval()
	c.StayingLow, c.StayingHigh = low*rods*c.Over.Hours(), high*rods*c.Over.Hours()
	for i := range s.Others {
		k := &s.Others[i]
		left := c.Over
		if !k.Until.IsZero() {
			left = min(Compared, max(k.Until.Sub(s.Now), 0))
		}
		if going := k.Rate.Mean() * rods * max(left-k.Away, 0).Hours(); going > c.Going {
			c.Going, c.Best = going, k
		}
	}
	quiet := s.Now.Sub(latest(s.Since, s.LastSign))
	switch {
	case c.Over == 0:
		c.Reason = TimeIsUpHere
	case !s.Dolphins.IsZero():
		c.Reason, c.Left = ByDolphins, WithDolphins-s.Now.Sub(s.Dolphins)
		c.Stay = c.Left > 0
	case s.Winter && s.Fish > 0:
		// Worked until it stops, whatever the school.
		c.Reason, c.Left = ByWinter, BiteLasts-quiet
		c.Stay = c.Left > 0
	case s.AllAtOnce && s.Fish > 0:
		// One on means the others are; none in a while, that all have stopped, whatever was caught before.
		c.Reason, c.Left = ByAllAtOnce, BiteLasts-quiet
		c.Stay = c.Left > 0
	case s.School == Clock:
		c.Reason, c.Left = ByClock, FixedClock-quiet
		c.Stay = c.Left > 0
	case s.School == Bites:
		c.Reason, c.Left = ByBites, BiteLasts-quiet
		c.Stay = c.Left > 0
	case c.Best == nil:
		c.Reason, c.Stay = NowhereElse, true
	default:
		c.Reason, c.Stay = ByOdds, c.Going <= better*c.Staying
	}
	c.Left = max(c.Left, 0)
	return c
}

func latest(a, b time.Time) time.Time {
	if a.After(b) {
		return a
	}
	return b
}
