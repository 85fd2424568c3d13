package plan_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/cases"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/spot"
)

// weather told hour by hour: the same all the time, or as it runs.
type weather map[conditions.Kind]func(hour float64) float64

func always(v float64) func(float64) float64 { return func(float64) float64 { return v } }

// over some days at invented shores, from some days before them on in weather that is told.
func over(t testing.TB, from time.Time, days int, w weather, targets []string, shores ...cases.Shore) *plan.Outlook {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	a := plan.Asked{Book: book, Belief: rate.Priors{Book: book}, Units: quantity.Metric, From: from, Days: days}
	for _, id := range targets {
		target, err := book.Target(id)
		require.NoError(t, err)
		a.Targets = append(a.Targets, target)
	}
	var list []conditions.Reading
	for h := -30 * 24; h <= days*24; h++ {
		for k, v := range w {
			list = append(list, conditions.Reading{Kind: k, Value: v(float64(h)), Time: from.Add(time.Duration(h) * time.Hour),
				Origin: conditions.Forecast})
		}
	}
	readings := conditions.Sorted(list)
	for _, s := range shores {
		s.Time = from
		sp, err := s.Spot()
		require.NoError(t, err)
		a.Spots = append(a.Spots, sp.With(readings))
	}
	return look(t, a)
}

// hours from the nearest low water.
func fromLow(t testing.TB, sp *spot.Spot, at time.Time) float64 {
	turns, err := sp.Tide.Turns(at.Add(-14*time.Hour), at.Add(14*time.Hour))
	require.NoError(t, err)
	best := math.Inf(1)
	for _, k := range turns {
		if d := at.Sub(k.Time).Hours(); k.Kind.String() == "low" && math.Abs(d) < math.Abs(best) {
			best = d
		}
	}
	return best
}

// mean of the best edges in the hours that are asked for, and how many there are.
func mean(o *plan.Outlook, target, at int, asked func(hour int, from time.Time) bool) (float64, int) {
	sum, n := 0.0, 0
	for h := range o.Hours {
		if e := o.Best(target, at, h); e == e && asked(h, o.From.Add(time.Duration(h)*time.Hour+30*time.Minute)) {
			sum, n = sum+e, n+1
		}
	}
	return sum / float64(n), n
}

var beachInMay = weather{conditions.WaterTemp: always(21), conditions.AirTemp: always(21), conditions.Clarity: always(2),
	conditions.WindSpeed: always(3), conditions.SwellHeight: always(0.6), conditions.SwellPeriod: always(8), conditions.Cloud: always(0.3)}

// changed weather in one kind.
func (w weather) changed(k conditions.Kind, v func(float64) float64) weather {
	out := weather{k: v}
	for kind, f := range w {
		if kind != k {
			out[kind] = f
		}
	}
	return out
}

// The flatfish of a beach have their slot: from two to three hours before low water to an hour after
// (common practice, no source).
func TestFlatfishOfABeachHaveTheirSlot(t *testing.T) {
	ids := []string{"california-halibut", "summer-flounder", "southern-flounder"}
	o := over(t, time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC), 4, beachInMay, ids, cases.Usual("surf beach", 5, 21))
	sp := o.Asked.Spots[0]
	for k, id := range ids {
		slot, n := mean(o, k, 0, func(h int, at time.Time) bool {
			d := fromLow(t, sp, at)
			return !o.Places[0].Dark[h] && d > -2.5 && d < 1.2
		})
		other, m := mean(o, k, 0, func(h int, at time.Time) bool {
			d := fromLow(t, sp, at)
			return !o.Places[0].Dark[h] && (d < -3.2 || d > 4)
		})
		assert.Greater(t, slot, 1.2*other, id)
		require.True(t, n > 5 && m > 5)
		for _, w := range o.Windows(plan.Wish{Targets: []int{k}, Least: 1.1 * other, ByDay: true}) {
			from := fromLow(t, sp, w.BestFrom)
			assert.True(t, from > -3.5 && from < 2.5, "%s: the best begins %.1f h from low water", id, from)
		}
	}
}

