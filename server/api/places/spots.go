package places

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// SpotSummary is a spot without its ground. It is exported, as others here, for huma,
// which embeds only such types.
type SpotSummary struct {
	ID       string   `json:"id" format:"uuid"`
	Name     string   `json:"name"`
	Place    string   `json:"place"`
	Water    string   `json:"water"`
	WaterID  string   `json:"water_id" format:"uuid"`
	TimeZone string   `json:"time_zone"`
	Manner   string   `json:"manner"`
	Manners  []string `json:"manners" nullable:"false" doc:"further ones"`
	Note     string   `json:"note"`
	Lat      float64  `json:"lat"`
	Lon      float64  `json:"lon"`
}

func summary(sp *store.Spot) SpotSummary {
	return SpotSummary{ID: sp.ID.String(), Name: sp.Name, Place: sp.Place, Water: sp.Water.Name, WaterID: sp.Water.ID.String(),
		TimeZone: sp.Water.TimeZone, Manner: string(sp.Access.Manner), Manners: wire.MannersOut(sp.Access.Others), Note: sp.Note,
		Lat: sp.Lat, Lon: sp.Lon}
}

type spotsOutput struct {
	Body []SpotSummary `nullable:"false"`
}

type spotOutput struct {
	Body struct {
		SpotSummary
		Section  []wire.SectionPoint `json:"section" nullable:"false" doc:"the ground, densely drawn, metres above chart datum"`
		Marks    []MarkOut           `json:"marks" nullable:"false"`
		Written  wire.SpotBody       `json:"written" doc:"as it was written, to be changed and written again"`
		Revision int                 `json:"revision"`
		Reads    []string            `json:"reads" nullable:"false" enum:"surf,pier" doc:"tools that read the water of this kind of place"`
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
	return MarkOut{ID: m.ID, Name: m.Name, Kind: string(m.Kind), Bottom: m.Bottom, DistanceM: m.DistanceM, ElevationM: m.ElevationM,
		Note: m.Note, Snag: m.Snag}
}

type windowOut struct {
	Opens    *time.Time `json:"opens" required:"true" nullable:"true" doc:"null: before the interval"`
	Closes   *time.Time `json:"closes" required:"true" nullable:"true" doc:"null: after the interval"`
	ClosedBy string     `json:"closed_by"`
}

func windowsOf(list []ground.Window) []windowOut {
	out := make([]windowOut, len(list))
	for i, w := range list {
		out[i] = windowOut{wire.Moment(w.Opens), wire.Moment(w.Closes), w.ClosedBy}
	}
	return out
}

type markState struct {
	MarkOut
	DepthM   float64     `json:"depth_m" doc:"negative: dry by so much"`
	Covered  bool        `json:"covered"`
	Fishable bool        `json:"fishable"`
	Windows  []windowOut `json:"windows" nullable:"false"`
}

type stateOutput struct {
	Body struct {
		SpotID     string           `json:"spot_id"`
		Time       time.Time        `json:"time"`
		LevelM     float64          `json:"level_m"`
		Stage      wire.StageOut    `json:"stage"`
		Light      string           `json:"light"`
		Open       bool             `json:"open" doc:"whether one can get in and back now"`
		Marks      []markState      `json:"marks" nullable:"false"`
		Windows    []windowOut      `json:"windows" nullable:"false" doc:"when one can get in and back"`
		Conditions []wire.Condition `json:"conditions" nullable:"false"`
		Shown      []string         `json:"shown" nullable:"false" doc:"kinds of reading to show first at this kind of place"`
		Surface    wire.SurfaceOut  `json:"surface"`
		Shelter    shelterNow       `json:"shelter"`
		Cautions   []string         `json:"cautions" nullable:"false" doc:"gravest first, those of rules before all"`
		Gravest    string           `json:"gravest" enum:"note,think,do not" doc:"of the cautions of going there now"`
		Surge      *surgeOut        `json:"surge,omitempty" doc:"seen at this water and not yet faded"`
		NextPeak   *peakOut         `json:"next_peak,omitempty" doc:"springs or neaps ahead"`
	}
}

// shelterNow says how the water lies wind by wind, in a wind as strong as is believed.
type shelterNow struct {
	WindMS float64 `json:"wind_ms"`
	Says   string  `json:"says"`
}

type surgeOut struct {
	Revision int       `json:"revision"`
	ByM      float64   `json:"by_m"`
	SeenAt   time.Time `json:"seen_at"`
	EndsAt   time.Time `json:"ends_at"`
}

func surgeLeft(sp *store.Spot, t time.Time) *surgeOut {
	g := sp.Surge
	if g == nil || t.After(g.Ends()) {
		return nil
	}
	return &surgeOut{sp.SurgeRevision, g.ByM, g.Seen, g.Ends()}
}

type peakOut struct {
	Time    time.Time `json:"time"`
	Springs bool      `json:"springs" doc:"otherwise neaps"`
	RangeM  float64   `json:"range_m"`
}

// Windows are told from half a day before the moment to a day and a half after.
const (
	windowsBefore = 13 * time.Hour
	windowsAfter  = 37 * time.Hour
)

func (s service) registerSpots(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots", "listSpots", "Your spots"), s.listSpots)
	web.Signed(api, s.Deps, web.Get("/spots/{id}", "getSpot", "A spot with its ground"), s.getSpot)
	web.Signed(api, s.Deps, web.Get("/spots/{id}/state", "spotState", "The water at a spot at a moment"), s.spotState)
}

func (s service) listSpots(ctx context.Context, as *web.Scope, _ *struct{}) (*spotsOutput, error) {
	spots, err := s.Store.Spots(ctx, as.Angler)
	out := &spotsOutput{Body: make([]SpotSummary, len(spots))}
	for i, sp := range spots {
		out.Body[i] = summary(sp)
	}
	return out, err
}

// drawnPoints of a section.
const drawnPoints = 160

func (s service) getSpot(ctx context.Context, as *web.Scope, in *wire.ByID) (*spotOutput, error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.ID)
	if err != nil {
		return nil, err
	}
	out := &spotOutput{}
	b := &out.Body
	b.SpotSummary, b.Written, b.Revision = summary(sp), wire.SpotWritten(sp), sp.Revision
	b.Reads = sp.Reads()
	b.Section = []wire.SectionPoint{}
	if len(sp.Section) > 0 {
		section, err := ground.NewSection(sp.Section)
		if err != nil {
			return nil, err
		}
		b.Section = wire.SectionPoints(section.Outline(drawnPoints))
	}
	b.Marks = make([]MarkOut, len(sp.Marks))
	for i, m := range sp.Marks {
		b.Marks[i] = markOf(m)
	}
	return out, nil
}

