package cases_test

import (
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/advise"
	"greypebble/core/cases"
	"greypebble/core/quantity"
	"greypebble/core/rigcard"
)

// told is everything an answer says, by where it says it.
func told(a *advise.Advice) map[string]string {
	out := map[string]string{"note": a.Note, "stay": a.Stay, "way": a.Way}
	for _, c := range a.Cautions {
		out["caution "+c.ID] = c.Says
	}
	for _, r := range a.RuledOut {
		out["ruled out "+r.Offering] = r.Why
	}
	for i := range a.Choices {
		c := &a.Choices[i]
		k := &c.Card
		at := c.Target.ID + ", " + k.OfferingID + ": "
		for where, text := range map[string]string{"sentence": c.Sentence, "retrieve": c.Retrieve, "size": k.Size, "weight": k.Weight,
			"leader": k.Leader, "cast": k.Cast, "depth": k.Depth, "tip": k.Tip, "bite": k.Bite, "refused": k.Refused, "pace": k.Pace,
			"hooked": k.Hooked, "side": c.Side.Says, "plan": c.Plan.Says} {
			out[at+where] = text
		}
		for _, r := range c.Reasons {
			out[at+"reason "+r.Rule] = r.Says
		}
		for _, p := range c.For {
			out[at+"for it "+p.Rule] = p.Says
		}
		for _, w := range c.Arithmetic {
			out[at+"arithmetic "+w.Label] = w.Result + " " + w.Formula + " " + w.Weak
		}
		for _, l := range slices.Concat(c.Side.Labels, c.Plan.Labels) {
			out[at+"drawn "+l.Text] = l.Text
		}
	}
	return out
}

var (
	metricUnits = regexp.MustCompile(`[0-9] ?(m|cm|mm|g|kg|m/s|km/h|°C)\b`)
	usUnits     = regexp.MustCompile(`[0-9] ?(ft|in|oz|ft/s|mph|°F|yd)\b|[0-9] (feet|inches|foot|ounces?)\b`)
)

// Case 39: an answer in US units has no m, cm, g, kg or °C left in it, one in metric no ft, in, oz or °F; hooks
// and the classes of lines may show both. Asked of every target at every kind of place it lives in, at all the
// shores of the cases.
func TestNoForeignUnits(t *testing.T) {
	trade, err := cases.Builtin()
	require.NoError(t, err)
	seen := map[string]bool{}
	check := func(s cases.Shore, ids ...string) {
		for _, u := range []struct {
			name    string
			units   quantity.Units
			foreign *regexp.Regexp
		}{{"US", quantity.US, metricUnits}, {"metric", quantity.Metric, usUnits}} {
			a, err := trade.In(u.units).Drawn(s, 6, ids...)
			require.NoError(t, err)
			for where, text := range told(&a) {
				if m := u.foreign.FindString(text); m != "" && !seen[text] {
					seen[text] = true
					assert.Fail(t, "a foreign unit", "%s, %s: %s, %q: %s", u.name, s.Place, where, m, text)
				}
			}
		}
	}
	for _, c := range cases.All() {
		for _, q := range c.Asked {
			check(q.Shore, q.Targets...)
		}
	}
	for i := range trade.Book.Targets {
		tg := &trade.Book.Targets[i]
		for _, place := range tg.Lives {
			check(cases.Usual(place, 5, (tg.Feeds.From+tg.Feeds.To)/2), tg.ID)
		}
	}
}

// Case 40: sentence, card, reasons and the drawings name the same weight, leader, hook and depth.
func TestOneNumberForOneThing(t *testing.T) {
	trade, err := cases.Builtin()
	require.NoError(t, err)
	for _, units := range []quantity.Units{quantity.Metric, quantity.US} {
		for i := range trade.Book.Targets {
			tg := &trade.Book.Targets[i]
			for _, place := range tg.Lives {
				a, err := trade.In(units).Drawn(cases.Usual(place, 5, (tg.Feeds.From+tg.Feeds.To)/2), 6, tg.ID)
				require.NoError(t, err)
				for i := range a.Choices {
					c := &a.Choices[i]
					k := &c.Card
					what := c.Target.ID + ", " + place + ": " + c.Sentence
					rig, known := trade.Book.Rig(k.RigID)
					require.True(t, known)
					o, known := trade.Book.Offering(k.OfferingID)
					require.True(t, known)
					drawn := ""
					for _, l := range rigcard.Rig(rig, rigcard.Tied{WeightKg: k.WeightKg, Hook: k.Hook, LeaderN: k.LeaderN,
						LeaderOf: k.LeaderOf, Offering: o, Units: units}).Labels {
						drawn += l.Text + " "
					}
					if strings.Contains(rig.Short, "{weight}") {
						assert.Contains(t, c.Sentence, k.Weight, what)
					}
					if strings.Contains(rig.Short, "{hook}") {
						assert.Contains(t, c.Sentence, k.Hook, what)
					}
					if k.WeightKg > 0 && rig.Sinker != "" {
						assert.Contains(t, drawn, k.Weight, what)
					}
					if k.Leader != "" && strings.Contains(drawn, "fluorocarbon") {
						assert.Contains(t, drawn, units.ShowLine(k.LeaderN), what)
						assert.Contains(t, k.Leader, units.ShowLine(k.LeaderN), what)
					}
					if c.DepthM > 0 && c.Side.Width > 0 {
						assert.Contains(t, c.Side.Says, units.ShowWater(c.DepthM), what)
						assert.Contains(t, k.Depth, units.ShowWater(c.DepthM), what)
					}
				}
			}
		}
	}
}
