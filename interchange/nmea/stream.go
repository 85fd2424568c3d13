package nmea

import (
	"bufio"
	"errors"
	"io"
	"iter"
)

// Faults counts what was wrong in a stream.
type Faults struct {
	Lines, NotSentences, Checksums, Values int
}

// Messages of a stream, one after another, whatever garbage stands between. It
// ends with the stream; an error other than its end is yielded last. Lines
// longer than a sentence can be are dropped without being kept.
func Messages(r io.Reader, faults *Faults) iter.Seq2[Message, error] {
	return func(yield func(Message, error) bool) {
		in := bufio.NewReaderSize(r, 4*longest)
		for {
			line, err := nextLine(in)
			if line != "" {
				faults.Lines++
				m, bad := Parse(line)
				var value ValueError
				switch {
				case errors.Is(bad, ErrChecksum):
					faults.Checksums++
				case errors.As(bad, &value):
					faults.Values++
				case bad != nil:
					faults.NotSentences++
				case m != nil:
					if !yield(m, nil) {
						return
					}
				}
			}
			if errors.Is(err, io.EOF) {
				return
			}
			if err != nil {
				yield(nil, err)
				return
			}
		}
	}
}

// nextLine from the last $ on, so that a cut sentence does not take the next
// one with it.
func nextLine(in *bufio.Reader) (string, error) {
	var line []byte
	for {
		c, err := in.ReadByte()
		if err != nil {
			return string(line), err
		}
		switch {
		case c == '\n' || c == '\r':
			if len(line) > 0 {
				return string(line), nil
			}
		case c == '$':
			line = append(line[:0], c)
		case len(line) <= longest:
			line = append(line, c)
		}
	}
}
