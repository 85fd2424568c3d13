package greypebble

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// notSaid are places of the core whose texts are no sentences of the program: worked cases,
// the book's reader, which reports what is wrong with a file, and readers of other formats.
var notSaid = regexp.MustCompile(`^core/(words|cases|spot/spottest|water|drawing)/|` +
	`^core/kit/templates|^core/quantity/t|^core/playbook/(load|lint|when|rig|offering|source|write|facts|coasts|custom|node|rule|school)`)

// anError is what makes one, by its name.
var anError = regexp.MustCompile(`^(Errorf|errorf|New|MustCompile)$`)

// aSentence is a literal only a person reads: holes among words, or four words and more.
func aSentence(text string) bool {
	told := regexp.MustCompile(`%(\[\d+\])?[-+.0-9]*[a-zA-Z]`).ReplaceAllString(text, "§")
	if !strings.Contains(told, " ") || strings.ToUpper(told) == told {
		return false
	}
	words := regexp.MustCompile(`[A-Za-z’']{2,}`).FindAllString(told, -1)
	return len(words) >= 4 || len(words) >= 2 && strings.Contains(told, "§")
}

func parsed(t *testing.T, root string, each func(path string, file *ast.File, set *token.FileSet)) {
	t.Helper()
	require.NoError(t, filepath.WalkDir(root, func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		set := token.NewFileSet()
		file, err := parser.ParseFile(set, path, nil, 0)
		if err == nil {
			each(path, file, set)
		}
		return err
	}))
}

// What the core says to a person is found in one place.
func TestTheCoreSaysNothingThatIsNotInItsWords(t *testing.T) {
	parsed(t, "core", func(path string, file *ast.File, set *token.FileSet) {
		if notSaid.MatchString(filepath.ToSlash(path)) {
			return
		}
		var visit func(n ast.Node) bool
		visit = func(n ast.Node) bool {
			switch x := n.(type) {
			case *ast.GenDecl:
				return x.Tok != token.CONST && x.Tok != token.IMPORT && x.Tok != token.TYPE
			case *ast.CaseClause:
				for _, s := range x.Body {
					ast.Inspect(s, visit)
				}
				return false
			case *ast.CallExpr:
				// Errors say what is wrong where it is found.
				if f, ok := x.Fun.(*ast.SelectorExpr); ok && anError.MatchString(f.Sel.Name) {
					return false
				}
				if f, ok := x.Fun.(*ast.Ident); ok && (f.Name == "panic" || strings.Contains(strings.ToLower(f.Name), "error")) {
					return false
				}
			case *ast.BasicLit:
				if text, err := strconv.Unquote(x.Value); x.Kind == token.STRING && err == nil && aSentence(text) {
					t.Errorf("%s says %q: it belongs to core/words", set.Position(x.Pos()), text)
				}
			}
			return true
		}
		ast.Inspect(file, visit)
	})
}

// A word nobody says is a leftover.
func TestEveryWordOfTheCoreIsSaid(t *testing.T) {
	kept, said := map[string]bool{}, map[string]bool{}
	parsed(t, "core", func(path string, file *ast.File, _ *token.FileSet) {
		ast.Inspect(file, func(n ast.Node) bool {
			switch x := n.(type) {
			case *ast.ValueSpec:
				if strings.HasPrefix(filepath.ToSlash(path), "core/words/") {
					kept[x.Names[0].Name] = true
				}
			case *ast.SelectorExpr:
				if p, ok := x.X.(*ast.Ident); ok && p.Name == "words" {
					said[x.Sel.Name] = true
				}
			}
			return true
		})
	})
	parsed(t, "server", func(_ string, file *ast.File, _ *token.FileSet) {
		ast.Inspect(file, func(n ast.Node) bool {
			if x, ok := n.(*ast.SelectorExpr); ok {
				if p, ok := x.X.(*ast.Ident); ok && p.Name == "words" {
					said[x.Sel.Name] = true
				}
			}
			return true
		})
	})
	assert.Greater(t, len(kept), 400)
	for name := range kept {
		assert.True(t, said[name], "core/words.%s is said nowhere", name)
	}
}
