// Bench prints the numbers the project keeps, one a line: name value unit.
// Ratios are taken within one run on one machine, so that they mean something
// on any.
package main

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"math/rand/v2"
	"net/http"
	"os"
	"os/exec"
	"slices"
	"strings"
	"testing"
	"time"

	"greypebble/core/advise"
	"greypebble/core/cases"
	"greypebble/core/evidence"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/sweep"
	"greypebble/core/tide"
	"greypebble/demo"
	"greypebble/server/store"
	"greypebble/testkit"
)

func main() {
	if err := run(); err != nil {
		fmt.Fprintln(os.Stderr, "bench:", err)
		os.Exit(1)
	}
}

func run() error {
	ours, err := tideYear()
	if err != nil {
		return err
	}
	show("tide_year", ours, "ms")
	theirs, err := tideYearJS()
	if err != nil {
		return err
	}
	show("tide_year_vs_js", theirs/ours, "x")
	one, err := advice()
	if err != nil {
		return err
	}
	show("advice", one, "ms")
	edges, ahead, err := edges14d()
	if err != nil {
		return err
	}
	show("edges_14d", edges, "ms")
	show("ahead_30x14", ahead, "ms")
	learnt, more, err := fitLog()
	if err != nil {
		return err
	}
	show("fit_2k", learnt, "ms")
	show("fit_one_more", more, "ms")
	day, all, err := planDay()
	if err != nil {
		return err
	}
	show("plan_day", day, "ms")
	show("plan_day_robust", all, "ms")
	whole, part, page, err := longLog()
	if err != nil {
		return err
	}
	show("log_1m", whole, "ms")
	show("log_1m_filtered", part, "ms")
	show("log_1m_page", page, "ms")
	asked, again, err := adviceHTTP()
	if err != nil {
		return err
	}
	show("advice_http", asked, "ms")
	show("advice_http_said", again, "ms")
	return variety()
}

// variety of the answers over a year of places: how many there are, and the share of the commonest.
func variety() error {
	trade, err := cases.Builtin()
	if err != nil {
		return err
	}
	v, err := trade.Variety(nil)
	if err != nil {
		return err
	}
	_, share := v.Commonest()
	show("answers_distinct", float64(v.Distinct()), "answers")
	show("answers_commonest", 100*share, "%")
	show("answers_never", float64(len(v.Missing)), "things")
	return nil
}

// adviceHTTP is a question by HTTP, moving along the ribbon, and the same with something said of the
// water each time.
func adviceHTTP() (plain, said float64, err error) {
	server, err := testkit.Start()
	if err != nil {
		return 0, 0, err
	}
	defer server.Stop()
	if err := server.LoadDemo(); err != nil {
		return 0, 0, err
	}
	ask := func(readings func(n int) []testkit.Object) float64 {
		r := testing.Benchmark(func(b *testing.B) {
			c := server.As(b, "wren")
			n := 0
			for b.Loop() {
				n++
				status := c.Do("POST", "/advise", testkit.Object{"spot_id": demo.SpotID("Kettle Bar"), "target": "red-drum",
					"time": testkit.Now.Add(time.Duration(n%200) * 10 * time.Minute), "readings": readings(n)}, nil)
				if status != http.StatusOK {
					b.Fatalf("advice by HTTP: %d", status)
				}
			}
		})
		if r.N == 0 {
			err = errors.New("advice by HTTP failed")
		}
		return float64(r.NsPerOp()) / 1e6
	}
	plain = ask(func(int) []testkit.Object { return []testkit.Object{} })
	said = ask(func(n int) []testkit.Object {
		return []testkit.Object{{"kind": "water_temp_c", "value": 18 + float64(n%30)/10}}
	})
	return plain, said, err
}

// fortnight is thirty spots (the demo's, several times over) for fourteen days at
// ten-minute steps and eight targets.
func fortnight() (sweep.Sweep, error) {
	book, err := playbook.Builtin()
	if err != nil {
		return sweep.Sweep{}, err
	}
	laid, err := demo.Spots()
	if err != nil {
		return sweep.Sweep{}, err
	}
	s := sweep.Sweep{Book: book, Belief: rate.Priors{Book: book}, From: time.Date(2026, 11, 20, 3, 0, 0, 0, time.UTC), Hours: 14 * 24,
		Step: plan.Step}
	for i := range 30 {
		s.Spots = append(s.Spots, laid[i%len(laid)])
	}
	for _, id := range []string{"red-drum", "spotted-seatrout", "florida-pompano", "black-drum", "sheepshead", "southern-flounder",
		"southern-kingfish", "bluefish"} {
		t, err := book.Target(id)
		if err != nil {
			return sweep.Sweep{}, err
		}
		s.Targets = append(s.Targets, t)
	}
	return s, nil
}

