package playbook

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestChangesLieOverTheBook(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	same, err := b.With(nil)
	require.NoError(t, err)
	assert.Same(t, b, same)

	changed, err := b.With(map[string]Change{"moving-water": {Off: true}, "slack-water": {Effect: "hopeless", Certainty: "firm"}, "a rule to come": {Off: true}})
	require.NoError(t, err)
	slack, _ := changed.Rule("slack-water")
	assert.Equal(t, prior("hopeless", "firm"), slack.Prior)
	was, _ := b.Rule("slack-water")
	assert.Equal(t, "clear minus", was.Effect, "the book itself stays as it is")
	off, _ := changed.Rule("moving-water")
	assert.True(t, off.Off())
	_, known := changed.Rule("nonsense")
	assert.False(t, known)

	for want, c := range map[string]Change{"unknown effect": {Effect: "miracle"}, "unknown certainty": {Certainty: "sworn"}} {
		_, err := b.With(map[string]Change{"moving-water": c})
		assert.ErrorContains(t, err, want)
	}
	assert.Equal(t, "hopeless", Effects()[0])
	assert.Equal(t, "strong plus", Effects()[len(Effects())-1])
	assert.Equal(t, []string{"firm", "usual", "disputed"}, Certainties())
}

// A rule switched off applies nowhere, and gives its share of the family back.
func TestARuleSwitchedOffHasNoEffect(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	rapid.Check(t, func(t *rapid.T) {
		i := rapid.IntRange(0, len(b.Rules)-1).Draw(t, "rule")
		target := rapid.SampledFrom(b.Targets).Draw(t, "target").ID
		without, err := b.With(map[string]Change{b.Rules[i].ID: {Off: true}})
		require.NoError(t, err)
		f := anyFacts(t, b)
		before, after := make([]float64, len(b.Rules)), make([]float64, len(b.Rules))
		b.Weights(target, &f, before)
		without.Weights(target, &f, after)
		assert.Zero(t, after[i])
		for k := range after {
			if k == i {
				continue
			}
			if b.Rules[k].Family != b.Rules[i].Family {
				assert.Equal(t, before[k], after[k], "other families do not notice")
			} else {
				assert.GreaterOrEqual(t, after[k], before[k]-1e-12)
			}
		}
	})
}

// The scenarios of one moment weighed together are what each is alone.
func TestWeighingAcrossScenarios(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	rapid.Check(t, func(t *rapid.T) {
		target := rapid.SampledFrom(b.Targets).Draw(t, "target").ID
		base := anyFacts(t, b)
		facts := make([]Facts, 4)
		together := make([][]float64, len(facts))
		for k := range facts {
			facts[k] = base
			for _, m := range uncertain {
				facts[k].Measure[m] = rapid.Float64Range(0, 30).Draw(t, "reading")
			}
			together[k] = make([]float64, len(b.Rules))
		}
		b.WeightsAcross(target, facts, together)
		alone := make([]float64, len(b.Rules))
		for k := range facts {
			b.Weights(target, &facts[k], alone)
			assert.Equal(t, alone, together[k])
		}
	})
}
