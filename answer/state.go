package answer

import (
	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"time"

	"github.com/google/uuid"
)

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

// Mark where it lies.
func Mark(m ground.Mark) MarkOut {
	return MarkOut{ID: m.ID, Name: m.Name, Kind: string(m.Kind), Bottom: m.Bottom, DistanceM: m.DistanceM, ElevationM: m.ElevationM,
		Note: m.Note, Snag: m.Snag}
}

type WindowOut struct {
	Opens    *time.Time `json:"opens" required:"true" nullable:"true" doc:"null: before the interval"`
	Closes   *time.Time `json:"closes" required:"true" nullable:"true" doc:"null: after the interval"`
	ClosedBy string     `json:"closed_by"`
}

func windowsOf(list []ground.Window) []WindowOut {
	out := make([]WindowOut, len(list))
	for i, w := range list {
		out[i] = WindowOut{Moment(w.Opens), Moment(w.Closes), w.ClosedBy}
	}
	return out
}

type MarkState struct {
	MarkOut
	DepthM   float64     `json:"depth_m" doc:"negative: dry by so much"`
	Covered  bool        `json:"covered"`
	Fishable bool        `json:"fishable"`
	Windows  []WindowOut `json:"windows" nullable:"false"`
}

// State of the water at a spot at a moment.
type State struct {
	SpotID     string      `json:"spot_id"`
	Time       time.Time   `json:"time"`
	LevelM     float64     `json:"level_m"`
	Stage      StageOut    `json:"stage"`
	Light      string      `json:"light"`
	Open       bool        `json:"open" doc:"whether one can get in and back now"`
	Marks      []MarkState `json:"marks" nullable:"false"`
	Windows    []WindowOut `json:"windows" nullable:"false" doc:"when one can get in and back"`
	Conditions []Condition `json:"conditions" nullable:"false"`
	Shown      []string    `json:"shown" nullable:"false" doc:"kinds of reading to show first at this kind of place"`
	Surface    SurfaceOut  `json:"surface"`
	Shelter    ShelterNow  `json:"shelter"`
	Cautions   []string    `json:"cautions" nullable:"false" doc:"gravest first, those of rules before all"`
	Gravest    string      `json:"gravest" enum:"note,think,do not" doc:"of the cautions of going there now"`
	Surge      *SurgeOut   `json:"surge,omitempty" doc:"seen at this water and not yet faded"`
	NextPeak   *PeakOut    `json:"next_peak,omitempty" doc:"springs or neaps ahead"`
}

// ShelterNow says how the water lies wind by wind, in a wind as strong as is believed.
type ShelterNow struct {
	WindMS float64 `json:"wind_ms"`
	Says   string  `json:"says"`
}

type SurgeOut struct {
	Revision int       `json:"revision"`
	ByM      float64   `json:"by_m"`
	SeenAt   time.Time `json:"seen_at"`
	EndsAt   time.Time `json:"ends_at"`
}

func surgeLeft(sp *Spot, t time.Time) *SurgeOut {
	g := sp.Surge
	if g == nil || t.After(g.Ends()) {
		return nil
	}
	return &SurgeOut{sp.SurgeRevision, g.ByM, g.Seen, g.Ends()}
}

type PeakOut struct {
	Time    time.Time `json:"time"`
	Springs bool      `json:"springs" doc:"otherwise neaps"`
	RangeM  float64   `json:"range_m"`
}

// Windows are told from half a day before the moment to a day and a half after.
const (
	WindowsBefore = 13 * time.Hour
	WindowsAfter  = 37 * time.Hour
)

// StateOf the water at a spot at a moment.
func StateOf(around Around, id uuid.UUID, at time.Time) (*State, error) {
	t := when(around, at)
	sp, err := around.Spot(id, t)
	if err != nil {
		return nil, err
	}
	m, c, err := sp.at(t, WindowsBefore, WindowsAfter)
	if err != nil {
		return nil, err
	}
	b := &State{}
	b.SpotID, b.Time, b.LevelM, b.Stage, b.Light = sp.ID.String(), t, m.LevelM, Stage(m.Stage), m.Light().String()
	b.Marks = make([]MarkState, len(sp.Marks))
	for i, k := range sp.Marks {
		d := k.Depth(m.LevelM)
		b.Marks[i] = MarkState{MarkOut: Mark(k), DepthM: d, Covered: d > 0, Fishable: k.Fishable.Holds(d),
			Windows: windowsOf(k.Windows(c))}
	}
	open := sp.Open(c)
	b.Open = spot.GateAt(open, t).Open
	b.Windows, b.Conditions, b.Surface = windowsOf(open), Conditions(&m), Surface(m.Surface())
	now := m.ShelterNow()
	b.Shelter = ShelterNow{now.WindMS, now.Says()}
	b.Shown = []string{}
	for _, k := range conditions.ShownAt(sp.Place) {
		b.Shown = append(b.Shown, string(k))
	}
	// Rules of the place come before anything else.
	limits, err := around.Limits()
	if err != nil {
		return nil, err
	}
	cautions := going.Assess(&m, c, limits, around.Units())
	b.Cautions, b.Gravest = sp.ZoneWarnings(t, around.Units()), going.Gravest(cautions).String()
	for _, k := range cautions {
		if k.ID != "way" { // the page says it beside the way
			b.Cautions = append(b.Cautions, k.Says)
		}
	}
	if sp.Hazards != "" {
		b.Cautions = append(b.Cautions, sp.Hazards)
	}
	b.Surge = surgeLeft(sp, t)
	peak, err := tide.NextPeak(sp.Tide, t)
	if err != nil {
		return nil, err
	}
	if peak != nil {
		b.NextPeak = &PeakOut{peak.Time, peak.Springs, peak.RangeM}
	}
	return b, nil
}
