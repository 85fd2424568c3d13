package advise

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"greypebble/core/spot/spottest"
	"greypebble/core/tide"
)

type world struct {
	book  *playbook.Book
	spots []*spot.Spot
}

func newWorld(t testing.TB) world {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	return world{b, spottest.Coast(t)}
}

// when finds the first moment from the morning on that suits.
func (w world) when(t testing.TB, suits func(m spot.Moment) bool) time.Time {
	from := time.Date(2026, 5, 12, 9, 0, 0, 0, time.UTC)
	c, err := tide.Over(w.spots[0].Tide, from, from.AddDate(0, 0, 16))
	require.NoError(t, err)
	for at := from; at.Before(from.AddDate(0, 0, 16)); at = at.Add(10 * time.Minute) {
		m, err := w.spots[0].At(c, at)
		require.NoError(t, err)
		if suits(m) {
			return at
		}
	}
	t.Fatal("no such moment")
	return from
}

func (w world) ask(t testing.TB, target string, at int, when time.Time, readings ...conditions.Reading) Advice {
	tg, err := w.book.Target(target)
	require.NoError(t, err)
	for _, s := range w.spots {
		s.Readings = conditions.Readings{}
	}
	for i := range readings {
		readings[i].Time, readings[i].Origin = when, conditions.Observed
	}
	w.spots[at].Readings = conditions.Sorted(readings)
	a, err := Ask(Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: w.spots[at], Time: when})
	require.NoError(t, err)
	return a
}

func is(k conditions.Kind, v float64) conditions.Reading {
	return conditions.Reading{Kind: k, Value: v}
}

func rules(c Choice) map[string]float64 {
	out := map[string]float64{}
	for _, r := range c.Reasons {
		for _, k := range r.Rules {
			if k.Applies > 0 {
				out[k.Rule] = k.Factor
			}
		}
	}
	for _, p := range c.For {
		out[p.Rule] = p.Factor
	}
	return out
}

func day(m spot.Moment) bool { return m.Sun.Altitude > 30 }

func TestEdgeIsTheProductOfTheReasonsShown(t *testing.T) {
	w := newWorld(t)
	for at := range w.spots {
		for _, target := range w.book.Targets {
			a := w.ask(t, target.ID, at, w.when(t, day))
			for i, c := range a.Choices {
				product := 1.0
				for _, r := range c.Reasons {
					product *= r.Factor
				}
				assert.InDelta(t, 1, product/c.Edge.Value, 1e-9)
				assert.Less(t, c.Edge.Low, c.Edge.Value)
				parts := c.Edge.Parts[0] * c.Edge.Parts[1] * c.Edge.Parts[2]
				assert.InDelta(t, 1, parts/c.Edge.Value, 1e-9)
				assert.LessOrEqual(t, c.Edge.Parts[playbook.Taken], 1+1e-9)
				if i > 0 {
					assert.LessOrEqual(t, c.Edge.Value, a.Choices[i-1].Edge.Value)
				}
			}
		}
	}
}

// T4, common practice: little water on the crest, fish line the edge;
// deeper, some push up on top.
func TestDepthOverTheCrestMovesTheFish(t *testing.T) {
	w := newWorld(t)
	thin := w.when(t, func(m spot.Moment) bool {
		d := m.LevelM - 0.75
		return day(m) && d > 0.19 && d < 0.25 && m.Stage.Direction == tide.Flood
	})
	deep := w.when(t, func(m spot.Moment) bool { return day(m) && m.LevelM-0.75 > 0.6 })
	a := w.ask(t, "red drum", 0, thin, is(conditions.Clarity, 0.6), is(conditions.WaterTemp, 20))
	assert.Equal(t, "Seaward edge", a.Choices[0].Card.Mark)
	assert.Greater(t, rules(a.Choices[0])["edge-under-thin-crest"], 1.2)
	b := w.ask(t, "red drum", 0, deep, is(conditions.Clarity, 0.6), is(conditions.WaterTemp, 20))
	assert.NotContains(t, rules(b.Choices[0]), "edge-under-thin-crest")
}

