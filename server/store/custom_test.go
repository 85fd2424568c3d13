package store_test

import (
	"context"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/server/store"
)

// Whatever a thing is, it comes back as it was put.
func TestAThingOwnedComesBackAsItWas(t *testing.T) {
	ctx := context.Background()
	angler, _ := someone(t)
	rapid.Check(t, func(rt *rapid.T) {
		number := func(name string, most float64) float64 { return rapid.Float64Range(0, most).Draw(rt, name) }
		i := kit.Item{Kind: rapid.SampledFrom([]kit.Kind{kit.Lure, kit.Bait}).Draw(rt, "kind"),
			Name: rapid.StringMatching(`[A-Za-zéß0-9 "',;]{1,40}[a-z]`).Draw(rt, "name"), Offering: "x",
			LengthM: number("length", 1), WeightKg: number("weight", 1), RatedM: number("rated", 10), FallMS: number("fall", 3),
			Finish:    rapid.SampledFrom(append(playbook.Finishes, "")).Draw(rt, "finish"),
			SnagProof: rapid.Bool().Draw(rt, "snag"), InHand: rapid.Bool().Draw(rt, "hand"), Count: rapid.IntRange(0, 99).Draw(rt, "count")}
		at := id()
		revision, err := s.PutKitItem(ctx, angler, at, i, 0)
		if err != nil || revision != 1 {
			rt.Fatalf("revision %d, %v", revision, err)
		}
		list, err := s.Kit(ctx, angler)
		if err != nil || len(list) != 1 {
			rt.Fatalf("%d things, %v", len(list), err)
		}
		i.ID = at.String()
		if list[0].Item != i {
			rt.Fatalf("put %+v, got %+v", i, list[0].Item)
		}
		if err := s.DeleteKitItem(ctx, angler, at); err != nil {
			rt.Fatal(err)
		}
	})
}

func TestAKitIsAnAnglersOwnAndInTheOrderOfTheLine(t *testing.T) {
	ctx := context.Background()
	angler, _ := someone(t)
	other, _ := someone(t)
	list := kit.Templates()
	// Backwards: the order is not that of entering.
	var back []kit.Item
	for k := len(list) - 1; k >= 0; k-- {
		back = append(back, list[k])
	}
	require.NoError(t, s.PutKitItems(ctx, angler, back))
	got, err := s.Kit(ctx, angler)
	require.NoError(t, err)
	require.Len(t, got, len(list))
	rank := map[kit.Kind]int{}
	for k, kind := range kit.Kinds {
		rank[kind] = k
	}
	for k := 1; k < len(got); k++ {
		assert.LessOrEqual(t, rank[got[k-1].Kind], rank[got[k].Kind])
	}
	none, err := s.Kit(ctx, other)
	require.NoError(t, err)
	assert.Empty(t, none)
	at := uuid.MustParse(got[0].ID)
	assert.ErrorIs(t, s.DeleteKitItem(ctx, other, at), store.ErrNotFound)
	_, err = s.PutKitItem(ctx, other, at, got[0].Item, 1)
	assert.ErrorIs(t, err, store.ErrNotFound)

	// Two writers: the second has not seen the first.
	first, second := got[0].Item, got[0].Item
	first.Name, second.Name = "First", "Second"
	_, err = s.PutKitItem(ctx, angler, at, first, 1)
	require.NoError(t, err)
	_, err = s.PutKitItem(ctx, angler, at, second, 1)
	assert.ErrorAs(t, err, new(store.ConflictError))
	_, err = s.PutKitItem(ctx, angler, id(), kit.Item{Kind: kit.Rod, Name: "no length"}, 0)
	assert.ErrorContains(t, err, "needs its length")
	_, err = s.PutKitItem(ctx, angler, id(), first, 7)
	assert.ErrorIs(t, err, store.ErrNotFound, "changed, but deleted meanwhile")
}

func TestAnOverlayIsAnAnglersOwn(t *testing.T) {
	ctx := context.Background()
	angler, _ := someone(t)
	other, _ := someone(t)
	require.NoError(t, s.PutCustom(ctx, angler, store.CustomRule, "b", []byte("rules: []")))
	require.NoError(t, s.PutCustom(ctx, angler, store.CustomTarget, "a", []byte("targets: []")))
	require.NoError(t, s.PutCustom(ctx, angler, store.CustomRule, "b", []byte("rules: [] # anew")))
	require.NoError(t, s.PutSchool(ctx, angler, "Q6", "far"))
	require.NoError(t, s.PutRuleChange(ctx, angler, "slack-water", playbook.Change{Off: true}))
	o, err := s.Overlay(ctx, angler)
	require.NoError(t, err)
	require.Len(t, o.Files, 2)
	assert.Equal(t, "target a", o.Files[0].Name, "targets before the rules that speak of them")
	assert.Equal(t, "rules: [] # anew", string(o.Files[1].Data))
	assert.Equal(t, map[string]string{"Q6": "far"}, o.Schools)
	assert.True(t, o.Changes["slack-water"].Off)
	theirs, err := s.Overlay(ctx, other)
	require.NoError(t, err)
	assert.True(t, theirs.Empty())
	assert.ErrorIs(t, s.DeleteCustom(ctx, other, store.CustomRule, "b"), store.ErrNotFound)
	require.NoError(t, s.DeleteCustom(ctx, angler, store.CustomRule, "b"))
	require.NoError(t, s.PutSchool(ctx, angler, "Q6", ""))
	o, err = s.Overlay(ctx, angler)
	require.NoError(t, err)
	assert.Empty(t, o.Schools)
	assert.Len(t, o.Files, 1)

	// All or none: a kind the table does not know spoils the first as well.
	err = s.PutAllCustom(ctx, angler, []playbook.Entry{{Kind: store.CustomRule, ID: "fine", Source: []byte("x")},
		{Kind: "nonsense", ID: "y", Source: []byte("x")}})
	assert.Error(t, err)
	o, err = s.Overlay(ctx, angler)
	require.NoError(t, err)
	assert.Len(t, o.Files, 1)
}
