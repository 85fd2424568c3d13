package answer

import (
	"errors"
	"fmt"
	"math"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/bylaw"
	"greypebble/core/ground"
	"greypebble/core/playbook"
)

// KeptBody is a fish that was kept before, as the one who asks knows it.
type KeptBody struct {
	ID      string    `json:"id,omitempty" maxLength:"40" doc:"of the catch: one the log knows too counts once"`
	Species string    `json:"species" minLength:"1" maxLength:"80"`
	LengthM float64   `json:"length_m,omitempty" minimum:"0" maximum:"4" doc:"left out: not measured"`
	Angler  string    `json:"angler,omitempty" maxLength:"40" doc:"who kept it; left out: oneself"`
	Time    time.Time `json:"time"`
}

// KeepBody is a fish in the hand, and where it was caught.
type KeepBody struct {
	Species string     `json:"species" minLength:"1" maxLength:"80" example:"red-drum" doc:"a target, or any other fish by its name"`
	LengthM *float64   `json:"length_m,omitempty" exclusiveMinimum:"0" maximum:"4" doc:"left out: not measured yet"`
	ErrorM  float64    `json:"error_m,omitempty" minimum:"0" maximum:"1" doc:"that an estimated length may be off by"`
	Measure string     `json:"measure,omitempty" enum:"total,fork,pinched" doc:"that the length is of; left out: as the rule says"`
	Are     []string   `json:"are,omitempty" maxItems:"5" enum:"female,male,egg-bearing,nesting male,soft-shelled" doc:"as seen"`
	SpotID  *uuid.UUID `json:"spot_id,omitempty" format:"uuid"`
	Lat     *float64   `json:"lat,omitempty" minimum:"-90" maximum:"90"`
	Lon     *float64   `json:"lon,omitempty" minimum:"-180" maximum:"180"`
	Time    time.Time  `json:"time,omitempty" doc:"of the catch; now if left out"`
	Angler  string     `json:"angler,omitempty" maxLength:"40" doc:"whose fish it is; left out: one's own"`
	// Aboard are the others.
	Aboard   []string   `json:"aboard,omitempty" maxItems:"20" doc:"the others there, by name"`
	Licences []string   `json:"licences,omitempty" maxItems:"20" doc:"classes the person is of; left out: rules of every class count"`
	CatchID  string     `json:"catch_id,omitempty" maxLength:"40" doc:"where it is in the log: it does not count against itself"`
	Kept     []KeptBody `json:"kept,omitempty" maxItems:"500" doc:"fish kept before that the log may not know yet"`
}

// CountOut is how many of a number were kept.
type CountOut struct {
	Angler string `json:"angler,omitempty" doc:"left out: oneself"`
	Of     int    `json:"of"`
	Used   int    `json:"used"`
	Left   int    `json:"left"`
}

// BagOut is what is left of a number today, by the strictest rule.
type BagOut struct {
	Of         int        `json:"of"`
	Used       int        `json:"used"`
	Left       int        `json:"left"`
	SharedWith []string   `json:"shared_with" nullable:"false" doc:"other species that count, as the rule names them"`
	Boat       *CountOut  `json:"boat,omitempty" doc:"of everybody aboard, where a rule limits it"`
	People     []CountOut `json:"people" nullable:"false"`
	Rule       string     `json:"rule"`
}

// SourceOut is what a verdict rests on.
type SourceOut struct {
	Rule      string `json:"rule"`
	Authority string `json:"authority,omitempty"`
	Source    string `json:"source"`
	Address   string `json:"address,omitempty"`
	Checked   string `json:"checked" format:"date"`
	CheckedBy string `json:"checked_by,omitempty"`
	Stale     bool   `json:"stale"`
}

// KeepOut is the verdict on a fish by the rules that were entered.
type KeepOut struct {
	Verdict  string      `json:"verdict" enum:"keep,release,not known" doc:"not known never means allowed"`
	Why      string      `json:"why"`
	Notes    []string    `json:"notes" nullable:"false" doc:"what else is to be said: near the limit, stale"`
	MarginM  *float64    `json:"margin_m,omitempty" doc:"to the nearest limit of length; negative beyond it"`
	Near     bool        `json:"near" doc:"so near the limit that it is to be measured again"`
	Measure  string      `json:"measure,omitempty" enum:"total,fork,pinched" doc:"that the rules ask for"`
	MinM     float64     `json:"min_m,omitempty"`
	MaxM     float64     `json:"max_m,omitempty"`
	Bag      *BagOut     `json:"bag,omitempty"`
	Duties   []string    `json:"duties" nullable:"false"`
	Codes    []string    `json:"codes" nullable:"false" doc:"voluntary codes"`
	Advisory []string    `json:"advisory" nullable:"false" doc:"on eating it, in the authority's words"`
	Stale    bool        `json:"stale"`
	Sources  []SourceOut `json:"sources" nullable:"false"`
}

// aDay either way holds the day of any zone.
const aDay = 36 * time.Hour

