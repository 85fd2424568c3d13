package ground

import "math"

// ShutAt is the access corrected by a level at which somebody saw the way back shut, metres above datum: its
// critical point lies so that it shuts just there. A way in by the same point is corrected with it.
func (a Access) ShutAt(levelM float64) (Access, error) {
	d, err := a.depths()
	if err != nil {
		return a, err
	}
	same := a.In == a.Out
	// On legs too much water shuts it, for a hull too little; to the next millimetre at which it does.
	a.Out.Clear = false
	if d.MaxM != 0 {
		a.Out.ElevationM = (math.Ceil((levelM-d.MaxM)*1000) - 1) / 1000
	} else {
		a.Out.ElevationM = (math.Floor((levelM-d.MinM)*1000) + 1) / 1000
	}
	if same {
		a.In = a.Out
	}
	return a, a.Validate()
}
