package store

import (
	"context"
	"database/sql"
	"fmt"
	"reflect"
	"slices"
	"strings"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/ground"
	"greypebble/core/spot"
)

// Spot is a stored spot: who it is, the water it lies in, and the spot itself.
type Spot struct {
	ID       uuid.UUID
	Revision int
	Water    Water
	spot.Spot
	// SurgeRevision of the surge seen at its water, 0 for none.
	SurgeRevision int
}

// PutSpot stores a spot with its section and marks, new or over the revision of it that was
// read, all or none. What belongs to its tide is written with a new one and stays otherwise,
// see [Store.SetOffsets] and [Store.SetCurrent]. It returns the spot's revision.
func (s *Store) PutSpot(ctx context.Context, angler uuid.UUID, sp Spot) (revision int, err error) {
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		revision, err = putSpot(ctx, tx, angler, sp)
		return err
	})
	return revision, err
}

// EditSpot changes what is stored of a spot, whatever that is by then. It returns the spot's
// revision.
func (s *Store) EditSpot(ctx context.Context, angler, id uuid.UUID, edit func(*Spot) error) (revision int, err error) {
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		stored, err := claim(ctx, tx, "spot", angler, id, 1)
		if err != nil {
			return err
		}
		list, err := readSpots(ctx, tx, " AND s.id = ?", []any{angler, id})
		if err != nil {
			return err
		}
		sp := *list[0]
		if err := edit(&sp); err != nil {
			return err
		}
		sp.Revision = stored
		revision, err = putSpot(ctx, tx, angler, sp)
		return err
	})
	return revision, err
}

func putSpot(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, sp Spot) (int, error) {
	if err := owned(ctx, tx, "water", angler, sp.Water.ID); err != nil {
		return 0, err
	}
	stored, err := claim(ctx, tx, "spot", angler, sp.ID, sp.Revision)
	if err != nil {
		return 0, err
	}
	changed := []string{"id"}
	if stored > 0 {
		if changed, err = spotChanges(ctx, tx, angler, sp); err != nil {
			return 0, err
		}
	}
	revision, err := revised("spot", stored, sp.Revision, changed)
	if err != nil || revision == 0 {
		return stored, err
	}
	return revision, writeSpot(ctx, tx, angler, sp, revision)
}

// spotChanges are the fields in which a spot that is written differs from what is stored.
func spotChanges(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, sp Spot) ([]string, error) {
	list, err := readSpots(ctx, tx, " AND s.id = ?", []any{angler, sp.ID})
	if err != nil {
		return nil, err
	}
	old := *list[0]
	sp.Offsets, sp.Current = old.Offsets, old.Current
	a, err := columnsOf(old)
	if err != nil {
		return nil, err
	}
	b, err := columnsOf(sp)
	if err != nil {
		return nil, err
	}
	changed := differing(a, b)
	if !slices.Equal(old.Section, sp.Section) {
		changed = append(changed, "section")
	}
	if !reflect.DeepEqual(markRowsOf(sp.ID, old.Marks), markRowsOf(sp.ID, sp.Marks)) {
		changed = append(changed, "marks")
	}
	return changed, nil
}

// PutSpots stores new spots, all or none.
func (s *Store) PutSpots(ctx context.Context, angler uuid.UUID, list []Spot) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		for _, sp := range list {
			if err := owned(ctx, tx, "water", angler, sp.Water.ID); err != nil {
				return err
			}
			if err := writeSpot(ctx, tx, angler, sp, 1); err != nil {
				return err
			}
		}
		return nil
	})
}

// writeSpot that was claimed: a new one as its first revision, else over what is there.
func writeSpot(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, sp Spot, revision int) error {
	columns, err := columnsOf(sp)
	if err != nil {
		return err
	}
	columns.Revision = revision
	write := `INSERT INTO spot (id, angler_id, ` + ownColumns + `) VALUES (:id, :angler_id, :` +
		strings.ReplaceAll(ownColumns, ", ", ", :") + `)`
	if revision > 1 {
		write = `UPDATE spot SET ` + assigned(writtenColumns) + ` WHERE id = :id AND angler_id = :angler_id`
	}
	if _, err := tx.NamedExecContext(ctx, write, struct {
		spotColumns
		Angler uuid.UUID `db:"angler_id"`
	}{columns, angler}); err != nil {
		return err
	}
	if revision > 1 {
		for _, table := range []string{"section_point", "mark"} {
			if _, err := tx.ExecContext(ctx, `DELETE FROM `+table+` WHERE spot_id = ?`, sp.ID); err != nil {
				return err
			}
		}
	}
	return writeGround(ctx, tx, sp)
}

// writeGround of a spot that has none.
func writeGround(ctx context.Context, tx *sqlx.Tx, sp Spot) error {
	points := make([]pointRow, len(sp.Section))
	for i, p := range sp.Section {
		points[i] = pointRow{sp.ID, p.DistanceM, p.ElevationM}
	}
	if len(points) > 0 {
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO section_point (spot_id, distance_m, elevation_m)
			VALUES (:spot_id, :distance_m, :elevation_m)`, points); err != nil {
			return err
		}
	}
	if len(sp.Marks) == 0 {
		return nil
	}
	_, err := tx.NamedExecContext(ctx, `INSERT INTO mark (id, spot_id, name, kind, distance_m, elevation_m, bottom, fishable_min_m,
		fishable_max_m, line, lat_deg, lon_deg, note, snag) VALUES (:id, :spot_id, :name, :kind, :distance_m, :elevation_m, :bottom,
		:fishable_min_m, :fishable_max_m, :line, :lat_deg, :lon_deg, :note, :snag)`, markRowsOf(sp.ID, sp.Marks))
	if duplicate(err) {
		return InUseError{"the id of one of the marks is taken"}
	}
	return err
}

type pointRow struct {
	Spot      uuid.UUID `db:"spot_id"`
	Distance  float64   `db:"distance_m"`
	Elevation float64   `db:"elevation_m"`
}

// assigned writes "a = :a, b = :b".
func assigned(columns string) string {
	list := strings.Split(columns, ", ")
	for i, c := range list {
		list[i] = c + " = :" + c
	}
	return strings.Join(list, ", ")
}

// DeleteSpot removes a spot in which no spell was fished.
func (s *Store) DeleteSpot(ctx context.Context, angler, id uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "spot", angler, id); err != nil {
			return err
		}
		var spells int
		if err := tx.GetContext(ctx, &spells, `SELECT COUNT(*) FROM spell WHERE spot_id = ?`, id); err != nil {
			return err
		}
		if spells > 0 {
			return InUseError{fmt.Sprintf("the log holds %d spells of this spot", spells)}
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM spot WHERE id = ?`, id)
		return err
	})
}

