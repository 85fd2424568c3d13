package sweep

import (
	"math"

	"greypebble/core/playbook"
)

// Span is between what the measures lie over the steps of an hour and over what is believed of them.
// Both ends are NaN where a measure is never known, and infinite where it is known at times.
type Span struct {
	Low, High [playbook.MeasureCount]float64
	// Stage of the tide stays what it is.
	Stage bool
}

// From the facts of one step alone.
func (s *Span) From(f *playbook.Facts, spread *Spread) {
	s.Low, s.High, s.Stage = f.Measure, f.Measure, true
	for m, of := range readingsOf {
		s.between(m, spread[m][:1<<len(of)])
	}
}

// Reach to the facts of another step.
func (s *Span) Reach(first, f *playbook.Facts, surfaceLight []float64) {
	for _, m := range sure {
		s.reach(m, f.Measure[m])
	}
	for _, x := range surfaceLight {
		s.reach(playbook.SurfaceLight, x)
	}
	s.Stage = s.Stage && f.Word[playbook.Stage] == first.Word[playbook.Stage] && f.Next[playbook.Stage] == first.Next[playbook.Stage]
}

// sure measures change within an hour and are the same on every mark.
var sure = func() (out []playbook.Measure) {
	for i := range quick {
		if m := playbook.Measure(i); quick[m] && !onMark[m] && readingsOf[m] == nil {
			out = append(out, m)
		}
	}
	return out
}()

// between some values, and no others.
func (s *Span) between(m playbook.Measure, values []float64) {
	s.Low[m], s.High[m] = values[0], values[0]
	for _, x := range values[1:] {
		s.reach(m, x)
	}
}

func (s *Span) reach(m playbook.Measure, x float64) {
	switch low := s.Low[m]; {
	case (x != x) != (low != low):
		s.Low[m], s.High[m] = math.Inf(-1), math.Inf(1)
	case x < low:
		s.Low[m] = x
	case x > s.High[m]:
		s.High[m] = x
	}
}

// course of a rule over an hour.
type course int

const (
	// idle: it weighs nothing.
	idle course = iota
	// steady: it weighs what it weighs at first.
	steady
	// awake: it may change.
	awake
)

// of a ramp.
func (s *Span) of(r *playbook.Ramp) course {
	a, b := s.Low[r.Of]*r.Slope+r.Offset, s.High[r.Of]*r.Slope+r.Offset
	switch {
	case a <= 0 && b <= 0:
		return idle
	case a >= 1 && b >= 1, a == b, a != a && b != b, !quick[r.Of]:
		return steady
	}
	return awake
}

// over an hour that begins with some facts, what becomes of the rule.
func (r *tabled) over(f *playbook.Facts, s *Span) course {
	out := idle
	for i := range r.clauses {
		out = max(out, r.clauses[i].over(f, s))
	}
	return out
}

func (c *tabledClause) over(f *playbook.Facts, s *Span) course {
	out := steady
	for i := range c.tests {
		switch k := &c.tests[i]; {
		case k.Of == playbook.Stage && !s.Stage:
			out = awake
		case k.Weight(f) == 0:
			return idle
		}
	}
	for i := range c.sure {
		k := s.of(&c.sure[i])
		if k == idle {
			return idle
		}
		out = max(out, k)
	}
	for i := range c.unsure {
		k := s.of(&c.unsure[i].Ramp)
		if k == idle {
			return idle
		}
		out = max(out, k)
	}
	return out
}
