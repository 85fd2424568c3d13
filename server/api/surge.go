package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/tide"
)

type surgeInput struct {
	ByID
	Body struct {
		ByM    float64   `json:"by_m" doc:"how much higher than predicted the water stands; negative for lower"`
		SeenAt time.Time `json:"seen_at,omitempty" doc:"now if left out"`
		FadeH  float64   `json:"fade_h" doc:"hours until nothing is left of it"`
	}
}

type surgeOut struct {
	ByM    float64   `json:"by_m"`
	SeenAt time.Time `json:"seen_at"`
	EndsAt time.Time `json:"ends_at"`
}

func surgeLeft(g *tide.Surge, t time.Time) *surgeOut {
	if g == nil || t.After(g.Ends()) {
		return nil
	}
	return &surgeOut{g.ByM, g.Seen, g.Ends()}
}

type peakOut struct {
	Time    time.Time `json:"time"`
	Springs bool      `json:"springs" doc:"otherwise neaps"`
	RangeM  float64   `json:"range_m"`
}

// peakAhead is how far ahead springs or neaps are looked for: they take turns
// every week or so.
const peakAhead = 10 * 24 * time.Hour

func nextPeak(p tide.Place, t time.Time) (*peakOut, error) {
	peaks, err := tide.Peaks(p, t, t.Add(peakAhead))
	if err != nil || len(peaks) == 0 {
		return nil, err
	}
	return &peakOut{peaks[0].Time, peaks[0].Springs, peaks[0].RangeM}, nil
}

// peaksAround an interval: those on it, the last before and the first after.
func peaksAround(p tide.Place, from, to time.Time) ([]peakOut, error) {
	peaks, err := tide.Peaks(p, from.Add(-peakAhead), to.Add(peakAhead))
	out := []peakOut{}
	for i, k := range peaks {
		before := k.Time.Before(from) && i+1 < len(peaks) && peaks[i+1].Time.Before(from)
		after := k.Time.After(to) && i > 0 && peaks[i-1].Time.After(to)
		if !before && !after {
			out = append(out, peakOut{k.Time, k.Springs, k.RangeM})
		}
	}
	return out, err
}

func (s *Server) registerSurge(api huma.API) {
	huma.Register(api, operation(http.MethodPut, "/waters/{id}/surge", "putSurge", "Note how much the water stands off its prediction"),
		func(ctx context.Context, in *surgeInput) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			g, err := tide.NewSurge(in.Body.ByM, s.at(in.Body.SeenAt), time.Duration(in.Body.FadeH*float64(time.Hour)))
			if err != nil {
				return nil, wrong("body.by_m", err)
			}
			return nil, failed(s.store.PutSurge(ctx, angler, in.ID, g))
		})
	huma.Register(api, operation(http.MethodDelete, "/waters/{id}/surge", "deleteSurge", "Go back to the prediction"),
		func(ctx context.Context, in *ByID) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			return nil, failed(s.store.DeleteSurge(ctx, angler, in.ID))
		})
}
