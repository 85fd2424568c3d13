package account_test

import (
	"context"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"net/http/httptest"
	"net/url"
	"os"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/server/account"
	"greypebble/server/localdb"
	"greypebble/server/store"
)

var s *store.Store

func TestMain(m *testing.M) { os.Exit(run(m)) }

func run(m *testing.M) int {
	dir, err := os.MkdirTemp("", "greypebble-account-")
	if err != nil {
		panic(err)
	}
	defer os.RemoveAll(dir)
	db, err := localdb.Start(context.Background(), dir)
	if err != nil {
		fmt.Fprintln(os.Stderr, err)
		return 1
	}
	defer db.Stop() //nolint:errcheck // the directory goes anyhow
	if s, err = store.Open(context.Background(), db.DSN()); err != nil {
		fmt.Fprintln(os.Stderr, err)
		return 1
	}
	return m.Run()
}

// site signs in at /in, says who asks at /who, and signs out at /out.
func site(t *testing.T, secure bool) (*httptest.Server, *http.Client) {
	t.Helper()
	a, err := account.New(s, account.Open, secure)
	require.NoError(t, err)
	t.Cleanup(a.Close)
	mux := http.NewServeMux()
	mux.HandleFunc("/in", func(w http.ResponseWriter, r *http.Request) {
		if _, err := a.SignIn(r.Context(), r.FormValue("name"), r.FormValue("password")); err != nil {
			http.Error(w, err.Error(), http.StatusUnauthorized)
		}
	})
	mux.HandleFunc("/who", func(w http.ResponseWriter, r *http.Request) {
		if id, ok := a.Angler(r.Context()); ok {
			_, _ = fmt.Fprint(w, id)
		}
	})
	mux.HandleFunc("/out", func(w http.ResponseWriter, r *http.Request) {
		if err := a.SignOut(r.Context()); err != nil {
			http.Error(w, err.Error(), http.StatusInternalServerError)
		}
	})
	srv := httptest.NewServer(a.Middleware(mux))
	t.Cleanup(srv.Close)
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	return srv, &http.Client{Jar: jar}
}

func get(t *testing.T, c *http.Client, address string) (int, string) {
	t.Helper()
	r, err := c.Get(address)
	require.NoError(t, err)
	defer r.Body.Close()
	raw, err := io.ReadAll(r.Body)
	require.NoError(t, err)
	return r.StatusCode, string(raw)
}

func in(srv *httptest.Server, name, password string) string {
	return srv.URL + "/in?" + url.Values{"name": {name}, "password": {password}}.Encode()
}

func TestSigningInAndOut(t *testing.T) {
	ctx := context.Background()
	id := uuid.Must(uuid.NewV7())
	hash, err := account.Hash("a good one")
	require.NoError(t, err)
	assert.NotContains(t, hash, "a good one")
	require.NoError(t, s.AddAngler(ctx, store.Angler{ID: id, Name: "heron", PasswordHash: hash}))
	srv, c := site(t, false)
	_, who := get(t, c, srv.URL+"/who")
	assert.Empty(t, who)
	for _, wrong := range [][2]string{{"heron", "a bad one"}, {"nobody", "a good one"}, {"heron", ""}} {
		status, says := get(t, c, in(srv, wrong[0], wrong[1]))
		assert.Equal(t, http.StatusUnauthorized, status)
		assert.Contains(t, says, account.ErrWrong.Error(), "the same answer to a wrong name and a wrong password")
	}
	status, _ := get(t, c, in(srv, "heron", "a good one"))
	assert.Equal(t, http.StatusOK, status)
	_, who = get(t, c, srv.URL+"/who")
	assert.Equal(t, id.String(), who)

	// Another browser is nobody; a second copy of the server knows the first's session.
	_, other := site(t, false)
	_, who = get(t, other, srv.URL+"/who")
	assert.Empty(t, who)
	second, _ := site(t, false)
	here, err := url.Parse(srv.URL)
	require.NoError(t, err)
	there, err := url.Parse(second.URL)
	require.NoError(t, err)
	c.Jar.SetCookies(there, c.Jar.Cookies(here))
	_, who = get(t, c, second.URL+"/who")
	assert.Equal(t, id.String(), who)

	status, _ = get(t, c, srv.URL+"/out")
	assert.Equal(t, http.StatusOK, status)
	_, who = get(t, c, srv.URL+"/who")
	assert.Empty(t, who)
}

func TestTheCookieIsKeptFromScriptsAndOtherSites(t *testing.T) {
	ctx := context.Background()
	hash, err := account.Hash("x")
	require.NoError(t, err)
	require.NoError(t, s.AddAngler(ctx, store.Angler{ID: uuid.Must(uuid.NewV7()), Name: "egret", PasswordHash: hash}))
	for _, secure := range []bool{false, true} {
		srv, _ := site(t, secure)
		r, err := http.Get(in(srv, "egret", "x"))
		require.NoError(t, err)
		_ = r.Body.Close()
		require.Len(t, r.Cookies(), 1)
		k := r.Cookies()[0]
		assert.True(t, k.HttpOnly)
		assert.Equal(t, http.SameSiteLaxMode, k.SameSite)
		assert.Equal(t, secure, k.Secure)
		// What the database holds is not what the browser sends.
		var stored int
		require.NoError(t, s.DB().QueryRowContext(ctx, "SELECT COUNT(*) FROM sessions WHERE token = ?", k.Value).Scan(&stored))
		assert.Zero(t, stored)
	}
}

