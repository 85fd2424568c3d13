package water

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
