package playbook

import (
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
)

func TestChangesLieOverTheBook(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	same, err := b.Over(Overlay{})
	require.NoError(t, err)
	assert.Same(t, b, same)

	changed, err := b.Over(Overlay{Changes: map[string]Change{"moving-water": {Off: true},
		"slack-water": {Effect: "hopeless", Certainty: "firm"}, "a rule to come": {Off: true}}})
	require.NoError(t, err)
	slack, _ := changed.Rule("slack-water")
	assert.Equal(t, prior("hopeless", "firm"), slack.Prior)
	was, _ := b.Rule("slack-water")
	assert.Equal(t, "clear minus", was.Effect, "the book itself stays as it is")
	off, _ := changed.Rule("moving-water")
	assert.True(t, off.Off())
	_, known := changed.Rule("nonsense")
	assert.False(t, known)

	for want, c := range map[string]Change{"unknown effect": {Effect: "miracle"}, "unknown certainty": {Certainty: "sworn"}} {
		_, err := b.Over(Overlay{Changes: map[string]Change{"moving-water": c}})
		assert.ErrorContains(t, err, want)
	}
	assert.Equal(t, "hopeless", Effects()[0])
	assert.Equal(t, "strong plus", Effects()[len(Effects())-1])
	assert.Equal(t, []string{"firm", "usual", "disputed"}, Certainties())
}

// A rule switched off applies nowhere, and gives its share of the family back.
func TestARuleSwitchedOffHasNoEffect(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	rapid.Check(t, func(t *rapid.T) {
		i := rapid.IntRange(0, len(b.Rules)-1).Draw(t, "rule")
		target := rapid.SampledFrom(b.Targets).Draw(t, "target").ID
		without, err := b.Over(Overlay{Changes: map[string]Change{b.Rules[i].ID: {Off: true}}})
		require.NoError(t, err)
		f := anyFacts(t, b)
		before, after := make([]float64, len(b.Rules)), make([]float64, len(b.Rules))
		b.Weights(target, &f, before)
		without.Weights(target, &f, after)
		assert.Zero(t, after[i])
		for k := range after {
			if k == i {
				continue
			}
			if b.Rules[k].group != b.Rules[i].group {
				assert.Equal(t, before[k], after[k], "other families do not notice")
			} else {
				assert.GreaterOrEqual(t, after[k], before[k]-1e-12)
			}
		}
	})
}

// What is left of a book once the words of a place are settled weighs what the whole does: what
// nothing on the hook changes, and what is about that.
func TestApplicableRulesWeighAsTheBook(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	rapid.Check(t, func(t *rapid.T) {
		target := rapid.SampledFrom(b.Targets).Draw(t, "target").ID
		base := anyFacts(t, b)
		var facts [conditions.Scenarios]Facts
		var p Presented
		for k := range facts {
			facts[k] = base
			for m := range uncertain {
				facts[k].Measure[m] = rapid.OneOf(rapid.Float64Range(0, 30), rapid.Just(math.NaN())).Draw(t, "reading")
			}
			p.Light[k] = facts[k].Measure[LureLight]
		}
		p.Facts = base
		open := func(w Word) bool { return Plain(w) || Offered(w) }
		got := map[int][conditions.Scenarios]float64{}
		for _, w := range b.Applicable(target, &base, open, Untaken).Weigh(&facts, nil) {
			got[w.Rule] = w.W
		}
		for _, w := range b.Applicable(target, &base, open, OnlyTaken).Here(&facts).Weigh(&p, nil) {
			got[w.Rule] = w.W
		}
		alone := make([]float64, len(b.Rules))
		for k := range facts {
			b.Weights(target, &facts[k], alone)
			for i, want := range alone {
				if w := got[i][k]; math.Abs(want-w) > 1e-12 || (want != want) != (w != w) {
					t.Fatalf("%s weighs %v among those that apply, %v in the book", b.Rules[i].ID, w, want)
				}
			}
		}
	})
}

const ownRule = `rules:
- id: pelican-post
  says: Under the old post on the ebb
  idea: mine
  origin: my own
  family: mark
  effect: clear plus
  certainty: usual
  targets: [red-drum]
  when: {all: [{mark: piling}, {stage: ebb}]}
`

