package tackle

import (
	"fmt"
	"math"
)

// Trolled is what is drawn behind a boat.
type Trolled string

// What is trolled, and the speeds it works at (common practice, no source).
const (
	Bucktail   Trolled = "bucktail"
	TopWater   Trolled = "top-water"
	SmallSkirt Trolled = "small skirted lure"
	StripBait  Trolled = "strip bait"
)

const knot = 1852.0 / 3600

// band of speeds in metres a second.
var bands = map[Trolled][2]float64{Bucktail: {4 * knot, 6 * knot}, TopWater: {4 * knot, 8 * knot}, SmallSkirt: {12 * knot, 14 * knot},
	StripBait: {3 * knot, 5 * knot}}

// Troll is a pass over a ledge.
type Troll struct {
	Lure    Trolled
	SpeedMS float64
	// BehindM is how far the lure runs behind; LedgeM how long the ledge is along
	// the way.
	BehindM, LedgeM float64
	// DragN is the reel's setting, BreakN the line's, StretchBreak how much it
	// stretches where it breaks; LeaderM of the leader behind BehindM of line.
	DragN, BreakN, StretchBreak float64
}

// Trolling is what a pass gives.
type Trolling struct {
	MinMS, MaxMS float64
	// Fits: the speed is one the lure works at.
	Fits bool
	// OverLedgeS is how long the lure is over the ledge; TurnAfterS how long after
	// the boat has passed it the lure has too.
	OverLedgeS, TurnAfterS float64
	// GiveM is how far the line stretches before the drag slips: what softens the
	// strike.
	GiveM float64
}

// Pass of the lure over the ledge.
func (t Troll) Pass() (Trolling, error) {
	b, known := bands[t.Lure]
	switch {
	case !known:
		return Trolling{}, fmt.Errorf("tackle: unknown %q to troll; known are bucktail, top-water, small skirted lure, strip bait", t.Lure)
	case !(t.SpeedMS > 0 && t.SpeedMS < 15):
		return Trolling{}, fmt.Errorf("tackle: the speed must be between 0 and 15 m/s, not %v", t.SpeedMS)
	case !(t.BehindM >= 0 && t.BehindM < 500) || !(t.LedgeM >= 0 && t.LedgeM < 20_000):
		return Trolling{}, fmt.Errorf("tackle: the lure must run 0 to 500 m behind and the ledge 0 to 20 km, not %v and %v",
			t.BehindM, t.LedgeM)
	case !(t.DragN >= 0 && t.BreakN >= 0 && t.StretchBreak >= 0 && t.StretchBreak < 1):
		return Trolling{}, fmt.Errorf("tackle: drag, breaking strength and stretch must be 0 or more")
	}
	give := 0.0
	if t.BreakN > 0 {
		give = t.BehindM * t.StretchBreak * math.Min(t.DragN/t.BreakN, 1)
	}
	return Trolling{b[0], b[1], t.SpeedMS >= b[0] && t.SpeedMS <= b[1], t.LedgeM / t.SpeedMS, t.BehindM / t.SpeedMS, give}, nil
}
