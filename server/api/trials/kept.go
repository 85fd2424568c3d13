package trials

import (
	"context"
	"errors"
	"fmt"
	"math"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/trial"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type service struct{ *web.Deps }

func (s service) register(api huma.API) {
	web.Signed(api, s.Deps, web.Put("/trials/{id}", "putTrial",
		"Design a trial, or change one; what is changed after its first block is said"),
		s.put)
	web.Signed(api, s.Deps, web.Get("/trials", "listTrials", "One's trials, newest first"), s.list)
	web.Signed(api, s.Deps, web.Get("/trials/{id}", "trial", "A trial: its design, its turns, its blocks and which comes next"), s.one)
	web.Signed(api, s.Deps, web.Delete("/trials/{id}", "deleteTrial", "Remove a trial with its blocks"), s.remove)
	web.Signed(api, s.Deps, web.Put("/trials/{id}/blocks/{block}", "putBlock", "Tell a block of a trial, while it goes on or after"),
		s.putBlock)
	web.Signed(api, s.Deps, web.Get("/trials/{id}/result", "trialResult",
		"What a trial showed so far; a look before the last planned block is counted and said"), s.result)
}

// WayOfArm is what an arm fishes.
type WayOfArm struct {
	Name       string  `json:"name" minLength:"1" maxLength:"60"`
	Approach   string  `json:"approach,omitempty" enum:"live bait,cut bait,lure"`
	OfferingID string  `json:"offering_id,omitempty" maxLength:"80"`
	Offering   string  `json:"offering,omitempty" maxLength:"80"`
	RigID      string  `json:"rig_id,omitempty" maxLength:"80"`
	Style      string  `json:"style,omitempty" maxLength:"40"`
	Finish     string  `json:"finish,omitempty" maxLength:"40"`
	SizeM      float64 `json:"size_m,omitempty" minimum:"0" maximum:"2"`
	WeightKg   float64 `json:"weight_kg,omitempty" minimum:"0" maximum:"5"`
	DepthM     float64 `json:"depth_m,omitempty" minimum:"0" maximum:"200"`
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
		d.Arms = append(d.Arms, trial.Choice{Name: a.Name, Way: trial.Way{Approach: a.Approach, OfferingID: a.OfferingID,
			Offering: a.Offering,
			RigID:    a.RigID, Style: a.Style, Finish: a.Finish, SizeM: a.SizeM, WeightKg: a.WeightKg, DepthM: a.DepthM}})
	}
	return d
}

