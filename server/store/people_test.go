package store_test

import (
	"bytes"
	"context"
	"encoding/json"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/server/store"
)

var anyCopy = store.CopyChecks{Settings: func([]byte) error { return nil }, Text: func(string) error { return nil }}

// A table that holds what people enter and goes into no copy would lose it: each is either
// copied or kept apart for a reason.
func TestEveryTableIsCopiedOrKeptApart(t *testing.T) {
	var tables []string
	rows, err := s.DB().Query(`SELECT table_name FROM information_schema.tables WHERE table_schema = DATABASE()`)
	require.NoError(t, err)
	defer rows.Close()
	for rows.Next() {
		var name string
		require.NoError(t, rows.Scan(&name))
		tables = append(tables, name)
	}
	assert.ElementsMatch(t, tables, store.CopiedAndKeptApart())
}

func copyOf(t *testing.T, angler uuid.UUID) string {
	var b bytes.Buffer
	require.NoError(t, s.WriteCopy(context.Background(), angler, time.Date(2026, 11, 20, 9, 30, 0, 0, time.UTC), &b))
	require.True(t, json.Valid(b.Bytes()))
	return b.String()
}

func newcomer(t *testing.T) uuid.UUID {
	id := uuid.Must(uuid.NewV7())
	require.NoError(t, s.AddAngler(context.Background(), store.Angler{ID: id, Name: id.String()[:30], PasswordHash: "x"}))
	return id
}

func TestACopyComesBackTheSame(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	_, err := s.PutSpot(ctx, angler, spotAt(water))
	require.NoError(t, err)
	copied := copyOf(t, angler)

	// The ids are taken while the one it came from is here.
	other := newcomer(t)
	var wrong store.CopyError
	require.ErrorAs(t, s.ReadCopy(ctx, other, strings.NewReader(copied), anyCopy), &wrong)
	assert.Contains(t, wrong.Says, "an id of it is taken")
	b, err := s.BelongingsOf(ctx, other)
	require.NoError(t, err)
	assert.True(t, b.Empty(), "nothing half done")
	assert.ErrorIs(t, s.ReadCopy(ctx, angler, strings.NewReader(copied), anyCopy), store.ErrNotEmpty)

	require.NoError(t, s.DeleteAngler(ctx, angler))
	require.NoError(t, s.ReadCopy(ctx, other, strings.NewReader(copied), anyCopy))
	named := func(text string) string { return text[strings.Index(text, `"tables"`):] }
	assert.Equal(t, named(copied), named(copyOf(t, other)))
}

func TestACopyThatIsWrongChangesNothing(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	_, err := s.PutSpot(ctx, angler, spotAt(water))
	require.NoError(t, err)
	copied := copyOf(t, angler)
	someoneElses := water.ID.String()
	require.NoError(t, s.DeleteAngler(ctx, angler))
	victim, theirs := someone(t)
	for says, text := range map[string]string{
		"no JSON from byte":          copied[:len(copied)/2],
		"is no copy":                 "",
		"should say":                 strings.Replace(copied, "grey-pebble-account", "something-else", 1),
		"newer Grey Pebble":          strings.Replace(copied, `"schema": `, `"schema": 9`, 1),
		`there is no table "boats"`:  strings.Replace(copied, `"station": [`, `"boats": [], "station": [`, 1),
		`has no column "colour"`:     strings.Replace(copied, `"amplitude_m":`, `"colour":1,"amplitude_m":`, 1),
		"a value of the kind double": strings.Replace(copied, `"amplitude_m":`, `"amplitude_m":"big","x":`, 1),
		"is not in the copy":         strings.ReplaceAll(copied, `"water_id":"`+someoneElses, `"water_id":"`+theirs.ID.String()),
		"there is no time zone":      strings.Replace(copied, `"time_zone":"`, `"time_zone":"Nowhere/`, 1),
		"the database refuses it":    strings.Replace(copied, `"lat_deg":`, `"lat_deg":1000,"lat_degx":`, 1),
		"stands after its end":       copied + "{}",
	} {
		id := newcomer(t)
		err := s.ReadCopy(ctx, id, strings.NewReader(text), anyCopy)
		var wrong store.CopyError
		if assert.ErrorAs(t, err, &wrong, says) && says != "the database refuses it" && says != "is no copy" {
			assert.Contains(t, wrong.Error(), says)
		}
		b, err := s.BelongingsOf(ctx, id)
		require.NoError(t, err)
		assert.True(t, b.Empty(), says)
	}
	spots, err := s.Spots(ctx, victim)
	require.NoError(t, err)
	assert.Empty(t, spots, "nobody else's water gets a spot")
}

