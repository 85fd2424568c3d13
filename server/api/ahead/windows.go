package ahead

import (
	"context"
	"slices"
	"time"

	"greypebble/answer"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/server/api/web"
	"greypebble/server/desk"
)

// WindowsAsked says which windows. It is exported for huma, which embeds only such fields.
type WindowsAsked struct {
	AskedFor
	Least     float64  `query:"least" minimum:"0" maximum:"100" default:"1.2" doc:"edge that is worth going for; 1 is an ordinary spell"`
	ByDay     bool     `query:"by_day" doc:"between civil dawn and dusk only"`
	MarginMin float64  `query:"margin_min" minimum:"0" maximum:"720" default:"20" doc:"minutes to be out before the way shuts"`
	Manners   []string `query:"manners,explode" maxItems:"4" enum:"on foot,wading,kayak,boat" doc:"left out: any"`
	Places    []string `query:"places,explode" maxItems:"40" doc:"kinds of place; left out: any"`
	Weekdays  []int    `query:"weekdays,explode" maxItems:"7" minimum:"0" maximum:"6" doc:"that one is free on, Sunday is 0; left out: all"`
	FreeFrom  float64  `query:"free_from_h" minimum:"0" maximum:"24" doc:"the hour of the day one is free from"`
	FreeUntil float64  `query:"free_until_h" minimum:"0" maximum:"24" default:"24"`
	Home      string   `query:"home" maxLength:"60" doc:"where one sets out, latitude and longitude in degrees with a comma between"`
	WithinMin float64  `query:"within_min" minimum:"0" maximum:"1440" doc:"minutes from there, guessed from the bee line; 0: however far"`
	Kit       bool     `query:"kit" doc:"only what is worth it with your own kit; an empty one is not asked"`
	Most      int      `query:"most" minimum:"1" maximum:"500" default:"40"`
}

type otherTarget struct {
	Target string  `json:"target"`
	Name   string  `json:"name"`
	Edge   float64 `json:"edge"`
}

type aheadWindow struct {
	SpotID     string        `json:"spot_id" format:"uuid"`
	Spot       string        `json:"spot"`
	Place      string        `json:"place"`
	Manner     string        `json:"manner"`
	TimeZone   string        `json:"time_zone"`
	Target     string        `json:"target"`
	TargetName string        `json:"target_name"`
	From       *time.Time    `json:"from" required:"true" nullable:"true" doc:"when it begins to be worth it; null: before these days"`
	To         *time.Time    `json:"to" required:"true" nullable:"true" doc:"null: after these days"`
	BestFrom   time.Time     `json:"best_from"`
	BestUntil  time.Time     `json:"best_until"`
	Opens      *time.Time    `json:"opens,omitempty" doc:"when the way opens, where it was shut"`
	Shuts      *time.Time    `json:"shuts,omitempty"`
	BeOutBy    *time.Time    `json:"be_out_by,omitempty" doc:"the margin before it shuts"`
	Edge       float64       `json:"edge" doc:"the mean of its best hour"`
	Catch      float64       `json:"catch" doc:"fish a rod-hour that makes of the usual catch"`
	Others     []otherTarget `json:"others" nullable:"false" doc:"further targets worth it then, best first"`
	Dark       bool          `json:"dark" doc:"the best lies in the dark"`
	Told       bool          `json:"told" doc:"its weather was told; else the usual is assumed"`
	Says       string        `json:"says"`
}

type aheadWindowsOutput struct {
	Body struct {
		Now     string        `json:"now" doc:"what to think of now: what is on, what comes next, or why nothing is"`
		First   *aheadWindow  `json:"first,omitempty" doc:"the window that speaks of"`
		Windows []aheadWindow `json:"windows" nullable:"false" doc:"best first"`
		Found   int           `json:"found" doc:"so many there are, of which those are the best"`
	}
}

