package main

import (
	"context"
	"errors"
	"fmt"

	"greypebble/server/dump"
	"greypebble/server/store"
)

type backupCommand struct {
	databaseFlags
	File string `arg:"" help:"To write; one that is there is replaced when the new one is whole."`
}

type restoreCommand struct {
	databaseFlags
	File    string `arg:"" type:"existingfile" help:"That backup wrote."`
	Replace bool   `help:"Put it in place of what the database holds."`
}

func (c backupCommand) Run() error {
	return c.with(func(ctx context.Context, _ *store.Store, dsn string) error {
		about, err := dump.Write(ctx, dsn, c.File)
		if err == nil {
			fmt.Printf("%s holds %s.\n", c.File, about)
		}
		return err
	})
}

func (c restoreCommand) Run() error {
	about, err := dump.Check(c.File)
	if err != nil {
		return err
	}
	ctx, stop := interrupted()
	defer stop()
	// Not beneath a program that serves from it.
	db, err := c.open(ctx)
	if err != nil {
		return err
	}
	defer db.stop() //nolint:errcheck // what was restored is there
	if err := dump.Restore(ctx, db.dsn, c.File, c.Replace); err != nil {
		if errors.Is(err, store.ErrHolds) {
			return fmt.Errorf("the database holds something already; --replace puts the backup in its place")
		}
		return err
	}
	// Opening it brings an older schema up to date.
	s, err := store.Open(ctx, db.dsn)
	if err != nil {
		return err
	}
	defer s.Close()
	got, err := s.Anglers(ctx)
	if err != nil {
		return err
	}
	fmt.Printf("Restored %s; %d can sign in.\n", about, got)
	return nil
}
