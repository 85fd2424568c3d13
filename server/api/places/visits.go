package places

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/interchange/calendar"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type visitsInput struct {
	wire.ByID
	From      time.Time `query:"from" doc:"now if left out"`
	To        time.Time `query:"to" doc:"three days on if left out"`
	MarginMin float64   `query:"margin_min" minimum:"0" maximum:"720" doc:"minutes to be out before the way shuts"`
	Daylight  bool      `query:"daylight" doc:"only from civil dawn to civil dusk"`
	Night     bool      `query:"night" doc:"the best may lie in the dark; by day if left out"`
}

type visitOut struct {
	Opens     *time.Time `json:"opens" required:"true" nullable:"true" doc:"null: before the interval"`
	Closes    *time.Time `json:"closes" required:"true" nullable:"true" doc:"when to be out, the margin kept; null: after the interval"`
	LimitedBy string     `json:"limited_by" doc:"what shuts it"`
	Shuts     *time.Time `json:"shuts,omitempty" doc:"when the way itself shuts"`
	SureFrom  *time.Time `json:"sure_from,omitempty" doc:"even if the water stands off its prediction by the uncertainty"`
	SureUntil *time.Time `json:"sure_until,omitempty"`
	BestFrom  *time.Time `json:"best_from,omitempty" doc:"most marks are worth a cast"`
	BestUntil *time.Time `json:"best_until,omitempty"`
	Marks     int        `json:"marks" doc:"worth a cast at best"`
	Says      string     `json:"says" doc:"the same in words, in the water's own time"`
}

type windowsOutput struct {
	Body []visitOut `nullable:"false"`
}

type visitsOutput struct {
	Body struct {
		Visits []visitOut `json:"visits" nullable:"false"`
		Why    string     `json:"why,omitempty" doc:"why there is none"`
	}
}

// Visits are worked out over so long at most.
const (
	usualVisits   = 3 * 24 * time.Hour
	longestVisits = 62 * 24 * time.Hour
)

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
	sp, visits, why, err := s.visits(ctx, as, in)
	if err != nil {
		return nil, err
	}
	out := &visitsOutput{}
	out.Body.Visits, out.Body.Why = []visitOut{}, why
	for _, v := range visits {
		out.Body.Visits = append(out.Body.Visits, visitOut{Opens: answer.Moment(v.Opens), Closes: answer.Moment(v.BeOutBy),
			LimitedBy: v.ClosedBy, Shuts: answer.Moment(v.Closes), SureFrom: answer.Moment(v.SureFrom),
			SureUntil: answer.Moment(v.SureUntil),
			BestFrom:  answer.Moment(v.BestFrom), BestUntil: answer.Moment(v.BestUntil),
			Marks: v.Marks, Says: v.Says(sp.Clock, as.Units)})
	}
	return out, nil
}

func (s service) calendar(ctx context.Context, as *web.Scope, in *visitsInput) (*web.File, error) {
	sp, visits, _, err := s.visits(ctx, as, in)
	if err != nil {
		return nil, err
	}
	raw, err := calendar.Visits(sp.ID.String(), sp.Name, visits, sp.Clock, as.Units, as.Now())
	return web.Attached("windows.ics", "text/calendar; charset=utf-8", raw), err
}

func (s service) visits(ctx context.Context, as *web.Scope, in *visitsInput) (sp *store.Spot, visits []ground.Visit,
	why string, err error) {
	sp, err = s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, nil, "", err
	}
	from := as.At(in.From)
	to := in.To.UTC()
	if in.To.IsZero() {
		to = from.Add(usualVisits)
	}
	if y := from.Year(); y < 1900 || y > 2100 || to.Sub(from) > longestVisits || to.Before(from) {
		return nil, nil, "", web.Wrong("query.to",
			fmt.Errorf("expected an interval of at most 62 days forward in time, between 1900 and 2100"))
	}
	c, err := tide.Over(sp.Tide, from, to)
	if err != nil {
		return nil, nil, "", err
	}
	margin := time.Duration(in.MarginMin * float64(time.Minute))
	light := spot.AnyHour
	switch {
	case in.Daylight:
		light = spot.ByDay
	case in.Night:
		light = spot.NightToo
	}
	if visits = sp.Visits(c, margin, light); len(visits) == 0 {
		why = sp.NoVisit(c, margin, light)
	}
	return sp, visits, why, nil
}
