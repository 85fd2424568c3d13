package places

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/desk"
)

type chartInput struct {
	Time time.Time `query:"time" doc:"now if left out"`
}

// chartSpot is a spot on the map at a moment.
type chartSpot struct {
	SpotSummary
	Open     bool              `json:"open"`
	Closing  bool              `json:"closing"`
	Closes   *time.Time        `json:"closes,omitempty"`
	Opens    *time.Time        `json:"opens,omitempty" doc:"when it opens next, if it is shut"`
	ClosedBy string            `json:"closed_by,omitempty" doc:"the zone whose rule closes it now"`
	Says     string            `json:"says"`
	Surface  answer.SurfaceOut `json:"surface"`
	Warnings []string          `json:"warnings" nullable:"false" doc:"of zones that hold there now"`
	Line     []wire.LatLon     `json:"line" nullable:"false" doc:"its section on the map"`
	Shape    *wire.ShapeBody   `json:"shape,omitempty"`
	Marks    []chartMark       `json:"marks" nullable:"false"`
}

type chartMark struct {
	Name   string  `json:"name"`
	Kind   string  `json:"kind"`
	Lat    float64 `json:"lat"`
	Lon    float64 `json:"lon"`
	DepthM float64 `json:"depth_m"`
	Snag   bool    `json:"snag"`
	Note   string  `json:"note,omitempty"`
}

type chartOutput struct {
	Body struct {
		Time   time.Time          `json:"time"`
		Spots  []chartSpot        `json:"spots" nullable:"false"`
		Levels map[string]float64 `json:"levels" doc:"of each water by its id, metres above chart datum"`
	}
}

type shelterInput struct {
	wire.ByID
	WindMS float64 `query:"wind_ms" minimum:"0" maximum:"60" default:"6"`
}

type shelterOut struct {
	FromDeg   float64 `json:"from_deg"`
	Word      string  `json:"word" enum:"glassy,ripple,chop,rough"`
	WaveM     float64 `json:"wave_m"`
	FetchM    float64 `json:"fetch_m"`
	Side      string  `json:"side" enum:"lee,exposed,along"`
	Sheltered bool    `json:"sheltered" doc:"glassy or rippled"`
}

type shelterOutput struct {
	Body []shelterOut `nullable:"false"`
}

type pierOut struct {
	Mark      string    `json:"mark"`
	DistanceM float64   `json:"distance_m"`
	DepthM    float64   `json:"depth_m"`
	TryM      []float64 `json:"try_m" nullable:"false" doc:"depths from the surface, in the order to try"`
}

type pierOutput struct {
	Body struct {
		Under     []pierOut `json:"under" nullable:"false" doc:"deepest first"`
		CurrentMS *float64  `json:"current_ms,omitempty" doc:"positive on the flood"`
		Says      string    `json:"says"`
	}
}

func (s service) registerChart(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/chart", "chart", "Every spot on the map at a moment"), s.chart)
	web.Signed(api, s.Deps, web.Get("/spots/{id}/shelter", "spotShelter", "How the water lies at a spot, wind by wind"), s.shelter)
	web.Signed(api, s.Deps, web.Get("/spots/{id}/pier", "readPier", "What lies under a pier at a moment, and the depths to try"), s.pier)
}

func (s service) chart(ctx context.Context, as *web.Scope, in *chartInput) (*chartOutput, error) {
	t := as.At(in.Time)
	spots, err := s.Desk.Spots(ctx, as.Angler, t)
	if err != nil {
		return nil, err
	}
	levels, err := s.Desk.Levels(ctx, as.Angler, t)
	if err != nil {
		return nil, err
	}
	out := &chartOutput{}
	b := &out.Body
	b.Time, b.Spots, b.Levels = t, []chartSpot{}, map[string]float64{}
	for water, level := range levels {
		b.Levels[water.String()] = level
	}
	memo := new(tide.Memo)
	for _, sp := range spots {
		if err := ctx.Err(); err != nil {
			return nil, err
		}
		one, err := onChart(sp, memo, t, as.Units)
		if err != nil {
			return nil, err
		}
		b.Spots = append(b.Spots, one)
	}
	return out, nil
}

func onChart(sp *desk.Laid, memo *tide.Memo, t time.Time, u quantity.Units) (chartSpot, error) {
	m, c, err := sp.AtWith(memo, t, answer.WindowsBefore, answer.WindowsAfter)
	if err != nil {
		return chartSpot{}, err
	}
	gate := spot.GateAt(sp.Open(c), t)
	o := chartSpot{SpotSummary: summary(sp.Spot), Open: gate.Open, Closing: gate.Closing, Closes: answer.Moment(gate.Closes),
		Opens: answer.Moment(gate.Opens), Says: m.Headline(u), Surface: answer.Surface(m.Surface()), Warnings: sp.ZoneWarnings(t, u),
		Line: wire.LatLons(sp.Line()), Shape: wire.Shape(sp.Shape),
		Marks: []chartMark{}}
	if z := sp.Spot.Spot.Closing(t); z != nil {
		o.ClosedBy = z.Name()
	}
	for _, k := range sp.Marks {
		if at := sp.PositionOf(k); at != nil {
			o.Marks = append(o.Marks, chartMark{Name: k.Name, Kind: string(k.Kind), Lat: at.Lat, Lon: at.Lon, DepthM: k.Depth(m.LevelM),
				Snag: k.Snag, Note: k.Note})
		}
	}
	return o, nil
}

func (s service) shelter(ctx context.Context, as *web.Scope, in *shelterInput) (*shelterOutput, error) {
	m, err := s.momentOf(ctx, as, wire.ByIDAt{ByID: in.ByID})
	if err != nil {
		return nil, err
	}
	out := &shelterOutput{Body: []shelterOut{}}
	all := m.Shelter(in.WindMS)
	for i, s := range all.Surfaces {
		f := answer.Surface(s)
		out.Body = append(out.Body, shelterOut{FromDeg: all.FromDeg(i), Word: f.Word, WaveM: f.WaveM, FetchM: f.FetchM, Side: f.Side,
			Sheltered: f.Sheltered})
	}
	return out, nil
}

func (s service) momentOf(ctx context.Context, as *web.Scope, in wire.ByIDAt) (spot.Moment, error) {
	t := as.At(in.Time)
	sp, err := s.Desk.Spot(ctx, as.Angler, in.ID, t)
	if err != nil {
		return spot.Moment{}, err
	}
	m, _, err := sp.At(t, 0, 0)
	return m, err
}

func (s service) pier(ctx context.Context, as *web.Scope, in *wire.ByIDAt) (*pierOutput, error) {
	m, err := s.momentOf(ctx, as, *in)
	if err != nil {
		return nil, err
	}
	read := m.ReadPier()
	out := &pierOutput{}
	b := &out.Body
	b.Under, b.Says = []pierOut{}, read.Says
	for _, u := range read.Under {
		b.Under = append(b.Under, pierOut{Mark: u.Mark.Name, DistanceM: u.Mark.DistanceM, DepthM: u.DepthM, TryM: u.TryDepths})
	}
	if read.Known {
		b.CurrentMS = &read.CurrentMS
	}
	return out, nil
}
