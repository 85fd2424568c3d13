package outing

import (
	"errors"
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
)

// Kind of a touch.
type Kind string

// Kinds of touch.
const (
	// Fish begins a spell with what one does from then on; the spell before ends.
	Fish Kind = "fish"
	// Rest stops the clock (moving, eating, a snag), Resume starts it again.
	Rest   Kind = "rest"
	Resume Kind = "resume"
	// Bite, Missed, Robbed: something was there.
	Bite   Kind = "bite"
	Missed Kind = "missed"
	Robbed Kind = "bait robbed"
	// On is a fish on the hook; Landed, Lost and FoulHooked what became of it, or of one not told before.
	On         Kind = "fish on"
	Landed     Kind = "landed"
	Lost       Kind = "lost"
	FoulHooked Kind = "foul-hooked"
	// Snagged is free again, BrokeOff is not.
	Snagged  Kind = "snagged"
	BrokeOff Kind = "broke off"
	// Cast is one cast, at the kind of feature its note names, where one is named.
	Cast Kind = "cast"
	// RodSet is one rod of several, cast out anew.
	RodSet Kind = "rod set"
	// Sounded is how deep it is over the mark fished, WayShut that the way back is shut.
	Sounded Kind = "sounded"
	WayShut Kind = "way shut"
	// Passed is a boat, Seen a sign on the water, Water something read or judged of it.
	Passed Kind = "boat passed"
	Seen   Kind = "seen"
	Water  Kind = "water"
	// Note is a line of one's own.
	Note Kind = "note"
	// Correct puts another in place of what a touch said; Undo takes one back.
	Correct Kind = "correct"
	Undo    Kind = "undo"
	// End of the outing.
	End Kind = "end"
)

// Kinds of touch there are.
var Kinds = []Kind{Fish, Rest, Resume, Bite, Missed, Robbed, On, Landed, Lost, FoulHooked, Snagged, BrokeOff, Cast, RodSet,
	Sounded, WayShut, Passed, Seen, Water, Note, Correct, Undo, End}

// Events are the kinds a spell keeps with their time; of a fish landed it keeps the catch.
var Events = []Kind{Bite, Missed, Robbed, On, Lost, FoulHooked, Snagged, BrokeOff, Sounded, WayShut, Passed, Seen, Note}

// Touch is one thing told on an outing, the time it was told at, and what it says by its kind.
type Touch struct {
	// ID is a UUID made where it was touched: a spell has that of the touch that began it, a catch
	// that of the touch that landed it.
	ID   string    `json:"id"`
	Time time.Time `json:"time"`
	Kind Kind      `json:"kind"`
	// N is one more than that of the last touch its device knew of: those of two devices fall into
	// one order by it.
	N int `json:"n"`
	// Of another touch: the one undone, or corrected.
	Of string `json:"of,omitempty"`
	// Doing from then on, of [Fish].
	Doing *Doing `json:"doing,omitempty"`
	// Catch of [Landed].
	Catch *Catch `json:"catch,omitempty"`
	// Reading of [Water].
	Reading *Reading `json:"reading,omitempty"`
	// Note of [Note], and beside any other; of [Seen] the sign.
	Note string `json:"note,omitempty"`
	// Who it happened to, where several fish; empty: oneself.
	Who string `json:"who,omitempty"`
	// Rod it happened to, where several stand.
	Rod string `json:"rod,omitempty"`
	// Set of [RodSet].
	Set *Set `json:"set,omitempty"`
	// At a place, where the device knew it.
	At *Place `json:"at,omitempty"`
	// DepthM of [Sounded].
	DepthM float64 `json:"depth_m,omitempty"`
	// Aim of a cast, where it was told.
	Aim *Aim `json:"aim,omitempty"`
	// Run of the boat, while trolling.
	Run *Run `json:"run,omitempty"`
}

// Place on the water, degrees.
type Place struct {
	Lat float64 `json:"lat"`
	Lon float64 `json:"lon"`
}

// Doing is what one fishes with, where and for what.
type Doing struct {
	SpotID string `json:"spot_id"`
	Mark   string `json:"mark,omitempty"`
	Target string `json:"target"`
	// Rods out at once.
	Rods int `json:"rods"`
	Presentation
}

// Presentation on the line, as far as it was said.
type Presentation struct {
	Approach   string  `json:"approach,omitempty"`
	OfferingID string  `json:"offering_id,omitempty"`
	Offering   string  `json:"offering,omitempty"`
	RigID      string  `json:"rig_id,omitempty"`
	Style      string  `json:"style,omitempty"`
	Finish     string  `json:"finish,omitempty"`
	SizeM      float64 `json:"size_m,omitempty"`
	WeightKg   float64 `json:"weight_kg,omitempty"`
	DepthM     float64 `json:"depth_m,omitempty"`
	DistanceM  float64 `json:"distance_m,omitempty"`
}

