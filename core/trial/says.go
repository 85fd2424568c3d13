package trial

import (
	"fmt"
	"math"

	"greypebble/core/words"
)

// Confidence at which something counts as shown, and how likely a trial should show what is there.
const (
	Confidence = 0.95
	Sure       = 0.8
)

// Verdict on two arms: the ratio of their rates, and what to make of it.
type Verdict struct {
	Estimate
	// Shown: no difference at all is hard to believe.
	Shown bool
	// HoursEach would show the difference that was seen, four times in five; nought where nothing would, or where it
	// is shown.
	HoursEach float64
	Says      string
}

// Judge two arms of some names, by their fish and rod-hours.
func Judge(first, second string, a, b Arm) (Verdict, error) {
	e, err := RateRatio(a, b, Confidence, 1)
	if err != nil {
		return Verdict{}, err
	}
	v := Verdict{Estimate: e, Shown: e.P <= 1-Confidence}
	switch {
	case a.Fish+b.Fish == 0:
		v.Says = words.NeitherBroughtAFish
	case a.Fish == 0 || b.Fish == 0:
		one, fits := first, fmt.Sprintf(words.AnythingFrom, e.Low)
		if a.Fish == 0 {
			one, fits = second, fmt.Sprintf(words.AnythingFrom, 1/e.High)
		}
		v.Says = fmt.Sprintf(words.OnlyOneBrought, one, fits)
		if v.Shown {
			v.Says = fmt.Sprintf(words.OnlyOneBroughtShown, one, fits, onceIn(e.P))
		}
	default:
		// The better one is spoken of.
		value, low, high := e.Value, e.Low, e.High
		one, other, rate := first, second, float64(b.Fish)/b.Effort
		if value < 1 {
			value, low, high = 1/value, 1/high, 1/low
			one, other, rate = second, first, float64(a.Fish)/a.Effort
		}
		fits := fmt.Sprintf(words.AnythingBetween, low, high)
		if v.Shown {
			v.Says = fmt.Sprintf(words.BroughtTimesAsMany, one, value, other, fits, onceIn(e.P))
			break
		}
		v.Says = fmt.Sprintf(words.NothingYet, value, one, fits)
		if value == 1 {
			break
		}
		if h, err := Hours(value, rate, Confidence, Sure); err == nil {
			v.HoursEach = h
			v.Says += " " + fmt.Sprintf(words.AsTheRateStands, math.Ceil(h))
		} else {
			v.Says += " " + words.NoTrialShowsThat
		}
	}
	return v, nil
}

// rarest chance that is told as a number.
const rarest = 1e-4

// everyday chance: what comes once in two such trials is not told as odds.
const everyday = 0.4

// onceIn so many such trials.
func onceIn(p float64) string {
	if p < rarest {
		return words.OnceInMore
	}
	return fmt.Sprintf(words.AboutOnceIn, math.Round(1/p))
}

// SaysShares of two arms: so many of all of each (landed of hooked).
func SaysShares(first, second string, t Table) (Estimate, string, error) {
	e, err := t.Fisher(Confidence)
	if err != nil {
		return e, "", err
	}
	parts := []any{t.A, t.A + t.B, first, t.C, t.C + t.D, second}
	switch {
	case e.P >= everyday:
		return e, fmt.Sprintf(words.PartOfTheFishAlike, parts...), nil
	case e.P > 1-Confidence:
		return e, fmt.Sprintf(words.PartOfTheFishNot, append(parts, onceIn(e.P))...), nil
	}
	return e, fmt.Sprintf(words.PartOfTheFishShown, append(parts, onceIn(e.P))...), nil
}
