package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/server/store"
)

type chartInput struct {
	Time time.Time `query:"time" doc:"now if left out"`
}

// chartSpot is a spot on the map at a moment.
type chartSpot struct {
	SpotSummary
	Open     bool        `json:"open"`
	Closing  bool        `json:"closing"`
	Closes   *time.Time  `json:"closes,omitempty"`
	Opens    *time.Time  `json:"opens,omitempty" doc:"when it opens next, if it is shut"`
	Says     string      `json:"says"`
	Surface  surfaceOut  `json:"surface"`
	Warnings []string    `json:"warnings" nullable:"false" doc:"of zones that hold there now"`
	Line     []latLon    `json:"line" nullable:"false" doc:"its section on the map"`
	Shape    *ShapeBody  `json:"shape,omitempty"`
	Marks    []chartMark `json:"marks" nullable:"false"`
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
	ByID
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

func (s *Server) registerChart(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/chart", "chart", "Every spot on the map at a moment"), s.chart)
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/shelter", "spotShelter", "How the water lies at a spot, wind by wind"), s.shelter)
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/pier", "readPier", "What lies under a pier at a moment, and the depths to try"), s.pier)
}

func (s *Server) chart(ctx context.Context, in *chartInput) (*chartOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	t := s.at(in.Time)
	spots, err := s.store.Spots(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	readings, err := s.readings(ctx, angler, t)
	if err != nil {
		return nil, failed(err)
	}
	waters, err := s.store.Waters(ctx, angler)
	if err != nil {
		return nil, failed(err)
	}
	out := &chartOutput{}
	b := &out.Body
	b.Time, b.Spots, b.Levels = t, []chartSpot{}, map[string]float64{}
	for _, w := range waters {
		if b.Levels[w.ID.String()], err = s.levelOf(ctx, angler, w.ID, t); err != nil {
			return nil, failed(err)
		}
	}
	for _, sp := range spots {
		one, err := onChart(sp, readings[sp.Water.ID], t)
		if err != nil {
			return nil, failed(err)
		}
		b.Spots = append(b.Spots, one)
	}
	return out, nil
}

func onChart(sp *store.Spot, readings []conditions.Reading, t time.Time) (chartSpot, error) {
	o := chartSpot{SpotSummary: summary(sp), Warnings: []string{}, Line: []latLon{}, Marks: []chartMark{}}
	c, err := tide.Over(sp.Tide, t.Add(-windowsBefore), t.Add(windowsAfter))
	if err != nil {
		return o, err
	}
	m, err := sp.ForAdvice(readings).At(c, t)
	if err != nil {
		return o, err
	}
	open := sp.Access.Open(c)
	w, isOpen := ground.NextClose(open, t)
	o.Open, o.Closing, o.Says, o.Surface = isOpen, advise.ClosesSoon(open, t), m.Headline(quantity.Metric), surfaceOf(m.Surface())
	if isOpen && !w.Closes.IsZero() {
		o.Closes = &w.Closes
	}
	for _, n := range open {
		if !isOpen && n.Opens.After(t) {
			o.Opens = &n.Opens
			break
		}
	}
	o.Warnings = zoneWarnings(sp, t)
	if sp.Shape != nil {
		o.Shape = &ShapeBody{sp.Shape.Area, latLons(sp.Shape.Points)}
	}
	if sp.SectionFrom != nil && len(sp.Section) > 1 {
		for _, p := range []ground.Point{sp.Section[0], sp.Section[len(sp.Section)-1]} {
			o.Line = append(o.Line, latLon(ground.Toward(*sp.SectionFrom, sp.SectionBearing, p.DistanceM)))
		}
	}
	for _, k := range sp.Marks {
		at := sp.PlaceOf(k)
		if at != nil {
			o.Marks = append(o.Marks, chartMark{k.Name, string(k.Kind), at.Lat, at.Lon, k.Depth(m.LevelM), k.Snag, k.Note})
		}
	}
	return o, nil
}

// zoneWarnings that hold at a spot at a moment.
func zoneWarnings(sp *store.Spot, t time.Time) []string {
	out := []string{}
	touched, area := sp.Touched()
	for i := range sp.Zones {
		if z := &sp.Zones[i]; z.HoldsOn(touched, area, t) {
			out = append(out, z.Warning(t))
		}
	}
	return out
}

func (s *Server) shelter(ctx context.Context, in *shelterInput) (*shelterOutput, error) {
	sp, angler, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	m, _, err := s.moment(ctx, angler, sp, s.now().UTC(), 0, 0, nil)
	if err != nil {
		return nil, failed(err)
	}
	out := &shelterOutput{Body: []shelterOut{}}
	for deg := 0.0; deg < 360; deg += 360.0 / 16 {
		f := m.SurfaceUnder(in.WindMS, deg)
		out.Body = append(out.Body, shelterOut{deg, f.Surface.String(), f.WaveM, f.FetchM, f.Side.String(), f.Surface.Sheltered()})
	}
	return out, nil
}

func (s *Server) pier(ctx context.Context, in *stateInput) (*pierOutput, error) {
	sp, angler, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	m, _, err := s.moment(ctx, angler, sp, s.at(in.Time), 0, 0, nil)
	if err != nil {
		return nil, failed(err)
	}
	out := &pierOutput{}
	b := &out.Body
	b.Under = []pierOut{}
	for _, u := range ground.ReadPier(sp.Marks, m.LevelM) {
		b.Under = append(b.Under, pierOut{u.Mark.Name, u.Mark.DistanceM, u.DepthM, u.TryDepths})
	}
	b.Says = "Straight down beside the wood first: most people cast away from the best water."
	if u, known := m.Current(); known {
		b.CurrentMS = &u
		if u > water.Noticeable || u < -water.Noticeable {
			b.Says += " Stand up-tide, so that the line runs clear of the pilings; the larger fish are often further down-tide."
		}
	}
	return out, nil
}
