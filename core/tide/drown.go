package tide

import (
	"fmt"
	"slices"

	"greypebble/core/words"
)

// drownsBelow so many of its own standard errors a constituent is not told from the noise.
const drownsBelow = 3

// drown leaves out what the noise drowns, and what would be inferred from it; it gives what stays.
func (a *Analysis) drown(names []string, inferred []inference) (kept []string) {
	for j, name := range names {
		e := &a.Constituents[j]
		if e.AmplitudeM >= drownsBelow*e.AmplitudeErrorM {
			kept = append(kept, name)
			continue
		}
		a.Excluded = append(a.Excluded, Excluded{Name: name, Reason: fmt.Sprintf(words.LostInTheNoiseCmGive,
			100*e.AmplitudeM, 100*e.AmplitudeErrorM)})
	}
	for _, k := range inferred {
		if !slices.Contains(kept, k.from) {
			a.Excluded = append(a.Excluded, Excluded{Name: k.name,
				Reason: fmt.Sprintf(words.WouldBeInferredFromWhichIs,
					k.from)})
		}
	}
	return kept
}

// without what the noise drowned the rest is fitted again, the zero's shifts where they were found.
func (f *fit) without(a *Analysis, kept []string, inferred []inference) error {
	if len(kept) == 0 {
		return UnusableRecordError{words.NoConstituentStandsOutOfIts}
	}
	still := slices.DeleteFunc(slices.Clone(inferred), func(k inference) bool { return !slices.Contains(kept, k.from) })
	again := newFit(f.record, kept, still)
	again.shifts = f.shifts
	if err := again.iterate(func(float64) error { return nil }); err != nil {
		return err
	}
	a.Constituents, a.Shifts = nil, nil
	again.report(a, kept, still)
	return nil
}
