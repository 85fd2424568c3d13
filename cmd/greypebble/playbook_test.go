package main

import (
	"os"
	"os/exec"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestPlaybookCheck(t *testing.T) {
	dir := t.TempDir()
	file := func(name, text string) string {
		path := filepath.Join(dir, name)
		require.NoError(t, os.WriteFile(path, []byte(text), 0o600))
		return path
	}
	const head = "rules:\n- {id: mine, says: x, idea: mine, origin: my own, family: flow, effect: clear plus, certainty: usual, " +
		"targets: [red-drum], when: "
	good := file("good.yaml", head+"{all: [{mark: edge}, {trait: small}]}}\n")
	never := file("never.yaml", head+"{depth: {above: 900 m, soft: 1 m}}}\n")
	bad := file("bad.yaml", head+"{depth: {above: 2, soft: 1 m}}}\n")

	out, err := exec.Command(binary, "playbook", "check", good, never).CombinedOutput()
	require.NoError(t, err, "%s", out)
	assert.Contains(t, string(out), "good.yaml: nothing to complain of")
	assert.Contains(t, string(out), "never.yaml: mine: can never apply")
	out, err = exec.Command(binary, "playbook", "check", bad, good).CombinedOutput()
	assert.Error(t, err)
	assert.Contains(t, string(out), `bad.yaml:2: "2" has no unit`)
	assert.Contains(t, string(out), "good.yaml: nothing to complain of", "the others are checked all the same")
	assert.Contains(t, string(out), "1 of 2 files do not load")
}
