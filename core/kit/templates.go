package kit

import "greypebble/core/tackle"

const (
	ounce  = 0.028349523125
	poundN = 4.4482216152605
)

// Templates are the things people commonly own, to start from; numbers are common
// practice, no source. Their ids are empty.
func Templates() []Item {
	rod := func(name string, length, rated float64) Item {
		return Item{Kind: Rod, Name: name, LengthM: length, RatedKg: rated}
	}
	line := func(kind Kind, name, material string, pounds, mm float64) Item {
		return Item{Kind: kind, Name: name, Material: material, BreakN: pounds * poundN, DiameterM: mm / 1000}
	}
	list := []Item{
		rod("Light spinning rod, 1.7 m", 1.7, 0.007), rod("Medium spinning rod, 2.2 m", 2.2, 0.02), rod("Plug rod, 2.6 m", 2.6, 0.04),
		rod("Surf rod, 3.6 m", 3.6, 0.14), rod("Boat rod, 2.1 m", 2.1, 0.2),
		{Kind: Reel, Name: "2500 fixed spool", TurnM: 0.7}, {Kind: Reel, Name: "4000 fixed spool", TurnM: 0.85},
		{Kind: Reel, Name: "Common fixed spool", TurnM: tackle.TypicalTurn},
		line(Line, "10 lb braid", "braid", 10, 0.16), line(Line, "20 lb braid", "braid", 20, 0.22),
		line(Line, "30 lb braid", "braid", 30, 0.28),
		line(Line, "12 lb mono", "mono", 12, 0.33), line(Line, "20 lb mono", "mono", 20, 0.43),
		line(Leader, "20 lb fluorocarbon", "fluorocarbon", 20, 0.40), line(Leader, "30 lb fluorocarbon", "fluorocarbon", 30, 0.50),
		line(Leader, "40 lb mono", "mono", 40, 0.60), line(Leader, "50 lb fluorocarbon", "fluorocarbon", 50, 0.65),
		line(Leader, "40 lb wire", "wire", 40, 0.4),
	}
	for _, s := range []struct {
		name, pattern string
		ounces        float64
	}{{"½ oz egg sinker", "egg", 0.5}, {"1 oz egg sinker", "egg", 1}, {"2 oz pyramid", "pyramid", 2}, {"2 oz bank lead", "bank", 2},
		{"3 oz bank lead", "bank", 3}, {"4 oz grip lead", "grip", 4}} {
		list = append(list, Item{Kind: Sinker, Name: s.name, Pattern: s.pattern, WeightKg: s.ounces * ounce})
	}
	for _, h := range []struct {
		name   string
		ounces float64
	}{{"1/32 oz head", 1.0 / 32}, {"1/8 oz head", 0.125}, {"3/16 oz head", 0.1875}, {"1/4 oz head", 0.25}, {"3/8 oz head", 0.375},
		{"1/2 oz head", 0.5}} {
		list = append(list, Item{Kind: Head, Name: h.name, WeightKg: h.ounces * ounce})
	}
	for _, h := range [][2]string{{"circle", "1"}, {"circle", "1/0"}, {"circle", "2/0"}, {"circle", "3/0"}, {"J", "4"}, {"J", "1"},
		{"J", "1/0"}, {"J", "3/0"}, {"weedless", "3/0"}} {
		list = append(list, Item{Kind: Hook, Name: h[1] + " " + h[0] + " hook", Pattern: h[0], Size: h[1], SnagProof: h[0] == "weedless"})
	}
	return list
}
