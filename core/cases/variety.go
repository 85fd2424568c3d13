package cases

import (
	"cmp"
	"fmt"
	"maps"
	"runtime"
	"slices"
	"strings"
	"sync"
	"time"

	"greypebble/core/advise"
	"greypebble/core/ground"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
)

// Variety of the answers over a year of places, targets, seasons, waters and tides.
type Variety struct {
	// Asked so many times.
	Asked int
	// Firsts by what was first: offering, rig and style.
	Firsts map[string]int
	// Where something was among the first three, by "offering x", "rig x", "way x/style": how often,
	// and the first place it came.
	Often map[string]int
	Where map[string]string
	// Missing never came.
	Missing []string
}

// Distinct answers that were first.
func (v *Variety) Distinct() int { return len(v.Firsts) }

// Commonest first and its share of all.
func (v *Variety) Commonest() (answer string, share float64) {
	for _, k := range slices.Sorted(maps.Keys(v.Firsts)) {
		if s := float64(v.Firsts[k]) / float64(v.Asked); s > share {
			answer, share = k, s
		}
	}
	return answer, share
}

// goes by which one usually gets to a kind of place.
var goes = map[string]ground.Manner{"oyster bar": ground.Kayak, "grass flat": ground.Kayak, "mud flat": ground.Kayak,
	"overhung bank": ground.Kayak, "timbered creek": ground.Kayak, "dug canal": ground.Kayak, "back lake": ground.Kayak,
	"reef": ground.Boat, "ledge": ground.Boat, "harbour mouth": ground.Boat}

// asking of one spot of the sweep.
type asking struct {
	shore  Shore
	target *playbook.Target
	label  string
}

// sweepOf a target at a kind of place.
func sweepOf(place string, t *playbook.Target) []asking {
	var out []asking
	for _, season := range []struct {
		month time.Month
		warm  float64 // within what it feeds at
	}{{2, 0}, {5, 0.35}, {8, 0.85}, {10, 0.5}} {
		c := t.Feeds.From + season.warm*(t.Feeds.To-t.Feeds.From)
		if season.month == 2 {
			c -= 3
		}
		for _, secchi := range []float64{0.55, 3} {
			for _, hour := range []int{6, 12, 22} {
				for _, tide := range []struct {
					ebb     bool
					elapsed float64
					run     float64
				}{{false, 0.2, 0.6}, {true, 0.6, 0.08}} {
					s := Shore{Place: place, Manner: goes[place], Time: On(season.month, 12, hour), Ebb: tide.ebb, Elapsed: tide.elapsed,
						RunMS: tide.run, Seen: seen{water: c, air: c, clear: secchi, cloud: 0.3, wind: 3, swell: 0.6, period: 8}}
					s.setMarks()
					out = append(out, asking{s, t, fmt.Sprintf("%s, %s, %s, %.0f °C, Secchi %.1f m, %d h, %s", t.Name, place,
						season.month, c, secchi,
						hour, map[bool]string{true: "ebb", false: "flood"}[tide.ebb])})
				}
			}
		}
	}
	return out
}

// setMarks as they usually are, at the level of the moment.
func (s *Shore) setMarks() {
	s.RangeM = 1.5
	level := s.Elapsed
	if s.Ebb {
		level = 1 - level
	}
	for _, k := range ordinary.UsualMarks(s.Place) {
		if depth := level*s.RangeM - k.ElevationM; depth > 0.2 {
			s.Marks = append(s.Marks, Mark{string(k.Kind) + " " + ordinal[len(s.Marks)], k.Kind, k.Bottom, depth, 20})
		}
	}
}

// Variety of the answers of the book, and of those of who takes the other side of how to jig and to
// wind a plug. progress, if not nil, is told the share done.
func (t Trade) Variety(progress func(float64)) (*Variety, error) {
	v := &Variety{Firsts: map[string]int{}, Often: map[string]int{}, Where: map[string]string{}}
	if err := v.ask(t, progress, func(*playbook.Target) bool { return true }); err != nil {
		return nil, err
	}
	other, err := t.Book.Over(playbook.Overlay{Schools: map[string]string{"Q7": "snap", "Q8": "jerk"}})
	if err != nil {
		return nil, err
	}
	aside := &Variety{Firsts: map[string]int{}, Often: v.Often, Where: v.Where}
	jigged := []string{"weakfish", "black-sea-bass", "kelp-bass", "striped-bass"}
	if err := aside.ask(Trade{Book: other}, nil, func(t *playbook.Target) bool { return slices.Contains(jigged, t.ID) }); err != nil {
		return nil, err
	}
	v.missing(t.Book)
	return v, nil
}

