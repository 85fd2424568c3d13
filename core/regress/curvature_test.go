package regress_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/mat"
	"pgregory.net/rapid"

	"greypebble/core/regress"
)

// Solved as the library of matrices solves it, which does not go to the device; what is not positive definite has no
// factor.
func TestACurvatureIsSolvedAsTheLibraryDoes(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := anyModel(t)
		n := len(m.Priors)
		c, beta := regress.NewCurvature(n), make([]float64, n)
		m.NegLog(beta, make([]float64, n), c)
		want, b := mat.NewSymDense(n, nil), make([]float64, n)
		for i := range n {
			b[i] = rapid.Float64Range(-3, 3).Draw(t, "b")
			for j := i; j < n; j++ {
				want.SetSym(i, j, c.At(j, i))
			}
		}
		var x mat.VecDense
		require.NoError(t, x.SolveVec(want, mat.NewVecDense(n, append([]float64(nil), b...))))
		f, there := c.Factor()
		require.True(t, there)
		f.Solve(b)
		assert.InDeltaSlice(t, x.RawVector().Data, b, 1e-8)
	})
	_, there := regress.NewCurvature(3).Factor()
	assert.False(t, there)
}
