package sky

import (
	"math"
	"time"
)

const (
	julianUnixEpoch = 2440587.5
	julianJ2000     = 2451545.0
	daysPerCentury  = 36525.0
	secondsPerDay   = 86400.0
)

func julianDay(t time.Time) float64 {
	return julianUnixEpoch + float64(t.Unix())/secondsPerDay + float64(t.Nanosecond())*1e-9/secondsPerDay
}

// centuries since J2000 in dynamical time, the argument of the series.
func centuries(t time.Time) float64 {
	return (julianDay(t) + deltaT(t)/secondsPerDay - julianJ2000) / daysPerCentury
}

// deltaT is TT − UT in seconds. It has stood near 69 s since 2017 (IERS
// Bulletin A); before, the polynomials of Espenak & Meeus (NASA TP-2006-214141)
// for 1961–2017 serve; outside, the nearest value. Ten seconds of error move a
// moonrise by half a second.
func deltaT(t time.Time) float64 {
	y := float64(t.Year()) + (float64(t.YearDay())-0.5)/365.25
	switch {
	case y >= 2017:
		return 69.2
	case y >= 2005:
		u := y - 2000
		return math.Min(69.2, 62.92+0.32217*u+0.005589*u*u)
	case y >= 1986:
		u := y - 2000
		return 63.86 + (0.3345+(-0.060374+(0.0017275+(0.000651814+0.00002373599*u)*u)*u)*u)*u
	default:
		u := math.Max(y, 1961) - 1975
		return 45.45 + 1.067*u - u*u/260 - u*u*u/718
	}
}

const degree = math.Pi / 180

func sin(x float64) float64 { return math.Sin(x * degree) }
func cos(x float64) float64 { return math.Cos(x * degree) }

// turn reduces an angle to 0 ≤ x < 360.
func turn(x float64) float64 {
	x = math.Mod(x, 360)
	if x < 0 {
		x += 360
	}
	return x
}

// half reduces an angle to −180 < x ≤ 180.
func half(x float64) float64 { return x - 360*math.Ceil(x/360-0.5) }
