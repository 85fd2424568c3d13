package outing

import "slices"

// LeaderChecked is the note of one who looked at the leader, or tied it anew.
const LeaderChecked = "leader checked"

// wears a leader: a fish landed, lost or foul-hooked, and a snag (common practice, no source). A rig that broke
// off is tied anew.
var wears = []Kind{Landed, Lost, FoulHooked, Snagged}

// SinceLeader counts what wore the leader since it was checked or tied anew.
func (o *Outing) SinceLeader() int {
	n := 0
	for i := range slices.Backward(o.told) {
		switch k := &o.told[i]; {
		case k.Kind == BrokeOff, k.Kind == Note && k.Note == LeaderChecked, k.Kind == Fish && i > 0 && changesRig(o.told[:i], k):
			return n
		case slices.Contains(wears, k.Kind):
			n++
		}
	}
	return n
}

// changesRig says whether a spell began with another rig than the one before it.
func changesRig(before []Touch, t *Touch) bool {
	for i := range slices.Backward(before) {
		if k := &before[i]; k.Kind == Fish && k.Doing != nil && t.Doing != nil {
			return k.Doing.RigID != t.Doing.RigID
		}
	}
	return true
}
