package evidence_test

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/playbook"
	"greypebble/core/rate"
)

func book(t require.TestingT) *playbook.Book {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	return b
}

// With nothing logged every number is the book's.
func TestAnEmptyLogIsTheBook(t *testing.T) {
	b := book(t)
	e, err := evidence.Fit(b, nil, nil)
	require.NoError(t, err)
	priors := rate.Priors{Book: b}
	rapid.Check(t, func(t *rapid.T) {
		target := b.Targets[rapid.IntRange(0, len(b.Targets)-1).Draw(t, "target")].ID
		belief := e.For(target)
		rules := make([]float64, len(b.Rules))
		for range rapid.IntRange(0, 8).Draw(t, "rules") {
			r := rapid.IntRange(0, len(rules)-1).Draw(t, "rule")
			rules[r] = rapid.Float64Range(-1, 1).Draw(t, "more")
			assert.Equal(t, priors.Mean(r), belief.Mean(r)) //nolint:testifylint // to the last digit
		}
		assert.InDelta(t, priors.Variance(rules), belief.Variance(rules), 1e-12)
		assert.Empty(t, belief.Rules())
	})
}

// world is a fishery: what is true of each rule, of each spot, and of the usual catch.
type world struct {
	book   *playbook.Book
	target string
	rules  []int
	beta   map[int]float64
	base   float64
	spots  []float64
	// always are rules that look at what every spell has: its tide, its water, its light.
	always []int
	src    *rand.PCG
	r      *rand.Rand
}

// newWorld draws the truth from the priors.
func newWorld(b *playbook.Book, target string, seed uint64) *world {
	src := rand.NewPCG(seed, 17)
	w := &world{book: b, target: target, src: src, r: rand.New(src), beta: map[int]float64{}} //nolint:gosec // the same each time
	t, _ := b.Target(target)
	w.base = math.Log(t.UsualCatch()) + playbook.PlentySD*w.r.NormFloat64()*0.5
	for _, r := range b.About(target) {
		if !b.Rules[r].Presence() {
			w.rules = append(w.rules, r)
			p := b.Rules[r].Prior
			w.beta[r] = p.Mean + p.SD*w.r.NormFloat64()
		}
	}
	for range 5 {
		w.spots = append(w.spots, 0.7*w.r.NormFloat64())
	}
	return w
}

// chance of a spell drawn: a dozen rules speak, as they do, in part; nobody has fished it yet.
func (w *world) chance() evidence.Spell {
	spot := w.r.IntN(len(w.spots))
	s := evidence.Spell{Target: w.target, Spot: string(rune('a' + spot)), RodHours: 1 + 3*w.r.Float64()}
	speak := slices.Clone(w.always)
	for _, i := range w.r.Perm(len(w.rules)) {
		if r := w.rules[i]; !slices.Contains(speak, r) && len(speak) < 14 {
			speak = append(speak, r)
		}
	}
	for _, r := range speak {
		s.Rules = append(s.Rules, evidence.Spoke{Rule: r, More: w.r.Float64() - 0.35})
	}
	return s
}

// rate of a chance an hour, in truth.
func (w *world) rate(s *evidence.Spell) float64 {
	log := w.base + w.spots[s.Spot[0]-'a'] + w.edge(s)
	return math.Exp(math.Min(log, 4))
}

// edge of a chance in truth, as a logarithm.
func (w *world) edge(s *evidence.Spell) (log float64) {
	for _, k := range s.Rules {
		log += k.More * w.beta[k.Rule]
	}
	return log
}

// advised is the best of some chances by a belief.
func advised(of []evidence.Spell, b evidence.Belief) *evidence.Spell {
	best, most := 0, math.Inf(-1)
	for i := range of {
		log := 0.0
		for _, k := range of[i].Rules {
			log += k.More * b.Mean(k.Rule)
		}
		if log > most {
			best, most = i, log
		}
	}
	return &of[best]
}

// chances one has of a day.
func (w *world) chances() (out []evidence.Spell) {
	for range 8 {
		out = append(out, w.chance())
	}
	return out
}

// spell fished by somebody who half follows advice.
func (w *world) spell(advice evidence.Belief) evidence.Spell {
	s := w.chance()
	if w.r.IntN(2) == 0 {
		s = *advised(w.chances(), advice)
	}
	s.Fish = distuv.Poisson{Lambda: s.RodHours * w.rate(&s), Src: w.src}.Rand()
	return s
}

func (w *world) log(n int) (out []evidence.Spell) {
	empty, _ := evidence.Fit(w.book, nil, nil)
	for range n {
		out = append(out, w.spell(empty.For(w.target)))
	}
	return out
}

