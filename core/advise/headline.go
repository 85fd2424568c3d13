package advise

import (
	"strings"
	"time"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// told are the kinds of marks a headline speaks of, in the order it prefers.
var told = map[ground.MarkKind]bool{ground.Crest: true, ground.Bar: true, ground.Edge: true, ground.Trough: true, ground.Piling: true,
	ground.Hole: true, ground.Flat: true, ground.Pocket: true, ground.Step: true, ground.Timber: true, ground.Rock: true}

// Headline says how deep it is at the spot's first two marks that matter: "0.34 m
// over the crest, 1.28 m at the edge".
func (m *Moment) Headline(sys quantity.System) string {
	var parts []string
	for i := range m.Spot.Marks {
		k := m.Spot.Marks[i]
		if len(parts) == 2 || !told[k.Kind] {
			continue
		}
		d := k.Depth(m.LevelM)
		if d <= 0 {
			parts = append(parts, withArticle(k.Name)+" is dry")
			continue
		}
		parts = append(parts, sys.Depth(d)+" "+where(k.Kind)+" "+withArticle(k.Name))
	}
	return capital(strings.Join(parts, ", "))
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

// ClosesSoon says that the way is open and shuts within hours: time to mind it.
func ClosesSoon(open []ground.Window, t time.Time) bool {
	w, now := ground.NextClose(open, t)
	return now && !w.Closes.IsZero() && w.Closes.Sub(t) <= soon
}
