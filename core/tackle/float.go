package tackle

import "fmt"

// StopKnot is how far above the hook a sliding float is stopped so that the bait
// hangs clear of a wreck or bar, metres: the depth over it now less the clearance.
// It is not there when the crest is too shallow for that.
func StopKnot(levelM, crestM, clearM float64) (float64, error) {
	if !(clearM >= 0 && clearM < 20) {
		return 0, fmt.Errorf("tackle: the clearance must be between 0 and 20 m, not %v", clearM)
	}
	knot := levelM - crestM - clearM
	if !(knot > 0.1) {
		return 0, fmt.Errorf("tackle: %.2f m of water over it leaves no room for %.2f m of clearance", levelM-crestM, clearM)
	}
	return knot, nil
}
