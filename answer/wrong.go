package answer

import (
	"errors"
	"regexp"
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

// found is the name of the package an error, or one within it, begins with: it is for
// developers.
var found = regexp.MustCompile(`(^|: )(advise|asc|bylaw|care|conditions|forecast|gauge|geojson|gpx|ground|kit|kitcsv|kml|logger|nmea|` +
	`playbook|pointcsv|profile|quantity|rate|sky|soundings|spot|station|store|sweep|table|tackle|tide|turns|water): `)

// Said is what an error says, without the package that found it.
func Said(err error) string { return found.ReplaceAllString(err.Error(), "$1") }
