package plan

import (
	"time"

	"greypebble/core/advise"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/sweep"
)

// Within are the spots one reaches from home in so long, by their place in the outlook: by road and
// then as they are reached, or, in a boat, over the water. Guessed from bee lines.
func (o *Outlook) Within(home ground.LatLon, most time.Duration) []int {
	out := []int{}
	for at, sp := range o.Asked.Spots {
		took := ground.Drive(home, sp.LatLon)
		if sp.Access.Manner == ground.Boat {
			took = sp.Access.Straight(home, sp.LatLon)
		}
		if took <= most {
			out = append(out, at)
		}
	}
	return out
}

// InKit are those of some windows that are worth at least so much with what one has, in their order;
// all of them where nothing to tie on is in the kit.
func (o *Outlook) InKit(list []Window, has kit.Kit, least float64) ([]Window, error) {
	if has.Empty() {
		return list, nil
	}
	fits := make([]bool, len(list))
	errs := make([]error, len(list))
	sweep.Parallel(len(list), func(i int) {
		w := list[i]
		a, err := advise.Ask(advise.Question{Book: o.Asked.Book, Belief: o.Asked.Belief, Target: o.Asked.Targets[w.Target],
			Spot: o.Asked.Spots[w.Spot], Time: w.middle(), Limits: o.Asked.Limits, Units: o.Asked.Units, Kit: has, KitOnly: true, Most: 1})
		errs[i], fits[i] = err, len(a.Choices) > 0 && a.Choices[0].Edge.Value >= least
	})
	out := []Window{}
	for i, w := range list {
		if errs[i] != nil {
			return nil, errs[i]
		}
		if fits[i] {
			out = append(out, w)
		}
	}
	return out, nil
}

// middle of a window's best.
func (w Window) middle() time.Time { return w.BestFrom.Add(w.BestUntil.Sub(w.BestFrom) / 2) }
