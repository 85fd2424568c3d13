package store

import (
	"context"
	"database/sql"
	"fmt"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/sky"
	"greypebble/core/tide"
)

// Water is an area fished as one.
type Water struct {
	ID        uuid.UUID
	StationID uuid.UUID
	Name      string
	TimeZone  string
}

// Spot is a place in a water with its ground.
type Spot struct {
	ID           uuid.UUID
	Water        Water
	Name, Place  string
	Note         string
	Lat, Lon     float64
	Lag          time.Duration
	HeightFactor float64
	Access       ground.Access
	Section      []ground.Point
	Marks        []ground.Mark
	// Tide of the spot, its own lag and factor and a surge included.
	Tide tide.Place
	// Surge seen at the spot's water, if any was.
	Surge *tide.Surge
}

// ForAdvice is the spot as the core wants it.
func (s *Spot) ForAdvice(readings []conditions.Reading) *advise.Spot {
	return &advise.Spot{ID: s.ID.String(), Name: s.Name, Place: s.Place, Marks: s.Marks, Access: s.Access, Tide: s.Tide,
		Observer: sky.Observer{Lat: s.Lat, Lon: s.Lon}, Readings: readings}
}

// AddWater stores a water.
func (s *Store) AddWater(ctx context.Context, angler uuid.UUID, w Water) error {
	_, err := s.db.ExecContext(ctx, `INSERT INTO water (id, angler_id, station_id, name, time_zone) VALUES (?, ?, ?, ?, ?)`,
		w.ID, angler, w.StationID, w.Name, w.TimeZone)
	return err
}

// AddSpot stores a spot with its section and marks.
func (s *Store) AddSpot(ctx context.Context, angler uuid.UUID, sp Spot) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		a := sp.Access
		if _, err := tx.ExecContext(ctx, `INSERT INTO spot (id, angler_id, water_id, name, place, lat_deg, lon_deg, lag_s, height_factor,
			manner, in_name, in_elevation_m, out_name, out_elevation_m, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
			sp.ID, angler, sp.Water.ID, sp.Name, sp.Place, sp.Lat, sp.Lon, int(sp.Lag.Seconds()), sp.HeightFactor,
			string(a.Manner), a.In.Name, a.In.ElevationM, a.Out.Name, a.Out.ElevationM, sp.Note); err != nil {
			return err
		}
		for _, p := range sp.Section {
			if _, err := tx.ExecContext(ctx, `INSERT INTO section_point (spot_id, distance_m, elevation_m) VALUES (?, ?, ?)`,
				sp.ID, p.DistanceM, p.ElevationM); err != nil {
				return err
			}
		}
		for _, m := range sp.Marks {
			deepest := sql.NullFloat64{Float64: m.Fishable.MaxM, Valid: m.Fishable.MaxM > 0}
			if _, err := tx.ExecContext(ctx, `INSERT INTO mark (id, spot_id, name, kind, distance_m, elevation_m, bottom,
				fishable_min_m, fishable_max_m, line) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
				m.ID, sp.ID, m.Name, string(m.Kind), m.DistanceM, m.ElevationM, m.Bottom, m.Fishable.MinM, deepest, m.Line); err != nil {
				return err
			}
		}
		return nil
	})
}

type spotRow struct {
	ID           uuid.UUID `db:"id"`
	Name         string    `db:"name"`
	Place        string    `db:"place"`
	Note         string    `db:"note"`
	Lat          float64   `db:"lat_deg"`
	Lon          float64   `db:"lon_deg"`
	LagS         int       `db:"lag_s"`
	HeightFactor float64   `db:"height_factor"`
	Manner       string    `db:"manner"`
	InName       string    `db:"in_name"`
	InElevation  float64   `db:"in_elevation_m"`
	OutName      string    `db:"out_name"`
	OutElevation float64   `db:"out_elevation_m"`
	WaterID      uuid.UUID `db:"water_id"`
	WaterName    string    `db:"water_name"`
	TimeZone     string    `db:"time_zone"`
	StationID    uuid.UUID `db:"station_id"`
	Z0           float64   `db:"z0_m"`
}