// Pompano and drum of a beach come with the turn to flood, in clean water, by day; slack is poorer, and
// one goes all the same (common practice, no source).
func TestPompanoAndDrumComeWithTheFlood(t *testing.T) {
	ids := []string{"florida-pompano", "black-drum", "red-drum"}
	begin := time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)
	o := over(t, begin, 4, beachInMay, ids, cases.Usual("surf beach", 5, 21))
	stained := over(t, begin, 4, beachInMay.changed(conditions.Clarity, always(0.25)), ids, cases.Usual("surf beach", 5, 21))
	sp := o.Asked.Spots[0]
	by := func(o *plan.Outlook, k int, dark bool, from, to float64) float64 {
		e, n := mean(o, k, 0, func(h int, at time.Time) bool {
			d := fromLow(t, sp, at)
			return o.Places[0].Dark[h] == dark && d > from && d < to
		})
		require.Positive(t, n)
		return e
	}
	for k, id := range ids {
		flood, ebb := by(o, k, false, 0.6, 3), by(o, k, false, -5, -2)
		assert.Greater(t, flood, 1.2*ebb, "%s: the young flood", id)
		slack := min(by(o, k, false, 5.7, 6.3), by(o, k, false, -6.3, -5.7))
		assert.Less(t, slack, flood, id)
		assert.Greater(t, slack, 0.3*flood, "%s: poorer, not hopeless", id)
	}
	assert.Greater(t, by(o, 0, false, 0.6, 3), 1.2*by(o, 0, true, 0.6, 3), "pompano by day")
	assert.Greater(t, by(o, 0, false, 0.6, 3), 1.2*by(stained, 0, false, 0.6, 3), "pompano in clean water")
}

// A dug canal in winter: at low water, in the low fifties Fahrenheit, under a hard blue sky, and the
// one that many small creeks join before the one that few do (common practice, no source).
func TestADugCanalInWinter(t *testing.T) {
	begin := time.Date(2026, 1, 12, 0, 0, 0, 0, time.UTC)
	canal, joined := cases.Usual("dug canal", 1, 11), cases.Usual("dug canal", 1, 11)
	for range 5 {
		joined.Marks = append(joined.Marks, cases.Mark{Name: "Creek", Kind: ground.Cut, Bottom: "mud", DepthM: 1, AtM: 3})
	}
	w := weather{conditions.WaterTemp: always(11), conditions.AirTemp: always(8), conditions.Cloud: always(0),
		conditions.WindSpeed: always(3), conditions.Clarity: always(0.8)}
	ids := []string{"red-drum", "spotted-seatrout"}
	o := over(t, begin, 4, w, ids, canal, joined)
	deepCold := over(t, begin, 4, w.changed(conditions.WaterTemp, always(4)), ids, canal)
	sp := o.Asked.Spots[0]
	low := func(_ int, at time.Time) bool { return math.Abs(fromLow(t, sp, at)) < 1.5 }
	high := func(_ int, at time.Time) bool { return math.Abs(fromLow(t, sp, at)) > 4.7 }
	for k, id := range ids {
		at, n := mean(o, k, 0, low)
		other, m := mean(o, k, 0, high)
		require.True(t, n > 5 && m > 5)
		assert.Greater(t, at, other, "%s at low water", id)
		creeks, _ := mean(o, k, 1, low)
		assert.Greater(t, creeks, 1.15*at, "%s where creeks join", id)
		frozen, _ := mean(deepCold, k, 0, low)
		assert.Greater(t, at, 1.5*frozen, "%s in the low fifties, not at 4 °C", id)
	}
}

