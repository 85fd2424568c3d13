package api

import (
	"context"
	"fmt"
	"sort"
	"time"

	"greypebble/core/advise"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/server/store"
)

// frameStep is how far the ribbon moves at a time.
const frameStep = 10 * time.Minute

type ribbonInput struct {
	ByID
	From  time.Time `query:"from" doc:"now less four hours if left out"`
	Hours int       `query:"hours" minimum:"1" maximum:"96" default:"36"`
}

// frame is everything the screen needs at one moment of the ribbon, so that
// moving it needs no request.
type frame struct {
	Time           time.Time  `json:"time"`
	LevelM         float64    `json:"level_m"`
	RateMPerH      float64    `json:"rate_m_per_h"`
	Stage          string     `json:"stage"`
	Says           string     `json:"says" doc:"how deep it is where it matters"`
	SunAltitudeDeg float64    `json:"sun_altitude_deg"`
	Light          string     `json:"light"`
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

type ribbonOutput struct {
	Body struct {
		From     time.Time    `json:"from"`
		To       time.Time    `json:"to"`
		Frames   []frame      `json:"frames" nullable:"false"`
		Turns    []turnAt     `json:"turns" nullable:"false"`
		Marks    []ribbonMark `json:"marks" nullable:"false"`
		Lines    []levelLine  `json:"lines" nullable:"false"`
		Windows  []windowOut  `json:"windows" nullable:"false"`
		Daylight []spanOut    `json:"daylight" nullable:"false" doc:"sun up"`
		Twilight []spanOut    `json:"twilight" nullable:"false" doc:"civil dawn to civil dusk"`
		Peaks    []peakOut    `json:"peaks" nullable:"false" doc:"springs and neaps on the ribbon, and the last before and the first after it"`
		LowestM  float64      `json:"lowest_m"`
		HighestM float64      `json:"highest_m"`
	}
}

func (s *Server) ribbon(ctx context.Context, in *ribbonInput) (*ribbonOutput, error) {
	sp, angler, err := s.spot(ctx, in.ID)
	if err != nil {
		return nil, err
	}
	from := in.From.UTC()
	if in.From.IsZero() {
		from = s.now().UTC().Add(-4 * time.Hour)
	}
	if y := from.Year(); y < 1900 || y > 2100 {
		return nil, wrong("query.from", fmt.Errorf("the year must lie between 1900 and 2100, not %d", y))
	}
	from = from.Truncate(frameStep)
	to := from.Add(time.Duration(in.Hours) * time.Hour)
	readings, err := s.readings(ctx, angler, from)
	if err != nil {
		return nil, failed(err)
	}
	c, err := tide.Over(sp.Tide, from, to)
	if err != nil {
		return nil, failed(err)
	}
	out := &ribbonOutput{}
	b := &out.Body
	b.From, b.To, b.Turns = from, to, turnsOf(c.Turns())
	open := sp.Access.Open(c)
	b.Windows = windowsOf(open)
	b.Marks = make([]ribbonMark, len(sp.Marks))
	for i, m := range sp.Marks {
		b.Marks[i] = ribbonMark{markOf(m), windowsOf(m.Windows(c))}
	}
	spot := sp.ForAdvice(readings[sp.Water.ID])
	warmth, err := spot.Warmth(from, to)
	if err != nil {
		return nil, failed(err)
	}
	if b.Frames, err = frames(sp, spot, c, open, warmth); err != nil {
		return nil, failed(err)
	}
	b.LowestM, b.HighestM = b.Frames[0].LevelM, b.Frames[0].LevelM
	for _, f := range b.Frames {
		b.LowestM, b.HighestM = min(b.LowestM, f.LevelM), max(b.HighestM, f.LevelM)
	}
	b.Lines = lines(sp)
	if b.Peaks, err = peaksAround(sp.Tide, from, to); err != nil {
		return nil, failed(err)
	}
	day := sky.Observer{Lat: sp.Lat, Lon: sp.Lon}.Between(from, to)
	b.Daylight = spans(day.Sunrise, day.Sunset, from, to, b.Frames[0].SunAltitudeDeg > -0.83)
	b.Twilight = spans(day.CivilDawn, day.CivilDusk, from, to, b.Frames[0].SunAltitudeDeg > -6)
	return out, nil
}

// frames every ten minutes, and at each turn, where the ribbon stops too.
func frames(sp *store.Spot, as *advise.Spot, c *tide.Curve, open []ground.Window, warmth *advise.Warmth) ([]frame, error) {
	from, to := c.Interval()
	section, err := ground.NewSection(sp.Section)
	if err != nil {
		return nil, err
	}
	var times []time.Time
	for t := from; !t.After(to); t = t.Add(frameStep) {
		times = append(times, t)
	}
	for _, k := range c.Turns() {
		times = append(times, k.Time.Truncate(time.Second))
	}
	sort.Slice(times, func(i, j int) bool { return times[i].Before(times[j]) })
	out := make([]frame, len(times))
	for i, t := range times {
		m, err := as.At(c, t)
		if err != nil {
			return nil, err
		}
		_, isOpen := ground.NextClose(open, t)
		breaker := m.Breakers()
		f := frame{Time: t, LevelM: m.LevelM, RateMPerH: m.Stage.RateMPerH, Stage: m.Stage.String(), SunAltitudeDeg: m.Sun.Altitude,
			Light: m.Light().String(), DarkBelowM: m.DarkBelow(), BreakerM: breaker, Open: isOpen,
			Says: m.Headline(quantity.Metric), Closing: advise.ClosesSoon(open, t),
			White: []whiteOut{}, DepthsM: make([]float64, len(sp.Marks)), Breaks: make([]bool, len(sp.Marks)), TempsC: make([]*float64, len(sp.Marks)),
			Slack: m.Stage.Slack}
		surface := m.Surface()
		f.Surface, f.WaveM = surface.Surface.String(), surface.WaveM
		if u, known := m.Current(); known {
			f.CurrentMS = &u
		}
		if sp.Surge != nil {
			f.SurgeM, _ = sp.Surge.At(t)
		}
		for _, w := range advise.WhiteWater(section, m.LevelM, breaker) {
			f.White = append(f.White, whiteOut(w))
			for j, k := range sp.Marks {
				f.Breaks[j] = f.Breaks[j] || w.Holds(k.DistanceM)
			}
		}
		for j, k := range sp.Marks {
			f.DepthsM[j] = k.Depth(m.LevelM)
			if c, wet := warmth.At(j, t); wet {
				f.TempsC[j] = &c
			}
		}
		out[i] = f
	}
	return out, nil
}

// lines across the ribbon: the spot's own marks and where its way shuts.
func lines(sp *store.Spot) []levelLine {
	out := []levelLine{}
	for _, l := range sp.Access.Limits() {
		out = append(out, levelLine{l.Says, l.LevelM, sp.Access.Manner == ground.Wading || sp.Access.Manner == ground.OnFoot})
	}
	for _, m := range sp.Marks {
		if m.Line != "" {
			out = append(out, levelLine{m.Line, m.ElevationM, false})
		}
	}
	return out
}

// spans pairs rises with the sets that follow within an interval.
func spans(rises, sets []time.Time, from, to time.Time, up bool) []spanOut {
	out := []spanOut{}
	if up {
		out = append(out, spanOut{From: from})
	}
	type event struct {
		at   time.Time
		rise bool
	}
	var events []event
	for _, t := range rises {
		events = append(events, event{t, true})
	}
	for _, t := range sets {
		events = append(events, event{t, false})
	}
	sort.Slice(events, func(i, j int) bool { return events[i].at.Before(events[j].at) })
	for _, e := range events {
		if e.rise {
			out = append(out, spanOut{From: e.at})
		} else if n := len(out); n > 0 {
			out[n-1].To = e.at
		}
	}
	if n := len(out); n > 0 && out[n-1].To.IsZero() {
		out[n-1].To = to
	}
	return out
}
