package evidence

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/words"
)

// Belief of a book's rules for a target, after the log.
type Belief struct {
	e      *Evidence
	target string
	view   *view
}

var _ rate.Belief = Belief{}

// For a target, also one that was never fished for: what was learnt with others holds for it in part.
func (e *Evidence) For(target string) Belief {
	e.mu.Lock()
	defer e.mu.Unlock()
	v := e.views[target]
	if v == nil {
		v = e.viewOf(target)
		e.views[target] = v
	}
	return Belief{e, target, v}
}

// For another target.
func (b Belief) For(target string) rate.Belief {
	if target == b.target {
		return b
	}
	return b.e.For(target)
}

// Mean of a rule's coefficient.
func (b Belief) Mean(rule int) float64 { return b.view.means[rule] }

// Variance of Σ rules[r]·β_r. Where the counts scatter more than chance has them do, what the log says is held that
// much more loosely, never more loosely than the book.
func (b Belief) Variance(rules []float64) float64 {
	var s sum
	s.rules(b.view, rules)
	return s.variance(b.view)
}

// Expect the logarithm of the catch a rod-hour of an ordinary spell at a spot, and the variance of that and of
// Σ rules[r]·β_r together.
func (b Belief) Expect(spot string, rules []float64) (log, variance float64) {
	var s sum
	log = b.view.usual
	if b.view.base < 0 {
		s.unknown += playbook.PlentySD * playbook.PlentySD
	} else {
		log = b.e.post.Mode[b.e.base[b.target]]
		s.add(b.view.base, 1, playbook.PlentySD*playbook.PlentySD)
	}
	if at, fished := b.view.spots[spot]; fished {
		log += b.e.post.Mode[b.e.spots[[2]string{b.target, spot}]]
		s.add(at, 1, rate.SpotSD*rate.SpotSD)
	} else {
		s.unknown += rate.SpotSD * rate.SpotSD
	}
	s.rules(b.view, rules)
	return log, s.variance(b.view)
}

// Interval is a multiplier as it is believed: the median, and what holds it four times in five.
type Interval struct{ Median, Low, High float64 }

func interval(mean, sd float64) Interval {
	return Interval{math.Exp(mean), math.Exp(mean - rate.Z80*sd), math.Exp(mean + rate.Z80*sd)}
}

// Rule before and after a log.
type Rule struct {
	Rule       int
	Prior, Log Interval
	// Spells for the target that speak to it.
	Spells int
	// Shift of its mean, in spreads of the prior.
	Shift float64
}

// Sentence of what was said and what the log says.
func (r *Rule) Sentence() string {
	if r.Spells == 1 {
		return fmt.Sprintf(words.SaidYourSpellSays, r.Prior.Median, r.Log.Median, r.Log.Low, r.Log.High)
	}
	return fmt.Sprintf(words.SaidYourSpellsSay, r.Prior.Median, r.Spells, r.Log.Median, r.Log.Low, r.Log.High)
}

// Rules of a target that its spells speak to, the most moved first.
func (b Belief) Rules() []Rule {
	var out []Rule
	for _, r := range b.e.book.About(b.target) {
		spells := b.e.spells[ofTarget{r, b.target}]
		if spells == 0 {
			continue
		}
		one := make([]float64, len(b.e.book.Rules))
		one[r] = 1
		p := b.e.book.Rules[r].Prior
		mean := b.Mean(r)
		out = append(out, Rule{Rule: r, Prior: interval(p.Mean, p.SD), Log: interval(mean, math.Sqrt(b.Variance(one))),
			Spells: spells, Shift: (mean - p.Mean) / p.SD})
	}
	slices.SortStableFunc(out, func(a, b Rule) int { return cmp.Compare(math.Abs(b.Shift), math.Abs(a.Shift)) })
	return out
}

// Base is the catch a rod-hour of an ordinary spell for a target at a spot nothing is known of.
func (b Belief) Base() (Interval, error) {
	if _, err := b.e.book.Target(b.target); err != nil {
		return Interval{}, err
	}
	log, variance := b.Expect("", nil)
	return interval(log, math.Sqrt(variance-rate.SpotSD*rate.SpotSD)), nil
}

// At a spot, what an ordinary spell catches a rod-hour.
func (b Belief) At(spot string) Interval {
	log, variance := b.Expect(spot, nil)
	return interval(log, math.Sqrt(variance))
}

// Sum of the target's spells.
func (b Belief) Sum() Sum {
	if s := b.e.sums[b.target]; s != nil {
		return *s
	}
	return Sum{}
}

// Expected fish of a spell, under the mode.
func (b Belief) Expected(s *Spell) (float64, error) {
	base, err := b.Base()
	if err != nil {
		return 0, err
	}
	log := math.Log(base.Median)
	if at, there := b.e.spots[[2]string{b.target, s.Spot}]; there {
		log += b.e.post.Mode[at]
	}
	for _, k := range s.Rules {
		log += k.More * b.Mean(k.Rule)
	}
	return s.RodHours * math.Exp(log), nil
}
