package store

import (
	"context"
	"encoding/json"
	"fmt"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/ground"
)

// Plan of a day that is kept.
type Plan struct {
	ID       uuid.UUID
	Revision int
	Name     string
	From, To time.Time
	Asked    PlanAsked
	// Stays as they were laid or set, in their order.
	Stays []Stay
	// Tell says who is told where one goes, and how they are reached.
	Tell string
}

// PlanAsked is what a day was asked for, as JSON in its row.
type PlanAsked struct {
	Targets   []string       `json:"targets"`
	Spots     []string       `json:"spots,omitempty"`
	Banned    []string       `json:"banned,omitempty"`
	By        string         `json:"by,omitempty"`
	Home      *ground.LatLon `json:"home,omitempty"`
	Legs      int            `json:"legs"`
	PackMin   float64        `json:"pack_min"`
	MarginMin float64        `json:"margin_min"`
	ByDay     bool           `json:"by_day"`
	SpareMin  float64        `json:"spare_min,omitempty"`
	Along     []string       `json:"along,omitempty"`
	// CallMin is how long after being due back one is called for, minutes.
	CallMin float64 `json:"call_min"`
}

// Stay at a spot, as JSON in a plan's row. The spot may be gone.
type Stay struct {
	Spot   uuid.UUID `json:"spot_id"`
	Arrive time.Time `json:"arrive"`
	Leave  time.Time `json:"leave"`
	Target string    `json:"target,omitempty"`
	// Pinned: set by hand; what is planned anew keeps it.
	Pinned bool `json:"pinned,omitempty"`
	// Spare time within it, where there is some.
	SpareFrom  *time.Time `json:"spare_from,omitempty"`
	SpareUntil *time.Time `json:"spare_until,omitempty"`
}

type planRow struct {
	ID       uuid.UUID `db:"id"`
	Angler   uuid.UUID `db:"angler_id"`
	Name     string    `db:"name"`
	From     time.Time `db:"begins"`
	To       time.Time `db:"ends"`
	Asked    string    `db:"asked"`
	Stays    string    `db:"stays"`
	Tell     string    `db:"tell"`
	Revision int       `db:"revision"`
}

const planColumns = `id, angler_id, name, begins, ends, asked, stays, tell, revision`

func (r planRow) plan() (Plan, error) {
	p := Plan{ID: r.ID, Revision: r.Revision, Name: r.Name, From: r.From, To: r.To, Tell: r.Tell}
	if err := json.Unmarshal([]byte(r.Asked), &p.Asked); err != nil {
		return p, fmt.Errorf("store: plan %s: %w", r.ID, err)
	}
	if err := json.Unmarshal([]byte(r.Stays), &p.Stays); err != nil {
		return p, fmt.Errorf("store: plan %s: %w", r.ID, err)
	}
	return p, nil
}

// PutPlan keeps a plan, new or over the revision of it that was read. Its spots must be one's own, or
// have stood in it before. It returns its revision.
func (s *Store) PutPlan(ctx context.Context, angler uuid.UUID, p Plan) (revision int, err error) {
	asked, err := json.Marshal(p.Asked)
	if err != nil {
		return 0, err
	}
	stays, err := json.Marshal(p.Stays)
	if err != nil {
		return 0, err
	}
	row := planRow{ID: p.ID, Angler: angler, Name: p.Name, From: p.From.UTC(), To: p.To.UTC(), Asked: string(asked), Stays: string(stays),
		Tell: p.Tell}
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		stored, err := claim(ctx, tx, "plan", angler, p.ID, p.Revision)
		if err != nil {
			return err
		}
		before := map[uuid.UUID]bool{}
		var old planRow
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT `+planColumns+` FROM plan WHERE id = ?`, p.ID); err != nil {
				return err
			}
			was, err := old.plan()
			if err != nil {
				return err
			}
			for _, k := range was.Stays {
				before[k.Spot] = true
			}
		}
		for _, k := range p.Stays {
			if before[k.Spot] {
				continue
			}
			if err := owned(ctx, tx, "spot", angler, k.Spot); err != nil {
				return err
			}
		}
		if row.Revision, err = revised("plan", stored, p.Revision, differing(old, row)); err != nil || row.Revision == 0 {
			row.Revision = stored
			return err
		}
		write := `UPDATE plan SET name = :name, begins = :begins, ends = :ends, asked = :asked, stays = :stays, tell = :tell,
			revision = :revision WHERE id = :id`
		if stored == 0 {
			write = `INSERT INTO plan (` + planColumns + `)
				VALUES (:id, :angler_id, :name, :begins, :ends, :asked, :stays, :tell, :revision)`
		}
		_, err = tx.NamedExecContext(ctx, write, row)
		return err
	})
	return row.Revision, err
}

// Plan of an angler.
func (s *Store) Plan(ctx context.Context, angler, id uuid.UUID) (Plan, error) {
	var row planRow
	err := s.db.GetContext(ctx, &row, `SELECT `+planColumns+` FROM plan WHERE id = ? AND angler_id = ?`, id, angler)
	if err = notFound(err); err != nil {
		return Plan{}, err
	}
	return row.plan()
}

// Plans of an angler that end after a time, the next first.
func (s *Store) Plans(ctx context.Context, angler uuid.UUID, after time.Time) ([]Plan, error) {
	var rows []planRow
	err := s.db.SelectContext(ctx, &rows, `SELECT `+planColumns+` FROM plan WHERE angler_id = ? AND ends > ? ORDER BY begins, id`,
		angler, after)
	if err != nil {
		return nil, err
	}
	out := make([]Plan, len(rows))
	for i, r := range rows {
		if out[i], err = r.plan(); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// DeletePlan removes one.
func (s *Store) DeletePlan(ctx context.Context, angler, id uuid.UUID) error {
	return gone(s.exec(ctx, `DELETE FROM plan WHERE id = ? AND angler_id = ?`, id, angler))
}
