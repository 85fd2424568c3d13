package playbook

import "math"

// plenties are usual catches a rod-hour where a fish is fished well. They are the house's
// judgement, not measurements.
var plenties = map[string]float64{"scarce": 0.1, usualPlenty: 0.4, "many": 1.5}

const usualPlenty = "usual"

// PlentySD is the standard deviation of the logarithm of a usual catch: a factor of three.
var PlentySD = math.Log(3)

// Plenties of a target, scarcest first.
func Plenties() []string { return byValue(plenties) }

// UsualCatch a rod-hour of the target, fished well.
func (t *Target) UsualCatch() float64 {
	if r, known := plenties[t.Plenty]; known {
		return r
	}
	return plenties[usualPlenty]
}
