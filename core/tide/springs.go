package tide

import "math"

// Form numbers (K1 + O1) / (M2 + S2), the usual classification: below mixedFrom a tide is semidiurnal, from
// diurnalFrom on diurnal, mixed between.
const (
	mixedFrom   = 0.25
	diurnalFrom = 3.0
)

// MeanSpringRange of a place in metres: 2·(M2 + S2) where the tide is semidiurnal, 2·(K1 + O1) where it is
// diurnal. Between, where springs and tropic tides take turns, the mean range of the lunar days that are the
// greatest of their three before and after, over a year of the place's own constituents. Nodal modulation is
// left out, as in published ranges.
func (h *Harmonics) MeanSpringRange() float64 {
	h.springs.Do(func() { h.springM = h.meanSprings() })
	return h.springM
}

func (h *Harmonics) meanSprings() float64 {
	amplitude := func(name string) float64 {
		for i := range h.list {
			if h.list[i].species == catalogue[name] {
				return h.list[i].amplitude
			}
		}
		return 0
	}
	semidiurnal := amplitude("M2") + amplitude("S2")
	diurnal := amplitude("K1") + amplitude("O1")
	switch {
	case diurnal < mixedFrom*semidiurnal:
		return 2 * semidiurnal
	case diurnal >= diurnalFrom*semidiurnal:
		return 2 * diurnal
	}
	return h.greatest()
}

// Sampling of a year for its greatest ranges.
const (
	springStepH = 0.25
	lunarDayH   = 24.84
	springDays  = 369
)

// greatest ranges of lunar days, their mean over a year.
func (h *Harmonics) greatest() float64 {
	perDay := int(math.Round(lunarDayH / springStepH))
	l := longitudesAt(0)
	levels := make([]float64, springDays*perDay)
	for i := range h.list {
		k := &h.list[i]
		if k.speed < 1 { // what turns by the week and the year is no tide of the day
			continue
		}
		at, step := (k.argument(l)-k.phase)*degree, k.speed*springStepH*degree
		for n := range levels {
			levels[n] += k.amplitude * math.Cos(at+step*float64(n))
		}
	}
	ranges := make([]float64, springDays)
	for d := range ranges {
		lo, hi := math.Inf(1), math.Inf(-1)
		for _, v := range levels[d*perDay : (d+1)*perDay] {
			lo, hi = math.Min(lo, v), math.Max(hi, v)
		}
		ranges[d] = hi - lo
	}
	const around = 3 // days, as [Peaks] has it
	sum, n := 0.0, 0
	for d := around; d < len(ranges)-around; d++ {
		greatest := true
		for k := d - around; k <= d+around; k++ {
			greatest = greatest && (ranges[k] < ranges[d] || k == d || ranges[k] == ranges[d] && k > d)
		}
		if greatest {
			sum, n = sum+ranges[d], n+1
		}
	}
	return sum / float64(max(n, 1))
}
