package tackle

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var practised = Cast{PaceMS: 0.5, FlightMS: 12, ReachM: 30, SplashClearM: 1.8, WindowMinM: 0.15, WindowMaxM: 0.6}

// straightSwimmer keeps its bearing and never darts.
func straightSwimmer(f Fish) Swimmer {
	s := Swimmer{Fish: f}
	for t := 0.0; t <= swims; t += SwimStep {
		x, y := f.At(t)
		s.XM, s.YM = append(s.XM, x), append(s.YM, y)
	}
	return s
}

// A fish that never darts is caught by the aim the bench works out, wherever it can be
// reached; one that darts, less often.
func TestTheAimOfTheBenchStrikesAFishThatKeepsItsBearing(t *testing.T) {
	chance := rand.New(rand.NewPCG(4, 2))
	aims, straightStrikes, dartingStrikes := 0, 0, 0
	for range 300 {
		s := NewSwimmer(chance)
		c := practised
		c.Fish = s.Fish
		aim, err := c.Intercept()
		require.NoError(t, err)
		if !aim.Possible {
			continue
		}
		aims++
		throw := Throw{aim.WaitS, aim.LandXM, aim.LandYM}
		plain := straightSwimmer(s.Fish)
		if o, err := c.Judge(&plain, throw); assert.NoError(t, err) && o.Strike {
			straightStrikes++
		}
		if o, err := c.Judge(&s, throw); assert.NoError(t, err) && o.Strike {
			dartingStrikes++
		}
	}
	assert.Greater(t, aims, 200)
	assert.Equal(t, aims, straightStrikes)
	assert.Less(t, dartingStrikes, aims)
}

func TestASwimmerComesBackToItsBearing(t *testing.T) {
	for seed := range uint64(40) {
		s := NewSwimmer(rand.New(rand.NewPCG(seed, 1)))
		sin, cos := math.Sincos(s.Fish.BearingDeg * math.Pi / 180)
		kept, darted := 0, 0
		for i := 1; i < len(s.XM); i++ {
			dx, dy := s.XM[i]-s.XM[i-1], s.YM[i]-s.YM[i-1]
			if math.Abs(dx*cos-dy*sin) < 1e-9 {
				kept++
				assert.InDelta(t, s.Fish.SpeedMS*SwimStep, dx*sin+dy*cos, 1e-9)
			} else {
				darted++
			}
		}
		assert.Greater(t, kept, darted, "mostly it keeps its bearing")
		assert.Positive(t, darted)
	}
}

func TestWhatGoesWrongIsSaid(t *testing.T) {
	s := straightSwimmer(Fish{XM: -15, YM: 10, SpeedMS: 0.5, BearingDeg: 90})
	for want, throw := range map[string]Throw{
		"beyond your reach":        {0, -30, 20},
		"It bolted: the lure fell": {0, -14, 10},
		"never saw it":             {0, 14, 12},
		"Too late":                 {20, -17, 11},
	} {
		o, err := practised.Judge(&s, throw)
		require.NoError(t, err)
		assert.False(t, o.Strike)
		assert.Contains(t, o.Says, want)
	}
	// The line from a lure beyond it lies over its back.
	o, err := practised.Judge(&s, Throw{0, -14, 18})
	require.NoError(t, err)
	assert.Contains(t, o.Says, "over its back")
	_, err = practised.Judge(&s, Throw{99, 1, 1})
	assert.ErrorContains(t, err, "within the 60 s")
}
