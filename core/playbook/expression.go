package playbook

import "slices"

// expression says how far something applies, 0…1.
type expression interface {
	weight(f *Facts) float64
	// reads says whether it looks at one of some measures.
	reads(some []Measure) bool
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

func (r ramp) reads(some []Measure) bool { return slices.Contains(some, r.of) }

// band is the lesser of a rising and a falling ramp.
type band struct{ up, down ramp }

func (b band) weight(f *Facts) float64 { return min(b.up.weight(f), b.down.weight(f)) }

func (b band) reads(some []Measure) bool { return b.up.reads(some) || b.down.reads(some) }

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

func (w wordIs) reads([]Measure) bool { return false }

type hasTrait struct{ any []string }

func (h hasTrait) weight(f *Facts) float64 {
	for _, t := range f.Traits {
		if slices.Contains(h.any, t) {
			return 1
		}
	}
	return 0
}

func (h hasTrait) reads([]Measure) bool { return false }

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

func (a all) reads(some []Measure) bool { return anyReads(a, some) }

func anyReads(list []expression, some []Measure) bool {
	return slices.ContainsFunc(list, func(e expression) bool { return e.reads(some) })
}

type any_ []expression

func (a any_) weight(f *Facts) float64 {
	w := 0.0
	for _, e := range a {
		w = max(w, e.weight(f))
	}
	return w
}

func (a any_) reads(some []Measure) bool { return anyReads(a, some) }

type not struct{ expression }

func (n not) weight(f *Facts) float64 { return 1 - n.expression.weight(f) }
