package store

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"
	"sort"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/conditions"
	"greypebble/core/outing"
	"greypebble/core/spot"
)

// SpellEntry is what a person says of a spell.
type SpellEntry struct {
	SpotID    uuid.UUID `db:"spot_id"`
	Target    string    `db:"target"`
	StartedAt time.Time `db:"started_at"`
	EndedAt   time.Time `db:"ended_at"`
	Rods      int       `db:"rods"`
	Mark      string    `db:"mark"`
	Approach  string    `db:"approach"`
	Offering  string    `db:"offering"`
	Note      string    `db:"note"`
	// Outing it belongs to, if to one; the rod and who fished it, if that was told.
	Outing uuid.NullUUID `db:"outing_id"`
	Rod    string        `db:"rod"`
	Who    string        `db:"who"`
	// PausedS of the time from its start to its end nothing was fished.
	PausedS int `db:"paused_s"`
	// Casts made, 0: not counted.
	Casts        int                         `db:"casts"`
	Presentation AsJSON[outing.Presentation] `db:"presentation"`
	Events       []outing.Event              `db:"-"`
	Signs        AsJSON[[]string]            `db:"signs"`
}

// SpellWater is what the program worked out for the middle of a spell.
type SpellWater struct {
	TideLevelM       float64 `db:"tide_level_m"`
	TideDirection    string  `db:"tide_direction"`
	TideThird        int     `db:"tide_third"`
	TideSays         string  `db:"tide_says"`
	TideRateMPerH    float64 `db:"tide_rate_m_per_h"`
	SunAltitudeDeg   float64 `db:"sun_altitude_deg"`
	Light            string  `db:"light"`
	MoonIllumination float64 `db:"moon_illumination"`
	MoonPhase        string  `db:"moon_phase"`
}

// WaterAt freezes a moment for the log.
func WaterAt(m *spot.Moment) SpellWater {
	return SpellWater{TideLevelM: m.LevelM, TideDirection: m.Stage.Direction.String(), TideThird: m.Stage.Third, TideSays: m.Stage.String(),
		TideRateMPerH: m.Stage.RateMPerH, SunAltitudeDeg: m.Sun.Altitude, Light: m.Light().String(),
		MoonIllumination: m.Phase.Illumination, MoonPhase: m.Phase.Name()}
}

// ReadingsAt are what was believed at a moment, one reading a kind.
func ReadingsAt(m *spot.Moment) []conditions.Reading {
	var out []conditions.Reading
	for _, k := range conditions.Kinds() {
		if v, ok := m.Believed[k]; ok {
			out = append(out, v.Reading)
		}
	}
	return out
}

// Spell is a stretch of effort with one presentation in one place. One without
// catches is a blank.
type Spell struct {
	ID       uuid.UUID `db:"id"`
	Revision int       `db:"revision"`
	// Told is the revision its outing's touches wrote, 0: none did. At another, it was changed by hand.
	Told int `db:"told"`
	SpellEntry
	SpellWater
	// Readings kept with the spell, one a kind; the observed ones are the
	// angler's own.
	Readings []conditions.Reading `db:"-"`
	Catches  []Catch              `db:"-"`
	SpotName string               `db:"spot_name"`
	// Import that brought it in, if one did.
	Import uuid.NullUUID `db:"import_id"`
	// TimeZone of the water, for showing times.
	TimeZone string `db:"time_zone"`
}

// ConflictError says that a row has changed since the writer read it.
type ConflictError struct {
	What string
	// Revision that is stored: writing as of it writes over what was changed.
	Revision int
	// Changed names the fields that differ.
	Changed []string
	// Within names where the row stands in what was written: "catches[2]"; empty: it is what was written.
	Within string
}

func (e ConflictError) Error() string {
	return fmt.Sprintf("store: this %s was changed elsewhere (it is at revision %d): different in %s", e.What, e.Revision,
		strings.Join(e.Changed, ", "))
}

// differences names the fields two entries disagree in.
func (e SpellEntry) differences(o SpellEntry) []string {
	return unequal(map[string]bool{
		"spot_id": e.SpotID == o.SpotID, "target": e.Target == o.Target, "started_at": e.StartedAt.Equal(o.StartedAt),
		"ended_at": e.EndedAt.Equal(o.EndedAt), "rods": e.Rods == o.Rods, "mark": e.Mark == o.Mark,
		"approach": e.Approach == o.Approach, "offering": e.Offering == o.Offering, "note": e.Note == o.Note,
		"outing_id": e.Outing == o.Outing, "rod": e.Rod == o.Rod, "who": e.Who == o.Who, "paused_s": e.PausedS == o.PausedS,
		"casts": e.Casts == o.Casts, "presentation": e.Presentation == o.Presentation,
		"events": slices.EqualFunc(inOrder(e.Events), inOrder(o.Events), sameEvent), "signs": slices.Equal(e.Signs.V, o.Signs.V)})
}

