package plan

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/springrun"
	"greypebble/core/words"
)

// UpRiver is the way of a run up a river: how likely its school lies at each bend, day by day.
type UpRiver struct {
	From time.Time
	// Shares by day and bend, the first bend first.
	Shares [][]float64
	// Come is how likely the school has come to the river at all, by day.
	Come []float64
	// Says where it is likely to be now and in a week.
	Says string
}

// UpRiverOf a course from a day on, for the weeks a season tells of.
func UpRiverOf(name string, c *springrun.Course, now time.Time) UpRiver {
	out := UpRiver{From: now.UTC().Truncate(24 * time.Hour)}
	for d := range 7 * weeks {
		at := out.From.AddDate(0, 0, d)
		if come := c.Come(at); come == come {
			shares := make([]float64, c.Bends())
			for b := range shares {
				shares[b] = c.Share(at, b+1)
			}
			out.Shares, out.Come = append(out.Shares, shares), append(out.Come, come)
		}
	}
	out.Says = out.say(name)
	return out
}

// say where the school is likely to be; of what has not come, when it does.
func (u *UpRiver) say(name string) string {
	switch week := 7; {
	case len(u.Come) == 0:
		return ""
	case u.Come[0] < 0.5:
		for d, come := range u.Come {
			if come >= 0.5 {
				return fmt.Sprintf(words.TheRunComesAbout, name, u.From.AddDate(0, 0, d).Format("2 January"))
			}
		}
		return fmt.Sprintf(words.TheRunIsNotYet, name)
	case len(u.Shares) <= week:
		return fmt.Sprintf(words.TheRunIsAtNow, name, sayBend(u.Shares[0]))
	default:
		now, then := sayBend(u.Shares[0]), sayBend(u.Shares[week])
		if now == then {
			return fmt.Sprintf(words.TheRunStaysAt, name, now)
		}
		return fmt.Sprintf(words.TheRunIsAtAndThen, name, now, then)
	}
}

// sayBend a school is likeliest at, or the bends where one alone is not likely.
func sayBend(shares []float64) string {
	best := 0
	for b := range shares {
		if shares[b] > shares[best] {
			best = b
		}
	}
	if shares[best] >= 0.5 {
		return fmt.Sprintf(words.AtBend, best+1)
	}
	// The shortest stretch of bends that holds it three times in four.
	from, to := 0, len(shares)-1
	for i := range shares {
		sum := 0.0
		for k := i; k < len(shares); k++ {
			if sum += shares[k]; sum >= 0.75-1e-9 {
				if k-i < to-from || k-i == to-from && math.Abs(float64(i+k)/2-float64(best)) < math.Abs(float64(from+to)/2-float64(best)) {
					from, to = i, k
				}
				break
			}
		}
	}
	return fmt.Sprintf(words.BetweenBends, from+1, to+1)
}
