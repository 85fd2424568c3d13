package advise

import (
	"fmt"

	"greypebble/core/bylaw"
	"greypebble/core/going"
	"greypebble/core/prose"
	"greypebble/core/words"
)

// forbidden says that nothing may be fished for there now, or not this fish; empty where it may.
func (q *Question) forbidden() string {
	if z := q.Spot.Closing(q.Time); z != nil {
		return fmt.Sprintf(words.NothingMayBeTakenHereNow, z.Warning(q.Time, q.Units))
	}
	if z := q.Spot.Unsought(q.Target.Species(), q.Time); z != nil {
		return fmt.Sprintf(words.ItMayNotBeFishedForHere, q.Target.Name, z.Warning(q.Time, q.Units))
	}
	return ""
}

// asks is what rules ask of what is tied on.
func (q *Question) asks() bylaw.Asks { return q.Spot.Asks(q.Target.Species(), q.Time) }

// lawful is what else rules say of the fish and the tackle: said, and nothing left to choose in it.
func (q *Question) lawful() (out []going.Caution) {
	if z := q.Spot.ReleaseOnly(q.Target.Species(), q.Time); z != nil {
		out = append(out, going.Caution{ID: "release", Says: fmt.Sprintf(words.CatchAndReleaseOnly, prose.Capital(q.Target.Name),
			z.Warning(q.Time, q.Units))})
	}
	for _, says := range q.asks().Says() {
		out = append(out, going.Caution{ID: "gear", Says: says})
	}
	return out
}
