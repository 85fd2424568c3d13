package advise

import (
	"cmp"
	"slices"

	"greypebble/core/playbook"
	"greypebble/core/rate"
)

// Several asks for more than one target and ranks the choices together: those that live here now
// by their edge, the others after them. An edge is over an ordinary spell for that fish: how much
// better than usual, not how many fish; that is the expected catch.
func Several(q Question, targets []*playbook.Target) (Advice, error) {
	var out Advice
	for i, t := range targets {
		one := q
		one.Target = t
		a, err := Ask(one)
		if err != nil {
			return Advice{}, err
		}
		switch {
		case i == 0:
			out = a
		case len(a.Choices) > 0 && (len(out.Choices) == 0 || before(&a.Choices[0], &out.Choices[0]) < 0):
			// What is said of the moment goes with the best choice.
			a.Choices = append(a.Choices, out.Choices...)
			out = a
		default:
			out.Choices = append(out.Choices, a.Choices...)
		}
	}
	if len(targets) < 2 || len(out.Choices) == 0 {
		return out, nil
	}
	slices.SortStableFunc(out.Choices, func(a, b Choice) int { return before(&a, &b) })
	for i := range out.Choices[:len(out.Choices)-1] {
		out.Choices[i].BeatsNext = rate.Beats(out.Choices[i].contrast, out.Choices[i+1].contrast)
	}
	out.Choices = out.Choices[:min(q.most(), len(out.Choices))]
	return out, nil
}

// before orders choices of several targets.
func before(a, b *Choice) int {
	if a.Absent != b.Absent {
		return map[bool]int{true: 1, false: -1}[a.Absent]
	}
	return cmp.Compare(b.Edge.Value, a.Edge.Value)
}
