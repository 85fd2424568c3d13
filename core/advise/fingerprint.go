package advise

import (
	"encoding/binary"
	"hash"
	"hash/fnv"
	"math"

	"greypebble/core/conditions"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/tide"
)

// Fingerprint of everything a blind pick rests on but its hour: the rules about the
// target, the spots' grounds, tides and ways, and all readings. Equal fingerprints mean
// equal picks, but for a chance of one in 2⁶⁴.
func Fingerprint(book *playbook.Book, target *playbook.Target, spots []*spot.Spot) uint64 {
	h := digest{fnv.New64a()}
	if what, err := target.Source(); err == nil {
		_, _ = h.Write(what)
	}
	// A baseline knows rules by their places in the book, and how many there are.
	h.number(float64(len(book.Rules)))
	for _, i := range book.About(target.ID) {
		r := &book.Rules[i]
		h.number(float64(i))
		h.text(r.ID, r.Effect, r.Certainty, r.Family, r.When())
	}
	seen := make(map[conditions.Readings]bool)
	for i, s := range spots {
		h.text(s.Place, string(s.Access.Manner))
		h.number(float64(i), s.Lat, s.Lon, s.Access.In.ElevationM, s.Access.Out.ElevationM, s.Access.DraughtM, s.Current.SeenMS,
			s.Current.BasinM2, s.Current.WidthM, s.Current.BedM)
		if s.FacesDeg != nil {
			h.number(*s.FacesDeg)
		}
		for _, p := range s.Section {
			h.number(p.DistanceM, p.ElevationM)
		}
		for _, z := range s.Zones {
			h.text(z.ID, string(z.Kind))
			h.number(float64(z.From), float64(z.To))
		}
		for _, m := range s.Marks {
			h.text(m.ID, string(m.Kind), m.Bottom)
			h.number(m.ElevationM, m.Fishable.MinM, m.Fishable.MaxM)
		}
		if s.Rose != nil {
			h.number(s.Rose[:]...)
		}
		tide.Identify(s.Tide, h.number)
		if seen[s.Readings] {
			continue
		}
		seen[s.Readings] = true
		s.Readings.Each(func(r *conditions.Reading) {
			h.text(string(r.Kind), string(r.Origin), r.Source)
			h.number(r.Value, r.Spread, float64(r.Time.Unix()))
		})
	}
	return h.Sum64()
}

type digest struct{ hash.Hash64 }

func (h digest) text(parts ...string) {
	for _, p := range parts {
		_, _ = h.Write([]byte(p))
		_, _ = h.Write([]byte{0})
	}
}

func (h digest) number(values ...float64) {
	var b [8]byte
	for _, v := range values {
		binary.LittleEndian.PutUint64(b[:], math.Float64bits(v))
		_, _ = h.Write(b[:])
	}
}
