package ahead

import (
	"context"
	"errors"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/plan"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type monthInput struct {
	wire.ByID
	Month     string  `query:"month" pattern:"^[0-9]{4}-[0-9]{2}$" doc:"as 2026-12; that of now if left out"`
	MarginMin float64 `query:"margin_min" minimum:"0" maximum:"720" default:"20" doc:"to be out before the way shuts"`
}

type monthDay struct {
	From     time.Time   `json:"from"`
	Turns    []stopTurn  `json:"turns" nullable:"false"`
	Sunrise  []time.Time `json:"sunrise" nullable:"false"`
	Sunset   []time.Time `json:"sunset" nullable:"false"`
	Moonrise []time.Time `json:"moonrise" nullable:"false"`
	Moonset  []time.Time `json:"moonset" nullable:"false"`
	Moon     string      `json:"moon" enum:",new moon,first quarter,full moon,last quarter" doc:"the quarter it reaches that day"`
	LitPct   float64     `json:"lit_pct" doc:"of its disc, at noon"`
	Visits   []string    `json:"visits" nullable:"false" doc:"when one can be there, in words"`
}

type monthOutput struct {
	Body struct {
		Spot     string     `json:"spot"`
		Water    string     `json:"water"`
		Month    string     `json:"month"`
		TimeZone string     `json:"time_zone"`
		Days     []monthDay `json:"days" nullable:"false"`
	}
}

func (s service) registerMonth(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots/{id}/month", "spotMonth", "A month of a spot for one page of paper"), s.month)
}

func (s service) month(ctx context.Context, as *web.Scope, in *monthInput) (*monthOutput, error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	first := as.Now().In(sp.Clock)
	if in.Month != "" {
		if first, err = time.Parse("2006-01", in.Month); err != nil {
			return nil, web.Wrong("query.month", errors.New("expected a month like 2026-12"))
		}
	}
	days, err := plan.Month(&sp.Spot, first.Year(), first.Month(), minutes(in.MarginMin))
	if err != nil {
		return nil, web.Wrong("query.month", err)
	}
	out := &monthOutput{}
	b := &out.Body
	b.Spot, b.Water, b.Month, b.TimeZone, b.Days = sp.Name, sp.Water.Name, first.Format("2006-01"), sp.Water.TimeZone, []monthDay{}
	for _, d := range days {
		one := monthDay{From: d.From, Turns: []stopTurn{}, Sunrise: times(d.Sun.Sunrise), Sunset: times(d.Sun.Sunset),
			Moonrise: times(d.Sun.Moonrise), Moonset: times(d.Sun.Moonset), Moon: d.Quarter, LitPct: 100 * d.Moon.Illumination,
			Visits: []string{}}
		for _, k := range d.Turns {
			one.Turns = append(one.Turns, turnOf(k))
		}
		for _, v := range d.Visits {
			one.Visits = append(one.Visits, v.Says(sp.Clock, as.Units))
		}
		b.Days = append(b.Days, one)
	}
	return out, nil
}

func times(list []time.Time) []time.Time { return append([]time.Time{}, list...) }

func turnOf(k tide.Turn) stopTurn {
	kind := "low"
	if k.Kind == tide.High {
		kind = "high"
	}
	return stopTurn{k.Time, kind, k.LevelM}
}
