package places

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// ZoneBody is an area with a rule, as the user entered it. It is exported for huma,
// which embeds only such fields.
type ZoneBody struct {
	Name      string        `json:"name" minLength:"1" maxLength:"80"`
	Kind      string        `json:"kind" enum:"no take,seasonal,voluntary code"`
	Says      string        `json:"says" minLength:"1" maxLength:"400" doc:"the rule in words"`
	Source    string        `json:"source" minLength:"1" maxLength:"200" doc:"where it stands"`
	CheckedOn string        `json:"checked_on" format:"date" doc:"when it was last looked up"`
	FromMD    int           `json:"from_md,omitempty" doc:"first day of its season, month × 100 + day; 0: all year"`
	ToMD      int           `json:"to_md,omitempty"`
	Ring      []wire.LatLon `json:"ring" minItems:"3" maxItems:"5000" nullable:"false"`
}

type zoneOut struct {
	ID       string `json:"id"`
	Warning  string `json:"warning"`
	Revision int    `json:"revision"`
	ZoneBody
}

func zoneBodyOf(z store.Zone, now time.Time) zoneOut {
	return zoneOut{ID: z.ID, Warning: z.Warning(now), Revision: z.Revision,
		ZoneBody: ZoneBody{Name: z.Name, Kind: string(z.Kind), Says: z.Says, Source: z.Source, CheckedOn: z.Checked.Format(time.DateOnly),
			FromMD: z.From, ToMD: z.To, Ring: wire.LatLons(z.Ring)}}
}

type zoneInput struct {
	wire.ByID
	WaterID uuid.UUID `query:"water_id" format:"uuid" required:"true"`
	Body    struct {
		ZoneBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

func (s service) registerZones(api huma.API) {
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/zones/{id}", "putZone", "Write a zone with its rule, new or changed")), s.putZone)
	web.Signed(api, s.Deps, web.Delete("/zones/{id}", "deleteZone", "Remove a zone"), s.deleteZone)
}

func (s service) putZone(ctx context.Context, as *web.Scope, in *zoneInput) (*wire.RevisionOutput, error) {
	b := in.Body
	checked, err := time.Parse(time.DateOnly, b.CheckedOn)
	if err != nil {
		return nil, web.Wrong("body.checked_on", err)
	}
	z := ground.Zone{Name: b.Name, Kind: ground.ZoneKind(b.Kind), Says: b.Says, Source: b.Source, Checked: checked,
		From: b.FromMD, To: b.ToMD, Ring: wire.Ground(b.Ring)}
	if err := z.Validate(); err != nil {
		return nil, web.Wrong("body", err)
	}
	revision, err := s.Store.PutZone(ctx, as.Angler, in.WaterID, in.ID, z, b.Revision)
	return wire.Revised(revision), err
}

func (s service) deleteZone(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeleteZone(ctx, as.Angler, in.ID)
}
