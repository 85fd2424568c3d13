package playbook

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/quantity"
	"greypebble/core/tackle"
)

func builtinBook(t testing.TB) *Book {
	t.Helper()
	b, err := Builtin()
	require.NoError(t, err)
	return b
}

func TestBuiltinLoads(t *testing.T) {
	b := builtinBook(t)
	assert.GreaterOrEqual(t, len(b.Rules), 20)
	assert.GreaterOrEqual(t, len(b.Targets), 25)
	assert.Len(t, b.Schools, 12)
	for i := range b.Targets {
		target := &b.Targets[i]
		offered := 0
		for j := range b.Offerings {
			if o := &b.Offerings[j]; target.Offered(o.ID) {
				offered++
				assert.NotEmpty(t, o.On())
			}
		}
		assert.GreaterOrEqual(t, offered, 3, "%s needs a choice of offerings", target.Name)
		assert.NotEmpty(t, target.Cautions, target.Name)
	}
	for i := range b.Offerings {
		assert.True(t, slices.ContainsFunc(b.Targets, func(k Target) bool { return k.Offered(b.Offerings[i].ID) }),
			"%s is offered to no target", b.Offerings[i].ID)
	}
	for _, r := range b.Rules {
		assert.Regexp(t, `^(common practice|from memory|published: .+)$`, r.Origin, r.ID)
		assert.Regexp(t, `^[TSWCPFBLRADQV]\d+$`, r.Idea, r.ID)
	}
}

func TestWordsBecomePriors(t *testing.T) {
	p := prior("strong plus", "disputed")
	assert.InDelta(t, math.Log(1.6), p.Mean, 1e-12)
	assert.Equal(t, 0.6, p.SD)
}

// withRule wraps a "when" in the smallest playbook that holds it.
func withRule(when string) []File {
	return []File{{"mine.yaml", []byte("rules:\n- id: x\n  says: y\n  idea: T1\n  origin: common practice\n  family: flow\n  effect: " +
		"clear plus\n  certainty: usual\n  when: " + when + "\n")}}
}

func TestMistakesAreNamedWithFileAndLine(t *testing.T) {
	for when, want := range map[string]string{
		"{flow: {above: 0.1, soft: 0.1 m/h}}":               `mine.yaml:9: "0.1" has no unit`,
		"{flow: {above: 0.1 m, soft: 0.1 m/h}}":             "is a length, expected a rate of rise",
		"{flow: {over: 0.1 m/h, soft: 0.1 m/h}}":            `unknown key "over"`,
		"{flow: {above: 0.1 m/h}}":                          `missing "soft"`,
		"{flow: {above: 0.1 m/h, soft: 0 m/h}}":             "soft must be more than 0",
		"{flow: {soft: 0.1 m/h}}":                           "needs above, below or both",
		"{flow: {above: 2 m/h, below: 1 m/h, soft: 1 m/h}}": "nothing lies between",
		"{mark: reeef}":                                     `unknown mark "reeef"`,
		"{colour: red}":                                     `unknown key "colour"`,
		"{flow: {above: 1 m/h, soft: 1 m/h}, mark: edge}":   "expected one condition here, not 2",
		"{all: []}":           "at least one condition",
		"{offering: herring}": `unknown offering "herring"`,
		"high tide":           "expected keys and values",
	} {
		_, err := Load(withRule(when))
		if assert.Error(t, err, when) {
			assert.Contains(t, err.Error(), want, when)
			assert.Contains(t, err.Error(), "mine.yaml:9:", when)
		}
	}
	for text, want := range map[string]string{
		"rulez: []":                    `mine.yaml:1: unknown key "rulez"`,
		"rules: []\n---\nrules: []":    "more than one YAML document",
		"rules: [":                     "not a YAML document",
		"rules:\n- id: a\n  says: b\n": `mine.yaml:2: missing "idea"`,
		"":                             "not a YAML document",
		"rules: []\nrules: []":         "twice",
	} {
		_, err := Load([]File{{"mine.yaml", []byte(text)}})
		if assert.Error(t, err, text) {
			assert.Contains(t, err.Error(), want, text)
		}
	}
	twice := append(withRule("{stage: flood}"), withRule("{stage: ebb}")...)
	_, err := Load(twice)
	assert.ErrorContains(t, err, `"x" is defined twice`)
}

