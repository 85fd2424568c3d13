package feed

import (
	"context"
	"log/slog"
	"time"

	"github.com/google/uuid"

	"greypebble/server/store"
)

// Recorder turns what a sounder sees into readings of a water.
type Recorder struct {
	Store         *store.Store
	Sounder       *Sounder
	Angler, Water uuid.UUID
	Every         time.Duration
}

// firstLook is how soon after the start the first reading is taken.
const firstLook = 3 * time.Second

// Run until the context ends.
func (r Recorder) Run(ctx context.Context) {
	wait := min(firstLook, r.Every)
	var last time.Time
	for {
		select {
		case <-ctx.Done():
			return
		case <-time.After(wait):
		}
		wait = r.Every
		for _, reading := range r.Sounder.Readings() {
			if !reading.Time.After(last) {
				continue // silent since
			}
			last = reading.Time
			if err := r.Store.AddReading(ctx, r.Angler, r.Water, reading); err != nil {
				slog.Error("sounding cannot be stored", "error", err)
			}
		}
	}
}
