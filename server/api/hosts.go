package api

import (
	"net"
	"net/http"
	"slices"
	"strings"

	"greypebble/server/api/web"
)

// Loopback are the names of this machine for itself.
var Loopback = []string{"localhost", "127.0.0.1", "::1"}

// named lets through only requests for one of the names the program goes by, so that a
// page elsewhere cannot reach it by a name of its own; any name where none was configured.
// A balancer may ask after its health by whatever name.
func named(hosts []string) func(http.Handler) http.Handler {
	refuse := web.Refuse(http.StatusMisdirectedRequest, "This program does not go by the name this request was sent to.")
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			if len(hosts) > 0 && r.URL.Path != "/api/v1/health" && !slices.Contains(hosts, bare(r.Host)) {
				refuse(w, r)
				return
			}
			next.ServeHTTP(w, r)
		})
	}
}

// bare name of a host, without its port, in small letters.
func bare(host string) string {
	if name, _, err := net.SplitHostPort(host); err == nil {
		host = name
	}
	return strings.ToLower(strings.Trim(host, "[]"))
}
