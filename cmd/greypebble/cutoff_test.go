package main

import (
	"fmt"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// A first start that is cut off at any moment (Ctrl-C, kill -9, the power) is begun again
// by the next, which has the whole scenario: no more and no less.
func TestAFirstStartCutOffStartsAgain(t *testing.T) {
	began := time.Now()
	r := start(t, filepath.Join(t.TempDir(), "data"))
	takes := time.Since(began)
	whole := strings.Count(r.spells(), `"revision"`)
	require.Greater(t, whole, 50)
	require.NoError(t, r.cmd.Process.Signal(os.Interrupt))
	require.NoError(t, r.cmd.Wait())

	for n := range testkit.Times(30) {
		data := filepath.Join(t.TempDir(), "data")
		c := exec.Command(binary, "demo")
		c.Env = append(os.Environ(), fmt.Sprintf("PORT=%d", freePort(t)), "DATA="+data)
		require.NoError(t, c.Start())
		after := time.Duration(rand.Int64N(int64(takes)))
		time.Sleep(after)
		switch n % 3 {
		case 0:
			_ = c.Process.Kill()
		case 1:
			_ = c.Process.Signal(os.Interrupt)
		case 2:
			_ = c.Process.Kill()
			for _, pid := range databases(t, data) {
				_ = syscall.Kill(pid, syscall.SIGKILL)
			}
		}
		// At once: what was started by the first may still be about to end.
		_ = c.Wait()
		again := start(t, data)
		assert.Equal(t, whole, strings.Count(again.spells(), `"revision"`), "cut off after %s", after)
		require.NoError(t, again.cmd.Process.Signal(os.Interrupt))
		require.NoError(t, again.cmd.Wait(), "%s", again.out)
	}
}
