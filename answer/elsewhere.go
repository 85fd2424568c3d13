package answer

import (
	"time"

	"github.com/google/uuid"

	"greypebble/core/elsewhere"
	"greypebble/core/outing"
	"greypebble/core/spot"
)

// ElsewhereAsked is for which fish, and when.
type ElsewhereAsked struct {
	Target string    `query:"target" json:"target" required:"true" maxLength:"80" example:"red-drum"`
	Time   time.Time `query:"time" json:"time" doc:"now if left out"`
}

// ElsewhereOut is a spot one could go to instead.
type ElsewhereOut struct {
	SpotID  string      `json:"spot_id" format:"uuid"`
	Name    string      `json:"name"`
	Here    ExpectedOut `json:"here" doc:"fish a rod-hour there, with the best that can be fished"`
	AwayMin float64     `json:"away_min" doc:"packing and the way, guessed from the bee line"`
	Until   *time.Time  `json:"until,omitempty" doc:"when its way shuts"`
}

// Elsewhere is what staying at a spot is compared with.
type Elsewhere struct {
	Here      *ExpectedOut   `json:"here,omitempty" doc:"fish a rod-hour here; left out where nothing can be fished"`
	Winter    bool           `json:"winter" doc:"a school that is found is worked until it stops"`
	AllAtOnce bool           `json:"all_at_once" doc:"those of one place feed together and stop together"`
	Others    []ElsewhereOut `json:"others" nullable:"false" doc:"the nearest that can be fished when one comes there, best first"`
}

// ElsewhereOf a spot: what is expected there, and at those one could go to, once there.
func ElsewhereOf(around Around, id uuid.UUID, asked ElsewhereAsked) (*Elsewhere, error) {
	q, err := questionOf(around, &AdviseBody{SpotID: id, Time: asked.Time, Target: asked.Target})
	if err != nil {
		return nil, Within("query", err)
	}
	spots, err := around.Spots(q.Time)
	if err != nil {
		return nil, err
	}
	target := q.targets[0]
	out := &Elsewhere{Winter: outing.Winter(q.Time, q.Spot.Lat), AllAtOnce: target.AllAtOnce, Others: []ElsewhereOut{}}
	if c, _, err := elsewhere.Expected(q.Question, target); err != nil {
		return nil, err
	} else if c.Median > 0 {
		e := ExpectedOut(c)
		out.Here = &e
	}
	here, laid := 0, make([]*spot.Spot, len(spots))
	for i, sp := range spots {
		laid[i] = sp.Spot
		if sp.ID == id {
			here = i
		}
	}
	others, err := elsewhere.Of(q.Question, target, laid, here)
	if err != nil {
		return nil, err
	}
	for _, o := range others {
		sp := spots[o.At]
		out.Others = append(out.Others, ElsewhereOut{sp.ID.String(), sp.Name, ExpectedOut(o.Catch), o.Away.Minutes(), Moment(o.Until)})
	}
	return out, nil
}
