package plan

import (
	"fmt"
	"slices"
	"strings"
	"time"

	"greypebble/core/advise"
	"greypebble/core/bylaw"
	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Sheet of a day: what one takes along on paper.
type Sheet struct {
	Stops []Stop
	// Cautions of all stops, each once, gravest first; Bylaws that the angler entered for them.
	Cautions []going.Caution
	Bylaws   []string
	// Bring is what of the kit is used, Missing what is not in it, Bait what to get and for when.
	Bring, Missing, Bait []string
	// Hygiene of the place: what is checked, cleaned and taken home.
	Hygiene []string
	// Times of the sun at the first stop, and of the water at each water, in order.
	Sun  []Told
	Tell string
}

// Stop of a sheet: a leg with its water and what to tie on.
type Stop struct {
	Leg
	Says string
	// ArriveM and LeaveM are levels over datum then; Turns lie between, and one to each side.
	ArriveM, LeaveM float64
	Turns           []tide.Turn
	// Way says when to be out; empty where nothing shuts it that day.
	Way     string
	BeOutBy time.Time
	// Spoilt says what alone would spoil it; nothing where one only waits.
	Spoilt []string
	// Weather in words at its peak, and who tells it.
	Weather []string
	Advice  advise.Advice
}

// Told is a time with what happens.
type Told struct {
	Time time.Time
	Says string
}

// Contact is who is told where one goes: whom, and how long after being due back one is called for.
type Contact struct {
	Whom string
	Call time.Duration
}

// Sheet of an itinerary. Times are written by the place's own clock.
func (o *Outlook) Sheet(it *Itinerary, margin time.Duration, has kit.Kit, c Contact, now time.Time) (Sheet, error) {
	out := Sheet{Hygiene: []string{words.CheckCleanDry, words.KeepOffNests, words.TakeItHome, words.NoteWhatWasLost}}
	for _, l := range it.Legs {
		s, err := o.stop(l, margin, has)
		if err != nil {
			return out, err
		}
		out.Stops = append(out.Stops, s)
		out.gather(o, &s, now)
	}
	going.Sorted(out.Cautions)
	if len(it.Legs) > 0 {
		first := it.Legs[0]
		out.Sun = o.sun(first.Spot, it)
		out.Tell = o.tell(it, c)
	}
	return out, nil
}

func (o *Outlook) stop(l Leg, margin time.Duration, has kit.Kit) (Stop, error) {
	sp := o.Asked.Spots[l.Spot]
	out := Stop{Leg: l, Says: o.SaysLeg(l, clockOf(sp.Clock), o.Asked.Units)}
	c, err := tide.Over(sp.Tide, l.Arrive.Add(-13*time.Hour), l.Leave.Add(13*time.Hour))
	if err != nil {
		return out, err
	}
	out.ArriveM, out.LeaveM = c.Level(l.Arrive), c.Level(l.Leave)
	out.Turns = around(c.Turns(), l.Arrive, l.Leave)
	w, open := ground.NextClose(o.Places[l.Spot].way, l.Arrive)
	if open && !w.Closes.IsZero() && w.Closes.Before(l.Leave.Add(12*time.Hour)) {
		out.BeOutBy = w.Closes.Add(-margin)
		at := clockOn(out.BeOutBy, clockOf(sp.Clock), o.Asked.Units)
		out.Way = fmt.Sprintf(words.BeOutByAtItIs, at(out.BeOutBy), at(w.Closes), w.ClosedBy)
	}
	if out.Advice, err = o.Tied(l, has); err != nil {
		return out, err
	}
	out.Weather = o.weather(&out.Advice)
	if l.Target >= 0 {
		found, err := o.Spoilers(o.bestOf(l), 1)
		if err != nil {
			return out, err
		}
		out.Spoilt = SaysSpoilers(found)
	}
	return out, nil
}

// bestOf a leg is the hour about its peak, within the stay.
func (o *Outlook) bestOf(l Leg) Window {
	from := later(o.Peak(l).Add(-time.Hour/2), l.Arrive).Truncate(Step)
	return Window{Spot: l.Spot, Target: l.Target, BestFrom: from, BestUntil: later(earlier(from.Add(time.Hour), l.Leave), from.Add(Step))}
}

// weather of a moment as one wants it on paper: wind, water, air, swell and how clear it is.
func (o *Outlook) weather(a *advise.Advice) []string {
	var out []string
	u := o.Asked.Units
	for _, k := range []struct {
		kind conditions.Kind
		says string
		show func(float64) string
	}{{conditions.WindSpeed, words.WindOf, u.ShowWind}, {conditions.SwellHeight, words.SwellOf, u.ShowDepth},
		{conditions.WaterTemp, words.WaterOf, u.ShowTemperature}, {conditions.AirTemp, words.AirOf, u.ShowTemperature},
		{conditions.Clarity, words.ClarityOf, u.ShowDepth}} {
		v, known := a.Moment.Believed[k.kind]
		if !known {
			continue
		}
		says := fmt.Sprintf(k.says, k.show(v.Value))
		if !v.Origin.Told() {
			says = fmt.Sprintf(words.AsUsual, says)
		}
		out = append(out, says)
	}
	return out
}

func clockOf(zone *time.Location) *time.Location {
	if zone == nil {
		return time.UTC
	}
	return zone
}

// around are the turns within a stay, with the one before and the one after.
func around(turns []tide.Turn, from, to time.Time) []tide.Turn {
	first, last := 0, len(turns)
	for i, k := range turns {
		if k.Time.Before(from) {
			first = i
		}
		if k.Time.After(to) {
			last = i + 1
			break
		}
	}
	return turns[first:last]
}

// gather what a stop asks for into the sheet.
func (s *Sheet) gather(o *Outlook, stop *Stop, now time.Time) {
	add := func(list *[]string, says ...string) {
		for _, k := range says {
			if k != "" && !slices.Contains(*list, k) {
				*list = append(*list, k)
			}
		}
	}
	caution := func(list []going.Caution) {
		for _, c := range list {
			if !slices.ContainsFunc(s.Cautions, func(k going.Caution) bool { return k.Says == c.Says }) {
				s.Cautions = append(s.Cautions, c)
			}
		}
	}
	caution(stop.Advice.Cautions)
	sp := o.Asked.Spots[stop.Spot]
	for i := range sp.Zones {
		if z := &sp.Zones[i]; z.InSeason(stop.Arrive) {
			add(&s.Bylaws, z.Warning(now))
		}
	}
	add(&s.Bylaws, sp.Ruled(o.speciesOf(stop.Target), stop.Arrive, now, o.Asked.Units)...)
	if len(stop.Advice.Choices) == 0 || stop.Target < 0 {
		return
	}
	c := &stop.Advice.Choices[0]
	caution(c.Cautions)
	add(&s.Bring, c.Uses...)
	add(&s.Missing, c.Lacks...)
	if strings.HasSuffix(c.Card.Approach, "bait") {
		at := clockOn(stop.Arrive, clockOf(sp.Clock), o.Asked.Units)
		add(&s.Bait, fmt.Sprintf(words.BaitForAt, c.Card.Offering, sp.Name, at(stop.Arrive)))
	}
	if g := c.Card.Groundbait; g != "" {
		add(&s.Bait, g)
	}
}

// speciesOf a target of the outlook; none: any fish.
func (o *Outlook) speciesOf(target int) bylaw.Species {
	if target < 0 {
		return bylaw.Species{}
	}
	return o.Asked.Targets[target].Species()
}

// sun of the day at a spot, between leaving home and being back, and what frames it.
func (o *Outlook) sun(at int, it *Itinerary) []Told {
	sp := o.Asked.Spots[at]
	d := sp.Observer().Between(it.LeaveHome.Add(-6*time.Hour), it.BackHome.Add(6*time.Hour))
	var out []Told
	for _, k := range []struct {
		times []time.Time
		says  string
	}{{d.CivilDawn, words.FirstLight}, {d.Sunrise, words.Sunrise}, {d.Sunset, words.Sunset}, {d.CivilDusk, words.LastLight}} {
		for _, t := range k.times {
			out = append(out, Told{t, k.says})
		}
	}
	slices.SortFunc(out, func(a, b Told) int { return a.Time.Compare(b.Time) })
	return out
}

// tell is a text for whoever is told where one goes.
func (o *Outlook) tell(it *Itinerary, c Contact) string {
	var b strings.Builder
	zone := clockOf(o.Asked.Spots[it.Legs[0].Spot].Clock)
	at := clockOn(it.LeaveHome, zone, o.Asked.Units)
	if c.Whom != "" {
		fmt.Fprintf(&b, words.ForWhom+"\n", c.Whom)
	}
	fmt.Fprintf(&b, words.IAmOffFishing+"\n", it.LeaveHome.In(zone).Format(dayLayout), at(it.LeaveHome), at(it.BackHome))
	for _, l := range it.Legs {
		sp := o.Asked.Spots[l.Spot]
		fmt.Fprintf(&b, words.AtPlaceFromTo+"\n", at(l.Arrive), at(l.Leave), sp.Name, sp.Lat, sp.Lon, sp.Access.Manner)
	}
	call := c.Call
	if call <= 0 {
		call = time.Hour
	}
	fmt.Fprintf(&b, words.IfYouHaveNotHeard, at(it.BackHome.Add(call)))
	return b.String()
}

// dayLayout of a day in a text.
const dayLayout = "Mon 2 Jan"
