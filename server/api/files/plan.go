package files

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/interchange/feature"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// plan of an import: what would be added and what passed over, and why. Nothing is stored
// until it is carried out.
type plan struct {
	spots   []store.Spot
	zones   []ground.Zone
	outline *ground.Outline
	added   []string
	passed  []feature.Skipped
}

func (p *plan) pass(f feature.Feature, why string) {
	p.passed = append(p.passed, feature.Skipped{What: fmt.Sprintf("%s %q", f.Kind, f.Name), Why: why})
}

// planned by what the file's features are taken as. have are the angler's spots.
func planned(in *importInput, list []feature.Feature, skipped []feature.Skipped, have []*store.Spot) (*plan, error) {
	p := &plan{added: []string{}, passed: skipped}
	switch in.As {
	case "outline":
		return p, p.shores(list)
	case "zones":
		return p, p.rules(in, list)
	}
	return p, p.places(in, list, have)
}

// ringsOf an area.
func ringsOf(f feature.Feature) ([]ground.Ring, error) {
	var out []ground.Ring
	for _, part := range f.Parts {
		r := ground.Ring(positions(part))
		if i, j, crosses := r.Crosses(); crosses {
			return nil, web.Wrong("body", fmt.Errorf("area %q crosses itself between points %d and %d", f.Name, i+1, j+1))
		}
		out = append(out, r)
	}
	return out, nil
}

func positions(part []feature.Position) []ground.LatLon {
	out := make([]ground.LatLon, len(part))
	for i, p := range part {
		out[i] = ground.LatLon{Lat: p.Lat, Lon: p.Lon}
	}
	return out
}

func (p *plan) shores(list []feature.Feature) error {
	p.outline = &ground.Outline{}
	for _, f := range list {
		if f.Kind != feature.Area {
			p.pass(f, "shores are areas")
			continue
		}
		rings, err := ringsOf(f)
		if err != nil {
			return err
		}
		p.outline.Rings = append(p.outline.Rings, rings...)
	}
	if len(p.outline.Rings) == 0 {
		return web.Wrong("body", fmt.Errorf("the file holds no areas; shores are polygons"))
	}
	if err := p.outline.Validate(); err != nil {
		return web.Wrong("body", err)
	}
	return nil
}

// rules takes areas as zones under one rule, which the file cannot be trusted to carry.
func (p *plan) rules(in *importInput, list []feature.Feature) error {
	if in.ZoneKind == "" || strings.TrimSpace(in.Says) == "" || strings.TrimSpace(in.Source) == "" || in.CheckedOn == "" {
		return web.Wrong("query.says", fmt.Errorf("a zone needs its kind, its rule in words, where the rule stands and when it was "+
			"looked up"))
	}
	checked, err := time.Parse(time.DateOnly, in.CheckedOn)
	if err != nil {
		return web.Wrong("query.checked_on", err)
	}
	for i, f := range list {
		if f.Kind != feature.Area {
			p.pass(f, "zones are areas")
			continue
		}
		rings, err := ringsOf(f)
		if err != nil {
			return err
		}
		name := clip(strings.TrimSpace(f.Name), longestName)
		if name == "" {
			name = fmt.Sprintf("Zone %d", i+1)
		}
		if len(rings) > 1 {
			p.passed = append(p.passed, feature.Skipped{What: fmt.Sprintf("the holes of %q", f.Name),
				Why: "the rule is taken to hold in them too"})
		}
		z := ground.Zone{Name: name, Kind: ground.ZoneKind(in.ZoneKind), Says: in.Says, Source: in.Source, Checked: checked,
			From: in.FromMD, To: in.ToMD, Ring: rings[0]}
		if err := z.Validate(); err != nil {
			return web.Wrong("body", fmt.Errorf("zone %q: %w", name, err))
		}
		p.zones = append(p.zones, z)
		p.added = append(p.added, name)
	}
	if len(p.zones) == 0 {
		return web.Wrong("body", fmt.Errorf("the file holds no areas; zones are polygons"))
	}
	return nil
}

func (p *plan) add(sp store.Spot) {
	p.spots = append(p.spots, sp)
	p.added = append(p.added, sp.Name)
}

