package store

import (
	"context"
	"reflect"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// claims find whose a row is and its revision, and lock it, by its id. What has no revision
// is 1.
var claims = map[string]string{
	"spot":        `SELECT angler_id, revision FROM spot WHERE id = ? FOR UPDATE`,
	"water":       `SELECT angler_id, revision FROM water WHERE id = ? FOR UPDATE`,
	"station":     `SELECT angler_id, revision FROM station WHERE id = ? FOR UPDATE`,
	"kit_item":    `SELECT angler_id, revision FROM kit_item WHERE id = ? FOR UPDATE`,
	"outing":      `SELECT angler_id, revision FROM outing WHERE id = ? FOR UPDATE`,
	"trial":       `SELECT angler_id, revision FROM trial WHERE id = ? FOR UPDATE`,
	"trial_block": `SELECT t.angler_id, b.revision FROM trial_block b JOIN trial t ON t.id = b.trial_id WHERE b.id = ? FOR UPDATE`,
	"photo":       `SELECT angler_id, 1 AS revision FROM photo WHERE id = ? FOR UPDATE`,
	"sighting":    `SELECT angler_id, revision FROM sighting WHERE id = ? FOR UPDATE`,
	"bylaw":       `SELECT angler_id, revision FROM bylaw WHERE id = ? FOR UPDATE`,
	"plan":        `SELECT angler_id, revision FROM plan WHERE id = ? FOR UPDATE`,
	"zone":        `SELECT w.angler_id, z.revision FROM zone z JOIN water w ON w.id = z.water_id WHERE z.id = ? FOR UPDATE`,
	"surge":       `SELECT w.angler_id, g.revision FROM surge g JOIN water w ON w.id = g.water_id WHERE g.water_id = ? FOR UPDATE`,
	"noted_turn":  `SELECT s.angler_id, 1 AS revision FROM noted_turn n JOIN spot s ON s.id = n.spot_id WHERE n.id = ? FOR UPDATE`,
}

// claim the row of an id that is about to be written: writers of one row come one after the
// other. It returns the row's revision, 0 where there is none yet; then it must be inserted
// so that a second row of the id fails, whoever else claimed it too. A row of someone else
// and, where the writer has read one, a row that is gone are [ErrNotFound].
func claim(ctx context.Context, tx *sqlx.Tx, table string, angler, id uuid.UUID, read int) (revision int, err error) {
	var row struct {
		Angler   uuid.UUID `db:"angler_id"`
		Revision int       `db:"revision"`
	}
	switch err := notFound(tx.GetContext(ctx, &row, claims[table], id)); {
	case err == ErrNotFound && read == 0:
		return 0, nil
	case err != nil:
		return 0, err
	case row.Angler != angler:
		return 0, ErrNotFound
	}
	return row.Revision, nil
}

// revised says as which revision a claimed row is to be written: 0 where what is stored is
// the same already, so that a write may be sent again. Writing over what the writer has not
// read is a [ConflictError].
func revised(what string, stored, read int, changed []string) (revision int, err error) {
	switch {
	case stored > 0 && len(changed) == 0:
		return 0, nil
	case stored != read:
		return 0, ConflictError{What: what, Revision: stored, Changed: changed}
	}
	return stored + 1, nil
}

// differing fields of two rows of one type, by their columns.
func differing(a, b any) []string { return differingIn(reflect.ValueOf(a), reflect.ValueOf(b)) }

func differingIn(v, w reflect.Value) (columns []string) {
	for i := range v.NumField() {
		f := v.Type().Field(i)
		switch name := f.Tag.Get("db"); {
		case f.Anonymous:
			columns = append(columns, differingIn(v.Field(i), w.Field(i))...)
		case name != "" && name != "revision" && !reflect.DeepEqual(v.Field(i).Interface(), w.Field(i).Interface()):
			columns = append(columns, name)
		}
	}
	return columns
}
