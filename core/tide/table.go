package tide

import (
	"fmt"
	"math"
	"time"

	"greypebble/core/words"
)

// What a table of high and low waters must be for an analysis.
const (
	fewestTurns = 40
	// tableSpacing of readings a table is as good as.
	tableSpacing = 90 * time.Minute
)

// AnalyseTurns finds constituents from a table of high and low waters by robust
// least squares. Each line says two things: the level at that time, and that it
// neither rises nor falls then,
//
//	h(t) = level,  h′(t)/ω = 0
//
// with ω the speed of M2, so that both are in metres. Turns come at uneven times
// and each fixes two things, so that a year's table shows even the eighth-diurnal
// tide (measured: the tests give a station back to 1 mm from a table printed to
// the minute and the centimetre). Too few turns or too short a time are an
// [UnusableRecordError]. The residual is that of the levels.
func AnalyseTurns(turns []Turn, progress func(share float64) error) (Analysis, error) {
	samples := make([]Sample, len(turns))
	for i, k := range turns {
		samples[i] = Sample{k.Time, k.LevelM}
	}
	record, dropped, err := order(samples)
	if err != nil {
		return Analysis{}, err
	}
	if len(record) < fewestTurns {
		return Analysis{}, UnusableRecordError{fmt.Sprintf(words.HighAndLowWatersAtLeast, len(record), fewestTurns)}
	}
	first, last := record[0].Time, record[len(record)-1].Time
	if span := last.Sub(first); span < shortestRecord {
		return Analysis{}, UnusableRecordError{fmt.Sprintf(words.ItCoversDaysAtLeastAre, span.Hours()/24,
			shortestRecord.Hours()/24)}
	}
	names, excluded := choose(last.Sub(first).Hours(), tableSpacing.Hours())
	names, excluded = withoutUnseen(names, excluded, last.Sub(first))
	a := Analysis{Excluded: excluded, Samples: len(record), Duplicates: dropped, From: first, To: last}
	f := newFit(record, names, nil)
	if f.columns() > len(record) {
		return Analysis{}, UnusableRecordError{fmt.Sprintf(words.HighAndLowWatersAreToo, len(record), f.columns())}
	}
	f.addSlopes(names)
	if err := f.iterate(func(share float64) error {
		if progress == nil {
			return nil
		}
		return progress(share)
	}); err != nil {
		return Analysis{}, err
	}
	f.report(&a, names, nil)
	a.Residual = a.Residual[:len(record)]
	a.Samples = len(record)
	sum := 0.0
	for _, r := range a.Residual {
		sum += r.HeightM * r.HeightM
	}
	a.ResidualRMSM = math.Sqrt(sum / float64(len(record)))
	return a, nil
}

// wholeYear of turns is needed to see what happens between them.
const wholeYear = 360 * 24 * time.Hour

// withoutUnseen leaves the fast shallow-water tides out of a table of less than
// a year: what it cannot tell apart among the slow ones would go into them.
func withoutUnseen(names []string, excluded []Excluded, span time.Duration) ([]string, []Excluded) {
	if span >= wholeYear {
		return names, excluded
	}
	kept := names[:0:0]
	for _, n := range names {
		if catalogue[n].t > 4 {
			excluded = append(excluded, Excluded{Name: n,
				Reason: words.ATableOfLessThanA})
			continue
		}
		kept = append(kept, n)
	}
	return kept, excluded
}

// semidiurnalSpeed is that of M2 in radians an hour.
const semidiurnalSpeed = 28.984104 * degree

// addSlopes appends a row for every sample that says the slope there is zero.
func (f *fit) addSlopes(names []string) {
	n := len(f.record)
	f.constant = make([]float64, 2*n)
	for i := range n {
		f.constant[i] = 1
		row := make([]float64, len(f.rows[i]))
		for j, name := range names {
			w := catalogue[name].speed() * degree / semidiurnalSpeed
			// d/dt of f·cos and f·sin, without the slow drift of the nodes.
			row[2*j], row[2*j+1] = -w*f.rows[i][2*j+1], w*f.rows[i][2*j]
		}
		f.rows = append(f.rows, row)
		f.record = append(f.record, Sample{f.record[i].Time, 0})
		f.weight = append(f.weight, 1)
		f.resid = append(f.resid, 0)
	}
}
