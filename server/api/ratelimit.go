package api

import (
	"net"
	"net/http"

	"github.com/go-chi/httprate"
)

// signInsAMinute from one address. Behind a balancer that is the balancer's: set a limit
// there too.
const signInsAMinute = 60

// peer is the address at the other end of the connection; headers that anyone can write
// are not believed.
func peer(r *http.Request) (string, error) {
	host, _, err := net.SplitHostPort(r.RemoteAddr)
	if err != nil {
		return "", err
	}
	return httprate.CanonicalizeIP(host), nil
}
