package api

import (
	"context"
	"fmt"
	"math"
	"net/http"
	"slices"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/server/store"
)

// SpotBody is a spot as its owner writes it. It is exported, as others here, for
// huma.
type SpotBody struct {
	WaterID    uuid.UUID      `json:"water_id" format:"uuid"`
	Name       string         `json:"name" minLength:"1" maxLength:"80"`
	Place      string         `json:"place" doc:"what kind of place it is"`
	Note       string         `json:"note,omitempty" maxLength:"400"`
	Hazards    string         `json:"hazards,omitempty" maxLength:"400"`
	Bottom     string         `json:"bottom,omitempty"`
	Lat        float64        `json:"lat" minimum:"-90" maximum:"90"`
	Lon        float64        `json:"lon" minimum:"-180" maximum:"180"`
	FacesDeg   *float64       `json:"faces_deg,omitempty" minimum:"0" maximum:"360" doc:"the way it looks out"`
	Public     bool           `json:"public,omitempty" doc:"may leave in an export without being asked for"`
	Shape      *ShapeBody     `json:"shape,omitempty" doc:"a line or an area, where a point does not do"`
	Manner     string         `json:"manner" enum:"on foot,wading,kayak,boat"`
	DraughtM   float64        `json:"draught_m,omitempty" doc:"of a boat"`
	In         PassageBody    `json:"in" doc:"the critical point of the way in"`
	Out        PassageBody    `json:"out" doc:"of the way back; it may lie lower: that is how one is cut off"`
	Section    []sectionPoint `json:"section,omitempty" maxItems:"500" nullable:"false" doc:"from where one stands outwards"`
	SectionAt  *latLon        `json:"section_from,omitempty" doc:"where the section begins"`
	BearingDeg float64        `json:"section_bearing_deg,omitempty" doc:"the way it runs"`
	Marks      []MarkBody     `json:"marks,omitempty" maxItems:"100" nullable:"false"`
}

// ShapeBody is a line or an area.
type ShapeBody struct {
	Area   bool     `json:"area"`
	Points []latLon `json:"points" minItems:"2" maxItems:"5000" nullable:"false"`
}

// PassageBody is the critical point of a way.
type PassageBody struct {
	Name       string  `json:"name" maxLength:"60"`
	ElevationM float64 `json:"elevation_m"`
}

// MarkBody is a feature of a spot.
type MarkBody struct {
	ID         uuid.UUID `json:"id" format:"uuid"`
	Name       string    `json:"name" minLength:"1" maxLength:"60"`
	Kind       string    `json:"kind"`
	Bottom     string    `json:"bottom,omitempty"`
	DistanceM  float64   `json:"distance_m"`
	ElevationM *float64  `json:"elevation_m,omitempty" doc:"that of the section at its distance if left out"`
	At         *latLon   `json:"at,omitempty"`
	MinM       float64   `json:"fishable_min_m,omitempty" doc:"least depth worth a cast"`
	MaxM       float64   `json:"fishable_max_m,omitempty" doc:"greatest; 0: none"`
	Line       string    `json:"line,omitempty" maxLength:"40" doc:"what the ribbon writes where the tide crosses it"`
	Note       string    `json:"note,omitempty" maxLength:"400"`
	Snag       bool      `json:"snag,omitempty"`
}

