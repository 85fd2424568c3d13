package plan_test

import (
	"math"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/core/quantity"
)

// ways in minutes between three spots and home (3); less than nothing is no way.
func ways(minutes [4][4]int) func(from, to int) (time.Duration, bool) {
	index := func(i int) int {
		if i == plan.Home {
			return 3
		}
		return i
	}
	return func(from, to int) (time.Duration, bool) {
		m := minutes[index(from)][index(to)]
		return time.Duration(m) * time.Minute, m >= 0
	}
}

// tried is the most worth of all days there are, one after another: from a spot at a step with legs
// to go, about to fish there.
func tried(d plan.Day, gain func(spot, step int) float64, spot, step, legs, steps int) float64 {
	return triedWith(d, gain, spot, step, legs, steps, d.Spare > 0)
}

// triedWith the spare time still due, or not.
func triedWith(d plan.Day, gain func(spot, step int) float64, spot, step, legs, steps int, due bool) float64 {
	took := func(from, to int) (int, bool) {
		w, there := d.Way(from, to)
		return int((w + plan.Step - 1) / plan.Step), there
	}
	best := math.Inf(-1)
	spare := int((d.Spare + plan.Step - 1) / plan.Step)
	// Fished from the first step to until, the spare time had from idle on where that is not past it.
	stay := func(until, idle int) (sum float64) {
		for t := step; t < until; t++ {
			g := gain(spot, t)
			if t >= idle && t < idle+spare && !math.IsInf(g, -1) {
				g = 0
			}
			sum += g
		}
		return sum
	}
	leave := func(t int, sum float64, due bool) {
		if math.IsInf(sum, -1) {
			return
		}
		if w, there := took(spot, plan.Home); there && t+w <= steps && !due {
			best = max(best, sum)
		}
		if legs == 1 {
			return
		}
		for _, k := range d.Spots {
			if w, there := took(spot, k); k != spot && there {
				for u := t + w; u < steps; u++ {
					best = max(best, sum+triedWith(d, gain, k, u, legs-1, steps, due && u-t-w < spare))
				}
			}
		}
	}
	for t := step + 1; t <= steps; t++ {
		leave(t, stay(t, steps), due)
		for idle := step + 1; due && idle+spare <= t; idle++ {
			leave(t, stay(t, idle), false)
		}
	}
	return best
}

// No day there is is worth more than the one that is laid, and that one can be done: the ways are
// taken in time, one is out before they shut, and back by the hour that was set.
func TestTheBestDayIsTheBestOfAll(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	rapid.Check(t, func(t *rapid.T) {
		steps := rapid.IntRange(3, 9).Draw(t, "steps")
		begin := o.From.Add(time.Duration(rapid.IntRange(0, 300).Draw(t, "begin")) * plan.Step)
		d := plan.Day{From: begin, Until: begin.Add(time.Duration(steps) * plan.Step), Spots: []int{bar, beach, pier},
			Legs: rapid.IntRange(1, 3).Draw(t, "legs"), Margin: 20 * time.Minute, ByDay: rapid.Bool().Draw(t, "by day"),
			Spare: time.Duration(rapid.SampledFrom([]int{0, 0, 10, 30}).Draw(t, "spare")) * time.Minute}
		var minutes [4][4]int
		for i := range minutes {
			for k := range minutes[i] {
				minutes[i][k] = rapid.SampledFrom([]int{5, 10, 20, 35, -1}).Draw(t, "way")
			}
		}
		d.Way = ways(minutes)
		got, found, err := o.Itinerary(d)
		require.NoError(t, err)
		gain := func(spot, step int) float64 { return gainAt(o, d, spot, begin.Add(time.Duration(step)*plan.Step)) }
		best := math.Inf(-1)
		for _, s := range d.Spots {
			if w, there := d.Way(plan.Home, s); there {
				for u := int((w + plan.Step - 1) / plan.Step); u < steps; u++ {
					best = max(best, tried(d, gain, s, u, d.Legs, steps))
				}
			}
		}
		if !found {
			assert.LessOrEqual(t, best, 1e-6)
			return
		}
		assert.InDelta(t, best, got.Worth, 1e-6)
		assert.LessOrEqual(t, len(got.Legs), d.Legs)
		assert.False(t, got.LeaveHome.Before(d.From))
		assert.False(t, got.BackHome.After(d.Until))
		at, when, sum, had := plan.Home, got.LeaveHome, 0.0, time.Duration(0)
		for _, leg := range got.Legs {
			w, there := d.Way(at, leg.Spot)
			require.True(t, there)
			assert.False(t, leg.Arrive.Before(when.Add(w)), "there is time for the way")
			if at != plan.Home && leg.Arrive.Sub(when)-(w+plan.Step-1).Truncate(plan.Step) >= d.Spare {
				had = max(had, d.Spare)
			}
			assert.True(t, leg.Leave.After(leg.Arrive))
			worth := 0.0
			for u := leg.Arrive; u.Before(leg.Leave); u = u.Add(plan.Step) {
				if !leg.Spare.Opens.IsZero() && leg.Spare.Holds(u) {
					had += plan.Step
					continue
				}
				worth += gainAt(o, d, leg.Spot, u)
			}
			assert.InDelta(t, worth, leg.Worth, 1e-9)
			at, when, sum = leg.Spot, leg.Leave, sum+leg.Worth
		}
		w, there := d.Way(at, plan.Home)
		require.True(t, there)
		assert.False(t, got.BackHome.Before(when.Add(w)))
		assert.GreaterOrEqual(t, had, d.Spare, "what was to be spared is")
		assert.InDelta(t, sum, got.Worth, 1e-9)
	})
}

