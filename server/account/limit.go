package account

import (
	"context"
	"fmt"
	"net/netip"
	"strings"
	"sync"
	"time"

	"golang.org/x/text/unicode/norm"
)

// WaitError says that too many wrong passwords were tried, and for how long to wait.
type WaitError struct{ For time.Duration }

func (e WaitError) Error() string {
	return fmt.Sprintf("Too many wrong passwords. Try again in %s.", e.For.Round(time.Second))
}

// patience with one account or one address: so many wrong passwords are free, then each
// doubles the wait up to the longest. An account is never closed for long, or anyone could
// close another's.
type patience struct {
	free    int
	longest time.Duration
}

var (
	withAccount = patience{free: 5, longest: time.Minute}
	// Many may sit behind one address.
	withAddress = patience{free: 20, longest: 15 * time.Minute}
)

const (
	// forgotten after so long without another try.
	forgotten = time.Hour
	// mostRemembered accounts and addresses; the oldest go first.
	mostRemembered = 20_000
)

// limiter remembers wrong passwords, in this program only: several copies on one database
// have each their own patience.
type limiter struct {
	now  func() time.Time
	mu   sync.Mutex
	seen map[string]*failures
}

type failures struct {
	count int
	last  time.Time
}

func newLimiter(now func() time.Time) *limiter {
	return &limiter{now: now, seen: make(map[string]*failures)}
}

// wait is how long whoever goes by a key has to wait from now.
func (l *limiter) wait(key string, p patience) time.Duration {
	l.mu.Lock()
	defer l.mu.Unlock()
	f := l.seen[key]
	if f == nil || f.count < p.free {
		return 0
	}
	delay := p.longest
	if n := f.count - p.free; n < 20 {
		delay = min(delay, time.Second<<n)
	}
	return max(0, f.last.Add(delay).Sub(l.now()))
}

func (l *limiter) failed(key string) {
	l.mu.Lock()
	defer l.mu.Unlock()
	now := l.now()
	f := l.seen[key]
	if f == nil || now.Sub(f.last) > forgotten {
		l.makeRoom(now)
		f = &failures{}
		l.seen[key] = f
	}
	f.count++
	f.last = now
}

func (l *limiter) succeeded(key string) {
	l.mu.Lock()
	defer l.mu.Unlock()
	delete(l.seen, key)
}

func (l *limiter) makeRoom(now time.Time) {
	if len(l.seen) < mostRemembered {
		return
	}
	oldest, at := "", now
	for k, f := range l.seen {
		if now.Sub(f.last) > forgotten {
			delete(l.seen, k)
		} else if f.last.Before(at) {
			oldest, at = k, f.last
		}
	}
	if len(l.seen) >= mostRemembered {
		delete(l.seen, oldest)
	}
}

// NameKey is by what names are told apart: capitals and how a letter was typed do not
// count, accents do. The database compares by the same rule (utf8mb4_uca1400_as_ci).
func NameKey(name string) string { return strings.ToLower(norm.NFC.String(strings.TrimSpace(name))) }

type fromKey struct{}

// From notes the address a request comes from.
func From(ctx context.Context, a netip.Addr) context.Context {
	return context.WithValue(ctx, fromKey{}, a)
}

// AddressOf a request, as noted.
func AddressOf(ctx context.Context) netip.Addr {
	a, _ := ctx.Value(fromKey{}).(netip.Addr)
	return a
}

func addressKey(ctx context.Context) string {
	a := AddressOf(ctx)
	if a.Is6() { // one subscriber has a whole /64
		if p, err := a.Prefix(64); err == nil {
			return "address " + p.String()
		}
	}
	return "address " + a.String()
}
