package advise

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/sky"
	"greypebble/core/tide"
)

const (
	blindDays = 14
	blindStep = time.Hour
	// dayBegins is the sun's altitude from which on it counts as daylight.
	dayBegins = -0.83
)

// Blind is what turning up blind is worth for a target: the mean over all spots
// when they can be reached, at every daylight hour of the fourteen days from a
// moment, on any mark with fishable water, with nothing particular on the hook.
func Blind(book *playbook.Book, belief rate.Belief, target *playbook.Target, spots []*Spot, from time.Time) (*rate.Blind, error) {
	// Whole hours: moving the ribbon by minutes must not move the yardstick.
	from = from.Truncate(blindStep)
	to := from.AddDate(0, 0, blindDays)
	bl := rate.NewBlind(belief, len(book.Rules), book.About(target.ID), len(spots))
	w := rate.NewWeights(len(book.Rules))
	skies := make(skyBook)
	for i, s := range spots {
		c, err := tide.Over(s.Tide, from, to)
		if err != nil {
			return nil, err
		}
		for t := from; t.Before(to); t = t.Add(blindStep) {
			if !s.Access.Passable(c.Level(t)) {
				continue
			}
			day, light := skies.at(s.Observer, t)
			if !light {
				continue
			}
			m, err := s.under(day, c, t)
			if err != nil {
				return nil, err
			}
			m.addMarks(book, target, bl, i, &w)
		}
	}
	return bl, nil
}

// skyBook remembers skies by hour and tenth of a degree: neighbouring spots
// share theirs. By daylight the moon lights nothing, and is left out.
type skyBook map[skyKey]Sky

type skyKey struct{ lat, lon, unix int64 }

// at a place and time; false by night.
func (b skyBook) at(o sky.Observer, t time.Time) (Sky, bool) {
	k := skyKey{int64(math.Round(o.Lat * 10)), int64(math.Round(o.Lon * 10)), t.Unix()}
	s, seen := b[k]
	if !seen {
		s.Sun = o.Sun(t)
		if s.Sun.Altitude >= dayBegins {
			s.FromFull = sky.DaysFromFull(t)
		}
		b[k] = s
	}
	return s, s.Sun.Altitude >= dayBegins
}

func (m *Moment) addMarks(book *playbook.Book, target *playbook.Target, bl *rate.Blind, spot int, w *rate.Weights) {
	var open []int
	for i := range m.Spot.Marks {
		if m.Spot.Marks[i].Fishable.Holds(m.Spot.Marks[i].Depth(m.LevelM)) {
			open = append(open, i)
		}
	}
	var base [conditions.Scenarios]playbook.Facts
	for k := range base {
		base[k] = m.facts(m.Believed.Scenario(k))
	}
	for _, i := range open {
		for k := range base {
			fillMark(&base[k], &m.Spot.Marks[i], m.LevelM)
		}
		book.WeightsAcross(target.ID, base[:], w[:])
		bl.Add(spot, w, 1/float64(len(open)))
	}
}
