package store

import (
	"context"
	"strings"
	"time"

	"github.com/google/uuid"
)

// Filter of the log; empty fields do not filter.
type Filter struct {
	Target    string
	SpotID    uuid.UUID
	Direction string // flood or ebb
	Third     int
	From, To  time.Time
	// Blanks keeps only spells without a catch, Catches only those with one.
	Blanks, Catches bool
	// OutingID keeps the spells of one outing.
	OutingID uuid.UUID
	// Approach of the presentation, Light of its middle; Text that stands in offering, mark, who or note.
	Approach, Light, Text string
	// After is the last spell of the page before: those after it, in the order of the list.
	After *SpellAt
	// Most rows, newest first.
	Most int
}

func (f Filter) where(angler uuid.UUID) (string, []any) {
	var where []string
	var args []any
	add := func(condition string, values ...any) {
		where = append(where, condition)
		args = append(args, values...)
	}
	add("p.angler_id = ?", angler)
	if f.Target != "" {
		add("(p.target = ? OR p.bycatch AND EXISTS (SELECT 1 FROM catch c WHERE c.spell_id = p.id AND c.target = ?))", f.Target, f.Target)
	}
	if f.SpotID != uuid.Nil {
		add("p.spot_id = ?", f.SpotID)
	}
	if f.OutingID != uuid.Nil {
		add("p.outing_id = ?", f.OutingID)
	}
	if f.Approach != "" {
		add("p.approach = ?", f.Approach)
	}
	if f.Light != "" {
		add("p.light = ?", f.Light)
	}
	if f.Text != "" {
		like := "%" + escapeLike.Replace(f.Text) + "%"
		add("(p.offering LIKE ? OR p.mark LIKE ? OR p.note LIKE ? OR p.who LIKE ?)", like, like, like, like)
	}
	if f.Direction != "" {
		add("p.tide_direction = ?", f.Direction)
	}
	if f.Third != 0 {
		add("p.tide_third = ?", f.Third)
	}
	if !f.From.IsZero() {
		add("p.ended_at >= ?", f.From)
	}
	if !f.To.IsZero() {
		add("p.started_at <= ?", f.To)
	}
	if f.Blanks {
		add("p.caught = 0")
	}
	if f.Catches {
		add("p.caught > 0")
	}
	return strings.Join(where, " AND "), args
}

// SpellAt is where a spell stands in the list.
type SpellAt struct {
	StartedAt time.Time
	ID        uuid.UUID
}

