package playbook

import (
	"fmt"
	"slices"
	"strings"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/springrun"
	"greypebble/core/tackle"
)

// Target is a species sought. What is said of it here becomes rules of its own (see
// [Book.readTarget]), so that a target somebody adds is advised on like the others.
type Target struct {
	ID, Name, Latin, Note string
	// Idea is the id of the fact of the trade behind it; Origin where it comes from.
	Idea, Origin string
	// Plenty says how many are caught where it is fished well, one of [Plenties].
	Plenty string
	// Weight is the length–weight relation, from memory unless the origin says
	// otherwise.
	Weight tackle.Curve
	// LongestM is the longest known, metres, from memory; 0: not said.
	LongestM float64
	// Senses it feeds by: sight, scent, both.
	Senses string
	// Columns of the water it feeds in.
	Columns []string
	// Feeds between two temperatures in °C.
	Feeds Span
	// GoneBelowC is the temperature in °C below which hardly one is left; nil where
	// it only slows down.
	GoneBelowC *float64
	// Runs up rivers as the water warms from one temperature to another, °C; nil: it does not.
	Runs *Span
	// Best and Away are months of the northern year: at its thickest, and not there.
	Best, Away []string
	// Lives at these kinds of place, likes these kinds of mark.
	Lives, Likes []string
	// Ranges along the coasts, from memory; none: nothing is said.
	Ranges []Range
	// Eats these offerings by preference, takes those too.
	Eats, Takes []string
	// Hooks as they are sold: "1/0 to 3/0".
	Hooks string
	// Strikes within a window ahead of its nose, metres.
	Strikes Span
	// Hazard that its mouth or its home is to a leader.
	Hazard tackle.Hazard
	// Handling says how to land, hold and put it back; Stay, when to move on, and StayCold, in water
	// below what it feeds at.
	Handling, Stay, StayCold string
	// AllAtOnce says that those of one place feed together and stop together.
	AllAtOnce bool
	// Groundbait says how it is held with some; empty where it is not done.
	Groundbait string
	// Pauses of a lure are so many times the usual; 1 where nothing is said.
	Pauses   float64
	Cautions []string
	// Custom: an angler wrote it.
	Custom bool
	// says replaces the usual sentences of its rules.
	says map[string]string
}

// Span of a quantity.
type Span struct{ From, To float64 }

// RunWarmth is the warmth it runs up rivers in; false where it does not.
func (t *Target) RunWarmth() (springrun.Warmth, bool) {
	if t.Runs == nil {
		return springrun.Warmth{}, false
	}
	return springrun.Warmth(*t.Runs), true
}

// Species by all it may be called, for the rules of authorities.
func (t *Target) Species() bylaw.Species {
	return bylaw.Species{ID: t.ID, Name: t.Name, Latin: t.Latin}
}

// LivesAt a kind of place.
func (t *Target) LivesAt(place string) bool { return slices.Contains(t.Lives, place) }

// Offered says whether an offering is one for the target.
func (t *Target) Offered(offering string) bool {
	return slices.Contains(t.Eats, offering) || slices.Contains(t.Takes, offering)
}

// Order in which the target's entry names an offering; one it does not name comes last.
func (t *Target) Order(offering string) int {
	if i := slices.Index(t.Eats, offering); i >= 0 {
		return i
	}
	if i := slices.Index(t.Takes, offering); i >= 0 {
		return len(t.Eats) + i
	}
	return len(t.Eats) + len(t.Takes)
}

// senses a fish feeds by.
var senses = []string{"sight", "scent", "both"}

// hazards to a leader.
var hazards = []string{string(tackle.OpenSand), string(tackle.Shell), string(tackle.Pilings), string(tackle.Rocks), string(tackle.Teeth)}

// allAtOnce is how fish bite that feed together and stop together.
const allAtOnce = "all at once"

// aspects of a target that become rules.
var aspects = []string{"warmth", "cold", "numb", "gone", "hot", "clear", "mud", "scent", "column", "season", "away", "elsewhere", "likes",
	"eats", "refuses"}

