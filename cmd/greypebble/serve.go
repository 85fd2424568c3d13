package main

import (
	"context"
	"errors"
	"fmt"
	"net"
	"net/http"
	"net/netip"
	"os"
	"os/signal"
	"runtime/debug"
	"strings"
	"syscall"
	"time"

	"greypebble/server"
	"greypebble/server/api"
)

type serveCommand struct {
	DSN           string         `required:"" env:"GREYPEBBLE_DSN" help:"Database: user:password@tcp(host:port)/name."`
	Listen        string         `default:"127.0.0.1:8080" help:"Address to listen on."`
	InsecureLocal bool           `help:"Let the session cookie travel without TLS; only for loopback."`
	Host          []string       `env:"GREYPEBBLE_HOST" help:"Names it goes by; others are refused."`
	TrustedProxy  []netip.Prefix `env:"GREYPEBBLE_TRUSTED_PROXY" help:"CIDR of proxies whose X-Forwarded-For is believed."`
}

func (c serveCommand) Run() error {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	listener, err := listen(c.Listen)
	if err != nil {
		return err
	}
	app, err := server.New(ctx, server.Config{DSN: c.DSN, SecureCookie: !c.InsecureLocal, Hosts: c.hosts(listener),
		Proxies: c.TrustedProxy})
	if err != nil {
		return err
	}
	defer app.Close()
	fmt.Printf("Grey Pebble listens on http://%s\n", listener.Addr())
	return serve(ctx, listener, app.Handler, nil)
}

// hosts the program goes by; without TLS on loopback those of loopback, where nothing was
// said.
func (c serveCommand) hosts(l net.Listener) []string {
	if a, ok := l.Addr().(*net.TCPAddr); ok && len(c.Host) == 0 && c.InsecureLocal && a.IP.IsLoopback() {
		return api.Loopback
	}
	hosts := make([]string, len(c.Host))
	for i, h := range c.Host {
		hosts[i] = strings.ToLower(h)
	}
	return hosts
}

func listen(address string) (net.Listener, error) {
	l, err := net.Listen("tcp", address)
	if errors.Is(err, syscall.EADDRINUSE) {
		return nil, fmt.Errorf("%s is taken by another program; choose another port with PORT=", address)
	}
	if err != nil {
		return nil, fmt.Errorf("cannot listen on %s: %w", address, err)
	}
	return l, nil
}

// mostMemory the program takes before it looks harder for what it needs no more; GOMEMLIMIT
// in the environment goes before.
const mostMemory = 352 << 20

// serve until the context ends or lost reports that the database is gone, then
// let running requests finish.
func serve(ctx context.Context, l net.Listener, h http.Handler, lost <-chan error) error {
	if os.Getenv("GOMEMLIMIT") == "" {
		debug.SetMemoryLimit(mostMemory)
	}
	s := &http.Server{Handler: h, ReadHeaderTimeout: 10 * time.Second, ReadTimeout: time.Minute, WriteTimeout: 2 * time.Minute,
		IdleTimeout: 2 * time.Minute}
	failed := make(chan error, 1)
	go func() { failed <- s.Serve(l) }()
	var cause error
	select {
	case err := <-failed:
		return err
	case <-lost:
		cause = errors.New("MariaDB has stopped; start again, nothing that was saved is lost")
	case <-ctx.Done():
	}
	finish, cancel := context.WithTimeout(context.Background(), 10*time.Second)
	defer cancel()
	if err := s.Shutdown(finish); err != nil && cause == nil {
		cause = err
	}
	return cause
}
