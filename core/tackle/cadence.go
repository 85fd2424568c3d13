package tackle

import (
	"fmt"
	"strconv"
	"strings"
)

// Beat of a retrieve.
type Beat struct {
	// Move is wind, twitch, jerk, pop, hop, walk, lift or pause.
	Move string
	// Seconds it lasts.
	Seconds float64
}

// moves and how long one lasts where nothing is said (common practice, no
// source).
var moves = map[string]float64{"wind": 1, "twitch": 0.4, "jerk": 0.7, "pop": 0.6, "hop": 0.8, "walk": 0.5, "lift": 1, "pause": 2}

// Limits of a cadence.
const (
	mostBeats   = 60
	longestBeat = 60.0
)

// ParseCadence reads a retrieve in words: moves one after another, each with its
// seconds where they matter and how often in front of it,
//
//	2 twitch pause 4 s
//	wind 3 s pause 0.5
//	hop, hop, pause 3s
//
// The error names the word that is wrong and what was expected.
func ParseCadence(text string) ([]Beat, error) {
	words := strings.Fields(strings.ToLower(strings.NewReplacer(",", " ", ";", " ", "×", " ").Replace(text)))
	var out []Beat
	times := 1
	counted := false
	for i := 0; i < len(words); i++ {
		w := words[i]
		usual, known := moves[w]
		if !known {
			n, err := strconv.Atoi(w)
			if err != nil || counted || n < 1 || n > mostBeats {
				return nil, fmt.Errorf("tackle: word %d of the cadence, %q: expected wind, twitch, jerk, pop, hop, walk, lift or "+
					"pause, or how often (1 to %d) before one of them", i+1, w, mostBeats)
			}
			times, counted = n, true
			continue
		}
		b := Beat{w, usual}
		if i+1 < len(words) {
			s, said, joined := seconds(words, i+1)
			if said {
				if !(s > 0 && s <= longestBeat) {
					return nil, fmt.Errorf("tackle: word %d of the cadence: %s lasts between 0 and %v s, not %v", i+2, w, longestBeat, s)
				}
				b.Seconds = s
				i += joined
			}
		}
		for range times {
			if out = append(out, b); len(out) > mostBeats {
				return nil, fmt.Errorf("tackle: a cadence has at most %d beats", mostBeats)
			}
		}
		times, counted = 1, false
	}
	if counted {
		return nil, fmt.Errorf("tackle: the cadence ends with a number; expected a move after it")
	}
	if len(out) == 0 {
		return nil, fmt.Errorf("tackle: the cadence is empty; expected moves such as twitch twitch pause 4 s")
	}
	return out, nil
}

// seconds at a word: "4 s", "4s", "0.5" where no move follows it.
func seconds(words []string, i int) (s float64, said bool, joined int) {
	w := words[i]
	text, unit := strings.CutSuffix(w, "s")
	v, err := strconv.ParseFloat(text, 64)
	if err != nil {
		return 0, false, 0
	}
	switch {
	case unit:
		return v, true, 1
	case i+1 < len(words) && words[i+1] == "s":
		return v, true, 2
	case i+1 < len(words) && moves[words[i+1]] > 0 && v == float64(int(v)):
		return 0, false, 0 // how often the next move comes
	}
	return v, true, 1
}

// WriteCadence in its shortest words; ParseCadence gives it back.
func WriteCadence(beats []Beat) string {
	var parts []string
	for i := 0; i < len(beats); {
		n := i
		for n < len(beats) && beats[n] == beats[i] {
			n++
		}
		p := beats[i].Move
		if beats[i].Seconds != moves[p] {
			p += " " + strconv.FormatFloat(beats[i].Seconds, 'f', -1, 64) + " s"
		}
		if n-i > 1 {
			p = strconv.Itoa(n-i) + " " + p
		}
		parts = append(parts, p)
		i = n
	}
	return strings.Join(parts, " ")
}

// Length of one round of a cadence, seconds.
func Length(beats []Beat) float64 {
	total := 0.0
	for _, b := range beats {
		total += b.Seconds
	}
	return total
}
