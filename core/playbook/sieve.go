package playbook

// Sieve is what is left of a book's rules for a target once the words of a place are
// settled: the rules that can still apply, with fewer questions to ask.
type Sieve struct {
	rules []sieved
	// fixed says how many of them, at the front, are the same in every scenario.
	fixed int
}

type sieved struct {
	rule   int
	family int
	when   condition
}

// Plain leaves out everything that is said of an offering: what turning up blind is
// weighed by. Words that change with time stay open.
func Plain(w Word) bool { return w == Stage || w == Month || w == Side }

// Offered leaves open what is said of an offering.
func Offered(w Word) bool { return words[w].offered }

// Sieve the rules for a target: f settles the words that are not open.
func (b *Book) Sieve(target string, f *Facts, open func(Word) bool) *Sieve {
	s := &Sieve{}
	var varying []sieved
	for _, i := range b.about[target] {
		r := &b.Rules[i]
		left := r.when.within(f, open)
		if len(left) == 0 {
			continue
		}
		if left.reads(uncertain) {
			varying = append(varying, sieved{i, r.family, left})
		} else {
			s.rules = append(s.rules, sieved{i, r.family, left})
		}
	}
	s.fixed = len(s.rules)
	s.rules = append(s.rules, varying...)
	return s
}

// Weights writes how far each rule applies in each scenario of a moment, shared
// within the families. Each row of dst has a place for every rule of the book.
// Rules that do not look at an uncertain reading are weighed once.
func (s *Sieve) Weights(facts []Facts, dst [][]float64) {
	var sums [32]float64
	for k := range facts {
		clear(dst[k])
	}
	for i := range s.rules[:s.fixed] {
		r := &s.rules[i]
		w := r.when.weight(&facts[0])
		sums[r.family] += w
		for k := range facts {
			dst[k][r.rule] = w
		}
	}
	for k := range facts {
		row, own := dst[k], sums
		for i := s.fixed; i < len(s.rules); i++ {
			r := &s.rules[i]
			w := r.when.weight(&facts[k])
			row[r.rule] = w
			own[r.family] += w
		}
		for i := range s.rules {
			r := &s.rules[i]
			if sum := own[r.family]; sum > 1 {
				row[r.rule] /= sum
			}
		}
	}
}

// Live lists the rules that can still apply, by their places in the book.
func (s *Sieve) Live() []int {
	out := make([]int, len(s.rules))
	for i := range s.rules {
		out[i] = s.rules[i].rule
	}
	return out
}
