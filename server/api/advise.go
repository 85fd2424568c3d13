package api

import (
	"context"
	"net/http"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/quantity"
	"greypebble/core/tide"
)

type adviseInput struct {
	Body struct {
		SpotID   uuid.UUID   `json:"spot_id" format:"uuid"`
		Time     time.Time   `json:"time,omitempty" doc:"now if left out"`
		Target   string      `json:"target" example:"red-drum"`
		Readings []readingIn `json:"readings,omitempty" maxItems:"50" nullable:"false" doc:"what you see there; it overrules the forecast"`
		Units    string      `json:"units,omitempty" enum:"metric,us" doc:"of the sentences"`
		Most     int         `json:"most,omitempty" minimum:"1" maximum:"20" doc:"choices wanted, three if left out"`
	}
}

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

type choiceOut struct {
	Sentence   string       `json:"sentence"`
	Approach   string       `json:"approach" enum:"live bait,cut bait,lure"`
	Offering   string       `json:"offering"`
	Rig        string       `json:"rig"`
	Mark       string       `json:"mark"`
	DepthM     float64      `json:"depth_m" doc:"of the offering below the surface"`
	Retrieve   string       `json:"retrieve"`
	Bite       string       `json:"bite"`
	Edge       float64      `json:"edge" doc:"times better than turning up blind; the product of the reasons"`
	EdgeLow    float64      `json:"edge_low" doc:"80 % of the belief lies between low and high"`
	EdgeHigh   float64      `json:"edge_high"`
	Reasons    []reasonOut  `json:"reasons" nullable:"false"`
	Arithmetic []workingOut `json:"arithmetic" nullable:"false"`
	Cautions   []string     `json:"cautions" nullable:"false" doc:"of the way, the place, the tackle and the fish"`
}

type adviseOutput struct {
	Body struct {
		Choices    []choiceOut `json:"choices" nullable:"false"`
		Conditions []condition `json:"conditions" nullable:"false"`
		Stage      stageOut    `json:"stage"`
		Way        string      `json:"way" doc:"that the way is shut or soon will be; empty when there is no hurry"`
		Note       string      `json:"note" doc:"why there is no choice, where there is none"`
		Basis      string      `json:"basis" doc:"what the edges rest on"`
	}
}

type targetOut struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Latin string `json:"latin"`
	Note  string `json:"note"`
}

type targetsOutput struct {
	Body []targetOut `nullable:"false"`
}

// basis is said wherever an edge is shown.
const basis = "From rules of thumb alone: the strengths are this program's judgement, not measurements, and your log does not correct them yet."

func (s *Server) registerAdvise(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/targets", "listTargets", "Species the playbook knows"), func(context.Context, *struct{}) (*targetsOutput, error) {
		out := &targetsOutput{Body: []targetOut{}}
		for _, t := range s.book.Targets {
			out.Body = append(out.Body, targetOut{t.ID, t.Name, t.Latin, t.Note})
		}
		return out, nil
	})
	huma.Register(api, operation(http.MethodPost, "/advise", "advise", "What to tie on and how to move it"), s.advise)
}

func (s *Server) advise(ctx context.Context, in *adviseInput) (*adviseOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	target, err := s.book.Target(in.Body.Target)
	if err != nil {
		return nil, wrong("body.target", err)
	}
	system, err := quantity.ParseSystem(in.Body.Units)
	if err != nil {
		return nil, wrong("body.units", err)
	}
	t := s.at(in.Body.Time)
	own, err := observedAt(in.Body.Readings, t)
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
	book, belief, err := s.bookOf(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	q := advise.Question{Book: book, Belief: belief, Target: target, At: -1, Time: t, System: system, Most: in.Body.Most}
	for i, sp := range spots {
		of := readings[sp.Water.ID]
		if sp.ID == in.Body.SpotID {
			q.At, of = i, append(own, of...)
		}
		q.Spots = append(q.Spots, sp.ForAdvice(of))
	}
	if q.At < 0 {
		return nil, huma.Error404NotFound("You have no spot by that id.")
	}
	a, err := advise.Ask(q)
	if err != nil {
		return nil, failed(err)
	}
	return adviceOut(a, spots[q.At].Surge), nil
}

func adviceOut(a advise.Advice, surge *tide.Surge) *adviseOutput {
	out := &adviseOutput{}
	b := &out.Body
	b.Conditions, b.Stage, b.Note, b.Basis = conditionsOf(&a.Moment, surge), stageOf(a.Moment.Stage), a.Note, basis
	b.Way = a.Way
	common := []string{}
	if a.Way != "" {
		common = append(common, a.Way)
	}
	common = append(common, a.Cautions...)
	b.Choices = []choiceOut{}
	for _, c := range a.Choices {
		o := choiceOut{Sentence: c.Sentence, Approach: c.Approach, Offering: c.Offering, Rig: c.Rig, Mark: c.Mark, DepthM: c.DepthM,
			Retrieve: c.Retrieve, Bite: c.Bite, Edge: c.Edge.Value, EdgeLow: c.Edge.Low, EdgeHigh: c.Edge.High,
			Reasons: []reasonOut{}, Arithmetic: []workingOut{}, Cautions: append(slices.Clone(common), c.Cautions...)}
		for _, r := range c.Reasons {
			o.Reasons = append(o.Reasons, reasonOut{r.Rule, r.Says, r.Factor, r.Applies, r.Family, r.Effect, r.Certainty, r.Origin, r.Idea, r.School})
		}
		for _, w := range c.Arithmetic {
			o.Arithmetic = append(o.Arithmetic, workingOut(w))
		}
		b.Choices = append(b.Choices, o)
	}
	return out
}
