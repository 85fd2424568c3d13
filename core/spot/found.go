package spot

import (
	"fmt"
	"math"
	"slices"

	"greypebble/core/ground"
)

// Sounded over a mark: its bed lies the depth below the water's level, metres above datum.
func (s *Spot) Sounded(mark string, levelM, depthM float64) error {
	i := slices.IndexFunc(s.Marks, func(m ground.Mark) bool { return m.Name == mark })
	if i < 0 {
		return fmt.Errorf("spot: %s has no mark %q", s.Name, mark)
	}
	s.Marks[i].ElevationM = math.Round((levelM-depthM)*100) / 100
	return s.Marks[i].Validate()
}
