package playbook

import "slices"

// Rule is one rule of thumb.
type Rule struct {
	ID string
	// Says is the reason as an angler would give it.
	Says string
	// Idea is the id of the fact of the trade behind it.
	Idea string
	// Origin is "common practice", "from memory" or "published: …".
	Origin            string
	Family            string
	Effect, Certainty string
	Prior             Prior
	// School is the position this rule belongs to where anglers disagree.
	School string
	// targets it speaks of; none means all.
	targets []string
	when    expression
	family  int
	// varies between the scenarios of a moment.
	varies bool
	// off: an angler does not believe it.
	off bool
}

// Off says that an angler has switched it off.
func (r *Rule) Off() bool { return r.off }

// Targets it speaks of; none means all.
func (r *Rule) Targets() []string { return slices.Clone(r.targets) }

// Concerns says whether the rule speaks of a target; switched off, of none.
func (r *Rule) Concerns(target string) bool {
	return !r.off && (len(r.targets) == 0 || slices.Contains(r.targets, target))
}

// Weight is how far the rule applies to the facts, 0…1, before it shares with
// its family.
func (r *Rule) Weight(f *Facts) float64 { return r.when.weight(f) }

// Weights writes how far each rule of the book applies for a target. dst must
// have one place a rule.
func (b *Book) Weights(target string, f *Facts, dst []float64) {
	clear(dst)
	about := b.about[target]
	for _, i := range about {
		dst[i] = b.Rules[i].Weight(f)
	}
	b.share(about, dst)
}

// share a family's weight where it adds to more than one.
func (b *Book) share(about []int, dst []float64) {
	var sums [16]float64
	for _, i := range about {
		sums[b.Rules[i].family] += dst[i]
	}
	for _, i := range about {
		if s := sums[b.Rules[i].family]; s > 1 {
			dst[i] /= s
		}
	}
}

// uncertain measures differ between the scenarios of one moment; all others are
// the same in each.
var uncertain = []Measure{Secchi, WaterTemp, WindSpeed, SurfaceLight, LureLight}

// WeightsAcross does for the scenarios of one moment what Weights does for each:
// what does not look at an uncertain reading is worked out once.
func (b *Book) WeightsAcross(target string, facts []Facts, dst [][]float64) {
	about := b.about[target]
	for k := range facts {
		clear(dst[k])
	}
	for _, i := range about {
		r := &b.Rules[i]
		w := 0.0
		for k := range facts {
			if k == 0 || r.varies {
				w = r.Weight(&facts[k])
			}
			dst[k][i] = w
		}
	}
	for k := range facts {
		b.share(about, dst[k])
	}
}

// About lists the rules that speak of a target, by their places in the book.
func (b *Book) About(target string) []int { return b.about[target] }

// index the rules by the targets they speak of.
func (b *Book) index() {
	b.about = make(map[string][]int, len(b.Targets))
	for i := range b.Rules {
		b.Rules[i].varies = b.Rules[i].when.reads(uncertain)
	}
	for _, t := range b.Targets {
		for i := range b.Rules {
			if b.Rules[i].Concerns(t.ID) {
				b.about[t.ID] = append(b.about[t.ID], i)
			}
		}
	}
}
