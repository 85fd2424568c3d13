package logger

import (
	"bytes"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/nmea"
)

// Log is what the log of an instrument (CSV) or of a sounder (NMEA 0183) holds.
type Log struct {
	// Format is "csv" or "nmea".
	Format   string
	Readings []conditions.Reading
	// Soundings with a place, for a map of the bottom; PassedBy, lines that were no
	// sentence, or a damaged one.
	Soundings, PassedBy int
}

// ReadAny tells a sounder's log from an instrument's by its first character, and reads it
// as the readings of a source. zone is that of times without an offset.
func ReadAny(raw []byte, zone *time.Location, source string) (Log, error) {
	if text := bytes.TrimSpace(raw); bytes.HasPrefix(text, []byte("$")) || bytes.HasPrefix(text, []byte("!")) {
		pings, faults, err := nmea.ReadLog(raw)
		if err != nil {
			return Log{}, err
		}
		l := Log{Format: "nmea", PassedBy: faults.Checksums + faults.NotSentences + faults.Values}
		l.Readings, l.Soundings = ofPings(pings, source)
		return l, nil
	}
	list, err := Read(raw, zone, source)
	return Log{Format: "csv", Readings: list}, err
}

// pingsEach is how often a sounder's log becomes a reading of temperature: more would say
// the same.
const pingsEach = 10 * time.Minute

// ofPings are the temperatures of a sounder's log, one in ten minutes, and how many
// depths it holds.
func ofPings(pings []nmea.Ping, source string) (list []conditions.Reading, soundings int) {
	var last time.Time
	for _, p := range pings {
		if p.HasDepth {
			soundings++
		}
		if p.HasTemp && (last.IsZero() || p.Time.Sub(last) >= pingsEach) {
			list = append(list, conditions.Reading{Kind: conditions.WaterTemp, Value: p.WaterTempC, Time: p.Time,
				Origin: conditions.Observed, Source: source})
			last = p.Time
		}
	}
	return list, soundings
}