// An angler's own file lies over the book: new rules, a target written anew; what it
// gets wrong is named with file and line.
func TestOwnFilesLieOverTheBook(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	mine, err := b.Over(Overlay{Files: []File{{"mine.yaml", []byte(ownRule)}}})
	require.NoError(t, err)
	r, known := mine.Rule("pelican-post")
	require.True(t, known)
	assert.True(t, r.Custom())
	assert.Len(t, mine.Rules, len(b.Rules)+1)

	snook := "targets:\n- {id: snook, name: Snook of mine, latin: X, idea: mine, origin: my own, weight_a: 0.01, weight_b: 3, " +
		"senses: sight, column: top, " +
		"feeds: {from: 18 °C, to: 30 °C}, lives: [pier], takes: [live-shrimp, pinfish, walking-plug], hooks: \"1/0\", " +
		"strikes: {from: 10 cm, to: 20 cm}, hazard: pilings, handling: gently}\n"
	over, err := b.Over(Overlay{Files: []File{{"snook.yaml", []byte(snook)}}})
	require.NoError(t, err)
	target, err := over.Target("snook")
	require.NoError(t, err)
	assert.Equal(t, "Snook of mine", target.Name)
	assert.Len(t, over.Targets, len(b.Targets))
	_, had := over.Rule("snook-gone")
	assert.False(t, had, "the book's rules of it went with it")
	was, err := b.Target("snook")
	require.NoError(t, err)
	assert.Equal(t, "Common snook", was.Name)

	for text, want := range map[string]string{
		"offerings: []": `mine.yaml:1: unknown key "offerings"`,
		strings.ReplaceAll(ownRule, "pelican-post", "moving-water"): `mine.yaml:2: "moving-water" is defined twice`,
		strings.ReplaceAll(ownRule, "piling", "postt"):              `mine.yaml:10: unknown mark "postt"`,
	} {
		_, err := b.Over(Overlay{Files: []File{{"mine.yaml", []byte(text)}}})
		assert.ErrorContains(t, err, want)
	}
}

// The position taken in a school decides which of its rules speak.
func TestSchoolsAreTaken(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	assert.Equal(t, "beneath", b.Chosen("Q6"))
	speaks := func(b *Book, rule string) bool {
		return slices.ContainsFunc(b.About("red-drum"), func(i int) bool { return b.Rules[i].ID == rule })
	}
	far, err := b.Over(Overlay{Schools: map[string]string{"Q6": "far"}})
	require.NoError(t, err)
	assert.True(t, speaks(b, "beneath-your-feet") && !speaks(b, "far-from-the-pier"))
	assert.True(t, !speaks(far, "beneath-your-feet") && speaks(far, "far-from-the-pier"))
	for want, chosen := range map[string]map[string]string{"unknown school": {"Q99": "x"}, "known are beneath, far": {"Q6": "sideways"}} {
		_, err := b.Over(Overlay{Schools: chosen})
		assert.ErrorContains(t, err, want)
	}
}

func TestLintFindsWhatIsHardlyMeant(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	rule := func(id, effect, when string) string {
		return "- {id: " + id + ", says: x, idea: mine, origin: my own, family: flow, effect: " + effect +
			", certainty: usual, targets: [red-drum], when: " + when + "}\n"
	}
	for when, want := range map[string]string{
		"{depth: {above: 500 m, soft: 1 m}}":                                                             "no depth satisfies it",
		"{all: [{depth: {above: 3 m, soft: 0.5 m}}, {depth: {below: 1 m, soft: 0.5 m}}]}":                "no depth satisfies it",
		"{all: [{place: pier}, {place: jetty}]}":                                                         "no place is all it asks for",
		"{all: [{place: pier}, {not: {place: [pier, jetty]}}]}":                                          "no place is all it asks for",
		"{offering: squid-strip}":                                                                        "that red-drum is offered",
		"{water_temp: {above: -60 °C, soft: 1 °C}}":                                                      "always applies",
		"{rain: {above: 3 mm, soft: 2 mm}}":                                                              "no source tells",
		"{flow_share: {above: 35 %, soft: 25 %}}":                                                        `contradicts "moving-water"`,
		"{all: [{trait: scent}, {trait: small}, {mark: edge}, {water_temp: {above: 3 °C, soft: 1 °C}}]}": "",
	} {
		found, err := b.Check(File{"mine.yaml", []byte("rules:\n" + rule("mine", "clear minus", when))})
		require.NoError(t, err, when)
		if want == "" {
			assert.Empty(t, found, when)
			continue
		}
		if assert.NotEmpty(t, found, when) {
			assert.Contains(t, found[0].String(), want, when)
		}
	}
	found, err := b.Check(File{"mine.yaml", []byte("rules:\n" + rule("a", "clear plus", "{mark: edge}") +
		rule("b", "clear plus", "{mark: edge}"))})
	require.NoError(t, err)
	require.Len(t, found, 1)
	assert.Contains(t, found[0].String(), `repeats "b"`)
	_, err = b.Check(File{"mine.yaml", []byte("rules: [{}]")})
	assert.ErrorContains(t, err, "mine.yaml:1")

	// The shipped book itself is clean, but for what is noted.
	for _, f := range b.Lint(func(*Rule) bool { return true }) {
		assert.Contains(t, f.Says, "only when somebody notes it", f.String())
	}
}

