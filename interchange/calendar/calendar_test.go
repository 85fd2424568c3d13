package calendar

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/quantity"
)

// By RFC 5545: CRLF, lines of at most 75 octets, times in UTC, one UID an event.
func TestVisitsAsACalendar(t *testing.T) {
	at := func(h, m int) time.Time { return time.Date(2026, 11, 20, h, m, 0, 0, time.UTC) }
	zone := time.FixedZone("there", -3*3600)
	visits := []ground.Visit{
		{Window: ground.Window{Opens: at(9, 40), Closes: at(13, 30), ClosedBy: "too little water over the sill"}, BeOutBy: at(13, 10)},
		{Window: ground.Window{Closes: at(13, 30)}, BeOutBy: at(13, 10)}, // begun before: no beginning to write
		{Window: ground.Window{Opens: at(21, 40)}},
		{Window: ground.Window{Opens: at(22, 5), Closes: at(23, 55)}, BeOutBy: at(23, 35)},
	}
	raw, err := Visits("7", "Lantern Lake; the far end, by the post", visits, zone, quantity.Metric, at(6, 0))
	require.NoError(t, err)
	text := string(raw)
	for _, line := range strings.SplitAfter(text, "\n") {
		if line != "" {
			assert.True(t, strings.HasSuffix(line, "\r\n"), "%q", line)
			assert.LessOrEqual(t, len(line), 77)
		}
	}
	unfolded := strings.ReplaceAll(text, "\r\n ", "")
	assert.Equal(t, 2, strings.Count(unfolded, "BEGIN:VEVENT"))
	assert.Contains(t, unfolded, "DTSTART:20261120T094000Z")
	assert.Contains(t, unfolded, "DTEND:20261120T131000Z", "it ends when to be out, not when it shuts")
	assert.Contains(t, unfolded, `SUMMARY:Lantern Lake\; the far end\, by the post`)
	assert.Contains(t, unfolded, "06:40", "in words of the place's own clock")
	assert.Equal(t, 2, strings.Count(unfolded, "heed local warnings"))
	uids := map[string]bool{}
	for _, line := range strings.Split(unfolded, "\r\n") {
		if strings.HasPrefix(line, "UID:") {
			uids[line] = true
		}
	}
	assert.Len(t, uids, 2)
	again, err := Visits("7", "Lantern Lake; the far end, by the post", visits, zone, quantity.Metric, at(6, 0))
	require.NoError(t, err)
	assert.Equal(t, raw, again, "the same visit is the same event when it is taken again")
}

// Taken again later it is the same event with a higher number.
func TestAnEventIsChangedAndNotDoubled(t *testing.T) {
	at := time.Date(2026, 11, 20, 9, 0, 0, 0, time.UTC)
	one := Event{"spot-20261121-am", SequenceAt(at), at, at.Add(time.Hour), "Bar", "Best now."}
	other := one
	other.Sequence, other.From = SequenceAt(at.Add(2*time.Hour)), at.Add(10*time.Minute)
	assert.Greater(t, other.Sequence, one.Sequence)
	first, err := Write([]Event{one}, at)
	require.NoError(t, err)
	second, err := Write([]Event{other}, at.Add(2*time.Hour))
	require.NoError(t, err)
	for _, raw := range []string{string(first), string(second)} {
		assert.Contains(t, raw, "UID:spot-20261121-am@greypebble")
	}
	assert.Contains(t, string(first), fmt.Sprintf("SEQUENCE:%d", one.Sequence))
	assert.Contains(t, string(second), fmt.Sprintf("SEQUENCE:%d", other.Sequence))
	assert.Zero(t, SequenceAt(time.Unix(0, 0)))
}

func TestABareCarriageReturnBeginsNoLine(t *testing.T) {
	raw, err := Visits("7", "Bar\rATTACH:x", []ground.Visit{{Window: ground.Window{Opens: time.Unix(0, 0), Closes: time.Unix(9000, 0)},
		BeOutBy: time.Unix(8000, 0)}}, time.UTC, quantity.Metric, time.Unix(0, 0))
	require.NoError(t, err)
	assert.Contains(t, string(raw), `SUMMARY:Bar\nATTACH:x`)
	assert.Equal(t, strings.Count(string(raw), "\r"), strings.Count(string(raw), "\r\n"))
}
