package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Catch is a fish landed in a spell.
type Catch struct {
	ID       uuid.UUID `db:"id"`
	SpellID  uuid.UUID `db:"spell_id"`
	Revision int       `db:"revision"`
	// Told is the revision its outing's touches wrote, see [Spell].
	Told int `db:"told"`
	CatchEntry
	Photos []Photo `db:"-"`
}

// CatchEntry is what a person says of a catch.
type CatchEntry struct {
	// Target caught, or [OtherFish].
	Target string `db:"target"`
	// Species of another fish, by the name it goes by.
	Species  string    `db:"species"`
	CaughtAt time.Time `db:"caught_at"`
	LengthM  *float64  `db:"length_m"`
	MassKg   *float64  `db:"mass_kg"`
	Kept     bool      `db:"kept"`
	Note     string    `db:"note"`
	// Who caught it, and on which rod; empty: not told.
	Who string `db:"who"`
	Rod string `db:"rod"`
	CatchMore
}

// OtherFish stands for a target where a fish is none of them.
const OtherFish = "other"

// CatchMore is what few catches say: girth, how it was measured (board, tape, photo, guess), where it was hooked, on
// which hook (lure or teaser), and a tag it wore or was given.
type CatchMore struct {
	GirthM       *float64 `db:"girth_m"`
	Measured     string   `db:"measured"`
	HookPlace    string   `db:"hook_place"`
	Hook         string   `db:"hook"`
	TagNumber    string   `db:"tag_number"`
	TagSide      string   `db:"tag_side"`
	TagProgramme string   `db:"tag_programme"`
}

func (e CatchEntry) differences(o CatchEntry) []string {
	same := func(a, b *float64) bool { return (a == nil) == (b == nil) && (a == nil || *a == *b) }
	return unequal(map[string]bool{
		"target": e.Target == o.Target, "species": e.Species == o.Species, "caught_at": e.CaughtAt.Equal(o.CaughtAt),
		"length_m": same(e.LengthM, o.LengthM),
		"mass_kg":  same(e.MassKg, o.MassKg), "kept": e.Kept == o.Kept, "note": e.Note == o.Note,
		"who": e.Who == o.Who, "rod": e.Rod == o.Rod, "girth_m": same(e.GirthM, o.GirthM), "measured": e.Measured == o.Measured,
		"hook_place": e.HookPlace == o.HookPlace, "hook": e.Hook == o.Hook, "tag_number": e.TagNumber == o.TagNumber,
		"tag_side": e.TagSide == o.TagSide, "tag_programme": e.TagProgramme == o.TagProgramme})
}

const catchColumns = `c.id, c.spell_id, c.revision, c.target, c.species, c.caught_at, c.length_m, c.mass_kg, c.kept, c.note,
	c.who, c.rod, c.told, c.girth_m, c.measured, c.hook_place, c.hook, c.tag_number, c.tag_side, c.tag_programme`

// PutCatch stores a catch of a spell under the same terms as [Store.PutSpell].
func (s *Store) PutCatch(ctx context.Context, angler uuid.UUID, c Catch) (revision int, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		before := c.SpellID // unless it stood with another
		if err := tx.GetContext(ctx, &before, `SELECT spell_id FROM catch WHERE id = ?`, c.ID); err != nil && notFound(err) != ErrNotFound {
			return err
		}
		if err := logged(ctx, tx, angler, logging{spell: c.SpellID}); err != nil {
			return err
		}
		if before != c.SpellID {
			if err := logged(ctx, tx, angler, logging{spell: before}); err != nil {
				return err
			}
		}
		if err = owned(ctx, tx, "spell", angler, c.SpellID); err != nil {
			return err
		}
		if revision, err = writeCatch(ctx, tx, angler, c); err != nil {
			return err
		}
		for _, spell := range []uuid.UUID{c.SpellID, before} {
			if err := counted(ctx, tx, spell); err != nil {
				return err
			}
		}
		return nil
	})
	return revision, err
}

// writeCatch of a spell that is the angler's.
func writeCatch(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, c Catch) (int, error) {
	type row struct {
		Catch
		Angler uuid.UUID `db:"angler_id"`
	}
	var old row
	err := tx.GetContext(ctx, &old, `SELECT c.angler_id, `+catchColumns+` FROM catch c WHERE c.id = ? FOR UPDATE`, c.ID)
	switch notFound(err) {
	case ErrNotFound:
		if c.Revision > 0 {
			return 0, ErrNotFound
		}
		c.Revision = 1
		_, err := tx.NamedExecContext(ctx, `INSERT INTO catch (id, angler_id, spell_id, revision, target, species, caught_at, length_m,
			mass_kg,
			kept, note, who, rod, girth_m, measured, hook_place, hook, tag_number, tag_side, tag_programme)
			VALUES (:id, :angler_id, :spell_id, :revision, :target, :species, :caught_at, :length_m, :mass_kg, :kept, :note,
				:who, :rod, :girth_m, :measured, :hook_place, :hook, :tag_number, :tag_side, :tag_programme)`, row{c, angler})
		return 1, err
	case nil:
	default:
		return 0, err
	}
	if old.Angler != angler {
		return 0, ErrNotFound
	}
	changed := old.differences(c.CatchEntry)
	if old.SpellID != c.SpellID {
		changed = append(changed, "spell_id")
	}
	if len(changed) == 0 {
		return old.Revision, nil
	}
	if c.Revision != old.Revision {
		return 0, ConflictError{What: "catch", Revision: old.Revision, Changed: changed}
	}
	c.Revision = old.Revision + 1
	_, err = tx.NamedExecContext(ctx, `UPDATE catch SET spell_id = :spell_id, revision = :revision, target = :target, species = :species,
		caught_at = :caught_at,
		length_m = :length_m, mass_kg = :mass_kg, kept = :kept, note = :note, who = :who, rod = :rod, girth_m = :girth_m, measured =
		:measured,
		hook_place = :hook_place, hook = :hook, tag_number = :tag_number, tag_side = :tag_side, tag_programme = :tag_programme
		WHERE id = :id`, c)
	return c.Revision, err
}

// DeleteCatch takes a catch back.
func (s *Store) DeleteCatch(ctx context.Context, angler, id uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		var spell uuid.UUID
		if err := tx.GetContext(ctx, &spell, `SELECT spell_id FROM catch WHERE id = ? AND angler_id = ?`, id, angler); err != nil {
			return notFound(err)
		}
		if err := logged(ctx, tx, angler, logging{spell: spell}); err != nil {
			return err
		}
		if err := gone(tx.ExecContext(ctx, `DELETE FROM catch WHERE id = ?`, id)); err != nil {
			return err
		}
		return counted(ctx, tx, spell)
	})
}

// counted anew are the fish of a spell.
func counted(ctx context.Context, tx *sqlx.Tx, spell uuid.UUID) error {
	_, err := tx.ExecContext(ctx, countCatches+` WHERE p.id = ?`, spell)
	return err
}

const countCatches = `UPDATE spell p SET p.caught = (SELECT COUNT(*) FROM catch c WHERE c.spell_id = p.id),
	p.bycatch = EXISTS (SELECT 1 FROM catch c WHERE c.spell_id = p.id AND c.target <> p.target)`
