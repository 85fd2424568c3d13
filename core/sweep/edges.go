package sweep

import (
	"errors"
	"fmt"
	"math"
	"runtime"
	"slices"
	"sync"
	"sync/atomic"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/ordinary"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Field of edges: what being at each spot at each step would be worth for each target, on its best
// mark and fished as well as the book knows: there × feeding. NaN where the way is shut or no mark
// has fishable water.
type Field struct {
	From time.Time
	Step time.Duration
	// Edges by target, spot and step.
	Edges [][][]float32
	// Waters by spot.
	Waters []Water
}

// Water at a spot by step: its level in metres above chart datum, and how fast it rises, m/h.
type Water struct{ LevelM, RisingMPerH []float64 }

// Sweep is what a field is worked out for.
type Sweep struct {
	Book    *playbook.Book
	Belief  rate.Belief
	Targets []*playbook.Target
	Spots   []*spot.Spot
	From    time.Time
	Hours   int
	Step    time.Duration
}

// Edges of all spots over some hours. Readings and the warmth over the marks are taken hour by hour, as
// forecasts are; tides and skies step by step.
func (s Sweep) Edges() (*Field, error) {
	if s.Hours < 1 || s.Step < time.Minute || time.Hour%s.Step != 0 {
		return nil, fmt.Errorf("sweep: a sweep needs at least an hour and steps that divide an hour, not %d hours and %s", s.Hours, s.Step)
	}
	s.From = s.From.Truncate(time.Hour)
	steps := s.Hours * int(time.Hour/s.Step)
	f := &Field{From: s.From, Step: s.Step, Edges: make([][][]float32, len(s.Targets)),
		Waters: make([]Water, len(s.Spots))}
	for t := range f.Edges {
		f.Edges[t] = make([][]float32, len(s.Spots))
		for i := range s.Spots {
			f.Edges[t][i] = make([]float32, steps)
		}
	}
	run := &sweeping{Sweep: s, steps: steps, field: f, skies: s.skies(steps), known: map[conditions.Readings][]knownHour{},
		placed:   map[placeKey][]hour{},
		weathers: map[weatherKey]spot.Hours{}, of: map[weatherKey]*spot.Spot{}, lights: map[weatherKey][][2]float64{}}
	for _, sp := range s.Spots {
		if k := (weatherKey{sp.Readings, skyKeyOf(sp)}); run.of[k] == nil {
			run.of[k] = sp
		}
	}
	for _, t := range s.Targets {
		run.measured = append(run.measured, ordinary.Measure(s.Book, t, s.Belief.For(t.ID).Mean))
	}
	if err := run.all(); err != nil {
		return nil, err
	}
	return f, nil
}

// sweeping is a sweep under way.
type sweeping struct {
	Sweep
	steps    int
	field    *Field
	measured []ordinary.Yardstick
	skies    map[skyKey][]spot.Sky
	tides    tide.Memo
	// known by the readings, hour by hour.
	mu    sync.Mutex
	known map[conditions.Readings][]knownHour
	// placed hours of the kinds of place of a water, which its spots share.
	placed map[placeKey][]hour
	// weathers and lights by readings and sky.
	weathers map[weatherKey]spot.Hours
	// of says whose place in the list a weather shared by several spots is worked out by: the first's, whoever asks first.
	of     map[weatherKey]*spot.Spot
	lights map[weatherKey][][2]float64
}

// light on the water at each step under the hour's cloud, low and high, which spots of one water share.
func (s *sweeping) light(sp *spot.Spot, h []hour) [][2]float64 {
	k := weatherKey{sp.Readings, skyKeyOf(sp)}
	s.mu.Lock()
	list, seen := s.lights[k]
	s.mu.Unlock()
	if seen {
		return list
	}
	skies, perHour := s.skies[k.sky], int(time.Hour/s.Step)
	list = make([][2]float64, s.steps)
	for i := range list {
		now := &h[i/perHour]
		list[i] = [2]float64{skies[i].SurfaceLight(now.low.Cloud), skies[i].SurfaceLight(now.high.Cloud)}
	}
	s.mu.Lock()
	defer s.mu.Unlock()
	s.lights[k] = list
	return list
}

type weatherKey struct {
	readings conditions.Readings
	sky      skyKey
}

func (s *sweeping) weather(sp *spot.Spot, end time.Time) spot.Hours {
	k := weatherKey{sp.Readings, skyKeyOf(sp)}
	s.mu.Lock()
	h, seen := s.weathers[k]
	s.mu.Unlock()
	if seen {
		return h
	}
	h = s.of[k].Hours(s.From, end, s.From)
	s.mu.Lock()
	defer s.mu.Unlock()
	s.weathers[k] = h
	return h
}

// skies over the steps, by tenth of a degree.
func (s Sweep) skies(steps int) map[skyKey][]spot.Sky {
	out := make(map[skyKey][]spot.Sky)
	for _, sp := range s.Spots {
		k := skyKeyOf(sp)
		if out[k] != nil {
			continue
		}
		list := make([]spot.Sky, steps)
		s.moons(sp.Observer(), list)
		Parallel(steps, func(i int) { list[i].Sun = sp.Observer().Sun(s.From.Add(time.Duration(i) * s.Step)) })
		out[k] = list
	}
	return out
}

// skyKey is a place to the tenth of a degree: neighbouring spots share their skies.
type skyKey struct{ lat, lon int }

func skyKeyOf(s *spot.Spot) skyKey {
	return skyKey{int(math.Round(s.Lat * 10)), int(math.Round(s.Lon * 10))}
}

// Parallel does f for 0 … n−1 on all processors.
func Parallel(n int, f func(i int)) {
	var wg sync.WaitGroup
	var next atomic.Int64
	for range runtime.GOMAXPROCS(0) {
		wg.Go(func() {
			for i := next.Add(1) - 1; i < int64(n); i = next.Add(1) - 1 {
				f(int(i))
			}
		})
	}
	wg.Wait()
}

// phaseHours is how long the moon's phase may stand.
const phaseHours = 6

// moons over the steps: its place worked out hour by hour, the altitude through three of
// them, which is good to a tenth of a degree; its phase every few hours. It only lights
// the night.
func (s Sweep) moons(o sky.Observer, list []spot.Sky) {
	perHour := int(time.Hour / s.Step)
	hours := make([]spot.Sky, len(list)/perHour+3)
	Parallel((len(hours)+phaseHours-1)/phaseHours, func(n int) {
		first := n * phaseHours
		t := s.From.Add(time.Duration(first-1) * time.Hour)
		phase, fromFull := sky.MoonPhase(t), sky.DaysFromFull(t)
		for i := first; i < min(first+phaseHours, len(hours)); i++ {
			after := time.Duration(i-first) * time.Hour
			hours[i] = spot.Sky{Moon: o.Moon(t.Add(after)), Phase: phase, FromFull: fromFull + after.Hours()/24}
		}
	})
	for i := range list {
		p := hours[i/perHour : i/perHour+3]
		x := float64(i%perHour) / float64(perHour)
		list[i] = p[1]
		list[i].Moon.Altitude = p[1].Moon.Altitude + x*(p[2].Moon.Altitude-p[0].Moon.Altitude)/2 +
			x*x*(p[2].Moon.Altitude-2*p[1].Moon.Altitude+p[0].Moon.Altitude)/2
	}
}

func (s *sweeping) all() error {
	errs := make([]error, len(s.Spots))
	// Those with most to do first, so that no processor is left with one of them at the end.
	order := make([]int, len(s.Spots))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int { return len(s.Spots[b].Marks) - len(s.Spots[a].Marks) })
	Parallel(len(order), func(i int) { errs[order[i]] = s.spotAt(order[i]) })
	return errors.Join(errs...)
}

