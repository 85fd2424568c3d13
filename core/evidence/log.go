package evidence

import (
	"errors"
	"fmt"
	"math"
)

// Spell as the model takes it.
type Spell struct {
	Target, Spot string
	// RodHours of effort, and the fish of that target.
	RodHours, Fish float64
	// Rules that spoke: how much more of each it had than an ordinary spell.
	Rules []Spoke
}

// Spoke is a rule, by its place in the book, and by how much more it applied than in an ordinary spell, −1 to 1.
type Spoke struct {
	Rule int
	More float64
}

// SpokeOf what a contrast has of each rule: those that differ.
func SpokeOf(rules []float64) (out []Spoke) {
	for r, more := range rules {
		if more != 0 {
			out = append(out, Spoke{r, more})
		}
	}
	return out
}

func (s *Spell) validate(rules int) error {
	switch {
	case s.Target == "" || s.Spot == "":
		return errors.New("a spell has a target and a spot")
	case !(s.RodHours > 0) || math.IsInf(s.RodHours, 0) || !(s.Fish >= 0) || math.IsInf(s.Fish, 0):
		return fmt.Errorf("expected fish of nought or more in rod-hours above it, not %v in %v", s.Fish, s.RodHours)
	}
	for _, k := range s.Rules {
		if k.Rule < 0 || k.Rule >= rules || math.IsNaN(k.More) || math.IsInf(k.More, 0) {
			return fmt.Errorf("there is no rule %d of %d that could apply by %v", k.Rule, rules, k.More)
		}
	}
	return nil
}
