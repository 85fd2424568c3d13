package advice

import (
	"sync"
	"time"

	"greypebble/core/advise"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/spot"

	"github.com/google/uuid"
)

// baselines keeps baselines worked out before. One is found again only while
// everything it rests on is the same: what is kept is keyed by its content, so that
// nothing need be told when a spot, a reading or a rule changes. Several copies of the
// server each keep their own.
type baselines struct {
	mu    sync.Mutex
	kept  map[baselineKey]*rate.Baseline
	order []baselineKey
}

type baselineKey struct {
	angler uuid.UUID
	target string
	hour   int64
	rests  uint64
}

// mostBaselines are kept, the oldest going first.
const mostBaselines = 400

func (b *baselines) of(angler uuid.UUID, book *playbook.Book, belief rate.Belief, target *playbook.Target, spots []*spot.Spot,
	t time.Time) (*rate.Baseline, error) {
	key := baselineKey{angler, target.ID, advise.BaselineHour(t).Unix(), advise.Fingerprint(book, target, spots)}
	b.mu.Lock()
	found := b.kept[key]
	b.mu.Unlock()
	if found != nil {
		return found, nil
	}
	made, err := advise.Baseline(book, belief, target, spots, t)
	if err != nil {
		return nil, err
	}
	b.mu.Lock()
	defer b.mu.Unlock()
	if b.kept == nil {
		b.kept = make(map[baselineKey]*rate.Baseline)
	}
	if b.kept[key] == nil {
		b.order = append(b.order, key)
	}
	b.kept[key] = made
	for len(b.order) > mostBaselines {
		delete(b.kept, b.order[0])
		b.order = b.order[1:]
	}
	return made, nil
}
