package advise

import (
	"cmp"
	"slices"
)

// Beside is one reason in two choices.
type Beside struct {
	Rule, Says string
	// A and B are its factors in each; 1 where it has no say.
	A, B float64
}

// Compared are two choices, reason by reason, what differs most first. The product of
// all A over all B is Ratio.
type Compared struct {
	Ratio   float64
	Reasons []Beside
}

// Compare two choices: of one moment, or of two.
func Compare(a, b *Choice) Compared {
	rows := map[string]*Beside{}
	var order []string
	take := func(r *Reason) *Beside {
		key := r.Part + " " + r.Family
		if r.Effect == "" {
			key = r.Rule
		}
		if rows[key] == nil {
			rows[key] = &Beside{r.Rule, r.Says, 1, 1}
			order = append(order, key)
		}
		return rows[key]
	}
	for i := range a.Reasons {
		take(&a.Reasons[i]).A = a.Reasons[i].Factor
	}
	for i := range b.Reasons {
		take(&b.Reasons[i]).B = b.Reasons[i].Factor
	}
	out := Compared{Ratio: a.Edge.Value / b.Edge.Value}
	for _, id := range order {
		out.Reasons = append(out.Reasons, *rows[id])
	}
	slices.SortStableFunc(out.Reasons, func(x, y Beside) int {
		return cmp.Compare(strength(y.A/y.B), strength(x.A/x.B))
	})
	return out
}
