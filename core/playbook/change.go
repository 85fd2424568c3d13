package playbook

import (
	"fmt"
	"maps"
	"slices"
	"strings"
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

// Effects a rule may claim, weakest catch rate first.
func Effects() []string {
	return slices.SortedFunc(maps.Keys(effects), func(a, b string) int {
		if effects[a] < effects[b] {
			return -1
		}
		return 1
	})
}

// Certainties a rule may have, firmest first.
func Certainties() []string {
	return slices.SortedFunc(maps.Keys(certainties), func(a, b string) int {
		if certainties[a] < certainties[b] {
			return -1
		}
		return 1
	})
}

// With is the book with changes laid over its rules by their ids. A change of a
// rule the book does not know waits for one that does.
func (b *Book) With(changes map[string]Change) (*Book, error) {
	if len(changes) == 0 {
		return b, nil
	}
	out := *b
	out.Rules = slices.Clone(b.Rules)
	for i := range out.Rules {
		r := &out.Rules[i]
		c, changed := changes[r.ID]
		if !changed {
			continue
		}
		if err := c.Validate(); err != nil {
			return nil, fmt.Errorf("%w (rule %s)", err, r.ID)
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
	out.index()
	return &out, nil
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