func TestMovingWaterBeatsSlack(t *testing.T) {
	w := newWorld(t)
	run := w.when(t, func(m spot.Moment) bool { return day(m) && math.Abs(m.Stage.RateMPerH) > 0.3 })
	slack := w.when(t, func(m spot.Moment) bool { return day(m) && math.Abs(m.Stage.RateMPerH) < 0.02 })
	a, b := w.ask(t, "seatrout", 2, run), w.ask(t, "seatrout", 2, slack)
	assert.Greater(t, a.Choices[0].Edge.Value, b.Choices[0].Edge.Value)
	assert.Contains(t, rules(a.Choices[0]), "moving-water")
	assert.Contains(t, rules(b.Choices[0]), "slack-water")
}

// C1, C3, C4, common practice: murk wants scent and thump, clear water and sun a
// darting shape.
func TestClarityChangesWhatIsTiedOn(t *testing.T) {
	w := newWorld(t)
	at := w.when(t, func(m spot.Moment) bool { return day(m) && m.LevelM > 1.25 })
	clear := w.ask(t, "seatrout", 0, at, is(conditions.Clarity, 3), is(conditions.WaterTemp, 19))
	murky := w.ask(t, "seatrout", 0, at, is(conditions.Clarity, 0.3), is(conditions.WaterTemp, 19))
	assert.Equal(t, "lure", clear.Choices[0].Card.Approach)
	assert.Contains(t, rules(clear.Choices[0]), "darting-in-the-clear")
	bait := func(a Advice) float64 {
		for _, c := range a.Choices {
			if c.Card.Approach == "live bait" {
				return c.Edge.Value / a.Choices[0].Edge.Value
			}
		}
		return 0
	}
	assert.Greater(t, bait(murky), 0.9, "bait is nearly as good as any in the murk")
	assert.Less(t, bait(clear), 0.8)
	assert.NotContains(t, rules(murky.Choices[0]), "darting-in-the-clear")
	drum := w.ask(t, "red drum", 0, at, is(conditions.Clarity, 0.3), is(conditions.WaterTemp, 19))
	assert.Contains(t, rules(drum.Choices[0]), "red-drum-scent")
	assert.Greater(t, clear.Choices[0].Edge.Value, murky.Choices[0].Edge.Value)
}

// S2, B1, common practice: cold fish want natural bait, and lures slower with longer stops.
func TestTemperatureChangesApproachAndPace(t *testing.T) {
	w := newWorld(t)
	at := w.when(t, day)
	q := func(temp float64) Advice {
		for _, s := range w.spots {
			s.Readings = conditions.Sorted([]conditions.Reading{{Kind: conditions.WaterTemp, Value: temp, Time: at,
				Origin: conditions.Observed}, {Kind: conditions.Clarity, Value: 2, Time: at, Origin: conditions.Observed}})
		}
		tg, err := w.book.Target("red-drum")
		require.NoError(t, err)
		a, err := Ask(Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: w.spots[0], Time: at, Most: 50})
		require.NoError(t, err)
		return a
	}
	cold, warm := q(9), q(23)
	assert.NotEqual(t, "lure", cold.Choices[0].Card.Approach)
	assert.Equal(t, "lure", warm.Choices[0].Card.Approach)
	paddle := func(a Advice) Choice {
		for _, c := range a.Choices {
			if c.Card.Offering == "White paddle tail" {
				return c
			}
		}
		t.Fatal("no paddle tail")
		return Choice{}
	}
	assert.Contains(t, paddle(cold).Retrieve, "6 turns in 10 s")
	assert.Contains(t, paddle(warm).Retrieve, "10 turns in 10 s")
}

// S13, Q1, common practice: low light favours a surface lure.
func TestLightBringsTheSurfaceLure(t *testing.T) {
	w := newWorld(t)
	rank := func(at time.Time) int {
		tg, err := w.book.Target("seatrout")
		require.NoError(t, err)
		w.spots[0].Readings = conditions.Sorted([]conditions.Reading{{Kind: conditions.WaterTemp, Value: 22, Time: at,
			Origin: conditions.Observed}})
		a, err := Ask(Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: w.spots[0], Time: at, Most: 50})
		require.NoError(t, err)
		for i, c := range a.Choices {
			if c.Card.Offering == "Walking surface plug" {
				return i
			}
		}
		return len(a.Choices)
	}
	dawn := w.when(t, func(m spot.Moment) bool { return m.Sun.Altitude > -4 && m.Sun.Altitude < 0 && m.LevelM > 1.1 })
	noon := w.when(t, func(m spot.Moment) bool { return m.Sun.Altitude > 60 && m.LevelM > 1.1 })
	assert.Less(t, rank(dawn), 3)
	assert.Greater(t, rank(noon), rank(dawn)+3)
}