// A day about stays that were set keeps them to the minute, and none that keeps them is worth more.
func TestADayIsPlannedAboutWhatIsSet(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	kept := 0
	rapid.Check(t, func(t *rapid.T) {
		steps := rapid.IntRange(4, 10).Draw(t, "steps")
		begin := o.From.Add(time.Duration(rapid.IntRange(0, 300).Draw(t, "begin")) * plan.Step)
		when := func(step int) time.Time { return begin.Add(time.Duration(step) * plan.Step) }
		from := rapid.IntRange(0, steps-1).Draw(t, "from")
		pin := plan.Pin{Spot: rapid.SampledFrom([]int{bar, beach, pier}).Draw(t, "pinned"), Arrive: when(from),
			Leave: when(rapid.IntRange(from+1, steps).Draw(t, "to"))}
		d := plan.Day{From: begin, Until: when(steps), Spots: []int{bar, beach, pier}, Legs: 2, Margin: 20 * time.Minute,
			Pins: []plan.Pin{pin}, Way: ways([4][4]int{{0, 10, 20, 10}, {10, 0, 10, 20}, {20, 10, 0, 10}, {10, 20, 10, 0}})}
		got, found, err := o.Itinerary(d)
		const bonus = 500.0
		gain := func(spot, step int) float64 {
			at, g := when(step), gainAt(o, d, spot, when(step))
			inside := !at.Before(pin.Arrive) && at.Before(pin.Leave)
			beside := at.Equal(pin.Arrive.Add(-plan.Step)) || at.Equal(pin.Leave)
			switch {
			case inside && spot == pin.Spot:
				return g + bonus
			case inside, beside && spot == pin.Spot:
				return math.Inf(-1)
			}
			return g
		}
		best := math.Inf(-1)
		for _, s := range d.Spots {
			w, _ := d.Way(plan.Home, s)
			for u := int((w + plan.Step - 1) / plan.Step); u < steps; u++ {
				best = max(best, tried(d, gain, s, u, d.Legs, steps))
			}
		}
		best -= bonus * float64(pin.Leave.Sub(pin.Arrive)/plan.Step)
		if !found {
			assert.ErrorIs(t, err, plan.ErrPins)
			assert.Less(t, best, 0.0)
			return
		}
		require.NoError(t, err)
		kept++
		assert.InDelta(t, best, got.Worth, 1e-6)
		assert.True(t, slices.ContainsFunc(got.Legs, func(l plan.Leg) bool {
			return l.Spot == pin.Spot && l.Arrive.Equal(pin.Arrive) && l.Leave.Equal(pin.Leave)
		}))
		// Set as it was laid, it is worth the same, and nothing stands against it.
		var stays []plan.Pin
		for _, l := range got.Legs {
			stays = append(stays, plan.Pin{Spot: l.Spot, Arrive: l.Arrive, Leave: l.Leave})
		}
		again, against := o.Assess(d, stays, time.UTC, quantity.Metric)
		assert.InDelta(t, got.Worth, again.Worth, 1e-9)
		assert.InDelta(t, got.Catch, again.Catch, 1e-9)
		assert.Equal(t, got.LeaveHome, again.LeaveHome)
		assert.Empty(t, against)
	})
	assert.Greater(t, kept, 5, "some days were laid about it")
}

