package desk_test

import (
	"context"
	"os"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/demo"
	"greypebble/server/desk"
	"greypebble/server/store"
	"greypebble/testkit"
)

var kit *testkit.Server

func TestMain(m *testing.M) { os.Exit(testkit.Run(m, &kit)) }

func laid(t *testing.T) (d desk.Desk, name string, angler uuid.UUID) {
	t.Helper()
	name = kit.Newcomer(t, "wren", testkit.NoLog)
	a, err := kit.App.Store.AnglerByName(context.Background(), name)
	require.NoError(t, err)
	return desk.New(kit.App.Store), name, a.ID
}

// A spot by itself and among all of them is laid out the same.
func TestOneSpotIsLaidOutAsAllAre(t *testing.T) {
	ctx := context.Background()
	d, _, angler := laid(t)
	all, err := d.Spots(ctx, angler, testkit.Now)
	require.NoError(t, err)
	require.Greater(t, len(all), 10)
	for _, of := range all {
		one, err := d.Spot(ctx, angler, of.ID, testkit.Now)
		require.NoError(t, err)
		a, _, err := of.At(testkit.Now, time.Hour, time.Hour)
		require.NoError(t, err)
		b, _, err := one.At(testkit.Now, time.Hour, time.Hour)
		require.NoError(t, err)
		assert.InDelta(t, a.LevelM, b.LevelM, 1e-9, of.Name)
		assert.Equal(t, a.Believed, b.Believed, of.Name)
		assert.Equal(t, of.List, one.List, of.Name)
		assert.Equal(t, len(of.Marks), len(one.Marks))
	}
	_, _, stranger := laid(t)
	_, err = d.Spot(ctx, stranger, all[0].ID, testkit.Now)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// Laid out one after the other a spot lies as it does by itself, whichever way one goes through the times.
func TestThePastIsLaidOutAsOneByOne(t *testing.T) {
	ctx := context.Background()
	d, name, angler := laid(t)
	times := make([]time.Time, 0, 7)
	var readings []conditions.Reading
	for i, hours := range []int{0, -31, 50, -400, 24 * 300, 7, -24 * 90} {
		at := testkit.Now.Add(time.Duration(hours)*time.Hour + 17*time.Minute)
		times = append(times, at)
		// Of some times there is a reading; of the others, what is usual then.
		if i%2 == 1 {
			readings = append(readings, conditions.Reading{Kind: conditions.WaterTemp, Value: 10 + float64(i), Time: at.Add(-time.Hour),
				Origin: conditions.Observed, Source: conditions.TheAngler})
		}
	}
	usual := conditions.Year{}
	for month := range usual {
		usual[month] = conditions.Month{Mean: 3 + float64(month), Spread: 1}
	}
	bar, err := d.Spot(ctx, angler, demo.IDOf(name, "Kettle Bar"), testkit.Now)
	require.NoError(t, err)
	require.NoError(t, d.Store.AddReadings(ctx, angler, bar.Water.ID, readings))
	require.NoError(t, d.Store.PutUsual(ctx, angler, bar.Water.ID, conditions.Usual{conditions.WaterTemp: usual}))
	past, err := d.Past(ctx, angler)
	require.NoError(t, err)
	require.Greater(t, len(past.Spots()), 10)
	for _, spot := range []string{"Kettle Bar", "Long Strand"} {
		for _, at := range times {
			one, err := d.Spot(ctx, angler, demo.IDOf(name, spot), at)
			require.NoError(t, err)
			among, err := past.Spot(ctx, demo.IDOf(name, spot), at)
			require.NoError(t, err)
			assert.Len(t, among.List, len(one.List), "%s at %s", spot, at)
			a, _, err := one.At(at, 0, 0)
			require.NoError(t, err)
			b, _, err := among.At(at, 0, 0)
			require.NoError(t, err)
			assert.Equal(t, a.Believed, b.Believed, "%s at %s", spot, at)
			assert.InDelta(t, a.LevelM, b.LevelM, 1e-12)
		}
	}
	_, err = past.Spot(ctx, uuid.New(), testkit.Now)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// What is said counts in what it is said of, and leaves the spot as it was.
func TestWhatIsSaidIsIncluded(t *testing.T) {
	ctx := context.Background()
	d, name, angler := laid(t)
	plain, err := d.Spot(ctx, angler, demo.IDOf(name, "Kettle Bar"), testkit.Now)
	require.NoError(t, err)
	assert.Same(t, plain, plain.Including(nil))
	said := plain.Including([]conditions.Reading{{Kind: conditions.WaterTemp, Value: 3.3, Time: testkit.Now, Origin: conditions.Observed,
		Source: conditions.TheAngler}})
	believed := func(l *desk.Laid) float64 {
		m, _, err := l.At(testkit.Now, 0, 0)
		require.NoError(t, err)
		return m.Believed[conditions.WaterTemp].Value
	}
	assert.InDelta(t, 3.3, believed(said), 1e-9)
	assert.Greater(t, believed(plain), 10.0)
}

func TestLevelsOfTheWaters(t *testing.T) {
	ctx := context.Background()
	d, _, angler := laid(t)
	waters, err := d.Store.Waters(ctx, angler)
	require.NoError(t, err)
	all, err := d.Levels(ctx, angler, testkit.Now)
	require.NoError(t, err)
	assert.Len(t, all, len(waters))
	for _, w := range waters {
		level, err := d.Level(ctx, angler, w.ID, testkit.Now)
		require.NoError(t, err)
		assert.InDelta(t, level, all[w.ID], 1e-9, w.Name)
		high, err := d.Highest(ctx, angler, w.ID, testkit.Now)
		require.NoError(t, err)
		for h := range 10 * 24 {
			level, err := d.Level(ctx, angler, w.ID, testkit.Now.Add(time.Duration(h)*time.Hour))
			require.NoError(t, err)
			require.LessOrEqual(t, level, high+1e-9)
		}
	}
}