// hour of a spot: what is believed, low and high, and what of the facts changes from
// hour to hour.
type hour struct {
	low, high conditions.Values
	facts     playbook.Facts
}

// knownHour is what an hour's readings say, which spots of one water share.
type knownHour struct {
	believed  conditions.Believed
	low, high conditions.Values
	weather   scene.Weather
}

func (s *sweeping) hours(sp *spot.Spot) []hour {
	s.mu.Lock()
	list, seen := s.known[sp.Readings]
	s.mu.Unlock()
	if !seen {
		list = make([]knownHour, s.Hours+1)
		for i := range list {
			t := s.From.Add(time.Duration(i) * time.Hour)
			b := sp.Readings.Believe(t)
			low, high := b.Ends()
			list[i] = knownHour{b, low, high, scene.WeatherOf(sp.Readings, t)}
		}
		s.mu.Lock()
		s.known[sp.Readings] = list
		s.mu.Unlock()
	}
	k := placeKey{sp.Readings, sp.Place, sp.Rose, sp.Lat < 0, sp.Count(ground.Cut)}
	s.mu.Lock()
	out, seen := s.placed[k]
	s.mu.Unlock()
	if seen {
		return out
	}
	out = make([]hour, len(list))
	for i := range out {
		m := spot.Moment{Spot: sp, Time: s.From.Add(time.Duration(i) * time.Hour), Believed: list[i].believed}
		out[i] = hour{list[i].low, list[i].high, scene.OfPlace(&m, list[i].weather)}
	}
	s.mu.Lock()
	defer s.mu.Unlock()
	s.placed[k] = out
	return out
}

// placeKey is all that the facts of an hour look at beside its readings, see [scene.OfPlace].
type placeKey struct {
	readings conditions.Readings
	place    string
	rose     *water.Rose
	south    bool
	creeks   int
}
