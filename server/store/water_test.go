package store_test

import (
	"context"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/server/store"
)

func reading(k conditions.Kind, value float64, hours int, origin conditions.Origin, source string) conditions.Reading {
	return conditions.Reading{Kind: k, Value: value, Time: morning.Add(time.Duration(hours) * time.Hour), Origin: origin, Source: source,
		Spread: 0.5, Site: "the post"}
}

func TestReadingsComeBackAndAForecastTakesNoneOfTheAnglers(t *testing.T) {
	ctx := context.Background()
	angler, w := someone(t)
	other, theirs := someone(t)
	seen := reading(conditions.Clarity, 1.5, 0, conditions.Observed, conditions.TheAngler)
	expected := reading(conditions.WindSpeed, 3, 6, conditions.Forecast, conditions.TheAngler)
	require.NoError(t, s.AddReadings(ctx, angler, w.ID, []conditions.Reading{expected, seen}))
	service := reading(conditions.WindSpeed, 9, 6, conditions.Forecast, "a service")
	require.NoError(t, s.ReplaceForecast(ctx, angler, w.ID, []conditions.Reading{service}))

	read := func() []conditions.Reading {
		list, err := s.ReadingsOf(ctx, angler, w.ID, morning.Add(-time.Hour), morning.Add(24*time.Hour))
		require.NoError(t, err)
		return list
	}
	assert.ElementsMatch(t, []conditions.Reading{seen, expected, service}, read())
	assert.Equal(t, seen, read()[0], "oldest first")

	// The next forecast takes the place of the last, and of nothing else.
	service.Value = 2
	require.NoError(t, s.ReplaceForecast(ctx, angler, w.ID, []conditions.Reading{service}))
	assert.ElementsMatch(t, []conditions.Reading{seen, expected, service}, read())
	// Said again, it is corrected.
	seen.Value = 0.5
	require.NoError(t, s.AddReadings(ctx, angler, w.ID, []conditions.Reading{seen}))
	assert.Equal(t, seen, read()[0])

	// Of all waters at once, each by its own; nobody else's.
	require.NoError(t, s.AddReadings(ctx, other, theirs.ID, []conditions.Reading{seen}))
	all, err := s.Readings(ctx, angler, morning.Add(-time.Hour), morning.Add(24*time.Hour))
	require.NoError(t, err)
	assert.Len(t, all, 1)
	assert.Len(t, all[w.ID], 3)
	require.ErrorIs(t, s.AddReadings(ctx, other, w.ID, []conditions.Reading{seen}), store.ErrNotFound)
	require.ErrorIs(t, s.DeleteReading(ctx, other, w.ID, seen.Kind, seen.Time), store.ErrNotFound)
	require.NoError(t, s.DeleteReading(ctx, angler, w.ID, seen.Kind, seen.Time))
	assert.ElementsMatch(t, []conditions.Reading{expected, service}, read())
}

func TestStationsAndTheTideTheyGive(t *testing.T) {
	ctx := context.Background()
	angler, w := someone(t)
	other, _ := someone(t)
	list, err := s.Stations(ctx, angler)
	require.NoError(t, err)
	require.Len(t, list, 1)
	head := list[0]

	// A secondary station follows it; neither can go while something rests on it.
	o := tide.Lagged(40*time.Minute, 0.8)
	creek := store.Station{ID: id(), Name: "Creek", Source: "by eye", Reference: &head.ID, Offsets: o}
	_, err = s.PutStation(ctx, angler, creek)
	require.NoError(t, err)
	require.NoError(t, s.UseStation(ctx, angler, w.ID, creek.ID))
	var used store.InUseError
	require.ErrorAs(t, s.DeleteStation(ctx, angler, head.ID), &used)
	require.ErrorAs(t, s.DeleteStation(ctx, angler, creek.ID), &used)

	// The water's tide is the reference's, later and smaller.
	p, err := s.TideOf(ctx, angler, w.ID)
	require.NoError(t, err)
	h, err := tide.NewHarmonics(head.Constituents, head.Z0M)
	require.NoError(t, err)
	want, err := tide.NewSecondary(h, o)
	require.NoError(t, err)
	at := func(p tide.Predictor) float64 {
		c, err := tide.Over(p, morning, morning)
		require.NoError(t, err)
		return c.Level(morning)
	}
	assert.InDelta(t, at(want), at(p), 1e-6)

	// A surge lifts it, and is taken back.
	_, err = s.PutSurge(ctx, angler, w.ID, tide.Surge{ByM: 0.4, Seen: morning, Fade: 12 * time.Hour}, 0)
	require.NoError(t, err)
	p, err = s.TideOf(ctx, angler, w.ID)
	require.NoError(t, err)
	assert.InDelta(t, at(want)+0.4, at(p), 1e-6)
	all, err := s.Tides(ctx, angler)
	require.NoError(t, err)
	assert.InDelta(t, at(p), at(all[w.ID]), 1e-12, "one by one or all at once")
	require.ErrorIs(t, s.DeleteSurge(ctx, other, w.ID), store.ErrNotFound)
	require.NoError(t, s.DeleteSurge(ctx, angler, w.ID))
	p, err = s.TideOf(ctx, angler, w.ID)
	require.NoError(t, err)
	assert.InDelta(t, at(want), at(p), 1e-6)

	// Somebody else's are not there.
	_, err = s.TideOf(ctx, other, w.ID)
	require.ErrorIs(t, err, store.ErrNotFound)
	require.ErrorIs(t, s.UseStation(ctx, other, w.ID, head.ID), store.ErrNotFound)
	require.ErrorIs(t, s.DeleteStation(ctx, other, creek.ID), store.ErrNotFound)
	require.NoError(t, s.UseStation(ctx, angler, w.ID, head.ID))
	require.NoError(t, s.DeleteStation(ctx, angler, creek.ID))
}

