package ground

import (
	"fmt"
	"math"
	"sort"
	"strings"
)

// MarkKind is what a mark is.
type MarkKind string

// Kinds of marks.
const (
	Crest    MarkKind = "crest"
	EdgeMark MarkKind = "edge"
	Trough   MarkKind = "trough"
	Hole     MarkKind = "hole"
	Sill     MarkKind = "sill"
	Piling   MarkKind = "piling"
	Step     MarkKind = "step"
	Pocket   MarkKind = "pocket"
	Bar      MarkKind = "bar"
	Slope    MarkKind = "slope"
	Channel  MarkKind = "channel"
	Flat     MarkKind = "flat"
	Swash    MarkKind = "swash"
	Gut      MarkKind = "gut"
	Cut      MarkKind = "cut"
	Timber   MarkKind = "timber"
	Rock     MarkKind = "rock"
	// Seam is where two waters meet: a colour line, the edge of a current.
	Seam MarkKind = "seam"
)

var markKinds = map[MarkKind]bool{Crest: true, EdgeMark: true, Trough: true, Hole: true, Sill: true, Piling: true, Step: true, Pocket: true,
	Bar: true, Slope: true, Channel: true, Flat: true, Swash: true, Gut: true, Cut: true, Timber: true, Rock: true, Seam: true}

// ParseMarkKind refuses a kind it does not know and lists those it does.
func ParseMarkKind(s string) (MarkKind, error) {
	k := MarkKind(s)
	if !markKinds[k] {
		return "", fmt.Errorf("ground: unknown mark kind %q; known are %s", s, strings.Join(MarkKinds(), ", "))
	}
	return k, nil
}

// MarkKinds in alphabetical order.
func MarkKinds() []string {
	list := make([]string, 0, len(markKinds))
	for k := range markKinds {
		list = append(list, string(k))
	}
	sort.Strings(list)
	return list
}

// Mark is a feature of a spot with an elevation.
type Mark struct {
	ID         string
	Name       string
	Kind       MarkKind
	DistanceM  float64
	ElevationM float64
	// Bottom is what lies there: shell, sand, mud, grass, rock, timber.
	Bottom string
	// Fishable says between which depths the mark is worth a cast.
	Fishable Depths
	// At is where it lies, where that is known better than by its distance along
	// the spot's section.
	At *LatLon
	// Note is what was learned there, at dead low water say; it stays visible when
	// the mark is flooded. Snag marks what catches line.
	Note string
	Snag bool
	// Line is what the ribbon writes where the tide crosses the mark, such as
	// "crest covers"; empty for marks without one.
	Line string
}

// Depths is a range of water depth in metres. A Max of zero means no upper end.
type Depths struct{ MinM, MaxM float64 }

// Holds says whether a depth lies in the range.
func (d Depths) Holds(depthM float64) bool {
	return depthM >= d.MinM && (d.MaxM == 0 || depthM <= d.MaxM)
}

// levels is the range of tide levels in which the depth over an elevation lies
// in the range.
func (d Depths) levels(elevationM float64) (lo, hi float64) {
	hi = math.Inf(1)
	if d.MaxM > 0 {
		hi = elevationM + d.MaxM
	}
	return elevationM + d.MinM, hi
}

// Depth of water over the mark at a tide level, metres; negative when it is dry
// by so much.
func (m Mark) Depth(levelM float64) float64 { return levelM - m.ElevationM }

// Validate checks names, kind and numbers.
func (m Mark) Validate() error {
	if strings.TrimSpace(m.Name) == "" {
		return fmt.Errorf("ground: a mark needs a name")
	}
	if _, err := ParseMarkKind(string(m.Kind)); err != nil {
		return err
	}
	if !KnownBottom(m.Bottom) {
		return UnknownBottom(m.Bottom)
	}
	for what, v := range map[string]float64{"elevation": m.ElevationM, "distance": m.DistanceM, "least depth": m.Fishable.MinM,
		"greatest depth": m.Fishable.MaxM} {
		if math.IsNaN(v) || math.Abs(v) > maxDistance {
			return fmt.Errorf("ground: mark %q: %s must be a finite number of metres, not %v", m.Name, what, v)
		}
	}
	if m.Fishable.MaxM != 0 && m.Fishable.MaxM <= m.Fishable.MinM {
		return fmt.Errorf("ground: mark %q: greatest depth %v m must exceed the least, %v m", m.Name, m.Fishable.MaxM, m.Fishable.MinM)
	}
	return nil
}
