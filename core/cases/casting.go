package cases

import (
	"strings"

	"greypebble/core/advise"
	"greypebble/core/ground"
)

// onRig says whether a choice is tied on one of some rigs.
func onRig(ids ...string) func(*advise.Choice) bool {
	return func(c *advise.Choice) bool {
		for _, id := range ids {
			if c.Card.RigID == id {
				return true
			}
		}
		return false
	}
}

// everyone of the choices suits; the first that does not is named.
func (t *Told) everyone(suits func(*advise.Choice) bool, what string) error {
	for i := range t.Choices {
		if c := &t.Choices[i]; !suits(c) {
			return want(false, "%s: %s: %s (%s) %s", t.Label, what, c.Sentence, c.Card.Cast, c.Card.Leader)
		}
	}
	return nil
}

// ounce and pound as tackle is sold by them: kilograms and newtons.
const (
	ounce = 0.0283
	pound = 4.448
)

func casting() []Case {
	beach := Shore{Place: "surf beach", Time: On(5, 15, 9), Elapsed: 0.15, Seen: seen{water: 21, clear: 1.2, wind: 3, swell: 0.5,
		period: 8}, Marks: []Mark{{"Near trough", ground.Trough, "sand", 1.1, 10}, {"Far trough", ground.Trough, "sand", 2.5, 150}}}
	both := with(beach, func(s *Shore) {
		s.Marks = []Mark{{"Far trough", ground.Trough, "sand", 1.2, 45}, {"Near trough", ground.Trough, "sand", 1.1, 10}}
	})
	surf := func(signs ...string) Shore {
		return Shore{Place: "surf beach", Time: On(7, 15, 9), Ebb: true, Elapsed: 0.85, Signs: signs, Seen: seen{water: 18, clear: 1.5,
			wind: 3, swell: 0.5, period: 9}, Marks: []Mark{{"Trough", ground.Trough, "sand", 1.2, 15}, {"Slope", ground.Slope, "sand",
			0.9, 25}}}
	}
	shell := with(oysterBar(5, 10, seen{water: 21, clear: 0.8}), func(s *Shore) {
		s.Marks = []Mark{{"Edge", ground.EdgeMark, "shell", 0.8, 30}}
	})
	branches := Shore{Place: "overhung bank", Manner: ground.Kayak, Time: On(5, 15, 10), Elapsed: 0.6, Seen: seen{water: 23, clear: 1},
		Marks: []Mark{{"Pocket", ground.Pocket, "mud", 0.8, 5}}}
	steps := with(canal(true, seen{water: 12, clear: 0.8, cloud: 0.3, wind: 2}), func(s *Shore) {
		s.RunMS = 0.2
		s.Marks = []Mark{{"First step", ground.Step, "mud", 1, 4}, {"Second step", ground.Step, "mud", 2, 8},
			{"Third step", ground.Step, "mud", 3, 12}}
	})
	pier := Shore{Place: "pier", Time: On(5, 15, 10), Elapsed: 0.97, RunMS: 0.3, Seen: seen{water: 22, clear: 1.2, wind: 3},
		Marks: []Mark{{"Third piling", ground.Piling, "sand", 4, 80}}}
	lie := func(c *advise.Choice) bool { return c.Card.Style == "still" }
	return []Case{
		{ID: "17", Situation: "Pompano, beach, first of the flood, troughs at 10 and 150 m from the waterline",
			Expected: "The near one, a flick of the wrist; sand crab or scent strip on a two-hook rig; no throw the tackle can't make",
			Asked: []Asked{{"May", beach, []string{"florida-pompano"}, most}, {"both in reach", both, []string{"florida-pompano"},
				most}},
			Holds: func(a Answers) error {
				if near := a[1].Choices[0].Card; near.Mark != "Near trough" {
					return want(false, "both in reach, and the %s first", near.Mark)
				}
				c := &a[0].Choices[0]
				return all(want(offering("sand-crab-strip", "scent-strip")(c) && onRig("double-dropper")(c), "%s", c.Sentence),
					want(strings.Contains(c.Card.Cast, "flick of the wrist"), "%s", c.Card.Cast),
					a[0].everyone(func(c *advise.Choice) bool { return c.Card.Mark == "Near trough" }, "out of reach"))
			}},
		{ID: "18", Situation: "California halibut and southern flounder in the surf, last of the ebb, clean and with weed drifting",
			Expected: "White soft fluke on a drop-shot (2 oz) among the first three; the exposed head is marked down in the weed; after " +
				"one: back to where it came from",
			Asked: []Asked{{"halibut", surf(), []string{"california-halibut"}, most}, {"flounder", surf(), []string{"southern-flounder"},
				most}, {"halibut, weed", surf("weed"), []string{"california-halibut"}, most}},
			Holds: func(a Answers) error {
				fluke := func(c *advise.Choice) bool { return offering("white-fluke")(c) && onRig("drop-shot")(c) }
				for _, t := range a {
					i := t.rank(fluke)
					if i > 2 || t.Choices[i].Card.WeightKg < 1.8*ounce || t.Choices[i].Card.WeightKg > 2.2*ounce {
						return want(false, "%s: at %d", t.Label, i)
					}
				}
				head := func(t *Told) float64 {
					if t.rank(onRig("jig-head")) == len(t.Choices) {
						return 0 // it gave way to a hook that stays clean
					}
					return t.Choices[t.rank(onRig("jig-head"))].Edge.Value / t.Choices[t.rank(fluke)].Edge.Value
				}
				return all(want(head(&a[2]) < 0.8*head(&a[0]), "the head ×%.2f in weed, ×%.2f without", head(&a[2]), head(&a[0])),
					want(strings.Contains(a[0].Stay, "cast back where one came from"), "%s", a[0].Stay))
			}},
		{ID: "19", Situation: "Red drum at an oyster bar's edge in 0.8 m; and under branches",
			Expected: "Weedless or under a float, never an open head bounced on shell; under branches to the wood and skipped under, " +
				"never past it",
			Asked: []Asked{{"shell", shell, []string{"red-drum"}, most}, {"branches", branches, []string{"red-drum"}, most}},
			Holds: func(a Answers) error {
				lure := func(c *advise.Choice) bool { return c.Card.Approach == "lure" }
				first := &a[1].Choices[a[1].rank(lure)]
				return all(want(onRig("weedless-hook", "popping-float", "surface-leader")(&a[0].Choices[0]), "%s",
					a[0].Choices[0].Sentence),
					a[0].everyone(func(c *advise.Choice) bool { return c.Card.RigID != "jig-head" }, "an open head on shell"),
					want(strings.Contains(first.Card.Cast, "skipped in under"), "%s: %s", first.Sentence, first.Card.Cast),
					a[1].everyone(func(c *advise.Choice) bool { return !strings.Contains(c.Card.Cast, "ast it") }, "past the branches"))
			}},
		{ID: "20", Situation: "Canal with steps at 1, 2 and 3 m, from a kayak",
			Expected: "To the bank and hopped down the steps; more lead for 3 m than 3/16 oz; still bait lies on the step",
			Asked:    []Asked{{"red drum", steps, []string{"red-drum"}, most}, {"largemouth", steps, []string{"largemouth-bass"}, most}},
			Holds: func(a Answers) error {
				for _, t := range a {
					for i := range t.Choices {
						c := &t.Choices[i]
						if c.Card.RigID == "jig-head" && (!strings.Contains(c.Card.Cast, "up to the bank, then down the steps") ||
							!strings.Contains(c.Retrieve, "none shorter than the one before")) {
							return want(false, "%s: %s %s", c.Sentence, c.Card.Cast, c.Retrieve)
						}
						if c.Card.RigID == "jig-head" && c.Card.Mark == "Third step" && c.Card.WeightKg < 0.0065 {
							return want(false, "%s", c.Sentence)
						}
						if lie(c) && !strings.Contains(c.Card.Cast, "On to the step itself") {
							return want(false, "%s: %s", c.Sentence, c.Card.Cast)
						}
					}
				}
				return nil
			}},
		{ID: "21", Situation: "Pier pilings, high water, sheepshead and red drum",
			Expected: "Straight down, the weight at the hook; half depth first for cruisers; no spoon wound beside the wood",
			Asked:    []Asked{{"sheepshead", pier, []string{"sheepshead"}, most}, {"drum", pier, []string{"red-drum"}, most}},
			Holds: func(a Answers) error {
				down := func(c *advise.Choice) bool {
					return strings.Contains(c.Card.Cast, "Straight down") || strings.Contains(c.Card.Cast, "drift past") ||
						strings.Contains(c.Card.Cast, "Close to the wood") || strings.Contains(c.Card.Cast, "Along the row of piles") ||
						c.Card.RigID == "surface-leader" || c.Card.Style == "twitch"
				}
				drum := &a[1].Choices[0]
				return all(want(onRig("close-weight")(&a[0].Choices[0]), "%s", a[0].Choices[0].Sentence),
					want(drum.DepthM > 1.4 && drum.DepthM < 2.6, "%s at %.1f m", drum.Sentence, drum.DepthM),
					a[0].everyone(down, "not down"), a[1].everyone(down, "not down"),
					a[1].everyone(func(c *advise.Choice) bool { return !offering("metal-spoon")(c) }, "a spoon"))
			}},
	}
}
