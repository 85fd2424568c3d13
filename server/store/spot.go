package store

import (
	"context"
	"database/sql"
	"fmt"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Spot is a place in a water with its ground.
type Spot struct {
	ID          uuid.UUID
	Water       Water
	Name, Place string
	Note        string
	Lat, Lon    float64
	// Offsets of its tide on its water's station.
	Offsets tide.Offsets
	// Current is what makes the tide run there.
	Current water.Setting
	Access  ground.Access
	Section []ground.Point
	Marks   []ground.Mark
	// Tide of the spot, its own lag and factor and a surge included.
	Tide tide.Place
	// Surge seen at the spot's water, if any was.
	Surge *tide.Surge
	// Rose of fetches, nil where the water has no outline.
	Rose *water.Rose
}

// ForAdvice is the spot as the core wants it.
func (s *Spot) ForAdvice(readings []conditions.Reading) *advise.Spot {
	return &advise.Spot{ID: s.ID.String(), Name: s.Name, Place: s.Place, Marks: s.Marks, Access: s.Access, Tide: s.Tide,
		Observer: sky.Observer{Lat: s.Lat, Lon: s.Lon}, Readings: conditions.Sorted(readings), Rose: s.Rose, Current: s.Current}
}

// AddSpot stores a spot with its section and marks.
func (s *Store) AddSpot(ctx context.Context, angler uuid.UUID, sp Spot) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO spot (id, angler_id, water_id, name, place, lat_deg, lon_deg, `+offsetColumns+`,
			current_seen_ms, basin_m2, passage_width_m, passage_bed_m, manner, in_name, in_elevation_m, out_name, out_elevation_m, note)
			VALUES (:id, :angler_id, :water_id, :name, :place, :lat_deg, :lon_deg, :lag_high_s, :lag_low_s, :factor_high, :factor_low,
			:difference_high_m, :difference_low_m, :current_seen_ms, :basin_m2, :passage_width_m, :passage_bed_m,
			:manner, :in_name, :in_elevation_m, :out_name, :out_elevation_m, :note)`, struct {
			spotColumns
			Angler uuid.UUID `db:"angler_id"`
		}{columnsOf(sp), angler}); err != nil {
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
	InName        string  `db:"in_name"`
	InElevation   float64 `db:"in_elevation_m"`
	OutName       string  `db:"out_name"`
	OutElevation  float64 `db:"out_elevation_m"`
}

func columnsOf(sp Spot) spotColumns {
	a, c := sp.Access, sp.Current
	return spotColumns{sp.ID, sp.Water.ID, sp.Name, sp.Place, sp.Note, sp.Lat, sp.Lon, offsetsOf(sp.Offsets), c.SeenMS, c.BasinM2, c.WidthM, c.BedM,
		string(a.Manner), a.In.Name, a.In.ElevationM, a.Out.Name, a.Out.ElevationM}
}

type spotRow struct {
	spotColumns
	WaterName string    `db:"water_name"`
	TimeZone  string    `db:"time_zone"`
	StationID uuid.UUID `db:"station_id"`
}

// roseReach is how far over the water a fetch is followed, metres.
const roseReach = 60_000

// Spots of an angler by name, with ground and tide: a handful of queries however
// many there are.
func (s *Store) Spots(ctx context.Context, angler uuid.UUID) ([]*Spot, error) {
	var rows []spotRow
	if err := s.db.SelectContext(ctx, &rows, `SELECT s.id, s.name, s.place, s.note, s.lat_deg, s.lon_deg, s.lag_high_s, s.lag_low_s,
		s.factor_high, s.factor_low, s.difference_high_m, s.difference_low_m, s.current_seen_ms, s.basin_m2, s.passage_width_m, s.passage_bed_m,
		s.manner, s.in_name, s.in_elevation_m, s.out_name, s.out_elevation_m, s.water_id, w.name AS water_name, w.time_zone, w.station_id
		FROM spot s JOIN water w ON w.id = s.water_id WHERE s.angler_id = ? ORDER BY s.name`, angler); err != nil {
		return nil, err
	}
	stations, err := s.StationsByID(ctx, angler)
	if err != nil {
		return nil, err
	}
	surges, err := s.surges(ctx, angler)
	if err != nil {
		return nil, err
	}
	outlines, err := s.outlines(ctx, angler, "")
	if err != nil {
		return nil, err
	}
	spots := make([]*Spot, len(rows))
	byID := make(map[uuid.UUID]*Spot, len(rows))
	for i, r := range rows {
		sp := r.spot()
		if sp.Tide, err = stations.Follow(r.StationID, sp.Offsets); err != nil {
			return nil, fmt.Errorf("store: tide of %s: %w", r.Name, err)
		}
		if g, ok := surges[r.Water]; ok {
			sp.Surge, sp.Tide = &g, tide.WithSurge(sp.Tide, g)
		}
		if o := outlines[r.Water]; o != nil {
			rose := water.Rose(o.Fetches(ground.LatLon{Lat: sp.Lat, Lon: sp.Lon}, roseReach))
			sp.Rose = &rose
		}
		spots[i], byID[r.ID] = sp, sp
	}
	return spots, s.addGround(ctx, angler, byID)
}

func (r spotRow) spot() *Spot {
	return &Spot{ID: r.ID, Name: r.Name, Place: r.Place, Note: r.Note, Lat: r.Lat, Lon: r.Lon, Offsets: r.tide(),
		Current: water.Setting{SeenMS: r.CurrentSeenMS, BasinM2: r.BasinM2, WidthM: r.PassageWidthM, BedM: r.PassageBedM},
		Water:   Water{r.Water, r.StationID, r.WaterName, r.TimeZone},
		Access: ground.Access{Manner: ground.Manner(r.Manner), In: ground.Passage{Name: r.InName, ElevationM: r.InElevation},
			Out: ground.Passage{Name: r.OutName, ElevationM: r.OutElevation}}}
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
