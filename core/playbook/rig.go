package playbook

import (
	"cmp"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// Rig joins an offering to the line.
type Rig struct {
	ID, Name string
	// Short names it in a sentence; {weight} and {hook} stand for what was chosen.
	Short string
	// Column of water it fishes: bottom, mid, top.
	Column string
	// SnagSafe rigs may go over shell, timber and rock.
	SnagSafe bool
	// Depth of water it can be used in, metres.
	MinDepthM, MaxDepthM float64
	// WeightKg of sinker; zero where a head is chosen by depth, or there is none.
	WeightKg float64
	// Head says that a jig head or hook weight is chosen by depth; Vertical, that it
	// hangs under the rod and its weight is chosen by depth and current.
	Head, Vertical bool
	// AnyDepth: it is fished at whatever depth one chooses, and so at that of fish that show.
	AnyDepth bool
	// HeadKg is the head's weight where it is always the same, zero otherwise.
	HeadKg float64
	// FloatM is how deep below a float it hangs, zero without one.
	FloatM float64
	// places it is used at; none means all.
	places []string
	// Hook: pattern and size; empty for lures that carry their own.
	HookPattern, HookSize string
	// LeaderM is the leader's length, zero where none is tied.
	LeaderM float64
	// Sinker is its shape, as far as it has one.
	Sinker string
	// Lead is what its lead does in the run, one of [Leads]; empty for rigs without one, or whose lead
	// is the same in any water. HeaviestKg is the most such a rig carries.
	Lead       string
	HeaviestKg float64
	// Point of its hook, one of [Points].
	Point string
	// LeaderBreakN and LeaderOf are the leader's strength in newtons and its material where they are
	// always the same; zero and empty otherwise.
	LeaderBreakN float64
	LeaderOf     string
	// Ways to move it; Bite says what a bite is like, Refused what to change first
	// when it is refused, Tip how to hold the rod.
	Ways               []Way
	Bite, Refused, Tip string
	// Pieces from the main line down, as drawn on its card.
	Pieces []Piece
	// hooks it carries, where that is not a piece each.
	hooks int
	bit   Set
}

// Piece of a rig.
type Piece struct {
	// Kind is one of [PieceKinds].
	Kind string
	// LengthM of a line; of a dropper, how far it stands off.
	LengthM float64
	// Says what to mind of it.
	Says string
	// Slides on the line.
	Slides bool
	// Branch: it hangs off the line here and the line goes on.
	Branch bool
}

// Leads are what a lead does in the run: it holds, it trots away lifted by the water, it rolls along the
// bottom, or it hangs straight down.
var Leads = []string{"holds", "trots", "rolls", "hangs"}

// PieceKinds a rig is made of.
var PieceKinds = []string{"main line", "doubled line", "leader", "swivel", "sinker", "bead", "float", "stop knot", "split shot", "hook",
	"bait hook", "head", "lure", "dropper", "loop", "teaser"}

// hookPatterns as they are sold.
var hookPatterns = []string{"circle", "J", "weedless", "treble", "double"}

// sinkers a rig may carry.
var sinkerShapes = []string{"egg", "bank", "pyramid", "grip"}

// hooked pieces carry a hook each.
var hooked = []string{"hook", "bait hook", "head", "lure", "dropper", "teaser"}

// HookCount on the line: of its pieces, or as it is written where one piece carries more.
func (r *Rig) HookCount() int {
	if r.hooks > 0 {
		return r.hooks
	}
	n := 0
	for _, p := range r.Pieces {
		if slices.Contains(hooked, p.Kind) {
			n++
		}
	}
	return max(n, 1)
}

// Trolled says that it is pulled behind a boat, whichever way.
func (r *Rig) Trolled() bool {
	return !slices.ContainsFunc(r.Ways, func(w Way) bool { return w.Style != "troll" })
}

// UsedAt says whether the rig is used at a kind of place.
func (r *Rig) UsedAt(place string) bool {
	return len(r.places) == 0 || slices.Contains(r.places, place)
}

func (b *Book) readRig(n node) error {
	r := n.reader("id", "name", "short", "column", "any_depth", "snag_safe", "min_depth", "max_depth", "weight", "head", "head_weight",
		"vertical",
		"float", "places", "hook", "size", "leader", "leader_breaks", "leader_of", "point", "sinker", "lead", "heaviest", "ways", "bite",
		"refused", "tip", "parts", "hooks")
	rig := Rig{ID: r.text("id"), Name: r.text("name"), Short: r.text("short"), Column: r.word("column", "column", Columns),
		SnagSafe: r.flag("snag_safe"), AnyDepth: r.flag("any_depth"), MinDepthM: r.quantity("min_depth", quantity.Length, true),
		MaxDepthM: r.quantity("max_depth", quantity.Length, true), WeightKg: r.quantity("weight", quantity.Mass, false),
		Head: r.flag("head"), HeadKg: r.quantity("head_weight", quantity.Mass, false), Vertical: r.flag("vertical"),
		FloatM: r.quantity("float", quantity.Length, false),
		places: r.words("places", "kind of place", ground.Places, false), HookPattern: r.maybeWord("hook", "hook", hookPatterns),
		HookSize: r.maybe("size"),
		LeaderM:  r.quantity("leader", quantity.Length, false), Sinker: r.maybeWord("sinker", "sinker", sinkerShapes),
		Lead: r.maybeWord("lead", "lead", Leads), Point: cmp.Or(r.maybeWord("point", "point", Points), Points[0]),
		LeaderBreakN: r.quantity("leader_breaks", quantity.Mass, false) * quantity.Gravity,
		LeaderOf:     r.maybeWord("leader_of", "material", factWords[Leader].vocabulary), HeaviestKg: r.quantity("heaviest", quantity.Mass,
			false),
		Bite: r.text("bite"), Refused: r.text("refused"), Tip: r.maybe("tip"),
		Ways: readAll(r, "ways", readWay), Pieces: readAll(r, "parts", readPiece)}
	if _, there := r.in["hooks"]; there {
		rig.hooks = int(r.number("hooks"))
	}
	r.unique(rig.ID, b.rigIDs())
	switch {
	case r.err != nil:
		return r.err
	case rig.MaxDepthM <= rig.MinDepthM:
		return n.errorf("rig %q: max_depth must exceed min_depth", rig.ID)
	case (rig.Lead != "") != (rig.HeaviestKg > 0) || rig.HeaviestKg > 0 && rig.HeaviestKg < rig.WeightKg:
		return n.errorf("rig %q: a rig with a lead needs a heaviest one, no less than its weight, and no other has one", rig.ID)
	case len(rig.Ways) == 0 || len(rig.Pieces) == 0:
		return n.errorf("rig %q needs at least one way to move it and one part", rig.ID)
	}
	if len(b.Rigs) == mostWords {
		return n.errorf("more than %d rigs", mostWords)
	}
	for _, says := range rig.texts() {
		if err := quantity.CheckFill(says, "weight", "hook", "leader", "strike"); err != nil {
			return n.errorf("rig %q: %s", rig.ID, trimQuantity(err))
		}
	}
	rig.bit = 1 << len(b.Rigs)
	b.Rigs = append(b.Rigs, rig)
	return nil
}

// texts of the rig, in which measures stand in braces.
func (r *Rig) texts() []string {
	out := []string{r.Short, r.Bite, r.Refused, r.Tip}
	for i := range r.Ways {
		out = append(out, r.Ways[i].Move)
		for _, k := range sortedKeys(r.Ways[i].Over) {
			out = append(out, r.Ways[i].Over[k])
		}
	}
	for i := range r.Pieces {
		out = append(out, r.Pieces[i].Says)
	}
	return out
}

func readPiece(n node) (Piece, error) {
	r := n.reader("part", "length", "says", "slides", "branch")
	p := Piece{r.word("part", "part", PieceKinds), r.quantity("length", quantity.Length, false), r.maybe("says"), r.flag("slides"),
		r.flag("branch")}
	return p, r.err
}

// readAll reads a list of mappings.
func readAll[T any](r *reader, key string, one func(node) (T, error)) []T {
	return read(r, key, true, func(n node) ([]T, error) {
		items, err := n.items()
		if err != nil {
			return nil, err
		}
		out := make([]T, len(items))
		for i, it := range items {
			if out[i], err = one(it); err != nil {
				return nil, err
			}
		}
		return out, nil
	})
}

func (r *reader) maybeWord(key, what string, vocabulary []string) string {
	return read(r, key, false, func(n node) (string, error) { return n.oneOf(what, vocabulary) })
}

// Example of what goes on a rig: the first offering that does; nil where none does.
func (b *Book) Example(r *Rig) *Offering {
	for i := range b.Offerings {
		if slices.Contains(b.Offerings[i].rigs, r.ID) {
			return &b.Offerings[i]
		}
	}
	return nil
}

// Rig by id.
func (b *Book) Rig(id string) (*Rig, bool) {
	for i := range b.Rigs {
		if b.Rigs[i].ID == id {
			return &b.Rigs[i], true
		}
	}
	return nil, false
}
