package answer

import (
	"fmt"
	"time"

	"greypebble/core/conditions"
)

// ReadingKind is one of the kinds the core's table holds.
type ReadingKind string

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
			return out, Wrong(where+".word", err)
		}
		return out, nil
	}
	if out.Value, err = conditions.InUnit(k, r.Value, r.Unit); err != nil {
		return out, Wrong(where+".unit", err)
	}
	if err := out.Validate(); err != nil {
		return out, Wrong(where+".value", err)
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
