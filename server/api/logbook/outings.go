package logbook

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/outing"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

// TouchBody is one thing told on an outing, as its device made it.
type TouchBody struct {
	ID      uuid.UUID        `json:"id" format:"uuid" doc:"made by the device; a spell has that of the touch that began it"`
	N       int              `json:"n" minimum:"1" doc:"one more than that of the last touch its device knew of"`
	Time    time.Time        `json:"time"`
	Kind    string           `json:"kind" doc:"fish, rest, resume, bite, missed, bait robbed, fish on, landed, lost and so on"`
	Of      string           `json:"of,omitempty" format:"uuid" doc:"the touch undone or corrected"`
	Doing   *DoingBody       `json:"doing,omitempty" doc:"what is fished from then on"`
	Catch   *LandedBody      `json:"catch,omitempty"`
	Reading *SaidReadingBody `json:"reading,omitempty"`
	Note    string           `json:"note,omitempty" maxLength:"1000" doc:"of a sign: which"`
	Who     string           `json:"who,omitempty" maxLength:"40"`
	Rod     string           `json:"rod,omitempty" maxLength:"40"`
	Set     *SetBody         `json:"set,omitempty" doc:"how a rod of several is out"`
	At      *wire.LatLon     `json:"at,omitempty" doc:"where, if the device knew"`
	DepthM  float64          `json:"depth_m,omitempty" minimum:"0" maximum:"400" doc:"that was sounded over the mark"`
	Aim     *AimBody         `json:"aim,omitempty" doc:"of a cast: where it went from there"`
	Run     *RunBody         `json:"run,omitempty" doc:"of a boat that trolls"`
}

// AimBody is where a cast went from where one stands.
type AimBody struct {
	AlongM float64 `json:"along_m" minimum:"-400" maximum:"400" doc:"along the shore, to the right"`
	OutM   float64 `json:"out_m" minimum:"0" maximum:"400"`
}

// RunBody is how a boat went.
type RunBody struct {
	CourseDeg float64 `json:"course_deg" minimum:"0" maximum:"360"`
	SpeedMS   float64 `json:"speed_ms" exclusiveMinimum:"0" maximum:"10.3"`
}

// SetBody is how one rod of several is out.
type SetBody struct {
	DistanceM float64 `json:"distance_m" minimum:"0" maximum:"400"`
	Offering  string  `json:"offering,omitempty" maxLength:"40"`
	RigID     string  `json:"rig_id,omitempty" maxLength:"40"`
}

// DoingBody is what one fishes with, where and for what.
type DoingBody struct {
	SpotID uuid.UUID `json:"spot_id" format:"uuid"`
	Mark   string    `json:"mark,omitempty" maxLength:"40"`
	Target string    `json:"target"`
	Rods   int       `json:"rods" minimum:"1" maximum:"12"`
	wire.PresentationBody
}

// LandedBody is a fish that was landed.
type LandedBody struct {
	Target  string  `json:"target,omitempty" doc:"the one sought if left out"`
	LengthM float64 `json:"length_m,omitempty" minimum:"0" exclusiveMaximum:"4"`
	MassKg  float64 `json:"mass_kg,omitempty" minimum:"0" exclusiveMaximum:"500"`
	Kept    bool    `json:"kept,omitempty"`
}

// SaidReadingBody is what was read or judged of the water.
type SaidReadingBody struct {
	Kind  string  `json:"kind"`
	Value float64 `json:"value,omitempty"`
	Word  string  `json:"word,omitempty" maxLength:"40" doc:"that stands for the value: of clarity and wind"`
}

