package tide

import (
	"fmt"
	"math"
	"sort"
	"time"

	"greypebble/core/words"
)

// Sample of a gauge record: a moment and the height read, metres above any
// fixed zero.
type Sample struct {
	Time    time.Time
	HeightM float64
}

// What a gauge record must be for an analysis.
const (
	shortestRecord = 15 * 24 * time.Hour
	fewestSamples  = 200
	// leastRange of heights in metres: less is a stuck gauge.
	leastRange = 0.01
	// believable heights lie within so many metres of zero.
	believable = 50
)

// UnusableRecordError says why a record cannot be analysed.
type UnusableRecordError struct{ Says string }

func (e UnusableRecordError) Error() string {
	return fmt.Sprintf(words.TideRecordCannotBeAnalysed, e.Says)
}

// tidy sorts a record, averages readings of the same moment and refuses one
// that is too short, too thin, constant or nonsense. dropped counts duplicates.
func tidy(samples []Sample) (out []Sample, dropped int, err error) {
	refuse := func(format string, args ...any) ([]Sample, int, error) {
		return nil, 0, UnusableRecordError{fmt.Sprintf(format, args...)}
	}
	if out, dropped, err = order(samples); err != nil {
		return nil, 0, err
	}
	if len(out) < fewestSamples {
		return refuse(words.DifferentMomentsAtLeastAreNeeded, len(out), fewestSamples)
	}
	if span := out[len(out)-1].Time.Sub(out[0].Time); span < shortestRecord {
		return refuse(words.ItCoversDaysAtLeastAre, span.Hours()/24, shortestRecord.Hours()/24)
	}
	lo, hi := out[0].HeightM, out[0].HeightM
	for _, s := range out {
		lo, hi = min(lo, s.HeightM), max(hi, s.HeightM)
	}
	if hi-lo < leastRange {
		return refuse(words.TheHeightHardlyChangesMOver, hi-lo)
	}
	return out, dropped, nil
}

// order sorts samples and averages those of the same moment; dropped counts
// duplicates. A height nobody can believe is an error.
func order(samples []Sample) (out []Sample, dropped int, err error) {
	for i, s := range samples {
		if !finite(s.HeightM) || math.Abs(s.HeightM) > believable {
			return nil, 0, UnusableRecordError{fmt.Sprintf(words.SampleHasAHeightOfM,
				i+1, s.Time.Format(time.RFC3339), s.HeightM, believable, believable)}
		}
	}
	sorted := append([]Sample(nil), samples...)
	sort.SliceStable(sorted, func(i, j int) bool { return sorted[i].Time.Before(sorted[j].Time) })
	for i := 0; i < len(sorted); {
		j, sum := i, 0.0
		for ; j < len(sorted) && sorted[j].Time.Equal(sorted[i].Time); j++ {
			sum += sorted[j].HeightM
		}
		out = append(out, Sample{sorted[i].Time, sum / float64(j-i)})
		dropped += j - i - 1
		i = j
	}
	return out, dropped, nil
}

// spacing is the median time between samples in hours.
func spacing(samples []Sample) float64 {
	gaps := make([]float64, len(samples)-1)
	for i := range gaps {
		gaps[i] = samples[i+1].Time.Sub(samples[i].Time).Hours()
	}
	return median(gaps)
}

// median reorders its argument.
func median(x []float64) float64 {
	if len(x) == 0 {
		return 0
	}
	sort.Float64s(x)
	n := len(x)
	if n%2 == 1 {
		return x[n/2]
	}
	return (x[n/2-1] + x[n/2]) / 2
}
