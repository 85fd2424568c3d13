package answer

import (
	"slices"
	"time"

	"greypebble/core/ground"
	"greypebble/core/plan"
)

// WindowsAsked says which windows.
type WindowsAsked struct {
	AheadAsked
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

type OtherTarget struct {
	Target string  `json:"target"`
	Name   string  `json:"name"`
	Edge   float64 `json:"edge"`
}

type AheadWindow struct {
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
	Others     []OtherTarget `json:"others" nullable:"false" doc:"further targets worth it then, best first"`
	Dark       bool          `json:"dark" doc:"the best lies in the dark"`
	Told       bool          `json:"told" doc:"its weather was told; else the usual is assumed"`
	Release    bool          `json:"release_only,omitempty" doc:"a bylaw: none of the target may be kept then"`
	Says       string        `json:"says"`
}

// AheadWindows are the windows of the coming days.
type AheadWindows struct {
	Now     string        `json:"now" doc:"what to think of now: what is on, what comes next, or why nothing is"`
	First   *AheadWindow  `json:"first,omitempty" doc:"the window that speaks of"`
	Windows []AheadWindow `json:"windows" nullable:"false" doc:"best first"`
	Found   int           `json:"found" doc:"so many there are, of which those are the best"`
}

// free hours that are asked for.
func (in *WindowsAsked) free() plan.Free {
	free := plan.Free{From: in.FreeFrom, Until: in.FreeUntil}
	for _, d := range in.Weekdays {
		free.Weekdays = append(free.Weekdays, time.Weekday(d))
	}
	return free
}

// Check what can be told to be wrong before anything is looked over.
func (in *WindowsAsked) Check() error {
	if err := in.free().Validate(); err != nil {
		return Wrong("query.free_until_h", err)
	}
	return nil
}

// Find the windows that are asked for in an outlook, best first.
func (o *Outlook) Find(a Around, in *WindowsAsked) ([]plan.Window, error) {
	near, err := o.near(in)
	if err != nil {
		return nil, err
	}
	found := o.find(in, in.free(), near)
	if !in.Kit {
		return found, nil
	}
	has, err := a.Kit()
	if err != nil {
		return nil, err
	}
	return o.InKit(found, has, in.Least)
}

// near says of a spot, by its place in the outlook, whether it is no farther than one cares to go.
func (o *Outlook) near(in *WindowsAsked) (func(at int) bool, error) {
	if in.WithinMin <= 0 {
		return func(int) bool { return true }, nil
	}
	home, err := ground.ParseLatLon(in.Home)
	if err != nil {
		return nil, Wrong("query.home", err)
	}
	within := o.Within(home, minutes(in.WithinMin))
	return func(at int) bool { return slices.Contains(within, at) }, nil
}

// find the windows of the spots that are asked for, clock by clock: free hours are those of theirs.
func (o *Outlook) find(in *WindowsAsked, free plan.Free, near func(int) bool) []plan.Window {
	byZone := map[string][]int{}
	for at, sp := range o.Spots {
		if near(at) && (len(in.Manners) == 0 || slices.Contains(in.Manners, string(sp.Access.Manner))) &&
			(len(in.Places) == 0 || slices.Contains(in.Places, sp.Place)) {
			byZone[sp.Clock.String()] = append(byZone[sp.Clock.String()], at)
		}
	}
	var out []plan.Window
	for _, spots := range byZone {
		w := plan.Wish{Spots: spots, Least: in.Least, ByDay: in.ByDay, Margin: minutes(in.MarginMin)}
		if len(free.Weekdays) > 0 || free.From > 0 || free.Until < 24 {
			w.Free = free.Over(o.From, o.End(), o.Spots[spots[0]].Clock)
		}
		out = append(out, o.Windows(w)...)
	}
	return plan.Ranked(out)
}

// WindowsOf an outlook that are asked for, and what to think of now.
func WindowsOf(a Around, o *Outlook, in *WindowsAsked) (*AheadWindows, error) {
	found, err := o.Find(a, in)
	if err != nil {
		return nil, err
	}
	now := when(a, in.From)
	zone := func(at int) *time.Location { return o.Spots[at].Clock }
	out := &AheadWindows{Windows: []AheadWindow{}, Found: len(found), Now: o.SaysNow(found, now, zone, a.Units())}
	if w, _, any := plan.Now(found, now); any {
		first := o.windowOf(w)
		out.First = &first
	}
	for _, w := range found[:min(in.Most, len(found))] {
		out.Windows = append(out.Windows, o.windowOf(w))
	}
	return out, nil
}

func (o *Outlook) windowOf(w plan.Window) AheadWindow {
	t, sp := o.Asked.Targets[w.Target], o.Spots[w.Spot]
	out := AheadWindow{SpotID: sp.ID.String(), Spot: sp.Name, Place: sp.Place, Manner: string(sp.Access.Manner),
		TimeZone: sp.Clock.String(), Target: t.ID, TargetName: t.Name,
		From: Moment(w.From), To: Moment(w.To), BestFrom: w.BestFrom, BestUntil: w.BestUntil,
		Opens: Moment(w.Opens), Shuts: Moment(w.Shuts), BeOutBy: Moment(w.BeOutBy), Edge: w.Edge, Catch: w.Catch,
		Others: []OtherTarget{}, Dark: w.Dark, Told: w.Told,
		Release: sp.ReleaseOnly(t.Species(), w.BestFrom) != nil, Says: o.Says(w, sp.Clock, o.Asked.Units)}
	for _, k := range w.Others {
		other := o.Asked.Targets[k.Target]
		out.Others = append(out.Others, OtherTarget{other.ID, other.Name, k.Edge})
	}
	return out
}

func minutes(m float64) time.Duration { return time.Duration(m * float64(time.Minute)) }
