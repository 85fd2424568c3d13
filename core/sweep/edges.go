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
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/scene"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Field of edges: what turning up at each spot at each step would be worth for each
// target, on its best mark with nothing particular on the hook, over the blind pick
// of the same days. NaN where the way is shut or no mark has fishable water.
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

// Edges of all spots over days. Readings are taken hour by hour and blended in
// between; tides and skies step by step.
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
	run := &sweeping{Sweep: s, steps: steps, field: f, means: make([]float64, len(s.Book.Rules)), skies: s.skies(steps),
		known: map[conditions.Readings][]knownHour{}}
	for r := range run.means {
		run.means[r] = s.Belief.Mean(r)
	}
	run.rates, run.count = make([][conditions.Scenarios]float64, len(s.Targets)), 0
	if err := run.all(); err != nil {
		return nil, err
	}
	run.overBaseline()
	return f, nil
}

// sweeping is a sweep under way.
type sweeping struct {
	Sweep
	steps int
	field *Field
	means []float64
	skies map[skyKey][]spot.Sky
	tides tide.Memo
	// known by the readings, hour by hour.
	known map[conditions.Readings][]knownHour
	// rates of the blind pick by target, and over how many ways to turn up.
	mu    sync.Mutex
	rates [][conditions.Scenarios]float64
	count float64
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

// spotAt sweeps one spot: the mean logarithm of the rate on its best mark goes into the
// field, the rates by daylight into the blind pick.
func (s *sweeping) spotAt(at int) error {
	sp := s.Spots[at]
	c, err := s.tides.Over(sp.Tide, s.From, s.From.Add(time.Duration(s.steps)*s.Step))
	if err != nil {
		return err
	}
	levels, hourly := make([]float64, s.steps), make([]float64, s.steps)
	c.Sampled(levels, hourly, s.From, s.Step)
	h := s.hours(sp)
	tables := s.tables(sp)
	skies := s.skies[skyKeyOf(sp)]
	perHour := int(time.Hour / s.Step)
	etas, means := make([][conditions.Scenarios]float64, len(s.Targets)), make([]float64, len(s.Targets))
	rates, count := make([][conditions.Scenarios]float64, len(s.Targets)), 0.0
	best := make([]float64, len(s.Targets))
	spread, f, tides := new(Spread), playbook.Nothing(), scene.TidesOf(sp)
	open, closed := make([]int, 0, len(sp.Marks)), false
	for i := range s.steps {
		if i%perHour == 0 {
			f = h[i/perHour].facts
		}
		for t := range best {
			best[t] = math.Inf(-1)
		}
		open = open[:0]
		if i%perHour == 0 {
			closed = sp.Closing(s.From.Add(time.Duration(i)*s.Step)) != nil
		}
		if !closed && sp.Access.Passable(levels[i]) && s.momentFacts(&f, tides, c, i, levels[i], hourly[i], &skies[i]) {
			for k := range sp.Marks {
				if sp.Marks[k].Fishable.Holds(sp.Marks[k].Depth(levels[i])) {
					open = append(open, k)
				}
			}
		}
		if len(open) > 0 {
			fillSpread(spread, h, i, perHour, &skies[i])
			tables.Weigh(&f, spread)
		}
		daytime := len(open) > 0 && i%perHour == 0 && skies[i].Sun.Altitude >= sky.SunUp
		if daytime {
			count++
		}
		for _, k := range open {
			f.Measure[playbook.Depth] = sp.Marks[k].Depth(levels[i])
			table := &tables.Marks[k]
			table.Weigh(&f, spread)
			table.Means(means)
			for t, v := range means {
				best[t] = max(best[t], v)
			}
			if !daytime {
				continue
			}
			table.Etas(etas)
			for t := range etas {
				for j, e := range etas[t] {
					rates[t][j] += math.Exp(e) / float64(len(open))
				}
			}
		}
		for t, v := range best {
			s.field.Edges[t][at][i] = float32(v)
		}
	}
	s.mu.Lock()
	defer s.mu.Unlock()
	s.count += count
	for t := range rates {
		for k := range rates[t] {
			s.rates[t][k] += rates[t][k]
		}
	}
	return nil
}

// overBaseline turns log-rates into edges.
func (s *sweeping) overBaseline() {
	for t := range s.field.Edges {
		base := 0.0
		for _, r := range s.rates[t] {
			base += math.Log(r/s.count) / conditions.Scenarios
		}
		for _, steps := range s.field.Edges[t] {
			for i, v := range steps {
				if math.IsInf(float64(v), -1) || s.count == 0 {
					steps[i] = float32(math.NaN())
				} else {
					steps[i] = float32(math.Exp(float64(v) - base))
				}
			}
		}
	}
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
	ids := make([]string, len(s.Targets))
	for i, t := range s.Targets {
		ids[i] = t.ID
	}
	return NewTables(s.Book, ids, scene.Marks(sp), playbook.Plain, func(r int) float64 { return s.means[r] })
}

// momentFacts fills in what changes from step to step; false where the tide has no
// stage.
func (s *sweeping) momentFacts(f *playbook.Facts, tides scene.Tides, c *tide.Curve, i int, level, rate float64, sky *spot.Sky) bool {
	t := s.From.Add(time.Duration(i) * s.Step)
	last, next, ok := c.Between(t)
	if !ok {
		return false
	}
	stage := tide.Stage{RateMPerH: rate, RangeM: math.Abs(next.LevelM - last.LevelM),
		Elapsed: t.Sub(last.Time).Seconds() / next.Time.Sub(last.Time).Seconds()}
	if next.Kind == tide.High {
		stage.Direction = tide.Flood
	}
	tides.Fill(f, level, &stage, sky)
	return true
}

// fillSpread blends the hours around a step.
func fillSpread(spread *Spread, h []hour, i, perHour int, sky *spot.Sky) {
	a, b := &h[i/perHour], &h[i/perHour+1]
	x := float64(i%perHour) / float64(perHour)
	for end, v := range [2][2]*conditions.Values{{&a.low, &b.low}, {&a.high, &b.high}} {
		p, q := v[0], v[1]
		spread[playbook.Secchi][end] = p.SecchiM + x*(q.SecchiM-p.SecchiM)
		spread[playbook.WaterTemp][end] = p.WaterTempC + x*(q.WaterTempC-p.WaterTempC)
		spread[playbook.WindSpeed][end] = p.WindSpeedMS + x*(q.WindSpeedMS-p.WindSpeedMS)
		cloud := p.Cloud + x*(q.Cloud-p.Cloud)
		lux := water.Sky{SunAltitude: sky.Sun.Altitude, MoonAltitude: sky.Moon.Altitude, MoonIllumination: sky.Phase.Illumination,
			Cloud: cloud}.Surface()
		spread[playbook.Cloud][end], spread[playbook.SurfaceLight][end], spread[playbook.LureLight][end] = cloud, lux, lux
	}
}
