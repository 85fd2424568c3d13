package greypebble

import (
	"go/ast"
	"go/parser"
	"go/token"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every word of the glossary stands once, in order, and what it names in the code is there.
func TestTheGlossaryNamesWhatThereIs(t *testing.T) {
	text, err := readFile("docs/glossary.md")
	require.NoError(t, err)
	rows := regexp.MustCompile("(?m)^\\| ([^|]+) \\| [^|]+ \\| `([\\w/]+)(?:\\.(\\w+))?` \\|$").FindAllStringSubmatch(text, -1)
	assert.Equal(t, strings.Count(text, "\n| ")-1, len(rows), "a row is | word | meaning | `package.Name` |")
	var words []string
	declared := map[string][]string{}
	for _, r := range rows {
		words = append(words, r[1])
		names, read := declared[r[2]]
		if !read {
			names = exported(t, r[2])
			declared[r[2]] = names
		}
		if r[3] != "" {
			assert.Contains(t, names, r[3], "%s: %s", r[1], r[2])
		}
	}
	assert.True(t, slices.IsSortedFunc(words, func(a, b string) int { return strings.Compare(strings.ToLower(a), strings.ToLower(b)) }),
		"the words stand in the order of the alphabet")
	assert.Len(t, slices.Compact(slices.Clone(words)), len(words), "a word stands once")
}

// exported names a package declares.
func exported(t *testing.T, dir string) (out []string) {
	t.Helper()
	files, err := filepath.Glob(dir + "/*.go")
	require.NoError(t, err)
	require.NotEmpty(t, files, dir)
	for _, path := range files {
		f, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.SkipObjectResolution)
		require.NoError(t, err)
		for _, d := range f.Decls {
			out = append(out, namesOf(d)...)
		}
	}
	return out
}

func namesOf(d ast.Decl) (out []string) {
	switch d := d.(type) {
	case *ast.FuncDecl:
		if d.Recv == nil {
			out = append(out, d.Name.Name)
		}
	case *ast.GenDecl:
		for _, s := range d.Specs {
			switch s := s.(type) {
			case *ast.TypeSpec:
				out = append(out, s.Name.Name)
			case *ast.ValueSpec:
				for _, n := range s.Names {
					out = append(out, n.Name)
				}
			}
		}
	}
	return out
}
