package main

import (
	"context"
	"errors"

	"greypebble/server/localdb"
	"greypebble/server/store"
)

// databaseFlags say which database: one that is there, or a private one this program runs.
type databaseFlags struct {
	DSN      string `env:"GREYPEBBLE_DSN" help:"Database that is there: user:password@tcp(host:port)/name." xor:"database"`
	Embedded bool   `env:"GREYPEBBLE_EMBEDDED" help:"Run a private MariaDB instead, on loopback." xor:"database"`
	Data     string `default:"data" env:"GREYPEBBLE_DATA" help:"Directory of the private MariaDB."`
}

// database one can work on until it is closed.
type database struct {
	dsn string
	// room and lost are those of a private one; nil elsewhere.
	room func() bool
	lost <-chan error
	stop func() error
}

var errNoDatabase = errors.New("which database? Say --embedded --data DIR for a private one, or --dsn user:password@tcp(host:port)/name")

// open the database; a private one is started.
func (f databaseFlags) open(ctx context.Context) (*database, error) {
	switch {
	case f.DSN != "":
		return &database{dsn: f.DSN, stop: func() error { return nil }}, nil
	case !f.Embedded:
		return nil, errNoDatabase
	}
	db, err := localdb.Start(ctx, f.Data)
	if err != nil {
		return nil, withCopy(f.Data, err)
	}
	if err := copyBefore(ctx, f.Data, db.DSN()); err != nil {
		return nil, errors.Join(err, db.Stop())
	}
	return &database{db.DSN(), db.HasRoom, db.Done(), db.Stop}, nil
}

// reach the database, also a private one that another program is running.
func (f databaseFlags) reach(ctx context.Context) (*database, error) {
	if f.DSN == "" && f.Embedded {
		dsn, running, err := localdb.Attach(f.Data)
		if err != nil {
			return nil, err
		}
		if running {
			return &database{dsn: dsn, stop: func() error { return nil }}, nil
		}
	}
	return f.open(ctx)
}

// with a store on the database that is reached, closed afterwards.
func (f databaseFlags) with(do func(ctx context.Context, s *store.Store, dsn string) error) (err error) {
	ctx, stop := interrupted()
	defer stop()
	db, err := f.reach(ctx)
	if err != nil {
		return err
	}
	defer func() {
		if stopped := db.stop(); err == nil {
			err = stopped
		}
	}()
	s, err := store.Open(ctx, db.dsn)
	if err != nil {
		return err
	}
	defer s.Close()
	return do(ctx, s, db.dsn)
}
