package playbook

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
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
	assert.Len(t, b.Targets, 8)
	for _, target := range b.Targets {
		approaches := map[string]bool{}
		for i := range b.Offerings {
			if o := &b.Offerings[i]; o.For(target.ID) {
				approaches[o.Approach] = true
				assert.NotEmpty(t, b.RigsOf(o))
			}
		}
		assert.True(t, approaches["live bait"] && approaches["cut bait"], "%s needs live and cut bait: %v", target.Name, approaches)
		// Sheepshead crush shells; lures are not for them (common practice).
		assert.Equal(t, target.ID != "sheepshead", approaches["lure"], target.Name)
	}
	for _, r := range b.Rules {
		assert.Regexp(t, `^(common practice|from memory|published: .+)$`, r.Origin, r.ID)
		assert.Regexp(t, `^[TSWCPFBLRADQ]\d+$`, r.Idea, r.ID)
	}
}

func TestWordsBecomePriors(t *testing.T) {
	p := prior("strong plus", "disputed")
	assert.InDelta(t, math.Log(1.6), p.Mean, 1e-12)
	assert.Equal(t, 0.5, p.SD)
}

// withRule wraps a "when" in the smallest playbook that holds it.
func withRule(when string) []File {
	return []File{{"mine.yaml", []byte("rules:\n- id: x\n  says: y\n  idea: T1\n  origin: common practice\n  family: flow\n  effect: clear plus\n  certainty: usual\n  when: " + when + "\n")}}
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
	f.Word[MarkKind] = "edge"
	f.Traits = []string{"scent"}
	assert.Equal(t, 1.0, weightOf(t, "{all: [{mark: [crest, edge]}, {trait: scent}]}", f))
	assert.Equal(t, 0.0, weightOf(t, "{all: [{mark: crest}, {trait: scent}]}", f))
	assert.Equal(t, 1.0, weightOf(t, "{any: [{mark: crest}, {trait: scent}]}", f))
	assert.Equal(t, 1.0, weightOf(t, "{not: {mark: crest}}", f))
}

func TestFamiliesDoNotStack(t *testing.T) {
	b := builtinBook(t)
	rapid.Check(t, func(t *rapid.T) {
		f := anyFacts(t, b)
		target := rapid.SampledFrom(b.targetIDs()).Draw(t, "target")
		dst := make([]float64, len(b.Rules))
		b.Weights(target, &f, dst)
		sums := map[string]float64{}
		for i, w := range dst {
			if w < 0 || w > 1 || math.IsNaN(w) {
				t.Fatalf("weight %v of %s", w, b.Rules[i].ID)
			}
			if w > 0 && !b.Rules[i].Concerns(target) {
				t.Fatalf("%s does not speak of %s", b.Rules[i].ID, target)
			}
			sums[b.Rules[i].Family] += w
		}
		for family, s := range sums {
			if s > 1+1e-9 {
				t.Fatalf("family %s adds to %v", family, s)
			}
		}
	})
}

