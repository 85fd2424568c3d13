package tide

import (
	"fmt"
	"math"
	"slices"
	"time"

	"gonum.org/v1/gonum/mat"

	"greypebble/core/words"
)

// Estimate is a constituent found in a record, with one standard error each.
type Estimate struct {
	Constituent
	AmplitudeErrorM, PhaseErrorDeg float64
	// InferredFrom another, which it could not be told from; empty where it was found.
	InferredFrom string
}

// Shift is a change of the gauge's zero found in a record.
type Shift struct {
	At time.Time
	// ByM is how much higher the gauge reads from then on.
	ByM float64
}

// Analysis of a gauge record.
type Analysis struct {
	Constituents []Estimate
	// Z0M is the mean level above the gauge's zero (the one before any shift).
	Z0M float64
	// ResidualRMSM of the readings that were believed, metres.
	ResidualRMSM float64
	Excluded     []Excluded
	// Shifts of the zero that were allowed for.
	Shifts []Shift
	// LeastShiftM is how far the zero must move, lastingly and no nearer to either end than three days, to
	// be found; no more than three moves are looked for.
	LeastShiftM float64
	// Samples used, Duplicates merged and Spikes given no weight.
	Samples, Duplicates, Spikes int
	From, To                    time.Time
	// Residual is reading less fit at each moment used.
	Residual []Sample
}

// Analyse finds the constituents of a gauge record by robust least squares:
//
//	h(t) = Z0 + Σ f_k(t)·[a_k·cos(V_k + u_k) + b_k·sin(V_k + u_k)] + shifts
//
// with V, u and f at each sample, so that the result needs no further nodal
// correction. Which constituents are looked for follows from the length of the
// record (Rayleigh criterion); P1, K2 and NU2 of a short one are inferred. Readings far from the fit count less and at last
// not at all (Tukey's biweight), a lasting jump of the residual is taken for a
// shift of the gauge's zero. Standard errors are those of the weighted fit,
// widened for residuals that resemble their neighbours.
//
// Of a record with more readings than constituents can need, every second, third and so on
// is fitted. progress, if not nil, is told the share done and may end the work with an
// error. A record that is too short, constant or nonsense is an [UnusableRecordError].
func Analyse(samples []Sample, progress func(share float64) error) (Analysis, error) {
	record, dropped, err := tidy(samples)
	if err != nil {
		return Analysis{}, err
	}
	record = thinned(record)
	first, last := record[0].Time, record[len(record)-1].Time
	names, excluded := choose(last.Sub(first).Hours(), spacing(record))
	inferred, excluded := infer(names, excluded)
	a := Analysis{Excluded: excluded, Samples: len(record), Duplicates: dropped, From: first, To: last}
	f := newFit(record, names, inferred)
	if f.columns() > len(record)/2 {
		return Analysis{}, UnusableRecordError{fmt.Sprintf(words.ReadingsAreTooFewForUnknowns, len(record), f.columns())}
	}
	tell := func(share float64) error {
		if progress == nil {
			return nil
		}
		return progress(share)
	}
	for round := 0; ; round++ {
		if err := f.iterate(func(share float64) error { return tell((float64(round) + share) / (mostShifts + 1)) }); err != nil {
			return Analysis{}, err
		}
		at, found := f.shift()
		if !found || round == mostShifts {
			break
		}
		f.addShift(at)
	}
	f.report(&a, names, inferred)
	if kept := a.drown(names, inferred); len(kept) < len(names) {
		if err := f.without(&a, kept, inferred); err != nil {
			return Analysis{}, err
		}
	}
	return a, tell(1)
}

// mostFitted readings of a record: thirteen years of hourly ones. Each takes a row of a
// cosine and a sine a constituent.
const mostFitted = 120_000

// thinned to so many, evenly.
func thinned(record []Sample) []Sample {
	every := 1 + (len(record)-1)/mostFitted
	if every == 1 {
		return record
	}
	out := make([]Sample, 0, 1+len(record)/every)
	for i := 0; i < len(record); i += every {
		out = append(out, record[i])
	}
	return out
}

// mostShifts of the zero that are looked for.
const mostShifts = 3

// fit is a weighted linear fit in progress.
type fit struct {
	record []Sample
	// rows holds the cosine and sine columns of every sample.
	rows [][]float64
	// constant is the mean level's column; nil means 1 throughout.
	constant []float64
	shifts   []int // first sample after each shift
	weight   []float64
	resid    []float64
	beta     []float64
	cov      *mat.SymDense
	scale    float64
}

