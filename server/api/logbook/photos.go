package logbook

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/interchange/picture"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// PhotoOut is a photo of a catch, without its picture.
type PhotoOut struct {
	ID         string     `json:"id"`
	Width      int        `json:"width" doc:"pixels"`
	Height     int        `json:"height"`
	TakenAt    *time.Time `json:"taken_at,omitempty" doc:"where the camera told it and it was to be kept"`
	Lat        *float64   `json:"lat,omitempty"`
	Lon        *float64   `json:"lon,omitempty"`
	HeadingDeg *float64   `json:"heading_deg,omitempty" doc:"from north, the way the camera looked"`
}

func photosOf(list []store.Photo) (out []PhotoOut) {
	for _, p := range list {
		out = append(out, photoOf(p))
	}
	return out
}

func photoOf(p store.Photo) PhotoOut {
	return PhotoOut{ID: p.ID.String(), Width: p.Width, Height: p.Height, TakenAt: p.TakenAt, Lat: p.Lat, Lon: p.Lon, HeadingDeg: p.Heading}
}

type photoInput struct {
	wire.ByID
	Catch       uuid.UUID `query:"catch_id" required:"true" format:"uuid"`
	Keep        bool      `query:"keep" doc:"keep when, where and which way it was taken, as the camera wrote; else that is forgotten"`
	ContentType string    `header:"Content-Type"`
	RawBody     []byte    `contentType:"image/jpeg"`
}

type photoOutput struct{ Body PhotoOut }

type pictureInput struct {
	wire.ByID
	Thumb bool `query:"thumb" doc:"a small one"`
}

func (s service) registerPhotos(api huma.API) {
	// One photo is made small at a time, so that they take bounded memory.
	queue := web.NewQueue()
	web.SignedInto(api, s.Deps, queue, web.TakesFile(web.Put("/photos/{id}", "putPhoto",
		"Keep a photo of a catch (JPEG or PNG, at most 12 MB): made small, upright and without what the camera wrote")),
		func(ctx context.Context, as *web.Scope, in *photoInput) (*photoOutput, error) {
			return s.putPhoto(ctx, as, queue, in)
		})
	web.Signed(api, s.Deps, web.Get("/photos/{id}", "photo", "The picture, as JPEG"),
		func(ctx context.Context, as *web.Scope, in *pictureInput) (*web.File, error) {
			jpeg, err := s.Store.Picture(ctx, as.Angler, in.ID, in.Thumb)
			if err != nil {
				return nil, err
			}
			return &web.File{ContentType: "image/jpeg", ContentDisposition: "inline", Body: jpeg}, nil
		})
	web.Signed(api, s.Deps, web.Delete("/photos/{id}", "deletePhoto", "Take a photo away; its catch stays"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeletePhoto(ctx, as.Angler, in.ID)
		})
}

func (s service) putPhoto(ctx context.Context, as *web.Scope, queue *web.Queue, in *photoInput) (*photoOutput, error) {
	spell, err := s.Store.SpellOf(ctx, as.Angler, in.Catch)
	if err != nil {
		return nil, err
	}
	raw, err := web.Uploaded(in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	if err := queue.Await(ctx, nil); err != nil {
		return nil, err
	}
	p, err := picture.Read(raw)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	kept := store.Photo{ID: in.ID, Catch: in.Catch, MadeAt: as.Now().UTC().Truncate(time.Millisecond), Width: p.Width, Height: p.Height}
	if in.Keep {
		zone, err := time.LoadLocation(spell.TimeZone)
		if err != nil {
			return nil, err
		}
		kept.TakenAt, kept.Lat, kept.Lon, kept.Heading = p.Taken.At(zone), p.Taken.Lat, p.Taken.Lon, p.Taken.Heading
	}
	stored, err := s.Store.PutPhoto(ctx, as.Angler, kept, store.Pictures{Image: p.Image, Thumb: p.Thumb})
	if err != nil {
		return nil, err
	}
	if !stored {
		return nil, web.Wrong("query.catch_id", fmt.Errorf("a catch has %d photos at most; take one away first", store.MostPhotos))
	}
	if kept, err = s.Store.Photo(ctx, as.Angler, in.ID); err != nil {
		return nil, err
	}
	return &photoOutput{photoOf(kept)}, nil
}
