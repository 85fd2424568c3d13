package bylaw

import (
	"slices"
	"time"

	"greypebble/core/ground"
)

// On are the rules that are in force anywhere on a place, whatever the time.
func On(rules []Rule, touched func() (points []ground.LatLon, area bool)) (out []Rule) {
	if len(rules) == 0 {
		return nil
	}
	points, area := touched()
	for i := range rules {
		if rules[i].At(points, area) {
			out = append(out, rules[i])
		}
	}
	return out
}

// Shuts says whether the rule closes a place to all fishing while it holds.
func (r *Rule) Shuts() bool { return r.Status == Closed && r.OfAny() && !r.Voluntary }

// Shut is the rule among those of a place that closes it to all fishing at a local time; nil for none.
func Shut(rules []Rule, local time.Time) *Rule {
	for i := range rules {
		if r := &rules[i]; r.Shuts() && r.Holds(local) {
			return r
		}
	}
	return nil
}

// Unsought is the rule among those of a place under which a fish may not be fished for at a local time; nil for none.
func Unsought(rules []Rule, s Species, local time.Time) *Rule {
	for i := range rules {
		r := &rules[i]
		if (r.Status == Closed || r.Status == Protected) && !r.Voluntary && !r.OfAny() && r.Of(s) && r.Holds(local) {
			return r
		}
	}
	return nil
}

// Released is the rule among those of a place under which a fish may be fished for and none kept; nil for none.
func Released(rules []Rule, s Species, local time.Time) *Rule {
	for i := range rules {
		r := &rules[i]
		none := r.Bag != nil && *r.Bag == 0
		if (r.Status == ReleaseOnly || none && !r.forbids()) && !r.Voluntary && r.Of(s) && r.Holds(local) {
			return r
		}
	}
	return nil
}

// Turns are the local times within an interval at which what shuts a place may begin or end, in order.
func Turns(rules []Rule, from, to time.Time, zone *time.Location) (out []time.Time) {
	for i := range rules {
		if rules[i].Shuts() {
			out = append(out, rules[i].changes(from, to, zone)...)
		}
	}
	slices.SortFunc(out, time.Time.Compare)
	return slices.CompactFunc(out, time.Time.Equal)
}
