package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Feed is where a water's forecast comes from and how it went last time.
type Feed struct {
	WaterID   uuid.UUID  `db:"water_id"`
	AnglerID  uuid.UUID  `db:"angler_id"`
	URL       string     `db:"url"`
	TriedAt   *time.Time `db:"tried_at"`
	FetchedAt *time.Time `db:"fetched_at"`
	IssuedAt  *time.Time `db:"issued_at"`
	Problem   string     `db:"problem"`
}

const feedColumns = `f.water_id, w.angler_id, f.url, f.tried_at, f.fetched_at, f.issued_at,
	f.problem FROM feed f JOIN water w ON w.id = f.water_id`

// Feeds of everyone, for the poller.
func (s *Store) Feeds(ctx context.Context) (out []Feed, err error) {
	return out, s.db.SelectContext(ctx, &out, `SELECT `+feedColumns)
}

// FeedOf a water; nil where it has none.
func (s *Store) FeedOf(ctx context.Context, angler, water uuid.UUID) (*Feed, error) {
	var f Feed
	switch err := notFound(s.db.GetContext(ctx, &f, `SELECT `+feedColumns+` WHERE w.id = ? AND w.angler_id = ?`, water, angler)); err {
	case nil:
		return &f, nil
	case ErrNotFound:
		return nil, nil
	default:
		return nil, err
	}
}

// SetFeed says where a water's forecast comes from.
func (s *Store) SetFeed(ctx context.Context, water uuid.UUID, url string) error {
	_, err := s.exec(ctx, `INSERT INTO feed (water_id, url) VALUES (?, ?) ON DUPLICATE KEY UPDATE url = VALUES(url)`, water, url)
	return err
}

// PutFeed of an angler's water in place of an earlier one.
func (s *Store) PutFeed(ctx context.Context, angler, water uuid.UUID, url string) (f Feed, err error) {
	err = s.Whole(ctx, func(s *Store) error {
		if err := owned(ctx, s.db.(*sqlx.Tx), "water", angler, water); err != nil {
			return err
		}
		if _, err := s.exec(ctx, `DELETE FROM feed WHERE water_id = ? AND url <> ?`, water, url); err != nil {
			return err
		}
		return s.SetFeed(ctx, water, url)
	})
	return Feed{WaterID: water, AnglerID: angler, URL: url}, err
}

// DeleteFeed of an angler's water.
func (s *Store) DeleteFeed(ctx context.Context, angler, water uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM feed WHERE water_id = ?`, water)
		return err
	})
}

// MarkFeed keeps how the last try went.
func (s *Store) MarkFeed(ctx context.Context, f Feed) error {
	problem := []rune(f.Problem)
	if len(problem) > 400 {
		problem = problem[:400]
	}
	_, err := s.exec(ctx, `UPDATE feed SET tried_at = ?, fetched_at = ?, issued_at = ?, problem = ? WHERE water_id = ?`,
		f.TriedAt, f.FetchedAt, f.IssuedAt, string(problem), f.WaterID)
	return err
}