// score is the mean logarithm of the chance a prediction gave to what came.
func score(log []evidence.Spell, expect func(*evidence.Spell) float64) float64 {
	sum := 0.0
	for i := range log {
		sum += distuv.Poisson{Lambda: math.Max(expect(&log[i]), 1e-6)}.LogProb(log[i].Fish)
	}
	return sum / float64(len(log))
}

// In worlds drawn from the book a log predicts the next spells better than the bare book and than one's plain average,
// and the truth of each rule, and of each edge, lies within its interval four times in five. In worlds the book gets wrong
// in five strong rules it finds most of it out, and what it advises then catches a fifth more than what the book does.
func TestALogLearns(t *testing.T) {
	b := book(t)
	empty, err := evidence.Fit(b, nil, nil)
	require.NoError(t, err)
	var ours, books, averages, closer, judged float64
	inside, asked, held, edges := 0, 0, 0, 0
	gained, misled := 0.0, 0.0
	const worlds = 24
	for n := range uint64(worlds) {
		w := newWorld(b, "red-drum", n)
		wrong := map[int]bool{}
		if n%2 == 1 {
			for len(wrong) < 5 {
				r := w.rules[w.r.IntN(len(w.rules))]
				if m := b.Rules[r].Prior.Mean; math.Abs(m) > 0.4 && !wrong[r] {
					w.beta[r], wrong[r] = -m, true
					w.always = append(w.always, r)
				}
			}
		}
		log, next := w.log(150), w.log(60)
		e, err := evidence.Fit(b, log, nil)
		require.NoError(t, err)
		belief := e.For(w.target)
		sum := belief.Sum()
		by := func(bel evidence.Belief) func(*evidence.Spell) float64 {
			return func(s *evidence.Spell) float64 {
				v, err := bel.Expected(s)
				require.NoError(t, err)
				return v
			}
		}
		ours += score(next, by(belief))
		books += score(next, by(empty.For(w.target)))
		averages += score(next, func(s *evidence.Spell) float64 { return s.RodHours * sum.Fish / sum.RodHours })
		before, after := 0.0, 0.0
		for range 60 {
			of := w.chances()
			if n%2 == 1 {
				before += w.rate(advised(of, empty.For(w.target)))
				after += w.rate(advised(of, belief))
				continue
			}
			x, mean := make([]float64, len(b.Rules)), 0.0
			for _, k := range of[0].Rules {
				x[k.Rule] = k.More
				mean += k.More * belief.Mean(k.Rule)
			}
			edges++
			if math.Abs(w.edge(&of[0])-mean) < rate.Z80*math.Sqrt(belief.Variance(x)) {
				held++
			}
		}
		if n%2 == 1 {
			// World by world: a few rich ones would drown the rest.
			gained, misled = gained+after/before, misled+1
		}
		for _, r := range belief.Rules() {
			truth := math.Exp(w.beta[r.Rule])
			if wrong[r.Rule] {
				judged++
				if math.Abs(math.Log(r.Log.Median)-w.beta[r.Rule]) < math.Abs(math.Log(r.Prior.Median)-w.beta[r.Rule]) {
					closer++
				}
				continue
			}
			asked++
			if r.Log.Low <= truth && truth <= r.Log.High {
				inside++
			}
		}
	}
	t.Logf("log score of the next sixty: log %.3f, book %.3f, average %.3f; cover %.3f of %d; of the wrong rules nearer %.2f",
		ours/worlds, books/worlds, averages/worlds, float64(inside)/float64(asked), asked, closer/judged)
	t.Logf("edges cover %.3f of %d; advice after the log catches %.2f times what it did before", float64(held)/float64(edges), edges,
		gained/misled)
	assert.InDelta(t, 0.8, float64(held)/float64(edges), 0.05)
	assert.Greater(t, gained/misled, 1.2)
	assert.Greater(t, ours, books)
	assert.Greater(t, ours, averages)
	assert.InDelta(t, 0.8, float64(inside)/float64(asked), 0.05)
	assert.Greater(t, closer/judged, 0.85)
}

