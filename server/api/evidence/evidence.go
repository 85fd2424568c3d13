package evidence

import (
	"cmp"
	"context"
	"errors"
	"slices"
	"time"

	"greypebble/core/outing"
	"greypebble/server/api/web"
	"greypebble/server/learned"
)

// TargetQuery is of which fish. It is exported for huma, which embeds only such fields.
type TargetQuery struct {
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
	Apart   string        `json:"apart,omitempty" doc:"why it is not told from something else; left out where it is"`
}

type spotEvidence struct {
	SpotID   string        `json:"spot_id"`
	SpotName string        `json:"spot_name"`
	Spells   int           `json:"spells"`
	RodHours float64       `json:"rod_hours"`
	Catches  float64       `json:"catches"`
	Rate     MultiplierOut `json:"rate" doc:"fish a rod-hour of an ordinary spell there, drawn towards the others where little was fished"`
}

type schoolEvidence struct {
	Position string `json:"position" doc:"held, as Q1/low-light"`
	Says     string `json:"says" doc:"question and answer"`
	Rule     string `json:"rule"`
	Reads    string `json:"reads"`
}

type evidenceOutput struct {
	Body struct {
		Target     string           `json:"target"`
		TargetName string           `json:"target_name"`
		Spells     int              `json:"spells"`
		RodHours   float64          `json:"rod_hours"`
		Catches    float64          `json:"catches"`
		Base       MultiplierOut    `json:"base" doc:"fish a rod-hour of an ordinary spell"`
		Rules      []ruleEvidence   `json:"rules" nullable:"false" doc:"that the log speaks to, the most moved first"`
		Spots      []spotEvidence   `json:"spots" nullable:"false" doc:"that were fished for it, best first"`
		Against    []schoolEvidence `json:"against" nullable:"false" doc:"positions held that the log turns round"`
		Dispersion float64          `json:"dispersion" doc:"how much more the counts scatter than chance; 1: no more"`
		LeftOut    int              `json:"left_out" doc:"spells of which nothing can be reckoned: without effort, at a spot without marks"`
		GoingOn    int              `json:"going_on" doc:"spells for it of an outing that goes on: they count when it is ended"`
	}
}

func (s service) evidence(ctx context.Context, as *web.Scope, in *TargetQuery) (*evidenceOutput, error) {
	a, err := s.about(ctx, as, in.Target)
	if err != nil {
		return nil, err
	}
	base, err := a.belief.Base()
	if err != nil {
		return nil, err
	}
	sum := a.belief.Sum()
	out := &evidenceOutput{}
	b := &out.Body
	b.Target, b.TargetName, b.Spells, b.RodHours, b.Catches = a.target.ID, a.target.Name, sum.Spells, sum.RodHours, sum.Fish
	b.Base, b.Dispersion, b.LeftOut, b.GoingOn = MultiplierOut(base), a.Dispersion, a.LeftOut, a.GoingOn[a.target.ID]
	b.Rules = []ruleEvidence{}
	reads := map[int]string{}
	for _, r := range a.belief.Rules() {
		rule := &a.book.Rules[r.Rule]
		reads[r.Rule] = r.Sentence()
		b.Rules = append(b.Rules, ruleEvidence{Rule: rule.ID, Says: as.Units.Fill(rule.Says), Part: rule.Part.String(),
			Prior: MultiplierOut(r.Prior),
			Log:   MultiplierOut(r.Log), Spells: r.Spells, ShiftSD: r.Shift, Reads: reads[r.Rule],
			Apart: as.Units.Fill(a.belief.Apart(r.Rule, a.named))})
	}
	b.Spots, b.Against = a.spotList(), []schoolEvidence{}
	for _, r := range a.belief.Contradicts() {
		rule := &a.book.Rules[r]
		b.Against = append(b.Against, schoolEvidence{rule.School, as.Units.Fill(a.book.SaysPosition(rule.School)), rule.ID, reads[r]})
	}
	return out, nil
}

// spotList of the target, best first.
func (a *about) spotList() []spotEvidence {
	out := []spotEvidence{}
	for _, k := range a.own() {
		id := k.SpotID.String()
		at := slices.IndexFunc(out, func(s spotEvidence) bool { return s.SpotID == id })
		if at < 0 {
			at = len(out)
			out = append(out, spotEvidence{SpotID: id, SpotName: k.SpotName, Rate: MultiplierOut(a.belief.At(id))})
		}
		out[at].Spells++
		out[at].RodHours += k.Weighed.RodHours
		out[at].Catches += k.Weighed.Fish
	}
	slices.SortStableFunc(out, func(a, b spotEvidence) int { return cmp.Compare(b.Rate.Median, a.Rate.Median) })
	return out
}

type ruleInput struct {
	TargetQuery
	Rule string `query:"rule" required:"true" maxLength:"80"`
}

type behindOut struct {
	SpellID   string    `json:"spell_id"`
	StartedAt time.Time `json:"started_at"`
	TimeZone  string    `json:"time_zone"`
	SpotName  string    `json:"spot_name"`
	RodHours  float64   `json:"rod_hours"`
	Catches   float64   `json:"catches"`
	More      float64   `json:"more" doc:"by so much more it applied than in an ordinary spell, −1…1"`
}

type behindOutput struct {
	Body struct {
		Spells []behindOut `json:"spells" nullable:"false" doc:"in which it applied most, first"`
	}
}

// mostBehind spells are shown.
const mostBehind = 50

func (s service) behind(ctx context.Context, as *web.Scope, in *ruleInput) (*behindOutput, error) {
	a, err := s.about(ctx, as, in.Target)
	if err != nil {
		return nil, err
	}
	rule := -1
	for i := range a.book.Rules {
		if a.book.Rules[i].ID == in.Rule {
			rule = i
		}
	}
	if rule < 0 {
		return nil, web.Wrong("query.rule", errors.New("expected a rule of the playbook"))
	}
	out := &behindOutput{}
	out.Body.Spells = []behindOut{}
	for _, k := range a.own() {
		for _, r := range k.Weighed.Rules {
			if r.Rule == rule {
				out.Body.Spells = append(out.Body.Spells, behindOf(k, r.More))
			}
		}
	}
	slices.SortStableFunc(out.Body.Spells, func(a, b behindOut) int { return cmp.Compare(b.More, a.More) })
	out.Body.Spells = out.Body.Spells[:min(mostBehind, len(out.Body.Spells))]
	return out, nil
}

func behindOf(k *learned.Spell, more float64) behindOut {
	return behindOut{SpellID: k.ID.String(), StartedAt: k.StartedAt, TimeZone: k.TimeZone, SpotName: k.SpotName,
		RodHours: k.Weighed.RodHours, Catches: k.Weighed.Fish, More: more}
}

// middle of a spell.
func middle(k *learned.Spell) time.Time { return outing.Middle(k.StartedAt, k.EndedAt) }
