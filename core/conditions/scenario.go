package conditions

import "math"

// Scenarios is how many ways the uncertain readings are drawn. Advice is worked
// out in each of them with the same draws for every choice, so that what two
// choices have in common cancels and what is not known widens the interval.
const Scenarios = 8

// draws are the corners of a half-fraction of the 2⁴ design: each reading is one
// standard deviation up in four and down in four, uncorrelated with the others.
var draws = [Scenarios][4]float64{
	{-1, -1, -1, -1}, {1, -1, -1, 1}, {-1, 1, -1, 1}, {1, 1, -1, -1},
	{-1, -1, 1, 1}, {1, -1, 1, -1}, {-1, 1, 1, -1}, {1, 1, 1, 1},
}

// Draw is a reading that is drawn.
type Draw int

// Readings that are drawn, in the order of the draws.
const (
	DrawClarity Draw = iota
	DrawWaterTemp
	DrawWindSpeed
	DrawCloud
	// Draws is how many there are. Over the scenarios any three of them take each
	// combination of low and high equally often.
	Draws = 4
)

// High says which readings are high in a scenario, a bit each in the order of the
// draws.
func High(scenario int) (bits uint8) {
	for i, z := range draws[scenario] {
		if z > 0 {
			bits |= 1 << i
		}
	}
	return bits
}

// Ends are the values of the readings when all are low and when all are high.
func (b Believed) Ends() (low, high Values) {
	return b.at(-1, -1, -1, -1), b.at(1, 1, 1, 1)
}

// Values of the readings in one scenario. The water's temperature is NaN where nobody has told it: a
// middling sky is a sky, but a middling temperature is no fish's.
type Values struct{ SecchiM, WaterTempC, WindSpeedMS, Cloud float64 }

// Scenario k of what is believed, 0 ≤ k < [Scenarios].
func (b Believed) Scenario(k int) Values {
	z := &draws[k]
	return b.at(z[0], z[1], z[2], z[3])
}

func (b Believed) at(clarity, temp, wind, cloud float64) Values {
	v := Values{b[Clarity].At(clarity), b[WaterTemp].At(temp), b[WindSpeed].At(wind), b[Cloud].At(cloud)}
	if b[WaterTemp].Origin == Assumed {
		v.WaterTempC = math.NaN()
	}
	return v
}
