package playbook

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/quantity"
)

func TestFishBeyondTheLongestKnownAreAskedAbout(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	pompano, err := b.Target("florida-pompano")
	require.NoError(t, err)
	m := func(v float64) *float64 { return &v }
	assert.Equal(t, "A 4 m Florida pompano? The longest known measured about 64 cm.", pompano.Doubt(m(3.99), nil, quantity.Metric))
	assert.Equal(t, "A Florida pompano of 30.0 kg? The longest known would weigh about "+quantity.Metric.ShowFish(mass(t, pompano))+".",
		pompano.Doubt(nil, m(30), quantity.Metric))
	assert.Empty(t, pompano.Doubt(m(0.4), m(1.2), quantity.Metric))
	assert.Empty(t, pompano.Doubt(nil, nil, quantity.Metric))
	for i := range b.Targets {
		k := &b.Targets[i]
		assert.Greater(t, k.LongestM, 0.4, k.ID)
		assert.Less(t, k.LongestM, 2.6, k.ID)
	}
	assert.Empty(t, (&Target{Name: "own"}).Doubt(m(3.9), m(400), quantity.Metric), "nothing is known of it")
}

func mass(t *testing.T, k *Target) float64 {
	kg, err := k.Weight.Mass(k.LongestM)
	require.NoError(t, err)
	return kg
}