func bodyOf(d *trial.Design) DesignBody {
	b := DesignBody{Question: d.Question, Target: d.Target, Mark: d.Mark, BlockMin: d.BlockMin, Rounds: d.Rounds, Rods: d.Rods,
		Anglers: d.Anglers, Sides: d.Sides, Arms: []WayOfArm{}}
	b.SpotID, _ = uuid.Parse(d.SpotID)
	for _, a := range d.Arms {
		b.Arms = append(b.Arms, WayOfArm{a.Name, a.Approach, a.OfferingID, a.Offering, a.RigID, a.Style, a.Finish, a.SizeM, a.WeightKg,
			a.DepthM})
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

// TurnOut is one block as it is to be fished.
type TurnOut struct {
	N      int    `json:"n"`
	Round  int    `json:"round"`
	Arm    string `json:"arm"`
	Rod    string `json:"rod,omitempty"`
	Angler string `json:"angler,omitempty"`
	Side   string `json:"side,omitempty"`
}

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

type trialOutput struct {
	Body struct {
		ID       string     `json:"id"`
		Revision int        `json:"revision"`
		MadeAt   time.Time  `json:"made_at"`
		Design   DesignBody `json:"design"`
		Turns    []TurnOut  `json:"turns" nullable:"false"`
		Blocks   []BlockOut `json:"blocks" nullable:"false"`
		Next     *TurnOut   `json:"next,omitempty" doc:"left out when all are fished"`
		Unalike  []string   `json:"unalike" nullable:"false" doc:"what else than one thing differs between its arms"`
		LastsMin float64    `json:"lasts_min"`
		Changed  []string   `json:"changed" nullable:"false" doc:"after its first block"`
		Shows    []ShowsOut `json:"shows" nullable:"false" doc:"how likely it shows a difference that is there"`
	}
}

// ShowsOut is how likely a design shows what is there, by how much the worse arm brings.
type ShowsOut struct {
	PerRodHour  float64 `json:"per_rod_hour"`
	FourToThree float64 `json:"four_to_three"`
	TwoToOne    float64 `json:"two_to_one"`
}

// usualRates the power of a design is told at, fish a rod-hour.
var usualRates = []float64{0.5, 1, 2, 5}

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

type trialListed struct {
	ID       string    `json:"id"`
	Question string    `json:"question"`
	Target   string    `json:"target"`
	MadeAt   time.Time `json:"made_at"`
	Arms     []string  `json:"arms" nullable:"false"`
}

type trialsOutput struct {
	Body struct {
		Trials []trialListed `json:"trials" nullable:"false"`
	}
}

func (s service) list(ctx context.Context, as *web.Scope, _ *struct{}) (*trialsOutput, error) {
	list, err := s.Store.Trials(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &trialsOutput{}
	out.Body.Trials = []trialListed{}
	for _, t := range list {
		one := trialListed{ID: t.ID.String(), Question: t.Design.V.Question, Target: t.Design.V.Target, MadeAt: t.MadeAt, Arms: []string{}}
		for _, a := range t.Design.V.Arms {
			one.Arms = append(one.Arms, a.Name)
		}
		out.Body.Trials = append(out.Body.Trials, one)
	}
	return out, nil
}

func (s service) one(ctx context.Context, as *web.Scope, in *wire.ByID) (*trialOutput, error) {
	t, err := s.Store.Trial(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	blocks, err := s.Store.Blocks(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	d := &t.Design.V
	out := &trialOutput{}
	b := &out.Body
	b.ID, b.Revision, b.MadeAt, b.Design, b.LastsMin = t.ID.String(), t.Revision, t.MadeAt, bodyOf(d), d.Lasts().Minutes()
	b.Turns, b.Blocks, b.Unalike, b.Changed = []TurnOut{}, []BlockOut{}, append([]string{}, d.Unalike()...), append([]string{},
		t.Changed.V...)
	done := map[int]bool{}
	for i := range blocks {
		k := blockOut(&blocks[i], as.Now())
		if k.Turn != nil && k.Dropped == "" {
			done[*k.Turn] = true
		}
		b.Blocks = append(b.Blocks, k)
	}
	for _, k := range d.Turns(b.ID) {
		turn := TurnOut(k)
		b.Turns = append(b.Turns, turn)
		if b.Next == nil && !done[k.N] {
			b.Next = &turn
		}
	}
	for _, rate := range usualRates {
		shows := d.Shows(rate)
		b.Shows = append(b.Shows, ShowsOut{rate, shows.FourToThree, shows.TwoToOne})
	}
	return out, nil
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

func (s service) remove(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeleteTrial(ctx, as.Angler, in.ID)
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

type armTold struct {
	Name      string         `json:"name"`
	Blocks    int            `json:"blocks"`
	RodHours  float64        `json:"rod_hours"`
	Landed    int            `json:"landed"`
	OnTeaser  int            `json:"on_teaser"`
	SetApart  int            `json:"set_apart"`
	Hooked    int            `json:"hooked"`
	Missed    int            `json:"missed"`
	Foul      int            `json:"foul"`
	Species   map[string]int `json:"species"`
	Rate      RatioOut       `json:"rate" doc:"fish landed a rod-hour"`
	FoulShare *RatioOut      `json:"foul_share,omitempty" doc:"of those hooked"`
}

type speciesTold struct {
	Target string   `json:"target"`
	Ratio  RatioOut `json:"ratio"`
}

type pairTold struct {
	First      string        `json:"first"`
	Second     string        `json:"second"`
	Ratio      RatioOut      `json:"ratio" doc:"of their rates, round by round"`
	Believed   RatioOut      `json:"believed" doc:"the same under the book's prior; p is how likely the first is the better"`
	Closed     float64       `json:"closed_p" doc:"among all pairs compared"`
	Shown      bool          `json:"shown"`
	Says       string        `json:"says"`
	LandedSays string        `json:"landed_says,omitempty" doc:"landed of those hooked"`
	FoulSays   string        `json:"foul_says,omitempty" doc:"foul-hooked of those hooked"`
	Species    []speciesTold `json:"species" nullable:"false" doc:"apart, where several were caught"`
}

type resultOutput struct {
	Body struct {
		Arms     []armTold  `json:"arms" nullable:"false"`
		Pairs    []pairTold `json:"pairs" nullable:"false"`
		Warnings []string   `json:"warnings" nullable:"false" doc:"to be read with it"`
		Done     int        `json:"done"`
		Planned  int        `json:"planned"`
	}
}

func (s service) result(ctx context.Context, as *web.Scope, in *wire.ByID) (*resultOutput, error) {
	t, err := s.Store.Trial(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	blocks, err := s.Store.Blocks(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	d := &t.Design.V
	kept := trial.Kept{Changed: t.Changed.V, Peeks: t.Peeks, Planned: len(d.Turns(t.ID.String()))}
	var list []trial.Fished
	for i := range blocks {
		f := blocks[i].Fished.V
		f.RodHours = fished(&blocks[i], as.Now())
		list = append(list, f)
	}
	prior, err := s.prior(ctx, as, d)
	if err != nil {
		return nil, err
	}
	r, err := trial.ResultOf(list, kept, prior)
	if err != nil {
		return nil, err
	}
	if r.Done > 0 && r.Done < r.Planned {
		if err := s.Store.Peeked(ctx, as.Angler, t.ID); err != nil {
			return nil, err
		}
	}
	out := &resultOutput{}
	b := &out.Body
	b.Arms, b.Pairs, b.Warnings, b.Done, b.Planned = []armTold{}, []pairTold{}, append([]string{}, r.Warnings...), r.Done, r.Planned
	for _, a := range r.Arms {
		one := armTold{Name: a.Name, Blocks: a.Blocks, RodHours: a.RodHours, Landed: a.Landed, OnTeaser: a.OnTeaser, SetApart: a.SetApart,
			Hooked: a.Hooked, Missed: a.Missed, Foul: a.Foul, Species: a.Species, Rate: ratioOf(a.Rate)}
		if a.Hooked > 0 {
			share := ratioOf(a.FoulShare)
			one.FoulShare = &share
		}
		b.Arms = append(b.Arms, one)
	}
	for _, p := range r.Pairs {
		one := pairTold{First: p.First, Second: p.Second, Ratio: ratioOf(p.Ratio), Believed: ratioOf(p.Believed), Closed: p.Closed,
			Shown: p.Shown,
			Says:  p.Says, LandedSays: p.LandedSays, FoulSays: p.FoulSays, Species: []speciesTold{}}
		for _, k := range p.Species {
			one.Species = append(one.Species, speciesTold{k.Target, ratioOf(k.Ratio)})
		}
		b.Pairs = append(b.Pairs, one)
	}
	return out, nil
}

// prior of two arms by the book, where it knows both ways at the trial's mark.
func (s service) prior(ctx context.Context, as *web.Scope, d *trial.Design) (func(first, second string) trial.Prior, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	target, err := book.Target(d.Target)
	spot, bad := uuid.Parse(d.SpotID)
	if err != nil || bad != nil || d.Mark == "" {
		return nil, nil //nolint:nilerr,nilnil // the book says nothing of it
	}
	sp, err := s.Desk.Spot(ctx, as.Angler, spot, as.Now())
	if errors.Is(err, store.ErrNotFound) {
		return nil, nil //nolint:nilnil // the spot is gone
	}
	if err != nil {
		return nil, err
	}
	ways := map[string][]float64{}
	for _, a := range d.Arms {
		c, fished, err := advise.Fished(advise.Question{Book: book, Target: target, Spot: &sp.Spot.Spot, Time: as.Now()},
			advise.MyWay{Mark: d.Mark, OfferingID: a.OfferingID, RigID: a.RigID, Style: a.Style})
		if err != nil {
			return nil, err
		}
		if fished && a.OfferingID != "" && a.RigID != "" {
			ways[a.Name] = c.Rules
		}
	}
	return func(first, second string) trial.Prior {
		a, b := ways[first], ways[second]
		if a == nil || b == nil {
			return trial.Unknown
		}
		mean, variance := 0.0, 0.0
		for r := range a {
			if x := a[r] - b[r]; x != 0 {
				mean += x * book.Rules[r].Prior.Mean
				variance += x * x * book.Rules[r].Prior.SD * book.Rules[r].Prior.SD
			}
		}
		// What the book does not speak of may differ too.
		return trial.Prior{Mean: mean, SD: math.Sqrt(variance + trial.Unknown.SD*trial.Unknown.SD/4)}
	}, nil
}
