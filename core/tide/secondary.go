package tide

import (
	"fmt"
	"sort"
	"time"
)

// Offsets turn the turns of a reference place into those of another.
type Offsets struct {
	// LagHigh and LagLow are added to the times of high and low water.
	LagHigh, LagLow time.Duration
	// FactorHigh and FactorLow multiply heights above chart datum; zero means 1.
	FactorHigh, FactorLow float64
	// DifferenceHighM and DifferenceLowM are added after the factor, in metres.
	DifferenceHighM, DifferenceLowM float64
}

// Lagged is the usual case of one lag and one factor, at a creek's head say.
func Lagged(lag time.Duration, factor float64) Offsets {
	return Offsets{LagHigh: lag, LagLow: lag, FactorHigh: factor, FactorLow: factor}
}

func (o Offsets) turn(k Turn) Turn {
	if k.Kind == High {
		return Turn{k.Time.Add(o.LagHigh), k.LevelM*factor(o.FactorHigh) + o.DifferenceHighM, High}
	}
	return Turn{k.Time.Add(o.LagLow), k.LevelM*factor(o.FactorLow) + o.DifferenceLowM, Low}
}

// Then is what two sets of offsets come to, one after the other: a spot that
// lags a secondary place.
func (o Offsets) Then(p Offsets) Offsets {
	return Offsets{
		LagHigh: o.LagHigh + p.LagHigh, LagLow: o.LagLow + p.LagLow,
		FactorHigh: factor(o.FactorHigh) * factor(p.FactorHigh), FactorLow: factor(o.FactorLow) * factor(p.FactorLow),
		DifferenceHighM: factor(p.FactorHigh)*o.DifferenceHighM + p.DifferenceHighM,
		DifferenceLowM:  factor(p.FactorLow)*o.DifferenceLowM + p.DifferenceLowM,
	}
}

// None says that the offsets change nothing.
func (o Offsets) None() bool { return o.Then(Offsets{}) == Offsets{FactorHigh: 1, FactorLow: 1} }

// Follow is the tide of a place with offsets on a reference: the reference
// itself where they change nothing.
func Follow(reference *Harmonics, o Offsets) (Predictor, error) {
	if o.None() {
		return reference, nil
	}
	return NewSecondary(reference, o)
}

func factor(f float64) float64 {
	if f == 0 {
		return 1
	}
	return f
}

// Secondary is a place whose tide follows another's. Between its turns the
// level takes the shape the reference has between its own, stretched in time
// and height, so that it is continuous and turns where the offsets say.
type Secondary struct {
	reference *Harmonics
	offsets   Offsets
}

// maxLag keeps offsets within what a secondary place can be.
const maxLag = 14 * time.Hour

// NewSecondary checks the offsets: lags up to 14 hours, factors between 0 (read
// as 1) and 20, differences up to 20 m.
func NewSecondary(reference *Harmonics, o Offsets) (*Secondary, error) {
	if reference == nil {
		return nil, fmt.Errorf("tide: a secondary place needs a reference")
	}
	for name, lag := range map[string]time.Duration{"high": o.LagHigh, "low": o.LagLow} {
		if lag.Abs() > maxLag {
			return nil, fmt.Errorf("tide: lag of %s water must be within ±14 h, not %s", name, lag)
		}
	}
	for name, f := range map[string]float64{"high": o.FactorHigh, "low": o.FactorLow} {
		if !finite(f) || f < 0 || f > 20 {
			return nil, fmt.Errorf("tide: factor on %s water must be between 0 and 20, not %v", name, f)
		}
	}
	for name, d := range map[string]float64{"high": o.DifferenceHighM, "low": o.DifferenceLowM} {
		if !finite(d) || d < -20 || d > 20 {
			return nil, fmt.Errorf("tide: difference on %s water must be within ±20 m, not %v", name, d)
		}
	}
	return &Secondary{reference, o}, nil
}

// Turns of the secondary place.
func (s *Secondary) Turns(from, to time.Time) ([]Turn, error) {
	p, err := s.prepare(from, to, find)
	if err != nil {
		return nil, err
	}
	return p.Turns(from, to)
}

func (s *Secondary) prepare(from, to time.Time, turns turnsOf) (source, error) {
	if to.Before(from) {
		return nil, ReversedError{from, to}
	}
	for margin := firstMargin; ; margin *= 2 {
		m, err := s.mapped(from.Add(-maxLag-margin), to.Add(maxLag+margin), turns)
		if err != nil {
			return nil, err
		}
		if margin >= lastMargin || m.reaches(from, to) {
			return m.checked(from, to)
		}
	}
}

// reaches says that enough turns lie on both sides of an interval for any
// question about it.
func (m *mapped) reaches(from, to time.Time) bool {
	const enough = 3
	n := len(m.pairs)
	return n > 2*enough && m.pairs[enough-1].secondary.Time.Before(from) && m.pairs[n-enough].secondary.Time.After(to)
}

// mapped carries the reference's turns of an interval over to the place.
func (s *Secondary) mapped(from, to time.Time, turns turnsOf) (*mapped, error) {
	ref, err := turns(s.reference, from, to)
	if err != nil {
		return nil, err
	}
	m := &mapped{reference: s.reference}
	defer s.upright(m)
	for _, k := range ref {
		p := pair{k, s.offsets.turn(k)}
		// Different lags can put a small high after the low that follows it; the
		// two then cancel and the place has neither.
		if n := len(m.pairs); n > 0 && !p.secondary.Time.After(m.pairs[n-1].secondary.Time) {
			m.pairs = m.pairs[:n-1]
			continue
		}
		m.pairs = append(m.pairs, p)
	}
	return m, nil
}

