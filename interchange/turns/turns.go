// Package turns reads and writes tables of high and low waters as CSV (see
// interchange/table for separators and times): columns time, height_m (or
// height_cm, height_ft), and kind: high or low (also H, L, HW, LW). Without a
// kind it is told from the neighbours. Errors name line and column and what was
// expected; nothing is half read.
package turns

import (
	"bytes"
	"encoding/csv"
	"fmt"
	"math"
	"strconv"
	"strings"
	"time"

	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/interchange/gauge"
	"greypebble/interchange/parse"
	"greypebble/interchange/table"
)

// MostTurns a file may hold: thirty years of them.
const MostTurns = 50_000

var kinds = map[string]tide.Kind{"high": tide.High, "h": tide.High, "hw": tide.High, "high water": tide.High,
	"low": tide.Low, "l": tide.Low, "lw": tide.Low, "low water": tide.Low}

// Read a table of turns. They must follow one another in time.
func Read(raw []byte, zone *time.Location) ([]tide.Turn, error) {
	t, err := table.Open(raw, zone)
	if err != nil {
		return nil, err
	}
	height, err := gauge.HeightOf(t)
	if err != nil {
		return nil, err
	}
	_, told := t.Columns["kind"]
	var out []tide.Turn
	for {
		more, err := t.Next()
		if err != nil {
			return nil, err
		}
		if !more {
			break
		}
		k, err := row(t, height, told)
		if err != nil {
			return nil, err
		}
		if n := len(out); n > 0 && !k.Time.After(out[n-1].Time) {
			return nil, parse.At(t.Line(), "time", "not later than the line before; expected turns in order of time")
		}
		if out = append(out, k); len(out) > MostTurns {
			return nil, parse.At(t.Line(), "", fmt.Sprintf("more than %d high and low waters", MostTurns))
		}
	}
	if !told {
		tellKinds(out)
	}
	return out, nil
}

func row(t *table.Table, height gauge.Height, told bool) (tide.Turn, error) {
	var k tide.Turn
	var err error
	if k.Time, err = t.Time("time"); err != nil {
		return k, err
	}
	if k.LevelM, err = height.Metres(); err != nil {
		return k, err
	}
	if math.IsNaN(k.LevelM) {
		return k, parse.At(t.Line(), height.Name(), "empty; expected a height")
	}
	if !told {
		return k, nil
	}
	text, err := t.Text("kind")
	if err != nil {
		return k, err
	}
	var ok bool
	if k.Kind, ok = kinds[strings.ToLower(text)]; !ok {
		return k, parse.At(t.Line(), "kind", fmt.Sprintf("expected high or low, not %q", text))
	}
	return k, nil
}

// tellKinds by the neighbours: a high water stands above them.
func tellKinds(list []tide.Turn) {
	for i := range list {
		sum := 0.0
		for _, j := range []int{i - 1, i + 1} {
			if j >= 0 && j < len(list) {
				sum += list[i].LevelM - list[j].LevelM
			}
		}
		if sum > 0 {
			list[i].Kind = tide.High
		} else {
			list[i].Kind = tide.Low
		}
	}
}

// Write a table, times in UTC to the second, heights to the millimetre or the hundredth of a
// foot, as depths are spoken of.
func Write(list []tide.Turn, spoken quantity.Units) []byte {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	unit, places := "m", 3
	if spoken.Of("depth") == "ft" { // of what depths are spoken in, [Read] takes these
		unit, places = "ft", 2
	}
	_ = w.Write([]string{"time", "height_" + quantity.Ending(unit), "kind"})
	for _, k := range list {
		_ = w.Write([]string{k.Time.UTC().Format(time.RFC3339), strconv.FormatFloat(quantity.Written(k.LevelM, unit), 'f', places, 64),
			k.Kind.String()})
	}
	w.Flush()
	return b.Bytes()
}
