package places

import (
	"context"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type surfInput struct {
	Body struct {
		LevelM float64    `json:"level_m" doc:"of the tide above chart datum"`
		Breaks []breakIn  `json:"breaks" minItems:"1" maxItems:"20" nullable:"false" doc:"where waves break, as seen from the beach"`
		ReachM float64    `json:"reach_m,omitempty" minimum:"0" maximum:"300" doc:"how far one casts; 0 leaves it out"`
		SpotID *uuid.UUID `json:"spot_id,omitempty" format:"uuid" doc:"the spot whose section to improve"`
	}
}

type breakIn struct {
	DistanceM float64 `json:"distance_m"`
	HeightM   float64 `json:"height_m"`
}

type surfBar struct {
	DistanceM           float64 `json:"distance_m"`
	ElevationM          float64 `json:"elevation_m"`
	StopsBreakingLevelM float64 `json:"stops_breaking_level_m" doc:"tide level above which the highest waves pass it unbroken"`
	InReach             *bool   `json:"in_reach,omitempty"`
	Name                string  `json:"name" example:"Bar 52 m out"`
	Says                string  `json:"says" doc:"the rest of the sentence"`
}

type surfTrough struct {
	FromM      float64 `json:"from_m"`
	ToM        float64 `json:"to_m"`
	DepthM     float64 `json:"depth_m" doc:"at least, for the waves run through it unbroken"`
	ElevationM float64 `json:"elevation_m" doc:"of its bottom, at most"`
	InReach    *bool   `json:"in_reach,omitempty"`
	Name       string  `json:"name"`
	Says       string  `json:"says" doc:"the rest of the sentence"`
}

type surfOutput struct {
	Body struct {
		Bars     []surfBar           `json:"bars" nullable:"false" doc:"from the beach outwards"`
		Troughs  []surfTrough        `json:"troughs" nullable:"false"`
		Section  []wire.SectionPoint `json:"section,omitempty" nullable:"false" doc:"the section as the surf corrects it; not stored"`
		Cautions []string            `json:"cautions" nullable:"false"`
	}
}

func (s service) registerSurf(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/ground/surf", "readSurf", "What the white water tells of the bottom"), s.readSurf)
}

func (s service) readSurf(ctx context.Context, as *web.Scope, in *surfInput) (*surfOutput, error) {
	breaks := make([]ground.Break, len(in.Body.Breaks))
	for i, b := range in.Body.Breaks {
		breaks[i] = ground.Break(b)
	}
	seen, err := ground.ReadSurf(in.Body.LevelM, breaks)
	if err != nil {
		return nil, web.Wrong("body.breaks", err)
	}
	out := &surfOutput{}
	b := &out.Body
	b.Bars, b.Troughs, b.Cautions = []surfBar{}, []surfTrough{}, []string{spot.RipCaution}
	reach := func(m float64) *bool {
		if in.Body.ReachM == 0 {
			return nil
		}
		in := m <= in.Body.ReachM
		return &in
	}
	for _, k := range seen.Bars {
		bar := surfBar{DistanceM: k.DistanceM, ElevationM: k.ElevationM, StopsBreakingLevelM: k.StopsBreakingLevelM,
			InReach: reach(k.DistanceM)}
		bar.Name, bar.Says = spot.SayBar(k, in.Body.ReachM, as.Units)
		b.Bars = append(b.Bars, bar)
	}
	for _, k := range seen.Troughs {
		trough := surfTrough{FromM: k.FromM, ToM: k.ToM, DepthM: k.DepthM, ElevationM: k.ElevationM, InReach: reach(k.FromM)}
		trough.Name, trough.Says = spot.SayTrough(k, in.Body.ReachM, as.Units)
		b.Troughs = append(b.Troughs, trough)
	}
	if in.Body.SpotID == nil {
		return out, nil
	}
	sp, err := s.Store.Spot(ctx, as.Angler, *in.Body.SpotID)
	if err != nil {
		return nil, err
	}
	section, err := ground.NewSection(sp.Section)
	if err != nil {
		return nil, web.Wrong("body.spot_id", err)
	}
	better, err := section.Improved(seen)
	if err != nil {
		return nil, web.Wrong("body.breaks", err)
	}
	b.Section = wire.SectionPoints(better.Points())
	return out, nil
}
