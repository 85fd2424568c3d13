package logbook

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"
	"github.com/maypok86/otter/v2"

	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/playbook"
	"greypebble/core/sweep"
	"greypebble/server/api/web"
	"greypebble/server/desk"
	"greypebble/server/store"
)

// spokes are what rules spoke in a spell, kept while spell, spot and book are the same: to work that out is most of
// the work of an evidence.
type spokes = otter.Cache[spokeKey, []evidence.Spoke]

type spokeKey struct {
	spell    uuid.UUID
	revision int
	spot     int
	book     *playbook.Book
}

const mostSpokes = 20_000

func newSpokes() *spokes {
	return otter.Must(&otter.Options[spokeKey, []evidence.Spoke]{MaximumSize: mostSpokes})
}

type evidenceInput struct {
	Target string `query:"target" required:"true" maxLength:"80"`
}

// MultiplierOut is a multiplier as it is believed.
type MultiplierOut struct {
	Median float64 `json:"median"`
	Low    float64 `json:"low" doc:"four times in five it lies between"`
	High   float64 `json:"high"`
}

type ruleEvidence struct {
	Rule    string        `json:"rule"`
	Says    string        `json:"says" doc:"the rule"`
	Part    string        `json:"part"`
	Prior   MultiplierOut `json:"prior" doc:"as the book has it"`
	Log     MultiplierOut `json:"log" doc:"after the log"`
	Spells  int           `json:"spells" doc:"that speak to it"`
	ShiftSD float64       `json:"shift_sd" doc:"by so many of the book's spreads its mean moved"`
	Reads   string        `json:"reads" doc:"both in a sentence"`
}

type evidenceOutput struct {
	Body struct {
		Target     string         `json:"target"`
		TargetName string         `json:"target_name"`
		Spells     int            `json:"spells"`
		RodHours   float64        `json:"rod_hours"`
		Catches    float64        `json:"catches"`
		Base       MultiplierOut  `json:"base" doc:"fish a rod-hour of an ordinary spell"`
		Rules      []ruleEvidence `json:"rules" nullable:"false" doc:"that the log speaks to, the most moved first"`
		Dispersion float64        `json:"dispersion" doc:"how much more the counts scatter than chance; 1: no more"`
		LeftOut    int            `json:"left_out" doc:"spells of which nothing can be reckoned: without effort, at a spot without marks"`
	}
}

func (s service) registerEvidence(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/evidence", "evidence", "What your log says of what is said of a target"), s.evidence)
}

func (s service) evidence(ctx context.Context, as *web.Scope, in *evidenceInput) (*evidenceOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	target, err := book.Target(in.Target)
	if err != nil {
		return nil, web.Wrong("query.target", err)
	}
	log, leftOut, err := s.spelt(ctx, as, book)
	if err != nil {
		return nil, err
	}
	e, err := evidence.Fit(book, log, nil)
	if err != nil {
		return nil, err
	}
	belief := e.For(target.ID)
	base, err := belief.Base()
	if err != nil {
		return nil, err
	}
	sum := belief.Sum()
	out := &evidenceOutput{}
	b := &out.Body
	b.Target, b.TargetName, b.Spells, b.RodHours, b.Catches = target.ID, target.Name, sum.Spells, sum.RodHours, sum.Fish
	b.Base, b.Dispersion, b.LeftOut, b.Rules = MultiplierOut(base), e.Dispersion, leftOut, []ruleEvidence{}
	for _, r := range belief.Rules() {
		rule := &book.Rules[r.Rule]
		b.Rules = append(b.Rules, ruleEvidence{Rule: rule.ID, Says: rule.Says, Part: rule.Part.String(), Prior: MultiplierOut(r.Prior),
			Log: MultiplierOut(r.Log), Spells: r.Spells, ShiftSD: r.Shift, Reads: r.Sentence()})
	}
	return out, nil
}

// mostSpelt spells, the newest, are reckoned with.
const mostSpelt = 5000

// spelt are an angler's spells as the model takes them, and how many it cannot take.
func (s service) spelt(ctx context.Context, as *web.Scope, book *playbook.Book) (log []evidence.Spell, leftOut int, err error) {
	spells, _, err := s.Store.Spells(ctx, as.Angler, store.Filter{Most: mostSpelt})
	if err != nil {
		return nil, 0, err
	}
	laid, err := s.Desk.Spots(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, 0, err
	}
	spots := make(map[uuid.UUID]*desk.Laid, len(laid))
	for _, l := range laid {
		spots[l.ID] = l
	}
	told := make([]*evidence.Spell, len(spells))
	errs := make([]error, len(spells))
	sweep.Parallel(len(spells), func(i int) { told[i], errs[i] = s.speltOne(book, spots[spells[i].SpotID], &spells[i]) })
	for i, one := range told {
		switch {
		case errs[i] != nil:
			return nil, 0, errs[i]
		case one == nil:
			leftOut++
		default:
			log = append(log, *one)
		}
	}
	return log, leftOut, nil
}

// speltOne spell; nil where nothing can be reckoned of it.
func (s service) speltOne(book *playbook.Book, sp *desk.Laid, k *store.Spell) (*evidence.Spell, error) {
	target, err := book.Target(k.Target)
	lasted := k.EndedAt.Sub(k.StartedAt) - time.Duration(k.PausedS)*time.Second
	if err != nil || sp == nil || lasted <= 0 || len(sp.Marks) == 0 {
		return nil, nil //nolint:nilerr,nilnil // a target the book has no longer says nothing
	}
	key := spokeKey{k.ID, k.Revision, sp.Revision, book}
	rules, known := s.spokes.GetIfPresent(key)
	if !known {
		own := sp.With(conditions.Sorted(k.Readings))
		c, fished, err := sweep.Fished(book, target, own, k.StartedAt.Add(k.EndedAt.Sub(k.StartedAt)/2), k.Mark)
		switch {
		case err != nil:
			return nil, err
		case !fished:
			return nil, nil //nolint:nilnil // no mark had water over it
		}
		rules = evidence.SpokeOf(c.Rules)
		s.spokes.Set(key, rules)
	}
	out := &evidence.Spell{Target: k.Target, Spot: k.SpotID.String(), RodHours: float64(k.Rods) * lasted.Hours(), Rules: rules}
	for _, c := range k.Catches {
		if c.Target == k.Target {
			out.Fish++
		}
	}
	return out, nil
}
