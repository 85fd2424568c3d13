package table

import "strings"

// formulas begin so in a spreadsheet, which would work out what a stranger wrote.
const formulas = "=+-@\t\r"

// Guarded is a text for a cell as no spreadsheet takes for a formula: behind an apostrophe
// where it begins like one (OWASP, "CSV Injection"). [Table.Text] gives it back as it was.
func Guarded(text string) string {
	if begins(text) {
		return "'" + text
	}
	return text
}

func unguarded(cell string) string {
	if rest, quoted := strings.CutPrefix(cell, "'"); quoted && begins(rest) {
		return rest
	}
	return cell
}

// begins like a formula, perhaps behind apostrophes.
func begins(text string) bool {
	text = strings.TrimLeft(text, "'")
	return text != "" && strings.ContainsRune(formulas, rune(text[0]))
}