func (b *Book) readTarget(n node) error {
	r := n.reader("id", "name", "latin", "idea", "origin", "weight_a", "weight_b", "longest", "senses", "column", "feeds",
		"gone_below", "best", "away", "lives", "likes", "eats", "takes", "hooks", "strikes", "hazard", "handling", "stay", "stay_cold",
		"cautions",
		"note", "says", "plenty", "pauses", "groundbait", "ranges", "runs", "bites")
	t := Target{ID: r.text("id"), Name: r.text("name"), Latin: r.text("latin"), Note: r.maybe("note"), Idea: r.text("idea"),
		Origin: r.text("origin"), Weight: tackle.Curve{A: r.number("weight_a"), B: r.number("weight_b")},
		Senses:  r.word("senses", "sense", senses),
		Columns: r.words("column", "column", Columns, true), Feeds: r.span("feeds", quantity.Temperature, true),
		Best: r.words("best", "month", Months, false), Away: r.words("away", "month", Months, false),
		Lives: r.words("lives", "kind of place", ground.Places, true),
		Likes: r.words("likes", "mark", factWords[MarkKind].vocabulary, false),
		Eats:  r.words("eats", "offering", b.offeringIDs(), false), Takes: r.words("takes", "offering", b.offeringIDs(), false),
		Hooks: r.text("hooks"), Strikes: r.span("strikes", quantity.Length, true),
		Hazard:   tackle.Hazard(r.word("hazard", "hazard", hazards)),
		Handling: r.text("handling"), Stay: r.maybe("stay"), StayCold: r.maybe("stay_cold"), Cautions: r.sentences("cautions")}
	t.Ranges = read(r, "ranges", false, readRanges)
	t.says, t.Custom = read(r, "says", false, readSays), n.custom
	if _, there := r.in["bites"]; there {
		t.AllAtOnce = r.word("bites", "way of biting", []string{allAtOnce}) == allAtOnce
	}
	t.Pauses, t.Groundbait = 1, r.maybe("groundbait")
	if _, there := r.in["pauses"]; there {
		t.Pauses = r.number("pauses")
	}
	if _, there := r.in["longest"]; there {
		t.LongestM = r.quantity("longest", quantity.Length, true)
	}
	if _, there := r.in["gone_below"]; there {
		c := r.quantity("gone_below", quantity.Temperature, true)
		t.GoneBelowC = &c
	}
	if _, there := r.in["runs"]; there {
		s := r.span("runs", quantity.Temperature, true)
		t.Runs = &s
	}
	if t.Plenty = r.maybeWord("plenty", "plenty", Plenties()); t.Plenty == "" {
		t.Plenty = usualPlenty
	}
	r.unique(t.ID, b.targetIDs())
	if r.err != nil {
		return r.err
	}
	if err := t.check(); err != nil {
		return n.errorf("%s", err)
	}
	b.Targets = append(b.Targets, t)
	return b.rulesOf(&t, n)
}

func readSays(n node) (map[string]string, error) {
	in, err := n.fields(aspects...)
	out := make(map[string]string, len(in))
	for k, v := range in {
		if out[k], err = v.text(); err != nil {
			return nil, err
		}
	}
	return out, err
}

func (t *Target) check() error {
	switch {
	case t.ID != plain(t.ID):
		return fmt.Errorf("id %q: expected small letters, digits and hyphens", t.ID)
	case !(t.Pauses >= 0.25 && t.Pauses <= 5):
		return fmt.Errorf("pauses must be between 0.25 and 5 times the usual, not %v", t.Pauses)
	case len(t.Eats)+len(t.Takes) == 0:
		return fmt.Errorf("target %q needs offerings in eats or takes", t.ID)
	case t.GoneBelowC != nil && *t.GoneBelowC >= t.Feeds.From:
		return fmt.Errorf("gone_below must be colder than where feeds begins")
	}
	for _, m := range t.Best {
		if slices.Contains(t.Away, m) {
			return fmt.Errorf("%s cannot be both a best month and one it is away in", m)
		}
	}
	return nil
}

// plain writes an id or a name with hyphens and small letters.
func plain(s string) string {
	return strings.NewReplacer(" ", "-", "_", "-").Replace(strings.ToLower(strings.TrimSpace(s)))
}

// Target looks one up by id, by the end of an id, or by its Latin name; spaces
// and underscores count as hyphens and case does not matter.
func (b *Book) Target(id string) (*Target, error) {
	key := plain(id)
	var byEnd *Target
	for i := range b.Targets {
		t := &b.Targets[i]
		if t.ID == key || plain(t.Latin) == key {
			return t, nil
		}
		if byEnd == nil && key != "" && strings.HasSuffix(t.ID, "-"+key) {
			byEnd = t
		}
	}
	if byEnd != nil {
		return byEnd, nil
	}
	return nil, fmt.Errorf("playbook: unknown target %q; known are %s", id, strings.Join(b.targetIDs(), ", "))
}

// proper nouns keep their capital within a sentence.
var properNouns = map[string]bool{"Florida": true, "California": true, "Pandora": true, "Couch's": true, "Ray's": true, "Atlantic": true,
	"Pacific": true, "Spanish": true}

// InSentence is the name as it stands within a sentence: "red drum", "Florida pompano".
func (t *Target) InSentence() string {
	first, _, _ := strings.Cut(t.Name, " ")
	if properNouns[first] {
		return t.Name
	}
	return prose.LowerFirst(t.Name)
}
