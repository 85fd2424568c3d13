package account

import "strings"

// deviceOf a browser by what it says of itself, short: "Firefox on Android". It is to tell
// one's own sessions apart, nothing rests on it.
func deviceOf(userAgent string) string {
	first := func(otherwise string, pairs ...string) string {
		for i := 0; i < len(pairs); i += 2 {
			if strings.Contains(userAgent, pairs[i]) {
				return pairs[i+1]
			}
		}
		return otherwise
	}
	if !strings.HasPrefix(userAgent, "Mozilla/") {
		return "a program"
	}
	browser := first("a browser", "Firefox/", "Firefox", "Edg", "Edge", "OPR/", "Opera", "Chrome/", "Chrome", "CriOS/", "Chrome",
		"Safari/", "Safari")
	system := first("", "Android", "Android", "iPhone", "iPhone", "iPad", "iPad", "Windows", "Windows", "Mac OS", "a Mac", "Linux", "Linux")
	if system == "" {
		return browser
	}
	return browser + " on " + system
}
