package conditions

import (
	"errors"
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/words"
)

// UsualKinds are the kinds of reading a water has something usual of.
var UsualKinds = []Kind{WaterTemp, Clarity, WindSpeed}

// Month of a kind as it usually is: the mean, and one standard deviation as readings have it: in the
// unit, or of the natural logarithm. NaN where nothing is known of the month.
type Month struct{ Mean, Spread float64 }

// Known says whether anything is.
func (m Month) Known() bool { return !math.IsNaN(m.Mean) }

// Unknown month.
func Unknown() Month { return Month{math.NaN(), 0} }

// Year of a kind, January first.
type Year [12]Month

// Usual of a water by kind: what lies beyond the forecast.
type Usual map[Kind]Year

// UsualSpread of a kind where none is told: of days about the mean of their month (common practice, no
// source).
func UsualSpread(k Kind) float64 {
	return map[Kind]float64{WaterTemp: 2, Clarity: 0.5, WindSpeed: 2.5}[k]
}

// Validate refuses kinds nothing is usual of and impossible values.
func (u Usual) Validate() error {
	for k, year := range u {
		if !slices.Contains(UsualKinds, k) {
			return fmt.Errorf("conditions: nothing is usual of %q; it is of %v", k, UsualKinds)
		}
		for i, m := range year {
			if !m.Known() {
				continue
			}
			if err := (Reading{Kind: k, Value: m.Mean, Origin: Observed, Spread: m.Spread}).Validate(); err != nil {
				return fmt.Errorf("%s: %w", time.Month(i+1), err)
			}
			if !(m.Spread > 0) {
				return errors.New("conditions: what is usual has a spread above 0")
			}
		}
	}
	return nil
}

// midMonth is the day a month's mean holds on.
const midMonth = 15

// At a moment: between the middles of two months as the line between them runs, of logarithms where
// the kind is spoken of so; false where either is not known.
func (u Usual) At(k Kind, t time.Time) (Month, bool) {
	year, there := u[k]
	if !there {
		return Unknown(), false
	}
	t = t.UTC()
	before := time.Date(t.Year(), t.Month(), midMonth, 0, 0, 0, 0, time.UTC)
	if t.Before(before) {
		before = before.AddDate(0, -1, 0)
	}
	after := before.AddDate(0, 1, 0)
	share := float64(t.Sub(before)) / float64(after.Sub(before))
	a, b := year[before.Month()-1], year[after.Month()-1]
	if !a.Known() || !b.Known() {
		return Unknown(), false
	}
	mean := a.Mean + share*(b.Mean-a.Mean)
	if natures[k].Logarithmic && a.Mean > 0 && b.Mean > 0 {
		mean = a.Mean * math.Pow(b.Mean/a.Mean, share)
	}
	return Month{mean, a.Spread + share*(b.Spread-a.Spread)}, true
}

// Usually is what is usual of a kind at a moment; false where nobody told.
func (r Readings) Usually(k Kind, t time.Time) (Month, bool) {
	if r.usual == nil {
		return Unknown(), false
	}
	return r.usual.At(k, t)
}

// WithUsual has readings fall back on what is usual where nobody told anything.
func (r Readings) WithUsual(u Usual) Readings {
	if len(u) == 0 {
		return Readings{r.sorted, nil}
	}
	return Readings{r.sorted, &u}
}

// Changed readings, each by a function; what is usual stays.
func (r Readings) Changed(f func(*Reading)) Readings {
	var list []Reading
	r.Each(func(one *Reading) {
		k := *one
		f(&k)
		list = append(list, k)
	})
	return Readings{Sorted(list).sorted, r.usual}
}

// Instead puts other readings in the place of these; what is usual stays.
func (r Readings) Instead(list []Reading) Readings { return Readings{Sorted(list).sorted, r.usual} }

// usually is what is believed where nobody told.
func (r Readings) usually(k Kind, t time.Time) (Value, bool) {
	if r.usual == nil {
		return Value{}, false
	}
	m, known := r.usual.At(k, t)
	one := Reading{Kind: k, Value: m.Mean, Time: t, Origin: Usually, Source: words.AsUsualInThatMonth, Spread: m.Spread}
	return Value{one, m.Spread, 0}, known
}

// leastDays with a reading in a month before something is learned of it (the house's judgement).
const leastDays = 5

// Daily is what was read of a kind on a day.
type Daily struct {
	Day  time.Time
	Mean float64
}

// Learn what is usual of a kind from what was read, day by day over the years: of a month with
// readings on five days or more, their mean and spread. A month's spread is that of days, and no
// smaller than what readings of the kind have.
func Learn(k Kind, days []Daily) Year {
	var by [12][]float64
	for _, d := range days {
		v := d.Mean
		if natures[k].Logarithmic {
			if v <= 0 {
				continue
			}
			v = math.Log(v)
		}
		by[d.Day.UTC().Month()-1] = append(by[d.Day.UTC().Month()-1], v)
	}
	var out Year
	for i, list := range by {
		out[i] = Unknown()
		if len(list) < leastDays {
			continue
		}
		sum, square := 0.0, 0.0
		for _, v := range list {
			sum += v
		}
		mean := sum / float64(len(list))
		for _, v := range list {
			square += (v - mean) * (v - mean)
		}
		spread := max(math.Sqrt(square/float64(len(list)-1)), natures[k].Spread[Observed])
		if natures[k].Logarithmic {
			mean = math.Exp(mean)
		}
		out[i] = Month{mean, spread}
	}
	return out
}