// After one or more warm days the flat beside a hole gains; after a snap it is the hole. Three weeks
// without sun are told against the shallows (common practice, no source).
func TestFlatsAfterWarmDaysHolesAfterASnap(t *testing.T) {
	begin := time.Date(2026, 1, 12, 0, 0, 0, 0, time.UTC)
	flat, hole := cases.Usual("mud flat", 1, 11), cases.Usual("mud flat", 1, 11)
	flat.Marks = []cases.Mark{{Name: "Flat", Kind: ground.Flat, Bottom: "mud", DepthM: 0.6, AtM: 10}}
	hole.Marks = []cases.Mark{{Name: "Hole", Kind: ground.Hole, Bottom: "mud", DepthM: 4, AtM: 60}}
	at := func(water, cloud func(float64) float64) float64 {
		w := weather{conditions.WaterTemp: water, conditions.AirTemp: water, conditions.Cloud: cloud, conditions.WindSpeed: always(1),
			conditions.Clarity: always(1)}
		o := over(t, begin, 1, w, []string{"red-drum"}, flat, hole)
		on, _ := mean(o, 0, 0, func(h int, _ time.Time) bool { return h >= 13 && h <= 16 })
		in, _ := mean(o, 0, 1, func(h int, _ time.Time) bool { return h >= 13 && h <= 16 })
		return on / in
	}
	warmed := at(func(h float64) float64 { return 11 + min(3, max(0, (h+48)/20)) }, always(0))
	snapped := at(func(h float64) float64 { return 17 - min(8, max(0, (h+48)/6)) }, always(0.3))
	level, sunless := at(always(11), always(0.3)), at(always(11), always(1))
	assert.Greater(t, warmed, snapped)
	assert.Greater(t, warmed, level, "after warm days the flat gains on the hole")
	assert.Less(t, snapped, level, "after a snap it loses")
	assert.Less(t, sunless, level, "after a month without sun it loses")
}

// lookAt the same days as one of another school about the moon.
func lookAt(t testing.TB, o *plan.Outlook, school string) *plan.Outlook {
	a := o.Asked
	book, err := a.Book.Over(playbook.Overlay{Schools: map[string]string{"Q4": school}})
	require.NoError(t, err)
	a.Book, a.Belief = book, rate.Priors{Book: book}
	return look(t, a)
}

// Five days about full moon gain for those who plan by the moon, and for nobody else; no free day is
// forbidden by it. Autumn cloud is no worse than a bare sky (common practice, no source).
func TestTheMoonIsForThoseWhoHoldToIt(t *testing.T) {
	begin := time.Date(2026, 10, 14, 0, 0, 0, 0, time.UTC) // full on 26 October 2026 (Meeus, Astronomical Algorithms, chapter 49)
	w := weather{conditions.WaterTemp: always(20), conditions.AirTemp: always(18), conditions.Clarity: always(1.5),
		conditions.WindSpeed: always(3), conditions.Cloud: always(0.2)}
	lookAs := func(school string, w weather) *plan.Outlook {
		return lookAt(t, over(t, begin, 14, w, []string{"trophy-seatrout"}, cases.Usual("grass flat", 10, 20)), school)
	}
	planned, ignored := lookAs("plan", w), lookAs("ignore", w)
	gain := func(o *plan.Outlook, other *plan.Outlook, from, to int) float64 {
		sum, n := 0.0, 0
		for h := from * 24; h < to*24; h++ {
			if a, b := o.Best(0, 0, h), other.Best(0, 0, h); a == a && b == b {
				sum, n = sum+math.Log(a/b), n+1
			}
		}
		return sum / float64(n)
	}
	about, before := gain(planned, ignored, 10, 14), gain(planned, ignored, 0, 5)
	assert.Greater(t, about, before+0.02, "days about full moon gain on those before for who plans by it")
	// The third and fourth day after are the best of them, and as much under no other school.
	after := over(t, begin.AddDate(0, 0, 10), 8, w, []string{"trophy-seatrout"}, cases.Usual("grass flat", 10, 20))
	first := gain(after, lookAt(t, after, "ignore"), 1, 3) // the 25th to the 27th
	third := gain(after, lookAt(t, after, "ignore"), 5, 6) // the 29th and 30th
	assert.Greater(t, third, first+0.01, "three and four days after are best")
	for h := range planned.Hours {
		assert.Equal(t, planned.Places[0].State[h], ignored.Places[0].State[h], "no day is forbidden by the moon")
		if e := planned.Best(0, 0, h); e == e {
			assert.Greater(t, e, 0.2)
		}
	}
	drizzle := lookAs("plan", w.changed(conditions.Cloud, always(0.9)))
	by := func(o *plan.Outlook) float64 {
		e, _ := mean(o, 0, 0, func(_ int, at time.Time) bool { return at.Hour() >= 10 && at.Hour() <= 15 })
		return e
	}
	assert.GreaterOrEqual(t, by(drizzle), by(planned), "autumn cloud does no harm by day")
}

