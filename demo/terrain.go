package demo

import (
	"math"
	"sync"

	"greypebble/core/ground"
)

// The invented coast as one elevation for every place: an outer beach with bars
// and cuts on a spit, an inlet with a jetty, a headland with a reef before it,
// and behind the spit a sound with its channel, bars, flats, creeks, a dug canal
// and a back lake. Metres east and north of its south-west corner.
const (
	coastSouth, coastWest = 31.150, -45.170
	coastCell             = 10.0
	coastCols, coastRows  = 900, 720
)

// Metres a degree on that coast.
const perLat = 111195.08

var perLon = perLat * math.Cos((coastSouth+0.03)*math.Pi/180)

// at is a place on the coast.
func at(x, y float64) ground.LatLon {
	return ground.LatLon{Lat: coastSouth + y/perLat, Lon: coastWest + x/perLon}
}

type xy struct{ x, y float64 }

// path of a channel or creek: its bed at both ends, half its width, and how
// steep its banks are (metres a metre).
type path struct {
	points   []xy
	from, to float64 // bed elevation at the first and the last point
	half     float64
	bank     float64

	share []float64
	box   [4]float64
}

var paths = measured([]path{
	// The inlet and the sound's channel.
	{points: []xy{{6000, 600}, {6000, 2300}, {5500, 3050}, {4300, 3350}, {3000, 3450}, {1700, 3700}, {1100, 4050}}, from: -6.5, to: -2.2,
		half: 90, bank: 0.035},
	// A creek with fallen timber, winding.
	{points: []xy{{4700, 4300}, {4720, 4750}, {4880, 5080}, {4600, 5420}, {4900, 5800}, {4720, 6250}, {4800, 6700}}, from: -1.6, to: 0.5,
		half: 16, bank: 0.18},
	// Fallow Creek, wider.
	{points: []xy{{2000, 4200}, {1900, 4700}, {1640, 5150}, {1500, 5600}, {1240, 6050}, {1320, 6600}}, from: -1.9, to: 0.1,
		half: 42, bank: 0.08},
	// The dug canal: nature does not draw straight lines.
	{points: []xy{{3000, 4300}, {3000, 6500}}, from: -2.6, to: -2.4, half: 9, bank: 0.35},
	// Side creeks of the canal.
	{points: []xy{{3000, 5000}, {2780, 5060}, {2640, 5020}}, from: -0.9, to: 0.7, half: 4, bank: 0.2},
	{points: []xy{{3000, 5320}, {3230, 5380}, {3380, 5340}}, from: -0.9, to: 0.7, half: 4, bank: 0.2},
	{points: []xy{{3000, 5640}, {2800, 5720}, {2600, 5690}}, from: -0.9, to: 0.8, half: 4, bank: 0.2},
	{points: []xy{{3000, 6020}, {3210, 6100}}, from: -0.9, to: 0.8, half: 4, bank: 0.2},
	// The way into the back lake, over its sill.
	{points: []xy{{6000, 4250}, {6010, 4700}}, from: -0.9, to: 0.3, half: 8, bank: 0.12},
	{points: []xy{{6010, 4700}, {6035, 5020}}, from: 0.3, to: 0.55, half: 6, bank: 0.12},
	{points: []xy{{6035, 5020}, {6080, 5330}}, from: 0.55, to: -0.3, half: 6, bank: 0.12},
})

func measured(list []path) []path {
	for i := range list {
		for range 3 {
			list[i].points = rounded(list[i].points)
		}
		list[i].measure()
	}
	return list
}

// rounded corners: each leg gives its quarter points (Chaikin 1974).
func rounded(points []xy) []xy {
	out := []xy{points[0]}
	for i := 0; i+1 < len(points) && len(points) > 2; i++ {
		a, b := points[i], points[i+1]
		out = append(out, xy{0.75*a.x + 0.25*b.x, 0.75*a.y + 0.25*b.y}, xy{0.25*a.x + 0.75*b.x, 0.25*a.y + 0.75*b.y})
	}
	return append(out, points[len(points)-1])
}

// shore of the outer beach by x, and the back of the spit.
func shoreAt(x float64) float64 { return 1900 + 130*math.Sin(x/1500) }
func backAt(x float64) float64  { return 2480 + 110*math.Sin(x/700+1) + 40*math.Sin(x/190) }
func headAt(x float64) float64  { return 1750 + 90*math.Sin(x/430) + 45*math.Sin(x/120) }
func mainAt(x float64) float64 {
	return 4620 + 170*math.Sin(x/1250) + 60*math.Sin(x/310+2) + 18*math.Sin(x/83)
}