// search the windows that are asked for.
func (s service) search(ctx context.Context, as *web.Scope, in *WindowsAsked) (*outlook, []plan.Window, error) {
	free := plan.Free{From: in.FreeFrom, Until: in.FreeUntil}
	for _, d := range in.Weekdays {
		free.Weekdays = append(free.Weekdays, time.Weekday(d))
	}
	if err := free.Validate(); err != nil {
		return nil, nil, web.Wrong("query.free_until_h", err)
	}
	o, err := s.look(ctx, as, &in.AskedFor, ground.AsEach, "query")
	if err != nil {
		return nil, nil, err
	}
	near, err := o.near(in)
	if err != nil {
		return nil, nil, err
	}
	found := o.find(in, free, near)
	if in.Kit {
		has, err := s.Store.KitOf(ctx, as.Angler)
		if err != nil {
			return nil, nil, err
		}
		found, err = o.InKit(found, has, in.Least)
		return o, found, err
	}
	return o, found, nil
}

// near says of a spot, by its place in the outlook, whether it is no farther than one cares to go.
func (o *outlook) near(in *WindowsAsked) (func(at int) bool, error) {
	if in.WithinMin <= 0 {
		return func(int) bool { return true }, nil
	}
	home, err := ground.ParseLatLon(in.Home)
	if err != nil {
		return nil, web.Wrong("query.home", err)
	}
	within := o.Within(home, minutes(in.WithinMin))
	return func(at int) bool { return slices.Contains(within, at) }, nil
}

func (s service) windows(ctx context.Context, as *web.Scope, in *WindowsAsked) (*aheadWindowsOutput, error) {
	o, found, err := s.search(ctx, as, in)
	if err != nil {
		return nil, err
	}
	zone := func(at int) *time.Location { return o.spots[at].Clock }
	out := &aheadWindowsOutput{}
	out.Body.Windows, out.Body.Found = []aheadWindow{}, len(found)
	out.Body.Now = o.SaysNow(found, as.At(in.From), zone, as.Units)
	if w, _, any := plan.Now(found, as.At(in.From)); any {
		first := windowOf(o.Outlook, w, o.spots[w.Spot], as)
		out.Body.First = &first
	}
	for _, w := range found[:min(in.Most, len(found))] {
		out.Body.Windows = append(out.Body.Windows, windowOf(o.Outlook, w, o.spots[w.Spot], as))
	}
	return out, nil
}

// find the windows of the spots that are asked for, water by water: free hours are those of its clock.
func (o *outlook) find(in *WindowsAsked, free plan.Free, near func(int) bool) []plan.Window {
	byZone := map[string][]int{}
	for at, sp := range o.spots {
		if near(at) && (len(in.Manners) == 0 || slices.Contains(in.Manners, string(sp.Access.Manner))) &&
			(len(in.Places) == 0 || slices.Contains(in.Places, sp.Place)) {
			byZone[sp.Water.TimeZone] = append(byZone[sp.Water.TimeZone], at)
		}
	}
	var out []plan.Window
	for _, spots := range byZone {
		w := plan.Wish{Spots: spots, Least: in.Least, ByDay: in.ByDay, Margin: time.Duration(in.MarginMin * float64(time.Minute))}
		if len(free.Weekdays) > 0 || free.From > 0 || free.Until < 24 {
			w.Free = free.Over(o.From, o.End(), o.spots[spots[0]].Clock)
		}
		out = append(out, o.Windows(w)...)
	}
	return plan.Ranked(out)
}

func windowOf(o *plan.Outlook, w plan.Window, sp *desk.Laid, as *web.Scope) aheadWindow {
	t := o.Asked.Targets[w.Target]
	out := aheadWindow{SpotID: sp.ID.String(), Spot: sp.Name, Place: sp.Place, Manner: string(sp.Access.Manner),
		TimeZone: sp.Water.TimeZone, Target: t.ID, TargetName: t.Name,
		From: answer.Moment(w.From), To: answer.Moment(w.To), BestFrom: w.BestFrom, BestUntil: w.BestUntil,
		Opens: answer.Moment(w.Opens), Shuts: answer.Moment(w.Shuts), BeOutBy: answer.Moment(w.BeOutBy), Edge: w.Edge, Catch: w.Catch,
		Others: []otherTarget{}, Dark: w.Dark, Told: w.Told, Says: o.Says(w, sp.Clock, as.Units)}
	for _, k := range w.Others {
		other := o.Asked.Targets[k.Target]
		out.Others = append(out.Others, otherTarget{other.ID, other.Name, k.Edge})
	}
	return out
}
