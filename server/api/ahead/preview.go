package ahead

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// PlanBody asks for a day. It is exported for huma, which embeds only such fields.
type PlanBody struct {
	From      time.Time    `json:"from" doc:"leave home no sooner"`
	To        time.Time    `json:"to" doc:"and be back by; at most 24 hours after"`
	Targets   []string     `json:"targets" maxItems:"40" nullable:"false" doc:"ids; none: anything that is on"`
	Spots     []string     `json:"spots,omitempty" maxItems:"12" nullable:"false" doc:"ids; left out: the best of those one can reach"`
	By        string       `json:"by,omitempty" enum:"legs,kayak,boat,car" doc:"what one has; left out: as each is reached"`
	Home      *wire.LatLon `json:"home,omitempty" doc:"where one sets out; the way there is not counted if left out"`
	Legs      int          `json:"legs,omitempty" minimum:"1" maximum:"6" default:"3" doc:"spots in the day at most"`
	PackMin   float64      `json:"pack_min,omitempty" minimum:"0" maximum:"120" default:"15" doc:"to pack, unpack and rig, for each leg"`
	MarginMin float64      `json:"margin_min,omitempty" minimum:"0" maximum:"720" default:"20" doc:"to be out before a way shuts"`
	ByDay     bool         `json:"by_day,omitempty" doc:"between civil dawn and dusk only"`
	Plans     int          `json:"plans,omitempty" minimum:"1" maximum:"3" default:"3" doc:"so many that differ by place"`
}

type previewInput struct{ Body PlanBody }

type legOut struct {
	SpotID     string    `json:"spot_id" format:"uuid"`
	Spot       string    `json:"spot"`
	TimeZone   string    `json:"time_zone"`
	Target     string    `json:"target" doc:"most is expected of; empty where one only waits"`
	TargetName string    `json:"target_name"`
	Arrive     time.Time `json:"arrive"`
	Leave      time.Time `json:"leave"`
	Edge       float64   `json:"edge" doc:"over the stay"`
	Expected   float64   `json:"expected" doc:"fish of one rod, at the usual catch"`
	Says       string    `json:"says"`
}

type planOut struct {
	LeaveHome time.Time `json:"leave_home"`
	BackHome  time.Time `json:"back_home"`
	WorthH    float64   `json:"worth_h" doc:"so many ordinary rod-hours it is as good as; the plans are in its order"`
	Expected  float64   `json:"expected" doc:"fish of one rod over the day, at the usual catch"`
	Legs      []legOut  `json:"legs" nullable:"false"`
	Says      string    `json:"says"`
}

type previewOutput struct {
	Body struct {
		Plans []planOut `json:"plans" nullable:"false" doc:"best first; each leaves out a spot of those before it"`
		Why   string    `json:"why,omitempty" doc:"why there is none"`
	}
}

func (s service) registerPreview(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/plans/preview", "previewPlans", "The best days over several of your spots, none of them kept"),
		s.preview)
}

const longestDay = 24 * time.Hour

func (s service) preview(ctx context.Context, as *web.Scope, in *previewInput) (*previewOutput, error) {
	b := &in.Body
	from := b.From.UTC().Truncate(plan.Step)
	if length := b.To.Sub(from); length < time.Hour || length > longestDay {
		return nil, web.Wrong("body.to", errors.New("a day is planned over 1 to 24 hours from its beginning"))
	}
	by := ground.Means(b.By)
	o, err := s.look(ctx, as, &AskedFor{From: from, Days: 2, Targets: b.Targets}, by, "body")
	if err != nil {
		return nil, err
	}
	travel := plan.Travel{By: by, Pack: minutes(b.PackMin)}
	if b.Home != nil {
		home := ground.LatLon(*b.Home)
		travel.Home = &home
	}
	d := plan.Day{From: from, Until: b.To.UTC(), Legs: b.Legs, ByDay: b.ByDay, Margin: minutes(b.MarginMin), Way: o.Ways(travel)}
	if d.Spots, err = o.chosen(b.Spots); err != nil {
		return nil, err
	}
	if len(b.Spots) == 0 {
		d.Spots = o.Candidates(d, by)
	}
	out := &previewOutput{}
	out.Body.Plans = []planOut{}
	if len(d.Spots) > 0 {
		found, err := o.Itineraries(d, b.Plans)
		if err != nil {
			return nil, web.Wrong("body", err)
		}
		for i := range found {
			out.Body.Plans = append(out.Body.Plans, o.planOf(&found[i], as))
		}
	}
	if len(out.Body.Plans) == 0 {
		out.Body.Why = "Nothing can be fished and left in time in those hours. Allow more of them, another way to go, or other spots."
	}
	return out, nil
}

func minutes(m float64) time.Duration { return time.Duration(m * float64(time.Minute)) }

// chosen spots by their place in the outlook.
func (o *outlook) chosen(ids []string) ([]int, error) {
	var out []int
	for i, id := range ids {
		at := -1
		for k, sp := range o.spots {
			if sp.ID.String() == id {
				at = k
			}
		}
		if at < 0 || slices.Contains(out, at) {
			return nil, web.Wrong(fmt.Sprintf("body.spots[%d]", i), errors.New("expected spots of your own with marks, each once"))
		}
		out = append(out, at)
	}
	return out, nil
}

func (o *outlook) planOf(it *plan.Itinerary, as *web.Scope) planOut {
	zone := o.spots[it.Legs[0].Spot].Clock
	out := planOut{LeaveHome: it.LeaveHome, BackHome: it.BackHome,
		WorthH: it.Worth, Expected: it.Catch, Legs: []legOut{}, Says: it.SaysDay(zone, as.Units)}
	for _, l := range it.Legs {
		sp := o.spots[l.Spot]
		leg := legOut{SpotID: sp.ID.String(), Spot: sp.Name, TimeZone: sp.Water.TimeZone, Arrive: l.Arrive, Leave: l.Leave, Edge: l.Edge(),
			Expected: l.Catch, Says: o.SaysLeg(l, sp.Clock, as.Units)}
		if l.Target >= 0 {
			t := o.Asked.Targets[l.Target]
			leg.Target, leg.TargetName = t.ID, t.Name
		}
		out.Legs = append(out.Legs, leg)
	}
	return out
}
