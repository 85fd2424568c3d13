package bylaw

import (
	"fmt"
	"slices"
	"strings"
	"time"

	"greypebble/core/ground"
	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Grade of what a check found.
type Grade string

// Grades: a fault is impossible or contradicts, a gap is where nothing is known, a remark is worth a look.
const (
	Fault  Grade = "fault"
	Gap    Grade = "gap"
	Remark Grade = "remark"
)

// Found is one thing a check found.
type Found struct {
	Grade Grade
	// Rule is its place in the list, −1 where it is of none: a gap.
	Rule int
	Says string
}

// Place at which gaps are looked for.
type Place struct {
	Name   string
	Points []ground.LatLon
	Area   bool
}

// Checking is what a list of rules is checked against.
type Checking struct {
	Rules []Rule
	// Species one seeks, and Places one fishes.
	Species []Species
	Places  []Place
	// Known are all species there are, for the words of rules.
	Known []Species
	Now   time.Time
	Units quantity.Units
}

// Check the rules: what is impossible, clashes, overlaps, is stale, and where nothing is known.
func Check(c *Checking) (out []Found) {
	for i := range c.Rules {
		out = append(out, c.alone(i)...)
		for j := range i {
			if f, found := c.pair(j, i); found {
				out = append(out, f)
			}
		}
	}
	return append(out, c.gaps()...)
}

// alone is what is found of a rule by itself.
func (c *Checking) alone(i int) (out []Found) {
	r := &c.Rules[i]
	add := func(g Grade, form string, args ...any) { out = append(out, Found{g, i, fmt.Sprintf(form, args...)}) }
	if err := r.Validate(); err != nil {
		add(Fault, "%s", err.Error())
	}
	if !r.permits() && !r.forbids() && !r.Voluntary && !r.Gear.Any() && len(r.Duties) == 0 && len(r.NotKept) == 0 && r.Advisory == "" {
		add(Remark, words.FaultEmpty)
	}
	if !r.CheckedOn.IsZero() && r.Stale(c.Now) {
		add(Remark, words.FaultStale, r.CheckedOn.Format(dayLayout))
	}
	if last, gone := r.over(c.Now); gone {
		add(Remark, words.FaultSeasonGone, last.Says())
	}
	for _, w := range r.Species {
		if plain(w) == AnyFish {
			continue
		}
		var meant []string
		for _, s := range c.Known {
			if s.Is(w) {
				meant = append(meant, prose.LowerFirst(s.Name))
			}
		}
		switch {
		case len(meant) == 0:
			add(Remark, words.FaultUnknownFish, w)
		case len(meant) > 1:
			add(Remark, words.FaultGroup, w, prose.And(meant))
		}
	}
	return out
}

// over says that all its seasons lie in years gone by, and when the last ended.
func (r *Rule) over(now time.Time) (last Date, gone bool) {
	for _, s := range r.Seasons {
		if s.To.Year == 0 || !time.Date(s.To.Year, s.To.Month, s.To.Day+1, 0, 0, 0, 0, now.Location()).Before(now) {
			return last, false
		}
		if s.To.number() > last.number() {
			last = s.To
		}
	}
	return last, len(r.Seasons) > 0
}

// pair of rules that speak of the same fish, place, time and people: what is wrong between them. The second is told.
func (c *Checking) pair(i, j int) (Found, bool) {
	a, b := &c.Rules[i], &c.Rules[j]
	if a.Voluntary != b.Voluntary || !c.shareFish(a, b) || !meetInTime(a, b) || !meetInPlace(a, b) || a.Licence != b.Licence {
		return Found{}, false
	}
	find := func(g Grade, form string, args ...any) (Found, bool) {
		return Found{g, j, fmt.Sprintf(form, args...)}, true
	}
	nested := a.within(b) || b.within(a)
	switch {
	case a.saysSame(b) && !nested:
		return find(Fault, words.FaultDoubled, a.Called())
	case !(nested && a.Authority == b.Authority && a.Authority != "") && contradict(a, b):
		return find(Fault, words.FaultNoMeeting, fmt.Sprintf("%s (%s)", a.Called(), a.lengths(c.Units)))
	case a.sized() && b.sized() && a.Measure.or() != b.Measure.or() && !nested:
		return find(Remark, words.FaultMeasures, b.Measure.says(), a.Called(), a.Measure.says())
	case a.Authority == b.Authority && !nested && a.clashes(b):
		return find(Remark, words.FaultClash, a.Called())
	}
	return Found{}, false
}

// shareFish says whether two rules are of a fish in common.
func (c *Checking) shareFish(a, b *Rule) bool {
	if slices.ContainsFunc(a.Species, func(w string) bool {
		return slices.ContainsFunc(b.Species, func(o string) bool { return plain(w) == plain(o) })
	}) {
		return true
	}
	return slices.ContainsFunc(c.Known, func(s Species) bool { return a.Of(s) && b.Of(s) })
}

// meetInTime says whether some day of a year and the next is in both rules' seasons and days of the week.
func meetInTime(a, b *Rule) bool {
	years := []int{leapYear}
	for _, r := range []*Rule{a, b} {
		for _, s := range r.Seasons {
			if s.From.Year > 0 {
				years = append(years, s.From.Year, s.To.Year)
			}
		}
	}
	slices.Sort(years)
	for _, y := range slices.Compact(years) {
		for day := range 366 {
			t := time.Date(y, 1, 1+day, 12, 0, 0, 0, time.UTC)
			if a.InSeason(t) && b.InSeason(t) && a.Hours.on(t.Weekday()) && b.Hours.on(t.Weekday()) {
				return true
			}
		}
	}
	return false
}

// meetInPlace says whether two areas touch.
func meetInPlace(a, b *Rule) bool {
	if a.Area.Everywhere() || b.Area.Everywhere() {
		return true
	}
	z := ground.Zone{Ring: a.Area.Ring}
	// Of a spot whose shape follows, as Touches has it.
	return z.Touches(append([]ground.LatLon{b.Area.Ring[0]}, b.Area.Ring...), true)
}

// contradict says that no length is kept under both.
func contradict(a, b *Rule) bool {
	return a.MaxM > 0 && a.Over == 0 && b.MinM > a.MaxM+exact || b.MaxM > 0 && b.Over == 0 && a.MinM > b.MaxM+exact
}

// clashes says that two rules say something else of the same thing.
func (r *Rule) clashes(o *Rule) bool {
	differ := func(a, b *int) bool { return a != nil && b != nil && *a != *b }
	unlike := func(a, b float64) bool { return a > 0 && b > 0 && a != b }
	return unlike(r.MinM, o.MinM) || unlike(r.MaxM, o.MaxM) || differ(r.Bag, o.Bag) || differ(r.BoatBag, o.BoatBag) ||
		r.forbids() && o.permits() || o.forbids() && r.permits()
}

// saysSame as another, word for word.
func (r *Rule) saysSame(o *Rule) bool {
	return strings.EqualFold(r.Authority, o.Authority) && r.Says(quantity.Metric) == o.Says(quantity.Metric)
}

// gaps in what is known of the species one seeks at the places one fishes, now and in the year to come; places with the
// same gap are told together.
func (c *Checking) gaps() (out []Found) {
	for _, s := range c.Species {
		var says []string // in the order they are met
		places := map[string][]string{}
		for _, p := range c.Places {
			if gap := c.gap(s, &p); gap != "" {
				if places[gap] == nil {
					says = append(says, gap)
				}
				places[gap] = append(places[gap], p.Name)
			}
		}
		for _, gap := range says {
			out = append(out, Found{Gap, -1, strings.Replace(gap, somewhere, c.placesTold(places[gap]), 1)})
		}
	}
	return out
}

// somewhere stands for the places of a gap until they are all known.
const somewhere = "{places}"

// gap in what is known of a fish at a place; empty for none.
func (c *Checking) gap(s Species, p *Place) string {
	var of []*Rule
	for i := range c.Rules {
		if r := &c.Rules[i]; !r.Voluntary && r.Of(s) && r.At(p.Points, p.Area) && (r.permits() || r.forbids()) {
			of = append(of, r)
		}
	}
	name := prose.LowerFirst(s.Name)
	if len(of) == 0 {
		return fmt.Sprintf(words.FaultGap, name, somewhere)
	}
	if from, to, found := unruled(of, c.Now); found {
		return fmt.Sprintf(words.FaultGapSeason, name, somewhere, from.Format(dayLayout), to.Format(dayLayout))
	}
	return ""
}

// mostPlaces are named one by one.
const mostPlaces = 3

// placesTold in a sentence.
func (c *Checking) placesTold(names []string) string {
	switch {
	case len(names) == len(c.Places) && len(names) > 1:
		return words.AtAnySpot
	case len(names) > mostPlaces:
		return fmt.Sprintf(words.AtMoreSpots, strings.Join(names[:mostPlaces-1], ", "), len(names)-mostPlaces+1)
	}
	return fmt.Sprintf(words.AtSpots, prose.And(names))
}

// unruled is the first stretch of days in the year to come on which none of the rules is in season.
func unruled(of []*Rule, now time.Time) (from, to time.Time, found bool) {
	for day := range 366 {
		t := time.Date(now.Year(), now.Month(), now.Day()+day, 12, 0, 0, 0, now.Location())
		if slices.ContainsFunc(of, func(r *Rule) bool { return r.InSeason(t) }) {
			if found {
				return from, to, true
			}
			continue
		}
		if !found {
			from, found = t, true
		}
		to = t
	}
	return from, to, found
}
