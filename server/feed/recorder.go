package feed

import (
	"context"
	"log/slog"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
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
		var heard []conditions.Reading
		latest := last
		for _, reading := range r.Sounder.Readings() {
			if !reading.Time.After(last) {
				continue // silent since
			}
			heard = append(heard, reading)
			if reading.Time.After(latest) {
				latest = reading.Time
			}
		}
		if err := r.Store.AddReadings(ctx, r.Angler, r.Water, heard); err != nil {
			slog.Error("sounding cannot be stored", "error", err)
			continue
		}
		last = latest
	}
}
