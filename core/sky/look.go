package sky

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/words"
)

// Observer stands at sea level.
type Observer struct{ Lat, Lon float64 }

// NewObserver checks latitude (±90°) and longitude (±180°, east positive).
func NewObserver(lat, lon float64) (Observer, error) {
	if !(lat >= -90 && lat <= 90) {
		return Observer{}, fmt.Errorf("sky: latitude must be between −90 and 90 degrees, not %v", lat)
	}
	if !(lon >= -180 && lon <= 180) {
		return Observer{}, fmt.Errorf("sky: longitude must be between −180 and 180 degrees, not %v", lon)
	}
	return Observer{lat, lon}, nil
}

// Position is where a body stands for an observer: degrees, without refraction.
type Position struct{ Altitude, Azimuth float64 }

// Sun's place for the observer at t.
func (o Observer) Sun(t time.Time) Position { p, _ := o.body(t, sunAt); return p }

// Moon's place for the observer at t.
func (o Observer) Moon(t time.Time) Position { p, _ := o.body(t, moonAt); return p }

// body also gives the distance from the observer in kilometres.
func (o Observer) body(t time.Time, at func(c, dpsi float64) ecliptic) (Position, float64) {
	c := centuries(t)
	dpsi, obliquity := nutation(c)
	e := at(c, dpsi)
	sidereal := siderealTime(julianDay(t), dpsi, obliquity)
	h, dec, km := topocentric(e.equatorial(obliquity), e.distance, sidereal, o.Lat, o.Lon)
	alt, az := horizontal(h, dec, o.Lat)
	return Position{alt, az}, km
}

// Phase of the moon as seen from the earth's centre.
type Phase struct {
	// Illumination is the lit fraction of the disc, 0…1.
	Illumination float64
	// Elongation is the moon's longitude minus the sun's: 0 new, 90 first
	// quarter, 180 full, 270 last quarter, degrees.
	Elongation float64
	// AngleDeg is the phase angle: 180 new, 0 full.
	AngleDeg float64
	// DistanceKm from the earth's centre.
	DistanceKm float64
}

// MoonPhase at t (Meeus ch. 48).
func MoonPhase(t time.Time) Phase {
	c := centuries(t)
	dpsi, _ := nutation(c)
	return phase(sunAt(c, dpsi), moonAt(c, dpsi))
}

func phase(sun, moon ecliptic) Phase {
	psi := math.Acos(cos(moon.lat) * cos(moon.lon-sun.lon))
	i := math.Atan2(sun.distance*math.Sin(psi), moon.distance-sun.distance*math.Cos(psi))
	return Phase{
		Illumination: (1 + math.Cos(i)) / 2,
		Elongation:   turn(moon.lon - sun.lon),
		AngleDeg:     i / degree,
		DistanceKm:   moon.distance,
	}
}

// Name of the phase in eight words, each an eighth of the circle.
func (p Phase) Name() string {
	names := [...]string{"new moon", "waxing crescent", "first quarter", "waxing gibbous",
		"full moon", "waning gibbous", "last quarter", "waning crescent"}
	return names[int(turn(p.Elongation+22.5)/45)%8]
}

// quarters of the month: at these elongations, in their order.
var quarters = [...]string{"new moon", "first quarter", "full moon", "last quarter"}

// Quarter the moon reaches from a time, that included, to a later one within a week; "" for none. A day has one at most.
func Quarter(from, to time.Time) string {
	e := MoonPhase(from).Elongation
	gone := turn(MoonPhase(to).Elongation - e)
	for i, name := range quarters {
		if turn(90*float64(i)-e) < gone {
			return name
		}
	}
	return ""
}

// DaysFromFull is the time from the nearest full moon to t in days, negative
// before it.
func DaysFromFull(t time.Time) float64 { return daysFrom(t, 180) }

// DaysFromNew is the time from the nearest new moon to t in days, negative
// before it.
func DaysFromNew(t time.Time) float64 { return daysFrom(t, 0) }

// SayMoon tells how far it is from the nearer of full and new moon, given the days from
// each: "3 d before full", "at new".
func SayMoon(fromFull, fromNew float64) string {
	days, what := fromFull, "full"
	if math.Abs(fromNew) <= math.Abs(fromFull) {
		days, what = fromNew, "new"
	}
	if math.Abs(days) < 0.5 {
		return fmt.Sprintf(words.At2, what)
	}
	side := "after"
	if days < 0 {
		side = "before"
	}
	return fmt.Sprintf("%.0f d %s %s", math.Abs(days), side, what)
}

// meanElongationRate in degrees a day.
const meanElongationRate = 12.1907

func daysFrom(t time.Time, elongation float64) float64 {
	near := since(t, t, elongation)
	if math.Abs(near) < surelyNearest {
		return near
	}
	// Half-way between two, the moon's uneven pace may make the one nearer by angle the farther by time.
	other := since(t, t.Add(-time.Duration(math.Copysign(MoonMonth-math.Abs(near), -near)*24*float64(time.Hour))), elongation)
	if math.Abs(other) < math.Abs(near) {
		return other
	}
	return near
}

const (
	// MoonMonth from new moon to new moon, mean, days; and so near that no other can be nearer.
	MoonMonth     = 29.530589
	surelyNearest = 13
)

// since the moon stood at an elongation, days; the time of it is looked for from a guess on.
func since(t, at time.Time, elongation float64) float64 {
	for range 6 {
		off := half(MoonPhase(at).Elongation - elongation)
		at = at.Add(time.Duration(-off / meanElongationRate * 24 * float64(time.Hour)))
		if math.Abs(off) < 0.05 { // under a minute remains once this step is taken
			break
		}
	}
	return t.Sub(at).Hours() / 24
}