// Spare time is laid where it costs least: nowhere in the day that was laid would so long without
// fishing cost less, and set as it was laid the day is worth the same.
func TestSpareTimeIsLaidWhereItCostsLeast(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	d := plan.Day{From: o.From.Add(time.Hour), Until: o.From.Add(11 * time.Hour), Spots: []int{bar, beach, pier}, Legs: 2,
		Margin: 20 * time.Minute, Way: ways([4][4]int{{0, 20, 20, 20}, {20, 0, 20, 20}, {20, 20, 0, 20}, {20, 20, 20, 0}})}
	without, found, err := o.Itinerary(d)
	require.NoError(t, err)
	require.True(t, found)
	d.Spare = 40 * time.Minute
	with, found, err := o.Itinerary(d)
	require.NoError(t, err)
	require.True(t, found)
	assert.Less(t, with.Worth, without.Worth)
	var stays []plan.Pin
	cheapest, spared := math.Inf(1), 0.0
	for _, l := range with.Legs {
		stays = append(stays, plan.Pin{Spot: l.Spot, Arrive: l.Arrive, Leave: l.Leave, Spare: l.Spare})
		cost := func(from time.Time) (sum float64) {
			for u := from; u.Before(from.Add(d.Spare)); u = u.Add(plan.Step) {
				sum += gainAt(o, d, l.Spot, u)
			}
			return sum
		}
		for u := l.Arrive.Add(plan.Step); !u.Add(d.Spare).After(l.Leave); u = u.Add(plan.Step) {
			cheapest = min(cheapest, cost(u))
		}
		if !l.Spare.Opens.IsZero() {
			spared = cost(l.Spare.Opens)
			assert.Equal(t, d.Spare, l.Spare.Closes.Sub(l.Spare.Opens))
			assert.Contains(t, o.SaysLeg(l, time.UTC, quantity.Metric), "to spare from")
		}
	}
	assert.InDelta(t, cheapest, spared, 1e-6)
	again, against := o.Assess(d, stays, time.UTC, quantity.Metric)
	assert.InDelta(t, with.Worth, again.Worth, 1e-9)
	assert.Empty(t, against)
	d.Spare = 5 * time.Hour
	_, _, err = o.Itinerary(d)
	assert.ErrorContains(t, err, "to spare")
}

// Stays set by hand are told what stands against them.
func TestWhatStandsAgainstADay(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	d := plan.Day{From: o.From, Until: o.From.Add(12 * time.Hour), Spots: []int{bar, beach}, Legs: 2,
		Way: ways([4][4]int{{0, 40, 20, 30}, {40, 0, 10, 20}, {20, 10, 0, 10}, {30, 20, 10, 0}})}
	at := func(min int) time.Time { return o.From.Add(time.Duration(min) * time.Minute) }
	_, found := o.Assess(d, []plan.Pin{{Spot: bar, Arrive: at(10), Leave: at(120)}, {Spot: beach, Arrive: at(130), Leave: at(719)}},
		time.UTC, quantity.Metric)
	var says []string
	for _, f := range found {
		says = append(says, f.Says)
	}
	all := strings.Join(says, "\n")
	assert.Contains(t, all, "You would have to leave at")
	assert.Contains(t, all, "takes 40 min, packing included; there are 10 min.")
	assert.Contains(t, all, "You would be back at")
	for hour, state := range o.Places[bar].State {
		if state == plan.Shut {
			stay := plan.Pin{Spot: bar, Arrive: at(60 * hour), Leave: at(60*hour + 60)}
			got, found := o.Assess(plan.Day{From: o.From, Until: o.End(), Spots: []int{bar}, Legs: 1, Way: d.Way}, []plan.Pin{stay},
				time.UTC, quantity.Metric)
			assert.Zero(t, got.Worth)
			require.NotEmpty(t, found)
			assert.Contains(t, found[len(found)-1].Says+found[0].Says, "the water shuts the way")
			return
		}
	}
	t.Fatal("the bar is never shut")
}

