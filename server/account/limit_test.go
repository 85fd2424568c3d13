package account

import (
	"context"
	"fmt"
	"net/netip"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

func TestWaitsGrowAndAreForgotten(t *testing.T) {
	now := time.Date(2026, 11, 20, 9, 30, 0, 0, time.UTC)
	l := newLimiter(func() time.Time { return now })
	p := patience{free: 3, longest: 10 * time.Second}
	for range 3 {
		assert.Zero(t, l.wait("a", p), "the first ones are free")
		l.failed("a")
	}
	for _, want := range []time.Duration{1, 2, 4, 8, 10, 10} {
		assert.Equal(t, want*time.Second, l.wait("a", p))
		now = now.Add(want*time.Second - time.Millisecond)
		assert.Equal(t, time.Millisecond, l.wait("a", p))
		now = now.Add(time.Millisecond)
		assert.Zero(t, l.wait("a", p))
		l.failed("a")
	}
	assert.Zero(t, l.wait("b", p), "others do not wait")
	now = now.Add(2 * forgotten)
	l.failed("a")
	assert.Zero(t, l.wait("a", p), "after an hour all is forgotten")
	for range 3 {
		l.failed("c")
	}
	l.succeeded("c")
	assert.Zero(t, l.wait("c", p))
}

func TestTheLimiterStaysSmall(t *testing.T) {
	now := time.Date(2026, 11, 20, 9, 30, 0, 0, time.UTC)
	l := newLimiter(func() time.Time { now = now.Add(time.Microsecond); return now })
	for i := range mostRemembered + 50 {
		l.failed(fmt.Sprint(i))
	}
	assert.LessOrEqual(t, len(l.seen), mostRemembered)
	assert.Contains(t, l.seen, fmt.Sprint(mostRemembered+49))
	assert.NotContains(t, l.seen, "0", "the oldest go first")
}

func TestNamesAreToldApartByAccentsNotCapitals(t *testing.T) {
	assert.Equal(t, NameKey("WREN"), NameKey(" wren "))
	assert.Equal(t, NameKey("wr\u00e9n"), NameKey("wre\u0301n"), "however the letter was typed")
	assert.NotEqual(t, NameKey("wrén"), NameKey("wren"))
}

func TestOneSubscriberIsOneAddress(t *testing.T) {
	key := func(a string) string { return addressKey(From(context.Background(), netip.MustParseAddr(a))) }
	assert.Equal(t, key("2001:db8:1:2::3"), key("2001:db8:1:2:ffff::9"))
	assert.NotEqual(t, key("2001:db8:1:2::3"), key("2001:db8:1:3::3"))
	assert.NotEqual(t, key("192.0.2.1"), key("192.0.2.2"))
}
