package store_test

import (
	"context"
	"database/sql"
	"fmt"
	"math"
	"os"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/server/localdb"
	"greypebble/server/store"
)

var s *store.Store

func TestMain(m *testing.M) { os.Exit(run(m)) }

func run(m *testing.M) int {
	if dsn := os.Getenv(upgradeOnly); dsn != "" {
		return upgradeAndExit(dsn)
	}
	dir, err := os.MkdirTemp("", "greypebble-store-")
	if err != nil {
		panic(err)
	}
	defer os.RemoveAll(dir)
	db, err := localdb.Start(context.Background(), dir)
	if err != nil {
		fmt.Fprintln(os.Stderr, err)
		return 1
	}
	defer db.Stop() //nolint:errcheck // the directory goes anyhow
	if s, err = store.Open(context.Background(), db.DSN()); err != nil {
		fmt.Fprintln(os.Stderr, err)
		return 1
	}
	return m.Run()
}

func id() uuid.UUID { return uuid.Must(uuid.NewV7()) }

// someone with a station and a water of their own.
func someone(t *testing.T) (angler uuid.UUID, water store.Water) {
	t.Helper()
	ctx := context.Background()
	angler = id()
	require.NoError(t, s.AddAngler(ctx, store.Angler{ID: angler, Name: angler.String()[:20], PasswordHash: "x"}))
	st := store.Station{ID: id(), Name: "Head", Source: "made up", Z0M: 1,
		Constituents: []tide.Constituent{{Name: "M2", AmplitudeM: 0.6, PhaseDeg: 120}}}
	_, err := s.PutStation(ctx, angler, st)
	require.NoError(t, err)
	water = store.Water{ID: id(), StationID: st.ID, Name: "Bight", TimeZone: "Etc/GMT+3"}
	_, err = s.PutWater(ctx, angler, water)
	require.NoError(t, err)
	return angler, water
}

func spotAt(water store.Water) store.Spot {
	return store.Spot{ID: id(), Water: water, Spot: spot.Spot{Name: "Bar", Place: "oyster bar",
		LatLon: ground.LatLon{Lat: 31.2, Lon: -45.1}, Bottom: "shell", Hazards: "soft mud",
		Access: ground.Access{Manner: ground.Boat, In: ground.Passage{Name: "cut", ElevationM: -0.2},
			Out: ground.Passage{Name: "bar", ElevationM: 0.1}, DraughtM: 0.4},
		Section:     []ground.Point{{DistanceM: 0, ElevationM: 2}, {DistanceM: 30, ElevationM: -1.25}},
		SectionFrom: &ground.LatLon{Lat: 31.2001, Lon: -45.1002}, SectionBearing: 75.5,
		Shape: &ground.Shape{Area: true, Points: []ground.LatLon{{Lat: 31.2, Lon: -45.1}, {Lat: 31.21, Lon: -45.1},
			{Lat: 31.21, Lon: -45.09}}},
		Marks: []ground.Mark{{ID: id().String(), Name: "Post", Kind: ground.Timber, DistanceM: 12, ElevationM: 0.3, Bottom: "timber",
			Note: "leans", Snag: true, At: &ground.LatLon{Lat: 31.2003, Lon: -45.1}, Fishable: ground.Depths{MinM: 0.4}}}}}
}

