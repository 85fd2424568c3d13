package kit

import "greypebble/core/tackle"

// Usual is what calculations start from: the kit in hand where it says, usual values for
// the rest.
type Usual struct {
	// TurnM a turn of the handle brings in.
	TurnM         float64
	LineDiameterM float64
	// LineN is the main line's breaking strength, DragN what the drag is set to.
	LineN, DragN float64
	LineMaterial tackle.Material
	LureKg       float64
	LureShape    tackle.Shape
	// TimedMS is a fall timed once, 0 for none; PaceMS the slowest speed with action.
	TimedMS, PaceMS float64
	// RatedM is the depth a plug is made to dive to.
	RatedM float64
	// FromKit names what of the kit it rests on.
	FromKit []string
}

// Usual values of a kit.
func (k Kit) Usual() (Usual, error) {
	u := Usual{TurnM: tackle.TypicalTurn, LineDiameterM: tackle.UsualLine, LineN: tackle.UsualLineN, LineMaterial: tackle.Braid,
		LureKg: tackle.OnHead(tackle.GeneralHead).MassKg, LureShape: tackle.SoftLure, PaceMS: tackle.UsualPace, RatedM: tackle.UsualRated}
	if turn, ok := k.Turn(); ok {
		u.TurnM = turn
		u.FromKit = append(u.FromKit, "your reel")
	}
	if line, ok := k.Main(); ok {
		u.LineN, u.LineMaterial = line.BreakN, tackle.Material(line.Material)
		if line.DiameterM > 0 {
			u.LineDiameterM = line.DiameterM
		}
		u.FromKit = append(u.FromKit, line.Name)
	}
	if lure, ok := k.Plug(); ok {
		u.RatedM = lure.RatedM
		u.FromKit = append(u.FromKit, lure.Name)
	}
	if lure, ok := k.Timed(); ok {
		u.TimedMS = lure.FallMS
		if lure.WeightKg > 0 {
			u.LureKg = lure.WeightKg
		}
		u.FromKit = append(u.FromKit, lure.Name)
	}
	var err error
	u.DragN, err = tackle.DragSetting(u.LineN, u.LineN)
	return u, err
}
