package trial

import "math"

// Between is what a book has of the ratio of two ways, by how its rules hold of each (1: it holds, 0: it does not): the
// sum of those that differ, as wide as they are, and a half of [Unknown] for what the book does not speak of. believed is
// the mean and the standard deviation of a rule's logarithm.
func Between(first, second []float64, believed func(rule int) (mean, sd float64)) Prior {
	mean, variance := 0.0, Unknown.SD*Unknown.SD/4
	for r := range first {
		if x := first[r] - second[r]; x != 0 {
			m, sd := believed(r)
			mean += x * m
			variance += x * x * sd * sd
		}
	}
	return Prior{Mean: mean, SD: math.Sqrt(variance)}
}
