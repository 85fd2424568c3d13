package demo

import (
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
	"greypebble/server/store"
)

// Password of both demo anglers.
const Password = "grey-pebble"

// ids of demo rows are made from their names, so that they are the same every
// time.
var space = uuid.MustParse("6b7c1f2e-5a0d-4c59-9f5e-7d1f3c0a9e11")

func id(name string) uuid.UUID { return uuid.NewSHA1(space, []byte(name)) }

// timeZone of the coast: three hours behind UTC all year.
const timeZone = "Etc/GMT+3"

// Constituents of the invented station: semidiurnal, spring range about 1.5 m.
var constituents = []tide.Constituent{
	{Name: "M2", AmplitudeM: 0.55, PhaseDeg: 61}, {Name: "S2", AmplitudeM: 0.19, PhaseDeg: 88},
	{Name: "N2", AmplitudeM: 0.115, PhaseDeg: 44},
	{Name: "K2", AmplitudeM: 0.052, PhaseDeg: 86}, {Name: "NU2", AmplitudeM: 0.022, PhaseDeg: 47},
	{Name: "2N2", AmplitudeM: 0.014, PhaseDeg: 25},
	{Name: "L2", AmplitudeM: 0.016, PhaseDeg: 80}, {Name: "K1", AmplitudeM: 0.071, PhaseDeg: 128},
	{Name: "O1", AmplitudeM: 0.052, PhaseDeg: 131},
	{Name: "P1", AmplitudeM: 0.023, PhaseDeg: 127}, {Name: "Q1", AmplitudeM: 0.01, PhaseDeg: 119},
	{Name: "M4", AmplitudeM: 0.018, PhaseDeg: 210},
	{Name: "MS4", AmplitudeM: 0.009, PhaseDeg: 236}, {Name: "SA", AmplitudeM: 0.055, PhaseDeg: 168},
	{Name: "SSA", AmplitudeM: 0.022, PhaseDeg: 40},
}

// meanLevel above chart datum in metres.
const meanLevel = 0.95

const invented = "invented for the demo"

// angler of the demo with what is theirs.
type angler struct {
	name    string
	station store.Station
	waters  []store.Water
	spots   []store.Spot
	// like another angler of the scenario, salt making their ids their own.
	like string
	salt func(uuid.UUID) uuid.UUID
	// as is somebody who has an account already.
	as uuid.UUID
}

// id of the angler.
func (a angler) id() uuid.UUID {
	if a.as != uuid.Nil {
		return a.as
	}
	return id(a.name)
}

func station(owner string) store.Station {
	return store.Station{ID: id(owner + " station"), Name: "Tern Head", Source: invented, Z0M: meanLevel, Constituents: constituents}
}

