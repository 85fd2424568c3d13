package places

import (
	"context"
	"errors"
	"fmt"
	"math"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/prose"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type waterOut struct {
	ID        string          `json:"id"`
	Name      string          `json:"name"`
	TimeZone  string          `json:"time_zone"`
	StationID string          `json:"station_id"`
	Revision  int             `json:"revision"`
	Zones     []zoneOut       `json:"zones" nullable:"false"`
	Outline   [][]wire.LatLon `json:"outline" nullable:"false" doc:"rings of its shores: land, lake, island in turn"`
	Grid      *gridOut        `json:"grid,omitempty" doc:"its depths; the cells are at grid.bin"`
	Feed      *waterFeedOut   `json:"feed,omitempty" doc:"where its forecast comes from"`
	Invented  bool            `json:"invented" doc:"of the invented coast"`
	HighM     float64         `json:"high_m" doc:"the highest tide of the next thirty days, with what was seen of surge; above it is land"`
}

type gridOut struct {
	South  float64 `json:"south_deg" doc:"centre of the first cell"`
	West   float64 `json:"west_deg"`
	DLat   float64 `json:"dlat_deg"`
	DLon   float64 `json:"dlon_deg"`
	Rows   int     `json:"rows"`
	Cols   int     `json:"cols"`
	Source string  `json:"source"`
	Low    float64 `json:"low_m"`
	High   float64 `json:"high_m"`
}

type waterInput struct {
	wire.ByID
	Body struct {
		Name      string    `json:"name" minLength:"1" maxLength:"80"`
		TimeZone  string    `json:"time_zone" maxLength:"64"`
		StationID uuid.UUID `json:"station_id" format:"uuid"`
		Revision  int       `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

type deleteWaterInput struct {
	wire.ByID
	Everything bool `query:"everything" doc:"with all it holds; otherwise that is told, and it stays"`
}

func (s service) registerWaters(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/waters", "listWaters", "One's waters"), s.listWaters)
	web.Signed(api, s.Deps, web.Get("/waters/{id}", "getWater", "A water with its shores, zones and what is known of its depths"),
		s.getWater)
	web.Signed(api, s.Deps, web.Conflicting(web.Put("/waters/{id}", "putWater", "Write a water, new or changed")), s.putWater)
	web.Signed(api, s.Deps, web.Conflicting(web.Delete("/waters/{id}", "deleteWater", "Remove a water")), s.deleteWater)
	web.Signed(api, s.Deps, web.Get("/waters/{id}/reach", "reachSpots",
		"How long the way to each spot of a water takes, each in its own manner"), s.reach)
	s.registerFeeds(api)
	s.registerDepths(api)
}

type waterListed struct {
	ID        string `json:"id"`
	Name      string `json:"name"`
	TimeZone  string `json:"time_zone"`
	StationID string `json:"station_id"`
	Revision  int    `json:"revision"`
	Invented  bool   `json:"invented" doc:"of the invented coast"`
}

type watersOutput struct {
	Body []waterListed `nullable:"false"`
}

func (s service) listWaters(ctx context.Context, as *web.Scope, _ *struct{}) (*watersOutput, error) {
	list, err := s.Store.Waters(ctx, as.Angler)
	out := &watersOutput{Body: []waterListed{}}
	for _, w := range list {
		out.Body = append(out.Body, waterListed{w.ID.String(), w.Name, w.TimeZone, w.StationID.String(), w.Revision, w.Invented})
	}
	return out, err
}

func (s service) putWater(ctx context.Context, as *web.Scope, in *waterInput) (*wire.RevisionOutput, error) {
	if _, err := time.LoadLocation(in.Body.TimeZone); err != nil || in.Body.TimeZone == "" {
		return nil, web.Wrong("body.time_zone", fmt.Errorf("unknown time zone %q; expected a name like Atlantic/Azores", in.Body.TimeZone))
	}
	revision, err := s.Store.PutWater(ctx, as.Angler, store.Water{ID: in.ID, StationID: in.Body.StationID, Name: in.Body.Name,
		TimeZone: in.Body.TimeZone, Revision: in.Body.Revision})
	return wire.Revised(revision), err
}

func (s service) deleteWater(ctx context.Context, as *web.Scope, in *deleteWaterInput) (*struct{}, error) {
	holds, err := s.Store.DeleteWater(ctx, as.Angler, in.ID, in.Everything)
	if err == nil && !in.Everything && !holds.Empty() {
		return nil, web.InTheWay(wouldGo(holds))
	}
	return nil, err
}

func (s service) getWater(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{ Body waterOut }, error) {
	w, err := s.Store.Water(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	feed, err := s.Store.FeedOf(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	o := waterOut{ID: w.ID.String(), Name: w.Name, TimeZone: w.TimeZone, StationID: w.StationID.String(), Revision: w.Revision,
		Invented: w.Invented, Zones: []zoneOut{}, Outline: [][]wire.LatLon{}}
	if feed != nil {
		known := feedOf(*feed, 0)
		o.Feed = &known
	}
	if o.HighM, err = s.Desk.Highest(ctx, as.Angler, in.ID, as.Now()); err != nil {
		return nil, err
	}
	outline, err := s.Store.Outline(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	if outline != nil {
		for _, r := range outline.Rings {
			o.Outline = append(o.Outline, wire.LatLons(r))
		}
	}
	zones, err := s.Store.ZonesOf(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	for _, z := range zones {
		o.Zones = append(o.Zones, zoneBodyOf(z, as.Now()))
	}
	g, err := s.Store.Grid(ctx, as.Angler, in.ID)
	if err == nil {
		lo, hi := g.Range()
		if math.IsNaN(lo) {
			lo, hi = 0, 0
		}
		o.Grid = &gridOut{South: g.South, West: g.West, DLat: g.DLat, DLon: g.DLon, Rows: g.Rows, Cols: g.Cols, Source: g.Source,
			Low: lo, High: hi}
	} else if !errors.Is(err, store.ErrNotFound) {
		return nil, err
	}
	return &struct{ Body waterOut }{o}, nil
}

// wouldGo says what a water holds that would go with it.
func wouldGo(h store.Holding) string {
	var list []string
	for _, c := range []struct {
		n         int
		one, many string
	}{{h.Spots, "spot", "spots"}, {h.Spells, "spell", "spells"}, {h.Catches, "catch", "catches"}, {h.Zones, "zone", "zones"},
		{h.Readings, "reading of yours", "readings of yours"}} {
		if c.n > 0 {
			list = append(list, prose.Count(c.n, c.one, c.many))
		}
	}
	return fmt.Sprintf("%s holds %s. All of it would go with it.", h.Name, prose.And(list))
}
