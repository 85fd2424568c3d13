package cases

func others() []Case {
	bar := oysterBar(5, 11, seen{water: 21, clear: 1})
	all4 := []string{"red-drum", "spotted-seatrout", "trophy-seatrout", "sea-catfish"}
	return []Case{
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
