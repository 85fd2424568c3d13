package playbook

import (
	"slices"
	"strconv"

	"greypebble/core/quantity"
	"greypebble/core/tackle"
)

// Load reads playbook files. Targets, rigs and offerings must stand before what
// refers to them.
func Load(files []File) (*Book, error) {
	b := &Book{}
	for _, f := range files {
		root, err := parse(f)
		if err != nil {
			return nil, err
		}
		sections, err := root.fields("targets", "rigs", "offerings", "rules")
		if err != nil {
			return nil, err
		}
		for _, part := range []struct {
			name string
			read func(node) error
		}{{"targets", b.readTarget}, {"rigs", b.readRig}, {"offerings", b.readOffering}, {"rules", b.readRule}} {
			section, there := sections[part.name]
			if !there {
				continue
			}
			items, err := section.items()
			if err != nil {
				return nil, err
			}
			for _, it := range items {
				if err := part.read(it); err != nil {
					return nil, err
				}
			}
		}
	}
	b.index()
	return b, nil
}

// reader collects the first error, so that a section reads as a list of fields.
type reader struct {
	n   node
	in  map[string]node
	err error
}

func (n node) reader(allowed ...string) *reader {
	in, err := n.fields(allowed...)
	return &reader{n, in, err}
}

func (r *reader) field(key string, required bool) (node, bool) {
	if r.err != nil {
		return node{}, false
	}
	v, there := r.in[key]
	if !there && required {
		r.err = r.n.errorf("missing %q", key)
	}
	return v, there
}

func read[T any](r *reader, key string, required bool, with func(node) (T, error)) (v T) {
	n, there := r.field(key, required)
	if !there || r.err != nil {
		return v
	}
	v, r.err = with(n)
	return v
}

func (r *reader) text(key string) string  { return read(r, key, true, node.text) }
func (r *reader) maybe(key string) string { return read(r, key, false, node.text) }

func (r *reader) word(key, what string, vocabulary []string) string {
	return read(r, key, true, func(n node) (string, error) { return n.oneOf(what, vocabulary) })
}

func (r *reader) words(key, what string, vocabulary []string, required bool) []string {
	return read(r, key, required, func(n node) ([]string, error) { return n.anyOf(what, vocabulary) })
}

func (r *reader) quantity(key string, d quantity.Dimension, required bool) float64 {
	return read(r, key, required, func(n node) (float64, error) { return n.measure(d) })
}

func (r *reader) number(key string) float64 {
	return read(r, key, true, func(n node) (float64, error) {
		v, err := strconv.ParseFloat(n.Value, 64)
		if err != nil || !(v > 0 && v < 1e6) {
			return 0, n.errorf("expected a number greater than 0, not %q", n.Value)
		}
		return v, nil
	})
}

func (r *reader) flag(key string) bool {
	return read(r, key, false, func(n node) (bool, error) {
		s, err := n.oneOf("answer", []string{"yes", "no"})
		return s == "yes", err
	})
}

func (r *reader) unique(id string, taken []string) {
	if r.err == nil && slices.Contains(taken, id) {
		r.err = r.n.errorf("%q is defined twice", id)
	}
}

func (r *reader) sentences(key string) []string {
	return read(r, key, false, func(n node) ([]string, error) {
		items, err := n.items()
		if err != nil {
			return nil, err
		}
		out := make([]string, len(items))
		for i, it := range items {
			if out[i], err = it.text(); err != nil {
				return nil, err
			}
		}
		return out, nil
	})
}

func ids[T any](list []T, id func(*T) string) []string {
	out := make([]string, len(list))
	for i := range list {
		out[i] = id(&list[i])
	}
	return out
}

func (b *Book) targetIDs() []string { return ids(b.Targets, func(t *Target) string { return t.ID }) }
func (b *Book) rigIDs() []string    { return ids(b.Rigs, func(r *Rig) string { return r.ID }) }
func (b *Book) offeringIDs() []string {
	return ids(b.Offerings, func(o *Offering) string { return o.ID })
}

