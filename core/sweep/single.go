package sweep

import (
	"math"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Single is one value of a field with what it may be: the edge of being at a spot at a moment for a
// target, on its best mark, under what is believed of the rules and of the readings. It is slow
// beside a field; false where the way is shut or no mark has fishable water.
func Single(b *playbook.Book, belief rate.Belief, target *playbook.Target, s *spot.Spot, t time.Time) (rate.Edge, bool, error) {
	m, err := momentAt(s, t)
	if err != nil || s.Closing(t) != nil || s.Unsought(target.Species(), t) != nil || !s.OpenToday(t) || !s.Access.Passable(m.LevelM) {
		return rate.Edge{}, false, err
	}
	best, err := bestMark(b, belief.For(target.ID), target, &m, func(k int) bool {
		return s.Marks[k].Fishable.Holds(s.Marks[k].Depth(m.LevelM))
	})
	if err != nil || best == nil {
		return rate.Edge{}, false, err
	}
	best.Place(scene.Run(s, target, t))
	return best.Edge(), true, nil
}

// momentAt a spot, with the warmth over its marks.
func momentAt(s *spot.Spot, t time.Time) (spot.Moment, error) {
	c, err := tide.Over(s.Tide, t.Add(-spot.WarmthRunUp), t.Add(2*warmEvery))
	if err != nil {
		return spot.Moment{}, err
	}
	m, err := s.At(c, t)
	if err != nil {
		return m, err
	}
	m.Warmth, err = s.WarmthBy(t, t.Add(warmEvery), warmEvery)
	return m, err
}

// bestMark at a moment of those that may be fished; nil for none.
func bestMark(b *playbook.Book, belief rate.Belief, target *playbook.Target, m *spot.Moment,
	may func(mark int) bool) (*rate.Contrast, error) {
	base, err := scene.ScenariosOf(m)
	if err != nil {
		return nil, err
	}
	yard := ordinary.Measure(b, target, belief.Mean)
	var best *rate.Contrast
	for k := range m.Spot.Marks {
		if !may(k) {
			continue
		}
		if on := contrast(b, belief, &yard, base.On(m, k), tide.Tideless(m.Spot.Tide)); best == nil || on.Edge().Value > best.Edge().Value {
			best = on
		}
	}
	return best, nil
}

// contrast of a mark with an ordinary spell, but for what is tied on.
func contrast(b *playbook.Book, belief rate.Belief, yard *ordinary.Yardstick, facts *[conditions.Scenarios]playbook.Facts,
	tideless bool) *rate.Contrast {
	weights := make([][conditions.Scenarios]float64, len(b.Rules))
	one := make([]float64, len(b.Rules))
	for k := range facts {
		b.Weights(yard.Target, &facts[k], one)
		for r, w := range one {
			weights[r][k] = w
		}
	}
	c := rate.NewContrast(belief, len(b.Rules))
	absence := 0.0
	for _, r := range b.About(yard.Target) {
		rule := &b.Rules[r]
		if rule.Part == playbook.Taken || tideless && rule.OfTide() {
			continue
		}
		var usual [conditions.Scenarios]float64
		here := 0.0
		for k := range usual {
			usual[k] = yard.Rules[r]
			if !rule.Presence() {
				continue
			}
			// Alone: nobody is less away for being away for two reasons.
			if w := rule.Weight(&facts[k]); w == w {
				here += w / conditions.Scenarios
			}
		}
		c.Add(rule.Part, r, &weights[r], &usual)
		absence = math.Max(absence, here)
	}
	if absence > 0 {
		c.Bound(ordinary.MostAbsent(absence))
	}
	return c
}
