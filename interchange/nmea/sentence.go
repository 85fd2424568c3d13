package nmea

import (
	"errors"
	"fmt"
	"strconv"
	"strings"
)

// Sentence is one line, its checksum verified.
type Sentence struct {
	Talker, Type string
	Fields       []string
}

// Errors a line may have.
var (
	ErrNotASentence = errors.New("nmea: not a sentence: expected $, a talker, a type, fields, * and a checksum")
	ErrChecksum     = errors.New("nmea: the checksum does not match")
)

// longest a sentence may be; the standard says 82, some instruments say more.
const longest = 120

// Split reads a line into a sentence. A sentence without a checksum is refused:
// a cut line would pass for a whole one.
func Split(line string) (Sentence, error) {
	line = strings.TrimRight(line, "\r\n ")
	if len(line) > longest || len(line) < 10 || line[0] != '$' {
		return Sentence{}, ErrNotASentence
	}
	body, sum, ok := strings.Cut(line[1:], "*")
	if !ok || len(sum) != 2 {
		return Sentence{}, ErrNotASentence
	}
	want, err := strconv.ParseUint(sum, 16, 8)
	if err != nil {
		return Sentence{}, ErrNotASentence
	}
	if Checksum(body) != byte(want) {
		return Sentence{}, ErrChecksum
	}
	fields := strings.Split(body, ",")
	if len(fields[0]) != 5 {
		return Sentence{}, ErrNotASentence
	}
	for _, c := range body {
		if c < ' ' || c > '~' {
			return Sentence{}, ErrNotASentence
		}
	}
	return Sentence{fields[0][:2], fields[0][2:], fields[1:]}, nil
}

// Checksum of what stands between $ and *.
func Checksum(body string) byte {
	var x byte
	for i := range len(body) {
		x ^= body[i]
	}
	return x
}

// String writes the sentence with its checksum.
func (s Sentence) String() string {
	body := s.Talker + s.Type + "," + strings.Join(s.Fields, ",")
	return fmt.Sprintf("$%s*%02X", body, Checksum(body))
}

func (s Sentence) field(i int) string {
	if i < len(s.Fields) {
		return s.Fields[i]
	}
	return ""
}
