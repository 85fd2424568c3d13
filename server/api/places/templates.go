package places

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/template"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type templateOut struct {
	ID      string              `json:"id"`
	Name    string              `json:"name"`
	Says    string              `json:"says"`
	Place   string              `json:"place"`
	Manner  string              `json:"manner" enum:"on foot,wading,kayak,boat"`
	Bottom  string              `json:"bottom"`
	Hazards string              `json:"hazards"`
	Asks    []askOut            `json:"asks" nullable:"false" doc:"what bends it to one's own"`
	LowM    float64             `json:"low_m" doc:"mean low water of springs, above datum"`
	HighM   float64             `json:"high_m"`
	Section []wire.SectionPoint `json:"section" nullable:"false"`
	Marks   []wire.MarkBody     `json:"marks" nullable:"false"`
}

type askOut struct {
	ID     string  `json:"id"`
	Says   string  `json:"says"`
	Kind   string  `json:"kind" enum:"depth at low water,distance"`
	ValueM float64 `json:"value_m" doc:"what it stands at, asked or not"`
}

type templatesInput struct {
	StationID uuid.UUID `query:"station_id" format:"uuid" required:"true" doc:"whose tide they are drawn to"`
}

type templatesOutput struct {
	Body []templateOut `nullable:"false"`
}

type bendInput struct {
	ID   string `path:"id" maxLength:"40"`
	Body struct {
		StationID uuid.UUID          `json:"station_id" format:"uuid"`
		Answers   map[string]float64 `json:"answers,omitempty" doc:"metres, by what was asked"`
		Now       bool               `json:"now,omitempty" doc:"depths are those of this moment, measured standing there"`
	}
}

func (s service) registerTemplates(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/templates", "listTemplates", "Kinds of place as sections, drawn to a station's tide"), s.templates)
	web.Signed(api, s.Deps, web.Post("/templates/{id}/bend", "bendTemplate", "One of them bent to one's own by a few depths"), s.bend)
}

// springs of a station: mean low and high water.
func (s service) springs(ctx context.Context, as *web.Scope, station uuid.UUID) (template.Tide, error) {
	all, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return template.Tide{}, err
	}
	place, err := all.Tide(station)
	if err != nil {
		return template.Tide{}, err
	}
	half := place.MeanSpringRange() / 2
	return template.Tide{LowM: place.MeanLevel() - half, HighM: place.MeanLevel() + half}, nil
}

// levelNow of a station, metres above datum.
func (s service) levelNow(ctx context.Context, as *web.Scope, station uuid.UUID) (float64, error) {
	all, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return 0, err
	}
	place, err := all.Tide(station)
	if err != nil {
		return 0, err
	}
	c, err := tide.Over(place, as.Now(), as.Now())
	if err != nil {
		return 0, err
	}
	return c.Level(as.Now()), nil
}

func templateOf(t template.Template, springs template.Tide, answers map[string]float64) (templateOut, error) {
	b, err := t.Bend(springs, answers)
	if err != nil {
		return templateOut{}, err
	}
	out := templateOut{ID: t.ID, Name: t.Name, Says: t.Says, Place: t.Place, Manner: string(t.Manner), Bottom: t.Bottom, Hazards: t.Hazards,
		LowM: springs.LowM, HighM: springs.HighM, Section: wire.SectionPoints(b.Section), Asks: []askOut{}, Marks: []wire.MarkBody{}}
	for _, a := range t.Asks {
		out.Asks = append(out.Asks, askOut{a.ID, a.Says, string(a.Kind), b.Answers[a.ID]})
	}
	for _, k := range b.Marks {
		out.Marks = append(out.Marks, toWrite(k))
	}
	return out, nil
}

// toWrite is a mark as a spot is written with it.
func toWrite(k ground.Mark) wire.MarkBody {
	elevation := k.ElevationM
	return wire.MarkBody{ID: uuid.Must(uuid.NewV7()), Name: k.Name, Kind: string(k.Kind), DistanceM: k.DistanceM, ElevationM: &elevation,
		Bottom: k.Bottom, MinM: k.Fishable.MinM, MaxM: k.Fishable.MaxM, Line: k.Line, Snag: k.Snag}
}

func (s service) templates(ctx context.Context, as *web.Scope, in *templatesInput) (*templatesOutput, error) {
	springs, err := s.springs(ctx, as, in.StationID)
	if err != nil {
		return nil, err
	}
	out := &templatesOutput{Body: []templateOut{}}
	for _, t := range template.All() {
		o, err := templateOf(t, springs, nil)
		if err != nil {
			return nil, err
		}
		out.Body = append(out.Body, o)
	}
	return out, nil
}

func (s service) bend(ctx context.Context, as *web.Scope, in *bendInput) (*struct{ Body templateOut }, error) {
	t, known := template.ByID(in.ID)
	if !known {
		return nil, web.NotFound(fmt.Sprintf("There is no template %q.", in.ID))
	}
	springs, err := s.springs(ctx, as, in.Body.StationID)
	if err != nil {
		return nil, err
	}
	if in.Body.Now {
		level, err := s.levelNow(ctx, as, in.Body.StationID)
		if err != nil {
			return nil, err
		}
		springs.AboveLowM = level - springs.LowM
	}
	o, err := templateOf(t, springs, in.Body.Answers)
	if err != nil {
		return nil, web.Wrong("body.answers", err)
	}
	return &struct{ Body templateOut }{o}, nil
}
