package advice

import (
	"context"
	"fmt"
	"math"

	"greypebble/core/going"
	"greypebble/server/api/web"
)

// limitOut is a limit to going as it stands for the angler.
type limitOut struct {
	ID         string   `json:"id"`
	Manner     string   `json:"manner" doc:"of going, in a word or two"`
	Says       string   `json:"says" doc:"what it limits"`
	Unit       string   `json:"unit"`
	Measure    string   `json:"measure,omitempty" enum:"depth,height,run,temperature,wind" doc:"people choose a unit for"`
	Falls      bool     `json:"falls" doc:"less is worse"`
	Most       float64  `json:"most" doc:"the greatest value that makes sense"`
	Think      *float64 `json:"think" nullable:"true" doc:"where one thinks again; null: never"`
	DoNot      *float64 `json:"do_not" nullable:"true" doc:"where one does not go; null: never"`
	HouseThink *float64 `json:"house_think" nullable:"true" doc:"the house's, common practice"`
	HouseDoNot *float64 `json:"house_do_not" nullable:"true"`
	Own        bool     `json:"own" doc:"the angler set it"`
}

type limitsOutput struct {
	Body struct {
		Limits []limitOut `json:"limits" nullable:"false"`
		Basis  string     `json:"basis" doc:"what the house's limits rest on"`
	}
}

// LimitBody is a limit of the angler's own. It is exported for huma, which embeds only such fields.
type LimitBody struct {
	ID    string   `json:"id"`
	Think *float64 `json:"think,omitempty" nullable:"true" doc:"null: never"`
	DoNot *float64 `json:"do_not,omitempty" nullable:"true" doc:"null: never"`
}

type limitsInput struct {
	Body struct {
		Limits []LimitBody `json:"limits" maxItems:"50" nullable:"false" doc:"the angler's own; what is left out is the house's"`
	}
}

// houseBasis is said beside the house's limits.
const houseBasis = "Usual limits: common practice, not measurements. Set your own; local rules, lifeguards and harbour masters come first."

func number(v float64) *float64 {
	if math.IsNaN(v) {
		return nil
	}
	return &v
}

func orNever(v *float64) float64 {
	if v == nil {
		return math.NaN()
	}
	return *v
}

func limitsOf(own going.Limits) *limitsOutput {
	out := &limitsOutput{}
	out.Body.Basis, out.Body.Limits = houseBasis, []limitOut{}
	for _, k := range going.Table() {
		l := own.Of(k.ID)
		_, set := own[k.ID]
		out.Body.Limits = append(out.Body.Limits, limitOut{ID: k.ID, Manner: k.Manner, Says: k.Says, Unit: k.Unit, Measure: k.Measure,
			Falls: k.Falls,
			Most:  k.Most,
			Think: number(l.Think), DoNot: number(l.DoNot), HouseThink: number(k.House.Think), HouseDoNot: number(k.House.DoNot), Own: set})
	}
	return out
}

func (s service) limits(ctx context.Context, as *web.Scope, _ *struct{}) (*limitsOutput, error) {
	own, err := s.Store.Limits(ctx, as.Angler)
	return limitsOf(own), err
}

func (s service) putLimits(ctx context.Context, as *web.Scope, in *limitsInput) (*limitsOutput, error) {
	own := going.Limits{}
	for i, l := range in.Body.Limits {
		if _, twice := own[l.ID]; twice {
			return nil, web.Wrong(fmt.Sprintf("body.limits[%d].id", i), fmt.Errorf("%s stands twice", l.ID))
		}
		one := going.Limits{l.ID: {Think: orNever(l.Think), DoNot: orNever(l.DoNot)}}
		if err := one.Validate(); err != nil {
			return nil, web.Wrong(fmt.Sprintf("body.limits[%d]", i), err)
		}
		own[l.ID] = one[l.ID]
	}
	return limitsOf(own), s.Store.PutLimits(ctx, as.Angler, own)
}