// Catch of a fish.
type Catch struct {
	Target  string  `json:"target,omitempty"` // the one sought if left out
	LengthM float64 `json:"length_m,omitempty"`
	MassKg  float64 `json:"mass_kg,omitempty"`
	Kept    bool    `json:"kept,omitempty"`
}

// Reading of the water: a value, or a word that stands for one.
type Reading struct {
	Kind  conditions.Kind `json:"kind"`
	Value float64         `json:"value"`
	Word  string          `json:"word,omitempty"`
}

// measured is the reading with what its word stands for.
func (r Reading) measured() (Reading, error) {
	if r.Word == "" {
		return r, nil
	}
	v, err := conditions.Middle(r.Kind, r.Word)
	return Reading{Kind: r.Kind, Value: v}, err
}

// MostRods one has out at once.
const MostRods = 12

// What the log can keep of a fish and of words.
const (
	longest, heaviest = 4.0, 500.0
	longestNote       = 1000
	longestName       = 40
	farthestCast      = 400.0
	deepest           = 400.0
)

// within says that a measure of a fish is one the log can keep; 0 is not measured.
func within(v, below float64) bool { return v >= 0 && v < below }

// Validate refuses a touch that says nothing one could keep.
func (t *Touch) Validate() error {
	switch {
	case t.ID == "":
		return errors.New("outing: a touch has an id")
	case t.Time.IsZero():
		return fmt.Errorf("outing: %s %s has no time", t.Kind, t.ID)
	case !slices.Contains(Kinds, t.Kind):
		return fmt.Errorf("outing: unknown kind of touch %q", t.Kind)
	case (t.Kind == Undo || t.Kind == Correct) && t.Of == "":
		return fmt.Errorf("outing: %s %s says of which touch", t.Kind, t.ID)
	case t.Kind == Fish && (t.Doing == nil || t.Doing.SpotID == "" || t.Doing.Target == ""):
		return fmt.Errorf("outing: %s %s says where and for what", t.Kind, t.ID)
	case t.Kind == Fish && (t.Doing.Rods < 1 || t.Doing.Rods > MostRods):
		return fmt.Errorf("outing: 1 to %d rods are expected, not %d", MostRods, t.Doing.Rods)
	case t.Kind == Water && t.Reading == nil:
		return fmt.Errorf("outing: %s %s says what was read", t.Kind, t.ID)
	case t.Kind == Water:
		r, err := t.Reading.measured()
		if err != nil {
			return err
		}
		return conditions.Reading{Kind: r.Kind, Value: r.Value, Time: t.Time, Origin: conditions.Observed}.Validate()
	case t.Catch != nil && (!within(t.Catch.LengthM, longest) || !within(t.Catch.MassKg, heaviest)):
		return fmt.Errorf("outing: a fish is less than %v m long and less than %v kg heavy", longest, heaviest)
	case len(t.Note) > longestNote || len(t.Who) > longestName || len(t.Rod) > longestName:
		return fmt.Errorf("outing: %s %s: a note has at most %d letters, a name %d", t.Kind, t.ID, longestNote, longestName)
	case t.Doing != nil && (len(t.Doing.Mark) > longestName || len(t.Doing.Offering) > longestName ||
		t.Doing.Approach != "" && !slices.Contains(playbook.Approaches, t.Doing.Approach)):
		return fmt.Errorf("outing: %s %s: what is fished is named in at most %d letters, as one of %v", t.Kind, t.ID, longestName,
			playbook.Approaches)
	case t.Kind == RodSet && (t.Rod == "" || t.Set == nil || !(t.Set.DistanceM >= 0 && t.Set.DistanceM <= farthestCast) ||
		len(t.Set.Offering) > longestName || len(t.Set.RigID) > longestName):
		return fmt.Errorf("outing: %s %s says which rod, and how far out, 0 to %v m", t.Kind, t.ID, farthestCast)
	case t.At != nil && !(math.Abs(t.At.Lat) <= 90 && math.Abs(t.At.Lon) <= 180):
		return fmt.Errorf("outing: %s %s lies nowhere on earth", t.Kind, t.ID)
	case t.Kind == Sounded && !(t.DepthM > 0 && t.DepthM <= deepest):
		return fmt.Errorf("outing: a depth lies between 0 and %v m", deepest)
	case t.Aim != nil && !(math.Abs(t.Aim.AlongM) <= farthestAim && t.Aim.OutM >= 0 && t.Aim.OutM <= farthestAim):
		return fmt.Errorf("outing: a cast goes 0 to %v m out, and at most so far along the shore", farthestAim)
	case t.Run != nil && t.Run.validate() != nil:
		return t.Run.validate()
	case t.Kind == Seen:
		return playbook.CheckSigns([]string{t.Note})
	}
	return nil
}
