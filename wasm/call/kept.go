package call

import (
	"time"

	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/bylaw"
	"greypebble/core/care"
	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/going"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/springrun"
	"greypebble/core/tide"
	"greypebble/interchange/pack"
)

// kept is what an angler's device keeps of theirs, ready to be asked.
type kept struct {
	*pack.Pack
	shipped *playbook.Book
	// book of theirs, and their spots with their tides.
	book  *playbook.Book
	spots map[uuid.UUID]*pack.Spot
	// learned of their log, once it was asked for.
	learned *evidence.Evidence
	// hour the waters were last laid out around, and they by their id.
	hour   time.Time
	waters map[string]*laidWater
	// looked over last, and what for.
	looked struct {
		at string
		o  *answer.Outlook
	}
}

// laidWater is a water around an hour, which its spots share.
type laidWater struct {
	name   string
	list   []conditions.Reading
	sorted conditions.Readings
	river  *springrun.River
}

type packAsked struct {
	Parts []struct {
		Name string `json:"name"`
		Mark string `json:"mark"`
		Data string `json:"data"`
	} `json:"parts"`
}

type packTaken struct {
	Spots int `json:"spots"`
}

// takePack in place of what there was; what cannot be read leaves that.
func (c *Core) takePack(in packAsked) (packTaken, error) {
	var parts []pack.Part
	for _, k := range in.Parts {
		parts = append(parts, pack.Part(k))
	}
	p, err := pack.Read(parts)
	if err != nil {
		return packTaken{}, err
	}
	book, err := playbook.Builtin()
	if err != nil {
		return packTaken{}, err
	}
	k := &kept{Pack: p, shipped: book, book: book.Fitting(p.Mine.Overlay), spots: make(map[uuid.UUID]*pack.Spot, len(p.Spots))}
	harmonics := make([]*tide.Harmonics, len(p.Harmonics))
	for i, h := range p.Harmonics {
		if harmonics[i], err = tide.NewHarmonics(h.Constituents, h.Z0M); err != nil {
			return packTaken{}, err
		}
	}
	for i := range p.Spots {
		s := &p.Spots[i]
		id, err := uuid.Parse(s.ID)
		if err != nil {
			return packTaken{}, err
		}
		if s.Spot.Tide, err = tide.Follow(harmonics[s.Station], s.Offsets); err != nil {
			return packTaken{}, err
		}
		if g := s.Spot.Surge; g != nil {
			s.Spot.Tide = tide.WithSurge(s.Spot.Tide, *g)
		}
		s.Spot.Clock = p.Clocks[s.Clock]
		s.Spot.Rules = bylaw.On(p.Mine.Rules, s.Spot.Touched)
		k.spots[id] = s
	}
	c.kept = k
	return packTaken{len(k.spots)}, nil
}

// around an hour, lay the waters out.
func (k *kept) around(t time.Time) {
	hour := t.UTC().Truncate(time.Hour)
	if k.waters != nil && k.hour.Equal(hour) {
		return
	}
	k.hour, k.waters = hour, make(map[string]*laidWater, len(k.Waters))
	from, to := conditions.Around(t)
	for i := range k.Waters {
		w := &k.Waters[i]
		l := &laidWater{name: w.Name, list: conditions.Between(w.Readings, from, to)}
		l.sorted = conditions.Sorted(l.list).WithUsual(w.Usual)
		if r := w.River; r != nil {
			l.river = &springrun.River{Bends: r.Bends, Met: r.Met, Readings: l.sorted, Now: hour}
		}
		k.waters[w.ID] = l
	}
	for i := range k.Spots {
		k.Spots[i].Spot.Remember()
	}
}

// asking is one question to what is kept.
type asking struct {
	*kept
	now time.Time
}

func (a asking) Now() time.Time { return a.now }

func (a asking) Units() quantity.Units { return a.Mine.Units }

func (a asking) Book(positions map[string]string) (*playbook.Book, error) {
	if len(positions) == 0 {
		return a.book, nil
	}
	o := a.Mine.Overlay
	o.Schools = make(map[string]string, len(a.Mine.Overlay.Schools)+len(positions))
	for _, from := range []map[string]string{a.Mine.Overlay.Schools, positions} {
		for school, position := range from {
			o.Schools[school] = position
		}
	}
	return a.shipped.Fitting(o), nil
}

func (a asking) Belief() (rate.Belief, error) {
	if len(a.Log) == 0 {
		return rate.Priors{Book: a.book}, nil
	}
	if a.learned == nil {
		var err error
		if a.learned, err = evidence.Fit(a.book, a.Log, nil); err != nil {
			return nil, err
		}
	}
	return a.learned.For(""), nil
}

func (a asking) Kit() (kit.Kit, error) { return a.Mine.Kit, nil }

func (a asking) OwnCare(target string) (care.Own, error) { return a.Mine.Care[target], nil }

func (a asking) Rules() ([]bylaw.Rule, error) { return a.Mine.Rules, nil }

func (a asking) Caught(from, to time.Time) (out []bylaw.Caught, err error) {
	for _, k := range a.Pack.Caught {
		if !k.Time.Before(from) && !k.Time.After(to) {
			out = append(out, k)
		}
	}
	return out, nil
}

func (a asking) Limits() (going.Limits, error) { return a.Mine.Limits, nil }

func (a asking) Spot(id uuid.UUID, t time.Time) (*answer.Spot, error) {
	s, known := a.spots[id]
	if !known {
		return nil, answer.ErrNotFound
	}
	a.around(t)
	w := a.waters[s.WaterID]
	own := s.Spot
	own.Readings = w.sorted
	if own.Bend > 0 {
		own.River = w.river
	}
	water, err := uuid.Parse(s.WaterID)
	if err != nil {
		return nil, err
	}
	return &answer.Spot{ID: id, WaterID: water, WaterName: w.name, SurgeRevision: s.SurgeRevision, Spot: &own, List: w.list}, nil
}

func (a asking) Spots(t time.Time) ([]*answer.Spot, error) {
	out := make([]*answer.Spot, len(a.Pack.Spots))
	for i := range a.Pack.Spots {
		id, err := uuid.Parse(a.Pack.Spots[i].ID)
		if err != nil {
			return nil, err
		}
		if out[i], err = a.Spot(id, t); err != nil {
			return nil, err
		}
	}
	return out, nil
}

func (a asking) Feed(water uuid.UUID) (*answer.Feed, error) {
	for i := range a.Waters {
		if w := &a.Waters[i]; w.ID == water.String() && w.Feed != nil {
			return &answer.Feed{IssuedAt: w.Feed.IssuedAt, FetchedAt: w.Feed.FetchedAt, Problem: w.Feed.Problem}, nil
		}
	}
	return nil, nil //nolint:nilnil // it has none
}
