package regress_test

import (
	"encoding/csv"
	"encoding/json"
	"math"
	"math/rand/v2"
	"os"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"greypebble/core/regress"
)

type fit struct {
	PriorMean []float64 `json:"prior_mean"`
	PriorSD   []float64 `json:"prior_sd"`
	Coef      []float64
	SE        []float64
	NegLog    float64 `json:"neg_log_posterior"`
}

// rows of a data set of the oracle: count, hours, then covariates of nought and one; the first term is the constant.
func rows(t *testing.T, name string) []regress.Row {
	f, err := os.Open("testdata/" + name)
	require.NoError(t, err)
	defer func() { _ = f.Close() }()
	list, err := csv.NewReader(f).ReadAll()
	require.NoError(t, err)
	var out []regress.Row
	for _, line := range list[1:] {
		v := make([]float64, len(line))
		for i, text := range line {
			v[i], err = strconv.ParseFloat(text, 64)
			require.NoError(t, err)
		}
		r := regress.Row{Count: v[0], Effort: v[1], Terms: []regress.Term{{At: 0, Value: 1}}}
		for i, x := range v[2:] {
			if x != 0 {
				r.Terms = append(r.Terms, regress.Term{At: i + 1, Value: x})
			}
		}
		out = append(out, r)
	}
	return out
}

func TestAsRHasIt(t *testing.T) {
	raw, err := os.ReadFile("testdata/regression.json")
	require.NoError(t, err)
	var o struct {
		Sets map[string]struct {
			CSV string
			Map map[string]fit
			MLE struct {
				Coef, SE   []float64
				Covariance [][]float64
				Chi        float64 `json:"pearson_chi2"`
				DF         float64 `json:"df_residual"`
			}
		} `json:"poisson_regression"`
	}
	require.NoError(t, json.Unmarshal(raw, &o))
	require.Len(t, o.Sets, 2)
	for name, set := range o.Sets {
		data := rows(t, set.CSV)
		for how, want := range set.Map {
			m := regress.Model{Rows: data}
			for i := range want.PriorMean {
				m.Priors = append(m.Priors, regress.Prior{Mean: want.PriorMean[i], SD: want.PriorSD[i]})
			}
			got, err := m.Fit(nil)
			require.NoError(t, err)
			assert.InDeltaSlice(t, want.Coef, got.Mode, 1e-8, "%s %s", name, how)
			assert.InDeltaSlice(t, want.SE, got.SD(), 1e-8, "%s %s", name, how)
			assert.InDelta(t, want.NegLog, got.NegLog, 1e-8, "%s %s", name, how)
		}
		if len(set.MLE.Coef) == 0 {
			continue
		}
		// Under priors that say next to nothing the mode is the maximum of the likelihood.
		m := regress.Model{Rows: data}
		for range set.MLE.Coef {
			m.Priors = append(m.Priors, regress.Prior{SD: 1e5})
		}
		got, err := m.Fit(nil)
		require.NoError(t, err)
		assert.InDeltaSlice(t, set.MLE.Coef, got.Mode, 1e-7, name)
		for i, line := range set.MLE.Covariance {
			for j, want := range line {
				a, b := make([]float64, len(line)), make([]float64, len(line))
				a[i], b[j] = 1, 1
				assert.InDelta(t, want, got.Covariance(a, b), 1e-8)
			}
		}
		assert.InDelta(t, set.MLE.Chi/set.MLE.DF, m.Dispersion(got), 1e-6)
	}
}

func anyModel(t *rapid.T) regress.Model {
	k := rapid.IntRange(1, 6).Draw(t, "coefficients")
	m := regress.Model{}
	for range k {
		m.Priors = append(m.Priors, regress.Prior{Mean: rapid.Float64Range(-1, 1).Draw(t, "mean"),
			SD: rapid.Float64Range(0.1, 2).Draw(t, "sd")})
	}
	for range rapid.IntRange(0, 12).Draw(t, "rows") {
		r := regress.Row{Count: float64(rapid.IntRange(0, 9).Draw(t, "count")), Effort: rapid.Float64Range(0.2, 6).Draw(t, "effort")}
		for i := range k {
			if rapid.Bool().Draw(t, "there") {
				r.Terms = append(r.Terms, regress.Term{At: i, Value: rapid.Float64Range(-1, 1).Draw(t, "x")})
			}
		}
		m.Rows = append(m.Rows, r)
	}
	return m
}

