package store

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/tide"
)

// Station is a tide station of an angler: constituents, or offsets on another
// station.
type Station struct {
	ID           uuid.UUID
	Name, Source string
	Z0M          float64
	Constituents []tide.Constituent
	// Reference is the station it follows, nil for one with constituents.
	Reference *uuid.UUID
	Offsets   tide.Offsets
	Revision  int
	// harmonics of it, made once for all that follow it.
	harmonics *tide.Harmonics
}

// errChain says that a station that follows another cannot be followed itself.
var errChain = fmt.Errorf("store: a station can only follow one that has constituents of its own")

// Stations by id, to find the tide of one.
type Stations map[uuid.UUID]Station

// Root is the station with constituents that a place with offsets on a station follows in the end,
// and its offsets on that one.
func (all Stations) Root(id uuid.UUID, o tide.Offsets) (Station, tide.Offsets, error) {
	st, ok := all[id]
	if !ok {
		return st, o, ErrNotFound
	}
	if st.Reference != nil {
		o = st.Offsets.Then(o)
		if st, ok = all[*st.Reference]; !ok || st.Reference != nil {
			return st, o, errChain
		}
	}
	return st, o, nil
}

// Follow is the tide of a place with offsets on a station.
func (all Stations) Follow(id uuid.UUID, o tide.Offsets) (tide.Predictor, error) {
	st, o, err := all.Root(id, o)
	if err != nil {
		return nil, err
	}
	h := st.harmonics
	if h == nil {
		if h, err = tide.NewHarmonics(st.Constituents, st.Z0M); err != nil {
			return nil, fmt.Errorf("store: station %s: %w", st.Name, err)
		}
	}
	return tide.Follow(h, o)
}

// Tide of the station itself.
func (all Stations) Tide(id uuid.UUID) (tide.Predictor, error) { return all.Follow(id, tide.Offsets{}) }

// PutStation stores a station with its constituents or reference, new or over the revision
// of it that was read, all or none. It returns its revision.
func (s *Store) PutStation(ctx context.Context, angler uuid.UUID, st Station) (revision int, err error) {
	if st.Reference == nil {
		if _, err := tide.NewHarmonics(st.Constituents, st.Z0M); err != nil {
			return 0, fmt.Errorf("store: station: %w", err)
		}
	}
	row := stationRow{ID: st.ID, Name: st.Name, Source: st.Source, Z0: st.Z0M, Reference: st.Reference, offsets: offsetsOf(st.Offsets)}
	err = s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		stored, err := claim(ctx, tx, "station", angler, st.ID, st.Revision)
		if err != nil {
			return err
		}
		changed, err := stationChanges(ctx, tx, stored, row, st.Constituents)
		if err != nil {
			return err
		}
		if row.Revision, err = revised("station", stored, st.Revision, changed); err != nil || row.Revision == 0 {
			revision = stored
			return err
		}
		revision = row.Revision
		if err := checkReference(ctx, tx, angler, st); err != nil {
			return err
		}
		write := `UPDATE station SET name = :name, z0_m = :z0_m, source = :source, reference_id = :reference_id, lag_high_s = :lag_high_s,
			lag_low_s = :lag_low_s, factor_high = :factor_high, factor_low = :factor_low, difference_high_m = :difference_high_m,
			difference_low_m = :difference_low_m, revision = :revision WHERE id = :id AND angler_id = :angler_id`
		if stored == 0 {
			write = `INSERT INTO station (id, angler_id, name, z0_m, source, reference_id, ` + offsetColumns + `, revision)
				VALUES (:id, :angler_id, :name, :z0_m, :source, :reference_id, :lag_high_s, :lag_low_s, :factor_high, :factor_low,
				:difference_high_m, :difference_low_m, :revision)`
		}
		if _, err := tx.NamedExecContext(ctx, write, struct {
			stationRow
			Angler uuid.UUID `db:"angler_id"`
		}{row, angler}); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM station_constituent WHERE station_id = ?`, st.ID); err != nil {
			return err
		}
		for _, c := range st.Constituents {
			if _, err := tx.ExecContext(ctx, `INSERT INTO station_constituent (station_id, name, amplitude_m, phase_deg) VALUES (?, ?, ?,
				?)`,
				st.ID, c.Name, c.AmplitudeM, c.PhaseDeg); err != nil {
				return err
			}
		}
		return nil
	})
	return revision, err
}

// stationChanges are the fields in which a station that is stored differs; for one that is
// not, all.
func stationChanges(ctx context.Context, tx *sqlx.Tx, stored int, row stationRow, constituents []tide.Constituent) ([]string, error) {
	if stored == 0 {
		return []string{"id"}, nil
	}
	var rows []stationRow
	if err := tx.SelectContext(ctx, &rows, `SELECT `+stationColumns+` FROM station t WHERE t.id = ?`, row.ID); err != nil {
		return nil, err
	}
	old, err := withConstituents(ctx, tx, rows)
	if err != nil {
		return nil, err
	}
	changed := differing(rows[0], row)
	byName := func(a, b tide.Constituent) int { return strings.Compare(a.Name, b.Name) }
	if !slices.Equal(slices.SortedFunc(slices.Values(old[0].Constituents), byName),
		slices.SortedFunc(slices.Values(constituents), byName)) {
		changed = append(changed, "constituents")
	}
	return changed, nil
}

const offsetColumns = `lag_high_s, lag_low_s, factor_high, factor_low, difference_high_m, difference_low_m`

// checkReference keeps stations from following one another in a chain.
func checkReference(ctx context.Context, tx *sqlx.Tx, angler uuid.UUID, st Station) error {
	if st.Reference == nil {
		return nil
	}
	var of struct {
		Angler    uuid.UUID  `db:"angler_id"`
		Reference *uuid.UUID `db:"reference_id"`
	}
	if err := notFound(tx.GetContext(ctx, &of, `SELECT angler_id, reference_id FROM station WHERE id = ? FOR UPDATE`,
		*st.Reference)); err != nil {
		return err
	}
	if of.Angler != angler {
		return ErrNotFound
	}
	var followers int
	if err := tx.GetContext(ctx, &followers, `SELECT COUNT(*) FROM station WHERE reference_id = ?`, st.ID); err != nil {
		return err
	}
	if of.Reference != nil || followers > 0 || *st.Reference == st.ID {
		return InUseError{"a station can only follow one that has constituents of its own"}
	}
	return nil
}

// InUseError says why a row cannot be changed as asked.
type InUseError struct{ Says string }

func (e InUseError) Error() string { return "store: " + e.Says }

// DeleteStation removes a station nothing follows.
func (s *Store) DeleteStation(ctx context.Context, angler, id uuid.UUID) error {
	return s.ground(ctx, angler, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "station", angler, id); err != nil {
			return err
		}
		var followers []string
		if err := tx.SelectContext(ctx, &followers,
			`SELECT name FROM water WHERE station_id = ? UNION SELECT name FROM station WHERE reference_id = ?`, id, id); err != nil {
			return err
		}
		if len(followers) > 0 {
			return InUseError{fmt.Sprintf("%s follows this station; let it follow another first", followers[0])}
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM station WHERE id = ?`, id)
		return err
	})
}

