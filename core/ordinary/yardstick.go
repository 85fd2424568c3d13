package ordinary

import (
	"math"

	"greypebble/core/playbook"
)

// Yardstick is what an ordinary spell of a target has: of each rule of the book, and what those
// about there and feeding come to together under a belief.
type Yardstick struct {
	Target string
	Rules  []float64
	Log    float64
}

// Measure a target by what is believed of the coefficients.
func Measure(b *playbook.Book, t *playbook.Target, mean func(rule int) float64) Yardstick {
	y := Yardstick{Target: t.ID, Rules: Of(b, t)}
	for _, r := range b.About(t.ID) {
		if b.Rules[r].Part != playbook.Taken {
			y.Log += mean(r) * y.Rules[r]
		}
	}
	return y
}

// halfAway is the logarithm of what a target that is half away can be worth at most.
var halfAway = math.Log(2)

// MostAbsent is the logarithm of the most a target can be worth that is away by a share: nothing
// holds down one that is here, and one that is not is never better than ordinary.
func MostAbsent(absence float64) float64 {
	if absence <= 0 {
		return math.Inf(1)
	}
	return (1 - absence) / absence * halfAway
}

// Away says that a target so far absent does not live here now.
func Away(absence float64) bool { return absence >= 0.5 }
