package advise

import (
	"cmp"
	"math"
	"slices"

	"greypebble/core/conditions"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/spot"
)

type rankedOption struct {
	presentation
	on *standing
	// taken is what it comes to by the rules about what is offered, as they are believed and as the book has them;
	// value the logarithm of the edge.
	taken, byBook, value float64
}

// even is a difference in the logarithm of an edge that is none.
const even = 1e-9

// tradeOrder tells equal presentations apart as the trade names them: the target's list of what
// it eats and takes, the offering's list of rigs, the rig's ways, the slower pace.
type tradeOrder struct {
	offering, rig, way, pace int
	// offM is how far off the water is: the nearer comes first.
	offM float64
}

func (o tradeOrder) compare(p tradeOrder) int {
	return cmp.Or(cmp.Compare(o.offering, p.offering), cmp.Compare(o.rig, p.rig), cmp.Compare(o.way, p.way), cmp.Compare(o.pace, p.pace),
		cmp.Compare(o.offM, p.offM))
}

// better of two values, equal ones by the trade.
func (o *rankedOption) better(p *rankedOption, by func(*rankedOption) float64) int {
	x, y := math.Round(by(o)/even), math.Round(by(p)/even)
	if x != y {
		return cmp.Compare(y, x)
	}
	return o.order().compare(p.order())
}

// order of the presentation by the trade.
func (o *rankedOption) order() tradeOrder {
	return tradeOrder{o.on.target.Order(o.offering.ID), o.offering.OrderOf(o.rig), slices.IndexFunc(o.rig.Ways,
		func(w playbook.Way) bool { return w.Style == o.way.Style }), slices.Index(playbook.Paces, o.pace), o.offM}
}

// farther is what each metre of a throw costs of the edge, as its logarithm: a longer one is fished through
// less often (the house's judgement).
const farther = 0.002

// byReach is the value less what the way out to it costs: of two waters that are all but alike the nearer is
// fished.
func byReach(o *rankedOption) float64 { return o.value - farther*o.offM }

func byTaken(o *rankedOption) float64 { return o.taken }
func byBook(o *rankedOption) float64  { return o.byBook }
func byValue(o *rankedOption) float64 { return o.value }

// ranking of what can be presented, best first.
type ranking struct {
	list     []rankedOption
	ruledOut []RuledOut
}

// key of what differs on the hook: the choices differ in it.
func (p *presentation) key() string {
	if p.owned != nil {
		return p.offering.ID + " " + p.owned.ID
	}
	return p.offering.ID
}

// rank orders by edge and keeps the best presentation of each offering, so that
// the choices differ in what is tied on.
func (q *Question) rank(m *spot.Moment) (ranking, error) {
	options, refused := possible(q, m)
	r := ranking{ruledOut: refused}
	all, err := q.weighAll(m, options)
	if err != nil {
		return r, err
	}
	best := make(map[string]*rankedOption)
	for i := range all {
		o := &all[i]
		if o.yardstick {
			continue
		}
		if b := best[o.key()]; b == nil || o.better(b, byReach) < 0 {
			best[o.key()] = o
		}
	}
	for _, o := range best {
		r.list = append(r.list, *o)
	}
	slices.SortFunc(r.list, func(a, b rankedOption) int { return cmp.Or(a.better(&b, byValue), cmp.Compare(a.key(), b.key())) })
	return r, nil
}

// weighAll presentations, which stand mark by mark.
func (q *Question) weighAll(m *spot.Moment, options []presentation) ([]rankedOption, error) {
	if len(options) == 0 {
		return nil, nil
	}
	base, err := scene.ScenariosOf(m)
	if err != nil {
		return nil, err
	}
	y := q.yardstick()
	weighing := weighing{q: q}
	all := make([]rankedOption, len(options))
	var on *standing
	for i := range options {
		p := &options[i]
		if on == nil || on.mark != p.mark {
			on = q.standing(base, m, p.at, &y)
		}
		all[i] = rankedOption{presentation: *p, on: on}
		all[i].taken, all[i].byBook = weighing.taken(p, on)
	}
	settleTaken(all)
	return all, nil
}

// settleTaken finds the best of the book on each mark and on all of them, and measures all by that.
func settleTaken(all []rankedOption) {
	var best, books *rankedOption
	for i := range all {
		o := &all[i]
		if o.owned != nil || o.mine {
			continue
		}
		if v, seen := o.on.offered[o.offering.ID]; !seen || o.taken > v {
			o.on.offered[o.offering.ID] = o.taken
		}
		if o.on.best == nil || o.better(o.on.best, byTaken) < 0 {
			o.on.best = o
		}
		if best == nil || o.better(best, byTaken) < 0 {
			best = o
		}
		if books == nil || o.better(books, byBook) < 0 {
			books = o
		}
	}
	for i := range all {
		o := &all[i]
		if best == nil { // nothing of the book can be fished: it is its own measure
			best, books = o, o
		}
		if o.on.best == nil {
			o.on.best = best
		}
		o.on.yardstick, o.on.books = best, books
		o.value = o.on.value + math.Min(o.taken-best.taken, 0)
	}
}

