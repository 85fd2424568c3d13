package greypebble

import (
	"os"
	"os/exec"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func readFile(path string) (string, error) {
	raw, err := os.ReadFile(path)
	return string(raw), err
}

// Nothing is fetched at run time and no registry is named, so that the project
// builds wherever its clients are set up.
func TestNoRegistryIsNamed(t *testing.T) {
	out, err := exec.Command("git", "ls-files").Output()
	require.NoError(t, err)
	hosts := []string{"registry." + "npmjs.org", "proxy." + "golang.org", "sum." + "golang.org", "deb." + "debian.org"}
	for _, path := range strings.Fields(string(out)) {
		text, err := readFile(path)
		if os.IsNotExist(err) {
			continue // deleted but not yet committed
		}
		require.NoError(t, err)
		for _, h := range hosts {
			assert.NotContains(t, text, h, path)
		}
	}
}

// A clean checkout holds the directory the interface is built into: the program
// embeds it. The build puts the file back (ui/public), so that it stays.
func TestACleanCheckoutBuilds(t *testing.T) {
	out, err := exec.Command("git", "ls-files", "ui/dist", "ui/public").Output()
	require.NoError(t, err)
	assert.Contains(t, string(out), "ui/dist/.gitkeep")
	assert.Contains(t, string(out), "ui/public/.gitkeep")
}

// The core will run in the browser.
func TestCoreBuildsForTheBrowser(t *testing.T) {
	c := exec.Command("go", "build", "./core/...")
	c.Env = append(os.Environ(), "GOOS=js", "GOARCH=wasm")
	out, err := c.CombinedOutput()
	assert.NoError(t, err, string(out))
}