type stationRow struct {
	ID        uuid.UUID  `db:"id"`
	Name      string     `db:"name"`
	Source    string     `db:"source"`
	Z0        float64    `db:"z0_m"`
	Reference *uuid.UUID `db:"reference_id"`
	Revision  int        `db:"revision"`
	offsets
}

const stationColumns = `t.id, t.name, t.source, t.z0_m, t.reference_id, t.revision, t.lag_high_s, t.lag_low_s, t.factor_high, t.factor_low,
	t.difference_high_m, t.difference_low_m`

// Stations of an angler by name.
func (s *Store) Stations(ctx context.Context, angler uuid.UUID) (out []Station, err error) {
	err = s.snapshot(ctx, func(q querier) error {
		var rows []stationRow
		if err := q.SelectContext(ctx, &rows, `SELECT `+stationColumns+` FROM station t WHERE t.angler_id = ? ORDER BY t.name, t.id`,
			angler); err != nil {
			return err
		}
		out, err = withConstituents(ctx, q, rows)
		return err
	})
	return out, err
}

// StationsByID of an angler.
func (s *Store) StationsByID(ctx context.Context, angler uuid.UUID) (Stations, error) {
	list, err := s.Stations(ctx, angler)
	return byID(list), err
}

func byID(list []Station) Stations {
	out := make(Stations, len(list))
	for _, st := range list {
		out[st.ID] = st
	}
	return out
}

// readStations by their ids, with those they follow.
func readStations(ctx context.Context, q querier, ids []uuid.UUID) (Stations, error) {
	var rows []stationRow
	if err := selectIn(ctx, q, &rows, `SELECT `+stationColumns+` FROM station t WHERE t.id IN (?)
		UNION SELECT `+stationColumns+` FROM station t JOIN station f ON f.reference_id = t.id WHERE f.id IN (?)`, ids, ids); err != nil {
		return nil, err
	}
	list, err := withConstituents(ctx, q, rows)
	return byID(list), err
}

func withConstituents(ctx context.Context, q querier, rows []stationRow) ([]Station, error) {
	ids, at := make([]uuid.UUID, len(rows)), make(map[uuid.UUID]*Station, len(rows))
	out := make([]Station, len(rows))
	for i, r := range rows {
		out[i] = Station{ID: r.ID, Name: r.Name, Source: r.Source, Z0M: r.Z0, Reference: r.Reference, Offsets: r.tide(),
			Revision: r.Revision}
		ids[i], at[r.ID] = r.ID, &out[i]
	}
	var constituents []struct {
		Station   uuid.UUID `db:"station_id"`
		Name      string    `db:"name"`
		Amplitude float64   `db:"amplitude_m"`
		Phase     float64   `db:"phase_deg"`
	}
	err := selectIn(ctx, q, &constituents, `SELECT station_id, name, amplitude_m,
		phase_deg FROM station_constituent WHERE station_id IN (?)`, ids)
	for _, c := range constituents {
		st := at[c.Station]
		st.Constituents = append(st.Constituents, tide.Constituent{Name: c.Name, AmplitudeM: c.Amplitude, PhaseDeg: c.Phase})
	}
	for i := range out {
		if st := &out[i]; st.Reference == nil {
			// What is wrong with it is said by whoever follows it.
			st.harmonics, _ = tide.NewHarmonics(st.Constituents, st.Z0M)
		}
	}
	return out, err
}
