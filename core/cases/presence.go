package cases

import (
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
)

type seen = map[conditions.Kind]float64

// days of the same water before the moment, one a day.
func days(n int, is ...seen) []Day {
	var out []Day
	for i := range n {
		out = append(out, Day{time.Duration(i+1) * 24 * time.Hour, is[min(i, len(is)-1)]})
	}
	return out
}

const (
	water  = conditions.WaterTemp
	air    = conditions.AirTemp
	clear  = conditions.Clarity
	wind   = conditions.WindSpeed
	from   = conditions.WindFrom
	cloud  = conditions.Cloud
	swell  = conditions.SwellHeight
	period = conditions.SwellPeriod
	rain   = conditions.Rain
)

func mudFlat(month time.Month, hour int, is seen) Shore {
	return Shore{Place: "mud flat", Manner: ground.Kayak, Time: On(month, 15, hour), Elapsed: 0.6, Seen: is,
		Marks: []Mark{{"Flat", ground.Flat, "mud", 0.5, 10}, {"Mud edge", ground.EdgeMark, "mud", 0.9, 60}, {"Hole", ground.Hole, "mud",
			4, 90}}}
}

func oysterBar(month time.Month, hour int, is seen) Shore {
	return Shore{Place: "oyster bar", Manner: ground.Kayak, Time: On(month, 15, hour), Elapsed: 0.5, Seen: is,
		Marks: []Mark{{"Crest", ground.Crest, "shell", 0.4, 10}, {"Edge", ground.EdgeMark, "shell", 1, 30}, {"Channel", ground.Channel,
			"mud",
			2.5, 70}}}
}

func grassFlat(month time.Month, hour int, is seen) Shore {
	return Shore{Place: "grass flat", Manner: ground.Kayak, Time: On(month, 15, hour), Elapsed: 0.5, Seen: is,
		Marks: []Mark{{"Grass", ground.Flat, "grass", 1.2, 10}, {"Pothole", ground.Hole, "sand", 1.7, 40}}}
}

func canal(low bool, is seen) Shore {
	s := Shore{Place: "dug canal", Manner: ground.Kayak, Time: On(1, 15, 12), Elapsed: 0.1, Seen: is,
		Marks: []Mark{{"First drop", ground.Step, "mud", 1, 5}, {"Second drop", ground.Step, "mud", 2, 9}, {"Middle", ground.Channel,
			"mud", 3,
			15}}}
	if !low {
		s.Elapsed = 0.9
	}
	return s
}

func with(s Shore, change func(*Shore)) Shore {
	change(&s)
	return s
}

const most = 60

