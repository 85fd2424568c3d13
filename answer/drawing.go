package answer

import "greypebble/core/drawing"

// Ink says what a stroke is; the page colours it.
type Ink string

// Stroke of a drawing.
type Stroke struct {
	Ink    Ink    `json:"ink"`
	Path   string `json:"path" doc:"in the form SVG has it"`
	Filled bool   `json:"filled"`
}

// Label of a drawing.
type Label struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Text   string  `json:"text"`
	Anchor string  `json:"anchor" enum:"start,middle,end"`
	Small  bool    `json:"small"`
}

// Drawing as it is sent.
type Drawing struct {
	Width   float64  `json:"width"`
	Height  float64  `json:"height"`
	Says    string   `json:"says" doc:"what is drawn, for who cannot see it; empty where its page says it"`
	Strokes []Stroke `json:"strokes" nullable:"false"`
	Labels  []Label  `json:"labels" nullable:"false"`
}

// DrawingOf the core.
func DrawingOf(d drawing.Drawing) Drawing {
	out := Drawing{Width: d.Width, Height: d.Height, Says: d.Says, Strokes: []Stroke{}, Labels: []Label{}}
	for _, s := range d.Strokes {
		out.Strokes = append(out.Strokes, Stroke{Ink(s.Ink), s.Path, s.Filled})
	}
	for _, l := range d.Labels {
		out.Labels = append(out.Labels, Label(l))
	}
	return out
}

// DrawingIf there is one; nil otherwise.
func DrawingIf(d drawing.Drawing) *Drawing {
	if d.Width == 0 {
		return nil
	}
	out := DrawingOf(d)
	return &out
}
