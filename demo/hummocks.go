package demo

import "math"

// within 0 and 1.
func within(v float64) float64 { return math.Min(math.Max(v, 0), 1) }

// rough is a surface between about −1 and 1 whose largest hummocks are so many
// metres wide: three octaves of noise.
func rough(x, y, wide float64) float64 {
	return lattice(x/wide, y/wide) + 0.45*lattice(2.1*x/wide+17, 2.1*y/wide+5) + 0.2*lattice(4.3*x/wide+3, 4.3*y/wide+29)
}

// lattice noise between −1 and 1, smooth between the corners of a unit lattice.
func lattice(x, y float64) float64 {
	i, j := math.Floor(x), math.Floor(y)
	u, v := x-i, y-j
	u, v = u*u*(3-2*u), v*v*(3-2*v)
	a, b := corner(i, j)*(1-u)+corner(i+1, j)*u, corner(i, j+1)*(1-u)+corner(i+1, j+1)*u
	return a*(1-v) + b*v
}

// corner of the lattice: always the same number for the same place.
func corner(i, j float64) float64 {
	h := uint32(int32(i))*0x9e3779b1 ^ uint32(int32(j))*0x85ebca77
	h ^= h >> 15
	h *= 0x2c1b3c6d
	h ^= h >> 12
	h *= 0x297a2d39
	h ^= h >> 15
	return float64(h)/(1<<31) - 1
}
