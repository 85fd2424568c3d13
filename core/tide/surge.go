package tide

import (
	"fmt"
	"math"
	"sort"
	"time"
)

// Surge is how much higher (or lower) than predicted the water was seen to
// stand, after rain or an onshore wind. It is taken to have come up in the two
// hours before it was seen and to fade to nothing over a stated time.
type Surge struct {
	ByM  float64
	Seen time.Time
	Fade time.Duration
}

// comesUp is how long a surge takes to build before it is seen.
const comesUp = 2 * time.Hour

// NewSurge checks that it lies within ±5 m and fades within an hour to four days.
func NewSurge(byM float64, seen time.Time, fade time.Duration) (Surge, error) {
	if !finite(byM) || math.Abs(byM) > 5 {
		return Surge{}, fmt.Errorf("tide: a surge must be within ±5 m, not %v", byM)
	}
	if fade < time.Hour || fade > 96*time.Hour {
		return Surge{}, fmt.Errorf("tide: a surge must fade within 1 to 96 h, not %s", fade)
	}
	return Surge{byM, seen, fade}, nil
}

// Ends when nothing is left of it.
func (s Surge) Ends() time.Time { return s.Seen.Add(s.Fade) }

// At is what there is of it at t in metres, and its rate in m/h. Both change
// without a jump.
func (s Surge) At(t time.Time) (levelM, rateMPerH float64) {
	length, sign := comesUp, 1.0
	elapsed := t.Sub(s.Seen.Add(-comesUp))
	if !t.Before(s.Seen) {
		length, sign = s.Fade, -1
		elapsed = t.Sub(s.Seen)
	}
	if elapsed < 0 || elapsed > length {
		return 0, 0
	}
	x := float64(elapsed) / float64(length) * math.Pi
	rising := (1 - math.Cos(x)) / 2
	if sign < 0 {
		rising = 1 - rising
	}
	return s.ByM * rising, sign * s.ByM * math.Sin(x) / 2 * math.Pi / length.Hours()
}

// Surged is a place whose water stands off its prediction for a while.
type Surged struct {
	place Predictor
	surge Surge
}

// WithSurge adds a surge to a place's tide.
func WithSurge(p Predictor, s Surge) *Surged { return &Surged{p, s} }

// Turns of the water as it is, surge included.
func (s *Surged) Turns(from, to time.Time) ([]Turn, error) {
	p, err := s.prepare(from, to, find)
	if err != nil {
		return nil, err
	}
	return p.Turns(from, to)
}

func (s *Surged) prepare(from, to time.Time, turns turnsOf) (source, error) {
	// The turns around are looked for up to a reach outside.
	inner, err := s.place.prepare(from.Add(-reach), to.Add(reach), turns)
	if err != nil {
		return nil, err
	}
	return &surgedSource{inner, s.surge}, nil
}

type surgedSource struct {
	source
	surge Surge
}

// Series of the water as it is.
func (s *surgedSource) Series(dst []float64, from time.Time, step time.Duration) {
	s.source.Series(dst, from, step)
	for i := range dst {
		by, _ := s.surge.At(from.Add(time.Duration(i) * step))
		dst[i] += by
	}
}

func (s *surgedSource) Level(t time.Time) float64 {
	l, _ := s.surge.At(t)
	return s.source.Level(t) + l
}

func (s *surgedSource) Rate(t time.Time) float64 {
	_, r := s.surge.At(t)
	return s.source.Rate(t) + r
}

// surgeStep is how finely turns are looked for while there is a surge; it
// changes over hours.
const surgeStep = 4 * time.Minute

func (s *surgedSource) Turns(from, to time.Time) ([]Turn, error) {
	turns, err := s.source.Turns(from, to)
	if err != nil {
		return nil, err
	}
	first, last := s.surge.Seen.Add(-comesUp), s.surge.Ends()
	var out []Turn
	for _, k := range turns {
		if k.Time.Before(first) || k.Time.After(last) {
			out = append(out, k)
		}
	}
	a := first
	if a.Before(from) {
		a = from
	}
	if last.After(to) {
		last = to
	}
	for ra := s.Rate(a); a.Before(last); {
		b := a.Add(surgeStep)
		if b.After(last) {
			b = last
		}
		rb := s.Rate(b)
		if (ra > 0) != (rb > 0) {
			t := s.turn(a, b, ra > 0)
			kind := Low
			if ra > 0 {
				kind = High
			}
			out = append(out, Turn{t, s.Level(t), kind})
		}
		a, ra = b, rb
	}
	sort.Slice(out, func(i, j int) bool { return out[i].Time.Before(out[j].Time) })
	return out, nil
}

func (s *surgedSource) turn(a, b time.Time, rising bool) time.Time {
	for b.Sub(a) > 100*time.Millisecond {
		m := a.Add(b.Sub(a) / 2)
		if (s.Rate(m) > 0) == rising {
			a = m
		} else {
			b = m
		}
	}
	return a.Add(b.Sub(a) / 2)
}

// MeanSpringRange is that of the place.
func (s *Surged) MeanSpringRange() float64 { return s.place.MeanSpringRange() }

// MeanLevel is that of the place: a surge passes.
func (s *Surged) MeanLevel() float64 { return s.place.MeanLevel() }

func (s *Surged) identify(put func(...float64)) {
	put(s.surge.ByM, float64(s.surge.Seen.Unix()), s.surge.Fade.Seconds())
	s.place.identify(put)
}
