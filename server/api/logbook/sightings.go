package logbook

import (
	"context"
	"errors"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/playbook"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type sightingInput struct {
	wire.ByID
	Body struct {
		SpotID   uuid.UUID `json:"spot_id" format:"uuid"`
		SeenAt   time.Time `json:"seen_at"`
		Target   string    `json:"target,omitempty" maxLength:"80" doc:"it speaks of; left out: none, or whichever"`
		Mark     string    `json:"mark,omitempty" maxLength:"60"`
		Signs    []string  `json:"signs" minItems:"1" maxItems:"20" nullable:"false" doc:"what was seen; nothing at all, too"`
		Note     string    `json:"note,omitempty" maxLength:"1000"`
		Revision int       `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

// SightingOut is what was seen without fishing, with the water it was seen in.
type SightingOut struct {
	ID            string    `json:"id"`
	SpotID        string    `json:"spot_id"`
	SpotName      string    `json:"spot_name"`
	TimeZone      string    `json:"time_zone"`
	SeenAt        time.Time `json:"seen_at"`
	Target        string    `json:"target,omitempty"`
	TargetName    string    `json:"target_name,omitempty"`
	Mark          string    `json:"mark,omitempty"`
	Signs         []string  `json:"signs" nullable:"false"`
	Note          string    `json:"note,omitempty"`
	TideLevelM    float64   `json:"tide_level_m"`
	TideStage     string    `json:"tide_stage"`
	TideDirection string    `json:"tide_direction" enum:"flood,ebb"`
	Light         string    `json:"light"`
	Revision      int       `json:"revision"`
}

type sightingOutput struct{ Body SightingOut }

type sightingsInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid"`
	Most   int       `query:"most" minimum:"1" maximum:"1000" default:"200"`
}

type sightingsOutput struct {
	Body struct {
		Sightings []SightingOut `json:"sightings" nullable:"false" doc:"newest first"`
		// Kinds of what may be seen, in the order they are offered.
		Kinds []string `json:"kinds" nullable:"false" doc:"what may be seen"`
	}
}

func (s service) registerSightings(api huma.API) {
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/sightings/{id}", "putSighting",
		"Keep what was seen without fishing, new or changed")), s.putSighting)
	web.Signed(api, s.Deps, web.Get("/sightings", "sightings", "What was seen without fishing, newest first"), s.sightings)
	web.Signed(api, s.Deps, web.Delete("/sightings/{id}", "deleteSighting", "Take a sighting back"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteSighting(ctx, as.Angler, in.ID)
		})
}

func (s service) putSighting(ctx context.Context, as *web.Scope, in *sightingInput) (*sightingOutput, error) {
	b := &in.Body
	at := b.SeenAt.UTC().Truncate(time.Millisecond)
	if at.After(as.Now().Add(early)) {
		return nil, web.Wrong("body.seen_at", errors.New("a sighting is kept once it was made; this time is to come"))
	}
	if err := playbook.CheckSeen(b.Signs); err != nil {
		return nil, web.Wrong("body.signs", err)
	}
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	if b.Target != "" {
		target, err := n.book.Target(b.Target)
		if err != nil {
			return nil, web.Wrong("body.target", err)
		}
		b.Target = target.ID
	}
	sp, err := s.Desk.Spot(ctx, as.Angler, b.SpotID, at)
	if err != nil {
		return nil, err
	}
	m, _, err := sp.At(at, 0, 0)
	if err != nil {
		return nil, err
	}
	w := store.WaterAt(&m)
	g := store.Sighting{ID: in.ID, SpotID: sp.ID, SeenAt: at, Target: b.Target, Mark: b.Mark, Note: b.Note, Revision: b.Revision,
		SightingWater: store.SightingWater{TideLevelM: w.TideLevelM, TideDirection: w.TideDirection, TideThird: w.TideThird,
			TideSays: w.TideSays, Light: w.Light}}
	g.Signs.V = b.Signs
	if g.Revision, err = s.Store.PutSighting(ctx, as.Angler, g); err != nil {
		return nil, err
	}
	return &sightingOutput{n.sighting(store.ListedSighting{Sighting: g, SpotName: sp.Name, TimeZone: sp.Water.TimeZone})}, nil
}

func (s service) sightings(ctx context.Context, as *web.Scope, in *sightingsInput) (*sightingsOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	list, err := s.Store.Sightings(ctx, as.Angler, in.SpotID, in.Most)
	if err != nil {
		return nil, err
	}
	out := &sightingsOutput{}
	out.Body.Sightings = make([]SightingOut, len(list))
	for i, g := range list {
		out.Body.Sightings[i] = n.sighting(g)
	}
	out.Body.Kinds = append(append(out.Body.Kinds, playbook.Signs...), playbook.SeenOnly...)
	return out, nil
}

func (n namer) sighting(g store.ListedSighting) SightingOut {
	out := SightingOut{ID: g.ID.String(), SpotID: g.SpotID.String(), SpotName: g.SpotName, TimeZone: g.TimeZone, SeenAt: g.SeenAt,
		Target: g.Target, Mark: g.Mark, Signs: g.Signs.V, Note: g.Note, TideLevelM: g.TideLevelM, TideStage: g.TideSays,
		TideDirection: g.TideDirection, Light: g.Light, Revision: g.Revision}
	if g.Target != "" {
		out.TargetName, _ = n.target(g.Target)
	}
	return out
}