// What was learnt with one fish says something of a rule with another, and holds it less surely.
func TestTargetsShareWhatIsLearnt(t *testing.T) {
	b := book(t)
	about := map[int]bool{}
	for _, r := range b.About("red-drum") {
		about[r] = true
	}
	rule := -1
	for _, r := range b.About("spotted-seatrout") {
		if about[r] && !b.Rules[r].Presence() && b.Rules[r].Prior.SD > 0.2 {
			rule = r
			break
		}
	}
	require.GreaterOrEqual(t, rule, 0, "some rule speaks of both")
	var log []evidence.Spell
	for i := range 80 {
		// Ten times the fish where it applies.
		more := float64(i%2) - 0.5
		log = append(log, evidence.Spell{Target: "red-drum", Spot: "bar", RodHours: 2, Fish: math.Round(2 * math.Exp(2.3*more)),
			Rules: []evidence.Spoke{{Rule: rule, More: more}}})
	}
	e, err := evidence.Fit(b, log, nil)
	require.NoError(t, err)
	p := b.Rules[rule].Prior
	drum, trout := e.For("red-drum"), e.For("spotted-seatrout")
	one := make([]float64, len(b.Rules))
	one[rule] = 1
	assert.Greater(t, drum.Mean(rule), trout.Mean(rule))
	assert.Greater(t, trout.Mean(rule), p.Mean+0.3*p.SD)
	assert.Less(t, drum.Variance(one), trout.Variance(one))
	assert.Less(t, trout.Variance(one), p.SD*p.SD)
	require.Len(t, drum.Rules(), 1)
	assert.Equal(t, 80, drum.Rules()[0].Spells)
	assert.Positive(t, drum.Rules()[0].Shift)
	base, err := trout.Base()
	require.NoError(t, err)
	never, err := b.Target("spotted-seatrout")
	require.NoError(t, err)
	assert.InEpsilon(t, never.UsualCatch(), base.Median, 1e-12)
}

// What one fish alone taught is reckoned for another as it would be with all of it written out.
func TestWhatOneFishTaughtAnother(t *testing.T) {
	w := newWorld(book(t), "red-drum", 9)
	log := w.log(90)
	short, err := evidence.Fit(w.book, log, nil)
	require.NoError(t, err)
	// A spell of next to no effort teaches nothing, but makes both targets speak to every rule.
	all := evidence.Spell{Target: "spotted-seatrout", Spot: "a", RodHours: 1e-9}
	for _, r := range w.rules {
		all.Rules = append(all.Rules, evidence.Spoke{Rule: r, More: 0.1})
	}
	long, err := evidence.Fit(w.book, append(log, all), nil)
	require.NoError(t, err)
	mixed := make([]float64, len(w.book.Rules))
	for i, r := range w.rules {
		mixed[r] = 0.2 * float64(i%5-2)
		for _, target := range []string{"red-drum", "spotted-seatrout"} {
			assert.InDelta(t, long.For(target).Mean(r), short.For(target).Mean(r), 1e-5, target)
		}
	}
	for _, target := range []string{"red-drum", "spotted-seatrout"} {
		calm := func(e *evidence.Evidence) float64 { e.Dispersion = 1; return e.For(target).Variance(mixed) }
		assert.InEpsilon(t, calm(long), calm(short), 1e-4, target)
	}
}

// One more spell, begun from the evidence of the others, is the same as all of them at once.
func TestOneMoreSpellIsTheSame(t *testing.T) {
	w := newWorld(book(t), "red-drum", 3)
	log := w.log(120)
	before, err := evidence.Fit(w.book, log[:119], nil)
	require.NoError(t, err)
	after, err := evidence.Fit(w.book, log, before)
	require.NoError(t, err)
	at, err := evidence.Fit(w.book, log, nil)
	require.NoError(t, err)
	one := make([]float64, len(w.book.Rules))
	for _, r := range w.rules {
		assert.InDelta(t, at.For(w.target).Mean(r), after.For(w.target).Mean(r), 1e-6)
		one[r] = 0.3
	}
	assert.InEpsilon(t, at.For(w.target).Variance(one), after.For(w.target).Variance(one), 1e-6)
}

// Counts that scatter more than chance has them do hold what is believed more loosely, never more so than the book.
func TestScatterLoosensWhatIsBelieved(t *testing.T) {
	w := newWorld(book(t), "red-drum", 5)
	log := w.log(200)
	wild := make([]evidence.Spell, len(log))
	for i, s := range log {
		s.Fish = math.Round(s.Fish * distuv.Gamma{Alpha: 0.5, Beta: 0.5, Src: w.src}.Rand())
		wild[i] = s
	}
	calm, err := evidence.Fit(w.book, log, nil)
	require.NoError(t, err)
	loose, err := evidence.Fit(w.book, wild, nil)
	require.NoError(t, err)
	assert.Less(t, calm.Dispersion, 1.4)
	assert.Greater(t, loose.Dispersion, 1.8)
	priors := rate.Priors{Book: w.book}
	one := make([]float64, len(w.book.Rules))
	for _, r := range w.rules {
		one[r] = 1
		assert.LessOrEqual(t, loose.For(w.target).Variance(one), priors.Variance(one)+1e-9)
	}
}

