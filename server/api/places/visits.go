package places

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/interchange/calendar"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type visitsInput struct {
	wire.ByID
	answer.VisitsAsked
}

type windowsOutput struct {
	Body []answer.VisitOut `nullable:"false"`
}

type visitsOutput struct{ Body *answer.Visits }

func (s service) registerVisits(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots/{id}/windows", "spotWindows",
		"When one can be at a spot, when it is best, and when to be out"), s.windows)
	web.Signed(api, s.Deps, web.Get("/spots/{id}/visits", "spotVisits", "The same, and why where there is none"), s.listVisits)
	web.Signed(api, s.Deps, web.Get("/spots/{id}/windows.ics", "spotCalendar", "The same as a calendar (iCalendar)"), s.calendar)
}

func (s service) windows(ctx context.Context, as *web.Scope, in *visitsInput) (*windowsOutput, error) {
	v, err := s.listVisits(ctx, as, in)
	if err != nil {
		return nil, err
	}
	return &windowsOutput{v.Body.Visits}, nil
}

func (s service) listVisits(ctx context.Context, as *web.Scope, in *visitsInput) (*visitsOutput, error) {
	b, err := answer.VisitsOf(as.Around(ctx), in.ID, &in.VisitsAsked)
	if err != nil {
		return nil, err
	}
	return &visitsOutput{b}, nil
}

func (s service) calendar(ctx context.Context, as *web.Scope, in *visitsInput) (*web.File, error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	visits, _, err := answer.VisitsTo(as.Around(ctx), &sp.Spot, &in.VisitsAsked)
	if err != nil {
		return nil, err
	}
	raw, err := calendar.Visits(sp.ID.String(), sp.Name, visits, sp.Clock, as.Units, as.Now())
	return web.Attached("windows.ics", "text/calendar; charset=utf-8", raw), err
}
