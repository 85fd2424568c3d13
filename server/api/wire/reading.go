package wire

import (
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/conditions"
	"greypebble/server/api/web"
)

// ReadingKind is one of the kinds the core's table holds.
type ReadingKind string

// Schema lists them.
func (ReadingKind) Schema(huma.Registry) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	for _, name := range conditions.Names() {
		s.Enum = append(s.Enum, name)
	}
	return s
}

// ReadingIn is a condition as the angler gives it.
type ReadingIn struct {
	Kind  ReadingKind `json:"kind"`
	Value float64     `json:"value,omitempty"`
	Unit  string      `json:"unit,omitempty" doc:"the kind's own unit if left out"`
	Word  string      `json:"word,omitempty" doc:"instead of a value, for kinds with words, such as clarity: stained"`
}

// reading of what was given, in SI. where names its place in the body.
func (r ReadingIn) reading(where string) (conditions.Reading, error) {
	k := conditions.Kind(r.Kind)
	out := conditions.Reading{Kind: k, Origin: conditions.Observed, Source: conditions.TheAngler}
	var err error
	if r.Word != "" {
		if out.Value, out.Spread, err = conditions.FromWord(k, r.Word); err != nil {
			return out, web.Wrong(where+".word", err)
		}
		return out, nil
	}
	if out.Value, err = conditions.InUnit(k, r.Value, r.Unit); err != nil {
		return out, web.Wrong(where+".unit", err)
	}
	if err := out.Validate(); err != nil {
		return out, web.Wrong(where+".value", err)
	}
	return out, nil
}

// ObservedAt a time are the readings somebody gives in body.readings.
func ObservedAt(list []ReadingIn, t time.Time) ([]conditions.Reading, error) {
	out := make([]conditions.Reading, 0, len(list))
	for i, r := range list {
		reading, err := r.reading(fmt.Sprintf("body.readings[%d]", i))
		if err != nil {
			return nil, err
		}
		reading.Time = t
		out = append(out, reading)
	}
	return out, nil
}

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
