package main

import (
	"fmt"
	"io"
	"os"
	"path/filepath"

	"greypebble/core/playbook"
)

type playbookCommand struct {
	Check checkCommand `cmd:"" help:"Check playbook files of your own: errors by line, rules that never apply, contradictions."`
}

type checkCommand struct {
	Files []string `arg:"" type:"existingfile" help:"Files of targets and rules."`
}

func (c checkCommand) Run() error { return c.check(os.Stdout) }

// check each file over the shipped playbook, and say what was found; findings are not
// errors, but the last word counts them.
func (c checkCommand) check(out io.Writer) error {
	book, err := playbook.Builtin()
	if err != nil {
		return err
	}
	wrong := 0
	for _, name := range c.Files {
		raw, err := os.ReadFile(filepath.Clean(name))
		if err != nil {
			return err
		}
		found, err := book.Check(playbook.File{Name: name, Data: raw})
		if err != nil {
			_, _ = fmt.Fprintln(out, err)
			wrong++
			continue
		}
		for _, f := range found {
			_, _ = fmt.Fprintf(out, "%s: %s\n", name, f)
		}
		if len(found) == 0 {
			_, _ = fmt.Fprintf(out, "%s: nothing to complain of\n", name)
		}
	}
	if wrong > 0 {
		return fmt.Errorf("%d of %d files do not load", wrong, len(c.Files))
	}
	return nil
}
