package ground

import (
	"crypto/hmac"
	"crypto/sha256"
	"encoding/binary"
	"math"
)

// blurs a place may be moved within, metres. There are few, so that a place is given away
// at few draws however often it is asked for.
var blurs = []float64{100, 200, 500, 1000, 2000, 5000, 10_000, 20_000}

// BlurWithin is the distance a place is moved within when one is asked for: the next that
// is given, up to 20 km.
func BlurWithin(askedM float64) float64 {
	for _, b := range blurs {
		if askedM <= b {
			return b
		}
	}
	return blurs[len(blurs)-1]
}

// Blurred place of something by its id: moved by 0.4 to 1 of a distance of [BlurWithin],
// evenly over that ring. The draw is its owner's secret's, for this id and distance: the
// same every time, so that averaging does not undo it; another for each id, so that one
// known place gives no other away; and another for each distance, or two would point at it.
func Blurred(at LatLon, secret []byte, id string, withinM float64) LatLon {
	m := hmac.New(sha256.New, secret)
	m.Write([]byte(id))
	_ = binary.Write(m, binary.LittleEndian, withinM)
	sum := m.Sum(nil)
	unit := func(b []byte) float64 { return float64(binary.LittleEndian.Uint64(b)>>11) / (1 << 53) }
	const least = 0.4
	share := math.Sqrt(least*least + (1-least*least)*unit(sum[8:]))
	return Toward(at, 360*unit(sum), withinM*share)
}
