package store

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/ground"
)

// PutZone keeps a zone of a water, new or over the one with its id.
func (s *Store) PutZone(ctx context.Context, angler, water, id uuid.UUID, z ground.Zone) error {
	return s.within(ctx, func(tx *sqlx.Tx) error { return putZone(ctx, tx, angler, water, id, z) })
}

// PutZones adds zones to a water, all or none.
func (s *Store) PutZones(ctx context.Context, angler, water uuid.UUID, list []ground.Zone) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		for _, z := range list {
			id, err := uuid.NewV7()
			if err != nil {
				return err
			}
			if err := putZone(ctx, tx, angler, water, id, z); err != nil {
				return err
			}
		}
		return nil
	})
}

func putZone(ctx context.Context, tx *sqlx.Tx, angler, water, id uuid.UUID, z ground.Zone) error {
	if err := z.Validate(); err != nil {
		return fmt.Errorf("store: %w", err)
	}
	ring, err := ringsText([]ground.Ring{z.Ring})
	if err != nil {
		return err
	}
	if err := owned(ctx, tx, "water", angler, water); err != nil {
		return err
	}
	var owner uuid.UUID
	switch err := notFound(tx.GetContext(ctx, &owner,
		`SELECT w.angler_id FROM zone z JOIN water w ON w.id = z.water_id WHERE z.id = ? FOR UPDATE`, id)); {
	case err == nil && owner != angler:
		return ErrNotFound
	case err != nil && err != ErrNotFound:
		return err
	}
	_, err = tx.ExecContext(ctx, `REPLACE INTO zone (id, water_id, name, kind, says, source, checked_on, from_md, to_md, ring)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, id, water, z.Name, string(z.Kind), z.Says, z.Source, z.Checked.Format(time.DateOnly),
		z.From, z.To, ring)
	return err
}

// DeleteZone removes one.
func (s *Store) DeleteZone(ctx context.Context, angler, id uuid.UUID) error {
	return gone(s.exec(ctx, `DELETE z FROM zone z JOIN water w ON w.id = z.water_id WHERE z.id = ? AND w.angler_id = ?`, id,
		angler))
}

// ZonesOf a water, by name.
func (s *Store) ZonesOf(ctx context.Context, angler, water uuid.UUID) ([]ground.Zone, error) {
	all, err := readZones(ctx, s.db, "z.water_id IN (?) AND w.angler_id = ?", []uuid.UUID{water}, angler)
	return all[water], err
}

type zoneRow struct {
	ID      string    `db:"id"`
	Water   uuid.UUID `db:"water_id"`
	Name    string    `db:"name"`
	Kind    string    `db:"kind"`
	Says    string    `db:"says"`
	Source  string    `db:"source"`
	Checked time.Time `db:"checked_on"`
	From    int       `db:"from_md"`
	To      int       `db:"to_md"`
	Ring    string    `db:"ring"`
}

// readZones by water.
func readZones(ctx context.Context, q querier, where string, waters []uuid.UUID, more ...any) (map[uuid.UUID][]ground.Zone, error) {
	var rows []zoneRow
	if err := selectIn(ctx, q, &rows, `SELECT z.id, z.water_id, z.name, z.kind, z.says, z.source, z.checked_on, z.from_md, z.to_md, z.ring
		FROM zone z JOIN water w ON w.id = z.water_id WHERE `+where, waters, more...); err != nil {
		return nil, err
	}
	// Sorted here and not by the database, as in readSpots.
	slices.SortFunc(rows, func(a, b zoneRow) int { return cmp.Or(strings.Compare(a.Name, b.Name), strings.Compare(a.ID, b.ID)) })
	out := make(map[uuid.UUID][]ground.Zone)
	for _, r := range rows {
		rings, err := ringsOf(r.Ring)
		if err != nil {
			return nil, err
		}
		z := ground.Zone{ID: r.ID, Name: r.Name, Kind: ground.ZoneKind(r.Kind), Says: r.Says, Source: r.Source, Checked: r.Checked,
			From: r.From, To: r.To}
		if len(rings) > 0 {
			z.Ring = rings[0]
		}
		out[r.Water] = append(out[r.Water], z)
	}
	return out, nil
}
