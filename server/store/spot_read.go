package store

import (
	"bytes"
	"cmp"
	"context"
	"database/sql"
	"fmt"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/google/uuid"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// spotRow is a spot as it is read: its own columns and what its water gives it.
type spotRow struct {
	spotColumns
	WaterName string    `db:"water_name"`
	TimeZone  string    `db:"time_zone"`
	StationID uuid.UUID `db:"station_id"`
	surgeColumns
	WaterRevision int            `db:"water_revision"`
	Rings         sql.NullString `db:"rings"`
}

// roseReach is how far over the water a fetch is followed, metres.
const roseReach = 60_000

// Spots of an angler by name, with ground and tide: a handful of queries however many
// there are.
func (s *Store) Spots(ctx context.Context, angler uuid.UUID) ([]*Spot, error) {
	return s.spots(ctx, angler, "")
}

// Spot by id: what it needs and no more.
func (s *Store) Spot(ctx context.Context, angler, id uuid.UUID) (*Spot, error) {
	spots, err := s.spots(ctx, angler, " AND s.id = ?", id)
	if err != nil {
		return nil, err
	}
	if len(spots) == 0 {
		return nil, ErrNotFound
	}
	return spots[0], nil
}

// SpotsOf a water, by name.
func (s *Store) SpotsOf(ctx context.Context, angler, water uuid.UUID) ([]*Spot, error) {
	return s.spots(ctx, angler, " AND s.water_id = ?", water)
}

// spots an addition to the condition lets through, all read from one snapshot.
func (s *Store) spots(ctx context.Context, angler uuid.UUID, also string, args ...any) (spots []*Spot, err error) {
	err = s.snapshot(ctx, func(q querier) error {
		spots, err = readSpots(ctx, q, also, append([]any{angler}, args...))
		return err
	})
	return spots, err
}

func readSpots(ctx context.Context, q querier, also string, args []any) ([]*Spot, error) {
	var rows []spotRow
	where := " WHERE s.angler_id = ?" + also
	if err := q.SelectContext(ctx, &rows, `SELECT s.id, s.`+strings.ReplaceAll(ownColumns, ", ", ", s.")+`, w.name AS water_name,
		w.time_zone, w.station_id,
		g.by_m, g.seen_at, g.fade_s, g.revision AS surge_revision, w.revision AS water_revision, o.rings FROM spot s JOIN water w
			ON w.id = s.water_id LEFT JOIN surge g ON g.water_id = w.id
		LEFT JOIN outline o ON o.water_id = w.id`+where, args...); err != nil || len(rows) == 0 {
		return nil, err
	}
	// Sorted here: the database would write shores and shapes to its disk to do so, which may
	// be full.
	slices.SortFunc(rows, func(a, b spotRow) int {
		return cmp.Or(strings.Compare(strings.ToLower(a.Name), strings.ToLower(b.Name)), bytes.Compare(a.ID[:], b.ID[:]))
	})
	around, err := surroundings(ctx, q, args[0], rows)
	if err != nil {
		return nil, err
	}
	spots := make([]*Spot, len(rows))
	byID := make(map[uuid.UUID]*Spot, len(rows))
	for i, r := range rows {
		sp, err := r.spot()
		if err != nil {
			return nil, err
		}
		if err := around.place(sp, &rows[i]); err != nil {
			return nil, err
		}
		spots[i], byID[r.ID] = sp, sp
	}
	return spots, addGround(ctx, q, byID, where, args)
}

// around some spots: the stations, outlines and zones of their waters and the rules entered, each read once.
type around struct {
	stations Stations
	outlines map[uuid.UUID]*ground.Outline
	zones    map[uuid.UUID][]Zone
	rules    []bylaw.Rule
}

func surroundings(ctx context.Context, q querier, angler any, rows []spotRow) (a around, err error) {
	a.outlines = make(map[uuid.UUID]*ground.Outline)
	var stations, waters []uuid.UUID
	for i := range rows {
		r := &rows[i]
		if _, seen := a.outlines[r.Water]; seen {
			continue
		}
		waters = append(waters, r.Water)
		if !slices.Contains(stations, r.StationID) {
			stations = append(stations, r.StationID)
		}
		a.outlines[r.Water] = nil
		if r.Rings.Valid {
			rings, err := ringsOf(r.Rings.String)
			if err != nil {
				return a, err
			}
			a.outlines[r.Water] = &ground.Outline{Rings: rings}
		}
	}
	if a.stations, err = readStations(ctx, q, stations); err != nil {
		return a, err
	}
	if a.zones, err = readZones(ctx, q, "z.water_id IN (?)", waters); err != nil {
		return a, err
	}
	a.rules, err = readBylaws(ctx, q, angler)
	return a, err
}

// place a spot in its surroundings.
func (a around) place(sp *Spot, r *spotRow) (err error) {
	for _, z := range a.zones[r.Water] {
		if z.Touches(sp.Touched()) {
			sp.Zones = append(sp.Zones, z.Zone)
		}
	}
	sp.Rules = bylaw.On(a.rules, sp.Spot.Touched)
	sp.Clock = clockOf(r.TimeZone)
	if sp.Tide, err = a.stations.Follow(r.StationID, sp.Offsets); err != nil {
		return fmt.Errorf("store: tide of %s: %w", r.Name, err)
	}
	if g := r.surge(); g != nil {
		sp.Surge, sp.Tide, sp.SurgeRevision = g, tide.WithSurge(sp.Tide, *g), int(r.SurgeRevision.Int64)
	}
	if o := a.outlines[r.Water]; o != nil {
		rose := water.Rose(o.Fetches(sp.LatLon, roseReach))
		sp.Rose = &rose
	}
	return nil
}

// clocks by the names of their zones: reading one takes its file.
var clocks sync.Map

// clockOf a time zone; UTC for one that is not known here.
func clockOf(zone string) *time.Location {
	if c, ok := clocks.Load(zone); ok {
		return c.(*time.Location)
	}
	c, err := time.LoadLocation(zone)
	if err != nil {
		c = time.UTC
	}
	clocks.Store(zone, c)
	return c
}

func (r spotRow) spot() (*Spot, error) {
	shape, err := shapeOf(r.Shape)
	if err != nil {
		return nil, err
	}
	hours, err := hoursOf(r.Hours)
	if err != nil {
		return nil, err
	}
	sp := &Spot{ID: r.ID, Revision: r.Revision, Water: Water{ID: r.Water, StationID: r.StationID, Name: r.WaterName, TimeZone: r.TimeZone,
		Revision: r.WaterRevision},
		Spot: spot.Spot{
			Key:  r.ID.String(),
			Name: r.Name, Place: r.Place, Note: r.Note, LatLon: ground.LatLon{Lat: r.Lat, Lon: r.Lon}, Offsets: r.tide(),
			FacesDeg: r.FacesDeg, StandM: r.StandM, Bottom: r.Bottom, Hazards: r.Hazards, Timetable: hours, Fee: r.Fee, Parking: r.Parking,
			Bend:   r.Bend,
			Public: !r.Private, Shape: shape,
			Current: water.Setting{SeenMS: r.CurrentSeenMS, BasinM2: r.BasinM2, WidthM: r.PassageWidthM, BedM: r.PassageBedM},
			Access: ground.Access{Manner: ground.Manner(r.Manner), Others: mannersOf(r.Manners),
				In:  ground.Passage{Name: r.InName, ElevationM: r.InElevation, Clear: r.InClear},
				Out: ground.Passage{Name: r.OutName, ElevationM: r.OutElevation, Clear: r.OutClear}, DraughtM: r.DraughtM}}}
	if r.SectionLat.Valid {
		sp.SectionFrom, sp.SectionBearing = &ground.LatLon{Lat: r.SectionLat.Float64, Lon: r.SectionLon.Float64}, r.SectionBearing.Float64
	}
	return sp, nil
}

func addGround(ctx context.Context, q querier, spots map[uuid.UUID]*Spot, where string, args []any) error {
	var points []pointRow
	if err := q.SelectContext(ctx, &points, `SELECT p.spot_id, p.distance_m, p.elevation_m FROM section_point p
		JOIN spot s ON s.id = p.spot_id`+where+` ORDER BY p.spot_id, p.distance_m`, args...); err != nil {
		return err
	}
	for _, p := range points {
		sp := spots[p.Spot]
		sp.Section = append(sp.Section, ground.Point{DistanceM: p.Distance, ElevationM: p.Elevation})
	}
	var marks []markRow
	if err := q.SelectContext(ctx, &marks, `SELECT m.id, m.spot_id, m.name, m.kind, m.distance_m, m.elevation_m, m.bottom,
		m.fishable_min_m, m.fishable_max_m, m.line, m.lat_deg, m.lon_deg, m.note,
			m.snag FROM mark m JOIN spot s ON s.id = m.spot_id`+where+`
		ORDER BY m.spot_id, m.distance_m`, args...); err != nil {
		return err
	}
	for _, m := range marks {
		spots[m.Spot].Marks = append(spots[m.Spot].Marks, m.mark())
	}
	return nil
}
