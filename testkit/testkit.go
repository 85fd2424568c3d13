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
	"greypebble/server/account"
	"greypebble/server/localdb"
)

// Now is the moment tests and pictures take place: an autumn morning on the
// invented coast, 06:30 there.
var Now = time.Date(2026, 11, 20, 9, 30, 0, 0, time.UTC)

// Server is a running demo.
type Server struct {
	URL string
	App *server.App

	dir     string
	db      *localdb.Server
	http    *httptest.Server
	mu      sync.Mutex
	fresh   int
	demo    sync.Once
	demoErr error
}

// Start a server on an empty database; call from TestMain and Stop at the end.
func Start() (*Server, error) {
	dir, err := os.MkdirTemp("", "greypebble-test-")
	if err != nil {
		return nil, err
	}
	db, err := localdb.Start(context.Background(), dir)
	if err != nil {
		_ = os.RemoveAll(dir)
		return nil, err
	}
	s := &Server{dir: dir, db: db}
	s.App, err = server.New(context.Background(), server.Config{DSN: db.DSN(), Now: func() time.Time { return Now },
		Registration: account.Open, InsideFeeds: true, Coast: demo.Coast})
	if err != nil {
		_ = db.Stop()
		_ = os.RemoveAll(dir)
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

// Stop the server and its database, which goes with it.
func (s *Server) Stop() {
	s.http.Close()
	_ = s.App.Close()
	_ = s.db.Stop()
	_ = os.RemoveAll(s.dir)
}

// Client speaks JSON with the server and keeps its cookie.
type Client struct {
	// Name of the angler who is signed in, empty for nobody.
	Name string

	t    testing.TB
	base string
	http http.Client
}

// ID of a thing of the angler's: a spot, a water, by its name in the scenario.
func (c *Client) ID(thing string) string { return demo.IDOf(c.Name, thing).String() }

// Object is a JSON object.
type Object = map[string]any

// Problem is an answer that says what was wrong (RFC 9457).
type Problem struct {
	Status int
	Detail string
	Errors []struct {
		Location, Message string
		Value             any
	}
}

// Client that is not signed in.
func (s *Server) Client(t testing.TB) *Client {
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	return &Client{t: t, base: s.URL + "/api/v1", http: http.Client{Jar: jar, Timeout: 2 * time.Minute}}
}

// Having says what a fresh angler has besides waters, spots and kit.
type Having int

// A log takes a second to make up.
const (
	NoLog Having = iota
	ALog
)

// Newcomer stores an angler of their own for a test, with everything one of the scenario
// ("wren", "moss") has, and returns the name; the password is the scenario's.
func (s *Server) Newcomer(t testing.TB, like string, having Having) string {
	s.mu.Lock()
	s.fresh++
	name := fmt.Sprintf("%s %d", like, s.fresh)
	s.mu.Unlock()
	require.NoError(t, demo.LoadLike(context.Background(), s.App.Store, s.App.Book, like, name, having == ALog, Now))
	return name
}

// Fresh is a client signed in as a newcomer.
func (s *Server) Fresh(t testing.TB, like string, having ...Having) *Client {
	has := NoLog
	if len(having) > 0 {
		has = having[0]
	}
	return s.As(t, s.Newcomer(t, like, has))
}

// LoadDemo as it is shipped, once, for what looks at the scenario itself.
func (s *Server) LoadDemo() error {
	s.demo.Do(func() { s.demoErr = demo.Load(context.Background(), s.App.Store, s.App.Book, Now) })
	return s.demoErr
}

// As is a client signed in as an angler.
func (s *Server) As(t testing.TB, name string) *Client {
	c := s.Client(t)
	require.Equal(t, http.StatusOK, c.Do("POST", "/login", map[string]any{"name": name, "password": demo.Password}, nil))
	c.Name = name
	return c
}

// Device is another of the same angler, signed in by the same session.
func (c *Client) Device(t testing.TB) *Client {
	return &Client{Name: c.Name, t: t, base: c.base, http: http.Client{Jar: c.http.Jar, Timeout: c.http.Timeout}}
}

// Send a request of one's own making, with the session.
func (c *Client) Send(req *http.Request) (*http.Response, error) { return c.http.Do(req) }

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
		if _, plain := body.(string); plain && (strings.HasPrefix(path, "/tide/analyse") || strings.HasSuffix(path, "/read") ||
			strings.Contains(path, "/log?") || strings.HasPrefix(path, "/interchange/")) {
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
