package tackle

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Leads of a cable in three dimensions (given to the project: current with a seventh-root profile, cast
// straight across, rod tip 2.5 m up), met within a fifth.
func TestLeadAcrossTheCurrent(t *testing.T) {
	for _, k := range []struct {
		current, line, diameter, depth float64
		sinker                         Sinker
		grams                          float64
	}{
		{0.5, 40, 0.25e-3, 3, BankLead, 97},
		{1, 60, 0.30e-3, 4, GripLead, 170},
		{0.55, 30, 0.25e-3, 2.7, EggSinker, 102},
		{0.8, 80, 0.30e-3, 6, GripLead, 165},
	} {
		l, err := LeadPlace{CurrentMS: k.current, LineDiameterM: k.diameter, LineLengthM: k.line, DepthM: k.depth, Sinker: k.sinker}.Lead()
		require.NoError(t, err)
		assert.InEpsilon(t, k.grams, l.HoldKg*1000, 0.2, "%v", k)
		t.Logf("%.0f g, given %.0f", l.HoldKg*1000, k.grams)
	}
}

// Down the current the line streams: a fraction of what it wants across, and the more it is turned
// across the more it wants.
func TestTheLineStreamsDownTheCurrent(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := LeadPlace{CurrentMS: rapid.Float64Range(0.1, 1.5).Draw(t, "u"), LineDiameterM: 0.3e-3,
			LineLengthM: rapid.Float64Range(30, 120).Draw(t, "l"), DepthM: rapid.Float64Range(1, 8).Draw(t, "h")}
		last := 0.0
		for _, deg := range []float64{90, 70, 50, 30, 10, 0} {
			p.FromAcrossDeg = deg
			l, err := p.Lead()
			require.NoError(t, err)
			assert.GreaterOrEqual(t, l.HoldKg, last*(1-1e-9), "%v°", deg)
			last = l.HoldKg
		}
	})
	across := LeadPlace{CurrentMS: 0.8, LineDiameterM: 0.3e-3, LineLengthM: 60, DepthM: 4}
	down := across
	down.FromAcrossDeg = 90
	a, err := across.Lead()
	require.NoError(t, err)
	d, err := down.Lead()
	require.NoError(t, err)
	assert.Greater(t, a.HoldKg, 5*d.HoldKg, "5 to 10 times (given to the project)")
	_, err = LeadPlace{CurrentMS: 1, LineDiameterM: 0.3e-3, LineLengthM: 60, FromAcrossDeg: 120}.Lead()
	assert.ErrorContains(t, err, "down the current")
}
