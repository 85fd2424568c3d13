// Package store keeps anglers, waters, spots and the log in MariaDB. It holds
// the only SQL of the program. Every query names the angler whose rows it may
// see; someone else's row is [ErrNotFound], as if it were not there.
package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"time"

	"github.com/go-sql-driver/mysql"
	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// ErrNotFound says that there is no such row, or that it is someone else's.
var ErrNotFound = errors.New("store: not found")

// Store is a pool of connections, or what [Store.Whole] does on one of them.
type Store struct {
	pool *sqlx.DB
	db   querier
	full fullness
}

// Open connects by a DSN of the mysql driver and brings the schema up to date.
// Times are UTC whatever the DSN says.
func Open(ctx context.Context, dsn string) (*Store, error) {
	c, err := mysql.ParseDSN(dsn)
	if err != nil {
		return nil, fmt.Errorf("store: the database address is not of the form user:password@tcp(host:port)/name: %w", err)
	}
	c.ParseTime, c.Loc = true, time.UTC
	c.ClientFoundRows = true // an update that changes nothing has found its row all the same
	if c.Params == nil {
		c.Params = map[string]string{}
	}
	c.Params["time_zone"] = "'+00:00'"
	if err := migrate(ctx, c); err != nil {
		return nil, err
	}
	db, err := sqlx.Open("mysql", c.FormatDSN())
	if err != nil {
		return nil, fmt.Errorf("store: %w", err)
	}
	db.SetMaxOpenConns(16)
	db.SetMaxIdleConns(16)
	db.SetConnMaxLifetime(10 * time.Minute)
	return &Store{pool: db, db: db}, nil
}

// DB for the session store.
func (s *Store) DB() *sql.DB { return s.pool.DB }

// Close the pool.
func (s *Store) Close() error { return s.pool.Close() }

// Ping says whether the database answers.
func (s *Store) Ping(ctx context.Context) error { return s.pool.PingContext(ctx) }

// attempts at a transaction that other writers get in the way of.
const attempts = 6

// within runs f in a transaction: all of it happens or none. f may run again
// when another writer was in the way, so it must not keep anything.
func (s *Store) within(ctx context.Context, f func(tx *sqlx.Tx) error) error {
	if tx, whole := s.db.(*sqlx.Tx); whole {
		return f(tx)
	}
	if err := s.full.before(); err != nil {
		return err
	}
	for n := 1; ; n++ {
		err := s.full.seen(referred(s.once(ctx, f)))
		if err == nil || n == attempts || !collision(err) {
			return err
		}
		select {
		case <-ctx.Done():
			return err
		case <-time.After(time.Duration(n*n) * 5 * time.Millisecond):
		}
	}
}

func (s *Store) once(ctx context.Context, f func(tx *sqlx.Tx) error) error {
	// Each read sees what is committed by then: after waiting for a lock, the
	// winner's rows and not those of when the transaction began.
	tx, err := s.pool.BeginTxx(ctx, &sql.TxOptions{Isolation: sql.LevelReadCommitted})
	if err != nil {
		return fmt.Errorf("store: %w", err)
	}
	defer func() { _ = tx.Rollback() }()
	if err := f(tx); err != nil {
		return err
	}
	if err := tx.Commit(); err != nil {
		return fmt.Errorf("store: %w", err)
	}
	return nil
}

// Whole runs f on a store all of whose writes happen or none, and which reads what it wrote.
// f may run again, as in within.
func (s *Store) Whole(ctx context.Context, f func(s *Store) error) error {
	return s.within(ctx, func(tx *sqlx.Tx) error { return f(&Store{pool: s.pool, db: tx}) })
}

// InTurn is Whole, one after the other for an angler's writers, whatever of the angler's they write first.
func (s *Store) InTurn(ctx context.Context, angler uuid.UUID, f func(s *Store) error) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		var one int
		if err := tx.GetContext(ctx, &one, `SELECT 1 FROM angler WHERE id = ? FOR UPDATE`, angler); err != nil {
			return notFound(err)
		}
		return f(&Store{pool: s.pool, db: tx})
	})
}

