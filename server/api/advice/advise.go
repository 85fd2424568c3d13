package advice

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// question made ready: what is asked, of which targets.
type question struct {
	advise.Question
	targets []*playbook.Target
}

// answer the question for all its targets.
func (q *question) answer() (advise.Advice, error) {
	a, err := advise.Several(q.Question, q.targets)
	return a, spotAnew(err)
}

// spotAnew is the error of a spot that an earlier program let in with a word the book does not know.
func spotAnew(err error) error {
	var word spot.FieldError
	if errors.As(err, &word) {
		return web.Wrong("body.spot_id", fmt.Errorf("%w; write the spot anew", word))
	}
	return err
}

// question makes ready what is asked.
func (s service) question(ctx context.Context, as *web.Scope, b *AdviseBody) (*question, error) {
	if err := playbook.CheckSigns(b.Signs); err != nil {
		return nil, web.Wrong("body.signs", err)
	}
	if err := as.In(b.Units, "body.units"); err != nil {
		return nil, err
	}
	book, err := s.bookFor(ctx, as, b.Schools)
	if err != nil {
		return nil, err
	}
	q := &question{}
	for _, id := range wanted(b) {
		t, err := book.Target(id)
		if err != nil {
			return nil, web.Wrong("body.target", err)
		}
		q.targets = append(q.targets, t)
	}
	if len(q.targets) == 0 {
		return nil, web.Wrong("body.target", errors.New("expected a target, or several in targets"))
	}
	t := as.At(b.Time)
	seen, err := wire.ObservedAt(b.Readings, t)
	if err != nil {
		return nil, err
	}
	q.Question = advise.Question{Book: book, Belief: rate.Priors{Book: book}, Time: t, Units: as.Units, Most: b.Most,
		DrawnPx: b.DrawnPx, Signs: b.Signs, KitOnly: b.KitOnly, Changes: b.WhatChanges}
	if q.Kit, err = s.Store.KitOf(ctx, as.Angler); err != nil {
		return nil, err
	}
	if q.KitOnly && q.Kit.Empty() {
		return nil, web.Wrong("body.kit_only",
			errors.New("there is no lure or bait in hand in your kit; add some, or ask without kit_only"))
	}
	if q.Limits, err = s.Store.Limits(ctx, as.Angler); err != nil {
		return nil, err
	}
	return q, s.lay(ctx, as, q, b, seen)
}

// bookFor a question: the angler's, with positions taken for this once.
func (s service) bookFor(ctx context.Context, as *web.Scope, positions map[string]string) (*playbook.Book, error) {
	book, err := as.Book(ctx)
	if err != nil || len(positions) == 0 {
		return book, err
	}
	if err := book.CheckSchools(positions); err != nil {
		return nil, web.Wrong("body.schools", err)
	}
	return as.BookTaking(ctx, positions)
}

// lay out the spot asked about, with what was said of it, as one goes there.
func (s service) lay(ctx context.Context, as *web.Scope, q *question, b *AdviseBody, seen []conditions.Reading) error {
	sp, err := s.Desk.Spot(ctx, as.Angler, b.SpotID, q.Time)
	if err != nil {
		return err
	}
	q.Spot = &sp.Including(seen).Spot.Spot
	if b.Manner == "" {
		return nil
	}
	access, known := q.Spot.Access.By(ground.Manner(b.Manner))
	if !known {
		return web.Wrong("body.manner", fmt.Errorf("one does not go to %s %s; it is written as reached %s", q.Spot.Name, b.Manner,
			q.Spot.Access.Manner))
	}
	q.Spot = q.Spot.Reached(access)
	return nil
}

func wanted(b *AdviseBody) []string {
	list := b.Targets
	if b.Target != "" && !slices.Contains(list, b.Target) {
		list = append([]string{b.Target}, list...)
	}
	return list
}

func (s service) advise(ctx context.Context, as *web.Scope, in *adviseInput) (*adviseOutput, error) {
	q, err := s.question(ctx, as, &in.Body)
	if err != nil {
		return nil, err
	}
	a, err := q.answer()
	if err != nil {
		return nil, err
	}
	return adviceOut(a, q.Kit), nil
}