func (v *Variety) ask(t Trade, progress func(float64), of func(*playbook.Target) bool) error {
	var all []asking
	for i := range t.Book.Targets {
		if !of(&t.Book.Targets[i]) {
			continue
		}
		for _, place := range t.Book.Targets[i].Lives {
			all = append(all, sweepOf(place, &t.Book.Targets[i])...)
		}
	}
	answers, errs := make([]advise.Advice, len(all)), make([]error, runtime.GOMAXPROCS(0))
	var wg sync.WaitGroup
	for w := range errs {
		wg.Go(func() {
			for i := w; i < len(all); i += len(errs) {
				a, err := t.Ask(all[i].shore, 3, all[i].target.ID)
				if err != nil {
					errs[w] = err
					return
				}
				answers[i] = a
				if w == 0 && progress != nil {
					progress(float64(i) / float64(len(all)))
				}
			}
		})
	}
	wg.Wait()
	for _, err := range errs {
		if err != nil {
			return err
		}
	}
	for i, a := range answers {
		v.take(&a, all[i].label)
	}
	return nil
}

func (v *Variety) take(a *advise.Advice, label string) {
	if len(a.Choices) == 0 || a.Choices[0].Absent {
		return
	}
	v.Asked++
	for i := range a.Choices {
		c := &a.Choices[i].Card
		if i == 0 {
			v.Firsts[c.OfferingID+" on "+c.RigID+", "+c.Style]++
		}
		for _, k := range []string{"offering " + c.OfferingID, "rig " + c.RigID, "way " + c.RigID + "/" + c.Style} {
			v.Often[k]++
			if v.Where[k] == "" {
				v.Where[k] = label
			}
		}
	}
}

func (v *Variety) missing(b *playbook.Book) {
	want := func(k string) {
		if v.Often[k] == 0 {
			v.Missing = append(v.Missing, k)
		}
	}
	for _, o := range b.Offerings {
		want("offering " + o.ID)
	}
	for _, r := range b.Rigs {
		want("rig " + r.ID)
		for _, w := range r.Ways {
			want("way " + r.ID + "/" + w.Style)
		}
	}
}

// Lines of the sweep, as the review prints them.
func (v *Variety) Lines() string {
	var b strings.Builder
	answer, share := v.Commonest()
	fmt.Fprintf(&b, "%d questions, %d distinct first answers; the commonest, %s, is %.1f %% of all.\n\n", v.Asked, v.Distinct(), answer,
		100*share)
	for _, k := range v.Missing {
		fmt.Fprintf(&b, "- **never**: %s\n", k)
	}
	b.WriteString("\n| first | how often |\n|---|---|\n")
	firsts := slices.SortedFunc(maps.Keys(v.Firsts), func(x, y string) int {
		return cmp.Or(cmp.Compare(v.Firsts[y], v.Firsts[x]), cmp.Compare(x, y))
	})
	for _, k := range firsts[:min(len(firsts), 30)] {
		fmt.Fprintf(&b, "| %s | %.1f %% |\n", k, 100*float64(v.Firsts[k])/float64(v.Asked))
	}
	b.WriteString("\n| among the first three | how often | for instance |\n|---|---|---|\n")
	for _, k := range slices.Sorted(maps.Keys(v.Often)) {
		fmt.Fprintf(&b, "| %s | %d | %s |\n", k, v.Often[k], v.Where[k])
	}
	return b.String()
}

// Usual shore of a kind of place: its usual marks by day, in the middle of the flood.
func Usual(place string, month time.Month, waterC float64) Shore {
	s := Shore{Place: place, Manner: goes[place], Time: On(month, 12, 12), Elapsed: 0.5, RunMS: 0.3,
		Seen: seen{water: waterC, air: waterC, clear: 1.5, cloud: 0.3, wind: 3, swell: 0.6, period: 8}}
	s.setMarks()
	return s
}

// ordinal names of marks.
var ordinal = []string{"one", "two", "three", "four", "five", "six"}
