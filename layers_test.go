package greypebble

import (
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// allowed says what each package may import of the project; an entry that ends in /* holds
// for the packages there that have none of their own. Imports point downwards only; core
// knows no server, no file and no clock.
var allowed = map[string][]string{
	".":               {},
	"core/words":      {},
	"core/quantity":   {},
	"core/prose":      {},
	"core/tide":       {},
	"core/sky":        {},
	"core/water":      {},
	"core/tackle":     {"core/quantity"},
	"core/ground":     {"core/quantity", "core/sky", "core/tide", "core/water"},
	"core/conditions": {"core/quantity", "core/sky", "core/tide", "core/water", "core/ground"},
	"core/springrun":  {"core/conditions"},
	"core/outing":     {"core/conditions", "core/playbook", "core/ground"},
	"core/spot": {"core/springrun", "core/bylaw", "core/quantity", "core/prose", "core/sky", "core/tide", "core/water", "core/ground",
		"core/conditions"},
	"core/spot/spottest": {"core/ground", "core/spot", "core/tide"},
	"core/playbook": {"core/springrun", "core/bylaw",
		"core/quantity", "core/prose", "core/sky", "core/tide", "core/water", "core/ground", "core/conditions",
		"core/tackle"},
	"core/rate":     {"core/quantity", "core/conditions", "core/playbook"},
	"core/scene":    {"core/sky", "core/tide", "core/water", "core/ground", "core/conditions", "core/spot", "core/playbook"},
	"core/ordinary": {"core/sky", "core/tide", "core/water", "core/ground", "core/playbook", "core/scene"},
	"core/sweep": {"core/sky", "core/tide", "core/ground", "core/water", "core/conditions", "core/spot", "core/playbook", "core/rate",
		"core/scene", "core/ordinary"},
	"core/method":   {"core/quantity", "core/tackle", "core/water", "core/ground", "core/spot", "core/playbook"},
	"core/going":    {"core/quantity", "core/prose", "core/sky", "core/tide", "core/water", "core/ground", "core/conditions", "core/spot"},
	"core/kit":      {"core/quantity", "core/tackle"},
	"core/template": {"core/ground"},
	"core/drawing":  {},
	"core/trial":    {"core/quantity", "core/outing"},
	"core/growth":   {"core/tackle", "core/ground"},
	"core/regress":  {},
	"core/photo":    {},
	"core/care":     {"core/quantity", "core/playbook"},
	"core/bylaw":    {"core/quantity", "core/prose", "core/ground"},
	"core/rigcard":  {"core/quantity", "core/tackle", "core/playbook", "core/drawing"},
	"core/sketch": {"core/quantity", "core/prose", "core/tackle", "core/water", "core/ground", "core/spot", "core/playbook",
		"core/method", "core/drawing"},
	"core/advise": {"core/springrun", "core/bylaw",
		"core/quantity", "core/prose", "core/sky", "core/tide", "core/water", "core/ground", "core/conditions",
		"core/spot", "core/playbook", "core/rate", "core/scene", "core/ordinary", "core/going", "core/tackle", "core/kit", "core/method",
		"core/sketch", "core/drawing"},
	"core/plan": {"core/springrun", "core/bylaw",
		"core/quantity", "core/sky", "core/tide", "core/ground", "core/conditions", "core/spot", "core/playbook",
		"core/rate", "core/sweep", "core/going", "core/kit", "core/advise", "core/tackle", "core/outing"},
	"core/evidence":  {"core/conditions", "core/playbook", "core/rate", "core/regress"},
	"core/elsewhere": {"core/ground", "core/spot", "core/playbook", "core/rate", "core/going", "core/outing", "core/advise"},
	"core/cases":     {"core/*"},
	// A file format knows the core, what all formats have in common, and no other format.
	"interchange/*":         {"core/*", "interchange/feature", "interchange/parse", "interchange/table"},
	"interchange/feature":   {},
	"interchange/parse":     {},
	"interchange/columns":   {},
	"interchange/table":     {"interchange/parse"},
	"interchange/nmea":      {},
	"interchange/turns":     {"core/quantity", "core/tide", "interchange/parse", "interchange/table", "interchange/gauge"},
	"interchange/logger":    {"core/conditions", "core/quantity", "interchange/parse", "interchange/nmea", "interchange/table"},
	"interchange/soundings": {"core/ground", "interchange/feature", "interchange/parse", "interchange/nmea", "interchange/table"},
	// What is asked and answered as it is sent, by the server and by the core in the browser.
	"answer":             {"core/*"},
	"interchange/format": {"core/ground", "core/quantity", "interchange/*"},

	// What the page asks of the core in the browser.
	"wasm/call":       {"core/*", "answer", "interchange/pack"},
	"wasm":            {"wasm/call"},
	"server/feed":     {"core/*", "interchange/*", "server/store"},
	"server/feed/sim": {"core/*", "interchange/*"},
	"server/localdb":  {},
	// The store keeps what the job knows of a spot; it asks no advice.
	"server/store": {"core/springrun", "core/outing", "core/trial", "core/quantity", "core/sky", "core/tide", "core/water",
		"core/bylaw", "core/care", "core/ground", "core/conditions", "core/spot",
		"core/playbook", "core/kit", "core/going"},
	"server/account": {"core/quantity", "server/store"},
	"server/desk":    {"core/*", "server/store"},
	"server/learned": {"core/*", "server/store", "server/desk"},
	// The rooms stand side by side on web and wire; only the router knows them.
	// Published stations are data the program carries.
	"server/known": {"core/ground", "core/tide"},
	// Backups know the database and nothing of the job.
	"server/dump": {"server/store"},
	// The room of accounts is the only one that lets people in.
	"server/api/people": {"core/quantity", "server/account", "server/store", "server/api/web", "server/api/wire"},
	"server/api/web": {"answer", "core/bylaw", "core/care", "core/going", "core/kit", "core/playbook", "core/quantity", "core/rate",
		"server/account", "server/desk",
		"server/learned", "server/store"},
	"server/api/wire": {"answer", "core/*", "server/api/web", "server/store"},
	"server/api/*": {"answer", "core/*", "interchange/*", "server/known", "server/store", "server/desk", "server/api/web",
		"server/api/wire", "server/learned"},
	"server/api":     {"core/playbook", "server/store", "server/account", "server/api/*"},
	"server":         {"core/*", "server/*", "ui"},
	"ui":             {},
	"demo":           {"core/*", "server/store", "server/account"},
	"testkit":        {"core/*", "server", "server/*", "demo", "interchange/picture/phototest"},
	"cmd/greypebble": {"core/*", "server", "server/*", "demo", "testkit"},
	"bench/load":     {"core/playbook", "demo", "server", "server/feed", "server/feed/sim", "server/localdb", "server/store"},
	"bench":          {"core/*", "demo", "testkit", "server/store"},
	"bench/review":   {"core/cases"},
	"e2e/browser":    {},
	"e2e/shots":      {"core/tide", "testkit", "demo", "e2e/browser"},
}

// forbiddenInCore are packages that reach outside: core gets time, bytes and
// chance handed in.
var forbiddenInCore = []string{"os", "net", "net/http", "database/sql", "io/ioutil", "log", "log/slog", "math/rand", "math/rand/v2",
	"encoding/json", "syscall"}

func TestImportsPointDownwards(t *testing.T) {
	seen := map[string]bool{}
	err := filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (strings.HasPrefix(d.Name(), ".") && path != "." || d.Name() == "node_modules" || d.Name() == "data") {
			return filepath.SkipDir
		}
		if !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return nil
		}
		pkg := filepath.ToSlash(filepath.Dir(path))
		entry := entryOf(pkg)
		may, known := allowed[entry]
		require.True(t, known, "package %s is not in the table of layers", pkg)
		seen[entry] = true
		f, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.ImportsOnly)
		if err != nil {
			return err
		}
		for _, i := range f.Imports {
			name, err := strconv.Unquote(i.Path.Value)
			require.NoError(t, err)
			own, inside := strings.CutPrefix(name, "greypebble/")
			if strings.HasPrefix(pkg, "core/") {
				assert.NotContains(t, forbiddenInCore, name, "%s reaches outside", path)
			}
			// Words are nobody's floor: whoever says something in the core takes it from there.
			if inside && !(own == "core/words" && strings.HasPrefix(pkg, "core/")) {
				assert.True(t, permits(may, own), "%s must not import %s", path, own)
			}
		}
		return nil
	})
	require.NoError(t, err)
	for pkg := range allowed {
		assert.True(t, seen[pkg], "%s is in the table of layers but not in the tree", pkg)
	}
}

