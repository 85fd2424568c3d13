package rigcard

import (
	"math"

	"greypebble/core/drawing"
)

// Width of every drawing.
const Width = 340.0

// point of a drawing.
type point = drawing.Point

// wraps of a line about an axis from one x to another: n turns of a height. It gives the
// runs that pass behind the axis and those that pass before it.
func wraps(axisY, fromX, toX float64, n int, height float64) (behind, before [][]point) {
	const perTurn = 16
	var run []point
	front := true
	flush := func() {
		if len(run) > 1 {
			if front {
				before = append(before, run)
			} else {
				behind = append(behind, run)
			}
		}
	}
	steps := n * perTurn
	for i := 0; i <= steps; i++ {
		turn := 2 * math.Pi * float64(i) / perTurn
		p := point{fromX + (toX-fromX)*float64(i)/float64(steps), axisY + height*math.Cos(turn)}
		run = append(run, p)
		if now := math.Sin(turn+math.Pi/perTurn) >= 0; now != front || i == steps {
			flush()
			run, front = []point{p}, now
		}
	}
	return behind, before
}
