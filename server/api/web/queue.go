package web

import (
	"context"
	"fmt"
	"net/http"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
)

// Queue of heavy work: one runs, two wait and are told their place, others come back later.
// Whoever is in it has their body read, nobody else has.
type Queue struct {
	mu      sync.Mutex
	in      []*turn
	changed chan struct{}
}

// turn of one request; not empty, so that each has an address of its own.
type turn struct{ _ byte }

// waitingAtMost, besides the one that runs.
const waitingAtMost = 2

// NewQueue without anybody in it.
func NewQueue() *Queue { return &Queue{changed: make(chan struct{})} }

// enter the queue; false where it is full.
func (q *Queue) enter() (*turn, bool) {
	q.mu.Lock()
	defer q.mu.Unlock()
	if len(q.in) > waitingAtMost {
		return nil, false
	}
	t := new(turn)
	q.in = append(q.in, t)
	return t, true
}

func (q *Queue) leave(t *turn) {
	q.mu.Lock()
	defer q.mu.Unlock()
	for i, k := range q.in {
		if k == t {
			q.in = append(q.in[:i], q.in[i+1:]...)
			break
		}
	}
	close(q.changed)
	q.changed = make(chan struct{})
}

// place of a turn: 0 runs. The channel closes when it may have changed.
func (q *Queue) place(t *turn) (int, <-chan struct{}) {
	q.mu.Lock()
	defer q.mu.Unlock()
	for i, k := range q.in {
		if k == t {
			return i, q.changed
		}
	}
	return 0, q.changed
}

type turnKey struct{}

// Queued lets only so many of an operation's requests in, before their bodies are read.
func Queued(api huma.API, q *Queue, op huma.Operation) huma.Operation {
	op.Errors = append(op.Errors, http.StatusServiceUnavailable)
	op.Middlewares = append(op.Middlewares, func(ctx huma.Context, next func(huma.Context)) {
		t, ok := q.enter()
		if !ok {
			ctx.SetHeader("Retry-After", "20")
			_ = huma.WriteErr(api, ctx, http.StatusTooManyRequests, fmt.Sprintf("%d of these are under way already. Try again in a while.",
				1+waitingAtMost))
			return
		}
		defer q.leave(t)
		next(huma.WithValue(ctx, turnKey{}, t))
	})
	return op
}

// Await the turn of a request that is [Queued]; tell is told its place whenever that
// changes, 1 being the next.
func (q *Queue) Await(ctx context.Context, tell func(place int)) error {
	t, ok := ctx.Value(turnKey{}).(*turn)
	if !ok {
		return nil
	}
	for told := 0; ; {
		at, changed := q.place(t)
		if at == 0 {
			return nil
		}
		if at != told && tell != nil {
			tell(at)
			told = at
		}
		select {
		case <-changed:
		case <-time.After(10 * time.Second):
		case <-ctx.Done():
			return ctx.Err()
		}
	}
}
