package cases

import (
	"fmt"
	"strings"

	"greypebble/core/advise"
	"greypebble/core/playbook"
	"greypebble/core/rate"
)

// Trade is the book that is asked.
type Trade struct{ Book *playbook.Book }

// Ask of the shore for a target, by so many choices.
func (t Trade) Ask(s Shore, most int, targets ...string) (advise.Advice, error) {
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
		Most: most}, list)
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
