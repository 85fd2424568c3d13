// Package device is the room where an angler's device is given what it needs to answer by itself.
package device

import (
	"context"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/bylaw"
	"greypebble/interchange/pack"
	"greypebble/server/api/web"
	"greypebble/server/desk"
	"greypebble/server/store"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	web.Signed(api, d, web.Get("/offline", "offline", "All a device needs to answer by itself, in parts with a mark each"), s.offline)
}

// caughtFor is how long fish that were caught may count for a day, before and after now; those kept count for longer
// where possession is limited.
const caughtFor = 48 * time.Hour

type offlineInput struct {
	Have []string `query:"have,explode" maxItems:"300" doc:"marks of the parts the device has: those come without their data"`
}

type partOut struct {
	Name string `json:"name"`
	Mark string `json:"mark" doc:"of what is in it; with the same mark it is the same"`
	Data string `json:"data,omitempty" doc:"as the core in the browser reads it"`
}

type offlineOutput struct {
	Body struct {
		MadeAt time.Time `json:"made_at"`
		Parts  []partOut `json:"parts" nullable:"false" doc:"all there are: a part that is not among them is no longer"`
	}
}

func (s service) offline(ctx context.Context, as *web.Scope, in *offlineInput) (*offlineOutput, error) {
	p, err := s.pack(ctx, as)
	if err != nil {
		return nil, err
	}
	parts, err := p.Parts(as.Now())
	if err != nil {
		return nil, err
	}
	out := &offlineOutput{}
	out.Body.MadeAt, out.Body.Parts = as.Now(), []partOut{}
	for _, k := range parts {
		if slices.Contains(in.Have, k.Mark) {
			k.Data = ""
		}
		out.Body.Parts = append(out.Body.Parts, partOut(k))
	}
	return out, nil
}

// pack all that an angler's device needs, as of now.
func (s service) pack(ctx context.Context, as *web.Scope) (*pack.Pack, error) {
	p := &pack.Pack{Mine: pack.Mine{Units: as.Units}, Clocks: map[string]*time.Location{}, Harmonics: []pack.Harmonics{},
		Spots: []pack.Spot{}}
	var err error
	if p.Mine.Overlay, err = as.Overlay(ctx); err != nil {
		return nil, err
	}
	if p.Mine.Kit, err = s.Store.KitOf(ctx, as.Angler); err != nil {
		return nil, err
	}
	if p.Mine.Limits, err = s.Store.Limits(ctx, as.Angler); err != nil {
		return nil, err
	}
	if p.Mine.Rules, err = s.Store.Rules(ctx, as.Angler); err != nil {
		return nil, err
	}
	if p.Mine.Care, err = s.Store.OwnCares(ctx, as.Angler); err != nil {
		return nil, err
	}
	if p.Caught, err = as.Caught(ctx, as.Now().Add(-caughtFor-bylaw.HeldFor), as.Now().Add(caughtFor)); err != nil {
		return nil, err
	}
	usual, err := s.Store.UsualOf(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	stations, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	spots, err := s.Desk.Spots(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	at := map[uuid.UUID]int{}
	seen := map[uuid.UUID]bool{}
	for _, sp := range spots {
		packed, err := packedSpot(p, sp, stations, at)
		if err != nil {
			return nil, err
		}
		p.Spots = append(p.Spots, packed)
		if seen[sp.Water.ID] {
			continue
		}
		seen[sp.Water.ID] = true
		w := pack.Water{ID: sp.Water.ID.String(), Name: sp.Water.Name, Readings: sp.List, Usual: usual[sp.Water.ID]}
		if w.Feed, err = s.feed(ctx, as, sp.Water.ID); err != nil {
			return nil, err
		}
		p.Waters = append(p.Waters, w)
	}
	rivers(p, spots)
	log, err := as.Learned(ctx)
	if err != nil {
		return nil, err
	}
	for i := range log.Spells {
		p.Log = append(p.Log, log.Spells[i].Weighed)
	}
	return p, nil
}

// packedSpot as it goes, with its station among the pack's; at says where those are.
func packedSpot(p *pack.Pack, sp *desk.Laid, stations store.Stations, at map[uuid.UUID]int) (pack.Spot, error) {
	st, o, err := stations.Root(sp.Water.StationID, sp.Offsets)
	if err != nil {
		return pack.Spot{}, err
	}
	station, packed := at[st.ID]
	if !packed {
		station = len(p.Harmonics)
		at[st.ID], p.Harmonics = station, append(p.Harmonics, pack.Harmonics{Z0M: st.Z0M, Constituents: st.Constituents})
	}
	p.Clocks[sp.Water.TimeZone] = sp.Clock
	return pack.Spot{ID: sp.ID.String(), WaterID: sp.Water.ID.String(), Station: station, Offsets: o, Clock: sp.Water.TimeZone,
		SurgeRevision: sp.SurgeRevision, Spot: sp.Bare()}, nil
}

// rivers of the waters that have some.
func rivers(p *pack.Pack, spots []*desk.Laid) {
	for i := range p.Waters {
		w := &p.Waters[i]
		for _, sp := range spots {
			if r := sp.River; r != nil && sp.Water.ID.String() == w.ID {
				w.River = &pack.River{Bends: r.Bends, Now: r.Now, Met: r.Met}
			}
		}
	}
}

func (s service) feed(ctx context.Context, as *web.Scope, water uuid.UUID) (*pack.Feed, error) {
	f, err := s.Store.FeedOf(ctx, as.Angler, water)
	if err != nil || f == nil {
		return nil, err
	}
	return &pack.Feed{IssuedAt: f.IssuedAt, FetchedAt: f.FetchedAt, Problem: f.Problem}, nil
}
