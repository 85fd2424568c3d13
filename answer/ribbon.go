package answer

import (
	"fmt"
	"greypebble/core/quantity"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"math"
	"time"
)

type RibbonMark struct {
	MarkOut
	Windows []WindowOut `json:"windows" nullable:"false"`
}

type LevelLine struct {
	Says   string  `json:"says"`
	LevelM float64 `json:"level_m"`
	Danger bool    `json:"danger" doc:"being cut off"`
}

type SpanOut struct {
	From time.Time `json:"from"`
	To   time.Time `json:"to"`
}

type SurfaceRun struct {
	From time.Time `json:"from"`
	To   time.Time `json:"to"`
	Word string    `json:"word" enum:"glassy,ripple,chop,rough"`
}

// Ribbon of a spot over some hours.
type Ribbon struct {
	From     time.Time    `json:"from"`
	To       time.Time    `json:"to"`
	Frames   []Frame      `json:"frames" nullable:"false"`
	Turns    []TurnAt     `json:"turns" nullable:"false"`
	Marks    []RibbonMark `json:"marks" nullable:"false"`
	Lines    []LevelLine  `json:"lines" nullable:"false"`
	Windows  []WindowOut  `json:"windows" nullable:"false"`
	Daylight []SpanOut    `json:"daylight" nullable:"false" doc:"sun up"`
	Twilight []SpanOut    `json:"twilight" nullable:"false" doc:"civil dawn to civil dusk"`
	Peaks    []PeakOut    `json:"peaks" nullable:"false" doc:"springs and neaps on the ribbon, with the ones before and after it"`
	Surfaces []SurfaceRun `json:"surfaces" nullable:"false" doc:"stretches in which the wind leaves the water alike"`
	LowestM  float64      `json:"lowest_m"`
	HighestM float64      `json:"highest_m"`
}

// RibbonAsked is the stretch of a ribbon that is asked for.
type RibbonAsked struct {
	From  time.Time `query:"from" json:"from" doc:"now less four hours if left out"`
	Hours int       `query:"hours" json:"hours" minimum:"1" maximum:"96" default:"36"`
}

// ribbonBefore now is where the ribbon begins, where nothing else is asked for.
const ribbonBefore = 4 * time.Hour

// Stretch that is asked for, on the ribbon's steps.
func (r RibbonAsked) Stretch(now time.Time) (from, to time.Time, err error) {
	from = r.From.UTC()
	if r.From.IsZero() {
		from = now.Add(-ribbonBefore)
	}
	if y := from.Year(); y < 1900 || y > 2100 {
		return from, to, Wrong("query.from", fmt.Errorf("the year must lie between 1900 and 2100, not %d", y))
	}
	from = from.Truncate(spot.FrameStep)
	return from, from.Add(time.Duration(r.Hours) * time.Hour), nil
}

// RibbonOf a spot over an interval.
func RibbonOf(sp *Spot, from, to time.Time, u quantity.Units) (*Ribbon, error) {
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
	b := &Ribbon{}
	b.From, b.To, b.Turns, b.Windows = from, to, Turns(c.Turns()), windowsOf(sp.Open(c))
	b.Marks = make([]RibbonMark, len(sp.Marks))
	for i, m := range sp.Marks {
		b.Marks[i] = RibbonMark{Mark(m), windowsOf(m.Windows(c))}
	}
	b.LowestM, b.HighestM = math.Inf(1), math.Inf(-1)
	for i := range frames {
		f := frameOf(&frames[i])
		b.Frames = append(b.Frames, f)
		b.LowestM, b.HighestM = min(b.LowestM, f.LevelM), max(b.HighestM, f.LevelM)
	}
	b.Surfaces = []SurfaceRun{}
	for _, r := range spot.Runs(frames) {
		b.Surfaces = append(b.Surfaces, SurfaceRun{r.From, r.To, r.Surface.String()})
	}
	b.Lines, b.Peaks = []LevelLine{}, []PeakOut{}
	for _, l := range sp.Lines() {
		b.Lines = append(b.Lines, LevelLine(l))
	}
	for _, k := range peaks {
		b.Peaks = append(b.Peaks, PeakOut{k.Time, k.Springs, k.RangeM})
	}
	o := sp.Observer()
	b.Daylight, b.Twilight = spansOf(o.Daylight(from, to)), spansOf(o.Twilit(from, to))
	return b, nil
}

func spansOf(list []sky.Span) []SpanOut {
	out := make([]SpanOut, len(list))
	for i, s := range list {
		out[i] = SpanOut(s)
	}
	return out
}