// upright mends the turns of which a high would stand no higher than the low beside it, as a mixed tide's
// lower highs and higher lows do where the factors of high and low water are far apart: their factor and
// difference are taken by height instead of by kind, between those of mean spring low and high water, which
// keeps what is higher higher.
func (s *Secondary) upright(m *mapped) {
	byHeight := make([]bool, len(m.pairs))
	for again := true; again; {
		again = false
		for i := 1; i < len(m.pairs); i++ {
			a, b := &m.pairs[i-1], &m.pairs[i]
			if a.secondary.Kind == b.secondary.Kind || (a.secondary.LevelM < b.secondary.LevelM) == (b.secondary.Kind == High) &&
				a.secondary.LevelM != b.secondary.LevelM || byHeight[i-1] && byHeight[i] {
				continue
			}
			for _, k := range []int{i - 1, i} {
				byHeight[k], m.pairs[k].secondary.LevelM, again = true, s.levelOf(m.pairs[k].ref.LevelM), true
			}
		}
	}
}

// levelOf a height of the reference whatever turn it is: along the line between mean spring low and high
// water as the offsets have them, and on beyond.
func (s *Secondary) levelOf(heightM float64) float64 {
	half := s.reference.MeanSpringRange() / 2
	low, high := s.springs()
	if half <= 0 || high <= low {
		return heightM
	}
	return low + (high-low)*(heightM-s.reference.z0+half)/(2*half)
}

func (m *mapped) checked(from, to time.Time) (source, error) {
	if len(m.pairs) < 2 {
		return nil, fmt.Errorf("tide: the reference has no turns between %s and %s to shift",
			from.Format(time.RFC3339), to.Format(time.RFC3339))
	}
	return m, nil
}

// Margins leave room for the turns a curve wants outside its interval: two days
// do but for a diurnal place in its equatorial tides.
const (
	firstMargin = 2 * 24 * time.Hour
	lastMargin  = 16 * 24 * time.Hour
)

// pair is a turn of the reference and the one it becomes.
type pair struct{ ref, secondary Turn }

// mapped is a secondary place over a known stretch.
type mapped struct {
	reference *Harmonics
	pairs     []pair
}

func (m *mapped) Turns(from, to time.Time) ([]Turn, error) {
	var turns []Turn
	for _, p := range m.pairs {
		if !p.secondary.Time.Before(from) && !p.secondary.Time.After(to) {
			turns = append(turns, p.secondary)
		}
	}
	return turns, nil
}

// span finds the pairs around t and the reference time that t stands for.
func (m *mapped) span(t time.Time) (a, b pair, ref time.Time, stretch float64) {
	i := sort.Search(len(m.pairs), func(i int) bool { return m.pairs[i].secondary.Time.After(t) })
	i = min(max(i, 1), len(m.pairs)-1)
	a, b = m.pairs[i-1], m.pairs[i]
	stretch = b.ref.Time.Sub(a.ref.Time).Seconds() / b.secondary.Time.Sub(a.secondary.Time).Seconds()
	ref = a.ref.Time.Add(time.Duration(float64(t.Sub(a.secondary.Time)) * stretch))
	return a, b, ref, stretch
}

func (p pair) scale(b pair) float64 {
	return (b.secondary.LevelM - p.secondary.LevelM) / (b.ref.LevelM - p.ref.LevelM)
}

func (m *mapped) Level(t time.Time) float64 {
	a, b, ref, _ := m.span(t)
	return a.secondary.LevelM + (m.reference.Level(ref)-a.ref.LevelM)*a.scale(b)
}

// Series reads the reference's own from a net a step wide and interpolates it through
// four points: the moments of the two do not fall together.
func (m *mapped) Series(dst []float64, from time.Time, step time.Duration) {
	if len(dst) == 0 {
		return
	}
	_, _, first, _ := m.span(from)
	_, _, last, _ := m.span(from.Add(time.Duration(len(dst)-1) * step))
	begin := first.Add(-2 * step)
	net := make([]float64, int(last.Sub(begin)/step)+4)
	m.reference.Series(net, begin, step)
	for i := range dst {
		a, b, ref, _ := m.span(from.Add(time.Duration(i) * step))
		x := float64(ref.Sub(begin)) / float64(step)
		k := min(max(int(x), 1), len(net)-3)
		dst[i] = a.secondary.LevelM + (through(net[k-1:k+3], x-float64(k))-a.ref.LevelM)*a.scale(b)
	}
}

// through four points a step apart, at a share of the way from the second to the third
// (Lagrange).
func through(p []float64, x float64) float64 {
	return -x*(x-1)*(x-2)/6*p[0] + (x+1)*(x-1)*(x-2)/2*p[1] - (x+1)*x*(x-2)/2*p[2] + (x+1)*x*(x-1)/6*p[3]
}

func (m *mapped) Rate(t time.Time) float64 {
	a, b, ref, stretch := m.span(t)
	return m.reference.Rate(ref) * a.scale(b) * stretch
}

func (s *Secondary) identify(put func(...float64)) {
	o := s.offsets
	put(o.LagHigh.Seconds(), o.LagLow.Seconds(), o.FactorHigh, o.FactorLow, o.DifferenceHighM, o.DifferenceLowM)
	s.reference.identify(put)
}
