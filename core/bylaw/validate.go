package bylaw

import (
	"errors"
	"fmt"
	"slices"
	"strings"

	"greypebble/core/ground"
)

// Bounds of what can be entered.
const (
	longestFish = 6.0 // metres
	mostFish    = 1000
	mostLife    = 3660
	mostHours   = 24 * 366
	mostWord    = 80
)

// FieldError is what is wrong with a rule, and in which of its fields.
type FieldError struct {
	Field string
	Says  string
	// Between it and another field it stands: either may be the wrong one.
	Between bool
}

func (e *FieldError) Error() string { return e.Says }

func wrong(field string, err error) error { return &FieldError{Field: field, Says: err.Error()} }

func between(field string, err error) error {
	return &FieldError{Field: field, Says: err.Error(), Between: true}
}

// Validate refuses a rule nobody could apply: without species, source or the day it was checked, with lengths that
// cannot be met, with seasons or areas that are none.
func (r *Rule) Validate() error {
	switch {
	case len(r.Species) == 0 || slices.ContainsFunc(r.Species, func(s string) bool {
		return plain(s) == "" || len(s) > mostWord ||
			!oneWord(s)
	}):
		return wrong("species",
			fmt.Errorf("expected at least one fish, by name or group, or %q, each of at most %d letters without a semicolon",
				AnyFish, mostWord))
	case strings.TrimSpace(r.Source) == "":
		return wrong("source", errors.New("expected where the rule stands, so that it can be looked up again"))
	case r.CheckedOn.IsZero():
		return wrong("checked", errors.New("expected the day on which the rule was last looked up"))
	case !slices.Contains(Statuses, r.Status):
		return wrong("status", fmt.Errorf("unknown status %q; expected one of %q", r.Status, Statuses[1:]))
	case r.Measure != "" && !slices.Contains(Measures, r.Measure):
		return wrong("measure", fmt.Errorf("unknown measure %q; expected one of %q", r.Measure, Measures))
	case r.LifeDays < 0 || r.LifeDays > mostLife:
		return wrong("life_days", fmt.Errorf("expected 1 to %d days, or nothing for %d", mostLife, usualLife))
	case r.Gear.MostRods < 0 || r.Gear.MostHooks < 0:
		return wrong("gear", errors.New("expected a number of rods and of hooks from 0"))
	}
	for _, check := range []func() error{r.validLengths, r.validNumbers, r.validTimes, r.validDuties, r.validArea} {
		if err := check(); err != nil {
			return err
		}
	}
	return nil
}

// oneWord says that a text can stand in a list of a file.
func oneWord(s string) bool { return !strings.ContainsAny(s, ";\n\r") && strings.TrimSpace(s) == s }

func (r *Rule) validLengths() error {
	for _, l := range []struct {
		field string
		m     float64
	}{{"min_m", r.MinM}, {"max_m", r.MaxM}, {"over_m", r.OverM}} {
		if !(l.m >= 0 && l.m <= longestFish) {
			return wrong(l.field, fmt.Errorf("expected a length of 0 to %v m, not %v", longestFish, l.m))
		}
	}
	switch {
	case r.MaxM > 0 && r.MinM > r.MaxM:
		return between("max_m", fmt.Errorf("the greatest length, %v m, is less than the least, %v m", r.MaxM, r.MinM))
	case r.Over < 0 || r.Over > mostFish:
		return wrong("over", fmt.Errorf("expected 0 to %d fish, not %d", mostFish, r.Over))
	case r.Over > 0 && r.MaxM == 0 && r.OverM == 0:
		return between("over", errors.New("an allowance needs max_m, or over_m: the length from which it counts"))
	case r.OverM > 0 && r.OverM < r.MaxM:
		return between("over_m",
			fmt.Errorf("the allowance counts from max_m or a greater length; for one over %v m within the slot write a second rule",
				r.OverM))
	case r.OverM > 0 && r.Over == 0 && r.MaxM > 0:
		return between("over", errors.New("over_m beside max_m needs how many may be over it"))
	}
	for _, s := range r.NotKept {
		if !slices.Contains(Sexes, s) {
			return wrong("not_kept", fmt.Errorf("unknown %q; expected some of %q", s, Sexes))
		}
	}
	return nil
}

func (r *Rule) validNumbers() error {
	for _, n := range []struct {
		field string
		n     *int
	}{{"bag", r.Bag}, {"boat_bag", r.BoatBag}, {"possession", r.Possession}} {
		if n.n != nil && (*n.n < 0 || *n.n > mostFish) {
			return wrong(n.field, fmt.Errorf("expected 0 to %d fish, not %d", mostFish, *n.n))
		}
	}
	if r.NoLimits && (r.sized() || r.counted() || r.forbids()) {
		return between("no_limits", errors.New("a rule without limits cannot have one as well"))
	}
	return nil
}

func (r *Rule) validTimes() error {
	for _, s := range r.Seasons {
		if err := s.Validate(); err != nil {
			return wrong("seasons", err)
		}
	}
	if err := r.Hours.Validate(); err != nil {
		return wrong("hours", err)
	}
	return nil
}

func (r *Rule) validDuties() error {
	for _, d := range r.Duties {
		if d.Kind != Tag && d.Kind != Report || !(d.WithinHours >= 0 && d.WithinHours <= mostHours) || !oneWord(d.To) {
			return wrong("duties", fmt.Errorf("expected tag or report, within 0 to %d hours, to whom without a semicolon", mostHours))
		}
	}
	return nil
}

func (r *Rule) validArea() error {
	if r.Area.Everywhere() {
		return nil
	}
	o := ground.Outline{Rings: []ground.Ring{r.Area.Ring}}
	if err := o.Validate(); err != nil {
		return wrong("area", err)
	}
	if i, j, crosses := r.Area.Ring.Crosses(); crosses {
		return wrong("area", fmt.Errorf("the area crosses itself between points %d and %d", i+1, j+1))
	}
	return nil
}
