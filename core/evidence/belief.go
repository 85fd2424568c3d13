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
}

var _ rate.Belief = Belief{}

// For a target, also one that was never fished for: what was learnt with others holds for it in part.
func (e *Evidence) For(target string) Belief { return Belief{e, target} }

// Mean of a rule's coefficient.
func (b Belief) Mean(rule int) float64 {
	at, spoke := b.e.rules[rule]
	if !spoke {
		return b.e.book.Rules[rule].Prior.Mean
	}
	mean := b.e.post.Mode[at]
	if only := b.e.only[rule]; only != "" && only != b.target {
		// Of what one fish taught, so much is taken to hold for another.
		usual := b.e.book.Rules[rule].Prior.Mean
		return usual + (1-own)*(mean-usual)
	}
	if at, there := b.e.ours[ofTarget{rule, b.target}]; there {
		mean += b.e.post.Mode[at]
	}
	return mean
}

// Variance of Σ rules[r]·β_r. Where the counts scatter more than chance has them do, what the log says is held that
// much more loosely, never more loosely than the book.
func (b Belief) Variance(rules []float64) float64 {
	known, unknown, prior := make([]float64, len(b.e.post.Mode)), 0.0, 0.0
	for r, c := range rules {
		if c == 0 {
			continue
		}
		sd := b.e.book.Rules[r].Prior.SD
		whole := sd * sd * c * c
		at, spoke := b.e.rules[r]
		if !spoke {
			unknown += whole
			continue
		}
		switch ours, there := b.e.ours[ofTarget{r, b.target}]; {
		case there:
			known[at], known[ours] = c, c
			prior += whole
		case b.e.only[r] == b.target:
			known[at] = c
			prior += whole
		case b.e.only[r] != "":
			// The common part given the whole of another target, and this one's own.
			known[at] = (1 - own) * c
			prior += (1 - own) * (1 - own) * whole
			unknown += own * (2 - own) * whole
		default:
			known[at] = c
			prior += (1 - own) * whole
			unknown += own * whole
		}
	}
	return unknown + math.Min(prior, b.e.Dispersion*b.e.post.Covariance(known, known))
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
	at, fished := b.e.base[b.target]
	if !fished {
		t, err := b.e.book.Target(b.target)
		if err != nil {
			return Interval{}, err
		}
		return interval(math.Log(t.UsualCatch()), playbook.PlentySD), nil
	}
	one := make([]float64, len(b.e.post.Mode))
	one[at] = 1
	sd := math.Sqrt(math.Min(playbook.PlentySD*playbook.PlentySD, b.e.Dispersion*b.e.post.Covariance(one, one)))
	return interval(b.e.post.Mode[at], sd), nil
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