// Spots of an angler by name, with ground and tide: five queries however many
// there are.
func (s *Store) Spots(ctx context.Context, angler uuid.UUID) ([]*Spot, error) {
	var rows []spotRow
	if err := s.db.SelectContext(ctx, &rows, `SELECT s.id, s.name, s.place, s.note, s.lat_deg, s.lon_deg, s.lag_s, s.height_factor, s.manner,
		s.in_name, s.in_elevation_m, s.out_name, s.out_elevation_m, s.water_id, w.name AS water_name, w.time_zone, t.id AS station_id, t.z0_m
		FROM spot s JOIN water w ON w.id = s.water_id JOIN station t ON t.id = w.station_id
		WHERE s.angler_id = ? ORDER BY s.name`, angler); err != nil {
		return nil, err
	}
	constituents, err := s.constituents(ctx, angler)
	if err != nil {
		return nil, err
	}
	surges, err := s.surges(ctx, angler)
	if err != nil {
		return nil, err
	}
	stations := make(map[uuid.UUID]*tide.Harmonics)
	spots := make([]*Spot, len(rows))
	byID := make(map[uuid.UUID]*Spot, len(rows))
	for i, r := range rows {
		h := stations[r.StationID]
		if h == nil {
			if h, err = tide.NewHarmonics(constituents[r.StationID], r.Z0); err != nil {
				return nil, fmt.Errorf("store: station of %s: %w", r.Name, err)
			}
			stations[r.StationID] = h
		}
		if spots[i], err = r.spot(h); err != nil {
			return nil, err
		}
		if g, ok := surges[r.WaterID]; ok {
			spots[i].Surge, spots[i].Tide = &g, tide.WithSurge(spots[i].Tide, g)
		}
		byID[r.ID] = spots[i]
	}
	return spots, s.addGround(ctx, angler, byID)
}

func (r spotRow) spot(h *tide.Harmonics) (*Spot, error) {
	sp := &Spot{ID: r.ID, Name: r.Name, Place: r.Place, Note: r.Note, Lat: r.Lat, Lon: r.Lon,
		Lag: time.Duration(r.LagS) * time.Second, HeightFactor: r.HeightFactor,
		Water: Water{r.WaterID, r.StationID, r.WaterName, r.TimeZone},
		Access: ground.Access{Manner: ground.Manner(r.Manner), In: ground.Passage{Name: r.InName, ElevationM: r.InElevation},
			Out: ground.Passage{Name: r.OutName, ElevationM: r.OutElevation}},
		Tide: h}
	if r.LagS != 0 || r.HeightFactor != 1 {
		own, err := tide.NewSecondary(h, tide.Lagged(sp.Lag, r.HeightFactor))
		if err != nil {
			return nil, fmt.Errorf("store: tide of %s: %w", r.Name, err)
		}
		sp.Tide = own
	}
	return sp, nil
}

func (s *Store) addGround(ctx context.Context, angler uuid.UUID, spots map[uuid.UUID]*Spot) error {
	var points []struct {
		Spot      uuid.UUID `db:"spot_id"`
		Distance  float64   `db:"distance_m"`
		Elevation float64   `db:"elevation_m"`
	}
	if err := s.db.SelectContext(ctx, &points, `SELECT p.spot_id, p.distance_m, p.elevation_m FROM section_point p
		JOIN spot s ON s.id = p.spot_id WHERE s.angler_id = ? ORDER BY p.spot_id, p.distance_m`, angler); err != nil {
		return err
	}
	for _, p := range points {
		sp := spots[p.Spot]
		sp.Section = append(sp.Section, ground.Point{DistanceM: p.Distance, ElevationM: p.Elevation})
	}
	var marks []struct {
		ID        string          `db:"id"`
		Spot      uuid.UUID       `db:"spot_id"`
		Name      string          `db:"name"`
		Kind      string          `db:"kind"`
		Distance  float64         `db:"distance_m"`
		Elevation float64         `db:"elevation_m"`
		Bottom    string          `db:"bottom"`
		Min       float64         `db:"fishable_min_m"`
		Max       sql.NullFloat64 `db:"fishable_max_m"`
		Line      string          `db:"line"`
	}
	if err := s.db.SelectContext(ctx, &marks, `SELECT m.id, m.spot_id, m.name, m.kind, m.distance_m, m.elevation_m, m.bottom,
		m.fishable_min_m, m.fishable_max_m, m.line FROM mark m JOIN spot s ON s.id = m.spot_id
		WHERE s.angler_id = ? ORDER BY m.spot_id, m.distance_m`, angler); err != nil {
		return err
	}
	for _, m := range marks {
		sp := spots[m.Spot]
		sp.Marks = append(sp.Marks, ground.Mark{ID: m.ID, Name: m.Name, Kind: ground.MarkKind(m.Kind), DistanceM: m.Distance,
			ElevationM: m.Elevation, Bottom: m.Bottom, Fishable: ground.Depths{MinM: m.Min, MaxM: m.Max.Float64}, Line: m.Line})
	}
	return nil
}

// Spot by id.
func (s *Store) Spot(ctx context.Context, angler, id uuid.UUID) (*Spot, error) {
	spots, err := s.Spots(ctx, angler)
	if err != nil {
		return nil, err
	}
	for _, sp := range spots {
		if sp.ID == id {
			return sp, nil
		}
	}
	return nil, ErrNotFound
}
