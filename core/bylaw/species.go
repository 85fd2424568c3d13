package bylaw

import (
	"slices"
	"strings"
)

// AnyFish in the list of a rule's species is every fish, and the place itself.
const AnyFish = "any"

// Species of a fish by all it may be called.
type Species struct {
	ID, Name, Latin string
}

// Is says whether a rule's word for a fish means this one: its id, its name, its Latin name, its genus, or a group, as
// "drums" is all whose name ends in drum. Case and hyphens do not count.
func (s Species) Is(word string) bool {
	w, name := plain(word), plain(s.Name)
	if w == "" {
		return false
	}
	if w == AnyFish || w == plain(s.ID) || w == name || w == plain(s.Latin) {
		return true
	}
	genus, _, _ := strings.Cut(plain(s.Latin), " ")
	return w == genus || slices.ContainsFunc(singular(w), func(one string) bool {
		return name != "" && (name == one || strings.HasSuffix(name, " "+one) || strings.HasSuffix(name, one) && len(one) > 4)
	})
}

func plain(s string) string {
	return strings.Join(strings.Fields(strings.ReplaceAll(strings.ToLower(s), "-", " ")), " ")
}

// singular forms a plural may have; none where it is no plural.
func singular(w string) []string {
	var out []string
	for _, end := range []string{"es", "s"} {
		if one, cut := strings.CutSuffix(w, end); cut && len(one) > 2 {
			out = append(out, one)
		}
	}
	return out
}

// Of says whether the rule is of a fish.
func (r *Rule) Of(s Species) bool { return slices.ContainsFunc(r.Species, s.Is) }

// OfAny says whether the rule is of every fish.
func (r *Rule) OfAny() bool {
	return slices.ContainsFunc(r.Species, func(w string) bool { return plain(w) == AnyFish })
}
