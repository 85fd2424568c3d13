package ahead

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/advise"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/plan"
	"greypebble/core/words"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// DayBody says what a day is asked for. It is exported for huma, which embeds only such fields.
type DayBody struct {
	From      time.Time    `json:"from" doc:"leave home no sooner"`
	To        time.Time    `json:"to" doc:"and be back by; at most 24 hours after"`
	Targets   []string     `json:"targets" maxItems:"40" nullable:"false" doc:"ids; none: anything that is on"`
	Spots     []string     `json:"spots,omitempty" maxItems:"12" nullable:"false" doc:"ids; left out: the best of those one can reach"`
	Banned    []string     `json:"banned,omitempty" maxItems:"300" nullable:"false" doc:"ids of spots that are left out"`
	By        string       `json:"by,omitempty" enum:"legs,kayak,boat,car" doc:"what one has; left out: as each is reached"`
	Home      *wire.LatLon `json:"home,omitempty" doc:"where one sets out; the way there is not counted if left out"`
	Legs      int          `json:"legs,omitempty" minimum:"1" maximum:"6" default:"3" doc:"spots in the day at most"`
	PackMin   float64      `json:"pack_min,omitempty" minimum:"0" maximum:"120" default:"15" doc:"to pack, unpack and rig, for each leg"`
	MarginMin float64      `json:"margin_min,omitempty" minimum:"0" maximum:"720" default:"20" doc:"to be out before a way shuts"`
	ByDay     bool         `json:"by_day,omitempty" doc:"between civil dawn and dusk only"`
	SpareMin  float64      `json:"spare_min,omitempty" minimum:"0" maximum:"240" doc:"without fishing, in one piece, where it costs least"`
	Along     []string     `json:"along,omitempty" maxItems:"2" nullable:"false" enum:"child,cannot wade" doc:"who comes along"`
}

// PlanBody asks for the best of a day.
type PlanBody struct {
	DayBody
	Pins  []StayBody `json:"pins,omitempty" maxItems:"6" nullable:"false" doc:"stays the day is planned around, to ten minutes"`
	Plans int        `json:"plans,omitempty" minimum:"1" maximum:"3" default:"3" doc:"so many that differ by place"`
}

// StayBody is a stay at a spot.
type StayBody struct {
	SpotID uuid.UUID `json:"spot_id" format:"uuid"`
	Arrive time.Time `json:"arrive"`
	Leave  time.Time `json:"leave"`
	Target string    `json:"target,omitempty" maxLength:"80"`
	Pinned bool      `json:"pinned,omitempty" doc:"set by hand: what is planned anew keeps it"`
	SpareBody
}

// SpareBody is spare time within a stay. It is exported for huma, which embeds only such fields.
type SpareBody struct {
	SpareFrom  *time.Time `json:"spare_from,omitempty" doc:"time to spare within the stay"`
	SpareUntil *time.Time `json:"spare_until,omitempty"`
}

// spareOf a window within a stay, and back.
func spareOf(w ground.Window) SpareBody {
	return SpareBody{answer.Moment(w.Opens), answer.Moment(w.Closes)}
}

func (b SpareBody) window() ground.Window {
	if b.SpareFrom == nil || b.SpareUntil == nil {
		return ground.Window{}
	}
	return ground.Window{Opens: b.SpareFrom.UTC(), Closes: b.SpareUntil.UTC()}
}

type previewInput struct{ Body PlanBody }

// LegOut is a leg of a day. It is exported for huma, which embeds only such fields.
type LegOut struct {
	SpotID     string    `json:"spot_id" format:"uuid"`
	Spot       string    `json:"spot"`
	TimeZone   string    `json:"time_zone"`
	Target     string    `json:"target" doc:"most is expected of; empty where one only waits"`
	TargetName string    `json:"target_name"`
	Arrive     time.Time `json:"arrive"`
	Leave      time.Time `json:"leave"`
	Pinned     bool      `json:"pinned"`
	Edge       float64   `json:"edge" doc:"over the stay"`
	Expected   float64   `json:"expected" doc:"fish of one rod, at the usual catch"`
	Choice     string    `json:"choice" doc:"what to tie on when it is at its best; empty where one only waits"`
	Says       string    `json:"says"`
	Against    []string  `json:"against" nullable:"false" doc:"what stands against it as it is set"`
	SpareBody
}

