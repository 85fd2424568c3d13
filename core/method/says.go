package method

import (
	"fmt"
	"slices"

	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tackle"
)

// flick is a throw of the wrist, metres.
const flick = 12.0

// Says the cast: from where, which way, how far.
func (c *Cast) Says(u quantity.Units) string {
	far := u.ShowDistance(c.OffM)
	switch c.Kind {
	case Trolled:
		return fmt.Sprintf("Along it, %s behind the boat, out past it and back over where one came.", u.ShowDistance(trailing))
	case Down:
		return c.down()
	case To:
		return c.to(u, far)
	case Drift:
		return c.drift(far)
	case Trot:
		if afloat(c.Manner) {
			return "Down-tide of the boat; with every lift the run carries it further."
		}
		return fmt.Sprintf("Up-tide and across, %s; with every lift the run carries it on.", c.out(far))
	case Steps:
		if afloat(c.Manner) {
			return fmt.Sprintf("From %s off up to the bank, then down the steps: let it fall on to each before it is lifted again.", far)
		}
		return fmt.Sprintf("Across to the far bank, %s, then down its steps: let it fall on to each before it is lifted again.", far)
	case Along:
		return c.along(u, far)
	case Slant:
		return fmt.Sprintf("On a slant along it, %s: the flatter the angle, the longer it stays in the strip.", c.out(far))
	case Under:
		return "Low and flat, skipped in under the branches to the wood; the first arm's length is what counts, then out and on to the " +
			"next."
	case Through:
		if !c.Moving {
			return fmt.Sprintf("Across it, %s, and back over its edge.", c.out(far))
		}
		return fmt.Sprintf("Up-tide and across, %s, so that it swings through.", c.out(far))
	case Past:
		return c.past(far)
	case Shown:
		return c.shown(u)
	case Fan:
	}
	near, then := "Short casts first, the fish may be at your feet; ", "then further, in a fan."
	if afloat(c.Manner) {
		near = "Short casts first, "
	}
	if c.Moving {
		then = "then further, across and down-tide."
	}
	return near + then
}

// trailing is how far behind the boat a lure is trolled, metres (common practice, no source).
const trailing = 25.0

// out says how far from where.
func (c *Cast) out(far string) string {
	switch {
	case afloat(c.Manner):
		return far + " from the boat"
	case deck(c.place):
		return far + " from the rail"
	case c.Manner == ground.Wading:
		return far + " from where you stand"
	}
	return far + " from the water's edge"
}

func (c *Cast) down() string {
	switch {
	case c.mark.Kind == ground.Piling || c.mark.Kind == ground.Timber:
		return "Straight down, close to the wood."
	case afloat(c.Manner) && c.Lies:
		return "Straight down, the boat held over it."
	case afloat(c.Manner):
		return "Straight down over it; when it is passed, round and over it again."
	case deck(c.place):
		return "Straight down from the rail."
	}
	return "Straight down at your feet."
}

func (c *Cast) to(u quantity.Units, far string) string {
	then := "and leave it lying there."
	if !c.Lies {
		then = "and draw it a little way now and then: there is hardly any run."
	}
	switch {
	case c.hangs && (c.mark.Kind == ground.Piling || c.mark.Kind == ground.Timber || c.mark.Kind == ground.Pocket):
		return "Close to the wood, and let it hang there: there is hardly any run."
	case c.Falls || !c.Lies && (c.mark.Kind == ground.Timber || c.mark.Kind == ground.Rock):
		return fmt.Sprintf("To its down-tide side, %s; out again at once when it takes.", c.out(far))
	case c.mark.Kind == ground.Step && c.Lies:
		return fmt.Sprintf("On to the step itself, %s, %s", c.out(far), then)
	case afloat(c.Manner) && c.Lies && c.Moving:
		return fmt.Sprintf("Anchor %s up-tide of it and let the run take the bait down to it; %s", u.ShowDistance(c.OffM), then[4:])
	case c.OffM <= flick && !afloat(c.Manner) && !deck(c.place):
		return fmt.Sprintf("A flick of the wrist, no more: %s, %s", c.out(far), then)
	case deck(c.place):
		return "Over the rail into it, " + then
	case slices.Contains(lanes, c.mark.Kind) && c.place == "surf beach":
		return fmt.Sprintf("Into it, %s and no further, %s", c.out(far), then)
	}
	return fmt.Sprintf("To it, %s, %s", c.out(far), then)
}

