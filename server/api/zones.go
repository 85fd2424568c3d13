package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
)

// ZoneBody is an area with a rule, as the user entered it. It is exported for huma,
// which embeds only such fields.
type ZoneBody struct {
	Name      string   `json:"name" minLength:"1" maxLength:"80"`
	Kind      string   `json:"kind" enum:"no take,seasonal,voluntary code"`
	Says      string   `json:"says" minLength:"1" maxLength:"400" doc:"the rule in words"`
	Source    string   `json:"source" minLength:"1" maxLength:"200" doc:"where it stands"`
	CheckedOn string   `json:"checked_on" format:"date" doc:"when it was last looked up"`
	FromMD    int      `json:"from_md,omitempty" doc:"first day of its season, month × 100 + day; 0: all year"`
	ToMD      int      `json:"to_md,omitempty"`
	Ring      []latLon `json:"ring" minItems:"3" maxItems:"5000" nullable:"false"`
}

type zoneOut struct {
	ID      string `json:"id"`
	Warning string `json:"warning"`
	ZoneBody
}

func zoneBodyOf(z ground.Zone, now time.Time) zoneOut {
	return zoneOut{z.ID, z.Warning(now), ZoneBody{z.Name, string(z.Kind), z.Says, z.Source, z.Checked.Format(time.DateOnly), z.From, z.To, latLons(z.Ring)}}
}

type zoneInput struct {
	ByID
	WaterID uuid.UUID `query:"water_id" format:"uuid" required:"true"`
	Body    ZoneBody
}

func (s *Server) registerZones(api huma.API) {
	huma.Register(api, operation(http.MethodPut, "/zones/{id}", "putZone", "Write a zone with its rule, new or changed"), func(ctx context.Context, in *zoneInput) (*struct{}, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		b := in.Body
		checked, err := time.Parse(time.DateOnly, b.CheckedOn)
		if err != nil {
			return nil, wrong("body.checked_on", err)
		}
		z := ground.Zone{Name: b.Name, Kind: ground.ZoneKind(b.Kind), Says: b.Says, Source: b.Source, Checked: checked, From: b.FromMD, To: b.ToMD}
		for _, p := range b.Ring {
			z.Ring = append(z.Ring, ground.LatLon(p))
		}
		if err := z.Validate(); err != nil {
			return nil, wrong("body.ring", err)
		}
		return nil, failed(s.store.PutZone(ctx, angler, in.WaterID, in.ID, z))
	})
	huma.Register(api, operation(http.MethodDelete, "/zones/{id}", "deleteZone", "Remove a zone"), func(ctx context.Context, in *ByID) (*struct{}, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		return nil, failed(s.store.DeleteZone(ctx, angler, in.ID))
	})
}
