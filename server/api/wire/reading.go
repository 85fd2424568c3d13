package wire

import (
	"time"

	"greypebble/core/conditions"
)

// ReadingOut is a stored reading.
type ReadingOut struct {
	Kind   string    `json:"kind"`
	Value  float64   `json:"value"`
	Unit   string    `json:"unit"`
	Origin string    `json:"origin"`
	Source string    `json:"source"`
	Time   time.Time `json:"time"`
	Place  string    `json:"place,omitempty" doc:"where in the water it was taken"`
	Spread float64   `json:"spread,omitempty" doc:"how far off it may be, one standard deviation"`
	Says   string    `json:"says,omitempty" doc:"in a word, where there is one: stained"`
}

// Reading as it is sent.
func Reading(r conditions.Reading) ReadingOut {
	return ReadingOut{Kind: string(r.Kind), Value: r.Value, Unit: r.Kind.Unit(), Origin: string(r.Origin), Source: r.Source, Time: r.Time,
		Place: r.Site, Spread: r.Spread, Says: r.Kind.Say(r.Value)}
}

// Readings as they are sent.
func Readings(list []conditions.Reading) []ReadingOut {
	out := make([]ReadingOut, len(list))
	for i, r := range list {
		out[i] = Reading(r)
	}
	return out
}
