// Load lets many people use a server at once and says how long they wait: a mix of ribbon,
// state, chart, advice and log with one write in ten, each about once a second, on loopback.
// It starts a private database and the program itself; nothing of the machine's is touched.
//
//	load_50_p95 412 ms
package main

import (
	"bytes"
	"context"
	"encoding/json"
	"flag"
	"fmt"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"runtime/pprof"
	"strconv"
	"strings"
	"sync"
	"syscall"
	"time"

	"github.com/google/uuid"
	vegeta "github.com/tsenart/vegeta/v12/lib"

	"greypebble/core/playbook"
	"greypebble/demo"
	"greypebble/server"
	"greypebble/server/localdb"
	"greypebble/server/store"
)

func main() {
	people := flag.Int("people", 50, "how many use it at once")
	lasting := flag.Duration("for", 30*time.Second, "how long")
	warm := flag.Duration("warm", 15*time.Second, "how long before that they come in, at a third of the rate, not measured")
	binary := flag.String("program", "bin/greypebble", "the program")
	soak := flag.Bool("soak", false, "with faults: the database restarted, clients vanishing; checked at the end")
	profile := flag.String("profile", "", "run the program within this one and write its CPU profile here")
	flag.Parse()
	if err := run(*people, *lasting, *warm, *binary, *profile, *soak); err != nil {
		fmt.Fprintln(os.Stderr, "load:", err)
		os.Exit(1)
	}
}

func run(people int, lasting, warm time.Duration, binary, profile string, soak bool) error {
	dir, err := os.MkdirTemp("", "greypebble-load-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(dir)
	s, err := start(dir, binary, profile != "" || soak, people)
	if err != nil {
		return err
	}
	defer s.stop()
	if soak {
		return s.soak(lasting)
	}
	s.attack(max(1, people/3), warm)
	clear(s.kinds)
	if profile != "" {
		f, err := os.Create(profile)
		if err != nil {
			return err
		}
		defer f.Close()
		if err := pprof.StartCPUProfile(f); err != nil {
			return err
		}
		defer pprof.StopCPUProfile()
	}
	m := s.attack(people, lasting)
	say := func(name string, value any, unit string) { fmt.Printf("load_%d_%s %v %s\n", people, name, value, unit) }
	ms := func(d time.Duration) string { return fmt.Sprintf("%.0f", float64(d)/1e6) }
	say("rate", fmt.Sprintf("%.1f", m.Throughput), "/s")
	say("p50", ms(m.Latencies.P50), "ms")
	say("p95", ms(m.Latencies.P95), "ms")
	say("p99", ms(m.Latencies.P99), "ms")
	say("errors", fmt.Sprintf("%.2f", 100*(1-m.Success)), "%")
	say("memory", s.memory()>>20, "MB")
	for status, n := range m.StatusCodes {
		if status != "200" {
			say("status_"+status, n, "answers")
		}
	}
	for kind, k := range s.kinds {
		k.Close()
		fmt.Printf("load_%d_%s_p95 %s ms\n", people, kind, ms(k.Latencies.P95))
	}
	return nil
}

// site is a server and the people signed in to it.
type site struct {
	url, binary string
	dir         string
	db          *localdb.Server
	program     *exec.Cmd
	people      []person
	mu          sync.Mutex
	kinds       map[string]*vegeta.Metrics
	written     map[string]person // spells that were sent, and by whom
	kept        map[string]bool   // of those, which were acknowledged
}

// person with their session and spots.
type person struct {
	name, cookie string
	spots        []string
}

func start(dir, binary string, within bool, people int) (*site, error) {
	ctx := context.Background()
	db, err := localdb.Start(ctx, dir)
	if err != nil {
		return nil, err
	}
	s := &site{dir: dir, binary: binary, db: db, kinds: map[string]*vegeta.Metrics{}, written: map[string]person{}, kept: map[string]bool{}}
	names, err := s.fill(ctx, people)
	switch {
	case err != nil:
	case within:
		err = s.serveWithin()
	default:
		err = s.serve()
	}
	if err == nil {
		err = s.signIn(names)
	}
	if err != nil {
		s.stop()
		return nil, err
	}
	return s, nil
}

func (s *site) stop() {
	if s.program != nil {
		_ = s.program.Process.Signal(syscall.SIGTERM)
		_ = s.program.Wait()
	}
	_ = s.db.Stop()
}

// fill the database with anglers, each with waters, spots and kit of their own.
func (s *site) fill(ctx context.Context, people int) (names []string, err error) {
	st, err := store.Open(ctx, s.db.DSN())
	if err != nil {
		return nil, err
	}
	defer st.Close()
	book, err := playbook.Builtin()
	if err != nil {
		return nil, err
	}
	for n := range people {
		like := []string{"wren", "moss"}[n%2]
		name := fmt.Sprintf("%s %d", like, n)
		if err := demo.LoadLike(ctx, st, book, like, name, n < 2, time.Now()); err != nil {
			return nil, err
		}
		names = append(names, name)
	}
	return names, nil
}

// serve by the program, as it is run for others.
func (s *site) serve() error {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return err
	}
	at := l.Addr().String()
	_ = l.Close()
	s.url = "http://" + at + "/api/v1"
	s.program = exec.Command(s.binary, "serve", "--dsn", s.db.DSN(), "--listen", at, "--insecure-local")
	s.program.Stderr = os.Stderr
	s.program.SysProcAttr = &syscall.SysProcAttr{Pdeathsig: syscall.SIGTERM}
	if err := s.program.Start(); err != nil {
		return err
	}
	return s.healthy(30 * time.Second)
}

