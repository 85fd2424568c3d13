package pack

import (
	"encoding/json"
	"fmt"
	"time"

	"greypebble/core/conditions"
)

// water as it is written: thousands of readings, each a short row of numbers that look their words up.
type water struct {
	ID    string
	Name  string
	Words []string
	Rows  []row
	Usual conditions.Usual
	River *River
	Feed  *Feed
}

// row of a reading: kind, origin, source and site by their place among the words, milliseconds of Unix
// time, value, spread.
type row [7]float64

func waterOf(w *Water) water {
	out := water{ID: w.ID, Name: w.Name, Words: []string{}, Rows: make([]row, len(w.Readings)), Usual: w.Usual, River: w.River,
		Feed: w.Feed}
	at := map[string]int{}
	word := func(s string) float64 {
		i, seen := at[s]
		if !seen {
			i = len(out.Words)
			at[s], out.Words = i, append(out.Words, s)
		}
		return float64(i)
	}
	for i := range w.Readings {
		r := &w.Readings[i]
		out.Rows[i] = row{word(string(r.Kind)), word(string(r.Origin)), word(r.Source), word(r.Site), float64(r.Time.UnixMilli()), r.Value,
			r.Spread}
	}
	return out
}

func readWater(data []byte) (Water, error) {
	var in water
	if err := json.Unmarshal(data, &in); err != nil {
		return Water{}, err
	}
	out := Water{ID: in.ID, Name: in.Name, Usual: in.Usual, River: in.River, Feed: in.Feed,
		Readings: make([]conditions.Reading, len(in.Rows))}
	var failed error
	word := func(v float64) string {
		if i := int(v); v >= 0 && i < len(in.Words) {
			return in.Words[i]
		}
		failed = fmt.Errorf("there is no word %v of %d", v, len(in.Words))
		return ""
	}
	for i, r := range in.Rows {
		out.Readings[i] = conditions.Reading{Kind: conditions.Kind(word(r[0])), Origin: conditions.Origin(word(r[1])), Source: word(r[2]),
			Site: word(r[3]), Time: time.UnixMilli(int64(r[4])).UTC(), Value: r[5], Spread: r[6]}
	}
	return out, failed
}
