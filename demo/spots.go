package demo

import (
	"math"
	"time"

	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/server/store"
)

// laid is a spot whose section is cut from the coast.
type laid struct {
	name, place, note, hazards, bottom string
	from                               xy
	bearing, length                    float64
	spotAt                             float64 // distance along the section
	access                             ground.Access
	offsets                            tide.Offsets
	current                            water.Setting
	faces                              float64
	marks                              []laidMark
}

type laidMark struct {
	name     string
	kind     ground.MarkKind
	distance float64
	bottom   string
	least    float64
	line     string
	note     string
	snag     bool
}

func way(manner ground.Manner, in string, inM float64, out string, outM float64) ground.Access {
	return ground.Access{Manner: manner, In: ground.Passage{Name: in, ElevationM: inM}, Out: ground.Passage{Name: out, ElevationM: outM}}
}

// soundSpots and shoreSpots lie on the coast as it is; their sections are cut
// through it.
var soundSpots = []laid{
	{name: "Ladle Flat", place: "grass flat", note: "Potholes in the grass, darker than the rest.", bottom: "grass", from: xy{2110, 2900},
		bearing: 75, length: 330, spotAt: 160, access: way(ground.Kayak, "the apron", -0.3, "the apron", -0.3),
		offsets: tide.Lagged(30*time.Minute, 0.92), current: water.Setting{SeenMS: 0.2}, faces: 340,
		marks: []laidMark{{"Pothole", ground.Hole, 155, "sand", 0.5, "", "", false},
			{"Grass", ground.Flat, 225, "grass", 0.4, "", "", false}, {"Second pothole", ground.Hole, 280, "sand", 0.5, "", "", false}}},
	{name: "Sun Trap", place: "mud flat", note: "Dark mud beside the channel: warm on a sunny winter afternoon.", bottom: "mud",
		from: xy{1500, 4330}, bearing: 190, length: 520, spotAt: 330, access: way(ground.Kayak, "the mud", 0.25, "the mud", 0.25),
		offsets: tide.Lagged(40*time.Minute, 0.9), current: water.Setting{SeenMS: 0.25}, faces: 180,
		hazards: "Soft mud: do not step out here.",
		marks: []laidMark{{"Upper mud", ground.Flat, 120, "mud", 0.2, "mud covers", "", false},
			{"Mud edge", ground.EdgeMark, 330, "mud", 0.3, "", "", false}, {"Channel", ground.Channel, 500, "mud", 0.6, "", "", false}}},
	{name: "Withy Bank", place: "overhung bank", note: "Points and pockets under the branches.", bottom: "mud", from: xy{4560, 2545},
		bearing: 355, length: 150, spotAt: 40, access: way(ground.Wading, "the point", 0.55, "the point", 0.55),
		offsets: tide.Lagged(20*time.Minute, 0.95), current: water.Setting{SeenMS: 0.3}, faces: 0,
		marks: []laidMark{{"Pocket", ground.Pocket, 35, "mud", 0.25, "pocket floods", "", false},
			{"Foot of the bank", ground.EdgeMark, 75, "mud", 0.3, "", "", false}}},
	{name: "Crooked Creek", place: "timbered creek", note: "Learn it at dead low water.", bottom: "timber",
		hazards: "Creeks drain: mind the way out.", from: xy{4775, 5080}, bearing: 90, length: 95, spotAt: 40,
		access: way(ground.Kayak, "the mouth", 0.1, "the mouth", 0.1), offsets: tide.Lagged(65*time.Minute, 0.8),
		current: water.Setting{BasinM2: 90_000, WidthM: 40, BedM: -1}, faces: 180,
		marks: []laidMark{{"Creek bed", ground.Channel, 42, "mud", 0.4, "", "", false},
			{"Drowned trunk", ground.Timber, 56, "timber", 0.3, "trunk covers", "two limbs point down-stream; seen dry in March", true}}},
	{name: "Long Cut", place: "dug canal", note: "Dead straight; four small creeks join it.", bottom: "mud", from: xy{2972, 5320},
		bearing: 90, length: 58, spotAt: 28, access: way(ground.Kayak, "the flat before it", -0.1, "the flat before it", -0.1),
		offsets: tide.Lagged(55*time.Minute, 0.85), current: water.Setting{SeenMS: 0.3}, faces: 180,
		marks: []laidMark{{"First drop", ground.Step, 17, "mud", 0.4, "", "", false},
			{"Middle", ground.Channel, 28, "mud", 0.8, "", "", false}, {"Creek mouth", ground.Cut, 40, "mud", 0.3, "", "", false}}},
	{name: "Lantern Lake", place: "back lake", note: "Several pods of fish, apart from each other.", bottom: "mud",
		hazards: "The sill shuts behind you: note the level, and leave before it.", from: xy{5880, 5500}, bearing: 88,
		length: 420, spotAt: 160, access: way(ground.Kayak, "the sill", 0.57, "the sill", 0.57),
		offsets: tide.Lagged(80*time.Minute, 0.78), current: water.Setting{SeenMS: 0.1}, faces: 180,
		marks: []laidMark{{"West hole", ground.Hole, 160, "mud", 0.5, "", "", false},
			{"Middle", ground.Flat, 250, "mud", 0.3, "", "", false}, {"East hole", ground.Hole, 380, "mud", 0.5, "", "", false}}},
	{name: "Town Wall", place: "seawall", note: "Cruisers along the stones at high water.", bottom: "rock",
		hazards: "Broken pilings cut lines.", from: xy{7702, 3600}, bearing: 270, length: 190, spotAt: 8,
		access: way(ground.OnFoot, "the wall", 2.6, "the wall", 2.6), offsets: tide.Lagged(22*time.Minute, 0.95),
		current: water.Setting{SeenMS: 0.15}, faces: 270,
		marks: []laidMark{{"Foot of the wall", ground.EdgeMark, 30, "rock", 0.5, "", "", false},
			{"Dredged hole", ground.Hole, 62, "mud", 0.8, "", "", false}}},
}