func adviceOut(a advise.Advice, k kit.Kit) *adviseOutput {
	out := &adviseOutput{}
	b := &out.Body
	b.Conditions, b.Stage, b.Note, b.Basis = wire.Conditions(&a.Moment), wire.Stage(a.Moment.Stage), a.Note, playbook.Basis
	b.Way, b.Stay, b.Kit, b.Usual = a.Way, a.Stay, !k.Empty(), a.Usual
	b.Cautions, b.Gravest = wire.Cautions(a.Cautions), going.Gravest(a.Cautions).String()
	b.Choices, b.RuledOut, b.Changes = []choiceOut{}, []ruledOutOut{}, []turningOut{}
	for i := range a.Choices {
		b.Choices = append(b.Choices, choiceOf(&a.Choices[i], a.Cautions))
	}
	if a.Beyond != nil {
		c := choiceOf(a.Beyond, a.Cautions)
		b.Beyond = &c
	}
	for _, r := range a.RuledOut {
		b.RuledOut = append(b.RuledOut, ruledOutOut(r))
	}
	for _, t := range a.Changes {
		b.Changes = append(b.Changes, turningOut{Kind: cmp.Or(string(t.Kind), "time"), Past: t.Past, Rises: t.Rises, Says: t.Says,
			Offering: t.Offering, Mark: t.Mark, Spreads: t.Spreads})
	}
	return out
}

func choiceOf(c *advise.Choice, common []going.Caution) choiceOut {
	k := &c.Card
	parts := c.Edge.Parts
	o := choiceOut{Target: c.Target.ID, TargetName: c.Target.Name, Sentence: c.Sentence, Approach: k.Approach,
		Offering: k.Offering, Rig: k.Rig, Mark: k.Mark, DepthM: c.DepthM, Retrieve: c.Retrieve, Bite: k.Bite, Edge: c.Edge.Value,
		EdgeLow: c.Edge.Low, EdgeHigh: c.Edge.High, There: parts[playbook.There], Feeding: parts[playbook.Feeding],
		Taken: parts[playbook.Taken], Absent: c.Absent, BeatsNext: c.BeatsNext, BeatsNextSays: rate.SayBeats(c.BeatsNext),
		PerRodHour: expectedOut(c.Catch), Handling: c.Handling, Card: cardOf(k), Uses: append([]string{}, c.Uses...),
		Lacks: append([]string{}, c.Lacks...), Reasons: []reasonOut{}, For: []plusOut{}, Arithmetic: []workingOut{},
		Cautions: wire.Cautions(going.Sorted(append(slices.Clone(common), c.Cautions...)))}
	o.Side, o.Plan = wire.DrawingIf(c.Side), wire.DrawingIf(c.Plan)
	for _, r := range c.Reasons {
		o.Reasons = append(o.Reasons, reasonOf(&r))
	}
	for _, p := range c.For {
		o.For = append(o.For, plusOut(p))
	}
	for _, w := range c.Arithmetic {
		o.Arithmetic = append(o.Arithmetic, workingOut(w))
	}
	return o
}

func reasonOf(r *advise.Reason) reasonOut {
	out := reasonOut{Part: r.Part, Rule: r.Rule, Says: r.Says, Factor: r.Factor, Applies: r.Applies, Ordinary: r.Ordinary, Family: r.Family,
		Effect: r.Effect, Certainty: r.Certainty, Origin: r.Origin, Idea: r.Idea, School: r.School, Rules: []ruleReasonOut{}}
	for _, k := range r.Rules {
		out.Rules = append(out.Rules, ruleReasonOut(k))
	}
	return out
}

func cardOf(k *advise.Card) cardOut {
	return cardOut{OfferingID: k.OfferingID, KitID: k.KitID, Size: k.Size, Finish: k.Finish, Hooked: k.Hooked, RigID: k.RigID,
		Weight: k.Weight, Hook: k.Hook, Leader: k.Leader, LeaderOf: k.LeaderOf, Knot: k.Knot, Cast: k.Cast, Depth: k.Depth, Pace: k.Pace,
		Cadence: k.Cadence,
		Pause:   k.Pause, Tip: k.Tip,
		Refused: k.Refused, Groundbait: k.Groundbait, Style: k.Style, WeightKg: k.WeightKg, LeaderN: k.LeaderN, SpeedMS: k.SpeedMS}
}
