package trial

import (
	"cmp"
	"fmt"
	"slices"
	"time"

	"greypebble/core/words"
)

// Fished is one block as it was fished.
type Fished struct {
	// Round it belongs to; blocks of one round are compared with each other.
	Round int    `json:"round"`
	Arm   string `json:"arm"`
	// Action, where it was changed within the arm: such blocks are an arm of their own.
	Action string `json:"action,omitempty"`
	// RodHours fished, what it was paused left out.
	RodHours float64 `json:"-"`
	PausedS  int     `json:"paused_s,omitempty"`
	Rods     int     `json:"rods,omitempty"`
	// Landed on the arm's own hook; OnTeaser, on a teaser above it, and SetApart, taken where the arm did not fish (off
	// the dark layer, say): neither is credited to the arm.
	Landed   int `json:"landed"`
	OnTeaser int `json:"on_teaser,omitempty"`
	SetApart int `json:"set_apart,omitempty"`
	// Lost after they were hooked, Missed bites, Foul hooked outside the mouth, of those landed or lost.
	Lost   int `json:"lost,omitempty"`
	Missed int `json:"missed,omitempty"`
	Foul   int `json:"foul,omitempty"`
	// Species of those landed, by target.
	Species map[string]int `json:"species,omitempty"`
	// Dropped says why a block is left out; empty: it counts.
	Dropped string `json:"dropped,omitempty"`
	// Unplanned: it was not among the turns.
	Unplanned bool `json:"unplanned,omitempty"`
}

// Effort of a block from when it began to its end, rod-hours.
func (f *Fished) Effort(began, ended time.Time) float64 {
	return float64(max(f.Rods, 1)) * max(ended.Sub(began)-time.Duration(f.PausedS)*time.Second, 0).Hours()
}

// Validate says what of a block cannot be.
func (f *Fished) Validate() error {
	if f.Foul > f.Landed+f.Lost {
		return fmt.Errorf("expected no more foul-hooked than were landed or lost, %d, not %d", f.Landed+f.Lost, f.Foul)
	}
	sum := 0
	for _, n := range f.Species {
		if n < 0 {
			return fmt.Errorf("expected fish of nought or more of each species, not %d", n)
		}
		sum += n
	}
	if sum > f.Landed {
		return fmt.Errorf("expected no more by species than were landed, %d, not %d", f.Landed, sum)
	}
	return nil
}

// name of the arm a block counts for.
func (f *Fished) name() string {
	if f.Action == "" {
		return f.Arm
	}
	return fmt.Sprintf(words.ArmByAction, f.Arm, f.Action)
}

// Kept is what happened to a trial beside its blocks: what is said with its result.
type Kept struct {
	// Changed says how the question or the arms were changed after the first block.
	Changed []string
	// Peeks are looks at the result before the last planned block.
	Peeks int
	// Planned blocks in all, by the design.
	Planned int
}

// ArmTold is what an arm came to.
type ArmTold struct {
	Name     string
	Blocks   int
	RodHours float64
	Landed   int
	OnTeaser int
	SetApart int
	Hooked   int
	Missed   int
	Foul     int
	Species  map[string]int
	// Rate of fish landed a rod-hour.
	Rate Estimate
	// FoulShare of those hooked.
	FoulShare Estimate
}

// Pair of arms compared: by the rounds both were fished in.
type Pair struct {
	First, Second string
	Ratio         Estimate
	// Believed is the same under the book's prior.
	Believed Estimate
	// Closed is its p among all pairs (Holm): taken for shown below one in twenty.
	Closed float64
	Shown  bool
	Says   string
	// Landed of those hooked, and foul-hooked of them.
	Landed, Foul         Estimate
	LandedSays, FoulSays string
	// Species apart, where both were caught.
	Species []SpeciesTold
}

// SpeciesTold is one species of a pair.
type SpeciesTold struct {
	Target string
	Ratio  Estimate
}

