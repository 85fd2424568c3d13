package cases

import (
	"math"
	"strings"
	"time"

	"greypebble/core/advise"
	"greypebble/core/ground"
	"greypebble/core/tackle"
)

func rigging() []Case {
	ledge := func(hour int) Shore {
		return Shore{Place: "ledge", Manner: ground.Boat, Time: On(7, 15, hour), Elapsed: 0.5, RunMS: 0.3, Seen: seen{water: 26, clear: 12,
			wind: 3, cloud: 0.2}, Marks: []Mark{{"Ledge", ground.EdgeMark, "rock", 19, 60}}}
	}
	rough := Shore{Place: "reef", Manner: ground.Boat, Time: On(9, 15, 10), Elapsed: 0.5, RunMS: 0.3, Seen: seen{water: 18, clear: 4,
		wind: 3, cloud: 0.4}, Marks: []Mark{{"Rough ground", ground.Rock, "rock", 14, 40}}}
	broken := func(elapsed, run float64) Shore {
		return Shore{Place: "reef", Manner: ground.Boat, Time: On(6, 15, 10), Elapsed: elapsed, RunMS: run, Seen: seen{water: 16, clear: 3,
			wind: 3, cloud: 0.4}, Marks: []Mark{{"Broken ground", ground.Rock, "rock", 14, 40}}}
	}
	bend := Shore{Place: "river bend", Time: On(3, 15, 10), Elapsed: 0.5, RunMS: 0.15, Seen: seen{water: 11, clear: 0.9, wind: 2},
		Marks: []Mark{{"Flat edge", ground.EdgeMark, "mud", 1.4, 8}}}
	trout := func(month time.Month, hour int, c float64) Shore {
		return with(grassFlat(month, hour, seen{water: c, air: c, clear: 1.2, wind: 2, cloud: 0.3}), func(s *Shore) {
			s.Marks = []Mark{{"Pothole", ground.Hole, "sand", 2, 20}}
			if c > 15 {
				s.Marks = []Mark{{"Grass edge", ground.EdgeMark, "grass", 1, 20}}
			}
		})
	}
	dock := Shore{Place: "pier", Time: On(1, 15, 12), Elapsed: 0.5, RunMS: 0.1, Seen: seen{water: 10, air: 10, clear: 1, wind: 2},
		Marks: []Mark{{"Dock piling", ground.Piling, "mud", 2.5, 10}}}
	across := func(run float64) Shore {
		return Shore{Place: "estuary", Time: On(10, 15, 10), Elapsed: 0.5, RunMS: run, Seen: seen{water: 18, clear: 0.8, wind: 2},
			Marks: []Mark{{"Channel edge", ground.EdgeMark, "sand", 2.7, 25}}}
	}
	strong := Shore{Place: "pier", Time: On(5, 15, 10), Elapsed: 0.5, RunMS: 0.9, Seen: seen{water: 22, clear: 1.2, wind: 3},
		Marks: []Mark{{"Third piling", ground.Piling, "sand", 4, 80}}}
	sighted := func(sign string) Shore {
		return with(mudFlat(5, 10, seen{water: 22, clear: 1, wind: 2, cloud: 0.3}), func(s *Shore) {
			s.Signs, s.Marks = []string{sign}, []Mark{{"Flat", ground.Flat, "mud", 0.5, 20}, {"Mud edge", ground.EdgeMark, "mud", 0.9, 60}}
		})
	}
	lake := func(levels ...float64) Shore {
		s := Shore{Place: "harbour mouth", Manner: ground.Boat, Time: On(6, 15, 9), Elapsed: 0.5, RangeM: 0.04, Seen: seen{water: 12,
			clear: 5, wind: 2}, Marks: []Mark{{"Basin", ground.Hole, "mud", 22, 60}}, Levels: levels}
		return s
	}
	lane := func(levels ...float64) Shore {
		return Shore{Place: "harbour mouth", Manner: ground.Boat, Time: On(9, 15, 9), Elapsed: 0.5, RunMS: 0.3, Seen: seen{water: 12,
			clear: 3, wind: 2}, Marks: []Mark{{"Lane", ground.Channel, "sand", 16, 60}}, Levels: levels}
	}
	style := func(c *advise.Choice) string { return c.Card.RigID + "/" + c.Card.Style }
	return []Case{
		{ID: "22", Situation: "False albacore over a reef ledge in July, by day and by night",
			Expected: "Trolled white bucktail at 4 to 6 kn, then a small skirted lure at 12 to 14, then a planer with a strip; at night " +
				"hardly at all; 20 lb fluorocarbon on 12 lb mono",
			Asked: []Asked{{"day", ledge(11), []string{"false-albacore"}, most}, {"night", ledge(23), []string{"false-albacore"}, most}},
			Holds: func(a Answers) error {
				c := a[0].Choices
				if len(c) < 3 {
					return want(false, "%d choices", len(c))
				}
				kn := func(c *advise.Choice) float64 { return c.Card.SpeedMS / 0.5144 }
				return all(want(offering("trolled-bucktail")(&c[0]) && offering("skirted-lure")(&c[1]) && onRig("planer-strip")(&c[2]),
					"%s, %s, %s", c[0].Sentence, c[1].Sentence, c[2].Sentence),
					want(kn(&c[0]) >= 3.9 && kn(&c[0]) <= 6.1, "%.1f kn", kn(&c[0])),
					want(kn(&c[1]) >= 11.9 && kn(&c[1]) <= 14.1, "%.1f kn", kn(&c[1])),
					want(strings.Contains(c[0].Card.Leader, "20 lb") && strings.Contains(c[0].Sentence, "12 lb"), "%s, %s", c[0].Sentence,
						c[0].Card.Leader),
					want(a[1].edge() < a[0].edge()/3, "at night ×%.2f, by day ×%.2f", a[1].edge(), a[0].edge()))
			}},
		{ID: "23", Situation: "Black sea bass on rough ground, from a boat",
			Expected: "Spoon tapped and held 2 ft up, its hook at the top, or two hooks on shortened snoods, size 1; no pace in turns",
			Asked:    []Asked{{"September", rough, []string{"black-sea-bass"}, most}},
			Holds: func(a Answers) error {
				two := &a[0].Choices[a[0].rank(onRig("high-low"))]
				return all(want(onRig("spoon-hover", "high-low")(&a[0].Choices[0]), "%s", a[0].Choices[0].Sentence),
					want(strings.HasPrefix(two.Card.Hook, "1 "), "%s", two.Card.Hook),
					a[0].everyone(func(c *advise.Choice) bool {
						return !strings.Contains(c.Retrieve, "turns in 10 s") || !onRig("spoon-hover", "high-low", "vertical-jig")(c)
					}, "a pace in turns straight down"))
			}},
		{ID: "24", Situation: "Black seabream over broken ground, the tide running 0.6 m/s, and at slack water",
			Expected: "Trotted down-tide with 2 to 3 oz less than would hold; at slack water not; leader and hook for a small mouth",
			Asked: []Asked{{"running", broken(0.5, 0.6), []string{"black-seabream"}, most}, {"slack", broken(0.01, 0.6),
				[]string{"black-seabream"}, most}},
			Holds: func(a Answers) error {
				c, slack := &a[0].Choices[0], &a[1].Choices[0]
				small := strings.HasPrefix(c.Card.Hook, "2 ") || strings.HasPrefix(c.Card.Hook, "4 ") || strings.HasPrefix(c.Card.Hook,
					"6 ")
				return all(want(style(c) == "paternoster/drift", "%s", c.Sentence),
					want(strings.Contains(c.Card.Cast, "Down-tide"), "%s", c.Card.Cast),
					want(style(slack) != "paternoster/drift", "at slack: %s", slack.Sentence),
					want(small && c.Card.LeaderN < 16*pound, "%s, %s", c.Card.Hook, c.Card.Leader),
					want(strings.Contains(c.Card.Groundbait, "up-tide"), "no groundbait: %q", c.Card.Groundbait))
			}},
		{ID: "25", Situation: "White perch in a river bend at 11 °C in March",
			Expected: "Two 1/32 oz heads with a split-tail grub tipped with grass shrimp; a leader of a few pounds",
			Asked:    []Asked{{"March", bend, []string{"white-perch"}, most}},
			Holds: func(a Answers) error {
				c := &a[0].Choices[0]
				return all(want(offering("split-tail-grub")(c) && onRig("light-tandem")(c), "%s", c.Sentence),
					want(c.Card.LeaderN < 8.5*pound, "%s", c.Card.Leader),
					want(math.Abs(c.Card.WeightKg/ounce-1.0/32) < 0.002, "%s", c.Card.Weight))
			}},
		{ID: "26", Situation: "Red drum seen tailing on a flat; black drum tailing; a big trout cruising; a red drum seen where none lives",
			Expected: "Cast to the fish: what is offered is small and free, lands beyond and ahead, crosses 15 to 30 cm before the nose; " +
				"black drum within 15 cm; nothing is said of hardly a place",
			Asked: []Asked{{"red", sighted("fish tailing"), []string{"red-drum"}, most}, {"black", sighted("fish tailing"),
				[]string{"black-drum"}, most}, {"trout", sighted("fish cruising"), []string{"trophy-seatrout"}, most},
				{"elsewhere", with(rough, func(s *Shore) { s.Signs = []string{"fish showing"} }), []string{"red-drum"}, most}},
			Holds: func(a Answers) error {
				quiet := func(t *Told) error {
					c := &t.Choices[0]
					free := onRig("free-line", "weedless-hook", "jig-head", "plain-leader", "light-tandem")
					return want(free(c) && c.Card.WeightKg < 0.0075, "%s: %s", t.Label, c.Sentence)
				}
				says := func(t *Told, part string) error {
					return want(strings.Contains(t.Choices[0].Card.Cast, part), "%s: %s", t.Label, t.Choices[0].Card.Cast)
				}
				return all(quiet(&a[0]), quiet(&a[1]), quiet(&a[2]), says(&a[0], "beyond it and ahead"),
					says(&a[0], "15 cm to 30 cm before its nose"), says(&a[1], "within 15 cm of its nose"), says(&a[2], "on its path"),
					want(!strings.Contains(a[3].reasons(), "ardly a place"), "%s", a[3].reasons()))
			}},
		{ID: "27", Situation: "Kokanee marked at 10 m and at 14 m over 22 m, no current",
			Expected: "Fished at 9 to 10 m; a third of an ounce of metal will do; reel turns from the bottom told; the next level named",
			Asked:    []Asked{{"10 m", lake(10, 14), []string{"kokanee"}, most}},
			Holds: func(a Answers) error {
				c := &a[0].Choices[0]
				return all(want(c.DepthM >= 9 && c.DepthM <= 10, "%s at %.1f m", c.Sentence, c.DepthM),
					want(c.Card.WeightKg < 0.4*ounce, "%s", c.Card.Weight),
					want(strings.Contains(c.Retrieve, "turns up") && strings.Contains(c.Retrieve, "next level, 14"), "%s", c.Retrieve),
					want(strings.Contains(a[0].reasons(), "+ At the level they show at"), "%s", a[0].reasons()))
			}},
		{ID: "28", Situation: "Chinook, a pod on the sounder at 11 m; and nothing on it",
			Expected: "Subtle lift and fall beside it; wait on the lane when nothing shows",
			Asked:    []Asked{{"11 m", lane(11), []string{"chinook-salmon"}, 3}, {"nothing", lane(), []string{"chinook-salmon"}, 3}},
			Holds: func(a Answers) error {
				c := &a[0].Choices[0]
				return all(want(c.Card.Style == "lift" && c.DepthM > 10 && c.DepthM <= 11, "%s, %s, at %.1f m", c.Sentence, c.Card.Style,
					c.DepthM), want(strings.Contains(a[1].reasons(), "wait for them"), "%s", a[1].reasons()))
			}},
		{ID: "27a", Situation: "Black sea bass marked at 3 m over 14 m of rough ground",
			Expected: "What has its lead on the bottom, or taps it, stays there; no turns up are told of it",
			Asked:    []Asked{{"3 m", with(rough, func(s *Shore) { s.Levels = []float64{3} }), []string{"black-sea-bass"}, most}},
			Holds: func(a Answers) error {
				return a[0].everyone(func(c *advise.Choice) bool {
					return !onRig("high-low", "spoon-hover", "fish-finder")(c) || c.DepthM > 13.9 && !strings.Contains(c.Retrieve,
						"turns up")
				}, "a bottom rig in mid-water")
			}},
		{ID: "29", Situation: "Big seatrout at 9 °C in 2 m; and in autumn at 19 °C at dawn",
			Expected: "Small, slow, long pauses, to 10 s; at dawn a surface plug or a large profile, a missed strike answered at once " +
				"with a faster cadence or a soft bait behind",
			Asked: []Asked{{"9 °C", trout(1, 11, 9), []string{"trophy-seatrout"}, most}, {"dawn", trout(10, 6, 19),
				[]string{"trophy-seatrout"}, most}},
			Holds: func(a Answers) error {
				lure := func(c *advise.Choice) bool { return c.Card.Approach == "lure" }
				cold := &a[0].Choices[a[0].rank(func(c *advise.Choice) bool { return lure(c) && c.Card.Pause != "" })]
				dawn := &a[1].Choices[a[1].rank(lure)]
				top := offering("walking-plug", "dark-walking-plug")
				plug := &a[1].Choices[a[1].rank(top)]
				return all(want(seconds(cold.Card.Pause) >= 6, "%s: %s", cold.Sentence, cold.Retrieve),
					want(top(dawn) || offering("twitch-bait-natural", "finger-mullet", "pinfish")(dawn), "%s", dawn.Sentence),
					want(strings.Contains(plug.Retrieve+plug.Card.Refused, "soft bait"), "%s %s", plug.Retrieve, plug.Card.Refused))
			}},
		{ID: "30", Situation: "A dock in 2.5 m at 10 °C, red and black drum",
			Expected: "On the bottom, not at half depth",
			Asked:    []Asked{{"red drum", dock, []string{"red-drum"}, 3}, {"black drum", dock, []string{"black-drum"}, 3}},
			Holds: func(a Answers) error {
				for _, t := range a {
					if c := &t.Choices[0]; c.DepthM < 2.3 {
						return want(false, "%s at %.1f m", c.Sentence, c.DepthM)
					}
				}
				return nil
			}},
		{ID: "31", Situation: "Red drum across 0.7 m/s on a fish-finder rig; a split shot in 0.9 m/s",
			Expected: "Ounces that hold by the bench's own reckoning, or another rig; the split shot is ruled out",
			Asked:    []Asked{{"0.7 m/s", across(0.7), []string{"red-drum"}, most}, {"0.9 m/s", strong, []string{"red-drum"}, most}},
			Holds: func(a Answers) error {
				ff := onRig("fish-finder")
				run, _ := a[0].Moment.Current()
				l, err := tackle.LeadPlace{CurrentMS: math.Abs(run), LineDiameterM: tackle.UsualLine, LineLengthM: 30, DepthM: 2.7,
					Sinker: tackle.EggSinker}.Lead()
				if err != nil {
					return err
				}
				if i := a[0].rank(ff); i < len(a[0].Choices) && (a[0].Choices[i].Card.WeightKg < l.HoldKg*0.93 || l.HoldKg < 3*ounce) {
					return want(false, "%s where the bench asks %.0f g", a[0].Choices[i].Sentence, l.HoldKg*1000)
				}
				return a[1].everyone(func(c *advise.Choice) bool { return !onRig("split-shot")(c) }, "a split shot")
			}},
	}
}

// seconds of a pause as it is written; 0 where none is.
func seconds(text string) float64 {
	n := 0.0
	for _, r := range text {
		if r < '0' || r > '9' {
			break
		}
		n = n*10 + float64(r-'0')
	}
	return n
}