func (b TouchBody) touch() outing.Touch {
	t := outing.Touch{ID: b.ID.String(), N: b.N, Time: b.Time.UTC().Truncate(time.Millisecond), Kind: outing.Kind(b.Kind), Of: b.Of,
		Note: b.Note, Who: b.Who, Rod: b.Rod, DepthM: b.DepthM}
	if d := b.Doing; d != nil {
		t.Doing = &outing.Doing{SpotID: d.SpotID.String(), Mark: d.Mark, Target: d.Target, Rods: d.Rods,
			Presentation: outing.Presentation(d.PresentationBody)}
	}
	if c := b.Catch; c != nil {
		k := outing.Catch(*c)
		t.Catch = &k
	}
	if s := b.Set; s != nil {
		k := outing.Set(*s)
		t.Set = &k
	}
	if a := b.Aim; a != nil {
		k := outing.Aim(*a)
		t.Aim = &k
	}
	if r := b.Run; r != nil {
		k := outing.Run(*r)
		t.Run = &k
	}
	if p := b.At; p != nil {
		k := outing.Place(*p)
		t.At = &k
	}
	if r := b.Reading; r != nil {
		t.Reading = &outing.Reading{Kind: conditions.Kind(r.Kind), Value: r.Value, Word: r.Word}
	}
	return t
}

// OutingBody is what is told of an outing. It is exported for huma, which embeds only such fields.
type OutingBody struct {
	Touches  []TouchBody `json:"touches" maxItems:"2000" nullable:"false" doc:"new ones, or all again: one that is known is left"`
	SentAt   time.Time   `json:"sent_at,omitempty" doc:"by the device's clock: where that is off, times are set right by it"`
	Note     string      `json:"note,omitempty" maxLength:"1000"`
	Angler   string      `json:"angler,omitempty" maxLength:"80" doc:"whose it is: refused where another is signed in by now"`
	Tell     string      `json:"tell,omitempty" maxLength:"400" doc:"who is told, and how they are reached"`
	CallAt   *time.Time  `json:"call_at,omitempty" doc:"when to call if not back"`
	PlanID   *uuid.UUID  `json:"plan_id,omitempty" format:"uuid"`
	Answered *int        `json:"answered,omitempty" minimum:"0" doc:"the last touch whose sending was answered, by its n"`
	Retell   []uuid.UUID `json:"retell,omitempty" maxItems:"200" nullable:"false" doc:"spells to be as told, whatever a hand changed"`
}

type outingInput struct {
	wire.ByID
	Body OutingBody
}

type outingOut struct {
	ID       string      `json:"id"`
	Revision int         `json:"revision"`
	BeganAt  time.Time   `json:"began_at"`
	EndedAt  *time.Time  `json:"ended_at,omitempty" doc:"left out while it goes on"`
	Note     string      `json:"note"`
	Tell     string      `json:"tell"`
	CallAt   *time.Time  `json:"call_at,omitempty"`
	PlanID   *string     `json:"plan_id,omitempty"`
	Spells   []spellOut  `json:"spells" nullable:"false" doc:"as the log holds them"`
	Touches  []TouchBody `json:"touches" nullable:"false"`
	Kept     []string    `json:"kept" nullable:"false" doc:"spells changed by hand since, which stay as they are"`
	Clashes  []clashOut  `json:"clashes" nullable:"false" doc:"those that touches not answered yet would have changed: ask which is right"`
	ClockOff float64     `json:"clock_off_s" doc:"by so much the device's clock is ahead, where that was set right"`
}

type outingOutput struct{ Body outingOut }

type outingsInput struct {
	Most int `query:"most" minimum:"1" maximum:"200" default:"20"`
}

type outingRow struct {
	ID      string     `json:"id"`
	BeganAt time.Time  `json:"began_at"`
	EndedAt *time.Time `json:"ended_at,omitempty"`
	Note    string     `json:"note"`
}

type outingsOutput struct {
	Body struct {
		Outings []outingRow `json:"outings" nullable:"false"`
	}
}

func (s service) registerOutings(api huma.API) {
	web.Signed(api, s.Deps, web.Put("/outings/{id}", "putOuting", "Tell an outing's touches; its spells follow from them"), s.putOuting)
	web.Signed(api, s.Deps, web.Get("/outings/{id}", "getOuting", "An outing with its touches and spells"), s.getOuting)
	web.Signed(api, s.Deps, web.Get("/outings", "listOutings", "Outings, the newest first"), s.listOutings)
	web.Signed(api, s.Deps, web.Delete("/outings/{id}", "deleteOuting", "Forget an outing; its spells stay in the log"),
		func(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
			return nil, s.Store.DeleteOuting(ctx, as.Angler, in.ID)
		})
}

