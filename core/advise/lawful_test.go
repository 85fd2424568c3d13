package advise

import (
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/playbook"
)

// law of an invented authority, looked up when the year began.
func law(set func(*bylaw.Rule), species ...string) bylaw.Rule {
	r := bylaw.Rule{Name: "Town rule", Species: species, Source: "a leaflet", CheckedOn: time.Date(2026, 1, 1, 0, 0, 0, 0, time.UTC)}
	set(&r)
	return r
}

// What may not be tied on is not offered, whatever school one holds, and why is said.
func TestTackleYieldsToRules(t *testing.T) {
	w := newWorld(t)
	s := w.shore("oyster bar", ground.EdgeMark, "shell", 1.2)
	j := func(q *Question) {
		book, err := q.Book.Over(playbook.Overlay{Schools: map[string]string{"Q10": "j"}})
		require.NoError(t, err)
		q.Book = book
	}
	hooks := func(a Advice) (out []string) {
		for _, c := range a.Choices {
			if c.Card.Approach != "lure" && c.Card.Hook != "" {
				out = append(out, c.Card.Hook)
			}
		}
		return out
	}
	plain := w.all(t, s, "red-drum", j)
	require.NotEmpty(t, hooks(plain))
	assert.Contains(t, strings.Join(hooks(plain), " "), "J")
	require.True(t, offers(plain, "Live shrimp"))

	s.Rules = []bylaw.Rule{law(func(r *bylaw.Rule) { r.Gear = bylaw.Gear{CircleHooks: true, NoLiveBait: true, MostRods: 1} }, "drums")}
	ruled := w.all(t, s, "red-drum", j)
	assert.NotContains(t, strings.Join(hooks(ruled), " "), "J", "the school yields")
	assert.False(t, offers(ruled, "Live shrimp"))
	assert.Equal(t, "Town rule: no live bait", why(ruled, "Live shrimp"))
	var says []string
	for _, c := range ruled.Cautions {
		if c.ID == "gear" {
			says = append(says, c.Says)
		}
	}
	assert.Equal(t, []string{"Town rule: circle hooks with bait, whatever you hold of hooks.", "Town rule: one rod a person."}, says)
	assert.True(t, offers(w.all(t, s, "spotted-seatrout", nil), "Live shrimp"), "of drums it speaks, not of trout")

	surf := w.shore("surf beach", ground.Trough, "sand", 1.5)
	require.True(t, onRig(w.all(t, surf, "florida-pompano", nil), "double-dropper"))
	surf.Rules = []bylaw.Rule{law(func(r *bylaw.Rule) { r.Gear.MostHooks = 1 }, "any")}
	assert.False(t, onRig(w.all(t, surf, "florida-pompano", nil), "double-dropper"))
}

// A fish that may not be fished for is not advised on; one that goes back is, and that is said.
func TestFishThatMayNotBeKept(t *testing.T) {
	w := newWorld(t)
	s := w.shore("oyster bar", ground.EdgeMark, "shell", 1.2)
	s.Rules = []bylaw.Rule{law(func(r *bylaw.Rule) { r.Status = bylaw.Closed }, "red drum")}
	a := w.all(t, s, "red-drum", nil)
	assert.Empty(t, a.Choices)
	assert.Equal(t, "Red drum may not be fished for here now. Red drum: not to be fished for. a leaflet, checked 1 January 2026.", a.Note)
	assert.NotEmpty(t, w.all(t, s, "black-drum", nil).Choices)
	s.Rules[0].Status = bylaw.ReleaseOnly
	a = w.all(t, s, "red-drum", nil)
	assert.NotEmpty(t, a.Choices)
	said := ""
	for _, c := range a.Cautions {
		if c.ID == "release" {
			said = c.Says
		}
	}
	assert.Contains(t, said, "Red drum: catch and release only, none may be kept.")
	s.Rules = []bylaw.Rule{law(func(r *bylaw.Rule) { r.Status = bylaw.Closed }, "any")}
	assert.Contains(t, w.all(t, s, "black-drum", nil).Note, "Nothing may be taken here now.")
	s.Rules[0].Voluntary = true
	assert.NotEmpty(t, w.all(t, s, "black-drum", nil).Choices, "a code is not a ban")
}

func onRig(a Advice, rig string) bool {
	return slices.ContainsFunc(a.Choices, func(c Choice) bool { return c.Card.RigID == rig })
}
