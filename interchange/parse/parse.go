// Package parse is the error of a file that does not say what it should: where
// it went wrong and what was expected.
package parse

import "fmt"

// Error in a file. Column is empty where the whole line is meant.
type Error struct {
	Line   int
	Column string
	Says   string
}

func (e Error) Error() string {
	if e.Column == "" {
		return fmt.Sprintf("line %d: %s", e.Line, e.Says)
	}
	return fmt.Sprintf("line %d, column %s: %s", e.Line, e.Column, e.Says)
}

// At is the error at a line and column.
func At(line int, column, says string) Error { return Error{line, column, says} }
