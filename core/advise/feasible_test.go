package advise

import (
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"
	"greypebble/core/tackle"
	"greypebble/core/tide"
)

// shore is a spot of a kind with one mark, its depth that much at any tide of note.
func (w world) shore(place string, kind ground.MarkKind, bottom string, depthM float64) *spot.Spot {
	s := *w.spots[2]
	s.Name, s.Place = "Shore", place
	s.Marks = []ground.Mark{{ID: "m", Name: "Mark", Kind: kind, ElevationM: 0.9 - depthM, Bottom: bottom,
		Fishable: ground.Depths{MinM: 0.05}}}
	return &s
}

// all asks for everything a target can be offered at a spot.
func (w world) all(t testing.TB, s *spot.Spot, target string, change func(*Question)) Advice {
	tg, err := w.book.Target(target)
	require.NoError(t, err)
	q := Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: s,
		Time: w.middle(t, s), Most: 100}
	if change != nil {
		change(&q)
	}
	a, err := Ask(q)
	require.NoError(t, err)
	return a
}

// middle is a moment by day when the tide of the spot stands in its middle.
func (w world) middle(t testing.TB, s *spot.Spot) time.Time {
	return w.when(t, func(m spot.Moment) bool { return day(m) && math.Abs(m.LevelM-0.9) < 0.03 })
}

func why(a Advice, offering string) string {
	for _, r := range a.RuledOut {
		if r.Offering == offering {
			return r.Why
		}
	}
	return ""
}

func offers(a Advice, offering string) bool {
	for _, c := range a.Choices {
		if c.Card.Offering == offering {
			return true
		}
	}
	return false
}

// L4, L1, common practice: what cannot work does not rank, and why is said.
func TestWhatIsRuledOutAndWhy(t *testing.T) {
	w := newWorld(t)
	sand := w.all(t, w.shore("rocky shore", ground.EdgeMark, "sand", 1.6), "kelp-bass", nil)
	assert.Contains(t, why(sand, "Deep crankbait in bait-fish colours"), "would plough the bottom")
	assert.True(t, offers(sand, "Shallow square-billed crankbait"))
	rock := w.all(t, w.shore("rocky shore", ground.Rock, "rock", 2.6), "kelp-bass", nil)
	assert.True(t, offers(rock, "Deep crankbait in bait-fish colours"), "over rock it knocks and comes off: %v", rock.RuledOut)

	timber := w.all(t, w.shore("timbered creek", ground.Timber, "timber", 1.2), "red-drum", nil)
	for _, c := range timber.Choices {
		assert.NotEqual(t, "jig-head", c.Card.RigID)
		assert.NotEqual(t, "fish-finder", c.Card.RigID)
	}
	assert.Contains(t, why(timber, "Cut mullet"), "soon lost")

	ounce := kit.Kit{{ID: "1", Kind: kit.Lure, Name: "Big head", Offering: "paddle-tail-white", WeightKg: 0.014, InHand: true}}
	thin := w.all(t, w.shore("oyster bar", ground.EdgeMark, "shell", 0.6), "red-drum", func(q *Question) { q.Kit = ounce })
	assert.Contains(t, why(thin, "White paddle tail"), "too heavy for 0.6")
	deep := w.all(t, w.shore("oyster bar", ground.EdgeMark, "shell", 2.5), "red-drum", func(q *Question) { q.Kit = ounce })
	assert.False(t, offers(deep, "Big head"), "14 g is too much for 2.5 m as well")
	deeper := w.all(t, w.shore("pier", ground.Slope, "sand", 5), "red-drum", func(q *Question) { q.Kit = ounce })
	assert.True(t, offers(deeper, "Big head"))
}

func TestNothingIsOfferedInANoTakeZone(t *testing.T) {
	w := newWorld(t)
	s := w.shore("oyster bar", ground.EdgeMark, "shell", 1.2)
	ring := ground.Ring{{Lat: 30.9, Lon: -45.1}, {Lat: 31.1, Lon: -45.1}, {Lat: 31.1, Lon: -44.9}}
	zone := ground.Zone{Name: "Refuge", Kind: ground.NoTake, Says: "No take", Source: "a notice",
		Checked: time.Date(2026, 4, 1, 0, 0, 0, 0, time.UTC), Ring: ring}
	s.Zones = []ground.Zone{zone}
	a := w.all(t, s, "red-drum", nil)
	assert.Empty(t, a.Choices)
	assert.Contains(t, a.Note, "Nothing may be taken here now.")
	assert.Contains(t, a.Note, "a notice")
	zone.Kind, zone.From, zone.To = ground.Seasonal, 1101, 1231
	s.Zones = []ground.Zone{zone}
	assert.NotEmpty(t, w.all(t, s, "red-drum", nil).Choices, "out of its season")
	zone.Kind, zone.From, zone.To = ground.Voluntary, 0, 0
	s.Zones = []ground.Zone{zone}
	assert.NotEmpty(t, w.all(t, s, "red-drum", nil).Choices, "a code is not a ban")
}