func (b *Book) readTarget(n node) error {
	r := n.reader("id", "name", "latin", "weight_a", "weight_b", "cautions", "note")
	t := Target{ID: r.text("id"), Name: r.text("name"), Latin: r.text("latin"), Note: r.maybe("note"),
		Weight: tackle.Curve{A: r.number("weight_a"), B: r.number("weight_b")}, Cautions: r.sentences("cautions")}
	r.unique(t.ID, b.targetIDs())
	b.Targets = append(b.Targets, t)
	return r.err
}

func (b *Book) readRig(n node) error {
	r := n.reader("id", "name", "short", "column", "snag_safe", "min_depth", "max_depth", "weight", "head", "float", "places", "move", "bite")
	rig := Rig{ID: r.text("id"), Name: r.text("name"), Short: r.text("short"), Column: r.word("column", "column", words[Column].vocabulary),
		SnagSafe: r.flag("snag_safe"), MinDepthM: r.quantity("min_depth", quantity.Length, true),
		MaxDepthM: r.quantity("max_depth", quantity.Length, true), WeightKg: r.quantity("weight", quantity.Mass, false),
		Head: r.flag("head"), FloatM: r.quantity("float", quantity.Length, false),
		places: r.words("places", "kind of place", Places, false), Move: r.text("move"), Bite: r.text("bite")}
	r.unique(rig.ID, b.rigIDs())
	if r.err == nil && rig.MaxDepthM <= rig.MinDepthM {
		return n.errorf("rig %q: max_depth must exceed min_depth", rig.ID)
	}
	b.Rigs = append(b.Rigs, rig)
	return r.err
}

func (b *Book) readOffering(n node) error {
	r := n.reader("id", "name", "approach", "traits", "length", "targets", "rigs", "slow", "medium")
	o := Offering{ID: r.text("id"), Name: r.text("name"), Approach: r.word("approach", "approach", Approaches),
		Traits: r.words("traits", "trait", traits, true), LengthM: r.quantity("length", quantity.Length, true),
		targets: r.words("targets", "target", b.targetIDs(), true), rigs: r.words("rigs", "rig", b.rigIDs(), true),
		SlowMS: r.quantity("slow", quantity.Speed, false), MediumMS: r.quantity("medium", quantity.Speed, false)}
	r.unique(o.ID, b.offeringIDs())
	if r.err == nil && o.Approach == "lure" && !(o.SlowMS > 0 && o.MediumMS > o.SlowMS) {
		return n.errorf("offering %q: a lure needs slow and a greater medium speed", o.ID)
	}
	b.Offerings = append(b.Offerings, o)
	return r.err
}

func (b *Book) readRule(n node) error {
	r := n.reader("id", "says", "idea", "origin", "family", "effect", "certainty", "school", "targets", "when")
	rule := Rule{ID: r.text("id"), Says: r.text("says"), Idea: r.text("idea"), Origin: r.text("origin"),
		Family: r.word("family", "family", families), Effect: r.word("effect", "effect", sortedKeys(effects)),
		Certainty: r.word("certainty", "certainty", sortedKeys(certainties)), School: r.maybe("school"),
		targets: r.words("targets", "target", b.targetIDs(), false)}
	rule.when = read(r, "when", true, b.expression)
	r.unique(rule.ID, ids(b.Rules, func(r *Rule) string { return r.ID }))
	if r.err != nil {
		return r.err
	}
	rule.Prior = prior(rule.Effect, rule.Certainty)
	rule.family = slices.Index(families, rule.Family)
	b.Rules = append(b.Rules, rule)
	return nil
}

// width reads a difference: for a temperature "3 °C" and "5 °F" are degrees
// without the offset of the scale.
func (r *reader) width(key string, d quantity.Dimension) float64 {
	return read(r, key, true, func(n node) (float64, error) {
		s, err := n.text()
		if err != nil {
			return 0, err
		}
		v, err := quantity.Difference(d, s)
		if err != nil {
			return 0, n.errorf("%s", trimQuantity(err))
		}
		return v, nil
	})
}
