package water

import (
	"fmt"
	"math"
)

// Light class on stated limits of illuminance. The limits are the house's
// judgement: 1000 lx is a heavily overcast day, 10 lx deep civil twilight,
// 0.1 lx about a full moon.
type Light int

// Classes from darkest to brightest.
const (
	Dark Light = iota
	Twilight
	Dim
	Bright
)

func (l Light) String() string { return [...]string{"dark", "twilight", "dim", "bright"}[l] }

// lowest illuminance of each class in lux.
var lowest = [...]float64{Dark: 0, Twilight: 0.1, Dim: 10, Bright: 1000}

// Class of an illuminance in lux: bright ≥ 1000, dim ≥ 10, twilight ≥ 0.1.
func Class(lux float64) Light {
	for _, l := range []Light{Bright, Dim, Twilight} {
		if lux >= lowest[l] {
			return l
		}
	}
	return Dark
}

// clearSky is illuminance on level ground under a clear sky by the sun's
// altitude (degrees, lux); from memory.
var clearSky = [][2]float64{
	{-18, 0.0009}, {-12, 0.008}, {-9, 0.11}, {-6, 3.4}, {-3, 75}, {-0.83, 600}, {2, 2200}, {5, 5000},
	{10, 10900}, {20, 27500}, {30, 47000}, {45, 76000}, {60, 99000}, {90, 120000},
}

// fullMoon is the illuminance of a full moon overhead, lux; from memory.
const fullMoon = 0.27

// Sky describes what lights the water.
type Sky struct {
	SunAltitude, MoonAltitude float64 // degrees
	MoonIllumination          float64 // lit fraction of the disc, 0…1
	Cloud                     float64 // fraction of the sky, 0…1
}

// Surface is the illuminance on the water in lux.
func (s Sky) Surface() float64 {
	moon := 0.0
	if s.MoonAltitude > 0 {
		// A half moon gives about a ninth of a full one: the disc is rough.
		moon = fullMoon * math.Pow(s.MoonIllumination, 3) * math.Sin(s.MoonAltitude*math.Pi/180)
	}
	return (sunLight(s.SunAltitude) + moon) * (1 - 0.75*math.Pow(min(max(s.Cloud, 0), 1), 3.4))
}

func sunLight(altitude float64) float64 {
	first, last := clearSky[0], clearSky[len(clearSky)-1]
	if altitude <= first[0] {
		return first[1]
	}
	if altitude >= last[0] {
		return last[1]
	}
	i := 1
	for clearSky[i][0] < altitude {
		i++
	}
	a, b := clearSky[i-1], clearSky[i]
	share := (altitude - a[0]) / (b[0] - a[0])
	return math.Exp(math.Log(a[1])*(1-share) + math.Log(b[1])*share)
}

// Attenuation is Kd per metre for a Secchi depth in metres. A depth that is not
// positive and finite is an error.
func Attenuation(secchiM float64) (float64, error) {
	if !(secchiM > 0) || math.IsInf(secchiM, 0) {
		return 0, fmt.Errorf("water: Secchi depth must be more than 0 m, not %v", secchiM)
	}
	return 1.7 / secchiM, nil
}

// Remaining is the fraction of surface light left at a depth.
func Remaining(attenuation, depthM float64) float64 {
	return math.Exp(-attenuation * math.Max(depthM, 0))
}

// DepthOf an illuminance (lux) under one on the surface, in metres; negative
// where the surface is darker.
func DepthOf(surfaceLux, attenuation, lux float64) float64 {
	return math.Log(surfaceLux/lux) / attenuation
}

// DarkBelow is the depth in metres below which it is dark for an illuminance on
// the surface (lux); zero when it is dark already there.
func DarkBelow(surfaceLux, attenuation float64) float64 {
	return math.Max(DepthOf(surfaceLux, attenuation, lowest[Twilight]), 0)
}
