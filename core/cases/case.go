package cases

import (
	"fmt"
	"slices"
	"strings"

	"greypebble/core/advise"
	"greypebble/core/going"
	"greypebble/core/playbook"
)

// Case is a question of the trade.
type Case struct {
	// ID as the trade's list of cases has it; a letter after it for another of the same principle.
	ID                  string
	Situation, Expected string
	// Asked of these shores.
	Asked []Asked
	// Holds says what is wrong with the answers; nil where nothing is.
	Holds func(a Answers) error
}

// Asked of a shore for targets.
type Asked struct {
	Label   string
	Shore   Shore
	Targets []string
	Most    int
}

// Told in answer.
type Told struct {
	Label string
	advise.Advice
}

// Answers to a case, in its order.
type Answers []Told

// Answer a case.
func (t Trade) Answer(c *Case) (Answers, error) {
	var out Answers
	for _, q := range c.Asked {
		most := q.Most
		if most == 0 {
			most = 3
		}
		a, err := t.Ask(q.Shore, most, q.Targets...)
		if err != nil {
			return nil, fmt.Errorf("case %s, %s: %w", c.ID, q.Label, err)
		}
		out = append(out, Told{q.Label, a})
	}
	return out, nil
}

// edge of the best; 0 where there is none.
func (t *Told) edge() float64 {
	if len(t.Choices) == 0 {
		return 0
	}
	return t.Choices[0].Edge.Value
}

// on a mark, the best edge.
func (t *Told) on(mark string) float64 {
	best := 0.0
	for _, c := range t.Choices {
		if c.Card.Mark == mark {
			best = max(best, c.Edge.Value)
		}
	}
	return best
}

// of a target, the best edge.
func (t *Told) of(target string) float64 {
	for _, c := range t.Choices {
		if c.Target.ID == target {
			return c.Edge.Value
		}
	}
	return 0
}

// rank of the first choice that suits, from 0; as many as there are where none does.
func (t *Told) rank(suits func(*advise.Choice) bool) int {
	for i := range t.Choices {
		if suits(&t.Choices[i]) {
			return i
		}
	}
	return len(t.Choices)
}

// reasons of the first choice, in one line each; what counts against it begins with a minus.
func (t *Told) reasons() string {
	var out []string
	if len(t.Choices) == 0 {
		return ""
	}
	for _, r := range t.Choices[0].Reasons {
		sign := "+ "
		if r.Factor < 1 {
			sign = "- "
		}
		out = append(out, sign+r.Says)
	}
	for _, p := range t.Choices[0].For {
		out = append(out, "+ "+p.Says)
	}
	return strings.Join(out, "\n")
}

// gravest caution, its id and what it says.
func (t *Told) gravest() going.Caution {
	if len(t.Cautions) == 0 {
		return going.Caution{}
	}
	return t.Cautions[0]
}

// says all cautions.
func (t *Told) says() string {
	var out []string
	for _, c := range t.Cautions {
		out = append(out, c.Says)
	}
	for i := range t.Choices {
		for _, c := range t.Choices[i].Cautions {
			out = append(out, c.Says)
		}
	}
	return strings.Join(out, "\n")
}

// all of some conditions must hold; the first that does not says why.
func all(holds ...error) error {
	for _, err := range holds {
		if err != nil {
			return err
		}
	}
	return nil
}

func want(holds bool, format string, args ...any) error {
	if holds {
		return nil
	}
	return fmt.Errorf(format, args...)
}

func offering(ids ...string) func(*advise.Choice) bool {
	return func(c *advise.Choice) bool {
		for _, id := range ids {
			if c.Card.OfferingID == id {
				return true
			}
		}
		return false
	}
}

// All cases.
func All() []Case {
	return slices.Concat(presence(), light(), casting(), rigging(), safety(), others())
}

// Builtin book as the one that is asked.
func Builtin() (Trade, error) {
	b, err := playbook.Builtin()
	return Trade{Book: b}, err
}
