// Package asc reads and writes ESRI ASCII grids: a header of ncols, nrows,
// xllcorner and yllcorner (or xllcenter and yllcenter), cellsize (or dx and dy)
// and NODATA_value, then rows from north to south.
//
// What the numbers mean is asked, never guessed: unit, whether they are
// elevations or depths, and how the file's datum lies to chart datum. Errors name
// the line and what was expected; nothing is half read.
package asc

import (
	"bufio"
	"bytes"
	"fmt"
	"math"
	"strconv"
	"strings"

	"greypebble/core/ground"
	"greypebble/interchange/parse"
)

// Meaning of a file's numbers.
type Meaning struct {
	// Scale turns the file's unit into metres.
	Scale float64
	// Depths are positive downwards; otherwise elevations, positive upwards.
	Depths bool
	// DatumM is how far the file's zero lies above chart datum.
	DatumM float64
	// Origin, if not nil, says that the file's coordinates are metres east and
	// north of this place; otherwise they are degrees.
	Origin *ground.LatLon
}

// highest ground or deepest water within reach of a shore, metres.
const highest = 2500

type header struct {
	cols, rows   int
	x, y, dx, dy float64
	centred      bool
	noData       float64
}

// Read a grid to elevations above chart datum.
func Read(raw []byte, m Meaning) (*ground.Grid, error) {
	if !(m.Scale > 0) {
		return nil, fmt.Errorf("asc: the unit of the heights must be said")
	}
	in := bufio.NewScanner(bytes.NewReader(bytes.TrimPrefix(raw, []byte("\xef\xbb\xbf"))))
	in.Buffer(make([]byte, 1<<16), 1<<26)
	h, line, first, err := readHeader(in)
	if err != nil {
		return nil, err
	}
	g, err := h.grid(m)
	if err != nil {
		return nil, err
	}
	n := 0
	for more := true; more; more = in.Scan() {
		text := in.Text()
		if first != "" {
			text, first = first, ""
		} else {
			line++
		}
		for len(text) > 0 {
			var word string
			if word, text = nextWord(text); word == "" {
				break
			}
			v, err := strconv.ParseFloat(word, 64)
			if err != nil || math.IsInf(v, 0) {
				return nil, parse.At(line, "", fmt.Sprintf("expected a number, not %q", clipped(word)))
			}
			if n == h.rows*h.cols {
				return nil, parse.At(line, "", fmt.Sprintf("more than the %d × %d numbers the header says", h.rows, h.cols))
			}
			if v != h.noData && !math.IsNaN(v) {
				z := v * m.Scale
				if m.Depths {
					z = -z
				}
				if z += m.DatumM; math.Abs(z) > highest {
					return nil, parse.At(line, "", fmt.Sprintf("%v is no height near a shore: are unit and NODATA_value right?", v))
				}
				g.Set(h.rows-1-n/h.cols, n%h.cols, z)
			}
			n++
		}
	}
	if err := in.Err(); err != nil {
		return nil, parse.At(line+1, "", "the line is too long")
	}
	if n < h.rows*h.cols {
		return nil, parse.At(line, "", fmt.Sprintf("the file ends after %d numbers; expected %d × %d", n, h.rows, h.cols))
	}
	return g, nil
}

func clipped(s string) string {
	if len(s) > 20 {
		return s[:20] + "…"
	}
	return s
}

func nextWord(s string) (word, rest string) {
	s = strings.TrimLeft(s, " \t\r")
	i := strings.IndexAny(s, " \t\r")
	if i < 0 {
		return s, ""
	}
	return s[:i], s[i:]
}