// A spot comes back as it was written; a stale change is refused and changes
// nothing; another angler sees none of it.
func TestSpotsComeBackAndAreNotOverwritten(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	other, theirs := someone(t)
	sp := spotAt(water)
	rev, err := s.PutSpot(ctx, angler, sp)
	require.NoError(t, err)
	assert.Equal(t, 1, rev)
	got, err := s.Spot(ctx, angler, sp.ID)
	require.NoError(t, err)
	for what, pair := range map[string][2]any{"access": {sp.Access, got.Access}, "section": {sp.Section, got.Section},
		"shape": {sp.Shape, got.Shape}, "marks": {sp.Marks, got.Marks}, "begin": {sp.SectionFrom, got.SectionFrom},
		"bearing": {sp.SectionBearing, got.SectionBearing}, "hazards": {sp.Hazards, got.Hazards}, "public": {sp.Public, got.Public}} {
		assert.Equal(t, pair[0], pair[1], what)
	}
	assert.Nil(t, got.FacesDeg)

	sp.Name, sp.Revision = "Bar, moved", 1
	rev, err = s.PutSpot(ctx, angler, sp)
	require.NoError(t, err)
	assert.Equal(t, 2, rev)
	var conflict store.ConflictError
	sp.Name = "from an old page"
	_, err = s.PutSpot(ctx, angler, sp)
	require.ErrorAs(t, err, &conflict)
	assert.Equal(t, 2, conflict.Revision)
	got, err = s.Spot(ctx, angler, sp.ID)
	require.NoError(t, err)
	assert.Equal(t, "Bar, moved", got.Name)

	_, err = s.Spot(ctx, other, sp.ID)
	assert.ErrorIs(t, err, store.ErrNotFound)
	stolen := sp
	stolen.Water = theirs
	_, err = s.PutSpot(ctx, other, stolen)
	assert.ErrorIs(t, err, store.ErrNotFound)
	assert.ErrorIs(t, s.DeleteSpot(ctx, other, sp.ID), store.ErrNotFound)

	// Several at once: all or none.
	good, bad := spotAt(water), spotAt(theirs)
	assert.ErrorIs(t, s.PutSpots(ctx, angler, []store.Spot{good, bad}), store.ErrNotFound)
	_, err = s.Spot(ctx, angler, good.ID)
	assert.ErrorIs(t, err, store.ErrNotFound, "none of them was kept")
	require.NoError(t, s.DeleteSpot(ctx, angler, sp.ID))
	_, err = s.Spot(ctx, angler, sp.ID)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// Depths come back to the millimetre, and what nobody knows stays unknown.
func TestGridsComeBack(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	other, _ := someone(t)
	_, err := s.Grid(ctx, angler, water.ID)
	assert.ErrorIs(t, err, store.ErrNotFound)
	rapid.Check(t, func(rt *rapid.T) {
		rows, cols := rapid.IntRange(2, 20).Draw(rt, "rows"), rapid.IntRange(2, 20).Draw(rt, "cols")
		g, err := ground.NewGrid(31, -45, 0.001, 0.002, rows, cols)
		require.NoError(rt, err)
		for i := range g.Z {
			if !rapid.Bool().Draw(rt, "unknown") {
				g.Z[i] = float32(rapid.Float64Range(-60, 20).Draw(rt, "z"))
			}
		}
		require.NoError(rt, s.PutGrid(ctx, angler, water.ID, store.Grid{Grid: g, Source: "made up"}))
		got, err := s.Grid(ctx, angler, water.ID)
		require.NoError(rt, err)
		assert.Equal(rt, "made up", got.Source)
		require.Len(rt, got.Z, len(g.Z))
		for i := range g.Z {
			if math.IsNaN(float64(g.Z[i])) {
				assert.True(rt, math.IsNaN(float64(got.Z[i])))
			} else {
				assert.InDelta(rt, g.Z[i], got.Z[i], 0.00051)
			}
		}
	})
	_, err = s.Grid(ctx, other, water.ID)
	assert.ErrorIs(t, err, store.ErrNotFound)
	g, _ := ground.NewGrid(31, -45, 0.001, 0.002, 2, 2)
	assert.ErrorIs(t, s.PutGrid(ctx, other, water.ID, store.Grid{Grid: g}), store.ErrNotFound)
}

// A spot knows the zones it touches: by its place or anywhere on its shape.
func TestZonesOfASpot(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	other, _ := someone(t)
	square := func(lat, lon float64) ground.Ring {
		return ground.Ring{{Lat: lat, Lon: lon}, {Lat: lat, Lon: lon + 0.004}, {Lat: lat + 0.004, Lon: lon + 0.004},
			{Lat: lat + 0.004, Lon: lon}}
	}
	zone := func(name string, ring ground.Ring) ground.Zone {
		return ground.Zone{Name: name, Kind: ground.NoTake, Says: "none", Source: "made up",
			Checked: time.Date(2026, 1, 2, 0, 0, 0, 0, time.UTC), Ring: ring}
	}
	require.NoError(t, s.PutZones(ctx, angler, water.ID, []ground.Zone{zone("at the place", square(31.198, -45.102)),
		zone("on the shape", square(31.208, -45.092)), zone("elsewhere", square(31.3, -45.3))}))
	crossed := zone("crossed", ground.Ring{{Lat: 0, Lon: 0}, {Lat: 1, Lon: 1}, {Lat: 1, Lon: 0}, {Lat: 0, Lon: 1}})
	assert.ErrorContains(t, s.PutZones(ctx, angler, water.ID, []ground.Zone{zone("good", square(31.4, -45)), crossed}), "crosses itself")
	zones, err := s.ZonesOf(ctx, angler, water.ID)
	require.NoError(t, err)
	require.Len(t, zones, 3, "of a list with a bad one none is kept")

	sp := spotAt(water)
	_, err = s.PutSpot(ctx, angler, sp)
	require.NoError(t, err)
	spots, err := s.Spots(ctx, angler)
	require.NoError(t, err)
	require.Len(t, spots, 1)
	var names []string
	for _, z := range spots[0].Zones {
		names = append(names, z.Name)
	}
	assert.ElementsMatch(t, []string{"at the place", "on the shape"}, names)
	first, err := uuid.Parse(zones[0].ID)
	require.NoError(t, err)
	assert.ErrorIs(t, s.DeleteZone(ctx, other, first), store.ErrNotFound)
	_, err = s.PutZone(ctx, other, water.ID, first, zone("taken over", square(31, -45)), 1)
	assert.ErrorIs(t, err, store.ErrNotFound)
	require.NoError(t, s.DeleteZone(ctx, angler, first))
}

func TestRuleChangesAreAnAnglersOwn(t *testing.T) {
	ctx := context.Background()
	angler, _ := someone(t)
	other, _ := someone(t)
	require.NoError(t, s.PutRuleChange(ctx, angler, "moving-water", playbook.Change{Off: true}))
	require.NoError(t, s.PutRuleChange(ctx, angler, "moving-water", playbook.Change{Effect: "hopeless", Certainty: "firm"}))
	got, err := s.Overlay(ctx, angler)
	require.NoError(t, err)
	assert.Equal(t, map[string]playbook.Change{"moving-water": {Effect: "hopeless", Certainty: "firm"}}, got.Changes)
	got, err = s.Overlay(ctx, other)
	require.NoError(t, err)
	assert.Empty(t, got.Changes)
	require.NoError(t, s.PutRuleChange(ctx, angler, "moving-water", playbook.Change{}))
	got, err = s.Overlay(ctx, angler)
	require.NoError(t, err)
	assert.Empty(t, got.Changes)
}

func TestWhatMachinesStoredIsThinnedOut(t *testing.T) {
	ctx := context.Background()
	angler, water := someone(t)
	now := time.Date(2026, 11, 20, 9, 0, 0, 0, time.UTC)
	read := func(days int, source string, o conditions.Origin) conditions.Reading {
		return conditions.Reading{Kind: conditions.WaterTemp, Value: 12, Time: now.AddDate(0, 0, -days), Origin: o, Source: source}
	}
	require.NoError(t, s.AddReadings(ctx, angler, water.ID, []conditions.Reading{read(100, "logger", conditions.Observed),
		read(90, "service", conditions.Forecast), read(95, conditions.TheAngler, conditions.Observed),
		read(3, "logger", conditions.Observed)}))
	_, err := s.ThinReadings(ctx, now)
	require.NoError(t, err)
	left, err := s.ReadingsOf(ctx, angler, water.ID, now.AddDate(-1, 0, 0), now)
	require.NoError(t, err)
	require.Len(t, left, 2)
	assert.Equal(t, conditions.TheAngler, left[0].Source, "an angler's own stays")
	assert.Equal(t, "logger", left[1].Source)
	rows, err := s.DB().Query(`EXPLAIN SELECT * FROM reading WHERE water_id = ? AND time BETWEEN ? AND ?`, water.ID,
		now.AddDate(0, 0, -4), now)
	require.NoError(t, err)
	defer rows.Close()
	keys := ""
	for rows.Next() {
		cells := make([]any, 10)
		for i := range cells {
			cells[i] = new(sql.NullString)
		}
		require.NoError(t, rows.Scan(cells...))
		keys += cells[4].(*sql.NullString).String
	}
	assert.Contains(t, keys, "reading_time", "an index by water and time")
}
