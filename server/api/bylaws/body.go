package bylaws

import (
	"cmp"
	"errors"
	"strings"
	"time"

	"greypebble/core/bylaw"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// SeasonBody from a day to a day.
type SeasonBody struct {
	From string `json:"from" maxLength:"10" example:"03-01" doc:"2026-03-01 of one year, or 03-01 of every year; inclusive"`
	To   string `json:"to" maxLength:"10" example:"06-30"`
}

// AreaBody is where a rule holds.
type AreaBody struct {
	Name string        `json:"name,omitempty" maxLength:"80"`
	Ring []wire.LatLon `json:"ring" minItems:"3" maxItems:"5000" nullable:"false" doc:"the last point joins the first"`
}

// GearBody is what a rule asks of what is tied on.
type GearBody struct {
	CircleHooks bool `json:"circle_hooks,omitempty" doc:"with natural bait"`
	Barbless    bool `json:"barbless,omitempty"`
	NoLiveBait  bool `json:"no_live_bait,omitempty"`
	NoSnagging  bool `json:"no_snagging,omitempty"`
	MostRods    int  `json:"most_rods,omitempty" minimum:"0" maximum:"100" doc:"a person; 0: not limited"`
	MostHooks   int  `json:"most_hooks,omitempty" minimum:"0" maximum:"100" doc:"a line; 0: not limited"`
}

// DutyBody is what one owes for a fish that is kept.
type DutyBody struct {
	Kind    string  `json:"kind" enum:"tag,report"`
	WithinH float64 `json:"within_h,omitempty" minimum:"0" maximum:"8784" doc:"hours; 0: at once"`
	To      string  `json:"to,omitempty" maxLength:"120"`
}

// BylawBody is a rule of an authority, or a voluntary code, as it was entered. It is exported for huma, which embeds only
// such fields.
type BylawBody struct {
	Name      string       `json:"name,omitempty" maxLength:"80"`
	Authority string       `json:"authority,omitempty" maxLength:"80"`
	Voluntary bool         `json:"voluntary,omitempty" doc:"a code: shown apart, it forbids nothing"`
	Species   []string     `json:"species" minItems:"1" maxItems:"60" nullable:"false" doc:"names, genera, groups such as drums, or any"`
	Licence   string       `json:"licence,omitempty" maxLength:"80" doc:"class of people it holds for; left out: everyone"`
	Area      *AreaBody    `json:"area,omitempty" doc:"left out: everywhere"`
	Seasons   []SeasonBody `json:"seasons,omitempty" maxItems:"60" doc:"left out: all year"`
	Days      []string     `json:"days,omitempty" maxItems:"7" enum:"sunday,monday,tuesday,wednesday,thursday,friday,saturday"`
	From      string       `json:"from,omitempty" maxLength:"5" example:"19:00" doc:"with to, the hours it holds; left out: all day"`
	To        string       `json:"to,omitempty" maxLength:"5" example:"05:00"`
	Status    string       `json:"status,omitempty" enum:"release only,closed,protected" doc:"left out: limits of size and number, if any"`
	MinM      float64      `json:"min_m,omitempty" minimum:"0" maximum:"6" doc:"inclusive"`
	MaxM      float64      `json:"max_m,omitempty" minimum:"0" maximum:"6" doc:"inclusive"`
	Over      int          `json:"over,omitempty" minimum:"0" maximum:"1000" doc:"so many a person and day may be longer"`
	OverM     float64      `json:"over_m,omitempty" minimum:"0" maximum:"6"`
	Measure   string       `json:"measure,omitempty" enum:"total,fork,pinched" doc:"left out: total"`
	Bag       *int         `json:"bag,omitempty" minimum:"0" maximum:"1000" doc:"a person and day; 0: none may be kept"`
	Each      bool         `json:"each,omitempty" doc:"the bag is of each species, not of all together"`
	BoatBag   *int         `json:"boat_bag,omitempty" minimum:"0" maximum:"1000"`
	// Possession at any time.
	Possession *int       `json:"possession,omitempty" minimum:"0" maximum:"1000"`
	NotKept    []string   `json:"not_kept,omitempty" maxItems:"5" enum:"female,male,egg-bearing,nesting male,soft-shelled"`
	Gear       *GearBody  `json:"gear,omitempty"`
	Duties     []DutyBody `json:"duties,omitempty" maxItems:"10"`
	NoLimits   bool       `json:"no_limits,omitempty" doc:"there is none of size or number: said outright, since nothing said is not known"`
	Advisory   string     `json:"advisory,omitempty" maxLength:"400" doc:"on eating it, in the authority's words"`
	Note       string     `json:"note,omitempty" maxLength:"400"`
	Source     string     `json:"source" minLength:"1" maxLength:"200" doc:"where the rule stands"`
	Address    string     `json:"address,omitempty" maxLength:"400" doc:"where that is found"`
	Checked    string     `json:"checked" format:"date" doc:"when it was last looked up"`
	CheckedBy  string     `json:"checked_by,omitempty" maxLength:"80"`
	LifeDays   int        `json:"life_days,omitempty" minimum:"0" maximum:"3660" doc:"after so many days it is stale; left out: 365"`
}

// rule the body says; errors name the field below where the body stands.
func (b *BylawBody) rule(at string) (bylaw.Rule, error) {
	r := bylaw.Rule{Name: strings.TrimSpace(b.Name), Authority: strings.TrimSpace(b.Authority), Voluntary: b.Voluntary,
		Licence: strings.TrimSpace(b.Licence), Status: bylaw.Status(b.Status), MinM: bylaw.Metres(b.MinM), MaxM: bylaw.Metres(b.MaxM),
		Over: b.Over, OverM: bylaw.Metres(b.OverM), Measure: bylaw.Measure(b.Measure), Bag: b.Bag, Each: b.Each, BoatBag: b.BoatBag,
		Possession: b.Possession, NoLimits: b.NoLimits, Advisory: strings.TrimSpace(b.Advisory), Note: strings.TrimSpace(b.Note),
		Source: strings.TrimSpace(b.Source), Address: strings.TrimSpace(b.Address), CheckedBy: strings.TrimSpace(b.CheckedBy),
		LifeDays: b.LifeDays}
	for _, s := range b.Species {
		r.Species = append(r.Species, strings.TrimSpace(s))
	}
	if b.Area != nil {
		r.Area = bylaw.Area{Name: strings.TrimSpace(b.Area.Name), Ring: wire.Ground(b.Area.Ring)}
	}
	if g := b.Gear; g != nil {
		r.Gear = bylaw.Gear(*g)
	}
	for _, s := range b.NotKept {
		r.NotKept = append(r.NotKept, bylaw.Sex(s))
	}
	for _, d := range b.Duties {
		r.Duties = append(r.Duties, bylaw.Duty{Kind: bylaw.DutyKind(d.Kind), WithinHours: d.WithinH, To: strings.TrimSpace(d.To)})
	}
	if field, err := b.times(&r); err != nil {
		return r, web.Wrong(at+"."+field, err)
	}
	if err := r.Validate(); err != nil {
		var wrong *bylaw.FieldError
		if errors.As(err, &wrong) && !wrong.Between {
			field := map[string]string{"hours": "from"}[wrong.Field]
			return r, web.Wrong(at+"."+cmp.Or(field, wrong.Field), err)
		}
		return r, web.Wrong(at, err)
	}
	return r, nil
}

// times of the rule: seasons, days, hours, and when it was checked.
func (b *BylawBody) times(r *bylaw.Rule) (field string, err error) {
	for _, s := range b.Seasons {
		var season bylaw.Season
		if season.From, err = bylaw.ParseDate(s.From); err != nil {
			return "seasons", err
		}
		if season.To, err = bylaw.ParseDate(s.To); err != nil {
			return "seasons", err
		}
		r.Seasons = append(r.Seasons, season)
	}
	for _, d := range b.Days {
		day, err := bylaw.ParseDay(d)
		if err != nil {
			return "days", err
		}
		r.Hours.Days = append(r.Hours.Days, day)
	}
	if (b.From == "") != (b.To == "") {
		return "from", errors.New("expected both from and to, or neither")
	}
	if b.From != "" {
		if r.Hours.From, err = bylaw.ParseClock(b.From); err != nil {
			return "from", err
		}
		if r.Hours.To, err = bylaw.ParseClock(b.To); err != nil {
			return "to", err
		}
	}
	if r.CheckedOn, err = time.Parse(time.DateOnly, b.Checked); err != nil {
		return "checked", err
	}
	return "", nil
}

// bodyOf a rule.
func bodyOf(r *bylaw.Rule) BylawBody {
	b := BylawBody{Name: r.Name, Authority: r.Authority, Voluntary: r.Voluntary, Species: r.Species, Licence: r.Licence,
		Status: string(r.Status), MinM: r.MinM, MaxM: r.MaxM, Over: r.Over, OverM: r.OverM, Measure: string(r.Measure), Bag: r.Bag,
		Each: r.Each, BoatBag: r.BoatBag, Possession: r.Possession, NoLimits: r.NoLimits, Advisory: r.Advisory, Note: r.Note,
		Source: r.Source, Address: r.Address, Checked: r.CheckedOn.Format(time.DateOnly), CheckedBy: r.CheckedBy, LifeDays: r.LifeDays}
	if !r.Area.Everywhere() {
		b.Area = &AreaBody{Name: r.Area.Name, Ring: wire.LatLons(r.Area.Ring)}
	}
	if r.Gear.Any() {
		g := GearBody(r.Gear)
		b.Gear = &g
	}
	for _, s := range r.Seasons {
		b.Seasons = append(b.Seasons, SeasonBody{s.From.String(), s.To.String()})
	}
	for _, d := range r.Hours.Days {
		b.Days = append(b.Days, strings.ToLower(d.String()))
	}
	if h := r.Hours; h.From != 0 || h.To != 0 {
		b.From, b.To = bylaw.WriteClock(h.From), bylaw.WriteClock(h.To)
	}
	for _, s := range r.NotKept {
		b.NotKept = append(b.NotKept, string(s))
	}
	for _, d := range r.Duties {
		b.Duties = append(b.Duties, DutyBody{string(d.Kind), d.WithinHours, d.To})
	}
	return b
}