// What is written is read back the same.
func TestTargetsAndRulesAreWrittenAsTheyAreRead(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	for i := range b.Targets {
		source, err := b.Targets[i].Source()
		require.NoError(t, err)
		again, err := b.Over(Overlay{Files: []File{{"t.yaml", source}}})
		require.NoError(t, err, "%s", source)
		got, err := again.Target(b.Targets[i].ID)
		require.NoError(t, err)
		assert.True(t, got.Custom)
		got.Custom = false
		assert.Equal(t, b.Targets[i], *got)
		assert.Len(t, again.Rules, len(b.Rules))
	}
	source, err := CustomRule{ID: "mine", Says: "On the ebb: deep", Family: "depth", Effect: "clear plus", Certainty: "usual",
		Targets: []string{"red-drum"}, When: []Condition{{Of: "stage", Any: []string{"ebb"}}, {Of: "depth", Above: "2 m", Soft: "0.5 m"},
			{Of: "place", Any: []string{"pier"}, Not: true}}}.Source()
	require.NoError(t, err)
	mine, err := b.Over(Overlay{Files: []File{{"r.yaml", source}}})
	require.NoError(t, err, "%s", source)
	r, _ := mine.Rule("mine")
	f := ordinary()
	f.Say(Stage, "ebb")
	f.Measure[Depth] = 3
	assert.Equal(t, 1.0, r.Weight(&f))
	f.Say(Place, "pier")
	assert.Zero(t, r.Weight(&f))
	_, err = CustomRule{ID: "x"}.Source()
	assert.ErrorContains(t, err, "at least one condition")
}

// What is joined into one file and split again loads to the same book.
func TestOwnFilesAreJoinedAndSplit(t *testing.T) {
	b, err := Builtin()
	require.NoError(t, err)
	snook, err := b.Target("snook")
	require.NoError(t, err)
	mine := *snook
	mine.ID, mine.Name = "my-snook", "Snook of mine"
	source, err := mine.Source()
	require.NoError(t, err)
	files := []File{{"a", source}, {"b", []byte(strings.ReplaceAll(ownRule, "red-drum", "my-snook"))}}
	one, err := Join(files)
	require.NoError(t, err)
	entries, err := Split(File{"all.yaml", one})
	require.NoError(t, err)
	require.Len(t, entries, 2)
	assert.Equal(t, []string{"target", "rule"}, []string{entries[0].Kind, entries[1].Kind})
	assert.Equal(t, []string{"my-snook", "pelican-post"}, []string{entries[0].ID, entries[1].ID})
	var again []File
	for _, e := range entries {
		again = append(again, File{e.ID, e.Source})
	}
	x, err := b.Over(Overlay{Files: files})
	require.NoError(t, err)
	y, err := b.Over(Overlay{Files: again})
	require.NoError(t, err)
	assert.Equal(t, x.Rules, y.Rules)
	assert.Equal(t, x.Targets, y.Targets)
	empty, err := Join(nil)
	require.NoError(t, err)
	none, err := Split(File{"none.yaml", empty})
	require.NoError(t, err)
	assert.Empty(t, none)
	_, err = Split(File{"bad.yaml", []byte("rules:\n- {says: nothing}\n")})
	assert.ErrorContains(t, err, "bad.yaml:2")
}

// Whatever a file of one's own holds, it is refused with file and line or splits into
// entries that are read again.
func FuzzSplit(f *testing.F) {
	f.Add([]byte(ownRule))
	f.Add([]byte("targets: [{id: a}]\nrules: [{id: b}, {id: &x c}]"))
	f.Add([]byte("rules: [*x]"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		entries, err := Split(File{"f.yaml", raw})
		if err != nil {
			if !strings.HasPrefix(err.Error(), "f.yaml:") {
				t.Fatal(err)
			}
			return
		}
		var files []File
		for _, e := range entries {
			files = append(files, File{e.ID, e.Source})
		}
		if _, err := Join(files); err != nil {
			t.Fatalf("%v of %q", err, raw)
		}
	})
}
