package api

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
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
}

type surfTrough struct {
	FromM      float64 `json:"from_m"`
	ToM        float64 `json:"to_m"`
	DepthM     float64 `json:"depth_m" doc:"at least, for the waves run through it unbroken"`
	ElevationM float64 `json:"elevation_m" doc:"of its bottom, at most"`
	InReach    *bool   `json:"in_reach,omitempty"`
}

type surfOutput struct {
	Body struct {
		Bars     []surfBar      `json:"bars" nullable:"false" doc:"from the beach outwards"`
		Troughs  []surfTrough   `json:"troughs" nullable:"false"`
		Section  []sectionPoint `json:"section,omitempty" nullable:"false" doc:"the spot's section as the surf corrects it; nothing is stored"`
		Cautions []string       `json:"cautions" nullable:"false"`
	}
}

// ripCaution belongs wherever cuts are spoken of (common public guidance).
const ripCaution = "Cuts and gaps in the white are where rip currents run out. If one takes you: float, signal, and move along the shore, not against it. " +
	"Never turn your back to the sea. Heed lifeguards."

func (s *Server) registerSurf(api huma.API) {
	huma.Register(api, operation(http.MethodPost, "/ground/surf", "readSurf", "What the white water tells of the bottom"), func(ctx context.Context, in *surfInput) (*surfOutput, error) {
		breaks := make([]ground.Break, len(in.Body.Breaks))
		for i, b := range in.Body.Breaks {
			breaks[i] = ground.Break(b)
		}
		seen, err := ground.ReadSurf(in.Body.LevelM, breaks)
		if err != nil {
			return nil, wrong("body.breaks", err)
		}
		out := &surfOutput{}
		b := &out.Body
		b.Bars, b.Troughs, b.Cautions = []surfBar{}, []surfTrough{}, []string{ripCaution}
		reach := func(m float64) *bool {
			if in.Body.ReachM == 0 {
				return nil
			}
			in := m <= in.Body.ReachM
			return &in
		}
		for _, k := range seen.Bars {
			b.Bars = append(b.Bars, surfBar{k.DistanceM, k.ElevationM, k.StopsBreakingLevelM, reach(k.DistanceM)})
		}
		for _, k := range seen.Troughs {
			b.Troughs = append(b.Troughs, surfTrough{k.FromM, k.ToM, k.DepthM, k.ElevationM, reach(k.FromM)})
		}
		if in.Body.SpotID == nil {
			return out, nil
		}
		sp, _, err := s.spot(ctx, *in.Body.SpotID)
		if err != nil {
			return nil, err
		}
		section, err := ground.NewSection(sp.Section)
		if err != nil {
			return nil, wrong("body.spot_id", err)
		}
		better, err := section.Improved(seen)
		if err != nil {
			return nil, wrong("body.breaks", err)
		}
		for _, p := range better.Points() {
			b.Section = append(b.Section, sectionPoint(p))
		}
		return out, nil
	})
}
