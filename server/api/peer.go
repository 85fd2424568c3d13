package api

import (
	"net"
	"net/http"
	"net/netip"
	"slices"
	"strings"

	"greypebble/server/account"
)

// from notes where a request comes from: the address at the other end of the connection.
// What a header says of it anyone can write; it is believed only of proxies that were
// configured, and then back to the first address that is not one of theirs.
func from(proxies []netip.Prefix) func(http.Handler) http.Handler {
	trusted := func(a netip.Addr) bool {
		return slices.ContainsFunc(proxies, func(p netip.Prefix) bool { return p.Contains(a) })
	}
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			at := address(r.RemoteAddr)
			hops := strings.Split(strings.Join(r.Header.Values("X-Forwarded-For"), ","), ",")
			for i := len(hops) - 1; i >= 0 && at.IsValid() && trusted(at); i-- {
				hop, err := netip.ParseAddr(strings.TrimSpace(hops[i]))
				if err != nil {
					break
				}
				at = hop.Unmap()
			}
			next.ServeHTTP(w, r.WithContext(account.From(r.Context(), at)))
		})
	}
}

func address(remote string) netip.Addr {
	host, _, err := net.SplitHostPort(remote)
	if err != nil {
		return netip.Addr{}
	}
	a, err := netip.ParseAddr(host)
	if err != nil {
		return netip.Addr{}
	}
	return a.Unmap()
}
