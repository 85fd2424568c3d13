package playbook

import (
	"slices"
	"strconv"

	"greypebble/core/quantity"
)

// Load reads playbook files. What is referred to must stand before what refers to
// it: schools, rigs, offerings, targets, rules.
func Load(files []File) (*Book, error) {
	b := &Book{}
	for _, f := range files {
		root, err := parse(f)
		if err != nil {
			return nil, err
		}
		sections, err := root.fields("schools", "rigs", "offerings", "targets", "rules")
		if err != nil {
			return nil, err
		}
		if err := b.readSections(sections); err != nil {
			return nil, err
		}
	}
	b.index()
	return b, nil
}

func (b *Book) readSections(sections map[string]node) error {
	for _, part := range []struct {
		name string
		read func(node) error
	}{{"schools", b.readSchool}, {"rigs", b.readRig}, {"offerings", b.readOffering}, {"targets", b.readTarget}, {"rules", b.readRule}} {
		section, there := sections[part.name]
		if !there {
			continue
		}
		items, err := section.items()
		if err != nil {
			return err
		}
		for _, it := range items {
			if err := part.read(it); err != nil {
				return err
			}
		}
	}
	return nil
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

// width reads a difference: for a temperature "3 °C" and "5 °F" are degrees
// without the offset of the scale.
func (r *reader) width(key string, d quantity.Dimension, required bool) float64 {
	return read(r, key, required, func(n node) (float64, error) {
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
