package quantity

import (
	"fmt"
	"regexp"
	"slices"
	"strings"
)

// inBraces finds what stands in braces.
var inBraces = regexp.MustCompile(`\{([^{}]*)\}`)

// Fill writes the measures of a text in these units: "hold it {60 cm} up", "{4 kn}", "{2 oz}"; pounds are
// a line's strength. What stands in
// braces and is no measure of length, speed, mass or temperature stays as it is.
func (u Units) Fill(text string) string {
	if !strings.Contains(text, "{") {
		return text
	}
	return inBraces.ReplaceAllStringFunc(text, func(in string) string {
		q, err := Parse(in[1 : len(in)-1])
		if err != nil {
			return in
		}
		switch q.Dimension {
		case Length:
			return u.ShowShort(q.SI)
		case Speed:
			return u.ShowBoat(q.SI)
		case Mass:
			if strings.HasSuffix(in, "lb}") { // lines are sold by the pound, weights are not
				return u.ShowLine(q.SI * Gravity)
			}
			return u.ShowWeight(q.SI)
		case Temperature:
			return u.ShowTemperature(q.SI)
		}
		return in
	})
}

// CheckFill refuses a text in whose braces something stands that is neither a measure nor one of the
// words given.
func CheckFill(text string, words ...string) error {
	for _, in := range inBraces.FindAllStringSubmatch(text, -1) {
		if slices.Contains(words, in[1]) {
			continue
		}
		if q, err := Parse(in[1]); err != nil || q.Dimension != Length && q.Dimension != Speed && q.Dimension != Mass &&
			q.Dimension != Temperature {
			return fmt.Errorf("quantity: {%s} is no measure that can be written in other units", in[1])
		}
	}
	if strings.ContainsAny(inBraces.ReplaceAllString(text, ""), "{}") {
		return fmt.Errorf("quantity: a brace stands alone in %q", text)
	}
	return nil
}
