package tide

import (
	"fmt"
	"math"
	"sort"
	"strings"
)

// nodePower says how a constituent follows a nodal family: f^|power|, u·power.
type nodePower struct {
	of    family
	power int
}

// species is the fixed definition of a constituent: integer multiples of the
// longitudes, a constant in degrees and its nodal behaviour.
type species struct {
	t, s, h, p, p1 int
	constant       float64
	node           []nodePower
}

// argument is V in degrees, not reduced to a circle.
func (d *species) argument(l longitudes) float64 {
	return float64(d.t)*l.hour + float64(d.s)*l.moon + float64(d.h)*l.sun +
		float64(d.p)*l.perigee + float64(d.p1)*l.sunsPeri + d.constant
}

// nodal is f and u.
func (d *species) nodal(n *nodes) (f, u float64) {
	f = 1
	for _, k := range d.node {
		f *= math.Pow(n[k.of].f, math.Abs(float64(k.power)))
		u += float64(k.power) * n[k.of].u
	}
	return f, u
}

func one(f family) []nodePower { return []nodePower{{f, 1}} }

// basic lists the constituents of Schureman table 2 by their arguments; the
// sign convention is that of T counted from noon.
var basic = map[string]species{
	"SA":  {0, 0, 1, 0, 0, 0, nil},
	"SSA": {0, 0, 2, 0, 0, 0, nil},
	"MM":  {0, 1, 0, -1, 0, 0, one(famMm)},
	"MF":  {0, 2, 0, 0, 0, 0, one(famMf)},
	"MSF": {0, 2, -2, 0, 0, 0, []nodePower{{famM2, -1}}},

	"2Q1":    {1, -4, 1, 2, 0, 90, one(famO1)},
	"SIGMA1": {1, -4, 3, 0, 0, 90, one(famO1)},
	"Q1":     {1, -3, 1, 1, 0, 90, one(famO1)},
	"RHO":    {1, -3, 3, -1, 0, 90, one(famO1)},
	"O1":     {1, -2, 1, 0, 0, 90, one(famO1)},
	"M1":     {1, -1, 1, 1, 0, -90, one(famM1)},
	"CHI1":   {1, -1, 3, -1, 0, -90, one(famJ1)},
	"PI1":    {1, 0, -2, 0, 1, 90, nil},
	"P1":     {1, 0, -1, 0, 0, 90, nil},
	"S1":     {1, 0, 0, 0, 0, 0, nil},
	"K1":     {1, 0, 1, 0, 0, -90, one(famK1)},
	"PSI1":   {1, 0, 2, 0, -1, -90, nil},
	"PHI1":   {1, 0, 3, 0, 0, -90, nil},
	"THETA1": {1, 1, -1, 1, 0, -90, one(famJ1)},
	"J1":     {1, 1, 1, -1, 0, -90, one(famJ1)},
	"OO1":    {1, 2, 1, 0, 0, -90, one(famOO1)},

	"EP2":  {2, -5, 4, 1, 0, 0, one(famM2)},
	"2N2":  {2, -4, 2, 2, 0, 0, one(famM2)},
	"MU2":  {2, -4, 4, 0, 0, 0, one(famM2)},
	"N2":   {2, -3, 2, 1, 0, 0, one(famM2)},
	"NU2":  {2, -3, 4, -1, 0, 0, one(famM2)},
	"M2":   {2, -2, 2, 0, 0, 0, one(famM2)},
	"LAM2": {2, -1, 0, 1, 0, 180, one(famM2)},
	"L2":   {2, -1, 2, -1, 0, 180, one(famL2)},
	"T2":   {2, 0, -1, 0, 1, 0, nil},
	"S2":   {2, 0, 0, 0, 0, 0, nil},
	"R2":   {2, 0, 1, 0, -1, 180, nil},
	"K2":   {2, 0, 2, 0, 0, 0, one(famK2)},

	"M3": {3, -3, 3, 0, 0, 0, one(famM3)},
}

// parent is one term of a shallow-water compound.
type parent struct {
	name  string
	times int
}

