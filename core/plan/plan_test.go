package plan_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"greypebble/core/spot/spottest"
	"greypebble/core/tide"
)

var from = time.Date(2026, 5, 12, 7, 20, 0, 0, time.UTC)

// asked about a made-up coast over some days, with wind and swell told for the first of them.
func asked(t testing.TB, days, toldDays int, windMS, swellM float64) plan.Asked {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	a := plan.Asked{Book: book, Belief: rate.Priors{Book: book}, Spots: spottest.Coast(t), Units: quantity.Metric, From: from, Days: days}
	for _, id := range []string{"red-drum", "spotted-seatrout", "florida-pompano"} {
		target, err := book.Target(id)
		require.NoError(t, err)
		a.Targets = append(a.Targets, target)
	}
	var list []conditions.Reading
	for h := range toldDays * 24 {
		for k, v := range map[conditions.Kind]float64{conditions.WindSpeed: windMS, conditions.SwellHeight: swellM,
			conditions.SwellPeriod: 9} {
			list = append(list, conditions.Reading{Kind: k, Value: v, Time: from.Add(time.Duration(h) * time.Hour),
				Origin: conditions.Forecast})
		}
	}
	for _, s := range a.Spots {
		s.Readings = conditions.Sorted(list)
	}
	return a
}

func look(t testing.TB, a plan.Asked) *plan.Outlook {
	o, err := a.Look()
	require.NoError(t, err)
	return o
}

const bar, beach, pier = 0, 1, 2

func TestAnOutlookSaysWhatStandsAgainstGoing(t *testing.T) {
	o := look(t, asked(t, 3, 2, 4, 0.5))
	assert.Equal(t, from.Truncate(time.Hour), o.From)
	assert.Equal(t, 72, o.Hours)
	// The bar's gut lies 0.55 m above datum and is waded to 0.75 m: shut about high water, and the
	// pier is open throughout.
	shut := 0
	c, err := tide.Over(o.Asked.Spots[bar].Tide, o.From, o.End())
	require.NoError(t, err)
	for h := range o.Hours {
		low, high := math.Inf(1), math.Inf(-1)
		for i := range 7 {
			l := c.Level(o.From.Add(time.Duration(h)*time.Hour + time.Duration(i)*plan.Step))
			low, high = min(low, l), max(high, l)
		}
		switch o.Places[bar].State[h] {
		case plan.Shut:
			shut++
			assert.Greater(t, high, 1.30, "hour %d", h)
		case plan.Open:
			assert.Less(t, low, 1.30, "hour %d", h)
		}
		assert.Contains(t, []plan.State{plan.Open, plan.DoNot}, o.Places[pier].State[h])
		assert.Equal(t, h < 2*24+2, o.Places[pier].Told[h], "hour %d", h)
		sun := o.Asked.Spots[pier].Observer().Sun(o.From.Add(time.Duration(h)*time.Hour + 30*time.Minute)).Altitude
		if math.Abs(sun+6) > 1 {
			assert.Equal(t, sun < -6, o.Places[pier].Dark[h], "hour %d, sun at %v", h, sun)
		}
	}
	assert.Positive(t, shut)
	// Breakers over a man's head shut the beach as far as they are told, and say so.
	rough := look(t, asked(t, 3, 2, 4, 3))
	for h := range 40 {
		assert.Equal(t, plan.DoNot, rough.Places[beach].State[h])
		assert.Contains(t, rough.Places[beach].Against[h], "breakers")
	}
	assert.Equal(t, plan.Open, rough.Places[beach].State[70], "beyond what is told the usual is assumed")
	// A rule closes it whatever the water does.
	closed := asked(t, 1, 1, 4, 0.5)
	closed.Spots[pier].Zones = []ground.Zone{{Name: "Refuge", Kind: ground.NoTake}}
	for _, s := range look(t, closed).Places[pier].State {
		assert.Equal(t, plan.Closed, s)
	}
	o = look(t, closed)
	_, found := o.Assess(plan.Day{From: o.From, Until: o.End(), Spots: []int{pier}, Legs: 1,
		Way: func(int, int) (time.Duration, bool) { return 0, true }},
		[]plan.Pin{{Spot: pier, Arrive: o.From.Add(time.Hour), Leave: o.From.Add(2 * time.Hour)}}, time.UTC, quantity.Metric)
	require.Len(t, found, 1)
	assert.Contains(t, found[0].Says, ": Refuge closes it.")
}

