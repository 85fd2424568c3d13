package api

import (
	"bytes"
	"context"
	"fmt"
	"net/http"
	"time"

	ics "github.com/arran4/golang-ical"
	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/ground"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/server/store"
)

type visitsInput struct {
	ByID
	From      time.Time `query:"from" doc:"now if left out"`
	To        time.Time `query:"to" doc:"three days on if left out"`
	MarginMin float64   `query:"margin_min" minimum:"0" maximum:"720" doc:"minutes to be out before the way shuts"`
	Daylight  bool      `query:"daylight" doc:"only from civil dawn to civil dusk"`
}

type visitOut struct {
	Opens     *time.Time `json:"opens" required:"true" nullable:"true" doc:"null: before the interval"`
	Closes    *time.Time `json:"closes" required:"true" nullable:"true" doc:"when to be out: the shutting less the margin; null: after the interval"`
	LimitedBy string     `json:"limited_by" doc:"what shuts it"`
	Shuts     *time.Time `json:"shuts,omitempty" doc:"when the way itself shuts"`
	SureFrom  *time.Time `json:"sure_from,omitempty" doc:"even if the water stands off its prediction by the uncertainty"`
	SureUntil *time.Time `json:"sure_until,omitempty"`
	BestFrom  *time.Time `json:"best_from,omitempty" doc:"most marks are worth a cast"`
	BestUntil *time.Time `json:"best_until,omitempty"`
	Marks     int        `json:"marks" doc:"worth a cast at best"`
	Says      string     `json:"says" doc:"the same in words, in the water's own time"`
}

type visitsOutput struct {
	Body []visitOut `nullable:"false"`
}

// Visits are worked out over so long at most.
const (
	usualVisits   = 3 * 24 * time.Hour
	longestVisits = 62 * 24 * time.Hour
)

func (s *Server) registerVisits(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/windows", "spotWindows", "When one can be at a spot, when it is best, and when to be out"),
		func(ctx context.Context, in *visitsInput) (*visitsOutput, error) {
			sp, visits, err := s.visits(ctx, in)
			if err != nil {
				return nil, err
			}
			zone, err := time.LoadLocation(sp.Water.TimeZone)
			if err != nil {
				return nil, failed(err)
			}
			out := &visitsOutput{Body: []visitOut{}}
			at := func(t time.Time) *time.Time {
				if t.IsZero() {
					return nil
				}
				t = t.UTC()
				return &t
			}
			for _, v := range visits {
				o := visitOut{Opens: at(v.Opens), Closes: at(v.BeOutBy), LimitedBy: v.ClosedBy, Shuts: at(v.Closes), SureFrom: at(v.SureFrom), SureUntil: at(v.SureUntil),
					BestFrom: at(v.BestFrom), BestUntil: at(v.BestUntil), Marks: v.Marks, Says: v.Says(zone)}
				out.Body = append(out.Body, o)
			}
			return out, nil
		})
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/windows.ics", "spotCalendar", "The same as a calendar (iCalendar)"),
		func(ctx context.Context, in *visitsInput) (*fileOutput, error) {
			sp, visits, err := s.visits(ctx, in)
			if err != nil {
				return nil, err
			}
			raw, err := calendar(sp, visits, s.now())
			if err != nil {
				return nil, failed(err)
			}
			return &fileOutput{ContentType: "text/calendar; charset=utf-8", ContentDisposition: `attachment; filename="windows.ics"`, Body: raw}, nil
		})
}

func (s *Server) visits(ctx context.Context, in *visitsInput) (*store.Spot, []ground.Visit, error) {
	sp, _, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, nil, err
	}
	from := s.at(in.From)
	to := in.To.UTC()
	if in.To.IsZero() {
		to = from.Add(usualVisits)
	}
	if y := from.Year(); y < 1900 || y > 2100 || to.Sub(from) > longestVisits || to.Before(from) {
		return nil, nil, wrong("query.to", fmt.Errorf("expected an interval of at most 62 days forward in time, between 1900 and 2100"))
	}
	c, err := tide.Over(sp.Tide, from, to)
	if err != nil {
		return nil, nil, failed(err)
	}
	plan := ground.Plan{Margin: time.Duration(in.MarginMin * float64(time.Minute)), UncertainM: ground.Uncertainty(surgeAt(sp, from))}
	if in.Daylight {
		plan.Light = daylight(sky.Observer{Lat: sp.Lat, Lon: sp.Lon}, from, to)
	}
	return sp, sp.Access.Visits(c, sp.Marks, plan), nil
}

func surgeAt(sp *store.Spot, t time.Time) float64 {
	if sp.Surge == nil {
		return 0
	}
	left, _ := sp.Surge.At(t)
	return left
}

// daylight from civil dawn to civil dusk within an interval.
func daylight(o sky.Observer, from, to time.Time) []ground.Window {
	day := o.Between(from, to)
	out := []ground.Window{}
	for _, w := range spans(day.CivilDawn, day.CivilDusk, from, to, o.Sun(from).Altitude > -6) {
		out = append(out, ground.Window{Opens: w.From, Closes: w.To})
	}
	return out
}

// calendar of visits that have both ends.
func calendar(sp *store.Spot, visits []ground.Visit, now time.Time) ([]byte, error) {
	c := ics.NewCalendar()
	c.SetProductId("-//Grey Pebble//Grey Pebble//EN")
	zone, err := time.LoadLocation(sp.Water.TimeZone)
	if err != nil {
		return nil, err
	}
	for _, v := range visits {
		if v.Opens.IsZero() || v.Closes.IsZero() {
			continue
		}
		e := c.AddEvent(fmt.Sprintf("%s-%d@greypebble", sp.ID, v.Opens.Unix()))
		e.SetDtStampTime(now)
		e.SetStartAt(v.Opens)
		e.SetEndAt(v.BeOutBy)
		e.SetSummary(sp.Name)
		e.SetDescription(v.Says(zone) + " Worked out from the predicted tide: look at the water, and heed local warnings.")
	}
	var b bytes.Buffer
	err = c.SerializeTo(&b, ics.WithNewLineWindows)
	return b.Bytes(), err
}
