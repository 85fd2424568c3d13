package bench

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/tackle"
	"greypebble/server/api/web"
)

type usualInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid" required:"true"`
	Time   time.Time `query:"time" doc:"now if left out"`
	Target string    `query:"target" doc:"whose strike window the aim starts from"`
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
		WindowMinM     float64  `json:"window_min_m" doc:"how far before its nose a fish takes what crosses its path"`
		WindowMaxM     float64  `json:"window_max_m"`
		BehindM        float64  `json:"behind_m"`
		TrollMS        float64  `json:"troll_ms"`
		DragN          float64  `json:"drag_n"`
		WindMS         float64  `json:"wind_ms"`
		WindFromDeg    float64  `json:"wind_from_deg"`
		SecchiM        float64  `json:"secchi_m"`
		CloudFraction  float64  `json:"cloud_fraction"`
		DepthM         float64  `json:"depth_m" doc:"over the deepest mark, or a usual one"`
		RunMS          float64  `json:"run_ms" doc:"of the water either way, or a usual one"`
		StandM         float64  `json:"stand_m" doc:"along the section, where one casts from"`
		FromKit        []string `json:"from_kit" nullable:"false" doc:"what of your kit it rests on"`
	}
}

func (s service) registerUsual(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/bench/usual", "benchUsual", "What the bench starts from: your kit, the water, usual values"), s.usual)
}

func (s service) usual(ctx context.Context, as *web.Scope, in *usualInput) (*usualOutput, error) {
	t := as.At(in.Time)
	sp, err := s.Desk.Spot(ctx, as.Angler, in.SpotID, t)
	if err != nil {
		return nil, err
	}
	m, _, err := sp.At(t, 0, time.Hour)
	if err != nil {
		return nil, err
	}
	k, err := s.Store.KitOf(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	u, err := k.Usual()
	if err != nil {
		return nil, err
	}
	out := &usualOutput{}
	b := &out.Body
	b.FromKit = append([]string{}, u.FromKit...)
	b.LengthPerTurnM, b.LineDiameterM, b.LineN, b.LineMaterial, b.DragN = u.TurnM, u.LineDiameterM, u.LineN, string(u.LineMaterial), u.DragN
	b.LureKg, b.LureShape, b.TimedMS, b.LureMS, b.RatedM = u.LureKg, string(u.LureShape), u.TimedMS, u.PaceMS, u.RatedM
	b.LineOutM, b.CastM, b.PaceMS, b.FlightMS, b.ReachM = tackle.UsualLineOut, tackle.UsualCast, tackle.UsualPace, tackle.UsualFlight,
		tackle.UsualReach
	b.SplashM, b.BehindM, b.TrollMS = tackle.UsualSplash, tackle.UsualBehind, tackle.UsualTrolling
	if b.WindowMinM, b.WindowMaxM, err = strikesOf(ctx, as, in.Target); err != nil {
		return nil, err
	}
	b.WindMS, b.WindFromDeg = m.Believed[conditions.WindSpeed].Value, m.Believed[conditions.WindFrom].Value
	b.SecchiM, b.CloudFraction = m.Believed[conditions.Clarity].Value, m.Believed[conditions.Cloud].Value
	b.DepthM, b.RunMS, b.StandM = m.CastDepth(), m.CastRun(), sp.CastsFrom()
	return out, nil
}

// strikesOf a target, metres before its nose; a usual window where none is named.
func strikesOf(ctx context.Context, as *web.Scope, id string) (from, to float64, err error) {
	if id == "" {
		return tackle.UsualWindowMin, tackle.UsualWindowMax, nil
	}
	book, err := as.Book(ctx)
	if err != nil {
		return 0, 0, err
	}
	t, err := book.Target(id)
	if err != nil {
		return 0, 0, web.Wrong("query.target", err)
	}
	return t.Strikes.From, t.Strikes.To, nil
}
