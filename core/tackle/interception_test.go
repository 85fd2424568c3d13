package tackle

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// simulate the cast in steps of a millisecond and measure what happens: how near
// the splash is, how far ahead of the nose the lure crosses the fish's path.
func simulate(c Cast, a Aim) (splash, beside, pass, crossedAt float64) {
	const dt = 0.001
	s, co := math.Sincos(c.Fish.BearingDeg * math.Pi / 180)
	far := math.Hypot(a.LandXM, a.LandYM)
	landed := a.WaitS + far/c.FlightMS
	fx, fy := c.Fish.At(landed)
	splash = math.Hypot(fx-a.LandXM, fy-a.LandYM)
	beside = math.Inf(1)
	for k := 0.0; k <= 1; k += 0.001 {
		beside = math.Min(beside, math.Hypot(fx-k*a.LandXM, fy-k*a.LandYM))
	}
	pass, crossedAt = math.NaN(), math.NaN()
	was := math.NaN()
	for t := landed; t < landed+60; t += dt {
		left := far - c.PaceMS*(t-landed)
		if left < 0 {
			break
		}
		lx, ly := a.LandXM/far*left, a.LandYM/far*left
		fx, fy := c.Fish.At(t)
		across := (lx-fx)*co - (ly-fy)*s
		if was*across <= 0 {
			return splash, beside, (lx-fx)*s + (ly-fy)*co, t
		}
		was = across
	}
	return splash, beside, pass, crossedAt
}

// Every aim called possible does, simulated, what it says.
func TestInterceptionsAgainstSimulation(t *testing.T) {
	possible := 0
	rapid.Check(t, func(t *rapid.T) {
		c := Cast{Fish: Fish{rapid.Float64Range(-40, 40).Draw(t, "x"), rapid.Float64Range(-40, 40).Draw(t, "y"),
			rapid.Float64Range(0.1, 1.5).Draw(t, "speed"), rapid.Float64Range(0, 360).Draw(t, "bearing")},
			PaceMS: rapid.Float64Range(0.2, 1).Draw(t, "pace"), FlightMS: rapid.Float64Range(8, 20).Draw(t, "flight"),
			ReachM:       rapid.Float64Range(15, 45).Draw(t, "reach"),
			SplashClearM: rapid.Float64Range(0, 2.5).Draw(t, "clear"), WindowMinM: 0.15, WindowMaxM: 0.3}
		a, err := c.Intercept()
		require.NoError(t, err)
		require.NotEmpty(t, a.Why)
		if !a.Possible {
			return
		}
		possible++
		splash, beside, pass, at := simulate(c, a)
		assert.GreaterOrEqual(t, splash, c.SplashClearM-1e-6, "the splash is clear of it")
		assert.GreaterOrEqual(t, beside, besideM-0.05, "the line falls beside it")
		assert.InDelta(t, a.CrossS, at, 0.02)
		assert.GreaterOrEqual(t, pass, c.WindowMinM-0.02)
		assert.LessOrEqual(t, pass, c.WindowMaxM+0.02)
		assert.LessOrEqual(t, math.Hypot(a.LandXM, a.LandYM), c.ReachM+1e-9)
		assert.GreaterOrEqual(t, a.WaitS, 0.0)
	})
	assert.Greater(t, possible, 20, "some can be had")
}

// Where a search over landing places and waiting times finds a cast that works,
// one is found, and not later.
func TestInterceptionsAreNotMissed(t *testing.T) {
	for _, f := range []Fish{{-20, 15, 0.6, 90}, {10, 25, 0.4, 250}, {5, 12, 0.8, 60}, {-8, 30, 0.3, 120}} {
		c := Cast{Fish: f, PaceMS: 0.5, FlightMS: 12, ReachM: 30, SplashClearM: 1.8, WindowMinM: 0.15, WindowMaxM: 0.3}
		a, err := c.Intercept()
		require.NoError(t, err)
		soonest := math.Inf(1)
		for wait := 0.0; wait < 40 && math.IsInf(soonest, 1); wait += 0.5 {
			for bearing := 0.0; bearing < 360; bearing += 0.5 {
				s, co := math.Sincos(bearing * math.Pi / 180)
				for far := 4.0; far <= c.ReachM; far += 0.5 {
					try := Aim{LandXM: far * s, LandYM: far * co, WaitS: wait}
					fx, fy := f.At(wait + far/c.FlightMS)
					if math.Hypot(fx-try.LandXM, fy-try.LandYM) > 12 {
						continue
					}
					splash, beside, pass, _ := coarse(c, try)
					if splash >= c.SplashClearM && beside >= besideM && pass >= c.WindowMinM && pass <= c.WindowMaxM {
						soonest = math.Min(soonest, wait)
					}
				}
			}
		}
		require.Equal(t, !math.IsInf(soonest, 1), a.Possible, "%+v: %s", f, a.Why)
		if a.Possible {
			assert.LessOrEqual(t, a.WaitS, soonest+1.2, "%+v", f)
		}
	}
}

