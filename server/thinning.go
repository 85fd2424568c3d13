package server

import (
	"context"
	"log/slog"
	"time"

	"greypebble/server/store"
)

const thinEvery = time.Hour

// thin out what machines stored and is of no use any more, by a clock that may be pretended,
// until the one who asked says stop.
func thin(s *store.Store, now func() time.Time) (stop func()) {
	ctx, cancel := context.WithCancel(context.Background())
	done := make(chan struct{})
	go func() {
		defer close(done)
		tick := time.NewTicker(thinEvery)
		defer tick.Stop()
		for {
			if _, err := s.ThinReadings(ctx, now()); err != nil && ctx.Err() == nil {
				slog.Error("old readings", "error", err)
			}
			if _, err := s.ThinPhotos(ctx, now()); err != nil && ctx.Err() == nil {
				slog.Error("photos of catches that are gone", "error", err)
			}
			select {
			case <-ctx.Done():
				return
			case <-tick.C:
			}
		}
	}()
	return func() { cancel(); <-done }
}
