package tide

import (
	"fmt"
	"math"
	"time"
)

// Learned is what an angler's noted high and low waters say of a spot against
// its reference, with one standard error each.
type Learned struct {
	Offsets
	LagHighError, LagLowError time.Duration
	// FactorError is that of the one factor on heights; zero heights noted leave
	// the factor 1 and its error infinite.
	FactorError float64
	// Highs and Lows used.
	Highs, Lows int
}

// Noted is a high or low water seen at a spot. A NaN height was not read.
type Noted struct {
	Time    time.Time
	Kind    Kind
	HeightM float64
}

// furthestLag between a noted turn and the reference's it belongs to: less than
// half the time between two of a kind.
const furthestLag = 6 * time.Hour

// priorLag is how far a lag that rests on few notes is believed at all: one
// standard deviation, drawing it towards zero.
const priorLag = 2 * time.Hour

// unsure is the standard error of one noted time.
const unsure = 15 * time.Minute

// Learn finds lags of high and low water and a factor on heights by least
// squares. Each noted turn belongs to the reference's nearest of its kind. The
// error is that of the scatter, and never better than a quarter of an hour a
// note.
func Learn(reference Predictor, noted []Noted) (Learned, error) {
	if len(noted) == 0 {
		return Learned{}, fmt.Errorf("tide: no high or low water was noted")
	}
	out := Learned{Offsets: Offsets{FactorHigh: 1, FactorLow: 1}, FactorError: math.Inf(1)}
	lags := map[Kind][]float64{}
	var xx, xy, yy float64
	heights := 0
	for i, n := range noted {
		k, err := nearestTurn(reference, n)
		if err != nil {
			return Learned{}, fmt.Errorf("tide: noted water %d (%s at %s): %w", i+1, n.Kind, n.Time.Format(time.RFC3339), err)
		}
		lags[n.Kind] = append(lags[n.Kind], n.Time.Sub(k.Time).Seconds())
		if finite(n.HeightM) {
			heights++
			xx, xy, yy = xx+k.LevelM*k.LevelM, xy+k.LevelM*n.HeightM, yy+n.HeightM*n.HeightM
		}
	}
	out.Highs, out.Lows = len(lags[High]), len(lags[Low])
	out.LagHigh, out.LagHighError = lag(lags[High])
	out.LagLow, out.LagLowError = lag(lags[Low])
	// With only one kind noted the other is taken to lag as much.
	if out.Highs == 0 {
		out.LagHigh, out.LagHighError = out.LagLow, priorLag
	}
	if out.Lows == 0 {
		out.LagLow, out.LagLowError = out.LagHigh, priorLag
	}
	if heights >= 2 && xx > 0 {
		f := xy / xx
		variance := math.Max(yy-f*xy, 0) / float64(heights-1)
		out.FactorHigh, out.FactorLow = f, f
		// A height read from the shore is good to 5 cm at best.
		out.FactorError = math.Sqrt(math.Max(variance, 0.05*0.05) / xx)
	}
	return out, nil
}

func nearestTurn(reference Predictor, n Noted) (Turn, error) {
	turns, err := reference.Turns(n.Time.Add(-furthestLag), n.Time.Add(furthestLag))
	if err != nil {
		return Turn{}, err
	}
	best, found := nearest(turns, n.Time, n.Kind)
	if !found {
		return best, fmt.Errorf("the reference has no %s water within %s", n.Kind, furthestLag)
	}
	return best, nil
}

// lag is the mean drawn towards zero by the prior, and its standard error.
func lag(seconds []float64) (mean, sd time.Duration) {
	n := float64(len(seconds))
	if n == 0 {
		return 0, priorLag
	}
	sum, squares := 0.0, 0.0
	for _, s := range seconds {
		sum += s
	}
	m := sum / n
	for _, s := range seconds {
		squares += (s - m) * (s - m)
	}
	scatter := unsure.Seconds()
	if n > 1 {
		scatter = math.Max(scatter, math.Sqrt(squares/(n-1)))
	}
	precision := n/(scatter*scatter) + 1/(priorLag.Seconds()*priorLag.Seconds())
	return time.Duration(sum / (scatter * scatter) / precision * 1e9), time.Duration(math.Sqrt(1/precision) * 1e9)
}
