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

// Turns of the handle that bring a lure from one depth to another.
func Turns(fromDepthM, toDepthM, turnLengthM float64) float64 {
	return (fromDepthM - toDepthM) / turnLengthM
}

// TurnsIn is how many turns in a time keep a lure at a speed through still
// water.
func TurnsIn(seconds, waterSpeedMS, turnLengthM float64) float64 {
	return waterSpeedMS * seconds / turnLengthM
}
