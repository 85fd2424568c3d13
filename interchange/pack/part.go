package pack

import (
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"math"
	"strings"
	"time"

	"greypebble/core/bylaw"
	"greypebble/core/care"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
)

// Part of a pack. Data is JSON; two parts with one mark have the same.
type Part struct{ Name, Mark, Data string }

// Names of parts; a water's has its id after the prefix.
const (
	mineName    = "mine"
	tidesName   = "tides"
	spotsName   = "spots"
	logName     = "log"
	caughtName  = "caught"
	waterPrefix = "water "
)

// mine as it is written: numbers that are none, and files, do not go as they are.
type mine struct {
	Version int
	Units   quantity.Units
	Files   []file
	Changes map[string]playbook.Change
	Schools map[string]string
	Kit     kit.Kit
	Limits  map[string]level
	Rules   []bylaw.Rule
	Care    map[string]care.Own
}

type file struct{ Name, Text string }

type level struct{ Think, DoNot *float64 }

type tides struct {
	Harmonics []Harmonics
	Clocks    map[string][]byte
}

// Parts of a pack, always in one order. The clocks reach from a year before a time to two years after.
func (p *Pack) Parts(now time.Time) ([]Part, error) {
	var out []Part
	put := func(name string, v any) error {
		data, err := json.Marshal(v)
		if err != nil {
			return fmt.Errorf("pack: %s: %w", name, err)
		}
		// Another version is another mark: a part is never taken for one it only looks like.
		sum := sha256.Sum256(append([]byte{Version}, data...))
		out = append(out, Part{name, hex.EncodeToString(sum[:12]), string(data)})
		return nil
	}
	m := mine{Version: Version, Units: p.Mine.Units, Changes: p.Mine.Overlay.Changes, Schools: p.Mine.Overlay.Schools, Kit: p.Mine.Kit,
		Rules: p.Mine.Rules, Care: p.Mine.Care, Limits: map[string]level{}}
	for _, f := range p.Mine.Overlay.Files {
		m.Files = append(m.Files, file{f.Name, string(f.Data)})
	}
	for id, l := range p.Mine.Limits {
		m.Limits[id] = level{number(l.Think), number(l.DoNot)}
	}
	t := tides{p.Harmonics, map[string][]byte{}}
	// By the year, so that what is told of a clock is the same all year long.
	year := now.UTC().Year()
	for name, clock := range p.Clocks {
		t.Clocks[name] = clockData(clock, time.Date(year-1, 1, 1, 0, 0, 0, 0, time.UTC), time.Date(year+3, 1, 1, 0, 0, 0, 0, time.UTC))
	}
	if err := put(mineName, m); err != nil {
		return nil, err
	}
	if err := put(tidesName, t); err != nil {
		return nil, err
	}
	if err := put(spotsName, p.Spots); err != nil {
		return nil, err
	}
	if err := put(logName, p.Log); err != nil {
		return nil, err
	}
	if err := put(caughtName, p.Caught); err != nil {
		return nil, err
	}
	for i := range p.Waters {
		if err := put(waterPrefix+p.Waters[i].ID, waterOf(&p.Waters[i])); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// number, nil for NaN.
func number(v float64) *float64 {
	if math.IsNaN(v) {
		return nil
	}
	return &v
}

func numberOf(v *float64) float64 {
	if v == nil {
		return math.NaN()
	}
	return *v
}

// Read the parts of a pack, in any order.
func Read(parts []Part) (*Pack, error) {
	out := &Pack{Clocks: map[string]*time.Location{}}
	seen := map[string]bool{}
	for _, k := range parts {
		if seen[k.Name] {
			return nil, fmt.Errorf("pack: the part %q is there twice", k.Name)
		}
		seen[k.Name] = true
		if err := out.read(k); err != nil {
			return nil, fmt.Errorf("pack: part %q: %w", k.Name, err)
		}
	}
	for _, name := range []string{mineName, tidesName, spotsName, logName} {
		if !seen[name] {
			return nil, fmt.Errorf("pack: the part %q is missing", name)
		}
	}
	return out, out.check()
}

func (p *Pack) read(k Part) error {
	data := []byte(k.Data)
	switch {
	case k.Name == mineName:
		return p.Mine.read(data)
	case k.Name == tidesName:
		var t tides
		if err := json.Unmarshal(data, &t); err != nil {
			return err
		}
		p.Harmonics = t.Harmonics
		for name, data := range t.Clocks {
			clock, err := time.LoadLocationFromTZData(name, data)
			if err != nil {
				return err
			}
			p.Clocks[name] = clock
		}
		return nil
	case k.Name == spotsName:
		return json.Unmarshal(data, &p.Spots)
	case k.Name == logName:
		return json.Unmarshal(data, &p.Log)
	case k.Name == caughtName:
		return json.Unmarshal(data, &p.Caught)
	case strings.HasPrefix(k.Name, waterPrefix):
		w, err := readWater(data)
		p.Waters = append(p.Waters, w)
		return err
	}
	return fmt.Errorf("there is no such part")
}

func (m *Mine) read(data []byte) error {
	var in mine
	if err := json.Unmarshal(data, &in); err != nil {
		return err
	}
	if in.Version != Version {
		return fmt.Errorf("it was written by another version, %d, not %d", in.Version, Version)
	}
	*m = Mine{Units: in.Units, Kit: in.Kit, Rules: in.Rules, Care: in.Care, Limits: going.Limits{},
		Overlay: playbook.Overlay{Changes: in.Changes, Schools: in.Schools}}
	for _, f := range in.Files {
		m.Overlay.Files = append(m.Overlay.Files, playbook.File{Name: f.Name, Data: []byte(f.Text)})
	}
	for id, l := range in.Limits {
		m.Limits[id] = going.Level{Think: numberOf(l.Think), DoNot: numberOf(l.DoNot)}
	}
	return nil
}

// check that everything the spots speak of is there.
func (p *Pack) check() error {
	waters := map[string]bool{}
	for i := range p.Waters {
		waters[p.Waters[i].ID] = true
	}
	for i := range p.Spots {
		s := &p.Spots[i]
		switch {
		case s.Station < 0 || s.Station >= len(p.Harmonics):
			return fmt.Errorf("pack: %s follows station %d of %d", s.Spot.Name, s.Station, len(p.Harmonics))
		case p.Clocks[s.Clock] == nil:
			return fmt.Errorf("pack: %s goes by a clock that is missing, %q", s.Spot.Name, s.Clock)
		case !waters[s.WaterID]:
			return fmt.Errorf("pack: the water of %s is missing", s.Spot.Name)
		}
	}
	return nil
}
