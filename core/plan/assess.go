package plan

import (
	"fmt"
	"math"
	"strings"
	"time"

	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/words"
)

// Finding is what stands against stays as they are set.
type Finding struct {
	// Leg by its place in the day; −1 for the day as a whole.
	Leg  int
	Says string
}

// Assess stays somebody has set, in their order: what they are worth in this outlook, and what stands
// against them. Time in which one cannot fish there is worth nothing.
func (o *Outlook) Assess(d Day, stays []Pin, zone *time.Location, u quantity.Units) (Itinerary, []Finding) {
	var out Itinerary
	found := []Finding{}
	against := func(leg int, format string, a ...any) {
		found = append(found, Finding{leg, fmt.Sprintf(format, a...)})
	}
	targets := d.Targets
	if len(targets) == 0 {
		targets = upTo(len(o.Edges))
	}
	for i, s := range stays {
		at := clockOn(s.Arrive, zone, u)
		name := o.Asked.Spots[s.Spot].Name
		leg := o.stay(d, s, targets)
		if from, to, why := o.barred(d, s); why != "" {
			against(i, words.CannotBeFishedFromTo, name, at(from), at(to), why)
		}
		before, from := Home, d.From
		if i > 0 {
			before, from = stays[i-1].Spot, stays[i-1].Leave
		}
		took, there := d.Way(before, s.Spot)
		switch {
		case !there:
			against(i, words.IsNotReachedThatWay, name)
		case i == 0:
			out.LeaveHome = s.Arrive.Add(-took)
			if out.LeaveHome.Before(d.From) {
				against(-1, words.LeaveBeforeTheDayBegins, at(out.LeaveHome), at(d.From))
			}
		case s.Arrive.Sub(from) < took && before != s.Spot:
			against(i, words.TheWayTakesLonger, o.Asked.Spots[before].Name, name, lasting(took), lasting(max(0, s.Arrive.Sub(from))))
		}
		out.Legs, out.Worth, out.Catch = append(out.Legs, leg), out.Worth+leg.Worth, out.Catch+leg.Catch
	}
	if n := len(stays); n > 0 {
		last := stays[n-1]
		took, _ := d.Way(last.Spot, Home)
		out.BackHome = last.Leave.Add(took)
		if at := clockOn(last.Leave, zone, u); out.BackHome.After(d.Until) {
			against(-1, words.BackAfterTheDayEnds, at(out.BackHome), at(d.Until))
		}
	}
	return out, found
}

// stay is what one is worth, step by step.
func (o *Outlook) stay(d Day, s Pin, targets []int) Leg {
	leg := Leg{Spot: s.Spot, Arrive: s.Arrive, Leave: s.Leave, Spare: s.Spare}
	from := d
	from.From = s.Arrive.Truncate(Step)
	gain, target := o.gains(s.Spot, targets, from, o.stepsBetween(from.From, s.Leave))
	made := map[int]float64{}
	for t, g := range gain {
		idle := !s.Spare.Opens.IsZero() && s.Spare.Holds(from.From.Add(time.Duration(t)*Step))
		if k := target[t]; k >= 0 && g > 0 && !idle {
			leg.Worth += g
			leg.Catch += g * o.Asked.Targets[k].UsualCatch()
			made[k] += g
		}
	}
	leg.Target = most(made)
	return leg
}

func (o *Outlook) stepsBetween(from, to time.Time) int {
	return max(0, int(math.Ceil(float64(to.Sub(from))/float64(Step))))
}

// barred is the first stretch of a stay in which one cannot fish there, and why; "" where there is none.
func (o *Outlook) barred(d Day, s Pin) (from, to time.Time, why string) {
	for t := s.Arrive.Truncate(Step); t.Before(s.Leave); t = t.Add(Step) {
		says := o.bars(s.Spot, t, d)
		switch {
		case why == "" && says != "":
			from, why = t, says
		case why != "" && says != why:
			return later(from, s.Arrive), t, why
		}
	}
	return later(from, s.Arrive), s.Leave, why
}

func later(a, b time.Time) time.Time {
	if a.After(b) {
		return a
	}
	return b
}

// SaysClosed tells by which rule a stay cannot be kept: one that closes the spot, or, where a target is named, one under
// which it may not be fished for; "" where there is none.
func SaysClosed(sp *spot.Spot, target *playbook.Target, arrive, leave time.Time) string {
	if rule := sp.ClosedBetween(arrive, leave); rule != nil {
		return fmt.Sprintf(words.ClosedThen, sp.Name, rule.Name())
	}
	if target == nil {
		return ""
	}
	if rule := sp.UnsoughtBetween(target.Species(), arrive, leave); rule != nil {
		return fmt.Sprintf(words.NotForItThen, sp.Name, target.InSentence(), rule.Name())
	}
	return ""
}

// closed says that nobody may fish at a spot in the hour of a time; of one beyond the outlook nothing is known.
func (o *Outlook) closed(at int, t time.Time) bool {
	hour := int(t.Sub(o.From) / time.Hour)
	states := o.Places[at].State
	return !t.Before(o.From) && hour < len(states) && states[hour] == Closed
}

// closes says what closes a spot at a time: a rule, its hours, or a rule for what is sought.
func (o *Outlook) closes(at int, t time.Time) string {
	sp := o.Asked.Spots[at]
	if c := sp.Closing(t); c != nil {
		return fmt.Sprintf(words.ClosesIt, c.Name())
	}
	for _, k := range o.Asked.Targets {
		if c := sp.Unsought(k.Species(), t); c != nil && sp.OpenToday(t) {
			return fmt.Sprintf(words.ForbidsIt, c.Name(), k.InSentence())
		}
	}
	return words.ItsHoursCloseIt
}

// bars says why one cannot fish at a spot at a moment; "" where one can.
func (o *Outlook) bars(at int, t time.Time, d Day) string {
	p := &o.Places[at]
	hour := int(t.Sub(o.From) / time.Hour)
	if t.Before(o.From) || hour >= len(p.State) {
		return words.ThatIsNotLookedInto
	}
	switch p.State[hour] {
	case DoNot:
		return p.Against[hour]
	case Closed:
		return o.closes(at, t)
	case Shut:
		return words.TheWaterShutsTheWay
	case Open, Thin:
	}
	if d.ByDay && !holds(p.day, t) {
		return words.ItIsDark
	}
	if !holds(p.way, t) {
		return words.TheWaterShutsTheWay
	}
	return ""
}

func lasting(d time.Duration) string {
	return fmt.Sprintf(words.MinutesLong, int(d.Round(time.Minute)/time.Minute))
}

// WhyNot says why stays cannot be kept, as far as findings against them tell.
func WhyNot(found []Finding) string {
	if len(found) == 0 {
		return words.TheHoursDoNotAllowIt
	}
	var says []string
	for _, f := range found {
		says = append(says, f.Says)
	}
	return fmt.Sprintf(words.WhatYouSetCannotBeKept, strings.Join(says, " "))
}