// split of a list by what is in the kit: what is not is beyond it. Without a kit, or with nothing
// of it to be used, all is one list.
func (r *ranking) split(q *Question) (list, beyond []rankedOption) {
	if q.Kit.Empty() {
		return r.list, nil
	}
	for _, o := range r.list {
		if o.owned != nil {
			list = append(list, o)
		} else {
			beyond = append(beyond, o)
		}
	}
	if len(list) == 0 {
		return beyond, nil
	}
	return list, beyond
}

// varied picks so many of a list that differ in kind, as far as there are kinds: three colours of one
// lure are one piece of advice. What is left is the rest; both keep their order.
func varied(list []rankedOption, most int) (picked, left []rankedOption) {
	seen, take := map[string]bool{}, make([]bool, len(list))
	n := 0
	for _, again := range []bool{false, true} {
		for i := range list {
			if n < most && !take[i] && (again || !seen[list[i].offering.Kind]) {
				take[i], seen[list[i].offering.Kind] = true, true
				n++
			}
		}
	}
	for i := range list {
		if take[i] {
			picked = append(picked, list[i])
		} else {
			left = append(left, list[i])
		}
	}
	return picked, left
}

// usual thing on the hook on a mark: what the middle one of the offerings is worth, as a share of
// the best.
func usual(on *standing) float64 {
	var shares []float64
	for _, v := range on.offered {
		shares = append(shares, math.Exp(v-on.best.taken))
	}
	if len(shares) == 0 {
		return 0
	}
	slices.Sort(shares)
	return shares[len(shares)/2]
}

// weighing of presentations, with room that is used again.
type weighing struct {
	q         *Question
	presented playbook.Presented
	rules     []playbook.Weighed
}

// weigh the rules about what is offered for a presentation.
func (w *weighing) weigh(p *presentation, on *standing) []playbook.Weighed {
	p.present(on, &w.presented)
	w.rules = on.here.Weigh(&w.presented, w.rules)
	return w.rules
}

// taken is what they come to as they are believed, and as the book has them. What is not known is the same for all and
// left out.
func (w *weighing) taken(p *presentation, on *standing) (believed, byBook float64) {
	rules := w.weigh(p, on)
	for i := range rules {
		mean := rules[i].Mean(0)
		believed += w.q.Belief.Mean(rules[i].Rule) * mean
		byBook += w.q.Book.Rules[rules[i].Rule].Prior.Mean * mean
	}
	return believed, byBook
}

// against is how a presentation differs from an ordinary spell, rule by rule, what is taken as the best has it.
func (q *Question) against(o, best *rankedOption) *rate.Contrast {
	mine := byRule(q.Book, (&weighing{q: q}).weigh(&o.presentation, o.on))
	return q.differing(o.on, mine, byRule(q.Book, (&weighing{q: q}).weigh(&best.presentation, best.on)))
}

type weights = [conditions.Scenarios]float64

// byRule puts weights at the places of their rules.
func byRule(b *playbook.Book, list []playbook.Weighed) []*weights {
	out := make([]*weights, len(b.Rules))
	for i := range list {
		out[list[i].Rule] = &list[i].W
	}
	return out
}

// differing is how being on a mark differs from an ordinary spell, with what is taken weighed for one's own and for the
// best; nil for one's own: nothing is known of it.
func (q *Question) differing(on *standing, mine, best []*weights) *rate.Contrast {
	c := rate.NewContrast(q.Belief, len(q.Book.Rules))
	none := weights{}
	untaken := byRule(q.Book, on.untaken)
	for _, r := range q.Book.About(q.Target.ID) {
		part := q.Book.Rules[r].Part
		w, against := untaken[r], &none
		if part == playbook.Taken {
			if mine == nil {
				continue
			}
			w = mine[r]
			if b := best[r]; b != nil {
				against = b
			}
		} else if mean := on.ordinary.Rules[r]; mean != 0 {
			against = &weights{}
			for k := range against {
				against[k] = mean
			}
		}
		if w == nil {
			w = &none
		}
		if w != against {
			c.Add(part, r, w, against)
		}
	}
	return c
}

// contrast of a presentation with an ordinary spell.
func (q *Question) contrast(o *rankedOption) *rate.Contrast {
	c := q.against(o, o.on.yardstick)
	taken := o.taken - o.on.yardstick.taken
	c.Bound(math.Min(ordinary.MostAbsent(o.on.absence)+math.Min(taken, 0), c.Log()-math.Max(taken, 0)))
	c.Place(o.on.run)
	// That the best cannot be fished on a mark is a fault of the mark; nothing is taken better than
	// the best of the book, whatever finish one gives it.
	c.Shift(math.Max(o.on.best.taken-o.on.yardstick.taken, taken), playbook.Taken, playbook.There)
	return c
}

// catch a rod-hour that is expected of a presentation. It is the book's best that an ordinary spell is fished with,
// whatever the log has found better since.
func (q *Question) catch(o *rankedOption, c *rate.Contrast) rate.Catch {
	if o.on.books != o.on.yardstick {
		c = q.against(o, o.on.books)
		c.Bound(ordinary.MostAbsent(o.on.absence) + math.Min(o.taken-o.on.books.taken, 0))
		c.Place(o.on.run)
	}
	return c.Catch(q.Spot.Key)
}