// entryOf a package in the table: its own, or that of the directory it lies in.
func entryOf(pkg string) string {
	if _, own := allowed[pkg]; own {
		return pkg
	}
	for dir := pkg; dir != "."; {
		dir = filepath.ToSlash(filepath.Dir(dir))
		if _, there := allowed[dir+"/*"]; there {
			return dir + "/*"
		}
	}
	return pkg
}

func permits(may []string, own string) bool {
	for dir := own; dir != "."; {
		dir = filepath.ToSlash(filepath.Dir(dir))
		if slices.Contains(may, dir+"/*") {
			return true
		}
	}
	return slices.Contains(may, own)
}

// The clock and chance are handed in: no package of core asks for the time.
func TestCoreAsksForNoTime(t *testing.T) {
	files, err := filepath.Glob("core/*/*.go")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, path := range files {
		if strings.HasSuffix(path, "_test.go") {
			continue
		}
		raw, err := readFile(path)
		require.NoError(t, err)
		assert.NotContains(t, raw, "time.Now(", path)
		assert.NotContains(t, raw, "time.Since(", path)
	}
}

// The API itself is router, session and middleware; what is answered lies in the rooms.
func TestTheAPIIsItsRooms(t *testing.T) {
	files, err := filepath.Glob("server/api/*.go")
	require.NoError(t, err)
	for _, path := range files {
		if strings.HasSuffix(path, "_test.go") {
			continue
		}
		assert.Contains(t, []string{"api.go", "health.go", "compress.go", "nostore.go", "hosts.go", "peer.go", "recovered.go",
			"sameorigin.go", "security.go", "shed.go"}, filepath.Base(path), "a handler belongs into a room")
	}
}
