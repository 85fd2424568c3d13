package bylaw

import (
	"fmt"

	"greypebble/core/words"
)

// Full says that no more of a fish may be kept that day, where the bag of a rule is full; empty where it is not.
func Full(rules []Rule, q *Asked) string {
	v := Judge(rules, q)
	if v.Bag == nil || v.Bag.Left > 0 || v.Bag.Of == 0 {
		return ""
	}
	return fmt.Sprintf(words.BagFullGoBack, v.Bag.Rule, v.Bag.Of, q.Fish.fishName())
}
