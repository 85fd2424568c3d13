package api

import (
	"context"
	"fmt"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/server/store"
)

// CatchIn is what a person says of a catch.
type CatchIn struct {
	Target   string    `json:"target,omitempty" doc:"the spell's if left out"`
	CaughtAt time.Time `json:"caught_at,omitempty" doc:"the end of the spell if left out"`
	LengthM  *float64  `json:"length_m,omitempty" exclusiveMinimum:"0" exclusiveMaximum:"4"`
	MassKg   *float64  `json:"mass_kg,omitempty" exclusiveMinimum:"0" exclusiveMaximum:"500"`
	Kept     bool      `json:"kept,omitempty"`
	Note     string    `json:"note,omitempty" maxLength:"1000"`
	Revision int       `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
}

type spellCatchIn struct {
	ID uuid.UUID `json:"id" format:"uuid" doc:"made by the writer"`
	CatchIn
}

type spellInput struct {
	ByID
	Body struct {
		SpotID    uuid.UUID      `json:"spot_id" format:"uuid"`
		Target    string         `json:"target"`
		StartedAt time.Time      `json:"started_at"`
		EndedAt   time.Time      `json:"ended_at"`
		Rods      int            `json:"rods,omitempty" minimum:"1" maximum:"12" doc:"1 if left out"`
		Mark      string         `json:"mark,omitempty" maxLength:"60"`
		Approach  string         `json:"approach,omitempty" enum:"live bait,cut bait,lure"`
		Offering  string         `json:"offering,omitempty" maxLength:"80"`
		Note      string         `json:"note,omitempty" maxLength:"1000"`
		Readings  []readingIn    `json:"readings,omitempty" maxItems:"10" nullable:"false" doc:"what you saw; the rest is filled in"`
		Catches   []spellCatchIn `json:"catches,omitempty" maxItems:"200" nullable:"false" doc:"stored with the spell, all or none"`
		Revision  int            `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
	}
}

// CatchOut is a catch as it is stored.
type CatchOut struct {
	ID             string    `json:"id"`
	SpellID        string    `json:"spell_id"`
	Target         string    `json:"target"`
	TargetName     string    `json:"target_name"`
	CaughtAt       time.Time `json:"caught_at"`
	LengthM        *float64  `json:"length_m,omitempty"`
	MassKg         *float64  `json:"mass_kg,omitempty"`
	MassEstimateKg *float64  `json:"mass_estimate_kg,omitempty" doc:"from the species' length–weight relation"`
	Kept           bool      `json:"kept"`
	Note           string    `json:"note"`
	Revision       int       `json:"revision"`
}

// WaterOut is what the program worked out for the middle of a spell.
type WaterOut struct {
	TideLevelM       float64 `json:"tide_level_m"`
	TideStage        string  `json:"tide_stage" example:"flood, last third"`
	TideDirection    string  `json:"tide_direction" enum:"flood,ebb"`
	TideThird        int     `json:"tide_third"`
	TideRateMPerH    float64 `json:"tide_rate_m_per_h"`
	SunAltitudeDeg   float64 `json:"sun_altitude_deg"`
	Light            string  `json:"light"`
	MoonIllumination float64 `json:"moon_illumination"`
	MoonPhase        string  `json:"moon_phase"`
}

type readingOut struct {
	Kind   string    `json:"kind"`
	Value  float64   `json:"value"`
	Unit   string    `json:"unit"`
	Origin string    `json:"origin"`
	Source string    `json:"source"`
	Time   time.Time `json:"time"`
}

func readingOutOf(r conditions.Reading) readingOut {
	return readingOut{string(r.Kind), r.Value, r.Kind.Unit(), string(r.Origin), r.Source, r.Time}
}

type spellOut struct {
	ID         string    `json:"id"`
	SpotID     string    `json:"spot_id"`
	SpotName   string    `json:"spot_name"`
	TimeZone   string    `json:"time_zone"`
	Target     string    `json:"target"`
	TargetName string    `json:"target_name"`
	StartedAt  time.Time `json:"started_at"`
	EndedAt    time.Time `json:"ended_at"`
	Rods       int       `json:"rods"`
	Mark       string    `json:"mark"`
	Approach   string    `json:"approach"`
	Offering   string    `json:"offering"`
	Note       string    `json:"note"`
	Blank      bool      `json:"blank"`
	Revision   int       `json:"revision"`
	WaterOut
	Readings []readingOut `json:"readings" nullable:"false"`
	Catches  []CatchOut   `json:"catches" nullable:"false"`
}

