package bylaw

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Word of a verdict.
type Word string

// Verdicts. NotKnown never means that it is allowed.
const (
	Keep     Word = "keep"
	Release  Word = "release"
	NotKnown Word = "not known"
)

// Fish in the hand.
type Fish struct {
	Species
	// LengthM metres; 0: not measured. ErrorM that it may be off by, of a length that was estimated.
	LengthM, ErrorM float64
	// Measure the length is of; empty: as the rule says.
	Measure Measure
	// Are what was seen of its sex and state.
	Are []Sex
}

// Kept is a fish that was kept before.
type Kept struct {
	ID string
	Species
	LengthM float64
	// Who kept it; empty: the angler.
	Who  string
	Time time.Time
}

// Caught is a fish of the day, kept or released.
type Caught struct {
	Kept
	Released bool
}

// KeptOf the fish caught.
func KeptOf(list []Caught) (out []Kept) {
	for _, c := range list {
		if !c.Released {
			out = append(out, c.Kept)
		}
	}
	return out
}

// Asked is what a verdict rests on.
type Asked struct {
	Fish Fish
	// Place where it was caught, by which area rules hold: a point, or a point and its shape.
	Place []ground.LatLon
	Area  bool
	// Time of the catch, in the clock of the place.
	Time time.Time
	// Now, by which rules are stale.
	Now time.Time
	// Who holds it; empty: the angler. Licences are the classes they belong to; nil: not said, and the rules of every
	// class count.
	Who      string
	Licences []string
	// Aboard are the others there, by name.
	Aboard []string
	// Kept are fish kept before, of everybody aboard.
	Kept  []Kept
	Units quantity.Units
}

// Source a verdict rests on.
type Source struct {
	Rule, Authority, Source, Address, CheckedBy string
	CheckedOn                                   time.Time
	Stale                                       bool
}

// Verdict on a fish.
type Verdict struct {
	Word Word
	// Why in a line, and what else is to be said: near the limit, over the line.
	Why   string
	Notes []string
	// MarginM to the nearest limit of length, metres: positive where the fish lies within it, negative where it lies
	// beyond; nil where there is no limit or no length. Near says that it is to be measured again.
	MarginM *float64
	Near    bool
	// Measure the rules that count ask for; empty where none limits the length.
	Measure Measure
	// MinM and MaxM are the strictest lengths, 0 for none.
	MinM, MaxM float64
	Bag        *Bag
	Duties     []string
	// Codes that are voluntary, and what they say.
	Codes    []string
	Advisory []string
	Stale    bool
	Sources  []Source
}

// finding of one rule.
type finding struct {
	rule *Rule
	word Word
	why  string
}

// Judge a fish by all rules entered.
func Judge(rules []Rule, q *Asked) Verdict {
	held := InForce(rules, q)
	v := Verdict{Word: NotKnown}
	var found []finding
	for _, r := range held {
		if !r.Voluntary {
			found = append(found, r.judge(q)...)
			v.look(r, q)
			v.narrow(r)
		}
		if r.Advisory != "" {
			v.Advisory = append(v.Advisory, r.Advisory)
		}
		v.source(r, q.Now)
	}
	v.bag(held, q)
	v.decide(found, rules, held, q)
	v.margin(held, q)
	v.owe(held, q)
	v.codes(held, q)
	v.Notes = append(v.Notes, staleNotes(v.Sources)...)
	return v
}

// InForce are the rules that hold for a fish, a place, a time and a person. Where an authority has a rule for a part of
// its water, that stands in size and in number instead of its rule for what lies around.
func InForce(rules []Rule, q *Asked) (out []*Rule) {
	for i := range rules {
		r := &rules[i]
		if r.Of(q.Fish.Species) && r.Holds(q.Time) && r.At(q.Place, q.Area) && r.isFor(q.Licences) {
			out = append(out, r)
		}
	}
	// Only within one authority that is named: whose rule it is must be known before it can give way. A rule of one class
	// gives way to none for those who have not said theirs.
	for i, r := range out {
		given := *r
		for _, inner := range out {
			if inner == r || r.Voluntary || inner.Voluntary || r.Authority == "" || r.Authority != inner.Authority || !inner.within(r) ||
				!covers(inner, q) || inner.Licence != "" && q.Licences == nil {
				continue
			}
			if inner.sized() || inner.NoLimits {
				given.MinM, given.MaxM, given.Over, given.OverM = 0, 0, 0, 0
			}
			// Of number each by itself: a bag for a person there leaves the boat's as it is.
			if inner.Bag != nil || inner.NoLimits {
				given.Bag = nil
			}
			if inner.BoatBag != nil || inner.NoLimits {
				given.BoatBag = nil
			}
			if inner.Possession != nil || inner.NoLimits {
				given.Possession = nil
			}
		}
		if given.sized() != r.sized() || (given.Bag == nil) != (r.Bag == nil) || (given.BoatBag == nil) != (r.BoatBag == nil) ||
			(given.Possession == nil) != (r.Possession == nil) {
			out[i] = &given
		}
	}
	return out
}

