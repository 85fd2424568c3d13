package ahead

import (
	"context"
	"time"

	"greypebble/answer"
	"greypebble/core/plan"
	"greypebble/core/rigcard"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type toldOut struct {
	Time time.Time `json:"time"`
	Says string    `json:"says"`
}

type stopOut struct {
	LegOut
	ArriveM float64      `json:"arrive_m" doc:"level over datum on arriving"`
	LeaveM  float64      `json:"leave_m"`
	Turns   []stopTurn   `json:"turns" nullable:"false" doc:"of the water there: the one before, those between, the one after"`
	Way     string       `json:"way" doc:"when to be out; empty where nothing shuts it"`
	Hazards string       `json:"hazards"`
	Fee     string       `json:"fee"`
	Parking string       `json:"parking"`
	Access  string       `json:"access" doc:"how one gets there"`
	Spoilt  []string     `json:"spoilt" nullable:"false" doc:"what alone would spoil it; empty where one only waits"`
	Weather []string     `json:"weather" nullable:"false" doc:"in words, when it is at its best there"`
	Tie     *sheetChoice `json:"tie,omitempty"`
}

type stopTurn struct {
	Time    time.Time `json:"time"`
	Kind    string    `json:"kind" enum:"high,low"`
	HeightM float64   `json:"height_m"`
}

// sheetChoice is what to tie on at a stop, with its rig drawn.
type sheetChoice struct {
	Offering string          `json:"offering"`
	Rig      string          `json:"rig"`
	Mark     string          `json:"mark"`
	Says     string          `json:"says"`
	Retrieve string          `json:"retrieve"`
	Bite     string          `json:"bite"`
	Handling string          `json:"handling"`
	Drawing  *answer.Drawing `json:"drawing,omitempty"`
}

type sheetOutput struct {
	Body struct {
		Name      string              `json:"name"`
		Says      string              `json:"says"`
		LeaveHome time.Time           `json:"leave_home"`
		BackHome  time.Time           `json:"back_home"`
		TimeZone  string              `json:"time_zone"`
		Against   []string            `json:"against" nullable:"false"`
		Cautions  []answer.CautionOut `json:"cautions" nullable:"false" doc:"gravest first"`
		Stops     []stopOut           `json:"stops" nullable:"false"`
		Sun       []toldOut           `json:"sun" nullable:"false"`
		Bring     []string            `json:"bring" nullable:"false"`
		Missing   []string            `json:"missing" nullable:"false"`
		Bait      []string            `json:"bait" nullable:"false"`
		Bylaws    []string            `json:"bylaws" nullable:"false"`
		Hygiene   []string            `json:"hygiene" nullable:"false" doc:"of the place"`
		Tell      string              `json:"tell" doc:"for whoever is told where one goes"`
	}
}

func (s service) sheet(ctx context.Context, as *web.Scope, in *wire.ByID) (*sheetOutput, error) {
	p, d, _, err := s.kept(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	it, now, err := d.assessed()
	if err != nil {
		return nil, err
	}
	sh, err := d.o.Sheet(&it, d.Margin, d.has, plan.Contact{Whom: p.Tell, Call: minutes(p.Asked.CallMin)}, as.Now())
	if err != nil {
		return nil, err
	}
	out := &sheetOutput{}
	b := &out.Body
	b.Name, b.Says, b.LeaveHome, b.BackHome, b.Against, b.Tell = p.Name, now.Says, now.LeaveHome, now.BackHome, now.Against, sh.Tell
	b.Cautions, b.Bring, b.Missing, b.Bait, b.Bylaws = answer.Cautions(sh.Cautions), listed(sh.Bring), listed(sh.Missing), listed(sh.Bait),
		listed(sh.Bylaws)
	b.Hygiene = listed(sh.Hygiene)
	b.Sun, b.Stops, b.TimeZone = []toldOut{}, []stopOut{}, "UTC"
	for _, k := range sh.Sun {
		b.Sun = append(b.Sun, toldOut(k))
	}
	for i := range sh.Stops {
		b.Stops = append(b.Stops, d.stopOf(&sh.Stops[i], now.Legs[i]))
		b.TimeZone = now.Legs[0].TimeZone
	}
	return out, nil
}

func listed(list []string) []string { return append([]string{}, list...) }

func (d *asked) stopOf(s *plan.Stop, leg LegOut) stopOut {
	sp := d.o.Asked.Spots[s.Spot]
	out := stopOut{LegOut: leg, ArriveM: s.ArriveM, LeaveM: s.LeaveM, Turns: []stopTurn{}, Way: s.Way, Hazards: sp.Hazards,
		Fee: sp.Fee, Parking: sp.Parking,
		Access: string(sp.Access.Manner), Weather: listed(s.Weather), Spoilt: listed(s.Spoilt)}
	for _, t := range s.Turns {
		out.Turns = append(out.Turns, turnOf(t))
	}
	if len(s.Advice.Choices) == 0 || s.Target < 0 {
		return out
	}
	c := &s.Advice.Choices[0]
	k := &c.Card
	out.Tie = &sheetChoice{Offering: k.Offering, Rig: k.Rig, Mark: k.Mark, Says: c.Sentence, Retrieve: c.Retrieve, Bite: k.Bite,
		Handling: c.Handling}
	book := d.o.Asked.Book
	rig, drawn := book.Rig(k.RigID)
	if o, known := book.Offering(k.OfferingID); known && drawn {
		out.Tie.Drawing = answer.DrawingIf(rigcard.Rig(rig, rigcard.Tied{WeightKg: k.WeightKg, Hook: k.Hook, LeaderN: k.LeaderN,
			LeaderOf: k.LeaderOf, Offering: o, Units: d.as.Units}))
	}
	return out
}
