package ordinary

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/playbook"
	"greypebble/core/scene"
	"greypebble/core/sky"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/core/words"
)

// Points are the ordinary spells drawn for a target.
const Points = 500

// Of a target: what an ordinary spell has of each rule of the book, by its place there. Worked
// out once per book.
func Of(b *playbook.Book, t *playbook.Target) []float64 {
	return b.Once(fmt.Sprintf(words.Ordinary, t.ID), func() any { return means(b, t, Points) }).([]float64)
}

// means over a number of spells. A spell in which a rule looks at what is not known does not
// count for it.
func means(b *playbook.Book, t *playbook.Target, points int) []float64 {
	sums, known, w := make([]float64, len(b.Rules)), make([]float64, len(b.Rules)), make([]float64, len(b.Rules))
	suns := b.Shipped().Once("ordinary suns", suns).([]float64)
	for _, s := range draw(t, points) {
		f := s.facts(s.sun(suns))
		b.Weights(t.ID, &f, w)
		for _, i := range b.About(t.ID) {
			if w[i] == w[i] {
				sums[i] += w[i]
				known[i]++
			}
		}
	}
	for _, i := range b.About(t.ID) {
		switch {
		case b.Rules[i].Presence() || known[i] == 0:
			sums[i] = 0
		default:
			sums[i] /= known[i]
		}
	}
	return sums
}

// Coordinates of a spell, each between 0 and 1.
const (
	ofDay = iota
	ofHour
	ofPhase
	ofMoon
	ofTemp
	ofClarity
	ofWind
	ofCloud
	ofSide
	ofWarming
	ofRain
	ofWaves
	coordinates
)

// spell is one ordinary spell for a target.
type spell struct {
	n      int
	x      [coordinates]float64
	place  string
	mark   int
	target *playbook.Target
}

// draw ordinary spells: those whose day is one the target is away are passed over.
func draw(t *playbook.Target, points int) []spell {
	out := make([]spell, 0, points)
	for n := 0; len(out) < points; n++ {
		s := at(n)
		s.target, s.place, s.mark = t, t.Lives[len(out)%len(t.Lives)], len(out)/len(t.Lives)
		month := playbook.Months[s.when().Month()-1]
		if slices.Contains(t.Away, month) && len(t.Away) < len(playbook.Months) {
			continue
		}
		out = append(out, s)
	}
	return out
}

// phi is the root of x^(d+1) = x + 1 for as many coordinates.
var phi = func() float64 {
	x := 2.0
	for range 60 {
		x = math.Pow(1+x, 1/float64(coordinates+1))
	}
	return x
}()

// at a place of the sequence.
func at(n int) spell {
	s := spell{n: n}
	for j := range s.x {
		_, s.x[j] = math.Modf(0.5 + float64(n)*math.Pow(phi, -float64(j+1)))
	}
	return s
}

// Hours between which people fish, by the sun.
const (
	firstHour = 5.0
	lastHour  = 21.0
	latitude  = 33.0
)

// year of the reference sky; any will do.
var year = time.Date(2026, 1, 1, 0, 0, 0, 0, time.UTC)

func (s *spell) when() time.Time {
	day := math.Floor(s.x[ofDay] * 365)
	hour := firstHour + s.x[ofHour]*(lastHour-firstHour)
	return year.Add(time.Duration((day*24 + hour) * float64(time.Hour)))
}

// suns of the sequence, which all targets share: the sun's altitude by spell.
func suns() any {
	out := make([]float64, 2*Points)
	for n := range out {
		s := at(n)
		out[n] = s.altitude()
	}
	return out
}

func (s *spell) sun(known []float64) float64 {
	if s.n < len(known) {
		return known[s.n]
	}
	return s.altitude()
}

func (s *spell) altitude() float64 { return sky.Observer{Lat: latitude}.Sun(s.when()).Altitude }

// The reference tide.
const (
	springRange = 1.5 // m
	riseHours   = 6.21
	lowSprings  = 0.15 // m above chart datum
	lunarHalf   = 14.77
)

