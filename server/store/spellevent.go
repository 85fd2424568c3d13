package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/outing"
)

type spellEvent struct {
	Spell uuid.UUID `db:"spell_id"`
	ID    uuid.UUID `db:"id"`
	Time  time.Time `db:"time"`
	Kind  string    `db:"kind"`
	Note  string    `db:"note"`
	Who   string    `db:"who"`
	Rod   string    `db:"rod"`
}

const spellEventColumns = `spell_id, id, time, kind, note, who, rod`

func (e spellEvent) event() outing.Event {
	return outing.Event{ID: e.ID.String(), Time: e.Time, Kind: outing.Kind(e.Kind), Note: e.Note, Who: e.Who, Rod: e.Rod}
}

// writeEvents of a spell in place of those it had.
func writeEvents(ctx context.Context, tx *sqlx.Tx, sp Spell) error {
	if sp.Revision > 1 {
		if _, err := tx.ExecContext(ctx, `DELETE FROM spell_event WHERE spell_id = ?`, sp.ID); err != nil {
			return err
		}
	}
	if len(sp.Events) == 0 {
		return nil
	}
	rows := make([]spellEvent, len(sp.Events))
	for i, e := range sp.Events {
		id, err := uuid.Parse(e.ID)
		if err != nil {
			return err
		}
		rows[i] = spellEvent{sp.ID, id, e.Time, string(e.Kind), e.Note, e.Who, e.Rod}
	}
	_, err := tx.NamedExecContext(ctx, `INSERT INTO spell_event (`+spellEventColumns+`)
		VALUES (:spell_id, :id, :time, :kind, :note, :who, :rod)`, rows)
	return err
}

func eventsOf(ctx context.Context, tx *sqlx.Tx, spell uuid.UUID) ([]outing.Event, error) {
	at := map[uuid.UUID]*Spell{spell: {}}
	err := addEvents(ctx, tx, []uuid.UUID{spell}, at)
	return at[spell].Events, err
}

// addEvents to spells by their ids.
func addEvents(ctx context.Context, q querier, ids []uuid.UUID, at map[uuid.UUID]*Spell) error {
	var rows []spellEvent
	if err := selectIn(ctx, q, &rows, `SELECT `+spellEventColumns+` FROM spell_event WHERE spell_id IN (?)
		ORDER BY time, id`, ids); err != nil {
		return err
	}
	for _, e := range rows {
		at[e.Spell].Events = append(at[e.Spell].Events, e.event())
	}
	return nil
}
