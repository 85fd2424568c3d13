package cases

import "strings"

func others() []Case {
	bar := oysterBar(5, 11, seen{water: 21, clear: 1})
	all4 := []string{"red-drum", "spotted-seatrout", "trophy-seatrout", "sea-catfish"}
	dolphins := with(grassFlat(7, 11, seen{water: 28, clear: 1.5, wind: 3}), func(s *Shore) { s.Signs = []string{"dolphins"} })
	return []Case{
		{
			ID: "42", Situation: "Dolphins on the flat in July; and a red drum's flat in July and in January without",
			Expected: "A few minutes at the nearest structure, then go; no winter school in July",
			Asked: []Asked{{"dolphins", dolphins, []string{"red-drum"}, 3}, {"July", mudFlat(7, 11, seen{water: 28}),
				[]string{"red-drum"}, 3},
				{"January", mudFlat(1, 11, seen{water: 9}), []string{"red-drum"}, 3}},
			Holds: func(a Answers) error {
				winter := func(t *Told) bool { return strings.Contains(t.Stay, "winter school") }
				return all(want(strings.Contains(a[0].Stay, "nearest structure"), "%s", a[0].Stay), want(!winter(&a[1]), "%s", a[1].Stay),
					want(winter(&a[2]), "%s", a[2].Stay))
			},
		},
		{ID: "43", Situation: "Expected catch a rod-hour over several targets at an oyster bar",
			Expected: "A rare fish shows a low rate even at a high edge",
			Asked:    []Asked{{"May", bar, all4, most}},
			Holds: func(a Answers) error {
				rare, many := 0.0, 0.0
				for _, c := range a[0].Choices {
					switch c.Target.ID {
					case "trophy-seatrout":
						rare = max(rare, c.Catch.Median/c.Edge.Value)
					case "sea-catfish":
						many = max(many, c.Catch.Median/c.Edge.Value)
					}
					if c.Catch.Low > c.Catch.Median/3 || c.Catch.High < c.Catch.Median*3 {
						return want(false, "%s: %.2f–%.2f is surer than anybody is", c.Target.ID, c.Catch.Low, c.Catch.High)
					}
				}
				return want(rare > 0 && rare < many/5, "at one edge %.2f large trout and %.2f catfish", rare, many)
			}},
	}
}
