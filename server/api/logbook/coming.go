package logbook

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/interchange/logcsv"
	"greypebble/server/api/web"
	"greypebble/server/desk"
	"greypebble/server/store"
)

// coming are the spells of a file on their way into the log.
type coming struct {
	s       service
	as      *web.Scope
	n       namer
	asked   *incomingBody
	partial bool
	// sought where a line does not say; nil: not said either.
	sought *playbook.Target
	// places by their names in small letters, and as they lay at each time.
	places map[string]uuid.UUID
	past   *desk.Past

	spells         []comingSpell
	fresh          []store.Spell
	faults         []FaultOut
	spots, targets unknowns
}

type comingSpell struct {
	store.Spell
	line int
	// named: its id stands in the file, it is not made of what stands in the line.
	named, reckoned, double bool
}

// unknowns are names of a file that nothing goes by, in their order.
type unknowns struct {
	order []string
	lines map[string]int
}

func (u *unknowns) add(name string) {
	if u.lines == nil {
		u.lines = map[string]int{}
	}
	if u.lines[name] == 0 {
		u.order = append(u.order, name)
	}
	u.lines[name]++
}

func (u *unknowns) out() []UnknownOut {
	out := []UnknownOut{}
	for _, name := range u.order {
		out = append(out, UnknownOut{name, u.lines[name]})
	}
	return out
}

// errUnknown says that a name is not known, and that it was noted.
var errUnknown = errors.New("unknown")

func (s service) coming(ctx context.Context, as *web.Scope, b *incomingBody) (*coming, error) {
	n, err := names(ctx, as)
	if err != nil {
		return nil, err
	}
	c := &coming{s: s, as: as, n: n, asked: b, partial: b.Partial, places: map[string]uuid.UUID{}}
	if b.Target != "" {
		if c.sought, err = n.book.Target(b.Target); err != nil {
			return nil, web.Wrong("body.target", err)
		}
	}
	if c.past, err = s.Desk.Past(ctx, as.Angler); err != nil {
		return nil, err
	}
	for _, sp := range c.past.Spots() {
		c.places[strings.ToLower(sp.Name)] = sp.ID
	}
	return c, nil
}

// wrong is what is wrong with a line: all that is not an error of ours.
func (c *coming) wrong(line int, column string, err error) {
	if len(c.faults) < logcsv.MostFaults && !errors.Is(err, errUnknown) {
		c.faults = append(c.faults, FaultOut{line, column, answer.Said(err)})
	}
}

// table of spells and fish.
func (c *coming) table(ctx context.Context) error {
	rows, faults, err := logcsv.Read([]byte(c.asked.Text), logcsv.Order(c.asked.Order))
	if err != nil {
		return err
	}
	spells, more := logcsv.Group(rows)
	for _, f := range append(faults, more...) {
		c.faults = append(c.faults, FaultOut{f.Line, f.Column, f.Says})
	}
	if len(spells) > mostComing {
		return web.Wrong("body.text", fmt.Errorf("%d spells; at most %d are taken at once, send the file in parts", len(spells),
			mostComing))
	}
	for i := range spells {
		if err := c.spell(ctx, &spells[i]); err != nil {
			return err
		}
	}
	return nil
}

// place by its name in a file.
func (c *coming) place(name string) (uuid.UUID, error) {
	if id, told := c.asked.Spots[name]; told {
		return id, nil
	}
	if id, known := c.places[strings.ToLower(strings.TrimSpace(name))]; known {
		return id, nil
	}
	c.spots.add(name)
	return uuid.Nil, errUnknown
}

// otherFish stands before the name of a fish that is none of the targets, in a file of the log.
const otherFish = store.OtherFish + ": "

// fish by its name in a file: a target's id, or another fish and its name.
func (c *coming) fish(name string) (target, species string, err error) {
	told := cmp.Or(c.asked.Targets[name], name)
	if other, is := strings.CutPrefix(told, otherFish); is && other != "" {
		return store.OtherFish, other, nil
	}
	if told == store.OtherFish {
		return store.OtherFish, name, nil
	}
	t, err := c.n.book.Target(told)
	if err != nil {
		c.targets.add(name)
		return "", "", errUnknown
	}
	return t.ID, "", nil
}

