package store

import (
	"context"
	"fmt"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/tide"
)

// Station is a tide station of an angler.
type Station struct {
	ID           uuid.UUID
	Name, Source string
	Z0M          float64
	Constituents []tide.Constituent
}

// PutStation stores a station with its constituents, new or over the one with
// its id, all or none.
func (s *Store) PutStation(ctx context.Context, angler uuid.UUID, st Station) error {
	if _, err := tide.NewHarmonics(st.Constituents, st.Z0M); err != nil {
		return fmt.Errorf("store: station: %w", err)
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		var owner uuid.UUID
		err := notFound(tx.GetContext(ctx, &owner, `SELECT angler_id FROM station WHERE id = ? FOR UPDATE`, st.ID))
		switch {
		case err == nil && owner != angler:
			return ErrNotFound
		case err != nil && err != ErrNotFound:
			return err
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO station (id, angler_id, name, z0_m, source) VALUES (?, ?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE name = VALUES(name), z0_m = VALUES(z0_m), source = VALUES(source)`,
			st.ID, angler, st.Name, st.Z0M, st.Source); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM station_constituent WHERE station_id = ?`, st.ID); err != nil {
			return err
		}
		for _, c := range st.Constituents {
			if _, err := tx.ExecContext(ctx, `INSERT INTO station_constituent (station_id, name, amplitude_m, phase_deg) VALUES (?, ?, ?, ?)`,
				st.ID, c.Name, c.AmplitudeM, c.PhaseDeg); err != nil {
				return err
			}
		}
		return nil
	})
}

// Stations of an angler by name.
func (s *Store) Stations(ctx context.Context, angler uuid.UUID) ([]Station, error) {
	var rows []struct {
		ID     uuid.UUID `db:"id"`
		Name   string    `db:"name"`
		Source string    `db:"source"`
		Z0     float64   `db:"z0_m"`
	}
	if err := s.db.SelectContext(ctx, &rows, `SELECT id, name, source, z0_m FROM station WHERE angler_id = ? ORDER BY name, id`, angler); err != nil {
		return nil, err
	}
	constituents, err := s.constituents(ctx, angler)
	out := make([]Station, len(rows))
	for i, r := range rows {
		out[i] = Station{ID: r.ID, Name: r.Name, Source: r.Source, Z0M: r.Z0, Constituents: constituents[r.ID]}
	}
	return out, err
}

// Waters of an angler by name.
func (s *Store) Waters(ctx context.Context, angler uuid.UUID) ([]Water, error) {
	var rows []struct {
		ID      uuid.UUID `db:"id"`
		Station uuid.UUID `db:"station_id"`
		Name    string    `db:"name"`
		Zone    string    `db:"time_zone"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT id, station_id, name, time_zone FROM water WHERE angler_id = ? ORDER BY name`, angler)
	out := make([]Water, len(rows))
	for i, r := range rows {
		out[i] = Water{r.ID, r.Station, r.Name, r.Zone}
	}
	return out, err
}

// UseStation lets a water follow another station of the same angler.
func (s *Store) UseStation(ctx context.Context, angler, water, station uuid.UUID) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := owned(ctx, tx, "station", angler, station); err != nil {
			return err
		}
		if err := owned(ctx, tx, "water", angler, water); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `UPDATE water SET station_id = ? WHERE id = ?`, station, water)
		return err
	})
}

func (s *Store) constituents(ctx context.Context, angler uuid.UUID) (map[uuid.UUID][]tide.Constituent, error) {
	var rows []struct {
		Station   uuid.UUID `db:"station_id"`
		Name      string    `db:"name"`
		Amplitude float64   `db:"amplitude_m"`
		Phase     float64   `db:"phase_deg"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT c.station_id, c.name, c.amplitude_m, c.phase_deg
		FROM station_constituent c JOIN station t ON t.id = c.station_id WHERE t.angler_id = ?`, angler)
	out := make(map[uuid.UUID][]tide.Constituent)
	for _, r := range rows {
		out[r.Station] = append(out[r.Station], tide.Constituent{Name: r.Name, AmplitudeM: r.Amplitude, PhaseDeg: r.Phase})
	}
	return out, err
}