func TestSessionsThatHaveRunOutAreForgotten(t *testing.T) {
	ctx := context.Background()
	who := uuid.Must(uuid.NewV7())
	require.NoError(t, s.AddAngler(ctx, store.Angler{ID: who, Name: "stilt", PasswordHash: "x"}))
	put := func(token, expiry string) {
		_, err := s.DB().ExecContext(ctx,
			"INSERT INTO sessions (token, id, angler_id, data, started_at, seen_at, expiry) VALUES (?, UUID(), ?, '', "+
				"UTC_TIMESTAMP(3), UTC_TIMESTAMP(3), UTC_TIMESTAMP(6) "+expiry+")", token, who)
		require.NoError(t, err)
	}
	put("over", "- INTERVAL 1 SECOND")
	put("still good", "+ INTERVAL 1 HOUR")
	left := func(token string) (n int) {
		require.NoError(t, s.DB().QueryRowContext(ctx, "SELECT COUNT(*) FROM sessions WHERE token = ?", token).Scan(&n))
		return n
	}
	a, err := account.New(s, account.Open, false)
	require.NoError(t, err)
	require.Eventually(t, func() bool { return left("over") == 0 }, time.Minute, 20*time.Millisecond)
	a.Close()
	assert.Equal(t, 1, left("still good"))
}

func member(t *testing.T, name, password string) uuid.UUID {
	hash, err := account.Hash(password)
	require.NoError(t, err)
	id := uuid.Must(uuid.NewV7())
	require.NoError(t, s.AddAngler(context.Background(), store.Angler{ID: id, Name: name, PasswordHash: hash}))
	return id
}

// A session is written down as used once an hour and no more, ends when it is not used for
// long, and one that was ended elsewhere is not brought back by a request under way.
func TestASessionThatIsUsed(t *testing.T) {
	ctx := context.Background()
	id := member(t, "knot", "a good long one")
	srv, c := site(t, false)
	get(t, c, in(srv, "knot", "a good long one"))
	list, err := s.Sessions(ctx, id)
	require.NoError(t, err)
	require.Len(t, list, 1)
	first := list[0]
	assert.InDelta(t, 30*24, time.Until(first.Expiry).Hours(), 1, "idle that long, it ends")
	seen := func() store.Session {
		get(t, c, srv.URL+"/who")
		list, err := s.Sessions(ctx, id)
		require.NoError(t, err)
		require.Len(t, list, 1)
		return list[0]
	}
	assert.Equal(t, first.Seen, seen().Seen, "just used: nothing is written")
	_, err = s.DB().ExecContext(ctx, `UPDATE sessions SET seen_at = seen_at - INTERVAL 2 HOUR, expiry = expiry - INTERVAL 2 HOUR
		WHERE angler_id = ?`, id)
	require.NoError(t, err)
	assert.WithinDuration(t, first.Expiry, seen().Expiry, time.Minute, "used again, it lasts again")

	// The absolute end is in what the session itself says, whatever is written beside it.
	_, err = s.DB().ExecContext(ctx, `UPDATE sessions SET expiry = UTC_TIMESTAMP(6) - INTERVAL 1 SECOND WHERE angler_id = ?`, id)
	require.NoError(t, err)
	_, who := get(t, c, srv.URL+"/who")
	assert.Empty(t, who)
}

func TestASessionEndedMeanwhileStaysSo(t *testing.T) {
	ctx := context.Background()
	id := member(t, "ruff", "a good long one")
	a, err := account.New(s, account.Open, false)
	require.NoError(t, err)
	t.Cleanup(a.Close)
	under, goOn := make(chan struct{}), make(chan struct{})
	mux := http.NewServeMux()
	mux.HandleFunc("/in", func(_ http.ResponseWriter, r *http.Request) {
		_, err := a.SignIn(r.Context(), "ruff", "a good long one")
		assert.NoError(t, err)
	})
	mux.HandleFunc("/slow", func(http.ResponseWriter, *http.Request) { close(under); <-goOn })
	srv := httptest.NewServer(a.Middleware(mux))
	t.Cleanup(srv.Close)
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	c := &http.Client{Jar: jar}
	get(t, c, srv.URL+"/in")
	_, err = s.DB().ExecContext(ctx, `UPDATE sessions SET seen_at = seen_at - INTERVAL 2 HOUR WHERE angler_id = ?`, id)
	require.NoError(t, err)
	done := make(chan struct{})
	go func() { defer close(done); get(t, c, srv.URL+"/slow") }()
	<-under
	require.NoError(t, s.EndSessionsBut(ctx, id, uuid.Nil))
	close(goOn)
	<-done
	list, err := s.Sessions(ctx, id)
	require.NoError(t, err)
	assert.Empty(t, list)
}

// An unknown name takes as long as a wrong password: neither is told by the clock.
func TestAnUnknownNameTakesAsLong(t *testing.T) {
	member(t, "dunlin", "a good long one")
	srv, c := site(t, false)
	least := func(name string) time.Duration {
		best := time.Hour
		for range 4 {
			began := time.Now()
			get(t, c, in(srv, name, "a wrong long one"))
			best = min(best, time.Since(began))
		}
		return best
	}
	known, unknown := least("dunlin"), least("nobody at all")
	assert.InDelta(t, 1, float64(known)/float64(unknown), 0.5, "%s and %s", known, unknown)
}

func TestPasswordsThatWillNotDo(t *testing.T) {
	for password, says := range map[string]string{"short": "at least 10", "Sand Martin": "must not be the name",
		"aaaaaaaaaaaa": "again and again"} {
		assert.ErrorContains(t, account.CheckPassword("sand martin", password), says)
	}
	assert.NoError(t, account.CheckPassword("sand martin", "four words in a row"))
}
