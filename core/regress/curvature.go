package regress

import "math"

// Curvature of a function of some coefficients: symmetric, of which the triangle below is kept row by row. It stands
// here, and not in a library of matrices, because it goes to every device with the core: it is a hundredth of the size.
type Curvature struct {
	n int
	// rows one after the other, each up to its diagonal.
	rows []float64
}

// NewCurvature of so many coefficients, nought everywhere.
func NewCurvature(n int) *Curvature { return &Curvature{n, make([]float64, n*(n+1)/2)} }

// row i up to its diagonal.
func (c *Curvature) row(i int) []float64 { return c.rows[i*(i+1)/2 : (i+1)*(i+2)/2] }

// At two coefficients, in either order.
func (c *Curvature) At(i, j int) float64 { return c.row(max(i, j))[min(i, j)] }

func (c *Curvature) clear() { clear(c.rows) }

// add a row's share.
func (c *Curvature) add(terms []Term, mu float64) {
	for j, a := range terms {
		weighed := mu * a.Value
		for k, b := range terms[:j+1] {
			v := weighed * b.Value
			if a.At == b.At && k < j { // the same coefficient twice: both ways round
				v *= 2
			}
			c.row(max(a.At, b.At))[min(a.At, b.At)] += v
		}
	}
}

// Factor of a curvature that is positive definite: L of L·Lᵀ (Golub and Van Loan, Matrix Computations, 4.2).
type Factor struct{ l Curvature }

// Factor it; false where it is not positive definite.
func (c *Curvature) Factor() (*Factor, bool) {
	f := &Factor{*NewCurvature(c.n)}
	for i := range c.n {
		from, to := c.row(i), f.l.row(i)
		for j := range i {
			below := f.l.row(j)
			to[j] = (from[j] - dot(to[:j], below[:j])) / below[j]
		}
		d := from[i] - dot(to[:i], to[:i])
		if !(d > 0) || math.IsInf(d, 0) {
			return nil, false
		}
		to[i] = math.Sqrt(d)
	}
	return f, true
}

// Solve for x in place: L·Lᵀ·x = b.
func (f *Factor) Solve(b []float64) {
	for i := range b {
		row := f.l.row(i)
		b[i] = (b[i] - dot(row[:i], b[:i])) / row[i]
	}
	for i := len(b) - 1; i >= 0; i-- {
		row := f.l.row(i)
		b[i] /= row[i]
		for j, v := range row[:i] {
			b[j] -= v * b[i]
		}
	}
}

func dot(a, b []float64) float64 {
	sum := 0.0
	for i, v := range a {
		sum += v * b[i]
	}
	return sum
}
