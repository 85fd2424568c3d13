package tide

import (
	"fmt"
	"math"
	"time"
)

// Comparison of one place's tide with another's over some time.
type Comparison struct {
	// LagHigh and LagLow are how much later the other place turns, on average,
	// and how far single turns scatter about that (one standard deviation).
	LagHigh, LagLow               time.Duration
	LagHighScatter, LagLowScatter time.Duration
	Highs, Lows                   int
	// Factor and DifferenceM turn heights of the first place's turns into the
	// other's: factor · height + difference, by least squares.
	Factor, DifferenceM float64
	// RMSM is the root mean square difference of the levels themselves, hour by
	// hour.
	RMSM float64
	// RangeM and OtherRangeM are the mean spring ranges.
	RangeM, OtherRangeM float64
}

// longestComparison keeps it to what one can look at.
const longestComparison = 400 * 24 * time.Hour

// Compare how another place's tide differs from a place's: turns are paired
// with the nearest of their kind within six hours. Times reversed, more than
// 400 days, or no turns to pair are errors.
func Compare(place, other Predictor, from, to time.Time) (Comparison, error) {
	if to.Sub(from) > longestComparison {
		return Comparison{}, fmt.Errorf("tide: at most 400 days are compared at once")
	}
	turns, err := place.Turns(from, to)
	if err != nil {
		return Comparison{}, err
	}
	theirs, err := other.Turns(from.Add(-furthestLag), to.Add(furthestLag))
	if err != nil {
		return Comparison{}, err
	}
	c := Comparison{Factor: 1, RangeM: place.MeanSpringRange(), OtherRangeM: other.MeanSpringRange()}
	lags := map[Kind]*moments{High: {}, Low: {}}
	var pairs line
	for _, k := range turns {
		if n, found := nearest(theirs, k.Time, k.Kind); found {
			lags[k.Kind].add(n.Time.Sub(k.Time).Seconds())
			pairs.add(k.LevelM, n.LevelM)
		}
	}
	if pairs.n == 0 {
		return Comparison{}, fmt.Errorf("tide: no turns of the two places lie within %s of each other", furthestLag)
	}
	seconds := func(x float64) time.Duration { return time.Duration(x * float64(time.Second)) }
	c.Highs, c.Lows = lags[High].n, lags[Low].n
	c.LagHigh, c.LagHighScatter = seconds(lags[High].mean()), seconds(lags[High].deviation())
	c.LagLow, c.LagLowScatter = seconds(lags[Low].mean()), seconds(lags[Low].deviation())
	c.Factor, c.DifferenceM = pairs.fit()
	c.RMSM, err = rms(place, other, from, to)
	return c, err
}

func rms(place, other Predictor, from, to time.Time) (float64, error) {
	a, err := Over(place, from, to)
	if err != nil {
		return 0, err
	}
	b, err := Over(other, from, to)
	if err != nil {
		return 0, err
	}
	sum, n := 0.0, 0
	for t := from; !t.After(to); t = t.Add(time.Hour) {
		d := b.Level(t) - a.Level(t)
		sum, n = sum+d*d, n+1
	}
	return math.Sqrt(sum / float64(n)), nil
}

// nearest turn of a kind to a time, no further than a lag can be.
func nearest(turns []Turn, t time.Time, kind Kind) (best Turn, found bool) {
	for _, k := range turns {
		if k.Kind != kind || k.Time.Sub(t).Abs() > furthestLag {
			continue
		}
		if !found || k.Time.Sub(t).Abs() < best.Time.Sub(t).Abs() {
			best, found = k, true
		}
	}
	return best, found
}

// moments of a list of numbers.
type moments struct {
	n           int
	sum, square float64
}

func (m *moments) add(x float64) { m.n, m.sum, m.square = m.n+1, m.sum+x, m.square+x*x }

func (m *moments) mean() float64 {
	if m.n == 0 {
		return 0
	}
	return m.sum / float64(m.n)
}

func (m *moments) deviation() float64 {
	if m.n < 2 {
		return 0
	}
	return math.Sqrt(math.Max(m.square-float64(m.n)*m.mean()*m.mean(), 0) / float64(m.n-1))
}

// line fitted through points.
type line struct {
	n            int
	x, y, xx, xy float64
}

func (l *line) add(x, y float64) {
	l.n, l.x, l.y, l.xx, l.xy = l.n+1, l.x+x, l.y+y, l.xx+x*x, l.xy+x*y
}

// fit is the slope and the value at zero; points at one place give a slope of 1.
func (l *line) fit() (slope, at0 float64) {
	n := float64(l.n)
	spread := l.xx - l.x*l.x/n
	if spread < 1e-9 {
		return 1, (l.y - l.x) / n
	}
	slope = (l.xy - l.x*l.y/n) / spread
	return slope, (l.y - slope*l.x) / n
}