// compounds are sums of basic constituents (Schureman table 2a; Foreman 1977).
var compounds = map[string][]parent{
	"MSN2": {{"M2", 1}, {"S2", 1}, {"N2", -1}}, "MKS2": {{"M2", 1}, {"K2", 1}, {"S2", -1}},
	"2SM2": {{"S2", 2}, {"M2", -1}}, "2MS2": {{"M2", 2}, {"S2", -1}}, "2MN2": {{"M2", 2}, {"N2", -1}},
	"KJ2": {{"K1", 1}, {"J1", 1}}, "SO1": {{"S2", 1}, {"O1", -1}}, "NO1": {{"N2", 1}, {"O1", -1}},
	"MO3": {{"M2", 1}, {"O1", 1}}, "MK3": {{"M2", 1}, {"K1", 1}}, "2MK3": {{"M2", 2}, {"K1", -1}},
	"SO3": {{"S2", 1}, {"O1", 1}}, "SK3": {{"S2", 1}, {"K1", 1}},
	"N4": {{"N2", 2}}, "MN4": {{"M2", 1}, {"N2", 1}}, "M4": {{"M2", 2}}, "SN4": {{"S2", 1}, {"N2", 1}},
	"MS4": {{"M2", 1}, {"S2", 1}}, "MK4": {{"M2", 1}, {"K2", 1}}, "S4": {{"S2", 2}}, "SK4": {{"S2", 1}, {"K2", 1}},
	"2MK5": {{"M2", 2}, {"K1", 1}}, "2SK5": {{"S2", 2}, {"K1", 1}}, "2MO5": {{"M2", 2}, {"O1", 1}},
	"2MN6": {{"M2", 2}, {"N2", 1}}, "M6": {{"M2", 3}}, "MSN6": {{"M2", 1}, {"S2", 1}, {"N2", 1}},
	"2MS6": {{"M2", 2}, {"S2", 1}}, "2MK6": {{"M2", 2}, {"K2", 1}}, "2SM6": {{"S2", 2}, {"M2", 1}},
	"MSK6": {{"M2", 1}, {"S2", 1}, {"K2", 1}}, "S6": {{"S2", 3}},
	"3MK7": {{"M2", 3}, {"K1", 1}}, "M8": {{"M2", 4}}, "3MS8": {{"M2", 3}, {"S2", 1}}, "2(MS)8": {{"M2", 2}, {"S2", 2}},
	"S8": {{"S2", 4}}, "M10": {{"M2", 5}}, "M12": {{"M2", 6}},
}

// aliases are other spellings found in public lists.
var aliases = map[string]string{
	"RHO1": "RHO", "LAMBDA2": "LAM2", "LDA2": "LAM2", "LA2": "LAM2", "SGM": "SIGMA1", "SIG1": "SIGMA1",
	"EPS2": "EP2", "EPSI2": "EP2", "THE1": "THETA1", "TTA1": "THETA1", "PHI": "PHI1", "PSI": "PSI1",
}

// catalogue is every known constituent under its own name.
var catalogue = buildCatalogue()

func buildCatalogue() map[string]*species {
	all := make(map[string]*species, len(basic)+len(compounds))
	for name, d := range basic {
		all[name] = &d
	}
	for name, parents := range compounds {
		all[name] = compound(parents)
	}
	return all
}

func compound(parents []parent) *species {
	var d species
	for _, k := range parents {
		b := basic[k.name]
		d.t += k.times * b.t
		d.s += k.times * b.s
		d.h += k.times * b.h
		d.p += k.times * b.p
		d.p1 += k.times * b.p1
		d.constant += float64(k.times) * b.constant
		for _, n := range b.node {
			d.node = append(d.node, nodePower{n.of, n.power * k.times})
		}
	}
	return &d
}

// Known lists the names of all constituents, slowest first.
func Known() []string {
	names := make([]string, 0, len(catalogue))
	for n := range catalogue {
		names = append(names, n)
	}
	sort.Slice(names, func(i, j int) bool {
		a, b := catalogue[names[i]].speed(), catalogue[names[j]].speed()
		if a != b {
			return a < b
		}
		return names[i] < names[j]
	})
	return names
}

// Speed is a constituent's mean speed in degrees an hour.
func Speed(name string) (float64, error) {
	_, d, err := lookUp(name)
	if err != nil {
		return 0, err
	}
	return d.speed(), nil
}

func (d *species) speed() float64 { return d.argument(longitudeRates) - d.constant }

// UnknownConstituentError names a constituent this package has no definition for.
type UnknownConstituentError struct{ Name string }

func (e UnknownConstituentError) Error() string {
	return fmt.Sprintf("tide: unknown constituent %q", e.Name)
}

func lookUp(name string) (string, *species, error) {
	n := strings.ToUpper(strings.TrimSpace(name))
	if a, ok := aliases[n]; ok {
		n = a
	}
	d, ok := catalogue[n]
	if !ok {
		return "", nil, UnknownConstituentError{name}
	}
	return n, d, nil
}
