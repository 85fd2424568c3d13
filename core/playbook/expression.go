package playbook

import "slices"

// expression says how far something applies, 0…1.
type expression interface {
	weight(f *Facts) float64
}

// ramp is a soft threshold on a measure: 0 below from, 1 above to, straight in
// between; falling ramps have from > to. The two differ.
type ramp struct {
	of       Measure
	from, to float64
}

func (r ramp) weight(f *Facts) float64 {
	return min(max((f.Measure[r.of]-r.from)/(r.to-r.from), 0), 1)
}

// band is the lesser of a rising and a falling ramp.
type band struct{ up, down ramp }

func (b band) weight(f *Facts) float64 { return min(b.up.weight(f), b.down.weight(f)) }

type wordIs struct {
	of  Word
	any []string
}

func (w wordIs) weight(f *Facts) float64 {
	if v := f.Word[w.of]; v != "" && slices.Contains(w.any, v) {
		return 1
	}
	return 0
}

type hasTrait struct{ any []string }

func (h hasTrait) weight(f *Facts) float64 {
	for _, t := range f.Traits {
		if slices.Contains(h.any, t) {
			return 1
		}
	}
	return 0
}

// all takes the least, any the greatest weight of its parts.
type all []expression

func (a all) weight(f *Facts) float64 {
	w := 1.0
	for _, e := range a {
		if w = min(w, e.weight(f)); w == 0 {
			return 0
		}
	}
	return w
}

type any_ []expression

func (a any_) weight(f *Facts) float64 {
	w := 0.0
	for _, e := range a {
		w = max(w, e.weight(f))
	}
	return w
}

type not struct{ expression }

func (n not) weight(f *Facts) float64 { return 1 - n.expression.weight(f) }
