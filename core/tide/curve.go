package tide

import (
	"fmt"
	"math"
	"slices"
	"sort"
	"sync"
	"time"

	"greypebble/core/words"
)

// Predictor is anything that has a tide: harmonics, or another place's tide shifted
// and scaled.
type Predictor interface {
	// Turns with from ≤ time ≤ to, in order.
	Turns(from, to time.Time) ([]Turn, error)
	// MeanSpringRange in metres.
	MeanSpringRange() float64
	// MeanLevel in metres above datum.
	MeanLevel() float64
	// prepare makes levels of an interval cheap to ask for.
	prepare(from, to time.Time, turns turnsOf) (source, error)
	// identify gives every number the tide rests on.
	identify(put func(...float64))
}

// Identify gives every number a place's tide rests on, in an order of its own: two
// places with the same numbers have the same tide.
func Identify(p Predictor, put func(...float64)) { p.identify(put) }

// source is a place whose levels can be had within an interval.
type source interface {
	Level(t time.Time) float64
	Rate(t time.Time) float64
	Turns(from, to time.Time) ([]Turn, error)
	// Series of levels at from, from+step, …
	Series(dst []float64, from time.Time, step time.Duration)
}

func (h *Harmonics) prepare(_, _ time.Time, turns turnsOf) (source, error) {
	return searched{h, turns}, nil
}

// turnsOf finds a reference's turns; a [Memo] finds them once.
type turnsOf func(h *Harmonics, from, to time.Time) ([]Turn, error)

func find(h *Harmonics, from, to time.Time) ([]Turn, error) { return h.Turns(from, to) }

// searched is a reference whose turns are found in a way of their own.
type searched struct {
	*Harmonics
	find turnsOf
}

func (s searched) Turns(from, to time.Time) ([]Turn, error) { return s.find(s.Harmonics, from, to) }

// Memo prepares the tides of many places over the same interval: the turns of a
// reference they share are found once. It is safe for concurrent use, and keeps what it
// found as long as it lives.
type Memo struct {
	mu    sync.Mutex
	found map[memoKey][]Turn
}

type memoKey struct {
	h        *Harmonics
	from, to int64
}

// Over does what the function of that name does.
func (m *Memo) Over(place Predictor, from, to time.Time) (*Curve, error) {
	return over(place, from, to, m.turns)
}

func (m *Memo) turns(h *Harmonics, from, to time.Time) ([]Turn, error) {
	m.mu.Lock()
	defer m.mu.Unlock()
	k := memoKey{h, from.UnixNano(), to.UnixNano()}
	if found, seen := m.found[k]; seen {
		return slices.Clone(found), nil
	}
	found, err := h.Turns(from, to)
	if err != nil {
		return nil, err
	}
	if m.found == nil {
		m.found = make(map[memoKey][]Turn)
	}
	m.found[k] = found
	return slices.Clone(found), nil
}

// Curve is the tide of a place over an interval, with the turns that enclose
// it, so that levels and stages inside are cheap to ask for.
type Curve struct {
	source   source
	from, to time.Time
	turns    []Turn // includes the last before from and the first after to, where they exist
}

// reach is how far outside an interval the enclosing turns are looked for; even
// a diurnal place turns twice a day outside the few days of its equatorial tides.
const reach = 5 * 24 * time.Hour

// Over prepares the tide between two times.
func Over(place Predictor, from, to time.Time) (*Curve, error) { return over(place, from, to, find) }

func over(place Predictor, from, to time.Time, turns turnsOf) (*Curve, error) {
	if to.Before(from) {
		return nil, ReversedError{from, to}
	}
	s, err := place.prepare(from, to, turns)
	if err != nil {
		return nil, err
	}
	list, err := enclosed(s, from, to)
	if err != nil {
		return nil, err
	}
	return &Curve{s, from, to, list}, nil
}

// enclosed is the turns of an interval and one neighbour on each side.
func enclosed(s source, from, to time.Time) ([]Turn, error) {
	for margin := 15 * time.Hour; ; margin *= 2 {
		turns, err := s.Turns(from.Add(-margin), to.Add(margin))
		if err != nil {
			return nil, err
		}
		first := sort.Search(len(turns), func(i int) bool { return turns[i].Time.After(from) })
		last := sort.Search(len(turns), func(i int) bool { return turns[i].Time.After(to) })
		if margin >= reach || (first > 0 && last < len(turns)) {
			return turns[max(first-1, 0):min(last+1, len(turns))], nil
		}
	}
}

// Level in metres above chart datum.
func (c *Curve) Level(t time.Time) float64 { return c.source.Level(t) }

// Rate of rise in metres an hour.
func (c *Curve) Rate(t time.Time) float64 { return c.source.Rate(t) }

