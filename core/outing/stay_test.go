package outing_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/outing"
)

// A gamma whose logarithm has the advice's mean and variance. ψ′(1) = π²/6 and ψ(1) = −γ, ψ′(½) = π²/2
// and ψ(½) = −γ − 2 ln 2 (Abramowitz and Stegun 6.3.2, 6.3.3, 6.4.2, 6.4.4).
func TestARateHasTheAdvicesSpread(t *testing.T) {
	of := func(variance float64) outing.Rate {
		sd := math.Sqrt(variance)
		return outing.RateOf(0.5, 0.5*math.Exp(-1.2815515655446*sd), 0.5*math.Exp(1.2815515655446*sd))
	}
	const euler = 0.57721566490153286
	one, half := of(math.Pi*math.Pi/6), of(math.Pi*math.Pi/2)
	assert.InDelta(t, 1, one.Fish, 1e-9)
	assert.InDelta(t, math.Exp(-euler)/0.5, one.RodHours, 1e-9)
	assert.InDelta(t, 0.5, half.Fish, 1e-9)
	assert.InDelta(t, math.Exp(-euler)/4/0.5, half.RodHours, 1e-9)
	assert.InDelta(t, 0.5, of(0.0001).Mean(), 1e-3, "what is sure is as it is said")
	// A fish in the first half minute is a fish, not thirty an hour.
	assert.Less(t, outing.RateOf(0.5, 0.05, 5).Seen(1, 0.01).Mean(), 4.0)
	// A gamma of shape 2 and rate 4, 3 fish in 2 rod-hours: shape 5, rate 6 (Gelman and others, 2.6).
	assert.Equal(t, outing.Rate{Fish: 5, RodHours: 6}, outing.Rate{Fish: 2, RodHours: 4}.Seen(3, 2))
	// Of a Poisson whose rate is gamma the chance of none is (β/(β+h))^α: negative binomial.
	assert.InDelta(t, 1-math.Pow(4.0/6, 2), outing.Rate{Fish: 2, RodHours: 4}.AtLeastOne(2), 1e-12)
	assert.Zero(t, outing.RateOf(0, 0, 0).Mean())
}

func stay() outing.Stay {
	return outing.Stay{Now: at(60), Until: at(240), Since: at(0), Rods: 1, Here: outing.Rate{Fish: 1, RodHours: 2}, RodHours: 1,
		School: outing.Odds,
		Others: []outing.Elsewhere{{Name: "The Gut", Rate: outing.Rate{Fish: 1, RodHours: 1}, Away: 15 * time.Minute}}}
}

// "Another hour here 0.3, the Gut 0.75": by the odds one goes; with fish here one stays; a walk as long as
// the hour is not worth it.
func TestByTheOddsOneGoesWhereMoreIsExpected(t *testing.T) {
	c := stay().Choose()
	assert.False(t, c.Stay)
	assert.Equal(t, outing.ByOdds, c.Reason)
	assert.InDelta(t, 1.0/3, c.Staying, 1e-9)
	assert.InDelta(t, 0.75, c.Going, 1e-9)
	require.NotNil(t, c.Best)
	assert.Equal(t, "The Gut", c.Best.Name)
	s := stay()
	s.Fish = 3
	assert.True(t, s.Choose().Stay)
	s = stay()
	s.Others[0].Away = 55 * time.Minute
	assert.True(t, s.Choose().Stay)
	s = stay()
	s.Others[0].Until = at(70)
	assert.True(t, s.Choose().Stay, "its way shuts in ten minutes")
	s = stay()
	s.Others = nil
	assert.Equal(t, outing.NowhereElse, s.Choose().Reason)
	s.Until = at(60)
	assert.False(t, s.Choose().Stay, "the way here has shut")
}

