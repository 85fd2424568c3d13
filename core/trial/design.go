package trial

import (
	"cmp"
	"fmt"
	"hash/fnv"
	"slices"
	"strings"
	"time"

	"greypebble/core/outing"
	"greypebble/core/words"
)

// Choice is one arm of a trial.
type Choice struct {
	Name string `json:"name"`
	// FromRound it is fished: an arm that joined on the way was not in those before.
	FromRound int `json:"from_round,omitempty"`
	outing.Presentation
}

// Design of a trial, fixed before the first block.
type Design struct {
	Question string `json:"question"`
	Target   string `json:"target"`
	SpotID   string `json:"spot_id"`
	Mark     string `json:"mark,omitempty"`
	// Arms, two or more; later ones may join on the way.
	Arms []Choice `json:"arms"`
	// BlockMin is how long one arm is fished before the next, minutes; Rounds, how often all are.
	BlockMin float64 `json:"block_min"`
	Rounds   int     `json:"rounds"`
	// Rods and Anglers are swapped half-way, where there are two of them or more: none is always with one arm.
	Rods    []string `json:"rods,omitempty"`
	Anglers []string `json:"anglers,omitempty"`
	// Sides one may stand on, swapped half-way.
	Sides []string `json:"sides,omitempty"`
}

// Differences of two presentations, in words: they should differ in one thing, which is what the trial is about. Two
// offerings may be one thing in two finishes, by their ids: then the colour is what differs.
func Differences(a, b outing.Presentation, oneThing func(a, b string) bool) (out []string) {
	say := func(differs bool, word string) {
		if differs {
			out = append(out, word)
		}
	}
	another := a.OfferingID != b.OfferingID || a.OfferingID == "" && !strings.EqualFold(a.Offering, b.Offering)
	dressed := another && oneThing(a.OfferingID, b.OfferingID)
	say(another && !dressed, words.TheBaitOrLure)
	say(dressed || a.Finish != b.Finish, words.TheColour)
	say(a.RigID != b.RigID, words.TheRig)
	say(a.Style != b.Style, words.HowItIsMoved)
	say(a.SizeM != b.SizeM, words.TheSize)
	say(a.WeightKg != b.WeightKg, words.TheWeight)
	say(a.DepthM != b.DepthM, words.TheDepth)
	say(a.DistanceM != b.DistanceM, words.TheDistance)
	return out
}

// Unalike says of a design's arms what else than one thing differs, pair by pair with the first; empty where they are
// alike but for one thing; oneThing as [Differences] asks it.
func (d *Design) Unalike(oneThing func(a, b string) bool) (out []string) {
	for i := 1; i < len(d.Arms); i++ {
		a, b := &d.Arms[0], &d.Arms[i]
		switch differ := Differences(a.Presentation, b.Presentation, oneThing); len(differ) {
		case 0:
			out = append(out, fmt.Sprintf(words.TheyAreTheSame, a.Name, b.Name))
		case 1:
		default:
			out = append(out, fmt.Sprintf(words.TheyDifferInMore, a.Name, b.Name, strings.Join(differ, ", ")))
		}
	}
	return out
}

// Turn is one block as it is to be fished.
type Turn struct {
	N, Round int
	Arm      string
	Rod      string
	Angler   string
	Side     string
}

// Turns of a trial: in each round all arms in an order drawn for it, the same again whenever it is asked (by the
// trial's id); what could favour one arm (rod, angler, side) goes with another in the second half.
func (d *Design) Turns(id string) []Turn {
	var out []Turn
	for round := range d.Rounds {
		swapped := 0
		if 2*round >= d.Rounds {
			swapped = 1
		}
		var in []int
		for i := range d.Arms {
			if d.Arms[i].FromRound <= round {
				in = append(in, i)
			}
		}
		// Each round's lots by itself: an arm that joins changes nothing of those before.
		slices.SortFunc(in, func(a, b int) int { return cmp.Compare(lot(id, round, a), lot(id, round, b)) })
		for _, arm := range in {
			of := func(list []string) string {
				if len(list) == 0 {
					return ""
				}
				return list[(arm+swapped)%len(list)]
			}
			out = append(out, Turn{N: len(out), Round: round, Arm: d.Arms[arm].Name, Rod: of(d.Rods), Angler: of(d.Anglers),
				Side: of(d.Sides)})
		}
	}
	return out
}

