package answer

import (
	"errors"
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// VisitsAsked says in which stretch of time one would be at a spot.
type VisitsAsked struct {
	From      time.Time `query:"from" doc:"now if left out"`
	To        time.Time `query:"to" doc:"three days on if left out"`
	MarginMin float64   `query:"margin_min" minimum:"0" maximum:"720" doc:"minutes to be out before the way shuts"`
	Daylight  bool      `query:"daylight" doc:"only from civil dawn to civil dusk"`
	Night     bool      `query:"night" doc:"the best may lie in the dark; by day if left out"`
}

type VisitOut struct {
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

// Visits to a spot, and why there is none.
type Visits struct {
	Visits []VisitOut `json:"visits" nullable:"false"`
	Why    string     `json:"why,omitempty" doc:"why there is none"`
}

// Visits are worked out over so long at most.
const (
	usualVisits   = 3 * 24 * time.Hour
	longestVisits = 62 * 24 * time.Hour
)

// VisitsTo a spot: when one can be there, when it is best, and when to be out; and why where there is none.
func VisitsTo(a Around, sp *spot.Spot, in *VisitsAsked) (visits []ground.Visit, why string, err error) {
	from, to := when(a, in.From), in.To.UTC()
	if in.To.IsZero() {
		to = from.Add(usualVisits)
	}
	if y := from.Year(); y < 1900 || y > 2100 || to.Sub(from) > longestVisits || to.Before(from) {
		return nil, "", Wrong("query.to",
			errors.New("expected an interval of at most 62 days forward in time, between 1900 and 2100"))
	}
	c, err := tide.Over(sp.Tide, from, to)
	if err != nil {
		return nil, "", err
	}
	light := spot.AnyHour
	switch {
	case in.Daylight:
		light = spot.ByDay
	case in.Night:
		light = spot.NightToo
	}
	if visits = sp.Visits(c, minutes(in.MarginMin), light); len(visits) == 0 {
		why = sp.NoVisit(c, minutes(in.MarginMin), light)
	}
	return visits, why, nil
}

// VisitsOf a spot of one's own.
func VisitsOf(a Around, id uuid.UUID, in *VisitsAsked) (*Visits, error) {
	sp, err := a.Spot(id, when(a, in.From))
	if err != nil {
		return nil, err
	}
	visits, why, err := VisitsTo(a, sp.Spot, in)
	if err != nil {
		return nil, err
	}
	out := &Visits{[]VisitOut{}, why}
	for _, v := range visits {
		out.Visits = append(out.Visits, VisitOut{Opens: Moment(v.Opens), Closes: Moment(v.BeOutBy), LimitedBy: v.ClosedBy,
			Shuts: Moment(v.Closes), SureFrom: Moment(v.SureFrom), SureUntil: Moment(v.SureUntil), BestFrom: Moment(v.BestFrom),
			BestUntil: Moment(v.BestUntil), Marks: v.Marks, Says: v.Says(sp.Clock, a.Units())})
	}
	return out, nil
}
