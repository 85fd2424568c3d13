package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/springrun"
)

// Met of an angler at the bends of their rivers since a time: by water and by what was sought there or
// caught, what each spell told.
func (s *Store) Met(ctx context.Context, angler uuid.UUID, since time.Time) (map[uuid.UUID]map[string][]springrun.Met, error) {
	var rows []struct {
		Water  uuid.UUID `db:"water_id"`
		Target string    `db:"target"`
		Bend   int       `db:"bend"`
		At     time.Time `db:"at"`
		Hours  float64   `db:"hours"`
		Fish   int       `db:"fish"`
	}
	// A fish that was not sought speaks for its bend too, its absence does not speak against it.
	err := s.db.SelectContext(ctx, &rows, `SELECT s.water_id, p.target, s.bend, p.ended_at AS at,
			`+rodHours+` AS hours,
			(SELECT COUNT(*) FROM catch c WHERE c.spell_id = p.id AND c.target = p.target) AS fish
		FROM spell p JOIN spot s ON s.id = p.spot_id WHERE p.angler_id = ? AND p.ended_at >= ? AND s.bend > 0
		UNION ALL SELECT s.water_id, c.target, s.bend, p.ended_at, 0, COUNT(*)
		FROM catch c JOIN spell p ON p.id = c.spell_id JOIN spot s ON s.id = p.spot_id
		WHERE p.angler_id = ? AND p.ended_at >= ? AND s.bend > 0 AND c.target <> p.target GROUP BY p.id, c.target`,
		angler, since, angler, since)
	out := map[uuid.UUID]map[string][]springrun.Met{}
	for _, r := range rows {
		of := out[r.Water]
		if of == nil {
			of = map[string][]springrun.Met{}
			out[r.Water] = of
		}
		of[r.Target] = append(of[r.Target], springrun.Met{At: r.At, Bend: r.Bend, Fish: r.Fish, RodHours: r.Hours})
	}
	return out, err
}

// logging is what is about to be written of a log: a spell as it stands, if it does, and the spot it moves to, if it may move.
type logging struct{ spell, spot uuid.UUID }

// logged counts a writing of the log; at a bend as one of the ground too: where a run lies rests on it. It stands before
// what is written, so that an angler's writers come one after the other: rows of the log lock their angler's for
// reading, and two who then went on to count would each wait for the other.
func logged(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, l logging) error {
	_, err := tx.ExecContext(ctx, `UPDATE angler SET log = log + 1, ground = ground + (
			EXISTS (SELECT 1 FROM spot WHERE id = ? AND bend > 0) OR
			EXISTS (SELECT 1 FROM spell p JOIN spot s ON s.id = p.spot_id WHERE p.id = ? AND s.bend > 0))
		WHERE id = ?`, l.spot, l.spell, angler)
	return err
}
