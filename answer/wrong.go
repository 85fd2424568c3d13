package answer

import (
	"errors"
	"strings"
)

// WrongError says what of a question cannot be answered.
type WrongError struct {
	// At is where it stands: "body.target", "query.from".
	At  string
	Err error
}

func (e *WrongError) Error() string { return e.Err.Error() }

func (e *WrongError) Unwrap() error { return e.Err }

// Wrong names what was wrong, and where.
func Wrong(at string, err error) error { return &WrongError{at, err} }

// Within says that what an error names in the body lies deeper in this one: "body.a".
func Within(at string, err error) error {
	var wrong *WrongError
	if errors.As(err, &wrong) {
		if rest, is := strings.CutPrefix(wrong.At, "body"); is {
			return Wrong(at+rest, wrong.Err)
		}
	}
	return err
}

// ErrNotFound is of a spot nobody here has.
var ErrNotFound = errors.New("answer: there is nothing here by that id")