// Result of a trial.
type Result struct {
	Arms  []ArmTold
	Pairs []Pair
	// Warnings to be read with it: what was changed, dropped or looked at.
	Warnings []string
	// Done blocks of those planned.
	Done, Planned int
}

// Prior belief of the ratio of two arms: of the book where it has one of what differs, else as wide as this.
type Prior struct{ Mean, SD float64 }

// Unknown is what is believed of two arms the book says nothing of: most lures differ by less than half again (the
// house's judgement).
var Unknown = Prior{0, 0.4}

// ResultOf the blocks, under a prior of each pair of arms by their names; nil: [Unknown].
func ResultOf(blocks []Fished, kept Kept, prior func(first, second string) Prior) (*Result, error) {
	out := &Result{Planned: kept.Planned}
	var counted []Fished
	dropped := map[string]int{}
	for _, b := range blocks {
		switch {
		case b.Dropped != "":
			dropped[b.Dropped]++
		case b.RodHours > 0:
			counted = append(counted, b)
		}
	}
	out.Done = len(counted)
	var err error
	if out.Arms, err = armsOf(counted); err != nil {
		return nil, err
	}
	var ps []float64
	for i := range out.Arms {
		for j := i + 1; j < len(out.Arms); j++ {
			p, err := pairOf(&out.Arms[i], &out.Arms[j], counted, prior)
			if err != nil {
				return nil, err
			}
			out.Pairs = append(out.Pairs, p)
			ps = append(ps, p.Ratio.P)
		}
	}
	for i, p := range Holm(ps) {
		pair := &out.Pairs[i]
		pair.Closed = p
		if pair.Shown && p >= 1-Confidence {
			pair.Shown, pair.Says = false, pair.Says+" "+words.NotWhenAllIsCounted
		}
	}
	out.Warnings = warnings(kept, dropped, counted)
	return out, nil
}

func armsOf(blocks []Fished) ([]ArmTold, error) {
	var out []ArmTold
	for i := range blocks {
		b := &blocks[i]
		at := slices.IndexFunc(out, func(a ArmTold) bool { return a.Name == b.name() })
		if at < 0 {
			at, out = len(out), append(out, ArmTold{Name: b.name(), Species: map[string]int{}})
		}
		a := &out[at]
		a.Blocks++
		a.RodHours += b.RodHours
		a.Landed, a.OnTeaser, a.SetApart = a.Landed+b.Landed, a.OnTeaser+b.OnTeaser, a.SetApart+b.SetApart
		a.Hooked, a.Missed, a.Foul = a.Hooked+b.Landed+b.Lost, a.Missed+b.Missed, a.Foul+b.Foul
		for target, n := range b.Species {
			a.Species[target] += n
		}
	}
	for i := range out {
		a := &out[i]
		low, high := poisson(a.Landed, Confidence)
		a.Rate = Estimate{Value: float64(a.Landed) / a.RodHours, Low: low / a.RodHours, High: high / a.RodHours, P: 1}
		if a.Hooked > 0 {
			var err error
			if a.FoulShare, err = Proportion(min(a.Foul, a.Hooked), a.Hooked, Confidence, 0.5); err != nil {
				return nil, err
			}
		}
	}
	return out, nil
}