// facts of the spell under a sun.
func (s *spell) facts(sun float64) playbook.Facts {
	f := playbook.Nothing()
	between := func(x int, from, to float64) float64 { return from + s.x[x]*(to-from) }
	m := func(k playbook.Measure, v float64) { f.Measure[k] = v }

	fromFull := between(ofMoon, -lunarHalf, lunarHalf)
	strength := 0.8 + 0.3*math.Cos(2*math.Pi*fromFull/lunarHalf)
	phase := s.x[ofPhase] * 2 // 0…1 flood, 1…2 ebb
	direction, elapsed := tide.Flood, phase
	if phase >= 1 {
		direction, elapsed = tide.Ebb, phase-1
	}
	share := 0.5 - 0.5*strength*math.Cos(math.Pi*phase)
	level, flow := lowSprings+springRange*share, strength*math.Abs(math.Sin(math.Pi*phase))
	rate := flow * water.SpringRate(springRange, riseHours)
	if direction == tide.Ebb {
		rate = -rate
	}
	scene.Stage(&f, direction, elapsed)
	m(playbook.Level, level)
	m(playbook.LevelShare, share)
	m(playbook.RiseRate, rate)
	m(playbook.Flow, math.Abs(rate))
	m(playbook.FlowShare, flow)
	m(playbook.TideRange, strength)
	m(playbook.DaysFromFull, math.Abs(fromFull)*86400)
	m(playbook.DaysAfterFull, fromFull*86400)

	cloud := s.x[ofCloud]
	light := water.Sky{SunAltitude: sun, MoonAltitude: -10, Cloud: cloud}.Surface()
	secchi := 0.4 * math.Pow(1.8/0.4, s.x[ofClarity])
	if openWater[s.place] {
		secchi = 1 * math.Pow(4, s.x[ofClarity])
	}
	m(playbook.SunAltitude, sun)
	m(playbook.Cloud, cloud)
	m(playbook.SurfaceLight, light)
	m(playbook.Secchi, secchi)
	m(playbook.WaterTemp, between(ofTemp, s.target.Feeds.From, s.target.Feeds.To))
	m(playbook.Warming, between(ofWarming, -0.8, 0.8))
	m(playbook.Warmer, 0)
	m(playbook.WindSpeed, between(ofWind, 0.5, 9))
	m(playbook.Standing, 0)
	m(playbook.Current, 0.25*flow)
	m(playbook.Rain, 0)
	if s.x[ofRain] > 0.8 {
		m(playbook.Rain, 0.006)
	}
	if s.place == "surf beach" || s.place == "rocky shore" {
		m(playbook.Waves, between(ofWaves, 0.2, 1))
	}
	f.Say(playbook.Side, []string{"along", "lee", "exposed"}[int(s.x[ofSide]*3)])
	f.Say(playbook.Place, s.place)
	scene.Season(&f, s.when(), latitude)
	s.onMark(&f, level-lowSprings, light, secchi)
	return f
}

// shallowest water one fishes, metres.
const shallowest = 0.3

// onMark of the place: the next with water enough.
func (s *spell) onMark(f *playbook.Facts, level, light, secchi float64) {
	marks := usualMarks[s.place]
	k := marks[s.mark%len(marks)]
	for i := 0; level-k.ElevationM < shallowest && i < len(marks); i++ {
		k = marks[(s.mark+i)%len(marks)]
	}
	depth := math.Max(level-k.ElevationM, shallowest)
	f.Say(playbook.MarkKind, string(k.Kind))
	f.Say(playbook.Bottom, k.Bottom)
	f.Measure[playbook.Depth] = depth
	f.Measure[playbook.SideCreeks] = creeksOf(marks)
	if e, has := crestOf(marks); has {
		f.Measure[playbook.CrestDepth] = level - e
	}
	if a, err := water.Attenuation(secchi); err == nil {
		f.Measure[playbook.BedLight] = light * water.Remaining(a, depth)
		f.Measure[playbook.MidLight] = light * water.Remaining(a, depth/2)
	}
}
