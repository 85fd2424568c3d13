package feed

import (
	"context"
	"log/slog"
	"time"

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

// Once asks for every water's forecast. A forecast that cannot be had, or is
// older than the one at hand, leaves that one in place; what went wrong is kept
// with the feed.
func (p Poller) Once(ctx context.Context) {
	feeds, err := p.Store.Feeds(ctx)
	if err != nil {
		slog.Error("feeds cannot be read", "error", err)
		return
	}
	for _, f := range feeds {
		now := p.Now().UTC()
		got, err := p.Client.Fetch(ctx, f.URL)
		switch {
		case ctx.Err() != nil:
			return
		case err != nil:
			f.Problem = err.Error()
		case f.IssuedAt != nil && got.Issued.Before(*f.IssuedAt):
			f.Problem = "the service gave an older forecast than the one at hand"
		default:
			if err := p.Store.ReplaceForecast(ctx, f.AnglerID, f.WaterID, got.Readings); err != nil {
				slog.Error("forecast cannot be stored", "error", err)
				continue
			}
			f.IssuedAt, f.FetchedAt, f.Problem = &got.Issued, &now, ""
		}
		f.TriedAt = &now
		if err := p.Store.MarkFeed(ctx, f); err != nil {
			slog.Error("feed cannot be marked", "error", err)
		}
	}
}
