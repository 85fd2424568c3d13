package trials

import (
	"context"
	"errors"

	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/trial"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

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
		return trial.Between(a, b, func(rule int) (mean, sd float64) { return book.Rules[rule].Prior.Mean, book.Rules[rule].Prior.SD })
	}, nil
}