// wren fishes a bar in the sound, the open beach and its pier.
func wren() angler {
	a := angler{name: "wren", station: station("wren")}
	sound := store.Water{ID: id("Sedge Sound"), StationID: a.station.ID, Name: "Sedge Sound", TimeZone: timeZone}
	shore := store.Water{ID: id("Long Strand water"), StationID: a.station.ID, Name: "Outer shore", TimeZone: timeZone}
	a.waters = []store.Water{sound, shore}
	a.spots = []store.Spot{
		{ID: id("Kettle Bar"), Water: sound, Spot: spot.Spot{Name: "Kettle Bar", Place: "oyster bar",
			LatLon: ground.LatLon{Lat: kettleBar.place.Lat, Lon: kettleBar.place.Lon}, Offsets: tide.Lagged(25*time.Minute, 0.93),
			Current: water.Setting{SeenMS: 0.55}, Note: "Wade over from the bank; the gut behind the bar floods first.",
			Access: ground.Access{Manner: ground.Wading, In: ground.Passage{Name: "the gut", ElevationM: 0.32},
				Out: ground.Passage{Name: "the gut", ElevationM: 0.32}},
			Section: kettleBar.points,
			Marks: marks("Kettle Bar",
				ground.Mark{Name: "Gut", Kind: ground.Gut, DistanceM: 20, ElevationM: 0.32, Bottom: "mud",
					Fishable: ground.Depths{MinM: 0.35}},
				ground.Mark{Name: "Sill", Kind: ground.Sill, DistanceM: 27, ElevationM: 0.45, Bottom: "mud",
					Fishable: ground.Depths{MinM: 0.3}, Line: "sill covers"},
				ground.Mark{Name: "Crest", Kind: ground.Crest, DistanceM: 45, ElevationM: 0.7, Bottom: "shell",
					Fishable: ground.Depths{MinM: 0.2}, Line: "crest covers"},
				ground.Mark{Name: "Seaward edge", Kind: ground.EdgeMark, DistanceM: 57, ElevationM: 0.05, Bottom: "shell",
					Fishable: ground.Depths{MinM: 0.3}},
				ground.Mark{Name: "Channel", Kind: ground.Channel, DistanceM: 82, ElevationM: -1.53, Bottom: "mud",
					Fishable: ground.Depths{MinM: 0.5}})}},
		{ID: id("Long Strand"), Water: shore, Spot: spot.Spot{Name: "Long Strand", Place: "surf beach",
			LatLon: ground.LatLon{Lat: longStrand.place.Lat, Lon: longStrand.place.Lon},
			Note:   "Open sand. The inner trough is waist deep a few steps out.",
			Access: ground.Access{Manner: ground.OnFoot, In: ground.Passage{Name: "the upper beach", ElevationM: 2.1},
				Out: ground.Passage{Name: "the upper beach", ElevationM: 2.1}},
			Section: longStrand.points,
			Marks: marks("Long Strand",
				ground.Mark{Name: "Swash", Kind: ground.Swash, DistanceM: 30, ElevationM: 0.79, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.2}},
				ground.Mark{Name: "Inner trough", Kind: ground.Trough, DistanceM: 52, ElevationM: -0.6, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.4}},
				ground.Mark{Name: "Bar", Kind: ground.Bar, DistanceM: 81, ElevationM: 0.2, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.3}, Line: "bar covers"},
				ground.Mark{Name: "Outer trough", Kind: ground.Trough, DistanceM: 128, ElevationM: -1.75, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.5}})}},
		{ID: id("Cutwater Pier"), Water: shore, Spot: spot.Spot{Name: "Cutwater Pier", Place: "pier",
			LatLon: ground.LatLon{Lat: cutwaterPier.place.Lat, Lon: cutwaterPier.place.Lon}, Offsets: tide.Lagged(5*time.Minute, 1),
			Current: water.Setting{SeenMS: 0.25}, Note: "Timber, open end. Most people cast away from the best water.",
			Access: ground.Access{Manner: ground.OnFoot, In: ground.Passage{Name: "the deck", ElevationM: 4},
				Out: ground.Passage{Name: "the deck", ElevationM: 4}},
			Section: cutwaterPier.points,
			Marks: marks("Cutwater Pier",
				ground.Mark{Name: "Shore pilings", Kind: ground.Piling, DistanceM: 52, ElevationM: -0.7, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.6}},
				ground.Mark{Name: "Middle pilings", Kind: ground.Piling, DistanceM: 90, ElevationM: -1.75, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.6}},
				ground.Mark{Name: "Deep end", Kind: ground.Slope, DistanceM: 138, ElevationM: -2.75, Bottom: "sand",
					Fishable: ground.Depths{MinM: 0.6}})}},
	}
	stampedAt(a.spots, map[string]stamp{"Kettle Bar": kettleBar, "Long Strand": longStrand, "Cutwater Pier": cutwaterPier})
	for _, l := range soundSpots {
		a.spots = append(a.spots, l.spot(sound))
	}
	for _, l := range shoreSpots {
		a.spots = append(a.spots, l.spot(shore))
	}
	return a
}

// stampedAt says where the sections of the first spots lie.
func stampedAt(spots []store.Spot, stamps map[string]stamp) {
	for i := range spots {
		if s, ok := stamps[spots[i].Name]; ok {
			from := s.to(0)
			spots[i].SectionFrom, spots[i].SectionBearing = &from, s.bearing
		}
	}
}