type spotInput struct {
	ByID
	Body struct {
		SpotBody
		Revision int `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

type revisionOutput struct {
	Body struct {
		Revision int `json:"revision"`
	}
}

func (s *Server) registerSpotWrite(api huma.API) {
	put := operation(http.MethodPut, "/spots/{id}", "putSpot", "Write a spot with its section and marks, new or changed")
	put.Errors = append(put.Errors, http.StatusConflict)
	huma.Register(api, put, func(ctx context.Context, in *spotInput) (*revisionOutput, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		sp, err := in.Body.spot(in.ID)
		if err != nil {
			return nil, err
		}
		sp.Revision = in.Body.Revision
		// What belongs to its tide is written elsewhere and stays.
		if old, err := s.store.Spot(ctx, angler, in.ID); err == nil {
			sp.Offsets, sp.Current = old.Offsets, old.Current
		} else if err != store.ErrNotFound {
			return nil, failed(err)
		}
		out := &revisionOutput{}
		out.Body.Revision, err = s.store.PutSpot(ctx, angler, sp)
		return out, failed(err)
	})
	remove := operation(http.MethodDelete, "/spots/{id}", "deleteSpot", "Remove a spot no spell was fished at")
	remove.Errors = append(remove.Errors, http.StatusConflict)
	huma.Register(api, remove, func(ctx context.Context, in *ByID) (*struct{}, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		return nil, failed(s.store.DeleteSpot(ctx, angler, in.ID))
	})
}

// spot of what was written, checked; errors name the field.
func (b SpotBody) spot(id uuid.UUID) (store.Spot, error) {
	sp := store.Spot{ID: id, Water: store.Water{ID: b.WaterID}, Name: b.Name, Place: b.Place, Note: b.Note, Hazards: b.Hazards, Bottom: b.Bottom, Lat: b.Lat, Lon: b.Lon,
		FacesDeg: b.FacesDeg, Public: b.Public, SectionBearing: b.BearingDeg,
		Access: ground.Access{Manner: ground.Manner(b.Manner), In: ground.Passage(b.In), Out: ground.Passage(b.Out), DraughtM: b.DraughtM}}
	if !slices.Contains(playbook.Places, b.Place) {
		return sp, wrong("body.place", fmt.Errorf("unknown kind of place %q; known are %v", b.Place, playbook.Places))
	}
	if b.Bottom != "" && !slices.Contains(playbook.Bottoms, b.Bottom) {
		return sp, wrong("body.bottom", fmt.Errorf("unknown bottom %q; known are %v", b.Bottom, playbook.Bottoms))
	}
	if err := sp.Access.Validate(); err != nil {
		return sp, wrong("body.manner", err)
	}
	if b.Shape != nil {
		sp.Shape = &ground.Shape{Area: b.Shape.Area}
		for _, p := range b.Shape.Points {
			sp.Shape.Points = append(sp.Shape.Points, ground.LatLon(p))
		}
		if err := sp.Shape.Validate(); err != nil {
			return sp, wrong("body.shape", err)
		}
	}
	if b.SectionAt != nil {
		p := ground.LatLon(*b.SectionAt)
		sp.SectionFrom = &p
	}
	for _, p := range b.Section {
		sp.Section = append(sp.Section, ground.Point(p))
	}
	var section *ground.Section
	if len(sp.Section) > 0 {
		var err error
		if section, err = ground.NewSection(sp.Section); err != nil {
			return sp, wrong("body.section", err)
		}
	}
	for i, m := range b.Marks {
		z := m.ElevationM
		if z == nil {
			if section == nil {
				return sp, wrong(fmt.Sprintf("body.marks[%d].elevation_m", i), fmt.Errorf("%s needs an elevation: there is no section to read it from", m.Name))
			}
			read := math.Round(section.Elevation(m.DistanceM)*100) / 100
			z = &read
		}
		k := ground.Mark{ID: m.ID.String(), Name: m.Name, Kind: ground.MarkKind(m.Kind), Bottom: m.Bottom, DistanceM: m.DistanceM, ElevationM: *z,
			Fishable: ground.Depths{MinM: m.MinM, MaxM: m.MaxM}, Line: m.Line, Note: m.Note, Snag: m.Snag}
		if m.At != nil {
			p := ground.LatLon(*m.At)
			k.At = &p
		}
		if err := k.Validate(); err != nil {
			return sp, wrong(fmt.Sprintf("body.marks[%d]", i), err)
		}
		sp.Marks = append(sp.Marks, k)
	}
	return sp, nil
}

// bodyOf a stored spot, for writing it again.
func bodyOf(sp *store.Spot) SpotBody {
	b := SpotBody{WaterID: sp.Water.ID, Name: sp.Name, Place: sp.Place, Note: sp.Note, Hazards: sp.Hazards, Bottom: sp.Bottom, Lat: sp.Lat, Lon: sp.Lon,
		FacesDeg: sp.FacesDeg, Public: sp.Public, Manner: string(sp.Access.Manner), DraughtM: sp.Access.DraughtM, In: PassageBody(sp.Access.In),
		Out: PassageBody(sp.Access.Out), BearingDeg: sp.SectionBearing, Section: []sectionPoint{}, Marks: []MarkBody{}}
	if sp.Shape != nil {
		b.Shape = &ShapeBody{sp.Shape.Area, latLons(sp.Shape.Points)}
	}
	if sp.SectionFrom != nil {
		p := latLon(*sp.SectionFrom)
		b.SectionAt = &p
	}
	for _, p := range sp.Section {
		b.Section = append(b.Section, sectionPoint(p))
	}
	for _, m := range sp.Marks {
		id, _ := uuid.Parse(m.ID)
		k := MarkBody{ID: id, Name: m.Name, Kind: string(m.Kind), Bottom: m.Bottom, DistanceM: m.DistanceM, ElevationM: &m.ElevationM, MinM: m.Fishable.MinM,
			MaxM: m.Fishable.MaxM, Line: m.Line, Note: m.Note, Snag: m.Snag}
		if m.At != nil {
			p := latLon(*m.At)
			k.At = &p
		}
		b.Marks = append(b.Marks, k)
	}
	return b
}