func presence() []Case {
	cold, mild := seen{water: 2, air: 2, wind: 1, cloud: 0.5}, seen{water: 16, air: 16, wind: 1, cloud: 0.5}
	bright := seen{water: 11, air: 14, wind: 1, cloud: 0, clear: 1}
	dull := seen{water: 11, air: 11, wind: 1, cloud: 1, clear: 1}
	snap := with(mudFlat(1, 12, seen{water: 9, air: 5, wind: 4, cloud: 0.2}), func(s *Shore) {
		s.Days = days(4, seen{water: 13.5}, seen{water: 18}, seen{water: 18})
	})
	trout := func(c float64) Shore {
		return grassFlat(3, 11, seen{water: c, air: 15, clear: 1.5, wind: 3, cloud: 0.5})
	}
	bank := func(c float64) Shore {
		return Shore{Place: "overhung bank", Manner: ground.Kayak, Time: On(10, 15, 10), Elapsed: 0.6, Seen: seen{water: c, clear: 1.2},
			Marks: []Mark{{"Pocket", ground.Pocket, "mud", 0.8, 5}, {"Foot of the bank", ground.EdgeMark, "mud", 1.4, 12}}}
	}
	reef := func(month time.Month, day int, c float64) Shore {
		return Shore{Place: "reef", Manner: ground.Boat, Time: On(month, day, 12), Elapsed: 0.5, RunMS: 0.6, Seen: seen{water: c, clear: 3},
			Marks: []Mark{{"Rough ground", ground.Rock, "rock", 12, 10}, {"Reef edge", ground.EdgeMark, "rock", 16, 60}}}
	}
	harbour := func(mm float64) Shore {
		s := Shore{Place: "harbour mouth", Manner: ground.Boat, Time: On(9, 15, 12), Elapsed: 0.5, Seen: seen{water: 12, clear: 2,
			rain: mm},
			Marks: []Mark{{"Lane", ground.Channel, "sand", 11, 30}, {"Wall", ground.EdgeMark, "rock", 4, 5}}}
		s.Days = []Day{{3 * time.Hour, seen{rain: 0}}, {6 * time.Hour, seen{rain: 0}}}
		return s
	}
	signs := func(s ...string) Shore {
		return with(oysterBar(5, 11, seen{water: 20, clear: 1}), func(o *Shore) { o.Signs = s })
	}
	hard := seen{water: 10.5, air: 6, cloud: 0, wind: 3, clear: 0.8}
	ranged := func(m, elapsed float64) Shore {
		return with(oysterBar(5, 11, seen{water: 20, clear: 1}), func(o *Shore) { o.RangeM, o.Elapsed = m, elapsed })
	}
	one := []string{"red-drum"}
	return []Case{
		{ID: "1", Situation: "Red drum, mud flat beside a 4 m hole, January, calm, air and water 2 °C; and at 16 °C",
			Expected: "Poor everywhere, worse on the flat than in the hole, no tackle makes it look good; at 16 °C at least three " +
				"times that",
			Asked: []Asked{{"2 °C", mudFlat(1, 12, cold), one, most}, {"16 °C", mudFlat(1, 12, mild), one, most}},
			Holds: func(a Answers) error {
				return all(want(a[0].edge() < 0.5, "×%.2f at 2 °C", a[0].edge()),
					want(a[0].Choices[0].Card.Mark == "Hole", "the %s and not the hole", a[0].Choices[0].Card.Mark),
					want(a[0].on("Flat") < a[0].on("Hole"), "the flat ×%.2f, the hole ×%.2f", a[0].on("Flat"), a[0].on("Hole")),
					want(a[1].edge() >= 3*a[0].edge(), "×%.2f at 16 °C", a[1].edge()))
			}},
		{ID: "2", Situation: "The same place, 11 °C, one sunny calm day after a week of cold: at nine and at three; overcast; and " +
			"after a " +
			"snap from 18 to 9 °C",
			Expected: "The flat beside the hole gains on the hole as the sun works; overcast it does not; after the snap the hole",
			Asked: []Asked{{"sunny, nine", mudFlat(1, 9, bright), one, most}, {"sunny, three", mudFlat(1, 15, bright), one, most},
				{"overcast, nine", mudFlat(1, 9, dull), one, most}, {"overcast, three", mudFlat(1, 15, dull), one, most},
				{"after the snap", snap,
					one, most}},
			Holds: func(a Answers) error {
				gain := func(early, late Told) float64 {
					return late.beside("Mud edge", "Hole") / early.beside("Mud edge", "Hole")
				}
				sun, none := gain(a[0], a[1]), gain(a[2], a[3])
				return all(want(sun > 1.2, "the edge gains ×%.2f in the sun", sun), want(none < 1.05, "the edge gains ×%.2f under cloud",
					none),
					want(a[4].Choices[0].Card.Mark == "Hole", "after the snap the %s", a[4].Choices[0].Card.Mark))
			}},
		{ID: "3", Situation: "Spotted seatrout at 5, 10 and 19 °C, same place and tide",
			Expected: "Rising; at 5 °C small and slow is first of what to tie on",
			Asked: []Asked{{"5 °C", trout(5), []string{"spotted-seatrout"}, 3}, {"10 °C", trout(10), []string{"spotted-seatrout"}, 3},
				{"19 °C", trout(19), []string{"spotted-seatrout"}, 3}},
			Holds: func(a Answers) error {
				c := &a[0].Choices[0]
				small := strings.Contains("live-shrimp cut-shrimp mud-minnow small-paddle-tail shrimp-shape glow-shrimp", c.Card.OfferingID)
				return all(want(a[0].edge() < a[1].edge() && a[1].edge() < a[2].edge(), "×%.2f, ×%.2f, ×%.2f", a[0].edge(), a[1].edge(),
					a[2].edge()),
					want(small && c.Card.SpeedMS <= 0.3, "%s", c.Sentence))
			}},
		{ID: "4", Situation: "Snook under a bank at 27 °C and at 10 °C", Expected: "Less than a third at 10 °C",
			Asked: []Asked{{"27 °C", bank(27), []string{"snook"}, 3}, {"10 °C", bank(10), []string{"snook"}, 3}},
			Holds: func(a Answers) error {
				return want(a[1].edge() < a[0].edge()/3, "×%.2f and ×%.2f", a[0].edge(), a[1].edge())
			}},
		{ID: "5", Situation: "Several targets at an oyster bar in May, yellow perch and kokanee among them, in warm and in cold water",
			Expected: "Those that do not live there never lead",
			Asked: []Asked{{"20 °C", oysterBar(5, 11, seen{water: 20, clear: 1}), []string{"kokanee", "yellow-perch", "red-drum",
				"spotted-seatrout"}, 12},
				{"8 °C", oysterBar(5, 11, seen{water: 8, clear: 1}), []string{"kokanee", "yellow-perch", "red-drum", "spotted-seatrout"},
					12}},
			Holds: func(a Answers) error {
				for _, t := range a {
					for _, id := range []string{"kokanee", "yellow-perch"} {
						if t.Choices[0].Target.ID == id || t.of(id) >= 1 {
							return want(false, "%s: %s leads or is ×%.2f", t.Label, id, t.of(id))
						}
					}
				}
				return nil
			}},
		{ID: "6", Situation: "Black seabream on a reef in July, in late December, in February and in late March",
			Expected: "July clearly better; last fish in December, arrival in March",
			Asked: []Asked{{"July", reef(7, 15, 17), []string{"black-seabream"}, 3}, {"late December", reef(12, 27, 12),
				[]string{"black-seabream"}, 3},
				{"February", reef(2, 15, 10), []string{"black-seabream"}, 3}, {"late March", reef(3, 25, 11), []string{"black-seabream"},
					3}},
			Holds: func(a Answers) error {
				return all(want(a[0].edge() > 1.5*a[1].edge(), "July ×%.2f, December ×%.2f", a[0].edge(), a[1].edge()),
					want(a[2].edge() < a[1].edge()/2 && a[2].edge() < a[3].edge()/2, "February ×%.2f, December ×%.2f, March ×%.2f",
						a[2].edge(),
						a[1].edge(),
						a[3].edge()))
			}},
		{ID: "7", Situation: "Chinook in a harbour lane in September, dry, and after 12 mm of rain today",
			Expected: "Not better than dry; the note says they have reason to run up the river; no cold water in spring",
			Asked:    []Asked{{"dry", harbour(0), []string{"chinook-salmon"}, 3}, {"rain", harbour(12), []string{"chinook-salmon"}, 3}},
			Holds: func(a Answers) error {
				return all(want(a[1].edge() <= a[0].edge(), "dry ×%.2f, rain ×%.2f", a[0].edge(), a[1].edge()),
					want(strings.Contains(a[1].Note, "up the river"), "the note says %q", a[1].Note),
					want(!strings.Contains(a[0].reasons()+a[1].reasons(), "spring"), "spring in September"))
			}},
		{ID: "8", Situation: "Signs one after another: birds, a slick, nervous bait; dolphins, boats, a crowd",
			Expected: "Never lower with one more good sign, never higher with one more bad one",
			Asked: []Asked{{"none", signs(), one, 1}, {"birds", signs("birds"), one, 1}, {"and a slick", signs("birds", "slick"), one, 1},
				{"and nervous bait", signs("birds", "slick", "nervous bait"), one, 1}, {"dolphins", signs("dolphins"), one, 1},
				{"and boats", signs("dolphins", "boats"), one, 1}, {"and a crowd", signs("dolphins", "boats", "crowd"), one, 1}},
			Holds: func(a Answers) error {
				for i := 1; i <= 3; i++ {
					if a[i].edge() <= a[i-1].edge() {
						return want(false, "%s ×%.2f after ×%.2f", a[i].Label, a[i].edge(), a[i-1].edge())
					}
				}
				for i, before := range map[int]int{4: 0, 5: 4, 6: 5} {
					if a[i].edge() >= a[before].edge() {
						return want(false, "%s ×%.2f after ×%.2f", a[i].Label, a[i].edge(), a[before].edge())
					}
				}
				return nil
			}},
		{ID: "9", Situation: "Largemouth and red drum in a dug canal, January, 10.5 °C, hard blue sky, at low and at high water",
			Expected: "Low water better than high for both; no low winter water at high water",
			Asked: []Asked{{"drum, low", canal(true, hard), one, 3}, {"drum, high", canal(false, hard), one, 3},
				{"largemouth, low", canal(true, hard), []string{"largemouth-bass"}, 3}, {"largemouth, high", canal(false, hard),
					[]string{"largemouth-bass"}, 3}},
			Holds: func(a Answers) error {
				return all(want(a[0].edge() > a[1].edge(), "drum: low ×%.2f, high ×%.2f", a[0].edge(), a[1].edge()),
					want(a[2].edge() > a[3].edge(), "largemouth: low ×%.2f, high ×%.2f", a[2].edge(), a[3].edge()),
					want(strings.Contains(a[0].reasons(), "Low winter water"), "low winter water is not said:\n%s", a[0].reasons()),
					want(!strings.Contains(a[1].reasons(), "ow winter water"), "low winter water at high water"))
			}},
		{ID: "10", Situation: "Slack between tides at an oyster bar",
			Expected: "Poorer, not hopeless, with the words that going when one can is respected",
			Asked: []Asked{{"slack", with(oysterBar(5, 11, seen{water: 20, clear: 1}), func(s *Shore) { s.Elapsed = 0.005 }), one, 3},
				{"moving", oysterBar(5, 11, seen{water: 20, clear: 1}), one, 3}},
			Holds: func(a Answers) error {
				return all(want(a[0].edge() < a[1].edge() && a[0].edge() > a[1].edge()/3, "slack ×%.2f, moving ×%.2f", a[0].edge(),
					a[1].edge()),
					want(strings.Contains(a[0].reasons(), "respected"), "it is not said:\n%s", a[0].reasons()))
			}},
		{ID: "11", Situation: "A place with a spring range of 0.3 m in the middle of its flood; one with 8 m an hour after low",
			Expected: "The middle of the flood counts as moving; an hour after low is not yet a race",
			Asked: []Asked{{"0.3 m, middle", ranged(0.3, 0.5), one, 3}, {"8 m, an hour after low", ranged(8, 0.16), one, 3},
				{"8 m, middle", ranged(8, 0.5), one, 3}},
			Holds: func(a Answers) error {
				return all(want(strings.Contains(a[0].reasons(), "+ The water is moving"), "not moving:\n%s", a[0].reasons()),
					want(a[1].Choices[0].Edge.Parts[1] < a[2].Choices[0].Edge.Parts[1], "feeding ×%.2f and ×%.2f",
						a[1].Choices[0].Edge.Parts[1],
						a[2].Choices[0].Edge.Parts[1]))
			}},
	}
}

// beside another mark, how many times as good one is.
func (t *Told) beside(mark, other string) float64 { return t.on(mark) / t.on(other) }
