package advise

import (
	"fmt"
	"strings"
	"time"

	"greypebble/core/drawing"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/sketch"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Question is what is asked.
type Question struct {
	Book   *playbook.Book
	Belief rate.Belief
	Target *playbook.Target
	// Spot asked about, and when.
	Spot *spot.Spot
	Time time.Time
	// Limits to going; the zero value is the house's.
	Limits going.Limits
	// Kit is what the angler has; KitOnly leaves out everything else.
	Kit     kit.Kit
	KitOnly bool
	// Signs seen on the water, of [playbook.Signs].
	Signs []string
	// Changes: say what would change the choice.
	Changes bool
	// Units the sentences are written in.
	Units quantity.Units
	// DrawnPx is how wide a choice is drawn, in points; 0: not at all.
	DrawnPx float64
	// Most choices wanted; 0 means three.
	Most int
}

// Advice is ranked choices for a moment and what they rest on.
type Advice struct {
	Moment  spot.Moment
	Choices []Choice
	// Beyond is the best choice of what is not in the kit, where it is better than
	// anything that is.
	Beyond *Choice
	// RuledOut cannot work now.
	RuledOut []RuledOut
	// Changes of one reading that would change the first choice.
	Changes []Threshold
	// Way says that the way is shut or soon will be; empty when there is no hurry.
	Way string
	// Stay says when to move on.
	Stay string
	// Cautions of the place, the sea and the way of going, gravest first, to be shown once.
	Cautions []going.Caution
	// Usual is what something usual would be worth where the first choice is, as a share of
	// the best; 0 where there is none.
	Usual float64
	// Note says why there is no choice, where there is none; otherwise what else to know.
	Note string
}

// Choice is a presentation with its edge and its reasons.
type Choice struct {
	Target   *playbook.Target
	Sentence string
	Card     Card
	// Retrieve says how to move it, Handling how to land the fish, hold it and put it back.
	Retrieve, Handling string
	DepthM             float64
	Edge               rate.Edge
	// Catch a rod-hour that is expected.
	Catch rate.Catch
	// Absent: it does not live here or not now; nothing makes up for that.
	Absent bool
	// BeatsNext is how sure it is, 0…1, that it is better than the next choice; the last is
	// held against what would come after it, and is 1 where nothing would.
	BeatsNext float64
	Reasons   []Reason
	// For it speaks what of the offering holds here, strongest first.
	For      []Plus
	Cautions []going.Caution
	// Arithmetic behind the numbers of the sentence.
	Arithmetic []Working
	// Side and Plan draw it, from the side and from above, where that was asked for; Plan is empty where
	// nothing is seen from above.
	Side, Plan drawing.Drawing
	// Uses lists what of the kit it takes, Lacks what is missing.
	Uses, Lacks []string
	contrast    *rate.Contrast
	// presented at a moment is what is drawn of it.
	presented sketch.Presented
	moment    *spot.Moment
	units     quantity.Units
}

// reachAhead is how far ahead a way's closing is looked for.
const reachAhead = 14 * time.Hour

// Ask ranks what can be presented. A spot that is written of in words the playbook does not
// know is a [spot.FieldError].
func Ask(q Question) (Advice, error) {
	m, c, err := q.moment()
	if err != nil {
		return Advice{}, err
	}
	s := q.Spot
	a := Advice{Moment: *m, Way: m.WayCaution(c), Stay: stay(&q, m)}
	a.Cautions = going.Assess(m, c, q.Limits, q.Units)
	a.Cautions = append(a.Cautions, codes(s, q.Time)...)
	if says := q.forbidden(); says != "" {
		a.Note = says
		return a, nil
	}
	a.Cautions = append(a.Cautions, q.lawful()...)
	ranked, err := q.rank(m)
	if err != nil {
		return Advice{}, err
	}
	a.RuledOut = ranked.ruledOut
	if len(ranked.list) == 0 {
		a.Note = nothing(&q, m)
		return a, nil
	}
	a.choose(&q, m, ranked)
	if q.Changes {
		a.Changes, err = q.thresholds(m, ranked)
	}
	return a, err
}

// moment asked about, with the warmth over its marks and what is seen on the water; and the tide
// around it. What is believed is of the target from then on.
func (q *Question) moment() (*spot.Moment, *tide.Curve, error) {
	s := q.Spot
	q.Belief = q.Belief.For(q.Target.ID)
	if err := s.CheckWords(); err != nil {
		return nil, nil, err
	}
	c, err := s.Curve(q.Time, q.Time.Add(reachAhead))
	if err != nil {
		return nil, nil, err
	}
	m, err := s.At(c, q.Time)
	if err != nil {
		return nil, nil, err
	}
	m.Signs = q.Signs
	m.Warmth, err = s.WarmthAt(q.Time)
	return &m, c, err
}

// choose the best few: of the kit first, where there is one.
func (a *Advice) choose(q *Question, m *spot.Moment, r ranking) {
	list, beyond := r.split(q)
	list, left := varied(list, q.most())
	for i := range list {
		a.Choices = append(a.Choices, describe(q, m, &list[i]))
	}
	if len(beyond) > 0 && beyond[0].value > list[0].value+even {
		c := describe(q, m, &beyond[0])
		a.Beyond = &c
	}
	for i := range a.Choices {
		a.Choices[i].BeatsNext = 1
		switch {
		case i+1 < len(a.Choices):
			a.Choices[i].BeatsNext = rate.Beats(a.Choices[i].contrast, a.Choices[i+1].contrast)
		case len(left) > 0:
			a.Choices[i].BeatsNext = rate.Beats(a.Choices[i].contrast, q.contrast(&left[0]))
		}
	}
	a.Usual = usual(list[0].on)
	a.Note = strings.Join(q.notes(list[0].on), " ")
	if tide.Tideless(q.Spot.Tide) {
		a.Note = strings.TrimSpace(words.ThereIsNoTideToSpeakOf + " " + a.Note)
	}
}

func (q *Question) most() int {
	if q.Most <= 0 {
		return 3
	}
	return q.Most
}

// nothing says why there is no choice.
func nothing(q *Question, m *spot.Moment) string {
	for i := range m.Spot.Marks {
		if k := &m.Spot.Marks[i]; k.Fishable.Holds(k.Depth(m.LevelM)) {
			if q.KitOnly {
				return fmt.Sprintf(words.NothingInYourKitCanBe, q.Target.Name)
			}
			return fmt.Sprintf(words.NothingThePlaybookHasForCan, q.Target.Name)
		}
	}
	if len(m.Spot.Marks) == 0 {
		return fmt.Sprintf(words.NothingIsKnownOfTheGround, m.Spot.Name)
	}
	return fmt.Sprintf(words.ThereIsNoFishableWaterOn, m.Spot.Name)
}