// moss has one bar of their own, which wren must never see.
func moss() angler {
	a := angler{name: "moss", station: station("moss")}
	creek := store.Water{ID: id("Fallow Creek"), StationID: a.station.ID, Name: "Fallow Creek", TimeZone: timeZone}
	a.waters = []store.Water{creek}
	a.spots = []store.Spot{
		{ID: id("Candle Bar"), Water: creek, Spot: spot.Spot{Name: "Candle Bar", Place: "oyster bar",
			LatLon: ground.LatLon{Lat: candleBar.place.Lat, Lon: candleBar.place.Lon}, Offsets: tide.Lagged(55*time.Minute, 0.84),
			Current: water.Setting{BasinM2: 62_000, WidthM: 84, BedM: -1}, Note: "By kayak over the sill.",
			Access: ground.Access{Manner: ground.Kayak, In: ground.Passage{Name: "the sill", ElevationM: 0.4},
				Out: ground.Passage{Name: "the sill", ElevationM: 0.4}},
			Section: candleBar.points,
			Marks: marks("Candle Bar",
				ground.Mark{Name: "Sill", Kind: ground.Sill, DistanceM: 18, ElevationM: 0.4, Bottom: "mud",
					Fishable: ground.Depths{MinM: 0.3}, Line: "sill covers"},
				ground.Mark{Name: "Crest", Kind: ground.Crest, DistanceM: 31, ElevationM: 0.65, Bottom: "shell",
					Fishable: ground.Depths{MinM: 0.2}, Line: "crest covers"},
				ground.Mark{Name: "Edge", Kind: ground.EdgeMark, DistanceM: 45, ElevationM: 0, Bottom: "shell",
					Fishable: ground.Depths{MinM: 0.3}},
				ground.Mark{Name: "Channel", Kind: ground.Channel, DistanceM: 64, ElevationM: -1.27, Bottom: "mud",
					Fishable: ground.Depths{MinM: 0.5}})}},
	}
	stampedAt(a.spots, map[string]stamp{"Candle Bar": candleBar})
	return a
}

func points(pairs ...float64) []ground.Point {
	out := make([]ground.Point, 0, len(pairs)/2)
	for i := 0; i+1 < len(pairs); i += 2 {
		out = append(out, ground.Point{DistanceM: pairs[i], ElevationM: pairs[i+1]})
	}
	return out
}

func marks(at string, list ...ground.Mark) []ground.Mark {
	for i := range list {
		list[i].ID = id(at + " " + list[i].Name).String()
	}
	return list
}

// SpotID of a demo spot by its name.
func SpotID(name string) string { return id(name).String() }

// Spots of the demo's first angler as the core wants them, without a database;
// for benchmarks.
func Spots() ([]*spot.Spot, error) {
	a := wren()
	h, err := tide.NewHarmonics(a.station.Constituents, a.station.Z0M)
	if err != nil {
		return nil, err
	}
	out, readings := make([]*spot.Spot, len(a.spots)), conditions.Sorted(forecast(time.Date(2026, 11, 20, 3, 0, 0, 0, time.UTC)))
	for i := range a.spots {
		sp := &a.spots[i]
		if sp.Tide, err = tide.Follow(h, sp.Offsets); err != nil {
			return nil, err
		}
		out[i] = sp.With(readings)
	}
	return out, nil
}

// WaterID of a demo water, and AnglerID of a demo angler, by name.
func WaterID(name string) uuid.UUID  { return id(name) }
func AnglerID(name string) uuid.UUID { return id(name) }

// Waters of both demo anglers.
func Waters() []uuid.UUID {
	var out []uuid.UUID
	for _, a := range []angler{wren(), moss()} {
		for _, w := range a.waters {
			out = append(out, w.ID)
		}
	}
	return out
}

// Constituents of the invented station.
func Constituents() []tide.Constituent { return slices.Clone(constituents) }
