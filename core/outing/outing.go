package outing

import (
	"cmp"
	"fmt"
	"slices"
	"time"
)

// Outing as its touches tell it.
type Outing struct {
	// Began with its first touch; Ended with its last, zero while it goes on.
	Began, Ended time.Time
	// Spells in their order.
	Spells []Spell
	// Resting since then, zero while one fishes.
	Resting time.Time
	// Hooked since then: a fish on of which nothing was told yet.
	Hooked time.Time

	// told touches it was read from: settled, in their order.
	told []Touch
}

// Spell is effort with one presentation at one place.
type Spell struct {
	ID      string    `json:"id"`
	Started time.Time `json:"started_at"`
	// Ended is zero while it goes on.
	Ended time.Time `json:"ended_at"`
	Doing
	// Paused so long in all, of what is over.
	Paused time.Duration `json:"paused"`
	// Casts made; 0: not counted.
	Casts    int       `json:"casts"`
	Events   []Event   `json:"events"`
	Catches  []Landing `json:"catches"`
	Readings []Reading `json:"readings"`
}

// Event of a spell.
type Event struct {
	ID   string    `json:"id"`
	Time time.Time `json:"time"`
	Kind Kind      `json:"kind"`
	Note string    `json:"note,omitempty"`
	Who  string    `json:"who,omitempty"`
	Rod  string    `json:"rod,omitempty"`
	// DepthM of [Sounded].
	DepthM float64 `json:"depth_m,omitempty"`
}

// Landing of a fish.
type Landing struct {
	ID   string    `json:"id"`
	Time time.Time `json:"time"`
	Catch
	Note string `json:"note,omitempty"`
	Who  string `json:"who,omitempty"`
	Rod  string `json:"rod,omitempty"`
}

// Of touches, in the order of their numbers. A clock that was set back does not turn them round: what was
// told later is no earlier.
func Of(touches []Touch) (Outing, error) {
	var o Outing
	touches = slices.Clone(touches)
	slices.SortStableFunc(touches, func(a, b Touch) int {
		// Of the same number are those of two devices that did not know of each other.
		if a.N == b.N && a.N > 0 {
			return cmp.Or(a.Time.Compare(b.Time), cmp.Compare(a.ID, b.ID))
		}
		return cmp.Compare(a.N, b.N)
	})
	list, err := settled(touches)
	if err != nil {
		return o, err
	}
	for i := range list {
		if err := o.take(&list[i]); err != nil {
			return o, err
		}
	}
	o.told = list
	return o, nil
}

// settled touches: corrected, without those taken back, none before the one before it. One touch that came twice
// is one.
func settled(touches []Touch) ([]Touch, error) {
	seen, gone, instead := map[string]bool{}, map[string]bool{}, map[string]*Touch{}
	var out []Touch
	touches = slices.DeleteFunc(touches, func(t Touch) bool {
		twice := seen[t.ID] && t.ID != ""
		seen[t.ID] = true
		return twice
	})
	// What takes back can be taken back itself: the last word on each is had from the end.
	for i := len(touches) - 1; i >= 0; i-- {
		t := &touches[i]
		if err := t.Validate(); err != nil {
			return nil, err
		}
		if gone[t.ID] {
			continue
		}
		switch t.Kind {
		case Undo:
			gone[t.Of] = true
		case Correct:
			if instead[t.Of] == nil {
				instead[t.Of] = t
			}
		default:
		}
	}
	var last time.Time
	for i := range touches {
		t := touches[i]
		if t.Kind == Undo || t.Kind == Correct || gone[t.ID] {
			continue
		}
		if c := instead[t.ID]; c != nil {
			t = t.corrected(c)
		}
		if t.Time.Before(last) {
			t.Time = last
		}
		last = t.Time
		out = append(out, t)
	}
	return out, nil
}

// corrected by another: what that says stands, the rest stays.
func (t Touch) corrected(c *Touch) Touch {
	if c.Doing != nil {
		t.Doing = c.Doing
	}
	if c.Catch != nil {
		t.Catch = c.Catch
	}
	if c.Reading != nil {
		t.Reading = c.Reading
	}
	if c.Aim != nil {
		t.Aim = c.Aim
	}
	if c.Note != "" {
		t.Note = c.Note
	}
	if c.Who != "" {
		t.Who = c.Who
	}
	return t
}

// Now is the spell that goes on; nil where none does.
func (o *Outing) Now() *Spell {
	if n := len(o.Spells); n > 0 && o.Spells[n-1].Ended.IsZero() {
		return &o.Spells[n-1]
	}
	return nil
}

// landed closes what was told of a fish on.
var landed = []Kind{Landed, Lost, FoulHooked, BrokeOff}