// spell of a file, with what the water did then. What is wrong with it is noted; an error is ours.
func (c *coming) spell(ctx context.Context, in *logcsv.Spell) error {
	out := comingSpell{line: in.Line}
	place, placeErr := c.place(in.Spot)
	target, targetErr := c.soughtOf(in)
	var species []store.CatchEntry
	for k := range in.Fish {
		e, err := c.speciesOf(in.Fish[k].Species, target)
		if err != nil {
			targetErr = err
		}
		species = append(species, e)
	}
	if placeErr != nil || targetErr != nil {
		c.wrong(in.Line, "target", cmp.Or(targetErr, placeErr))
		return nil
	}
	sp, err := c.past.Spot(ctx, place, in.Began.Time)
	if errors.Is(err, store.ErrNotFound) {
		return web.Wrong("body.spots", fmt.Errorf("you have no spot of the id that stands for %q", in.Spot))
	}
	if err != nil {
		return err
	}
	zone, err := time.LoadLocation(sp.Water.TimeZone)
	if err != nil {
		return err
	}
	out.SpellEntry = store.SpellEntry{SpotID: sp.ID, Target: target.ID, StartedAt: in.Began.In(zone).Truncate(time.Millisecond),
		Rods: max(in.Rods, 1), Mark: in.Mark, Approach: in.Approach, Offering: in.Offering, Who: in.Who, Rod: in.Rod, Note: in.Note,
		PausedS: int(in.Paused.Seconds())}
	if err := c.lasted(&out, in, zone); err != nil {
		c.wrong(in.Line, "ended_at", err)
		return nil
	}
	if err := c.water(sp, &out.Spell, in.Read); err != nil {
		c.wrong(in.Line, "", err)
		return nil
	}
	for k := range in.Fish {
		f := &in.Fish[k]
		given := CatchIn{Target: species[k].Target, Species: species[k].Species, LengthM: f.LengthM, MassKg: f.MassKg, Kept: f.Kept,
			Note: f.Note, Who: f.Who, Rod: f.Rod, CatchMoreBody: CatchMoreBody{GirthM: f.GirthM, Measured: f.Measured,
				HookPlace: f.HookPlace, Hook: f.Hook, TagNumber: f.TagNumber, TagSide: f.TagSide, TagProgramme: f.TagProgramme}}
		if says := c.doubt(species[k].Target, f); says != "" {
			c.wrong(f.Line, "", errors.New(says+" Is its unit right? If it really was so, log it by hand."))
			return nil
		}
		given.Sure = true
		if f.At.Known() {
			given.CaughtAt = f.At.In(zone)
		}
		entry, err := c.n.catchEntry(given, target, span{out.StartedAt, out.EndedAt}, c.as.Units, "")
		if err == nil {
			err = measurable(f)
		}
		if err != nil {
			c.wrong(f.Line, "", err)
			return nil
		}
		out.Catches = append(out.Catches, store.Catch{ID: idOf(f.ID), CatchEntry: entry})
	}
	out.SpotName, out.TimeZone = sp.Name, sp.Water.TimeZone
	out.ID = idOf(in.ID)
	out.named = out.ID != uuid.Nil
	c.spells = append(c.spells, out)
	return nil
}

// doubt asks whether a fish of a target was really so long or heavy; empty where it may well be.
func (c *coming) doubt(target string, f *logcsv.Fish) string {
	t, err := c.n.book.Target(target)
	if err != nil {
		return ""
	}
	return t.Doubt(f.LengthM, f.MassKg, c.as.Units)
}

// soughtOf a spell: what it says, what was said for those that do not say, or else the first fish.
func (c *coming) soughtOf(in *logcsv.Spell) (*playbook.Target, error) {
	name := in.Target
	switch {
	case name == "" && c.sought != nil:
		return c.sought, nil
	case name == "":
		return nil, errors.New("does not say what was sought; choose it for the lines that do not")
	}
	id, _, err := c.fish(name)
	if err != nil {
		return nil, err
	}
	if id == store.OtherFish {
		if c.sought == nil {
			return nil, fmt.Errorf("%s is none of the targets; choose what was sought there", name)
		}
		return c.sought, nil
	}
	return c.n.book.Target(id)
}

func (c *coming) speciesOf(name string, sought *playbook.Target) (e store.CatchEntry, err error) {
	if name == "" {
		if sought == nil {
			return e, errUnknown
		}
		return store.CatchEntry{Target: sought.ID}, nil
	}
	e.Target, e.Species, err = c.fish(name)
	return e, err
}