func TestPompanoWantSandCrabInTheTroughOnTheFlood(t *testing.T) {
	w := newWorld(t)
	flood := w.when(t, func(m spot.Moment) bool {
		return day(m) && m.Stage.Direction == tide.Flood && m.Stage.Elapsed > 0.15 && m.Stage.Elapsed < 0.25
	})
	a := w.ask(t, "pompano", 1, flood, is(conditions.Clarity, 1.5), is(conditions.WaterTemp, 22))
	assert.Equal(t, "cut bait", a.Choices[0].Card.Approach)
	assert.Contains(t, a.Choices[0].Sentence, "Sand crab")
	assert.Contains(t, rules(a.Choices[0]), "first-of-flood")
	dirty := w.ask(t, "pompano", 1, flood, is(conditions.Clarity, 0.25), is(conditions.WaterTemp, 22))
	assert.Less(t, dirty.Choices[0].Edge.Value, a.Choices[0].Edge.Value/1.5)
}

func TestWhatCannotWorkNeverRanks(t *testing.T) {
	w := newWorld(t)
	for _, at := range []time.Time{w.when(t, func(m spot.Moment) bool { return m.LevelM < 0.35 }),
		w.when(t, func(m spot.Moment) bool { return m.LevelM > 1.5 })} {
		for i, s := range w.spots {
			c, err := tide.Over(s.Tide, at, at)
			require.NoError(t, err)
			m, err := s.At(c, at)
			require.NoError(t, err)
			for j := range w.book.Targets {
				list, _ := possible(&Question{Book: w.book, Target: &w.book.Targets[j]}, &m)
				for _, p := range list {
					depth := p.mark.Depth(m.LevelM)
					assert.Positive(t, depth)
					assert.LessOrEqual(t, p.depthM, depth)
					if p.mark.Kind == ground.Crest {
						assert.True(t, p.rig.SnagSafe, "%s over shell", p.rig.ID)
					}
					if p.offering.Approach != "lure" {
						assert.Empty(t, p.pace)
					}
				}
			}
			_ = i
		}
	}
}

func TestNothingFishableIsSaidPlainly(t *testing.T) {
	w := newWorld(t)
	for i := range w.spots[0].Marks {
		w.spots[0].Marks[i].ElevationM = 5
	}
	a := w.ask(t, "red drum", 0, w.when(t, day))
	assert.Empty(t, a.Choices)
	assert.Contains(t, a.Note, "no fishable water")
}

func TestCutOffIsACautionInTime(t *testing.T) {
	w := newWorld(t)
	// The gut at 0.55 m is waded to the thigh until the tide stands at 1.30 m.
	near := w.when(t, func(m spot.Moment) bool {
		return m.Stage.Direction == tide.Flood && m.LevelM > 1.1 && m.LevelM < 1.25 && m.Stage.Next.LevelM > 1.35
	})
	a := w.ask(t, "red drum", 0, near)
	assert.Contains(t, a.Way, "Tide cut-off")
	assert.Contains(t, a.Way, "too deep at the gut on the way")
	shut := w.when(t, func(m spot.Moment) bool { return m.LevelM > 1.35 })
	assert.Contains(t, w.ask(t, "red drum", 0, shut).Way, "shut now")
	cold := w.ask(t, "red drum", 0, near, is(conditions.WaterTemp, 9))
	assert.Equal(t, "cold", cold.Cautions[0].ID, "cold comes first")
	assert.Equal(t, going.Think, cold.Cautions[0].Severity)
}

