package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math/rand/v2"
	"net"
	"net/http"
	"runtime"
	"strings"
	"time"

	"greypebble/demo"
	"greypebble/server/feed"
	"greypebble/server/feed/sim"
	"greypebble/server/store"
)

// soak lets people use the server for a long time while things fail: the database is ended
// at once and started again, forecasts come late, broken or not at all, clients go away in
// the middle. At the end what was acknowledged is there, once; and nothing has piled up.
func (s *site) soak(lasting time.Duration) error {
	ctx, stop := context.WithCancel(context.Background())
	defer stop()
	people := len(s.people)
	s.attack(people/2, 10*time.Second)
	before := settled()
	if err := s.failingFeeds(ctx); err != nil {
		return err
	}
	go s.vanish(ctx)
	restarts := make(chan int)
	go func() { restarts <- s.restartNowAndThen(ctx, lasting) }()
	m := s.attack(people, lasting)
	stop()
	n := <-restarts
	if err := s.healthy(30 * time.Second); err != nil {
		return err
	}
	after := settled()
	fmt.Printf("soak_requests %d answers\nsoak_restarts %d times\nsoak_p95 %.0f ms\n", m.Requests, n, float64(m.Latencies.P95)/1e6)
	for status, n := range m.StatusCodes {
		fmt.Printf("soak_status_%s %d answers\n", status, n)
	}
	fmt.Printf("soak_goroutines %d more\nsoak_heap %d MB more\n", after.goroutines-before.goroutines, (after.heap-before.heap)>>20)
	var wrong []error
	for status, n := range m.StatusCodes {
		// 503: the database was away, or too much to do; 0: nobody answered in time.
		if status != "200" && status != "503" && status != "0" {
			wrong = append(wrong, fmt.Errorf("%d answers of status %s", n, status))
		}
	}
	if d := after.goroutines - before.goroutines; d > 30 {
		wrong = append(wrong, fmt.Errorf("%d goroutines more than before", d))
	}
	if d := after.heap - before.heap; d > 150<<20 {
		wrong = append(wrong, fmt.Errorf("%d MB more than before", d>>20))
	}
	wrong = append(wrong, s.lost(), s.connections())
	return errors.Join(wrong...)
}

// state of this process, the server in it.
type state struct{ goroutines, heap int }

// settled state, when everybody has gone.
func settled() state {
	http.DefaultClient.CloseIdleConnections()
	browsers.CloseIdleConnections()
	time.Sleep(4 * time.Second)
	runtime.GC()
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	return state{runtime.NumGoroutine(), int(m.HeapAlloc)} //nolint:gosec // fits
}

// failingFeeds are polled for every water, each answer failing in another way.
func (s *site) failingFeeds(ctx context.Context) error {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return err
	}
	service := &http.Server{Handler: sim.ForecastService(demo.Weather, time.Now, sim.None), ReadHeaderTimeout: 5 * time.Second}
	go func() { _ = service.Serve(l) }()
	st, err := store.Open(ctx, s.db.DSN())
	if err != nil {
		return err
	}
	go func() {
		<-ctx.Done()
		_ = service.Close()
		_ = st.Close()
	}()
	faults := []string{"none", "500", "garbage", "stale", "truncated"}
	for i, p := range s.people {
		water := "Sedge Sound"
		if strings.HasPrefix(p.name, "moss") {
			water = "Fallow Creek"
		}
		url := fmt.Sprintf("http://%s/?fault=%s", l.Addr(), faults[i%len(faults)])
		if err := st.SetFeed(ctx, demo.IDOf(p.name, water), url); err != nil {
			return err
		}
	}
	go feed.Poller{Store: st, Every: 10 * time.Second, Now: time.Now}.Run(ctx)
	return nil
}

// vanish asks and goes away before the answer is there.
func (s *site) vanish(ctx context.Context) {
	for ctx.Err() == nil {
		t, _, _ := s.ask(rand.IntN(1 << 20))
		brief, cancel := context.WithTimeout(ctx, time.Duration(1+rand.IntN(8))*time.Millisecond)
		req, err := http.NewRequestWithContext(brief, t.Method, t.URL, strings.NewReader(string(t.Body)))
		if err == nil && t.Method == http.MethodGet {
			req.Header = t.Header
			if res, err := http.DefaultClient.Do(req); err == nil {
				_ = res.Body.Close()
			}
		}
		cancel()
		time.Sleep(50 * time.Millisecond)
	}
}

// restartNowAndThen ends the database at once, as a power cut would, and starts it again.
func (s *site) restartNowAndThen(ctx context.Context, lasting time.Duration) (n int) {
	for range 4 {
		select {
		case <-ctx.Done():
			return n
		case <-time.After(lasting / 5):
		}
		if err := s.db.Restart(context.WithoutCancel(ctx)); err != nil {
			fmt.Println("restart:", err)
			return n
		}
		n++
	}
	return n
}

// lost names writings that were acknowledged and are not there, or there twice.
func (s *site) lost() error {
	var wrong []error
	for _, p := range s.people {
		req, err := http.NewRequest(http.MethodGet, s.url+"/spells?most=1000", nil)
		if err != nil {
			return err
		}
		req.Header.Set("Cookie", p.cookie)
		res, err := http.DefaultClient.Do(req)
		if err != nil {
			return err
		}
		raw, err := io.ReadAll(res.Body)
		_ = res.Body.Close()
		if err != nil {
			return err
		}
		var log struct{ Spells []struct{ ID string } }
		if err := json.Unmarshal(raw, &log); err != nil {
			return err
		}
		seen := map[string]int{}
		for _, sp := range log.Spells {
			seen[sp.ID]++
			if seen[sp.ID] > 1 {
				wrong = append(wrong, fmt.Errorf("spell %s of %s is there twice", sp.ID, p.name))
			}
			if of, ours := s.written[sp.ID]; ours && of.name != p.name {
				wrong = append(wrong, fmt.Errorf("spell %s of %s is seen by %s", sp.ID, of.name, p.name))
			}
		}
		for id := range s.kept {
			if s.written[id].name == p.name && seen[id] == 0 && len(log.Spells) < 1000 {
				wrong = append(wrong, fmt.Errorf("spell %s of %s was acknowledged and is lost", id, p.name))
			}
		}
	}
	fmt.Printf("soak_kept %d writings\n", len(s.kept))
	return errors.Join(wrong...)
}

// connections to the database are no more than the pools hold.
func (s *site) connections() error {
	st, err := store.Open(context.Background(), s.db.DSN())
	if err != nil {
		return err
	}
	defer st.Close()
	var name string
	var n int
	if err := st.DB().QueryRow(`SHOW STATUS LIKE 'Threads_connected'`).Scan(&name, &n); err != nil {
		return err
	}
	fmt.Printf("soak_connections %d\n", n)
	if n > 40 {
		return fmt.Errorf("%d connections to the database", n)
	}
	return nil
}
