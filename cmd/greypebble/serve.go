package main

import (
	"context"
	"crypto/tls"
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

	"github.com/google/uuid"

	"greypebble/demo"
	"greypebble/server"
	"greypebble/server/account"
	"greypebble/server/api"
	"greypebble/server/feed"
)

type serveCommand struct {
	databaseFlags
	Listen        string         `default:"127.0.0.1:8080" env:"GREYPEBBLE_LISTEN" help:"Address to listen on."`
	Registration  string         `default:"invite" enum:"open,invite,closed" env:"GREYPEBBLE_REGISTRATION" help:"Who may make an account."`
	Certificate   string         `env:"GREYPEBBLE_CERTIFICATE" help:"PEM file, for TLS without a proxy; read again when it changes."`
	Key           string         `env:"GREYPEBBLE_KEY" help:"PEM file of the certificate's key."`
	InsecureLocal bool           `env:"GREYPEBBLE_INSECURE_LOCAL" help:"Let the session cookie travel without TLS; only for loopback."`
	Host          []string       `env:"GREYPEBBLE_HOST" help:"Names it goes by; others are refused."`
	TrustedProxy  []netip.Prefix `env:"GREYPEBBLE_TRUSTED_PROXY" help:"CIDR of proxies whose X-Forwarded-For is believed."`
	Forecasts     time.Duration  `default:"15m" env:"GREYPEBBLE_FORECASTS" help:"How often forecasts are fetched; 0 never."`
	InsideFeeds   bool           `env:"GREYPEBBLE_INSIDE_FEEDS" help:"Let forecasts come from this machine and its own network."`
	Sounder       string         `env:"GREYPEBBLE_SOUNDER" help:"Address of a sounder that speaks NMEA 0183 by TCP."`
	SounderWater  string         `env:"GREYPEBBLE_SOUNDER_WATER" help:"Whose readings its depths and temperatures become: ANGLER/WATER."`
}

func (c serveCommand) Run() (err error) {
	ctx, stop := interrupted()
	defer stop()
	if err := c.check(); err != nil {
		return err
	}
	listener, err := listen(c.Listen)
	if err != nil {
		return err
	}
	defer listener.Close()
	if c.Embedded {
		fmt.Println("Starting a private MariaDB in", c.Data, "…")
	}
	db, err := c.open(ctx)
	if err != nil {
		return err
	}
	defer func() {
		if stopped := db.stop(); err == nil {
			err = stopped
		}
	}()
	app, err := server.New(ctx, server.Config{DSN: db.dsn, Room: db.room, SecureCookie: !c.InsecureLocal, Hosts: c.hosts(listener),
		Proxies: c.TrustedProxy, Registration: account.Registration(c.Registration), PollEvery: c.Forecasts, InsideFeeds: c.InsideFeeds,
		Coast: demo.Coast})
	if err != nil {
		return err
	}
	defer app.Close()
	go app.Poll(ctx)
	if c.Sounder != "" {
		if err := c.sound(ctx, app); err != nil {
			return err
		}
	}
	scheme := "http"
	if c.Certificate != "" {
		scheme = "https"
		certificates := &certificates{cert: c.Certificate, key: c.Key}
		if _, err := certificates.get(nil); err != nil {
			return err
		}
		listener = tls.NewListener(listener, &tls.Config{MinVersion: tls.VersionTLS12, GetCertificate: certificates.get,
			NextProtos: []string{"h2", "http/1.1"}})
	}
	fmt.Printf("Grey Pebble listens on %s://%s\n", scheme, listener.Addr())
	c.greet(ctx, app)
	return serve(ctx, listener, app.Handler, db.lost)
}

// check what flags say of one another.
func (c serveCommand) check() error {
	if (c.Certificate == "") != (c.Key == "") {
		return errors.New("a certificate and its key go together: --certificate FILE --key FILE")
	}
	if (c.Sounder == "") != (c.SounderWater == "") {
		return errors.New("a sounder's readings need a water: --sounder HOST:PORT --sounder-water ANGLER/WATER")
	}
	return nil
}

// greet says what an empty desk waits for.
func (c serveCommand) greet(ctx context.Context, app *server.App) {
	if n, err := app.Store.Anglers(ctx); err != nil || n > 0 {
		return
	}
	where := ""
	if c.Embedded {
		where = " --embedded --data " + c.Data
	}
	switch account.Registration(c.Registration) {
	case account.Open:
		fmt.Println("Nobody has an account yet; anyone who reaches it can make one.")
	case account.Invited:
		fmt.Printf("Nobody has an account yet. For the first: greypebble angler invite%s, or greypebble angler add%s NAME\n", where, where)
	case account.Closed:
		fmt.Printf("Nobody has an account yet. For the first: greypebble angler add%s NAME\n", where)
	}
}

// sound lets a sounder's readings become those of an angler's water.
func (c serveCommand) sound(ctx context.Context, app *server.App) error {
	name, water, ok := strings.Cut(c.SounderWater, "/")
	if !ok {
		return fmt.Errorf("--sounder-water should say ANGLER/WATER, not %q", c.SounderWater)
	}
	a, err := named(ctx, app.Store, name)
	if err != nil {
		return err
	}
	waters, err := app.Store.Waters(ctx, a.ID)
	if err != nil {
		return err
	}
	for _, w := range waters {
		if w.Name == water {
			listenTo(ctx, app, c.Sounder, a.ID, w.ID, time.Now)
			return nil
		}
	}
	return fmt.Errorf("%s has no water called %s", a.Name, water)
}

// listenTo a sounder and record what it says.
func listenTo(ctx context.Context, app *server.App, address string, angler, water uuid.UUID, now func() time.Time) {
	sounder := &feed.Sounder{Address: address, Now: now}
	go sounder.Run(ctx)
	go feed.Recorder{Store: app.Store, Sounder: sounder, Angler: angler, Water: water, Every: soundingEvery}.Run(ctx)
}

// interrupted is a context that ends when the program is asked to.
func interrupted() (context.Context, context.CancelFunc) {
	return signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
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
