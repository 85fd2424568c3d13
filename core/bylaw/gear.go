package bylaw

import (
	"fmt"
	"time"

	"greypebble/core/words"
)

// Asks is what the rules of a place ask of what is tied on, and which rule asks it; empty names for nothing asked.
type Asks struct {
	CircleHooks, Barbless, NoLiveBait, NoSnagging string
	// MostHooks a line and MostRods a person; 0: not limited.
	MostHooks, MostRods int
	HooksRule, RodsRule string
}

// GearOf is what rules ask for a fish at a local time: the strictest of each. Voluntary codes ask nothing here.
func GearOf(rules []Rule, s Species, local time.Time) Asks {
	var a Asks
	for i := range rules {
		r := &rules[i]
		if r.Voluntary || !r.Gear.Any() || !r.Of(s) || !r.Holds(local) {
			continue
		}
		for _, k := range []struct {
			asked bool
			by    *string
		}{{r.Gear.CircleHooks, &a.CircleHooks}, {r.Gear.Barbless, &a.Barbless}, {r.Gear.NoLiveBait, &a.NoLiveBait},
			{r.Gear.NoSnagging, &a.NoSnagging}} {
			if k.asked && *k.by == "" {
				*k.by = r.Called()
			}
		}
		if n := r.Gear.MostHooks; n > 0 && (a.MostHooks == 0 || n < a.MostHooks) {
			a.MostHooks, a.HooksRule = n, r.Called()
		}
		if n := r.Gear.MostRods; n > 0 && (a.MostRods == 0 || n < a.MostRods) {
			a.MostRods, a.RodsRule = n, r.Called()
		}
	}
	return a
}

// RulesOut says why something may not be tied on: live bait, bait on a jig head, and so many hooks a line; empty where
// it may.
func (a Asks) RulesOut(live, headed bool, hooks int) string {
	switch {
	case headed && a.CircleHooks != "":
		return fmt.Sprintf(words.GearHead, a.CircleHooks)
	case live && a.NoLiveBait != "":
		return fmt.Sprintf(words.GearLive, a.NoLiveBait)
	case a.MostHooks > 0 && hooks > a.MostHooks:
		return fmt.Sprintf(words.GearMaxHooks, a.HooksRule, saysHooks(a.MostHooks), hooks)
	}
	return ""
}

// Says what is to be heeded of what may be tied on.
func (a Asks) Says() (out []string) {
	for _, k := range []struct {
		by, form string
	}{{a.CircleHooks, words.GearCircle}, {a.Barbless, words.GearBarbs}, {a.NoSnagging, words.GearSnag}} {
		if k.by != "" {
			out = append(out, fmt.Sprintf(k.form, k.by))
		}
	}
	if a.MostRods > 0 {
		out = append(out, fmt.Sprintf(words.GearRods, a.RodsRule, saysRods(a.MostRods)))
	}
	return out
}
