package tide

import (
	"fmt"
	"math"
	"sort"

	"greypebble/core/words"
)

// ranking lists constituents an analysis may look for, weightiest first by the
// equilibrium tide (Schureman table 2) and, among shallow-water ones, by how
// large they usually grow. Where two cannot be told apart the earlier one
// stands for both.
var ranking = []string{"M2", "K1", "O1", "S2", "N2", "P1", "M4", "Q1", "K2", "MS4", "SA", "MF", "MN4", "M6", "NU2", "MU2", "L2",
	"J1", "M1", "OO1", "MK3", "M3", "SSA", "MM", "2N2", "S4", "2MS6", "T2", "S1", "RHO", "LAM2", "2Q1", "2SM2", "MSF", "MO3", "SK3", "SO3",
	"2MK3", "SN4", "N4", "MK4",
	"SK4", "2MN6", "MSN6", "2SM6", "MSK6", "2MK5", "2SK5", "M8", "3MS8", "S6", "R2", "EP2", "SIGMA1", "PHI1", "THETA1", "SO1", "MSN2",
	"MKS2", "2MK6"}

// Excluded is a constituent an analysis leaves out, and why.
type Excluded struct {
	Name, Reason string
	// clash with another; not too fast or too slow for the record.
	clash bool
}

// rayleigh is the share of a cycle two must drift apart: as good as a whole one, so that a year of
// readings, an hour or a day short, keeps what turns once a year (0.97 given to the project).
const rayleigh = 0.97

// choose picks the constituents a record can tell apart: by the Rayleigh
// criterion two must drift apart by a cycle within the record, one must
// complete a cycle, and it must be slower than half the sampling.
func choose(spanHours, spacingHours float64) (names []string, out []Excluded) {
	resolution := rayleigh * fullCircle / spanHours // degrees an hour
	fastest := halfCircle / spacingHours
	type chosen struct {
		name  string
		speed float64
	}
	var in []chosen
	for _, name := range ranking {
		speed := catalogue[name].speed()
		switch {
		case speed > fastest:
			out = append(out, Excluded{Name: name, Reason: fmt.Sprintf(words.TooFastForReadingsHApart, spacingHours)})
			continue
		case speed < resolution:
			out = append(out, Excluded{Name: name, Reason: fmt.Sprintf(words.NeedsDaysOfRecordThereAre,
				math.Ceil(rayleigh*fullCircle/speed/24), spanHours/24)})
			continue
		}
		clash := -1
		for i, c := range in {
			if math.Abs(c.speed-speed) < resolution && (clash < 0 || math.Abs(c.speed-speed) < math.Abs(in[clash].speed-speed)) {
				clash = i
			}
		}
		if clash >= 0 {
			apart := math.Abs(in[clash].speed - speed)
			reason := fmt.Sprintf(words.HasTheSpeedOf, in[clash].name)
			if apart > 1e-9 {
				reason = fmt.Sprintf(words.CannotBeToldFromDaysOf, in[clash].name,
					math.Ceil(rayleigh*fullCircle/apart/24), spanHours/24)
			}
			out = append(out, Excluded{name, reason, true})
			continue
		}
		in = append(in, chosen{name, speed})
	}
	sort.Slice(in, func(i, j int) bool { return in[i].speed < in[j].speed })
	for _, c := range in {
		names = append(names, c.name)
	}
	return names, out
}