// By another manner a spot's ways are that manner's: what a wader cannot pass a kayak floats over, and
// the other way round.
func TestWaysAreThoseOfWhatOneHas(t *testing.T) {
	a := asked(t, 2, 2, 4, 0.5)
	a.Spots[bar].Access.Others = []ground.Manner{ground.Kayak}
	wading := look(t, a)
	a.By = ground.ByKayak
	paddled := look(t, a)
	over := 0
	for h, s := range wading.Places[bar].State {
		if s == plan.Shut {
			over++
			assert.NotEqual(t, plan.Shut, paddled.Places[bar].State[h])
		}
	}
	assert.Positive(t, over)
	assert.Equal(t, ground.Wading, a.Spots[bar].Access.Manner, "the spot itself is left as it was")
}

// Whatever is asked, a window is time one can fish, its best hour is the best of it, and one is out
// before the way shuts.
func TestWindowsAreTimeOneCanFish(t *testing.T) {
	o := look(t, asked(t, 6, 4, 4, 0.5))
	rapid.Check(t, func(t *rapid.T) {
		w := plan.Wish{Least: rapid.Float64Range(0.2, 2.5).Draw(t, "least"), ByDay: rapid.Bool().Draw(t, "by day"),
			Margin:  time.Duration(rapid.IntRange(0, 90).Draw(t, "margin")) * time.Minute,
			Targets: rapid.SliceOfNDistinct(rapid.IntRange(0, 2), 0, 3, rapid.ID[int]).Draw(t, "targets")}
		if rapid.Bool().Draw(t, "free at times") {
			begin := o.From.Add(time.Duration(rapid.IntRange(0, 100).Draw(t, "free from")) * time.Hour)
			w.Free = []ground.Window{{Opens: begin, Closes: begin.Add(8 * time.Hour)}}
		}
		targets := w.Targets
		if len(targets) == 0 {
			targets = []int{0, 1, 2}
		}
		last := math.Inf(1)
		covered := map[[2]int]bool{}
		for _, f := range o.Windows(w) {
			assert.LessOrEqual(t, f.Edge, last, "best first")
			assert.GreaterOrEqual(t, f.Edge, w.Least)
			assert.Contains(t, targets, f.Target)
			last = f.Edge
			p := o.Places[f.Spot]
			begin, end := f.From, f.To
			if begin.IsZero() {
				begin = o.From
			}
			if end.IsZero() {
				end = o.End()
			}
			assert.False(t, f.BestFrom.Before(begin), "the best is within it")
			assert.False(t, f.BestUntil.After(end))
			assert.True(t, f.BestUntil.After(f.BestFrom))
			if !f.Shuts.IsZero() {
				assert.Equal(t, w.Margin, f.Shuts.Sub(f.BeOutBy))
				assert.False(t, end.After(f.BeOutBy), "out before it shuts")
				assert.False(t, o.Asked.Spots[f.Spot].Access.Passable(level(t, o, f.Spot, f.Shuts.Add(time.Minute))), "it does shut")
			}
			for i := int(begin.Sub(o.From) / plan.Step); o.From.Add(time.Duration(i) * plan.Step).Before(end); i++ {
				when := o.From.Add(time.Duration(i) * plan.Step)
				if when.Before(begin) {
					continue
				}
				assert.Equal(t, plan.Open, p.State[i/6])
				assert.False(t, covered[[2]int{f.Spot, i}], "windows of a spot lie apart")
				covered[[2]int{f.Spot, i}] = true
				best := math.Inf(-1)
				for _, k := range targets {
					best = max(best, float64(o.Edges[k][f.Spot][i]))
				}
				assert.GreaterOrEqual(t, best, w.Least)
				if w.Free != nil {
					assert.True(t, w.Free[0].Holds(when))
				}
				if w.ByDay {
					assert.Greater(t, o.Asked.Spots[f.Spot].Observer().Sun(when).Altitude, -6.5)
				}
			}
		}
	})
}

func level(t require.TestingT, o *plan.Outlook, at int, when time.Time) float64 {
	c, err := tide.Over(o.Asked.Spots[at].Tide, when.Add(-time.Hour), when.Add(time.Hour))
	require.NoError(t, err)
	return c.Level(when)
}

// levels of a tide asked many times: one curve serves all.
var levels = new(tide.Memo)

func levelAt(o *plan.Outlook, at int, when time.Time) float64 {
	c, err := levels.Over(o.Asked.Spots[at].Tide, o.From.Add(-24*time.Hour), o.End().Add(24*time.Hour))
	if err != nil {
		panic(err)
	}
	return c.Level(when)
}

