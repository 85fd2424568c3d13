package api

import (
	"context"
	"fmt"
	"math"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/server/store"
)

type markInput struct {
	ByID
	MarkID uuid.UUID `path:"mark_id" format:"uuid"`
	Body   struct {
		Name       string   `json:"name" minLength:"1" maxLength:"60"`
		Kind       string   `json:"kind"`
		Bottom     string   `json:"bottom,omitempty"`
		At         latLon   `json:"at"`
		ElevationM *float64 `json:"elevation_m,omitempty" doc:"read from the water's depths if left out"`
		Note       string   `json:"note,omitempty" maxLength:"400"`
		Snag       bool     `json:"snag,omitempty"`
	}
}

func (s *Server) registerMarks(api huma.API) {
	put := operation(http.MethodPut, "/spots/{id}/marks/{mark_id}", "putMark", "Put a mark on the map of a spot, new or changed")
	put.Errors = append(put.Errors, http.StatusConflict)
	huma.Register(api, put, s.putMark)
}

// farthestMark from its spot, metres: further off it is another spot.
const farthestMark = 3000

func (s *Server) putMark(ctx context.Context, in *markInput) (*revisionOutput, error) {
	sp, angler, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	b := in.Body
	at, spotAt := ground.LatLon(b.At), ground.LatLon{Lat: sp.Lat, Lon: sp.Lon}
	if err := at.Validate(); err != nil {
		return nil, wrong("body.at", err)
	}
	if d := ground.Distance(spotAt, at); d > farthestMark {
		return nil, wrong("body.at", fmt.Errorf("the mark lies %.0f m from %s; expected at most %d m: make it a spot of its own", d, sp.Name, farthestMark))
	}
	begin := spotAt
	if sp.SectionFrom != nil {
		begin = *sp.SectionFrom
	}
	k := ground.Mark{ID: in.MarkID.String(), Name: b.Name, Kind: ground.MarkKind(b.Kind), Bottom: b.Bottom, DistanceM: math.Round(ground.Distance(begin, at)), At: &at, Note: b.Note, Snag: b.Snag}
	if b.ElevationM != nil {
		k.ElevationM = *b.ElevationM
	} else {
		g, err := s.store.Grid(ctx, angler, sp.Water.ID)
		if err != nil && err != store.ErrNotFound {
			return nil, failed(err)
		}
		z := math.NaN()
		if g.Grid != nil {
			z = math.Round(g.Elevation(at)*100) / 100
		}
		if math.IsNaN(z) {
			return nil, wrong("body.elevation_m", fmt.Errorf("nothing is known of the depth there; say how high the mark lies above chart datum"))
		}
		k.ElevationM = z
	}
	if err := k.Validate(); err != nil {
		return nil, wrong("body", err)
	}
	sp.Marks = append(without(sp.Marks, k.ID), k)
	out := &revisionOutput{}
	out.Body.Revision, err = s.store.PutSpot(ctx, angler, *sp)
	return out, failed(err)
}

func without(marks []ground.Mark, id string) (out []ground.Mark) {
	for _, m := range marks {
		if m.ID != id {
			out = append(out, m)
		}
	}
	return out
}
