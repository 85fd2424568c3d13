package advise

import (
	"math"
	"slices"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
	"greypebble/core/scene"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// standing of a target on a mark at a moment, whatever is on the hook: there × feeding.
type standing struct {
	target *playbook.Target
	mark   *ground.Mark
	facts  *[conditions.Scenarios]playbook.Facts
	// attenuation of light in the water by scenario, per metre.
	attenuation *[conditions.Scenarios]float64
	untaken     []playbook.Weighed
	// here are the rules about what is offered.
	here *playbook.Here
	// value is the logarithm of there × feeding, absence bounding it.
	value float64
	// absence is how far the target is away altogether, 0…1.
	absence float64
	// run is by how much the place gains as a bend of the river its school moves up; 1: nothing.
	run float64
	// best of the book on this mark, and on all of them: what is taken is measured by that.
	best, yardstick *rankedOption
	// books is the best as the book has the rules, which is what the log is measured by.
	books *rankedOption
	// ordinary spell of the target.
	ordinary *ordinary.Yardstick
	// offered are the taken values of each offering's best of the book.
	offered map[string]float64
}

func (q *Question) yardstick() ordinary.Yardstick {
	return ordinary.Measure(q.Book, q.Target, q.Belief.Mean)
}

// standing on one of the moment's marks, by its index.
func (q *Question) standing(s *scene.Scenarios, m *spot.Moment, mark int, y *ordinary.Yardstick) *standing {
	out := &standing{target: q.Target, mark: &m.Spot.Marks[mark], facts: s.On(m, mark), attenuation: &s.Attenuation, ordinary: y,
		offered: map[string]float64{}, run: scene.Run(m.Spot, q.Target, m.Time)}
	settled := settledOn(q.Book, q.Target.ID, m.Spot.Place, out.mark)
	out.untaken = settled.untaken.Weigh(out.facts, nil)
	out.here = settled.taken.Here(out.facts)
	if tide.Tideless(m.Spot.Tide) {
		out.untaken = q.withoutTide(out.untaken)
	}
	for i := range out.untaken {
		w := &out.untaken[i]
		mean := w.Mean(y.Rules[w.Rule])
		out.value += q.Belief.Mean(w.Rule) * mean
		if q.Book.Rules[w.Rule].Presence() {
			out.absence = math.Max(out.absence, mean)
		}
	}
	out.value = math.Min(out.value-y.Log, ordinary.MostAbsent(out.absence)) + math.Log(out.run)
	return out
}

// withoutTide weighs nothing of the tide, either way.
func (q *Question) withoutTide(list []playbook.Weighed) []playbook.Weighed {
	unknown := playbook.Weighed{}
	for k := range unknown.W {
		unknown.W[k] = math.NaN()
	}
	out := slices.DeleteFunc(list, func(w playbook.Weighed) bool { return q.Book.Rules[w.Rule].OfTide() })
	for _, r := range q.Book.About(q.Target.ID) {
		if k := &q.Book.Rules[r]; k.Part != playbook.Taken && k.OfTide() {
			unknown.Rule = r
			out = append(out, unknown)
		}
	}
	return out
}

// away says that a target does not live here now.
func (s *standing) away() bool { return ordinary.Away(s.absence) }

type settledName struct{ target, place, kind, bottom string }

// settled rules of a target on a kind of mark at a kind of place.
type settled struct{ untaken, taken *playbook.Applicable }

func settledOn(b *playbook.Book, target, place string, k *ground.Mark) settled {
	name := settledName{target, place, string(k.Kind), k.Bottom}
	return b.Once(name, func() any {
		f := playbook.Nothing()
		f.Say(playbook.Place, place)
		f.Say(playbook.MarkKind, string(k.Kind))
		f.Say(playbook.Bottom, k.Bottom)
		open := func(w playbook.Word) bool { return playbook.Plain(w) || playbook.Offered(w) }
		return settled{b.Applicable(target, &f, open, playbook.Untaken), b.Applicable(target, &f, open, playbook.OnlyTaken)}
	}).(settled)
}

// notes of the rules that hold where a choice is.
func (q *Question) notes(s *standing) []string {
	var out []string
	for i := range s.untaken {
		if r := &q.Book.Rules[s.untaken[i].Rule]; r.Note != "" && s.untaken[i].Mean(0) > 0.5 {
			out = append(out, q.Units.Fill(r.Note))
		}
	}
	return out
}
