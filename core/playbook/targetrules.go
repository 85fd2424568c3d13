package playbook

import (
	"fmt"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/words"
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
	// numbBy is how far below its feeding temperatures a fish hardly moves.
	numbBy = 9.0
	// seesLux is the light by which a hunter by sight sees well, darkLux that of moonlight.
	seesLux = 5.0
	darkLux = 0.3
)

// said of a target: a rule by the aspect it is about.
type said struct {
	aspect, family, effect, says string
	when                         When
	lacks, lacksHigh             string
}

func is(w Word, vocabulary []string, some ...string) When {
	s, _ := setOf(vocabulary, some...)
	return isTest(Test{Of: w, Any: s})
}

func above(m Measure, v, soft float64) When { return isRamp(rising(m, v-soft/2, v+soft/2)) }

func below(m Measure, v, soft float64) When { return isRamp(rising(m, v+soft/2, v-soft/2)) }

// unseen says that no fish shows: one that does is there, whatever is said of where and when
// they live.
func unseen() When { return is(Sign, Signs, InSight...).not() }

// lightFor is the light where a target hunts by the part of the water it feeds in.
func (t *Target) lightFor() Measure {
	switch {
	case slices.Contains(t.Columns, "top"):
		return SurfaceLight
	case slices.Contains(t.Columns, "mid"):
		return MidLight
	}
	return BedLight
}

// numbs says that there is liquid water so cold that it hardly moves.
func (t *Target) numbs() bool { return t.Feeds.From-numbBy >= fadesC/2 }

// rulesOf a target: what is said of it, in the language of the rules.
func (b *Book) rulesOf(t *Target, n node) error {
	for _, s := range b.saidOf(t) {
		if own := t.says[s.aspect]; own != "" {
			s.says = own
		}
		if err := b.addRule(Rule{ID: t.ID + "-" + s.aspect, Part: partOf(s.family, s.when), Says: s.says, Lacks: s.lacks,
			LacksHigh: s.lacksHigh, Idea: t.Idea,
			Origin: t.Origin, Family: s.family, Effect: s.effect, Certainty: "usual", targets: []string{t.ID}, when: s.when,
			custom: n.custom}, n); err != nil {
			return err
		}
	}
	return nil
}

func (b *Book) saidOf(t *Target) []said {
	name := t.InSentence()
	eats, _ := setOf(b.offeringIDs(), t.Eats...)
	offered, _ := setOf(b.offeringIDs(), append(slices.Clone(t.Eats), t.Takes...)...)
	warm := When{{Ramps: []Ramp{rising(WaterTemp, t.Feeds.From-fadesC/2, t.Feeds.From+fadesC/2),
		rising(WaterTemp, t.Feeds.To+fadesC/2, t.Feeds.To-fadesC/2)}}}
	list := []said{
		{aspect: "warmth", family: "warmth", effect: "clear plus", says: fmt.Sprintf(words.GoodFeedingTemperatureFor, name), when: warm,
			lacks: words.ColdForThem, lacksHigh: words.WarmForThem},
		{aspect: "hot", family: "warmth", effect: "clear minus", says: fmt.Sprintf(words.TooWarmForToFeedWell, name),
			when: above(WaterTemp, t.Feeds.To+hotBy, fadesC)},
		{aspect: "cold", family: "warmth", effect: "strong minus", says: fmt.Sprintf(words.ColdWaterMovesAndEatsLittle, name),
			when: below(WaterTemp, t.Feeds.From-coldBy, fadesC)},
		{aspect: "column", family: "depth", effect: "clear plus", says: fmt.Sprintf(words.FeedsAtThisHeightInThe, t.Name),
			when: is(Column, Columns, t.Columns...), lacks: words.NotTheHeightInTheWater},
		{aspect: "elsewhere", family: "presence", effect: hopeless, says: fmt.Sprintf(words.HardlyAPlaceFor, name),
			when: both(is(Place, ground.Places, t.Lives...).not(), unseen())},
		{aspect: "refuses", family: "bait", effect: "strong minus", says: fmt.Sprintf(words.NotWhatIsCaughtOn, name),
			when: isTest(Test{Of: OfferingID, Any: offered, No: true})},
	}
	if t.GoneBelowC != nil {
		list = append(list, said{aspect: "gone", family: "presence", effect: hopeless, says: fmt.Sprintf(words.TooColdForTheyAreGone, name),
			when: both(below(WaterTemp, *t.GoneBelowC, fadesC), unseen())})
	} else if t.numbs() {
		list = append(list, said{aspect: "numb", family: "presence", effect: hopeless, says: fmt.Sprintf(words.SoColdThatIsNumb, name),
			when: both(below(WaterTemp, t.Feeds.From-numbBy, fadesC), unseen())})
	}
	if len(t.Eats) > 0 {
		list = append(list, said{aspect: "eats", family: "bait", effect: "strong plus", says: fmt.Sprintf(words.WhatEatsByPreference, name),
			when: isTest(Test{Of: OfferingID, Any: eats}), lacks: words.NotWhatTheyEatByPreference})
	}
	list = append(list, b.saidOfSenses(t)...)
	if len(t.Best) > 0 {
		list = append(list, said{aspect: "season", family: "season", effect: "strong plus", says: words.ItsBestMonthsHere,
			when: is(Month, Months, t.Best...), lacks: words.NotTheirBestMonths})
	}
	if len(t.Away) > 0 {
		list = append(list, said{aspect: "away", family: "presence", effect: hopeless, says: words.NotHereAtThisTimeOf,
			when: both(is(Month, Months, t.Away...), unseen())})
	}
	if len(t.Likes) > 0 {
		list = append(list, said{aspect: "likes", family: "mark", effect: "clear plus", says: fmt.Sprintf(words.LiesAtSuchMarks, t.Name),
			when: is(MarkKind, factWords[MarkKind].vocabulary, t.Likes...), lacks: words.NotTheKindOfMarkThey})
	}
	return list
}

// saidOfSenses a target hunts by. Who hunts by sight wants clear water and light in it.
func (b *Book) saidOfSenses(t *Target) []said {
	var list []said
	if t.Senses != "scent" {
		effect := map[string]string{"sight": "strong minus", "both": "clear minus"}[t.Senses]
		light := t.lightFor()
		list = append(list,
			said{aspect: "clear", family: "clarity", effect: "clear plus", says: words.ClearEnoughForAFishThat,
				when:  append(both(above(Secchi, clearM, fadesM), above(light, seesLux, seesLux)), is(Sign, Signs, "colour line")...),
				lacks: words.NotClearOrLightEnoughTo},
			said{aspect: "mud", family: "clarity", effect: effect, says: words.TooMuddyForAFishThat,
				lacks: words.NoMudInTheWater,
				when:  both(below(Secchi, mudM, mudFades), is(Sign, Signs, "colour line").not())})
	}
	if t.Senses != "sight" && b.offersScent(t) {
		list = append(list, said{aspect: "scent", family: "offering", effect: "clear plus", says: words.StainedOrDarkWaterScentLeads,
			when:  both(is(Trait, traits, "scent"), append(below(Secchi, murkM, fadesM), below(BedLight, darkLux, darkLux)...)),
			lacks: words.StainedOrDarkWaterAndNo})
	}
	return list
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