// ownColumns of a spot's row besides its id and its angler: those that are written with the
// spot, and those of its tide, which are written by themselves.
const (
	writtenColumns = "water_id, name, place, lat_deg, lon_deg, manner, manners, in_name, " +
		"in_elevation_m, in_clear, out_name, out_elevation_m, out_clear, note, draught_m, " +
		"faces_deg, stand_m, bottom, hazards, hours, fee, parking, bend, private, shape, " +
		"section_lat_deg, section_lon_deg, section_bearing_deg, revision"
	tideColumns = "lag_high_s, lag_low_s, factor_high, factor_low, difference_high_m, difference_low_m, current_seen_ms, basin_m2, " +
		"passage_width_m, passage_bed_m"
	ownColumns = writtenColumns + ", " + tideColumns
)

// spotColumns are a spot's own row.
type spotColumns struct {
	ID    uuid.UUID `db:"id"`
	Water uuid.UUID `db:"water_id"`
	Name  string    `db:"name"`
	Place string    `db:"place"`
	Note  string    `db:"note"`
	Lat   float64   `db:"lat_deg"`
	Lon   float64   `db:"lon_deg"`
	offsets
	CurrentSeenMS float64 `db:"current_seen_ms"`
	BasinM2       float64 `db:"basin_m2"`
	PassageWidthM float64 `db:"passage_width_m"`
	PassageBedM   float64 `db:"passage_bed_m"`
	Manner        string  `db:"manner"`
	Manners       string  `db:"manners"`
	InName        string  `db:"in_name"`
	InElevation   float64 `db:"in_elevation_m"`
	InClear       bool    `db:"in_clear"`
	OutClear      bool    `db:"out_clear"`
	OutName       string  `db:"out_name"`
	OutElevation  float64 `db:"out_elevation_m"`

	DraughtM       float64         `db:"draught_m"`
	FacesDeg       *float64        `db:"faces_deg"`
	StandM         *float64        `db:"stand_m"`
	Bottom         string          `db:"bottom"`
	Hazards        string          `db:"hazards"`
	Hours          sql.NullString  `db:"hours"`
	Fee            string          `db:"fee"`
	Parking        string          `db:"parking"`
	Bend           int             `db:"bend"`
	Private        bool            `db:"private"`
	Shape          sql.NullString  `db:"shape"`
	SectionLat     sql.NullFloat64 `db:"section_lat_deg"`
	SectionLon     sql.NullFloat64 `db:"section_lon_deg"`
	SectionBearing sql.NullFloat64 `db:"section_bearing_deg"`
	Revision       int             `db:"revision"`
}

func columnsOf(sp Spot) (spotColumns, error) {
	a, c := sp.Access, sp.Current
	shape, err := shapeText(sp.Shape)
	if err != nil {
		return spotColumns{}, err
	}
	hours, err := hoursText(sp.Timetable)
	if err != nil {
		return spotColumns{}, err
	}
	out := spotColumns{Hours: hours, Fee: sp.Fee, Parking: sp.Parking, Bend: sp.Bend,
		ID: sp.ID, Water: sp.Water.ID, Name: sp.Name, Place: sp.Place, Note: sp.Note, Lat: sp.Lat, Lon: sp.Lon,
		offsets: offsetsOf(sp.Offsets), CurrentSeenMS: c.SeenMS, BasinM2: c.BasinM2, PassageWidthM: c.WidthM, PassageBedM: c.BedM,
		Manner: string(a.Manner), Manners: mannersText(a.Others),
		InName: a.In.Name, InElevation: a.In.ElevationM, OutName: a.Out.Name, OutElevation: a.Out.ElevationM, InClear: a.In.Clear,
		OutClear: a.Out.Clear,
		DraughtM: a.DraughtM,
		FacesDeg: sp.FacesDeg, StandM: sp.StandM, Bottom: sp.Bottom, Hazards: sp.Hazards, Private: !sp.Public, Shape: shape}
	if p := sp.SectionFrom; p != nil {
		out.SectionLat, out.SectionLon = sql.NullFloat64{Float64: p.Lat, Valid: true}, sql.NullFloat64{Float64: p.Lon, Valid: true}
		out.SectionBearing = sql.NullFloat64{Float64: sp.SectionBearing, Valid: true}
	}
	return out, nil
}

// mannersText writes manners with a comma between them.
func mannersText(list []ground.Manner) string {
	words := make([]string, len(list))
	for i, m := range list {
		words[i] = string(m)
	}
	return strings.Join(words, ",")
}

// mannersOf a text; none of an empty one.
func mannersOf(text string) []ground.Manner {
	var out []ground.Manner
	for _, w := range strings.FieldsFunc(text, func(r rune) bool { return r == ',' }) {
		out = append(out, ground.Manner(w))
	}
	return out
}
