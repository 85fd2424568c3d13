package feature

// Sample holds one feature of each kind, for checks against other readers and
// writers of the formats. Its places are invented, on the open ocean.
func Sample() []Feature {
	ele := func(m float64) *float64 { return &m }
	return []Feature{
		{Kind: Point, Name: "Drowned post", Description: "learned at dead low water", Parts: [][]Place{{{Lat: 31.2125, Lon: -45.1375, Ele: ele(-1.5)}}}},
		{Kind: Track, Name: "Ebb drift", Parts: [][]Place{{{Lat: 31.2, Lon: -45.1}, {Lat: 31.201, Lon: -45.1025}}, {{Lat: 31.203, Lon: -45.104}, {Lat: 31.204, Lon: -45.105}}}},
		{Kind: Route, Name: "Way in", Parts: [][]Place{{{Lat: 31.19, Lon: -45.09}, {Lat: 31.195, Lon: -45.095}}}},
		{Kind: Area, Name: "Eelgrass", Parts: [][]Place{{{Lat: 31.2, Lon: -45.2}, {Lat: 31.2, Lon: -45.19}, {Lat: 31.21, Lon: -45.19}, {Lat: 31.21, Lon: -45.2}}}},
	}
}
