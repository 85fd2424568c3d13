package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Sighting is what was seen at a spot without fishing, with the water it was seen in.
type Sighting struct {
	ID     uuid.UUID `db:"id"`
	SpotID uuid.UUID `db:"spot_id"`
	SeenAt time.Time `db:"seen_at"`
	// Target it speaks of; empty: none, or whichever.
	Target string           `db:"target"`
	Mark   string           `db:"mark"`
	Signs  AsJSON[[]string] `db:"signs"`
	Note   string           `db:"note"`
	SightingWater
	Revision int `db:"revision"`
}

// SightingWater is what the program worked out for the time.
type SightingWater struct {
	TideLevelM    float64 `db:"tide_level_m"`
	TideDirection string  `db:"tide_direction"`
	TideThird     int     `db:"tide_third"`
	TideSays      string  `db:"tide_says"`
	Light         string  `db:"light"`
}

// ListedSighting is one with the names of its place.
type ListedSighting struct {
	Sighting
	SpotName string `db:"spot_name"`
	TimeZone string `db:"time_zone"`
}

const sightingColumns = `id, spot_id, seen_at, target, mark, signs, note, tide_level_m, tide_direction, tide_third, tide_says, light,
	revision`

// PutSighting keeps one, new or over the revision of it that was read; it returns its revision.
func (s *Store) PutSighting(ctx context.Context, angler uuid.UUID, g Sighting) (revision int, err error) {
	g.SeenAt = g.SeenAt.UTC()
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "spot", angler, g.SpotID); err != nil {
			return err
		}
		stored, err := claim(ctx, tx, "sighting", angler, g.ID, g.Revision)
		if err != nil {
			return err
		}
		write := `INSERT INTO sighting (angler_id, ` + sightingColumns + `) VALUES (:angler_id, :id, :spot_id, :seen_at, :target, :mark,
			:signs, :note, :tide_level_m, :tide_direction, :tide_third, :tide_says, :light, :revision)`
		var old Sighting
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT `+sightingColumns+` FROM sighting WHERE id = ?`, g.ID); err != nil {
				return err
			}
			write = `UPDATE sighting SET spot_id = :spot_id, seen_at = :seen_at, target = :target, mark = :mark, signs = :signs,
				note = :note, tide_level_m = :tide_level_m, tide_direction = :tide_direction, tide_third = :tide_third,
				tide_says = :tide_says, light = :light, revision = :revision WHERE id = :id`
		}
		next, err := revised("sighting", stored, g.Revision, differing(old, g))
		if revision = next; err != nil || next == 0 {
			revision = stored
			return err
		}
		g.Revision = next
		_, err = tx.NamedExecContext(ctx, write, struct {
			Sighting
			Angler uuid.UUID `db:"angler_id"`
		}{g, angler})
		return err
	})
	return revision, err
}

// Sightings of an angler, newest first, at most so many; of one spot, or of all where it is nil.
func (s *Store) Sightings(ctx context.Context, angler, spot uuid.UUID, most int) (list []ListedSighting, err error) {
	query := `SELECT g.` + sightingOf + `, s.name AS spot_name, w.time_zone FROM sighting g JOIN spot s ON s.id = g.spot_id
		JOIN water w ON w.id = s.water_id WHERE g.angler_id = ?`
	args := []any{angler}
	if spot != uuid.Nil {
		query += ` AND g.spot_id = ?`
		args = append(args, spot)
	}
	return list, s.db.SelectContext(ctx, &list, query+` ORDER BY g.seen_at DESC, g.id DESC LIMIT ?`, append(args, most)...)
}

const sightingOf = `id, g.spot_id, g.seen_at, g.target, g.mark, g.signs, g.note, g.tide_level_m, g.tide_direction, g.tide_third,
	g.tide_says, g.light, g.revision`

// DeleteSighting takes one back.
func (s *Store) DeleteSighting(ctx context.Context, angler, id uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		return gone(tx.ExecContext(ctx, `DELETE FROM sighting WHERE id = ? AND angler_id = ?`, id, angler))
	})
}