// A finish of one's own is what the rules look at.
func TestTheOwnedFinishCounts(t *testing.T) {
	w := newWorld(t)
	s := w.shore("pier", ground.Slope, "sand", 3)
	edge := func(finish string) float64 {
		a := w.all(t, s, "red-drum", func(q *Question) {
			q.Kit = kit.Kit{{ID: "1", Kind: kit.Lure, Name: "Mine", Offering: "jerk-shad", Finish: finish, InHand: true}}
			q.KitOnly = true
			q.Spot.Readings = conditions.Sorted([]conditions.Reading{{Kind: conditions.Clarity, Value: 4, Time: q.Time,
				Origin: conditions.Observed}})
		})
		require.Len(t, a.Choices, 1)
		assert.Equal(t, "Mine", a.Choices[0].Card.Offering)
		return a.Choices[0].Edge.Value
	}
	assert.Greater(t, edge("natural"), edge("dark"))
}

// Colder water never asks for a faster pace of the same lure.
func TestColderIsNeverFaster(t *testing.T) {
	w := newWorld(t)
	s := w.shore("oyster bar", ground.EdgeMark, "shell", 1.3)
	at := w.middle(t, s)
	c, err := tide.Over(s.Tide, at, at.Add(time.Hour))
	require.NoError(t, err)
	for _, id := range []string{"red-drum", "spotted-seatrout", "southern-flounder", "largemouth-bass"} {
		tg, err := w.book.Target(id)
		require.NoError(t, err)
		pace := func(temp, secchi float64) map[string]float64 {
			s.Readings = conditions.Sorted([]conditions.Reading{{Kind: conditions.WaterTemp, Value: temp, Time: at,
				Origin: conditions.Observed}, {Kind: conditions.Clarity, Value: secchi, Time: at, Origin: conditions.Observed}})
			m, err := s.At(c, at)
			require.NoError(t, err)
			q := Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: s, Time: at}
			r, err := q.rank(&m)
			require.NoError(t, err)
			out := map[string]float64{}
			for _, o := range r.list {
				out[o.offering.ID] = o.speedMS
			}
			return out
		}
		rapid.Check(t, func(rt *rapid.T) {
			secchi := rapid.Float64Range(0.2, 4).Draw(rt, "secchi")
			warm := rapid.Float64Range(6, 30).Draw(rt, "warm")
			cold := rapid.Float64Range(3, warm).Draw(rt, "cold")
			fast := pace(warm, secchi)
			for offering, speed := range pace(cold, secchi) {
				if was, both := fast[offering]; both && speed > was+1e-9 {
					rt.Fatalf("%s for %s: %v m/s at %.1f °C, %v at %.1f °C", offering, id, speed, cold, was, warm)
				}
			}
		})
	}
}

// Without a log an edge is the product of priors: each rule's factor is the prior's multiplier
// to the power of how much further it applies than in an ordinary spell.
func TestWithoutALogAdviceIsThePriors(t *testing.T) {
	w := newWorld(t)
	a := w.ask(t, "red-drum", 0, w.when(t, day))
	require.NotEmpty(t, a.Choices)
	for _, c := range a.Choices {
		for _, r := range c.Reasons {
			product := 1.0
			for _, k := range r.Rules {
				rule, known := w.book.Rule(k.Rule)
				require.True(t, known)
				assert.InEpsilon(t, math.Exp(rule.Prior.Mean*(k.Applies-k.Ordinary)), k.Factor, 1e-9, k.Rule)
				product *= k.Factor
			}
			if r.Effect != "" {
				assert.InEpsilon(t, product, r.Factor, 1e-9, r.Rule)
				assert.NotEmpty(t, r.Says)
			}
		}
	}
}

// What is said would change the choice does, just past the value named, and not just
// short of it.
func TestWhatWouldChangeItDoes(t *testing.T) {
	w := newWorld(t)
	s := w.shore("oyster bar", ground.EdgeMark, "shell", 1.3)
	a := w.all(t, s, "spotted-seatrout", func(q *Question) { q.Changes = true })
	require.NotEmpty(t, a.Changes)
	first := a.Choices[0].Card.Offering
	for _, turn := range a.Changes {
		assert.NotEqual(t, first, turn.Offering)
		assert.True(t, strings.HasSuffix(turn.Says, "."), turn.Says)
		if turn.Kind == "" {
			assert.Positive(t, turn.Past)
			continue
		}
		v := a.Moment.Believed[turn.Kind]
		assert.Equal(t, turn.Rises, turn.Past > v.Value, turn.Says)
	}
}

