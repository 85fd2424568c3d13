package playbook

import (
	"fmt"
	"slices"
	"strings"
)

// School is a question anglers disagree on, and the positions one can take.
type School struct {
	// ID is the question's, Q1…; Says the question itself.
	ID, Says  string
	Positions []Position
	// Default position, and why it is.
	Default, Why string
}

// Position in a school.
type Position struct {
	ID, Says string
	// Reason as those give it who take it.
	Reason string
	// Effect says what choosing it does here.
	Effect string
}

func (b *Book) readSchool(n node) error {
	r := n.reader("id", "says", "default", "why", "positions")
	s := School{ID: r.text("id"), Says: r.text("says"), Why: r.text("why"),
		Positions: readAll(r, "positions", func(n node) (Position, error) {
			r := n.reader("id", "says", "reason", "effect")
			return Position{r.text("id"), r.text("says"), r.text("reason"), r.text("effect")}, r.err
		})}
	s.Default = r.word("default", "position", ids(s.Positions, func(p *Position) string { return p.ID }))
	r.unique(s.ID, ids(b.Schools, func(s *School) string { return s.ID }))
	if r.err == nil && len(s.Positions) < 2 {
		return n.errorf("school %q needs at least two positions", s.ID)
	}
	b.Schools = append(b.Schools, s)
	return r.err
}

// position splits "Q1/low-light" and checks both parts.
func (b *Book) position(text string) (school, position string, err error) {
	school, position, _ = strings.Cut(text, "/")
	i := slices.IndexFunc(b.Schools, func(s School) bool { return s.ID == school })
	if i < 0 {
		return "", "", fmt.Errorf("unknown school %q; known are %s", school,
			strings.Join(ids(b.Schools, func(s *School) string { return s.ID }), ", "))
	}
	known := ids(b.Schools[i].Positions, func(p *Position) string { return p.ID })
	if !slices.Contains(known, position) {
		return "", "", fmt.Errorf("unknown position %q in %s; known are %s", position, school, strings.Join(known, ", "))
	}
	return school, position, nil
}

// CheckSchools refuses positions that do not exist.
func (b *Book) CheckSchools(chosen map[string]string) error {
	for s, p := range chosen {
		if _, _, err := b.position(s + "/" + p); err != nil {
			return fmt.Errorf("playbook: %w", err)
		}
	}
	return nil
}

// Chosen position in a school: the angler's, or the default.
func (b *Book) Chosen(school string) string {
	if p := b.chosen[school]; p != "" {
		return p
	}
	for _, s := range b.Schools {
		if s.ID == school {
			return s.Default
		}
	}
	return ""
}

// Takes says whether a position, "Q1/low-light", is the one chosen.
func (b *Book) Takes(position string) bool {
	s, p, _ := strings.Cut(position, "/")
	return b.Chosen(s) == p
}

// SaysPosition is a school's question and a position's answer in words.
func (b *Book) SaysPosition(position string) string {
	id, p, _ := strings.Cut(position, "/")
	for _, s := range b.Schools {
		for _, k := range s.Positions {
			if s.ID == id && k.ID == p {
				return s.Says + " " + k.Says
			}
		}
	}
	return position
}
