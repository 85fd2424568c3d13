package conditions

import "math"

// Kept readings of a spell that is changed without another time or place: what somebody
// says anew, unless it is only what is kept already as it is shown, and then with whose
// reading it was; else what is kept of others; else what is believed now. A reading of the
// angler's own that is said no longer is taken back.
func Kept(old, said, believed []Reading) []Reading {
	find := func(list []Reading, k Kind) *Reading {
		for i := range list {
			if list[i].Kind == k {
				return &list[i]
			}
		}
		return nil
	}
	var out []Reading
	for _, k := range Kinds() {
		was, says, now := find(old, k), find(said, k), find(believed, k)
		switch {
		case says != nil && (was == nil || !shownAlike(k, was.Value, says.Value)):
			out = append(out, *says)
		case was != nil && (says != nil || was.Origin != Observed || was.Source != TheAngler || was.Site != ""):
			out = append(out, *was)
		case now != nil:
			out = append(out, *now)
		}
	}
	return out
}

// shownAlike says that two values are written alike.
func shownAlike(k Kind, a, b float64) bool {
	return math.Abs(a-b) <= 0.51*math.Pow(10, -float64(natures[k].Decimals))
}
