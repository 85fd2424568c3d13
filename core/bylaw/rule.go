package bylaw

import (
	"time"

	"greypebble/core/ground"
)

// Status of a fish under a rule.
type Status string

// Statuses there are.
const (
	// Limits of size and number hold, if any.
	Limits Status = ""
	// ReleaseOnly: it may be fished for, none may be kept.
	ReleaseOnly Status = "release only"
	// Closed: it may not be fished for; where a rule is of any fish the place is closed.
	Closed Status = "closed"
	// Protected: it may be neither sought nor kept, and is put back at once.
	Protected Status = "protected"
)

// Statuses in the order of how much they forbid.
var Statuses = []Status{Limits, ReleaseOnly, Closed, Protected}

// Sex or state of a fish that some rules ask about.
type Sex string

// States there are.
const (
	Female      Sex = "female"
	Male        Sex = "male"
	EggBearing  Sex = "egg-bearing"
	NestingMale Sex = "nesting male"
	SoftShelled Sex = "soft-shelled"
)

// Sexes and states a rule may speak of.
var Sexes = []Sex{Female, Male, EggBearing, NestingMale, SoftShelled}

// Gear a rule asks for. Zero values ask for nothing.
type Gear struct {
	CircleHooks bool `json:"circle_hooks,omitempty"` // with natural bait
	Barbless    bool `json:"barbless,omitempty"`
	NoLiveBait  bool `json:"no_live_bait,omitempty"`
	NoSnagging  bool `json:"no_snagging,omitempty"`
	MostRods    int  `json:"most_rods,omitempty"`  // a person
	MostHooks   int  `json:"most_hooks,omitempty"` // a line
}

// Any says whether anything is asked.
func (g Gear) Any() bool { return g != Gear{} }

// DutyKind is what one owes for a fish.
type DutyKind string

// Duties there are.
const (
	Tag    DutyKind = "tag"
	Report DutyKind = "report"
)

// Duty for a fish that is kept: a tag put on it, or a report made.
type Duty struct {
	Kind DutyKind `json:"kind"`
	// WithinHours of the catch; 0: at once.
	WithinHours float64 `json:"within_h,omitempty"`
	// To whom or how, in the rule's words.
	To string `json:"to,omitempty"`
}

// Area within which a rule holds: the ring it was drawn with, or that of the zone it was taken from. An area without
// a ring is everywhere.
type Area struct {
	Name string      `json:"name,omitempty"`
	Ring ground.Ring `json:"ring,omitempty"`
}

// Everywhere says that the rule has no area.
func (a Area) Everywhere() bool { return len(a.Ring) == 0 }

