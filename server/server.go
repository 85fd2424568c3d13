// Package server puts store, accounts, playbook, API and interface together.
package server

import (
	"context"
	"net/http"
	"net/netip"
	"time"

	"greypebble/core/playbook"
	"greypebble/server/account"
	"greypebble/server/api"
	"greypebble/server/store"
	"greypebble/ui"
)

// App is the whole program behind one handler.
type App struct {
	Handler http.Handler
	Store   *store.Store
	Book    *playbook.Book

	accounts *account.Accounts
	stop     func()
}

// Config of an app.
type Config struct {
	// DSN of the database in the form of the mysql driver.
	DSN string
	// SecureCookie marks the session cookie for TLS only.
	SecureCookie bool
	// Room says whether there is room on the database's disk; nil where nobody can say.
	Room func() bool
	// Now is the clock; nil means the system's.
	Now func() time.Time
	// Hosts the program goes by; none lets any through.
	Hosts []string
	// Proxies whose word is taken for where a request comes from.
	Proxies []netip.Prefix
}

// New connects, migrates and builds the handler.
func New(ctx context.Context, c Config) (*App, error) {
	book, err := playbook.Builtin()
	if err != nil {
		return nil, err
	}
	s, err := store.Open(ctx, c.DSN)
	if err != nil {
		return nil, err
	}
	if c.Room != nil {
		s.Watch(c.Room)
	}
	accounts, err := account.New(s, c.SecureCookie)
	if err != nil {
		_ = s.Close()
		return nil, err
	}
	h := api.New(api.Config{Store: s, Accounts: accounts, Book: book, Now: c.Now, UI: ui.Handler(), Hosts: c.Hosts, Proxies: c.Proxies,
		TLS: c.SecureCookie})
	return &App{h, s, book, accounts, thin(s, c.Now)}, nil
}

// Close ends background work and the connections.
func (a *App) Close() error {
	a.stop()
	a.accounts.Close()
	return a.Store.Close()
}
