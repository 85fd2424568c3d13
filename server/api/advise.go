package api

import (
	"context"
	"errors"
	"net/http"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/tide"
)

// AdviseBody is what is asked. It is exported for huma, which embeds only such fields.
type AdviseBody struct {
	SpotID      uuid.UUID         `json:"spot_id" format:"uuid"`
	Time        time.Time         `json:"time,omitempty" doc:"now if left out"`
	Target      string            `json:"target,omitempty" example:"red-drum"`
	Targets     []string          `json:"targets,omitempty" maxItems:"12" nullable:"false" doc:"several at once; each edge is over that target's own blind pick"`
	Readings    []readingIn       `json:"readings,omitempty" maxItems:"50" nullable:"false" doc:"what you see there; it overrules the forecast"`
	Signs       []string          `json:"signs,omitempty" maxItems:"20" nullable:"false" doc:"seen on the water now"`
	Schools     map[string]string `json:"schools,omitempty" doc:"positions taken for this once, by question"`
	KitOnly     bool              `json:"kit_only,omitempty" doc:"nothing that is not in your kit"`
	WhatChanges bool              `json:"what_would_change,omitempty" doc:"say which reading would change the choice"`
	Units       string            `json:"units,omitempty" enum:"metric,us" doc:"of the sentences"`
	Most        int               `json:"most,omitempty" minimum:"1" maximum:"20" doc:"choices wanted, three if left out"`
}

type adviseInput struct{ Body AdviseBody }

type reasonOut struct {
	Rule      string  `json:"rule"`
	Says      string  `json:"says"`
	Factor    float64 `json:"factor"`
	Applies   float64 `json:"applies" doc:"how far the rule applies here, 0…1"`
	Family    string  `json:"family"`
	Effect    string  `json:"effect"`
	Certainty string  `json:"certainty"`
	Origin    string  `json:"origin"`
	Idea      string  `json:"idea"`
	School    string  `json:"school"`
}

type workingOut struct {
	Label   string `json:"label"`
	Result  string `json:"result"`
	Formula string `json:"formula"`
	Weak    string `json:"weak"`
}

// cardOut is the presentation written out; lines that do not apply are empty.
type cardOut struct {
	OfferingID string  `json:"offering_id"`
	Size       string  `json:"size"`
	Finish     string  `json:"finish"`
	Hooked     string  `json:"hooked" doc:"how the bait goes on the hook"`
	RigID      string  `json:"rig_id"`
	Weight     string  `json:"weight"`
	Hook       string  `json:"hook"`
	Leader     string  `json:"leader"`
	Knot       string  `json:"knot"`
	Cast       string  `json:"cast" doc:"from where and which way"`
	Depth      string  `json:"depth"`
	Pace       string  `json:"pace"`
	Cadence    string  `json:"cadence" doc:"in the bench's written form"`
	Pause      string  `json:"pause"`
	Tip        string  `json:"tip" doc:"how to hold the rod"`
	Refused    string  `json:"refused" doc:"what to change first"`
	Style      string  `json:"style"`
	WeightKg   float64 `json:"weight_kg"`
	LeaderN    float64 `json:"leader_n"`
	SpeedMS    float64 `json:"speed_ms" doc:"through the water"`
}

type choiceOut struct {
	Target     string       `json:"target"`
	TargetName string       `json:"target_name"`
	Sentence   string       `json:"sentence"`
	Approach   string       `json:"approach" enum:"live bait,cut bait,lure"`
	Offering   string       `json:"offering"`
	Rig        string       `json:"rig"`
	Mark       string       `json:"mark"`
	DepthM     float64      `json:"depth_m" doc:"of the offering below the surface"`
	Retrieve   string       `json:"retrieve"`
	Bite       string       `json:"bite"`
	Card       cardOut      `json:"card"`
	Uses       []string     `json:"uses" nullable:"false" doc:"of your kit"`
	Lacks      []string     `json:"lacks" nullable:"false" doc:"what is not in your kit, and the nearest that is"`
	Edge       float64      `json:"edge" doc:"times better than turning up blind; the product of the reasons"`
	EdgeLow    float64      `json:"edge_low" doc:"80 % of the belief lies between low and high"`
	EdgeHigh   float64      `json:"edge_high"`
	Reasons    []reasonOut  `json:"reasons" nullable:"false"`
	Arithmetic []workingOut `json:"arithmetic" nullable:"false"`
	Cautions   []string     `json:"cautions" nullable:"false" doc:"of the way, the place, the tackle and the fish"`
	Handling   string       `json:"handling" doc:"how to land, hold and put it back"`
}

