package method

import (
	"math"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/water"
)

// Kind of cast: how the line gets where it fishes.
type Kind string

// Kinds of casts.
const (
	Down    Kind = "down"    // straight down
	To      Kind = "to"      // to the mark, to lie there
	Drift   Kind = "drift"   // up-tide of it, the run carries it past
	Trot    Kind = "trot"    // down-tide, the run carries it away with every lift
	Steps   Kind = "steps"   // to the bank, and down from step to step
	Along   Kind = "along"   // along a lane, parallel to it
	Slant   Kind = "slant"   // along a lane that lies too far out to be parallel to
	Under   Kind = "under"   // in under the branches
	Through Kind = "through" // across a passage, the run swings it through
	Past    Kind = "past"    // past the mark, and back over it
	Fan     Kind = "fan"     // over open ground, near casts first
	Trolled Kind = "trolled" // behind a boat
	Shown   Kind = "shown"   // in front of a fish that is seen
)

// Cast of a presentation.
type Cast struct {
	Kind Kind
	Stand
	// ToM is where it lands or hangs, metres along the section.
	ToM float64
	// OffM is how far that is from the water's edge, from the boat or from where one stands in the
	// water, metres; ReachM, how far it can be thrown.
	OffM, ReachM float64
	// Falls: it sinks to the bottom and is hopped or dragged; Lies: it stays where it lands.
	Falls, Lies bool
	// Moving water carries it.
	Moving bool
	place  string
	mark   *ground.Mark
	// hangs below a float.
	hangs bool
	// white water over the mark.
	white bool
	// coming: the fish that is seen swims; strikes is its window.
	coming  bool
	strikes playbook.Span
}

// Fished is what is fished where.
type Fished struct {
	Moment  *spot.Moment
	Section *ground.Section // nil where none was drawn
	Mark    *ground.Mark
	Rig     *playbook.Rig
	Way     *playbook.Way
	// ReachM is how far it can be thrown.
	ReachM float64
	// Strikes is how far ahead of its nose the target takes what crosses its path, metres.
	Strikes playbook.Span
}

// lanes run along: what stays in them fishes longer.
var lanes = []ground.MarkKind{ground.EdgeMark, ground.Step, ground.Slope, ground.Trough, ground.Bar, ground.Swash, ground.Seam}

// passages carry the run through.
var passages = []ground.MarkKind{ground.Cut, ground.Gut, ground.Channel, ground.Sill}

// falling ways let the lure sink to the bottom again and again.
var falling = []string{"hop", "drag", "lift", "snap"}

// parallelWithin is the share of the reach within which a cast from the bank runs along a lane.
const parallelWithin = 0.4

// pastBy is how far past a mark a lure lands, metres.
const pastBy = 5.0

// Cast says how.
func (f *Fished) Cast() Cast {
	c := Cast{Stand: StandAt(f.Moment, f.Section, f.Mark), ReachM: f.ReachM, mark: f.Mark, place: f.Moment.Spot.Place,
		ToM: f.Mark.DistanceM, Falls: slices.Contains(falling, f.Way.Style), Lies: f.Way.Style == "still", Moving: Moving(f.Moment),
		hangs: f.Rig.FloatM > 0}
	c.white = f.Moment.Spot.Place == "rocky shore" && f.Moment.Swell() >= breaks
	c.strikes, c.coming = f.Strikes, slices.Contains(f.Moment.Signs, "fish cruising")
	c.Kind = c.kind(f)
	switch c.Kind {
	case Down, Trolled:
		c.AtM, c.WaterM = c.ToM, c.ToM
	case Steps:
		c.toTheBank(f)
	case Past, Fan, Through:
		c.ToM += math.Copysign(pastBy, c.ToM-c.AtM)
	}
	c.OffM = math.Abs(c.ToM - c.WaterM)
	if c.OffM > c.ReachM && !afloat(c.Manner) && c.Kind != Down {
		c.ToM -= math.Copysign(c.OffM-c.ReachM, c.ToM-c.WaterM)
		c.OffM = c.ReachM
	}
	return c
}

// breaks is a swell that whitens the rock it falls on, metres.
const breaks = 0.3

