package main

import (
	"context"
	"database/sql"
	"errors"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/server/dump"
	"greypebble/server/localdb"
	"greypebble/server/store"
)

// A database that is behind is copied before it is brought up to date, once, and the copy comes back.
func TestACopyIsKeptFromBeforeAnUpgrade(t *testing.T) {
	ctx, dir := context.Background(), filepath.Join(t.TempDir(), "data")
	srv, err := localdb.Start(ctx, dir)
	require.NoError(t, err)
	require.NoError(t, copyBefore(ctx, dir, srv.DSN()), "a new one holds nothing")
	copies := func() []string {
		list, err := filepath.Glob(filepath.Join(dir, "before-schema-*"))
		require.NoError(t, err)
		return list
	}
	assert.Empty(t, copies())
	text, err := os.ReadFile("../../server/store/testdata/schema-9.sql")
	require.NoError(t, err)
	db, err := sql.Open("mysql", srv.DSN()+"?multiStatements=true")
	require.NoError(t, err)
	_, err = db.Exec("SET FOREIGN_KEY_CHECKS = 0;" + string(text))
	require.NoError(t, err)
	require.NoError(t, db.Close())
	require.NoError(t, srv.Stop())

	open, err := databaseFlags{Embedded: true, Data: dir}.open(ctx)
	require.NoError(t, err)
	list := copies()
	require.Len(t, list, 1)
	about, err := dump.Check(list[0])
	require.NoError(t, err)
	assert.Contains(t, about, "schema 9")
	before, err := os.Stat(list[0])
	require.NoError(t, err)
	require.NoError(t, copyBefore(ctx, dir, open.dsn))
	again, err := os.Stat(list[0])
	require.NoError(t, err)
	assert.Equal(t, before.ModTime(), again.ModTime(), "what is from before the first attempt stays")
	s, err := store.Open(ctx, open.dsn)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	_, behind, err := store.Behind(ctx, open.dsn)
	require.NoError(t, err)
	assert.False(t, behind)
	require.NoError(t, dump.Restore(ctx, open.dsn, list[0], true))
	_, behind, err = store.Behind(ctx, open.dsn)
	require.NoError(t, err)
	assert.True(t, behind)
	require.NoError(t, open.stop())

	says := withCopy(dir, errors.New("it stopped"))
	assert.ErrorContains(t, says, "it stopped")
	assert.ErrorContains(t, says, list[0])
	assert.Equal(t, "it stopped", withCopy(t.TempDir(), errors.New("it stopped")).Error())
}
