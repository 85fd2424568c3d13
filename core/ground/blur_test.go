package ground

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestBlurHidesAPlace(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		at := LatLon{rapid.Float64Range(-70, 70).Draw(t, "lat"), rapid.Float64Range(-179, 179).Draw(t, "lon")}
		secret, id := rapid.SliceOfN(rapid.Byte(), 32, 32).Draw(t, "secret"), rapid.String().Draw(t, "id")
		within := BlurWithin(rapid.Float64Range(1, 30_000).Draw(t, "within"))
		moved := Blurred(at, secret, id, within)
		d := Distance(at, moved)
		assert.GreaterOrEqual(t, d, 0.39*within)
		assert.LessOrEqual(t, d, 1.01*within)
		assert.Equal(t, moved, Blurred(at, secret, id, within), "the same every time")
	})
}

// Twenty spots of one import: knowing one's place gives no other's, and the mean of their
// offsets goes nowhere in particular.
func TestEachSpotIsMovedByItself(t *testing.T) {
	at, secret := LatLon{31.2, -45.1}, []byte("a secret of thirty-two characters")
	seen := map[[2]int]bool{}
	var north, east float64
	const n = 400
	for i := range n {
		m := Blurred(at, secret, fmt.Sprintf("018f0000-0000-7000-8000-%012d", i), 1000)
		seen[[2]int{int((m.Lat - at.Lat) * 1e5), int((m.Lon - at.Lon) * 1e5)}] = true
		north += (m.Lat - at.Lat) * 111_200 / n
		east += (m.Lon - at.Lon) * 111_200 * math.Cos(at.Lat*math.Pi/180) / n
	}
	assert.Greater(t, len(seen), n-10)
	// The mean of n draws has a standard deviation of about 540 m/√n a direction.
	assert.Less(t, math.Hypot(north, east), 4*540/math.Sqrt(n))
	assert.NotEqual(t, Blurred(at, secret, "a", 1000), Blurred(at, []byte("another secret"), "a", 1000))
	// Two distances do not point at the place: 2·p(1 km) − p(2 km) would be it.
	a, b := Blurred(at, secret, "a", 1000), Blurred(at, secret, "a", 2000)
	assert.Greater(t, Distance(at, LatLon{2*a.Lat - b.Lat, 2*a.Lon - b.Lon}), 100.0)
}
