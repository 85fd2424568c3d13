package playbook

import (
	"fmt"
	"regexp"

	"go.yaml.in/yaml/v3"
)

// Entry is one target or rule of an angler's own, as a file by itself.
type Entry struct {
	// Kind is target or rule.
	Kind, ID string
	Source   []byte
}

// Split a file of an angler's own into its entries, targets first. It is not checked
// here that they load; see [Book.Check].
func Split(f File) ([]Entry, error) {
	root, err := parse(f)
	if err != nil {
		return nil, err
	}
	sections, err := root.fields("targets", "rules")
	if err != nil {
		return nil, err
	}
	var out []Entry
	for _, s := range []struct{ section, kind string }{{"targets", "target"}, {"rules", "rule"}} {
		n, there := sections[s.section]
		if !there {
			continue
		}
		items, err := n.items()
		if err != nil {
			return nil, err
		}
		for _, it := range items {
			id := ""
			for i := 0; i+1 < len(it.Content); i += 2 {
				if it.Content[i].Value == "id" {
					id = it.Content[i+1].Value
				}
			}
			if id == "" {
				return nil, it.errorf("missing %q", "id")
			}
			source, err := written(map[string][]*yaml.Node{s.section: {it.Node}})
			if err != nil {
				return nil, err
			}
			out = append(out, Entry{s.kind, id, source})
		}
	}
	return out, nil
}

// Join files of an angler's own into one.
func Join(files []File) ([]byte, error) {
	all := map[string][]*yaml.Node{}
	for _, f := range files {
		root, err := parse(f)
		if err != nil {
			return nil, err
		}
		sections, err := root.fields("targets", "rules")
		if err != nil {
			return nil, err
		}
		for name, n := range sections {
			items, err := n.items()
			if err != nil {
				return nil, err
			}
			for _, it := range items {
				all[name] = append(all[name], it.Node)
			}
		}
	}
	if len(all) == 0 {
		return []byte("# Nothing of your own yet.\nrules: []\n"), nil
	}
	out, err := written(all)
	if err != nil {
		return nil, fmt.Errorf("playbook: %w", err)
	}
	return out, nil
}

var idForm = regexp.MustCompile(`^[a-z0-9]+(-[a-z0-9]+)*$`)

// CheckID refuses an id that is not of small letters, digits and hyphens.
func CheckID(id string) error {
	if !idForm.MatchString(id) {
		return fmt.Errorf("playbook: id %q: expected small letters, digits and hyphens", id)
	}
	return nil
}

// WithoutFile leaves out the file of a name.
func WithoutFile(files []File, name string) []File {
	var out []File
	for _, f := range files {
		if f.Name != name {
			out = append(out, f)
		}
	}
	return out
}
