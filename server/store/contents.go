package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"time"

	"github.com/jmoiron/sqlx"
)

// ErrHolds says that a database is not empty.
var ErrHolds = errors.New("store: the database holds something already")

// Contents of a database, of whatever schema, in words.
func Contents(ctx context.Context, dsn string) (string, error) {
	db, err := sql.Open("mysql", dsn)
	if err != nil {
		return "", fmt.Errorf("store: %w", err)
	}
	defer db.Close()
	var anglers, spots, spells, schema int
	if err := db.QueryRowContext(ctx, `SELECT (SELECT COUNT(*) FROM angler), (SELECT COUNT(*) FROM spot), (SELECT COUNT(*) FROM spell),
		(SELECT MAX(version_id) FROM `+versions+` WHERE is_applied)`).Scan(&anglers, &spots, &spells, &schema); err != nil {
		return "", fmt.Errorf("store: %w", err)
	}
	return fmt.Sprintf("%d anglers, %d spots, %d spells, schema %d, of %s UTC", anglers, spots, spells, schema,
		time.Now().UTC().Format(time.DateTime)), nil
}

// Clear a database of all its tables, of whatever schema; one that has some is [ErrHolds]
// unless they are to go.
func Clear(ctx context.Context, dsn string, everything bool) error {
	db, err := sqlx.Open("mysql", dsn)
	if err != nil {
		return fmt.Errorf("store: %w", err)
	}
	defer db.Close()
	alone, err := db.Connx(ctx)
	if err != nil {
		return fmt.Errorf("store: %w", err)
	}
	defer alone.Close()
	var tables []string
	if err := alone.SelectContext(ctx, &tables, `SELECT table_name FROM information_schema.tables
		WHERE table_schema = DATABASE()`); err != nil {
		return fmt.Errorf("store: %w", err)
	}
	if len(tables) == 0 {
		return nil
	}
	if !everything {
		return ErrHolds
	}
	if _, err := alone.ExecContext(ctx, `SET foreign_key_checks = 0`); err != nil {
		return fmt.Errorf("store: %w", err)
	}
	for _, t := range tables {
		if _, err := alone.ExecContext(ctx, "DROP TABLE `"+t+"`"); err != nil {
			return fmt.Errorf("store: %w", err)
		}
	}
	return nil
}