// The gradient and the curvature are those of the function, by differences; at the mode the gradient is nought.
func TestGradientAndCurvature(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := anyModel(t)
		n := len(m.Priors)
		beta := make([]float64, n)
		for i := range beta {
			beta[i] = rapid.Float64Range(-2, 2).Draw(t, "beta")
		}
		g, c := make([]float64, n), regress.NewCurvature(n)
		m.NegLog(beta, g, c)
		const h = 1e-5
		up, down := make([]float64, n), make([]float64, n)
		for i := range beta {
			was := beta[i]
			beta[i] = was + h
			high := m.NegLog(beta, up, nil)
			beta[i] = was - h
			low := m.NegLog(beta, down, nil)
			beta[i] = was
			assert.InDelta(t, (high-low)/(2*h), g[i], 1e-3*(1+math.Abs(g[i])))
			for j := range beta {
				assert.InDelta(t, (up[j]-down[j])/(2*h), c.At(i, j), 1e-3*(1+math.Abs(c.At(i, j))))
			}
		}
		p, err := m.Fit(nil)
		require.NoError(t, err)
		m.NegLog(p.Mode, g, nil)
		for i := range g {
			assert.InDelta(t, 0, g[i]*p.SD()[i], 1e-4)
		}
		// From anywhere it is the same mode, and from the mode it is there.
		again, err := m.Fit(beta)
		require.NoError(t, err)
		assert.InDeltaSlice(t, p.Mode, again.Mode, 1e-4)
		once, err := m.Fit(p.Mode)
		require.NoError(t, err)
		assert.LessOrEqual(t, once.Steps, 2)
	})
}

// With no data the posterior is the prior, to the last digit.
func TestWithNothingLoggedItIsThePrior(t *testing.T) {
	m := regress.Model{Priors: []regress.Prior{{0.2, 0.3}, {-1, 2}}}
	p, err := m.Fit(nil)
	require.NoError(t, err)
	assert.Equal(t, []float64{0.2, -1}, p.Mode)
	assert.InDeltaSlice(t, []float64{0.3, 2}, p.SD(), 1e-12)
	assert.InDelta(t, 0, p.Covariance([]float64{1, 0}, []float64{0, 1}), 1e-12)
}

// Simulation-based calibration (Talts and others 2018): of truths drawn from the priors the ranks within the
// posterior are uniform. Ten bins, 1500 worlds: chi-squared of nine degrees stays below its 99.9 %.
func TestRanksAreUniform(t *testing.T) {
	src := rand.NewPCG(17, 18)
	r := rand.New(src) //nolint:gosec // the same each time
	const worlds, bins = 1500, 10
	priors := []regress.Prior{{math.Log(0.5), 0.7}, {0.2, 0.3}, {-0.5, 0.5}}
	counts := make([][bins]float64, len(priors))
	for range worlds {
		truth := make([]float64, len(priors))
		for i, p := range priors {
			truth[i] = p.Mean + p.SD*r.NormFloat64()
		}
		m := regress.Model{Priors: priors}
		for range 60 {
			row := regress.Row{Effort: 0.5 + 3*r.Float64(), Terms: []regress.Term{{0, 1}, {1, r.Float64()}}}
			if r.IntN(2) == 0 {
				row.Terms = append(row.Terms, regress.Term{At: 2, Value: 1})
			}
			sum := 0.0
			for _, k := range row.Terms {
				sum += k.Value * truth[k.At]
			}
			row.Count = distuv.Poisson{Lambda: row.Effort * math.Exp(sum), Src: src}.Rand()
			m.Rows = append(m.Rows, row)
		}
		p, err := m.Fit(nil)
		require.NoError(t, err)
		sd := p.SD()
		for i := range priors {
			u := distuv.UnitNormal.CDF((truth[i] - p.Mode[i]) / sd[i])
			counts[i][min(bins-1, int(u*bins))]++
		}
	}
	for i := range counts {
		chi := 0.0
		for _, n := range counts[i] {
			chi += (n - worlds/bins) * (n - worlds/bins) / (worlds / bins)
		}
		assert.Less(t, chi, 27.88, "coefficient %d: %v", i, counts[i])
	}
}