// edges14d of that fortnight, and all that Ahead says of it, its windows too.
func edges14d() (edges, ahead float64, failed error) {
	s, err := fortnight()
	if err != nil {
		return 0, 0, err
	}
	edges = median(9, func() {
		if _, err := s.Edges(); err != nil {
			failed = err
		}
	})
	asked := plan.Asked{Book: s.Book, Belief: s.Belief, Targets: s.Targets, Spots: s.Spots, From: s.From, Days: s.Hours / 24}
	ahead = median(9, func() {
		o, err := asked.Look()
		if err != nil {
			failed = err
			return
		}
		o.Windows(plan.Wish{Least: 1.2, Margin: 20 * time.Minute})
	})
	return edges, ahead, failed
}

// planDay is the best three days over twelve spots in twelve hours, from the looking on; and all that a
// preview says of them, which tries each under the nudged forecasts too.
func planDay() (day, all float64, failed error) {
	s, err := fortnight()
	if err != nil {
		return 0, 0, err
	}
	asked := plan.Asked{Book: s.Book, Belief: s.Belief, Targets: s.Targets, Spots: s.Spots[:plan.MostSpots], From: s.From, Days: 1}
	run := func(robust bool) {
		o, err := asked.Look()
		if err != nil {
			failed = err
			return
		}
		d := plan.Day{From: o.From.Add(3 * time.Hour), Until: o.From.Add(15 * time.Hour), Legs: 3, Margin: 20 * time.Minute,
			Spots: upTo(plan.MostSpots), Way: o.Ways(plan.Travel{Pack: plan.UsualPack})}
		found, err := o.Itineraries(d, 3)
		if err == nil && len(found) == 0 {
			err = errors.New("no day was laid")
		}
		if err == nil && robust {
			_, err = o.Robustness(d, found)
		}
		if err != nil {
			failed = err
		}
	}
	return median(9, func() { run(false) }), median(5, func() { run(true) }), failed
}

func upTo(n int) []int {
	out := make([]int, n)
	for i := range out {
		out[i] = i
	}
	return out
}

func show(name string, value float64, unit string) { fmt.Printf("%s %.4g %s\n", name, value, unit) }

// median of several runs in milliseconds.
func median(runs int, f func()) float64 {
	f() // once to warm up
	times := make([]float64, runs)
	for i := range times {
		start := time.Now()
		f()
		times[i] = time.Since(start).Seconds() * 1000
	}
	slices.Sort(times)
	return times[runs/2]
}

// The 37 constituents US NOAA publishes, with amplitudes and phases of no
// particular place.
var names = []string{"M2", "S2", "N2", "K1", "M4", "O1", "M6", "MK3", "S4", "MN4", "NU2", "S6", "MU2", "2N2", "OO1",
	"LAM2", "S1", "M1", "J1", "MM", "SSA", "SA", "MSF", "MF", "RHO", "Q1", "T2", "R2", "2Q1", "P1", "2SM2", "M3", "L2", "2MK3",
	"K2", "M8", "MS4"}

const stepS = 360

var (
	yearStart = time.Date(2026, 1, 1, 0, 0, 0, 0, time.UTC)
	yearEnd   = yearStart.AddDate(1, 0, 0)
)

func constituents() []tide.Constituent {
	list := make([]tide.Constituent, len(names))
	for i, n := range names {
		list[i] = tide.Constituent{Name: n, AmplitudeM: 1 / float64(i+1), PhaseDeg: float64(i*47%360) + 0.5}
	}
	return list
}

func tideYear() (float64, error) {
	h, err := tide.NewHarmonics(constituents(), 0)
	if err != nil {
		return 0, err
	}
	levels := make([]float64, int(yearEnd.Sub(yearStart).Seconds())/stepS+1)
	return median(15, func() { h.Series(levels, yearStart, stepS*time.Second) }), nil
}

func tideYearJS() (float64, error) {
	type constituent struct {
		Name      string  `json:"name"`
		Amplitude float64 `json:"amplitude_m"`
		Phase     float64 `json:"phase_deg"`
	}
	var list []constituent
	for _, c := range constituents() {
		list = append(list, constituent{c.Name, c.AmplitudeM, c.PhaseDeg})
	}
	q, err := json.Marshal(map[string]any{"constituents": list, "start": yearStart, "end": yearEnd, "step_s": stepS})
	if err != nil {
		return 0, err
	}
	node := exec.Command("node", "bench/tide.mjs")
	node.Stdin, node.Stderr = bytes.NewReader(q), os.Stderr
	raw, err := node.Output()
	if err != nil {
		return 0, fmt.Errorf("the JavaScript library did not run (npm ci in ui first?): %w", err)
	}
	var out struct {
		MS      float64
		Samples int
	}
	if err := json.Unmarshal(raw, &out); err != nil {
		return 0, err
	}
	if want := int(yearEnd.Sub(yearStart).Seconds())/stepS + 1; out.Samples != want {
		return 0, fmt.Errorf("the JavaScript library gave %d samples, not %d: the comparison would not be fair", out.Samples, want)
	}
	return out.MS, nil
}

