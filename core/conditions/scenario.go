package conditions

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

// Values of the readings in one scenario.
type Values struct{ SecchiM, WaterTempC, WindSpeedMS, Cloud float64 }

// Scenario k of what is believed, 0 ≤ k < [Scenarios].
func (b Believed) Scenario(k int) Values {
	z := &draws[k]
	return Values{b[Clarity].At(z[0]), b[WaterTemp].At(z[1]), b[WindSpeed].At(z[2]), b[Cloud].At(z[3])}
}
