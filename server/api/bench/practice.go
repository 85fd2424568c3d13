package bench

import (
	"context"
	"math/rand/v2"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/tackle"
	"greypebble/server/api/web"
)

// PracticeCast is what an angler can do. It is exported for huma, which embeds only such
// fields.
type PracticeCast struct {
	Seed         uint64  `json:"seed" doc:"of the fish; the same seed is the same fish"`
	PaceMS       float64 `json:"pace_ms"`
	FlightSpeed  float64 `json:"flight_speed_ms"`
	ReachM       float64 `json:"reach_m"`
	SplashClearM float64 `json:"splash_clear_m"`
	WindowMinM   float64 `json:"window_min_m"`
	WindowMaxM   float64 `json:"window_max_m"`
}

func (b PracticeCast) cast(f tackle.Fish) tackle.Cast {
	return tackle.Cast{Fish: f, PaceMS: b.PaceMS, FlightMS: b.FlightSpeed, ReachM: b.ReachM, SplashClearM: b.SplashClearM,
		WindowMinM: b.WindowMinM, WindowMaxM: b.WindowMaxM}
}

type practiceInput struct{ Body PracticeCast }

type practiceOutput struct {
	Body struct {
		Fish  fishIn    `json:"fish" doc:"as it was first seen"`
		StepS float64   `json:"step_s"`
		XM    []float64 `json:"x_m" nullable:"false"`
		YM    []float64 `json:"y_m" nullable:"false"`
		// The bench's aim at a fish that keeps its bearing.
		Aim interceptionOut `json:"aim"`
	}
}

type throwInput struct {
	Body struct {
		PracticeCast
		AtS    float64 `json:"at_s" doc:"seconds from when it was first seen"`
		LandXM float64 `json:"land_x_m"`
		LandYM float64 `json:"land_y_m"`
	}
}

type throwOutput struct {
	Body struct {
		Strike   bool    `json:"strike"`
		Says     string  `json:"says"`
		SplashS  float64 `json:"splash_s"`
		EndS     float64 `json:"end_s"`
		NearestM float64 `json:"nearest_m" doc:"to the middle of the strike window; −1 where it never swam"`
	}
}

func swimmerOf(seed uint64) tackle.Swimmer {
	return tackle.NewSwimmer(rand.New(rand.NewPCG(seed, 0))) //nolint:gosec // a fish to practise on
}

func registerPractice(api huma.API, d *web.Deps) {
	web.Closed(api, d, web.Post("/bench/practice", "practice", "A fish to practise on, that darts and comes back to its bearing"),
		func(_ context.Context, in *practiceInput) (*practiceOutput, error) {
			fish := swimmerOf(in.Body.Seed)
			aim, err := in.Body.cast(fish.Fish).Intercept()
			if err != nil {
				return nil, web.Wrong("body", err)
			}
			out := &practiceOutput{}
			b := &out.Body
			b.Fish, b.StepS, b.XM, b.YM, b.Aim = fishIn(fish.Fish), tackle.SwimStep, fish.XM, fish.YM, interceptionOut(aim)
			return out, nil
		})
	web.Closed(api, d, web.Post("/bench/practice/throw", "throw", "What a throw at it comes to"),
		func(_ context.Context, in *throwInput) (*throwOutput, error) {
			b := in.Body
			fish := swimmerOf(b.Seed)
			o, err := b.cast(fish.Fish).Judge(&fish, tackle.Throw{AtS: b.AtS, LandXM: b.LandXM, LandYM: b.LandYM})
			if err != nil {
				return nil, web.Wrong("body", err)
			}
			out := &throwOutput{}
			out.Body.Strike, out.Body.Says, out.Body.SplashS, out.Body.EndS, out.Body.NearestM = o.Strike, o.Says, o.SplashS,
				o.EndS, o.NearestM
			if o.EndS == 0 || o.NearestM > 1e6 {
				out.Body.NearestM = -1
			}
			return out, nil
		})
}
