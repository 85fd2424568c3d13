package tides

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/tide"
	"greypebble/server/api/web"
)

type predictInput struct {
	Body struct {
		Constituents []constituentIn `json:"constituents" minItems:"1" maxItems:"200" nullable:"false"`
		Z0M          float64         `json:"z0_m,omitempty" doc:"mean level above chart datum"`
		From         time.Time       `json:"from"`
		To           time.Time       `json:"to"`
		StepS        float64         `json:"step_s" exclusiveMinimum:"0" maximum:"31557600"`
	}
}

type constituentIn struct {
	Name       string  `json:"name"`
	AmplitudeM float64 `json:"amplitude_m"`
	PhaseDeg   float64 `json:"phase_deg" doc:"Greenwich phase lag"`
}

type heightAt struct {
	Time    time.Time `json:"time"`
	HeightM float64   `json:"height_m"`
}

type predictOutput struct {
	Body struct {
		Heights []heightAt      `json:"heights" nullable:"false"`
		Turns   []answer.TurnAt `json:"turns" nullable:"false"`
	}
}

// Limits of one prediction.
const (
	mostHeights  = 200_000
	longestTurns = 20 * 366 * 24 * time.Hour
)

func registerTide(api huma.API, d *web.Deps) {
	web.Closed(api, d, web.Post("/tide/predict", "predictTide", "Levels and turns from harmonic constituents"),
		func(_ context.Context, in *predictInput) (*predictOutput, error) {
			h, err := tide.NewHarmonics(constituentsOf(in.Body.Constituents), in.Body.Z0M)
			if err != nil {
				return nil, web.Wrong("body.constituents", err)
			}
			from, to := in.Body.From.UTC(), in.Body.To.UTC()
			if to.Sub(from) > longestTurns {
				return nil, web.Wrong("body.to", fmt.Errorf("at most 20 years are predicted at once"))
			}
			turns, err := h.Turns(from, to)
			if err != nil {
				return nil, web.Wrong("body.to", err)
			}
			step := time.Duration(in.Body.StepS * float64(time.Second))
			if step <= 0 || to.Sub(from)/step >= mostHeights {
				return nil, web.Wrong("body.step_s", fmt.Errorf("at most %d heights are given at once; take a longer step", mostHeights))
			}
			levels := make([]float64, int(to.Sub(from)/step)+1)
			h.Series(levels, from, step)
			out := &predictOutput{}
			out.Body.Heights = make([]heightAt, len(levels))
			for i, v := range levels {
				out.Body.Heights[i] = heightAt{from.Add(time.Duration(i) * step), v}
			}
			out.Body.Turns = answer.Turns(turns)
			return out, nil
		})
}
