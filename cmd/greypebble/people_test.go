package main

import (
	"bufio"
	"bytes"
	"crypto/ecdsa"
	"crypto/elliptic"
	"crypto/rand"
	"crypto/tls"
	"crypto/x509"
	"crypto/x509/pkix"
	"encoding/pem"
	"fmt"
	"io"
	"math/big"
	"net"
	"net/http"
	"net/http/cookiejar"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// run the program to its end.
func run(t *testing.T, in string, args ...string) (out string, err error) {
	t.Helper()
	c := exec.Command(binary, args...)
	c.Stdin = strings.NewReader(in)
	raw, err := c.CombinedOutput()
	return string(raw), err
}

func must(t *testing.T, in string, args ...string) string {
	t.Helper()
	out, err := run(t, in, args...)
	require.NoError(t, err, "%v: %s", args, out)
	return out
}

// serving starts an embedded server and waits until it listens.
func serving(t *testing.T, data string, more ...string) *running {
	port := freePort(t)
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	args := append([]string{"serve", "--embedded", "--data", data, "--listen", fmt.Sprintf("127.0.0.1:%d", port)}, more...)
	r := &running{t, exec.Command(binary, args...), fmt.Sprintf("http://127.0.0.1:%d", port),
		&http.Client{Jar: jar, Timeout: 2 * time.Minute}, &bytes.Buffer{}}
	said, err := r.cmd.StdoutPipe()
	require.NoError(t, err)
	r.cmd.Stderr = r.cmd.Stdout
	require.NoError(t, r.cmd.Start())
	t.Cleanup(func() { _ = r.cmd.Process.Kill() })
	lines := bufio.NewScanner(said)
	for lines.Scan() {
		r.out.WriteString(lines.Text() + "\n")
		if strings.Contains(lines.Text(), "listens on") {
			go func() { _, _ = io.Copy(io.Discard, said) }()
			return r
		}
	}
	t.Fatalf("not ready: %s", r.out)
	return nil
}

func (r *running) stop() {
	require.NoError(r.t, r.cmd.Process.Signal(os.Interrupt))
	require.NoError(r.t, r.cmd.Wait(), "%s", r.out)
}

// A club's server: an empty desk, accounts made beside it, a backup while it runs, and all
// of it on another machine.
func TestAServerOfOnesOwn(t *testing.T) {
	dir := t.TempDir()
	data, file := filepath.Join(dir, "data"), filepath.Join(dir, "backup.sql.gz")
	r := serving(t, data, "--insecure-local")
	where := []string{"--embedded", "--data", data}
	with := func(args ...string) []string { return append(args, where...) }

	assert.Contains(t, must(t, "four words in a row\n", with("angler", "add", "knot", "--password-stdin")...), "knot can sign in")
	out, err := run(t, "four words in a row\n", with("angler", "add", "Knot", "--password-stdin")...)
	require.Error(t, err)
	assert.Contains(t, out, "there is an angler called Knot already")
	out, err = run(t, "short\n", with("angler", "add", "ruff", "--password-stdin")...)
	require.Error(t, err)
	assert.Contains(t, out, "at least 10 characters")
	invite := strings.Fields(must(t, "", with("angler", "invite", "--uses", "1")...))[0]
	join := map[string]any{"name": "ruff", "password": "four words in a row"}
	assert.Equal(t, http.StatusUnprocessableEntity, r.do("POST", "/anglers", join), "an invite is needed")
	join["invite"] = invite
	assert.Equal(t, http.StatusOK, r.do("POST", "/anglers", join))
	assert.Equal(t, http.StatusOK, r.do("POST", "/login", map[string]any{"name": "knot", "password": "four words in a row"}))
	list := must(t, "", with("angler", "list")...)
	assert.Regexp(t, `knot +20\d\d-\d\d-\d\d +20\d\d`, list)
	assert.Contains(t, list, "ruff")

	assert.Contains(t, must(t, "", with("backup", file)...), "holds 2 anglers, 0 spots")
	must(t, "", with("angler", "remove", "ruff", "--yes")...)
	assert.NotContains(t, must(t, "", with("angler", "list")...), "ruff")
	must(t, "another long one\n", with("angler", "password", "knot", "--password-stdin")...)
	assert.Equal(t, http.StatusUnauthorized, r.do("GET", "/me", nil), "a new password ends sessions")
	out, err = run(t, "", with("restore", file)...)
	require.Error(t, err, "not beneath a server that runs")
	assert.Contains(t, out, "in use by another Grey Pebble")
	r.stop()

	out, err = run(t, "", with("restore", file)...)
	require.Error(t, err)
	assert.Contains(t, out, "holds something already")
	elsewhere := filepath.Join(dir, "elsewhere")
	assert.Contains(t, must(t, "", "restore", file, "--embedded", "--data", elsewhere), "2 can sign in")
	moved := serving(t, elsewhere, "--insecure-local")
	assert.Equal(t, http.StatusOK, moved.do("POST", "/login", map[string]any{"name": "ruff", "password": "four words in a row"}))
	moved.stop()

	// A file that is cut off or changed restores nothing.
	raw, err := os.ReadFile(file)
	require.NoError(t, err)
	for says, spoilt := range map[string][]byte{"is damaged": raw[:len(raw)/2], "not gzipped": []byte("-- something else")} {
		bad := filepath.Join(dir, "bad.gz")
		require.NoError(t, os.WriteFile(bad, spoilt, 0o600))
		out, err := run(t, "", "restore", bad, "--replace", "--embedded", "--data", elsewhere)
		require.Error(t, err)
		assert.Contains(t, out, says)
	}
	assert.Contains(t, must(t, "", "angler", "list", "--embedded", "--data", elsewhere), "ruff")
}

func TestServingByTLSFromASettingsFile(t *testing.T) {
	dir := t.TempDir()
	cert, key := certificate(t, dir)
	settings := filepath.Join(dir, "greypebble.yaml")
	require.NoError(t, os.WriteFile(settings, fmt.Appendf(nil,
		"certificate: %s\nkey: %s\nregistration: open\nhost: [pebble.example, 127.0.0.1]\n",
		cert, key), 0o600))
	r := serving(t, filepath.Join(dir, "data"), "--settings", settings)
	assert.Contains(t, r.out.String(), "https://")
	pool := x509.NewCertPool()
	raw, err := os.ReadFile(cert)
	require.NoError(t, err)
	require.True(t, pool.AppendCertsFromPEM(raw))
	r.http.Transport = &http.Transport{TLSClientConfig: &tls.Config{RootCAs: pool, MinVersion: tls.VersionTLS12}}
	r.url = strings.Replace(r.url, "http:", "https:", 1)
	require.Equal(t, http.StatusOK, r.do("POST", "/anglers", map[string]any{"name": "knot", "password": "four words in a row"}))
	assert.Equal(t, http.StatusOK, r.do("GET", "/me", nil), "the cookie travels by TLS")
	r.stop()

	require.NoError(t, os.WriteFile(settings, []byte("registation: open\n"), 0o600))
	out, err := run(t, "", "serve", "--embedded", "--data", dir, "--settings", settings)
	require.Error(t, err)
	assert.Contains(t, out, `speaks of "registation", which is no setting`)
	out, err = run(t, "", "serve", "--embedded", "--data", dir, "--certificate", cert)
	require.Error(t, err)
	assert.Contains(t, out, "go together")
}

func certificate(t *testing.T, dir string) (cert, key string) {
	private, err := ecdsa.GenerateKey(elliptic.P256(), rand.Reader)
	require.NoError(t, err)
	of := &x509.Certificate{SerialNumber: big.NewInt(1), Subject: pkix.Name{CommonName: "pebble.example"},
		NotBefore: time.Now().Add(-time.Hour),
		NotAfter:  time.Now().Add(time.Hour), IPAddresses: []net.IP{net.IPv4(127, 0, 0, 1)}, IsCA: true, BasicConstraintsValid: true}
	der, err := x509.CreateCertificate(rand.Reader, of, of, &private.PublicKey, private)
	require.NoError(t, err)
	raw, err := x509.MarshalECPrivateKey(private)
	require.NoError(t, err)
	write := func(name, kind string, der []byte) string {
		file := filepath.Join(dir, name)
		require.NoError(t, os.WriteFile(file, pem.EncodeToMemory(&pem.Block{Type: kind, Bytes: der}), 0o600))
		return file
	}
	return write("cert.pem", "CERTIFICATE", der), write("key.pem", "EC PRIVATE KEY", raw)
}