var shoreSpots = []laid{
	{name: "Stone Arm", place: "jetty", note: "Current seam along the rock.", bottom: "rock",
		hazards: "Slippery stone: studs and flotation, not alone.", from: xy{5738, 1300}, bearing: 90, length: 190, spotAt: 2,
		access: way(ground.OnFoot, "the stones", 2.1, "the low stones", 1.75), current: water.Setting{SeenMS: 0.9}, faces: 90,
		marks: []laidMark{{"Rock edge", ground.EdgeMark, 14, "rock", 0.6, "", "", false},
			{"Seam", ground.Slope, 60, "sand", 1, "", "", false}, {"Inlet channel", ground.Channel, 170, "sand", 2, "", "", false}}},
	{name: "Anvil Ledge", place: "rocky shore", note: "Stands out only at very low water.", bottom: "rock",
		hazards: "The flood comes in fast behind you: be off at the turn.", from: xy{7130, 1585}, bearing: 180, length: 170, spotAt: 12,
		access: way(ground.OnFoot, "the ledge", 0.3, "the gully", 0.22), faces: 180,
		marks: []laidMark{{"Ledge", ground.Rock, 20, "rock", 0.2, "ledge covers", "", false},
			{"Gully", ground.Gut, 62, "rock", 0.4, "", "", false}, {"Weed edge", ground.EdgeMark, 110, "rock", 0.8, "", "", true}}},
	{name: "The Combs", place: "reef", note: "Within reach of a kayak on a calm day.", bottom: "rock",
		hazards: "Open water: two boats, lights, and a forecast.", from: xy{8060, 640}, bearing: 92, length: 420, spotAt: 190,
		access: way(ground.Kayak, "the landing", -0.6, "the landing", -0.6), current: water.Setting{SeenMS: 0.4}, faces: 180,
		marks: []laidMark{{"Reef top", ground.Crest, 190, "rock", 1, "", "", false},
			{"Reef edge", ground.EdgeMark, 280, "rock", 2, "", "", true}}},
}

// spot of a water from the coast as it lies.
func (l laid) spot(w store.Water) store.Spot {
	s := stamp{from: l.from, bearing: l.bearing}
	begin := at(l.from.x, l.from.y)
	points := tidySection(terrain().Cut(begin, s.to(l.length), 28))
	faces := l.faces
	sp := store.Spot{ID: id(l.name), Water: w, Spot: spot.Spot{Name: l.name, Place: l.place, Note: l.note, Hazards: l.hazards,
		Bottom: l.bottom, FacesDeg: &faces, Access: l.access, Offsets: l.offsets, Current: l.current, Section: points, SectionFrom: &begin,
		SectionBearing: l.bearing}}
	p := s.to(l.spotAt)
	sp.Lat, sp.Lon = p.Lat, p.Lon
	section, err := ground.NewSection(points)
	if err != nil {
		panic(err) // constants
	}
	for _, m := range l.marks {
		sp.Marks = append(sp.Marks, ground.Mark{ID: id(l.name + " " + m.name).String(), Name: m.name, Kind: m.kind, DistanceM: m.distance,
			ElevationM: math.Round(section.Elevation(m.distance)*100) / 100, Bottom: m.bottom, Fishable: ground.Depths{MinM: m.least},
			Line: m.line, Note: m.note, Snag: m.snag})
	}
	return sp
}

// tidySection rounds a cut to decimetres along and centimetres up.
func tidySection(points []ground.Point) []ground.Point {
	out := make([]ground.Point, len(points))
	for i, p := range points {
		out[i] = ground.Point{DistanceM: math.Round(p.DistanceM*10) / 10, ElevationM: math.Round(p.ElevationM*100) / 100}
	}
	return out
}

// oval area around a place of the map, metres.
func oval(x, y, wide, high float64) ground.Ring {
	var r ground.Ring
	for i := range 12 {
		s, c := math.Sincos(2 * math.Pi * float64(i) / 12)
		r = append(r, at(x+wide*s, y+high*c))
	}
	return r
}

// zones of the coast; the demo's are invented.
func zones(water string) []ground.Zone {
	checked := time.Date(2026, 9, 1, 0, 0, 0, 0, time.UTC)
	if water != "Sedge Sound" {
		return nil
	}
	return []ground.Zone{
		{Name: "Lantern Refuge", Kind: ground.Seasonal, Says: "No fishing from 1 November to 31 March; wintering birds",
			Source: "invented for the demo", Checked: checked, From: 1101, To: 331, Ring: oval(6150, 5530, 440, 270)},
		{Name: "Heron Reach", Kind: ground.NoTake, Says: "No take above the second bend", Source: "invented for the demo",
			Checked: checked, Ring: oval(4790, 6350, 230, 420)},
		{Name: "Ladle grass", Kind: ground.Voluntary, Says: "Paddle, do not run an engine over the grass", Source: "invented for the demo",
			Checked: checked, Ring: oval(2280, 2930, 420, 230)},
	}
}