type spellOutput struct{ Body spellOut }

type logFilter struct {
	Target  string    `query:"target"`
	SpotID  uuid.UUID `query:"spot_id" format:"uuid"`
	Stage   string    `query:"stage" enum:"flood,ebb"`
	Third   int       `query:"third" minimum:"0" maximum:"3"`
	From    time.Time `query:"from"`
	To      time.Time `query:"to"`
	Outcome string    `query:"outcome" enum:"blank,catch"`
	Most    int       `query:"most" minimum:"1" maximum:"1000" default:"200"`
}

type spellsOutput struct {
	Body struct {
		Spells   []spellOut `json:"spells" nullable:"false"`
		Total    int        `json:"total" doc:"spells that match, listed or not"`
		Blanks   int        `json:"blanks"`
		Catches  int        `json:"catches"`
		RodHours float64    `json:"rod_hours"`
		// Rate is catches a rod-hour over all that match.
		PerRodHour *float64 `json:"per_rod_hour" required:"true" nullable:"true"`
	}
}

func (s *Server) registerSpells(api huma.API) {
	put := operation(http.MethodPut, "/spells/{id}", "putSpell", "Write a spell, new or changed, with its catches")
	put.Errors = append(put.Errors, http.StatusConflict)
	huma.Register(api, put, s.putSpell)
	huma.Register(api, operation(http.MethodGet, "/spells", "listSpells", "The log, newest first, blanks included"), s.listSpells)
	huma.Register(api, operation(http.MethodDelete, "/spells/{id}", "deleteSpell", "Remove a spell and its catches"),
		func(ctx context.Context, in *ByID) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			return nil, failed(s.store.DeleteSpell(ctx, angler, in.ID))
		})
}

// longestSpell keeps a slip of the pen out of the log.
const longestSpell = 24 * time.Hour

func (s *Server) putSpell(ctx context.Context, in *spellInput) (*spellOutput, error) {
	b := &in.Body
	sp, angler, err := s.spot(ctx, b.SpotID)
	if err != nil {
		return nil, err
	}
	target, err := s.book.Target(b.Target)
	if err != nil {
		return nil, wrong("body.target", err)
	}
	started, ended := b.StartedAt.UTC().Truncate(time.Millisecond), b.EndedAt.UTC().Truncate(time.Millisecond)
	if ended.Before(started) {
		return nil, wrong("body.ended_at", fmt.Errorf("a spell must not end (%s) before it starts (%s)", ended.Format(time.RFC3339), started.Format(time.RFC3339)))
	}
	if ended.Sub(started) > longestSpell {
		return nil, wrong("body.ended_at", fmt.Errorf("a spell lasts at most 24 h; enter a longer one in parts"))
	}
	middle := started.Add(ended.Sub(started) / 2)
	own, err := observedAt(b.Readings, middle)
	if err != nil {
		return nil, err
	}
	m, _, err := s.moment(ctx, angler, sp, middle, 0, 0, own)
	if err != nil {
		return nil, failed(err)
	}
	m.Believed = m.Spot.Readings.BelieveDuring(started, ended)
	for i := range own { // what was said with the spell goes before what was seen beside it
		m.Believed[own[i].Kind] = conditions.Value{Reading: own[i]}
	}
	spell := store.Spell{ID: in.ID, Revision: b.Revision,
		SpellEntry: store.SpellEntry{SpotID: sp.ID, Target: target.ID, StartedAt: started, EndedAt: ended, Rods: max(b.Rods, 1),
			Mark: b.Mark, Approach: b.Approach, Offering: b.Offering, Note: b.Note},
		SpellWater: store.WaterAt(&m), Readings: store.ReadingsAt(&m)}
	for i, c := range b.Catches {
		entry, err := s.catchEntry(c.CatchIn, target, ended, fmt.Sprintf("body.catches[%d]", i))
		if err != nil {
			return nil, err
		}
		spell.Catches = append(spell.Catches, store.Catch{ID: c.ID, Revision: c.Revision, CatchEntry: entry})
	}
	if _, err := s.store.PutSpell(ctx, angler, spell); err != nil {
		return nil, failed(err)
	}
	stored, _, err := s.store.Spells(ctx, angler, store.Filter{ID: in.ID})
	if err != nil || len(stored) == 0 {
		return nil, failed(err)
	}
	return &spellOutput{s.spellOut(stored[0])}, nil
}

