package advise

import (
	"errors"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/spot"
)

// Fished is a spell that was fished, at the question's time: how it differed from an ordinary one, on the mark of a
// name; where none is named, or none has it, on the best of those with water over them. What was on the hook counts as
// far as the way says it, offering and rig at least. False where the spot has no mark, or is written of in words the
// book does not know: nothing can be said of it.
func Fished(q Question, way MyWay) (*rate.Contrast, bool, error) {
	q.Belief = rate.Priors{Book: q.Book}
	m, _, err := q.moment()
	if field := (spot.FieldError{}); errors.As(err, &field) || err == nil && len(m.Spot.Marks) == 0 {
		return nil, false, nil
	}
	if err != nil {
		return nil, false, err
	}
	if c, err := q.presented(m, way); c != nil || err != nil {
		return c, c != nil, err
	}
	base, err := scene.ScenariosOf(m)
	if err != nil {
		return nil, false, err
	}
	y := q.yardstick()
	named := slices.IndexFunc(m.Spot.Marks, func(k ground.Mark) bool { return k.Name == way.Mark })
	var on *standing
	for k := range m.Spot.Marks {
		if named >= 0 && k != named || named < 0 && m.Spot.Marks[k].Depth(m.LevelM) <= 0 {
			continue
		}
		if at := q.standing(base, m, k, &y); on == nil || at.value > on.value {
			on = at
		}
	}
	if on == nil {
		return nil, false, nil
	}
	return q.differing(on, nil, nil), true, nil
}

// presented as a way says, held against the best of the book at that moment; nil where it does not say enough, or speaks
// of what the book or the spot has no longer.
func (q *Question) presented(m *spot.Moment, way MyWay) (*rate.Contrast, error) {
	if way.OfferingID == "" || way.RigID == "" || way.Mark == "" {
		return nil, nil
	}
	mine, _, err := q.mine(m, way)
	if field := (spot.FieldError{}); errors.As(err, &field) && field.Field == "style" {
		way.Style = ""
		mine, _, err = q.mine(m, way)
	}
	if field := (spot.FieldError{}); errors.As(err, &field) {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	options, _ := possible(q, m)
	all, err := q.weighAll(m, sortedByMark(append(options, mine...)))
	if err != nil {
		return nil, err
	}
	best := bestOfMine(all)
	return q.against(best, best.on.books), nil
}