// What was noted of a spot's waters, its own lag and current go with the spot.
func TestWhatWasNotedOfASpotsTide(t *testing.T) {
	ctx := context.Background()
	angler, sp := spotOf(t)
	other, _ := spotOf(t)
	n := store.NotedTurn{ID: id(), Noted: tide.Noted{Kind: tide.High, Time: morning, HeightM: 1.4}}
	require.NoError(t, s.PutNoted(ctx, angler, sp.ID, n))
	require.NoError(t, s.PutNoted(ctx, angler, sp.ID, n), "twice is once")
	list, err := s.Noted(ctx, angler, sp.ID)
	require.NoError(t, err)
	assert.Equal(t, []store.NotedTurn{n}, list)
	require.ErrorIs(t, s.PutNoted(ctx, other, sp.ID, n), store.ErrNotFound)
	require.ErrorIs(t, s.DeleteNoted(ctx, other, sp.ID, n.ID), store.ErrNotFound)
	require.NoError(t, s.DeleteNoted(ctx, angler, sp.ID, n.ID))

	o := tide.Offsets{LagHigh: 55 * time.Minute, LagLow: 70 * time.Minute, FactorHigh: 0.84, FactorLow: 0.9, DifferenceLowM: 0.1}
	require.NoError(t, s.SetOffsets(ctx, angler, sp.ID, o))
	require.NoError(t, s.SetCurrent(ctx, angler, sp.ID, water.Setting{SeenMS: 0.7}))
	got, err := s.Spot(ctx, angler, sp.ID)
	require.NoError(t, err)
	assert.Equal(t, o, got.Offsets)
	assert.InDelta(t, 0.7, got.Current.SeenMS, 1e-9)
	assert.Equal(t, 1, got.Revision, "what was learned of the tide is no change of the spot")
}

func TestAFeedRemembersHowItWent(t *testing.T) {
	ctx := context.Background()
	angler, w := someone(t)
	other, _ := someone(t)
	f, err := s.FeedOf(ctx, angler, w.ID)
	require.NoError(t, err)
	assert.Nil(t, f)
	require.NoError(t, s.SetFeed(ctx, w.ID, "http://127.0.0.1:1/a"))
	require.NoError(t, s.SetFeed(ctx, w.ID, "http://127.0.0.1:1/b"))
	tried := morning
	require.NoError(t, s.MarkFeed(ctx, store.Feed{WaterID: w.ID, TriedAt: &tried, Problem: strings.Repeat("ö", 900)}))
	f, err = s.FeedOf(ctx, angler, w.ID)
	require.NoError(t, err)
	assert.Equal(t, "http://127.0.0.1:1/b", f.URL)
	assert.Equal(t, tried, *f.TriedAt)
	assert.Nil(t, f.FetchedAt)
	assert.Len(t, []rune(f.Problem), 400)
	f, err = s.FeedOf(ctx, other, w.ID)
	require.NoError(t, err)
	assert.Nil(t, f, "of one's own waters only")
}