func weightOf(t testing.TB, when string, f Facts) float64 {
	t.Helper()
	b, err := Load(withRule(when))
	require.NoError(t, err)
	return b.Rules[0].Weight(&f)
}

func TestEdgesAreSoft(t *testing.T) {
	when := "{depth: {above: 1 m, below: 2 m, soft: 0.2 m}}"
	for depth, want := range map[float64]float64{0.5: 0, 0.9: 0, 1: 0.5, 1.1: 1, 1.5: 1, 2: 0.5, 2.05: 0.25, 2.2: 0} {
		var f Facts
		f.Measure[Depth] = depth
		assert.InDelta(t, want, weightOf(t, when, f), 1e-9, depth)
	}
	var f Facts
	f.Say(MarkKind, "edge")
	f.Say(Trait, "scent")
	assert.Equal(t, 1.0, weightOf(t, "{all: [{mark: [crest, edge]}, {trait: scent}]}", f))
	assert.Equal(t, 0.0, weightOf(t, "{all: [{mark: crest}, {trait: scent}]}", f))
	assert.Equal(t, 1.0, weightOf(t, "{any: [{mark: crest}, {trait: scent}]}", f))
	assert.Equal(t, 1.0, weightOf(t, "{not: {mark: crest}}", f))
	assert.Equal(t, 0.0, weightOf(t, "{not: {place: pier}}", f), "nothing is said of the place")
}

// What is not known is not known, whichever way it is asked; where what is known settles it, it is.
func TestTheUnknownIsUnknown(t *testing.T) {
	f := Nothing()
	for _, when := range []string{"{rain: {above: 4 mm, soft: 4 mm}}", "{rain: {below: 4 mm, soft: 4 mm}}",
		"{not: {rain: {above: 4 mm, soft: 4 mm}}}"} {
		assert.True(t, math.IsNaN(weightOf(t, when, f)), when)
	}
	f.Say(Place, "pier")
	assert.Zero(t, weightOf(t, "{all: [{place: reef}, {rain: {above: 4 mm, soft: 4 mm}}]}", f))
	assert.Equal(t, 1.0, weightOf(t, "{any: [{place: pier}, {rain: {above: 4 mm, soft: 4 mm}}]}", f))
}

// all, any and not are rewritten into alternatives: the weight is what min, max and
// 1 − w give.
func TestAlternativesWeighWhatTheyWereWrittenAs(t *testing.T) {
	const ramp1, ramp2, ramp3 = "{depth: {above: 1 m, soft: 1 m}}", "{secchi: {below: 1 m, soft: 1 m}}",
		"{flow: {above: 0.2 m/h, below: 0.6 m/h, soft: 0.2 m/h}}"
	rapid.Check(t, func(t *rapid.T) {
		var f Facts
		f.Measure[Depth] = rapid.Float64Range(0, 2).Draw(t, "depth")
		f.Measure[Secchi] = rapid.Float64Range(0, 2).Draw(t, "secchi")
		f.Measure[Flow] = rapid.Float64Range(0, 1).Draw(t, "flow")
		w := func(when string) float64 {
			b, err := Load(withRule(when))
			if err != nil {
				t.Fatal(err)
			}
			return b.Rules[0].Weight(&f)
		}
		a, b, c := w(ramp1), w(ramp2), w(ramp3)
		for when, want := range map[string]float64{
			"{all: [" + ramp1 + "," + ramp2 + "]}":                                min(a, b),
			"{any: [" + ramp1 + "," + ramp3 + "]}":                                max(a, c),
			"{not: " + ramp3 + "}":                                                1 - c,
			"{not: {any: [" + ramp1 + "," + ramp2 + "]}}":                         1 - max(a, b),
			"{all: [{any: [" + ramp1 + "," + ramp2 + "]}, {not: " + ramp3 + "}]}": min(max(a, b), 1-c),
		} {
			if got := w(when); math.Abs(got-want) > 1e-12 {
				t.Fatalf("%s weighs %v, not %v", when, got, want)
			}
		}
	})
}

