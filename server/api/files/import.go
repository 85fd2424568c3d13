package files

import (
	"context"

	"github.com/google/uuid"

	"greypebble/interchange/feature"
	"greypebble/interchange/format"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type readFeaturesInput struct {
	Format      placesFormat `query:"format" required:"true"`
	ContentType string       `header:"Content-Type" hidden:"true"`
	RawBody     []byte       `contentType:"text/plain"`
}

type featureOut struct {
	Kind        string          `json:"kind" enum:"point,track,route,area"`
	Name        string          `json:"name"`
	Description string          `json:"description"`
	Parts       [][]wire.LatLon `json:"parts" nullable:"false"`
	Places      int             `json:"places"`
	// Known is the spot that lies there already.
	Known string `json:"known,omitempty" doc:"a spot of yours within 25 m by the same name: it would be passed over"`
}

type readFeaturesOutput struct {
	Body struct {
		Features []featureOut `json:"features" nullable:"false" doc:"nothing is stored"`
		Skipped  []skippedOut `json:"skipped" nullable:"false"`
	}
}

type skippedOut struct {
	What string `json:"what"`
	Why  string `json:"why"`
}

type importInput struct {
	Format      placesFormat `query:"format" required:"true"`
	As          string       `query:"as" enum:"spots,outline,zones" default:"spots" doc:"places as spots, areas as shores or zones"`
	WaterID     uuid.UUID    `query:"water_id" format:"uuid" required:"true"`
	Place       string       `query:"place" default:"estuary" doc:"kind of place of new spots"`
	ZoneKind    string       `query:"zone_kind" enum:"no take,seasonal,voluntary code" doc:"of zones"`
	Says        string       `query:"says" maxLength:"400" doc:"the rule of zones, in words"`
	Source      string       `query:"source" maxLength:"200" doc:"where that rule stands"`
	CheckedOn   string       `query:"checked_on" format:"date" doc:"when it was last looked up"`
	FromMD      int          `query:"from_md" doc:"first day of its season, month × 100 + day"`
	ToMD        int          `query:"to_md"`
	Preview     bool         `query:"preview" doc:"say what would be added and what passed over, and store nothing"`
	ContentType string       `header:"Content-Type" hidden:"true"`
	RawBody     []byte       `contentType:"text/plain"`
}

type importOutput struct {
	Body struct {
		Added   []string     `json:"added" nullable:"false"`
		Skipped []skippedOut `json:"skipped" nullable:"false"`
		Rings   int          `json:"rings" doc:"of the outline"`
		Stored  bool         `json:"stored" doc:"false for a preview"`
	}
}

func parse(id placesFormat, contentType string, raw []byte) ([]feature.Feature, []feature.Skipped, error) {
	f, err := format.PlacesBy(string(id))
	if err != nil {
		return nil, nil, web.Wrong("query.format", err)
	}
	if raw, err = web.Uploaded(contentType, raw); err != nil {
		return nil, nil, err
	}
	list, skipped, err := f.Read(raw)
	if err != nil {
		return nil, nil, web.Wrong("body", err)
	}
	return list, skipped, nil
}

func (s service) readFeatures(ctx context.Context, as *web.Scope, in *readFeaturesInput) (*readFeaturesOutput, error) {
	list, skipped, err := parse(in.Format, in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	spots, err := s.Store.Spots(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &readFeaturesOutput{}
	b := &out.Body
	b.Features, b.Skipped = []featureOut{}, skippedOf(skipped)
	for _, f := range list {
		o := featureOut{Kind: string(f.Kind), Name: f.Name, Description: f.Description, Parts: [][]wire.LatLon{}, Known: known(spots, f)}
		for _, part := range f.Parts {
			o.Places += len(part)
			o.Parts = append(o.Parts, shown(part))
		}
		b.Features = append(b.Features, o)
	}
	return out, nil
}

// mostShown places of a part are sent for a preview.
const mostShown = 500

func shown(part []feature.Position) []wire.LatLon {
	every := 1 + len(part)/mostShown
	out := []wire.LatLon{}
	for i := 0; i < len(part); i += every {
		out = append(out, wire.LatLon{Lat: part[i].Lat, Lon: part[i].Lon})
	}
	return out
}

func skippedOf(list []feature.Skipped) []skippedOut {
	out := []skippedOut{}
	for _, k := range list {
		out = append(out, skippedOut(k))
	}
	return out
}

func (s service) importFeatures(ctx context.Context, as *web.Scope, in *importInput) (*importOutput, error) {
	if _, err := s.Store.Water(ctx, as.Angler, in.WaterID); err != nil {
		return nil, err
	}
	list, skipped, err := parse(in.Format, in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	have, err := s.Store.Spots(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	p, err := planned(in, list, skipped, have)
	if err != nil {
		return nil, err
	}
	out := &importOutput{}
	b := &out.Body
	b.Added, b.Skipped, b.Stored = p.added, skippedOf(p.passed), !in.Preview
	if p.outline != nil {
		b.Rings = len(p.outline.Rings)
	}
	if in.Preview {
		return out, nil
	}
	return out, s.carryOut(ctx, as, in.WaterID, p)
}

// carryOut a plan, all of it or nothing.
func (s service) carryOut(ctx context.Context, as *web.Scope, water uuid.UUID, p *plan) error {
	switch {
	case p.outline != nil:
		return s.Store.PutOutline(ctx, as.Angler, water, *p.outline)
	case len(p.zones) > 0:
		return s.Store.PutZones(ctx, as.Angler, water, p.zones)
	}
	return s.Store.PutSpots(ctx, as.Angler, p.spots)
}
