package advise

import (
	"slices"
	"strings"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/words"
)

// stay says when to move on: by the school chosen, and what is known of the target; with dolphins
// about, it is the fish that go.
func stay(q *Question, m *spot.Moment) string {
	if slices.Contains(q.Signs, "dolphins") {
		return words.DolphinsAFewMinutesAtThe
	}
	if slices.Contains(q.Signs, playbook.ColdToTheHand) {
		return words.TheLastOneWasColdTo
	}
	says := map[string]string{
		"clock": words.HalfAnHourWithoutABite,
		"bite":  words.StayWhileAnythingBites,
		"odds":  words.GoWhenAnotherSpotIsBetter,
	}[q.Book.Chosen("Q3")]
	if q.Spot.Place == "grass flat" || q.Spot.Place == "mud flat" {
		switch q.Book.Chosen("Q12") {
		case "same-flat":
			says += words.SmallOnesOnlyStayOnThis
		case "leave":
			says += words.SmallOnesOnlyLeaveTheFlat
		}
	}
	says = strings.TrimSpace(says + " " + q.Target.Stay)
	if c := m.Believed[conditions.WaterTemp]; c.Origin != conditions.Assumed && c.Value < q.Target.Feeds.From {
		says = strings.TrimSpace(says + " " + q.Target.StayCold)
	}
	return q.Units.Fill(says)
}

// codes that hold at a time: they warn, but forbid nothing.
func codes(s *spot.Spot, t time.Time) []going.Caution {
	var out []going.Caution
	for i := range s.Zones {
		if z := &s.Zones[i]; z.Kind == ground.Voluntary && z.InSeason(t) {
			out = append(out, going.Caution{ID: "code", Says: z.Warning(t)})
		}
	}
	return out
}