// newFit of constituents to a record; what is inferred goes with what it is inferred from.
func newFit(record []Sample, names []string, inferred []inference) *fit {
	f := &fit{record: record, rows: make([][]float64, len(record)), weight: make([]float64, len(record)),
		resid: make([]float64, len(record))}
	kinds := make([]*species, len(names))
	for i, n := range names {
		kinds[i] = catalogue[n]
	}
	flat := make([]float64, len(record)*2*len(names))
	for i, s := range record {
		l := longitudesAt(secondsSinceJ2000(s.Time))
		n := nodesAt(l)
		row := flat[:2*len(names)]
		flat = flat[2*len(names):]
		for j, k := range kinds {
			fk, u := k.nodal(&n)
			sin, cos := math.Sincos((reduced(k.argument(l)) + u) * degree)
			row[2*j], row[2*j+1] = fk*cos, fk*sin
		}
		for _, k := range inferred {
			kind, j := catalogue[k.name], slices.Index(names, k.from)
			fk, u := kind.nodal(&n)
			sin, cos := math.Sincos((reduced(kind.argument(l)) + u) * degree)
			row[2*j] += k.share * fk * cos
			row[2*j+1] += k.share * fk * sin
		}
		f.rows[i] = row
		f.weight[i] = 1
	}
	return f
}

// columns: the mean, two a constituent, one a shift.
func (f *fit) columns() int { return 1 + len(f.rows[0]) + len(f.shifts) }

// row writes the whole design row of a sample.
func (f *fit) row(i int, dst []float64) {
	dst[0] = 1
	if f.constant != nil {
		dst[0] = f.constant[i]
	}
	n := copy(dst[1:], f.rows[i])
	for j, s := range f.shifts {
		dst[1+n+j] = 0
		if i >= s {
			dst[1+n+j] = 1
		}
	}
}

// solve is one weighted least-squares step by the normal equations. They are
// well conditioned: choose leaves no two columns alike.
func (f *fit) solve() error {
	p := f.columns()
	normal := mat.NewSymDense(p, nil)
	raw := normal.RawSymmetric()
	right := make([]float64, p)
	row := make([]float64, p)
	for i, s := range f.record {
		w := f.weight[i]
		if w == 0 {
			continue
		}
		f.row(i, row)
		for r, x := range row {
			wx := w * x
			right[r] += wx * s.HeightM
			line := raw.Data[r*raw.Stride : r*raw.Stride+p]
			for c := r; c < p; c++ {
				line[c] += wx * row[c]
			}
		}
	}
	var chol mat.Cholesky
	if !chol.Factorize(normal) {
		return UnusableRecordError{words.ItsGapsLeaveTheConstituentsIndistinguishable}
	}
	beta := mat.NewVecDense(p, nil)
	if err := chol.SolveVecTo(beta, mat.NewVecDense(p, right)); err != nil {
		return UnusableRecordError{words.ItsGapsLeaveTheConstituentsNearly}
	}
	f.beta = beta.RawVector().Data
	f.cov = mat.NewSymDense(p, nil)
	_ = chol.InverseTo(f.cov)
	for i, s := range f.record {
		f.row(i, row)
		fitted := 0.0
		for c, x := range row {
			fitted += x * f.beta[c]
		}
		f.resid[i] = s.HeightM - fitted
	}
	return nil
}

// leastScale of residuals in metres: what a gauge resolves.
const leastScale = 1e-4

// biweight is Tukey's tuning constant: 95 % efficient for normal errors.
const biweight = 4.685

// iterate reweights until the weights settle.
func (f *fit) iterate(tell func(float64) error) error {
	const rounds = 8
	for i := range f.weight {
		f.weight[i] = 1
	}
	before := 0.0
	for n := range rounds {
		if err := f.solve(); err != nil {
			return err
		}
		abs := make([]float64, len(f.resid))
		for i, r := range f.resid {
			abs[i] = math.Abs(r)
		}
		// The scale never falls below what a gauge resolves.
		f.scale = math.Max(1.4826*median(abs), leastScale)
		for i, r := range f.resid {
			u := r / (biweight * f.scale)
			f.weight[i] = 0
			if math.Abs(u) < 1 {
				f.weight[i] = (1 - u*u) * (1 - u*u)
			}
		}
		if err := tell(float64(n+1) / rounds); err != nil {
			return err
		}
		if n > 0 && math.Abs(f.scale-before) < 1e-6+1e-3*f.scale {
			break
		}
		before = f.scale
	}
	return nil
}

// shift looks for the lasting jump that would explain the residuals best: the
// split at which the medians of what comes before and after differ most,
// against their scatter.
func (f *fit) shift() (at int, found bool) {
	daily := f.dailyMedians()
	if len(daily) < 8 {
		return 0, false
	}
	all := 0.0
	for _, d := range daily {
		all += d.value
	}
	best, before := 0.0, 0.0
	split := 0
	for i := 1; i < len(daily); i++ {
		before += daily[i-1].value
		if i < 3 || len(daily)-i < 3 {
			continue
		}
		step := (all-before)/float64(len(daily)-i) - before/float64(i)
		// The sum of squares the step explains.
		gain := step * step * float64(i) * float64(len(daily)-i) / float64(len(daily))
		if gain > best {
			best, split = gain, i
		}
	}
	if split == 0 {
		return 0, false
	}
	jump := f.typical(daily[split:]) - f.typical(daily[:split])
	scatter := f.scatter(daily, split)
	// A surge comes and goes; a shift stays, and stands well above the days'
	// own scatter.
	if math.Abs(jump) < leastShift(scatter) {
		return 0, false
	}
	return f.edge(daily[split].first, jump), true
}