type planOut struct {
	LeaveHome    time.Time   `json:"leave_home"`
	BackHome     time.Time   `json:"back_home"`
	WorthH       float64     `json:"worth_h" doc:"so many ordinary rod-hours it is as good as; the plans are in its order"`
	Expected     float64     `json:"expected" doc:"fish of one rod over the day, at the usual catch"`
	ExpectedLow  float64     `json:"expected_low" doc:"and between which it lies four times in five"`
	ExpectedHigh float64     `json:"expected_high"`
	Robust       float64     `json:"robust" doc:"share of nearby forecasts in which it stays within a tenth of the best"`
	Changes      []changeOut `json:"changes" nullable:"false" doc:"what it comes to when the forecast is off"`
	Legs         []LegOut    `json:"legs" nullable:"false"`
	Against      []string    `json:"against" nullable:"false" doc:"what stands against the day as a whole"`
	Says         string      `json:"says"`
}

type changeOut struct {
	Says   string  `json:"says"`
	WorthH float64 `json:"worth_h"`
	BestH  float64 `json:"best_h" doc:"of the best day there would be then"`
	Better string  `json:"better" doc:"that day in words, where it is worth a tenth more"`
}

type previewOutput struct {
	Body struct {
		Plans []planOut `json:"plans" nullable:"false" doc:"best first; each leaves out a spot of those before it"`
		Why   string    `json:"why,omitempty" doc:"why there is none"`
	}
}

func (s service) registerPreview(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/plans/preview", "previewPlans", "The best days over several of your spots, none of them kept"),
		s.preview)
}

const longestDay = 24 * time.Hour

func (s service) preview(ctx context.Context, as *web.Scope, in *previewInput) (*previewOutput, error) {
	day, err := s.dayOf(ctx, as, &in.Body.DayBody, in.Body.Pins)
	if err != nil {
		return nil, err
	}
	out := &previewOutput{}
	out.Body.Plans = []planOut{}
	if len(day.Spots) > 0 {
		found, err := day.o.Itineraries(day.Day, in.Body.Plans)
		switch {
		case errors.Is(err, plan.ErrPins):
			out.Body.Why = day.whyNot()
			return out, nil
		case err != nil:
			return nil, web.Wrong("body", err)
		}
		if out.Body.Plans, err = day.laid(found); err != nil {
			return nil, err
		}
	}
	if len(out.Body.Plans) == 0 {
		out.Body.Why = words.NothingCanBeFishedAndLeftInTime
	}
	return out, nil
}

// asked is a day as the core plans it, with what it is planned in.
type asked struct {
	plan.Day
	o   *outlook
	as  *web.Scope
	has kit.Kit
}

