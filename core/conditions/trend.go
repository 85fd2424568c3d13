package conditions

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Trend of a condition over the last days.
type Trend struct {
	// PerDay is its mean change in the kind's unit a day.
	PerDay float64
	// Days of readings it rests on.
	Days int
}

// steadyPerDay is a change too small to be spoken of.
const steadyPerDay = 0.1

// Says of water how it has gone: "has warmed by 0.5 °C a day over the last 4 days".
func (t Trend) Says(u quantity.Units) string {
	did := "has kept"
	if math.Abs(t.PerDay) >= steadyPerDay {
		way := map[bool]string{true: "warmed", false: "cooled"}[t.PerDay > 0]
		did = fmt.Sprintf(words.HasByADay, way, u.ShowWarming(math.Abs(t.PerDay)))
	}
	return fmt.Sprintf(words.OverTheLastDays, did, t.Days)
}

// trendDays is how far back a trend looks.
const trendDays = 4

// TrendOf a kind up to t: the straight line through the means of the last four
// days. Whole days, so that warm afternoons do not count as a warming. Fewer
// than two days with readings are no trend.
func TrendOf(readings []Reading, k Kind, t time.Time) (Trend, bool) {
	type day struct{ sum, n float64 }
	var days [trendDays]day
	for i := range readings {
		r := &readings[i]
		age := t.Sub(r.Time)
		if r.Kind != k || age < 0 || age >= trendDays*24*time.Hour {
			continue
		}
		d := &days[int(age/(24*time.Hour))]
		d.sum, d.n = d.sum+r.Value, d.n+1
	}
	var n, x, y, xx, xy float64
	for i, d := range days {
		if d.n == 0 {
			continue
		}
		mean, at := d.sum/d.n, -float64(i)
		n, x, y, xx, xy = n+1, x+at, y+mean, xx+at*at, xy+at*mean
	}
	if n < 2 {
		return Trend{}, false
	}
	return Trend{(xy - x*y/n) / (xx - x*x/n), int(n)}, true
}