// leastShift that is found among days that scatter so, metres.
func leastShift(scatter float64) float64 { return math.Max(0.02, 4*scatter) }

type dayMedian struct {
	first int // index of its first sample
	value float64
}

func (f *fit) dailyMedians() []dayMedian {
	var out []dayMedian
	for i := 0; i < len(f.record); {
		end := f.record[i].Time.Add(24 * time.Hour)
		j := i
		for j < len(f.record) && f.record[j].Time.Before(end) {
			j++
		}
		out = append(out, dayMedian{i, median(append([]float64(nil), f.resid[i:j]...))})
		i = j
	}
	return out
}

func (f *fit) typical(days []dayMedian) float64 {
	v := make([]float64, len(days))
	for i, d := range days {
		v[i] = d.value
	}
	return median(v)
}

// scatter of the days about the level of their own side.
func (f *fit) scatter(days []dayMedian, split int) float64 {
	v := make([]float64, 0, len(days))
	for s, side := range [][]dayMedian{days[:split], days[split:]} {
		_ = s
		m := f.typical(side)
		for _, d := range side {
			v = append(v, math.Abs(d.value-m))
		}
	}
	return 1.4826 * median(v)
}

// edge finds the sample near a day's first one at which the jump happens.
func (f *fit) edge(near int, jump float64) int {
	day := 0
	for near-day > 0 && f.record[near].Time.Sub(f.record[near-day].Time) < 24*time.Hour {
		day++
	}
	lo, hi := max(near-day, 1), min(near+day+1, len(f.record)-1)
	best, at := math.Inf(1), near
	for k := lo; k <= hi; k++ {
		cost := 0.0
		for i := lo; i <= hi; i++ {
			want := -jump / 2
			if i >= k {
				want = jump / 2
			}
			cost += math.Abs(f.resid[i] - want)
		}
		if cost < best {
			best, at = cost, k
		}
	}
	return at
}

func (f *fit) addShift(at int) { f.shifts = append(f.shifts, at) }

// report turns the fit into constituents with errors.
func (f *fit) report(a *Analysis, names []string, inferred []inference) {
	sum, weight, spikes := 0.0, 0.0, 0
	for i, r := range f.resid {
		sum += f.weight[i] * r * r
		weight += f.weight[i]
		if f.weight[i] == 0 {
			spikes++
		}
	}
	a.Z0M, a.Spikes = f.beta[0], spikes
	if days := f.dailyMedians(); len(days) > 1 {
		a.LeastShiftM = leastShift(f.scatter(days, len(days)/2))
	}
	a.ResidualRMSM = math.Sqrt(sum / weight)
	variance := sum / math.Max(weight-float64(f.columns()), 1)
	inflated := f.inflations(cyclesADay(names), variance)
	for j, name := range names {
		variance := variance * inflated[j]
		c, s := 1+2*j, 2+2*j
		x, y := f.beta[c], f.beta[s]
		h := math.Hypot(x, y)
		vx, vy, vxy := f.cov.At(c, c)*variance, f.cov.At(s, s)*variance, f.cov.At(c, s)*variance
		e := Estimate{Constituent: Constituent{Name: name, AmplitudeM: h, PhaseDeg: turn360(math.Atan2(y, x) / degree)}}
		if h > 0 {
			e.AmplitudeErrorM = math.Sqrt(math.Max((x*x*vx+y*y*vy+2*x*y*vxy)/(h*h), 0))
			e.PhaseErrorDeg = math.Min(math.Sqrt(math.Max((y*y*vx+x*x*vy-2*x*y*vxy)/(h*h*h*h), 0))/degree, halfCircle)
		}
		a.Constituents = append(a.Constituents, e)
	}
	for _, k := range inferred {
		from := &a.Constituents[slices.Index(names, k.from)]
		a.Constituents = append(a.Constituents, k.estimate(*from))
		k.widen(&a.Constituents[slices.Index(names, k.from)], a.To.Sub(a.From))
	}
	for j, at := range f.shifts {
		a.Shifts = append(a.Shifts, Shift{f.record[at].Time, f.beta[1+2*len(names)+j]})
	}
	a.Residual = make([]Sample, len(f.resid))
	for i, r := range f.resid {
		a.Residual[i] = Sample{f.record[i].Time, r}
	}
}

// inflation of the variance for residuals that follow their neighbours (first-order autoregression,
// believed readings only): what is left where a record is too short to look at its spectrum.
func (f *fit) inflation() float64 {
	var own, next float64
	for i := 1; i < len(f.resid); i++ {
		if f.weight[i] > 0 && f.weight[i-1] > 0 {
			own += f.resid[i] * f.resid[i]
			next += f.resid[i] * f.resid[i-1]
		}
	}
	if own == 0 {
		return 1
	}
	r := min(max(next/own, 0), 0.98)
	return (1 + r) / (1 - r)
}

// cyclesADay of constituents.
func cyclesADay(names []string) []float64 {
	out := make([]float64, len(names))
	for i, n := range names {
		out[i] = catalogue[n].speed() * 24 / fullCircle
	}
	return out
}

func turn360(x float64) float64 {
	if x < 0 {
		return x + fullCircle
	}
	return x
}
