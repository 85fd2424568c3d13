package water

import (
	"fmt"
	"math"
	"strings"
)

// ClarityWord is how anglers speak of clarity, and the Secchi depths it stands
// for here.
type ClarityWord struct {
	Word                 string
	FromSecchi, ToSecchi float64 // metres
}

// clarityWords from muddy to clear. The limits are the house's judgement: no
// two anglers agree, so a word counts as a wide reading.
var clarityWords = []ClarityWord{
	{"muddy", 0.1, 0.5}, {"stained", 0.5, 2}, {"clear", 2, 6}, {"gin clear", 6, 20},
}

// ClarityWords from muddy to clear.
func ClarityWords() []ClarityWord { return append([]ClarityWord(nil), clarityWords...) }

// ClarityOf a Secchi depth in metres as a word.
func ClarityOf(secchiM float64) ClarityWord {
	for _, w := range clarityWords {
		if secchiM < w.ToSecchi {
			return w
		}
	}
	return clarityWords[len(clarityWords)-1]
}

// ParseClarity knows a word and lists the others where it does not.
func ParseClarity(word string) (ClarityWord, error) {
	names := make([]string, len(clarityWords))
	for i, w := range clarityWords {
		if strings.EqualFold(strings.TrimSpace(word), w.Word) {
			return w, nil
		}
		names[i] = w.Word
	}
	return ClarityWord{}, fmt.Errorf("water: unknown word for clarity %q; known are %s", word, strings.Join(names, ", "))
}

// Secchi depth in metres in the middle of the word, and how far it may be off:
// one standard deviation of its natural logarithm, as for a value that lies
// anywhere in the range.
func (w ClarityWord) Secchi() (secchiM, lnSpread float64) {
	lo, hi := math.Log(w.FromSecchi), math.Log(w.ToSecchi)
	return math.Exp((lo + hi) / 2), (hi - lo) / math.Sqrt(12)
}
