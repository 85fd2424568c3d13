package tackle

// Pause between moves of a lure in seconds for a water temperature in °C: the
// colder, the longer (common practice, no source).
func Pause(waterTempC float64) float64 {
	switch {
	case waterTempC < 12:
		return 4
	case waterTempC < 16:
		return 3
	case waterTempC < 22:
		return 2
	}
	return 1
}
