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

// Zone that is kept.
type Zone struct {
	ground.Zone
	Revision int
}

// PutZone keeps a zone of a water, new or over the revision of it that was read. It returns
// its revision.
func (s *Store) PutZone(ctx context.Context, angler, water, id uuid.UUID, z ground.Zone, read int) (revision int, err error) {
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		revision, err = putZone(ctx, tx, angler, water, id, z, read)
		return err
	})
	return revision, err
}

// PutZones adds zones to a water, all or none.
func (s *Store) PutZones(ctx context.Context, angler, water uuid.UUID, list []ground.Zone) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		for _, z := range list {
			id, err := uuid.NewV7()
			if err != nil {
				return err
			}
			if _, err := putZone(ctx, tx, angler, water, id, z, 0); err != nil {
				return err
			}
		}
		return nil
	})
}

func putZone(ctx context.Context, tx *sqlx.Tx, angler, water, id uuid.UUID, z ground.Zone, read int) (int, error) {
	if err := z.Validate(); err != nil {
		return 0, fmt.Errorf("store: %w", err)
	}
	ring, err := ringsText([]ground.Ring{z.Ring})
	if err != nil {
		return 0, err
	}
	if err := owned(ctx, tx, "water", angler, water); err != nil {
		return 0, err
	}
	stored, err := claim(ctx, tx, "zone", angler, id, read)
	if err != nil {
		return 0, err
	}
	row := zoneRow{ID: id.String(), Water: water, Name: z.Name, Kind: string(z.Kind), Says: z.Says, Source: z.Source,
		Checked: z.Checked.UTC().Truncate(24 * time.Hour), From: z.From, To: z.To, Ring: ring}
	var old zoneRow
	if stored > 0 {
		if err := tx.GetContext(ctx, &old, `SELECT `+zoneColumns+` FROM zone z WHERE z.id = ?`, id); err != nil {
			return 0, err
		}
	}
	if row.Revision, err = revised("zone", stored, read, differing(old, row)); err != nil || row.Revision == 0 {
		return stored, err
	}
	write := `UPDATE zone SET water_id = :water_id, name = :name, kind = :kind, says = :says, source = :source, checked_on = :checked_on,
		from_md = :from_md, to_md = :to_md, ring = :ring, revision = :revision WHERE id = :id`
	if stored == 0 {
		write = `INSERT INTO zone (id, water_id, name, kind, says, source, checked_on, from_md, to_md, ring, revision)
			VALUES (:id, :water_id, :name, :kind, :says, :source, :checked_on, :from_md, :to_md, :ring, :revision)`
	}
	_, err = tx.NamedExecContext(ctx, write, row)
	return row.Revision, err
}

const zoneColumns = `z.id, z.water_id, z.name, z.kind, z.says, z.source, z.checked_on, z.from_md, z.to_md, z.ring, z.revision`

// DeleteZone removes one.
func (s *Store) DeleteZone(ctx context.Context, angler, id uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		return gone(tx.ExecContext(ctx, `DELETE z FROM zone z JOIN water w ON w.id = z.water_id WHERE z.id = ? AND w.angler_id = ?`, id,
			angler))
	})
}

// ZonesOf a water, by name.
func (s *Store) ZonesOf(ctx context.Context, angler, water uuid.UUID) ([]Zone, error) {
	all, err := readZones(ctx, s.db, "z.water_id IN (?) AND w.angler_id = ?", []uuid.UUID{water}, angler)
	return all[water], err
}

type zoneRow struct {
	ID       string    `db:"id"`
	Water    uuid.UUID `db:"water_id"`
	Name     string    `db:"name"`
	Kind     string    `db:"kind"`
	Says     string    `db:"says"`
	Source   string    `db:"source"`
	Checked  time.Time `db:"checked_on"`
	From     int       `db:"from_md"`
	To       int       `db:"to_md"`
	Ring     string    `db:"ring"`
	Revision int       `db:"revision"`
}

// readZones by water.
func readZones(ctx context.Context, q querier, where string, waters []uuid.UUID, more ...any) (map[uuid.UUID][]Zone, error) {
	var rows []zoneRow
	if err := selectIn(ctx, q, &rows, `SELECT `+zoneColumns+`
		FROM zone z JOIN water w ON w.id = z.water_id WHERE `+where, waters, more...); err != nil {
		return nil, err
	}
	// Sorted here and not by the database, as in readSpots.
	slices.SortFunc(rows, func(a, b zoneRow) int { return cmp.Or(strings.Compare(a.Name, b.Name), strings.Compare(a.ID, b.ID)) })
	out := make(map[uuid.UUID][]Zone)
	for _, r := range rows {
		rings, err := ringsOf(r.Ring)
		if err != nil {
			return nil, err
		}
		z := Zone{ground.Zone{ID: r.ID, Name: r.Name, Kind: ground.ZoneKind(r.Kind), Says: r.Says, Source: r.Source, Checked: r.Checked,
			From: r.From, To: r.To}, r.Revision}
		if len(rings) > 0 {
			z.Ring = rings[0]
		}
		out[r.Water] = append(out[r.Water], z)
	}
	return out, nil
}
