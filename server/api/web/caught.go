package web

import (
	"context"
	"time"

	"greypebble/core/bylaw"
)

// Caught fish of the angler's log between two times, by all they may be called.
func (s *Scope) Caught(ctx context.Context, from, to time.Time) ([]bylaw.Caught, error) {
	book, err := s.Book(ctx)
	if err != nil {
		return nil, err
	}
	list, err := s.deps.Store.Caught(ctx, s.Angler, from, to)
	if err != nil {
		return nil, err
	}
	out := make([]bylaw.Caught, len(list))
	for i, k := range list {
		out[i] = bylaw.Caught{Kept: bylaw.Kept{ID: k.ID.String(), Who: k.Who, Time: k.CaughtAt,
			Species: bylaw.Species{ID: k.Target, Name: k.Target}}, Released: !k.Kept}
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