func (c *Cast) drift(far string) string {
	switch {
	case c.mark.Kind == ground.Piling:
		return "Up-tide of the piles, and let it drift past them."
	case c.mark.Kind == ground.Pocket:
		return "Up-tide, close under the branches, and let it drift past the opening."
	case c.mark.Kind == ground.Timber || c.mark.Kind == ground.Rock:
		return "Up-tide of it, and let it drift past on the near side."
	case slices.Contains(lanes, c.mark.Kind):
		return fmt.Sprintf("Up-tide, %s, and let it drift along it.", c.out(far))
	case slices.Contains(passages, c.mark.Kind) || c.mark.Kind == ground.Hole:
		return fmt.Sprintf("Up-tide and across, %s, and let it drift through.", c.out(far))
	}
	return "Up-tide, and let it drift over it."
}

// besides are what a lane runs beside.
var besides = map[string]string{"surf beach": "the beach", "seawall": "the wall", "jetty": "the stones", "pier": "the pier",
	"rocky shore": "the rock", "oyster bar": "the bar"}

func (c *Cast) along(u quantity.Units, far string) string {
	const longer = "it stays in the good strip many times longer."
	if afloat(c.Manner) {
		return fmt.Sprintf("In line with it from %s off, and along it, not across: %s", far, longer)
	}
	beside := besides[c.place]
	if beside == "" {
		beside = "the bank"
	}
	if c.mark.Kind == ground.Piling {
		return "Along the row of piles, and close past each."
	}
	if deck(c.place) {
		return fmt.Sprintf("Along it, not across: %s", longer)
	}
	if c.white {
		return fmt.Sprintf("Along %s and through the white water, %s out: %s", beside, u.ShowDistance(c.OffM), longer)
	}
	return fmt.Sprintf("Along it, parallel to %s, %s out: %s", beside, u.ShowDistance(c.OffM), longer)
}

// nearNose is a window that begins at the nose, metres.
const nearNose = 0.05

// shown says how to bring it to a fish that is seen.
func (c *Cast) shown(u quantity.Units) string {
	clear := u.ShowShort(tackle.UsualSplash)
	window := fmt.Sprintf("%s to %s before its nose", u.ShowShort(c.strikes.From), u.ShowShort(c.strikes.To))
	if c.strikes.From < nearNose {
		window = fmt.Sprintf("within %s of its nose", u.ShowShort(c.strikes.To))
	}
	if c.coming {
		return fmt.Sprintf("To the fish: on its path and well ahead, no nearer to it than %s, softly; then so that it passes %s as it "+
			"comes. "+
			"Watch it for three or four seconds first.", clear, window)
	}
	return fmt.Sprintf("To the fish: %s beyond it and ahead, softly; then across, to pass %s.", clear, window)
}

func (c *Cast) past(far string) string {
	switch {
	case c.mark.Kind == ground.Rock && c.white:
		return fmt.Sprintf("Past it, %s, and back close along it through the white water.", c.out(far))
	case c.mark.Kind == ground.Rock:
		return fmt.Sprintf("Past it, %s, and back close along it.", c.out(far))
	}
	return fmt.Sprintf("From as far off as you can, past it, %s, and in over its far side.", c.out(far))
}

// Off says how far it lands from where.
func (c *Cast) Off(u quantity.Units) string { return c.out(u.ShowDistance(c.OffM)) }
