package cases

import (
	"fmt"
	"strings"

	"greypebble/core/advise"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
)

// Trade is the book that is asked, and the units it answers in.
type Trade struct {
	Book  *playbook.Book
	Units quantity.Units
}

// In other units.
func (t Trade) In(u quantity.Units) Trade {
	t.Units = u
	return t
}

// drawnPx is how wide a choice is drawn, where it is.
const drawnPx = 400

// Ask of the shore for a target, by so many choices.
func (t Trade) Ask(s Shore, most int, targets ...string) (advise.Advice, error) {
	return t.ask(s, most, 0, targets)
}

// Drawn as well.
func (t Trade) Drawn(s Shore, most int, targets ...string) (advise.Advice, error) {
	return t.ask(s, most, drawnPx, targets)
}

func (t Trade) ask(s Shore, most int, px float64, targets []string) (advise.Advice, error) {
	sp, err := s.Spot()
	if err != nil {
		return advise.Advice{}, err
	}
	var list []*playbook.Target
	for _, id := range targets {
		tg, err := t.Book.Target(id)
		if err != nil {
			return advise.Advice{}, err
		}
		list = append(list, tg)
	}
	return advise.Several(advise.Question{Book: t.Book, Belief: rate.Priors{Book: t.Book}, Spot: sp, Time: s.Time, Signs: s.Signs,
		Units: t.Units, DrawnPx: px, Most: most}, list)
}

// Answer as it stands on screen: what comes first, the first three choices, and why.
func Answer(a advise.Advice) string {
	var b strings.Builder
	for _, c := range a.Cautions {
		if c.Severity > 0 {
			fmt.Fprintf(&b, "- **%s**: %s\n", c.Severity, c.Says)
		}
	}
	if a.Note != "" {
		fmt.Fprintf(&b, "- %s\n", a.Note)
	}
	for i, c := range a.Choices {
		if i == 3 {
			break
		}
		fmt.Fprintf(&b, "%d. %s: %s ×%.2f (there %.2f, feeding %.2f, taken %.2f; %.2f–%.2f), %.2f a rod-hour (%.2f–%.2f)\n", i+1,
			c.Target.Name, c.Sentence, c.Edge.Value, c.Edge.Parts[0], c.Edge.Parts[1], c.Edge.Parts[2], c.Edge.Low, c.Edge.High,
			c.Catch.Median, c.Catch.Low, c.Catch.High)
		fmt.Fprintf(&b, "   *%s*\n", c.Retrieve)
		if i > 0 {
			continue
		}
		for _, r := range c.Reasons {
			fmt.Fprintf(&b, "   - %s ×%.2f\n", r.Says, r.Factor)
		}
		for _, p := range c.For {
			fmt.Fprintf(&b, "   - for it: %s\n", p.Says)
		}
	}
	for _, c := range a.Cautions {
		if c.Severity == 0 {
			fmt.Fprintf(&b, "- %s\n", c.Says)
		}
	}
	if a.Stay != "" {
		fmt.Fprintf(&b, "- Stay: %s\n", a.Stay)
	}
	return b.String()
}
