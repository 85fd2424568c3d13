package main

import (
	"encoding/json"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
)

func (r *running) get(path string) (int, string) {
	res, err := r.http.Get(r.url + "/api/v1" + path)
	require.NoError(r.t, err)
	defer res.Body.Close()
	raw, err := io.ReadAll(res.Body)
	require.NoError(r.t, err)
	return res.StatusCode, string(raw)
}

// A disk that fills up while the program runs: it says so, everything can be read, what was
// acknowledged is there, and when there is room it goes on by itself.
func TestAFullDiskIsSaidAndPasses(t *testing.T) {
	dir := t.TempDir()
	if err := syscall.Mount("tmpfs", dir, "tmpfs", 0, "size=420m"); err != nil {
		t.Skipf("a small disk takes the right to mount one: %v", err)
	}
	t.Cleanup(func() { assert.NoError(t, syscall.Unmount(dir, syscall.MNT_DETACH)) })
	r := start(t, filepath.Join(dir, "data"))
	filler := filepath.Join(dir, "filler")
	f, err := os.Create(filler)
	require.NoError(t, err)
	_, _ = io.Copy(f, zeros{}) // until there is no room
	require.NoError(t, f.Close())

	r.http.Timeout = 2 * time.Minute
	note := strings.Repeat("x", 900)
	spell := map[string]any{"spot_id": demo.SpotID("Kettle Bar"), "target": "red-drum", "started_at": "2026-11-19T12:00:00Z",
		"ended_at": "2026-11-19T13:00:00Z", "note": note}
	var kept []string
	status := http.StatusOK
	for range 3000 {
		id := uuid.NewString()
		if status = r.do("PUT", "/spells/"+id, spell); status != http.StatusOK {
			break
		}
		kept = append(kept, id)
	}
	require.Equal(t, http.StatusInsufficientStorage, status)
	raw, err := json.Marshal(spell)
	require.NoError(t, err)
	req, err := http.NewRequest("PUT", r.url+"/api/v1/spells/"+uuid.NewString(), strings.NewReader(string(raw)))
	require.NoError(t, err)
	req.Header.Set("Content-Type", "application/json")
	res, err := r.http.Do(req)
	require.NoError(t, err)
	said, err := io.ReadAll(res.Body)
	require.NoError(t, err)
	require.NoError(t, res.Body.Close())
	assert.Contains(t, string(said), "The disk is full: free space, nothing was lost.")

	defer func() {
		if t.Failed() {
			log, _ := os.ReadFile(filepath.Join(dir, "data", "mariadb.log"))
			t.Log(r.out.String(), string(log[max(0, len(log)-3000):]))
		}
	}()
	_, health := r.get("/health")
	assert.Contains(t, health, `"status":"disk full"`)
	bar := demo.SpotID("Kettle Bar")
	for _, path := range []string{"/spots", "/spots/" + bar + "/state", "/spots/" + bar + "/ribbon", "/chart", "/spells",
		"/playbook", "/kit"} {
		began := time.Now()
		status, answer := r.get(path)
		assert.Equal(t, http.StatusOK, status, "%s: %.200s", path, answer)
		assert.Less(t, time.Since(began), time.Minute, path)
	}
	_, log := r.get("/spells?most=1000")
	for _, id := range kept[max(0, len(kept)-200):] {
		assert.Contains(t, log, id)
	}

	require.NoError(t, os.Remove(filler))
	require.Eventually(t, func() bool { return r.do("PUT", "/spells/"+uuid.NewString(), spell) == http.StatusOK }, 2*time.Minute,
		200*time.Millisecond)
	_, health = r.get("/health")
	assert.Contains(t, health, `"status":"ok"`)
	require.NoError(t, r.cmd.Process.Signal(os.Interrupt))
	require.NoError(t, r.cmd.Wait(), "%s", r.out)
}

// zeros without end.
type zeros struct{}

func (zeros) Read(p []byte) (int, error) {
	clear(p)
	return len(p), nil
}
