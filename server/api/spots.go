package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/tide"
	"greypebble/server/store"
)

// SpotSummary is a spot without its ground.
type SpotSummary struct {
	ID       string  `json:"id" format:"uuid"`
	Name     string  `json:"name"`
	Place    string  `json:"place"`
	Water    string  `json:"water"`
	WaterID  string  `json:"water_id" format:"uuid"`
	TimeZone string  `json:"time_zone"`
	Manner   string  `json:"manner"`
	Note     string  `json:"note"`
	Lat      float64 `json:"lat"`
	Lon      float64 `json:"lon"`
}

func summary(sp *store.Spot) SpotSummary {
	return SpotSummary{sp.ID.String(), sp.Name, sp.Place, sp.Water.Name, sp.Water.ID.String(), sp.Water.TimeZone, string(sp.Access.Manner), sp.Note, sp.Lat, sp.Lon}
}

type spotsOutput struct {
	Body []SpotSummary `nullable:"false"`
}

type sectionPoint struct {
	DistanceM  float64 `json:"distance_m"`
	ElevationM float64 `json:"elevation_m"`
}

type spotOutput struct {
	Body struct {
		SpotSummary
		Section  []sectionPoint `json:"section" nullable:"false" doc:"the ground, densely drawn, metres above chart datum"`
		Marks    []MarkOut      `json:"marks" nullable:"false"`
		Written  SpotBody       `json:"written" doc:"as it was written, to be changed and written again"`
		Revision int            `json:"revision"`
	}
}

// MarkOut is a mark where it lies.
type MarkOut struct {
	ID         string  `json:"id"`
	Name       string  `json:"name"`
	Kind       string  `json:"kind"`
	Bottom     string  `json:"bottom"`
	DistanceM  float64 `json:"distance_m"`
	ElevationM float64 `json:"elevation_m"`
	Note       string  `json:"note,omitempty"`
	Snag       bool    `json:"snag,omitempty"`
}

func markOf(m ground.Mark) MarkOut {
	return MarkOut{m.ID, m.Name, string(m.Kind), m.Bottom, m.DistanceM, m.ElevationM, m.Note, m.Snag}
}

type windowOut struct {
	Opens    *time.Time `json:"opens" required:"true" nullable:"true" doc:"null: before the interval"`
	Closes   *time.Time `json:"closes" required:"true" nullable:"true" doc:"null: after the interval"`
	ClosedBy string     `json:"closed_by"`
}

func windowsOf(list []ground.Window) []windowOut {
	at := func(t time.Time) *time.Time {
		if t.IsZero() {
			return nil
		}
		return &t
	}
	out := make([]windowOut, len(list))
	for i, w := range list {
		out[i] = windowOut{at(w.Opens), at(w.Closes), w.ClosedBy}
	}
	return out
}

type stageOut struct {
	Says      string  `json:"says" example:"flood, last third"`
	Direction string  `json:"direction" enum:"flood,ebb"`
	Third     int     `json:"third"`
	Elapsed   float64 `json:"elapsed" doc:"share of the time between the turns, 0…1"`
	RateMPerH float64 `json:"rate_m_per_h"`
	RangeM    float64 `json:"range_m"`
	Last      turnAt  `json:"last"`
	Next      turnAt  `json:"next"`
}

func stageOf(s tide.Stage) stageOut {
	t := turnsOf([]tide.Turn{s.Last, s.Next})
	return stageOut{s.String(), s.Direction.String(), s.Third, s.Elapsed, s.RateMPerH, s.RangeM, t[0], t[1]}
}

type markState struct {
	MarkOut
	DepthM   float64     `json:"depth_m" doc:"negative: dry by so much"`
	Covered  bool        `json:"covered"`
	Fishable bool        `json:"fishable"`
	Windows  []windowOut `json:"windows" nullable:"false"`
}

// ByID is a path with an id. It is exported for huma, which reads embedded
// parameters only then.
type ByID struct {
	ID uuid.UUID `path:"id" format:"uuid"`
}

type stateInput struct {
	ByID
	Time time.Time `query:"time" doc:"now if left out"`
}

type stateOutput struct {
	Body struct {
		SpotID     string      `json:"spot_id"`
		Time       time.Time   `json:"time"`
		LevelM     float64     `json:"level_m"`
		Stage      stageOut    `json:"stage"`
		Light      string      `json:"light"`
		Open       bool        `json:"open" doc:"whether one can get in and back now"`
		Marks      []markState `json:"marks" nullable:"false"`
		Windows    []windowOut `json:"windows" nullable:"false" doc:"when one can get in and back"`
		Conditions []condition `json:"conditions" nullable:"false"`
		Cautions   []string    `json:"cautions" nullable:"false"`
		Surge      *surgeOut   `json:"surge,omitempty" doc:"seen at this water and not yet faded"`
		NextPeak   *peakOut    `json:"next_peak,omitempty" doc:"springs or neaps ahead"`
	}
}

