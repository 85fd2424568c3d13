package logcsv

import (
	"time"

	"greypebble/core/conditions"
)

// What a line of a file is.
const (
	// SpellLine tells a spell, CatchLine a catch of the spell whose id it names; a line of a person's own is both.
	SpellLine, CatchLine = "spell", "catch"
)

// Row of a file, as it was read; empty and nil is not said.
type Row struct {
	Line             int
	What             string
	SpellID, CatchID string
	Spot, Target     string
	// Began and Ended by the clock of the file.
	Began, Ended Wall
	// Fished is how long, where that is said instead of the end.
	Fished, Paused time.Duration
	Rods           int
	Mark, Approach, Offering,
	Who, Rod, Note string
	// Count of fish; -1: not said.
	Count int
	// Species caught.
	Species string
	Fish    Measures
	// Read of the water by kind, in SI units and °C.
	Read map[conditions.Kind]float64
}

// Measures of a fish.
type Measures struct {
	LengthM, MassKg, GirthM                                     *float64
	Kept                                                        bool
	Measured, HookPlace, Hook, TagNumber, TagSide, TagProgramme string
}

// Wall is a time as a clock showed it, in UTC where the file told its offset.
type Wall struct {
	Time  time.Time
	Zoned bool
}

// Known says whether there is one.
func (w Wall) Known() bool { return !w.Time.IsZero() }

// In a zone, where the file did not tell an offset; in UTC. Of an hour that comes twice the first is meant.
func (w Wall) In(zone *time.Location) time.Time {
	if w.Zoned || !w.Known() {
		return w.Time
	}
	t := w.Time
	at := time.Date(t.Year(), t.Month(), t.Day(), t.Hour(), t.Minute(), t.Second(), 0, zone)
	if first := at.Add(-time.Hour); first.Hour() == at.Hour() && first.Minute() == at.Minute() {
		at = first
	}
	return at.UTC()
}