// highWater of springs: where land begins.
const highWater = 1.7

// elevation of the coast in metres above chart datum.
func elevation(x, y float64) float64 {
	// Nature draws no straight lines: what is not beach is laid out on a bent map.
	wx := x + 95*math.Sin(y/290+0.7) + 38*math.Sin(y/101+x/700)
	wy := y + 55*math.Sin(x/330+1.1) + 24*math.Sin(x/119+y/900)
	spit := math.Min(math.Min(y-shoreAt(x), backAt(x)-y), 5690-wx)
	headland := math.Min(math.Min(wx-6370, y-headAt(x)), 2830-wy)
	west := math.Min(430-wx, y-shoreAt(x))
	// East of the town's wall, which is straight, the shore wanders.
	town := math.Min(x-7700-150*lattice(x/400+9, y/330)*within((math.Abs(y-3625)-425)/160), y-headAt(x))
	land := math.Max(math.Max(math.Max(spit, headland), math.Max(y-mainAt(x), west)), town)
	var z float64
	var seaward float64
	switch {
	case wx < 5690:
		seaward = shoreAt(x) - y
	case wx > 6370:
		seaward = headAt(x) - y
	default: // before the inlet the two shores blend
		k := (wx - 5690) / 680
		seaward = (shoreAt(x)-y)*(1-k) + (headAt(x)-y)*k
	}
	switch {
	case land > 0:
		inland := within(land / 220)
		z = math.Min(highWater+0.02*land, 4.2+1.3*rough(x, y, 230))
		if y > mainAt(x) { // marsh before the woods; far in, the ground forgets the shore
			z = highWater + 0.004*land*(1-inland) + inland*(0.7+0.0006*(y-4600)+0.55*rough(x, y, 420))
		}
	case seaward > 0 && y < 2000:
		rocky := math.Min(math.Max((wx-5900)/470, 0), 1)
		z = sandbed(x, seaward)*(1-rocky) + rockbed(x, seaward)*rocky
	default:
		z = soundFloor(x, y, -land)
	}
	for i := range paths {
		z = math.Min(z, paths[i].bed(x, y))
	}
	z = features(x, y, z)
	for i := range stamps {
		z = stamps[i].on(x, y, z)
	}
	return z
}

// beach profile: distance seaward of the high water line and elevation, the
// section of Long Strand carried along the shore.
var beach = []ground.Point{{DistanceM: -2, ElevationM: 1.75}, {DistanceM: 8, ElevationM: 1.1}, {DistanceM: 18, ElevationM: 0.35},
	{DistanceM: 28, ElevationM: -0.55}, {DistanceM: 38, ElevationM: -0.6}, {DistanceM: 50, ElevationM: -0.15},
	{DistanceM: 62, ElevationM: 0.2}, {DistanceM: 74, ElevationM: 0.1}, {DistanceM: 90, ElevationM: -1.1},
	{DistanceM: 110, ElevationM: -1.75}, {DistanceM: 132, ElevationM: -1.45}, {DistanceM: 154, ElevationM: -2.4},
	{DistanceM: 400, ElevationM: -4.6}, {DistanceM: 2500, ElevationM: -13}}

func along(points []ground.Point, d float64) float64 {
	if d <= points[0].DistanceM {
		return points[0].ElevationM
	}
	for i := 1; i < len(points); i++ {
		if a, b := points[i-1], points[i]; d <= b.DistanceM {
			return a.ElevationM + (b.ElevationM-a.ElevationM)*(d-a.DistanceM)/(b.DistanceM-a.DistanceM)
		}
	}
	return points[len(points)-1].ElevationM
}

// cutEvery is the distance between cuts in the bar.
const cutEvery = 620.0

// sandbed before the beach, by distance seaward, with cuts through its bar.
func sandbed(x, s float64) float64 {
	off := math.Mod(x-300, cutEvery) - cutEvery/2
	return along(beach, s) - 1.15*bell(off, 26)*bell(s-66, 20)
}

// rockbed before the headland falls off faster and is rough.
func rockbed(x, s float64) float64 {
	return along(rock, s) + 0.7*math.Sin(x/37+s/90)*math.Sin(s/41+x/150)*math.Exp(-s/500) +
		0.25*math.Sin(x/17)*math.Sin(s/19)*math.Exp(-s/200)
}

var rock = []ground.Point{{DistanceM: -2, ElevationM: 1.8}, {DistanceM: 25, ElevationM: 0.2}, {DistanceM: 60, ElevationM: -1.6},
	{DistanceM: 140, ElevationM: -3.4}, {DistanceM: 420, ElevationM: -6.2}, {DistanceM: 2500, ElevationM: -15}}

