package logbook

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/conditions"
	"greypebble/core/outing"
	"greypebble/core/playbook"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/desk"
	"greypebble/server/store"
)

// CatchIn is what a person says of a catch.
type CatchIn struct {
	Target   string    `json:"target,omitempty" doc:"the spell's if left out; other: none of the book's"`
	Species  string    `json:"species,omitempty" maxLength:"80" doc:"of another fish, by the name it goes by"`
	CaughtAt time.Time `json:"caught_at,omitempty" doc:"the end of the spell if left out"`
	LengthM  *float64  `json:"length_m,omitempty" exclusiveMinimum:"0" exclusiveMaximum:"4"`
	MassKg   *float64  `json:"mass_kg,omitempty" exclusiveMinimum:"0" exclusiveMaximum:"500"`
	Kept     bool      `json:"kept,omitempty"`
	Note     string    `json:"note,omitempty" maxLength:"1000"`
	Who      string    `json:"who,omitempty" maxLength:"60" doc:"who caught it, if not you"`
	Rod      string    `json:"rod,omitempty" maxLength:"40"`
	CatchMoreBody
	Sure     bool `json:"sure,omitempty" doc:"it really was longer or heavier than the longest known"`
	Revision int  `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
}

// CatchMoreBody is what few catches say. It is exported for huma, which embeds only such fields.
type CatchMoreBody struct {
	GirthM       *float64 `json:"girth_m,omitempty" exclusiveMinimum:"0" exclusiveMaximum:"4"`
	Measured     string   `json:"measured,omitempty" enum:"board,tape,photo,guess" doc:"how its length was"`
	HookPlace    string   `json:"hook_place,omitempty" enum:"corner,lip,throat,gut,outside" doc:"where it was hooked"`
	Hook         string   `json:"hook,omitempty" enum:"lure,teaser" doc:"which of the hooks it took"`
	TagNumber    string   `json:"tag_number,omitempty" maxLength:"40" doc:"of a tag it wore or was given"`
	TagSide      string   `json:"tag_side,omitempty" enum:"left,right"`
	TagProgramme string   `json:"tag_programme,omitempty" maxLength:"80"`
}

type spellCatchIn struct {
	ID uuid.UUID `json:"id" format:"uuid" doc:"made by the writer"`
	CatchIn
}

type spellInput struct {
	wire.ByID
	Body struct {
		SpotID    uuid.UUID          `json:"spot_id" format:"uuid"`
		Target    string             `json:"target"`
		StartedAt time.Time          `json:"started_at"`
		EndedAt   time.Time          `json:"ended_at"`
		Rods      int                `json:"rods,omitempty" minimum:"1" maximum:"12" doc:"1 if left out"`
		Mark      string             `json:"mark,omitempty" maxLength:"60"`
		Approach  string             `json:"approach,omitempty" enum:"live bait,cut bait,lure"`
		Offering  string             `json:"offering,omitempty" maxLength:"80"`
		Note      string             `json:"note,omitempty" maxLength:"1000"`
		Readings  []answer.ReadingIn `json:"readings,omitempty" maxItems:"10" nullable:"false" doc:"what you saw; the rest is filled in"`
		Catches   []spellCatchIn     `json:"catches,omitempty" maxItems:"200" nullable:"false" doc:"stored with the spell, all or none"`
		Revision  int                `json:"revision,omitempty" doc:"the one you read; 0 for a new one"`
		SpellMore
	}
}

// SpellMore is what an outing tells of a spell, and anybody may. What a change leaves out stays.
type SpellMore struct {
	OutingID     *uuid.UUID             `json:"outing_id,omitempty" format:"uuid" doc:"it was fished on"`
	Rod          string                 `json:"rod,omitempty" maxLength:"40"`
	Who          string                 `json:"who,omitempty" maxLength:"60" doc:"who fished it, if not you"`
	PausedS      int                    `json:"paused_s,omitempty" minimum:"0" maximum:"86400" doc:"of its time nothing was fished"`
	Casts        int                    `json:"casts,omitempty" minimum:"0" maximum:"10000" doc:"0: not counted"`
	Presentation *wire.PresentationBody `json:"presentation,omitempty"`
	Events       []EventBody            `json:"events,omitempty" maxItems:"1000" nullable:"false" doc:"bites, misses, losses"`
	Signs        []string               `json:"signs,omitempty" maxItems:"20" nullable:"false"`
}

// EventBody is something that happened in a spell.
type EventBody struct {
	ID   uuid.UUID `json:"id" format:"uuid"`
	Time time.Time `json:"time"`
	Kind string    `json:"kind" doc:"bite, missed, bait robbed, fish on and so on, as of a touch"`
	Note string    `json:"note,omitempty" maxLength:"1000"`
	Who  string    `json:"who,omitempty" maxLength:"40"`
	Rod  string    `json:"rod,omitempty" maxLength:"40"`
	Deep float64   `json:"depth_m,omitempty" minimum:"0" maximum:"400" doc:"that was sounded"`
}

// into the entry of a spell, which may have been there before.
func (b *SpellMore) into(e *store.SpellEntry) error {
	e.Rod, e.Who, e.PausedS, e.Casts, e.Signs.V = b.Rod, b.Who, b.PausedS, b.Casts, b.Signs
	if err := playbook.CheckSigns(b.Signs); err != nil {
		return web.Wrong("body.signs", err)
	}
	if time.Duration(b.PausedS)*time.Second > e.EndedAt.Sub(e.StartedAt) {
		return web.Wrong("body.paused_s", errors.New("a spell is not paused for longer than it lasts"))
	}
	if b.OutingID != nil {
		e.Outing = uuid.NullUUID{UUID: *b.OutingID, Valid: true}
	}
	if p := b.Presentation; p != nil {
		e.Presentation.V = outing.Presentation(*p)
	}
	for i, k := range b.Events {
		if !slices.Contains(outing.Events, outing.Kind(k.Kind)) {
			return web.Wrong(fmt.Sprintf("body.events[%d].kind", i), fmt.Errorf("expected one of %v, not %q", outing.Events, k.Kind))
		}
		if k.Time.Before(e.StartedAt.Add(-time.Minute)) || k.Time.After(e.EndedAt.Add(time.Minute)) {
			return web.Wrong(fmt.Sprintf("body.events[%d].time", i), errors.New("an event lies within its spell"))
		}
		e.Events = append(e.Events, outing.Event{ID: k.ID.String(), Time: k.Time.UTC().Truncate(time.Millisecond),
			Kind: outing.Kind(k.Kind), Note: k.Note, Who: k.Who, Rod: k.Rod, DepthM: k.Deep})
	}
	return nil
}

// keepMore of what was there before and is left out of a change.
func keepMore(e, old *store.SpellEntry) {
	e.Rod, e.Who, e.Casts = cmp.Or(e.Rod, old.Rod), cmp.Or(e.Who, old.Who), cmp.Or(e.Casts, old.Casts)
	e.PausedS = min(cmp.Or(e.PausedS, old.PausedS), int(e.EndedAt.Sub(e.StartedAt).Seconds()))
	if !e.Outing.Valid {
		e.Outing = old.Outing
	}
	if e.Presentation.V == (outing.Presentation{}) {
		e.Presentation = old.Presentation
	}
	if e.Events == nil {
		e.Events = old.Events
	}
	if e.Signs.V == nil {
		e.Signs = old.Signs
	}
}

// more of a spell, as it is sent.
func more(e *store.SpellEntry) SpellMore {
	b := SpellMore{Rod: e.Rod, Who: e.Who, PausedS: e.PausedS, Casts: e.Casts, Signs: e.Signs.V}
	if e.Outing.Valid {
		b.OutingID = &e.Outing.UUID
	}
	if p := wire.PresentationBody(e.Presentation.V); p != (wire.PresentationBody{}) {
		b.Presentation = &p
	}
	for _, k := range e.Events {
		b.Events = append(b.Events, EventBody{ID: uuid.MustParse(k.ID), Time: k.Time, Kind: string(k.Kind), Note: k.Note,
			Who: k.Who, Rod: k.Rod, Deep: k.DepthM})
	}
	return b
}

// CatchOut is a catch as it is stored.
type CatchOut struct {
	ID               string    `json:"id"`
	SpellID          string    `json:"spell_id"`
	Target           string    `json:"target"`
	TargetName       string    `json:"target_name"`
	TargetInSentence string    `json:"target_in_sentence" doc:"the name as it stands within a sentence"`
	Species          string    `json:"species,omitempty" doc:"of a fish that is none of the targets"`
	CaughtAt         time.Time `json:"caught_at"`
	LengthM          *float64  `json:"length_m,omitempty"`
	MassKg           *float64  `json:"mass_kg,omitempty"`
	MassEstimateKg   *float64  `json:"mass_estimate_kg,omitempty" doc:"from the species' length–weight relation"`
	Kept             bool      `json:"kept"`
	Note             string    `json:"note"`
	Who              string    `json:"who,omitempty"`
	Rod              string    `json:"rod,omitempty"`
	CatchMoreBody
	Photos   []PhotoOut `json:"photos,omitempty" nullable:"false"`
	Revision int        `json:"revision"`
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

type spellOut struct {
	ID               string    `json:"id"`
	SpotID           string    `json:"spot_id"`
	SpotName         string    `json:"spot_name"`
	TimeZone         string    `json:"time_zone"`
	Target           string    `json:"target"`
	TargetName       string    `json:"target_name"`
	TargetInSentence string    `json:"target_in_sentence"`
	StartedAt        time.Time `json:"started_at"`
	EndedAt          time.Time `json:"ended_at"`
	Rods             int       `json:"rods"`
	RodHours         float64   `json:"rod_hours" doc:"fished: what it was paused left out"`
	Mark             string    `json:"mark"`
	Approach         string    `json:"approach"`
	Offering         string    `json:"offering"`
	Note             string    `json:"note"`
	Blank            bool      `json:"blank"`
	Revision         int       `json:"revision"`
	WaterOut
	SpellMore
	Readings []wire.ReadingOut `json:"readings" nullable:"false"`
	Catches  []CatchOut        `json:"catches" nullable:"false"`
}

type spellOutput struct{ Body spellOut }

type logFilter struct {
	Target   string    `query:"target"`
	SpotID   uuid.UUID `query:"spot_id" format:"uuid"`
	Stage    string    `query:"stage" enum:"flood,ebb"`
	Third    int       `query:"third" minimum:"0" maximum:"3"`
	From     time.Time `query:"from"`
	To       time.Time `query:"to"`
	Outcome  string    `query:"outcome" enum:"blank,catch"`
	Approach string    `query:"approach" enum:"live bait,cut bait,lure"`
	Light    string    `query:"light" maxLength:"20" doc:"of its middle"`
	Text     string    `query:"text" maxLength:"80" doc:"stands in offering, mark, note or who fished"`
	After    string    `query:"after" maxLength:"80" doc:"next of the page before: the spells after it"`
	Most     int       `query:"most" minimum:"1" maximum:"1000" default:"200"`
}

type spellsOutput struct {
	Body struct {
		Spells   []spellOut `json:"spells" nullable:"false"`
		Total    int        `json:"total" doc:"spells that match, listed or not"`
		Blanks   int        `json:"blanks"`
		Catches  int        `json:"catches"`
		RodHours float64    `json:"rod_hours"`
		Next     string     `json:"next,omitempty" doc:"asks for the page after this one; left out on the last"`
		// Rate is catches a rod-hour over all that match.
		PerRodHour *float64 `json:"per_rod_hour" required:"true" nullable:"true"`
	}
}

func (s service) registerSpells(api huma.API) {
	put := web.Conflicting(web.Put("/spells/{id}", "putSpell", "Write a spell, new or changed, with its catches"))
	web.Signed(api, s.Deps, put, s.putSpell)
	web.Signed(api, s.Deps, web.Get("/spells", "listSpells", "The log, newest first, blanks included"), s.listSpells)
	web.Signed(api, s.Deps, web.Delete("/spells/{id}", "deleteSpell", "Remove a spell and its catches"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteSpell(ctx, as.Angler, in.ID)
		})
}

const (
	// longestSpell keeps a slip of the pen out of the log.
	longestSpell = 24 * time.Hour
	// early is how far somebody's clock may be ahead of the server's.
	early = 5 * time.Minute
)

func (s service) putSpell(ctx context.Context, as *web.Scope, in *spellInput) (*spellOutput, error) {
	b := &in.Body
	started, ended := b.StartedAt.UTC().Truncate(time.Millisecond), b.EndedAt.UTC().Truncate(time.Millisecond)
	if ended.Before(started) {
		return nil, web.Wrong("body.ended_at", fmt.Errorf("a spell must not end (%s) before it starts (%s)", ended.Format(time.RFC3339),
			started.Format(time.RFC3339)))
	}
	if ended.After(as.Now().Add(early)) {
		return nil, web.Wrong("body.ended_at", fmt.Errorf("a spell is logged when it is over; this one ends %s, which is to come",
			ended.Format(time.RFC3339)))
	}
	if ended.Sub(started) > longestSpell {
		return nil, web.Wrong("body.ended_at", fmt.Errorf("a spell lasts at most 24 h; enter a longer one in parts"))
	}
	middle := started.Add(ended.Sub(started) / 2)
	sp, err := s.Desk.Spot(ctx, as.Angler, b.SpotID, middle)
	if err != nil {
		return nil, err
	}
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	target, err := n.book.Target(b.Target)
	if err != nil {
		return nil, web.Wrong("body.target", err)
	}
	said, err := answer.ObservedAt(b.Readings, middle)
	if err != nil {
		return nil, err
	}
	m, _, err := sp.Including(said).At(middle, 0, 0)
	if err != nil {
		return nil, err
	}
	m.During(started, ended, said)
	spell := store.Spell{ID: in.ID, Revision: b.Revision,
		SpellEntry: store.SpellEntry{SpotID: sp.ID, Target: target.ID, StartedAt: started, EndedAt: ended, Rods: max(b.Rods, 1),
			Mark: b.Mark, Approach: b.Approach, Offering: b.Offering, Note: b.Note},
		SpellWater: store.WaterAt(&m), Readings: store.ReadingsAt(&m)}
	if err := b.into(&spell.SpellEntry); err != nil {
		return nil, err
	}
	if err := s.asBefore(ctx, as, &spell, said); err != nil {
		return nil, err
	}
	for i, c := range b.Catches {
		entry, err := n.catchEntry(c.CatchIn, target, span{started, ended}, as.Units, fmt.Sprintf("body.catches[%d]", i))
		if err != nil {
			return nil, err
		}
		spell.Catches = append(spell.Catches, store.Catch{ID: c.ID, Revision: c.Revision, CatchEntry: entry})
	}
	stored, err := s.write(ctx, as, sp, spell)
	if err != nil {
		return nil, err
	}
	return &spellOutput{n.spell(stored)}, nil
}

// asBefore keeps of a spell that is changed what the change does not touch: its catches lie
// in it, and what was read then stays, with whose reading it was and when. What is read of
// the water now may have been thinned out since.
func (s service) asBefore(ctx context.Context, as *web.Scope, spell *store.Spell, said []conditions.Reading) error {
	old, err := s.Store.Spell(ctx, as.Angler, spell.ID)
	if errors.Is(err, store.ErrNotFound) {
		return nil
	}
	if err != nil {
		return err
	}
	keepMore(&spell.SpellEntry, &old.SpellEntry)
	during := span{spell.StartedAt, spell.EndedAt}
	for _, c := range old.Catches {
		if !during.holds(c.CaughtAt) {
			return web.Wrong("body.ended_at", fmt.Errorf("a catch of this spell at %s would lie outside it",
				c.CaughtAt.Format(time.RFC3339)))
		}
	}
	if old.SpotID == spell.SpotID && old.StartedAt.Equal(spell.StartedAt) && old.EndedAt.Equal(spell.EndedAt) {
		spell.Readings = conditions.Kept(old.Readings, said, spell.Readings)
		spell.SpellWater = old.SpellWater
	}
	return nil
}

// write a spell, and say how it is stored: as it was given if all of it is new; otherwise it
// may have catches that were logged one by one.
func (s service) write(ctx context.Context, as *web.Scope, sp *desk.Laid, spell store.Spell) (store.Spell, error) {
	revision, isNew, err := s.Store.PutSpell(ctx, as.Angler, spell)
	if err != nil {
		return spell, err
	}
	changed := func(c store.Catch) bool { return c.Revision > 0 }
	if !isNew || slices.ContainsFunc(spell.Catches, changed) {
		return s.Store.Spell(ctx, as.Angler, spell.ID)
	}
	spell.Revision, spell.SpotName, spell.TimeZone = revision, sp.Name, sp.Water.TimeZone
	for i := range spell.Catches {
		spell.Catches[i].SpellID, spell.Catches[i].Revision = spell.ID, 1
	}
	return spell, nil
}

func (s service) listSpells(ctx context.Context, as *web.Scope, in *logFilter) (*spellsOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	spells, sum, err := s.filtered(ctx, as, n, in, store.Filter{})
	if err != nil {
		return nil, err
	}
	out := &spellsOutput{}
	b := &out.Body
	b.Spells = make([]spellOut, len(spells))
	for i, sp := range spells {
		b.Spells[i] = n.spell(sp)
	}
	if n := len(spells); n > 0 && n == in.Most && n < sum.Spells {
		b.Next = spells[n-1].StartedAt.UTC().Format(time.RFC3339Nano) + " " + spells[n-1].ID.String()
	}
	b.Total, b.Blanks, b.Catches, b.RodHours = sum.Spells, sum.Blanks, sum.Catches, sum.RodHours
	if sum.RodHours > 0 {
		r := float64(sum.Catches) / sum.RodHours
		b.PerRodHour = &r
	}
	return out, nil
}

// filtered spells, by a filter given in a query.
func (s service) filtered(ctx context.Context, as *web.Scope, n namer, in *logFilter, f store.Filter) ([]store.Spell,
	store.Summary, error) {
	f, err := s.filter(n, in, f)
	if err != nil {
		return nil, store.Summary{}, err
	}
	return s.Store.Spells(ctx, as.Angler, f)
}

// filter given in a query, on top of another.
func (s service) filter(n namer, in *logFilter, f store.Filter) (store.Filter, error) {
	if in.Target != "" {
		t, err := n.book.Target(in.Target)
		if err != nil {
			return f, web.Wrong("query.target", err)
		}
		f.Target = t.ID
	}
	f.SpotID, f.Direction, f.Third, f.From, f.To, f.Most = in.SpotID, in.Stage, in.Third, in.From, in.To, in.Most
	f.Approach, f.Light, f.Text = in.Approach, in.Light, in.Text
	if in.After != "" {
		at, id, _ := strings.Cut(in.After, " ")
		started, err := time.Parse(time.RFC3339Nano, at)
		spell, bad := uuid.Parse(id)
		if err != nil || bad != nil {
			return f, web.Wrong("query.after", errors.New("expected what next said of the page before"))
		}
		f.After = &store.SpellAt{StartedAt: started, ID: spell}
	}
	f.Blanks = f.Blanks || in.Outcome == "blank"
	f.Catches = f.Catches || in.Outcome == "catch"
	return f, nil
}