// Rows of which a reading is not known: the likelihood is that over the cases, slope and curvature are those of the
// function, by differences, and where it is known which case holds it is as if nothing else had been written.
func TestWhatIsNotKnownOfARow(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := anyModel(t)
		n := len(m.Priors)
		for i := range n {
			m.Priors[i].SD = math.Min(m.Priors[i].SD, 0.5)
		}
		last := len(m.Priors)
		m.Priors = append(m.Priors, regress.Prior{SD: 0.4})
		for i := range m.Rows {
			x := rapid.Float64Range(0, 1).Draw(t, "open")
			m.Rows[i].Cases = []regress.Case{{Chance: 0.25, Terms: []regress.Term{{At: last, Value: x}}}, {Chance: 0.75}}
		}
		p, err := m.Fit(nil)
		require.NoError(t, err)
		const h = 1e-5
		beta := append([]float64(nil), p.Mode...)
		up, down, at := make([]float64, n+1), make([]float64, n+1), make([]float64, n+1)
		m.NegLog(beta, at, nil)
		for i := range beta {
			assert.InDelta(t, 0, at[i]*p.SD()[i], 1e-3)
			was := beta[i]
			beta[i] = was + h
			high := m.NegLog(beta, up, nil)
			beta[i] = was - h
			low := m.NegLog(beta, down, nil)
			beta[i] = was
			assert.InDelta(t, (high-low)/(2*h), at[i], 1e-3*(1+math.Abs(at[i])))
			// A row of the curvature times the covariance is a row of the identity.
			line := make([]float64, n+1)
			for j := range line {
				line[j] = (up[j] - down[j]) / (2 * h)
			}
			for j := range line {
				unit := make([]float64, n+1)
				unit[j] = 1
				assert.InDelta(t, map[bool]float64{true: 1}[i == j], p.Covariance(line, unit), 2e-3)
			}
		}
	})
	known := regress.Model{Priors: []regress.Prior{{SD: 1}, {SD: 1}}, Rows: []regress.Row{{Count: 3, Effort: 2,
		Terms: []regress.Term{{0, 1}}, Cases: []regress.Case{{Chance: 1, Terms: []regress.Term{{1, 0.5}}}}}}}
	plain := known
	plain.Rows = []regress.Row{{Count: 3, Effort: 2, Terms: []regress.Term{{0, 1}, {1, 0.5}}}}
	a, err := known.Fit(nil)
	require.NoError(t, err)
	b, err := plain.Fit(nil)
	require.NoError(t, err)
	assert.InDeltaSlice(t, b.Mode, a.Mode, 1e-9)
	assert.InDelta(t, b.NegLog, a.NegLog, 1e-9)
	assert.InDeltaSlice(t, b.SD(), a.SD(), 1e-9)
	// A coefficient may be named twice: its values add up.
	twice := plain
	twice.Rows = []regress.Row{{Count: 3, Effort: 2, Terms: []regress.Term{{0, 1}, {1, 1.5}, {1, -1}}}}
	c, err := twice.Fit(nil)
	require.NoError(t, err)
	assert.InDeltaSlice(t, b.SD(), c.SD(), 1e-9)
	known.Rows[0].Cases[0].Chance = 0.5
	_, err = known.Fit(nil)
	assert.ErrorContains(t, err, "chances sum to one")
}

// Counts that scatter more than chance are found to.
func TestDispersionIsFound(t *testing.T) {
	src := rand.NewPCG(5, 5)
	m := regress.Model{Priors: []regress.Prior{{0, 1}}}
	wild := regress.Model{Priors: m.Priors}
	for range 400 {
		gamma := distuv.Gamma{Alpha: 1, Beta: 1, Src: src}.Rand()
		row := regress.Row{Effort: 2, Terms: []regress.Term{{0, 1}}}
		row.Count = distuv.Poisson{Lambda: 4, Src: src}.Rand()
		m.Rows = append(m.Rows, row)
		row.Count = distuv.Poisson{Lambda: 4 * gamma, Src: src}.Rand()
		wild.Rows = append(wild.Rows, row)
	}
	p, err := m.Fit(nil)
	require.NoError(t, err)
	assert.InDelta(t, 1, m.Dispersion(p), 0.15)
	p, err = wild.Fit(nil)
	require.NoError(t, err)
	assert.Greater(t, wild.Dispersion(p), 3.0, "the variance is 4 + 16")
}

func TestWhatCannotBeFitted(t *testing.T) {
	for name, m := range map[string]regress.Model{
		"no spread":    {Priors: []regress.Prior{{0, 0}}},
		"no effort":    {Priors: []regress.Prior{{0, 1}}, Rows: []regress.Row{{Count: 1}}},
		"less than no": {Priors: []regress.Prior{{0, 1}}, Rows: []regress.Row{{Count: -1, Effort: 1}}},
		"nowhere":      {Priors: []regress.Prior{{0, 1}}, Rows: []regress.Row{{Effort: 1, Terms: []regress.Term{{1, 1}}}}},
		"no number":    {Priors: []regress.Prior{{math.NaN(), 1}}},
	} {
		_, err := m.Fit(nil)
		require.Error(t, err, name)
	}
}

// big is a log of many spells under a book of many rules: a dozen rules speak to each.
func big(n, k int) regress.Model {
	src := rand.NewPCG(2, 2)
	r := rand.New(src) //nolint:gosec // the same each time
	m := regress.Model{Priors: make([]regress.Prior, k)}
	for i := range m.Priors {
		m.Priors[i] = regress.Prior{Mean: 0.1, SD: 0.4}
	}
	for range n {
		row := regress.Row{Effort: 0.5 + 3*r.Float64(), Terms: []regress.Term{{0, 1}}}
		for range 12 {
			row.Terms = append(row.Terms, regress.Term{At: 1 + r.IntN(k-1), Value: r.Float64()})
		}
		row.Count = distuv.Poisson{Lambda: row.Effort, Src: src}.Rand()
		m.Rows = append(m.Rows, row)
	}
	return m
}

func BenchmarkFit2k(b *testing.B) {
	m := big(2000, 150)
	for b.Loop() {
		if _, err := m.Fit(nil); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkOneMore(b *testing.B) {
	m := big(2001, 150)
	less := regress.Model{Priors: m.Priors, Rows: m.Rows[:2000]}
	p, err := less.Fit(nil)
	require.NoError(b, err)
	for b.Loop() {
		if _, err := m.Fit(p.Mode); err != nil {
			b.Fatal(err)
		}
	}
}
