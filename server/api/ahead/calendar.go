package ahead

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/plan"
	"greypebble/interchange/calendar"
	"greypebble/server/api/web"
)

func (s service) registerCalendar(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/ahead/windows.ics", "aheadCalendar", "The same windows as a calendar (iCalendar)"), s.calendar)
}

func (s service) calendar(ctx context.Context, as *web.Scope, in *aheadWindowsInput) (*web.File, error) {
	o, found, err := s.search(ctx, as, in)
	if err != nil {
		return nil, err
	}
	raw, err := calendar.Write(o.events(found[:min(in.Most, len(found))], as), as.Now())
	return web.Attached("windows.ics", "text/calendar; charset=utf-8", raw), err
}

// events of windows. An event is known by its spot and the half of the day its best lies in, and by
// its number there, the best first: the same window is the same event when the forecast has moved it.
func (o *outlook) events(windows []plan.Window, as *web.Scope) []calendar.Event {
	var out []calendar.Event
	seen := map[string]int{}
	for _, w := range windows {
		sp := o.spots[w.Spot]
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
