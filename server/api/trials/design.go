package trials

import (
	"context"
	"errors"

	"github.com/google/uuid"

	"greypebble/core/outing"
	"greypebble/core/trial"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// WayOfArm is what an arm fishes.
type WayOfArm struct {
	Name string `json:"name" minLength:"1" maxLength:"60"`
	wire.PresentationBody
}

// DesignBody is a trial as it is designed. It is exported for huma, which embeds only such fields.
type DesignBody struct {
	Question string     `json:"question" minLength:"1" maxLength:"400" doc:"what is to be found out"`
	Target   string     `json:"target" maxLength:"80"`
	SpotID   uuid.UUID  `json:"spot_id" format:"uuid"`
	Mark     string     `json:"mark,omitempty" maxLength:"60"`
	Arms     []WayOfArm `json:"arms" minItems:"2" maxItems:"4" nullable:"false" doc:"alike but for one thing; more may join later"`
	BlockMin float64    `json:"block_min" minimum:"2" maximum:"240" doc:"how long one arm is fished before the next"`
	Rounds   int        `json:"rounds" minimum:"1" maximum:"100" doc:"fixed beforehand: when it is over"`
	Rods     []string   `json:"rods,omitempty" maxItems:"4" nullable:"false" doc:"swapped half-way"`
	Anglers  []string   `json:"anglers,omitempty" maxItems:"4" nullable:"false"`
	Sides    []string   `json:"sides,omitempty" maxItems:"4" nullable:"false" doc:"one stands on"`
}

func (b *DesignBody) design() trial.Design {
	d := trial.Design{Question: b.Question, Target: b.Target, SpotID: b.SpotID.String(), Mark: b.Mark, BlockMin: b.BlockMin,
		Rounds: b.Rounds,
		Rods:   b.Rods, Anglers: b.Anglers, Sides: b.Sides}
	for _, a := range b.Arms {
		d.Arms = append(d.Arms, trial.Choice{Name: a.Name, Presentation: outing.Presentation(a.PresentationBody)})
	}
	return d
}

func bodyOf(d *trial.Design) DesignBody {
	b := DesignBody{Question: d.Question, Target: d.Target, Mark: d.Mark, BlockMin: d.BlockMin, Rounds: d.Rounds, Rods: d.Rods,
		Anglers: d.Anglers, Sides: d.Sides, Arms: []WayOfArm{}}
	b.SpotID, _ = uuid.Parse(d.SpotID)
	for _, a := range d.Arms {
		b.Arms = append(b.Arms, WayOfArm{a.Name, wire.PresentationBody(a.Presentation)})
	}
	return b
}

type putTrialInput struct {
	wire.ByID
	Body struct {
		DesignBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

func (s service) put(ctx context.Context, as *web.Scope, in *putTrialInput) (*trialOutput, error) {
	d := in.Body.design()
	if field, err := d.Validate(); err != nil {
		return nil, web.Wrong("body."+field, err)
	}
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	if _, err := book.Target(d.Target); err != nil {
		return nil, web.Wrong("body.target", err)
	}
	if _, err := s.Desk.Spot(ctx, as.Angler, in.Body.SpotID, as.Now()); err != nil {
		return nil, err
	}
	if err := s.joining(ctx, as, in.ID, &d); err != nil {
		return nil, err
	}
	t := store.Trial{ID: in.ID, MadeAt: as.Now(), Revision: in.Body.Revision}
	t.Design.V = d
	_, err = s.Store.PutTrial(ctx, as.Angler, t, func(before *store.Trial, blocks int) []string {
		return trial.Changes(&before.Design.V, &d, blocks)
	})
	if err != nil {
		return nil, err
	}
	return s.one(ctx, as, &in.ByID)
}

// joining arms of a trial that goes on begin with the round after those fished.
func (s service) joining(ctx context.Context, as *web.Scope, id uuid.UUID, d *trial.Design) error {
	before, err := s.Store.Trial(ctx, as.Angler, id)
	if errors.Is(err, store.ErrNotFound) {
		return nil
	}
	if err != nil {
		return err
	}
	blocks, err := s.Store.Blocks(ctx, as.Angler, id)
	if err != nil {
		return err
	}
	next := 0
	for i := range blocks {
		next = max(next, blocks[i].Fished.V.Round+1)
	}
	d.Joining(&before.Design.V, next)
	return nil
}
