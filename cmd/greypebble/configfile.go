package main

import (
	"errors"
	"fmt"
	"io"
	"strings"

	"github.com/alecthomas/kong"
	"go.yaml.in/yaml/v3"
)

// settingsFile reads flags from a YAML file, by their names: "listen: 0.0.0.0:443". What
// the command line or the environment says goes before.
func settingsFile(r io.Reader) (kong.Resolver, error) {
	values := map[string]any{}
	if err := yaml.NewDecoder(r).Decode(&values); err != nil && !errors.Is(err, io.EOF) {
		return nil, fmt.Errorf("the settings file is no YAML of names and values: %w", err)
	}
	used := map[string]bool{}
	var resolve kong.ResolverFunc = func(_ *kong.Context, _ *kong.Path, flag *kong.Flag) (any, error) {
		v, has := values[flag.Name]
		used[flag.Name] = true
		if !has {
			return nil, nil
		}
		if list, ok := v.([]any); ok {
			words := make([]string, len(list))
			for i, x := range list {
				words[i] = fmt.Sprint(x)
			}
			return strings.Join(words, ","), nil
		}
		return fmt.Sprint(v), nil
	}
	return checked{resolve, values}, nil
}

// checked refuses names no flag has: a setting that is misspelt is none.
type checked struct {
	kong.ResolverFunc
	values map[string]any
}

func (c checked) Validate(app *kong.Application) error {
	known := map[string]bool{}
	for _, command := range app.Children {
		for _, f := range command.Flags {
			known[f.Name] = true
		}
	}
	for name := range c.values {
		if !known[name] {
			return fmt.Errorf("the settings file speaks of %q, which is no setting", name)
		}
	}
	return nil
}
