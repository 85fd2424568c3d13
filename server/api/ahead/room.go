// Package ahead is the room where one asks when and where to go.
package ahead

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"
	"golang.org/x/sync/singleflight"

	"greypebble/answer"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/server/api/web"
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

// look over the days; at is where they are asked for in the request.
func (s service) look(ctx context.Context, as *web.Scope, in *answer.AheadAsked, by ground.Means, at string) (*outlook, error) {
	return s.lookAmong(ctx, as, in, by, at, answer.Everywhere)
}

// lookAmong some of one's spots.
func (s service) lookAmong(ctx context.Context, as *web.Scope, in *answer.AheadAsked, by ground.Means, at string,
	among func(*answer.Spot) bool) (*outlook, error) {
	over, err := answer.LookingOver(as.Around(ctx), in, by, at, among)
	if err != nil {
		return nil, err
	}
	// What it rests on was read by each who asks; only what is made of the same is shared.
	same := fmt.Sprintf("%s %p %v %v %v %q %s %d %d", as.Angler, over.Book, over.Limits, as.Units, in.Along, in.Targets, by,
		over.From.Unix(), in.Days)
	for _, sp := range over.Spots {
		same += fmt.Sprint(sp.ID, sp.Count)
	}
	shared, err, _ := s.looking.Do(same, func() (any, error) { return over.Asked.Look() })
	if err != nil {
		return nil, err
	}
	return &outlook{over.Over(shared.(*plan.Outlook))}, nil
}

// outlook with what only the server makes of it: plans and calendars.
type outlook struct{ *answer.Outlook }

type aheadInput struct{ answer.AheadAsked }

type aheadOutput struct{ Body *answer.Ahead }

func (s service) days(ctx context.Context, as *web.Scope, in *aheadInput) (*aheadOutput, error) {
	o, err := s.look(ctx, as, &in.AheadAsked, ground.AsEach, "query")
	if err != nil {
		return nil, err
	}
	b, err := answer.AheadOf(o.Outlook)
	return &aheadOutput{b}, err
}

type windowsInput struct{ answer.WindowsAsked }

type aheadWindowsOutput struct{ Body *answer.AheadWindows }

func (s service) windows(ctx context.Context, as *web.Scope, in *windowsInput) (*aheadWindowsOutput, error) {
	if err := in.Check(); err != nil {
		return nil, err
	}
	o, err := s.look(ctx, as, &in.AheadAsked, ground.AsEach, "query")
	if err != nil {
		return nil, err
	}
	b, err := answer.WindowsOf(as.Around(ctx), o.Outlook, &in.WindowsAsked)
	return &aheadWindowsOutput{b}, err
}