type ruledOutOut struct {
	Offering string `json:"offering"`
	Why      string `json:"why"`
}

type turningOut struct {
	Kind     string  `json:"kind" doc:"of reading; time for the time"`
	Past     float64 `json:"past" doc:"in the reading's unit; minutes from the moment for the time"`
	Rises    bool    `json:"rises"`
	Says     string  `json:"says"`
	Offering string  `json:"offering"`
	Mark     string  `json:"mark"`
	Spreads  float64 `json:"spreads" doc:"how far off, in standard deviations of what is believed; hours for the time"`
}

type adviseOutput struct {
	Body struct {
		Choices    []choiceOut   `json:"choices" nullable:"false"`
		Beyond     *choiceOut    `json:"beyond,omitempty" doc:"the best that is not in your kit, where it is better"`
		RuledOut   []ruledOutOut `json:"ruled_out" nullable:"false" doc:"what cannot work now, and why"`
		Changes    []turningOut  `json:"what_would_change" nullable:"false"`
		Conditions []condition   `json:"conditions" nullable:"false"`
		Stage      stageOut      `json:"stage"`
		Way        string        `json:"way" doc:"that the way is shut or soon will be; empty when there is no hurry"`
		Stay       string        `json:"stay" doc:"when to move on"`
		Note       string        `json:"note" doc:"why there is no choice, where there is none"`
		Kit        bool          `json:"kit" doc:"you have a kit, and it was asked first"`
		Basis      string        `json:"basis" doc:"what the edges rest on"`
	}
}

type targetOut struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Latin string `json:"latin"`
	Note  string `json:"note"`
	// Lives at these kinds of place.
	Lives []string `json:"lives" nullable:"false"`
}

type targetsOutput struct {
	Body []targetOut `nullable:"false"`
}

// basis is said wherever an edge is shown.
const basis = "From rules of thumb alone: the strengths are this program's judgement, not measurements, and your log does not correct them yet."

func (s *Server) registerAdvise(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/targets", "listTargets", "Species the playbook knows, yours included"), s.targets)
	huma.Register(api, operation(http.MethodPost, "/advise", "advise", "What to tie on and how to move it"), s.advise)
	huma.Register(api, operation(http.MethodPost, "/advise/compare", "compareAdvice", "Two presentations, or two moments, reason by reason"), s.compareAdvice)
}

func (s *Server) targets(ctx context.Context, _ *struct{}) (*targetsOutput, error) {
	book := s.book
	if angler, signedIn := s.accounts.Angler(ctx); signedIn {
		var err error
		if book, err = s.bookOf(ctx, angler, nil); err != nil {
			return nil, failed(err)
		}
	}
	out := &targetsOutput{Body: []targetOut{}}
	for _, t := range book.Targets {
		out.Body = append(out.Body, targetOut{t.ID, t.Name, t.Latin, t.Note, t.Lives})
	}
	return out, nil
}

// asked is a question made ready: the question, its targets and where it was asked.
type asked struct {
	advise.Question
	targets []*playbook.Target
	blind   func(*playbook.Target) (*rate.Blind, error)
	surge   *tide.Surge
}

// answer the question for all its targets.
func (a *asked) answer() (advise.Advice, error) {
	return advise.Several(a.Question, a.targets, a.blind)
}

