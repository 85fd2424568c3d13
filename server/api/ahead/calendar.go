package ahead

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/interchange/calendar"
	"greypebble/server/api/web"
)

func (s service) registerCalendar(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/ahead/windows.ics", "aheadCalendar", "The same windows as a calendar (iCalendar)"), s.calendar)
}

type aheadCalendarInput struct {
	answer.WindowsAsked
	Spot string    `query:"spot_id" doc:"of this spot alone; left out: of all"`
	Best time.Time `query:"best_from" doc:"the one window whose best begins then; left out: all"`
}

func (s service) calendar(ctx context.Context, as *web.Scope, in *aheadCalendarInput) (*web.File, error) {
	if err := in.Check(); err != nil {
		return nil, err
	}
	o, err := s.look(ctx, as, &in.AheadAsked, ground.AsEach, "query")
	if err != nil {
		return nil, err
	}
	found, err := o.Find(as.Around(ctx), &in.WindowsAsked)
	if err != nil {
		return nil, err
	}
	// Each is the event it is among all of them.
	events := o.events(found, as)
	var asked []calendar.Event
	for i, w := range found {
		if (in.Spot == "" || o.Spots[w.Spot].ID.String() == in.Spot) && (in.Best.IsZero() || w.BestFrom.Equal(in.Best)) {
			asked = append(asked, events[i])
		}
	}
	if len(asked) == 0 && (in.Spot != "" || !in.Best.IsZero()) {
		return nil, web.NotFound("no such window in those days")
	}
	raw, err := calendar.Write(asked[:min(in.Most, len(asked))], as.Now())
	return web.Attached("windows.ics", "text/calendar; charset=utf-8", raw), err
}

// events of windows. An event is known by its spot and the half of the day its best lies in, and by
// its number there, the best first: the same window is the same event when the forecast has moved it.
func (o *outlook) events(windows []plan.Window, as *web.Scope) []calendar.Event {
	var out []calendar.Event
	seen := map[string]int{}
	for _, w := range windows {
		sp := o.Spots[w.Spot]
		middle := w.BestFrom.Add(w.BestUntil.Sub(w.BestFrom) / 2).In(sp.Clock)
		half := fmt.Sprintf("%s-%s-%s", sp.ID, middle.Format("20060102"), middle.Format("pm"))
		seen[half]++
		from, to := w.From, w.To
		if from.IsZero() {
			from = o.From
		}
		if to.IsZero() {
			to = o.End()
		}
		out = append(out, calendar.Event{UID: fmt.Sprintf("%s-%d", half, seen[half]), Sequence: calendar.SequenceAt(as.Now()),
			From: from.Truncate(time.Minute), To: to.Truncate(time.Minute), Summary: sp.Name, Says: o.Says(w, sp.Clock, as.Units)})
	}
	return out
}