// Keep says whether a fish may be kept, by the rules of the one who asks.
func Keep(around Around, b *KeepBody) (*KeepOut, error) {
	q, err := b.asked(around)
	if err != nil {
		return nil, err
	}
	rules, err := around.Rules()
	if err != nil {
		return nil, err
	}
	book, err := around.Book(nil)
	if err != nil {
		return nil, err
	}
	q.Fish.Species = speciesOf(book, b.Species)
	logged, err := around.Caught(q.Time.Add(-aDay-bylaw.HeldFor), q.Time.Add(aDay))
	if err != nil {
		return nil, err
	}
	q.Kept = b.keptBefore(book, bylaw.KeptOf(logged))
	v := bylaw.Judge(rules, q)
	return keepOut(&v), nil
}

// speciesOf a word: one of the targets, or the fish of that name.
func speciesOf(b *playbook.Book, word string) bylaw.Species {
	if t, err := b.Target(word); err == nil {
		return t.Species()
	}
	return bylaw.Species{Name: word}
}

// asked without the fish kept before.
func (b *KeepBody) asked(around Around) (*bylaw.Asked, error) {
	t := when(around, b.Time)
	q := &bylaw.Asked{Time: t, Now: around.Now(), Who: b.Angler, Aboard: b.Aboard, Licences: b.Licences, Units: around.Units(),
		Fish: bylaw.Fish{ErrorM: b.ErrorM, Measure: bylaw.Measure(b.Measure)}}
	if b.LengthM != nil {
		q.Fish.LengthM = *b.LengthM
	}
	for _, s := range b.Are {
		q.Fish.Are = append(q.Fish.Are, bylaw.Sex(s))
	}
	switch {
	case b.SpotID != nil:
		sp, err := around.Spot(*b.SpotID, t)
		if err != nil {
			return nil, err
		}
		q.Place, q.Area = sp.Touched()
		q.Time = clocked(t, sp.Clock)
		// A position within the spot is nearer the truth than all of it.
		if b.Lat != nil && b.Lon != nil {
			q.Place, q.Area = []ground.LatLon{{Lat: *b.Lat, Lon: *b.Lon}}, false
		}
	case b.Lat != nil && b.Lon != nil:
		at := ground.LatLon{Lat: *b.Lat, Lon: *b.Lon}
		q.Place = []ground.LatLon{at}
		zone, err := clockAt(around, at, t)
		if err != nil {
			return nil, err
		}
		q.Time = t.In(zone)
	default:
		return nil, Wrong("body.spot_id", errors.New("expected spot_id, or lat and lon: rules differ by place"))
	}
	return q, nil
}

func clocked(t time.Time, zone *time.Location) time.Time {
	if zone == nil {
		return t
	}
	return t.In(zone)
}

// nearEnough is how far off a spot's clock is taken for a place's, metres.
const nearEnough = 300_000

// clockAt a place: that of the nearest spot, or of its longitude where none is near.
func clockAt(around Around, at ground.LatLon, t time.Time) (*time.Location, error) {
	spots, err := around.Spots(t)
	if err != nil {
		return nil, err
	}
	best, zone := float64(nearEnough), (*time.Location)(nil)
	for _, sp := range spots {
		if d := ground.Distance(at, sp.LatLon); d < best && sp.Clock != nil {
			best, zone = d, sp.Clock
		}
	}
	if zone == nil {
		hours := int(math.Round(at.Lon / 15))
		zone = time.FixedZone(fmt.Sprintf("UTC%+d", hours), hours*3600)
	}
	return zone, nil
}

// keptBefore are the fish the log and the one who asks know of, each once, without this one.
func (b *KeepBody) keptBefore(book *playbook.Book, logged []bylaw.Kept) []bylaw.Kept {
	out := logged
	for _, k := range b.Kept {
		if k.ID == "" || !slices.ContainsFunc(logged, func(l bylaw.Kept) bool { return l.ID == k.ID }) {
			out = append(out, bylaw.Kept{ID: k.ID, Species: speciesOf(book, k.Species), LengthM: k.LengthM, Who: k.Angler, Time: k.Time})
		}
	}
	return slices.DeleteFunc(out, func(k bylaw.Kept) bool { return b.CatchID != "" && k.ID == b.CatchID })
}

func keepOut(v *bylaw.Verdict) *KeepOut {
	some := func(list []string) []string { return append([]string{}, list...) }
	out := &KeepOut{Verdict: string(v.Word), Why: v.Why, Notes: some(v.Notes), MarginM: v.MarginM, Near: v.Near, Measure: string(v.Measure),
		MinM: v.MinM, MaxM: v.MaxM, Duties: some(v.Duties), Codes: some(v.Codes), Advisory: some(v.Advisory), Stale: v.Stale,
		Sources: []SourceOut{}}
	for _, s := range v.Sources {
		out.Sources = append(out.Sources, SourceOut{s.Rule, s.Authority, s.Source, s.Address, s.CheckedOn.Format(time.DateOnly),
			s.CheckedBy,
			s.Stale})
	}
	if b := v.Bag; b != nil {
		out.Bag = &BagOut{Of: b.Of, Used: b.Used, Left: b.Left, SharedWith: some(b.SharedWith), People: []CountOut{}, Rule: b.Rule}
		for _, p := range b.People {
			out.Bag.People = append(out.Bag.People, CountOut{p.Who, p.Of, p.Used, p.Left})
		}
		if c := b.Boat; c != nil {
			out.Bag.Boat = &CountOut{Of: c.Of, Used: c.Used, Left: c.Left}
		}
	}
	return out
}
