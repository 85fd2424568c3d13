package places

import (
	"context"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/ground"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// SpotSummary is a spot without its ground. It is exported, as others here, for huma,
// which embeds only such types.
type SpotSummary struct {
	ID       string   `json:"id" format:"uuid"`
	Name     string   `json:"name"`
	Place    string   `json:"place"`
	Water    string   `json:"water"`
	WaterID  string   `json:"water_id" format:"uuid"`
	TimeZone string   `json:"time_zone"`
	Manner   string   `json:"manner"`
	Manners  []string `json:"manners" nullable:"false" doc:"further ones"`
	Note     string   `json:"note"`
	Lat      float64  `json:"lat"`
	Lon      float64  `json:"lon"`
}

func summary(sp *store.Spot) SpotSummary {
	return SpotSummary{ID: sp.ID.String(), Name: sp.Name, Place: sp.Place, Water: sp.Water.Name, WaterID: sp.Water.ID.String(),
		TimeZone: sp.Water.TimeZone, Manner: string(sp.Access.Manner), Manners: wire.MannersOut(sp.Access.Others), Note: sp.Note,
		Lat: sp.Lat, Lon: sp.Lon}
}

type spotsOutput struct {
	Body []SpotSummary `nullable:"false"`
}

type spotOutput struct {
	Body struct {
		SpotSummary
		Section  []wire.SectionPoint `json:"section" nullable:"false" doc:"the ground, densely drawn, metres above chart datum"`
		Marks    []answer.MarkOut    `json:"marks" nullable:"false"`
		Written  wire.SpotBody       `json:"written" doc:"as it was written, to be changed and written again"`
		Revision int                 `json:"revision"`
		Reads    []string            `json:"reads" nullable:"false" enum:"surf,pier" doc:"tools that read the water of this kind of place"`
	}
}

func (s service) registerSpots(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots", "listSpots", "Your spots"), s.listSpots)
	web.Signed(api, s.Deps, web.Get("/spots/{id}", "getSpot", "A spot with its ground"), s.getSpot)
	web.Signed(api, s.Deps, web.Get("/spots/{id}/state", "spotState", "The water at a spot at a moment"), s.spotState)
}

func (s service) listSpots(ctx context.Context, as *web.Scope, _ *struct{}) (*spotsOutput, error) {
	spots, err := s.Store.Spots(ctx, as.Angler)
	out := &spotsOutput{Body: make([]SpotSummary, len(spots))}
	for i, sp := range spots {
		out.Body[i] = summary(sp)
	}
	return out, err
}

// drawnPoints of a section.
const drawnPoints = 160

func (s service) getSpot(ctx context.Context, as *web.Scope, in *wire.ByID) (*spotOutput, error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	out := &spotOutput{}
	b := &out.Body
	b.SpotSummary, b.Written, b.Revision = summary(sp), wire.SpotWritten(sp), sp.Revision
	b.Reads = sp.Reads()
	b.Section = []wire.SectionPoint{}
	if len(sp.Section) > 0 {
		section, err := ground.NewSection(sp.Section)
		if err != nil {
			return nil, err
		}
		b.Section = wire.SectionPoints(section.Outline(drawnPoints))
	}
	b.Marks = make([]answer.MarkOut, len(sp.Marks))
	for i, m := range sp.Marks {
		b.Marks[i] = answer.Mark(m)
	}
	return out, nil
}

type stateOutput struct{ Body *answer.State }

func (s service) spotState(ctx context.Context, as *web.Scope, in *wire.ByIDAt) (*stateOutput, error) {
	b, err := answer.StateOf(as.Around(ctx), in.ID, in.Time)
	return &stateOutput{b}, err
}