func (o *Outing) take(t *Touch) error {
	if !o.Ended.IsZero() {
		o.reopen(t)
	}
	if o.Began.IsZero() {
		o.Began = t.Time
	}
	now := o.Now()
	if slices.Contains(landed, t.Kind) {
		o.Hooked = time.Time{}
	}
	switch t.Kind {
	case Fish:
		o.Resting, o.Hooked = o.close(t.Time), time.Time{}
		o.Spells = append(o.Spells, Spell{ID: t.ID, Started: t.Time, Doing: *t.Doing})
	case Rest:
		if now != nil && o.Resting.IsZero() {
			o.Resting = t.Time
		}
	case Resume:
		o.rested(t.Time)
	case End:
		o.Resting = o.close(t.Time)
		o.Ended, o.Hooked = t.Time, time.Time{}
	case Cast:
		if now != nil {
			now.Casts++
		}
	case RodSet: // looked at by [Outing.RowOf]
	case Water:
		if now != nil {
			now.Readings = slices.DeleteFunc(now.Readings, func(r Reading) bool { return r.Kind == t.Reading.Kind })
			r, err := t.Reading.measured()
			if err != nil {
				return err
			}
			now.Readings = append(now.Readings, r)
		}
	case Landed:
		if now == nil {
			return fmt.Errorf("outing: a fish landed (%s) before anything was fished", t.ID)
		}
		k := Landing{ID: t.ID, Time: t.Time, Note: t.Note, Who: t.Who, Rod: t.Rod}
		if t.Catch != nil {
			k.Catch = *t.Catch
		}
		if k.Target == "" {
			k.Target = now.Target
		}
		now.Catches = append(now.Catches, k)
	default:
		if t.Kind == On {
			o.Hooked = t.Time
		}
		if now != nil {
			now.Events = append(now.Events, Event{t.ID, t.Time, t.Kind, t.Note, t.Who, t.Rod, t.DepthM})
		}
	}
	return nil
}

// reopen an outing in which something was told after its end, on another device say: what is fished
// then goes on; anything else belongs to the last spell, which lasted until then.
func (o *Outing) reopen(t *Touch) {
	o.Ended = time.Time{}
	if n := len(o.Spells); n > 0 && t.Kind != Fish {
		o.Spells[n-1].Ended = time.Time{}
	}
}

// rested until now, if one did.
func (o *Outing) rested(t time.Time) {
	if now := o.Now(); now != nil && !o.Resting.IsZero() {
		now.Paused += t.Sub(o.Resting)
	}
	o.Resting = time.Time{}
}

// least a spell lasts that is kept though nothing happened: one that is shorter was a slip of the thumb.
const least = time.Minute

// close the spell that goes on; nothing rests after it.
func (o *Outing) close(t time.Time) (resting time.Time) {
	now := o.Now()
	if now == nil {
		return time.Time{}
	}
	o.rested(t)
	now.Ended = t
	if now.Lasted(t) < least && len(now.Catches)+len(now.Events)+len(now.Readings)+now.Casts == 0 {
		o.Spells = o.Spells[:len(o.Spells)-1]
	}
	return time.Time{}
}

// Lasted so long by then, without its pauses; of one that rests now, until it did.
func (s *Spell) Lasted(t time.Time) time.Duration {
	if !s.Ended.IsZero() {
		t = s.Ended
	}
	return max(t.Sub(s.Started)-s.Paused, 0)
}

// Effort of the spell by then, rod-hours.
func (o *Outing) Effort(s *Spell, t time.Time) float64 {
	if s == o.Now() && !o.Resting.IsZero() {
		t = o.Resting
	}
	return float64(s.Rods) * s.Lasted(t).Hours()
}

// Tally of a spell or an outing.
type Tally struct {
	RodHours                                  float64
	Fish, Lost, Missed, Bites, Robbed, Broken int
}

// Tally of one spell by a moment.
func (o *Outing) Tally(s *Spell, t time.Time) Tally {
	out := Tally{RodHours: o.Effort(s, t), Fish: len(s.Catches)}
	for _, e := range s.Events {
		switch e.Kind {
		case Lost, FoulHooked:
			out.Lost++
		case Missed:
			out.Missed++
		case Bite:
			out.Bites++
		case Robbed:
			out.Robbed++
		case BrokeOff:
			out.Broken++
		default:
		}
	}
	return out
}

// Total of all spells by a moment.
func (o *Outing) Total(t time.Time) Tally {
	var out Tally
	for i := range o.Spells {
		k := o.Tally(&o.Spells[i], t)
		out.RodHours += k.RodHours
		out.Fish += k.Fish
		out.Lost += k.Lost
		out.Missed += k.Missed
		out.Bites += k.Bites
		out.Robbed += k.Robbed
		out.Broken += k.Broken
	}
	return out
}

// CameTo is the spell with which one came to the place one is at; nil where nothing is fished.
func (o *Outing) CameTo() *Spell {
	now := o.Now()
	for i := len(o.Spells) - 1; i >= 0 && now != nil && o.Spells[i].SpotID == now.SpotID; i-- {
		now = &o.Spells[i]
	}
	return now
}

// Lately is how long a sign on the water holds.
const Lately = 15 * time.Minute

// SawLately when a sign that still holds was first seen; zero where none does.
func (o *Outing) SawLately(sign string, t time.Time) (first time.Time) {
	var last time.Time
	for i := range o.Spells {
		for _, e := range o.Spells[i].Events {
			if e.Kind != Seen || e.Note != sign {
				continue
			}
			if first.IsZero() || e.Time.Sub(last) >= Lately {
				first = e.Time
			}
			last = e.Time
		}
	}
	if last.IsZero() || t.Sub(last) >= Lately {
		return time.Time{}
	}
	return first
}

// Signs seen in the spell, each once.
func (s *Spell) Signs() (out []string) {
	for _, e := range s.Events {
		if e.Kind == Seen && !slices.Contains(out, e.Note) {
			out = append(out, e.Note)
		}
	}
	return out
}

// LastSign of fish by then: the last bite or fish, zero where there was none since the spell began.
func (s *Spell) LastSign() (at time.Time) {
	for _, e := range s.Events {
		switch e.Kind {
		case Bite, Missed, Robbed, On, Lost, FoulHooked:
			at = e.Time
		default:
		}
	}
	if n := len(s.Catches); n > 0 && s.Catches[n-1].Time.After(at) {
		at = s.Catches[n-1].Time
	}
	return at
}
