package sky

// auKm is the astronomical unit.
const auKm = 149597870.7

// sunRadiusKm is the radius of the solar disc used for its limb.
const sunRadiusKm = 695700.0

// sunAt is the apparent place of the sun (Meeus ch. 25), c in centuries TT.
func sunAt(c, dpsi float64) ecliptic {
	mean := 280.46646 + (36000.76983+0.0003032*c)*c
	anomaly := 357.52911 + (35999.05029-0.0001537*c)*c
	e := 0.016708634 - (0.000042037+0.0000001267*c)*c
	centre := (1.914602-(0.004817+0.000014*c)*c)*sin(anomaly) +
		(0.019993-0.000101*c)*sin(2*anomaly) + 0.000289*sin(3*anomaly)
	trueAnomaly := anomaly + centre
	r := 1.000001018 * (1 - e*e) / (1 + e*cos(trueAnomaly))
	const aberration = 20.4898 / 3600
	return ecliptic{lon: turn(mean + centre + dpsi - aberration/r), distance: r * auKm}
}

// Altitudes of the sun in degrees at which day and night are parted: its upper limb on
// the horizon with the usual refraction, and the end of civil twilight.
const (
	SunUp         = -0.83
	CivilTwilight = -6.0
)
