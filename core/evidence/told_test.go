package evidence_test

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"greypebble/core/evidence"
)

// some rules of a target that are no presence rules.
func rulesOf(t *testing.T, target string, n int) (out []int) {
	b := book(t)
	for _, r := range b.About(target) {
		if !b.Rules[r].Presence() && len(out) < n {
			out = append(out, r)
		}
	}
	require.Len(t, out, n)
	return out
}

// What is not told apart is said: a rule one had at one spot alone, one that went with another, one that always held.
func TestWhatIsNotToldApart(t *testing.T) {
	r := rulesOf(t, "red-drum", 5)
	var log []evidence.Spell
	for i := range 40 {
		at, spot := float64(i%2), []string{"bar", "gut", "bank"}[i%3]
		here := 0.0
		if spot == "bar" {
			here = at
		}
		log = append(log, evidence.Spell{Target: "red-drum", Spot: spot, RodHours: 2, Fish: float64(i % 4), Rules: []evidence.Spoke{
			{Rule: r[0], More: here}, {Rule: r[1], More: at}, {Rule: r[2], More: at * 0.8}, {Rule: r[3], More: 0.6}, {Rule: r[4],
				More: float64(i%5) / 5}}})
	}
	e, err := evidence.Fit(book(t), log, nil)
	require.NoError(t, err)
	b := e.For("red-drum")
	named := func(id string) string { return "The " + id }
	assert.Contains(t, b.Apart(r[0], named), "only at The bar")
	assert.Contains(t, b.Apart(r[1], named), "not told from: "+book(t).Rules[r[2]].Says)
	assert.Contains(t, b.Apart(r[3], named), "alike")
	assert.Empty(t, b.Apart(r[4], named))
}

// What a spell would teach: the drop in variance is what fitting it brings, where its count comes as expected; what is
// known already teaches less; where nothing bites next to nothing is learnt.
func TestALessonIsWhatFittingItBrings(t *testing.T) {
	w := newWorld(book(t), "red-drum", 5)
	log := w.log(60)
	e, err := evidence.Fit(w.book, log, nil)
	require.NoError(t, err)
	left := func(e *evidence.Evidence) (sum float64) {
		e.Dispersion = 1
		for _, r := range w.book.About("red-drum") {
			one := make([]float64, len(w.book.Rules))
			one[r] = 1
			sum += e.For("red-drum").Variance(one)
		}
		return sum
	}
	before := left(e)
	for range 6 {
		next := w.chance()
		l := e.For("red-drum").Lesson(&next)
		next.Fish = l.Expected
		after, err := evidence.Fit(w.book, append(slices.Clone(log), next), e)
		require.NoError(t, err)
		assert.InDelta(t, 1-left(after)/before, l.Drop, 0.25*l.Drop+2e-4)
		require.NotEmpty(t, l.Of)
		short := next
		short.RodHours = 1e-6
		assert.Less(t, e.For("red-drum").Lesson(&short).Drop, 1e-5)
		again, err := evidence.Fit(w.book, append(slices.Clone(log), next, next, next, next), e)
		require.NoError(t, err)
		assert.Less(t, again.For("red-drum").Lesson(&next).Drop, l.Drop)
	}
}

