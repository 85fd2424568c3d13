// Package known carries published tide stations: those of NOAA (public domain) and of
// TICON-4 (CC BY 4.0), made into one file when the program is built. They are searched by
// name and by distance.
package known

import (
	"bytes"
	"compress/gzip"
	"embed"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math"
	"slices"
	"strings"
	"sync"
	"time"
	"unicode"

	"golang.org/x/text/unicode/norm"

	"greypebble/core/ground"
	"greypebble/core/tide"
)

//go:embed all:data
var data embed.FS

// ErrMissing says that the program was built without the stations.
var ErrMissing = errors.New("known: the known stations were not built into this program; run make build")

// Station that was published.
type Station struct {
	ID, Name string
	// Region is a state or country in a few letters, Country the country's code.
	Region, Country string
	At              ground.LatLon
	// Zone is the time zone it lies in.
	Zone string
	// Datum its levels count from: "MLLW", "LAT".
	Datum string
	// Source is who published it, Licence what allows passing it on.
	Source, Licence, Attribution string
	// Z0M is the mean level above the datum.
	Z0M          float64
	Constituents []tide.Constituent
	// Reference is the id of the station a secondary one follows by offsets.
	Reference string
	Offsets   tide.Offsets

	key string
}

// Secondary stations follow another.
func (s *Station) Secondary() bool { return s.Reference != "" }

// Says where the station's constants come from and under which terms, in one line.
func (s *Station) Says() string {
	return fmt.Sprintf("%s, %s (%s), levels above %s", s.Attribution, s.ID, s.Licence, s.Datum)
}

type fileSource struct{ Name, Licence, Attribution string }

type fileStation struct {
	ID, Name, Region, Country, Zone, Datum, Reference string
	Lat, Lon, Z0                                      float64
	Lag, Height                                       [2]float64
	Fixed                                             bool
	C                                                 []fileConstituent
}

type fileConstituent struct {
	name             string
	amplitude, phase float64
}

func (c *fileConstituent) UnmarshalJSON(raw []byte) error {
	return json.Unmarshal(raw, &[]any{&c.name, &c.amplitude, &c.phase})
}

// Stations of all sources by their ids.
type Stations struct {
	list []*Station
	byID map[string]*Station
}

// Load the stations the program carries, once.
var Load = sync.OnceValues(func() (*Stations, error) {
	raw, err := data.ReadFile("data/stations.json.gz")
	if err != nil {
		return nil, ErrMissing
	}
	return Read(bytes.NewReader(raw))
})

// Read stations from the file the build makes.
func Read(r io.Reader) (*Stations, error) {
	z, err := gzip.NewReader(r)
	if err != nil {
		return nil, fmt.Errorf("known: %w", err)
	}
	var file struct {
		Sources  map[string]fileSource
		Stations []fileStation
	}
	if err := json.NewDecoder(z).Decode(&file); err != nil {
		return nil, fmt.Errorf("known: %w", err)
	}
	all := &Stations{byID: make(map[string]*Station, len(file.Stations))}
	for _, f := range file.Stations {
		of, _, _ := strings.Cut(f.ID, "/")
		source, known := file.Sources[of]
		if !known {
			return nil, fmt.Errorf("known: %s is of no source", f.ID)
		}
		s := f.station(source)
		all.list, all.byID[s.ID] = append(all.list, s), s
	}
	for _, s := range all.list {
		if of := all.byID[s.Reference]; s.Secondary() && (of == nil || of.Secondary()) {
			return nil, fmt.Errorf("known: %s follows %q, which has no constants", s.ID, s.Reference)
		}
	}
	return all, nil
}

func (f fileStation) station(of fileSource) *Station {
	s := &Station{ID: f.ID, Name: f.Name, Region: f.Region, Country: f.Country, At: ground.LatLon{Lat: f.Lat, Lon: f.Lon}, Zone: f.Zone,
		Datum: f.Datum, Source: of.Name, Licence: of.Licence, Attribution: of.Attribution, Z0M: f.Z0, Reference: f.Reference}
	s.key = fold(f.Name + " " + f.Region + " " + f.Country)
	if s.Secondary() {
		s.Offsets = tide.Offsets{LagHigh: minutes(f.Lag[0]), LagLow: minutes(f.Lag[1]), FactorHigh: 1, FactorLow: 1}
		if f.Fixed {
			s.Offsets.DifferenceHighM, s.Offsets.DifferenceLowM = f.Height[0], f.Height[1]
		} else {
			s.Offsets.FactorHigh, s.Offsets.FactorLow = f.Height[0], f.Height[1]
		}
		return s
	}
	// Of two names of one constituent, as lists have them, the first counts.
	seen := map[string]bool{}
	for _, c := range f.C {
		name, known := tide.Canonical(c.name)
		if !known || seen[name] || c.amplitude <= 0 {
			continue
		}
		seen[name] = true
		s.Constituents = append(s.Constituents, tide.Constituent{Name: name, AmplitudeM: c.amplitude, PhaseDeg: c.phase})
	}
	return s
}

func minutes(m float64) time.Duration { return time.Duration(m * float64(time.Minute)) }

// fold a name for searching: small letters without accents, one space between words.
func fold(s string) string {
	var b strings.Builder
	for _, r := range norm.NFD.String(strings.ToLower(s)) {
		switch {
		case unicode.Is(unicode.Mn, r):
		case unicode.IsLetter(r) || unicode.IsDigit(r):
			b.WriteRune(r)
		default:
			b.WriteByte(' ')
		}
	}
	return strings.Join(strings.Fields(b.String()), " ")
}

// ByID of a station; nil for none.
func (all *Stations) ByID(id string) *Station { return all.byID[id] }

// Len is how many there are.
func (all *Stations) Len() int { return len(all.list) }

// Hit of a search: a station, and how far off it is where that was asked, metres.
type Hit struct {
	*Station
	DistanceM float64
}

// Search for stations whose name, region or country have every word of a text in them, as
// beginnings of words; nearest first where a place is given, else those first whose name
// begins so. No text finds all.
func (all *Stations) Search(text string, near *ground.LatLon, most int) []Hit {
	words := strings.Fields(fold(text))
	var hits []Hit
	for _, s := range all.list {
		if !matches(s.key, words) {
			continue
		}
		h := Hit{s, math.NaN()}
		if near != nil {
			h.DistanceM = ground.Distance(*near, s.At)
		}
		hits = append(hits, h)
	}
	whole := strings.Join(words, " ")
	slices.SortStableFunc(hits, func(a, b Hit) int {
		if near != nil {
			return int(math.Copysign(1, a.DistanceM-b.DistanceM))
		}
		first := func(h Hit) int {
			if strings.HasPrefix(h.key, whole) {
				return 0
			}
			return 1
		}
		if d := first(a) - first(b); d != 0 {
			return d
		}
		return strings.Compare(a.key, b.key)
	})
	return hits[:min(len(hits), most)]
}

func matches(key string, words []string) bool {
	for _, w := range words {
		if !strings.HasPrefix(key, w) && !strings.Contains(key, " "+w) {
			return false
		}
	}
	return true
}
