package api

import (
	"net/http"
	"net/http/httptest"
	"net/netip"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/server/account"
)

func TestAPanicIsAProblemDocument(t *testing.T) {
	h := recovered(http.HandlerFunc(func(http.ResponseWriter, *http.Request) { panic("in here") }))
	w := httptest.NewRecorder()
	h.ServeHTTP(w, httptest.NewRequest("GET", "/", nil))
	assert.Equal(t, 500, w.Code)
	assert.Equal(t, "application/problem+json", w.Header().Get("Content-Type"))
	assert.Contains(t, w.Body.String(), "it has been noted")
	assert.NotContains(t, w.Body.String(), "in here")

	half := recovered(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		_, _ = w.Write([]byte(`{"half":`))
		panic("in here")
	}))
	assert.PanicsWithValue(t, http.ErrAbortHandler, func() {
		half.ServeHTTP(httptest.NewRecorder(), httptest.NewRequest("GET", "/", nil))
	}, "half an answer is cut off, not ended as if it were whole")
}

func TestOnlyItsOwnNamesAreAnswered(t *testing.T) {
	h := named([]string{"pebble.example", "::1"})(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { w.WriteHeader(204) }))
	for host, want := range map[string]int{"pebble.example": 204, "Pebble.Example:8080": 204, "[::1]:8080": 204,
		"evil.example": 421, "pebble.example.evil.example": 421, "": 421} {
		r := httptest.NewRequest("GET", "/", nil)
		r.Host = host
		w := httptest.NewRecorder()
		h.ServeHTTP(w, r)
		assert.Equal(t, want, w.Code, host)
	}
	r := httptest.NewRequest("GET", "/api/v1/health", nil)
	r.Host = "10.0.0.7"
	w := httptest.NewRecorder()
	h.ServeHTTP(w, r)
	assert.Equal(t, 204, w.Code, "a balancer asks by address")
}

func TestAHeaderIsBelievedOfConfiguredProxiesOnly(t *testing.T) {
	for _, c := range []struct {
		remote, forwarded string
		proxies           []string
		want              string
	}{
		{"203.0.113.9:1", "198.51.100.1", nil, "203.0.113.9"},
		{"10.0.0.1:1", "198.51.100.1", []string{"10.0.0.0/8"}, "198.51.100.1"},
		{"10.0.0.1:1", "192.0.2.66, 198.51.100.1, 10.0.0.2", []string{"10.0.0.0/8"}, "198.51.100.1"},
		{"203.0.113.9:1", "198.51.100.1", []string{"10.0.0.0/8"}, "203.0.113.9"},
		{"10.0.0.1:1", "nonsense", []string{"10.0.0.0/8"}, "10.0.0.1"},
		{"[::ffff:10.0.0.1]:1", "198.51.100.1", []string{"10.0.0.0/8"}, "198.51.100.1"},
	} {
		var proxies []netip.Prefix
		for _, p := range c.proxies {
			proxies = append(proxies, netip.MustParsePrefix(p))
		}
		var got netip.Addr
		h := from(proxies)(http.HandlerFunc(func(_ http.ResponseWriter, r *http.Request) { got = account.AddressOf(r.Context()) }))
		r := httptest.NewRequest("GET", "/", nil)
		r.RemoteAddr = c.remote
		r.Header.Set("X-Forwarded-For", c.forwarded)
		h.ServeHTTP(httptest.NewRecorder(), r)
		require.True(t, got.IsValid(), c)
		assert.Equal(t, c.want, got.String(), c)
	}
}

func TestOverTLSAndNeverAgainWithout(t *testing.T) {
	for tls, want := range map[bool]string{true: "max-age=31536000; includeSubDomains", false: ""} {
		w := httptest.NewRecorder()
		security(tls)(http.NotFoundHandler()).ServeHTTP(w, httptest.NewRequest("GET", "/", nil))
		assert.Equal(t, want, w.Header().Get("Strict-Transport-Security"))
	}
}
