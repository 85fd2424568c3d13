package conditions

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestALoggersReadingStaysTheLoggers(t *testing.T) {
	at := func(h int) time.Time { return time.Date(2026, 5, 12, h, 0, 0, 0, time.UTC) }
	logger := Reading{Kind: WaterTemp, Value: 15.2371, Time: at(6), Origin: Observed, Source: "logger at the post",
		Site: "post", Spread: 0.1}
	mine := Reading{Kind: Clarity, Value: 0.2236067977, Time: at(7), Origin: Observed, Source: TheAngler}
	wind := Reading{Kind: WindSpeed, Value: 4, Time: at(7), Origin: Forecast, Source: "service"}
	old := []Reading{logger, mine, wind}
	say := func(k Kind, v float64) Reading {
		return Reading{Kind: k, Value: v, Time: at(9), Origin: Observed, Source: TheAngler}
	}
	find := func(list []Reading, k Kind) (r Reading) {
		for _, x := range list {
			if x.Kind == k {
				r = x
			}
		}
		return r
	}
	// Sent back as it was shown.
	kept := Kept(old, []Reading{say(WaterTemp, 15.2), say(Clarity, 0.22)}, nil)
	assert.Equal(t, logger, find(kept, WaterTemp))
	assert.Equal(t, mine, find(kept, Clarity))
	assert.Equal(t, wind, find(kept, WindSpeed))
	// Said anew.
	kept = Kept(old, []Reading{say(WaterTemp, 17)}, []Reading{{Kind: Clarity, Value: 1, Origin: Assumed}})
	assert.InDelta(t, 17, find(kept, WaterTemp).Value, 0)
	assert.Equal(t, TheAngler, find(kept, WaterTemp).Source)
	assert.Equal(t, Assumed, find(kept, Clarity).Origin, "one's own that is said no longer is taken back")
}
