package playbook

import (
	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// Measure is a numeric fact a rule can look at.
type Measure int

// Numeric facts.
const (
	Level        Measure = iota // of the tide above chart datum
	RiseRate                    // of the tide, negative when falling
	Flow                        // size of the rise rate
	Elapsed                     // share of the rise or fall gone
	SunAltitude                 // degrees
	SurfaceLight                // on the water
	LureLight                   // at the depth fished
	DaysFromFull                // distance in time from the nearest full moon
	Secchi                      // clarity
	WaterTemp                   //
	WindSpeed                   //
	Depth                       // of the water over the mark fished
	CrestDepth                  // of the water over the spot's highest crest or bar
	measureCount
)

type measureName struct {
	name      string
	dimension quantity.Dimension
}

var measures = [measureCount]measureName{
	Level: {"level", quantity.Length}, RiseRate: {"rise_rate", quantity.RiseRate}, Flow: {"flow", quantity.RiseRate},
	Elapsed: {"elapsed", quantity.Fraction}, SunAltitude: {"sun_altitude", quantity.Angle},
	SurfaceLight: {"surface_light", quantity.Illuminance}, LureLight: {"lure_light", quantity.Illuminance},
	DaysFromFull: {"days_from_full", quantity.Time}, Secchi: {"secchi", quantity.Length},
	WaterTemp: {"water_temp", quantity.Temperature}, WindSpeed: {"wind_speed", quantity.Speed},
	Depth: {"depth", quantity.Length}, CrestDepth: {"crest_depth", quantity.Length},
}

// Word is a fact with a fixed vocabulary.
type Word int

// Facts in words.
const (
	Stage    Word = iota // flood, ebb
	Place                // kind of spot
	MarkKind             // kind of mark
	Bottom               // what lies there
	Approach             // live bait, cut bait, lure
	Pace                 // slow, medium
	Column               // bottom, mid, top
	OfferingID
	wordCount
)

type wordName struct {
	name       string
	vocabulary []string
}

// Places are the kinds of spot the rules know.
var Places = []string{"oyster bar", "grass flat", "mud flat", "overhung bank", "timbered creek", "dug canal", "back lake", "surf beach", "pier",
	"jetty", "seawall", "rocky shore", "reef", "ledge", "harbour mouth", "river bend", "estuary"}

// Bottoms a mark may have.
var Bottoms = []string{"shell", "sand", "mud", "grass", "rock", "timber"}

// Approaches in the order they are spoken of.
var Approaches = []string{"live bait", "cut bait", "lure"}

// traits an offering may have.
var traits = []string{"scent", "vibration", "darting", "surface", "white", "natural", "dark", "flash", "small", "large", "tough"}

var words = [wordCount]wordName{
	Stage: {"stage", []string{"flood", "ebb"}}, Place: {"place", Places},
	MarkKind: {"mark", ground.MarkKinds()}, Bottom: {"bottom", Bottoms},
	Approach: {"approach", Approaches}, Pace: {"pace", []string{"slow", "medium"}},
	Column: {"column", []string{"bottom", "mid", "top"}}, OfferingID: {"offering", nil},
}

// Facts are everything a rule may look at for one presentation at one place and
// moment. A word that does not apply is empty and matches nothing.
type Facts struct {
	Measure [measureCount]float64
	Word    [wordCount]string
	Traits  []string
}
