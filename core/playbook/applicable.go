package playbook

// Applicable is what is left of a book's rules for a target once the words of a place are
// settled: the rules that can still apply, with fewer questions to ask.
type Applicable struct {
	rules []Settled
	// fixed says how many of them, at the front, are the same in every scenario.
	fixed int
}

// Settled is a rule whose settled words are forgotten: its place in the book, its family
// and what is left to ask.
type Settled struct {
	Rule, Family int
	When         When
}

// Plain leaves out everything that is said of an offering: what turning up blind is
// weighed by. Words that change with time stay open.
func Plain(w Word) bool { return w == Stage || w == Month || w == Side }

// Offered leaves open what is said of an offering.
func Offered(w Word) bool { return words[w].offered }

// Applicable rules for a target: f settles the words that are not open.
func (b *Book) Applicable(target string, f *Facts, open func(Word) bool) *Applicable {
	s := &Applicable{}
	var varying []Settled
	for _, i := range b.about[target] {
		r := &b.Rules[i]
		left := r.when.within(f, open)
		if len(left) == 0 {
			continue
		}
		if left.Reads(uncertain) {
			varying = append(varying, Settled{i, r.family, left})
		} else {
			s.rules = append(s.rules, Settled{i, r.family, left})
		}
	}
	s.fixed = len(s.rules)
	s.rules = append(s.rules, varying...)
	return s
}

// Weights writes how far each rule applies in each scenario of a moment, shared
// within the families. Each row of dst has a place for every rule of the book.
// Rules that do not look at an uncertain reading are weighed once.
func (s *Applicable) Weights(facts []Facts, dst [][]float64) {
	var sums [len(families)]float64
	for k := range facts {
		clear(dst[k])
	}
	for i := range s.rules[:s.fixed] {
		r := &s.rules[i]
		w := r.When.weight(&facts[0])
		sums[r.Family] += w
		for k := range facts {
			dst[k][r.Rule] = w
		}
	}
	for k := range facts {
		row, own := dst[k], sums
		for i := s.fixed; i < len(s.rules); i++ {
			r := &s.rules[i]
			w := r.When.weight(&facts[k])
			row[r.Rule] = w
			own[r.Family] += w
		}
		for i := range s.rules {
			r := &s.rules[i]
			if sum := own[r.Family]; sum > 1 {
				row[r.Rule] /= sum
			}
		}
	}
}

// Live lists the rules that can still apply, by their places in the book.
func (s *Applicable) Live() []int {
	out := make([]int, len(s.rules))
	for i := range s.rules {
		out[i] = s.rules[i].Rule
	}
	return out
}

// Fixed are the rules left that are the same in every scenario of a moment; Varying,
// those that look at an uncertain reading.
func (s *Applicable) Fixed() []Settled { return s.rules[:s.fixed] }

// Varying rules look at an uncertain reading.
func (s *Applicable) Varying() []Settled { return s.rules[s.fixed:] }