// A curve lies flat where the rate does, finds a step, falls back to the mean where nobody fished, and closes where its
// axis does.
func TestACurveShowsWhatIsThere(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var spells []evidence.Fished
		for range rapid.IntRange(1, 40).Draw(t, "spells") {
			spells = append(spells, evidence.Fished{X: rapid.Float64Range(0, 1).Draw(t, "x"), RodHours: rapid.Float64Range(0.1,
				5).Draw(t, "h"),
				Fish: float64(rapid.IntRange(0, 5).Draw(t, "fish"))})
		}
		dispersion := rapid.Float64Range(1, 4).Draw(t, "dispersion")
		for _, p := range evidence.Curve(spells, evidence.Axis{From: 0, To: 1}, dispersion) {
			assert.True(t, p.Low <= p.Median && p.Median <= p.High && p.Low >= 0 && p.RodHours >= 0, "%+v", p)
		}
		closed := evidence.Curve(spells, evidence.Axis{From: 0, To: 1, Closed: true}, dispersion)
		assert.InDelta(t, closed[0].Median, closed[len(closed)-1].Median, 1e-9)
	})
	var step []evidence.Fished
	for i := range 100 {
		x := float64(i) / 100
		step = append(step, evidence.Fished{X: x, RodHours: 2, Fish: map[bool]float64{true: 4}[x > 0.5]})
	}
	c := evidence.Curve(step, evidence.Axis{From: 0, To: 2}, 1)
	assert.Less(t, c[2].High, 0.5)
	assert.Greater(t, c[20].Low, 1.5)
	far := c[len(c)-1]
	assert.InDelta(t, 0, far.RodHours, 1e-3)
	assert.InDelta(t, 0.98*math.Ln2, far.Median, 1e-3, "the median of a gamma of one fish at the mean")
	assert.Nil(t, evidence.Curve(nil, evidence.Axis{From: 0, To: 1}, 1))
}

// Calibration: in worlds drawn from the book four counts of five lie within what held them so, the fish caught are those
// expected, the log is given more than the book, and where it is no better than one's plain average the scores say so.
func TestWasTheAdviceRight(t *testing.T) {
	b := book(t)
	var inside, spells, log, plain, bare, fish, expected float64
	for n := range uint64(16) {
		w := newWorld(b, "red-drum", 100+n)
		c, err := evidence.Calibrate(b, w.log(160), "red-drum")
		require.NoError(t, err)
		require.NotNil(t, c)
		inside, spells = inside+c.Inside*float64(c.Spells), spells+float64(c.Spells)
		log, plain, bare = log+c.Log, plain+c.Average, bare+c.Book
		fish, expected = fish+c.Fish, expected+c.ByLog
		assert.Len(t, c.Parts, 8)
	}
	t.Logf("inside %.3f of %v; log %.2f, book %.2f, average %.2f; %v caught, %v expected", inside/spells, spells, log/16, bare/16, plain/16,
		fish, expected)
	assert.InDelta(t, 0.8, inside/spells, 0.05)
	assert.Greater(t, log, bare)
	assert.Greater(t, log, plain)
	assert.InEpsilon(t, fish, expected, 0.25)

	// Counts that go by nothing the book speaks of: an average is all there is to know, and is not beaten by much.
	src := newWorld(b, "red-drum", 7)
	var noise []evidence.Spell
	for range 160 {
		s := src.chance()
		s.Fish = distuv.Poisson{Lambda: 0.6 * s.RodHours, Src: src.src}.Rand()
		noise = append(noise, s)
	}
	c, err := evidence.Calibrate(b, noise, "")
	require.NoError(t, err)
	assert.Greater(t, c.Average, c.Log)
	few, err := evidence.Calibrate(b, noise[:9], "")
	require.NoError(t, err)
	assert.Nil(t, few)
}

// A position one holds and the log turns round is named; one it bears out, or says nothing of, is not.
func TestTheLogContradictsASchool(t *testing.T) {
	b := book(t)
	rule := -1
	for _, r := range b.About("red-drum") {
		if k := &b.Rules[r]; k.School != "" && k.Prior.Mean > 0.2 && b.Takes(k.School) {
			rule = r
		}
	}
	require.GreaterOrEqual(t, rule, 0, "some position of a school speaks of it")
	with := func(times float64) []int {
		var log []evidence.Spell
		for i := range 200 {
			more := float64(i % 2)
			log = append(log, evidence.Spell{Target: "red-drum", Spot: "bar", RodHours: 4, Fish: math.Round(8 * math.Pow(times, more)),
				Rules: []evidence.Spoke{{Rule: rule, More: more}}})
		}
		e, err := evidence.Fit(b, log, nil)
		require.NoError(t, err)
		return e.For("red-drum").Contradicts()
	}
	assert.Equal(t, []int{rule}, with(0.4))
	assert.Empty(t, with(1.6))
}