// A day laid for what is believed is held against what may come instead.
func TestADayIsTriedUnderOtherWeather(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	d := plan.Day{From: o.From.Add(6 * time.Hour), Until: o.From.Add(18 * time.Hour), Spots: []int{bar, beach, pier}, Legs: 2,
		Way: ways([4][4]int{{0, 10, 20, 10}, {10, 0, 10, 20}, {20, 10, 0, 10}, {10, 20, 10, 0}})}
	best, found, err := o.Itinerary(d)
	require.NoError(t, err)
	require.True(t, found)
	poor := plan.Itinerary{Legs: []plan.Leg{{Spot: best.Legs[0].Spot, Arrive: best.Legs[0].Arrive,
		Leave: best.Legs[0].Arrive.Add(plan.Step)}}}
	got, err := o.Robustness(d, []plan.Itinerary{best, poor})
	require.NoError(t, err)
	require.Len(t, got, 2)
	assert.Greater(t, got[0].Share, 0.0)
	assert.Less(t, got[1].Share, 1.0, "ten minutes are no day")
	for _, c := range got[0].Changes {
		assert.LessOrEqual(t, c.Worth, c.Best+1e-9)
		assert.NotEmpty(t, c.Says)
		if c.Better != nil {
			assert.Less(t, c.Worth, 0.9*c.Better.Worth)
		}
	}
	assert.Equal(t, "with the water an hour late", got[0].Changes[1].Says)
}

// gainAt a spot at a time, worked out from what the outlook shows.
func gainAt(o *plan.Outlook, d plan.Day, spot int, when time.Time) float64 {
	p := o.Places[spot]
	hour := int(when.Sub(o.From) / time.Hour)
	if s := p.State[hour]; s != plan.Open && s != plan.Thin {
		return math.Inf(-1)
	}
	if d.ByDay && o.Asked.Spots[spot].Observer().Sun(when).Altitude < -6 {
		return math.Inf(-1)
	}
	// The way stays open for the margin.
	for u := time.Duration(0); u <= d.Margin; u += time.Second * 20 {
		if !o.Asked.Spots[spot].Access.Passable(levelAt(o, spot, when.Add(u))) {
			return math.Inf(-1)
		}
	}
	best := 0.0
	for k := range o.Edges {
		if e := float64(o.Edges[k][spot][int(when.Sub(o.From)/plan.Step)]); e == e {
			best = max(best, e/6)
		}
	}
	return best
}

func TestADayThatCannotBePlanned(t *testing.T) {
	o := look(t, asked(t, 2, 2, 4, 0.5))
	good := plan.Day{From: o.From, Until: o.From.Add(6 * time.Hour), Spots: []int{pier}, Legs: 1,
		Way: func(int, int) (time.Duration, bool) { return 10 * time.Minute, true }}
	_, found, err := o.Itinerary(good)
	require.NoError(t, err)
	assert.True(t, found)
	for says, spoil := range map[string]func(*plan.Day){
		"back after one leaves": func(d *plan.Day) { d.Until = d.From },
		"within the outlook":    func(d *plan.Day) { d.Until = o.End().Add(time.Hour) },
		"1 to 12 spots, not 0":  func(d *plan.Day) { d.Spots = nil },
		"1 to 12 legs, not 0":   func(d *plan.Day) { d.Legs = 0 },
	} {
		d := good
		spoil(&d)
		_, _, err := o.Itinerary(d)
		assert.ErrorContains(t, err, says)
	}
	// Where the way takes the whole day, one stays at home.
	far := good
	far.Way = func(int, int) (time.Duration, bool) { return 4 * time.Hour, true }
	_, found, err = o.Itinerary(far)
	require.NoError(t, err)
	assert.False(t, found)
}

