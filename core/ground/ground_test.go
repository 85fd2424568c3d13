package ground

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/tide"
)

var day = time.Date(2026, 5, 12, 0, 0, 0, 0, time.UTC)

func curve(t require.TestingT, hours int) *tide.Curve {
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.6, PhaseDeg: 40},
		{Name: "S2", AmplitudeM: 0.15, PhaseDeg: 70}, {Name: "K1", AmplitudeM: 0.1, PhaseDeg: 200},
		{Name: "M4", AmplitudeM: 0.05, PhaseDeg: 10}}, 0.9)
	require.NoError(t, err)
	c, err := tide.Over(h, day, day.Add(time.Duration(hours)*time.Hour))
	require.NoError(t, err)
	return c
}

// Windows against brute force at one-second steps.
func TestWindowsAgreeWithBruteForce(t *testing.T) {
	c := curve(t, 14)
	from, to := c.Interval()
	for _, r := range [][2]float64{{0.5, 1.2}, {0.9, math.Inf(1)}, {-5, 0.75}, {5, 6}, {-5, 5}, {0.2, 0.25}} {
		windows := Between(c, r[0], r[1], "low", "high")
		for at := from; at.Before(to); at = at.Add(time.Second) {
			h := c.Level(at)
			if math.Abs(h-r[0]) < 1e-5 || math.Abs(h-r[1]) < 1e-5 {
				continue
			}
			_, open := NextClose(windows, at)
			require.Equal(t, h >= r[0] && h <= r[1], open, "%v at %s, level %v", r, at, h)
		}
	}
}

func TestWindowsAreOrderedAndSayWhatShutsThem(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c := curve(t, 40)
		lo := rapid.Float64Range(-0.5, 2).Draw(t, "lo")
		hi := lo + rapid.Float64Range(0.01, 2).Draw(t, "width")
		windows := Between(c, lo, hi, "low", "high")
		for i, w := range windows {
			if !w.Closes.IsZero() {
				want := "high"
				if c.Level(w.Closes.Add(time.Second)) < lo {
					want = "low"
				}
				assert.Equal(t, want, w.ClosedBy)
				assert.True(t, w.Opens.Before(w.Closes))
			} else {
				assert.Equal(t, len(windows)-1, i)
			}
		}
	})
}

// T4, common practice: with 0.20–0.25 m over the crest most fish sit on the edges in
// 0.75–0.9 m. Common practice, no source.
func TestOysterBarDepths(t *testing.T) {
	crest := Mark{Name: "crest", Kind: Crest, ElevationM: 0.85}
	edge := Mark{Name: "edge", Kind: EdgeMark, ElevationM: 0.25}
	level := 1.08
	assert.InDelta(t, 0.23, crest.Depth(level), 1e-9)
	assert.InDelta(t, 0.83, edge.Depth(level), 1e-9)
}

func TestCutOffComesFromTheLowerWayBack(t *testing.T) {
	c := curve(t, 26)
	both := Access{Manner: Wading, In: Passage{Name: "the ridge", ElevationM: 0.8}, Out: Passage{Name: "the gut", ElevationM: 0.1}}
	inOnly := Access{Manner: Wading, In: Passage{Name: "the ridge", ElevationM: 0.8}, Out: Passage{Name: "the ridge", ElevationM: 0.8}}
	require.NotEmpty(t, both.Open(c))
	for _, w := range both.Open(c) {
		if !w.Closes.IsZero() {
			assert.Contains(t, w.ClosedBy, "the gut on the way back")
			assert.InDelta(t, 0.1+thighM, c.Level(w.Closes), 1e-4)
		}
	}
	assert.Less(t, total(both.Open(c)), total(inOnly.Open(c)))
	assert.Equal(t, []Limit{{0.1 + thighM, "wading ends"}}, both.Limits())
	kayak := Access{Manner: Kayak, In: Passage{Name: "the sill", ElevationM: 0.9}, Out: Passage{Name: "the sill", ElevationM: 0.9}}
	for _, w := range kayak.Open(c) {
		if !w.Closes.IsZero() {
			assert.Contains(t, w.ClosedBy, "too little water over the sill")
		}
	}
	assert.Error(t, Access{Manner: "jet"}.Validate())
}

func total(ws []Window) (d time.Duration) {
	end := day.Add(26 * time.Hour)
	for _, w := range ws {
		if w.Closes.IsZero() {
			w.Closes = end
		}
		d += w.Closes.Sub(latest(w.Opens, day))
	}
	return d
}

func TestSectionReproducesLinesAndNeverOvershoots(t *testing.T) {
	line, err := NewSection([]Point{{0, 2}, {10, 0}, {40, -6}})
	require.NoError(t, err)
	for d := 0.0; d <= 40; d++ {
		assert.InDelta(t, 2-d*0.2, line.Elevation(d), 1e-9)
	}
	two, err := NewSection([]Point{{0, 1}, {8, -1}})
	require.NoError(t, err)
	assert.InDelta(t, 0, two.Elevation(4), 1e-9)
	rapid.Check(t, func(t *rapid.T) {
		heights := rapid.SliceOfN(rapid.Float64Range(-5, 3), 2, 12).Draw(t, "heights")
		var points []Point
		for i, h := range heights {
			points = append(points, Point{float64(i) * 7, h})
		}
		s, err := NewSection(points)
		if err != nil {
			t.Fatal(err)
		}
		for i := 1; i < len(points); i++ {
			lo, hi := math.Min(heights[i-1], heights[i]), math.Max(heights[i-1], heights[i])
			for k := 0.0; k <= 7; k++ {
				e := s.Elevation(points[i-1].DistanceM + k)
				if e < lo-1e-9 || e > hi+1e-9 {
					t.Fatalf("%v outside %v…%v", e, lo, hi)
				}
			}
		}
		out := s.Outline(50)
		for i := 1; i < len(out); i++ {
			if out[i].DistanceM <= out[i-1].DistanceM {
				t.Fatal("outline goes back")
			}
		}
	})
}

func TestBadGroundIsNamed(t *testing.T) {
	for want, points := range map[string][]Point{
		"at least 2":      {{0, 0}},
		"point 2":         {{0, 0}, {0, 1}},
		"point 3":         {{0, 0}, {1, 1}, {2, math.NaN()}},
		"must be greater": {{3, 0}, {2, 1}},
	} {
		_, err := NewSection(points)
		assert.ErrorContains(t, err, want)
	}
	_, err := ParseMarkKind("reeef")
	assert.ErrorContains(t, err, "crest")
	assert.ErrorContains(t, Mark{Name: "x", Kind: "crest", Fishable: Depths{1, 0.5}}.Validate(), "greatest depth")
	assert.ErrorContains(t, Mark{Kind: "crest"}.Validate(), "name")
}
