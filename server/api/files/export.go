package files

import (
	"context"
	"fmt"

	"greypebble/core/ground"
	"greypebble/interchange/feature"
	"greypebble/interchange/format"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

type exportInput struct {
	Format  placesFormat `query:"format" required:"true"`
	Private string       `query:"private" enum:"leave_out,blur,include" default:"leave_out" doc:"what to do with private spots"`
	BlurM   float64      `query:"blur_m" minimum:"100" maximum:"20000" default:"1000" doc:"how far a blurred spot may be moved; rounded up"`
}

func (s service) export(ctx context.Context, as *web.Scope, in *exportInput) (*web.File, error) {
	f, err := format.PlacesBy(string(in.Format))
	if err != nil {
		return nil, web.Wrong("query.format", err)
	}
	spots, err := s.Store.Spots(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	var list []feature.Feature
	secret, err := s.Store.Secret(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	for _, sp := range spots {
		switch {
		case sp.Public || in.Private == "include":
			one, err := exported(sp)
			if err != nil {
				return nil, err
			}
			list = append(list, one...)
		case in.Private == "blur":
			list = append(list, blurred(sp, secret, ground.BlurWithin(in.BlurM)))
		}
	}
	raw, err := f.Write(list, as.Units)
	return web.Attached("spots."+f.ID, f.MIME, raw), err
}

// blurred is only a spot's name and kind, moved within a distance.
func blurred(sp *store.Spot, secret []byte, withinM float64) feature.Feature {
	at := ground.Blurred(sp.LatLon, secret, sp.ID.String(), withinM)
	return feature.Feature{Kind: feature.Point, Name: sp.Name, Type: sp.Place, Comment: fmt.Sprintf("within %.0f m", withinM),
		Parts: [][]feature.Position{{{Lat: at.Lat, Lon: at.Lon}}}}
}