// covers says that a rule's area holds all of the place: of a drift over its line the rule around it counts too.
func covers(r *Rule, q *Asked) bool {
	z := ground.Zone{Ring: r.Area.Ring}
	return !slices.ContainsFunc(q.Place, func(p ground.LatLon) bool { return !z.Inside(p) })
}

// isFor says whether the rule is one for a person of these classes.
func (r *Rule) isFor(licences []string) bool {
	return r.Licence == "" || licences == nil || slices.ContainsFunc(licences, func(l string) bool { return plain(l) == plain(r.Licence) })
}

// look first, where a rule asks for what nobody said of the fish.
func (v *Verdict) look(r *Rule, q *Asked) {
	if len(q.Fish.Are) > 0 || r.forbids() {
		return
	}
	for _, s := range r.NotKept {
		v.Notes = append(v.Notes, fmt.Sprintf(words.LookFirst, r.Called(), s))
	}
}

// source of a rule that counted.
func (v *Verdict) source(r *Rule, now time.Time) {
	s := Source{r.Called(), r.Authority, r.Source, r.Address, r.CheckedBy, r.CheckedOn, r.Stale(now)}
	v.Sources = append(v.Sources, s)
	v.Stale = v.Stale || s.Stale
}

// judge a fish by the one rule.
func (r *Rule) judge(q *Asked) (out []finding) {
	say := func(w Word, why string) { out = append(out, finding{r, w, why}) }
	if r.forbids() {
		say(Release, r.saysForbidden(q.Fish.Species))
		return out
	}
	for _, s := range r.NotKept {
		if slices.Contains(q.Fish.Are, s) {
			say(Release, fmt.Sprintf(words.SexGoesBack, r.Called(), s))
		}
	}
	if r.sized() {
		w, why := r.size(q)
		say(w, why)
	}
	if r.counted() {
		w, why := r.number(q)
		say(w, why)
	}
	if r.NoLimits && !r.sized() && !r.counted() {
		say(Keep, fmt.Sprintf(words.NoLimitEntered, r.Called()))
	}
	return out
}

// narrow the lengths the verdict tells by those of a rule.
func (v *Verdict) narrow(r *Rule) {
	if !r.sized() || r.forbids() {
		return
	}
	if r.MinM > v.MinM {
		v.MinM = r.MinM
	}
	if r.MaxM > 0 && (v.MaxM == 0 || r.MaxM < v.MaxM) {
		v.MaxM = r.MaxM
	}
	if v.Measure == "" {
		v.Measure = r.Measure.or()
	}
}

// decide the word: one release releases, one that is not sure leaves it unsure, and where nothing permits nothing is
// known.
func (v *Verdict) decide(found []finding, rules []Rule, held []*Rule, q *Asked) {
	first := func(w Word) *finding {
		for i := range found {
			if found[i].word == w {
				return &found[i]
			}
		}
		return nil
	}
	permitted := slices.ContainsFunc(found, func(f finding) bool { return f.rule.permits() })
	switch release, doubt := first(Release), first(NotKnown); {
	case release != nil:
		v.Word, v.Why = Release, release.why
	case doubt != nil:
		v.Word, v.Why = NotKnown, doubt.why
	case permitted:
		v.Word, v.Why = Keep, saysKept(found, v)
	default:
		v.Word, v.Why = NotKnown, saysUnknown(rules, held, q)
	}
}

// nearM is how near a limit a fish is measured again (common practice, no source).
const nearM = 0.01

// margin to the nearest limit of length: of those it fails, where it fails one.
func (v *Verdict) margin(held []*Rule, q *Asked) {
	if q.Fish.LengthM <= 0 {
		return
	}
	failed := false
	for _, r := range held {
		if r.Voluntary || r.forbids() || !r.sized() || q.Fish.Measure != "" && q.Fish.Measure.or() != r.Measure.or() {
			continue
		}
		w, _ := r.size(q)
		fails := w == Release
		for _, limit := range r.limits() {
			m := math.Abs(q.Fish.LengthM - limit)
			if v.MarginM == nil || fails && !failed || fails == failed && m < math.Abs(*v.MarginM) {
				if fails {
					m = -m
				}
				v.MarginM, failed = &m, fails
			}
		}
	}
	if v.MarginM != nil && math.Abs(*v.MarginM) <= nearM+exact {
		v.Near = true
		v.Notes = append([]string{saysMeasureAgain(*v.MarginM, q.Units)}, v.Notes...)
	}
}