// The best step of a spot is in a window, and raising what is wanted never adds time.
func TestNothingGoodIsLeftOut(t *testing.T) {
	o := look(t, asked(t, 4, 4, 4, 0.5))
	for at := range o.Places {
		peak, when := math.Inf(-1), 0
		for i, e := range o.Edges[0][at] {
			if o.Places[at].State[i/6] == plan.Open && float64(e) > peak {
				peak, when = float64(e), i
			}
		}
		found := false
		for _, f := range o.Windows(plan.Wish{Targets: []int{0}, Spots: []int{at}, Least: 0.3 * peak}) {
			at := o.From.Add(time.Duration(when) * plan.Step)
			found = found || (f.From.IsZero() || !at.Before(f.From)) && (f.To.IsZero() || at.Before(f.To))
			assert.InDelta(t, f.Edge*o.Asked.Targets[0].UsualCatch(), f.Catch, 1e-12)
		}
		assert.True(t, found, o.Asked.Spots[at].Name)
	}
	total := func(least float64) (sum time.Duration) {
		for _, f := range o.Windows(plan.Wish{Least: least, Spots: []int{pier}}) {
			sum += f.BestUntil.Sub(f.BestFrom)
		}
		return sum
	}
	assert.Empty(t, o.Windows(plan.Wish{Least: 1000}))
	assert.GreaterOrEqual(t, total(0.5), total(1.5))
}

func BenchmarkLook(b *testing.B) {
	a := asked(b, 14, 3, 4, 0.5)
	for _, s := range a.Spots {
		s.Remember()
	}
	var all []*spot.Spot
	for range 10 {
		all = append(all, a.Spots...)
	}
	a.Spots = all
	for b.Loop() {
		look(b, a)
	}
}

func TestWhatToThinkOfNow(t *testing.T) {
	o := look(t, asked(t, 3, 3, 4, 0.5))
	zone := time.FixedZone("there", -3*3600)
	there := func(int) *time.Location { return zone }
	windows := o.Windows(plan.Wish{Least: 1, Margin: 30 * time.Minute})
	require.NotEmpty(t, windows)
	for i := range 72 {
		now := o.From.Add(time.Duration(i) * 40 * time.Minute)
		w, on, found := plan.Now(windows, now)
		says := o.SaysNow(windows, now, there, quantity.Metric)
		if !found {
			assert.Contains(t, says, "Nothing is worth it before")
			continue
		}
		assert.Contains(t, says, o.Asked.Spots[w.Spot].Name)
		if on {
			assert.False(t, now.Before(w.From))
			assert.Regexp(t, `^Now: .* at .*, ×\d+(\.\d+)?: best \S*\s?\d\d:\d\d–\S*\s?\d\d:\d\d`, says)
			continue
		}
		assert.Regexp(t, `^Next, (today|tomorrow|\w{3} \d+ \w{3}) at \d\d:\d\d: `, says)
		for _, other := range windows {
			if !now.Before(other.From) && (other.To.IsZero() || other.To.Sub(now) >= 40*time.Minute) {
				t.Errorf("at %s one is in a window of %s", now, o.Asked.Spots[other.Spot].Name)
			}
		}
	}
	assert.Contains(t, o.SaysNow(nil, o.From, there, quantity.Metric), "Ask for less")
	// Where everything is shut, the first to open is named, in the hours one speaks.
	a := asked(t, 2, 2, 4, 0.5)
	a.Spots = a.Spots[:1]
	a.Spots[0].Access.In.ElevationM, a.Spots[0].Access.Out.ElevationM = -0.44, -0.44
	low := look(t, a)
	for h, s := range low.Places[0].State {
		low.Places[0].State[h] = map[plan.State]plan.State{plan.Open: plan.Shut}[s]
	}
	assert.Regexp(t, `^Everything is shut\. The first to open is Bar, (today|tomorrow|Thu 14 May) at \d+:\d\d [ap]m\.$`,
		low.SaysNow(nil, low.From.Add(-time.Hour), there, quantity.US))
}

// On the day the clocks go back, eight o'clock is eight on the wall, twenty-five hours after the last.
func TestFreeHoursAreThoseOnTheWall(t *testing.T) {
	zone, err := time.LoadLocation("America/New_York")
	require.NoError(t, err)
	begin := time.Date(2026, 10, 31, 12, 0, 0, 0, zone)
	got := plan.Free{From: 8, Until: 17.5}.Over(begin, begin.AddDate(0, 0, 3), zone)
	require.Len(t, got, 4)
	for _, w := range got {
		assert.Equal(t, "08:00", w.Opens.In(zone).Format("15:04"))
		assert.Equal(t, "17:30", w.Closes.In(zone).Format("15:04"))
	}
	assert.Equal(t, 25*time.Hour, got[1].Opens.Sub(got[0].Opens))
	weekend := plan.Free{Weekdays: []time.Weekday{time.Saturday, time.Sunday}, From: 0, Until: 24}.Over(begin, begin.AddDate(0, 0, 7), zone)
	assert.Len(t, weekend, 3)
	assert.ErrorContains(t, plan.Free{From: 9, Until: 8}.Validate(), "from an earlier to a later")
	assert.NoError(t, plan.Free{Until: 24}.Validate())
}