func TestSentencesInBothSystems(t *testing.T) {
	w := newWorld(t)
	tg, err := w.book.Target("red-drum")
	require.NoError(t, err)
	at := w.when(t, day)
	for system, want := range map[quantity.Units]string{quantity.Metric: ` m of water\.$`, quantity.US: ` ft of water\.$`} {
		a, err := Ask(Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: w.spots[0], Time: at, Units: system})
		require.NoError(t, err)
		for _, c := range a.Choices {
			assert.Regexp(t, want, c.Sentence)
			assert.NotContains(t, c.Sentence+c.Card.Rig, "{weight}")
		}
	}
}

func TestUnknownWaterWidensTheInterval(t *testing.T) {
	w := newWorld(t)
	at := w.when(t, day)
	width := func(readings ...conditions.Reading) float64 {
		a := w.ask(t, "seatrout", 0, at, readings...)
		return math.Log(a.Choices[0].Edge.High / a.Choices[0].Edge.Low)
	}
	assert.Less(t, width(is(conditions.Clarity, 1.2), is(conditions.WaterTemp, 18), is(conditions.WindSpeed, 4), is(conditions.Cloud, 0.5)),
		width())
}

func BenchmarkAsk(b *testing.B) {
	w := newWorld(b)
	at := w.when(b, day)
	tg, err := w.book.Target("red-drum")
	require.NoError(b, err)
	for b.Loop() {
		_, _ = Ask(Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: w.spots[0], Time: at})
	}
}

// A rule that gave way to a stronger one of its family is not told against itself.
func TestWhatGaveWayIsNotToldAgainstItself(t *testing.T) {
	w := newWorld(t)
	for at := range w.spots {
		for i := range w.book.Targets {
			a := w.ask(t, w.book.Targets[i].ID, at, w.when(t, day), is(conditions.WindSpeed, 4), is(conditions.Clarity, 2))
			for _, c := range a.Choices {
				for _, r := range c.Reasons {
					for _, k := range r.Rules {
						rule, _ := w.book.Rule(k.Rule)
						if k.Says != "" && k.Says == rule.Lacks && k.Ordinary < 0.95 {
							assert.Less(t, k.Applies, k.Ordinary, "%s: %s", k.Rule, k.Says)
						}
					}
				}
			}
		}
	}
}

// Water without a tide says so, and none of it is weighed.
func TestWaterWithoutATideWeighsNone(t *testing.T) {
	w := newWorld(t)
	still, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.005}}, 0.9)
	require.NoError(t, err)
	pier := *w.spots[2]
	pier.Tide = still
	w.spots[2] = &pier
	a := w.ask(t, "red-drum", 2, time.Date(2026, 5, 12, 15, 0, 0, 0, time.UTC))
	assert.Contains(t, a.Note, "no tide to speak of")
	require.NotEmpty(t, a.Choices)
	for _, r := range a.Choices[0].Reasons {
		assert.NotEqual(t, "flow", r.Family, r.Says)
	}
}

// An edge is continuous in what is read: a little warmer or clearer is a little different, at dusk and at the
// turn of the tide and of the month too.
func TestAnEdgeDoesNotJump(t *testing.T) {
	w := newWorld(t)
	best := func(at time.Time, temp, secchi float64) float64 {
		a := w.ask(t, "spotted-seatrout", 2, at, is(conditions.WaterTemp, temp), is(conditions.Clarity, secchi), is(conditions.WindSpeed,
			3),
			is(conditions.Cloud, 0.4))
		return a.Choices[0].Edge.Value
	}
	noon := w.when(t, day)
	for x := 4.0; x < 33; x += 0.25 {
		assert.InEpsilon(t, best(noon, x, 1.5), best(noon, x+0.02, 1.5), 0.02, "%v °C", x)
	}
	for x := 0.2; x < 4; x += 0.1 {
		assert.InEpsilon(t, best(noon, 20, x), best(noon, 20, x+0.005), 0.02, "%v m", x)
	}
	for at := noon; at.Before(noon.Add(26 * time.Hour)); at = at.Add(11 * time.Minute) {
		assert.InEpsilon(t, best(at, 20, 1.5), best(at.Add(20*time.Second), 20, 1.5), 0.03, "%s", at)
	}
	midnight := time.Date(2026, 6, 1, 0, 0, 0, 0, time.UTC)
	assert.InEpsilon(t, best(midnight.Add(-time.Minute), 20, 1.5), best(midnight.Add(time.Minute), 20, 1.5), 0.02)
}
