// Package places is the room where spots, marks, zones and waters are drawn, looked at
// and written: the chart, the ribbon, the surf, what is within reach and when.
package places

import (
	"context"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/server/api/web"
)

type service struct {
	*web.Deps
	ribbons web.Kept[ribbonKey]
}

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d, web.NewKept[ribbonKey](mostRibbons)}
	s.registerSpots(api)
	s.registerWriting(api)
	s.registerRibbon(api)
	s.registerChart(api)
	s.registerVisits(api)
	s.registerWaters(api)
	s.registerZones(api)
	s.registerTemplates(api)
	s.registerSurf(api)
	web.Open(api, web.Get("/ground/words", "groundWords", "The words ground is described in"), words)
}

type wordsOutput struct {
	Body struct {
		Places    []string   `json:"places" nullable:"false" doc:"kinds of spot"`
		Bottoms   []string   `json:"bottoms" nullable:"false"`
		MarkKinds []string   `json:"mark_kinds" nullable:"false"`
		Classes   []classOut `json:"classes" nullable:"false" doc:"how depths are told apart, from dry ground downwards"`
		Surf      surfHelp   `json:"surf" doc:"how the white water is read, and what that starts from"`
	}
}

type classOut struct {
	Name  string  `json:"name"`
	FromM float64 `json:"from_m" doc:"least depth; the next class ends it"`
}

type surfHelp struct {
	CastM    float64 `json:"cast_m" doc:"one commonly reaches from a beach"`
	BreakerM float64 `json:"breaker_m" doc:"a usual height"`
	How      string  `json:"how"`
	Cuts     string  `json:"cuts"`
}

func words(context.Context, *struct{}) (*wordsOutput, error) {
	out := &wordsOutput{}
	b := &out.Body
	b.Places, b.Bottoms, b.MarkKinds = slices.Sorted(slices.Values(ground.Places)), ground.Bottoms, ground.MarkKinds()
	b.Surf = surfHelp(spot.ReadingTheSurf())
	for _, c := range ground.Classes {
		b.Classes = append(b.Classes, classOut(c))
	}
	return out, nil
}
