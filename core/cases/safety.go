package cases

import (
	"strings"

	"greypebble/core/going"
	"greypebble/core/ground"
)

func safety() []Case {
	flat := func(ms, deg float64) Shore {
		return with(grassFlat(6, 11, seen{water: 24, clear: 1.5, wind: ms, from: deg}), func(s *Shore) { s.Facing = 180 })
	}
	ledge := Shore{Place: "rocky shore", Manner: ground.OnFoot, Time: On(5, 15, 11), Elapsed: 0.3, StandsM: 1.5, Facing: 180,
		Seen: seen{water: 16, clear: 3, swell: 3, period: 13, wind: 3}, Marks: []Mark{{"Gully", ground.Gut, "rock", 1.5, 10}}}
	calm := with(ledge, func(s *Shore) { s.Seen = seen{water: 16, clear: 3, swell: 0.3, period: 7, wind: 3} })
	beach := func(h, t float64) Shore {
		return Shore{Place: "surf beach", Manner: ground.OnFoot, Time: On(6, 15, 11), Elapsed: 0.3, Facing: 180,
			Seen: seen{water: 22, clear: 2, swell: h, period: t, wind: 3}, Marks: []Mark{{"Trough", ground.Trough, "sand", 1, 10}}}
	}
	boat := with(ledge, func(s *Shore) {
		s.Manner, s.Seen = ground.Boat, seen{water: 16, clear: 3, swell: 0.4, period: 8, wind: 3}
	})
	kayak := with(boat, func(s *Shore) { s.Manner = ground.Kayak })
	wading := with(oysterBar(2, 11, seen{water: 8, clear: 1, wind: 3}), func(s *Shore) { s.Manner = ground.Wading })
	thunder := with(grassFlat(7, 15, seen{water: 28, wind: 3}), func(s *Shore) { s.Signs = []string{"thunder"} })
	fog := with(grassFlat(4, 8, seen{water: 18, wind: 1}), func(s *Shore) { s.Signs = []string{"fog"} })
	drum, bass := []string{"red-drum"}, []string{"kelp-bass"}
	step := func(t *Told, s going.Severity, id string) error {
		g := t.gravest()
		return want(g.Severity == s && (id == "" || g.ID == id), "%s: it begins with %s, %q", t.Label, g.Severity, g.Says)
	}
	return []Case{
		{ID: "33", Situation: "Kayak on a flat, wind 16 m/s; and 5.5 m/s off the land", Expected: "Begins with do not; think, with why",
			Asked: []Asked{{"16 m/s", flat(16, 180), drum, 3}, {"5.5 m/s offshore", flat(5.5, 0), drum, 3}, {"5.5 m/s onshore", flat(5.5,
				180),
				drum, 3}},
			Holds: func(a Answers) error {
				return all(step(&a[0], going.DoNot, "wind"), step(&a[1], going.Think, "wind"),
					want(strings.Contains(a[1].gravest().Says, "off the land"), "why is not said: %s", a[1].gravest().Says), step(&a[2],
						going.Note, ""))
			}},
		{ID: "34", Situation: "A ledge one stands on 1.5 m above the water, swell 3 m at 13 s; and 0.3 m at 7 s",
			Expected: "Waves wash over; begins with it, however good the tide",
			Asked:    []Asked{{"3 m", ledge, bass, 3}, {"0.3 m", calm, bass, 3}},
			Holds: func(a Answers) error {
				return all(step(&a[0], going.DoNot, "run-up"), want(strings.Contains(a[0].gravest().Says, "wash over"), "%s",
					a[0].gravest().Says),
					want(a[1].gravest().Severity < going.DoNot, "0.3 m: %s", a[1].gravest().Says))
			}},
		{ID: "35", Situation: "A beach, swell 4 m at 11 s; and 0.7 m at 8 s",
			Expected: "Too heavy to stand in or fish; fine, rip caution only",
			Asked:    []Asked{{"4 m", beach(4, 11), drum, 3}, {"0.7 m", beach(0.7, 8), drum, 3}},
			Holds: func(a Answers) error {
				return all(step(&a[0], going.DoNot, "surf"), want(strings.Contains(a[0].gravest().Says, "heavy"), "%s",
					a[0].gravest().Says),
					step(&a[1], going.Note, "rip"), want(len(a[1].Cautions) == 1, "%v", a[1].Cautions))
			}},
		{ID: "36", Situation: "Off rock by boat, by kayak, on foot",
			Expected: "Boat: someone at the controls, no studs; kayak: no kill-cord; on foot: studs",
			Asked:    []Asked{{"boat", boat, bass, 3}, {"kayak", kayak, bass, 3}, {"on foot", calm, bass, 3}},
			Holds: func(a Answers) error {
				has := func(t *Told, s string) bool { return strings.Contains(t.says(), s) }
				return all(want(has(&a[0], "at the controls") && !has(&a[0], "studs"), "boat: %s", a[0].says()),
					want(!has(&a[1], "ill-cord") && !has(&a[1], "engine") && !has(&a[1], "studs"), "kayak: %s", a[1].says()),
					want(has(&a[2], "studs") && !has(&a[2], "ill-cord"), "on foot: %s", a[2].says()))
			}},
		{ID: "38", Situation: "Water at 8 °C, wading", Expected: "Cold said first",
			Asked: []Asked{{"8 °C", wading, drum, 3}}, Holds: func(a Answers) error { return step(&a[0], going.Think, "cold") }},
		{ID: "38a", Situation: "Thunder heard; fog in a kayak", Expected: "Do not, first",
			Asked: []Asked{{"thunder", thunder, drum, 3}, {"fog", fog, drum, 3}},
			Holds: func(a Answers) error {
				return all(step(&a[0], going.DoNot, "thunder"), step(&a[1], going.DoNot, "fog"))
			}},
	}
}
