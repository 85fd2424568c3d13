package advice

import (
	"cmp"
	"context"
	"math"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/spot"
	"greypebble/core/sweep"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/desk"
)

type outlookInput struct {
	Time time.Time `query:"time" doc:"now if left out"`
}

// outlookSpot is what being at a spot would be worth.
type outlookSpot struct {
	SpotID     string   `json:"spot_id"`
	Open       bool     `json:"open" doc:"one can get in and back"`
	Target     string   `json:"target,omitempty" doc:"that it is best for, of those of this coast that live there"`
	TargetName string   `json:"target_name,omitempty"`
	Targets    []string `json:"targets" nullable:"false" doc:"those of this coast that live there, best first"`
	Edge       *float64 `json:"edge,omitempty" doc:"there × feeding; left out where it is shut or too shallow"`
}

type outlookOutput struct {
	Body struct {
		Spots []outlookSpot `json:"spots" nullable:"false" doc:"best first"`
	}
}

func (s service) registerOutlook(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/outlook", "outlook", "What each spot is worth at a moment, and for which fish"), s.outlook)
}

// outlook of all spots at a moment: for each the target that lives there and gains most.
func (s service) outlook(ctx context.Context, as *web.Scope, in *outlookInput) (*outlookOutput, error) {
	t := as.At(in.Time)
	laid, err := s.Desk.Spots(ctx, as.Angler, t)
	if err != nil {
		return nil, err
	}
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	out := &outlookOutput{}
	out.Body.Spots = []outlookSpot{}
	if len(laid) == 0 {
		return out, nil
	}
	belief, err := as.Around(ctx).Belief()
	if err != nil {
		return nil, err
	}
	run := sweep.Sweep{Book: book, Belief: belief, From: t, Hours: 24, Step: atStep}
	for _, sp := range laid {
		run.Spots = append(run.Spots, &sp.Spot.Spot)
	}
	for i := range book.Targets {
		if t := &book.Targets[i]; slices.ContainsFunc(laid, func(sp *desk.Laid) bool { return t.LivesAbout(sp.Place, sp.LatLon) }) {
			run.Targets = append(run.Targets, &book.Targets[i])
		}
	}
	memo := new(tide.Memo)
	if len(run.Targets) == 0 {
		return out, nil
	}
	field, err := run.Edges()
	if err != nil {
		return nil, err
	}
	step := int(t.Sub(field.From) / field.Step)
	for i, sp := range laid {
		_, c, err := sp.AtWith(memo, t, time.Hour, time.Hour)
		if err != nil {
			return nil, err
		}
		one := outlookSpot{Targets: []string{}, SpotID: sp.ID.String(), Open: spot.GateAt(sp.Open(c), t).Open}
		at := func(k int) float64 { return float64(field.Edges[k][i][step]) }
		var ranked []int
		for k, target := range run.Targets {
			if target.LivesAbout(sp.Place, sp.LatLon) {
				ranked = append(ranked, k)
			}
		}
		slices.SortStableFunc(ranked, func(a, b int) int { return cmp.Compare(dayBest(field.Edges[b][i]), dayBest(field.Edges[a][i])) })
		for _, k := range ranked {
			one.Targets = append(one.Targets, run.Targets[k].ID)
			if e := at(k); !math.IsNaN(e) && (one.Edge == nil || *one.Edge < e) {
				one.Target, one.TargetName, one.Edge = run.Targets[k].ID, run.Targets[k].Name, &e
			}
		}
		out.Body.Spots = append(out.Body.Spots, one)
	}
	slices.SortStableFunc(out.Body.Spots, func(a, b outlookSpot) int { return cmp.Compare(b.worth(), a.worth()) })
	return out, nil
}

// dayBest of a target's edges: which fish a place is for does not hang on the hour.
func dayBest(edges []float32) float32 {
	best := float32(math.Inf(-1))
	for _, e := range edges {
		if e > best {
			best = e
		}
	}
	return best
}

// worth of a spot, for putting the best first: one that cannot be fished comes last.
func (o outlookSpot) worth() float64 {
	if o.Edge == nil {
		return math.Inf(-1)
	}
	return *o.Edge
}

// atStep is how finely an outlook looks at a day.
const atStep = 10 * time.Minute