// escapeLike takes what LIKE reads as a sign for what it is.
var escapeLike = strings.NewReplacer(`\`, `\\`, `%`, `\%`, `_`, `\_`)

// Summary of all spells a filter lets through, not only of those listed.
type Summary struct {
	Spells   int     `db:"spells"`
	Blanks   int     `db:"blanks"`
	RodHours float64 `db:"rod_hours"`
	Catches  int     `db:"catches"`
}

// rodSeconds and rodHours of a spell: what it was paused is not fished. A DOUBLE, exact for any log: sums of whole
// numbers are DECIMAL here, and a long log's take a seventh longer.
const (
	rodSeconds = `p.rods * GREATEST(TIMESTAMPDIFF(SECOND, p.started_at, p.ended_at) - p.paused_s, 0e0)`
	rodHours   = rodSeconds + ` / 3600`
)

// Spells of an angler that a filter lets through, newest first, with their
// readings and catches.
func (s *Store) Spells(ctx context.Context, angler uuid.UUID, f Filter) (spells []Spell, sum Summary, err error) {
	err = s.snapshot(ctx, func(q querier) error {
		where, args := f.where(angler)
		var err error
		if sum, err = summed(ctx, q, where, args); err != nil {
			return err
		}
		spells, err = listed(ctx, q, angler, f)
		return err
	})
	return spells, sum, err
}

// Listed are the spells alone, without what all that match come to.
func (s *Store) Listed(ctx context.Context, angler uuid.UUID, f Filter) (spells []Spell, err error) {
	err = s.snapshot(ctx, func(q querier) error {
		var err error
		spells, err = listed(ctx, q, angler, f)
		return err
	})
	return spells, err
}

// usually so many spells are listed.
const usually = 200

func listed(ctx context.Context, q querier, angler uuid.UUID, f Filter) (spells []Spell, err error) {
	where, args := f.where(angler)
	if f.After != nil {
		where += " AND (p.started_at < ? OR p.started_at = ? AND p.id < ?)"
		args = append(args, f.After.StartedAt, f.After.StartedAt, f.After.ID)
	}
	most := f.Most
	if most <= 0 {
		most = usually
	}
	// Which ones, by the index alone; then what stands in them.
	if err := q.SelectContext(ctx, &spells, listedSpells+` JOIN (SELECT p.id FROM spell p WHERE `+where+`
		ORDER BY p.started_at DESC, p.id DESC LIMIT ?) AS page ON page.id = p.id ORDER BY p.started_at DESC, p.id DESC`,
		append(args, most)...); err != nil {
		return nil, err
	}
	return spells, addDetails(ctx, q, angler, spells)
}

// summed over all spells of a condition.
func summed(ctx context.Context, q querier, where string, args []any) (sum Summary, err error) {
	return sum, q.GetContext(ctx, &sum, `SELECT `+sums+` FROM spell p WHERE `+where, args...)
}

// sums of a [Summary].
const sums = `COUNT(*) AS spells, COUNT(*) - COUNT(NULLIF(p.caught, 0)) AS blanks,
	CAST(COALESCE(SUM(p.caught + 0e0), 0) AS SIGNED) AS catches, COALESCE(SUM(` + rodSeconds + `) / 3600, 0) AS rod_hours`

// Total of the spells a filter lets through.
func (s *Store) Total(ctx context.Context, angler uuid.UUID, f Filter) (Summary, error) {
	where, args := f.where(angler)
	return summed(ctx, s.db, where, args)
}

// Effort of a spell, by when it began.
type Effort struct {
	StartedAt time.Time `db:"started_at"`
	TimeZone  string    `db:"time_zone"`
	RodHours  float64   `db:"rod_hours"`
	Catches   int       `db:"catches"`
}

// Efforts of the spells a filter lets through, oldest first.
func (s *Store) Efforts(ctx context.Context, angler uuid.UUID, f Filter) (list []Effort, err error) {
	where, args := f.where(angler)
	return list, s.db.SelectContext(ctx, &list, `SELECT p.started_at, w.time_zone, `+rodHours+` AS rod_hours, p.caught AS catches
		FROM spell p JOIN spot s ON s.id = p.spot_id JOIN water w ON w.id = s.water_id WHERE `+where+` ORDER BY p.started_at, p.id`,
		args...)
}

// Tally of the spells at a mark of a spot.
type Tally struct {
	SpotID uuid.UUID `db:"spot_id"`
	// Mark by its name; empty: none was told.
	Mark string `db:"mark"`
	Summary
}

// Tallies of the spells a filter lets through, by spot and mark.
func (s *Store) Tallies(ctx context.Context, angler uuid.UUID, f Filter) (list []Tally, err error) {
	where, args := f.where(angler)
	return list, s.db.SelectContext(ctx, &list, `SELECT p.spot_id, p.mark, `+sums+` FROM spell p WHERE `+where+`
		GROUP BY p.spot_id, p.mark ORDER BY p.spot_id, p.mark`, args...)
}

// Spell by id, with its readings and catches.
func (s *Store) Spell(ctx context.Context, angler, id uuid.UUID) (Spell, error) {
	var spells []Spell
	if err := s.snapshot(ctx, func(q querier) error {
		if err := q.SelectContext(ctx, &spells, listedSpells+` WHERE p.angler_id = ? AND p.id = ?`, angler, id); err != nil {
			return err
		}
		return addDetails(ctx, q, angler, spells)
	}); err != nil {
		return Spell{}, err
	}
	if len(spells) == 0 {
		return Spell{}, ErrNotFound
	}
	return spells[0], nil
}

// listedSpells with the names of spot and time zone.
const listedSpells = `SELECT ` + spellColumns + `, s.name AS spot_name, w.time_zone
	FROM spell p JOIN spot s ON s.id = p.spot_id JOIN water w ON w.id = s.water_id`

func addDetails(ctx context.Context, q querier, angler uuid.UUID, spells []Spell) error {
	if len(spells) == 0 {
		return nil
	}
	ids := make([]uuid.UUID, len(spells))
	at := make(map[uuid.UUID]*Spell, len(spells))
	for i := range spells {
		ids[i] = spells[i].ID
		at[spells[i].ID] = &spells[i]
	}
	var catches []Catch
	if err := selectIn(ctx, q, &catches, `SELECT `+catchColumns+` FROM catch c WHERE c.spell_id IN (?)
		ORDER BY c.caught_at, c.id`, ids); err != nil {
		return err
	}
	for _, c := range catches {
		at[c.SpellID].Catches = append(at[c.SpellID].Catches, c)
	}
	var readings []spellReading
	if err := selectIn(ctx, q, &readings, `SELECT `+spellReadingColumns+` FROM spell_reading WHERE spell_id IN (?)
		ORDER BY kind`, ids); err != nil {
		return err
	}
	for _, r := range readings {
		at[r.Spell].Readings = append(at[r.Spell].Readings, r.reading())
	}
	if err := addPhotos(ctx, q, angler, spells); err != nil {
		return err
	}
	return addEvents(ctx, q, ids, at)
}
