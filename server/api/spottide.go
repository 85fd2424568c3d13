package api

import (
	"context"
	"math"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/tide"
	"greypebble/core/water"
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
	return OffsetsBody{o.LagHigh.Minutes(), o.LagLow.Minutes(), o.FactorHigh, o.FactorLow, o.DifferenceHighM, o.DifferenceLowM}
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
	ByID
	Body OffsetsBody
}

type currentInput struct {
	ByID
	Body currentBody
}

type notedPath struct {
	ByID
	NotedID uuid.UUID `path:"noted_id" format:"uuid"`
}

type notedInput struct {
	ByID
	NotedID uuid.UUID `path:"noted_id" format:"uuid"`
	Body    NotedBody
}

func (s *Server) registerSpotTide(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/tide", "spotTide", "How a spot's tide follows its station, and what noted turns say of it"), s.spotTide)
	huma.Register(api, operation(http.MethodPut, "/spots/{id}/offsets", "putOffsets", "Give a spot its own lag and factor"),
		func(ctx context.Context, in *offsetsInput) (*struct{}, error) {
			sp, angler, err := s.spot(ctx, in.ID)
			if err != nil {
				return nil, err
			}
			stations, err := s.store.StationsByID(ctx, angler)
			if err != nil {
				return nil, failed(err)
			}
			if _, err := stations.Follow(sp.Water.StationID, in.Body.offsets()); err != nil {
				return nil, wrong("body", err)
			}
			return nil, failed(s.store.SetOffsets(ctx, angler, in.ID, in.Body.offsets()))
		})
	huma.Register(api, operation(http.MethodPut, "/spots/{id}/current", "putCurrent", "Say what makes the tide run at a spot"),
		func(ctx context.Context, in *currentInput) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			c := water.Setting(in.Body)
			if err := c.Validate(); err != nil {
				return nil, wrong("body", err)
			}
			return nil, failed(s.store.SetCurrent(ctx, angler, in.ID, c))
		})
	huma.Register(api, operation(http.MethodPut, "/spots/{id}/noted/{noted_id}", "putNoted", "Note a high or low water seen at a spot"),
		func(ctx context.Context, in *notedInput) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			n := store.NotedTurn{ID: in.NotedID, Noted: tide.Noted{Time: in.Body.Time.UTC(), Kind: tide.Low, HeightM: math.NaN()}}
			if in.Body.Kind == tide.High.String() {
				n.Kind = tide.High
			}
			if in.Body.HeightM != nil {
				n.HeightM = *in.Body.HeightM
			}
			return nil, failed(s.store.PutNoted(ctx, angler, in.ID, n))
		})
	huma.Register(api, operation(http.MethodDelete, "/spots/{id}/noted/{noted_id}", "deleteNoted", "Take back a noted turn"),
		func(ctx context.Context, in *notedPath) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			return nil, failed(s.store.DeleteNoted(ctx, angler, in.ID, in.NotedID))
		})
}

func (s *Server) spotTide(ctx context.Context, in *ByID) (*spotTideOutput, error) {
	sp, angler, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	stations, err := s.store.StationsByID(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	noted, err := s.store.Noted(ctx, angler, in.ID)
	if err != nil {
		return nil, failed(err)
	}
	reference, err := stations.Tide(sp.Water.StationID)
	if err != nil {
		return nil, failed(err)
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
		b.CannotSay = err.Error()
		return out, nil
	}
	b.Learned = &learnedOut{offsetsOut(l.Offsets), l.LagHighError.Minutes(), l.LagLowError.Minutes(), nil, l.Highs, l.Lows}
	if !math.IsInf(l.FactorError, 0) {
		b.Learned.FactorError = &l.FactorError
	}
	return out, nil
}
