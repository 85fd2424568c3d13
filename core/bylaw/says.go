package bylaw

import (
	"fmt"
	"strconv"
	"strings"
	"time"

	"greypebble/core/prose"
	"greypebble/core/quantity"
	"greypebble/core/words"
)

// fishName as it stands in a sentence.
func (s Species) fishName() string {
	if s.Name == "" {
		return words.TheFish
	}
	return prose.LowerFirst(s.Name)
}

// in a rule: " (Grey Coast Fishery)".
func (r *Rule) in() string { return fmt.Sprintf(words.ReasonIn, r.Called()) }

// because ends a sentence by whose rule it is.
func (r *Rule) because(says string) string { return strings.TrimSuffix(says, ".") + r.in() + "." }

func (r *Rule) saysForbidden(s Species) string {
	form := map[Status]string{ReleaseOnly: words.FishGoesBack, Closed: words.FishIsClosed, Protected: words.FishIsProtected}[r.Status]
	return fmt.Sprintf(form, r.Called(), s.fishName())
}

// lengths the rule allows: "14 in to 24 in, 1 over 24 in".
func (r *Rule) lengths(u quantity.Units) string { return r.usual(u) + r.few(u) }

// usual lengths that may be kept: "14 in to 24 in".
func (r *Rule) usual(u quantity.Units) string {
	show := u.ShowFishLength
	switch {
	case r.MinM > 0 && r.MaxM > 0:
		return fmt.Sprintf(words.SlotOf, show(r.MinM), show(r.MaxM))
	case r.MinM > 0:
		return fmt.Sprintf(words.AtLeastLong, show(r.MinM))
	case r.MaxM > 0:
		return fmt.Sprintf(words.AtMostLong, show(r.MaxM))
	}
	return words.AnyLength
}

// few that may be longer: ", 1 over 24 in".
func (r *Rule) few(u quantity.Units) string {
	if r.Over == 0 && r.OverM == 0 {
		return ""
	}
	return fmt.Sprintf(words.FewOver, r.Over, u.ShowFishLength(r.allowedOver()))
}

func (r *Rule) saysShort(q *Asked) string {
	show := q.Units.ShowFishLength
	return r.because(fmt.Sprintf(words.ShortOf, prose.Capital(q.Units.ShowLittle(r.MinM-q.Fish.LengthM)), show(r.MinM),
		show(q.Fish.LengthM)))
}

func (r *Rule) saysLong(q *Asked) string {
	show := q.Units.ShowFishLength
	return r.because(fmt.Sprintf(words.TooLong, prose.Capital(q.Units.ShowLittle(q.Fish.LengthM-r.MaxM)), show(r.MaxM),
		show(q.Fish.LengthM)))
}

func (r *Rule) saysOverFull(q *Asked) string {
	kept := strconv.Itoa(r.Over - r.overLeft(q))
	return r.because(fmt.Sprintf(words.OverIsFull, q.Units.ShowFishLength(q.Fish.LengthM), q.Units.ShowFishLength(r.allowedOver()), kept))
}

func (r *Rule) saysUnmeasured(q *Asked) string {
	u := q.Units
	switch {
	case q.Fish.LengthM <= 0:
		return r.because(fmt.Sprintf(words.ToBeMeasured, r.Measure.or().says(), r.usual(u), r.few(u)))
	case q.Fish.Measure != "" && q.Fish.Measure.or() != r.Measure.or():
		return r.because(fmt.Sprintf(words.ToBeMeasuredAs, r.Measure.or().says(), r.usual(u), r.few(u), q.Fish.Measure.says()))
	}
	return r.because(fmt.Sprintf(words.EstimatedOnly, r.usual(u), r.few(u)))
}

func (r *Rule) saysWithin(q *Asked) string {
	return fmt.Sprintf(words.LengthIs, q.Units.ShowFishLength(q.Fish.LengthM), r.usual(q.Units), r.few(q.Units))
}

func (r *Rule) saysOver(q *Asked) string {
	if q.Fish.LengthM <= 0 {
		return fmt.Sprintf(words.OneOverAtMost, q.Units.ShowFishLength(r.allowedOver()))
	}
	return fmt.Sprintf(words.IsOneOver, q.Units.ShowFishLength(q.Fish.LengthM), q.Units.ShowFishLength(r.allowedOver()), r.Over)
}

func (r *Rule) saysFull(of, used int, q *Asked) string {
	switch shared := r.shared(q); {
	case of == 0:
		return fmt.Sprintf(words.NoneMayBeKept, r.Called())
	case len(shared) > 0:
		return r.because(fmt.Sprintf(words.SharedBagIsFull, of, prose.And(shared), used))
	}
	return r.because(fmt.Sprintf(words.BagIsFull, of, used))
}

