package advise

import (
	"cmp"
	"slices"

	"greypebble/core/playbook"
	"greypebble/core/rate"
)

// Several asks for more than one target and ranks the choices together. Each edge is
// over that target's own baseline pick: how much better than usual, not how many fish.
func Several(q Question, targets []*playbook.Target, baseline func(*playbook.Target) (*rate.Baseline, error)) (Advice, error) {
	var out Advice
	for i, t := range targets {
		one := q
		one.Target = t
		var err error
		if one.Baseline, err = baseline(t); err != nil {
			return Advice{}, err
		}
		a, err := Ask(one)
		if err != nil {
			return Advice{}, err
		}
		if i == 0 {
			out = a
			continue
		}
		first := len(out.Choices) == 0 || len(a.Choices) > 0 && a.Choices[0].Edge.Value > out.Choices[0].Edge.Value
		if first {
			// What is said of the moment goes with the best choice.
			a.Choices = append(a.Choices, out.Choices...)
			out = a
		} else {
			out.Choices = append(out.Choices, a.Choices...)
		}
	}
	slices.SortStableFunc(out.Choices, func(a, b Choice) int { return cmp.Compare(b.Edge.Value, a.Edge.Value) })
	if len(out.Choices) > 0 {
		out.Note = ""
		out.Choices = out.Choices[:min(q.most(), len(out.Choices))]
	}
	return out, nil
}