// Windows are told from half a day before the moment to a day and a half after.
const (
	windowsBefore = 13 * time.Hour
	windowsAfter  = 37 * time.Hour
)

func (s *Server) registerSpots(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/spots", "listSpots", "Your spots"), func(ctx context.Context, _ *struct{}) (*spotsOutput, error) {
		angler, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		spots, err := s.store.Spots(ctx, angler)
		if err != nil {
			return nil, failed(err)
		}
		out := &spotsOutput{Body: make([]SpotSummary, len(spots))}
		for i, sp := range spots {
			out.Body[i] = summary(sp)
		}
		return out, nil
	})
	huma.Register(api, operation(http.MethodGet, "/spots/{id}", "getSpot", "A spot with its ground"), s.getSpot)
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/state", "spotState", "The water at a spot at a moment"), s.spotState)
	huma.Register(api, operation(http.MethodGet, "/spots/{id}/ribbon", "spotRibbon", "The tide of a spot over some hours, frame by frame"), s.ribbon)
}

func (s *Server) getSpot(ctx context.Context, in *ByID) (*spotOutput, error) {
	sp, _, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	out := &spotOutput{}
	out.Body.SpotSummary = summary(sp)
	out.Body.Written, out.Body.Revision = bodyOf(sp), sp.Revision
	out.Body.Section = []sectionPoint{}
	if len(sp.Section) > 0 {
		section, err := ground.NewSection(sp.Section)
		if err != nil {
			return nil, failed(err)
		}
		for _, p := range section.Outline(160) {
			out.Body.Section = append(out.Body.Section, sectionPoint{p.DistanceM, p.ElevationM})
		}
	}
	out.Body.Marks = make([]MarkOut, len(sp.Marks))
	for i, m := range sp.Marks {
		out.Body.Marks[i] = markOf(m)
	}
	return out, nil
}

func (s *Server) spot(ctx context.Context, id uuid.UUID) (*store.Spot, uuid.UUID, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, angler, err
	}
	sp, err := s.store.Spot(ctx, angler, id)
	return sp, angler, failed(err)
}

// moment of a spot with the readings of its water, on a curve that reaches as
// far as asked.
func (s *Server) moment(ctx context.Context, angler uuid.UUID, sp *store.Spot, t time.Time, before, after time.Duration, own []conditions.Reading) (advise.Moment, *tide.Curve, error) {
	readings, err := s.readings(ctx, angler, t)
	if err != nil {
		return advise.Moment{}, nil, err
	}
	c, err := tide.Over(sp.Tide, t.Add(-before), t.Add(after))
	if err != nil {
		return advise.Moment{}, nil, err
	}
	m, err := sp.ForAdvice(append(readings[sp.Water.ID], own...)).At(c, t)
	return m, c, err
}

// readings that may speak for a moment and the fourteen days after it.
func (s *Server) readings(ctx context.Context, angler uuid.UUID, t time.Time) (map[uuid.UUID][]conditions.Reading, error) {
	return s.store.Readings(ctx, angler, t.AddDate(0, 0, -4), t.AddDate(0, 0, 15))
}

func (s *Server) at(t time.Time) time.Time {
	if t.IsZero() {
		return s.now().UTC()
	}
	return t.UTC()
}

func (s *Server) spotState(ctx context.Context, in *stateInput) (*stateOutput, error) {
	sp, angler, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	t := s.at(in.Time)
	m, c, err := s.moment(ctx, angler, sp, t, windowsBefore, windowsAfter, nil)
	if err != nil {
		return nil, failed(err)
	}
	out := &stateOutput{}
	b := &out.Body
	b.SpotID, b.Time, b.LevelM, b.Stage, b.Light = sp.ID.String(), t, m.LevelM, stageOf(m.Stage), m.Light().String()
	b.Marks = make([]markState, len(sp.Marks))
	for i, k := range sp.Marks {
		d := k.Depth(m.LevelM)
		b.Marks[i] = markState{markOf(k), d, d > 0, k.Fishable.Holds(d), windowsOf(k.Windows(c))}
	}
	open := sp.Access.Open(c)
	_, b.Open = ground.NextClose(open, t)
	b.Windows, b.Conditions = windowsOf(open), conditionsOf(&m, sp.Surge)
	// Rules of the place come before anything else.
	b.Cautions = append(zoneWarnings(sp, t), advise.PlaceCautions(&m)...)
	if sp.Hazards != "" {
		b.Cautions = append(b.Cautions, sp.Hazards)
	}
	b.Surge = surgeLeft(sp.Surge, t)
	if b.NextPeak, err = nextPeak(sp.Tide, t); err != nil {
		return nil, failed(err)
	}
	return out, nil
}
