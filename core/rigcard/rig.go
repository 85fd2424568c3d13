package rigcard

import (
	"fmt"
	"math"
	"strings"

	"greypebble/core/drawing"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Tied is what a rig is tied with; what is empty stays as the playbook has it.
type Tied struct {
	WeightKg float64
	// Hook as it is sold, "3/0 circle".
	Hook string
	// LeaderN is its breaking strength in newtons, LeaderOf its material.
	LeaderN  float64
	LeaderOf string
	Offering *playbook.Offering
	Units    quantity.Units
}

const (
	axis    = 120.0 // x of the line
	wordsAt = 176.0 // x at which words begin
	margin  = 14.0
)

// squeezed height of a length in metres on the card.
func squeezed(m float64) float64 { return 26 + 34*math.Log1p(m/0.15) }

// Rig draws a rig from the line down, with the measures of what it is tied with.
func Rig(r *playbook.Rig, t Tied) drawing.Drawing {
	d := &card{Tied: t, rig: r, y: margin}
	for i, p := range r.Pieces {
		d.onHead = i > 0 && r.Pieces[i-1].Kind == "head"
		d.bodied = i+1 < len(r.Pieces) && r.Pieces[i+1].Kind == "lure"
		p.Says = t.Units.Fill(p.Says)
		d.part(p, i == len(r.Pieces)-1)
	}
	d.Width, d.Height = Width, d.y+margin
	return d.Drawing
}

// card being drawn, down to y.
type card struct {
	drawing.Drawing
	Tied
	rig *playbook.Rig
	y   float64
	// onHead: the part hangs on a head's hook. bodied: a lure hides the hook of this one.
	onHead, bodied bool
}

// say a word beside the line, with what to mind under it.
func (c *card) say(y float64, text, mind string) {
	y += 4
	for _, line := range broken(text, widestName) {
		c.Word(wordsAt, y, "start", line, false)
		y += 15
	}
	for _, line := range broken(mind, widest) {
		c.Word(wordsAt, y, "start", line, true)
		y += 13
	}
}

// widest lines of small words and of names, in letters.
const (
	widest     = 26
	widestName = 23
)

// broken into lines of no more than so many letters, where words end.
func broken(text string, most int) []string {
	var out []string
	for _, w := range strings.Fields(text) {
		if n := len(out) - 1; n >= 0 && len([]rune(out[n]))+1+len([]rune(w)) <= most {
			out[n] += " " + w
		} else {
			out = append(out, w)
		}
	}
	return out
}

// run of line downwards, its measure on the left.
func (c *card) run(ink drawing.Ink, height, lengthM float64, text, mind string) {
	c.Stroke(ink, drawing.Straight(point{axis, c.y}, point{axis, c.y + height}))
	if lengthM > 0 {
		x := axis - 68
		c.Stroke(drawing.Rule, drawing.Straight(point{x, c.y + 2}, point{x, c.y + height - 2}))
		for _, y := range []float64{c.y + 2, c.y + height - 2} {
			c.Stroke(drawing.Rule, drawing.Straight(point{x - 4, y}, point{x + 4, y}))
		}
		c.Word(x-8, c.y+height/2+4, "end", c.Units.ShowShort(lengthM), true)
	}
	if text != "" {
		c.say(c.y+height/2-4, text, mind)
	}
	c.y += height
}

func (c *card) leader() string {
	of := c.LeaderOf
	if of == "" {
		of = "leader"
	}
	if c.LeaderN > 0 {
		return c.Units.ShowLine(c.LeaderN) + " " + of
	}
	return upper(of)
}

func (c *card) part(p playbook.Piece, last bool) {
	switch p.Kind {
	case "main line":
		c.run(drawing.Line, 44, 0, words.MainLine, p.Says)
	case "doubled line":
		h := squeezed(p.LengthM)
		c.Stroke(drawing.Line, drawing.Straight(point{axis - 3, c.y}, point{axis - 3, c.y + h}))
		c.Stroke(drawing.Line, drawing.Straight(point{axis + 3, c.y}, point{axis + 3, c.y + h}))
		c.Word(axis-16, c.y+h/2+4, "end", c.Units.ShowShort(p.LengthM), true)
		c.say(c.y+h/2-4, words.DoubledLine, p.Says)
		c.y += h
	case "leader":
		c.run(drawing.Leader, squeezed(p.LengthM), p.LengthM, c.leader(), p.Says)
	case "swivel":
		c.swivel(p.Says)
	case "sinker":
		c.sinker(p, last)
	case "bead":
		c.run(drawing.Line, 6, 0, "", "")
		c.Fill(drawing.Body, drawing.Ellipse(axis, c.y+5, 6, 5))
		c.say(c.y+2, "Bead", p.Says)
		c.y += 10
		c.run(drawing.Line, 12, 0, "", "")
	case "float":
		c.float(p)
	case "stop knot":
		c.run(drawing.Line, 10, 0, "", "")
		for i := range 4 {
			y := c.y + float64(i)*4
			c.Stroke(drawing.Leader, drawing.Straight(point{axis - 7, y + 2}, point{axis + 7, y}))
		}
		c.say(c.y+4, words.StopKnot, p.Says)
		c.y += 14
		c.run(drawing.Line, 14, 0, "", "")
	case "split shot":
		c.run(drawing.Leader, 8, 0, "", "")
		c.Fill(drawing.Metal, drawing.Ellipse(axis, c.y+5, 6, 6))
		c.say(c.y+2, words.SplitShot, c.weightOr(p.Says))
		c.y += 10
		c.run(drawing.Leader, 8, 0, "", "")
	case "loop":
		c.Stroke(drawing.Leader, drawing.Smooth([]point{{axis, c.y}, {axis - 9, c.y + 16}, {axis, c.y + 24}, {axis + 9, c.y + 16}, {axis,
			c.y}}))
		c.say(c.y+8, "Loop", p.Says)
		c.y += 24
	case "dropper", "teaser", "hook":
		c.branch(p)
	case "bait hook":
		c.hookAt(axis, c.y, 1)
		c.say(c.y+26, upper(strings.TrimSpace(c.hook()+" hook")), c.bait())
		c.y += 64
	case "head":
		c.head(p)
	case "lure":
		c.lure(p)
	}
}

func (c *card) hook() string {
	if c.Hook != "" {
		return c.Hook
	}
	return strings.TrimSpace(c.rig.HookSize + " " + c.rig.HookPattern)
}

func (c *card) bait() string {
	if c.Offering != nil {
		return lowerWords(c.Offering.Name)
	}
	return "bait"
}

func (c *card) weightOr(says string) string {
	if c.WeightKg > 0 {
		return strings.TrimSuffix(c.Units.ShowWeight(c.WeightKg)+", "+says, ", ")
	}
	return says
}

func (c *card) swivel(says string) {
	c.Stroke(drawing.Metal, drawing.Ellipse(axis, c.y+5, 4, 5))
	c.Fill(drawing.Metal, drawing.Ellipse(axis, c.y+14, 5, 6))
	c.Stroke(drawing.Metal, drawing.Ellipse(axis, c.y+23, 4, 5))
	c.say(c.y+10, "Swivel", says)
	c.y += 28
}

// sinker on the line or at its end.
func (c *card) sinker(p playbook.Piece, last bool) {
	name := c.rig.Sinker
	if name == "" {
		name = "sinker"
	} else if name != "grip" {
		name += words.Sinker2
	} else {
		name = "grip lead"
	}
	if !last {
		c.run(drawing.Line, 8, 0, "", "")
		c.Fill(drawing.Metal, drawing.Ellipse(axis, c.y+15, 10, 15))
		c.say(c.y+10, upper(name), c.weightOr(p.Says))
		c.y += 30
		c.run(drawing.Line, 8, 0, "", "")
		return
	}
	c.Stroke(drawing.Metal, drawing.Ellipse(axis, c.y+4, 3, 4))
	y := c.y + 8
	switch c.rig.Sinker {
	case "pyramid":
		c.Fill(drawing.Metal, drawing.Straight(point{axis - 15, y}, point{axis + 15, y}, point{axis, y + 34})+"Z")
	case "grip":
		c.Fill(drawing.Metal, fmt.Sprintf("M%s C%s %s %s C%s %s %sZ", drawing.At(point{axis, y}), drawing.At(point{axis + 18, y + 8}),
			drawing.At(point{axis + 12, y + 32}), drawing.At(point{axis, y + 34}), drawing.At(point{axis - 12, y + 32}),
			drawing.At(point{axis - 18, y + 8}),
			drawing.At(point{axis, y})))
		for _, side := range []float64{-1, 1} {
			c.Stroke(drawing.Metal, drawing.Smooth([]point{{axis + side*6, y + 22}, {axis + side*22, y + 26}, {axis + side*30, y + 14}}))
		}
	default:
		c.Fill(drawing.Metal, fmt.Sprintf("M%s C%s %s %s C%s %s %sZ", drawing.At(point{axis, y}), drawing.At(point{axis + 7, y + 8}),
			drawing.At(point{axis + 16, y + 34}),
			drawing.At(point{axis, y + 36}), drawing.At(point{axis - 16, y + 34}), drawing.At(point{axis - 7, y + 8}),
			drawing.At(point{axis, y})))
	}
	c.say(y+14, upper(name), c.weightOr(p.Says))
	c.y = y + 38
}

func (c *card) float(p playbook.Piece) {
	c.run(drawing.Line, 8, 0, "", "")
	y := c.y
	c.Fill(drawing.Body, fmt.Sprintf("M%s C%s %s %s C%s %s %sZ", drawing.At(point{axis, y}), drawing.At(point{axis + 20, y + 6}),
		drawing.At(point{axis + 12, y + 34}),
		drawing.At(point{axis, y + 52}), drawing.At(point{axis - 12, y + 34}), drawing.At(point{axis - 20, y + 6}), drawing.At(point{axis,
			y})))
	c.Stroke(drawing.Line, drawing.Straight(point{axis - 13, y + 16}, point{axis + 13, y + 16}))
	mind := p.Says
	if p.Slides {
		mind = words.SlidesToTheStopKnot
	}
	c.say(y+20, "Float", mind)
	c.y += 52
	c.run(drawing.Line, 10, 0, "", "")
}

// branch off the line to the left, the line going on.
func (c *card) branch(p playbook.Piece) {
	y := c.y + 10
	length := 26 + 10*math.Log1p(p.LengthM/0.05)
	if p.LengthM == 0 {
		length = 12
	}
	end := point{axis - length, y + 16}
	c.Stroke(drawing.Leader, drawing.Straight(point{axis, c.y}, point{axis, c.y + 54}))
	c.Stroke(drawing.Leader, drawing.Smooth([]point{{axis, y}, {axis - length*0.6, y + 3}, end}))
	text := upper(strings.TrimSpace(c.hook() + " hook"))
	switch {
	case p.Kind == "teaser":
		c.Fill(drawing.Body, drawing.Smooth([]point{end, {end[0] - 12, end[1] + 6}, {end[0] - 10, end[1] + 26}, {end[0], end[1] + 34},
			{end[0] + 4, end[1] + 16}, end}))
		text = "Teaser"
	case strings.Contains(p.Says, "head"):
		c.Fill(drawing.Metal, drawing.Ellipse(end[0], end[1]+4, 5, 5))
		c.hookAt(end[0], end[1]+4, 0.6)
		text = "Head"
	default:
		if strings.Contains(p.Says, "float bead") {
			c.Fill(drawing.Body, drawing.Ellipse(axis-length*0.62, y+5, 6, 6))
		}
		c.hookAt(end[0], end[1], 0.7)
	}
	if p.LengthM > 0 {
		c.Word(end[0]-12, y+2, "end", c.Units.ShowShort(p.LengthM), true)
	}
	if p.Slides {
		c.Fill(drawing.Body, drawing.Ellipse(axis, c.y+2, 5, 4))
		c.Fill(drawing.Body, drawing.Ellipse(axis, c.y+20, 5, 4))
	}
	c.say(y+6, text, p.Says)
	c.y += 54
}

// hookAt hangs a hook by its eye.
func (c *card) hookAt(x, y, scale float64) {
	s := scale
	c.Stroke(drawing.Metal, drawing.Ellipse(x, y+4*s, 3*s, 4*s))
	bend := []point{{x, y + 8*s}, {x, y + 40*s}, {x + 3*s, y + 52*s}, {x + 13*s, y + 56*s}, {x + 22*s, y + 48*s}}
	if strings.Contains(c.hook(), "circle") {
		bend = append(bend, point{x + 22*s, y + 36*s}, point{x + 13*s, y + 30*s})
	} else {
		bend = append(bend, point{x + 22*s, y + 28*s})
	}
	c.Stroke(drawing.Metal, drawing.Smooth(bend))
	tip := bend[len(bend)-1]
	c.Stroke(drawing.Metal, drawing.Straight(tip, point{tip[0] + 5*s, tip[1] + 8*s}))
}

func (c *card) head(p playbook.Piece) {
	c.hookAt(axis, c.y+8, 1.05)
	c.Fill(drawing.Metal, drawing.Ellipse(axis, c.y+12, 11, 10))
	name := "Head"
	if !c.rig.Head {
		name = "Weight"
	}
	mind := p.Says
	if c.hook() != "" {
		mind = strings.TrimSuffix(c.hook()+" hook; "+p.Says, "; ")
	}
	c.say(c.y+12, upper(strings.TrimSpace(c.weightOr("")+" "+strings.ToLower(name))), mind)
	if c.bodied {
		c.y += 22
	} else {
		c.y += 70
	}
}

// lure by what it is.
func (c *card) lure(p playbook.Piece) {
	y, name := c.y, "Lure"
	kind := ""
	if c.Offering != nil {
		kind, name = c.Offering.Kind, c.Offering.Name
	}
	high := 92.0
	switch kind {
	case "minnow plug", "crankbait", "twitch bait", "surface plug":
		fat := map[string]float64{"crankbait": 17, "surface plug": 11}[kind]
		if fat == 0 {
			fat = 10
		}
		c.Fill(drawing.Body, drawing.Smooth([]point{{axis, y}, {axis + fat, y + 22}, {axis + fat*0.8, y + 52}, {axis, y + 84},
			{axis - fat*0.8, y + 52},
			{axis - fat, y + 22}, {axis, y}}))
		if kind != "surface plug" {
			c.Fill(drawing.Gap, drawing.Straight(point{axis - 5, y + 4}, point{axis - 20, y - 8}, point{axis - 24, y + 2}, point{axis - 7,
				y + 12})+"Z")
			c.Stroke(drawing.Metal, drawing.Straight(point{axis - 5, y + 4}, point{axis - 20, y - 8}, point{axis - 24, y + 2},
				point{axis - 7, y + 12}))
		}
		c.treble(axis+fat, y+40)
		c.treble(axis+2, y+82)
		high = 112
	case "spoon", "metal":
		c.Fill(drawing.Metal, drawing.Smooth([]point{{axis, y}, {axis + 10, y + 24}, {axis + 13, y + 52}, {axis, y + 72}, {axis - 13, y +
			52},
			{axis - 10, y + 24}, {axis, y}}))
		c.treble(axis, y+72)
	case "bucktail":
		c.Fill(drawing.Metal, drawing.Ellipse(axis, y+10, 10, 10))
		for i := range 7 {
			x := float64(i-3) * 5
			c.Stroke(drawing.Body, drawing.Smooth([]point{{axis + x/3, y + 18}, {axis + x, y + 48}, {axis + x*1.2, y + 78}}))
		}
	default:
		if kind == "skirted lure" {
			for i := range 9 {
				x := float64(i-4) * 5
				c.Stroke(drawing.Body, drawing.Smooth([]point{{axis + x/2, y + 20}, {axis + x, y + 56}, {axis + x*1.3, y + 88}}))
			}
			c.Fill(drawing.Body, drawing.Ellipse(axis, y+12, 9, 14))
			break
		}
		c.Fill(drawing.Body, drawing.Smooth([]point{{axis, y}, {axis + 9, y + 14}, {axis + 8, y + 46}, {axis + 3, y + 68}, {axis + 14, y +
			84},
			{axis + 4, y + 90}, {axis - 8, y + 84}, {axis - 3, y + 66}, {axis - 8, y + 46}, {axis - 9, y + 14}, {axis, y}}))
		if c.rig.HookPattern != "" && !c.onHead {
			c.Stroke(drawing.Metal, drawing.Smooth([]point{{axis, y + 2}, {axis, y + 34}, {axis + 6, y + 46}, {axis + 15, y + 42}, {axis +
				15, y + 28}}))
		}
	}
	mind := p.Says
	if !c.rig.Head && c.rig.Sinker == "" {
		mind = c.weightOr(p.Says)
	} else if c.rig.HookPattern == "weedless" {
		mind = c.weightOr(fmt.Sprintf(words.Hook3, c.hook(), p.Says))
	}
	c.say(y+34, name, mind)
	if c.onHead {
		// The point stands out of the body.
		c.Stroke(drawing.Metal, drawing.Smooth([]point{{axis + 3, y + 40}, {axis + 13, y + 45}, {axis + 23, y + 37}, {axis + 23, y + 16}}))
	}
	c.y += high
}

func (c *card) treble(x, y float64) {
	for _, dx := range []float64{-9, 9} {
		c.Stroke(drawing.Metal, drawing.Smooth([]point{{x, y}, {x, y + 14}, {x + dx*0.6, y + 22}, {x + dx, y + 12}}))
	}
}

func upper(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}

func lowerWords(s string) string {
	if s == "" {
		return s
	}
	return strings.ToLower(s[:1]) + s[1:]
}
