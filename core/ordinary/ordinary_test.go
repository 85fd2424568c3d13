package ordinary

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/playbook"
)

func book(t testing.TB) *playbook.Book {
	b, err := playbook.Builtin()
	require.NoError(t, err)
	return b
}

// Five hundred spells are enough: with four times as many no edge moves by more than a
// hundredth.
func TestAFewHundredSpellsAreEnough(t *testing.T) {
	b := book(t)
	worst := 0.0
	for i := range b.Targets {
		target := &b.Targets[i]
		few, many := means(b, target, Points), means(b, target, 4*Points)
		d := 0.0
		for r := range few {
			d += b.Rules[r].Prior.Mean * (few[r] - many[r])
		}
		worst = math.Max(worst, math.Abs(d))
		assert.InDelta(t, 0, d, 0.01, target.ID)
	}
	t.Logf("worst %.4f", worst)
}

func TestEveryKindOfPlaceHasItsMarks(t *testing.T) {
	for _, p := range ground.Places {
		require.NotEmpty(t, usualMarks[p], p)
		for _, m := range usualMarks[p] {
			_, err := ground.ParseMarkKind(string(m.Kind))
			assert.NoError(t, err)
			assert.True(t, ground.KnownBottom(m.Bottom))
		}
	}
}

// An ordinary spell is at a place, in a month and at a temperature the fish lives in, and has
// an ordinary share of everything else.
func TestAnOrdinarySpellIsOrdinary(t *testing.T) {
	b := book(t)
	for i := range b.Targets {
		target := &b.Targets[i]
		w := Of(b, target)
		for _, r := range b.About(target.ID) {
			assert.True(t, w[r] >= 0 && w[r] <= 1, b.Rules[r].ID)
			if b.Rules[r].Presence() {
				assert.Zero(t, w[r], b.Rules[r].ID)
			}
		}
	}
	drum, err := b.Target("red-drum")
	require.NoError(t, err)
	w := Of(b, drum)
	at := func(id string) float64 {
		for i := range b.Rules {
			if b.Rules[i].ID == id {
				return w[i]
			}
		}
		t.Fatal(id)
		return 0
	}
	assert.InDelta(t, 0.85, at("red-drum-warmth"), 0.1)
	assert.InDelta(t, 0.6, at("moving-water"), 0.15)
	assert.InDelta(t, 0.15, at("slack-water"), 0.1)
	assert.Zero(t, at("birds"), "signs are no part of it")
	again := book(t)
	assert.Equal(t, w, Of(again, drum), "the same for everyone")
}

func BenchmarkOf(b *testing.B) {
	k := book(b)
	for b.Loop() {
		means(k, &k.Targets[0], Points)
	}
}

// Whatever an ordinary spell has enough of to be missed has words for being missed.
func TestWhatCanBeMissedHasWordsForIt(t *testing.T) {
	b := book(t)
	for i := range b.Targets {
		w := Of(b, &b.Targets[i])
		for _, r := range b.About(b.Targets[i].ID) {
			k := &b.Rules[r]
			if k.Part != playbook.Taken && k.Prior.Mean > 0 && w[r]*k.Prior.Mean > 0.03 {
				assert.NotEmpty(t, k.Lacks, "%s for %s", k.ID, b.Targets[i].ID)
			}
		}
	}
}
