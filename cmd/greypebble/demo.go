package main

import (
	"context"
	"fmt"
	"net"
	"time"

	"greypebble/demo"
	"greypebble/server"
	"greypebble/server/account"
	"greypebble/server/api"
	"greypebble/server/localdb"
)

type demoCommand struct {
	Port int       `default:"8080" env:"PORT" help:"Port on loopback."`
	Data string    `default:"data" env:"DATA" help:"Directory for the private database."`
	At   time.Time `help:"Pretend it is this moment (RFC 3339), for pictures." placeholder:"TIME"`
}

func (c demoCommand) Run() error {
	ctx, stop := interrupted()
	defer stop()
	// The port first: it is the likeliest to be wrong and the quickest to tell.
	listener, err := listen(fmt.Sprintf("127.0.0.1:%d", c.Port))
	if err != nil {
		return err
	}
	defer listener.Close()
	fmt.Println("Starting a private MariaDB in", c.Data, "…")
	db, err := localdb.Start(ctx, c.Data)
	if err != nil {
		return err
	}
	err = c.serve(ctx, db, listener)
	if stopped := db.Stop(); err == nil {
		err = stopped
	}
	return err
}

// clock runs on from a pretended moment.
func (c demoCommand) clock() func() time.Time {
	if c.At.IsZero() {
		return time.Now
	}
	started := time.Now()
	return func() time.Time { return c.At.Add(time.Since(started)) }
}

// forecastEvery is how often the forecast is asked for anew, and soundingEvery
// how often what the sounder sees becomes a reading.
const (
	forecastEvery = 15 * time.Minute
	soundingEvery = 5 * time.Minute
)

// connect starts the stand-ins and listens to them as to the real thing.
func connect(ctx context.Context, app *server.App, now func() time.Time) error {
	forecastURL, sounderAddress, err := standIns(ctx, now)
	if err != nil {
		return err
	}
	for _, water := range demo.Waters() {
		if err := app.Store.SetFeed(ctx, water, forecastURL); err != nil {
			return err
		}
	}
	go app.Poll(ctx)
	listenTo(ctx, app, sounderAddress, demo.AnglerID("wren"), demo.WaterID("Sedge Sound"), now)
	return nil
}

func (c demoCommand) serve(ctx context.Context, db *localdb.Server, listener net.Listener) error {
	now := c.clock()
	app, err := server.New(ctx, server.Config{DSN: db.DSN(), Room: db.HasRoom, Now: now, Hosts: api.Loopback,
		Registration: account.Open, PollEvery: forecastEvery, InsideFeeds: true, Coast: demo.Coast,
		Demo: "Sign in as wren or moss, password " + demo.Password + ": their coast and catches are invented."})
	if err != nil {
		return err
	}
	defer app.Close()
	if err := demo.Load(ctx, app.Store, app.Book, now()); err != nil {
		return err
	}
	if err := connect(ctx, app, now); err != nil {
		return err
	}
	fmt.Printf(`
Grey Pebble is ready:  http://%s
Sign in as wren or moss, password %s.
The coast, its anglers and their catches are invented. Ctrl-C stops it.
`, listener.Addr(), demo.Password)
	return serve(ctx, listener, app.Handler, db.Done())
}
