package feed

import (
	"net/http"
	"net/http/httptest"
	"net/netip"
	"testing"

	"github.com/stretchr/testify/assert"
)

// Whoever names a forecast's address reaches nothing only the server can.
func TestForecastsComeFromOutside(t *testing.T) {
	for a, want := range map[string]bool{"8.8.4.4": true, "2001:4860::1": true, "127.0.0.1": false, "::1": false, "10.1.2.3": false,
		"192.168.1.1": false, "169.254.169.254": false, "fe80::1": false, "fc00::1": false, "100.64.1.1": false, "0.0.0.0": false,
		"224.0.0.1": false} {
		assert.Equal(t, want, open(netip.MustParseAddr(a)), a)
	}
	s := httptest.NewServer(http.NotFoundHandler())
	defer s.Close()
	_, err := Client{HTTP: Outside(), Tries: 1}.Fetch(t.Context(), s.URL)
	assert.ErrorContains(t, err, "one of this machine or its own network")
	_, err = Client{HTTP: Outside(), Tries: 1}.Fetch(t.Context(), "http://localhost:1/")
	assert.ErrorContains(t, err, "one of this machine or its own network", "by whatever name")
}
