package evidence

import (
	"fmt"
	"math"

	"greypebble/core/playbook"
	"greypebble/core/words"
)

// Calibration is how what was predicted of spells stands to what they brought: each is predicted from those before it.
type Calibration struct {
	Spells int
	// Fish caught, and as the log and the bare book would have expected.
	Fish, ByLog, ByBook float64
	// Inside is the share of counts within what was to hold them four times in five.
	Inside float64
	// Scores are the mean logarithm of the chance given to what came: of the log, of the bare book, of one's plain average
	// of the target so far.
	Log, Book, Average float64
	// Parts over time, oldest first.
	Parts []CalibrationPart
}

// CalibrationPart is a stretch of the spells: from one to before another, of the list given.
type CalibrationPart struct {
	From, To    int
	Fish, ByLog float64
	Inside      float64
	Log, Book   float64
}

const (
	// parts the spells are taken in: the log is fitted anew before each.
	parts = 8
	// Fewest spells before anything is told.
	Fewest = 10
)

// Calibrate a belief over spells, oldest first, all targets together or those of one; empty: all. Nil where there are
// too few.
func Calibrate(book *playbook.Book, log []Spell, target string) (*Calibration, error) {
	if len(log) < Fewest {
		return nil, nil //nolint:nilnil // nothing can be told yet
	}
	empty, err := Fit(book, nil, nil)
	if err != nil {
		return nil, err
	}
	out := &Calibration{}
	averages := map[string]*average{}
	var from *Evidence
	inside := 0.0
	for p := range parts {
		first, end := len(log)*p/parts, len(log)*(p+1)/parts
		e, err := Fit(book, log[:first], from)
		if err != nil {
			return nil, err
		}
		from = e
		part := CalibrationPart{From: first, To: end}
		n, in := 0, 0.0
		for i := first; i < end; i++ {
			s := &log[i]
			if averages[s.Target] == nil {
				if averages[s.Target], err = newAverage(book, s.Target); err != nil {
					return nil, err
				}
			}
			a := averages[s.Target]
			if target == "" || target == s.Target {
				byLog, byBook := predictive(e.For(s.Target), s), predictive(empty.For(s.Target), s)
				n++
				in += byLog.within(s.Fish, e.Dispersion)
				part.Fish, part.ByLog, out.ByBook = part.Fish+s.Fish, part.ByLog+byLog.mean(), out.ByBook+byBook.mean()
				l, b := byLog.score(s.Fish), byBook.score(s.Fish)
				part.Log, part.Book = part.Log+l, part.Book+b
				out.Average += a.score(s)
			}
			a.fish, a.hours = a.fish+s.Fish, a.hours+s.RodHours
		}
		if n == 0 {
			continue
		}
		out.Spells, inside = out.Spells+n, inside+in
		out.Fish, out.ByLog, out.Log, out.Book = out.Fish+part.Fish, out.ByLog+part.ByLog, out.Log+part.Log, out.Book+part.Book
		part.Inside, part.Log, part.Book = in/float64(n), part.Log/float64(n), part.Book/float64(n)
		out.Parts = append(out.Parts, part)
	}
	if out.Spells < Fewest {
		return nil, nil //nolint:nilnil // of this target too few
	}
	n := float64(out.Spells)
	out.Inside, out.Log, out.Book, out.Average = inside/n, out.Log/n, out.Book/n, out.Average/n
	return out, nil
}

// average of a target so far: gamma, begun at the book's usual catch with the weight of one fish.
type average struct{ fish, hours float64 }

func newAverage(book *playbook.Book, target string) (*average, error) {
	t, err := book.Target(target)
	if err != nil {
		return nil, err
	}
	return &average{1, 1 / t.UsualCatch()}, nil
}

// score of a spell under a Poisson of that rate: negative binomial.
func (a *average) score(s *Spell) float64 {
	r, p := a.fish, a.hours/(a.hours+s.RodHours)
	return logGamma(s.Fish+r) - logGamma(r) - logGamma(s.Fish+1) + r*math.Log(p) + s.Fish*math.Log(1-p)
}

// counts to come: Poisson, of a mean whose logarithm is normal.
type counts struct{ log, sd float64 }

func predictive(b Belief, s *Spell) counts {
	x := make([]float64, len(b.e.book.Rules))
	for _, k := range s.Rules {
		x[k.Rule] = k.More
	}
	level, variance := b.Expect(s.Spot, x)
	for r, v := range x {
		if v != 0 {
			level += v * b.Mean(r)
		}
	}
	return counts{level + math.Log(s.RodHours), math.Sqrt(variance)}
}

// mean of the counts, the log-normal's.
func (c counts) mean() float64 { return math.Exp(c.log + c.sd*c.sd/2) }

// nodes and weights of Gauss and Hermite's rule of nine for a standard normal (Abramowitz and Stegun 25.4.46, scaled).
var (
	nodes   = []float64{0, 1.0232556637891, 2.0768479786778, 3.2054290028565, 4.5127458633998}
	weights = []float64{0.40634920634921, 0.24409750289494, 0.049916406765218, 0.0027891413212317, 2.2345844007746e-5}
)

// chance of a count.
func (c counts) chance(n float64) float64 {
	sum := 0.0
	for i, z := range nodes {
		for _, side := range []float64{-1, 1} {
			if i == 0 && side > 0 {
				continue
			}
			mu := math.Exp(c.log + side*z*c.sd)
			sum += weights[i] * math.Exp(n*math.Log(mu)-mu-logGamma(n+1))
		}
	}
	return sum
}

func (c counts) score(n float64) float64 { return math.Log(math.Max(c.chance(n), 1e-12)) }

// within the middle four fifths of what was believed, how much of a count lies: a count is whole, so where one alone
// holds a tenth's bound it lies there in part, and on average over counts that were rightly believed four fifths do
// (Czado, Gneiting and Held 2009). Where counts scatter more than chance the belief is that much wider.
func (c counts) within(n, dispersion float64) float64 {
	if dispersion > 1 {
		c.sd = math.Sqrt(c.sd*c.sd + (dispersion-1)/math.Max(math.Exp(c.log), 1))
	}
	below := 0.0
	for k := 0.0; k < n; k++ {
		below += c.chance(k)
	}
	own := c.chance(n)
	if own <= 0 {
		return 0
	}
	return math.Max(0, math.Min(below+own, 0.9)-math.Max(below, 0.1)) / own
}

func logGamma(x float64) float64 {
	v, _ := math.Lgamma(x)
	return v
}

// evenScores is a difference of two scores that says nothing either way.
const evenScores = 0.02

// Says what a calibration comes to.
func (c *Calibration) Says() string {
	held := fmt.Sprintf(words.OfTenIntervalsHeld, 10*c.Inside)
	switch {
	case c.Average > c.Log+evenScores:
		return words.YourPlainAverageDidBetter + " " + held
	case c.Book > c.Log+evenScores:
		return words.TheBookAloneDidBetter + " " + held
	case c.Log > c.Book+evenScores && c.Log > c.Average+evenScores:
		return words.TheLogDidBetterThanBoth + " " + held
	}
	return words.NothingTellsThemApartYet + " " + held
}

// TooFewToTell says why there is no calibration.
func TooFewToTell() string { return fmt.Sprintf(words.TooFewSpellsToTell, Fewest) }