func TestChosenSidesChangeTheHookAndTheLeader(t *testing.T) {
	w := newWorld(t)
	card := func(school, position, target string, suits func(Card) bool) Choice {
		b, err := w.book.Over(playbook.Overlay{Schools: map[string]string{school: position}})
		require.NoError(t, err)
		other := world{b, w.spots}
		for _, c := range other.all(t, w.shore("jetty", ground.EdgeMark, "sand", 2), target, nil).Choices {
			if suits(c.Card) {
				return c
			}
		}
		t.Fatal("nothing suits")
		return Choice{}
	}
	lying := func(c Card) bool { return c.RigID == "fish-finder" }
	circle, j := card("Q10", "circle", "black-drum", lying), card("Q10", "j", "black-drum", lying)
	assert.Contains(t, circle.Card.Hook, "circle")
	assert.Contains(t, circle.Retrieve, "do not strike")
	assert.Contains(t, j.Card.Hook, "J")
	assert.Contains(t, j.Retrieve, "Strike when the line tightens")
	tied := func(c Card) bool { return c.Leader != "" }
	assert.Contains(t, card("Q11", "wire", "bluefish", tied).Card.Leader, "wire")
	assert.Contains(t, card("Q11", "fluorocarbon", "bluefish", func(c Card) bool {
		return tied(c) &&
			c.RigID != "surface-leader"
	}).Card.Leader, "fluorocarbon")
}

// The arithmetic names what falls, and a pause only where the retrieve has one that
// follows the water's warmth.
func TestTheArithmeticSpeaksOfWhatIsTiedOn(t *testing.T) {
	w := newWorld(t)
	working := func(c Choice, label string) string {
		for _, k := range c.Arithmetic {
			if k.Label == label {
				return k.Formula
			}
		}
		return ""
	}
	seen := map[string]bool{}
	for _, ask := range [][2]string{{"pier", "weakfish"}, {"reef", "black-sea-bass"}, {"oyster bar", "red-drum"},
		{"surf beach", "california-halibut"}} {
		for _, c := range w.all(t, w.shore(ask[0], ground.EdgeMark, "sand", 6), ask[1], nil).Choices {
			fall := working(c, "Fall to the bottom")
			switch {
			case fall == "":
			case strings.Contains(c.Card.Rig, "snoods"):
				seen["lead"] = true
				assert.Contains(t, fall, "of lead", c.Sentence)
			case strings.Contains(c.Card.OfferingID, "metal") || strings.Contains(c.Card.OfferingID, "spoon"):
				seen["metal"] = true
				assert.Contains(t, fall, "of metal", c.Sentence)
			default:
				seen["head"] = true
				assert.Contains(t, fall, "head with its soft body", c.Sentence)
			}
			if c.Card.Style == "stop and go" || c.Card.Style == "steady" || c.Card.Style == "roll" {
				assert.Empty(t, c.Card.Pause, c.Sentence)
			}
			assert.NotContains(t, c.Sentence+c.Retrieve+c.Card.Cadence, "{", "a blank left open")
		}
	}
	assert.Len(t, seen, 3)
}

// A lead that is to hold is as heavy as the bench reckons for this run; a rig that cannot carry that is
// not offered. From an anchored boat the line streams, and wants less.
func TestALeadHoldsOrAnotherRigIsTaken(t *testing.T) {
	w := newWorld(t)
	lead := func(runMS float64, m ground.Manner) (kg, needed float64) {
		s := w.shore("surf beach", ground.Trough, "sand", 2.4)
		s.Current.SeenMS, s.Access.Manner = runMS, m
		a := w.all(t, s, "red-drum", nil)
		u, _ := a.Moment.Current()
		place := tackle.LeadPlace{CurrentMS: math.Abs(u), LineDiameterM: tackle.UsualLine, LineLengthM: 30, DepthM: 2.4,
			Sinker: tackle.EggSinker}
		if m == ground.Kayak {
			place.FromAcrossDeg = 65
		}
		l, err := place.Lead()
		require.NoError(t, err)
		for _, c := range a.Choices {
			if c.Card.RigID == "fish-finder" {
				return c.Card.WeightKg, l.HoldKg
			}
		}
		return 0, l.HoldKg
	}
	across, needed := lead(0.7, ground.OnFoot)
	assert.InEpsilon(t, tackle.Sold(math.Max(needed, 0.028)), across, 1e-9, "as it is sold")
	assert.Greater(t, across, 0.028, "more than the rig's usual")
	streaming, _ := lead(0.7, ground.Kayak)
	assert.Less(t, streaming, across)
	// In one's own way too, and on the ebb as on the flood.
	for _, d := range []tide.Direction{tide.Flood, tide.Ebb} {
		s := w.shore("surf beach", ground.Trough, "sand", 2.4)
		s.Current.SeenMS, s.Access.Manner = 0.7, ground.OnFoot
		tg, err := w.book.Target("red-drum")
		require.NoError(t, err)
		a, err := Mine(Question{Book: w.book, Belief: rate.Priors{Book: w.book}, Target: tg, Spot: s, Time: w.when(t,
			func(m spot.Moment) bool {
				return day(m) && math.Abs(m.LevelM-0.9) < 0.03 && m.Stage.Direction == d
			})}, MyWay{Mark: "Mark", OfferingID: "cut-mullet", RigID: "fish-finder"})
		require.NoError(t, err)
		assert.Greater(t, a.Choices[0].Card.WeightKg, 0.028, "%s: more than the rig's usual", d)
	}
	race, needed := lead(1.6, ground.OnFoot)
	assert.Zero(t, race, "%.0f g would be needed", needed*1000)
}
