package ordinary

import (
	"slices"

	"greypebble/core/ground"
)

// Mark as it usually is at a kind of place.
type Mark struct {
	Kind   ground.MarkKind
	Bottom string
	// ElevationM above mean low water of springs, which stands 1.5 m below mean high water.
	ElevationM float64
}

// usualMarks of each kind of place: common practice, no source.
var usualMarks = map[string][]Mark{
	"oyster bar":     {{ground.Crest, "shell", 0.6}, {ground.EdgeMark, "shell", 0}, {ground.Channel, "mud", -1.6}},
	"grass flat":     {{ground.Flat, "grass", -0.3}, {ground.Hole, "sand", -0.9}, {ground.EdgeMark, "grass", -0.6}},
	"mud flat":       {{ground.Flat, "mud", 0.2}, {ground.EdgeMark, "mud", -0.4}, {ground.Channel, "mud", -2}},
	"overhung bank":  {{ground.Pocket, "mud", -0.2}, {ground.EdgeMark, "mud", -0.8}},
	"timbered creek": {{ground.Channel, "mud", -1.2}, {ground.Timber, "timber", -0.6}, {ground.Hole, "mud", -2}},
	"dug canal":      {{ground.Step, "mud", -0.8}, {ground.Channel, "mud", -2.5}, {ground.Cut, "mud", -0.6}},
	"back lake":      {{ground.Hole, "mud", -0.8}, {ground.Flat, "mud", 0}, {ground.Sill, "mud", 0.3}},
	"surf beach": {{ground.Trough, "sand", -0.8}, {ground.Bar, "sand", 0.1}, {ground.Slope, "sand", -0.4}, {ground.Cut, "sand", -1},
		{ground.Trough, "sand", -2}},
	"pier":          {{ground.Piling, "sand", -2.5}, {ground.Trough, "sand", -2}, {ground.Slope, "sand", -1.2}},
	"jetty":         {{ground.EdgeMark, "rock", -1.5}, {ground.Slope, "sand", -2.5}, {ground.Channel, "sand", -5}},
	"seawall":       {{ground.EdgeMark, "rock", -0.8}, {ground.Hole, "mud", -2}},
	"rocky shore":   {{ground.Rock, "rock", -0.3}, {ground.Gut, "rock", -1.2}, {ground.EdgeMark, "rock", -2.5}},
	"reef":          {{ground.Crest, "rock", -6}, {ground.EdgeMark, "rock", -10}, {ground.Rock, "rock", -8}},
	"ledge":         {{ground.EdgeMark, "rock", -18}, {ground.Crest, "rock", -16}, {ground.Flat, "sand", -28}},
	"harbour mouth": {{ground.Channel, "sand", -8}, {ground.EdgeMark, "rock", -3}, {ground.Hole, "mud", -11}},
	"river bend":    {{ground.EdgeMark, "mud", -0.7}, {ground.Channel, "mud", -3}, {ground.Hole, "mud", -4}},
	"estuary":       {{ground.EdgeMark, "mud", -0.8}, {ground.Channel, "sand", -3}, {ground.Flat, "mud", 0}, {ground.Hole, "mud", -4}},
}

// openWater places are usually clearer.
var openWater = map[string]bool{"surf beach": true, "pier": true, "jetty": true, "rocky shore": true, "reef": true, "ledge": true}

// crests stand at these elevations where a place has one.
func crestOf(marks []Mark) (elevationM float64, has bool) {
	for _, m := range marks {
		if (m.Kind == ground.Crest || m.Kind == ground.Bar) && (!has || m.ElevationM > elevationM) {
			elevationM, has = m.ElevationM, true
		}
	}
	return elevationM, has
}

// creeksOf marks that join there.
func creeksOf(marks []Mark) float64 {
	n := 0.0
	for _, m := range marks {
		if m.Kind == ground.Cut {
			n++
		}
	}
	return n
}

// UsualMarks of a kind of place.
func UsualMarks(place string) []Mark { return slices.Clone(usualMarks[place]) }