// lot an arm draws for a round of a trial.
func lot(id string, round, arm int) uint64 {
	h := fnv.New64a()
	_, _ = fmt.Fprintf(h, "%d %d %s", arm, round, id)
	v := h.Sum64()
	// Neighbouring seeds give neighbouring sums: stirred (the finalizer of MurmurHash3).
	v = (v ^ v>>33) * 0xff51afd7ed558ccd
	v = (v ^ v>>33) * 0xc4ceb9fe1a85ec53
	return v ^ v>>33
}

// Lasts so long, if all of it is fished.
func (d *Design) Lasts() time.Duration {
	return time.Duration(float64(len(d.Turns(""))) * d.BlockMin * float64(time.Minute))
}

// Shares of what differs from it that a design would show: three fish to four and one to two, by how likely.
type Shares struct{ FourToThree, TwoToOne float64 }

// Shows so much, where the worse arm brings so many fish a rod-hour.
func (d *Design) Shows(fishPerHour float64) Shares {
	hours := float64(d.Rounds) * d.BlockMin / 60
	return Shares{Power(4.0/3, fishPerHour, hours, Confidence), Power(2, fishPerHour, hours, Confidence)}
}

// Validate says what of a design cannot be: the field, and what was expected.
func (d *Design) Validate() (field string, err error) {
	switch {
	case strings.TrimSpace(d.Question) == "":
		return "question", fmt.Errorf("expected what is to be found out")
	case len(d.Arms) < 2:
		return "arms", fmt.Errorf("expected two arms or more, not %d", len(d.Arms))
	case !(d.BlockMin > 0):
		return "block_min", fmt.Errorf("expected minutes above nought, not %v", d.BlockMin)
	case d.Rounds < 1:
		return "rounds", fmt.Errorf("expected one round or more, not %d", d.Rounds)
	}
	seen := map[string]bool{}
	for i := range d.Arms {
		name := d.Arms[i].Name
		if name == "" || seen[name] {
			return fmt.Sprintf("arms[%d].name", i), fmt.Errorf("expected a name of its own, not %q", name)
		}
		seen[name] = true
	}
	return "", nil
}

// Joining arms of a design that are not in another begin with a round.
func (d *Design) Joining(before *Design, round int) {
	for i := range d.Arms {
		a := &d.Arms[i]
		at := slices.IndexFunc(before.Arms, func(b Choice) bool { return b.Name == a.Name })
		if at >= 0 {
			a.FromRound = before.Arms[at].FromRound
		} else {
			a.FromRound = round
		}
	}
}

// Changes of a design after so many blocks, as they are said with its result; before the first nothing is.
func Changes(before, after *Design, blocks int) (out []string) {
	if blocks == 0 {
		return nil
	}
	if before.Question != after.Question {
		out = append(out, fmt.Sprintf(words.QuestionChanged, blocks, before.Question))
	}
	if before.Rounds != after.Rounds || before.BlockMin != after.BlockMin {
		out = append(out, fmt.Sprintf(words.StoppingChanged, blocks, before.Rounds, before.BlockMin))
	}
	for _, a := range after.Arms {
		i := slices.IndexFunc(before.Arms, func(b Choice) bool { return b.Name == a.Name })
		switch {
		case i < 0:
			out = append(out, fmt.Sprintf(words.ArmJoined, a.Name, blocks))
		case before.Arms[i].Presentation != a.Presentation:
			out = append(out, fmt.Sprintf(words.ArmChanged, a.Name, blocks))
		}
	}
	for _, b := range before.Arms {
		if !slices.ContainsFunc(after.Arms, func(a Choice) bool { return a.Name == b.Name }) {
			out = append(out, fmt.Sprintf(words.ArmTakenOut, b.Name, blocks))
		}
	}
	return out
}