// Sampled writes the level in metres and its rate in m/h at from, from+step, … The
// rate is taken from the levels around (five points), which at steps of ten minutes
// and less is good to a hundredth of a per cent.
func (c *Curve) Sampled(levels, rates []float64, from time.Time, step time.Duration) {
	around := make([]float64, len(levels)+4)
	c.source.Series(around, from.Add(-2*step), step)
	h := 12 * step.Hours()
	for i := range levels {
		p := around[i : i+5]
		levels[i], rates[i] = p[2], (p[0]-8*p[1]+8*p[3]-p[4])/h
	}
}

// Turns inside the interval.
func (c *Curve) Turns() []Turn {
	var in []Turn
	for _, k := range c.turns {
		if !k.Time.Before(c.from) && !k.Time.After(c.to) {
			in = append(in, k)
		}
	}
	return in
}

// Interval the curve was prepared for.
func (c *Curve) Interval() (from, to time.Time) { return c.from, c.to }

// Direction of the water.
type Direction int

const (
	// Ebb is falling water.
	Ebb Direction = iota
	// Flood is rising water.
	Flood
)

func (d Direction) String() string {
	if d == Flood {
		return "flood"
	}
	return "ebb"
}

// Stage is where in a rise or fall a moment lies.
type Stage struct {
	Direction Direction
	// Elapsed is the share of the time between the turns that has passed, 0…1.
	Elapsed float64
	// Third of the rise or fall by time: 1, 2 or 3.
	Third int
	// RateMPerH is the rise in metres an hour, negative when falling.
	RateMPerH float64
	// RangeM between the two turns, in metres.
	RangeM float64
	// Slack says that the water hardly moves: its rate is less than a tenth of
	// the fastest of this rise or fall.
	Slack      bool
	Last, Next Turn
}

// slackShare of the fastest rate of a rise or fall counts as slack.
const slackShare = 0.1

// standEdge is the share of a rise or fall within which still water belongs to
// its turn; further in it is a stand.
const standEdge = 0.2

// slack of a rise or fall; its fastest rate is that of a sinusoid, π/2 times
// the mean.
func (s Stage) slack() bool {
	hours := s.Next.Time.Sub(s.Last.Time).Hours()
	return math.Abs(s.RateMPerH) < slackShare*math.Pi/2*s.RangeM/hours
}

// String says the stage as one would on the beach: "flood, last third", "slack,
// high water".
func (s Stage) String() string {
	if s.Slack {
		nearest := s.Last
		if s.Elapsed > 0.5 {
			nearest = s.Next
		}
		if s.Elapsed < standEdge || s.Elapsed > 1-standEdge {
			return fmt.Sprintf(words.SlackWater, nearest.Kind)
		}
		return fmt.Sprintf(words.StandOnThe, s.Direction)
	}
	return SayThird(s.Direction.String(), s.Third)
}

// SayThird of a flood or an ebb, 1 to 3: "flood, last third".
func SayThird(direction string, third int) string {
	if third < 1 || third > 3 {
		return direction
	}
	return fmt.Sprintf(words.Third, direction, [...]string{"first", "middle", "last"}[third-1])
}

// Between are the turns on both sides of a moment; false without one on either.
func (c *Curve) Between(t time.Time) (last, next Turn, ok bool) {
	i := sort.Search(len(c.turns), func(i int) bool { return c.turns[i].Time.After(t) })
	if i == 0 || i == len(c.turns) {
		return last, next, false
	}
	return c.turns[i-1], c.turns[i], true
}

// FromHigh is the time from the nearest high water to t in hours, negative before it; NaN without one in the curve's reach.
func (c *Curve) FromHigh(t time.Time) float64 {
	near := math.NaN()
	for _, k := range c.turns {
		if h := t.Sub(k.Time).Hours(); k.Kind == High && !(math.Abs(h) >= math.Abs(near)) {
			near = h
		}
	}
	return near
}

// Stage at t. A moment without a turn within five days on both sides, or
// outside the curve's interval, is an error.
func (c *Curve) Stage(t time.Time) (Stage, error) {
	s, ok := c.StageRising(t, c.Rate(t))
	if !ok {
		return Stage{}, fmt.Errorf("tide: no turn on both sides of %s to tell the stage from", t.Format(time.RFC3339))
	}
	return s, nil
}

// StageRising is the stage at t where it is known how fast the water rises, m/h; false where there is
// no turn on one of the sides.
func (c *Curve) StageRising(t time.Time, rate float64) (Stage, bool) {
	last, next, ok := c.Between(t)
	if !ok {
		return Stage{}, false
	}
	s := Stage{Last: last, Next: next, RateMPerH: rate, RangeM: math.Abs(next.LevelM - last.LevelM)}
	if next.Kind == High {
		s.Direction = Flood
	}
	s.Elapsed = t.Sub(last.Time).Seconds() / next.Time.Sub(last.Time).Seconds()
	s.Third = 1 + min(2, int(s.Elapsed*3))
	s.Slack = s.slack()
	return s, true
}

// At is the stage of one moment without preparing an interval first.
func At(p Predictor, t time.Time) (Stage, error) {
	c, err := Over(p, t, t)
	if err != nil {
		return Stage{}, err
	}
	return c.Stage(t)
}
