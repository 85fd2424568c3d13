package places

import (
	"context"
	"fmt"
	"math"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/quantity"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/desk"
)

type ribbonInput struct {
	wire.ByID
	From  time.Time `query:"from" doc:"now less four hours if left out"`
	Hours int       `query:"hours" minimum:"1" maximum:"96" default:"36"`
}

// frame is everything the screen needs at one moment of the ribbon, so that moving it
// needs no request.
type frame struct {
	Time           time.Time  `json:"time"`
	LevelM         float64    `json:"level_m"`
	RateMPerH      float64    `json:"rate_m_per_h"`
	Stage          string     `json:"stage"`
	Says           string     `json:"says" doc:"how deep it is where it matters"`
	SunAltitudeDeg float64    `json:"sun_altitude_deg"`
	Light          string     `json:"light"`
	UnderSays      string     `json:"under_says" doc:"how high waves break and where it is dark under water; empty: nothing to say"`
	DarkBelowM     float64    `json:"dark_below_m" doc:"depth below which it is dark"`
	BreakerM       float64    `json:"breaker_m" doc:"height of breakers on an open beach, 0 elsewhere"`
	White          []whiteOut `json:"white" nullable:"false" doc:"where waves break along the section"`
	Open           bool       `json:"open"`
	Closing        bool       `json:"closing" doc:"the way shuts before long"`
	DepthsM        []float64  `json:"depths_m" nullable:"false" doc:"by mark, in the order of marks"`
	Breaks         []bool     `json:"breaks" nullable:"false" doc:"whether waves break on the mark, in the same order"`
	TempsC         []*float64 `json:"temps_c" nullable:"false" doc:"of the water over each mark, null when dry"`
	Surface        string     `json:"surface" enum:"glassy,ripple,chop,rough"`
	WaveM          float64    `json:"wave_m" doc:"height of the wind's own waves"`
	CurrentMS      *float64   `json:"current_ms,omitempty" doc:"positive on the flood; left out where it is not known"`
	SurgeM         float64    `json:"surge_m" doc:"how much of the level is the surge seen"`
	Slack          bool       `json:"slack"`
	WayTitle       string     `json:"way_title" doc:"whether one can get in and back"`
	Way            string     `json:"way" doc:"and what comes next, in the water's own time"`
	MarksSay       []string   `json:"marks_say" nullable:"false" doc:"when each mark is worth a cast, in the order of marks"`
}

type whiteOut struct {
	FromM float64 `json:"from_m"`
	ToM   float64 `json:"to_m"`
}

type ribbonMark struct {
	MarkOut
	Windows []windowOut `json:"windows" nullable:"false"`
}

type levelLine struct {
	Says   string  `json:"says"`
	LevelM float64 `json:"level_m"`
	Danger bool    `json:"danger" doc:"being cut off"`
}

type spanOut struct {
	From time.Time `json:"from"`
	To   time.Time `json:"to"`
}

type surfaceRun struct {
	From time.Time `json:"from"`
	To   time.Time `json:"to"`
	Word string    `json:"word" enum:"glassy,ripple,chop,rough"`
}

type ribbonOutput struct{ Body ribbonBody }

// ribbonBody is named for what keeps it.
type ribbonBody struct {
	From     time.Time     `json:"from"`
	To       time.Time     `json:"to"`
	Frames   []frame       `json:"frames" nullable:"false"`
	Turns    []wire.TurnAt `json:"turns" nullable:"false"`
	Marks    []ribbonMark  `json:"marks" nullable:"false"`
	Lines    []levelLine   `json:"lines" nullable:"false"`
	Windows  []windowOut   `json:"windows" nullable:"false"`
	Daylight []spanOut     `json:"daylight" nullable:"false" doc:"sun up"`
	Twilight []spanOut     `json:"twilight" nullable:"false" doc:"civil dawn to civil dusk"`
	Peaks    []peakOut     `json:"peaks" nullable:"false" doc:"springs and neaps on the ribbon, with the ones before and after it"`
	Surfaces []surfaceRun  `json:"surfaces" nullable:"false" doc:"stretches in which the wind leaves the water alike"`
	LowestM  float64       `json:"lowest_m"`
	HighestM float64       `json:"highest_m"`
}

func (s service) registerRibbon(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/spots/{id}/ribbon", "spotRibbon", "The tide of a spot over some hours, frame by frame"), s.ribbon)
}

// ribbonBefore now is where the ribbon begins, where nothing else is asked for.
const ribbonBefore = 4 * time.Hour

