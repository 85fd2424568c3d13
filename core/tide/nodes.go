package tide

import "math"

// family names the nodal behaviour a constituent borrows. Compounds multiply
// the factors and add the angles of their parents.
type family int

const (
	famNone family = iota
	famMm
	famMf
	famO1
	famM1
	famJ1
	famOO1
	famK1
	famM2
	famL2
	famK2
	famM3
	familyCount
)

// nodal is a factor f (dimensionless) and an angle u (degrees).
type nodal struct{ f, u float64 }

// nodes holds f and u of every family at one moment.
type nodes [familyCount]nodal

// Inclinations of the ecliptic and of the moon's orbit used by Schureman.
const (
	obliquity   = 23.452
	moonsOrbit  = 5.145
	fullCircle  = 360.0
	halfCircle  = 180.0
	degreesPerR = 180 / math.Pi
)

// orbit is the moon's orbit referred to the equator (Schureman §§ 23–27).
type orbit struct{ i, nu, xi, nuPrime, twoNuSecond float64 }

func orbitAt(node float64) orbit {
	n := reduced(node)
	i := math.Acos(cosD(obliquity)*cosD(moonsOrbit)-sinD(obliquity)*sinD(moonsOrbit)*cosD(n)) * degreesPerR
	tanHalf := math.Tan(n / 2 * degree)
	sum := math.Atan(cosD((obliquity-moonsOrbit)/2)/cosD((obliquity+moonsOrbit)/2)*tanHalf) * degreesPerR
	dif := math.Atan(sinD((obliquity-moonsOrbit)/2)/sinD((obliquity+moonsOrbit)/2)*tanHalf) * degreesPerR
	if n > halfCircle { // both half angles lie in the second quadrant with N/2
		sum += halfCircle
		dif += halfCircle
	}
	nu := sum - dif
	xi := n - sum - dif
	s2, ss := sinD(2*i), sinD(i)*sinD(i)
	return orbit{
		i: i, nu: nu, xi: wrap180(xi),
		nuPrime:     math.Atan2(s2*sinD(nu), s2*cosD(nu)+0.3347) * degreesPerR,
		twoNuSecond: math.Atan2(ss*sinD(2*nu), ss*cosD(2*nu)+0.0727) * degreesPerR,
	}
}

// nodesAt evaluates Schureman's formulas 73–79, 144, 149, 197–207, 215, 227, 235.
func nodesAt(l longitudes) nodes {
	o := orbitAt(l.node)
	s, c := math.Sin(o.i*degree), math.Cos(o.i*degree)
	sh, ch := math.Sin(o.i/2*degree), math.Cos(o.i/2*degree)
	s2 := 2 * s * c
	th2 := sh * sh / (ch * ch)
	p := l.perigee - o.xi
	c2p, s2p := cosD(2*p), sinD(2*p)

	m2 := nodal{ch * ch * ch * ch / 0.9154, 2 * (o.xi - o.nu)}
	o1 := nodal{s * ch * ch / 0.3800, 2*o.xi - o.nu}
	// The L2 and M1 amplitudes follow the perigee as well as the node.
	r := math.Atan2(s2p, 1/(6*th2)-c2p) * degreesPerR
	q := math.Atan2((5*c-1)*sinD(p), (7*c+1)*cosD(p)) * degreesPerR
	k := c / (ch * ch)

	return nodes{
		famNone: {1, 0},
		famMm:   {(2.0/3 - s*s) / 0.5021, 0},
		famMf:   {s * s / 0.1578, -2 * o.xi},
		famO1:   o1,
		famM1:   {o1.f * math.Sqrt(0.25+1.5*k*c2p+2.25*k*k), wrap180(o.xi - o.nu + q - l.perigee)},
		famJ1:   {s2 / 0.7214, -o.nu},
		famOO1:  {s * sh * sh / 0.0164, -2*o.xi - o.nu},
		famK1:   {math.Sqrt(0.8965*s2*s2 + 0.6001*s2*cosD(o.nu) + 0.1006), -o.nuPrime},
		famM2:   m2,
		famL2:   {m2.f * math.Sqrt(1-12*th2*c2p+36*th2*th2), m2.u - r},
		famK2:   {math.Sqrt(19.0444*s*s*s*s + 2.7702*s*s*cosD(2*o.nu) + 0.0981), -o.twoNuSecond},
		famM3:   {ch * ch * ch * ch * ch * ch / 0.8758, 3 * (o.xi - o.nu)},
	}
}

func wrap180(x float64) float64 { return x - fullCircle*math.Round(x/fullCircle) }
