package web

import (
	"context"
	"time"

	"greypebble/core/bylaw"
)

// Kept fish of the angler's log between two times, by all they may be called.
func (s *Scope) Kept(ctx context.Context, from, to time.Time) ([]bylaw.Kept, error) {
	book, err := s.Book(ctx)
	if err != nil {
		return nil, err
	}
	list, err := s.deps.Store.Kept(ctx, s.Angler, from, to)
	if err != nil {
		return nil, err
	}
	out := make([]bylaw.Kept, len(list))
	for i, k := range list {
		out[i] = bylaw.Kept{ID: k.ID.String(), Who: k.Who, Time: k.CaughtAt, Species: bylaw.Species{ID: k.Target, Name: k.Target}}
		if k.Species != "" {
			out[i].Species = bylaw.Species{Name: k.Species}
		} else if t, err := book.Target(k.Target); err == nil {
			out[i].Species = t.Species()
		}
		if k.LengthM != nil {
			out[i].LengthM = *k.LengthM
		}
	}
	return out, nil
}
