package playbook

import (
	"fmt"

	"greypebble/core/quantity"
	"greypebble/core/words"
)

// heavier than the longest one would usually be by so much is still believed.
const heavier = 1.5

// Doubt asks about a fish longer or heavier than the longest known of its kind: a slip of
// the pen is likelier. Empty where there is nothing to ask; nil stands for what was not
// measured.
func (t *Target) Doubt(lengthM, massKg *float64, u quantity.Units) string {
	if t.LongestM == 0 {
		return ""
	}
	if lengthM != nil && *lengthM > t.LongestM {
		return fmt.Sprintf(words.ATheLongestKnownMeasuredAbout, u.ShowShort(*lengthM), t.InSentence(), u.ShowShort(t.LongestM))
	}
	most, err := t.Weight.Mass(t.LongestM)
	if massKg != nil && err == nil && *massKg > heavier*most {
		return fmt.Sprintf(words.AOfTheLongestKnownWould, t.InSentence(), u.ShowFish(*massKg), u.ShowFish(most))
	}
	return ""
}
