// Package pack is what one device needs of its angler to answer by itself, with no signal: their spots,
// tides, readings, book, kit, limits and log. It goes in parts, each with a mark of what is in it, so that a
// device asks only for those it has not got. It is read by the same program that wrote it: a part of
// another [Version] is refused.
package pack

import (
	"time"

	"greypebble/core/bylaw"
	"greypebble/core/care"
	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/springrun"
	"greypebble/core/tide"
)

// Version of what parts look like.
const Version = 4

// Pack of an angler.
type Pack struct {
	Mine      Mine
	Harmonics []Harmonics
	// Clocks by the name of their zone.
	Clocks map[string]*time.Location
	Spots  []Spot
	Waters []Water
	// Log as it was weighed under the angler's book.
	Log []evidence.Spell
	// Caught fish of the last days.
	Caught []bylaw.Caught
}

// Mine is what is an angler's own whatever the water.
type Mine struct {
	Units   quantity.Units
	Overlay playbook.Overlay
	Kit     kit.Kit
	Limits  going.Limits
	Rules   []bylaw.Rule
	Care    map[string]care.Own
}

// Harmonics of a tide station.
type Harmonics struct {
	Z0M          float64
	Constituents []tide.Constituent
}

// Spot as it was laid out, without what its water gives it.
type Spot struct {
	ID, WaterID string
	// Station is the place of its harmonics among them, and Offsets all there are on it.
	Station       int
	Offsets       tide.Offsets
	Clock         string
	SurgeRevision int
	Spot          spot.Spot
}

// Water and what is known of it around the time the pack was made.
type Water struct {
	ID, Name string
	Readings []conditions.Reading
	Usual    conditions.Usual
	// River with its bends and who was met there; nil where it has none.
	River *River
	Feed  *Feed
}

// River of a spring run, as of an hour.
type River struct {
	Bends int
	Now   time.Time
	Met   map[string][]springrun.Met
}

// Feed its forecast comes from.
type Feed struct {
	IssuedAt, FetchedAt *time.Time
	Problem             string
}