// bell of a width: 1 in the middle.
func bell(d, width float64) float64 { return math.Exp(-d * d / (2 * width * width)) }

func soundFloor(x, y, off float64) float64 {
	// Shoals and deeper reaches between them.
	floor := -0.38 + 0.72*rough(x+40*math.Sin(y/130), y, 520) + 0.05*math.Sin(x/71)*math.Sin(y/63)
	z := math.Max(highWater-0.035*off, floor)
	if y > 3900 { // mud runs out flat from the mainland
		z = math.Max(z, math.Min(highWater-0.012*off, 0.75))
	}
	return z
}

// reach is how far from its middle a path still lowers the ground.
func (p *path) reach() float64 { return p.half + 9/p.bank }

// measure the path once: where each leg begins, as a share of the whole, and the
// box outside which it does nothing.
func (p *path) measure() {
	p.box = [4]float64{math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)}
	p.share = make([]float64, len(p.points))
	for i, k := range p.points {
		p.box = [4]float64{math.Min(p.box[0], k.x-p.reach()), math.Min(p.box[1], k.y-p.reach()), math.Max(p.box[2], k.x+p.reach()),
			math.Max(p.box[3], k.y+p.reach())}
		if i > 0 {
			p.share[i] = p.share[i-1] + math.Hypot(k.x-p.points[i-1].x, k.y-p.points[i-1].y)
		}
	}
	for i := range p.share {
		p.share[i] /= p.share[len(p.share)-1]
	}
}

// bed of a path at a place: its trough, rising with its banks; +∞ far from it.
func (p *path) bed(x, y float64) float64 {
	if x < p.box[0] || y < p.box[1] || x > p.box[2] || y > p.box[3] {
		return math.Inf(1)
	}
	best, where := math.Inf(1), 0.0
	for i := 1; i < len(p.points); i++ {
		a, b := p.points[i-1], p.points[i]
		dx, dy := b.x-a.x, b.y-a.y
		t := math.Min(math.Max(((x-a.x)*dx+(y-a.y)*dy)/(dx*dx+dy*dy), 0), 1)
		ex, ey := x-a.x-t*dx, y-a.y-t*dy
		if d := ex*ex + ey*ey; d < best {
			best, where = d, p.share[i-1]+t*(p.share[i]-p.share[i-1])
		}
	}
	best = math.Sqrt(best)
	if best > p.reach() {
		return math.Inf(1)
	}
	bed := p.from + (p.to-p.from)*where
	out := best - p.half
	if out <= 0 {
		return bed + 0.15*(best/p.half)*(best/p.half)
	}
	return bed + 0.15 + p.bank*out
}

// mound raises the ground towards a top, hole lowers it.
type bump struct {
	x, y, top, wide float64
	long            float64 // east-west stretch
}

var mounds = []bump{
	{4080, 3600, 0.6, 30, 1.8}, {2500, 3660, 0.5, 36, 1.6}, {5050, 3500, 0.4, 30, 2.2}, // oyster bars
	{3780, 3128, 2.15, 58, 1.5}, {2050, 3330, 2.2, 90, 1.8}, // marsh islands
	{7130, 1560, 0.15, 36, 1.5}, {7260, 1520, -0.6, 30, 1}, // rock that stands out at low water
	{8250, 620, -3.6, 90, 1.5}, {8420, 560, -5, 60, 1.2}, // a reef
}

var holes = []bump{
	{2260, 2860, -0.95, 22, 1}, {2380, 2940, -0.85, 18, 1.4}, {2180, 2990, -0.9, 20, 1}, {2330, 3080, -0.8, 16, 1}, // potholes in the grass
	{6040, 5480, -1.25, 60, 1.3}, {6260, 5560, -1.1, 50, 1}, {4885, 5810, -1.9, 14, 1}, {4610, 5425, -1.7, 12, 1}, // pools
	{7640, 3600, -1.5, 50, 1}, // below the seawall
}

