package playbook

import (
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// edited is the shipped book as a later release might have it: each change is made in the
// file that holds it, and must be made.
func edited(t *testing.T, changes ...[2]string) *Book {
	t.Helper()
	files, err := BuiltinFiles()
	require.NoError(t, err)
	for _, c := range changes {
		pattern, made := regexp.MustCompile(c[0]), false
		for i := range files {
			if now := pattern.ReplaceAllString(string(files[i].Data), c[1]); now != string(files[i].Data) {
				files[i].Data, made = []byte(now), true
			}
		}
		require.True(t, made, c[0])
	}
	b, err := Load(files)
	require.NoError(t, err)
	return b
}

const slackWater = `(?s)  - id: slack-water\n.*?\n(  - id)`

// mine is what an angler laid over the book of their day.
func mine() Overlay {
	rule := func(id, targets, when string) File {
		return File{"rule " + id, []byte("rules:\n- {id: " + id +
			", says: x, idea: mine, origin: my own, family: flow, effect: clear plus, " +
			"certainty: usual, targets: [" + targets + "], when: " + when + "}\n")}
	}
	return Overlay{
		Files:   []File{rule("post", "red-drum", "{place: pier}"), rule("ledge", "red-drum", "{offering: squid-strip}")},
		Changes: map[string]Change{"moving-water": {Effect: "strong plus"}, "slack-water": {Off: true}},
		Schools: map[string]string{"Q6": "far"},
	}
}

func TestWhatIsOnesOwnSurvivesAnotherBook(t *testing.T) {
	today, err := Builtin()
	require.NoError(t, err)
	b, err := today.Over(mine())
	require.NoError(t, err)
	moving, _ := b.Rule("moving-water")
	assert.Equal(t, "strong plus", moving.Effect)

	// A release that thinks otherwise of a rule: one's own strength stays, what one did not
	// touch follows.
	next := edited(t, [2]string{`(?s)(id: moving-water\n.*?effect: )clear plus(\n    certainty: )usual`, "${1}slight plus${2}firm"})
	b, err = next.Over(mine())
	require.NoError(t, err)
	moving, _ = b.Rule("moving-water")
	assert.Equal(t, "strong plus", moving.Effect)
	assert.Equal(t, "firm", moving.Certainty)
	assert.Equal(t, prior("strong plus", "firm"), moving.Prior)

	// A release without a rule that was switched off: the change waits, and counts again
	// with one that has it.
	without := edited(t, [2]string{slackWater, "$1"})
	b, err = without.Over(mine())
	require.NoError(t, err)
	_, there := b.Rule("slack-water")
	assert.False(t, there)
	b, err = today.Over(mine())
	require.NoError(t, err)
	slack, _ := b.Rule("slack-water")
	assert.True(t, slack.Off())
}

func TestWhatAnotherBookDoesNotKnowIsSetAside(t *testing.T) {
	// The offering and the position have other names there.
	next := edited(t, [2]string{`\bsquid-strip\b`, "strip-of-squid"}, [2]string{`(?s)(id: Q6\n.*?)\{id: far\b`, "${1}{id: away"},
		[2]string{`Q6/far\b`, "Q6/away"})
	_, err := next.Over(mine())
	require.Error(t, err, "asked for the whole, it says that it does not fit")

	b := next.Fitting(mine())
	var names, whys []string
	for _, a := range b.Aside() {
		names, whys = append(names, a.Name), append(whys, a.Why())
	}
	assert.Equal(t, []string{"rule ledge", "school Q6"}, names)
	assert.Equal(t, `unknown offering "squid-strip"`, whys[0])
	assert.Contains(t, whys[1], "far")
	_, there := b.Rule("ledge")
	assert.False(t, there)
	_, there = b.Rule("post")
	assert.True(t, there, "the rest stays")
	moving, _ := b.Rule("moving-water")
	assert.Equal(t, "strong plus", moving.Effect)
	assert.Equal(t, next.Chosen("Q6"), b.Chosen("Q6"), "the usual side, where one's own is no longer one")
	assert.Len(t, b.Rules, len(next.Rules)+1)
	assert.Empty(t, next.Aside())

	// Half a file is no file: the rule before the one that does not fit goes with it.
	both := []byte("rules:\n" + strings.TrimPrefix(string(mine().Files[0].Data), "rules:\n") +
		strings.TrimPrefix(string(mine().Files[1].Data), "rules:\n"))
	b = next.Fitting(Overlay{Files: []File{{"both", both}}})
	assert.Len(t, b.Rules, len(next.Rules))
	// A target written anew that does not fit leaves the book's in its place.
	b = next.Fitting(Overlay{Files: []File{{"target red-drum", []byte("targets:\n- {id: red-drum, name: X}\n")}}})
	require.Len(t, b.Aside(), 1)
	_, err = b.Target("red-drum")
	require.NoError(t, err)
	assert.Len(t, b.Rules, len(next.Rules))
}
