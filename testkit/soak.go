package testkit

import "os"

// Soaking says that tests that draw lots run whole (make soak), not a tenth of it.
func Soaking() bool { return os.Getenv("GREYPEBBLE_SOAK") != "" }

// Times a test that draws lots is repeated: all of them when soaking, a tenth otherwise.
func Times(n int) int {
	if Soaking() {
		return n
	}
	return max(1, n/10)
}