// coarse is the crossing worked out on paper, for the search.
func coarse(c Cast, a Aim) (splash, beside, pass, at float64) {
	far := math.Hypot(a.LandXM, a.LandYM)
	landed := a.WaitS + far/c.FlightMS
	fx, fy := c.Fish.At(landed)
	splash = math.Hypot(fx-a.LandXM, fy-a.LandYM)
	beside = toSegment(fx, fy, a.LandXM, a.LandYM)
	s, co := math.Sincos(c.Fish.BearingDeg * math.Pi / 180)
	ux, uy := a.LandXM/far, a.LandYM/far
	// The lure is on the fish's path where ((u·r) − fish)·normal = 0.
	r := (fx*co - fy*s) / (ux*co - uy*s)
	at = landed + (far-r)/c.PaceMS
	if r < 0 || r > far || math.IsNaN(at) {
		return splash, beside, math.NaN(), at
	}
	gx, gy := c.Fish.At(at)
	return splash, beside, (ux*r-gx)*s + (uy*r-gy)*co, at
}

func TestWhatCannotBeHadSaysWhy(t *testing.T) {
	base := Cast{Fish: Fish{-20, 15, 0.6, 90}, PaceMS: 0.5, FlightMS: 12, ReachM: 30, SplashClearM: 1.8, WindowMinM: 0.15, WindowMaxM: 0.3}
	far := base
	far.Fish = Fish{0, 200, 0.5, 90}
	along := base
	along.Fish = Fish{0, 20, 0.5, 180}
	gone := base
	gone.Fish = Fish{0, 28, 3, 20}
	for want, c := range map[string]Cast{"beyond the reach": far, "along the line of the cast": along, "reach": gone} {
		a, err := c.Intercept()
		require.NoError(t, err)
		assert.False(t, a.Possible)
		assert.Contains(t, a.Why, want)
	}
	for _, spoil := range []func(*Cast){func(c *Cast) { c.Fish.XM = math.NaN() }, func(c *Cast) { c.Fish.SpeedMS = -1 },
		func(c *Cast) { c.PaceMS = 0 }, func(c *Cast) { c.ReachM = 0 }, func(c *Cast) { c.WindowMaxM = 0 },
		func(c *Cast) { c.Fish.BearingDeg = math.Inf(1) }} {
		c := base
		spoil(&c)
		_, err := c.Intercept()
		assert.Error(t, err)
	}
}

// Wind in the face takes reach, wind in the back gives some; across it hardly matters.
// A fish out of reach against the wind is in reach with it.
func TestWindOnACast(t *testing.T) {
	c := Cast{Fish: Fish{XM: -6, YM: 27, SpeedMS: 0.4, BearingDeg: 90}, PaceMS: 0.5, FlightMS: 12, ReachM: 30, SplashClearM: 1.8,
		WindowMinM: 0.15, WindowMaxM: 0.4}
	calm, flight := c.Towards(0, 10)
	assert.Equal(t, 30.0, calm)
	assert.Equal(t, 12.0, flight)
	c.WindMS = 9
	for from, compare := range map[float64]func(float64) bool{
		0:   func(reach float64) bool { return reach < 23 && reach > 20 },
		180: func(reach float64) bool { return reach > 36 },
		90:  func(reach float64) bool { return math.Abs(reach-30) < 1e-9 },
	} {
		c.WindFromDeg = from
		reach, _ := c.Towards(0, 10)
		assert.True(t, compare(reach), "%v m in a wind from %v°", reach, from)
	}
	c.WindFromDeg = 0
	against, err := c.Intercept()
	require.NoError(t, err)
	assert.False(t, against.Possible)
	assert.Equal(t, noReach, against.Why)
	c.WindFromDeg = 180
	with, err := c.Intercept()
	require.NoError(t, err)
	assert.True(t, with.Possible)
	c.WindMS = -1
	_, err = c.Intercept()
	assert.ErrorContains(t, err, "the wind must be between 0 and 40 m/s")
}

// A fish that stands and tails is aimed at like one that swims: 15 m away, its head across the cast, the lure
// lands beyond, clear of it, and crosses its window. One that faces the angler is not crossed; he is told to
// move to its side.
func TestAStandingFishCanBeCastTo(t *testing.T) {
	c := Cast{Fish: Fish{XM: 0, YM: 15, BearingDeg: 90}, PaceMS: 0.4, FlightMS: UsualFlight, ReachM: 35, SplashClearM: UsualSplash,
		WindowMinM: 0.15, WindowMaxM: 0.3}
	a, err := c.Intercept()
	require.NoError(t, err)
	require.True(t, a.Possible, a.Why)
	assert.Greater(t, a.LandYM, 15+1.5, "beyond it")
	assert.Greater(t, a.LandXM, 0.0, "and ahead")
	assert.InDelta(t, 0.225, a.PassDistanceM, 1e-9)
	c.Fish.BearingDeg = 180
	a, err = c.Intercept()
	require.NoError(t, err)
	assert.False(t, a.Possible)
	assert.Contains(t, a.Why, "move to its side")
}
