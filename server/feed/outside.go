package feed

import (
	"errors"
	"fmt"
	"net"
	"net/http"
	"net/netip"
	"syscall"
	"time"
)

// errInside says that an address lies within the network the server stands in.
var errInside = errors.New("the address is one of this machine or its own network; forecasts are fetched from outside only")

// Outside is a client that fetches from the open network only: whoever may name an address
// must not reach what only the server can. Each address is looked at as it is connected to,
// whatever name led there.
func Outside() *http.Client {
	d := &net.Dialer{Timeout: 10 * time.Second, Control: func(_, address string, _ syscall.RawConn) error {
		to, err := netip.ParseAddrPort(address)
		if err != nil {
			return fmt.Errorf("feed: %w", err)
		}
		if !open(to.Addr().Unmap()) {
			return errInside
		}
		return nil
	}}
	t := http.DefaultTransport.(*http.Transport).Clone()
	t.DialContext, t.Proxy = d.DialContext, nil
	return &http.Client{Transport: t, CheckRedirect: func(_ *http.Request, via []*http.Request) error {
		if len(via) > 3 {
			return errors.New("the service sends one from place to place")
		}
		return nil
	}}
}

// shared addresses of providers' own networks (RFC 6598), which the standard library counts
// as open.
var shared = netip.MustParsePrefix("100.64.0.0/10")

// open addresses are reached from anywhere.
func open(a netip.Addr) bool {
	return a.IsGlobalUnicast() && !a.IsPrivate() && !a.IsLoopback() && !a.IsLinkLocalUnicast() && !shared.Contains(a)
}