// places become spots. Marks and shapes of a whole spot in the file come with it.
func (p *plan) places(in *importInput, list []feature.Feature, have []*store.Spot) error {
	if !slices.Contains(ground.Places, in.Place) {
		return web.Wrong("query.place", fmt.Errorf("unknown kind of place %q; known are %s", in.Place, strings.Join(ground.Places, ", ")))
	}
	var brought []*store.Spot
	for _, f := range list {
		sp, err := wholeSpot(f, in.WaterID)
		if err != nil {
			return web.Wrong("body", err)
		}
		if sp != nil && known(have, f) == "" {
			brought = append(brought, sp)
			p.add(*sp)
		}
	}
	for _, f := range list {
		switch {
		case strings.TrimSpace(f.Name) == "":
			p.pass(f, "it has no name")
		case known(have, f) != "":
			p.pass(f, "a spot of that name lies there already")
		case known(brought, f) != "":
			if f.Properties[spotProperty] == "" {
				p.pass(f, "it comes with its spot")
			}
		default:
			sp, err := spotOf(f, in)
			if err != nil {
				return err
			}
			if len(f.Parts) > 1 {
				p.pass(f, fmt.Sprintf("its %d further parts: a spot has one shape", len(f.Parts)-1))
			}
			p.add(sp)
		}
	}
	return nil
}

// What is written of a spot, at most, in characters.
const (
	longestName = 80
	longestNote = 400
)

func spotOf(f feature.Feature, in *importInput) (store.Spot, error) {
	note := f.Description
	if note == "" {
		note = f.Comment
	}
	way := wire.PassageBody{Name: "the way", Clear: true} // nothing is known of it
	body := wire.SpotBody{WaterID: in.WaterID, Name: clip(f.Name, longestName), Place: in.Place, Note: clip(note, longestNote),
		Manner: string(ground.OnFoot), In: way, Out: way}
	at, shape := ground.ShapeOf(positions(f.Parts[0]), f.Kind == feature.Area)
	if f.Kind == feature.Point {
		shape = nil
	}
	body.Lat, body.Lon, body.Shape = at.Lat, at.Lon, wire.Shape(shape)
	return body.Spot(uuid.Must(uuid.NewV7()))
}

func clip(s string, most int) string {
	r := []rune(s)
	if len(r) > most {
		return string(r[:most])
	}
	return s
}

// known is the name of a spot that lies where a feature does; empty where none does.
func known(spots []*store.Spot, f feature.Feature) string {
	if len(f.Parts) == 0 || len(f.Parts[0]) == 0 {
		return ""
	}
	at, _ := ground.ShapeOf(positions(f.Parts[0]), f.Kind == feature.Area)
	for _, sp := range spots {
		if sp.LiesAt(f.Name, at) {
			return sp.Name
		}
	}
	return ""
}

// spotProperty carries a whole spot, section, ways and all, in formats that have room for
// it.
const spotProperty = "grey_pebble_spot"

// wholeSpot that a feature carries, as a new one in a water; nil where it carries none.
func wholeSpot(f feature.Feature, water uuid.UUID) (*store.Spot, error) {
	raw := f.Properties[spotProperty]
	if raw == "" {
		return nil, nil
	}
	var b wire.SpotBody
	if err := web.Fits([]byte(raw), &b); err != nil {
		return nil, fmt.Errorf("%q carries a spot that cannot be read: %w", f.Name, err)
	}
	b.WaterID = water
	for i := range b.Marks {
		b.Marks[i].ID = uuid.Must(uuid.NewV7())
	}
	sp, err := b.Spot(uuid.Must(uuid.NewV7()))
	if err != nil {
		return nil, fmt.Errorf("%q carries a spot that cannot be: %w", f.Name, err)
	}
	return &sp, nil
}

// exported is a spot with its shape and marks as features.
func exported(sp *store.Spot) ([]feature.Feature, error) {
	whole, err := json.Marshal(wire.SpotWritten(sp))
	if err != nil {
		return nil, err
	}
	out := []feature.Feature{{Kind: feature.Point, Name: sp.Name, Type: sp.Place, Description: sp.Note, Comment: sp.Hazards,
		Parts: [][]feature.Position{{{Lat: sp.Lat, Lon: sp.Lon}}}, Properties: map[string]string{spotProperty: string(whole)}}}
	if sp.Shape != nil {
		f := feature.Feature{Kind: feature.Route, Name: sp.Name, Type: sp.Place, Parts: [][]feature.Position{nil}}
		if sp.Shape.Area {
			f.Kind = feature.Area
		}
		for _, p := range sp.Shape.Points {
			f.Parts[0] = append(f.Parts[0], feature.Position{Lat: p.Lat, Lon: p.Lon})
		}
		out = append(out, f)
	}
	for _, m := range sp.Marks {
		p := sp.PositionOf(m)
		if p == nil {
			continue
		}
		e := m.ElevationM
		out = append(out, feature.Feature{Kind: feature.Point, Name: spot.MarkTitle(sp.Name, m), Type: string(m.Kind), Description: m.Note,
			Parts: [][]feature.Position{{{Lat: p.Lat, Lon: p.Lon, Ele: &e}}}})
	}
	return out, nil
}