// Moving says that the water runs enough to bend a line or roll a lead; where the run is not known, the tide's own movement tells.
func Moving(m *spot.Moment) bool {
	if u, known := m.Current(); known {
		return math.Abs(u) >= water.Noticeable
	}
	hours := m.Stage.Next.Time.Sub(m.Stage.Last.Time).Hours()
	spring := water.SpringRate(m.Spot.Tide.MeanSpringRange(), hours)
	return spring > 0 && math.Abs(m.Stage.RateMPerH)/spring > slackShare
}

// slackShare of the place's fastest rise is hardly any run.
const slackShare = 0.14

func (c *Cast) kind(f *Fished) Kind {
	k := f.Mark.Kind
	branches := k == ground.Pocket && c.place == "overhung bank"
	wood := k == ground.Piling || k == ground.Timber
	switch {
	case f.Way.Style == "troll":
		return Trolled
	case c.seen(f):
		return Shown
	case f.Rig.FloatM > 0:
		if c.Moving {
			return Drift
		}
		return To
	case c.Over && (f.Rig.Vertical || f.Rig.Lead == "hangs"):
		return Down
	case k == ground.Piling && c.Over:
		return c.atPiling(f)
	case f.Rig.Lead == "trots" && f.Way.Style == "drift":
		if c.Moving {
			return Trot
		}
		return To
	case f.Rig.Lead == "trots" && c.Over:
		return Down
	case c.Lies, f.Rig.Lead == "trots":
		return To
	case f.Way.Style == "drift":
		if c.Moving {
			return Drift
		}
		return To
	case branches:
		return Under
	case wood, k == ground.Rock && c.Falls:
		return To
	case c.Falls && k == ground.Step:
		return Steps
	case slices.Contains(lanes, k):
		if afloat(c.Manner) || deck(c.place) || math.Abs(c.ToM-c.WaterM) <= parallelWithin*c.ReachM {
			return Along
		}
		return Slant
	case slices.Contains(passages, k):
		return Through
	case k == ground.Hole, k == ground.Rock, k == ground.Pocket:
		return Past
	}
	return Fan
}

// LetDown says that it is not thrown: the run takes it from the anchored boat down to the mark.
func (c *Cast) LetDown() bool {
	return afloat(c.Manner) && c.Moving && (c.Kind == Trot || c.Kind == To && c.Lies)
}

// seen says that it is thrown at a fish one sees: what lies on the bottom and what is let straight down
// is not.
func (c *Cast) seen(f *Fished) bool {
	return playbook.SeesFish(f.Moment.Signs) && !f.Rig.Vertical && f.Rig.Lead == "" && !c.Lies
}

// atPiling what lies or falls goes straight down, what the run rolls comes down past it, and what is
// worked near the surface along the row.
func (c *Cast) atPiling(f *Fished) Kind {
	switch {
	case c.Lies || c.Falls:
		return Down
	case f.Way.Style == "drift" && c.Moving:
		return Drift
	case f.Way.Style == "drift":
		return Down
	}
	return Along
}

// toTheBank a lure is thrown that is to come down the steps: the bank beyond the mark as one floats
// before it, the far bank of a canal as one stands on the near one; where that cannot be reached, the
// mark itself.
func (c *Cast) toTheBank(f *Fished) {
	if f.Section == nil {
		return
	}
	const step = 0.25
	from, to := f.Section.Ends()
	toward := math.Copysign(step, c.ToM-c.AtM)
	if !afloat(c.Manner) {
		// Over the middle to the far side.
		toward = step
	}
	for at := c.ToM; at > from && at < to && math.Abs(at-c.AtM) < c.ReachM; at += toward {
		if f.Moment.LevelM-f.Section.Elevation(at) < shallowBank {
			c.ToM = at
			return
		}
	}
}

// shallowBank is water one throws a lure into to bring it down a bank, metres.
const shallowBank = 0.4

// StepsDown are those down which a lure is brought at a level, as depths from the bank on, least first; nothing where the
// spot has none.
func StepsDown(m *spot.Moment) []float64 {
	out := []float64{shallowBank}
	for i := range m.Spot.Marks {
		if k := &m.Spot.Marks[i]; k.Kind == ground.Step && k.Depth(m.LevelM) > shallowBank {
			out = append(out, k.Depth(m.LevelM))
		}
	}
	slices.Sort(out)
	return out
}