// measurable says what of a fish's measures cannot be; the log's form has the same bounds.
func measurable(f *logcsv.Fish) error {
	for _, m := range []struct {
		v    *float64
		most float64
		says string
	}{{f.LengthM, 4, "a length under 4 m"}, {f.GirthM, 4, "a girth under 4 m"}, {f.MassKg, 500, "a weight under 500 kg"}} {
		if m.v != nil && (*m.v <= 0 || *m.v >= m.most) {
			return fmt.Errorf("expected %s, and more than nought", m.says)
		}
	}
	return nil
}

// lasted a spell until its end, for its hours, or for those that lines are said to last which do not say.
func (c *coming) lasted(out *comingSpell, in *logcsv.Spell, zone *time.Location) error {
	switch {
	case in.Ended.Known():
		out.EndedAt = in.Ended.In(zone).Truncate(time.Millisecond)
	case in.Fished > 0:
		out.EndedAt = out.StartedAt.Add(in.Fished + in.Paused)
	case c.asked.Hours > 0:
		out.reckoned = true
		out.EndedAt = out.StartedAt.Add(time.Duration(c.asked.Hours * float64(time.Hour)))
		out.Note = strings.TrimSpace(out.Note + fmt.Sprintf(" (the hours fished are reckoned: %g)", c.asked.Hours))
	default:
		return errors.New("does not say how long was fished; a rate needs it, blanks too. Say how long such spells last, or add it")
	}
	if out.EndedAt.Before(out.StartedAt) {
		return errors.New("ends before it begins")
	}
	if out.EndedAt.Sub(out.StartedAt) > longestSpell {
		return errors.New("a spell lasts at most 24 h; enter a longer one in parts")
	}
	if out.EndedAt.After(c.as.Now().Add(early)) {
		return fmt.Errorf("ends %s, which is to come", out.EndedAt.In(zone).Format("2006-01-02 15:04"))
	}
	if time.Duration(out.PausedS)*time.Second > out.EndedAt.Sub(out.StartedAt) {
		return errors.New("a spell is not paused for longer than it lasts")
	}
	return nil
}

// water of a spell, worked out, with what the file read of it.
func (c *coming) water(sp *desk.Laid, out *store.Spell, read map[conditions.Kind]float64) error {
	middle := out.StartedAt.Add(out.EndedAt.Sub(out.StartedAt) / 2)
	var given []answer.ReadingIn
	for _, k := range conditions.Kinds() {
		if v, told := read[k]; told {
			given = append(given, answer.ReadingIn{Kind: answer.ReadingKind(k), Value: v})
		}
	}
	said, err := answer.ObservedAt(given, middle)
	if err != nil {
		return err
	}
	m, _, err := sp.Including(said).At(middle, 0, 0)
	if err != nil {
		return err
	}
	m.During(out.StartedAt, out.EndedAt, said)
	out.SpellWater, out.Readings = store.WaterAt(&m), store.ReadingsAt(&m)
	return nil
}

// idOf a text; nil where it is none.
func idOf(text string) uuid.UUID {
	id, err := uuid.Parse(text)
	if err != nil {
		return uuid.Nil
	}
	return id
}

// tell what is coming.
func (c *coming) tell(out *incomingOutput) {
	b := &out.Body
	b.First, b.Faults = []comingOut{}, c.faults
	if b.Faults == nil {
		b.Faults = []FaultOut{}
	}
	slices.SortStableFunc(b.Faults, func(a, b FaultOut) int { return a.Line - b.Line })
	b.UnknownSpots, b.UnknownTargets = c.spots.out(), c.targets.out()
	for i := range c.spells {
		sp := &c.spells[i]
		if len(b.First) < shownAtFirst {
			one := comingOut{Line: sp.line, SpotName: sp.SpotName, TimeZone: sp.TimeZone, StartedAt: sp.StartedAt, EndedAt: sp.EndedAt,
				Rods: sp.Rods, Offering: sp.Offering, Fish: len(sp.Catches), Double: sp.double}
			one.TargetName, _ = c.n.target(sp.Target)
			b.First = append(b.First, one)
		}
		if sp.double {
			b.Doubles++
			continue
		}
		b.Spells++
		b.Catches += len(sp.Catches)
		if len(sp.Catches) == 0 {
			b.Blanks++
		}
		if sp.reckoned {
			b.Reckoned++
		}
		if b.From == nil || sp.StartedAt.Before(*b.From) {
			b.From = &sp.StartedAt
		}
		if b.To == nil || sp.EndedAt.After(*b.To) {
			b.To = &sp.EndedAt
		}
	}
}

// shownAtFirst of a file's spells.
const shownAtFirst = 12
