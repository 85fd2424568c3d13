// Package server puts store, accounts, playbook, API and interface together.
package server

import (
	"context"
	"net/http"
	"net/netip"
	"time"

	"github.com/google/uuid"

	"greypebble/core/playbook"
	"greypebble/server/account"
	"greypebble/server/api"
	"greypebble/server/feed"
	"greypebble/server/store"
	"greypebble/ui"
)

// App is the whole program behind one handler.
type App struct {
	Handler http.Handler
	Store   *store.Store
	Book    *playbook.Book

	accounts  *account.Accounts
	forecasts *feed.Poller
	stop      func()
}

// Config of an app.
type Config struct {
	// DSN of the database in the form of the mysql driver.
	DSN string
	// SecureCookie marks the session cookie for TLS only.
	SecureCookie bool
	// Registration says who may make an account; nobody where it is empty.
	Registration account.Registration
	// PollEvery is how often forecasts are asked for; 0 only when somebody asks on the screen.
	PollEvery time.Duration
	// InsideFeeds lets forecasts come from this machine and its own network.
	InsideFeeds bool
	// Coast copies the invented coast into somebody's account; nil where there is none.
	Coast func(ctx context.Context, s *store.Store, book *playbook.Book, angler uuid.UUID, now time.Time) error
	// Demo says how to sign in where everything is invented.
	Demo string
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
	if c.Registration == "" {
		c.Registration = account.Closed
	}
	if c.Now == nil {
		c.Now = time.Now
	}
	accounts, err := account.New(s, c.Registration, c.SecureCookie)
	if err != nil {
		_ = s.Close()
		return nil, err
	}
	client := &http.Client{}
	if !c.InsideFeeds {
		client = feed.Outside()
	}
	forecasts := &feed.Poller{Store: s, Client: feed.Client{HTTP: client}, Every: c.PollEvery, Now: c.Now}
	var coast func(context.Context, uuid.UUID, time.Time) error
	if c.Coast != nil {
		coast = func(ctx context.Context, angler uuid.UUID, now time.Time) error {
			return c.Coast(ctx, s, book, angler, now)
		}
	}
	h := api.New(api.Config{Store: s, Accounts: accounts, Book: book, Now: c.Now, UI: ui.Handler(), Hosts: c.Hosts, Proxies: c.Proxies,
		TLS: c.SecureCookie, Demo: c.Demo, Coast: coast, TryFeed: feed.Poller{Store: s, Client: feed.Client{HTTP: client, Tries: 1},
			Now: c.Now}.Try})
	return &App{h, s, book, accounts, forecasts, thin(s, c.Now)}, nil
}

// Poll forecasts until the context ends, where that was asked for.
func (a *App) Poll(ctx context.Context) {
	if a.forecasts.Every > 0 {
		a.forecasts.Run(ctx)
	}
}

// Close ends background work and the connections.
func (a *App) Close() error {
	a.stop()
	a.accounts.Close()
	return a.Store.Close()
}