// advice is one question as it is asked: one spot, one target, what would change left out; over a
// day of the ribbon.
func advice() (float64, error) {
	book, err := playbook.Builtin()
	if err != nil {
		return 0, err
	}
	spots, err := demo.Spots()
	if err != nil {
		return 0, err
	}
	target, err := book.Target("red-drum")
	if err != nil {
		return 0, err
	}
	q := advise.Question{Book: book, Belief: rate.Priors{Book: book}, Target: target, Spot: spots[0].Remember()}
	start := time.Date(2026, 11, 20, 3, 0, 0, 0, time.UTC)
	n := 0
	day := median(5, func() {
		n = 0
		for q.Time = start; q.Time.Before(start.AddDate(0, 0, 1)); q.Time = q.Time.Add(10 * time.Minute) {
			if _, e := advise.Ask(q); e != nil {
				err = e
			}
			n++
		}
	})
	return day / float64(n), err
}

// fitLog is what two thousand spells teach, from nothing, and what one more does: a dozen rules speak to each, and of
// every third a reading is not known.
func fitLog() (all, more float64, failed error) {
	book, err := playbook.Builtin()
	if err != nil {
		return 0, 0, err
	}
	r := rand.New(rand.NewPCG(1, 2)) //nolint:gosec // the same each time
	about := book.About("red-drum")
	log := make([]evidence.Spell, 2000)
	for i := range log {
		log[i] = evidence.Spell{Target: "red-drum", Spot: string(rune('a' + r.IntN(12))), RodHours: 1 + 3*r.Float64(),
			Fish: float64(r.IntN(4)), Told: i%2 == 0, Contacts: float64(r.IntN(3))}
		for k, at := range r.Perm(len(about))[:12] {
			spoke := evidence.Spoke{Rule: about[at], More: r.Float64() - 0.3}
			if i%3 == 0 && k < 3 {
				low, high := r.Float64(), r.Float64()
				spoke.Either = []float64{low, high, low, high, low, high, low, high}
			}
			log[i].Rules = append(log[i].Rules, spoke)
		}
	}
	before, err := evidence.Fit(book, log[:1999], nil)
	if err != nil {
		return 0, 0, err
	}
	all = median(5, func() { _, err = evidence.Fit(book, log, nil); failed = errors.Join(failed, err) })
	more = median(5, func() { _, err = evidence.Fit(book, log, before); failed = errors.Join(failed, err) })
	return all, more, failed
}

// longLog is a log of half a million spells and a million catches: its totals, those of what a filter lets through, and a
// page from its middle.
func longLog() (whole, part, page float64, failed error) {
	server, err := testkit.Start()
	if err != nil {
		return 0, 0, 0, err
	}
	defer server.Stop()
	if err := server.LoadDemo(); err != nil {
		return 0, 0, 0, err
	}
	ctx, st := context.Background(), server.App.Store
	angler, err := st.AnglerByName(ctx, "wren")
	if err != nil {
		return 0, 0, 0, err
	}
	spot := demo.SpotID("Kettle Bar")
	for _, fill := range []string{
		`INSERT INTO spell (id, angler_id, spot_id, target, started_at, ended_at, rods, mark, approach, offering, note, revision,
			tide_level_m,
			tide_direction, tide_third, tide_rate_m_per_h, sun_altitude_deg, light, moon_illumination, moon_phase, tide_says, caught)
		SELECT UUID(), ?, ?, IF(seq MOD 3 = 0, 'red-drum', 'spotted-seatrout'), '1990-01-01' + INTERVAL seq MOD 12000 DAY,
			'1990-01-01' + INTERVAL seq MOD 12000 DAY + INTERVAL 1 HOUR, 1, '', '', '', '', 1, 1, IF(seq MOD 2, 'flood', 'ebb'), 1 + seq
			MOD 3,
			0, 10, 'dim', 0.5, 'full', '', seq MOD 5 FROM seq_1_to_500000`,
		`INSERT INTO catch (id, angler_id, spell_id, target, caught_at, revision)
		SELECT UUID(), p.angler_id, p.id, p.target, p.started_at, 1 FROM spell p JOIN seq_1_to_4 s ON s.seq <= p.caught
			WHERE p.angler_id = ? AND p.spot_id = ?`,
		`ANALYZE TABLE spell`,
	} {
		args := []any{angler.ID, spot}
		if strings.HasPrefix(fill, "ANALYZE") {
			args = nil
		}
		if _, err := st.DB().ExecContext(ctx, fill, args...); err != nil {
			return 0, 0, 0, err
		}
	}
	if sum, err := st.Total(ctx, angler.ID, store.Filter{}); err != nil || sum.Catches < 1_000_000 {
		return 0, 0, 0, fmt.Errorf("a log of a million catches has %d: %w", sum.Catches, err)
	}
	total := func(f store.Filter) float64 {
		return median(5, func() { _, err := st.Total(ctx, angler.ID, f); failed = errors.Join(failed, err) })
	}
	whole = total(store.Filter{})
	part = total(store.Filter{Target: "red-drum", Direction: "ebb", Third: 2, From: time.Date(1995, 1, 1, 0, 0, 0, 0, time.UTC)})
	at := store.SpellAt{StartedAt: time.Date(2005, 6, 1, 0, 0, 0, 0, time.UTC)}
	page = median(5, func() {
		_, err := st.Listed(ctx, angler.ID, store.Filter{After: &at, Most: 100})
		failed = errors.Join(failed, err)
	})
	return whole, part, page, failed
}
