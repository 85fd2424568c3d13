package answer

import (
	"cmp"
	"errors"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/ground"
	"greypebble/core/outing"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"
)

// ElsewhereAsked is for which fish, and when.
type ElsewhereAsked struct {
	Target string    `query:"target" json:"target" required:"true" maxLength:"80" example:"red-drum"`
	Time   time.Time `query:"time" json:"time" doc:"now if left out"`
}

// ElsewhereOut is a spot one could go to instead.
type ElsewhereOut struct {
	SpotID  string      `json:"spot_id" format:"uuid"`
	Name    string      `json:"name"`
	Here    ExpectedOut `json:"here" doc:"fish a rod-hour there, with the best that can be fished"`
	AwayMin float64     `json:"away_min" doc:"packing and the way, guessed from the bee line"`
	Until   *time.Time  `json:"until,omitempty" doc:"when its way shuts"`
}

// Elsewhere is what staying at a spot is compared with.
type Elsewhere struct {
	Here   *ExpectedOut   `json:"here,omitempty" doc:"fish a rod-hour here; left out where nothing can be fished"`
	Winter bool           `json:"winter" doc:"a school that is found is worked until it stops"`
	Others []ElsewhereOut `json:"others" nullable:"false" doc:"the nearest that can be fished when one comes there, best first"`
}

// mostElsewhere are compared: the nearest.
const mostElsewhere = 10

// farthestAway is not gone to within an outing.
const farthestAway = 90 * time.Minute

// ElsewhereOf a spot: what is expected there, and at those one could go to, once there.
func ElsewhereOf(around Around, id uuid.UUID, asked ElsewhereAsked) (*Elsewhere, error) {
	t := when(around, asked.Time)
	book, err := around.Book(nil)
	if err != nil {
		return nil, err
	}
	target, err := book.Target(asked.Target)
	if err != nil {
		return nil, Wrong("query.target", err)
	}
	here, err := around.Spot(id, t)
	if err != nil {
		return nil, err
	}
	out := &Elsewhere{Winter: outing.Winter(t, here.Lat), Others: []ElsewhereOut{}}
	if out.Here, err = expectedAt(around, book, target, here, t); err != nil {
		return nil, err
	}
	spots, err := around.Spots(t)
	if err != nil {
		return nil, err
	}
	type way struct {
		*Spot
		away time.Duration
	}
	var ways []way
	for _, sp := range spots {
		if away := awayFrom(here.Spot, sp.Spot); sp.ID != id && away <= farthestAway && target.LivesAbout(sp.Place, sp.LatLon) {
			ways = append(ways, way{sp, away})
		}
	}
	slices.SortStableFunc(ways, func(a, b way) int { return cmp.Compare(a.away, b.away) })
	for _, w := range ways[:min(mostElsewhere, len(ways))] {
		there := t.Add(w.away)
		until, open, err := openAt(w.Spot, there)
		if err != nil {
			return nil, err
		}
		if !open {
			continue
		}
		e, err := expectedAt(around, book, target, w.Spot, there)
		if err != nil {
			return nil, err
		}
		if e != nil {
			out.Others = append(out.Others, ElsewhereOut{w.ID.String(), w.Name, *e, w.away.Minutes(), Moment(until)})
		}
	}
	slices.SortStableFunc(out.Others, func(a, b ElsewhereOut) int { return cmp.Compare(b.Here.Median, a.Here.Median) })
	return out, nil
}

// awayFrom one spot to another: packing, and the way as one usually goes to the other; whoever goes by
// foot may drive, where that is quicker.
func awayFrom(from, to *spot.Spot) time.Duration {
	way := to.Access.Straight(from.LatLon, to.LatLon)
	if m := to.Access.Manner; m == ground.OnFoot || m == ground.Wading {
		way = min(way, ground.Drive(from.LatLon, to.LatLon))
	}
	return outing.Packing + way
}

// openAt a time, and until when.
func openAt(s *Spot, t time.Time) (until time.Time, open bool, err error) {
	if s.Closing(t) != nil || !s.OpenToday(t) {
		return until, false, nil
	}
	_, c, err := s.at(t, time.Hour, WindowsAfter)
	if err != nil {
		return until, false, err
	}
	gate := spot.GateAt(s.Open(c), t)
	return gate.Closes, gate.Open, nil
}

// expectedAt a spot: the best that can be fished; nil where nothing can.
func expectedAt(around Around, book *playbook.Book, target *playbook.Target, s *Spot, t time.Time) (*ExpectedOut, error) {
	has, err := around.Kit()
	if err != nil {
		return nil, err
	}
	limits, err := around.Limits()
	if err != nil {
		return nil, err
	}
	q := advise.Question{Book: book, Belief: rate.Priors{Book: book}, Spot: s.Spot, Time: t, Units: around.Units(), Most: 1, Kit: has,
		Limits: limits}
	a, err := advise.Several(q, []*playbook.Target{target})
	var field spot.FieldError
	if errors.As(err, &field) {
		return nil, nil //nolint:nilnil // a word of an older book: nothing can be said of it
	}
	if err != nil || len(a.Choices) == 0 {
		return nil, err
	}
	e := ExpectedOut(a.Choices[0].Catch)
	return &e, nil
}