func inOrder(list []outing.Event) []outing.Event {
	return slices.SortedFunc(slices.Values(list), func(a, b outing.Event) int {
		return cmp.Or(a.Time.Compare(b.Time), strings.Compare(a.ID, b.ID))
	})
}

func sameEvent(a, b outing.Event) bool {
	same := a.Time.Equal(b.Time)
	a.Time = b.Time
	return same && a == b
}

func unequal(same map[string]bool) []string {
	var out []string
	for name, is := range same {
		if !is {
			out = append(out, name)
		}
	}
	sort.Strings(out)
	return out
}

// observed are the readings the angler gave with the spell, as a comparable
// text. What was seen on the water beside it names its place, and does not count
// as a change of the spell.
func observed(readings []conditions.Reading) string {
	var list []string
	for _, r := range readings {
		if r.Origin == conditions.Observed && r.Source == conditions.TheAngler && r.Site == "" {
			list = append(list, fmt.Sprintf("%s=%g", r.Kind, r.Value))
		}
	}
	sort.Strings(list)
	return strings.Join(list, ";")
}

const spellColumns = `p.id, p.revision, p.spot_id, p.target, p.started_at, p.ended_at, p.rods, p.mark, p.approach, p.offering, p.note,
	p.outing_id, p.import_id, p.told, p.rod, p.who, p.paused_s, p.casts, p.presentation, p.signs,
	p.tide_level_m, p.tide_direction, p.tide_third, p.tide_says, p.tide_rate_m_per_h, p.sun_altitude_deg, p.light,
			p.moon_illumination, p.moon_phase`

// PutSpell stores a spell and the catches given with it, all or none. Writing
// the same again changes nothing; writing over a newer revision is a
// [ConflictError]. It returns the spell's revision, and whether it was not there before.
func (s *Store) PutSpell(ctx context.Context, angler uuid.UUID, sp Spell) (revision int, isNew bool, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if err := logged(ctx, tx, angler, logging{sp.ID, sp.SpotID}); err != nil {
			return err
		}
		if err := owned(ctx, tx, "spot", angler, sp.SpotID); err != nil {
			return err
		}
		if revision, isNew, err = putSpell(ctx, tx, angler, sp); err != nil {
			return err
		}
		for i, c := range sp.Catches {
			c.SpellID = sp.ID
			if _, err := writeCatch(ctx, tx, angler, c); err != nil {
				return within(fmt.Sprintf("catches[%d]", i), err)
			}
		}
		return counted(ctx, tx, sp.ID)
	})
	return revision, isNew, err
}

// within says where the row of a conflict stands.
func within(where string, err error) error {
	var c ConflictError
	if errors.As(err, &c) {
		c.Within = where
		return c
	}
	return err
}

// owned checks that a row of a table belongs to the angler.
func owned(ctx context.Context, tx *sqlx.Tx, table string, angler, id uuid.UUID) error {
	var one int
	return notFound(tx.GetContext(ctx, &one, `SELECT 1 FROM `+table+` WHERE id = ? AND angler_id = ?`, id, angler))
}

func putSpell(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, sp Spell) (revision int, isNew bool, err error) {
	var old struct {
		Spell
		Angler uuid.UUID `db:"angler_id"`
	}
	err = tx.GetContext(ctx, &old, `SELECT p.angler_id, `+spellColumns+` FROM spell p WHERE p.id = ? FOR UPDATE`, sp.ID)
	switch notFound(err) {
	case ErrNotFound:
		if sp.Revision > 0 {
			return 0, false, ErrNotFound // it was deleted meanwhile
		}
		return 1, true, insertSpell(ctx, tx, angler, sp)
	case nil:
	default:
		return 0, false, err
	}
	if old.Angler != angler {
		return 0, false, ErrNotFound
	}
	if old.Readings, err = readingsOf(ctx, tx, sp.ID); err != nil {
		return 0, false, err
	}
	if old.Events, err = eventsOf(ctx, tx, sp.ID); err != nil {
		return 0, false, err
	}
	changed := old.differences(sp.SpellEntry)
	if observed(old.Readings) != observed(sp.Readings) {
		changed = append(changed, "readings")
	}
	if len(changed) == 0 {
		return old.Revision, false, nil
	}
	if sp.Revision != old.Revision {
		return 0, false, ConflictError{What: "spell", Revision: old.Revision, Changed: changed}
	}
	sp.Revision = old.Revision + 1
	if _, err := tx.NamedExecContext(ctx, `UPDATE spell SET spot_id = :spot_id, target = :target, started_at = :started_at,
		ended_at = :ended_at,
		rods = :rods, mark = :mark, approach = :approach, offering = :offering, note = :note, revision = :revision,
		outing_id = :outing_id, rod = :rod, who = :who, paused_s = :paused_s, casts = :casts, presentation = :presentation,
		signs = :signs,
		tide_level_m = :tide_level_m, tide_direction = :tide_direction, tide_third = :tide_third, tide_says = :tide_says,
			tide_rate_m_per_h = :tide_rate_m_per_h,
		sun_altitude_deg = :sun_altitude_deg, light = :light, moon_illumination = :moon_illumination, moon_phase = :moon_phase
		WHERE id = :id`, sp); err != nil {
		return 0, false, err
	}
	return sp.Revision, false, writeBeside(ctx, tx, sp)
}