// The schools of when to leave (Q3): thirty minutes by the clock; while any bite lasts; and whatever the
// school, a winter school is worked until it stops, and with dolphins about five minutes are given (common
// practice, no source).
func TestTheSchoolsOfWhenToLeave(t *testing.T) {
	stays := func(school outing.School, now, sign int, change func(*outing.Stay)) bool {
		s := stay()
		s.School, s.Now = school, at(now)
		if sign > 0 {
			s.LastSign = at(sign)
		}
		if change != nil {
			change(&s)
		}
		return s.Choose().Stay
	}
	assert.True(t, stays(outing.Clock, 29, 0, nil))
	assert.False(t, stays(outing.Clock, 31, 0, nil))
	assert.True(t, stays(outing.Clock, 50, 25, nil), "a bite sets the clock anew")
	assert.True(t, stays(outing.Bites, 60, 45, nil))
	assert.False(t, stays(outing.Bites, 60, 35, nil))
	winter := func(s *outing.Stay) { s.Winter, s.Fish = true, 2 }
	assert.True(t, stays(outing.Odds, 60, 50, winter))
	assert.False(t, stays(outing.Clock, 60, 39, winter), "it has stopped")
	dolphins := func(s *outing.Stay) { s.Dolphins, s.Fish = at(60), 5 }
	assert.True(t, stays(outing.Odds, 64, 0, dolphins), "from when they came, however long one was there before")
	assert.False(t, stays(outing.Odds, 66, 65, dolphins))
}

// Flatfish are on and off all at once: while one bit lately the odds elsewhere do not count, and when none has, what was
// caught before does not either; before the first fish the school holds (common practice, no source).
func TestFlatfishAreOnAndOffAllAtOnce(t *testing.T) {
	flat := func(fish, sign int) outing.Choice {
		s := stay()
		s.AllAtOnce, s.Fish, s.RodHours, s.Now, s.LastSign = true, fish, 1, at(60), at(sign)
		s.Others[0].Rate.Fish = 9
		return s.Choose()
	}
	on, off, none := flat(1, 50), flat(7, 35), flat(0, 50)
	assert.True(t, on.Stay, "one on, so others are")
	assert.Equal(t, outing.ByAllAtOnce, on.Reason)
	assert.Equal(t, 10*time.Minute, on.Left)
	assert.False(t, off.Stay, "they stopped, however many there were")
	assert.Equal(t, outing.ByAllAtOnce, off.Reason)
	assert.Equal(t, outing.ByOdds, none.Reason)
	dolphins := stay()
	dolphins.AllAtOnce, dolphins.Fish, dolphins.Dolphins = true, 1, at(60)
	assert.Equal(t, outing.ByDolphins, dolphins.Choose().Reason)
}

// The more is fished without a fish, the less is expected; with each fish more. Nothing is expected of no time.
func TestABlankHourTellsAndAFishTellsMore(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := stay()
		s.Fish = rapid.IntRange(0, 9).Draw(t, "fish")
		s.RodHours = rapid.Float64Range(0, 20).Draw(t, "hours")
		s.Until = at(60 + rapid.IntRange(0, 300).Draw(t, "left"))
		c := s.Choose()
		longer := s
		longer.RodHours += 0.5
		require.LessOrEqual(t, longer.Choose().Staying, c.Staying)
		luckier := s
		luckier.Fish++
		require.GreaterOrEqual(t, luckier.Choose().Staying, c.Staying)
		require.LessOrEqual(t, c.Over, outing.Compared)
		require.GreaterOrEqual(t, c.Left, time.Duration(0))
		p := c.Rate.AtLeastOne(rapid.Float64Range(0, 10).Draw(t, "ahead"))
		require.True(t, p >= 0 && p < 1)
	})
}

// Winter is three months of the calendar, the other half of the year south of the line.
func TestWinterByTheCalendar(t *testing.T) {
	for month, north := range map[time.Month]bool{time.November: false, time.December: true, time.January: true, time.February: true,
		time.March: false, time.June: false, time.July: false} {
		at := time.Date(2026, month, 15, 12, 0, 0, 0, time.UTC)
		assert.Equal(t, north, outing.Winter(at, 31), month)
		south := month >= time.June && month <= time.August
		assert.Equal(t, south, outing.Winter(at, -31), month)
	}
}

// The interval holds the rate, narrows with effort, and is that of the gamma: with one fish in an hour it is
// exponential, whose quantiles are known.
func TestTheIntervalOfARate(t *testing.T) {
	low, high := outing.Rate{Fish: 1, RodHours: 1}.Interval()
	assert.InDelta(t, -math.Log(0.9), low, 1e-9)
	assert.InDelta(t, -math.Log(0.1), high, 1e-9)
	wide := outing.RateOf(0.5, 0.1, 2.5)
	l, h := wide.Interval()
	assert.Less(t, l, wide.Mean())
	assert.Greater(t, h, wide.Mean())
	narrow := wide.Seen(10, 20)
	l2, h2 := narrow.Interval()
	assert.Less(t, h2-l2, h-l)
	none, _ := outing.Rate{}.Interval()
	assert.Zero(t, none)
}
