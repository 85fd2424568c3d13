package answer

import (
	"errors"
	"fmt"
	"greypebble/core/advise"
	"greypebble/core/bylaw"
	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"slices"
)

// question made ready: what is asked, of which targets.
type question struct {
	advise.Question
	targets []*playbook.Target
}

// answer the question for all its targets.
func (q *question) answer() (advise.Advice, error) {
	a, err := advise.Several(q.Question, q.targets)
	return a, spotAnew(err)
}

// spotAnew is the error of a spot that an earlier program let in with a word the book does not know.
func spotAnew(err error) error {
	var word spot.FieldError
	if errors.As(err, &word) {
		return Wrong("body.spot_id", fmt.Errorf("%w; write the spot anew", word))
	}
	return err
}

// questionOf makes ready what is asked.
func questionOf(around Around, b *AdviseBody) (*question, error) {
	if err := playbook.CheckSigns(b.Signs); err != nil {
		return nil, Wrong("body.signs", err)
	}
	units, err := unitsOf(around, b.Units, "body.units")
	if err != nil {
		return nil, err
	}
	book, err := bookFor(around, b.Schools)
	if err != nil {
		return nil, err
	}
	q := &question{}
	for _, id := range wanted(b) {
		t, err := book.Target(id)
		if err != nil {
			return nil, Wrong("body.target", err)
		}
		q.targets = append(q.targets, t)
	}
	if len(q.targets) == 0 {
		return nil, Wrong("body.target", errors.New("expected a target, or several in targets"))
	}
	t := when(around, b.Time)
	seen, err := ObservedAt(b.Readings, t)
	if err != nil {
		return nil, err
	}
	belief, err := beliefOf(around, book, b.Belief)
	if err != nil {
		return nil, err
	}
	q.Question = advise.Question{Book: book, Belief: belief, Time: t, Units: units, Most: b.Most,
		DrawnPx: b.DrawnPx, Signs: b.Signs, KitOnly: b.KitOnly, Changes: b.WhatChanges}
	if q.Kit, err = around.Kit(); err != nil {
		return nil, err
	}
	if q.KitOnly && q.Kit.Empty() {
		return nil, Wrong("body.kit_only",
			errors.New("there is no lure or bait in hand in your kit; add some, or ask without kit_only"))
	}
	if q.Limits, err = around.Limits(); err != nil {
		return nil, err
	}
	return q, q.lay(around, b, seen)
}

// beliefOf what is asked to be believed: the log, unless it is the book.
func beliefOf(around Around, book *playbook.Book, asked string) (rate.Belief, error) {
	if asked == "book" {
		return rate.Priors{Book: book}, nil
	}
	return around.Belief()
}

// bookFor a question: the angler's, with positions taken for this once.
func bookFor(around Around, positions map[string]string) (*playbook.Book, error) {
	if len(positions) > 0 {
		book, err := around.Book(nil)
		if err != nil {
			return nil, err
		}
		if err := book.CheckSchools(positions); err != nil {
			return nil, Wrong("body.schools", err)
		}
	}
	return around.Book(positions)
}

// lay out the spot asked about, with what was said of it, as one goes there.
func (q *question) lay(around Around, b *AdviseBody, seen []conditions.Reading) error {
	sp, err := around.Spot(b.SpotID, q.Time)
	if err != nil {
		return err
	}
	q.Spot = sp.including(seen)
	if b.Manner == "" {
		return nil
	}
	access, known := q.Spot.Access.By(ground.Manner(b.Manner))
	if !known {
		return Wrong("body.manner", fmt.Errorf("one does not go to %s %s; it is written as reached %s", q.Spot.Name, b.Manner,
			q.Spot.Access.Manner))
	}
	q.Spot = q.Spot.Reached(access)
	return nil
}

func wanted(b *AdviseBody) []string {
	list := b.Targets
	if b.Target != "" && !slices.Contains(list, b.Target) {
		list = append([]string{b.Target}, list...)
	}
	return list
}

// Advise what to tie on, where, and how to move it.
func Advise(around Around, b *AdviseBody) (*Advice, error) {
	q, err := questionOf(around, b)
	if err != nil {
		return nil, err
	}
	a, err := q.answer()
	if err != nil {
		return nil, err
	}
	full, err := q.full(around)
	if err != nil {
		return nil, err
	}
	a.Cautions = append(a.Cautions, full...)
	return adviceOf(&a, q.Kit), nil
}

// full bags of the targets: of those no more may be kept that day.
func (q *question) full(around Around) (out []going.Caution, err error) {
	if len(q.Spot.Rules) == 0 {
		return nil, nil
	}
	caught, err := around.Caught(q.Time.Add(-aDay), q.Time.Add(aDay))
	if err != nil {
		return nil, err
	}
	points, area := q.Spot.Touched()
	for _, t := range q.targets {
		says := bylaw.Full(q.Spot.Rules, &bylaw.Asked{Fish: bylaw.Fish{Species: t.Species()}, Place: points, Area: area,
			Time: clocked(q.Time, q.Spot.Clock), Now: around.Now(), Kept: bylaw.KeptOf(caught), Units: q.Units})
		if says != "" {
			out = append(out, going.Caution{ID: "bag", Says: says})
		}
	}
	return out, nil
}