func TestWhatCannotBeLearntFrom(t *testing.T) {
	b := book(t)
	ok := evidence.Spell{Target: "red-drum", Spot: "bar", RodHours: 1}
	for name, change := range map[string]func(*evidence.Spell){
		"no effort": func(s *evidence.Spell) { s.RodHours = 0 },
		"no fish":   func(s *evidence.Spell) { s.Fish = math.NaN() },
		"unicorn":   func(s *evidence.Spell) { s.Target = "unicorn" },
		"nowhere":   func(s *evidence.Spell) { s.Spot = "" },
		"no rule":   func(s *evidence.Spell) { s.Rules = []evidence.Spoke{{Rule: len(b.Rules), More: 1}} },
	} {
		s := ok
		change(&s)
		_, err := evidence.Fit(b, []evidence.Spell{ok, s}, nil)
		require.ErrorContains(t, err, "spell 1", name)
	}
	c := rate.NewContrast(rate.Priors{Book: b}, len(b.Rules))
	level, open, none := [conditions.Scenarios]float64{}, [conditions.Scenarios]float64{}, [conditions.Scenarios]float64{}
	for k := range level {
		level[k], open[k] = 0.5, float64(k%2)
	}
	c.Add(playbook.There, 1, &level, &none)
	c.Add(playbook.There, 2, &none, &none)
	c.Add(playbook.There, 3, &open, &none)
	assert.Equal(t, []evidence.Spoke{{Rule: 1, More: 0.5}, {Rule: 3, More: 0.5, Either: open[:]}}, evidence.SpokeOf(c))
}

// A reading that is not known: over the scenarios a spell says less of the rule than where it is known, and one in which
// the rule cannot have held in full says so. What bites and is not landed speaks of where and when, at half its weight,
// and not of what was on the hook.
func TestWhatIsNotKnownAndWhatIsNotLanded(t *testing.T) {
	b := book(t)
	there, taken := -1, -1
	for _, r := range b.About("red-drum") {
		if b.Rules[r].Part == playbook.There && !b.Rules[r].Presence() {
			there = r
		}
		if b.Rules[r].Part == playbook.Taken {
			taken = r
		}
	}
	fit := func(change func(*evidence.Spell)) evidence.Belief {
		log := make([]evidence.Spell, 40)
		for i := range log {
			log[i] = evidence.Spell{Target: "red-drum", Spot: "bar", RodHours: 2, Fish: float64(i % 2 * 3),
				Rules: []evidence.Spoke{{Rule: there, More: float64(i % 2)}, {Rule: taken, More: float64(i%2) / 2}}}
			change(&log[i])
		}
		e, err := evidence.Fit(b, log, nil)
		require.NoError(t, err)
		return e.For("red-drum")
	}
	spread := func(of evidence.Belief, rule int) float64 {
		one := make([]float64, len(b.Rules))
		one[rule] = 1
		return math.Sqrt(of.Variance(one))
	}
	known := fit(func(*evidence.Spell) {})
	unknown := fit(func(s *evidence.Spell) {
		s.Rules[0].More = 0.5
		s.Rules[0].Either = []float64{0, 1, 0, 1, 0, 1, 0, 1}
	})
	assert.Greater(t, known.Mean(there), b.Rules[there].Prior.Mean)
	assert.Less(t, spread(known, there), spread(unknown, there))
	same := fit(func(s *evidence.Spell) {
		m := s.Rules[0].More
		s.Rules[0].Either = []float64{m, m, m, m, m, m, m, m}
	})
	assert.InDelta(t, known.Mean(there), same.Mean(there), 1e-9)

	bites := func(n float64) evidence.Belief {
		return fit(func(s *evidence.Spell) { s.Told, s.Contacts, s.Fish = true, n*s.Rules[0].More, 1 })
	}
	assert.Greater(t, bites(6).Mean(there), bites(0).Mean(there))
	assert.Less(t, bites(6).Mean(taken)-bites(0).Mean(taken), (bites(6).Mean(there)-bites(0).Mean(there))/4)
}

func BenchmarkFit2k(b *testing.B) {
	w := newWorld(book(b), "red-drum", 1)
	log := w.log(2000)
	for b.Loop() {
		if _, err := evidence.Fit(w.book, log, nil); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkOneMore(b *testing.B) {
	w := newWorld(book(b), "red-drum", 1)
	log := w.log(2000)
	before, err := evidence.Fit(w.book, log[:1999], nil)
	require.NoError(b, err)
	for b.Loop() {
		if _, err := evidence.Fit(w.book, log, before); err != nil {
			b.Fatal(err)
		}
	}
}
