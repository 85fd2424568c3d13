package logbook

import (
	"context"
	"errors"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
	"greypebble/server/store"
)

func (s service) registerDays(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/log/days", "logDays", "Effort and catch by the day, as the clock at the water has it"), s.days)
}

type dayOut struct {
	Day      string  `json:"day" format:"date"`
	Spells   int     `json:"spells"`
	RodHours float64 `json:"rod_hours"`
	Catches  int     `json:"catches"`
}

type daysOutput struct {
	Body struct {
		Days []dayOut `json:"days" nullable:"false" doc:"that were fished, oldest first"`
	}
}

// longestSpan of days that are told at once.
const longestSpan = 800 * 24 * time.Hour

func (s service) days(ctx context.Context, as *web.Scope, in *logFilter) (*daysOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	f, err := s.filter(n, in, store.Filter{})
	if err != nil {
		return nil, err
	}
	if f.To.IsZero() {
		f.To = as.Now()
	}
	if f.From.IsZero() {
		f.From = f.To.AddDate(-1, 0, 0)
	}
	if f.To.Sub(f.From) > longestSpan {
		return nil, web.Wrong("query.from", errors.New("expected a time within two years before the end"))
	}
	list, err := s.Store.Efforts(ctx, as.Angler, f)
	if err != nil {
		return nil, err
	}
	out := &daysOutput{}
	out.Body.Days = []dayOut{}
	zones := map[string]*time.Location{}
	for _, e := range list {
		if zones[e.TimeZone] == nil {
			if zones[e.TimeZone], err = time.LoadLocation(e.TimeZone); err != nil {
				return nil, err
			}
		}
		day := e.StartedAt.In(zones[e.TimeZone]).Format(time.DateOnly)
		if k := len(out.Body.Days); k == 0 || out.Body.Days[k-1].Day != day {
			out.Body.Days = append(out.Body.Days, dayOut{Day: day})
		}
		d := &out.Body.Days[len(out.Body.Days)-1]
		d.Spells, d.RodHours, d.Catches = d.Spells+1, d.RodHours+e.RodHours, d.Catches+e.Catches
	}
	return out, nil
}
