package nmea

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func line(kind string, fields ...string) string {
	return Sentence{"GP", kind, fields}.String() + "\r\n"
}

// A short log over midnight: what comes before the first date is left out, a
// GGA after midnight goes on to the next day, garbage is passed over.
func TestLog(t *testing.T) {
	log := line("DPT", "9.9", "0") +
		line("RMC", "235950", "A", "3112.600", "N", "04506.000", "W", "2", "90", "191126", "", "", "A") +
		line("DPT", "2.4", "0.3") + "noise\r\n" + line("MTW", "16.2", "C") +
		line("GGA", "000005", "3112.610", "N", "04506.000", "W", "1", "8", "1", "0", "M", "0", "M", "", "") +
		line("DBT", "7.9", "f", "2.4", "M", "1.3", "F")
	pings, faults, err := ReadLog([]byte(log))
	require.NoError(t, err)
	require.Len(t, pings, 3)
	assert.Equal(t, 1, faults.NotSentences)
	assert.Equal(t, time.Date(2026, 11, 19, 23, 59, 50, 0, time.UTC), pings[0].Time)
	assert.InDelta(t, 31.21, pings[0].Lat, 1e-9)
	assert.InDelta(t, -45.1, pings[0].Lon, 1e-9)
	assert.InDelta(t, 2.7, pings[0].DepthM, 1e-9)
	assert.True(t, pings[0].HasDepth)
	assert.InDelta(t, 16.2, pings[1].WaterTempC, 1e-12)
	assert.Equal(t, time.Date(2026, 11, 20, 0, 0, 5, 0, time.UTC), pings[2].Time)
	assert.InDelta(t, 31.2101667, pings[2].Lat, 1e-6)
}

func TestLogsThatWillNotDo(t *testing.T) {
	_, _, err := ReadLog([]byte(line("DPT", "2.4", "0")))
	assert.ErrorIs(t, err, ErrNoDate)
	_, _, err = ReadLog([]byte("time,depth\n"))
	assert.ErrorContains(t, err, "no sentences")
}

func FuzzReadLog(f *testing.F) {
	f.Add(line("RMC", "235950", "A", "3112.600", "N", "04506.000", "W", "2", "90", "191126", "", "", "A") + line("DPT", "2.4", "0.3"))
	f.Fuzz(func(t *testing.T, raw string) {
		pings, _, err := ReadLog([]byte(raw))
		if err != nil && pings != nil {
			t.Fatal("half read")
		}
		assert.LessOrEqual(t, len(pings), strings.Count(raw, "\n")+strings.Count(raw, "$")+strings.Count(raw, "\r"))
	})
}
