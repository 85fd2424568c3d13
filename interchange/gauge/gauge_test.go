package gauge

import (
	"strings"
	"testing"
	"time"
	_ "time/tzdata"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestReads(t *testing.T) {
	want := time.Date(2026, 5, 12, 6, 0, 0, 0, time.UTC)
	for name, text := range map[string]string{
		"plain":          "time,height_m\n2026-05-12T06:00:00Z,1.25\n",
		"offset":         "time,height_m\n2026-05-12T08:00:00+02:00,1.25\n",
		"space":          "time,height\n2026-05-12 06:00Z,1.25\n",
		"centimetres":    "Time,Height_cm\r\n2026-05-12T06:00:00Z,125\r\n",
		"semicolon":      "time;height_m;flag\n2026-05-12T06:00:00Z;1,25;ok\n",
		"tab and BOM":    "\ufefftime\theight_m\n2026-05-12T06:00:00Z\t1.25\n",
		"other columns":  "id,height_m,time\n7,1.25,2026-05-12T06:00:00Z\n",
		"gap and blanks": "time,height_m\n2026-05-12T05:00:00Z,\n\n2026-05-12T06:00:00Z,1.25\n",
	} {
		got, err := Read([]byte(text), Options{})
		require.NoError(t, err, name)
		require.Len(t, got, 1, name)
		assert.True(t, want.Equal(got[0].Time), name)
		assert.InDelta(t, 1.25, got[0].HeightM, 1e-9, name)
	}
}

// The night daylight-saving time ends has an hour twice, in the order of the
// lines; the night it begins skips one.
func TestTheHourThatComesTwice(t *testing.T) {
	zone, err := time.LoadLocation("Europe/Amsterdam")
	require.NoError(t, err)
	text := "time,height_m\n2026-10-25 01:30,1\n2026-10-25 02:00,2\n2026-10-25 02:30,3\n" +
		"2026-10-25 02:00,4\n2026-10-25 02:30,5\n2026-10-25 03:00,6\n"
	got, err := Read([]byte(text), Options{Zone: zone})
	require.NoError(t, err)
	require.Len(t, got, 6)
	for i := 1; i < len(got); i++ {
		assert.Equal(t, 30*time.Minute, got[i].Time.Sub(got[i-1].Time), "line %d", i+2)
	}
	assert.Equal(t, time.Date(2026, 10, 24, 23, 30, 0, 0, time.UTC), got[0].Time)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":                             "line 1: the file is empty",
		"when,height_m\n":              "expected columns time and height_m",
		"time,level\n":                 "expected columns time and height_m",
		"time,height_m,height_ft\n":    "two such columns",
		"time,height_m\nyesterday,1\n": "line 2, column time: expected a time",
		"time,height_m\n2026-05-12T06:00:00Z,high\n":                       "line 2, column height_m: expected a number",
		"time,height_m\n2026-05-12T06:00:00Z,99\n":                         "line 2, column height_m: a height of 99 m cannot be",
		"time,height_m\n2026-05-12T06:00:00Z,NaN\n":                        "expected a number",
		"time,height_m\n2026-05-12 06:00,1\n":                              "does not say its time zone",
		"time,height_m\n2026-05-12T06:00Z,1\n2026-05-12 07:00,1\n":         "line 3, column time",
		"time,height_m\n2026-05-12T06:00:00Z\n":                            "line 2: 1 values; expected at least 2",
		"time,height_m\n2026-05-12T06:00:00Z,\"1\n":                        "quotation marks",
		"time,height_m\n2026-05-12T06:00:00Z,1\n2026-05-12T07:00:00Z,\xff": "line 3: not UTF-8",
	} {
		got, err := Read([]byte(text), Options{})
		assert.ErrorContains(t, err, want, text)
		assert.Empty(t, got, "nothing is half read")
	}
	_, err := Read([]byte("time,height_m\n2026-05-12 06:00,1\n2026-05-12T06:00Z,1\n"), Options{Zone: time.UTC})
	assert.ErrorContains(t, err, "line 3, column time")
}

func FuzzRead(f *testing.F) {
	f.Add([]byte("time,height_m\n2026-05-12T06:00:00Z,1.25\n"))
	f.Add([]byte("time;height_m\n2026-10-25 02:00;1,5\n2026-10-25 02:00;1,5\n"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		got, err := Read(raw, Options{Zone: time.FixedZone("x", 3600)})
		if err != nil && (got != nil || !strings.HasPrefix(err.Error(), "line ")) {
			t.Fatalf("%v %v", got, err)
		}
	})
}
