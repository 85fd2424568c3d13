package columns_test

import (
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"greypebble/interchange/columns"
	"greypebble/interchange/gauge"
	"greypebble/interchange/kitcsv"
	"greypebble/interchange/logcsv"
	"greypebble/interchange/pointcsv"
	"greypebble/interchange/profile"
	"greypebble/interchange/soundings"
	"greypebble/interchange/tagcsv"
	"greypebble/interchange/turns"
)

// Every name that is offered is one its reader knows: it is not refused as a column.
func TestReadersKnowEveryColumnOffered(t *testing.T) {
	read := map[string]func(raw []byte) error{
		"record":    func(raw []byte) error { _, err := gauge.Read(raw, gauge.Options{Zone: time.UTC}); return err },
		"turns":     func(raw []byte) error { _, err := turns.Read(raw, time.UTC); return err },
		"soundings": func(raw []byte) error { _, err := soundings.Read(raw, 0); return err },
		"section":   func(raw []byte) error { _, err := profile.Read(raw); return err },
		"places":    func(raw []byte) error { _, _, err := pointcsv.Read(raw); return err },
		"tags":      func(raw []byte) error { _, err := tagcsv.Read(raw, time.UTC); return err },
		"log": func(raw []byte) error {
			_, faults, err := logcsv.Read(raw, "")
			if err == nil && len(faults) > 0 {
				err = faults[0]
			}
			return err
		},
		"kit": func(raw []byte) error { _, err := kitcsv.Read(raw); return err },
	}
	sample := map[string]string{"time": "2026-11-20T06:00:00Z", "name": "a", "kind": "high", "lat": "38", "lon": "-31"}
	for reader, list := range columns.Readers {
		for _, tried := range list {
			for _, name := range tried.Names {
				var header, line []string
				add := func(n string) {
					header = append(header, n)
					v := sample[n]
					if v == "" {
						v = "1"
					}
					if reader == "kit" && n == "kind" {
						v = "bait"
					}
					line = append(line, v)
				}
				for _, c := range list {
					switch {
					case c.Says == tried.Says:
						add(name)
					case c.Needed:
						add(c.Names[0])
					}
				}
				err := read[reader]([]byte(strings.Join(header, ",") + "\n" + strings.Join(line, ",") + "\n"))
				if err != nil {
					assert.NotContains(t, err.Error(), "line 1", "%s: %s", reader, name)
				}
			}
		}
	}
}
