package account

import (
	"context"
	"log/slog"
	"time"

	"greypebble/server/store"
)

const cleanEvery = 10 * time.Minute

// clean sessions that have run out now and then, until the one who asked says stop. The
// session library's own cleaner cannot be stopped safely just after it was started.
func clean(s *store.Store) (stop func()) {
	ctx, cancel := context.WithCancel(context.Background())
	done := make(chan struct{})
	go func() {
		defer close(done)
		tick := time.NewTicker(cleanEvery)
		defer tick.Stop()
		for {
			if _, err := s.ForgetSessions(ctx); err != nil && ctx.Err() == nil {
				slog.Error("old sessions", "error", err)
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
