package playbook

import (
	"slices"
	"strconv"

	"greypebble/core/ground"
)

// Coast is a stretch of shore, with the rivers and lakes behind it, that has fish of its own.
type Coast string

// Coasts that the ranges of targets speak of.
const (
	WestAtlantic Coast = "west Atlantic" // with the Gulf of Mexico and the Caribbean
	EastAtlantic Coast = "east Atlantic" // with the Mediterranean, the North Sea and the Baltic
	EastPacific  Coast = "east Pacific"
	GreatLakes   Coast = "Great Lakes"
)

var coasts = []string{string(WestAtlantic), string(EastAtlantic), string(EastPacific), string(GreatLakes)}

// box in degrees.
type box struct{ south, north, west, east float64 }

// boxes of the coasts; of two that hold a place, the first. Drawn coarsely by hand: they only
// decide which fish are named first.
var boxes = []struct {
	coast Coast
	box
}{
	{GreatLakes, box{41.3, 49.5, -93, -76}},
	{EastPacific, box{18, 72, -180, -100}},
	{EastPacific, box{-60, 18, -180, -84}},
	{EastPacific, box{-60, 8, -84, -76}},
	{WestAtlantic, box{-60, 66, -100, -34}},
	{EastAtlantic, box{10, 72, -34, 42}},
}

// CoastAt is the coast a place belongs to; empty where the book knows no fish.
func CoastAt(p ground.LatLon) Coast {
	for _, b := range boxes {
		if p.Lat >= b.south && p.Lat < b.north && p.Lon >= b.west && p.Lon < b.east {
			return b.coast
		}
	}
	return ""
}

// Range is where along a coast a target is known, degrees of latitude.
type Range struct {
	Coast        Coast
	South, North float64
}

// KnownAt says whether the target is found about a place, as far as the book tells: where it
// knows no coast, where nothing is said of the target's range, and for a target of one's own, it
// is. Ranges are coarse and from memory: they put names in order and never speak against a fish.
func (t *Target) KnownAt(p ground.LatLon) bool {
	coast := CoastAt(p)
	return t.Custom || len(t.Ranges) == 0 || coast == "" || slices.ContainsFunc(t.Ranges, func(r Range) bool {
		return r.Coast == coast && p.Lat >= r.South && p.Lat <= r.North
	})
}

// LivesAbout says whether the target lives at such a place and is known there.
func (t *Target) LivesAbout(place string, at ground.LatLon) bool {
	return t.LivesAt(place) && t.KnownAt(at)
}

// readRanges reads [{coast: …, south: …, north: …}].
func readRanges(n node) ([]Range, error) {
	items, err := n.items()
	if err != nil {
		return nil, err
	}
	out := make([]Range, 0, len(items))
	for _, it := range items {
		in := it.reader("coast", "south", "north")
		r := Range{Coast(in.word("coast", "coast", coasts)), in.latitude("south"), in.latitude("north")}
		if in.err != nil {
			return nil, in.err
		}
		if r.South >= r.North {
			return nil, it.errorf("a range runs from its south to its north, not from %v to %v", r.South, r.North)
		}
		out = append(out, r)
	}
	return out, nil
}

func (r *reader) latitude(key string) float64 {
	return read(r, key, true, func(n node) (float64, error) {
		v, err := strconv.ParseFloat(n.Value, 64)
		if err != nil || !(v >= -90 && v <= 90) {
			return 0, n.errorf("expected a latitude in degrees from -90 to 90, not %q", n.Value)
		}
		return v, nil
	})
}