func anyFacts(t *rapid.T, b *Book) Facts {
	var f Facts
	for m := range f.Measure {
		f.Measure[m] = rapid.Float64Range(-5, 50).Draw(t, measures[m].name)
	}
	for w := range f.Word {
		vocabulary := words[w].vocabulary
		if Word(w) == OfferingID {
			vocabulary = b.offeringIDs()
		}
		f.Word[w] = rapid.SampledFrom(vocabulary).Draw(t, words[w].name)
	}
	f.Traits = rapid.SliceOfDistinct(rapid.SampledFrom(traits), rapid.ID[string]).Draw(t, "traits")
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
	for range 60_000 {
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
	for m, span := range map[Measure][2]float64{Level: {-0.3, 1.8}, RiseRate: {-0.5, 0.5}, Flow: {0, 0.5}, Elapsed: {0, 1}, SunAltitude: {-30, 80},
		DaysFromFull: {0, 15 * 86400}, Secchi: {0.1, 4}, WaterTemp: {4, 33}, WindSpeed: {0, 14}, Depth: {0, 4}, CrestDepth: {-0.8, 1}} {
		f.Measure[m] = span[0] + r.Float64()*(span[1]-span[0])
	}
	f.Measure[SurfaceLight] = math.Pow(10, -3+8*r.Float64())
	f.Measure[LureLight] = f.Measure[SurfaceLight] * r.Float64()
	for w := range f.Word {
		vocabulary := words[w].vocabulary
		if Word(w) == OfferingID {
			vocabulary = b.offeringIDs()
		}
		f.Word[w] = vocabulary[r.IntN(len(vocabulary))]
	}
	f.Traits = []string{traits[r.IntN(len(traits))], traits[r.IntN(len(traits))]}
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
}

func FuzzLoad(f *testing.F) {
	for _, name := range []string{"rules.yaml", "targets.yaml", "tackle.yaml"} {
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
	fmt.Println(err)
	// Output: mine.yaml:4: unknown key "whenn"; known are id, says, idea, origin, family, effect, certainty, school, targets, when
}

// Where the new rules must speak and where they must not: a case of each.
func TestRulesSpeakWhereTheyShould(t *testing.T) {
	b := builtinBook(t)
	facts := func(set func(f *Facts)) *Facts {
		f := &Facts{}
		f.Measure[Secchi], f.Measure[WaterTemp], f.Measure[Depth], f.Measure[Level], f.Measure[Flow], f.Measure[Elapsed] = 1, 20, 1.5, 0.7, 0.25, 0.5
		f.Word[Place], f.Word[MarkKind], f.Word[Stage], f.Word[Bottom], f.Word[Column] = "estuary", "slope", "flood", "mud", "bottom"
		set(f)
		return f
	}
	place := func(place, mark string) func(f *Facts) {
		return func(f *Facts) { f.Word[Place], f.Word[MarkKind] = place, mark }
	}
	and := func(all ...func(f *Facts)) func(f *Facts) {
		return func(f *Facts) {
			for _, one := range all {
				one(f)
			}
		}
	}
	temp := func(c float64) func(f *Facts) { return func(f *Facts) { f.Measure[WaterTemp] = c } }
	stage := func(s string, elapsed float64) func(f *Facts) {
		return func(f *Facts) { f.Word[Stage], f.Measure[Elapsed] = s, elapsed }
	}
	sun := func(deg float64) func(f *Facts) { return func(f *Facts) { f.Measure[SunAltitude] = deg } }
	for rule, c := range map[string]struct{ yes, no func(f *Facts) }{
		"ebb-drains-the-creek":         {and(place("timbered creek", "channel"), stage("ebb", 0.5)), and(place("timbered creek", "channel"), stage("flood", 0.5))},
		"flatfish-low-water":           {stage("ebb", 0.95), stage("flood", 0.9)},
		"canal-in-winter":              {and(place("dug canal", "step"), temp(9)), and(place("dug canal", "step"), temp(24))},
		"wall-at-high-water":           {and(place("seawall", "edge"), func(f *Facts) { f.Measure[Level] = 1.5 }), and(place("seawall", "edge"), func(f *Facts) { f.Measure[Level] = 0.2 })},
		"first-drops-of-the-canal":     {place("dug canal", "step"), place("dug canal", "channel")},
		"canal-creek-mouth":            {place("dug canal", "cut"), place("surf beach", "cut")},
		"potholes-in-the-grass":        {place("grass flat", "hole"), place("grass flat", "flat")},
		"mud-in-the-sun":               {and(place("mud flat", "edge"), temp(9), sun(35)), and(place("mud flat", "edge"), temp(9), sun(-10))},
		"shade-in-the-heat":            {and(place("overhung bank", "pocket"), temp(32)), and(place("overhung bank", "pocket"), temp(20))},
		"pockets-under-branches":       {place("overhung bank", "pocket"), place("overhung bank", "edge")},
		"timber-holds-them":            {place("timbered creek", "timber"), place("timbered creek", "channel")},
		"rock-edge-and-seam":           {place("jetty", "edge"), place("jetty", "channel")},
		"structure-fish":               {place("pier", "piling"), place("pier", "slope")},
		"not-over-sand":                {and(place("surf beach", "trough"), func(f *Facts) { f.Word[Bottom] = "sand" }), place("surf beach", "trough")},
		"slope-of-the-bar":             {place("surf beach", "slope"), place("surf beach", "swash")},
		"ambush-at-the-edge":           {place("estuary", "step"), place("estuary", "flat")},
		"blues-ride-high":              {func(f *Facts) { f.Word[Column] = "mid" }, func(f *Facts) { f.Word[Column] = "bottom" }},
		"crab-for-sheepshead":          {func(f *Facts) { f.Word[OfferingID] = "fiddler-crab" }, func(f *Facts) { f.Word[OfferingID] = "live-shrimp" }},
		"crab-for-black-drum":          {func(f *Facts) { f.Word[OfferingID] = "blue-crab-piece" }, func(f *Facts) { f.Word[OfferingID] = "bucktail" }},
		"minnow-for-flounder":          {func(f *Facts) { f.Word[OfferingID] = "mud-minnow" }, func(f *Facts) { f.Word[OfferingID] = "cut-mullet" }},
		"flash-for-blues":              {func(f *Facts) { f.Traits = []string{"flash"} }, func(f *Facts) { f.Traits = []string{"dark"} }},
		"fast-for-blues":               {func(f *Facts) { f.Word[Pace] = "medium" }, func(f *Facts) { f.Word[Pace] = "slow" }},
		"blues-in-warm-water":          {temp(21), temp(8)},
		"blues-in-the-cold":            {temp(7), temp(21)},
		"sheepshead-in-spring":         {temp(17), temp(29)},
		"crab-and-shrimp-for-kingfish": {func(f *Facts) { f.Word[OfferingID] = "sand-crab-strip" }, func(f *Facts) { f.Word[OfferingID] = "bucktail" }},
	} {
		r, known := b.Rule(rule)
		require.True(t, known, rule)
		assert.Greater(t, r.Weight(facts(c.yes)), 0.9, "%s must speak", rule)
		assert.Less(t, r.Weight(facts(c.no)), 0.2, "%s must not speak", rule)
	}
}
