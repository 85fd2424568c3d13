package spot

import (
	"fmt"
	"strings"

	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// headlineKinds are the kinds of marks a headline speaks of.
var headlineKinds = map[ground.MarkKind]bool{ground.Crest: true, ground.Bar: true, ground.EdgeMark: true, ground.Trough: true,
	ground.Piling: true, ground.Hole: true, ground.Flat: true, ground.Pocket: true, ground.Step: true, ground.Timber: true,
	ground.Rock: true}

// Headline says how deep it is at the spot's first two marks that matter: "0.34 m
// over the crest, 1.28 m at the edge".
func (m *Moment) Headline(u quantity.Units) string {
	if len(m.Spot.Marks) == 0 && len(m.Spot.Section) == 0 {
		return words.DepthNotKnownHereYet
	}
	var parts []string
	for i := range m.Spot.Marks {
		k := m.Spot.Marks[i]
		if len(parts) == 2 || !headlineKinds[k.Kind] {
			continue
		}
		d := k.Depth(m.LevelM)
		if d <= 0 {
			parts = append(parts, fmt.Sprintf(words.IsDry, prose.WithArticle(k.Name)))
			continue
		}
		parts = append(parts, u.ShowWater(d)+" "+where(k.Kind)+" "+prose.WithArticle(k.Name))
	}
	return prose.Capital(strings.Join(parts, ", "))
}

// where a depth is measured, by the kind of mark.
func where(k ground.MarkKind) string {
	switch k {
	case ground.Crest, ground.Bar, ground.Flat:
		return "over"
	case ground.Trough, ground.Hole, ground.Pocket, ground.Gut:
		return "in"
	}
	return "at"
}
