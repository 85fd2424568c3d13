// Package trials is the room where lures and ways are compared: what a comparison showed, and what it would take.
package trials

import (
	"context"
	"fmt"
	"math"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/trial"
	"greypebble/server/api/web"
)

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	service{d}.register(api)
	web.Signed(api, d, web.Post("/stats/rate-ratio", "rateRatio",
		"How many times as often one arm brought a fish as another, exactly"), rateRatio)
	web.Signed(api, d, web.Post("/stats/fisher", "fisher", "Whether the shares of two arms differ (landed of hooked), exactly"), fisher)
	web.Signed(api, d, web.Post("/stats/proportion", "proportion", "Between what a share lies, exactly"), proportion)
	web.Signed(api, d, web.Post("/trials/power", "trialPower", "How likely a trial shows a difference, and how long it takes"), power)
}

// ArmBody is an arm of a comparison.
type ArmBody struct {
	Name  string  `json:"name,omitempty" maxLength:"60"`
	Fish  int     `json:"fish" minimum:"0" maximum:"20000"`
	Hours float64 `json:"hours" exclusiveMinimum:"0" maximum:"100000" doc:"rod-hours, or any measure of effort that is the same for both"`
}

func (b ArmBody) arm() trial.Arm { return trial.Arm{Fish: b.Fish, Effort: b.Hours} }

func (b ArmBody) named(otherwise string) string {
	if b.Name == "" {
		return otherwise
	}
	return b.Name
}

type ratesInput struct {
	Body struct {
		First  ArmBody `json:"first"`
		Second ArmBody `json:"second"`
	}
}

// RatioOut is a ratio or a share with its exact bounds; null is without end, or no number.
type RatioOut struct {
	Value *float64 `json:"value" required:"true" nullable:"true"`
	Low   *float64 `json:"low" required:"true" nullable:"true" doc:"nineteen times in twenty it lies between"`
	High  *float64 `json:"high" required:"true" nullable:"true"`
	P     float64  `json:"p" doc:"how likely a difference so great, or greater, is by chance"`
}

func finite(v float64) *float64 {
	if math.IsNaN(v) || math.IsInf(v, 0) {
		return nil
	}
	return &v
}

func ratioOf(e trial.Estimate) RatioOut {
	return RatioOut{finite(e.Value), finite(e.Low), finite(e.High), e.P}
}

type verdictOutput struct {
	Body struct {
		RatioOut
		Shown     bool    `json:"shown"`
		HoursEach float64 `json:"hours_each,omitempty" doc:"that would show the difference seen, four times in five"`
		Says      string  `json:"says"`
	}
}

func rateRatio(_ context.Context, _ *web.Scope, in *ratesInput) (*verdictOutput, error) {
	first, second := in.Body.First, in.Body.Second
	v, err := trial.Judge(first.named("the first"), second.named("the second"), first.arm(), second.arm())
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := &verdictOutput{}
	out.Body.RatioOut, out.Body.Shown, out.Body.HoursEach, out.Body.Says = ratioOf(v.Estimate), v.Shown, v.HoursEach, v.Says
	return out, nil
}

// SharesBody is so many of all of an arm.
type SharesBody struct {
	Name string `json:"name,omitempty" maxLength:"60"`
	So   int    `json:"so" minimum:"0" maximum:"10000" doc:"landed, say"`
	Of   int    `json:"of" minimum:"0" maximum:"10000" doc:"hooked, say"`
}

type sharesInput struct {
	Body struct {
		First  SharesBody `json:"first"`
		Second SharesBody `json:"second"`
	}
}

type saidOutput struct {
	Body struct {
		RatioOut
		Says string `json:"says"`
	}
}

func fisher(_ context.Context, _ *web.Scope, in *sharesInput) (*saidOutput, error) {
	a, b := in.Body.First, in.Body.Second
	for at, k := range map[string]SharesBody{"body.first": a, "body.second": b} {
		if k.So > k.Of {
			return nil, web.Wrong(at, fmt.Errorf("expected no more than the %d there were in all, not %d", k.Of, k.So))
		}
	}
	e, says, err := trial.SaysShares(ArmBody{Name: a.Name}.named("the first"), ArmBody{Name: b.Name}.named("the second"),
		trial.Table{A: a.So, B: a.Of - a.So, C: b.So, D: b.Of - b.So})
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := &saidOutput{}
	out.Body.RatioOut, out.Body.Says = ratioOf(e), says
	return out, nil
}

type shareInput struct {
	Body struct {
		So      int     `json:"so" minimum:"0" maximum:"20000"`
		Of      int     `json:"of" minimum:"1" maximum:"20000"`
		Against float64 `json:"against,omitempty" minimum:"0" maximum:"1" default:"0.5" doc:"the share p is tested against"`
	}
}

type shareOutput struct{ Body RatioOut }

func proportion(_ context.Context, _ *web.Scope, in *shareInput) (*shareOutput, error) {
	e, err := trial.Proportion(in.Body.So, in.Body.Of, trial.Confidence, in.Body.Against)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	return &shareOutput{ratioOf(e)}, nil
}

type powerInput struct {
	Body struct {
		Ratio float64 `json:"ratio" exclusiveMinimum:"0" maximum:"100" doc:"so many times as many on the better arm"`
		Rate  float64 `json:"rate" exclusiveMinimum:"0" maximum:"1000" doc:"fish a rod-hour on the other"`
		Hours float64 `json:"hours,omitempty" minimum:"0" maximum:"2000" doc:"each arm would be fished"`
	}
}

type powerOutput struct {
	Body struct {
		Power     *float64 `json:"power,omitempty" doc:"of those hours: how often they show it"`
		HoursEach *float64 `json:"hours_each,omitempty" doc:"that show it four times in five; left out where no number one would fish does"`
	}
}

func power(_ context.Context, _ *web.Scope, in *powerInput) (*powerOutput, error) {
	b := in.Body
	out := &powerOutput{}
	h, err := trial.Hours(b.Ratio, b.Rate, trial.Confidence, trial.Sure)
	switch {
	case err == nil:
		out.Body.HoursEach = &h
	case !trial.TooLong(err):
		return nil, web.Wrong("body.ratio", err)
	}
	if b.Hours > 0 {
		p := trial.Power(b.Ratio, b.Rate, b.Hours, trial.Confidence)
		out.Body.Power = &p
	}
	return out, nil
}