// question makes ready what is asked.
func (s *Server) question(ctx context.Context, b *AdviseBody) (*asked, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	if err := s.book.CheckSchools(b.Schools); err != nil {
		return nil, wrong("body.schools", said(err))
	}
	if err := playbook.CheckSigns(b.Signs); err != nil {
		return nil, wrong("body.signs", said(err))
	}
	system, err := quantity.ParseSystem(b.Units)
	if err != nil {
		return nil, wrong("body.units", err)
	}
	book, err := s.bookOf(ctx, angler, b.Schools)
	if err != nil {
		return nil, failed(err)
	}
	out := &asked{}
	for _, id := range wanted(b) {
		t, err := book.Target(id)
		if err != nil {
			return nil, wrong("body.target", err)
		}
		out.targets = append(out.targets, t)
	}
	if len(out.targets) == 0 {
		return nil, wrong("body.target", errors.New("expected a target, or several in targets"))
	}
	t := s.at(b.Time)
	own, err := observedAt(b.Readings, t)
	if err != nil {
		return nil, err
	}
	spots, err := s.store.Spots(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	readings, err := s.readings(ctx, angler, t)
	if err != nil {
		return nil, failed(err)
	}
	items, err := s.store.Kit(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	out.Question = advise.Question{Book: book, Belief: rate.Priors{Book: book}, At: -1, Time: t, System: system, Most: b.Most, Signs: b.Signs, KitOnly: b.KitOnly, Changes: b.WhatChanges}
	for _, i := range items {
		out.Kit = append(out.Kit, i.Item)
	}
	if out.KitOnly && out.Kit.Empty() {
		return nil, wrong("body.kit_only", errors.New("there is no lure or bait in hand in your kit; add some, or ask without kit_only"))
	}
	// The blind pick rests on what is known without being there.
	plain, sorted := make([]*advise.Spot, len(spots)), make(map[uuid.UUID]conditions.Readings, len(readings))
	for water, list := range readings {
		sorted[water] = conditions.Sorted(list)
	}
	for i, sp := range spots {
		plain[i] = sp.WithReadings(sorted[sp.Water.ID])
		asks := plain[i]
		if sp.ID == b.SpotID {
			out.At, out.surge = i, sp.Surge
			if len(own) > 0 {
				asks = sp.ForAdvice(append(own, readings[sp.Water.ID]...))
			}
		}
		out.Spots = append(out.Spots, asks)
	}
	if out.At < 0 {
		return nil, huma.Error404NotFound("You have no spot by that id.")
	}
	out.blind = func(target *playbook.Target) (*rate.Blind, error) {
		return s.blinds.pick(angler, book, out.Belief, target, plain, t)
	}
	return out, nil
}

func wanted(b *AdviseBody) []string {
	list := b.Targets
	if b.Target != "" && !slices.Contains(list, b.Target) {
		list = append([]string{b.Target}, list...)
	}
	return list
}

func (s *Server) advise(ctx context.Context, in *adviseInput) (*adviseOutput, error) {
	q, err := s.question(ctx, &in.Body)
	if err != nil {
		return nil, err
	}
	a, err := q.answer()
	if err != nil {
		return nil, failed(err)
	}
	return adviceOut(a, q.surge, q.Kit), nil
}

func adviceOut(a advise.Advice, surge *tide.Surge, k kit.Kit) *adviseOutput {
	out := &adviseOutput{}
	b := &out.Body
	b.Conditions, b.Stage, b.Note, b.Basis, b.Way, b.Stay, b.Kit = conditionsOf(&a.Moment, surge), stageOf(a.Moment.Stage), a.Note, basis, a.Way, a.Stay, !k.Empty()
	common := []string{}
	if a.Way != "" {
		common = append(common, a.Way)
	}
	common = append(common, a.Cautions...)
	b.Choices, b.RuledOut, b.Changes = []choiceOut{}, []ruledOutOut{}, []turningOut{}
	for i := range a.Choices {
		b.Choices = append(b.Choices, choiceOf(&a.Choices[i], common))
	}
	if a.Beyond != nil {
		c := choiceOf(a.Beyond, common)
		b.Beyond = &c
	}
	for _, r := range a.RuledOut {
		b.RuledOut = append(b.RuledOut, ruledOutOut(r))
	}
	for _, t := range a.Changes {
		kind := string(t.Kind)
		b.Changes = append(b.Changes, turningOut{orDefault(kind, "time"), t.Past, t.Rises, t.Says, t.Offering, t.Mark, t.Spreads})
	}
	return out
}

func choiceOf(c *advise.Choice, common []string) choiceOut {
	k := &c.Card
	o := choiceOut{Target: c.Target.ID, TargetName: c.Target.Name, Sentence: c.Sentence, Approach: k.Approach, Offering: k.Offering, Rig: k.Rig, Mark: k.Mark, DepthM: c.DepthM,
		Retrieve: c.Retrieve, Bite: k.Bite, Edge: c.Edge.Value, EdgeLow: c.Edge.Low, EdgeHigh: c.Edge.High, Handling: c.Target.Handling,
		Card: cardOut{k.OfferingID, k.Size, k.Finish, k.Hooked, k.RigID, k.Weight, k.Hook, k.Leader, k.Knot, k.Cast, k.Depth, k.Pace, k.Cadence, k.Pause, k.Tip, k.Refused, k.Style,
			k.WeightKg, k.LeaderN, k.SpeedMS},
		Uses: append([]string{}, c.Uses...), Lacks: append([]string{}, c.Lacks...),
		Reasons: []reasonOut{}, Arithmetic: []workingOut{}, Cautions: append(slices.Clone(common), c.Cautions...)}
	for _, r := range c.Reasons {
		o.Reasons = append(o.Reasons, reasonOut{r.Rule, r.Says, r.Factor, r.Applies, r.Family, r.Effect, r.Certainty, r.Origin, r.Idea, r.School})
	}
	for _, w := range c.Arithmetic {
		o.Arithmetic = append(o.Arithmetic, workingOut(w))
	}
	return o
}
