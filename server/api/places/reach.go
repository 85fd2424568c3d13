package places

import (
	"context"
	"time"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type reachInput struct {
	wire.ByID
	Lat  float64   `query:"lat" minimum:"-90" maximum:"90" required:"true" doc:"where one sets out"`
	Lon  float64   `query:"lon" minimum:"-180" maximum:"180" required:"true"`
	By   string    `query:"by" enum:"legs,kayak,boat,car" doc:"what one has to get about with; as each spot is usually reached if left out"`
	Time time.Time `query:"time" doc:"now if left out; the tide is taken to stand still"`
}

type reachOut struct {
	SpotID  string   `json:"spot_id"`
	Minutes *float64 `json:"minutes,omitempty" doc:"left out where no way leads there at this level, or not by these means"`
	Manner  string   `json:"manner,omitempty" enum:"on foot,wading,kayak,boat" doc:"of the way; by car, of its last metres"`
	Bee     bool     `json:"bee_line" doc:"from the bee line: nothing is known of the ground, or of the road"`
}

type reachOutput struct {
	Body []reachOut `nullable:"false"`
}

func (s service) reach(ctx context.Context, as *web.Scope, in *reachInput) (*reachOutput, error) {
	level, err := s.Desk.Level(ctx, as.Angler, in.ID, as.At(in.Time))
	if err != nil {
		return nil, err
	}
	spots, err := s.Store.SpotsOf(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	grid, err := s.grid(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	out := &reachOutput{Body: []reachOut{}}
	reach := spot.ReachFrom(grid, ground.LatLon{Lat: in.Lat, Lon: in.Lon}, level)
	reach.By = ground.Means(in.By)
	for _, sp := range spots {
		o := reachOut{SpotID: sp.ID.String()}
		if way, there := reach.To(&sp.Spot); there {
			minutes := way.Took.Minutes()
			o.Minutes, o.Manner, o.Bee = &minutes, string(way.Manner), way.Guessed
		}
		out.Body = append(out.Body, o)
	}
	return out, nil
}
