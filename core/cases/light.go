package cases

import (
	"strings"

	"greypebble/core/advise"
	"greypebble/core/ground"
)

func light() []Case {
	deep := func(m float64) Shore {
		return Shore{Place: "estuary", Manner: ground.Boat, Time: On(6, 15, 12), Elapsed: 0.5, Seen: seen{water: 18, clear: 1.5,
			cloud: 0.1},
			Marks: []Mark{{"Hole", ground.Hole, "mud", m, 20}}}
	}
	reef := func(m float64) Shore { return with(deep(m), func(s *Shore) { s.Place = "harbour mouth" }) }
	noon := func(secchi float64) Shore {
		return with(grassFlat(5, 12, seen{water: 21, clear: secchi, cloud: 0, wind: 3}), func(s *Shore) { s.Marks = s.Marks[:1] })
	}
	// New moon on 17 May 2026.
	night := with(grassFlat(5, 23, seen{water: 22, clear: 1.5, cloud: 0.3, wind: 2}), func(s *Shore) { s.Time = On(5, 17, 23) })
	at := func(hour int) Shore {
		return with(grassFlat(5, hour, seen{water: 22, clear: 1.5, cloud: 0.3, wind: 3}), func(*Shore) {})
	}
	rock := func(secchi float64, signs ...string) Shore {
		return Shore{Place: "rocky shore", Manner: ground.Boat, Time: On(6, 15, 10), Elapsed: 0.5, Signs: signs,
			Seen: seen{water: 18, clear: secchi, wind: 3, swell: 0.5, period: 9, cloud: 0.4}, Marks: []Mark{{"Rock", ground.Rock, "rock",
				4, 20}}}
	}
	clearly := func(s string) bool {
		return strings.Contains(s, "+ Clear ") || strings.Contains(s, "hunts by sight") && strings.Contains(s, "+ ")
	}
	darted := func(c *advise.Choice) bool {
		return c.Card.OfferingID == "jerk-shad" && (c.Card.Style == "twitch" || c.Card.Style == "hop")
	}
	paddle := offering("paddle-tail-white", "paddle-tail-dark", "paddle-tail-bright")
	plug := offering("walking-plug", "dark-walking-plug")
	plugAt := func(t *Told) float64 { return t.Choices[t.rank(plug)].Edge.Value }
	return []Case{
		{ID: "13", Situation: "Weakfish and striped bass 18 m down at noon, Secchi 1.5 m; and at 4 m in the same water",
			Expected: "Glow or black before chrome, no reason speaks of seeing clearly; at 4 m chrome is back",
			Asked: []Asked{{"weakfish, 18 m", deep(18), []string{"weakfish"}, most}, {"striped bass, 18 m", reef(18),
				[]string{"striped-bass"},
				most},
				{"weakfish, 4 m", deep(4), []string{"weakfish"}, most}},
			Holds: func(a Answers) error {
				metal := func(t *Told, id string) int { return t.rank(offering(id)) }
				for _, t := range a[:2] {
					chrome := metal(&t, "jigging-metal")
					if metal(&t, "glow-metal") > chrome || metal(&t, "black-metal") > chrome {
						return want(false, "%s: chrome at %d, glow %d, black %d", t.Label, chrome, metal(&t, "glow-metal"), metal(&t,
							"black-metal"))
					}
					if clearly(t.reasons()) {
						return want(false, "%s: it speaks of seeing clearly:\n%s", t.Label, t.reasons())
					}
				}
				return want(metal(&a[2], "jigging-metal") < metal(&a[2], "glow-metal"), "at 4 m chrome at %d, glow at %d", metal(&a[2],
					"jigging-metal"),
					metal(&a[2], "glow-metal"))
			}},
		{ID: "14", Situation: "Seatrout over 1.2 m of grass, high sun, Secchi 3 m; and 0.5 m",
			Expected: "Clear: a darted jerk shape before a steadily wound paddle tail; churned: the paddle tail before it",
			Asked: []Asked{{"3 m", noon(3), []string{"spotted-seatrout"}, most}, {"0.5 m", noon(0.5), []string{"spotted-seatrout"},
				most}},
			Holds: func(a Answers) error {
				jerk := offering("jerk-shad", "scented-shad", "twitch-bait", "twitch-bait-natural")
				return all(want(a[0].rank(darted) < a[0].rank(paddle), "clear: jerk shape at %d, paddle tail at %d", a[0].rank(darted),
					a[0].rank(paddle)),
					want(a[1].rank(paddle) < a[1].rank(jerk), "churned: paddle tail at %d, jerk shape at %d", a[1].rank(paddle),
						a[1].rank(jerk)))
			}},
		{ID: "15", Situation: "Seatrout on a flat, night, no moon, Secchi 1.5 m; at dawn and at noon",
			Expected: "Dark finish before the others, nothing of seeing in clear water; a surface plug at midnight does not beat dawn",
			Asked: []Asked{{"night", night, []string{"spotted-seatrout"}, most}, {"dawn", at(5), []string{"spotted-seatrout"}, most},
				{"noon", at(12), []string{"spotted-seatrout"}, most}},
			Holds: func(a Answers) error {
				lure := func(c *advise.Choice) bool { return c.Card.Approach == "lure" && c.Card.Finish != "glow" }
				first := a[0].Choices[a[0].rank(lure)]
				return all(want(first.Card.Finish == "dark", "%s", first.Sentence),
					want(!clearly(a[0].reasons()), "it speaks of seeing clearly:\n%s", a[0].reasons()),
					want(plugAt(&a[0]) < plugAt(&a[1]), "the plug at midnight ×%.2f, at dawn ×%.2f", plugAt(&a[0]), plugAt(&a[1])))
			}},
		{ID: "16", Situation: "Kelp bass from a boat at a rock, Secchi 4 m, stained to 1 m with a colour line in reach, and without one",
			Expected: "The line is a place to fish; stained water there is no penalty by itself",
			Asked: []Asked{{"clear", rock(4), []string{"kelp-bass"}, 3}, {"stained, with the line", rock(1, "colour line"),
				[]string{"kelp-bass"},
				3},
				{"stained, none", rock(1), []string{"kelp-bass"}, 3}},
			Holds: func(a Answers) error {
				return all(want(a[1].edge() > a[0].edge(), "clear ×%.2f, at the line ×%.2f", a[0].edge(), a[1].edge()),
					want(strings.Contains(a[1].reasons(), "+ The colour line"), "the line is not said"),
					want(!strings.Contains(a[1].reasons(), "- Too muddy") && !strings.Contains(a[1].reasons(), "- Not clear"),
						"it is a penalty:\n%s",
						a[1].reasons()))
			}},
	}
}
