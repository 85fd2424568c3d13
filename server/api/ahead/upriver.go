package ahead

import (
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/springrun"
	"greypebble/server/desk"
)

// upRivers are the runs under way or soon to be in the rivers some spots lie on.
func upRivers(book *playbook.Book, spots []*desk.Laid, now time.Time) []upRiver {
	out := []upRiver{}
	seen := map[uuid.UUID]bool{}
	for _, sp := range spots {
		if sp.River == nil || seen[sp.Water.ID] {
			continue
		}
		seen[sp.Water.ID] = true
		for i := range book.Targets {
			t := &book.Targets[i]
			w, runs := t.RunWarmth()
			if !runs || !t.LivesAbout(sp.Place, sp.LatLon) {
				continue
			}
			c := sp.River.Course(t.ID, w)
			if c == nil {
				continue
			}
			u := plan.UpRiverOf(t.Name, c, now)
			out = append(out, upRiver{Target: t.ID, Name: t.Name, Water: sp.Water.Name, From: u.From,
				Bends: bendsOf(c.Bends(), sp.Water.ID, spots), Shares: u.Shares, Come: u.Come, Says: u.Says,
				Met: metOf(sp.River.ToldOf(t.ID))})
		}
	}
	return out
}

func metOf(list []springrun.Told) []runMetOut {
	out := make([]runMetOut, len(list))
	for i, m := range list {
		out[i] = runMetOut{Time: m.At, Bend: m.Bend, Fish: m.Fish, RodHours: m.RodHours, WarmthC: m.WarmthC, Read: m.Read}
	}
	return out
}

// bendsOf a river with one's spots at them.
func bendsOf(n int, water uuid.UUID, spots []*desk.Laid) []bendOut {
	out := make([]bendOut, n)
	for b := range out {
		out[b] = bendOut{Bend: b + 1, Spots: []string{}}
	}
	for _, sp := range spots {
		if sp.Water.ID == water && sp.Bend > 0 && sp.Bend <= n {
			out[sp.Bend-1].Spots = append(out[sp.Bend-1].Spots, sp.Name)
		}
	}
	for b := range out {
		slices.Sort(out[b].Spots)
	}
	return out
}
