package bylaws

import (
	"fmt"
	"math"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"time"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// entry is a rule as it is written in a file.
type entry struct {
	Name       string   `yaml:"name,omitempty"`
	Authority  string   `yaml:"authority,omitempty"`
	Code       bool     `yaml:"code,omitempty"`
	Species    []string `yaml:"species,flow"`
	Licence    string   `yaml:"licence,omitempty"`
	Area       string   `yaml:"area,omitempty"`
	Ring       string   `yaml:"ring,omitempty"`
	Seasons    []string `yaml:"seasons,flow,omitempty"`
	Days       []string `yaml:"days,flow,omitempty"`
	Hours      string   `yaml:"hours,omitempty"`
	Status     string   `yaml:"status,omitempty"`
	Min        string   `yaml:"min,omitempty"`
	Max        string   `yaml:"max,omitempty"`
	Over       int      `yaml:"over,omitempty"`
	OverLength string   `yaml:"over_length,omitempty"`
	Measure    string   `yaml:"measure,omitempty"`
	Bag        *int     `yaml:"bag,omitempty"`
	Each       bool     `yaml:"each,omitempty"`
	BoatBag    *int     `yaml:"boat_bag,omitempty"`
	Possession *int     `yaml:"possession,omitempty"`
	NotKept    []string `yaml:"not_kept,flow,omitempty"`
	Gear       []string `yaml:"gear,flow,omitempty"`
	Duties     []string `yaml:"duties,flow,omitempty"`
	NoLimits   bool     `yaml:"no_limits,omitempty"`
	Advisory   string   `yaml:"advisory,omitempty"`
	Note       string   `yaml:"note,omitempty"`
	Source     string   `yaml:"source"`
	Address    string   `yaml:"address,omitempty"`
	Checked    string   `yaml:"checked"`
	CheckedBy  string   `yaml:"checked_by,omitempty"`
	LifeDays   int      `yaml:"life_days,omitempty"`
}

// fieldError is what is wrong in one field of an entry.
type fieldError struct {
	field string
	err   error
}

func (e fieldError) Error() string { return e.err.Error() }

// named as in the file, the fields a rule's own errors speak of.
var named = map[string]string{"min_m": "min", "max_m": "max", "over_m": "over_length", "area": "ring"}

// rule an entry says.
func (e *entry) rule() (r bylaw.Rule, err error) {
	r = bylaw.Rule{Name: e.Name, Authority: e.Authority, Voluntary: e.Code, Species: e.Species, Licence: e.Licence,
		Area: bylaw.Area{Name: e.Area}, Status: bylaw.Status(e.Status), Over: e.Over, Measure: bylaw.Measure(e.Measure), Bag: e.Bag,
		Each: e.Each, BoatBag: e.BoatBag, Possession: e.Possession, NoLimits: e.NoLimits, Advisory: e.Advisory, Note: e.Note,
		Source: e.Source, Address: e.Address, CheckedBy: e.CheckedBy, LifeDays: e.LifeDays}
	for _, s := range e.NotKept {
		r.NotKept = append(r.NotKept, bylaw.Sex(s))
	}
	for _, f := range []struct {
		name string
		read func() error
	}{
		{"ring", func() (err error) { r.Area.Ring, err = readRing(e.Ring); return err }},
		{"seasons", func() (err error) { r.Seasons, err = readSeasons(e.Seasons); return err }},
		{"days", func() (err error) { r.Hours.Days, err = readDays(e.Days); return err }},
		{"hours", func() (err error) { r.Hours.From, r.Hours.To, err = readHours(e.Hours); return err }},
		{"min", func() (err error) { r.MinM, err = readLength(e.Min); return err }},
		{"max", func() (err error) { r.MaxM, err = readLength(e.Max); return err }},
		{"over_length", func() (err error) { r.OverM, err = readLength(e.OverLength); return err }},
		{"gear", func() (err error) { r.Gear, err = readGear(e.Gear); return err }},
		{"duties", func() (err error) { r.Duties, err = readDuties(e.Duties); return err }},
		{"checked", func() (err error) { r.CheckedOn, err = readDay(e.Checked); return err }},
	} {
		if err := f.read(); err != nil {
			return r, fieldError{f.name, err}
		}
	}
	if err := r.Validate(); err != nil {
		return r, err
	}
	return r, nil
}

// entryOf a rule.
func entryOf(r *bylaw.Rule) entry {
	e := entry{Name: r.Name, Authority: r.Authority, Code: r.Voluntary, Species: r.Species, Licence: r.Licence, Area: r.Area.Name,
		Ring: writeRing(r.Area.Ring), Status: string(r.Status), Min: writeLength(r.MinM), Max: writeLength(r.MaxM), Over: r.Over,
		OverLength: writeLength(r.OverM), Measure: string(r.Measure), Bag: r.Bag, Each: r.Each, BoatBag: r.BoatBag,
		Possession: r.Possession, Gear: writeGear(r.Gear), NoLimits: r.NoLimits, Advisory: r.Advisory, Note: r.Note, Source: r.Source,
		Address: r.Address, Checked: r.CheckedOn.Format(time.DateOnly), CheckedBy: r.CheckedBy, LifeDays: r.LifeDays}
	for _, s := range r.Seasons {
		e.Seasons = append(e.Seasons, s.From.String()+to+s.To.String())
	}
	for _, d := range r.Hours.Days {
		e.Days = append(e.Days, strings.ToLower(d.String()))
	}
	if h := r.Hours; h.From != 0 || h.To != 0 {
		e.Hours = bylaw.WriteClock(h.From) + to + bylaw.WriteClock(h.To)
	}
	for _, s := range r.NotKept {
		e.NotKept = append(e.NotKept, string(s))
	}
	for _, d := range r.Duties {
		e.Duties = append(e.Duties, writeDuty(d))
	}
	return e
}

// to stands between the two ends of a span.
const to = " to "

func readDay(s string) (time.Time, error) {
	t, err := time.Parse(time.DateOnly, s)
	if err != nil {
		return t, fmt.Errorf("%q is no day; expected one like 2026-05-03", s)
	}
	return t, nil
}

func readSeasons(list []string) (out []bylaw.Season, err error) {
	for _, s := range list {
		from, until, cut := strings.Cut(s, to)
		if !cut {
			return nil, fmt.Errorf("%q is no season; expected one like 03-01 to 06-30, or 2026-06-06 to 2026-08-02", s)
		}
		var season bylaw.Season
		if season.From, err = bylaw.ParseDate(strings.TrimSpace(from)); err != nil {
			return nil, err
		}
		if season.To, err = bylaw.ParseDate(strings.TrimSpace(until)); err != nil {
			return nil, err
		}
		out = append(out, season)
	}
	return out, nil
}

func readDays(list []string) (out []time.Weekday, err error) {
	for _, s := range list {
		d, err := bylaw.ParseDay(s)
		if err != nil {
			return nil, err
		}
		out = append(out, d)
	}
	return out, nil
}

func readHours(s string) (from, until int, err error) {
	if s == "" {
		return 0, 0, nil
	}
	a, b, cut := strings.Cut(s, to)
	if !cut {
		return 0, 0, fmt.Errorf("%q are no hours; expected them like 19:00 to 05:00", s)
	}
	if from, err = bylaw.ParseClock(strings.TrimSpace(a)); err != nil {
		return 0, 0, err
	}
	until, err = bylaw.ParseClock(strings.TrimSpace(b))
	return from, until, err
}

func readLength(s string) (float64, error) {
	if s == "" {
		return 0, nil
	}
	m, err := quantity.Of(quantity.Length, s)
	return bylaw.Metres(m), err
}

// writeLength in the unit that says it shortest and reads back to the same.
func writeLength(m float64) string {
	if m == 0 {
		return ""
	}
	for _, u := range []struct {
		name  string
		m     float64
		parts float64
	}{{"cm", 0.01, 2}, {"in", 0.0254, 4}, {"cm", 0.01, 100}} {
		s := strconv.FormatFloat(math.Round(m/u.m*u.parts)/u.parts, 'f', -1, 64) + " " + u.name
		if back, err := readLength(s); err == nil && back == m {
			return s
		}
	}
	return strconv.FormatFloat(m, 'f', -1, 64) + " m"
}

func readRing(s string) (out ground.Ring, err error) {
	if s == "" {
		return nil, nil
	}
	for i, corner := range strings.Split(s, ";") {
		p := strings.Fields(corner)
		if len(p) != 2 {
			return nil, fmt.Errorf("corner %d is %q; expected latitude and longitude like 31.2 -45.1", i+1, strings.TrimSpace(corner))
		}
		lat, err := strconv.ParseFloat(p[0], 64)
		if err != nil {
			return nil, fmt.Errorf("corner %d: %q is no latitude", i+1, p[0])
		}
		lon, err := strconv.ParseFloat(p[1], 64)
		if err != nil {
			return nil, fmt.Errorf("corner %d: %q is no longitude", i+1, p[1])
		}
		out = append(out, ground.LatLon{Lat: lat, Lon: lon})
	}
	return out, nil
}

func writeRing(r ground.Ring) string {
	var out []string
	for _, p := range r {
		out = append(out, strconv.FormatFloat(p.Lat, 'f', -1, 64)+" "+strconv.FormatFloat(p.Lon, 'f', -1, 64))
	}
	return strings.Join(out, "; ")
}

// words of the gear a rule asks for.
const (
	circle, barbless, noLive, noSnagging = "circle hooks", "barbless", "no live bait", "no snagging"
)

var most = regexp.MustCompile(`^([0-9]{1,4}) (rod|hook)s?$`)

func readGear(list []string) (g bylaw.Gear, err error) {
	for _, s := range list {
		switch m := most.FindStringSubmatch(s); {
		case m != nil:
			n, err := strconv.Atoi(m[1])
			if err != nil {
				return g, err
			}
			if m[2] == "rod" {
				g.MostRods = n
			} else {
				g.MostHooks = n
			}
		case s == circle:
			g.CircleHooks = true
		case s == barbless:
			g.Barbless = true
		case s == noLive:
			g.NoLiveBait = true
		case s == noSnagging:
			g.NoSnagging = true
		default:
			return g, fmt.Errorf("unknown gear %q; expected some of %q, 2 rods, 1 hook", s, []string{circle, barbless, noLive, noSnagging})
		}
	}
	return g, nil
}

func writeGear(g bylaw.Gear) (out []string) {
	for _, k := range []struct {
		is   bool
		says string
	}{{g.CircleHooks, circle}, {g.Barbless, barbless}, {g.NoLiveBait, noLive}, {g.NoSnagging, noSnagging}} {
		if k.is {
			out = append(out, k.says)
		}
	}
	for _, k := range []struct {
		n    int
		says string
	}{{g.MostRods, "rod"}, {g.MostHooks, "hook"}} {
		if k.n > 0 {
			s := fmt.Sprintf("%d %s", k.n, k.says)
			if k.n > 1 {
				s += "s"
			}
			out = append(out, s)
		}
	}
	return out
}

var duty = regexp.MustCompile(`^(tag|report)(?: within ([0-9.]{1,24}) h)?(?: to (.+))?$`)

func readDuties(list []string) (out []bylaw.Duty, err error) {
	for _, s := range list {
		m := duty.FindStringSubmatch(s)
		if m == nil {
			return nil, fmt.Errorf("unknown duty %q; expected one like tag, or report within 24 h to the harbour office", s)
		}
		d := bylaw.Duty{Kind: bylaw.DutyKind(m[1]), To: m[3]}
		if m[2] != "" {
			if d.WithinHours, err = strconv.ParseFloat(m[2], 64); err != nil {
				return nil, fmt.Errorf("unknown duty %q: %q is no number of hours", s, m[2])
			}
		}
		out = append(out, d)
	}
	return out, nil
}

func writeDuty(d bylaw.Duty) string {
	s := string(d.Kind)
	if d.WithinHours > 0 {
		s += " within " + strconv.FormatFloat(d.WithinHours, 'f', -1, 64) + " h"
	}
	if d.To != "" {
		s += to + d.To
	}
	return s
}

// same rules but for who entered them: the same authority saying the same of the same.
func same(a, b *bylaw.Rule) bool {
	x, y := entryOf(a), entryOf(b)
	x.Source, x.Address, x.Checked, x.CheckedBy, x.LifeDays = y.Source, y.Address, y.Checked, y.CheckedBy, y.LifeDays
	return slices.Equal(cells(&x), cells(&y))
}

// Doubled is the place of a rule in a list that says the same, −1 for none; it may have been looked up at another time.
func Doubled(r *bylaw.Rule, of []bylaw.Rule) int {
	return slices.IndexFunc(of, func(o bylaw.Rule) bool { return same(r, &o) })
}