// The second and the third day each leave out a spot of those before, and none is better than the last.
func TestOtherDaysDifferByPlace(t *testing.T) {
	o := look(t, asked(t, 2, 2, 4, 0.5))
	d := plan.Day{From: o.From, Until: o.From.Add(10 * time.Hour), Legs: 2, Margin: 20 * time.Minute,
		Way: o.Ways(plan.Travel{Pack: plan.UsualPack})}
	d.Spots = o.Candidates(d, ground.AsEach)
	assert.ElementsMatch(t, []int{bar, beach, pier}, d.Spots)
	got, err := o.Itineraries(d, 3)
	require.NoError(t, err)
	require.Len(t, got, 3)
	for i := range got {
		for k := range i {
			assert.LessOrEqual(t, got[i].Worth, got[k].Worth+1e-9)
			missing := 0
			for _, leg := range got[k].Legs {
				if !slices.ContainsFunc(got[i].Legs, func(l plan.Leg) bool { return l.Spot == leg.Spot }) {
					missing++
				}
			}
			assert.Positive(t, missing, "day %d has all places of day %d", i, k)
		}
		says := got[i].SaysDay(time.UTC, quantity.Metric)
		assert.Regexp(t, `^Leave at \d\d:\d\d, back by \d\d:\d\d: as good as \d+ ordinary hours\.$`, says)
		for _, leg := range got[i].Legs {
			assert.Contains(t, o.SaysLeg(leg, time.UTC, quantity.Metric), o.Asked.Spots[leg.Spot].Name)
		}
	}
	// What one has decides what comes into question, and how long the way takes.
	assert.Empty(t, o.Candidates(d, ground.ByKayak), "no spot of this coast is reached by kayak")
}

func TestWaysOfADay(t *testing.T) {
	o := look(t, asked(t, 1, 1, 4, 0.5))
	home := ground.LatLon{Lat: 31.2, Lon: -45}
	walk := o.Ways(plan.Travel{Home: &home, Pack: 10 * time.Minute})
	took, there := walk(plan.Home, pier)
	require.True(t, there)
	assert.InDelta(t, 22239/1.2/60+10, took.Minutes(), 1, "0.2° of latitude at a walk, and the packing")
	drive := o.Ways(plan.Travel{By: ground.ByCar, Home: &home, Pack: 10 * time.Minute})
	took, there = drive(pier, plan.Home)
	require.True(t, there)
	assert.InDelta(t, 22239*1.3/12.5/60+15, took.Minutes(), 1)
	_, there = o.Ways(plan.Travel{By: ground.ByKayak})(plan.Home, pier)
	assert.False(t, there)
	took, there = o.Ways(plan.Travel{Pack: time.Minute})(plan.Home, pier)
	assert.True(t, there)
	assert.Equal(t, time.Minute, took, "nobody said where home is")
}

func BenchmarkDay(b *testing.B) {
	a := asked(b, 2, 2, 4, 0.5)
	for range 3 {
		a.Spots = append(a.Spots, a.Spots[:3]...)
	}
	o := look(b, a)
	d := plan.Day{From: o.From, Until: o.From.Add(12 * time.Hour), Legs: 4, Margin: 20 * time.Minute,
		Way: func(from, to int) (time.Duration, bool) { return time.Duration(20+(from+to)%3*10) * time.Minute, true }}
	for i := range 12 {
		d.Spots = append(d.Spots, i)
	}
	for b.Loop() {
		if _, found, err := o.Itinerary(d); err != nil || !found {
			b.Fatal(found, err)
		}
	}
}