func insertSpell(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, sp Spell) error {
	sp.Revision = 1
	row := struct {
		Spell
		Angler uuid.UUID `db:"angler_id"`
	}{sp, angler}
	if _, err := tx.NamedExecContext(ctx, `INSERT INTO spell (id, angler_id, revision, spot_id, target, started_at, ended_at, rods, mark,
		approach,
		offering, note, outing_id, import_id, rod, who, paused_s, casts, presentation, signs,
		tide_level_m, tide_direction, tide_third, tide_says, tide_rate_m_per_h, sun_altitude_deg, light,
			moon_illumination, moon_phase)
		VALUES (:id, :angler_id, :revision, :spot_id, :target, :started_at, :ended_at, :rods, :mark, :approach, :offering, :note,
			:outing_id, :import_id, :rod, :who, :paused_s, :casts, :presentation, :signs, :tide_level_m,
		:tide_direction, :tide_third, :tide_says, :tide_rate_m_per_h, :sun_altitude_deg, :light, :moon_illumination,
			:moon_phase)`, row); err != nil {
		return err
	}
	return writeBeside(ctx, tx, sp)
}

// writeBeside a spell what stands in tables of its own.
func writeBeside(ctx context.Context, tx *sqlx.Tx, sp Spell) error {
	if err := writeReadings(ctx, tx, sp); err != nil {
		return err
	}
	return writeEvents(ctx, tx, sp)
}

type spellReading struct {
	Spell  uuid.UUID         `db:"spell_id"`
	Kind   conditions.Kind   `db:"kind"`
	Value  float64           `db:"value"`
	Origin conditions.Origin `db:"origin"`
	Time   time.Time         `db:"time"`
	Source string            `db:"source"`
	Place  string            `db:"place"`
	Spread float64           `db:"spread"`
}

const spellReadingColumns = `spell_id, kind, value, origin, time, source, place, spread`

func (r spellReading) reading() conditions.Reading {
	return conditions.Reading{Kind: r.Kind, Value: r.Value, Time: r.Time, Origin: r.Origin, Source: r.Source, Site: r.Place,
		Spread: r.Spread}
}

func writeReadings(ctx context.Context, tx *sqlx.Tx, sp Spell) error {
	if sp.Revision > 1 {
		if _, err := tx.ExecContext(ctx, `DELETE FROM spell_reading WHERE spell_id = ?`, sp.ID); err != nil {
			return err
		}
	}
	if len(sp.Readings) == 0 {
		return nil
	}
	rows := make([]spellReading, len(sp.Readings))
	for i, r := range sp.Readings {
		rows[i] = spellReading{sp.ID, r.Kind, r.Value, r.Origin, r.Time, r.Source, r.Site, r.Spread}
	}
	_, err := tx.NamedExecContext(ctx, `INSERT INTO spell_reading (`+spellReadingColumns+`)
		VALUES (:spell_id, :kind, :value, :origin, :time, :source, :place, :spread)`, rows)
	return err
}

func readingsOf(ctx context.Context, tx *sqlx.Tx, spell uuid.UUID) ([]conditions.Reading, error) {
	var rows []spellReading
	err := tx.SelectContext(ctx, &rows, `SELECT `+spellReadingColumns+` FROM spell_reading WHERE spell_id = ?`, spell)
	out := make([]conditions.Reading, len(rows))
	for i, r := range rows {
		out[i] = r.reading()
	}
	return out, err
}

// DeleteSpell removes a spell and its catches.
func (s *Store) DeleteSpell(ctx context.Context, angler, id uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := logged(ctx, tx, angler, logging{spell: id}); err != nil {
			return err
		}
		return gone(tx.ExecContext(ctx, `DELETE FROM spell WHERE id = ? AND angler_id = ?`, id, angler))
	})
}
