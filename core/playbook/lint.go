package playbook

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/core/quantity"
)

// unitOf a dimension, as conditions are commonly given.
var unitOf = map[quantity.Dimension]string{quantity.Length: "m", quantity.RiseRate: "m/h", quantity.Fraction: "%", quantity.Angle: "deg",
	quantity.Illuminance: "lx", quantity.Time: "d", quantity.Temperature: "°C", quantity.Speed: "m/s"}

// Finding of a lint: not an error of the language, but hardly meant.
type Finding struct {
	Rule, Says string
}

func (f Finding) String() string { return f.Rule + ": " + f.Says }

// Check a file against the book: whether it loads over it, and what in it can hardly
// be meant. An error names file and line; findings name the rule.
func (b *Book) Check(f File) ([]Finding, error) {
	over, err := b.Over(Overlay{Files: []File{f}})
	if err != nil {
		return nil, err
	}
	return over.Lint(func(r *Rule) bool { return r.custom }), nil
}

// Lint the rules that are picked: those that can never apply, always apply, contradict
// another, or look at what no source tells.
func (b *Book) Lint(pick func(*Rule) bool) []Finding {
	var out []Finding
	for i := range b.Rules {
		r := &b.Rules[i]
		if !pick(r) {
			continue
		}
		add := func(format string, args ...any) { out = append(out, Finding{r.ID, fmt.Sprintf(format, args...)}) }
		if why := b.never(r); why != "" {
			add("can never apply: %s", why)
			continue
		}
		if slices.ContainsFunc(r.when, func(c Clause) bool { return len(c.Tests) == 0 && allAlways(c.Ramps) }) {
			add("always applies: it changes nothing, since an ordinary spell has it too")
		}
		if by := partOf(r.Family, r.when); r.Part != by && (by == Taken || r.Part == Taken) {
			add("is written as one of %s, and belongs to %s by what it reads", r.Part, by)
		}
		for _, m := range noted(r.when) {
			add("looks at %s, which no source tells: it applies only when somebody notes it", measures[m].name)
		}
		for j := range b.Rules {
			o := &b.Rules[j]
			if i == j || j < i && pick(o) || o.School != r.School || !overlap(r.targets, o.targets) || !r.when.Equal(o.when) {
				continue
			}
			switch against := (r.Prior.Mean > 0) != (o.Prior.Mean > 0); {
			case against:
				add("contradicts %q, which applies in the same conditions the other way", o.ID)
			case o.Family != r.Family:
				add("says what %q says in another family: both would count", o.ID)
			default:
				add("repeats %q: the two share their weight", o.ID)
			}
		}
	}
	return out
}

// never says why a rule cannot apply; empty where it can.
func (b *Book) never(r *Rule) string {
	why := ""
	for i := range r.when {
		w := b.clauseNever(r, &r.when[i])
		if w == "" {
			return ""
		}
		why = w
	}
	return why
}

func (b *Book) clauseNever(r *Rule, c *Clause) string {
	// Limits of each measure within which every ramp still weighs something.
	low, high := map[Measure]float64{}, map[Measure]float64{}
	for _, k := range c.Ramps {
		if _, seen := low[k.Of]; !seen {
			low[k.Of], high[k.Of] = measures[k.Of].low, measures[k.Of].high
		}
		zero, one := k.ends()
		if one > zero {
			low[k.Of] = math.Max(low[k.Of], zero)
		} else {
			high[k.Of] = math.Min(high[k.Of], zero)
		}
	}
	for m := range low {
		if low[m] >= high[m] {
			return fmt.Sprintf("no %s satisfies it; one lies between %g and %g", measures[m].name, measures[m].low, measures[m].high)
		}
	}
	if why := b.testsNever(c); why != "" {
		return why
	}
	return b.offeredNever(r, c)
}

// testsNever: words asked to be two things at once.
func (b *Book) testsNever(c *Clause) string {
	var left [wordCount]Set
	for w := range left {
		left[w] = Set(math.MaxUint64)
		if n := len(b.WordsOf(Word(w))); n < mostWords {
			left[w] = 1<<n - 1
		}
	}
	for _, t := range c.Tests {
		if factWords[t.Of].several && !t.No {
			continue // more than one may hold
		}
		if t.No {
			left[t.Of] &^= t.Any
		} else {
			left[t.Of] &= t.Any
		}
		if left[t.Of] == 0 {
			return fmt.Sprintf("no %s is all it asks for", factWords[t.Of].name)
		}
	}
	return ""
}

// offeredNever: an offering that none of its targets is offered.
func (b *Book) offeredNever(r *Rule, c *Clause) string {
	if slices.ContainsFunc(c.Tests, func(t Test) bool { return t.Of == OfferingID && t.No }) {
		return "" // asked of what nobody would offer, as one may
	}
	for i := range b.Offerings {
		o := &b.Offerings[i]
		f := Nothing()
		f.Offer(o)
		fits := true
		for _, t := range c.Tests {
			if t.Of == OfferingID || t.Of == Trait || t.Of == Approach {
				fits = fits && t.Holds(&f)
			}
		}
		if !fits {
			continue
		}
		for k := range b.Targets {
			if t := &b.Targets[k]; (len(r.targets) == 0 || slices.Contains(r.targets, t.ID)) && t.Offered(o.ID) {
				return ""
			}
		}
	}
	return fmt.Sprintf("nothing that %s is offered is what it asks for", strings.Join(r.targets, " or "))
}

// allAlways says that every ramp is full over all a measure can be.
func allAlways(ramps []Ramp) bool {
	for _, r := range ramps {
		_, one := r.ends()
		if r.Slope > 0 && one > measures[r.Of].low || r.Slope < 0 && one < measures[r.Of].high {
			return false
		}
	}
	return true
}

func noted(c When) []Measure {
	var out []Measure
	for _, k := range c {
		for _, r := range k.Ramps {
			if measures[r.Of].noted && !slices.Contains(out, r.Of) {
				out = append(out, r.Of)
			}
		}
	}
	return out
}

func overlap(a, b []string) bool {
	return len(a) == 0 || len(b) == 0 || slices.ContainsFunc(a, func(s string) bool { return slices.Contains(b, s) })
}
