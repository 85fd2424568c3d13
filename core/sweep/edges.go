package sweep

import (
	"errors"
	"fmt"
	"math"
	"runtime"
	"sync"
	"sync/atomic"
	"time"

	"greypebble/core/conditions"
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
}

// Sweep is what a field is worked out for.
type Sweep struct {
	Book    *playbook.Book
	Belief  rate.Belief
	Targets []*playbook.Target
	Spots   []*spot.Spot
	From    time.Time
	Days    int
	Step    time.Duration
}

// Edges of all spots over days. Readings and the warmth over the marks are taken hour by hour, as
// forecasts are; tides and skies step by step.
func (s Sweep) Edges() (*Field, error) {
	if s.Days < 1 || s.Step < time.Minute || time.Hour%s.Step != 0 {
		return nil, fmt.Errorf("sweep: a sweep needs at least a day and steps that divide an hour, not %d days and %s", s.Days, s.Step)
	}
	s.From = s.From.Truncate(time.Hour)
	steps := s.Days * 24 * int(time.Hour/s.Step)
	f := &Field{From: s.From, Step: s.Step, Edges: make([][][]float32, len(s.Targets))}
	for t := range f.Edges {
		f.Edges[t] = make([][]float32, len(s.Spots))
		for i := range s.Spots {
			f.Edges[t][i] = make([]float32, steps)
		}
	}
	run := &sweeping{Sweep: s, steps: steps, field: f, skies: s.skies(steps), known: map[conditions.Readings][]knownHour{},
		weathers: map[weatherKey]spot.Hours{}, lights: map[weatherKey][][2]float64{}}
	for _, t := range s.Targets {
		run.measured = append(run.measured, ordinary.Measure(s.Book, t, s.Belief.Mean))
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
	// weathers and lights by readings and sky.
	weathers map[weatherKey]spot.Hours
	lights   map[weatherKey][][2]float64
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
	h = sp.Hours(s.From, end, s.From)
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
		parallel(steps, func(i int) { list[i].Sun = sp.Observer().Sun(s.From.Add(time.Duration(i) * s.Step)) })
		out[k] = list
	}
	return out
}

// skyKey is a place to the tenth of a degree: neighbouring spots share their skies.
type skyKey struct{ lat, lon int }

func skyKeyOf(s *spot.Spot) skyKey {
	return skyKey{int(math.Round(s.Lat * 10)), int(math.Round(s.Lon * 10))}
}

