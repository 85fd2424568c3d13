package sky

import "math"

// ecliptic is a geocentric place: longitude and latitude in degrees, distance
// in kilometres.
type ecliptic struct{ lon, lat, distance float64 }

// equatorial is right ascension and declination in degrees.
type equatorial struct{ ra, dec float64 }

// nutation in longitude and the true obliquity, degrees (Meeus ch. 22,
// principal terms, good to 0.5″).
func nutation(c float64) (dpsi, obliquity float64) {
	node := 125.04452 - 1934.136261*c
	sun := 280.4665 + 36000.7698*c
	moon := 218.3165 + 481267.8813*c
	dpsi = (-17.20*sin(node) - 1.32*sin(2*sun) - 0.23*sin(2*moon) + 0.21*sin(2*node)) / 3600
	deps := (9.20*cos(node) + 0.57*cos(2*sun) + 0.10*cos(2*moon) - 0.09*cos(2*node)) / 3600
	mean := 23.4392911 - (46.8150+(0.00059-0.001813*c)*c)*c/3600
	return dpsi, mean + deps
}

func (e ecliptic) equatorial(obliquity float64) equatorial {
	return equatorial{
		ra:  turn(math.Atan2(sin(e.lon)*cos(obliquity)-math.Tan(e.lat*degree)*sin(obliquity), cos(e.lon)) / degree),
		dec: math.Asin(sin(e.lat)*cos(obliquity)+cos(e.lat)*sin(obliquity)*sin(e.lon)) / degree,
	}
}

// siderealTime is the apparent one at Greenwich in degrees (Meeus ch. 12).
func siderealTime(jd, dpsi, obliquity float64) float64 {
	c := (jd - julianJ2000) / daysPerCentury
	mean := 280.46061837 + 360.98564736629*(jd-julianJ2000) + (0.000387933-c/38710000)*c*c
	return mean + dpsi*cos(obliquity)
}

// earthRadiusKm at the equator, and the square of the ellipsoid's axis ratio.
const (
	earthRadiusKm = 6378.137
	axisRatio     = 0.99664719
)

// topocentric is the place of a body as seen by an observer at sea level
// (Meeus ch. 40), with its distance from the observer in kilometres.
func topocentric(e equatorial, distance, sidereal, lat, lon float64) (hourAngle, dec, km float64) {
	u := math.Atan(axisRatio*math.Tan(lat*degree)) / degree
	x, z := cos(u), axisRatio*sin(u)
	h := sidereal + lon - e.ra
	r := distance / earthRadiusKm
	// Rectangular place of the body relative to the observer, meridian plane.
	bx := r*cos(e.dec)*cos(h) - x
	by := r * cos(e.dec) * sin(h)
	bz := r*sin(e.dec) - z
	flat := math.Hypot(bx, by)
	return math.Atan2(by, bx) / degree, math.Atan2(bz, flat) / degree, math.Hypot(flat, bz) * earthRadiusKm
}

// horizontal is altitude and azimuth in degrees, without refraction.
func horizontal(hourAngle, dec, lat float64) (altitude, azimuth float64) {
	altitude = math.Asin(sin(lat)*sin(dec)+cos(lat)*cos(dec)*cos(hourAngle)) / degree
	azimuth = turn(math.Atan2(sin(hourAngle), cos(hourAngle)*sin(lat)-math.Tan(dec*degree)*cos(lat))/degree + 180)
	return altitude, azimuth
}
