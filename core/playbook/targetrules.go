package playbook

import (
	"slices"

	"greypebble/core/quantity"
)

// Widths over which what is said of a target fades, and how far beyond its feeding
// temperatures it is cold or hot. The house's judgement.
const (
	fadesC   = 4.0
	coldBy   = 5.0
	hotBy    = 3.0
	clearM   = 1.0
	mudM     = 0.5
	murkM    = 0.9
	fadesM   = 0.6
	mudFades = 0.4
)

// rulesOf a target: what is said of it, in the language of the rules.
func (b *Book) rulesOf(t *Target, n node) error {
	name := t.Name
	add := func(aspect, family, effect, says string, when When) error {
		if own := t.says[aspect]; own != "" {
			says = own
		}
		return b.addRule(Rule{ID: t.ID + "-" + aspect, Says: says, Idea: t.Idea, Origin: t.Origin, Family: family, Effect: effect,
			Certainty: "usual", targets: []string{t.ID}, when: when, custom: n.custom}, n)
	}
	between := func(m Measure, from, to, soft float64) When {
		return When{{Ramps: []Ramp{rising(m, from-soft/2, from+soft/2), rising(m, to+soft/2, to-soft/2)}}}
	}
	above := func(m Measure, v, soft float64) When { return isRamp(rising(m, v-soft/2, v+soft/2)) }
	below := func(m Measure, v, soft float64) When { return isRamp(rising(m, v+soft/2, v-soft/2)) }
	is := func(w Word, some []string) When {
		s, _ := setOf(words[w].vocabulary, some...)
		return isTest(Test{Of: w, Any: s})
	}
	eats, _ := setOf(b.offeringIDs(), t.Eats...)
	type said struct {
		aspect, family, effect, says string
		when                         When
	}
	list := []said{
		{"warmth", "warmth", "clear plus", "Good feeding temperature for " + name, between(WaterTemp, t.Feeds.From, t.Feeds.To, fadesC)},
		{"hot", "warmth", "clear minus", "Too warm for " + name + " to feed well", above(WaterTemp, t.Feeds.To+hotBy, fadesC)},
		{"column", "depth", "clear plus", name + " feeds at this height in the water", is(Column, t.Columns)},
		{"elsewhere", "presence", "hopeless", "Hardly a place for " + name, is(Place, t.Lives).not()},
		{"cold", "warmth", "strong minus", "Cold water: " + name + " moves and eats little",
			below(WaterTemp, t.Feeds.From-coldBy, fadesC)}, // last: it gives way to gone
	}
	if t.GoneBelowC != nil {
		list[len(list)-1] = said{"gone", "presence", "hopeless", "Too cold for " + name, below(WaterTemp, *t.GoneBelowC, fadesC)}
	}
	if len(t.Eats) > 0 {
		list = append(list, said{"eats", "bait", "strong plus", "What " + name + " eats by preference",
			isTest(Test{Of: OfferingID, Any: eats})})
	}
	if t.Senses != "scent" {
		effect := map[string]string{"sight": "strong minus", "both": "clear minus"}[t.Senses]
		list = append(list,
			said{"clear", "clarity", "clear plus", "Clear enough for a fish that hunts by sight", above(Secchi, clearM, fadesM)},
			said{"mud", "clarity", effect, "Too muddy for a fish that hunts by sight", below(Secchi, mudM, mudFades)})
	}
	if t.Senses != "sight" && b.offersScent(t) {
		list = append(list, said{"scent", "offering", "clear plus", "Stained water, scent leads",
			both(is(Trait, []string{"scent"}), below(Secchi, murkM, fadesM))})
	}
	if len(t.Best) > 0 {
		list = append(list, said{"season", "season", "strong plus", "Its best months here", is(Month, t.Best)})
	}
	if len(t.Away) > 0 {
		list = append(list, said{"away", "presence", "hopeless", "Not here at this time of year", is(Month, t.Away)})
	}
	if len(t.Likes) > 0 {
		list = append(list, said{"likes", "mark", "clear plus", name + " lies at such marks", is(MarkKind, t.Likes)})
	}
	for _, s := range list {
		if err := add(s.aspect, s.family, s.effect, s.says, s.when); err != nil {
			return err
		}
	}
	return nil
}

// offersScent says whether anything the target is offered smells.
func (b *Book) offersScent(t *Target) bool {
	scent, _ := setOf(traits, "scent")
	return slices.ContainsFunc(b.Offerings, func(o Offering) bool { return o.traits&scent != 0 && t.Offered(o.ID) })
}

// span reads {from: …, to: …}.
func (r *reader) span(key string, d quantity.Dimension, required bool) Span {
	return read(r, key, required, func(n node) (Span, error) {
		in := n.reader("from", "to")
		s := Span{in.quantity("from", d, true), in.quantity("to", d, true)}
		if in.err == nil && s.To <= s.From {
			return s, n.errorf("to must be more than from")
		}
		return s, in.err
	})
}
