package playbook

import (
	"bytes"
	"fmt"
	"io"
	"slices"
	"sort"
	"strings"

	"go.yaml.in/yaml/v3"

	"greypebble/core/quantity"
	"greypebble/core/words"
)

// File is a playbook file by name and content.
type File struct {
	Name string
	Data []byte
}

// maxFile keeps a file within what a person could have written.
const maxFile = 1 << 20

// node is a YAML node that knows its file, and reads itself strictly.
type node struct {
	*yaml.Node
	file string
	// custom: an angler wrote it.
	custom bool
}

// SourceError is what is wrong in a playbook file and where.
type SourceError struct {
	File string
	Line int
	Says string
}

func (e SourceError) Error() string { return fmt.Sprintf("%s:%d: %s", e.File, e.Line, e.Says) }

func (n node) errorf(format string, args ...any) error {
	return SourceError{n.file, n.Line, fmt.Sprintf(format, args...)}
}

func parse(f File) (node, error) {
	if len(f.Data) > maxFile {
		return node{}, SourceError{f.Name, 1, fmt.Sprintf(words.FileOfBytesAtMostAre, len(f.Data), maxFile)}
	}
	d := yaml.NewDecoder(bytes.NewReader(f.Data))
	var doc yaml.Node
	if err := d.Decode(&doc); err != nil {
		return node{}, SourceError{f.Name, 1, fmt.Sprintf(words.NotAYamlDocument, strings.TrimPrefix(err.Error(), "yaml: "))}
	}
	if err := d.Decode(new(yaml.Node)); err != io.EOF {
		return node{}, SourceError{f.Name, 1, words.MoreThanOneYamlDocument}
	}
	return node{doc.Content[0], f.Name, false}, nil
}

// fields reads a mapping whose keys must be among those allowed.
func (n node) fields(allowed ...string) (map[string]node, error) {
	if n.Kind != yaml.MappingNode {
		return nil, n.errorf("expected keys and values (%s)", strings.Join(allowed, ", "))
	}
	out := make(map[string]node, len(n.Content)/2)
	for i := 0; i+1 < len(n.Content); i += 2 {
		key := node{n.Content[i], n.file, n.custom}
		if !slices.Contains(allowed, key.Value) {
			return nil, key.errorf("unknown key %q; known are %s", key.Value, strings.Join(allowed, ", "))
		}
		if _, twice := out[key.Value]; twice {
			return nil, key.errorf("key %q stands twice", key.Value)
		}
		out[key.Value] = node{n.Content[i+1], n.file, n.custom}
	}
	return out, nil
}

// items reads a sequence.
func (n node) items() ([]node, error) {
	if n.Kind != yaml.SequenceNode {
		return nil, n.errorf("expected a list")
	}
	out := make([]node, len(n.Content))
	for i, c := range n.Content {
		out[i] = node{c, n.file, n.custom}
	}
	return out, nil
}

func (n node) text() (string, error) {
	if n.Kind != yaml.ScalarNode || strings.TrimSpace(n.Value) == "" {
		return "", n.errorf("expected text")
	}
	return n.Value, nil
}

// oneOf reads a word of a vocabulary.
func (n node) oneOf(what string, vocabulary []string) (string, error) {
	s, err := n.text()
	if err != nil {
		return "", err
	}
	if !slices.Contains(vocabulary, s) {
		return "", n.errorf("unknown %s %q; known are %s", what, s, strings.Join(vocabulary, ", "))
	}
	return s, nil
}

// anyOf reads one word or a list of words of a vocabulary.
func (n node) anyOf(what string, vocabulary []string) ([]string, error) {
	if n.Kind == yaml.ScalarNode {
		s, err := n.oneOf(what, vocabulary)
		return []string{s}, err
	}
	items, err := n.items()
	if err != nil {
		return nil, err
	}
	out := make([]string, len(items))
	for i, it := range items {
		if out[i], err = it.oneOf(what, vocabulary); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// measure reads a quantity of a dimension; its unit may not be left out.
func (n node) measure(d quantity.Dimension) (float64, error) {
	s, err := n.text()
	if err != nil {
		return 0, err
	}
	v, err := quantity.Of(d, s)
	if err != nil {
		return 0, n.errorf("%s", trimQuantity(err))
	}
	return v, nil
}

// trimQuantity leaves out the package name: the reader is told the line instead.
func trimQuantity(err error) string { return strings.TrimPrefix(err.Error(), "quantity: ") }

func sortedKeys[V any](m map[string]V) []string {
	keys := make([]string, 0, len(m))
	for k := range m {
		keys = append(keys, k)
	}
	sort.Strings(keys)
	return keys
}
