package logbook

import (
	"context"
	"errors"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/server/api/web"
	"greypebble/server/store"
)

func (s service) registerDays(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/log/places", "logPlaces", "Effort and catch by spot and mark"), s.places)
	web.Signed(api, s.Deps, web.Get("/log/days", "logDays", "Effort and catch by the day, as the clock at the water has it"), s.days)
}

type placeOut struct {
	SpotID   string  `json:"spot_id"`
	SpotName string  `json:"spot_name"`
	Mark     string  `json:"mark" doc:"of the spot; empty: none was told"`
	Spells   int     `json:"spells"`
	Blanks   int     `json:"blanks"`
	RodHours float64 `json:"rod_hours"`
	Catches  int     `json:"catches"`
}

type placesOutput struct {
	Body struct {
		Places []placeOut `json:"places" nullable:"false" doc:"that were fished"`
	}
}

func (s service) places(ctx context.Context, as *web.Scope, in *logFilter) (*placesOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	f, err := s.filter(n, in, store.Filter{})
	if err != nil {
		return nil, err
	}
	list, err := s.Store.Tallies(ctx, as.Angler, f)
	if err != nil {
		return nil, err
	}
	spots, err := s.Store.Spots(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	called := map[uuid.UUID]string{}
	for _, sp := range spots {
		called[sp.ID] = sp.Name
	}
	out := &placesOutput{}
	out.Body.Places = make([]placeOut, len(list))
	for i, t := range list {
		out.Body.Places[i] = placeOut{t.SpotID.String(), called[t.SpotID], t.Mark, t.Spells, t.Blanks, t.RodHours, t.Catches}
	}
	return out, nil
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
