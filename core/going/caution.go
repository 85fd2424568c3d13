package going

import "slices"

// Severity of a caution.
type Severity int

// Severities, mildest first.
const (
	// Note what is to be minded.
	Note Severity = iota
	// Think again before going.
	Think
	// DoNot go.
	DoNot
)

// Severities by name, in their order.
var Severities = []string{"note", "think", "do not"}

func (s Severity) String() string { return Severities[s] }

// Caution is one thing to mind.
type Caution struct {
	ID       string
	Severity Severity
	Says     string
}

// Sorted cautions, gravest first; of one severity in the order they were found.
func Sorted(list []Caution) []Caution {
	slices.SortStableFunc(list, func(a, b Caution) int { return int(b.Severity) - int(a.Severity) })
	return list
}

// Gravest of some cautions.
func Gravest(list []Caution) Severity {
	g := Note
	for _, c := range list {
		g = max(g, c.Severity)
	}
	return g
}

// Notes of what is only to be minded.
func Notes(id string, says []string) []Caution {
	var out []Caution
	for _, s := range says {
		out = append(out, Caution{id, Note, s})
	}
	return out
}
