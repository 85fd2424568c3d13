package main

import (
	"context"
	"fmt"
	"log/slog"
	"os"
	"path/filepath"

	"greypebble/server/dump"
	"greypebble/server/store"
)

// copied is the name of the copy of a database from before it was brought to a schema.
const copied = "before-schema-%s.sql.gz"

// copyBefore keeps a copy of a private database that is about to be brought up to date: MariaDB does not always recover
// tables that were being changed when the power went. One that is there stays, it is from before the first attempt.
func copyBefore(ctx context.Context, dir, dsn string) error {
	newest, behind, err := store.Behind(ctx, dsn)
	if err != nil || !behind {
		return err
	}
	file := filepath.Join(dir, fmt.Sprintf(copied, fmt.Sprint(newest)))
	if _, err := os.Stat(file); err == nil {
		return nil
	}
	about, err := dump.Write(ctx, dsn, file)
	if err != nil {
		return fmt.Errorf("no copy could be made before the database is brought up to date: %w", err)
	}
	slog.Info("a copy from before the database is brought up to date", "file", file, "holds", about)
	return nil
}

// withCopy tells of the copy where a database does not start.
func withCopy(dir string, err error) error {
	list, _ := filepath.Glob(filepath.Join(dir, fmt.Sprintf(copied, "*")))
	if len(list) == 0 {
		return err
	}
	return fmt.Errorf("%w. A copy from before it was last brought up to date is %s: move %s/data and %s/ready aside, and restore "+
		"the copy", err, list[len(list)-1], dir, dir)
}
