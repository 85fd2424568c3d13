package kit

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/core/tackle"
	"greypebble/core/words"
)

// Kind of thing owned.
type Kind string

// Kinds, in the order of the line from the hand to the fish.
const (
	Rod    Kind = "rod"
	Reel   Kind = "reel"
	Line   Kind = "line"
	Leader Kind = "leader"
	Sinker Kind = "sinker"
	Head   Kind = "head"
	Hook   Kind = "hook"
	Lure   Kind = "lure"
	Bait   Kind = "bait"
)

// Kinds that exist.
var Kinds = []Kind{Rod, Reel, Line, Leader, Sinker, Head, Hook, Lure, Bait}

// Item owned. Which numbers mean something depends on its kind.
type Item struct {
	ID   string
	Kind Kind
	Name string
	// Offering of the playbook a lure or bait is one of.
	Offering string
	// LengthM of a rod, a lure, or the line on a spool.
	LengthM float64
	// WeightKg of a sinker, head or lure; RatedKg, the casting weight a rod is made
	// for.
	WeightKg, RatedKg float64
	// Ratio and SpoolM of a reel: gear ratio and the line's diameter on the spool;
	// TurnM, what a turn was measured to bring in, goes before both.
	Ratio, SpoolM, TurnM float64
	// DiameterM and BreakN of a line.
	DiameterM, BreakN float64
	// Material of a line: mono, fluorocarbon, braid, wire.
	Material string
	// Size and Pattern of a hook ("3/0", circle), Pattern of a sinker (egg, bank,
	// pyramid, grip).
	Size, Pattern string
	// RatedM a plug dives to, FallMS a timed fall, Finish of a lure.
	RatedM, FallMS float64
	Finish         string
	// SnagProof hooks or lures may go over shell and timber.
	SnagProof bool
	// InHand: with you today. What is at home is owned, but not to be had.
	InHand bool
	// Count of them; zero is not said.
	Count int
}

// materials of lines.
var materials = []string{"mono", "fluorocarbon", "braid", "wire"}

// patterns by kind.
var patterns = map[Kind][]string{Hook: {"circle", "J", "weedless", "treble", "double"}, Sinker: {"egg", "bank", "pyramid", "grip"}}

// turnOrRatio is what must be known of a reel.
const turnOrRatio = "turn, or ratio and spool"

// needs of each kind: what must be said for it to be of use.
var needs = map[Kind][]string{
	Rod: {"length"}, Reel: {turnOrRatio}, Line: {"material", "breaking strength"}, Leader: {"material", "breaking strength"},
	Sinker: {"weight", "pattern"}, Head: {"weight"}, Hook: {"size", "pattern"}, Lure: {"offering"}, Bait: {"offering"},
}

// Validate names what is wrong, or missing.
func (i Item) Validate() error {
	bad := func(format string, args ...any) error {
		return fmt.Errorf("kit: %s %q: %s", i.Kind, i.Name, fmt.Sprintf(format, args...))
	}
	if !slices.Contains(Kinds, i.Kind) {
		return fmt.Errorf("kit: unknown kind %q; known are %v", i.Kind, Kinds)
	}
	if n := len([]rune(strings.TrimSpace(i.Name))); n == 0 || n > 80 {
		return fmt.Errorf("kit: a %s needs a name of 1 to 80 letters", i.Kind)
	}
	for _, k := range []struct {
		what        string
		value, most float64
		unit        string
	}{{"length", i.LengthM, 1000, "m"}, {"weight", i.WeightKg, 5, "kg"}, {"casting weight", i.RatedKg, 5, "kg"},
		{"ratio", i.Ratio, 20, ""}, {"spool", i.SpoolM, 0.5, "m"}, {"turn", i.TurnM, 5, "m"}, {"diameter", i.DiameterM, 0.005, "m"},
		{"breaking strength", i.BreakN, 5000, "N"}, {"rated depth", i.RatedM, 15, "m"},
		{"fall", i.FallMS, 5, "m/s"}, {"count", float64(i.Count), 10_000, ""}} {
		if math.IsNaN(k.value) || k.value < 0 || k.value > k.most {
			return bad(words.MustBeBetween0AndNot, k.what, k.most, k.unit, k.value)
		}
	}
	if i.Material != "" && !slices.Contains(materials, i.Material) {
		return bad(words.UnknownMaterialKnownAre, i.Material, strings.Join(materials, ", "))
	}
	if known := patterns[i.Kind]; i.Pattern != "" && !slices.Contains(known, i.Pattern) {
		return bad(words.UnknownPatternKnownAre, i.Pattern, strings.Join(known, ", "))
	}
	for _, what := range needs[i.Kind] {
		if !i.says(what) {
			return bad(words.NeedsIts, what)
		}
	}
	return nil
}

func (i Item) says(what string) bool {
	switch what {
	case "length":
		return i.LengthM > 0
	case turnOrRatio:
		return i.Turn() > 0
	case "material":
		return i.Material != ""
	case "breaking strength":
		return i.BreakN > 0
	case "weight":
		return i.WeightKg > 0
	case "pattern":
		return i.Pattern != ""
	case "size":
		return i.Size != ""
	}
	return i.Offering != ""
}

// Turn is the line a turn of a reel brings in, metres: as measured, or by ratio and
// spool; zero where neither is known.
func (i Item) Turn() float64 {
	if i.TurnM > 0 {
		return i.TurnM
	}
	l, err := tackle.TurnLength(i.Ratio, i.SpoolM)
	if err != nil {
		return 0
	}
	return l
}