func (r *Rule) saysBoatFull(used int) string { return r.because(fmt.Sprintf(words.BoatIsFull, used)) }

// saysKept joins what the rules that were met say, in one line.
func saysKept(found []finding, v *Verdict) string {
	var says []string
	whose := ""
	for _, f := range found {
		if f.why != "" && len(says) == 0 {
			says, whose = append(says, f.why), f.rule.Called()
		}
		if whose == "" {
			whose = f.rule.Called()
		}
	}
	if b := v.Bag; b != nil {
		says = append(says, fmt.Sprintf(words.BagLeft, b.Left, b.Of))
	}
	return prose.Capital(strings.Join(says, "; ")) + fmt.Sprintf(words.ReasonIn, whose) + "."
}

// saysUnknown says why nothing is known of a fish.
func saysUnknown(rules []Rule, held []*Rule, q *Asked) string {
	name := q.Fish.fishName()
	var seasons, classes []string
	for i := range rules {
		r := &rules[i]
		if r.Voluntary || !r.Of(q.Fish.Species) || !r.At(q.Place, q.Area) || !r.permits() && !r.forbids() {
			continue
		}
		switch {
		case !r.isFor(q.Licences):
			classes = append(classes, r.Licence)
		case !r.Holds(q.Time):
			seasons = append(seasons, r.Called()+": "+r.SaysWhen(q.Units))
		}
	}
	switch {
	case len(held) > 0:
		return fmt.Sprintf(words.NothingOfKeeping, name)
	case len(seasons) > 0:
		return fmt.Sprintf(words.NothingEnteredToday, name, strings.Join(seasons, "; "))
	case len(classes) > 0:
		return fmt.Sprintf(words.NothingForLicence, name, strings.Join(classes, ", "))
	}
	return fmt.Sprintf(words.NothingEntered, name)
}

func saysMeasureAgain(margin float64, u quantity.Units) string {
	switch {
	case margin >= -exact && margin <= exact:
		return words.OnLimit
	case margin > 0:
		return fmt.Sprintf(words.OverBy, u.ShowLittle(margin))
	}
	return fmt.Sprintf(words.ShortBy, u.ShowLittle(margin))
}

// says the measure in words.
func (m Measure) says() string {
	return map[Measure]string{Total: words.TotalLength, Fork: words.ForkLength, Pinched: words.PinchedLength}[m.or()]
}

// duties of the rules that hold.
func (v *Verdict) owe(held []*Rule, q *Asked) {
	for _, r := range held {
		if r.Voluntary {
			continue
		}
		for _, d := range r.Duties {
			v.Duties = append(v.Duties, d.says(q))
		}
	}
}

func (d Duty) says(q *Asked) string {
	to := ""
	if d.To != "" {
		to = fmt.Sprintf(words.DutyTo, d.To)
	}
	until := q.Time.Add(time.Duration(d.WithinHours * float64(time.Hour)))
	within := until.Format(weekdayLayout) + " " + q.Units.ShowClock(until)
	switch {
	case d.Kind == Tag && d.WithinHours == 0:
		return fmt.Sprintf(words.TagAtOnce, to)
	case d.Kind == Tag:
		return fmt.Sprintf(words.TagWithin, within, to)
	case d.WithinHours == 0:
		return fmt.Sprintf(words.ReportAtOnce, to)
	}
	return fmt.Sprintf(words.ReportWithin, within, to)
}

// codes that are voluntary: what they ask, and whether this fish is one they would put back.
func (v *Verdict) codes(held []*Rule, q *Asked) {
	for _, r := range held {
		if !r.Voluntary {
			continue
		}
		for _, f := range r.judge(q) {
			if f.word != Keep {
				v.Codes = append(v.Codes, fmt.Sprintf(words.CodeSays, r.Called(),
					strings.TrimSuffix(prose.LowerFirst(strings.TrimSuffix(f.why, r.in()+".")), ".")))
			}
		}
		if r.Note != "" {
			v.Codes = append(v.Codes, fmt.Sprintf(words.CodeAsks, r.Called(), strings.TrimSuffix(r.Note, ".")))
		}
	}
}

func staleNotes(sources []Source) (out []string) {
	for _, s := range sources {
		if s.Stale {
			out = append(out, fmt.Sprintf(words.RuleIsStale, s.Rule, s.CheckedOn.Format(dayLayout)))
		}
	}
	return out
}

// weekdayLayout of days near by.
const weekdayLayout = "Mon 2 Jan"

// dayLayout of days as they are read.
const dayLayout = "2 January 2006"