func features(x, y, z float64) float64 {
	// The back lake.
	if d := math.Hypot((x-6150)/380, (y-5530)/220); d < 1.1 {
		z = math.Min(z, -0.35+2.4*math.Pow(d, 6))
	}
	// The grass flat behind the spit.
	if d := math.Hypot((x-2280)/520, (y-2930)/260); d < 1 {
		z = math.Max(z, -0.4-0.5*d*d)
	}
	// The town's wall stands in the water.
	if x > 7560 && x <= 7700 && y > 3200 && y < 4050 {
		z = math.Min(z, -1.1)
	}
	for _, b := range mounds {
		if d := math.Hypot((x-b.x)/b.long, y-b.y); d < 4*b.wide {
			k := bell(d, b.wide)
			z = math.Max(z, z+(b.top-z)*k) + 0.08*k*math.Sin(x/11)*math.Sin(y/9)
		}
	}
	for _, b := range holes {
		if d := math.Hypot((x-b.x)/b.long, y-b.y); d < 4*b.wide {
			k := bell(d, b.wide)
			z = math.Min(z, z+(b.top-z)*k)
		}
	}
	// The jetty on the west side of the inlet.
	if d := math.Abs(x - 5735); d < 40 && y > 1150 && y < 2000 {
		z = math.Max(z, 2.3-0.28*math.Max(d-4, 0))
	}
	return z
}

// stamp puts a spot's own section on the coast, so that map and section agree.
type stamp struct {
	from    xy
	bearing float64 // degrees the section runs
	half    float64 // metres either side
	points  []ground.Point
	// place of the spot, on its section.
	place ground.LatLon
}

func stamped(from xy, bearing, half, spotAt float64, points []ground.Point) stamp {
	s := stamp{from: from, bearing: bearing, half: half, points: points}
	s.place = s.to(spotAt)
	return s
}

// Sections of the first spots, and where they lie.
var (
	kettleBar = stamped(xy{3780, 3160}, 0, 40, 45, points(0, 2.1, 7, 1.5, 13, 0.75, 20, 0.32, 27, 0.45, 33, 0.5, 40, 0.68, 46, 0.7, 51,
		0.62, 57, 0.05, 66, -0.75, 80, -1.5, 92, -1.7))
	longStrand = stamped(xy{2800, shoreAt(2800) + 16}, 180, 40, 52, points(0, 3, 14, 2.1, 26, 1.1, 36, 0.35, 46, -0.55, 56, -0.6, 68,
		-0.15, 80, 0.2, 92, 0.1, 108, -1.1, 128, -1.75, 150, -1.45, 172, -2.4))
	cutwaterPier = stamped(xy{3600, shoreAt(3600) + 15}, 180, 40, 90, points(0, 2.6, 18, 1.2, 34, 0.1, 52, -0.7, 75, -1.35, 100, -2, 125,
		-2.55, 150, -2.9))
	candleBar = stamped(xy{1440, 5600}, 90, 30, 31, points(0, 1.9, 9, 1, 18, 0.4, 30, 0.65, 38, 0.6, 45, 0, 60, -1.2, 74, -1.4))

	stamps = []stamp{kettleBar, longStrand, cutwaterPier, candleBar}
)

func (s *stamp) on(x, y, z float64) float64 {
	sin, cos := math.Sincos(s.bearing * math.Pi / 180)
	u, v := (x-s.from.x)*sin+(y-s.from.y)*cos, math.Abs((x-s.from.x)*cos-(y-s.from.y)*sin)
	first, last := s.points[0].DistanceM, s.points[len(s.points)-1].DistanceM
	if u < first-20 || u > last+30 || v > 2*s.half {
		return z
	}
	share := math.Min(1, math.Max(0, 2-v/s.half))
	share *= math.Min(1, math.Max(0, 1+(u-first)/20)) * math.Min(1, math.Max(0, 1-(u-last)/30))
	return z + (along(s.points, u)-z)*share
}

// to is a place at a distance along the stamp's section.
func (s *stamp) to(d float64) ground.LatLon {
	sin, cos := math.Sincos(s.bearing * math.Pi / 180)
	return at(s.from.x+d*sin, s.from.y+d*cos)
}

// Terrain of the invented coast.
func Terrain() *ground.Grid {
	g, err := ground.NewGrid(coastSouth, coastWest, coastCell/perLat, coastCell/perLon, coastRows, coastCols)
	if err != nil {
		panic(err) // constants
	}
	var rows sync.WaitGroup
	for r := range coastRows {
		rows.Go(func() {
			for c := range coastCols {
				g.Set(r, c, elevation(float64(c)*coastCell, float64(r)*coastCell))
			}
		})
	}
	rows.Wait()
	return g
}

// outlineTolerance in metres: half a cell.
const outlineTolerance = 5

// terrain and coastline are worked out once.
var (
	terrain   = sync.OnceValue(Terrain)
	coastline = sync.OnceValue(func() ground.Outline {
		land := terrain().Land(highWater)
		return land.Simplified(outlineTolerance)
	})
)