// dayOf what was asked for: the outlook over it, ways, spots and pins.
func (s service) dayOf(ctx context.Context, as *web.Scope, b *DayBody, pins []StayBody) (*asked, error) {
	from := b.From.UTC().Truncate(plan.Step)
	if length := b.To.Sub(from); length < time.Hour || length > longestDay {
		return nil, web.Wrong("body.to", errors.New("a day is planned over 1 to 24 hours from its beginning"))
	}
	by := ground.Means(b.By)
	o, err := s.look(ctx, as, &answer.AheadAsked{From: from, Days: 2, Targets: b.Targets, Along: b.Along}, by, "body")
	if err != nil {
		return nil, err
	}
	has, err := s.Store.KitOf(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	travel := plan.Travel{By: by, Pack: minutes(b.PackMin)}
	if b.Home != nil {
		home := ground.LatLon(*b.Home)
		travel.Home = &home
	}
	d := plan.Day{From: from, Until: b.To.UTC(), Legs: b.Legs, ByDay: b.ByDay, Margin: minutes(b.MarginMin),
		Spare: minutes(b.SpareMin), Way: o.Ways(travel)}
	if d.Spots, err = o.chosen(b.Spots); err != nil {
		return nil, err
	}
	if len(b.Spots) == 0 {
		d.Spots = o.Candidates(d, by)
	}
	d.Spots = slices.DeleteFunc(d.Spots, func(at int) bool { return slices.Contains(b.Banned, o.Spots[at].ID.String()) })
	for i, p := range pins {
		at := o.at(p.SpotID)
		if at < 0 {
			return nil, web.Wrong(fmt.Sprintf("body.pins[%d].spot_id", i), errors.New("expected a spot of your own with marks"))
		}
		d.Pins = append(d.Pins, plan.Pin{Spot: at, Arrive: p.Arrive.UTC().Truncate(plan.Step), Leave: p.Leave.UTC().Truncate(plan.Step)})
		if !slices.Contains(d.Spots, at) {
			d.Spots = append([]int{at}, d.Spots[:min(len(d.Spots), plan.MostSpots-1)]...)
		}
	}
	return &asked{d, o, as, has}, nil
}

// whyNot says what stands against the stays that were set, as far as one can put a finger on it.
func (d *asked) whyNot() string {
	_, found := d.o.Assess(d.Day, d.Pins, d.o.Spots[d.Pins[0].Spot].Clock, d.as.Units)
	return plan.WhyNot(found)
}

// laid days with what they come to and how they stand when the forecast is off.
func (d *asked) laid(found []plan.Itinerary) ([]planOut, error) {
	out := []planOut{}
	robust, err := d.o.Robustness(d.Day, found)
	if err != nil {
		return nil, err
	}
	for i := range found {
		one, err := d.planOf(&found[i], robust[i])
		if err != nil {
			return nil, err
		}
		out = append(out, one)
	}
	return out, nil
}

func minutes(m float64) time.Duration { return time.Duration(m * float64(time.Minute)) }

// at is a spot's place in the outlook; −1 where it is not in it.
func (o *outlook) at(id uuid.UUID) int {
	return slices.IndexFunc(o.Spots, func(sp *answer.Spot) bool { return sp.ID == id })
}

// chosen spots by their place in the outlook.
func (o *outlook) chosen(ids []string) ([]int, error) {
	var out []int
	for i, id := range ids {
		at := slices.IndexFunc(o.Spots, func(sp *answer.Spot) bool { return sp.ID.String() == id })
		if at < 0 || slices.Contains(out, at) {
			return nil, web.Wrong(fmt.Sprintf("body.spots[%d]", i), errors.New("expected spots of your own with marks, each once"))
		}
		out = append(out, at)
	}
	return out, nil
}

func (d *asked) planOf(it *plan.Itinerary, robust plan.Robust) (planOut, error) {
	o, units := d.o, d.as.Units
	out := planOut{LeaveHome: it.LeaveHome, BackHome: it.BackHome, WorthH: it.Worth, Expected: it.Catch, Legs: []LegOut{},
		Robust: robust.Share, Changes: []changeOut{}, Against: []string{}}
	if len(it.Legs) == 0 {
		return out, nil
	}
	out.Says = it.SaysDay(o.Spots[it.Legs[0].Spot].Clock, units)
	var tied []advise.Advice
	for _, l := range it.Legs {
		sp := o.Spots[l.Spot]
		leg := LegOut{SpotID: sp.ID.String(), Spot: sp.Name, TimeZone: sp.Clock.String(), Arrive: l.Arrive, Leave: l.Leave, Edge: l.Edge(),
			Expected: l.Catch, Says: o.SaysLeg(l, sp.Clock, units), Against: []string{}, SpareBody: spareOf(l.Spare)}
		a, err := o.Tied(l, d.has)
		if err != nil {
			return out, err
		}
		tied = append(tied, a)
		if l.Target >= 0 {
			t := o.Asked.Targets[l.Target]
			leg.Target, leg.TargetName = t.ID, t.Name
			if len(a.Choices) > 0 {
				leg.Choice = a.Choices[0].Sentence
			}
		}
		for _, p := range d.Pins {
			leg.Pinned = leg.Pinned || p.Spot == l.Spot && p.Arrive.Equal(l.Arrive)
		}
		out.Legs = append(out.Legs, leg)
	}
	out.ExpectedLow, out.ExpectedHigh = plan.Range(it.Legs, tied)
	for _, c := range robust.Changes {
		k := changeOut{Says: c.Says, WorthH: c.Worth, BestH: c.Best}
		if c.Better != nil {
			k.Better = c.Better.SaysDay(o.Spots[c.Better.Legs[0].Spot].Clock, units)
			for _, l := range c.Better.Legs {
				k.Better += " " + o.SaysLeg(l, o.Spots[l.Spot].Clock, units)
			}
		}
		out.Changes = append(out.Changes, k)
	}
	return out, nil
}
