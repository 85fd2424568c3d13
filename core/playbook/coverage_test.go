package playbook

import (
	"fmt"
	"os"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every statement of the trade is in docs/coverage.md, every rule it names exists, and
// every rule's idea is a statement of it.
func TestCoverageTable(t *testing.T) {
	raw, err := os.ReadFile("../../docs/coverage.md")
	require.NoError(t, err)
	b := builtinBook(t)
	rows := map[string]string{}
	for _, m := range regexp.MustCompile(`(?m)^\| ([A-Z]\d+(?:, [A-Z]\d+)*) \|.*$`).FindAllStringSubmatch(string(raw), -1) {
		for _, id := range strings.Split(m[1], ", ") {
			assert.Empty(t, rows[id], "%s stands twice", id)
			rows[id] = m[0]
		}
	}
	for letter, last := range map[string]int{"T": 14, "S": 13, "W": 6, "C": 8, "P": 17, "F": 21, "B": 5, "L": 6, "R": 8, "A": 12,
		"D": 9, "Q": 12, "V": 15} {
		for n := 1; n <= last; n++ {
			assert.NotEmpty(t, rows[fmt.Sprintf("%s%d", letter, n)], "%s%d has no line", letter, n)
		}
	}
	rigs := map[string]bool{}
	for _, r := range b.Rigs {
		rigs[r.ID] = true
	}
	named := map[string]bool{}
	for _, row := range rows {
		for _, m := range regexp.MustCompile("`([a-z][a-z-]+)`").FindAllStringSubmatch(row, -1) {
			_, rule := b.Rule(m[1])
			assert.True(t, rule || rigs[m[1]], "%q is neither a rule nor a rig", m[1])
			named[m[1]] = true
		}
	}
	for _, r := range b.Rules {
		assert.NotEmpty(t, rows[r.Idea], "%s rests on %s, which has no line", r.ID, r.Idea)
		if len(r.targets) != 1 { // those of single targets stand with the target
			assert.True(t, named[r.ID], "no statement became %s", r.ID)
		}
	}
}
