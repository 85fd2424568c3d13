package tide

import (
	"math"
	"time"
)

// longitudes are the slow angles of the tide-raising bodies at one moment, in
// degrees and not reduced to a circle, so that differences stay meaningful.
type longitudes struct {
	hour     float64 // T, hour angle of the mean sun: 15° × UTC hours + 180°
	moon     float64 // s
	sun      float64 // h
	perigee  float64 // p
	node     float64 // N
	sunsPeri float64 // p1
}

const (
	unixJ2000     = 946728000 // 2000-01-01T12:00:00Z
	secondsPerDay = 86400
	daysPerCent   = 36525
)

// secondsSinceJ2000 keeps nanoseconds; a float64 resolves below a microsecond
// for any date this package is used with.
func secondsSinceJ2000(t time.Time) float64 {
	return float64(t.Unix()-unixJ2000) + float64(t.Nanosecond())*1e-9
}

// at evaluates the mean longitudes (Meeus ch. 22, 25, 47; polynomials to T²).
func longitudesAt(sec float64) longitudes {
	days := sec / secondsPerDay
	c := days / daysPerCent
	return longitudes{
		// J2000 is noon, where the hour angle counted from noon is zero.
		hour:     360 * days,
		moon:     218.3164477 + (481267.88123421-0.0015786*c)*c,
		sun:      280.46646 + (36000.76983+0.0003032*c)*c,
		perigee:  83.3532465 + (4069.0137287-0.0103200*c)*c,
		node:     125.0445479 + (-1934.1362891+0.0020754*c)*c,
		sunsPeri: 282.93735 + (1.71946+0.00046*c)*c,
	}
}

// Mean rates of the longitudes in degrees an hour at J2000, for the speeds of
// constituents.
var longitudeRates = longitudes{
	hour:     15,
	moon:     481267.88123421 / (daysPerCent * 24),
	sun:      36000.76983 / (daysPerCent * 24),
	perigee:  4069.0137287 / (daysPerCent * 24),
	node:     -1934.1362891 / (daysPerCent * 24),
	sunsPeri: 1.71946 / (daysPerCent * 24),
}

const degree = math.Pi / 180

// reduced to a circle, 0…360: as good as math.Mod here (a multiple of 360 is exact) and far quicker.
func reduced(x float64) float64 { return x - fullCircle*math.Floor(x/fullCircle) }

func sinD(x float64) float64 { return math.Sin(x * degree) }
func cosD(x float64) float64 { return math.Cos(x * degree) }