// Rule of an authority, or a voluntary code, as it was entered. It is kept by the names of its tags.
type Rule struct {
	ID string `json:"-"`
	// Name it goes by; Authority whose rule it is, empty where that was not said.
	Name      string `json:"name,omitempty"`
	Authority string `json:"authority,omitempty"`
	// Voluntary codes are shown apart; they forbid nothing.
	Voluntary bool `json:"voluntary,omitempty"`
	// Species it is of: ids, names, Latin names, genera, groups ("drums"), or "any". See [Species.Is].
	Species []string `json:"species"`
	// Licence is the class of people it holds for; empty: everyone.
	Licence string `json:"licence,omitempty"`
	Area    Area   `json:"area,omitzero"`
	// Seasons in which it holds; none: all year.
	Seasons []Season `json:"seasons,omitempty"`
	// Hours of the days in which it holds.
	Hours Hours `json:"hours,omitzero"`

	Status Status `json:"status,omitempty"`
	// MinM and MaxM are the least and the greatest length that may be kept, both inclusive, metres; 0: none.
	MinM float64 `json:"min_m,omitempty"`
	MaxM float64 `json:"max_m,omitempty"`
	// Over fish a person and day may be longer than OverM, or than MaxM where OverM is 0; it is never less than MaxM.
	// Without a MaxM those longer than OverM are limited to so many.
	Over  int     `json:"over,omitempty"`
	OverM float64 `json:"over_m,omitempty"`
	// Measure those lengths are of; empty: it was not said, and total length is taken.
	Measure Measure `json:"measure,omitempty"`
	// Bag a person and day, BoatBag a boat and day, Possession a person at any time; nil: none was entered. 0: none
	// may be kept. Species of one rule share them, unless Each has its own.
	Bag        *int `json:"bag,omitempty"`
	BoatBag    *int `json:"boat_bag,omitempty"`
	Possession *int `json:"possession,omitempty"`
	Each       bool `json:"each,omitempty"`
	// NotKept are sexes and states that go back.
	NotKept []Sex  `json:"not_kept,omitempty"`
	Gear    Gear   `json:"gear,omitzero"`
	Duties  []Duty `json:"duties,omitempty"`
	// NoLimits says outright that there is none of size or of number.
	NoLimits bool `json:"no_limits,omitempty"`
	// Advisory is the authority's text on eating it.
	Advisory string `json:"advisory,omitempty"`
	Note     string `json:"note,omitempty"`

	// Source is where the rule stands, Address where that is found; CheckedBy looked it up on the day CheckedOn.
	Source    string    `json:"source"`
	Address   string    `json:"address,omitempty"`
	CheckedBy string    `json:"checked_by,omitempty"`
	CheckedOn time.Time `json:"checked_on"`
	// LifeDays after which it is to be looked up again; 0: [usualLife].
	LifeDays int `json:"life_days,omitempty"`
}

// usualLife of a rule, days: they change by the year.
const usualLife = 365

// Stale says that the rule is older than it may be trusted for.
func (r *Rule) Stale(now time.Time) bool {
	life := r.LifeDays
	if life == 0 {
		life = usualLife
	}
	return !now.Before(r.CheckedOn.AddDate(0, 0, life+1))
}

// Called is what the rule goes by: its name, or its authority, or its source.
func (r *Rule) Called() string {
	for _, s := range []string{r.Name, r.Authority, r.Source} {
		if s != "" {
			return s
		}
	}
	return r.ID
}

// sized says that the rule limits the length.
func (r *Rule) sized() bool { return r.MinM > 0 || r.MaxM > 0 || r.OverM > 0 }

// counted says that the rule limits the number.
func (r *Rule) counted() bool { return r.Bag != nil || r.BoatBag != nil || r.Possession != nil }

// permits says that the rule, where it is met, is a permission to keep: it speaks of how large or how many. A rule of
// gear, of reports or of a closed season outside it is none.
func (r *Rule) permits() bool { return r.sized() || r.counted() || r.NoLimits }

// forbids says that under the rule none is kept, whatever its size.
func (r *Rule) forbids() bool { return r.Status != Limits }

// Holds says whether the rule is in force on the local day and hour of a time.
func (r *Rule) Holds(local time.Time) bool { return r.InSeason(local) && r.Hours.Holds(local) }

// At says whether the rule is in force anywhere on a place: a point, or a point and after it the shape of a drift or
// an area, as [ground.Zone.Touches] has it.
func (r *Rule) At(points []ground.LatLon, area bool) bool {
	if r.Area.Everywhere() {
		return true
	}
	z := ground.Zone{Ring: r.Area.Ring}
	return z.Touches(points, area)
}

// within says that the rule's area lies inside another's, and is not it.
func (r *Rule) within(o *Rule) bool {
	switch {
	case r.Area.Everywhere():
		return false
	case o.Area.Everywhere():
		return true
	}
	z := ground.Zone{Ring: o.Area.Ring}
	for _, p := range r.Area.Ring {
		if !z.Inside(p) {
			return false
		}
	}
	back := ground.Zone{Ring: r.Area.Ring}
	for _, p := range o.Area.Ring {
		if !back.Inside(p) {
			return true
		}
	}
	return false
}
