package evidence

import (
	"fmt"
	"math"

	"greypebble/core/words"
)

const (
	// steady is a covariate that hardly changes over the spells: nothing is told of its rule.
	steady = 0.05
	// twins are rules whose covariates go together so closely that neither is told from the other.
	twins = 0.97
	// hardly is how far a rule may apply where one says it did not.
	hardly = 0.02
)

// column of a rule over the spells of a target: how much more it applied in each than in an ordinary one.
func column(log []*Spell, rule int) []float64 {
	out := make([]float64, len(log))
	for i, s := range log {
		for _, k := range s.Rules {
			if k.Rule == rule {
				out[i] = k.More
			}
		}
	}
	return out
}

// Apart says why a rule is not told from something else by the spells of the belief's target, in a sentence; empty where
// it is. Spots are named by their ids.
func (b Belief) Apart(rule int, spot func(id string) string) string {
	log := b.e.byTarget[b.target]
	x := column(log, rule)
	mean, sd := moments(x)
	if sd < steady {
		if len(x) < 2 {
			return ""
		}
		if mean > 0 {
			return words.ItAppliedInAllOfThemAlike
		}
		return words.ItHardlyAppliedInAnyOfThem
	}
	if at := onlyAt(log, x); at != "" && len(b.view.spots) > 1 {
		return fmt.Sprintf(words.YouHadItOnlyAt, spot(at))
	}
	most, with := 0.0, -1
	for _, r := range b.e.book.About(b.target) {
		if r == rule || b.e.spells[ofTarget{r, b.target}] == 0 {
			continue
		}
		if c := math.Abs(correlation(x, column(log, r))); c > twins && c > most {
			most, with = c, r
		}
	}
	if with >= 0 {
		return fmt.Sprintf(words.ItWentTogetherWith, b.e.book.Rules[with].Says)
	}
	return ""
}

// onlyAt is the one spot whose spells had a rule, of several that were fished; empty where there is none.
func onlyAt(log []*Spell, x []float64) (spot string) {
	base := math.Inf(1)
	for _, v := range x {
		base = math.Min(base, v)
	}
	for i, v := range x {
		if v-base <= hardly {
			continue
		}
		if spot != "" && spot != log[i].Spot {
			return ""
		}
		spot = log[i].Spot
	}
	return spot
}

func moments(x []float64) (mean, sd float64) {
	for _, v := range x {
		mean += v / float64(len(x))
	}
	for _, v := range x {
		sd += (v - mean) * (v - mean) / float64(len(x))
	}
	return mean, math.Sqrt(sd)
}

func correlation(x, y []float64) float64 {
	mx, sx := moments(x)
	my, sy := moments(y)
	if sx < steady || sy < steady {
		return 0
	}
	sum := 0.0
	for i := range x {
		sum += (x[i] - mx) * (y[i] - my)
	}
	return sum / float64(len(x)) / sx / sy
}
