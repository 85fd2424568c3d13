package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/kit"
	"greypebble/core/tackle"
)

type usualInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid" required:"true"`
	Time   time.Time `query:"time" doc:"now if left out"`
}

// usualOutput is what the bench's calculations start from: the kit in hand where it
// says, the water as it is believed to be, and usual values for the rest.
type usualOutput struct {
	Body struct {
		LengthPerTurnM float64  `json:"length_per_turn_m"`
		LineDiameterM  float64  `json:"line_diameter_m"`
		LineN          float64  `json:"line_n"`
		LineMaterial   string   `json:"line_material"`
		LineOutM       float64  `json:"line_out_m"`
		LureKg         float64  `json:"lure_kg"`
		LureShape      string   `json:"lure_shape"`
		TimedMS        float64  `json:"timed_ms" doc:"a fall timed once; 0: none"`
		LureMS         float64  `json:"lure_ms" doc:"slowest speed through the water with action"`
		RatedM         float64  `json:"rated_m"`
		CastM          float64  `json:"cast_m"`
		PaceMS         float64  `json:"pace_ms"`
		FlightMS       float64  `json:"flight_ms"`
		ReachM         float64  `json:"reach_m"`
		SplashM        float64  `json:"splash_m"`
		BehindM        float64  `json:"behind_m"`
		TrollMS        float64  `json:"troll_ms"`
		DragN          float64  `json:"drag_n"`
		WindMS         float64  `json:"wind_ms"`
		WindFromDeg    float64  `json:"wind_from_deg"`
		SecchiM        float64  `json:"secchi_m"`
		CloudFraction  float64  `json:"cloud_fraction"`
		FromKit        []string `json:"from_kit" nullable:"false" doc:"what of your kit it rests on"`
	}
}

func (s *Server) registerUsual(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/bench/usual", "benchUsual", "What the bench starts from: your kit, the water, usual values"), s.usual)
}

func (s *Server) usual(ctx context.Context, in *usualInput) (*usualOutput, error) {
	sp, angler, err := s.spot(ctx, in.SpotID)
	if err != nil {
		return nil, err
	}
	items, err := s.store.Kit(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	var k kit.Kit
	for _, i := range items {
		k = append(k, i.Item)
	}
	t := s.at(in.Time)
	m, _, err := s.moment(ctx, angler, sp, t, 0, time.Hour, nil)
	if err != nil {
		return nil, failed(err)
	}
	out := &usualOutput{}
	b := &out.Body
	b.FromKit = []string{}
	b.LengthPerTurnM, b.LineDiameterM, b.LineOutM, b.CastM, b.PaceMS, b.FlightMS = tackle.TypicalTurn, tackle.UsualLine, tackle.UsualLineOut, tackle.UsualCast, tackle.UsualPace, tackle.UsualFlight
	b.ReachM, b.SplashM, b.BehindM, b.TrollMS, b.RatedM = tackle.UsualReach, tackle.UsualSplash, tackle.UsualBehind, tackle.UsualTrolling, tackle.UsualRated
	b.LineMaterial, b.LineN = string(tackle.Braid), tackle.UsualLineN
	b.LureKg, b.LureShape, b.LureMS = tackle.OnHead(tackle.GeneralHead).MassKg, string(tackle.SoftLure), tackle.UsualPace
	b.WindMS, b.WindFromDeg = m.Believed[conditions.WindSpeed].Value, m.Believed[conditions.WindFrom].Value
	b.SecchiM, b.CloudFraction = m.Believed[conditions.Clarity].Value, m.Believed[conditions.Cloud].Value
	if turn, ok := k.Turn(); ok {
		b.LengthPerTurnM = turn
		b.FromKit = append(b.FromKit, "your reel")
	}
	if line, ok := k.Main(); ok {
		b.LineN = line.BreakN
		if line.DiameterM > 0 {
			b.LineDiameterM = line.DiameterM
		}
		b.LineMaterial = line.Material
		b.FromKit = append(b.FromKit, line.Name)
	}
	if lure, ok := k.Plug(); ok {
		b.RatedM = lure.RatedM
		b.FromKit = append(b.FromKit, lure.Name)
	}
	if lure, ok := k.Timed(); ok {
		b.TimedMS = lure.FallMS
		if lure.WeightKg > 0 {
			b.LureKg = lure.WeightKg
		}
		b.FromKit = append(b.FromKit, lure.Name)
	}
	if b.DragN, err = tackle.DragSetting(b.LineN, b.LineN); err != nil {
		return nil, failed(err)
	}
	return out, nil
}
