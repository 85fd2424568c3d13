// Package prose puts names and times into sentences: articles, capitals and stretches
// of time as they are spoken of. What is said is decided by the packages that say it.
package prose

import (
	"fmt"
	"strings"
	"time"

	"greypebble/core/words"
)

// WithArticle puts "the" before a name that has none: "the crest".
func WithArticle(name string) string {
	if strings.HasPrefix(strings.ToLower(name), "the ") {
		return name
	}
	return fmt.Sprintf(words.The, LowerFirst(name))
}

// LowerFirst letter of a name that stands within a sentence.
func LowerFirst(s string) string {
	if s == "" {
		return s
	}
	return strings.ToLower(s[:1]) + s[1:]
}

// Capital begins a sentence.
func Capital(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}

// Lasting writes a stretch of time: "40 min", "2 h", "2 h 05 min".
func Lasting(d time.Duration) string {
	minutes := int(d.Minutes())
	switch {
	case minutes < 60:
		return fmt.Sprintf(words.Min, minutes)
	case minutes%60 == 0:
		return fmt.Sprintf("%d h", minutes/60)
	}
	return fmt.Sprintf(words.HMin, minutes/60, minutes%60)
}

// And joins a list as it is spoken: "a", "a and b", "a, b and c".
func And(list []string) string {
	if len(list) < 2 {
		return strings.Join(list, "")
	}
	last := len(list) - 1
	return fmt.Sprintf(words.And, strings.Join(list[:last], ", "), list[last])
}

// Count says how many there are: "no fish", "1 catch", "2 catches".
func Count(n int, one, many string) string {
	switch n {
	case 0:
		return fmt.Sprintf(words.No, many)
	case 1:
		return "1 " + one
	}
	return fmt.Sprintf("%d %s", n, many)
}