// Reefs and their albacore are for the day; black seabream for its months, the last of them in December
// (common practice, no source).
func TestReefsByDayAndSeabreamByMonth(t *testing.T) {
	w := weather{conditions.WaterTemp: always(22), conditions.AirTemp: always(22), conditions.Clarity: always(5),
		conditions.WindSpeed: always(3), conditions.Cloud: always(0.2), conditions.SwellHeight: always(0.5),
		conditions.SwellPeriod: always(7)}
	o := over(t, time.Date(2026, 7, 10, 0, 0, 0, 0, time.UTC), 2, w, []string{"false-albacore"}, cases.Usual("reef", 7, 22))
	day, n := mean(o, 0, 0, func(h int, at time.Time) bool { return at.Hour() >= 7 && at.Hour() < 18 })
	night, m := mean(o, 0, 0, func(h int, at time.Time) bool { return o.Places[0].Dark[h] })
	require.True(t, n > 5 && m > 5)
	assert.Greater(t, day, 2*night)
	for _, win := range o.Windows(plan.Wish{Least: 1}) {
		assert.False(t, win.Dark)
	}
	months := map[time.Month]float64{}
	for m, c := range map[time.Month]float64{time.February: 8.5, time.April: 11, time.July: 17, time.October: 15, time.December: 11} {
		o := over(t, time.Date(2026, m, 20, 0, 0, 0, 0, time.UTC), 1, w.changed(conditions.WaterTemp, always(c)),
			[]string{"black-seabream"}, cases.Usual("reef", m, c))
		months[m], _ = mean(o, 0, 0, func(_ int, at time.Time) bool { return at.Hour() >= 8 && at.Hour() < 16 })
	}
	assert.Greater(t, months[time.July], 1.5*months[time.December], "%v", months)
	assert.Greater(t, months[time.December], months[time.February], "the last fish are December's: %v", months)
	assert.Less(t, months[time.February], 0.5)
}

// The order of a day: the shallows early, deeper grass when the sun has climbed; a rippled shore when it
// is glassy, the sheltered one when it blows (common practice, no source).
func TestTheOrderOfADay(t *testing.T) {
	shallow, deep := cases.Usual("grass flat", 6, 25), cases.Usual("grass flat", 6, 25)
	shallow.Marks = []cases.Mark{{Name: "Shallow grass", Kind: ground.Flat, Bottom: "grass", DepthM: 0.5, AtM: 10}}
	deep.Marks = []cases.Mark{{Name: "Deeper grass", Kind: ground.Flat, Bottom: "grass", DepthM: 1.8, AtM: 40}}
	w := weather{conditions.WaterTemp: always(25), conditions.AirTemp: always(26), conditions.Clarity: always(2.5),
		conditions.WindSpeed: always(2), conditions.Cloud: always(0.05)}
	o := over(t, time.Date(2026, 6, 10, 0, 0, 0, 0, time.UTC), 4, w, []string{"spotted-seatrout", "red-drum", "snook"}, shallow, deep)
	share := func(k int, hours func(hour int) bool) float64 {
		a, _ := mean(o, k, 0, func(_ int, at time.Time) bool { return hours(at.Hour()) })
		b, _ := mean(o, k, 1, func(_ int, at time.Time) bool { return hours(at.Hour()) })
		return a / b
	}
	early, noon := func(h int) bool { return h == 5 || h == 6 }, func(h int) bool { return h >= 10 && h <= 14 }
	for k, id := range []string{"trout", "drum", "snook"} {
		assert.Greater(t, share(k, early), 1.2*share(k, noon), "%s leave the shallows when the sun climbs", id)
	}
	at := func(k int, windMS float64, hours func(int) bool) float64 {
		o := over(t, time.Date(2026, 6, 10, 0, 0, 0, 0, time.UTC), 2, w.changed(conditions.WindSpeed, always(windMS)),
			[]string{"spotted-seatrout", "red-drum"}, shallow)
		e, _ := mean(o, k, 0, func(_ int, at time.Time) bool { return hours(at.Hour()) })
		return e
	}
	for k := range 2 {
		assert.Greater(t, at(k, 3, noon), at(k, 0.3, noon), "a ripple before glass")
	}
}
