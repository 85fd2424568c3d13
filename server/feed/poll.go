package feed

import (
	"context"
	"errors"
	"log/slog"
	"net/url"
	"strings"
	"time"

	"golang.org/x/sync/errgroup"

	"greypebble/server/store"
)

// Poller keeps the forecasts of all waters fresh.
type Poller struct {
	Store  *store.Store
	Client Client
	Every  time.Duration
	Now    func() time.Time
}

// Run until the context ends.
func (p Poller) Run(ctx context.Context) {
	for {
		p.Once(ctx)
		select {
		case <-ctx.Done():
			return
		case <-time.After(p.Every):
		}
	}
}

// Once asks for every water's forecast, several at a time.
func (p Poller) Once(ctx context.Context) {
	feeds, err := p.Store.Feeds(ctx)
	if err != nil {
		slog.Error("feeds cannot be read", "error", err)
		return
	}
	var g errgroup.Group
	g.SetLimit(together)
	for _, f := range feeds {
		g.Go(func() error {
			if _, _, err := p.Try(ctx, f); err != nil && ctx.Err() == nil {
				slog.Error("forecast cannot be stored", "error", err)
			}
			return nil
		})
	}
	_ = g.Wait()
}

// together so many forecasts are fetched: one slow service does not hold up the others.
const together = 4

// Try a feed: what came of it, and how many readings. A forecast that cannot be had, or is
// older than the one at hand, leaves that one in place; what went wrong is kept with the
// feed.
func (p Poller) Try(ctx context.Context, f store.Feed) (store.Feed, int, error) {
	now, n := p.Now().UTC(), 0
	got, err := p.Client.Fetch(ctx, f.URL)
	switch {
	case errors.Is(ctx.Err(), context.Canceled):
		return f, 0, ctx.Err()
	case err != nil && ctx.Err() != nil:
		f.Problem = "the service did not answer in time"
	case err != nil:
		f.Problem = plainly(err)
	case f.IssuedAt != nil && got.Issued.Before(*f.IssuedAt):
		f.Problem = "the service gave an older forecast than the one at hand"
	default:
		if err := p.Store.ReplaceForecast(ctx, f.AnglerID, f.WaterID, got.Readings); err != nil {
			return f, 0, err
		}
		n = len(got.Readings)
		f.IssuedAt, f.FetchedAt, f.Problem = &got.Issued, &now, ""
	}
	f.TriedAt = &now
	return f, n, p.Store.MarkFeed(context.WithoutCancel(ctx), f)
}

// plainly is an error without the package it comes from and the address, which stands above
// it on the screen.
func plainly(err error) string {
	var u *url.Error
	if errors.As(err, &u) {
		err = u.Err
	}
	return strings.TrimPrefix(err.Error(), "feed: forecast: ")
}
