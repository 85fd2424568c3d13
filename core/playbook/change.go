package playbook

import (
	"errors"
	"fmt"
	"maps"
	"slices"
	"strings"

	"greypebble/core/words"
)

// Change is what an angler changed of a rule. It lies over the playbook and
// survives its updates.
type Change struct {
	// Off takes the rule out of all advice.
	Off bool
	// Effect and Certainty in words take the place of the rule's own; empty: as it
	// is.
	Effect, Certainty string
}

// Validate refuses words the playbook does not speak.
func (c Change) Validate() error {
	if c.Effect != "" && effects[c.Effect] == 0 {
		return fmt.Errorf("playbook: unknown effect %q; known are %s", c.Effect, strings.Join(Effects(), ", "))
	}
	if c.Certainty != "" && certainties[c.Certainty] == 0 {
		return fmt.Errorf("playbook: unknown certainty %q; known are %s", c.Certainty, strings.Join(Certainties(), ", "))
	}
	return nil
}

// byValue lists words, least number first.
func byValue(m map[string]float64) []string {
	return slices.SortedFunc(maps.Keys(m), func(a, b string) int {
		if m[a] < m[b] {
			return -1
		}
		return 1
	})
}

// Effects a rule may claim, weakest catch rate first.
func Effects() []string { return byValue(effects) }

// Certainties a rule may have, firmest first.
func Certainties() []string { return byValue(certainties) }

// Overlay is an angler's own, to be laid over a playbook.
type Overlay struct {
	// Files of their own targets and rules. A target with the id of one of the book's
	// takes its place, its rules included.
	Files []File
	// Changes of rules by id. A change of a rule the book does not know waits for one
	// that does.
	Changes map[string]Change
	// Schools chosen: position by question.
	Schools map[string]string
}

// Empty says that there is nothing to lay over.
func (o Overlay) Empty() bool { return len(o.Files) == 0 && len(o.Changes) == 0 && len(o.Schools) == 0 }

// Over is the book with the whole of an overlay on it; the book itself stays as it is. Errors name
// file and line.
func (b *Book) Over(o Overlay) (*Book, error) {
	if o.Empty() {
		return b, nil
	}
	out := b.Fitting(o)
	if len(out.aside) > 0 {
		return nil, out.aside[0].Err
	}
	return out, nil
}

// SetAside is an entry of an overlay that does not fit the book, named as its file, its
// school or its rule, and why.
type SetAside struct {
	Name string
	Err  error
}

// Why in words, under its name: without file and line, and without all that is known
// instead.
func (a SetAside) Why() string {
	says := strings.TrimPrefix(a.Err.Error(), "playbook: ")
	var at SourceError
	if errors.As(a.Err, &at) {
		says = at.Says
	}
	says, _, _ = strings.Cut(says, "; known are ")
	return says
}

// Aside is what did not fit, see [Book.Fitting].
func (b *Book) Aside() []SetAside { return b.aside }

// Fitting is the book with what fits of an overlay on it. What was kept for an earlier
// book and speaks of what this one no longer knows is set aside, and counts again with a
// book that knows it: one entry never takes the rest away.
func (b *Book) Fitting(o Overlay) *Book {
	if o.Empty() {
		return b
	}
	out := &Book{Rules: slices.Clone(b.Rules), Targets: slices.Clone(b.Targets), Offerings: b.Offerings, Rigs: b.Rigs, Schools: b.Schools,
		chosen: maps.Clone(b.chosen), shipped: b.Shipped()}
	for _, f := range o.Files {
		rules, targets := slices.Clone(out.Rules), slices.Clone(out.Targets)
		if err := out.readCustom(f); err != nil {
			out.Rules, out.Targets = rules, targets
			out.aside = append(out.aside, SetAside{f.Name, err})
		}
	}
	if out.chosen == nil {
		out.chosen = map[string]string{}
	}
	for _, school := range slices.Sorted(maps.Keys(o.Schools)) {
		if err := b.CheckSchools(map[string]string{school: o.Schools[school]}); err != nil {
			out.aside = append(out.aside, SetAside{fmt.Sprintf(words.School, school), err})
			continue
		}
		out.chosen[school] = o.Schools[school]
	}
	out.change(o.Changes)
	out.index()
	return out
}

func (b *Book) change(changes map[string]Change) {
	for i := range b.Rules {
		r := &b.Rules[i]
		c, changed := changes[r.ID]
		if !changed {
			continue
		}
		if err := c.Validate(); err != nil {
			b.aside = append(b.aside, SetAside{fmt.Sprintf(words.Rule, r.ID), fmt.Errorf("%w (rule %s)", err, r.ID)})
			continue
		}
		r.off = c.Off
		if c.Effect != "" {
			r.Effect = c.Effect
		}
		if c.Certainty != "" {
			r.Certainty = c.Certainty
		}
		r.Prior = prior(r.Effect, r.Certainty)
	}
}

// readCustom reads a file of targets and rules. Offerings, rigs and schools are the
// playbook's.
func (b *Book) readCustom(f File) error {
	root, err := parse(f)
	if err != nil {
		return err
	}
	root.custom = true
	sections, err := root.fields("targets", "rules")
	if err != nil {
		return err
	}
	if targets, there := sections["targets"]; there {
		items, err := targets.items()
		if err != nil {
			return err
		}
		for _, it := range items {
			b.forget(it)
		}
	}
	return b.readSections(sections)
}

// forget the target a file is about to write anew, with its rules.
func (b *Book) forget(n node) {
	for i := 0; i+1 < len(n.Content); i += 2 {
		if n.Content[i].Value != "id" {
			continue
		}
		id := n.Content[i+1].Value
		b.Targets = slices.DeleteFunc(b.Targets, func(t Target) bool { return t.ID == id })
		b.Rules = slices.DeleteFunc(b.Rules, func(r Rule) bool {
			return slices.ContainsFunc(aspects, func(a string) bool { return r.ID == id+"-"+a })
		})
	}
}

// Rule of the book by id.
func (b *Book) Rule(id string) (*Rule, bool) {
	for i := range b.Rules {
		if b.Rules[i].ID == id {
			return &b.Rules[i], true
		}
	}
	return nil, false
}
