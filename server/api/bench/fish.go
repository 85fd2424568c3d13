package bench

import (
	"context"
	"errors"
	"fmt"

	"greypebble/answer"
	"greypebble/core/tackle"
	"greypebble/core/water"
	"greypebble/server/api/web"
)

type lengthWeightIn struct {
	Target  string  `json:"target"`
	LengthM float64 `json:"length_m"`
	MassKg  float64 `json:"mass_kg,omitempty" doc:"if weighed: its condition is told"`
}

type lengthWeightOut struct {
	MassKg    float64  `json:"mass_kg"`
	LowKg     float64  `json:"low_kg" doc:"four in five lie between"`
	HighKg    float64  `json:"high_kg"`
	Condition *float64 `json:"condition,omitempty" doc:"Fulton's K of the weight given"`
	Shown
}

func (s service) lengthWeight(ctx context.Context, as *web.Scope, in *lengthWeightIn) (o lengthWeightOut, err error) {
	book, err := as.Book(ctx)
	if err != nil {
		return o, err
	}
	target, err := book.Target(in.Target)
	if err != nil {
		return o, web.Wrong("body.target", err)
	}
	if ask := target.Doubt(&in.LengthM, nil, as.Units); ask != "" {
		return o, web.Wrong("body.length_m", errors.New(ask))
	}
	if o.MassKg, err = target.Weight.Mass(in.LengthM); err != nil {
		return o, web.Wrong("body.length_m", err)
	}
	o.LowKg, o.HighKg = tackle.Spreading(o.MassKg)
	if in.MassKg > 0 {
		k := tackle.Condition(in.LengthM, in.MassKg)
		o.Condition = &k
	}
	o.Shown = Shown{fmt.Sprintf("%.4g × %.1f cm ^ %.2f g", target.Weight.A, in.LengthM*100, target.Weight.B),
		"Parameters from memory; fish before spawning weigh more, after it less."}
	return o, nil
}

type lightFinishIn struct {
	SecchiM        float64 `json:"secchi_m"`
	DepthM         float64 `json:"depth_m" minimum:"0"`
	SunAltitudeDeg float64 `json:"sun_altitude_deg" minimum:"-90" maximum:"90"`
	CloudFraction  float64 `json:"cloud_fraction" minimum:"0" maximum:"1"`
}

type lightFinishOut struct {
	Class    string             `json:"class"`
	Lux      float64            `json:"lux"`
	Finishes []answer.FinishOut `json:"finishes" nullable:"false" doc:"best first"`
}

func lightFinish(_ context.Context, in *lightFinishIn) (o lightFinishOut, err error) {
	k, err := water.Attenuation(in.SecchiM)
	if err != nil {
		return o, web.Wrong("body.secchi_m", err)
	}
	o.Lux = water.Sky{SunAltitude: in.SunAltitudeDeg, Cloud: in.CloudFraction}.Surface() * water.Remaining(k, in.DepthM)
	class := water.Class(o.Lux)
	o.Class, o.Finishes = class.String(), answer.Finishes(class, in.SecchiM)
	return o, nil
}