// ribbonKey is what a ribbon rests on: the spot as of a count of writings, when, and in
// which units it is spoken of.
type ribbonKey struct {
	spot  uuid.UUID
	count int
	from  int64
	hours int
	units quantity.Units
}

// mostRibbons are kept, bytes.
const mostRibbons = 48 << 20

func (s service) ribbon(ctx context.Context, as *web.Scope, in *ribbonInput) (*ribbonOutput, error) {
	from := in.From.UTC()
	if in.From.IsZero() {
		from = as.Now().Add(-ribbonBefore)
	}
	if y := from.Year(); y < 1900 || y > 2100 {
		return nil, web.Wrong("query.from", fmt.Errorf("the year must lie between 1900 and 2100, not %d", y))
	}
	from = from.Truncate(spot.FrameStep)
	to := from.Add(time.Duration(in.Hours) * time.Hour)
	sp, err := s.Desk.Spot(ctx, as.Angler, in.ID, from)
	if err != nil {
		return nil, err
	}
	key := ribbonKey{sp.ID, sp.Count, from.Unix(), in.Hours, as.Units}
	return &ribbonOutput{}, s.ribbons.Send(ctx, key, func(context.Context) (any, error) { return ribbonOf(sp, from, to, as.Units) })
}

// ribbonOf a spot over an interval.
func ribbonOf(sp *desk.Laid, from, to time.Time, u quantity.Units) (*ribbonBody, error) {
	c, err := tide.Over(sp.Tide, from, to)
	if err != nil {
		return nil, err
	}
	frames, err := sp.Frames(c, spot.Spoken{Units: u, Zone: sp.Clock})
	if err != nil {
		return nil, err
	}
	peaks, err := tide.PeaksAround(sp.Tide, from, to)
	if err != nil {
		return nil, err
	}
	b := &ribbonBody{}
	b.From, b.To, b.Turns, b.Windows = from, to, wire.Turns(c.Turns()), windowsOf(sp.Open(c))
	b.Marks = make([]ribbonMark, len(sp.Marks))
	for i, m := range sp.Marks {
		b.Marks[i] = ribbonMark{markOf(m), windowsOf(m.Windows(c))}
	}
	b.LowestM, b.HighestM = math.Inf(1), math.Inf(-1)
	for i := range frames {
		f := frameOf(&frames[i])
		b.Frames = append(b.Frames, f)
		b.LowestM, b.HighestM = min(b.LowestM, f.LevelM), max(b.HighestM, f.LevelM)
	}
	b.Surfaces = []surfaceRun{}
	for _, r := range spot.Runs(frames) {
		b.Surfaces = append(b.Surfaces, surfaceRun{r.From, r.To, r.Surface.String()})
	}
	b.Lines, b.Peaks = []levelLine{}, []peakOut{}
	for _, l := range sp.Lines() {
		b.Lines = append(b.Lines, levelLine(l))
	}
	for _, k := range peaks {
		b.Peaks = append(b.Peaks, peakOut{k.Time, k.Springs, k.RangeM})
	}
	o := sp.Observer()
	b.Daylight, b.Twilight = spansOf(o.Daylight(from, to)), spansOf(o.Twilit(from, to))
	return b, nil
}

func spansOf(list []sky.Span) []spanOut {
	out := make([]spanOut, len(list))
	for i, s := range list {
		out[i] = spanOut(s)
	}
	return out
}

// known number, null for NaN.
func known(v float64) *float64 {
	if math.IsNaN(v) {
		return nil
	}
	return &v
}

func frameOf(f *spot.Frame) frame {
	o := frame{Time: f.Time, LevelM: f.LevelM, RateMPerH: f.Stage.RateMPerH, Stage: f.Stage.String(), Says: f.Says,
		SunAltitudeDeg: f.Sun.Altitude, Light: f.Light().String(), DarkBelowM: f.DarkBelow(), UnderSays: f.Under, BreakerM: f.BreakerM,
		White: []whiteOut{},
		Open:  f.Open, Closing: f.Closing,
		DepthsM: f.DepthsM, Breaks: f.Breaks, TempsC: make([]*float64, len(f.TempsC)), Surface: f.Surface.Surface.String(),
		WaveM:     f.Surface.WaveM,
		CurrentMS: known(f.CurrentMS), SurgeM: f.SurgeM(), Slack: f.Stage.Slack, WayTitle: f.WayTitle, Way: f.Way, MarksSay: f.MarksSay}
	for _, w := range f.White {
		o.White = append(o.White, whiteOut(w))
	}
	for j, c := range f.TempsC {
		o.TempsC[j] = known(c)
	}
	return o
}