// clockOff is by how much a device's clock may be off before its times are set right.
const clockOff = 5 * time.Minute

func (s service) putOuting(ctx context.Context, as *web.Scope, in *outingInput) (*outingOutput, error) {
	if err := s.theirs(ctx, as, in.Body.Angler); err != nil {
		return nil, err
	}
	off := time.Duration(0)
	if !in.Body.SentAt.IsZero() {
		if d := in.Body.SentAt.Sub(as.Now()); d.Abs() > clockOff {
			off = d
		}
	}
	touches := make([]outing.Touch, len(in.Body.Touches))
	for i, b := range in.Body.Touches {
		touches[i] = b.touch()
		touches[i].Time = touches[i].Time.Add(-off)
		if err := touches[i].Validate(); err != nil {
			return nil, web.Wrong(fmt.Sprintf("body.touches[%d]", i), err)
		}
		if touches[i].Time.After(as.Now().Add(early)) {
			return nil, web.Wrong(fmt.Sprintf("body.touches[%d].time", i), fmt.Errorf("what was done is told, not what is to come: %s",
				touches[i].Time.Format(time.RFC3339)))
		}
	}
	var kept []string
	var clashes []clashOut
	err := s.Store.InTurn(ctx, as.Angler, func(st *store.Store) error {
		if err := st.BeginOuting(ctx, as.Angler, in.ID, as.Now()); err != nil {
			return err
		}
		var known []outing.Touch
		if in.Body.Answered == nil {
			var err error
			if known, err = st.Touches(ctx, as.Angler, in.ID); err != nil {
				return err
			}
		}
		if err := st.AddTouches(ctx, as.Angler, in.ID, touches); err != nil {
			return err
		}
		// All of it: another device may have told some.
		all, err := st.Touches(ctx, as.Angler, in.ID)
		if err != nil {
			return err
		}
		o, err := outing.Of(all)
		switch {
		case err != nil:
			return web.Wrong("body.touches", err)
		case o.Began.IsZero():
			return web.Wrong("body.touches", errors.New("an outing begins with a touch"))
		}
		if err := st.PutOuting(ctx, as.Angler, head(in, o)); err != nil {
			return err
		}
		changed, err := changing(all, unanswered(touches, known, in.Body.Answered))
		if err != nil {
			return web.Wrong("body.touches", err)
		}
		kept, clashes, err = s.tell(ctx, as, st, in.ID, &o, all, settle{changed, in.Body.Retell})
		return err
	})
	if err != nil {
		return nil, err
	}
	out, err := s.outing(ctx, as, in.ID)
	if err != nil {
		return nil, err
	}
	out.Body.Kept, out.Body.Clashes, out.Body.ClockOff = append(out.Body.Kept, kept...), append(out.Body.Clashes, clashes...), off.Seconds()
	return out, nil
}

// theirs says that an outing is of the one who is signed in. A browser sends what could not be sent behind the
// page's back, when somebody else may be.
func (s service) theirs(ctx context.Context, as *web.Scope, name string) error {
	if name == "" {
		return nil
	}
	who, err := s.Store.AnglerByID(ctx, as.Angler)
	if err != nil {
		return err
	}
	if who.Name != name {
		return web.Wrong("body.angler", errors.New("somebody else is signed in: it is sent when its owner is again"))
	}
	return nil
}

// unanswered touches, by id: what became of them nobody who sends them knows.
func unanswered(touches, known []outing.Touch, answered *int) map[string]bool {
	out := map[string]bool{}
	for _, t := range touches {
		out[t.ID] = answered == nil || t.N > *answered
	}
	if answered == nil {
		for _, t := range known {
			delete(out, t.ID)
		}
	}
	return out
}

