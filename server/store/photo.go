package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Photo of a catch, without its picture.
type Photo struct {
	ID     uuid.UUID `db:"id"`
	Catch  uuid.UUID `db:"catch_id"`
	MadeAt time.Time `db:"made_at"`
	// TakenAt, Lat, Lon and Heading as the camera wrote them, degrees; nil: not known, or not to be kept.
	TakenAt *time.Time `db:"taken_at"`
	Lat     *float64   `db:"lat_deg"`
	Lon     *float64   `db:"lon_deg"`
	Heading *float64   `db:"heading_deg"`
	Width   int        `db:"width"`
	Height  int        `db:"height"`
}

// Pictures of a photo, as JPEG.
type Pictures struct {
	Image []byte `db:"image"`
	Thumb []byte `db:"thumb"`
}

// MostPhotos of one catch.
const MostPhotos = 6

const photoColumns = `id, catch_id, made_at, taken_at, lat_deg, lon_deg, heading_deg, width, height`

// PutPhoto keeps a photo of a catch; one that is there already stays as it is. Past [MostPhotos] it says false.
func (s *Store) PutPhoto(ctx context.Context, angler uuid.UUID, p Photo, pics Pictures) (kept bool, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		kept = false
		// Writers of one catch's photos come one after the other, so that they are counted.
		var one int
		if err := notFound(tx.GetContext(ctx, &one, `SELECT 1 FROM catch WHERE id = ? AND angler_id = ? FOR UPDATE`, p.Catch,
			angler)); err != nil {
			return err
		}
		stored, err := claim(ctx, tx, "photo", angler, p.ID, 0)
		if err != nil {
			return err
		}
		if stored > 0 {
			kept = true
			return nil
		}
		var count int
		if err := tx.GetContext(ctx, &count, `SELECT COUNT(*) FROM photo WHERE angler_id = ? AND catch_id = ?`, angler,
			p.Catch); err != nil {
			return err
		}
		if count >= MostPhotos {
			return nil
		}
		kept = true
		_, err = tx.NamedExecContext(ctx, `INSERT INTO photo (id, angler_id, `+photoColumns[4:]+`, image, thumb)
			VALUES (:id, :angler_id, :catch_id, :made_at, :taken_at, :lat_deg, :lon_deg, :heading_deg, :width, :height, :image, :thumb)`,
			struct {
				Photo
				Pictures
				Angler uuid.UUID `db:"angler_id"`
			}{p, pics, angler})
		return err
	})
	return kept, err
}

// Photo by id.
func (s *Store) Photo(ctx context.Context, angler, id uuid.UUID) (p Photo, err error) {
	return p, notFound(s.db.GetContext(ctx, &p, `SELECT `+photoColumns+` FROM photo WHERE id = ? AND angler_id = ?`, id, angler))
}

// Picture of a photo: its thumbnail, or the whole.
func (s *Store) Picture(ctx context.Context, angler, id uuid.UUID, thumb bool) (jpeg []byte, err error) {
	column := "image"
	if thumb {
		column = "thumb"
	}
	return jpeg, notFound(s.db.GetContext(ctx, &jpeg, `SELECT `+column+` FROM photo WHERE id = ? AND angler_id = ?`, id, angler))
}

// DeletePhoto of a catch.
func (s *Store) DeletePhoto(ctx context.Context, angler, id uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		return gone(tx.ExecContext(ctx, `DELETE FROM photo WHERE id = ? AND angler_id = ?`, id, angler))
	})
}

// photosUnclaimed so long after they were kept are of catches that were taken back for good.
const photosUnclaimed = 7 * 24 * time.Hour

// ThinPhotos removes those whose catch is gone, and tells how many.
func (s *Store) ThinPhotos(ctx context.Context, now time.Time) (int64, error) {
	r, err := s.exec(ctx, `DELETE FROM photo WHERE made_at < ? AND NOT EXISTS (SELECT 1 FROM catch c WHERE c.id = photo.catch_id
		AND c.angler_id = photo.angler_id)`, now.UTC().Add(-photosUnclaimed))
	if err != nil {
		return 0, err
	}
	return r.RowsAffected()
}

// addPhotos to catches by their ids.
func addPhotos(ctx context.Context, q querier, angler uuid.UUID, spells []Spell) error {
	at := map[uuid.UUID]*Catch{}
	var ids []uuid.UUID
	for i := range spells {
		for k := range spells[i].Catches {
			c := &spells[i].Catches[k]
			at[c.ID] = c
			ids = append(ids, c.ID)
		}
	}
	if len(ids) == 0 {
		return nil
	}
	var list []Photo
	if err := selectIn(ctx, q, &list, `SELECT `+photoColumns+` FROM photo WHERE catch_id IN (?) AND angler_id = ?
		ORDER BY made_at, id`, ids, angler); err != nil {
		return err
	}
	for _, p := range list {
		at[p.Catch].Photos = append(at[p.Catch].Photos, p)
	}
	return nil
}

// SpellOf a catch of an angler.
func (s *Store) SpellOf(ctx context.Context, angler, catch uuid.UUID) (Spell, error) {
	var id uuid.UUID
	if err := s.db.GetContext(ctx, &id, `SELECT spell_id FROM catch WHERE id = ? AND angler_id = ?`, catch, angler); err != nil {
		return Spell{}, notFound(err)
	}
	return s.Spell(ctx, angler, id)
}