// ground writes what an angler's spots rest on: waters, stations, readings, the spots
// themselves. It is counted first, so that an angler's writers come one after the other.
func (s *Store) ground(ctx context.Context, angler uuid.UUID, f func(tx *sqlx.Tx) error) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `UPDATE angler SET ground = ground + 1 WHERE id = ?`, angler); err != nil {
			return err
		}
		return f(tx)
	})
}

// Ground is the count of what was written of an angler's spots and what they rest on. What
// is read after it is at least of that count.
func (s *Store) Ground(ctx context.Context, angler uuid.UUID) (n int, err error) {
	return n, notFound(s.db.GetContext(ctx, &n, `SELECT ground FROM angler WHERE id = ?`, angler))
}

// LogState of an angler: the count of what was written of their log, and the outings of it that go on.
type LogState struct {
	Count int `db:"log"`
	// GoingOn are their ids, joined.
	GoingOn string `db:"going_on"`
}

// Logged is how an angler's log stands; outings that began before a time go on no more. What is read after it is at
// least of that count.
func (s *Store) Logged(ctx context.Context, angler uuid.UUID, since time.Time) (l LogState, err error) {
	return l, notFound(s.db.GetContext(ctx, &l, `SELECT a.log, COALESCE((SELECT GROUP_CONCAT(o.id ORDER BY o.id) FROM outing o
		WHERE o.angler_id = a.id AND o.ended_at IS NULL AND o.began_at > ?), '') AS going_on FROM angler a WHERE a.id = ?`,
		since.UTC(), angler))
}

// exec is a write of one statement.
func (s *Store) exec(ctx context.Context, query string, args ...any) (r sql.Result, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		r, err = tx.ExecContext(ctx, query, args...)
		return err
	})
	return r, err
}

// querier reads: the pool, or a transaction on it.
type querier interface {
	SelectContext(ctx context.Context, dest any, query string, args ...any) error
	GetContext(ctx context.Context, dest any, query string, args ...any) error
}

// snapshot lets f read several times from one state of the database, whatever is written
// meanwhile.
func (s *Store) snapshot(ctx context.Context, f func(q querier) error) error {
	if tx, whole := s.db.(*sqlx.Tx); whole {
		return f(tx)
	}
	tx, err := s.pool.BeginTxx(ctx, &sql.TxOptions{Isolation: sql.LevelRepeatableRead, ReadOnly: true})
	if err != nil {
		return fmt.Errorf("store: %w", err)
	}
	defer func() { _ = tx.Rollback() }()
	return f(tx)
}

// selectIn reads rows whose condition holds one "IN (?)" for a list; nothing for none.
func selectIn[K any](ctx context.Context, q querier, dest any, query string, list []K, more ...any) error {
	if len(list) == 0 {
		return nil
	}
	text, args, err := sqlx.In(query, append([]any{list}, more...)...)
	if err != nil {
		return err
	}
	return q.SelectContext(ctx, dest, text, args...)
}

// collision says that the same transaction may well succeed a moment later: a
// deadlock, a lock that took too long, a row someone else has just inserted.
func collision(err error) bool {
	var m *mysql.MySQLError
	return errors.As(err, &m) && (m.Number == 1213 || m.Number == 1205 || m.Number == 1020 || m.Number == 1062)
}

// referred names what the database refuses because of rows that speak of one another: what
// a new one speaks of is gone (1452), or something speaks of one that was to go (1451).
func referred(err error) error {
	var m *mysql.MySQLError
	if !errors.As(err, &m) {
		return err
	}
	switch m.Number {
	case 1452:
		return ErrNotFound
	case 1451:
		return InUseError{"something of yours was added meanwhile that speaks of it"}
	}
	return err
}

func notFound(err error) error {
	if errors.Is(err, sql.ErrNoRows) {
		return ErrNotFound
	}
	return err
}

// duplicate says that a key was taken.
func duplicate(err error) bool {
	var m *mysql.MySQLError
	return errors.As(err, &m) && m.Number == 1062
}
