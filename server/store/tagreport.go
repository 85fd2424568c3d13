package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// TagReport is a tagged fish that somebody else met, from a list.
type TagReport struct {
	ID        uuid.UUID `db:"id"`
	List      string    `db:"list"`
	Number    string    `db:"number"`
	Programme string    `db:"programme"`
	Species   string    `db:"species"`
	MetAt     time.Time `db:"met_at"`
	Lat       float64   `db:"lat_deg"`
	Lon       float64   `db:"lon_deg"`
	LengthM   *float64  `db:"length_m"`
}

const tagReportColumns = `id, list, number, programme, species, met_at, lat_deg, lon_deg, length_m`

// PutTagList keeps a list in place of the one of its name.
func (s *Store) PutTagList(ctx context.Context, angler uuid.UUID, name string, list []TagReport) error {
	type row struct {
		TagReport
		Angler uuid.UUID `db:"angler_id"`
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM tag_report WHERE angler_id = ? AND list = ?`, angler, name); err != nil {
			return err
		}
		for from := 0; from < len(list); from += mostTogether {
			var rows []row
			for _, r := range list[from:min(from+mostTogether, len(list))] {
				r.List = name
				rows = append(rows, row{r, angler})
			}
			if _, err := tx.NamedExecContext(ctx, `INSERT INTO tag_report (angler_id, `+tagReportColumns+`)
				VALUES (:angler_id, :id, :list, :number, :programme, :species, :met_at, :lat_deg, :lon_deg, :length_m)`, rows); err != nil {
				return err
			}
		}
		return nil
	})
}

// TagReports of an angler's lists, list by list, oldest first.
func (s *Store) TagReports(ctx context.Context, angler uuid.UUID) (list []TagReport, err error) {
	return list, s.db.SelectContext(ctx, &list, `SELECT `+tagReportColumns+` FROM tag_report WHERE angler_id = ? ORDER BY list, met_at, id`,
		angler)
}

// DeleteTagList by its name.
func (s *Store) DeleteTagList(ctx context.Context, angler uuid.UUID, name string) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		return gone(tx.ExecContext(ctx, `DELETE FROM tag_report WHERE angler_id = ? AND list = ?`, angler, name))
	})
}