// anyFacts there can be.
func anyFacts(t *rapid.T, b *Book) Facts {
	var f Facts
	for m := range f.Measure {
		f.Measure[m] = rapid.Float64Range(-5, 50).Draw(t, measures[m].name)
	}
	for w := range f.Word {
		size := len(b.WordsOf(Word(w)))
		f.Word[w] = 1 << rapid.IntRange(0, size-1).Draw(t, factWords[w].name)
		if factWords[w].several {
			f.Word[w] |= 1 << rapid.IntRange(0, size-1).Draw(t, "and")
		}
	}
	return f
}

// Every shipped rule must be able to apply fully and not at all: one that never
// does is a mistake in its thresholds.
func TestEveryRuleCanApplyAndCanStayAway(t *testing.T) {
	b := builtinBook(t)
	highest, lowest := make([]float64, len(b.Rules)), make([]float64, len(b.Rules))
	for i := range lowest {
		lowest[i] = 1
	}
	random := rand.New(rand.NewPCG(1, 2))
	for range 250_000 {
		f := plausibleFacts(random, b)
		for i := range b.Rules {
			w := b.Rules[i].Weight(&f)
			highest[i], lowest[i] = math.Max(highest[i], w), math.Min(lowest[i], w)
		}
	}
	for i, r := range b.Rules {
		assert.Greater(t, highest[i], 0.95, r.ID)
		assert.Less(t, lowest[i], 0.05, r.ID)
	}
}

// plausibleFacts draws each measure from the range it takes on a coast.
func plausibleFacts(r *rand.Rand, b *Book) Facts {
	var f Facts
	for m, span := range map[Measure][2]float64{Level: {-0.3, 1.8}, RiseRate: {-0.5, 0.5}, Flow: {0, 0.5}, Elapsed: {0, 1},
		SunAltitude: {-30, 80}, TideRange: {0.3, 1.4}, DaysFromFull: {0, 15 * 86400}, DaysAfterFull: {-15 * 86400, 15 * 86400},
		Secchi: {0.1, 4}, WaterTemp: {-1, 36},
		Warming: {-3, 3}, WindSpeed: {0, 16}, Waves: {0, 2.5}, Cloud: {0, 1},
		Rain: {0, 0.03}, LevelShare: {-0.2, 1.1}, FlowShare: {0, 1.1}, SinceLow: {-1, 1}, SinceHigh: {-1, 1}, Standing: {-0.6, 0.6},
		Current: {0, 1.5}, Warmer: {-1, 3}, MidLight: {0, 40_000}, BedLight: {0, 10}, Depth: {0, 4}, CrestDepth: {-0.8, 1}, LureDepth: {0,
			3},
		Clearance: {0, 2}, UnderFish: {-5, 5}, SideCreeks: {0, 8}, Sunless: {0, 1}} {
		f.Measure[m] = span[0] + r.Float64()*(span[1]-span[0])
	}
	f.Measure[SurfaceLight] = math.Pow(10, -3+8*r.Float64())
	f.Measure[LureLight] = f.Measure[SurfaceLight] * r.Float64()
	if r.IntN(8) == 0 {
		f.Measure[Depth] = r.Float64() * 80
	}
	if r.IntN(3) == 0 {
		f.Measure[LureLight] *= math.Exp(-12 * r.Float64())
	}
	for w := range f.Word {
		f.Word[w] = 1 << r.IntN(len(b.WordsOf(Word(w))))
		if factWords[w].several {
			f.Word[w] |= 1 << r.IntN(len(b.WordsOf(Word(w))))
		}
	}
	return f
}

