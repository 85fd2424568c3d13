package evidence

import (
	"errors"
	"fmt"
	"math"
	"slices"

	"greypebble/core/conditions"
	"greypebble/core/rate"
)

// Spell as the model takes it.
type Spell struct {
	Target string `json:"t"`
	Spot   string `json:"s"`
	// RodHours of effort, and the fish of that target.
	RodHours float64 `json:"h"`
	Fish     float64 `json:"f"`
	// Contacts that came to no fish: lost ones and bites missed. Told says that they were counted, none included.
	Contacts float64 `json:"c,omitempty"`
	Told     bool    `json:"d,omitempty"`
	// Rules that spoke: how much more of each it had than an ordinary spell.
	Rules []Spoke `json:"r"`
}

// Spoke is a rule, by its place in the book, and by how much more it applied than in an ordinary spell, −1 to 1.
type Spoke struct {
	Rule int     `json:"r"`
	More float64 `json:"m"`
	// Either of the scenarios of the readings it applied by, where that is not one and the same; More is their mean.
	Either []float64 `json:"e,omitempty"`
}

// SpokeOf what a contrast has of each rule: those that differ.
func SpokeOf(c *rate.Contrast) []Spoke {
	out := make([]Spoke, 0, len(c.Each))
	for i := range c.Each {
		d := &c.Each[i]
		one := Spoke{Rule: d.Rule, More: round(c.Rules[d.Rule])}
		if slices.ContainsFunc(d.By[1:], func(by float64) bool { return math.Abs(by-d.By[0]) > same }) {
			for _, by := range d.By {
				one.Either = append(one.Either, round(by))
			}
		}
		out = append(out, one)
	}
	return out
}

// round to what a device is sent.
func round(v float64) float64 { return math.Round(v*1e4) / 1e4 }

// same are weights that differ by so little.
const same = 1e-3

func (s *Spell) validate(rules int) error {
	switch {
	case s.Target == "" || s.Spot == "":
		return errors.New("a spell has a target and a spot")
	case !(s.RodHours > 0) || math.IsInf(s.RodHours, 0) || !(s.Fish >= 0) || math.IsInf(s.Fish, 0) || !(s.Contacts >= 0) ||
		math.IsInf(s.Contacts, 0):
		return fmt.Errorf("expected fish and contacts of nought or more in rod-hours above it, not %v and %v in %v", s.Fish, s.Contacts,
			s.RodHours)
	}
	for _, k := range s.Rules {
		if k.Rule < 0 || k.Rule >= rules || math.IsNaN(k.More) || math.IsInf(k.More, 0) {
			return fmt.Errorf("there is no rule %d of %d that could apply by %v", k.Rule, rules, k.More)
		}
		if n := len(k.Either); n != 0 && n != conditions.Scenarios {
			return fmt.Errorf("rule %d applies in each of %d scenarios, not in %d", k.Rule, conditions.Scenarios, n)
		}
	}
	return nil
}
