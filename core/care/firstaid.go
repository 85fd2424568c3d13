package care

import "greypebble/core/words"

// Injury and what the usual public guidance does first.
type Injury struct{ Name, Says string }

// FirstAid for what fishing does to people: usual public guidance, no more; medical help goes before it.
func FirstAid() []Injury {
	return []Injury{
		{words.InjurySpine, words.FirstAidSpine}, {words.InjuryHook, words.FirstAidHook}, {words.InjuryCut, words.FirstAidCut},
		{words.InjuryAllergy, words.FirstAidAllergy}, {words.InjuryCold, words.FirstAidCold},
	}
}

// Keeping says how a fish stays good, step by step.
func Keeping() []string {
	return []string{words.KeepBleed, words.KeepSlurry, words.KeepGut, words.KeepDrain, words.KeepFreeze, words.KeepStrips}
}
