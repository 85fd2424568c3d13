package tide

import "time"

// MeanLevel in metres above datum.
func (h *Harmonics) MeanLevel() float64 { return h.z0 }

// MeanSpringRange of a secondary place: the reference's, between its mean
// spring high and low waters as the offsets change them.
func (s *Secondary) MeanSpringRange() float64 {
	low, high := s.springs()
	return high - low
}

// MeanLevel of a secondary place: half-way between its mean spring low and high waters.
func (s *Secondary) MeanLevel() float64 {
	low, high := s.springs()
	return (low + high) / 2
}

// springs are the mean spring low and high waters.
func (s *Secondary) springs() (low, high float64) {
	half := s.reference.MeanSpringRange() / 2
	return s.offsets.turn(Turn{LevelM: s.reference.z0 - half, Kind: Low}).LevelM,
		s.offsets.turn(Turn{LevelM: s.reference.z0 + half, Kind: High}).LevelM
}

// Tideless says that a tide is too small to speak of.
func Tideless(p Predictor) bool { return p.MeanSpringRange() < 0.05 }

// Strength of a rise or fall: its range as a percentage of the mean spring
// range.
func Strength(rangeM, meanSpringRangeM float64) float64 {
	if meanSpringRangeM <= 0 {
		return 0
	}
	return 100 * rangeM / meanSpringRangeM
}

// Peak is the middle of a spell of springs or neaps.
type Peak struct {
	Time    time.Time
	Springs bool // otherwise neaps
	RangeM  float64
}

// neighbourhood is how far on each side a range must be the largest or smallest
// for springs or neaps: less than half the week between them.
const neighbourhood = 3 * 24 * time.Hour

// Peaks lists springs and neaps with from ≤ time ≤ to. The range compared is
// that of a whole lunar day (the highest less the lowest turn within 12.4 h on
// each side), so that a diurnal inequality does not count.
func Peaks(p Predictor, from, to time.Time) ([]Peak, error) {
	const half = 745 * time.Minute // half a lunar day
	turns, err := p.Turns(from.Add(-neighbourhood-2*half), to.Add(neighbourhood+2*half))
	if err != nil {
		return nil, err
	}
	var days []Peak
	for _, k := range turns {
		lo, hi := k.LevelM, k.LevelM
		for _, n := range turns {
			if n.Time.Sub(k.Time).Abs() <= half {
				lo, hi = min(lo, n.LevelM), max(hi, n.LevelM)
			}
		}
		days = append(days, Peak{Time: k.Time, RangeM: hi - lo})
	}
	var out []Peak
	for _, d := range days {
		if d.Time.Before(from) || d.Time.After(to) {
			continue
		}
		largest, smallest := true, true
		for _, n := range days {
			gap := n.Time.Sub(d.Time)
			if gap == 0 || gap.Abs() > neighbourhood {
				continue
			}
			// Of equals the first one counts.
			largest = largest && (n.RangeM < d.RangeM || n.RangeM == d.RangeM && gap > 0)
			smallest = smallest && (n.RangeM > d.RangeM || n.RangeM == d.RangeM && gap > 0)
		}
		if largest != smallest {
			d.Springs = largest
			out = append(out, d)
		}
	}
	return out, nil
}

// peakAhead is how far ahead springs or neaps are looked for: they take turns every week
// or so.
const peakAhead = 10 * 24 * time.Hour

// NextPeak is the next springs or neaps after a time; nil where none is found.
func NextPeak(p Predictor, t time.Time) (*Peak, error) {
	peaks, err := Peaks(p, t, t.Add(peakAhead))
	if err != nil || len(peaks) == 0 {
		return nil, err
	}
	return &peaks[0], nil
}

// PeaksAround an interval: those in it, the last before and the first after.
func PeaksAround(p Predictor, from, to time.Time) ([]Peak, error) {
	peaks, err := Peaks(p, from.Add(-peakAhead), to.Add(peakAhead))
	var out []Peak
	for i, k := range peaks {
		before := k.Time.Before(from) && i+1 < len(peaks) && peaks[i+1].Time.Before(from)
		after := k.Time.After(to) && i > 0 && peaks[i-1].Time.After(to)
		if !before && !after {
			out = append(out, k)
		}
	}
	return out, err
}