func (s *Server) catchEntry(c CatchIn, spells *playbook.Target, ended time.Time, where string) (store.CatchEntry, error) {
	e := store.CatchEntry{Target: spells.ID, CaughtAt: ended, LengthM: c.LengthM, MassKg: c.MassKg, Kept: c.Kept, Note: c.Note}
	if c.Target != "" {
		target, err := s.book.Target(c.Target)
		if err != nil {
			return e, wrong(where+".target", err)
		}
		e.Target = target.ID
	}
	if !c.CaughtAt.IsZero() {
		e.CaughtAt = c.CaughtAt.UTC().Truncate(time.Millisecond)
	}
	return e, nil
}

func (s *Server) listSpells(ctx context.Context, in *logFilter) (*spellsOutput, error) {
	spells, sum, err := s.log(ctx, in, store.Filter{})
	if err != nil {
		return nil, err
	}
	out := &spellsOutput{}
	b := &out.Body
	b.Spells = make([]spellOut, len(spells))
	for i, sp := range spells {
		b.Spells[i] = s.spellOut(sp)
	}
	b.Total, b.Blanks, b.Catches, b.RodHours = sum.Spells, sum.Blanks, sum.Catches, sum.RodHours
	if sum.RodHours > 0 {
		r := float64(sum.Catches) / sum.RodHours
		b.PerRodHour = &r
	}
	return out, nil
}

// log reads spells through a filter given in a query.
func (s *Server) log(ctx context.Context, in *logFilter, f store.Filter) ([]store.Spell, store.Summary, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, store.Summary{}, err
	}
	if in.Target != "" {
		t, err := s.book.Target(in.Target)
		if err != nil {
			return nil, store.Summary{}, wrong("query.target", err)
		}
		f.Target = t.ID
	}
	f.SpotID, f.Direction, f.Third, f.From, f.To, f.Most = in.SpotID, in.Stage, in.Third, in.From, in.To, in.Most
	f.Blanks = f.Blanks || in.Outcome == "blank"
	f.Catches = f.Catches || in.Outcome == "catch"
	spells, sum, err := s.store.Spells(ctx, angler, f)
	return spells, sum, failed(err)
}

func (s *Server) targetName(id string) string {
	if t, err := s.book.Target(id); err == nil {
		return t.Name
	}
	return id
}

func waterOf(w store.SpellWater) WaterOut {
	third := [...]string{"", "first", "middle", "last"}[w.TideThird]
	return WaterOut{w.TideLevelM, w.TideDirection + ", " + third + " third", w.TideDirection, w.TideThird, w.TideRateMPerH,
		w.SunAltitudeDeg, w.Light, w.MoonIllumination, w.MoonPhase}
}

func readingsOf(list []conditions.Reading) []readingOut {
	out := make([]readingOut, len(list))
	for i, r := range list {
		out[i] = readingOutOf(r)
	}
	return out
}

func (s *Server) spellOut(sp store.Spell) spellOut {
	out := spellOut{ID: sp.ID.String(), SpotID: sp.SpotID.String(), SpotName: sp.SpotName, TimeZone: sp.TimeZone, Target: sp.Target,
		TargetName: s.targetName(sp.Target), StartedAt: sp.StartedAt, EndedAt: sp.EndedAt, Rods: sp.Rods, Mark: sp.Mark,
		Approach: sp.Approach, Offering: sp.Offering, Note: sp.Note, Blank: len(sp.Catches) == 0, Revision: sp.Revision,
		WaterOut: waterOf(sp.SpellWater), Readings: readingsOf(sp.Readings), Catches: []CatchOut{}}
	for _, c := range sp.Catches {
		out.Catches = append(out.Catches, s.catchOut(c))
	}
	return out
}

func (s *Server) catchOut(c store.Catch) CatchOut {
	out := CatchOut{c.ID.String(), c.SpellID.String(), c.Target, s.targetName(c.Target), c.CaughtAt, c.LengthM, c.MassKg, nil, c.Kept, c.Note, c.Revision}
	if t, err := s.book.Target(c.Target); err == nil && c.LengthM != nil && c.MassKg == nil {
		if kg, err := t.Weight.Mass(*c.LengthM); err == nil {
			out.MassEstimateKg = &kg
		}
	}
	return out
}
