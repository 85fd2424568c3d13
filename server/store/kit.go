package store

import (
	"context"
	"fmt"
	"strings"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/kit"
)

// KitItem is a thing owned, as it is stored.
type KitItem struct {
	kit.Item
	Revision int
}

type kitRow struct {
	ID        uuid.UUID `db:"id"`
	Angler    uuid.UUID `db:"angler_id"`
	Revision  int       `db:"revision"`
	Kind      string    `db:"kind"`
	Name      string    `db:"name"`
	Offering  string    `db:"offering"`
	LengthM   float64   `db:"length_m"`
	WeightKg  float64   `db:"weight_kg"`
	RatedKg   float64   `db:"rated_kg"`
	Ratio     float64   `db:"ratio"`
	SpoolM    float64   `db:"spool_m"`
	TurnM     float64   `db:"turn_m"`
	DiameterM float64   `db:"diameter_m"`
	BreakN    float64   `db:"break_n"`
	Material  string    `db:"material"`
	Size      string    `db:"size"`
	Pattern   string    `db:"pattern"`
	RatedM    float64   `db:"rated_m"`
	FallMS    float64   `db:"fall_ms"`
	Finish    string    `db:"finish"`
	SnagProof bool      `db:"snag_proof"`
	InHand    bool      `db:"in_hand"`
	Count     int       `db:"count"`
}

const kitColumns = "id, angler_id, revision, kind, name, offering, length_m, weight_kg, rated_kg, ratio, spool_m, turn_m, diameter_m, " +
	"break_n, material, size, pattern, " +
	"rated_m, fall_ms, finish, snag_proof, in_hand, count"

func (r *kitRow) item() KitItem {
	return KitItem{kit.Item{ID: r.ID.String(), Kind: kit.Kind(r.Kind), Name: r.Name, Offering: r.Offering, LengthM: r.LengthM,
		WeightKg: r.WeightKg, RatedKg: r.RatedKg, Ratio: r.Ratio, SpoolM: r.SpoolM, TurnM: r.TurnM, DiameterM: r.DiameterM,
		BreakN: r.BreakN, Material: r.Material, Size: r.Size, Pattern: r.Pattern,
		RatedM: r.RatedM, FallMS: r.FallMS, Finish: r.Finish, SnagProof: r.SnagProof, InHand: r.InHand, Count: r.Count}, r.Revision}
}

func kitRowOf(angler, id uuid.UUID, i kit.Item) kitRow {
	return kitRow{ID: id, Angler: angler, Kind: string(i.Kind), Name: i.Name, Offering: i.Offering, LengthM: i.LengthM,
		WeightKg: i.WeightKg, RatedKg: i.RatedKg, Ratio: i.Ratio, SpoolM: i.SpoolM, TurnM: i.TurnM, DiameterM: i.DiameterM,
		BreakN: i.BreakN, Material: i.Material, Size: i.Size, Pattern: i.Pattern,
		RatedM: i.RatedM, FallMS: i.FallMS, Finish: i.Finish, SnagProof: i.SnagProof, InHand: i.InHand, Count: i.Count}
}

// Kit of an angler, by kind in the order of the line and by name.
func (s *Store) Kit(ctx context.Context, angler uuid.UUID) ([]KitItem, error) {
	var rows []kitRow
	if err := s.db.SelectContext(ctx, &rows, `SELECT `+kitColumns+` FROM kit_item WHERE angler_id = ? ORDER BY FIELD(kind,
		`+kindOrder()+`), name, id`, angler); err != nil {
		return nil, err
	}
	out := make([]KitItem, len(rows))
	for i := range rows {
		out[i] = rows[i].item()
	}
	return out, nil
}

func kindOrder() string {
	quoted := make([]string, len(kit.Kinds))
	for i, k := range kit.Kinds {
		quoted[i] = "'" + string(k) + "'"
	}
	return strings.Join(quoted, ", ")
}

// PutKitItem stores an item, new or over the one with its id. Writing over a newer
// revision is a [ConflictError].
func (s *Store) PutKitItem(ctx context.Context, angler, id uuid.UUID, i kit.Item, revision int) (now int, err error) {
	if err := i.Validate(); err != nil {
		return 0, fmt.Errorf("store: %w", err)
	}
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		stored, err := claim(ctx, tx, "kit_item", angler, id, revision)
		if err != nil {
			return err
		}
		row := kitRowOf(angler, id, i)
		var old kitRow
		if stored > 0 {
			if err := tx.GetContext(ctx, &old, `SELECT `+kitColumns+` FROM kit_item WHERE id = ?`, id); err != nil {
				return err
			}
		}
		if row.Revision, err = revised("item", stored, revision, differing(old, row)); err != nil || row.Revision == 0 {
			now = stored
			return err
		}
		now = row.Revision
		return writeKitItem(ctx, tx, row)
	})
	return now, err
}

// PutKitItems adds items, all or none.
func (s *Store) PutKitItems(ctx context.Context, angler uuid.UUID, list []kit.Item) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		for _, i := range list {
			id, err := uuid.NewV7()
			if err != nil {
				return err
			}
			row := kitRowOf(angler, id, i)
			row.Revision = 1
			if err := writeKitItem(ctx, tx, row); err != nil {
				return err
			}
		}
		return nil
	})
}

// writeKitItem that was claimed: a new one as its first revision, else over what is there.
func writeKitItem(ctx context.Context, tx *sqlx.Tx, row kitRow) error {
	write := `INSERT INTO kit_item (` + kitColumns + `) VALUES (:` + strings.ReplaceAll(kitColumns, ", ", ", :") + `)`
	if row.Revision > 1 {
		write = `UPDATE kit_item SET ` + assigned(strings.TrimPrefix(kitColumns, "id, angler_id, ")) +
			` WHERE id = :id AND angler_id = :angler_id`
	}
	_, err := tx.NamedExecContext(ctx, write, row)
	return err
}

// DeleteKitItem takes one out.
func (s *Store) DeleteKitItem(ctx context.Context, angler, id uuid.UUID) error {
	return gone(s.exec(ctx, `DELETE FROM kit_item WHERE id = ? AND angler_id = ?`, id, angler))
}

// KitOf an angler as the core wants it.
func (s *Store) KitOf(ctx context.Context, angler uuid.UUID) (kit.Kit, error) {
	items, err := s.Kit(ctx, angler)
	var out kit.Kit
	for _, i := range items {
		out = append(out, i.Item)
	}
	return out, err
}
