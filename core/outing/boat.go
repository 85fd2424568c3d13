package outing

import "time"

// After a boat fish lie low, from ten minutes to a quarter of an hour (common practice, no source).
const (
	SettlesSoonest = 10 * time.Minute
	SettlesLatest  = 15 * time.Minute
)

// BoatPassed last, if the water has not settled since; zero otherwise.
func (o *Outing) BoatPassed(t time.Time) time.Time {
	for i := len(o.told) - 1; i >= 0; i-- {
		if k := &o.told[i]; k.Kind == Passed {
			if t.Sub(k.Time) < SettlesLatest {
				return k.Time
			}
			return time.Time{}
		}
	}
	return time.Time{}
}
