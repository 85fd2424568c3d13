package advise

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

const (
	baselineDays = 14
	baselineStep = time.Hour
)

// BaselineHour is the hour a blind pick begins at for a moment: moving the ribbon by
// minutes must not move the yardstick.
func BaselineHour(t time.Time) time.Time { return t.Truncate(baselineStep) }

// Baseline is what turning up blind is worth for a target: the mean over all spots
// when they can be reached, at every daylight hour of the fourteen days from a
// moment, on any mark with fishable water, with nothing particular on the hook.
func Baseline(book *playbook.Book, belief rate.Belief, target *playbook.Target, spots []*spot.Spot,
	from time.Time) (*rate.Baseline, error) {
	from = BaselineHour(from)
	to := from.AddDate(0, 0, baselineDays)
	bl := rate.NewBaseline(belief, len(book.Rules), book.About(target.ID), len(spots))
	w := rate.NewWeights(len(book.Rules))
	skies, tides := make(skyBook), new(tide.Memo)
	for i, s := range spots {
		if len(s.Marks) == 0 {
			continue // nobody knows what to fish there
		}
		c, err := tides.Over(s.Tide, from, to)
		if err != nil {
			return nil, err
		}
		applicable := scene.Applicable(s, book, target.ID)
		for t := from; t.Before(to); t = t.Add(baselineStep) {
			if !s.Access.Passable(c.Level(t)) || s.Closing(t) != nil {
				continue
			}
			day, light := skies.at(s.Observer(), t)
			if !light {
				continue
			}
			m, err := s.Under(day, c, t)
			if err != nil {
				return nil, err
			}
			addMarks(&m, applicable, bl, i, &w)
		}
	}
	return bl, nil
}

// skyBook remembers skies by hour and tenth of a degree: neighbouring spots
// share theirs. By daylight the moon lights nothing, and is left out.
type skyBook map[skyKey]spot.Sky

type skyKey struct{ lat, lon, unix int64 }

func skyKeyOf(o sky.Observer, t time.Time) skyKey {
	return skyKey{int64(math.Round(o.Lat * 10)), int64(math.Round(o.Lon * 10)), t.Unix()}
}

// at a place and time; false by night.
func (b skyBook) at(o sky.Observer, t time.Time) (spot.Sky, bool) {
	k := skyKeyOf(o, t)
	s, seen := b[k]
	if !seen {
		s.Sun = o.Sun(t)
		if s.Sun.Altitude >= sky.SunUp {
			s.FromFull = sky.DaysFromFull(t)
		}
		b[k] = s
	}
	return s, s.Sun.Altitude >= sky.SunUp
}

func addMarks(m *spot.Moment, applicable []*playbook.Applicable, bl *rate.Baseline, at int, w *rate.Weights) {
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
	common := scene.Of(m)
	for k := range base {
		v := m.Believed.Scenario(k)
		base[k] = common
		scene.Vary(&base[k], v, m.SurfaceLight(v.Cloud))
	}
	for _, i := range open {
		for k := range base {
			base[k].Measure[playbook.Depth] = m.Spot.Marks[i].Depth(m.LevelM)
		}
		applicable[i].Weights(base[:], w[:])
		bl.Add(at, w, 1/float64(len(open)))
	}
}
