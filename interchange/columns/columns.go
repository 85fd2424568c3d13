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
