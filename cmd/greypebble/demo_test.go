package main

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net"
	"net/http"
	"net/http/cookiejar"
	"os"
	"os/exec"
	"path/filepath"
	"strconv"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/demo"
)

var binary string

func TestMain(m *testing.M) {
	dir, err := os.MkdirTemp("", "greypebble-bin-")
	if err != nil {
		panic(err)
	}
	binary = filepath.Join(dir, "greypebble")
	if out, err := exec.Command("go", "build", "-o", binary, ".").CombinedOutput(); err != nil {
		fmt.Fprintln(os.Stderr, string(out))
		os.Exit(1)
	}
	code := m.Run()
	_ = os.RemoveAll(dir)
	os.Exit(code)
}

func freePort(t *testing.T) int {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	defer l.Close()
	return l.Addr().(*net.TCPAddr).Port
}

// running is a demo someone started by hand.
type running struct {
	t    *testing.T
	cmd  *exec.Cmd
	url  string
	http *http.Client
	out  *bytes.Buffer
}

func start(t *testing.T, data string) *running {
	port := freePort(t)
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	r := &running{t, exec.Command(binary, "demo"), fmt.Sprintf("http://127.0.0.1:%d", port),
		&http.Client{Jar: jar, Timeout: 2 * time.Minute}, &bytes.Buffer{}}
	r.cmd.Env = append(os.Environ(), fmt.Sprintf("PORT=%d", port), "DATA="+data)
	r.cmd.Stdout, r.cmd.Stderr = r.out, r.out
	require.NoError(t, r.cmd.Start())
	t.Cleanup(func() { _ = r.cmd.Process.Kill() })
	deadline := time.Now().Add(60 * time.Second)
	for {
		res, err := r.http.Get(r.url + "/api/v1/health")
		if err == nil {
			_ = res.Body.Close()
			if res.StatusCode == http.StatusOK {
				break
			}
		}
		require.True(t, time.Now().Before(deadline), "not ready: %s", r.out)
		time.Sleep(100 * time.Millisecond)
	}
	require.Equal(t, http.StatusOK, r.do("POST", "/login", map[string]any{"name": "wren", "password": demo.Password}))
	return r
}

func (r *running) do(method, path string, body any) int {
	raw, err := json.Marshal(body)
	require.NoError(r.t, err)
	req, err := http.NewRequest(method, r.url+"/api/v1"+path, bytes.NewReader(raw))
	require.NoError(r.t, err)
	req.Header.Set("Content-Type", "application/json")
	res, err := r.http.Do(req)
	require.NoError(r.t, err)
	defer res.Body.Close()
	_, _ = io.Copy(io.Discard, res.Body)
	return res.StatusCode
}

func (r *running) spells() string {
	res, err := r.http.Get(r.url + "/api/v1/spells?most=1000")
	require.NoError(r.t, err)
	defer res.Body.Close()
	raw, err := io.ReadAll(res.Body)
	require.NoError(r.t, err)
	return string(raw)
}

// databases are the processes of MariaDB that run in a directory.
func databases(t *testing.T, dir string) (pids []int) {
	files, err := filepath.Glob("/proc/[0-9]*/cmdline")
	require.NoError(t, err)
	for _, f := range files {
		raw, err := os.ReadFile(f)
		if err == nil && strings.Contains(string(raw), "mariadbd") && strings.Contains(string(raw), dir) {
			pid, err := strconv.Atoi(strings.Split(f, "/")[2])
			require.NoError(t, err)
			pids = append(pids, pid)
		}
	}
	return pids
}

func TestWhatWasEnteredSurvivesStoppingAndKilling(t *testing.T) {
	data := filepath.Join(t.TempDir(), "data")
	r := start(t, data)
	put := func(r *running) string {
		id := uuid.NewString()
		require.Equal(t, http.StatusOK, r.do("PUT", "/spells/"+id, map[string]any{"spot_id": demo.SpotID("Kettle Bar"),
			"target": "red-drum", "started_at": "2026-11-19T12:00:00Z", "ended_at": "2026-11-19T13:00:00Z"}))
		return id
	}
	first := put(r)

	// Ctrl-C: a clean end, and the database ends with it.
	require.NoError(t, r.cmd.Process.Signal(os.Interrupt))
	require.NoError(t, r.cmd.Wait(), "%s", r.out)
	assert.Empty(t, databases(t, data))

	r = start(t, data)
	assert.Contains(t, r.spells(), first)
	second := put(r)

	// kill -9 of the program: its database goes with it, the next start recovers.
	require.NoError(t, r.cmd.Process.Signal(syscall.SIGKILL))
	_ = r.cmd.Wait()
	require.Eventually(t, func() bool { return len(databases(t, data)) == 0 }, 2*time.Minute, 100*time.Millisecond)
	r = start(t, data)
	assert.Contains(t, r.spells(), second)
	third := put(r)

	// kill -9 of the database: one clear line, exit ≠ 0, the next start recovers.
	for _, pid := range databases(t, data) {
		require.NoError(t, syscall.Kill(pid, syscall.SIGKILL))
	}
	require.Error(t, r.cmd.Wait())
	assert.Contains(t, r.out.String(), "MariaDB has stopped; start again, nothing that was saved is lost")
	r = start(t, data)
	log := r.spells()
	for _, id := range []string{first, second, third} {
		assert.Equal(t, 1, strings.Count(log, `"id":"`+id+`"`))
	}
	require.NoError(t, r.cmd.Process.Signal(os.Interrupt))
	require.NoError(t, r.cmd.Wait())
}

func TestWhatIsWrongIsOneLineAndNotZero(t *testing.T) {
	taken, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	defer taken.Close()
	file := filepath.Join(t.TempDir(), "file")
	require.NoError(t, os.WriteFile(file, nil, 0o600))
	for want, env := range map[string][]string{
		"is taken by another program": {fmt.Sprintf("PORT=%d", taken.Addr().(*net.TCPAddr).Port), "DATA=" + t.TempDir()},
		"cannot be written":           {fmt.Sprintf("PORT=%d", freePort(t)), "DATA=" + filepath.Join(file, "data")},
	} {
		c := exec.Command(binary, "demo")
		c.Env = append(os.Environ(), env...)
		var errors bytes.Buffer
		c.Stderr = &errors
		assert.Error(t, c.Run(), want)
		assert.Contains(t, errors.String(), want)
		assert.Equal(t, 1, strings.Count(errors.String(), "\n"), errors.String())
	}
	c := exec.Command(binary, "serve", "--dsn", "nonsense")
	out, err := c.CombinedOutput()
	assert.Error(t, err)
	assert.Contains(t, string(out), "user:password@tcp(host:port)/name")
}

func TestOpenAPIDocumentIsWhatTheInterfaceWasBuiltOn(t *testing.T) {
	out, err := exec.Command(binary, "openapi").Output()
	require.NoError(t, err)
	committed, err := os.ReadFile("../../ui/openapi.yaml")
	require.NoError(t, err)
	assert.Equal(t, string(committed), string(out), "run make api")
}
