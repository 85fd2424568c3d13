package answer

import (
	"cmp"
	"greypebble/core/advise"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"slices"
)

func adviceOf(a *advise.Advice, k kit.Kit) *Advice {
	b := &Advice{}
	b.Conditions, b.Stage, b.Note, b.Basis = Conditions(&a.Moment), Stage(a.Moment.Stage), a.Note, playbook.Basis
	b.Way, b.Stay, b.Kit, b.Usual = a.Way, a.Stay, !k.Empty(), a.Usual
	b.Cautions, b.Gravest = Cautions(a.Cautions), going.Gravest(a.Cautions).String()
	b.Choices, b.RuledOut, b.Changes = []ChoiceOut{}, []RuledOutOut{}, []TurningOut{}
	for i := range a.Choices {
		b.Choices = append(b.Choices, choiceOf(&a.Choices[i], a.Cautions))
	}
	if a.Beyond != nil {
		c := choiceOf(a.Beyond, a.Cautions)
		b.Beyond = &c
	}
	for _, r := range a.RuledOut {
		b.RuledOut = append(b.RuledOut, RuledOutOut(r))
	}
	for _, t := range a.Changes {
		b.Changes = append(b.Changes, TurningOut{Kind: cmp.Or(string(t.Kind), "time"), Past: t.Past, Rises: t.Rises, Says: t.Says,
			Offering: t.Offering, Mark: t.Mark, Spreads: t.Spreads})
	}
	return b
}

func choiceOf(c *advise.Choice, common []going.Caution) ChoiceOut {
	k := &c.Card
	parts := c.Edge.Parts
	o := ChoiceOut{Target: c.Target.ID, TargetName: c.Target.Name, Sentence: c.Sentence, Approach: k.Approach,
		Offering: k.Offering, Rig: k.Rig, Mark: k.Mark, DepthM: c.DepthM, Retrieve: c.Retrieve, Bite: k.Bite, Edge: c.Edge.Value,
		EdgeLow: c.Edge.Low, EdgeHigh: c.Edge.High, There: parts[playbook.There], Feeding: parts[playbook.Feeding],
		Taken: parts[playbook.Taken], Absent: c.Absent, BeatsNext: c.BeatsNext, BeatsNextSays: rate.SayBeats(c.BeatsNext),
		PerRodHour: ExpectedOut(c.Catch), Handling: c.Handling, Card: cardOf(k), Uses: append([]string{}, c.Uses...),
		Lacks: append([]string{}, c.Lacks...), Reasons: []ReasonOut{}, For: []PlusOut{}, Arithmetic: []WorkingOut{},
		Cautions: Cautions(going.Sorted(append(slices.Clone(common), c.Cautions...)))}
	o.Side, o.Plan = DrawingIf(c.Side), DrawingIf(c.Plan)
	for _, r := range c.Reasons {
		o.Reasons = append(o.Reasons, reasonOf(&r))
	}
	for _, p := range c.For {
		o.For = append(o.For, PlusOut(p))
	}
	for _, w := range c.Arithmetic {
		o.Arithmetic = append(o.Arithmetic, WorkingOut(w))
	}
	return o
}

func reasonOf(r *advise.Reason) ReasonOut {
	out := ReasonOut{Part: r.Part, Rule: r.Rule, Says: r.Says, Factor: r.Factor, Applies: r.Applies, Ordinary: r.Ordinary, Family: r.Family,
		Effect: r.Effect, Certainty: r.Certainty, Origin: r.Origin, Idea: r.Idea, School: r.School, Rules: []RuleReasonOut{}}
	for _, k := range r.Rules {
		out.Rules = append(out.Rules, RuleReasonOut(k))
	}
	return out
}

func cardOf(k *advise.Card) CardOut {
	return CardOut{OfferingID: k.OfferingID, KitID: k.KitID, Size: k.Size, Finish: k.Finish, Hooked: k.Hooked, RigID: k.RigID,
		Weight: k.Weight, Hook: k.Hook, Leader: k.Leader, LeaderOf: k.LeaderOf, Knot: k.Knot, Cast: k.Cast, Depth: k.Depth, Pace: k.Pace,
		Cadence: k.Cadence,
		Pause:   k.Pause, Tip: k.Tip,
		Refused: k.Refused, Groundbait: k.Groundbait, Style: k.Style, WeightKg: k.WeightKg, LeaderN: k.LeaderN, SpeedMS: k.SpeedMS}
}
