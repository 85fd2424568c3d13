package feed_test

import (
	"context"
	"net"
	"net/http"
	"net/http/httptest"
	"os"
	"sync/atomic"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/demo"
	"greypebble/server/feed"
	"greypebble/server/feed/sim"
	"greypebble/testkit"
)

var kit *testkit.Server

func TestMain(m *testing.M) { os.Exit(testkit.Run(m, &kit)) }

func now() time.Time { return testkit.Now }

// quick tries again at once; on a busy machine an answer that is none too slow takes a while too.
var quick = feed.Client{Tries: 3, Wait: 5 * time.Millisecond, Timeout: time.Minute}

func TestClientMeetsEveryFault(t *testing.T) {
	var asked atomic.Int32
	service := sim.ForecastService(demo.Weather, now, sim.None)
	s := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		asked.Add(1)
		service.ServeHTTP(w, r)
	}))
	defer s.Close()
	f, err := quick.Fetch(context.Background(), s.URL)
	require.NoError(t, err)
	assert.Equal(t, testkit.Now.Truncate(6*time.Hour), f.Issued)
	assert.Equal(t, 15*24*9, len(f.Readings))
	want := demo.Weather(testkit.Now.Truncate(time.Hour))
	got := conditions.Believe(f.Readings, testkit.Now.Truncate(time.Hour))
	assert.InDelta(t, want[conditions.WaterTemp], got[conditions.WaterTemp].Value, 0.01)

	for fault, says := range map[sim.Fault]string{sim.Slow: "deadline", sim.Fails: "answered 500", sim.Garbage: "line 1",
		sim.Truncated: "cut"} {
		asked.Store(0)
		client := quick
		if fault == sim.Slow {
			client.Timeout = 300 * time.Millisecond
		}
		_, err := client.Fetch(context.Background(), s.URL+"?fault="+string(fault))
		assert.ErrorContains(t, err, says, fault)
		assert.EqualValues(t, 3, asked.Load(), "%s is tried again", fault)
	}
	asked.Store(0)
	_, err = quick.Fetch(context.Background(), s.URL+"?fault=mood")
	assert.ErrorContains(t, err, "answered 400")
	assert.EqualValues(t, 1, asked.Load(), "a wrong address is not")
	stale, err := quick.Fetch(context.Background(), s.URL+"?fault=stale")
	require.NoError(t, err)
	assert.Equal(t, 72*time.Hour, f.Issued.Sub(stale.Issued))
	_, err = sim.ParseFault("mood")
	assert.ErrorContains(t, err, "known are none, slow")
}

func TestAFailureAndAFewMoreAreOvercome(t *testing.T) {
	var asked atomic.Int32
	good := sim.ForecastService(demo.Weather, now, sim.None)
	s := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if asked.Add(1) < 3 {
			w.WriteHeader(http.StatusBadGateway)
			return
		}
		good.ServeHTTP(w, r)
	}))
	defer s.Close()
	_, err := quick.Fetch(context.Background(), s.URL)
	assert.NoError(t, err)
}

// The last good forecast stays when the service fails, and its age is told.
func TestPollerKeepsTheLastGoodForecast(t *testing.T) {
	ctx := context.Background()
	s := httptest.NewServer(sim.ForecastService(demo.Weather, now, sim.None))
	defer s.Close()
	require.NoError(t, kit.LoadDemo())
	water, angler := demo.WaterID("Sedge Sound"), demo.AnglerID("wren")
	p := feed.Poller{Store: kit.App.Store, Client: quick, Now: now}
	at := testkit.Now
	readings := func() int {
		r, err := kit.App.Store.Readings(ctx, angler, at.AddDate(0, 0, -1), at.AddDate(0, 0, 6))
		require.NoError(t, err)
		n := 0
		for _, one := range r[water] {
			if one.Origin == conditions.Forecast {
				n++
			}
		}
		return n
	}
	poll := func(fault sim.Fault) string {
		require.NoError(t, kit.App.Store.SetFeed(ctx, water, s.URL+"?fault="+string(fault)))
		p.Once(ctx)
		f, err := kit.App.Store.FeedOf(ctx, angler, water)
		require.NoError(t, err)
		require.NotNil(t, f)
		require.NotNil(t, f.IssuedAt)
		assert.Equal(t, at.Truncate(6*time.Hour), f.IssuedAt.UTC(), "the good one stays")
		return f.Problem
	}
	assert.Empty(t, poll(sim.None))
	n := readings()
	assert.Greater(t, n, 800)
	for fault, says := range map[sim.Fault]string{sim.Fails: "answered 500", sim.Garbage: "line 1", sim.Stale: "older forecast",
		sim.Truncated: "cut"} {
		assert.Contains(t, poll(fault), says)
		assert.Equal(t, n, readings())
	}
	assert.Empty(t, poll(sim.None))
	f, err := kit.App.Store.FeedOf(ctx, demo.AnglerID("moss"), water)
	require.NoError(t, err)
	assert.Nil(t, f, "another angler sees nothing of it")
}

func TestSounderIsHeardThroughNoise(t *testing.T) {
	for _, fault := range []sim.Fault{sim.None, sim.Checksums, sim.Truncated, sim.Garbage} {
		ctx, cancel := context.WithCancel(context.Background())
		l, err := net.Listen("tcp", "127.0.0.1:0")
		require.NoError(t, err)
		go func() {
			_ = sim.Sounder{Weather: demo.Weather, Now: now, Lat: 31.21, Lon: -45.12, Fault: fault,
				Every: 2 * time.Millisecond}.Serve(ctx, l)
		}()
		s := &feed.Sounder{Address: l.Addr().String(), Now: now}
		go s.Run(ctx)
		require.Eventually(t, func() bool {
			seen, faults := s.Seen()
			return !seen.DepthAt.IsZero() && !seen.WaterTempAt.IsZero() && !seen.PlaceAt.IsZero() && faults.Lines > 60
		}, time.Minute, 5*time.Millisecond, fault)
		cancel()
		seen, faults := s.Seen()
		assert.InDelta(t, 2.6, seen.DepthM, 1.3)
		assert.InDelta(t, demo.Weather(testkit.Now)[conditions.WaterTemp], seen.WaterTempC, 0.06)
		assert.InDelta(t, 31.21, seen.Lat, 0.001)
		assert.InDelta(t, -45.12, seen.Lon, 0.001)
		bad := faults.Checksums + faults.NotSentences + faults.Values
		if fault == sim.None {
			assert.Zero(t, bad)
		} else {
			assert.Positive(t, bad, fault)
		}
		require.Len(t, s.Readings(), 2)
		for _, r := range s.Readings() {
			assert.Equal(t, conditions.Observed, r.Origin)
		}
	}
}