// parallel does f for 0 … n−1 on all processors.
func parallel(n int, f func(i int)) {
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
	parallel((len(hours)+phaseHours-1)/phaseHours, func(n int) {
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
	parallel(len(s.Spots), func(i int) { errs[i] = s.spotAt(i) })
	return errors.Join(errs...)
}

// warmEvery is the step the warmth over the marks is worked out by.
const warmEvery = time.Hour

// spotAt sweeps one spot.
func (s *sweeping) spotAt(at int) error {
	sp := s.Spots[at]
	end := s.From.Add(time.Duration(s.steps) * s.Step)
	c, err := s.tides.Over(sp.Tide, s.From.Add(-spot.WarmthRunUp), end.Add(2*warmEvery))
	if err != nil {
		return err
	}
	levels, hourly := make([]float64, s.steps), make([]float64, s.steps)
	c.Sampled(levels, hourly, s.From, s.Step)
	warmth, err := sp.WarmthOn(c, s.weather(sp, end), s.From, end, warmEvery)
	if err != nil {
		return err
	}
	h, tables, skies := s.hours(sp), s.tables(sp), s.skies[skyKeyOf(sp)]
	perHour := int(time.Hour / s.Step)
	logs, best := make([]float64, len(s.Targets)), make([]float64, len(s.Targets))
	spread, f, tides := new(Spread), playbook.Nothing(), scene.TidesOf(sp)
	closed, weighed := false, false
	var under underWater
	lights, warmer := s.light(sp, h), make([]float64, len(sp.Marks))
	for i := range s.steps {
		t := s.From.Add(time.Duration(i) * s.Step)
		now := &h[i/perHour]
		if i%perHour == 0 {
			f, closed, weighed = now.facts, sp.Closing(t) != nil, false
		}
		for k := range best {
			best[k] = math.NaN()
		}
		if !closed && sp.Access.Passable(levels[i]) && s.momentFacts(&f, tides, c, i, levels[i], hourly[i], &skies[i]) {
			under.lux = lights[i]
			spread[playbook.SurfaceLight][0], spread[playbook.SurfaceLight][1] = under.lux[0], under.lux[1]
			fresh := !weighed
			if fresh {
				for k := range warmer {
					warmer[k], _ = warmth.Over(k, t.Truncate(time.Hour))
				}
				under.hour(spread, now)
				tables.Weigh(&f, spread, Hourly)
				weighed = true
			}
			tables.Weigh(&f, spread, EachStep)
			for k := range sp.Marks {
				depth := sp.Marks[k].Depth(levels[i])
				open := sp.Marks[k].Fishable.Holds(depth)
				if !open && !fresh {
					continue
				}
				under.on(&f, spread, depth, warmer[k])
				table := &tables.Marks[k]
				if fresh {
					table.Weigh(&f, spread, Hourly)
				}
				if !open {
					continue
				}
				table.Weigh(&f, spread, EachStep)
				table.Logs(logs)
				for n, v := range logs {
					if !(best[n] >= v) {
						best[n] = v
					}
				}
			}
		}
		for n, v := range best {
			s.field.Edges[n][at][i] = float32(math.Exp(v))
		}
	}
	return nil
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
		list = make([]knownHour, s.Days*24+1)
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
	out := make([]hour, len(list))
	for i := range out {
		m := spot.Moment{Spot: sp, Time: s.From.Add(time.Duration(i) * time.Hour), Believed: list[i].believed}
		out[i] = hour{list[i].low, list[i].high, scene.OfPlace(&m, list[i].weather)}
	}
	return out
}

func (s *sweeping) tables(sp *spot.Spot) *Tables {
	return NewTables(s.Book, s.measured, scene.Marks(sp), s.Belief.Mean, tide.Tideless(sp.Tide))
}

// momentFacts fills in what changes from step to step; false where the tide has no
// stage.
func (s *sweeping) momentFacts(f *playbook.Facts, tides scene.Tides, c *tide.Curve, i int, level, rate float64, sky *spot.Sky) bool {
	t := s.From.Add(time.Duration(i) * s.Step)
	last, next, ok := c.Between(t)
	if !ok {
		return false
	}
	stage := tide.Stage{RateMPerH: rate, Last: last, Next: next, RangeM: math.Abs(next.LevelM - last.LevelM),
		Elapsed: t.Sub(last.Time).Seconds() / next.Time.Sub(last.Time).Seconds()}
	if next.Kind == tide.High {
		stage.Direction = tide.Flood
	}
	tides.Fill(f, level, &stage, sky)
	return true
}

// underWater is what the light under water and the warmth of a mark are worked out from.
type underWater struct {
	lux, attenuation [2]float64 // by cloud and by clarity, low and high
	tempC            [2]float64
}

// hour fills in the readings of an hour.
func (u *underWater) hour(spread *Spread, h *hour) {
	for end, v := range []*conditions.Values{&h.low, &h.high} {
		spread[playbook.Secchi][end], spread[playbook.WindSpeed][end], spread[playbook.Cloud][end] = v.SecchiM, v.WindSpeedMS, v.Cloud
		u.tempC[end] = v.WaterTempC
		u.attenuation[end], _ = water.Attenuation(v.SecchiM) // readings are within bounds
	}
}

// on a mark, what differs from mark to mark.
func (u *underWater) on(f *playbook.Facts, spread *Spread, depth, warmer float64) {
	if warmer != warmer { // dry when the hour began
		warmer = 0
	}
	f.Measure[playbook.Depth], f.Measure[playbook.Warmer] = depth, warmer
	for i, c := range u.tempC {
		spread[playbook.WaterTemp][i] = c + warmer
	}
	for clarity, k := range u.attenuation {
		mid := water.Remaining(k, depth/2)
		for cloud, lux := range u.lux {
			spread[playbook.MidLight][clarity|cloud<<1] = lux * mid
			spread[playbook.BedLight][clarity|cloud<<1] = lux * mid * mid
		}
	}
}