// readHeader up to the first line of numbers, which it hands on.
func readHeader(in *bufio.Scanner) (h header, line int, first string, err error) {
	h.noData = math.NaN()
	seen := map[string]bool{}
	for in.Scan() {
		line++
		fields := strings.Fields(in.Text())
		if len(fields) == 0 {
			continue
		}
		name := strings.ToLower(fields[0])
		if _, err := strconv.ParseFloat(name, 64); err == nil {
			first = in.Text()
			break
		}
		if len(fields) != 2 || seen[name] {
			return h, line, "", parse.At(line, "", fmt.Sprintf("expected one name and one number, such as ncols 120, not %q",
				clipped(in.Text())))
		}
		seen[name] = true
		v, err := strconv.ParseFloat(fields[1], 64)
		if err != nil || math.IsInf(v, 0) || math.IsNaN(v) && name != "nodata_value" {
			return h, line, "", parse.At(line, name, fmt.Sprintf("expected a number, not %q", clipped(fields[1])))
		}
		switch name {
		case "ncols":
			h.cols = int(v)
		case "nrows":
			h.rows = int(v)
		case "xllcorner", "xllcenter":
			h.x, h.centred = v, name == "xllcenter"
		case "yllcorner", "yllcenter":
			h.y = v
		case "cellsize":
			h.dx, h.dy = v, v
		case "dx":
			h.dx = v
		case "dy":
			h.dy = v
		case "nodata_value":
			h.noData = v
		default:
			return h, line, "", parse.At(line, name, "not known; expected ncols, nrows, xllcorner, yllcorner, cellsize, NODATA_value")
		}
	}
	for _, need := range [][]string{{"ncols"}, {"nrows"}, {"xllcorner", "xllcenter"}, {"yllcorner", "yllcenter"}, {"cellsize", "dx"}} {
		found := false
		for _, n := range need {
			found = found || seen[n]
		}
		if !found {
			return h, line, "", parse.At(max(line, 1), need[0], "missing from the header")
		}
	}
	if h.cols < 2 || h.rows < 2 || !(h.dx > 0) || !(h.dy > 0) {
		return h, line, "", parse.At(line, "", "ncols and nrows must be 2 or more and cellsize more than 0")
	}
	return h, line, first, nil
}

const perDegree = 6371008.8 * math.Pi / 180

func (h header) grid(m Meaning) (*ground.Grid, error) {
	x, y := h.x, h.y
	if !h.centred {
		x, y = x+h.dx/2, y+h.dy/2
	}
	dx, dy := h.dx, h.dy
	if o := m.Origin; o != nil {
		east := perDegree * math.Cos(o.Lat*math.Pi/180)
		x, y, dx, dy = o.Lon+x/east, o.Lat+y/perDegree, dx/east, dy/perDegree
	} else if math.Abs(y) > 90 || math.Abs(x) > 360 {
		return nil, fmt.Errorf("asc: a corner at %v, %v is not in degrees; say the place its metres are counted from", h.x, h.y)
	}
	return ground.NewGrid(y, x, dy, dx, h.rows, h.cols)
}

// noData in files written here.
const noData = -9999

// Write a grid in degrees; each cell is what of gives for its elevation, such as
// the depth at a level. Cells that are not square in degrees say dx and dy.
func Write(g *ground.Grid, of func(elevation float64) float64) []byte {
	var b bytes.Buffer
	exact := func(v float64) string { return strconv.FormatFloat(v, 'g', -1, 64) }
	fmt.Fprintf(&b, "ncols %d\nnrows %d\nxllcenter %s\nyllcenter %s\n", g.Cols, g.Rows, exact(g.West), exact(g.South))
	if g.DLat == g.DLon {
		fmt.Fprintf(&b, "cellsize %s\n", exact(g.DLat))
	} else {
		fmt.Fprintf(&b, "dx %s\ndy %s\n", exact(g.DLon), exact(g.DLat))
	}
	fmt.Fprintf(&b, "NODATA_value %d\n", noData)
	for r := g.Rows - 1; r >= 0; r-- {
		for c := range g.Cols {
			if c > 0 {
				b.WriteByte(' ')
			}
			z := g.Cell(r, c)
			if math.IsNaN(z) {
				b.WriteString("-9999")
				continue
			}
			b.Write(strconv.AppendFloat(b.AvailableBuffer(), math.Round(of(z)*1000)/1000, 'f', -1, 64))
		}
		b.WriteByte('\n')
	}
	return b.Bytes()
}
