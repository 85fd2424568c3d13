package evidence

import "math"

// Contradicts are the rules of positions one holds of which the log believes, nine times in ten, that they go the other
// way, the surest first.
func (b Belief) Contradicts() (rules []int) {
	for _, r := range b.Rules() {
		rule := &b.e.book.Rules[r.Rule]
		if rule.School == "" || !b.e.book.Takes(rule.School) {
			continue
		}
		said := math.Log(r.Prior.Median)
		if said > 0 && r.Log.High < 1 || said < 0 && r.Log.Low > 1 {
			rules = append(rules, r.Rule)
		}
	}
	return rules
}
