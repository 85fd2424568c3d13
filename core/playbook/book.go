package playbook

import (
	"embed"
	"fmt"
	"slices"
	"strings"

	"greypebble/core/tackle"
)

// Book is a loaded playbook.
type Book struct {
	Rules     []Rule
	Targets   []Target
	Offerings []Offering
	Rigs      []Rig
	// about holds the rules that speak of a target, by its id.
	about map[string][]int
}

// Target is a species sought.
type Target struct {
	ID, Name, Latin string
	// Weight is the length–weight relation, from memory unless the origin of
	// the file says otherwise.
	Weight   tackle.Curve
	Cautions []string
	Note     string
}

// Offering is a bait or a lure.
type Offering struct {
	ID, Name, Approach string
	Traits             []string
	// LengthM of the whole.
	LengthM float64
	// targets it is offered to.
	targets []string
	rigs    []string
	// SlowMS and MediumMS are speeds through the water in m/s at which a lure
	// keeps its action; zero for baits, which lie or drift.
	SlowMS, MediumMS float64
}

// For says whether the offering is one for the target.
func (o *Offering) For(target string) bool { return slices.Contains(o.targets, target) }

// Rig joins an offering to the line.
type Rig struct {
	ID, Name string
	// Short names it in a sentence; {weight} stands for the weight chosen.
	Short string
	// Column of water it fishes: bottom, mid, top.
	Column string
	// SnagSafe rigs may go over shell, timber and rock.
	SnagSafe bool
	// Depth of water it can be used in, metres.
	MinDepthM, MaxDepthM float64
	// WeightKg of sinker; zero where a head is chosen by depth, or there is none.
	WeightKg float64
	// Head says that a jig head or hook weight is chosen by depth.
	Head bool
	// FloatM is how deep below a float it hangs, zero without one.
	FloatM float64
	// places it is used at; none means all.
	places []string
	// Move says what to do with it, Bite what a bite is like.
	Move, Bite string
}

// UsedAt says whether the rig is used at a kind of place.
func (r *Rig) UsedAt(place string) bool {
	return len(r.places) == 0 || slices.Contains(r.places, place)
}

//go:embed rules.yaml targets.yaml tackle.yaml
var builtin embed.FS

// Builtin is the playbook shipped with the program.
func Builtin() (*Book, error) {
	var files []File
	for _, name := range []string{"targets.yaml", "tackle.yaml", "rules.yaml"} {
		raw, err := builtin.ReadFile(name)
		if err != nil {
			return nil, err
		}
		files = append(files, File{name, raw})
	}
	return Load(files)
}

// Target looks one up by id, by the end of an id, or by its Latin name; spaces
// and underscores count as hyphens and case does not matter.
func (b *Book) Target(id string) (*Target, error) {
	plain := func(s string) string {
		return strings.NewReplacer(" ", "-", "_", "-").Replace(strings.ToLower(strings.TrimSpace(s)))
	}
	key := plain(id)
	for i := range b.Targets {
		if t := &b.Targets[i]; t.ID == key || strings.HasSuffix(t.ID, "-"+key) || plain(t.Latin) == key {
			return &b.Targets[i], nil
		}
	}
	ids := make([]string, len(b.Targets))
	for i, t := range b.Targets {
		ids[i] = t.ID
	}
	return nil, fmt.Errorf("playbook: unknown target %q; known are %s", id, strings.Join(ids, ", "))
}

// RigsOf lists the rigs an offering goes on.
func (b *Book) RigsOf(o *Offering) []*Rig {
	var out []*Rig
	for i := range b.Rigs {
		if slices.Contains(o.rigs, b.Rigs[i].ID) {
			out = append(out, &b.Rigs[i])
		}
	}
	return out
}
