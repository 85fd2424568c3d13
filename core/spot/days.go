package spot

import (
	"sync"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/tide"
)

// days keeps what was worked out of a spot, day by day: its tide, when its way is open, and by hour how
// warm its marks are. Copies of the spot with the same ground share it.
type days struct {
	mu     sync.Mutex
	curves map[int64]*tide.Curve
	open   map[wayKey][]ground.Window
	warm   map[warmKey]*Warmth
}

// wayKey: copies of a spot that are reached otherwise share the rest, not when their way is open.
type wayKey struct {
	curve    *tide.Curve
	manner   ground.Manner
	draughtM float64
}

func (s *Spot) wayOn(c *tide.Curve) wayKey { return wayKey{c, s.Access.Manner, s.Access.DraughtM} }

type warmKey struct {
	hour     int64
	readings conditions.Readings
}

const (
	// Around a day, the tide is worked out from two days before it, for the bed to forget where it
	// began, to two days after it.
	daysBefore = 48 * time.Hour
	daysAfter  = 72 * time.Hour
	// mostDays and mostHours are kept; then all are forgotten.
	mostDays  = 40
	mostHours = 200
)

// Remember makes the spot keep what is worked out of it, for as long as it is not changed.
func (s *Spot) Remember() *Spot {
	s.days = &days{curves: map[int64]*tide.Curve{}, open: map[wayKey][]ground.Window{}, warm: map[warmKey]*Warmth{}}
	return s
}

// Curve of its tide over an interval at least, ready to be asked.
func (s *Spot) Curve(from, to time.Time) (*tide.Curve, error) {
	day := from.UTC().Truncate(24 * time.Hour)
	if s.days == nil || to.After(day.Add(daysAfter)) {
		return tide.Over(s.Tide, from, to)
	}
	s.days.mu.Lock()
	c := s.days.curves[day.Unix()]
	s.days.mu.Unlock()
	if c != nil {
		return c, nil
	}
	c, err := tide.Over(s.Tide, day.Add(-daysBefore), day.Add(daysAfter))
	if err != nil {
		return nil, err
	}
	s.days.mu.Lock()
	defer s.days.mu.Unlock()
	if len(s.days.curves) >= mostDays {
		clear(s.days.curves)
		clear(s.days.open)
	}
	s.days.curves[day.Unix()] = c
	return c, nil
}

// WayOpen lists when one can get in and back on a curve, whatever rules say.
func (s *Spot) WayOpen(c *tide.Curve) []ground.Window {
	if s.days == nil {
		return s.Access.Open(c)
	}
	s.days.mu.Lock()
	w, done := s.days.open[s.wayOn(c)]
	s.days.mu.Unlock()
	if done {
		return w
	}
	w = s.Access.Open(c)
	s.days.mu.Lock()
	defer s.days.mu.Unlock()
	for _, known := range s.days.curves {
		if known == c { // only of curves that are kept
			s.days.open[s.wayOn(c)] = w
		}
	}
	return w
}

// WarmthAt the hour of a moment, as it looks when the hour is over.
func (s *Spot) WarmthAt(t time.Time) (*Warmth, error) {
	hour := t.UTC().Truncate(time.Hour)
	make := func() (*Warmth, error) {
		c, err := s.Curve(hour, hour.Add(2*time.Hour))
		if err != nil {
			return nil, err
		}
		if from, _ := c.Interval(); from.After(hour.Add(-runUp)) {
			return s.WarmthBy(hour, hour.Add(time.Hour), coarseStep)
		}
		return s.warmthOn(c, hour, hour.Add(time.Hour), t, coarseStep)
	}
	if s.days == nil || s.passing {
		return make()
	}
	k := warmKey{hour.Unix(), s.Readings}
	s.days.mu.Lock()
	w := s.days.warm[k]
	s.days.mu.Unlock()
	if w != nil {
		return w, nil
	}
	w, err := make()
	if err != nil {
		return nil, err
	}
	s.days.mu.Lock()
	defer s.days.mu.Unlock()
	if len(s.days.warm) >= mostHours {
		clear(s.days.warm)
	}
	s.days.warm[k] = w
	return w, nil
}
