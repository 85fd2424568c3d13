// Package columns says which columns the program's own readers of CSV take, so that a file
// with other names, or in other units, can be fitted to one: its columns are named anew
// before it is read.
package columns

// Column a reader takes, by one of its names; the unit is part of the name.
type Column struct {
	// Says what it holds.
	Says string
	// Names it may have, the first being its own; each tells the unit.
	Names  []string
	Needed bool
}

func names(stem string, units ...string) []string {
	out := make([]string, len(units))
	for i, u := range units {
		out[i] = stem + "_" + u
	}
	return out
}

var (
	when    = Column{"time, with an offset or in the water's own zone", []string{"time"}, true}
	lat     = Column{"latitude, degrees", []string{"lat"}, true}
	lon     = Column{"longitude, degrees", []string{"lon"}, true}
	height  = Column{"height of the water", names("height", "m", "cm", "mm", "ft"), true}
	heights = append(names("elevation", "m", "ft"), names("depth", "m", "ft")...)
)

// Readers of CSV by what their files hold.
var Readers = map[string][]Column{
	"record": {when, height},
	"turns":  {when, height, {"high or low", []string{"kind"}, false}},
	"soundings": {lat, lon,
		{"height of the ground, or depth under the datum", heights, true}},
	"section": {{"distance along it", names("distance", "m", "ft"), true}, {"height of the ground, or depth", heights, true}},
	"places": {{"name", []string{"name"}, true}, lat, lon, {"kind of place", []string{"type"}, false},
		{"height over chart datum", names("elevation", "m", "ft"), false}, {"note", []string{"note"}, false}},
	"tags": {{"number of the tag", []string{"tag_number"}, true}, when, lat, lon,
		{"programme", []string{"tag_programme"}, false}, {"species", []string{"species"}, false},
		{"length", names("length", "m", "cm", "mm", "in"), false}},
	"log": {{"day and time it began, or the day", []string{"time", "date"}, true}, {"spot", []string{"spot"}, true},
		{"time of day it began, where the day stands alone", []string{"start"}, false}, {"when it ended", []string{"ended_at"}, false},
		{"how long was fished", []string{"hours", "minutes"}, false}, {"what was sought", []string{"target"}, false},
		{"what was caught", []string{"species"}, false}, {"how many were caught", []string{"count"}, false},
		{"length", names("length", "m", "cm", "mm", "in", "ft"), false}, {"weight", names("mass", "kg", "g", "lb", "oz"), false},
		{"girth", names("girth", "m", "cm", "in"), false}, {"kept or released", []string{"kept"}, false},
		{"bait or lure", []string{"offering"}, false}, {"live bait, cut bait or lure", []string{"approach"}, false},
		{"mark", []string{"mark"}, false}, {"rods", []string{"rods"}, false}, {"which rod", []string{"rod"}, false},
		{"who fished", []string{"who"}, false}, {"paused", names("paused", "s", "min"), false},
		{"temperature of the water", names("water_temp", "c", "f"), false},
		{"clarity", names("clarity_secchi", "m", "cm", "ft"), false}, {"wind", names("wind_speed", "ms", "kn", "kmh", "mph"), false},
		{"note", []string{"note"}, false}, {"number of a tag", []string{"tag_number"}, false},
		{"programme of a tag", []string{"tag_programme"}, false}, {"side of a tag", []string{"tag_side"}, false},
		{"how it was measured", []string{"measured"}, false}, {"where it was hooked", []string{"hook_place"}, false},
		{"lure or teaser", []string{"hook"}, false}, {"spell or catch", []string{"what"}, false},
		{"id of the spell", []string{"spell_id"}, false}, {"id of the catch", []string{"catch_id"}, false}},
	"kit": {{"kind of thing: rod, reel, line, lure …", []string{"kind"}, true}, {"name", []string{"name"}, true},
		{"which offering of the book it is", []string{"offering"}, false},
		{"length", names("length", "m", "cm", "ft", "in"), false}, {"weight", names("weight", "kg", "g", "oz"), false},
		{"weight a rod casts", names("rated", "kg", "g", "oz"), false}, {"gear ratio", []string{"ratio"}, false},
		{"spool's diameter", names("spool", "m", "mm", "in"), false}, {"line a turn brings in", names("turn", "m", "cm", "in"), false},
		{"thickness of line", names("diameter", "m", "mm", "in"), false}, {"strength", names("break", "n", "lb", "kg"), false},
		{"material", []string{"material"}, false}, {"size", []string{"size"}, false}, {"pattern", []string{"pattern"}, false},
		{"depth a lure dives to", names("rated", "m", "ft"), false}, {"how fast it falls", names("fall", "ms", "fts"), false},
		{"finish", []string{"finish"}, false}, {"snag-proof", []string{"snag_proof"}, false}, {"in hand", []string{"in_hand"}, false},
		{"how many", []string{"count"}, false}},
}
