package sky

import (
	"fmt"
	"math"
	"time"
)

// refraction at the horizon in degrees: 34′.
const refraction = 34.0 / 60

// Day is what happens in one civil day at a place. A slice is empty where the
// event does not occur that day, and may hold two where the day is long enough.
type Day struct {
	Start, End                         time.Time
	Sunrise, Sunset                    []time.Time
	CivilDawn, CivilDusk               []time.Time // sun's centre at −6°
	NauticalDawn, NauticalDusk         []time.Time // at −12°
	AstronomicalDawn, AstronomicalDusk []time.Time // at −18°
	Noon                               []time.Time
	Moonrise, Moonset                  []time.Time
	// MoonAbove and MoonBelow are the moon's transits over and under.
	MoonAbove, MoonBelow []time.Time
	// SunNeverSets and SunNeverRises tell polar day and night apart when there
	// is neither rise nor set.
	SunNeverSets, SunNeverRises bool
}

// DayAt describes the 24 hours that start at the given moment.
func (o Observer) DayAt(start time.Time) Day { return o.Between(start, start.Add(24*time.Hour)) }

// Between describes the interval from start (inclusive) to end (exclusive).
func (o Observer) Between(start, end time.Time) Day {
	d := Day{Start: start, End: end}
	sun := o.limb(sunAt, sunRadiusKm)
	d.Sunrise, d.Sunset = crossings(sun, start, end, true)
	d.CivilDawn, d.CivilDusk = o.twilight(6, start, end)
	d.NauticalDawn, d.NauticalDusk = o.twilight(12, start, end)
	d.AstronomicalDawn, d.AstronomicalDusk = o.twilight(18, start, end)
	d.Moonrise, d.Moonset = crossings(o.limb(moonAt, moonRadiusKm), start, end, true)
	_, d.Noon = crossings(func(t time.Time) float64 { return o.hourAngle(t, sunAt) }, start, end, false)
	d.MoonBelow, d.MoonAbove = crossings(func(t time.Time) float64 { return o.hourAngle(t, moonAt) }, start, end, false)
	if len(d.Sunrise)+len(d.Sunset) == 0 {
		d.SunNeverSets = sun(start) > 0
		d.SunNeverRises = !d.SunNeverSets
	}
	return d
}

// hourAngle is shaped so that it falls through zero at the upper transit, rises
// through it at the lower one and nowhere jumps: minus its sine.
func (o Observer) hourAngle(t time.Time, at func(c, dpsi float64) ecliptic) float64 {
	c := centuries(t)
	dpsi, obliquity := nutation(c)
	e := at(c, dpsi)
	h, _, _ := topocentric(e.equatorial(obliquity), e.distance, siderealTime(julianDay(t), dpsi, obliquity), o.Lat, o.Lon)
	return -sin(h)
}

// DayOn is the civil day of a date (YYYY-MM-DD) at a fixed offset from UTC.
func (o Observer) DayOn(date string, utcOffset time.Duration) (Day, error) {
	d, err := time.Parse(time.DateOnly, date)
	if err != nil {
		return Day{}, fmt.Errorf("sky: date must be YYYY-MM-DD, not %q", date)
	}
	if utcOffset.Abs() > 14*time.Hour {
		return Day{}, fmt.Errorf("sky: offset from UTC must be within ±14 h, not %s", utcOffset)
	}
	return o.DayAt(d.Add(-utcOffset)), nil
}

// limb is the altitude of a body's upper limb over the horizon that is seen.
func (o Observer) limb(at func(c, dpsi float64) ecliptic, radiusKm float64) func(time.Time) float64 {
	return func(t time.Time) float64 {
		p, km := o.body(t, at)
		return p.Altitude + refraction + math.Asin(radiusKm/km)/degree
	}
}

// twilight begins and ends with the sun so many degrees below the horizon.
func (o Observer) twilight(below float64, start, end time.Time) (dawn, dusk []time.Time) {
	return crossings(func(t time.Time) float64 { return o.Sun(t).Altitude + below }, start, end, true)
}

// crossings finds where f rises and falls through zero in [start, end). Between
// samples ten minutes apart a body's altitude has at most one extremum; where a
// sample triple shows one near zero it is searched as well where f may graze it, so that a
// sun that only just shows is not missed.
func crossings(f func(time.Time) float64, start, end time.Time, grazes bool) (up, down []time.Time) {
	const step = 10 * time.Minute
	note := func(a, b time.Time, fa, fb float64) {
		if (fa > 0) == (fb > 0) {
			return
		}
		at := bisect(f, a, b, fa > 0)
		if at.Before(start) || !at.Before(end) {
			return
		}
		if fb > 0 {
			up = append(up, at)
		} else {
			down = append(down, at)
		}
	}
	a, fa := start, f(start)
	for a.Before(end) {
		b := a.Add(step)
		if b.After(end) {
			b = end
		}
		fb := f(b)
		if grazes && (fa > 0) == (fb > 0) && math.Abs(fa) < 1 {
			if m, fm := extremum(f, a, b, fa > 0); (fm > 0) != (fa > 0) {
				note(a, m, fa, fm)
				note(m, b, fm, fb)
			}
		}
		note(a, b, fa, fb)
		a, fa = b, fb
	}
	return up, down
}

func bisect(f func(time.Time) float64, a, b time.Time, positive bool) time.Time {
	for b.Sub(a) > 50*time.Millisecond {
		m := a.Add(b.Sub(a) / 2)
		if (f(m) > 0) == positive {
			a = m
		} else {
			b = m
		}
	}
	return a.Add(b.Sub(a) / 2)
}

// extremum searches the lowest (or highest) value of f between a and b by
// golden section.
func extremum(f func(time.Time) float64, a, b time.Time, lowest bool) (time.Time, float64) {
	const golden = 0.6180339887498949
	g := func(t time.Time) float64 {
		if lowest {
			return f(t)
		}
		return -f(t)
	}
	for b.Sub(a) > time.Second {
		w := time.Duration(float64(b.Sub(a)) * golden)
		if g(b.Add(-w)) < g(a.Add(w)) {
			b = a.Add(w)
		} else {
			a = b.Add(-w)
		}
	}
	m := a.Add(b.Sub(a) / 2)
	return m, f(m)
}
