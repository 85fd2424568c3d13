// Package elsewhere is what staying at a spot is compared with: the others one could go to within the
// outing, the way there counted.
package elsewhere

import (
	"cmp"
	"errors"
	"slices"
	"time"

	"greypebble/core/advise"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/outing"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"
)

const (
	// Most that are compared: the nearest.
	Most = 10
	// Farthest away one goes within an outing (the house's judgement).
	Farthest = 90 * time.Minute
	// ahead is how far a way is followed to see when it shuts.
	ahead = 37 * time.Hour
)

// Other spot one could go to.
type Other struct {
	// At its place among those that were asked about.
	At    int
	Catch rate.Catch
	// Away so long: packing, and the way.
	Away time.Duration
	// Until its way shuts; zero where it does not.
	Until time.Time
}

// Of the spots one could go to from one of them, best first: at the time one would come there the way is
// open, the target can be fished, and no limit to going is passed. q is the question as it is asked here.
func Of(q advise.Question, target *playbook.Target, spots []*spot.Spot, here int) ([]Other, error) {
	var list []Other
	for at, s := range spots {
		if away := Away(spots[here], s); at != here && away <= Farthest && target.LivesAbout(s.Place, s.LatLon) {
			list = append(list, Other{At: at, Away: away})
		}
	}
	slices.SortStableFunc(list, func(a, b Other) int { return cmp.Compare(a.Away, b.Away) })
	var out []Other
	for _, o := range list[:min(Most, len(list))] {
		there := q
		there.Spot, there.Time = spots[o.At], q.Time.Add(o.Away)
		var open bool
		var gravest going.Severity
		var err error
		if o.Until, open, err = openAt(there.Spot, there.Time); err != nil {
			return nil, err
		}
		if !open {
			continue
		}
		if o.Catch, gravest, err = Expected(there, target); err != nil {
			return nil, err
		}
		if o.Catch.Median > 0 && gravest < going.DoNot {
			out = append(out, o)
		}
	}
	slices.SortStableFunc(out, func(a, b Other) int { return cmp.Compare(b.Catch.Median, a.Catch.Median) })
	return out, nil
}

// Away from one spot to another: packing, and the way as one usually goes to the other; whoever goes by foot
// may drive, where that is quicker. Guessed from bee lines.
func Away(from, to *spot.Spot) time.Duration {
	way := to.Access.Straight(from.LatLon, to.LatLon)
	if m := to.Access.Manner; m == ground.OnFoot || m == ground.Wading {
		way = min(way, ground.Drive(from.LatLon, to.LatLon))
	}
	return outing.Packing + way
}

// openAt a time, and until when.
func openAt(s *spot.Spot, t time.Time) (until time.Time, open bool, err error) {
	if s.Closing(t) != nil || !s.OpenToday(t) {
		return until, false, nil
	}
	c, err := s.Curve(t.Add(-time.Hour), t.Add(ahead))
	if err != nil {
		return until, false, err
	}
	gate := spot.GateAt(s.Open(c), t)
	return gate.Closes, gate.Open, nil
}

// Expected catch of what is asked, with the best that can be fished, and the gravest of what stands against
// going there; none where nothing can be fished.
func Expected(q advise.Question, target *playbook.Target) (c rate.Catch, gravest going.Severity, err error) {
	q.Most = 1
	a, err := advise.Several(q, []*playbook.Target{target})
	var field spot.FieldError
	if errors.As(err, &field) { // a word of an older book: nothing can be said of it
		return c, gravest, nil
	}
	if err != nil || len(a.Choices) == 0 {
		return c, gravest, err
	}
	return a.Choices[0].Catch, going.Gravest(a.Cautions), nil
}