func TestTargetsByAnySpelling(t *testing.T) {
	b := builtinBook(t)
	for _, s := range []string{"red-drum", "red_drum", "Red drum", " RED DRUM ", "Sciaenops ocellatus"} {
		target, err := b.Target(s)
		require.NoError(t, err, s)
		assert.Equal(t, "Red drum", target.Name)
	}
	p, err := b.Target("pompano")
	require.NoError(t, err)
	assert.Equal(t, "florida-pompano", p.ID)
	_, err = b.Target("haddock")
	assert.ErrorContains(t, err, "known are red-drum")
	trout, err := b.Target("seatrout")
	require.NoError(t, err)
	assert.Equal(t, "spotted-seatrout", trout.ID, "the first whose name ends so")
}

func FuzzLoad(f *testing.F) {
	for _, name := range builtinFiles {
		raw, err := os.ReadFile(name)
		require.NoError(f, err)
		f.Add(raw)
	}
	f.Add([]byte("rules:\n- &a {id: *a}"))
	f.Add([]byte("a: &a [*a]"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		_, err := Load([]File{{"f.yaml", raw}})
		if err != nil && !strings.HasPrefix(err.Error(), "f.yaml:") {
			t.Fatal(err)
		}
	})
}

func ExampleLoad() {
	_, err := Load([]File{{"mine.yaml", []byte("rules:\n- id: x\n  says: more water\n  whenn: {stage: flood}\n")}})
	says, _, _ := strings.Cut(err.Error(), ", note")
	fmt.Println(says)
	// Output: mine.yaml:4: unknown key "whenn"; known are id, says, lacks, lacks_high
}

// Fulton's condition of every target's curve is that of a fish: common practice, no
// source. A slip in a parameter from memory would show.
func TestCurvesAreThoseOfFish(t *testing.T) {
	for _, target := range builtinBook(t).Targets {
		kg, err := target.Weight.Mass(0.4)
		require.NoError(t, err)
		k := tackle.Condition(0.4, kg)
		assert.True(t, k > 0.7 && k < 2.8, "%s: K = %.2f at 40 cm", target.Name, k)
	}
}

// What stands in braces in the book can be written in anybody's units.
func TestMeasuresOfTheBookCanBeWritten(t *testing.T) {
	b := builtinBook(t)
	for i := range b.Rules {
		r := &b.Rules[i]
		for _, text := range []string{r.Says, r.Lacks, r.LacksHigh, r.Note} {
			assert.NoError(t, quantity.CheckFill(text), r.ID)
		}
	}
	for i := range b.Targets {
		tg := &b.Targets[i]
		for _, text := range []string{tg.Name, tg.Note, tg.Handling, tg.Stay, tg.StayCold} {
			assert.NoError(t, quantity.CheckFill(text), tg.ID)
		}
	}
}

// One lure in two colours is one thing; a smaller one, another kind, or what the book does not know, is another.
func TestOneLureInTwoColours(t *testing.T) {
	b := builtinBook(t)
	assert.True(t, b.ButForFinish("paddle-tail-white", "paddle-tail-dark"))
	assert.True(t, b.ButForFinish("walking-plug", "dark-walking-plug"))
	for _, pair := range [][2]string{{"paddle-tail-white", "small-paddle-tail"}, {"paddle-tail-white", "paddle-tail-white"},
		{"paddle-tail-dark", "jerk-shad"}, {"live-shrimp", "cut-mullet"}, {"paddle-tail-white", "of my own"}, {"", ""}} {
		assert.False(t, b.ButForFinish(pair[0], pair[1]), pair)
	}
}
