package growth

import (
	"cmp"
	"slices"
	"strings"
	"time"

	"greypebble/core/ground"
)

// Tagged fish as it was met once.
type Tagged struct {
	Number, Programme string
	Target            string
	Time              time.Time
	// LengthM of it; 0: not measured.
	LengthM float64
	At      ground.LatLon
	// Own: met by oneself, not on a list of others.
	Own bool
}

// Recapture is a fish that came again.
type Recapture struct {
	First, Again Tagged
	// Days at liberty.
	Days float64
	// GrowthMPerDay, where both were measured; Known says so.
	GrowthMPerDay float64
	Known         bool
	// StraightM between both places, a bee line.
	StraightM float64
	// Doubt says what cannot be of one fish: another kind, or shorter than it was by more than it can be mismeasured.
	Doubt Doubt
}

// Doubt of a recapture.
type Doubt string

// Doubts.
const (
	None      Doubt = ""
	OtherKind Doubt = "other kind"
	Shrunk    Doubt = "shrunk"
)

// mismeasured by so much is a fish that is measured twice, metres (common practice, no source).
const mismeasured = 0.02

// Recaptures among tagged fish: each that was met again, by number within its programme, however the number was spaced or
// written; of several meetings each with the one before. The newest first.
func Recaptures(list []Tagged) (out []Recapture) {
	list = slices.Clone(list)
	slices.SortStableFunc(list, func(a, b Tagged) int { return a.Time.Compare(b.Time) })
	last := map[[2]string]Tagged{}
	for _, t := range list {
		key := [2]string{plain(t.Number), plain(t.Programme)}
		if key[0] == "" {
			continue
		}
		if before, met := last[key]; met {
			out = append(out, recaptured(before, t))
		}
		last[key] = t
	}
	slices.SortStableFunc(out, func(a, b Recapture) int { return cmp.Compare(b.Again.Time.UnixNano(), a.Again.Time.UnixNano()) })
	return out
}

func recaptured(first, again Tagged) Recapture {
	r := Recapture{First: first, Again: again, Days: again.Time.Sub(first.Time).Hours() / 24, StraightM: ground.Distance(first.At,
		again.At)}
	if first.LengthM > 0 && again.LengthM > 0 && r.Days > 0 {
		r.Known, r.GrowthMPerDay = true, (again.LengthM-first.LengthM)/r.Days
		if again.LengthM < first.LengthM-mismeasured {
			r.Doubt = Shrunk
		}
	}
	if first.Target != "" && again.Target != "" && first.Target != again.Target {
		r.Doubt = OtherKind
	}
	return r
}

// plain number without spaces, dots and case.
func plain(s string) string {
	return strings.Map(func(r rune) rune {
		if r == ' ' || r == '.' || r == '-' {
			return -1
		}
		return r
	}, strings.ToUpper(s))
}
