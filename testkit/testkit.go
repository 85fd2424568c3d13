// Package testkit gives tests a private MariaDB and a running server on it.
package testkit

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"os"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"greypebble/demo"
	"greypebble/server"
	"greypebble/server/localdb"
)

// Now is the moment tests and pictures take place: an autumn morning on the
// invented coast, 06:30 there.
var Now = time.Date(2026, 11, 20, 9, 30, 0, 0, time.UTC)

// Server is a running demo.
type Server struct {
	URL string
	App *server.App

	db       *localdb.Server
	http     *httptest.Server
	mu       sync.Mutex
	signedIn map[string]http.CookieJar
}

// Start a server with the demo loaded; call from TestMain and Stop at the end.
func Start() (*Server, error) {
	dir, err := os.MkdirTemp("", "greypebble-test-")
	if err != nil {
		return nil, err
	}
	db, err := localdb.Start(context.Background(), dir)
	if err != nil {
		return nil, err
	}
	s := &Server{db: db}
	s.App, err = server.New(context.Background(), server.Config{DSN: db.DSN(), Now: func() time.Time { return Now }})
	if err == nil {
		err = demo.Load(context.Background(), s.App.Store, s.App.Book, Now)
	}
	if err != nil {
		_ = db.Stop()
		return nil, err
	}
	s.http = httptest.NewServer(s.App.Handler)
	s.URL = s.http.URL
	return s, nil
}

// Run the tests of a package on a server they share, and say how they went; for
// TestMain.
func Run(m *testing.M, kit **Server) int {
	s, err := Start()
	if err != nil {
		fmt.Fprintln(os.Stderr, err)
		return 1
	}
	*kit = s
	defer s.Stop()
	return m.Run()
}

// Stop the server and its database.
func (s *Server) Stop() {
	s.http.Close()
	_ = s.App.Close()
	_ = s.db.Stop()
}

// Client speaks JSON with the server and keeps its cookie.
type Client struct {
	t    testing.TB
	base string
	http http.Client
}

// Client that is not signed in.
func (s *Server) Client(t testing.TB) *Client {
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	return &Client{t, s.URL + "/api/v1", http.Client{Jar: jar, Timeout: 30 * time.Second}}
}

// As is a client signed in as a demo angler. One session serves all tests: signing in is
// dear and limited.
func (s *Server) As(t testing.TB, name string) *Client {
	s.mu.Lock()
	defer s.mu.Unlock()
	c := s.Client(t)
	if jar := s.signedIn[name]; jar != nil {
		c.http.Jar = jar
		return c
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/login", map[string]any{"name": name, "password": demo.Password}, nil))
	if s.signedIn == nil {
		s.signedIn = map[string]http.CookieJar{}
	}
	s.signedIn[name] = c.http.Jar
	return c
}

// Do sends a request with a JSON body (nil for none, a string as it is) and
// decodes the answer into out (as it is into a
// string) unless that is nil. It returns the status.
func (c *Client) Do(method, path string, body, out any) int {
	c.t.Helper()
	var r io.Reader
	switch b := body.(type) {
	case nil:
	case string:
		r = bytes.NewReader([]byte(b))
	default:
		raw, err := json.Marshal(b)
		require.NoError(c.t, err)
		r = bytes.NewReader(raw)
	}
	req, err := http.NewRequest(method, c.base+path, r)
	require.NoError(c.t, err)
	if r != nil {
		req.Header.Set("Content-Type", "application/json")
		if _, plain := body.(string); plain && (strings.HasPrefix(path, "/tide/analyse") || path == "/stations/read" || strings.Contains(path, "/log?") || strings.HasPrefix(path, "/interchange/")) {
			req.Header.Set("Content-Type", "text/csv")
		}
	}
	res, err := c.http.Do(req)
	require.NoError(c.t, err)
	defer res.Body.Close()
	raw, err := io.ReadAll(res.Body)
	require.NoError(c.t, err)
	if text, ok := out.(*string); ok {
		*text = string(raw)
	} else if out != nil {
		require.NoError(c.t, json.Unmarshal(raw, out), "%s %s: %s", method, path, raw)
	}
	return res.StatusCode
}
