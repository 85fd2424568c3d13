package tide

import (
	"fmt"
	"math"
	"sort"
	"strings"

	"greypebble/core/words"
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
// sign convention is that of T counted from noon. The small ones he does not
// list (ALP1, TAU1, BET1, UPS1, OQ2, GAM2, H1, H2, ETA2, MSM, MTM, MST, MSQM)
// follow Foreman (1977), from memory, with the nodes of their nearest kin.
var basic = map[string]species{
	"SA":  {0, 0, 1, 0, 0, 0, nil},
	"SSA": {0, 0, 2, 0, 0, 0, nil},
	"MM":  {0, 1, 0, -1, 0, 0, one(famMm)},
	"MF":  {0, 2, 0, 0, 0, 0, one(famMf)},
	"MSF": {0, 2, -2, 0, 0, 0, []nodePower{{famM2, -1}}},

	"MSM":  {0, 1, -2, 1, 0, 0, one(famMm)},
	"MTM":  {0, 3, 0, -1, 0, 0, one(famMf)},
	"MST":  {0, 3, -2, 1, 0, 0, one(famMf)},
	"MSQM": {0, 4, -2, 0, 0, 0, one(famMf)},

	"ALP1":   {1, -5, 3, 1, 0, 90, one(famO1)},
	"TAU1":   {1, -2, 3, 0, 0, -90, nil},
	"BET1":   {1, -1, -1, 1, 0, -90, one(famJ1)},
	"UPS1":   {1, 3, 1, -1, 0, -90, one(famOO1)},
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

	"OQ2":  {2, -5, 2, 3, 0, 0, one(famM2)},
	"GAM2": {2, -2, 0, 2, 0, 180, one(famM2)},
	"H1":   {2, -2, 1, 0, 1, 180, one(famM2)},
	"H2":   {2, -2, 3, 0, -1, 0, one(famM2)},
	"ETA2": {2, 1, 2, -1, 0, 0, one(famK2)},
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

// compounds are the shallow-water constituents public lists usually hold; any
// other that is well formed is understood as well (see parseCompound).
var compounds = strings.Fields(`MSN2 MKS2 2SM2 2MS2 2MN2 MNS2 SKM2 SNM2 2NS2 KJ2 SO1 NO1 MO3 MK3 2MK3 SO3 SK3 NO3 MQ3 SP3 N4 MN4
	M4 SN4 MS4 MK4 S4 SK4 3MS4 2MNS4 2MKS4 2MSN4 MSNK4 NK4 2MK5 2SK5 2MO5 MNO5 MSO5 MSK5 MNK5 2MP5 2MN6 M6 MSN6 2MS6 2MK6 2SM6 MSK6
	S6 2NM6 2SN6 4MS6 4MK6 3MNS6 3MKS6 3MK7 2MNO7 2MSO7 M8 3MS8 3MN8 3MK8 2MSN8 2MSK8 2MNK8 2(MS)8 2(MN)8 2SMN8 S8 4MK9 M10 4MS10
	4MN10 3MSN10 2MSNK10 3M2S10 M12 5MS12 4MSN12`)

// aliases are other spellings found in public lists.
var aliases = map[string]string{
	"RHO1": "RHO", "LAMBDA2": "LAM2", "LDA2": "LAM2", "LA2": "LAM2", "SGM": "SIGMA1", "SIG1": "SIGMA1",
	"ALPHA1": "ALP1", "BETA1": "BET1", "UPSILON1": "UPS1", "GAMMA2": "GAM2", "MA2": "H1", "MB2": "H2", "MFM": "MTM", "MSTM": "MST",
	"SIGMA": "SIGMA1",
	"EPS2":  "EP2", "EPSI2": "EP2", "THE1": "THETA1", "TTA1": "THETA1", "PHI": "PHI1", "PSI": "PSI1",
}

// catalogue is every known constituent under its own name.
var catalogue = buildCatalogue()

func buildCatalogue() map[string]*species {
	all := make(map[string]*species, len(basic)+len(compounds))
	for name, d := range basic {
		all[name] = &d
	}
	for _, name := range compounds {
		parents, _ := parseCompound(name)
		all[name] = compound(parents)
	}
	return all
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
	return fmt.Sprintf(words.TideUnknownConstituentKnownAreThe, e.Name)
}

// Canonical is a constituent's name as this package writes it; false for one it does not know.
func Canonical(name string) (string, bool) {
	n, _, err := lookUp(name)
	return n, err == nil
}

func lookUp(name string) (string, *species, error) {
	n := strings.ToUpper(strings.TrimSpace(name))
	if a, ok := aliases[n]; ok {
		n = a
	}
	if d, ok := catalogue[n]; ok {
		return n, d, nil
	}
	if parents, ok := parseCompound(n); ok {
		return n, compound(parents), nil
	}
	return "", nil, UnknownConstituentError{name}
}
