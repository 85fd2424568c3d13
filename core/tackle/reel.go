package tackle

import (
	"fmt"
	"math"
)

// TypicalTurn is what one turn of a common fixed-spool reel's handle brings in:
// about 2 ft (common practice, no source).
const TypicalTurn = 0.6

// TurnLength is the line one turn of the handle brings in: gear ratio × π ×
// diameter of the line on the spool, metres.
func TurnLength(gearRatio, spoolDiameterM float64) (float64, error) {
	if !(gearRatio > 0 && gearRatio <= 20) {
		return 0, fmt.Errorf("tackle: gear ratio must be between 0 and 20, not %v", gearRatio)
	}
	if !(spoolDiameterM > 0 && spoolDiameterM <= 0.5) {
		return 0, fmt.Errorf("tackle: spool diameter must be between 0 and 0.5 m, not %v", spoolDiameterM)
	}
	return gearRatio * math.Pi * spoolDiameterM, nil
}

// ValidTurn refuses what no handle brings in, metres a turn.
func ValidTurn(lengthM float64) error {
	if !(lengthM > 0.02 && lengthM < 5) {
		return fmt.Errorf("tackle: a turn of the handle must bring in between 0.02 and 5 m, not %v", lengthM)
	}
	return nil
}

// Measured is what a turn brings in when so many turns brought in so much line.
func Measured(lineM, turns float64) (float64, error) {
	if !(lineM > 0 && turns > 0) {
		return 0, fmt.Errorf("tackle: a measured length and its turns must be more than 0, not %v and %v", lineM, turns)
	}
	return lineM / turns, ValidTurn(lineM / turns)
}

// Turns of the handle that bring a lure from one depth to another; below 0, the
// line to let out.
func Turns(fromDepthM, toDepthM, turnLengthM float64) float64 {
	return (fromDepthM - toDepthM) / turnLengthM
}

// TurnsIn is how many turns in a time keep a lure at a speed through still
// water.
func TurnsIn(seconds, waterSpeedMS, turnLengthM float64) float64 {
	return waterSpeedMS * seconds / turnLengthM
}

// Pace of a retrieve.
type Pace struct {
	// GroundMS is how fast the line comes in; TurnsPer10S of the handle.
	GroundMS, TurnsPer10S float64
	// Drifts: the water carries the lure faster than it wants to move, so that
	// line is to be let out, not wound.
	Drifts bool
}

// PaceFor keeps a lure at its least speed through water that pushes it towards
// the angler by pushMS (below 0: away). The lure moves over the ground with the
// water, so winding must add the push to keep the same speed through it.
func PaceFor(leastWaterMS, pushMS, turnLengthM float64) (Pace, error) {
	if !(leastWaterMS >= 0 && leastWaterMS < 10) {
		return Pace{}, fmt.Errorf("tackle: the least speed through the water must be between 0 and 10 m/s, not %v", leastWaterMS)
	}
	if !(math.Abs(pushMS) < 5) {
		return Pace{}, fmt.Errorf("tackle: the push of the water must be within ±5 m/s, not %v", pushMS)
	}
	if err := ValidTurn(turnLengthM); err != nil {
		return Pace{}, err
	}
	over := leastWaterMS + pushMS
	return Pace{over, TurnsIn(10, over, turnLengthM), over < 0}, nil
}
