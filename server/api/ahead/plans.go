package ahead

import (
	"context"
	"errors"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/interchange/calendar"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// KeptBody is a plan as it is written. It is exported for huma, which embeds only such fields.
type KeptBody struct {
	DayBody
	Name    string     `json:"name" minLength:"1" maxLength:"80"`
	Stays   []StayBody `json:"stays" minItems:"1" maxItems:"6" nullable:"false" doc:"in their order, none at the same time as another"`
	Tell    string     `json:"tell,omitempty" maxLength:"400" doc:"who is told where one goes, and how they are reached"`
	CallMin float64    `json:"call_min,omitempty" minimum:"10" maximum:"720" default:"60" doc:"after being due back one is called for"`
}

type putPlanInput struct {
	wire.ByID
	Body struct {
		KeptBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

type planListed struct {
	ID       string    `json:"id" format:"uuid"`
	Revision int       `json:"revision"`
	Name     string    `json:"name"`
	From     time.Time `json:"from"`
	To       time.Time `json:"to"`
	Spots    []string  `json:"spots" nullable:"false" doc:"names, in the order of the day; of those that are left"`
	Closed   []string  `json:"closed,omitempty" nullable:"false" doc:"by which rules entered since stays cannot be kept, as sentences"`
	TimeZone string    `json:"time_zone" doc:"of the first"`
}

type plansInput struct {
	After time.Time `query:"after" doc:"those that end later; now if left out"`
}

type plansOutput struct {
	Body struct {
		Plans []planListed `json:"plans" nullable:"false" doc:"the next first"`
	}
}

type keptOutput struct {
	Body struct {
		KeptBody
		ID       string  `json:"id" format:"uuid"`
		Revision int     `json:"revision"`
		Now      planOut `json:"now" doc:"what it comes to by what is known now; without legs where the day is over or too far ahead"`
		Gone     int     `json:"gone" doc:"stays whose spot is no longer there"`
	}
}

func (s service) registerPlans(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/plans", "plans", "Plans of days you kept"), s.plans)
	web.Signed(api, s.Deps, web.Get("/plans/{id}", "plan", "A plan, and what it comes to by what is known now"), s.plan)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/plans/{id}", "putPlan", "Keep a plan, new or changed")), s.putPlan)
	web.Signed(api, s.Deps, web.Delete("/plans/{id}", "deletePlan", "Remove a plan"), s.deletePlan)
	web.Signed(api, s.Deps, web.Get("/plans/{id}/plan.ics", "planCalendar",
		"A plan as a calendar (iCalendar): one event, changed and not doubled"), s.planCalendar)
	web.Signed(api, s.Deps, web.Get("/plans/{id}/sheet", "planSheet", "All of a plan's day for one page of paper"), s.sheet)
}

func (s service) plans(ctx context.Context, as *web.Scope, in *plansInput) (*plansOutput, error) {
	list, err := s.Store.Plans(ctx, as.Angler, as.At(in.After))
	if err != nil {
		return nil, err
	}
	spots, err := s.Desk.Spots(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	out := &plansOutput{}
	out.Body.Plans = []planListed{}
	for _, p := range list {
		one := planListed{ID: p.ID.String(), Revision: p.Revision, Name: p.Name, From: p.From, To: p.To, Spots: []string{}, TimeZone: "UTC"}
		for _, k := range p.Stays {
			for _, sp := range spots {
				if sp.ID == k.Spot {
					if len(one.Spots) == 0 {
						one.TimeZone = sp.Clock.String()
					}
					one.Spots = append(one.Spots, sp.Name)
					target, _ := book.Target(k.Target) // none, or none any longer: whatever is sought
					if says := plan.SaysClosed(&sp.Spot.Spot, target, k.Arrive, k.Leave); says != "" {
						one.Closed = append(one.Closed, says)
					}
				}
			}
		}
		out.Body.Plans = append(out.Body.Plans, one)
	}
	return out, nil
}

func (s service) putPlan(ctx context.Context, as *web.Scope, in *putPlanInput) (*wire.RevisionOutput, error) {
	b := &in.Body
	if length := b.To.Sub(b.From); length < time.Hour || length > longestDay {
		return nil, web.Wrong("body.to", errors.New("a day lasts 1 to 24 hours from its beginning"))
	}
	p := store.Plan{ID: in.ID, Revision: b.Revision, Name: b.Name, From: b.From.UTC(), To: b.To.UTC(), Tell: b.Tell,
		Asked: store.PlanAsked{Targets: b.Targets, Spots: b.Spots, Banned: b.Banned, By: b.By, Legs: b.Legs, PackMin: b.PackMin,
			MarginMin: b.MarginMin, ByDay: b.ByDay, SpareMin: b.SpareMin, Along: b.Along, CallMin: b.CallMin}}
	if b.Home != nil {
		home := ground.LatLon(*b.Home)
		p.Asked.Home = &home
	}
	for i, k := range b.Stays {
		at := fmt.Sprintf("body.stays[%d]", i)
		switch {
		case !k.Leave.After(k.Arrive):
			return nil, web.Wrong(at+".leave", errors.New("expected a time after arriving"))
		case k.Arrive.Before(b.From.Add(-longestDay)) || k.Leave.After(b.To.Add(longestDay)):
			return nil, web.Wrong(at, errors.New("expected a stay on the day of the plan"))
		case i > 0 && k.Arrive.Before(b.Stays[i-1].Leave):
			return nil, web.Wrong(at+".arrive", errors.New("expected a time after the stay before it"))
		}
		p.Stays = append(p.Stays, store.Stay{Spot: k.SpotID, Arrive: k.Arrive.UTC(), Leave: k.Leave.UTC(), Target: k.Target,
			Pinned: k.Pinned, SpareFrom: k.SpareFrom, SpareUntil: k.SpareUntil})
	}
	revision, err := s.Store.PutPlan(ctx, as.Angler, p)
	return wire.Revised(revision), err
}

func (s service) deletePlan(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeletePlan(ctx, as.Angler, in.ID)
}

// bodyOf a plan that is kept.
func bodyOf(p *store.Plan) KeptBody {
	a := &p.Asked
	b := KeptBody{Name: p.Name, Tell: p.Tell, CallMin: a.CallMin, Stays: []StayBody{}, DayBody: DayBody{From: p.From, To: p.To,
		Targets: append([]string{}, a.Targets...), Spots: a.Spots, Banned: a.Banned, By: a.By, Legs: a.Legs, PackMin: a.PackMin,
		MarginMin: a.MarginMin, ByDay: a.ByDay, SpareMin: a.SpareMin, Along: a.Along}}
	if a.Home != nil {
		home := wire.LatLon(*a.Home)
		b.Home = &home
	}
	for _, k := range p.Stays {
		b.Stays = append(b.Stays, StayBody{SpotID: k.Spot, Arrive: k.Arrive, Leave: k.Leave, Target: k.Target, Pinned: k.Pinned,
			SpareBody: SpareBody{k.SpareFrom, k.SpareUntil}})
	}
	return b
}

// kept is a plan's day in the outlook over it; its stays are pins of it.
func (s service) kept(ctx context.Context, as *web.Scope, id uuid.UUID) (*store.Plan, *asked, int, error) {
	p, err := s.Store.Plan(ctx, as.Angler, id)
	if err != nil {
		return nil, nil, 0, err
	}
	b := bodyOf(&p)
	// What was asked for may be gone since; the stays are what counts.
	b.Spots, b.Banned = nil, nil
	if b.Targets, err = s.stillKnown(ctx, as, b.Targets); err != nil {
		return nil, nil, 0, err
	}
	d, err := s.dayOf(ctx, as, &b.DayBody, nil)
	if err != nil {
		return nil, nil, 0, err
	}
	gone := 0
	for _, k := range p.Stays {
		at := d.o.at(k.Spot)
		if at < 0 {
			gone++
			continue
		}
		d.Pins = append(d.Pins, plan.Pin{Spot: at, Arrive: k.Arrive, Leave: k.Leave,
			Spare: SpareBody{k.SpareFrom, k.SpareUntil}.window()})
	}
	return &p, d, gone, nil
}

// stillKnown targets of some: a book may have changed since.
func (s service) stillKnown(ctx context.Context, as *web.Scope, ids []string) ([]string, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	var out []string
	for _, id := range ids {
		if _, err := book.Target(id); err == nil {
			out = append(out, id)
		}
	}
	return out, nil
}

// assessed is what the stays come to, with what stands against each and against the day.
func (d *asked) assessed() (plan.Itinerary, planOut, error) {
	if len(d.Pins) == 0 {
		out, err := d.planOf(&plan.Itinerary{}, plan.Robust{})
		return plan.Itinerary{}, out, err
	}
	zone := d.o.Spots[d.Pins[0].Spot].Clock
	it, found := d.o.Assess(d.Day, d.Pins, zone, d.as.Units)
	out, err := d.planOf(&it, plan.Robust{})
	if err != nil {
		return it, out, err
	}
	for _, f := range found {
		if f.Leg < 0 {
			out.Against = append(out.Against, f.Says)
		} else {
			out.Legs[f.Leg].Against = append(out.Legs[f.Leg].Against, f.Says)
		}
	}
	return it, out, nil
}

func (s service) plan(ctx context.Context, as *web.Scope, in *wire.ByID) (*keptOutput, error) {
	p, d, gone, err := s.kept(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	out := &keptOutput{}
	out.Body.KeptBody, out.Body.ID, out.Body.Revision, out.Body.Gone = bodyOf(p), p.ID.String(), p.Revision, gone
	_, out.Body.Now, err = d.assessed()
	pinned := map[time.Time]bool{}
	for _, k := range p.Stays {
		pinned[k.Arrive] = k.Pinned
	}
	for i := range out.Body.Now.Legs {
		out.Body.Now.Legs[i].Pinned = pinned[out.Body.Now.Legs[i].Arrive]
	}
	return out, err
}

func (s service) planCalendar(ctx context.Context, as *web.Scope, in *wire.ByID) (*web.File, error) {
	p, d, _, err := s.kept(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	it, now, err := d.assessed()
	if err != nil {
		return nil, err
	}
	from, to, says := p.From, p.To, now.Says
	if len(it.Legs) > 0 {
		from, to = it.LeaveHome, it.BackHome
	}
	for _, l := range now.Legs {
		says += "\n" + l.Says
	}
	raw, err := calendar.Write([]calendar.Event{{UID: "plan-" + p.ID.String(), Sequence: p.Revision, From: from, To: to, Summary: p.Name,
		Says: says}}, as.Now())
	return web.Attached("plan.ics", "text/calendar; charset=utf-8", raw), err
}
