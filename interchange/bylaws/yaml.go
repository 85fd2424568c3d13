package bylaws

import (
	"bytes"
	"errors"
	"fmt"
	"slices"
	"strings"

	"go.yaml.in/yaml/v3"

	"greypebble/core/bylaw"
	"greypebble/interchange/parse"
)

// Most rules of a file.
const Most = 2000

// Read rule and the line it begins on.
type Read struct {
	Rule bylaw.Rule
	Line int
}

// ReadYAML reads a list of rules. Errors name the line, and the field, and what was expected.
func ReadYAML(raw []byte) ([]Read, error) {
	var doc yaml.Node
	if err := yaml.Unmarshal(raw, &doc); err != nil {
		return nil, parse.At(1, "", "is no YAML: "+strings.TrimPrefix(err.Error(), "yaml: "))
	}
	if len(doc.Content) == 0 {
		return nil, parse.At(1, "", "the file is empty; expected a list called bylaws")
	}
	list, err := listOf(doc.Content[0])
	if err != nil {
		return nil, err
	}
	if len(list.Content) > Most {
		return nil, parse.At(list.Line, "", fmt.Sprintf("more than %d rules; send the file in parts", Most))
	}
	var out []Read
	for _, n := range list.Content {
		r, err := readNode(n)
		if err != nil {
			return nil, err
		}
		out = append(out, Read{r, n.Line})
	}
	return out, nil
}

// listOf the rules in a document.
func listOf(top *yaml.Node) (*yaml.Node, error) {
	if top.Kind == yaml.MappingNode && len(top.Content) == 2 && top.Content[0].Value == "bylaws" &&
		top.Content[1].Kind == yaml.SequenceNode {
		return top.Content[1], nil
	}
	return nil, parse.At(top.Line, "", "expected one list called bylaws")
}

func readNode(n *yaml.Node) (bylaw.Rule, error) {
	var e entry
	if n.Kind != yaml.MappingNode {
		return bylaw.Rule{}, parse.At(n.Line, "", "expected a rule with its fields, as species: [red drum]")
	}
	known := fields()
	for i := 0; i+1 < len(n.Content); i += 2 {
		if k := n.Content[i]; !slices.Contains(known, k.Value) {
			return bylaw.Rule{}, parse.At(k.Line, k.Value, fmt.Sprintf("is unknown; known are %s", strings.Join(known, ", ")))
		}
	}
	if err := n.Decode(&e); err != nil {
		line := n.Line
		var says string
		var wrong *yaml.TypeError
		if errors.As(err, &wrong) && len(wrong.Errors) > 0 {
			says = wrong.Errors[0]
			if _, err := fmt.Sscanf(says, "line %d:", &line); err == nil {
				_, says, _ = strings.Cut(says, ": ")
			}
		} else {
			says = err.Error()
		}
		return bylaw.Rule{}, parse.At(line, "", says)
	}
	r, err := e.rule()
	if err != nil {
		field := fieldOf(err)
		return r, parse.At(lineOf(n, field), field, err.Error())
	}
	return r, nil
}

// fieldOf a file an error speaks of; empty for none.
func fieldOf(err error) string {
	var own fieldError
	if errors.As(err, &own) {
		return own.field
	}
	var f *bylaw.FieldError
	if errors.As(err, &f) {
		if n, renamed := named[f.Field]; renamed {
			return n
		}
		return f.Field
	}
	return ""
}

// lineOf a field of a rule, or of the rule where it is not there.
func lineOf(n *yaml.Node, field string) int {
	for i := 0; i+1 < len(n.Content); i += 2 {
		if n.Content[i].Value == field {
			return n.Content[i].Line
		}
	}
	return n.Line
}

// WriteYAML writes rules as [ReadYAML] reads them.
func WriteYAML(rules []bylaw.Rule) ([]byte, error) {
	doc := struct {
		Bylaws []entry `yaml:"bylaws"`
	}{Bylaws: []entry{}}
	for i := range rules {
		doc.Bylaws = append(doc.Bylaws, entryOf(&rules[i]))
	}
	var out bytes.Buffer
	enc := yaml.NewEncoder(&out)
	enc.SetIndent(2)
	err := enc.Encode(doc)
	return out.Bytes(), err
}
