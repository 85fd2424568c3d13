package trials

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/trial"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// BlockBody is a block as it was fished. It is exported for huma, which embeds only such fields.
type BlockBody struct {
	Turn      *int           `json:"turn,omitempty" minimum:"0" maximum:"1000" doc:"the planned one it is; left out: it was not planned"`
	Arm       string         `json:"arm,omitempty" maxLength:"60" doc:"the turn's if left out"`
	Action    string         `json:"action,omitempty" maxLength:"60" doc:"where it changed within the arm: an arm of its own"`
	StartedAt time.Time      `json:"started_at"`
	EndedAt   *time.Time     `json:"ended_at,omitempty" doc:"left out while it goes on"`
	PausedS   int            `json:"paused_s,omitempty" minimum:"0" maximum:"86400"`
	Rods      int            `json:"rods,omitempty" minimum:"1" maximum:"12" doc:"1 if left out"`
	Landed    int            `json:"landed,omitempty" minimum:"0" maximum:"1000" doc:"on the arm's own hook"`
	OnTeaser  int            `json:"on_teaser,omitempty" minimum:"0" maximum:"1000" doc:"not credited to the arm"`
	SetApart  int            `json:"set_apart,omitempty" minimum:"0" maximum:"1000" doc:"taken where the arm did not fish"`
	Lost      int            `json:"lost,omitempty" minimum:"0" maximum:"1000"`
	Missed    int            `json:"missed,omitempty" minimum:"0" maximum:"1000"`
	Foul      int            `json:"foul,omitempty" minimum:"0" maximum:"1000" doc:"of those landed or lost, hooked outside the mouth"`
	Species   map[string]int `json:"species,omitempty" doc:"of those landed, by target"`
	Dropped   string         `json:"dropped,omitempty" maxLength:"200" doc:"why it is left out; left out: it counts"`
}

type blockInput struct {
	wire.ByID
	Block uuid.UUID `path:"block" format:"uuid" doc:"made by the writer"`
	Body  struct {
		BlockBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

// BlockOut is one that was told.
type BlockOut struct {
	ID       string `json:"id"`
	Revision int    `json:"revision"`
	BlockBody
	RodHours float64 `json:"rod_hours" doc:"fished so far"`
}

func blockOut(k *store.TrialBlock, now time.Time) BlockOut {
	f := &k.Fished.V
	return BlockOut{ID: k.ID.String(), Revision: k.Revision, RodHours: fished(k, now),
		BlockBody: BlockBody{Turn: k.Turn, Arm: f.Arm, Action: f.Action, StartedAt: k.StartedAt, EndedAt: k.EndedAt, PausedS: f.PausedS,
			Rods:   f.Rods,
			Landed: f.Landed, OnTeaser: f.OnTeaser, SetApart: f.SetApart, Lost: f.Lost, Missed: f.Missed, Foul: f.Foul, Species: f.Species,
			Dropped: f.Dropped}}
}

// fished rod-hours of a block, until now where it goes on.
func fished(k *store.TrialBlock, now time.Time) float64 {
	end := now
	if k.EndedAt != nil {
		end = *k.EndedAt
	}
	return k.Fished.V.Effort(k.StartedAt, end)
}

type blockOutput struct{ Body BlockOut }

func (s service) putBlock(ctx context.Context, as *web.Scope, in *blockInput) (*blockOutput, error) {
	t, err := s.Store.Trial(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	b := &in.Body
	if b.EndedAt != nil && !b.EndedAt.After(b.StartedAt) {
		return nil, web.Wrong("body.ended_at", errors.New("expected a time after it began"))
	}
	turns := t.Design.V.Turns(t.ID.String())
	round := 0
	switch {
	case b.Turn != nil && *b.Turn >= len(turns):
		return nil, web.Wrong("body.turn", fmt.Errorf("expected one of the %d turns, from 0", len(turns)))
	case b.Turn == nil && b.Arm == "":
		return nil, web.Wrong("body", errors.New("expected a turn, or an arm where it was not planned"))
	case b.Turn != nil:
		round = turns[*b.Turn].Round
		if b.Arm == "" {
			b.Arm = turns[*b.Turn].Arm
		}
	}
	if !slices.ContainsFunc(t.Design.V.Arms, func(a trial.Choice) bool { return a.Name == b.Arm }) {
		return nil, web.Wrong("body.arm", fmt.Errorf("expected an arm of the trial, not %q", b.Arm))
	}
	k := store.TrialBlock{ID: in.Block, Trial: in.ID, StartedAt: b.StartedAt, EndedAt: b.EndedAt, Turn: b.Turn, Revision: b.Revision}
	k.Fished.V = trial.Fished{Round: round, Arm: b.Arm, Action: b.Action, PausedS: b.PausedS, Rods: max(b.Rods, 1), Landed: b.Landed,
		OnTeaser: b.OnTeaser, SetApart: b.SetApart, Lost: b.Lost, Missed: b.Missed, Foul: b.Foul, Species: b.Species, Dropped: b.Dropped,
		Unplanned: b.Turn == nil}
	if err := k.Fished.V.Validate(); err != nil {
		return nil, web.Wrong("body", err)
	}
	if k.Revision, err = s.Store.PutBlock(ctx, as.Angler, k); err != nil {
		return nil, err
	}
	return &blockOutput{blockOut(&k, as.Now())}, nil
}