func head(in *outingInput, o outing.Outing) store.Outing {
	out := store.Outing{ID: in.ID, Began: o.Began, Ended: sql.NullTime{Time: o.Ended, Valid: !o.Ended.IsZero()}, Note: in.Body.Note,
		Tell: in.Body.Tell}
	if c := in.Body.CallAt; c != nil {
		out.Call = sql.NullTime{Time: c.UTC(), Valid: true}
	}
	if p := in.Body.PlanID; p != nil {
		out.Plan = uuid.NullUUID{UUID: *p, Valid: true}
	}
	return out
}

func (s service) getOuting(ctx context.Context, as *web.Scope, in *wire.ByID) (*outingOutput, error) {
	return s.outing(ctx, as, in.ID)
}

// mostSpells of an outing.
const mostSpells = 1000

func (s service) outing(ctx context.Context, as *web.Scope, id uuid.UUID) (*outingOutput, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	o, err := s.Store.Outing(ctx, as.Angler, id)
	if err != nil {
		return nil, err
	}
	touches, err := s.Store.Touches(ctx, as.Angler, id)
	if err != nil {
		return nil, err
	}
	spells, _, err := s.Store.Spells(ctx, as.Angler, store.Filter{OutingID: id, Most: mostSpells})
	if err != nil {
		return nil, err
	}
	out := &outingOutput{Body: outingOut{ID: o.ID.String(), Revision: o.Revision, BeganAt: o.Began, EndedAt: timeOf(o.Ended), Note: o.Note,
		Tell: o.Tell, CallAt: timeOf(o.Call), Spells: []spellOut{}, Touches: []TouchBody{}, Kept: []string{}, Clashes: []clashOut{}}}
	if o.Plan.Valid {
		p := o.Plan.UUID.String()
		out.Body.PlanID = &p
	}
	for _, sp := range slices.Backward(spells) {
		out.Body.Spells = append(out.Body.Spells, n.spell(sp))
	}
	for i := range touches {
		out.Body.Touches = append(out.Body.Touches, touchBody(&touches[i]))
	}
	return out, nil
}

func timeOf(t sql.NullTime) *time.Time {
	if !t.Valid {
		return nil
	}
	return &t.Time
}

func touchBody(t *outing.Touch) TouchBody {
	b := TouchBody{ID: uuid.MustParse(t.ID), N: t.N, Time: t.Time, Kind: string(t.Kind), Of: t.Of, Note: t.Note, Who: t.Who, Rod: t.Rod,
		DepthM: t.DepthM}
	if d := t.Doing; d != nil {
		b.Doing = &DoingBody{SpotID: uuid.MustParse(d.SpotID), Mark: d.Mark, Target: d.Target, Rods: d.Rods,
			PresentationBody: wire.PresentationBody(d.Presentation)}
	}
	if c := t.Catch; c != nil {
		k := LandedBody(*c)
		b.Catch = &k
	}
	if r := t.Reading; r != nil {
		b.Reading = &SaidReadingBody{string(r.Kind), r.Value, r.Word}
	}
	if s := t.Set; s != nil {
		k := SetBody(*s)
		b.Set = &k
	}
	if a := t.Aim; a != nil {
		k := AimBody(*a)
		b.Aim = &k
	}
	if r := t.Run; r != nil {
		k := RunBody(*r)
		b.Run = &k
	}
	if p := t.At; p != nil {
		k := wire.LatLon(*p)
		b.At = &k
	}
	return b
}

func (s service) listOutings(ctx context.Context, as *web.Scope, in *outingsInput) (*outingsOutput, error) {
	list, err := s.Store.Outings(ctx, as.Angler, in.Most)
	if err != nil {
		return nil, err
	}
	out := &outingsOutput{}
	out.Body.Outings = []outingRow{}
	for _, o := range list {
		out.Body.Outings = append(out.Body.Outings, outingRow{o.ID.String(), o.Began, timeOf(o.Ended), o.Note})
	}
	return out, nil
}
