package ground

import (
	"fmt"
	"math"
	"strings"
	"time"

	"greypebble/core/words"
)

// ZoneKind is what a zone asks of anglers.
type ZoneKind string

// Kinds of zones.
const (
	NoTake    ZoneKind = "no take"
	Seasonal  ZoneKind = "seasonal"
	Voluntary ZoneKind = "voluntary code"
)

// Zone is an area with a rule of an authority, as the user entered it. The
// program ships no law.
type Zone struct {
	ID, Name string
	Kind     ZoneKind
	// Says is the rule in the user's words, Source where it stands.
	Says, Source string
	// Checked is the day it was last looked up.
	Checked time.Time
	// From and To are the days of the year a seasonal zone holds, as month and
	// day (month × 100 + day); both zero: all year.
	From, To int
	Ring     Ring
}

// old is how long a rule may go unchecked before that is said.
const old = 365 * 24 * time.Hour

// Validate refuses zones without a name, a rule, a source or a shape.
func (z *Zone) Validate() error {
	switch {
	case strings.TrimSpace(z.Name) == "" || strings.TrimSpace(z.Says) == "":
		return fmt.Errorf("ground: a zone needs a name and its rule in words")
	case strings.TrimSpace(z.Source) == "" || z.Checked.IsZero():
		return fmt.Errorf("ground: zone %q needs the source of its rule and the day it was checked", z.Name)
	case z.Kind != NoTake && z.Kind != Seasonal && z.Kind != Voluntary:
		return fmt.Errorf("ground: zone %q: unknown kind %q; known are no take, seasonal, voluntary code", z.Name, z.Kind)
	case !dayOfYear(z.From) || !dayOfYear(z.To) || (z.From == 0) != (z.To == 0):
		return fmt.Errorf("ground: zone %q: its season must be two days such as 3-15 and 6-30, or none", z.Name)
	}
	o := Outline{[]Ring{z.Ring}}
	if err := o.Validate(); err != nil {
		return fmt.Errorf("ground: zone %q: %w", z.Name, err)
	}
	if i, j, crosses := z.Ring.Crosses(); crosses {
		return fmt.Errorf("ground: zone %q crosses itself between points %d and %d", z.Name, i+1, j+1)
	}
	return nil
}

func dayOfYear(md int) bool {
	return md == 0 || md/100 >= 1 && md/100 <= 12 && md%100 >= 1 && md%100 <= 31
}

// Holds says whether the zone's rule holds at a place and time.
func (z *Zone) Holds(p LatLon, t time.Time) bool { return z.InSeason(t) && z.Inside(p) }

// HoldsOn says whether the zone's rule holds at a time anywhere on a place as
// Touches has it.
func (z *Zone) HoldsOn(points []LatLon, area bool, t time.Time) bool {
	return z.InSeason(t) && z.Touches(points, area)
}

// Touches says whether a drift, whose points follow one another, or an area, whose
// last point joins the first, lies anywhere in the zone, whatever the season. The
// first point stands apart: that of a spot whose shape follows.
func (z *Zone) Touches(points []LatLon, area bool) bool {
	for _, p := range points {
		if z.Inside(p) {
			return true
		}
	}
	if len(points) < 3 {
		return false
	}
	shape := points[1:]
	if area && (&Outline{[]Ring{shape}}).Land(z.Ring[0]) {
		return true
	}
	for i := range shape {
		if i+1 == len(shape) && !area {
			break
		}
		for j := range z.Ring {
			if meet(shape[i], shape[(i+1)%len(shape)], z.Ring[j], z.Ring[(j+1)%len(z.Ring)]) {
				return true
			}
		}
	}
	return false
}

// meet says whether the stretch from a to b crosses that from c to d.
func meet(a, b, c, d LatLon) bool {
	m := planeAt(a)
	side := func(p, q, r LatLon) float64 {
		x0, y0 := m.xy(p)
		x1, y1 := m.xy(q)
		x2, y2 := m.xy(r)
		return (x1-x0)*(y2-y0) - (y1-y0)*(x2-x0)
	}
	return side(a, b, c)*side(a, b, d) < 0 && side(c, d, a)*side(c, d, b) < 0
}

// InSeason says whether the zone's rule holds at a time of the year.
func (z *Zone) InSeason(t time.Time) bool {
	md := int(t.Month())*100 + t.Day()
	switch {
	case z.From == 0:
		return true
	case z.From > z.To: // over the turn of the year
		return md >= z.From || md <= z.To
	}
	return md >= z.From && md <= z.To
}

// Season in words: "from 1 November to 31 March", "all year".
func (z *Zone) Season() string {
	if z.From == 0 {
		return "all year"
	}
	day := func(md int) string { return fmt.Sprintf("%d %s", md%100, time.Month(md/100)) }
	return fmt.Sprintf(words.FromTo, day(z.From), day(z.To))
}

// Inside says whether a place lies in the zone, whatever the season.
func (z *Zone) Inside(p LatLon) bool {
	o := Outline{[]Ring{z.Ring}}
	return o.Land(p)
}

// Warning to show before anything else, with where it comes from and whether it
// is time to look it up again.
func (z *Zone) Warning(now time.Time) string {
	says := fmt.Sprintf(words.SourceCheckedAskYourAuthority, z.Name, z.Kind, strings.TrimRight(z.Says, ".")+".",
		z.Source, z.Checked.Format("2 January 2006"))
	if now.Sub(z.Checked) > old {
		says += words.ThatIsMoreThanAYear
	}
	return says
}

// Crosses finds two stretches of a ring that meet where they should not.
func (r Ring) Crosses() (i, j int, crosses bool) {
	n := len(r)
	if n < 4 {
		return 0, 0, false
	}
	m := planeAt(r[0])
	xs, ys := make([]float64, n), make([]float64, n)
	for k, p := range r {
		xs[k], ys[k] = m.xy(p)
	}
	side := func(a, b, c int) float64 {
		return (xs[b]-xs[a])*(ys[c]-ys[a]) - (ys[b]-ys[a])*(xs[c]-xs[a])
	}
	for i := range n {
		i2 := (i + 1) % n
		for j := i + 2; j < n; j++ {
			j2 := (j + 1) % n
			if j2 == i {
				continue
			}
			a, b, c, d := side(i, i2, j), side(i, i2, j2), side(j, j2, i), side(j, j2, i2)
			if a*b < 0 && c*d < 0 && !math.IsNaN(a*b*c*d) {
				return i, j, true
			}
		}
	}
	return 0, 0, false
}
