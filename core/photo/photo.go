// Package photo measures a fish on a photo by something of known length that lies beside it.
package photo

import (
	"fmt"
	"math"
)

// Point on a photo, pixels.
type Point struct {
	X float64 `json:"x"`
	Y float64 `json:"y"`
}

// Line between two points that were touched.
type Line struct {
	A Point `json:"a"`
	B Point `json:"b"`
}

func (l Line) length() float64 { return math.Hypot(l.A.X-l.B.X, l.A.Y-l.B.Y) }

// Card is the length of a bank card, metres (ISO/IEC 7810, ID-1).
const Card = 0.0856

const (
	// leastShown of the known thing, in touches' errors: shorter, its length says nothing.
	leastShown = 12.0
	// tilt is the share by which a length is off because the two do not lie in one plane square to the eye, as
	// a standard deviation (the house's judgement: a fish is a few centimetres thick, a phone is held askew).
	tilt = 0.03
	// longest fish that is believed, metres.
	longest = 4.0
)

// fourInFive of a normal lie within so many standard deviations.
const fourInFive = 1.2816

// Length of a fish, metres, and between which it lies four times in five.
type Length struct {
	M    float64 `json:"length_m"`
	Low  float64 `json:"low_m"`
	High float64 `json:"high_m"`
}

// Measure a fish by a thing of known length, both touched at their ends, each touch off by about touchPX pixels.
func Measure(fish, known Line, knownM, touchPX float64) (Length, error) {
	for _, v := range []float64{fish.length(), known.length(), knownM, touchPX} {
		if math.IsNaN(v) || math.IsInf(v, 0) || v <= 0 {
			return Length{}, fmt.Errorf("photo: expected two lines and a length above nought, not %v", v)
		}
	}
	if known.length() < leastShown*touchPX {
		return Length{}, fmt.Errorf("photo: what you measure by is too small on this photo; bring it nearer, or enlarge the photo")
	}
	m := knownM * fish.length() / known.length()
	if m >= longest {
		return Length{}, fmt.Errorf("photo: that would be a fish of %.1f m; touch the ends again", m)
	}
	// Two touches make an end-to-end error of √2 of one.
	ends := math.Sqrt2 * touchPX
	off := m * math.Sqrt(math.Pow(ends/fish.length(), 2)+math.Pow(ends/known.length(), 2)+tilt*tilt)
	return Length{m, m - fourInFive*off, m + fourInFive*off}, nil
}