func (s service) spotState(ctx context.Context, as *web.Scope, in *wire.ByIDAt) (*stateOutput, error) {
	t := as.At(in.Time)
	sp, err := s.Desk.Spot(ctx, as.Angler, in.ID, t)
	if err != nil {
		return nil, err
	}
	m, c, err := sp.At(t, windowsBefore, windowsAfter)
	if err != nil {
		return nil, err
	}
	out := &stateOutput{}
	b := &out.Body
	b.SpotID, b.Time, b.LevelM, b.Stage, b.Light = sp.ID.String(), t, m.LevelM, wire.Stage(m.Stage), m.Light().String()
	b.Marks = make([]markState, len(sp.Marks))
	for i, k := range sp.Marks {
		d := k.Depth(m.LevelM)
		b.Marks[i] = markState{MarkOut: markOf(k), DepthM: d, Covered: d > 0, Fishable: k.Fishable.Holds(d),
			Windows: windowsOf(k.Windows(c))}
	}
	open := sp.Open(c)
	b.Open = spot.GateAt(open, t).Open
	b.Windows, b.Conditions, b.Surface = windowsOf(open), wire.Conditions(&m), wire.Surface(m.Surface())
	now := m.ShelterNow()
	b.Shelter = shelterNow{now.WindMS, now.Says()}
	b.Shown = []string{}
	for _, k := range conditions.ShownAt(sp.Place) {
		b.Shown = append(b.Shown, string(k))
	}
	// Rules of the place come before anything else.
	limits, err := s.Store.Limits(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	cautions := going.Assess(&m, c, limits, as.Units)
	b.Cautions, b.Gravest = sp.ZoneWarnings(t), going.Gravest(cautions).String()
	for _, k := range cautions {
		if k.ID != "way" { // the page says it beside the way
			b.Cautions = append(b.Cautions, k.Says)
		}
	}
	if sp.Hazards != "" {
		b.Cautions = append(b.Cautions, sp.Hazards)
	}
	b.Surge = surgeLeft(sp.Spot, t)
	peak, err := tide.NextPeak(sp.Tide, t)
	if err != nil {
		return nil, err
	}
	if peak != nil {
		b.NextPeak = &peakOut{peak.Time, peak.Springs, peak.RangeM}
	}
	return out, nil
}
