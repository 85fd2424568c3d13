package tides

import (
	"context"
	"math"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// OffsetsBody is how a place's tide differs from a reference's. It is exported,
// as others here, for huma, which reads embedded fields only then.
type OffsetsBody struct {
	LagHighMin      float64 `json:"lag_high_min" doc:"minutes later at high water"`
	LagLowMin       float64 `json:"lag_low_min" doc:"minutes later at low water"`
	FactorHigh      float64 `json:"factor_high,omitempty" doc:"on heights of high water, 1 if left out"`
	FactorLow       float64 `json:"factor_low,omitempty" doc:"on heights of low water, 1 if left out"`
	DifferenceHighM float64 `json:"difference_high_m,omitempty" doc:"added after the factor"`
	DifferenceLowM  float64 `json:"difference_low_m,omitempty"`
}

func (b OffsetsBody) offsets() tide.Offsets {
	minutes := func(m float64) time.Duration { return time.Duration(math.Round(m*60)) * time.Second }
	return tide.Offsets{LagHigh: minutes(b.LagHighMin), LagLow: minutes(b.LagLowMin), FactorHigh: b.FactorHigh, FactorLow: b.FactorLow,
		DifferenceHighM: b.DifferenceHighM, DifferenceLowM: b.DifferenceLowM}
}

func offsetsOut(o tide.Offsets) OffsetsBody {
	o = o.Then(tide.Offsets{})
	return OffsetsBody{LagHighMin: o.LagHigh.Minutes(), LagLowMin: o.LagLow.Minutes(), FactorHigh: o.FactorHigh, FactorLow: o.FactorLow,
		DifferenceHighM: o.DifferenceHighM, DifferenceLowM: o.DifferenceLowM}
}

type currentBody struct {
	SeenMS  float64 `json:"seen_ms,omitempty" doc:"the fastest run seen on springs; it goes before the rest"`
	BasinM2 float64 `json:"basin_m2,omitempty" doc:"water behind a passage"`
	WidthM  float64 `json:"width_m,omitempty" doc:"of the passage"`
	BedM    float64 `json:"bed_m,omitempty" doc:"of the passage, above chart datum"`
}

// NotedBody is a turn an angler saw.
type NotedBody struct {
	Time    time.Time `json:"time"`
	Kind    string    `json:"kind" enum:"high,low"`
	HeightM *float64  `json:"height_m,omitempty" minimum:"-20" maximum:"20" doc:"above chart datum, if it was read"`
}

type notedOut struct {
	ID string `json:"id"`
	NotedBody
}

type learnedOut struct {
	OffsetsBody
	LagHighErrorMin float64  `json:"lag_high_error_min" doc:"one standard error"`
	LagLowErrorMin  float64  `json:"lag_low_error_min"`
	FactorError     *float64 `json:"factor_error,omitempty" doc:"left out where no heights were noted"`
	Highs           int      `json:"highs"`
	Lows            int      `json:"lows"`
}

type spotTideOutput struct {
	Body struct {
		SpotID    string      `json:"spot_id"`
		Station   waterRef    `json:"station"`
		Offsets   OffsetsBody `json:"offsets"`
		Current   currentBody `json:"current"`
		SpringM   float64     `json:"mean_spring_range_m"`
		Noted     []notedOut  `json:"noted" nullable:"false" doc:"oldest first"`
		Learned   *learnedOut `json:"learned,omitempty" doc:"what they say of the spot against its station"`
		CannotSay string      `json:"cannot_say,omitempty" doc:"why nothing can be learned from them"`
	}
}

type offsetsInput struct {
	wire.ByID
	Body OffsetsBody
}

type currentInput struct {
	wire.ByID
	Body currentBody
}

type notedPath struct {
	wire.ByID
	NotedID uuid.UUID `path:"noted_id" format:"uuid"`
}

type notedInput struct {
	wire.ByID
	NotedID uuid.UUID `path:"noted_id" format:"uuid"`
	Body    NotedBody
}

func (s service) registerSpotTide(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots/{id}/tide", "spotTide",
		"How a spot's tide follows its station, and what noted turns say of it"), s.spotTide)
	web.Signed(api, s.Deps, web.Put("/spots/{id}/offsets", "putOffsets", "Give a spot its own lag and factor"),
		func(ctx context.Context, as *web.Scope, in *offsetsInput) (*struct{}, error) {
			sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
			if err != nil {
				return nil, err
			}
			stations, err := s.Store.StationsByID(ctx, as.Angler)
			if err != nil {
				return nil, err
			}
			if _, err := stations.Follow(sp.Water.StationID, in.Body.offsets()); err != nil {
				return nil, web.Wrong("body", err)
			}
			return nil, s.Store.SetOffsets(ctx, as.Angler, in.ID, in.Body.offsets())
		})
	web.Signed(api, s.Deps, web.Put("/spots/{id}/current", "putCurrent", "Say what makes the tide run at a spot"),
		func(ctx context.Context, as *web.Scope, in *currentInput) (*struct{}, error) {
			c := water.Setting(in.Body)
			if err := c.Validate(); err != nil {
				return nil, web.Wrong("body", err)
			}
			return nil, s.Store.SetCurrent(ctx, as.Angler, in.ID, c)
		})
	web.Signed(api, s.Deps, web.Put("/spots/{id}/noted/{noted_id}", "putNoted", "Note a high or low water seen at a spot"),
		func(ctx context.Context, as *web.Scope, in *notedInput) (*struct{}, error) {
			n := store.NotedTurn{ID: in.NotedID, Noted: tide.Noted{Time: in.Body.Time.UTC(), Kind: tide.Low, HeightM: math.NaN()}}
			if in.Body.Kind == tide.High.String() {
				n.Kind = tide.High
			}
			if in.Body.HeightM != nil {
				n.HeightM = *in.Body.HeightM
			}
			return nil, s.Store.PutNoted(ctx, as.Angler, in.ID, n)
		})
	web.Signed(api, s.Deps, web.Delete("/spots/{id}/noted/{noted_id}", "deleteNoted", "Take back a noted turn"),
		func(ctx context.Context, as *web.Scope, in *notedPath) (*struct{}, error) {
			return nil, s.Store.DeleteNoted(ctx, as.Angler, in.ID, in.NotedID)
		})
}

