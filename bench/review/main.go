// Review writes the answers to all cases of the trade, and what the book answers over a year of places,
// into one page for somebody who fishes to read.
package main

import (
	"flag"
	"fmt"
	"os"
	"strings"

	"greypebble/core/cases"
)

func main() {
	out := flag.String("out", "docs/review.md", "the page")
	flag.Parse()
	if err := run(*out); err != nil {
		fmt.Fprintln(os.Stderr, "review:", err)
		os.Exit(1)
	}
}

const head = `# What the book answers

Made by ` + "`make review`" + `. Every case stands for a principle of the trade (common practice, no source); the shores are invented.
For each: the situation, what was expected, and the answer as it stands on screen. An edge is how many times an ordinary spell for
that fish, there × feeding × taken, with the interval that holds four in five of what could be true.

`

func run(out string) error {
	trade, err := cases.Builtin()
	if err != nil {
		return err
	}
	var b strings.Builder
	b.WriteString(head)
	for _, c := range cases.All() {
		a, err := trade.Answer(&c)
		if err != nil {
			return err
		}
		fmt.Fprintf(&b, "## %s. %s\n\nExpected: **%s**.", c.ID, c.Situation, c.Expected)
		if err := c.Holds(a); err != nil {
			fmt.Fprintf(&b, " **It does not hold: %s.**", err)
		}
		b.WriteString("\n\n")
		for _, told := range a {
			fmt.Fprintf(&b, "### %s\n\n%s\n", told.Label, cases.Answer(told.Advice))
		}
	}
	shown := -1
	v, err := trade.Variety(func(share float64) {
		if now := int(share * 10); now > shown {
			shown = now
			fmt.Fprintf(os.Stderr, "sweep %d %%\n", now*10)
		}
	})
	if err != nil {
		return err
	}
	fmt.Fprintf(&b, "## A year of places, fish and waters\n\n%s", v.Lines())
	return os.WriteFile(out, []byte(b.String()), 0o644) //nolint:gosec // a page to be read
}
