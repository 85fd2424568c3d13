package playbook

import (
	"greypebble/core/ground"
	"slices"
	"strconv"
	"strings"

	"greypebble/core/quantity"
	"greypebble/core/tackle"
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
	// Holds its lead against the current, up to the heaviest such a rig carries; others roll or hang.
	Holds      bool
	HeaviestKg float64
	// Ways to move it; Bite says what a bite is like, Refused what to change first
	// when it is refused, Tip how to hold the rod.
	Ways               []Way
	Bite, Refused, Tip string
	// Pieces from the main line down, as drawn on its card.
	Pieces []Piece
	bit    Set
}

// Way of moving a rig.
type Way struct {
	// Style is one of [Styles]; Move says it, with {strike} where the hook decides
	// between striking and winding.
	Style, Move string
	// Cadence in the bench's written form, with {pause}; empty for what lies still.
	Cadence string
}

// usualWaterC is the water a cadence is shown for where none is known, °C.
const usualWaterC = 18

// CadenceFor a pause of so many seconds.
func (w *Way) CadenceFor(pauseS float64) string {
	return strings.ReplaceAll(w.Cadence, "{pause}", strconv.FormatFloat(pauseS, 'f', -1, 64))
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

// PieceKinds a rig is made of.
var PieceKinds = []string{"main line", "doubled line", "leader", "swivel", "sinker", "bead", "float", "stop knot", "split shot", "hook",
	"bait hook", "head", "lure", "dropper", "loop", "teaser"}

// hookPatterns as they are sold.
var hookPatterns = []string{"circle", "J", "weedless", "treble", "double"}

// sinkers a rig may carry.
var sinkerShapes = []string{"egg", "bank", "pyramid", "grip"}

// Trolled says that it is pulled behind a boat, whichever way.
func (r *Rig) Trolled() bool {
	return !slices.ContainsFunc(r.Ways, func(w Way) bool { return w.Style != "troll" })
}

// UsedAt says whether the rig is used at a kind of place.
func (r *Rig) UsedAt(place string) bool {
	return len(r.places) == 0 || slices.Contains(r.places, place)
}

func (b *Book) readRig(n node) error {
	r := n.reader("id", "name", "short", "column", "snag_safe", "min_depth", "max_depth", "weight", "head", "head_weight", "vertical",
		"float", "places", "hook", "size", "leader", "sinker", "holds", "heaviest", "ways", "bite", "refused", "tip", "parts")
	rig := Rig{ID: r.text("id"), Name: r.text("name"), Short: r.text("short"), Column: r.word("column", "column", Columns),
		SnagSafe: r.flag("snag_safe"), MinDepthM: r.quantity("min_depth", quantity.Length, true),
		MaxDepthM: r.quantity("max_depth", quantity.Length, true), WeightKg: r.quantity("weight", quantity.Mass, false),
		Head: r.flag("head"), HeadKg: r.quantity("head_weight", quantity.Mass, false), Vertical: r.flag("vertical"),
		FloatM: r.quantity("float", quantity.Length, false),
		places: r.words("places", "kind of place", ground.Places, false), HookPattern: r.maybeWord("hook", "hook", hookPatterns),
		HookSize: r.maybe("size"),
		LeaderM:  r.quantity("leader", quantity.Length, false), Sinker: r.maybeWord("sinker", "sinker", sinkerShapes),
		Holds: r.flag("holds"), HeaviestKg: r.quantity("heaviest", quantity.Mass, false),
		Bite: r.text("bite"), Refused: r.text("refused"), Tip: r.maybe("tip"),
		Ways: readAll(r, "ways", readWay), Pieces: readAll(r, "parts", readPiece)}
	r.unique(rig.ID, b.rigIDs())
	switch {
	case r.err != nil:
		return r.err
	case rig.MaxDepthM <= rig.MinDepthM:
		return n.errorf("rig %q: max_depth must exceed min_depth", rig.ID)
	case rig.Holds != (rig.HeaviestKg > 0) || rig.Holds && rig.HeaviestKg < rig.WeightKg:
		return n.errorf("rig %q: a rig that holds needs a heaviest lead, no less than its weight, and no other has one", rig.ID)
	case len(rig.Ways) == 0 || len(rig.Pieces) == 0:
		return n.errorf("rig %q needs at least one way to move it and one part", rig.ID)
	}
	if len(b.Rigs) == mostWords {
		return n.errorf("more than %d rigs", mostWords)
	}
	rig.bit = 1 << len(b.Rigs)
	b.Rigs = append(b.Rigs, rig)
	return nil
}

func readWay(n node) (Way, error) {
	r := n.reader("style", "move", "cadence")
	w := Way{r.word("style", "style", Styles), r.text("move"), r.maybe("cadence")}
	if r.err == nil && w.Cadence != "" {
		if _, err := tackle.ParseCadence(w.CadenceFor(tackle.Pause(usualWaterC))); err != nil {
			return w, n.errorf("%s", strings.TrimPrefix(err.Error(), "tackle: "))
		}
	}
	return w, r.err
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
