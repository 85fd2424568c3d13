package web

import (
	"context"
	"time"

	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/bylaw"
	"greypebble/core/care"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/server/desk"
)

// around is what an answer rests on, as the store has it.
type around struct {
	ctx context.Context //nolint:containedctx // it lives as long as its request
	as  *Scope
}

// Around the one who asks.
func (s *Scope) Around(ctx context.Context) answer.Around { return around{ctx, s} }

func (a around) Now() time.Time { return a.as.now }

func (a around) Units() quantity.Units { return a.as.Units }

func (a around) Book(positions map[string]string) (*playbook.Book, error) {
	if len(positions) == 0 {
		return a.as.Book(a.ctx)
	}
	return a.as.BookTaking(a.ctx, positions)
}

func (a around) Belief() (rate.Belief, error) {
	l, err := a.as.Learned(a.ctx)
	if err != nil {
		return nil, err
	}
	return l.Belief(), nil
}

func (a around) Kit() (kit.Kit, error) { return a.as.deps.Store.KitOf(a.ctx, a.as.Angler) }

func (a around) Limits() (going.Limits, error) { return a.as.deps.Store.Limits(a.ctx, a.as.Angler) }

func (a around) OwnCare(target string) (care.Own, error) {
	return a.as.deps.Store.OwnCare(a.ctx, a.as.Angler, target)
}

func (a around) Rules() ([]bylaw.Rule, error) { return a.as.deps.Store.Rules(a.ctx, a.as.Angler) }

func (a around) Caught(from, to time.Time) ([]bylaw.Caught, error) {
	return a.as.Caught(a.ctx, from, to)
}

func (a around) Spot(id uuid.UUID, t time.Time) (*answer.Spot, error) {
	laid, err := a.as.deps.Desk.Spot(a.ctx, a.as.Angler, id, t)
	if err != nil {
		return nil, err
	}
	return AnswerSpot(laid), nil
}

func (a around) Spots(t time.Time) ([]*answer.Spot, error) {
	laid, err := a.as.deps.Desk.Spots(a.ctx, a.as.Angler, t)
	if err != nil {
		return nil, err
	}
	out := make([]*answer.Spot, len(laid))
	for i, l := range laid {
		out[i] = AnswerSpot(l)
	}
	return out, nil
}

// AnswerSpot is a spot the desk laid out, as answers take it.
func AnswerSpot(l *desk.Laid) *answer.Spot {
	return &answer.Spot{ID: l.ID, WaterID: l.Water.ID, WaterName: l.Water.Name, SurgeRevision: l.SurgeRevision, Count: l.Count,
		Spot: &l.Spot.Spot, List: l.List}
}

func (a around) Feed(water uuid.UUID) (*answer.Feed, error) {
	f, err := a.as.deps.Store.FeedOf(a.ctx, a.as.Angler, water)
	if err != nil || f == nil {
		return nil, err
	}
	return &answer.Feed{IssuedAt: f.IssuedAt, FetchedAt: f.FetchedAt, Problem: f.Problem}, nil
}
