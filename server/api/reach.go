package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/ground"
	"greypebble/server/store"
)

type reachInput struct {
	ByID
	Lat  float64   `query:"lat" minimum:"-90" maximum:"90" required:"true" doc:"where one sets out"`
	Lon  float64   `query:"lon" minimum:"-180" maximum:"180" required:"true"`
	Time time.Time `query:"time" doc:"now if left out; the tide is taken to stand still"`
}

type reachOut struct {
	SpotID  string   `json:"spot_id"`
	Minutes *float64 `json:"minutes,omitempty" doc:"left out where no way leads there at this level"`
	Bee     bool     `json:"bee_line" doc:"nothing is known of the ground: as the crow flies"`
}

type reachOutput struct {
	Body []reachOut `nullable:"false"`
}

func (s *Server) registerReach(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/waters/{id}/reach", "reachSpots", "How long the way to each spot of a water takes, each in its own manner"), s.reach)
}

// What the grid does not know of: decks and walls built over it.
const (
	builtSlackM = 260
	slackM      = 45
)

var built = map[string]bool{"pier": true, "bridge": true, "jetty": true, "seawall": true}

func (s *Server) reach(ctx context.Context, in *reachInput) (*reachOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	level, err := s.levelOf(ctx, angler, in.ID, s.at(in.Time))
	if err != nil {
		return nil, failed(err)
	}
	spots, err := s.store.Spots(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	g, err := s.store.Grid(ctx, angler, in.ID)
	if err != nil && err != store.ErrNotFound {
		return nil, failed(err)
	}
	from := ground.LatLon{Lat: in.Lat, Lon: in.Lon}
	type going struct {
		manner  ground.Manner
		draught float64
	}
	ways := make(map[going]*ground.Reached)
	out := &reachOutput{Body: []reachOut{}}
	for _, sp := range spots {
		if sp.Water.ID != in.ID {
			continue
		}
		o := reachOut{SpotID: sp.ID.String(), Bee: g.Grid == nil}
		to := ground.LatLon{Lat: sp.Lat, Lon: sp.Lon}
		took, there := sp.Access.Straight(from, to), true
		if g.Grid != nil {
			k := going{sp.Access.Manner, sp.Access.DraughtM}
			if ways[k] == nil {
				ways[k] = g.Reach(from, level, sp.Access)
			}
			slack := float64(slackM)
			if built[sp.Place] {
				slack = builtSlackM
			}
			took, there = ways[k].At(to, slack)
		}
		if there {
			minutes := took.Minutes()
			o.Minutes = &minutes
		}
		out.Body = append(out.Body, o)
	}
	return out, nil
}
