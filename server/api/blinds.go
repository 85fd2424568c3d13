package api

import (
	"sync"
	"time"

	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/playbook"
	"greypebble/core/rate"
)

// blinds keeps blind picks worked out before. A pick is found again only while
// everything it rests on is the same: what is kept is keyed by its content, so that
// nothing need be told when a spot, a reading or a rule changes. Several copies of the
// server each keep their own.
type blinds struct {
	mu    sync.Mutex
	kept  map[blindKey]*rate.Blind
	order []blindKey
}

type blindKey struct {
	angler uuid.UUID
	target string
	hour   int64
	rests  uint64
}

// mostBlinds are kept, the oldest going first.
const mostBlinds = 400

func (b *blinds) pick(angler uuid.UUID, book *playbook.Book, belief rate.Belief, target *playbook.Target, spots []*advise.Spot, t time.Time) (*rate.Blind, error) {
	key := blindKey{angler, target.ID, advise.BlindHour(t).Unix(), advise.Fingerprint(book, target, spots)}
	b.mu.Lock()
	found := b.kept[key]
	b.mu.Unlock()
	if found != nil {
		return found, nil
	}
	made, err := advise.Blind(book, belief, target, spots, t)
	if err != nil {
		return nil, err
	}
	b.mu.Lock()
	defer b.mu.Unlock()
	if b.kept == nil {
		b.kept = make(map[blindKey]*rate.Blind)
	}
	if b.kept[key] == nil {
		b.order = append(b.order, key)
	}
	b.kept[key] = made
	for len(b.order) > mostBlinds {
		delete(b.kept, b.order[0])
		b.order = b.order[1:]
	}
	return made, nil
}