// serveWithin this process, for its profile.
func (s *site) serveWithin() error {
	app, err := server.New(context.Background(), server.Config{DSN: s.db.DSN()})
	if err != nil {
		return err
	}
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return err
	}
	s.url = "http://" + l.Addr().String() + "/api/v1"
	go func() { _ = http.Serve(l, app.Handler) }() //nolint:gosec // loopback, until this process ends
	return nil
}

func (s *site) healthy(within time.Duration) error {
	for deadline := time.Now().Add(within); time.Now().Before(deadline); time.Sleep(50 * time.Millisecond) {
		res, err := http.Get(s.url + "/health")
		if err != nil {
			continue
		}
		_ = res.Body.Close()
		if res.StatusCode == http.StatusOK {
			return nil
		}
	}
	return fmt.Errorf("the program is not well after %s", within)
}

func (s *site) signIn(names []string) error {
	for _, name := range names {
		body, err := json.Marshal(map[string]string{"name": name, "password": demo.Password})
		if err != nil {
			return err
		}
		res, err := http.Post(s.url+"/login", "application/json", bytes.NewReader(body))
		if err != nil {
			return err
		}
		_ = res.Body.Close()
		if len(res.Cookies()) == 0 {
			return fmt.Errorf("%s cannot sign in: %s", name, res.Status)
		}
		p := person{name: name, cookie: res.Cookies()[0].String()}
		spots := []string{"Kettle Bar", "Long Strand", "Cutwater Pier"}
		if strings.HasPrefix(name, "moss") {
			spots = []string{"Candle Bar"}
		}
		for _, spot := range spots {
			p.spots = append(p.spots, demo.IDOf(name, spot).String())
		}
		s.people = append(s.people, p)
	}
	return nil
}

// memory the program took at most, bytes.
func (s *site) memory() int {
	if s.program == nil {
		return 0
	}
	raw, err := os.ReadFile(filepath.Join("/proc", strconv.Itoa(s.program.Process.Pid), "status"))
	if err != nil {
		return 0
	}
	for line := range strings.Lines(string(raw)) {
		if f := strings.Fields(line); len(f) > 1 && f[0] == "VmHWM:" {
			kb, _ := strconv.Atoi(f[1])
			return kb << 10
		}
	}
	return 0
}

// mix of what people ask for, ten in a row; the write is the tenth.
var mix = []string{"ribbon", "state", "chart", "log", "ribbon", "advice", "state", "conditions", "ribbon", "write"}

// ask is the n-th request: people in turn, each going through the mix from a place of
// their own.
func (s *site) ask(n int) (t vegeta.Target, kind, spell string) {
	i := n % len(s.people)
	p := s.people[i]
	round := n / len(s.people)
	kind = mix[(round+i)%len(mix)]
	spot := p.spots[round%len(p.spots)]
	t = vegeta.Target{Method: "GET", Header: http.Header{"Cookie": {p.cookie}, "Content-Type": {"application/json"}}}
	post := func(method, path string, body any) {
		t.Method, t.URL = method, s.url+path
		t.Body, _ = json.Marshal(body)
	}
	switch kind {
	case "ribbon":
		t.URL = s.url + "/spots/" + spot + "/ribbon"
	case "state":
		t.URL = s.url + "/spots/" + spot + "/state"
	case "chart":
		t.URL = s.url + "/chart"
	case "log":
		t.URL = s.url + "/spells?most=50"
	case "conditions":
		t.URL = s.url + "/conditions?spot_id=" + spot
	case "advice":
		post("POST", "/advise", map[string]any{"spot_id": spot, "target": "red-drum"})
	case "write":
		spell = uuid.NewString()
		ended := time.Now().Add(-time.Minute).UTC()
		post("PUT", "/spells/"+spell, map[string]any{"spot_id": spot, "target": "red-drum", "started_at": ended.Add(-time.Hour),
			"ended_at": ended})
	}
	return t, kind, spell
}

// browsers keep their connections, as those of people do.
var browsers = &http.Transport{MaxIdleConns: 1000, MaxIdleConnsPerHost: 1000}

// attack at a rate of one request a person and second; people who wait ask no less, so the
// server is not spared when it is slow.
func (s *site) attack(people int, lasting time.Duration) *vegeta.Metrics {
	var n int
	targeter := func(t *vegeta.Target) error {
		s.mu.Lock()
		defer s.mu.Unlock()
		target, _, spell := s.ask(n)
		n++
		*t = target
		t.Header = target.Header.Clone()
		if spell != "" {
			s.written[spell] = s.people[(n-1)%len(s.people)]
		}
		return nil
	}
	attacker := vegeta.NewAttacker(vegeta.Client(&http.Client{Transport: browsers, Timeout: 30 * time.Second}),
		vegeta.MaxWorkers(2000))
	all := &vegeta.Metrics{}
	for r := range attacker.Attack(targeter, vegeta.Rate{Freq: people, Per: time.Second}, lasting, "load") {
		all.Add(r)
		kind := kindOf(r)
		if s.kinds[kind] == nil {
			s.kinds[kind] = &vegeta.Metrics{}
		}
		s.kinds[kind].Add(r)
		if r.Code == http.StatusOK && kind == "write" {
			s.kept[r.URL[strings.LastIndex(r.URL, "/")+1:]] = true
		}
	}
	all.Close()
	return all
}

// kindOf a result, by its address.
func kindOf(r *vegeta.Result) string {
	switch {
	case r.Method == "PUT":
		return "write"
	case strings.HasSuffix(r.URL, "/advise"):
		return "advice"
	case strings.Contains(r.URL, "/spells"):
		return "log"
	case strings.Contains(r.URL, "/conditions"):
		return "conditions"
	}
	return r.URL[strings.LastIndex(r.URL, "/")+1:]
}
