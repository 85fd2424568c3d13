package bylaw

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
	"time"

	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// Says the rule as a sentence, in an angler's units: "Red drum, in Sedge Sound, from 1 March to 30 June: 14 in to 24 in total
// length, 3 a person and day."
func (r *Rule) Says(u quantity.Units) string {
	var of []string
	for _, s := range r.Species {
		if plain(s) == AnyFish {
			s = words.EveryFish
		}
		of = append(of, s)
	}
	subject := []string{prose.Capital(prose.And(of))}
	switch {
	case !r.Area.Everywhere() && r.Area.Name != "":
		subject = append(subject, fmt.Sprintf(words.InArea, r.Area.Name))
	case !r.Area.Everywhere():
		subject = append(subject, words.InDrawnArea)
	}
	if r.Licence != "" {
		subject = append(subject, fmt.Sprintf(words.ForLicence, r.Licence))
	}
	if when := r.SaysWhen(u); when != words.AllYear {
		subject = append(subject, when)
	}
	what := r.saysWhat(u)
	if len(what) == 0 {
		what = []string{words.SaysNothingYet}
	}
	return fmt.Sprintf(words.RuleSentence, strings.Join(subject, ", "), strings.Join(what, ", "))
}

// SaysWhen it holds: "from 1 March to 30 June", "on Saturday and Sunday, 19:00 to 05:00", "all year".
func (r *Rule) SaysWhen(u quantity.Units) string {
	var out []string
	for _, s := range r.Seasons {
		out = append(out, fmt.Sprintf(words.FromToDay, s.From.Says(), s.To.Says()))
	}
	when := out[:len(out):len(out)]
	if len(out) > 1 {
		when = []string{prose.And(out)}
	}
	if len(r.Hours.Days) > 0 {
		var days []string
		for _, d := range r.Hours.Days {
			days = append(days, d.String())
		}
		when = append(when, fmt.Sprintf(words.OnDays, prose.And(days)))
	}
	if h := r.Hours; h.From != 0 || h.To != 0 {
		when = append(when, fmt.Sprintf(words.BetweenHours, clock(h.From, u), clock(h.To, u)))
	}
	if len(when) == 0 {
		return words.AllYear
	}
	return strings.Join(when, ", ")
}

// saysWhat the rule asks, piece by piece.
func (r *Rule) saysWhat(u quantity.Units) (out []string) {
	add := func(form string, args ...any) { out = append(out, fmt.Sprintf(form, args...)) }
	switch r.Status {
	case Closed:
		if r.OfAny() {
			add(words.ClosedToFishing)
		} else {
			add(words.MayNotBeSought)
		}
	case ReleaseOnly:
		add(words.CatchAndRelease)
	case Protected:
		add(words.IsProtected)
	}
	if r.sized() {
		add("%s %s%s", r.usual(u), r.Measure.or().says(), r.few(u))
	}
	if r.Bag != nil {
		form := words.BagOfDay
		switch {
		case r.Each:
			form = words.BagOfEach
		case len(r.Species) > 1 || r.OfAny():
			form = words.BagTogether
		}
		add(form, *r.Bag)
	}
	if r.BoatBag != nil {
		add(words.BagOfBoat, *r.BoatBag)
	}
	if r.Possession != nil {
		add(words.BagHeld, *r.Possession)
	}
	for _, s := range r.NotKept {
		add(words.NoneGoBack, string(s))
	}
	if r.NoLimits {
		add(words.NoLimitAtAll)
	}
	out = append(out, r.Gear.says()...)
	for _, d := range r.Duties {
		within := words.DutyNow
		if d.WithinHours > 0 {
			within = fmt.Sprintf(words.DutyWithin, strconv.FormatFloat(d.WithinHours, 'g', -1, 64))
		}
		add(map[DutyKind]string{Tag: words.TagDuty, Report: words.ReportDuty}[d.Kind], within)
	}
	return out
}

func (g Gear) says() (out []string) {
	for _, k := range []struct {
		asked bool
		says  string
	}{{g.CircleHooks, words.UseCircleHooks}, {g.Barbless, words.UseBarbless}, {g.NoLiveBait, words.UseNoLiveBait},
		{g.NoSnagging, words.UseNoSnagging}} {
		if k.asked {
			out = append(out, k.says)
		}
	}
	if g.MostRods > 0 {
		out = append(out, saysRods(g.MostRods))
	}
	if g.MostHooks > 0 {
		out = append(out, saysHooks(g.MostHooks))
	}
	return out
}

func saysRods(n int) string { return atMost(n, words.OneRodAtMost, words.RodsAtMost) }

func saysHooks(n int) string { return atMost(n, words.OneHookAtMost, words.HooksAtMost) }

func atMost(n int, one, many string) string {
	if n == 1 {
		return one
	}
	return fmt.Sprintf(many, n)
}

// SaysSource says where the rule stands and when it was looked up: "Grey Coast Fishery handbook, p. 4, checked 3 May 2026
// by Wren".
func (r *Rule) SaysSource() string {
	out := fmt.Sprintf(words.SourceChecked, r.Source, r.CheckedOn.Format(dayLayout))
	if r.CheckedBy != "" {
		out += fmt.Sprintf(words.ByPerson, r.CheckedBy)
	}
	return out
}

// Warning of a rule that holds at a place, with where it comes from and whether it is time to look it up again.
func (r *Rule) Warning(now time.Time, u quantity.Units) string {
	says := r.Says(u) + " " + r.SaysSource() + "."
	if r.Stale(now) {
		says += words.ClosureOld
	}
	return says
}

// Sorted rules as they are listed: by authority, then by what they go by.
func Sorted(rules []Rule) []Rule {
	out := slices.Clone(rules)
	slices.SortStableFunc(out, func(a, b Rule) int {
		if c := strings.Compare(a.Authority, b.Authority); c != 0 {
			return c
		}
		return strings.Compare(a.Called(), b.Called())
	})
	return out
}