func FuzzReadCopy(f *testing.F) {
	f.Add(`{"format": "grey-pebble-account", "schema": 11, "angler": {"name": "a"}, "tables": {"station": []}}`)
	f.Add(`{"format": "grey-pebble-account", "tables": {"kit_item": [{"id": "00000000-0000-0000-0000-000000000001",
		"kind": "rod", "name": "x"}]}}`)
	id := uuid.Must(uuid.NewV7())
	ctx := context.Background()
	f.Fuzz(func(t *testing.T, text string) {
		_ = s.AddAngler(ctx, store.Angler{ID: id, Name: "copied into", PasswordHash: "x"})
		if s.ReadCopy(ctx, id, strings.NewReader(text), anyCopy) == nil {
			require.NoError(t, s.DeleteAngler(ctx, id))
		}
	})
}

// Deleting leaves nothing of one angler and everything of the others.
func TestDeletingAnAnglerLeavesNothing(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	_, err := s.PutSpot(ctx, angler, spotAt(water))
	require.NoError(t, err)
	follower := store.Station{ID: uuid.New(), Name: "up the creek", Source: "noted", Reference: &water.StationID}
	_, err = s.PutStation(ctx, angler, follower)
	require.NoError(t, err)
	_, err = s.PutWater(ctx, angler, store.Water{ID: uuid.New(), StationID: follower.ID, Name: "creek", TimeZone: "UTC"})
	require.NoError(t, err)
	require.NoError(t, s.SetRecoveryCodes(ctx, angler, [][]byte{bytes.Repeat([]byte{7}, 32)}))
	other, _ := someone(t)
	theirs := copyOf(t, other)

	require.NoError(t, s.DeleteAngler(ctx, angler))
	assert.ErrorIs(t, s.DeleteAngler(ctx, angler), store.ErrNotFound)
	assert.Equal(t, theirs, copyOf(t, other))
	for _, table := range store.CopiedAndKeptApart() {
		var n int
		var has bool
		require.NoError(t, s.DB().QueryRow(`SELECT COUNT(*) FROM information_schema.columns WHERE table_schema = DATABASE()
			AND table_name = ? AND column_name = 'angler_id'`, table).Scan(&has))
		if has {
			require.NoError(t, s.DB().QueryRow(`SELECT COUNT(*) FROM `+table+` WHERE angler_id = ?`, angler).Scan(&n))
			assert.Zero(t, n, table)
		}
	}
}

func TestAnInviteLetsInAsManyAsItSays(t *testing.T) {
	ctx := context.Background()
	now := time.Now()
	digest := bytes.Repeat([]byte{9}, 32)
	require.NoError(t, s.AddInvite(ctx, store.Invite{ID: uuid.New(), Digest: digest, Uses: 2, Expires: now.Add(time.Hour)}))
	join := func(name string, at time.Time) error {
		return s.AddInvited(ctx, store.Angler{ID: uuid.New(), Name: name, PasswordHash: "x"}, digest, at)
	}
	assert.ErrorIs(t, join("late", now.Add(2*time.Hour)), store.ErrInvite)
	require.NoError(t, join("sanderling", now))
	assert.ErrorIs(t, join("Sanderling", now), store.ErrTaken, "and that costs nothing")
	require.NoError(t, join("turnstone", now))
	assert.ErrorIs(t, join("plover", now), store.ErrInvite)
}