// pairOf two arms, by the rounds in which both were fished; what one of them fished alone says nothing of the ratio.
func pairOf(a, b *ArmTold, blocks []Fished, prior func(string, string) Prior) (Pair, error) {
	p := Pair{First: a.Name, Second: b.Name}
	rounds := roundsOf(a.Name, b.Name, blocks, func(f *Fished) int { return f.Landed })
	var first, second Arm
	for _, r := range rounds {
		first = Arm{first.Fish + r.First.Fish, first.Effort + r.First.Effort}
		second = Arm{second.Fish + r.Second.Fish, second.Effort + r.Second.Effort}
	}
	if len(rounds) == 0 {
		p.Says = words.NeverInOneRound
		return p, nil
	}
	v, err := Judge(a.Name, b.Name, first, second)
	if err != nil {
		return p, err
	}
	p.Says, p.Shown = v.Says, v.Shown
	if p.Ratio, err = Stratified(rounds, Confidence); err != nil {
		return p, err
	}
	with := Unknown
	if prior != nil {
		with = prior(a.Name, b.Name)
	}
	if p.Believed, err = Believed(rounds, with.Mean, with.SD, Confidence); err != nil {
		return p, err
	}
	if a.Hooked > 0 && b.Hooked > 0 {
		if p.Landed, p.LandedSays, err = SaysShares(a.Name, b.Name, Table{a.Landed, a.Hooked - a.Landed, b.Landed,
			b.Hooked - b.Landed}); err != nil {
			return p, err
		}
		foul := Table{min(a.Foul, a.Hooked), a.Hooked - min(a.Foul, a.Hooked), min(b.Foul, b.Hooked), b.Hooked - min(b.Foul, b.Hooked)}
		if p.Foul, p.FoulSays, err = SaysShares(a.Name, b.Name, foul); err != nil {
			return p, err
		}
		if more := foul.A*b.Hooked - foul.C*a.Hooked; p.Foul.P < 1-Confidence && more != 0 {
			worse := a.Name
			if more < 0 {
				worse = b.Name
			}
			p.FoulSays += " " + fmt.Sprintf(words.FoulHookedIsNotSeen, worse)
		}
	}
	return p, p.species(a, b, blocks)
}

// species of the pair, each apart.
func (p *Pair) species(a, b *ArmTold, blocks []Fished) error {
	seen := map[string]bool{}
	for _, of := range []map[string]int{a.Species, b.Species} {
		for target := range of {
			seen[target] = true
		}
	}
	if len(seen) < 2 {
		return nil
	}
	for target := range seen {
		rounds := roundsOf(a.Name, b.Name, blocks, func(f *Fished) int { return f.Species[target] })
		e, err := Stratified(rounds, Confidence)
		if err != nil {
			return err
		}
		p.Species = append(p.Species, SpeciesTold{target, e})
	}
	slices.SortFunc(p.Species, func(a, b SpeciesTold) int { return cmp.Compare(a.Target, b.Target) })
	return nil
}

// roundsOf two arms: those in which both were fished.
func roundsOf(first, second string, blocks []Fished, fish func(*Fished) int) (out []Block) {
	by := map[int]*Block{}
	var order []int
	for i := range blocks {
		b := &blocks[i]
		if b.name() != first && b.name() != second {
			continue
		}
		r := by[b.Round]
		if r == nil {
			r = &Block{}
			by[b.Round], order = r, append(order, b.Round)
		}
		arm := &r.First
		if b.name() == second {
			arm = &r.Second
		}
		arm.Fish, arm.Effort = arm.Fish+fish(b), arm.Effort+b.RodHours
	}
	for _, n := range order {
		if r := by[n]; r.First.Effort > 0 && r.Second.Effort > 0 {
			out = append(out, *r)
		}
	}
	return out
}

func warnings(kept Kept, dropped map[string]int, counted []Fished) (out []string) {
	out = append(out, kept.Changed...)
	for why, n := range dropped {
		out = append(out, fmt.Sprintf(words.BlocksDropped, n, why))
	}
	slices.Sort(out[len(kept.Changed):])
	if kept.Peeks > 0 {
		out = append(out, fmt.Sprintf(words.LookedBeforeTheEnd, kept.Peeks))
	}
	if len(counted) < kept.Planned {
		out = append(out, fmt.Sprintf(words.NotAllFished, len(counted), kept.Planned))
	}
	if slices.ContainsFunc(counted, func(b Fished) bool { return b.Unplanned }) {
		out = append(out, words.SomeBlocksWereNotPlanned)
	}
	return out
}
