// Package ahead is the room where one asks when and where to go.
package ahead

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"golang.org/x/sync/singleflight"

	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"greypebble/server/api/web"
	"greypebble/server/desk"
)

type service struct {
	*web.Deps
	// looking over the same days by one angler on the same ground at the same time is done once: the page asks for the
	// fortnight and for the windows in it together. Nothing is kept beyond that.
	looking *singleflight.Group
}

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d, new(singleflight.Group)}
	web.Signed(api, d, web.Get("/ahead", "ahead", "What the coming days hold at your spots, hour by hour"), s.days)
	web.Signed(api, d, web.Get("/ahead/windows", "aheadWindows", "The windows in them, best first, and what to think of now"), s.windows)
	s.registerWindow(api)
	s.registerCalendar(api)
	s.registerPreview(api)
	s.registerPlans(api)
	s.registerSeasons(api)
	s.registerMonth(api)
}

// AskedFor says which days and which fish. It is exported for huma, which embeds only such fields.
type AskedFor struct {
	From    time.Time `query:"from" doc:"now if left out"`
	Days    int       `query:"days" minimum:"1" maximum:"14" default:"14"`
	Targets []string  `query:"targets,explode" maxItems:"40" doc:"ids; left out: all that live about your spots"`
	Along   []string  `query:"along,explode" maxItems:"2" enum:"child,cannot wade" doc:"who comes along, where that narrows it"`
}

// company by what is said of who comes along.
func company(along []string) going.Company {
	return going.Company{Child: slices.Contains(along, "child"), CannotWade: slices.Contains(along, "cannot wade")}
}

// outlook of all spots of an angler that have ground to fish over.
type outlook struct {
	*plan.Outlook
	spots []*desk.Laid
	// bare spots have no mark to say anything of.
	bare []*desk.Laid
}

// count of the angler's writings the spots are as of; 0 where there are none.
func (o *outlook) count() int {
	if len(o.spots) == 0 {
		return 0
	}
	return o.spots[0].Count
}

// look over the days; at is where they are asked for in the request.
func (s service) look(ctx context.Context, as *web.Scope, in *AskedFor, by ground.Means, at string) (*outlook, error) {
	return s.lookAmong(ctx, as, in, by, at, func(*desk.Laid) bool { return true })
}

// lookAmong some of one's spots.
func (s service) lookAmong(ctx context.Context, as *web.Scope, in *AskedFor, by ground.Means, at string,
	asked func(*desk.Laid) bool) (*outlook, error) {
	from := as.At(in.From).Truncate(time.Hour)
	all, err := s.Desk.Spots(ctx, as.Angler, from)
	if err != nil {
		return nil, err
	}
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	limits, err := s.Store.Limits(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &outlook{}
	question := plan.Asked{Book: book, Belief: rate.Priors{Book: book}, Limits: limits, Company: company(in.Along), Units: as.Units, By: by,
		From: from, Days: in.Days}
	for _, sp := range all {
		if !asked(sp) {
			continue
		}
		if len(sp.Marks) == 0 {
			out.bare = append(out.bare, sp)
			continue
		}
		out.spots = append(out.spots, sp)
		question.Spots = append(question.Spots, &sp.Spot.Spot)
	}
	if question.Targets, err = targetsOf(book, in.Targets, question.Spots, at); err != nil {
		return nil, err
	}
	// What it rests on was read by each who asks; only what is made of the same is shared.
	same := fmt.Sprintf("%s %d %p %v %v %v %q %s %d %d", as.Angler, out.count(), book, limits, as.Units, in.Along, in.Targets, by,
		from.Unix(), in.Days)
	for _, sp := range out.spots {
		same += sp.ID.String()
	}
	shared, err, _ := s.looking.Do(same, func() (any, error) { return question.Look() })
	if err != nil {
		return nil, err
	}
	out.Outlook = shared.(*plan.Outlook)
	return out, nil
}

// targetsOf a book by their ids, or all that live about some spots.
func targetsOf(book *playbook.Book, ids []string, spots []*spot.Spot, at string) ([]*playbook.Target, error) {
	var out []*playbook.Target
	for i, id := range ids {
		t, err := book.Target(id)
		if err != nil {
			return nil, web.Wrong(fmt.Sprintf("%s.targets[%d]", at, i), err)
		}
		if slices.Contains(out, t) {
			return nil, web.Wrong(fmt.Sprintf("%s.targets[%d]", at, i), errors.New("it stands twice"))
		}
		out = append(out, t)
	}
	if len(ids) > 0 {
		return out, nil
	}
	for i := range book.Targets {
		t := &book.Targets[i]
		if slices.ContainsFunc(spots, func(sp *spot.Spot) bool { return t.LivesAbout(sp.Place, sp.LatLon) }) {
			out = append(out, t)
		}
	}
	return out, nil
}
