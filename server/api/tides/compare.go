package tides

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/tide"
	"greypebble/interchange/turns"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type compareInput struct {
	A    uuid.UUID `query:"a" format:"uuid" required:"true"`
	B    uuid.UUID `query:"b" format:"uuid" required:"true"`
	From time.Time `query:"from" doc:"now if left out"`
	Days int       `query:"days" minimum:"1" maximum:"365" default:"60" doc:"that are compared"`
}

type compareOutput struct {
	Body struct {
		From           time.Time   `json:"from"`
		To             time.Time   `json:"to"`
		LagHighMin     float64     `json:"lag_high_min" doc:"how much later b has high water, on average"`
		LagLowMin      float64     `json:"lag_low_min"`
		LagHighScatter float64     `json:"lag_high_scatter_min" doc:"one standard deviation of single turns"`
		LagLowScatter  float64     `json:"lag_low_scatter_min"`
		Highs          int         `json:"highs"`
		Lows           int         `json:"lows"`
		Factor         float64     `json:"factor" doc:"heights of b's turns are factor · a's + difference"`
		DifferenceM    float64     `json:"difference_m"`
		RMSM           float64     `json:"rms_m" doc:"root mean square difference of the levels"`
		RangeAM        float64     `json:"mean_spring_range_a_m"`
		RangeBM        float64     `json:"mean_spring_range_b_m"`
		Curve          []pairedOut `json:"curve" nullable:"false" doc:"levels of both over the first three days"`
	}
}

type pairedOut struct {
	Time time.Time `json:"time"`
	AM   float64   `json:"a_m"`
	BM   float64   `json:"b_m"`
}

type turnsFileInput struct {
	wire.ByID
	From time.Time `query:"from" doc:"the start of this year if left out"`
	Days int       `query:"days" minimum:"1" maximum:"1100" default:"366"`
}

func (s service) registerCompare(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/tide/compare", "compareStations", "How one station's tide differs from another's"), s.compare)
	web.Signed(api, s.Deps, web.Get("/stations/{id}/turns.csv", "turnsFile", "A table of a station's high and low waters"), s.turnsFile)
}

// curve of a comparison.
const (
	curveDays = 3
	curveStep = 20 * time.Minute
)

func (s service) compare(ctx context.Context, as *web.Scope, in *compareInput) (*compareOutput, error) {
	stations, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	a, err := stations.Tide(in.A)
	if err != nil {
		return nil, err
	}
	b, err := stations.Tide(in.B)
	if err != nil {
		return nil, err
	}
	from := as.At(in.From).Truncate(time.Hour)
	to := from.AddDate(0, 0, in.Days)
	c, err := tide.Compare(a, b, from, to)
	if err != nil {
		return nil, web.Wrong("query.b", err)
	}
	out := &compareOutput{}
	o := &out.Body
	o.From, o.To, o.Highs, o.Lows = from, to, c.Highs, c.Lows
	o.LagHighMin, o.LagLowMin, o.LagHighScatter, o.LagLowScatter = c.LagHigh.Minutes(), c.LagLow.Minutes(), c.LagHighScatter.Minutes(),
		c.LagLowScatter.Minutes()
	o.Factor, o.DifferenceM, o.RMSM, o.RangeAM, o.RangeBM = c.Factor, c.DifferenceM, c.RMSM, c.RangeM, c.OtherRangeM
	o.Curve, err = paired(a, b, from)
	return out, err
}

func paired(a, b tide.Predictor, from time.Time) ([]pairedOut, error) {
	to := from.AddDate(0, 0, curveDays)
	ca, err := tide.Over(a, from, to)
	if err != nil {
		return nil, err
	}
	cb, err := tide.Over(b, from, to)
	if err != nil {
		return nil, err
	}
	var out []pairedOut
	for t := from; !t.After(to); t = t.Add(curveStep) {
		out = append(out, pairedOut{t, ca.Level(t), cb.Level(t)})
	}
	return out, nil
}

func (s service) turnsFile(ctx context.Context, as *web.Scope, in *turnsFileInput) (*web.File, error) {
	stations, err := s.Store.StationsByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	place, err := stations.Tide(in.ID)
	if err != nil {
		return nil, err
	}
	from := in.From.UTC()
	if in.From.IsZero() {
		from = time.Date(as.Now().UTC().Year(), 1, 1, 0, 0, 0, 0, time.UTC)
	}
	if y := from.Year(); y < 1900 || y > 2100 {
		return nil, web.Wrong("query.from", fmt.Errorf("the year must lie between 1900 and 2100, not %d", y))
	}
	list, err := place.Turns(from, from.AddDate(0, 0, in.Days))
	if err != nil {
		return nil, err
	}
	return web.Attached("turns.csv", "text/csv; charset=utf-8", turns.Write(list, as.Units)), nil
}
