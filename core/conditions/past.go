package conditions

import "time"

// Change of a kind over the time before a moment, in its unit; false where it was not
// known at either end: what is only assumed tells of no change.
func (r Readings) Change(k Kind, t time.Time, over time.Duration) (float64, bool) {
	now, known := r.one(k, t, t)
	if !known || !now.Origin.Told() {
		return 0, false
	}
	then := t.Add(-over)
	before, known := r.one(k, then, then)
	if !known || !before.Origin.Told() {
		return 0, false
	}
	return now.Value - before.Value, true
}

// Mean of a kind over the days before a moment, a day counting once, by its mean; false where fewer than
// leastDays of them were told.
func (r Readings) Mean(k Kind, t time.Time, over time.Duration, leastDays int) (float64, bool) {
	type day struct{ sum, n float64 }
	days := map[int64]day{}
	for _, one := range r.of(k) {
		if one.Time.After(t) || !one.Time.After(t.Add(-over)) {
			continue
		}
		d := days[int64(t.Sub(one.Time)/(24*time.Hour))]
		days[int64(t.Sub(one.Time)/(24*time.Hour))] = day{d.sum + one.Value, d.n + 1}
	}
	sum := 0.0
	for _, d := range days {
		sum += d.sum / d.n
	}
	return sum / float64(max(len(days), 1)), len(days) >= leastDays
}

// Total of a kind over the hours before a moment, rain say: each hour counts once, by
// what was seen before what was forecast. False where no hour says anything.
func (r Readings) Total(k Kind, t time.Time, over time.Duration) (float64, bool) {
	hours := make(map[int64]Reading)
	for _, one := range r.of(k) {
		if one.Time.After(t) || !one.Time.After(t.Add(-over)) {
			continue
		}
		h := one.Time.Unix() / 3600
		if had, seen := hours[h]; !seen || had.Origin != Observed {
			hours[h] = one
		}
	}
	sum := 0.0
	for _, one := range hours {
		sum += one.Value
	}
	return sum, len(hours) > 0
}
