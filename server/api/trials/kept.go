package trials

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
	"greypebble/server/api/wire"
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

// TurnOut is one block as it is to be fished.
type TurnOut struct {
	N      int    `json:"n"`
	Round  int    `json:"round"`
	Arm    string `json:"arm"`
	Rod    string `json:"rod,omitempty"`
	Angler string `json:"angler,omitempty"`
	Side   string `json:"side,omitempty"`
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
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	d := &t.Design.V
	out := &trialOutput{}
	b := &out.Body
	b.ID, b.Revision, b.MadeAt, b.Design, b.LastsMin = t.ID.String(), t.Revision, t.MadeAt, bodyOf(d), d.Lasts().Minutes()
	b.Turns, b.Blocks = []TurnOut{}, []BlockOut{}
	b.Unalike, b.Changed = append([]string{}, d.Unalike(book.ButForFinish)...), append([]string{}, t.Changed.V...)
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

func (s service) remove(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeleteTrial(ctx, as.Angler, in.ID)
}
