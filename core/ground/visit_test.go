package ground

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"github.com/stretchr/testify/require"
	"greypebble/core/quantity"
)

// Windows against brute force at one-second steps.
func TestVisitsAgainstBruteForce(t *testing.T) {
	c := curve(t, 30)
	for _, a := range []Access{
		{Manner: Wading, In: Passage{Name: "the ridge", ElevationM: 0.5}, Out: Passage{Name: "the gut", ElevationM: 0.15}},
		{Manner: Kayak, In: Passage{Name: "the sill", ElevationM: 0.9}, Out: Passage{Name: "the sill", ElevationM: 1}},
		{Manner: Boat, In: Passage{Name: "the bar", ElevationM: 0.3}, Out: Passage{Name: "the bar", ElevationM: 0.3}, DraughtM: 0.6},
		{Manner: OnFoot, In: Passage{Name: "the ledge", ElevationM: 0.7}, Out: Passage{Name: "the ledge", ElevationM: 0.7}},
	} {
		require.NoError(t, a.Validate())
		visits := a.Visits(c, nil, Plan{Margin: 20 * time.Minute, UncertainM: 0.1})
		require.NotEmpty(t, visits, a.Manner)
		from, to := c.Interval()
		var opens, closes []time.Time
		was := a.Passable(c.Level(from))
		for at := from.Add(time.Second); !at.After(to); at = at.Add(time.Second) {
			now := a.Passable(c.Level(at))
			if now && !was {
				opens = append(opens, at)
			}
			if !now && was {
				closes = append(closes, at)
			}
			was = now
		}
		var gotOpens, gotCloses []time.Time
		for _, w := range a.Open(c) {
			if !w.Opens.IsZero() {
				gotOpens = append(gotOpens, w.Opens)
			}
			if !w.Closes.IsZero() {
				gotCloses = append(gotCloses, w.Closes)
			}
		}
		require.Len(t, gotOpens, len(opens), a.Manner)
		require.Len(t, gotCloses, len(closes), a.Manner)
		for i := range opens {
			assert.InDelta(t, 0, gotOpens[i].Sub(opens[i]).Seconds(), 1.1)
		}
		for i := range closes {
			assert.InDelta(t, 0, gotCloses[i].Sub(closes[i]).Seconds(), 1.1)
		}
		for _, v := range visits {
			if !v.Closes.IsZero() {
				assert.Equal(t, v.Closes.Add(-20*time.Minute), v.BeOutBy)
			}
			if v.SureFrom.IsZero() {
				continue
			}
			for at := v.SureFrom.Add(2 * time.Second); at.Before(v.SureUntil.Add(-2 * time.Second)); at = at.Add(5 * time.Minute) {
				assert.True(t, a.Passable(c.Level(at)+0.0999) && a.Passable(c.Level(at)-0.0999), "sure means sure")
			}
		}
	}
}

func TestBestIsWhenMostMarksAreWorthACast(t *testing.T) {
	c := curve(t, 26)
	marks := []Mark{{Name: "a", Kind: EdgeMark, ElevationM: 0, Fishable: Depths{MinM: 0.2}},
		{Name: "b", Kind: Crest, ElevationM: 0.9, Fishable: Depths{MinM: 0.2}}}
	a := Access{Manner: Kayak, In: Passage{Name: "the sill", ElevationM: 0.2}, Out: Passage{Name: "the sill", ElevationM: 0.2}}
	for _, v := range a.Visits(c, marks, Plan{}) {
		if v.Marks < 2 {
			continue
		}
		assert.False(t, v.BestFrom.Equal(v.begins), "the visit's own beginning says nothing of the best")
		if v.BestFrom.IsZero() || v.BestUntil.IsZero() {
			continue
		}
		for at := v.BestFrom.Add(time.Minute); at.Before(v.BestUntil.Add(-time.Minute)); at = at.Add(10 * time.Minute) {
			assert.GreaterOrEqual(t, c.Level(at), 1.1-1e-3, "both marks")
		}
	}
	light := []Window{{Opens: day.Add(8 * time.Hour), Closes: day.Add(20 * time.Hour)}}
	for _, v := range a.Visits(c, marks, Plan{Light: light}) {
		assert.False(t, v.Opens.Before(light[0].Opens))
		assert.False(t, v.Closes.After(light[0].Closes))
	}
	assert.Empty(t, a.Visits(c, marks, Plan{Margin: 24 * time.Hour, Light: light}), "a margin longer than the visit")
	assert.InDelta(t, 0.1, Uncertainty(0), 0)
	assert.InDelta(t, 0.15, Uncertainty(-0.5), 1e-12)
}

func TestVisitInWords(t *testing.T) {
	at := func(h, m int) time.Time { return time.Date(2026, 5, 12, h, m, 0, 0, time.UTC) }
	v := Visit{Window: Window{at(12, 40), at(16, 30), "too deep at the gut on the way back"}, BeOutBy: at(16, 15), BestFrom: at(13, 20),
		BestUntil: at(15, 10)}
	zone := time.FixedZone("", -3*3600)
	assert.Equal(t, "Opens 09:40, best 10:20–12:10, be out by 13:15: at 13:30 too deep at the gut on the way back.", v.Says(zone,
		quantity.Metric))
	v.begins, v.BestFrom, v.BestUntil = at(12, 40), at(27, 20), at(28, 10)
	assert.Contains(t, v.Says(zone, quantity.Metric), "best Wed 00:20–Wed 01:10", "another day names itself")
	v.BestFrom = time.Time{}
	v.BestUntil = at(15, 10)
	assert.Contains(t, v.Says(zone, quantity.Metric), "best until 12:10,")
	v.BestFrom, v.BestUntil = at(13, 20), time.Time{}
	assert.Contains(t, v.Says(zone, quantity.Metric), "best from 10:20,")
	assert.Equal(t, "Open throughout.", Visit{}.Says(zone, quantity.Metric))
	assert.Equal(t, "Opens 09:40, stays open as far as was asked.", Visit{Window: Window{Opens: at(12, 40)}}.Says(zone, quantity.Metric))
}
