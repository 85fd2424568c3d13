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

// BlindHour is the hour a blind pick begins at for a moment: moving the ribbon by
// minutes must not move the yardstick.
func BlindHour(t time.Time) time.Time { return t.Truncate(blindStep) }

// Blind is what turning up blind is worth for a target: the mean over all spots
// when they can be reached, at every daylight hour of the fourteen days from a
// moment, on any mark with fishable water, with nothing particular on the hook.
func Blind(book *playbook.Book, belief rate.Belief, target *playbook.Target, spots []*Spot, from time.Time) (*rate.Blind, error) {
	from = BlindHour(from)
	to := from.AddDate(0, 0, blindDays)
	bl := rate.NewBlind(belief, len(book.Rules), book.About(target.ID), len(spots))
	w := rate.NewWeights(len(book.Rules))
	skies, tides := make(skyBook), new(tide.Memo)
	for i, s := range spots {
		c, err := tides.Over(s.Tide, from, to)
		if err != nil {
			return nil, err
		}
		sieves := s.sieves(book, target)
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
			m.addMarks(sieves, bl, i, &w)
		}
	}
	return bl, nil
}

// sieves of a spot's marks for a target, turning up with nothing particular.
func (s *Spot) sieves(book *playbook.Book, target *playbook.Target) []*playbook.Sieve {
	out := make([]*playbook.Sieve, len(s.Marks))
	for i := range s.Marks {
		f := playbook.Nothing()
		f.Say(playbook.Place, s.Place)
		fillMark(&f, &s.Marks[i], 0)
		out[i] = book.Sieve(target.ID, &f, playbook.Plain)
	}
	return out
}

// skyBook remembers skies by hour and tenth of a degree: neighbouring spots
// share theirs. By daylight the moon lights nothing, and is left out.
type skyBook map[skyKey]Sky

type skyKey struct{ lat, lon, unix int64 }

func keyOf(o sky.Observer, t time.Time) skyKey {
	return skyKey{int64(math.Round(o.Lat * 10)), int64(math.Round(o.Lon * 10)), t.Unix()}
}

// at a place and time; false by night.
func (b skyBook) at(o sky.Observer, t time.Time) (Sky, bool) {
	k := keyOf(o, t)
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

func (m *Moment) addMarks(sieves []*playbook.Sieve, bl *rate.Blind, spot int, w *rate.Weights) {
	var open []int
	for i := range m.Spot.Marks {
		if m.Spot.Marks[i].Fishable.Holds(m.Spot.Marks[i].Depth(m.LevelM)) {
			open = append(open, i)
		}
	}
	if len(open) == 0 {
		return
	}
	var base [conditions.Scenarios]playbook.Facts
	common := m.facts()
	for k := range base {
		v := m.Believed.Scenario(k)
		base[k] = common
		vary(&base[k], v, m.SurfaceLight(v.Cloud))
	}
	for _, i := range open {
		for k := range base {
			base[k].Measure[playbook.Depth] = m.Spot.Marks[i].Depth(m.LevelM)
		}
		sieves[i].Weights(base[:], w[:])
		bl.Add(spot, w, 1/float64(len(open)))
	}
}