func (s service) spotTide(ctx context.Context, as *web.Scope, in *wire.ByID) (*spotTideOutput, error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	stations, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	noted, err := s.Store.Noted(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	reference, err := stations.Tide(sp.Water.StationID)
	if err != nil {
		return nil, err
	}
	out := &spotTideOutput{}
	b := &out.Body
	b.SpotID, b.Station = sp.ID.String(), waterRef{sp.Water.StationID.String(), stations[sp.Water.StationID].Name}
	b.Offsets, b.Current, b.SpringM, b.Noted = offsetsOut(sp.Offsets), currentBody(sp.Current), sp.Tide.MeanSpringRange(), []notedOut{}
	turns := make([]tide.Noted, len(noted))
	for i, n := range noted {
		turns[i] = n.Noted
		o := notedOut{n.ID.String(), NotedBody{Time: n.Time, Kind: n.Kind.String()}}
		if !math.IsNaN(n.HeightM) {
			o.HeightM = &noted[i].HeightM
		}
		b.Noted = append(b.Noted, o)
	}
	if len(turns) == 0 {
		return out, nil
	}
	l, err := tide.Learn(reference, turns)
	if err != nil {
		b.CannotSay = answer.Said(err)
		return out, nil
	}
	b.Learned = &learnedOut{OffsetsBody: offsetsOut(l.Offsets), LagHighErrorMin: l.LagHighError.Minutes(),
		LagLowErrorMin: l.LagLowError.Minutes(), Highs: l.Highs, Lows: l.Lows}
	if !math.IsInf(l.FactorError, 0) {
		b.Learned.FactorError = &l.FactorError
	}
	return out, nil
}
