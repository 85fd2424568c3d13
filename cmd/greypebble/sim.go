package main

import (
	"context"
	"fmt"
	"net"
	"net/http"
	"os"
	"os/signal"
	"syscall"
	"time"

	"greypebble/demo"
	"greypebble/server/feed/sim"
)

type simCommand struct {
	Forecast simForecast `cmd:"" help:"An hourly forecast of the invented coast by HTTP (CSV, CF standard names)."`
	Sounder  simSounder  `cmd:"" help:"A sounder drifting over the invented bar (NMEA 0183 by TCP)."`
}

type simForecast struct {
	Listen string `default:"127.0.0.1:8091" help:"Address to listen on."`
	Fault  string `default:"none" help:"Fail on purpose: none, slow, 500, garbage, stale, truncated. Also by ?fault= in the address."`
}

func (c simForecast) Run() error {
	return simulate(c.Listen, c.Fault, "forecast", func(ctx context.Context, l net.Listener, f sim.Fault) error {
		return serve(ctx, l, sim.ForecastService(demo.Weather, time.Now, f), nil)
	})
}

type simSounder struct {
	Listen string `default:"127.0.0.1:8092" help:"Address to listen on."`
	Fault  string `default:"none" help:"Fail on purpose: none, checksums, truncated, garbage."`
}

func (c simSounder) Run() error {
	return simulate(c.Listen, c.Fault, "sounder", func(ctx context.Context, l net.Listener, f sim.Fault) error {
		return demoSounder(time.Now, f).Serve(ctx, l)
	})
}

// simulate runs a stand-in until it is interrupted.
func simulate(address, faultName, what string, run func(context.Context, net.Listener, sim.Fault) error) error {
	fault, err := sim.ParseFault(faultName)
	if err != nil {
		return err
	}
	l, err := listen(address)
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	fmt.Printf("Simulated %s on %s (fault: %s)\n", what, l.Addr(), fault)
	return run(ctx, l, fault)
}

// demoSounder drifts beside the first demo angler's bar.
func demoSounder(now func() time.Time, fault sim.Fault) sim.Sounder {
	return sim.Sounder{Weather: demo.Weather, Now: now, Lat: 31.214, Lon: -45.118, Fault: fault}
}

// standIns run both simulations on free ports for the demo.
func standIns(ctx context.Context, now func() time.Time) (forecastURL, sounderAddress string, err error) {
	f, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return "", "", err
	}
	s, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		_ = f.Close()
		return "", "", err
	}
	web := &http.Server{Handler: sim.ForecastService(demo.Weather, now, sim.None), ReadHeaderTimeout: 5 * time.Second}
	go func() { _ = web.Serve(f) }()
	go func() {
		<-ctx.Done()
		_ = web.Close()
	}()
	go func() { _ = demoSounder(now, sim.None).Serve(ctx, s) }()
	return "http://" + f.Addr().String(), s.Addr().String(), nil
}
