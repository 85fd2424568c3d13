package bylaw

import (
	"cmp"
	"fmt"
	"slices"
	"time"

	"greypebble/core/words"
)

// Bag is what is left of a number, by the strictest rule that limits it.
type Bag struct {
	// Of fish a day, Used by the person, Left.
	Of, Used, Left int
	// SharedWith are the other species that count, as the rule names them.
	SharedWith []string
	// Boat is that of everybody aboard; nil where no rule limits it.
	Boat *Count
	// People aboard, who kept how many and have how many left.
	People []Count
	// Rule it is of.
	Rule string
}

// Count of fish.
type Count struct {
	Who            string
	Of, Used, Left int
}

// counts says whether a fish kept before counts against the rule's number for the one asked about.
func (r *Rule) counts(k *Kept, q *Asked) bool {
	return sameDay(k.Time, q.Time) && r.ofNumber(k.Species, q)
}

// ofNumber says whether a species counts against the rule's number for the one asked about.
func (r *Rule) ofNumber(s Species, q *Asked) bool {
	return r.Of(s) && (!r.Each || s.same(q.Fish.Species))
}

// same fish by id, or by name where one has none.
func (s Species) same(o Species) bool {
	if s.ID != "" || o.ID != "" {
		return s.ID == o.ID
	}
	return plain(s.Name) == plain(o.Name)
}

// used of the rule's number, by one person or by everybody.
func (r *Rule) used(q *Asked, who func(string) bool) int {
	n := 0
	for i := range q.Kept {
		if k := &q.Kept[i]; who(k.Who) && r.counts(k, q) {
			n++
		}
	}
	return n
}

func (r *Rule) usedBy(q *Asked, person string) int {
	return r.used(q, func(who string) bool { return who == person })
}

func everybody(string) bool { return true }

// perPerson is the number a person may have by the rule: of the bag and of possession the lower; false for none.
func (r *Rule) perPerson() (int, bool) {
	switch {
	case r.Bag == nil && r.Possession == nil:
		return 0, false
	case r.Bag == nil:
		return *r.Possession, true
	case r.Possession == nil:
		return *r.Bag, true
	}
	return min(*r.Bag, *r.Possession), true
}

// number by the rule: whether one more may be kept.
func (r *Rule) number(q *Asked) (Word, string) {
	if of, limited := r.perPerson(); limited {
		if used := r.usedBy(q, q.Who); used >= of {
			return Release, r.saysFull(of, used, q)
		}
	}
	if r.BoatBag != nil {
		if used := r.used(q, everybody); used >= *r.BoatBag {
			return Release, r.saysBoatFull(used)
		}
	}
	return Keep, ""
}

// bag of the rules that hold: the one with the least left for the person; the boat's likewise.
func (v *Verdict) bag(held []*Rule, q *Asked) {
	var boat *Count
	for _, r := range held {
		if r.Voluntary || r.forbids() {
			continue
		}
		if of, limited := r.perPerson(); limited {
			b := Bag{Of: of, Used: r.usedBy(q, q.Who), SharedWith: r.shared(q), Rule: r.Called()}
			b.Left = max(of-b.Used, 0)
			if v.Bag == nil || b.Left < v.Bag.Left {
				for _, who := range aboard(q) {
					used := r.usedBy(q, who)
					b.People = append(b.People, Count{who, of, used, max(of-used, 0)})
				}
				v.Bag = &b
			}
		}
		if r.BoatBag != nil {
			used := r.used(q, everybody)
			c := Count{Of: *r.BoatBag, Used: used, Left: max(*r.BoatBag-used, 0)}
			if boat == nil || c.Left < boat.Left {
				boat = &c
			}
		}
		if r.Possession != nil {
			v.Notes = append(v.Notes, r.saysPossession(q))
		}
	}
	if boat != nil {
		if v.Bag == nil {
			v.Bag = &Bag{Of: boat.Of, Used: boat.Used, Left: boat.Left}
		}
		v.Bag.Boat = boat
		v.Bag.Left = min(v.Bag.Left, boat.Left)
	}
}

// HeldFor is how far back fish that were kept are told of where possession is limited: what became of them, no log
// knows (common practice, no source).
const HeldFor = 30 * 24 * time.Hour

// saysPossession says what counts for possession beside the day's fish. Those of earlier days may be eaten, so they
// never make a verdict.
func (r *Rule) saysPossession(q *Asked) string {
	midnight := time.Date(q.Time.Year(), q.Time.Month(), q.Time.Day(), 0, 0, 0, 0, q.Time.Location())
	from := midnight.AddDate(0, 0, -int(HeldFor/(24*time.Hour))) // by the calendar: a day may have 23 hours
	before := 0
	for i := range q.Kept {
		k := &q.Kept[i]
		if k.Who == q.Who && !k.Time.Before(from) && k.Time.Before(midnight) && r.ofNumber(k.Species, q) {
			before++
		}
	}
	most := *r.Possession
	if before == 0 {
		return fmt.Sprintf(words.PossessionCounts, most)
	}
	since := from.Format(dayLayout)
	// With this one.
	if over := before + r.usedBy(q, q.Who) + 1 - most; over > 0 {
		return fmt.Sprintf(words.PossessionFull, most, before, since, min(over, before))
	}
	return fmt.Sprintf(words.PossessionLogged, most, before, since)
}

// shared are the other species that count, as the rule names them.
func (r *Rule) shared(q *Asked) (out []string) {
	if r.Each {
		return nil
	}
	for _, w := range r.Species {
		if plain(w) == AnyFish || !q.Fish.Is(w) {
			out = append(out, w)
		}
	}
	return out
}

// aboard are the person asked about and everybody who kept a fish that day, in order.
func aboard(q *Asked) []string {
	out := append([]string{q.Who}, q.Aboard...)
	for i := range q.Kept {
		if sameDay(q.Kept[i].Time, q.Time) {
			out = append(out, q.Kept[i].Who)
		}
	}
	slices.SortFunc(out, cmp.Compare)
	return slices.Compact(out)
}
