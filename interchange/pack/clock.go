package pack

import (
	"bytes"
	"encoding/binary"
	"math"
	"time"
)

// mostTimes a clock is put forward or back in a few years: more than anywhere.
const mostTimes = 250

// clockData of a place between two times, in the form time zones are kept in (RFC 8536, version 1): a
// device need not carry those of the whole world. Before and after, the first and the last offset stay.
func clockData(clock *time.Location, from, to time.Time) []byte {
	type kind struct {
		offset int32
		dst    bool
		name   string
	}
	var (
		kinds []kind
		times []int32
		which []uint8
		names []byte
	)
	for t := from; ; {
		local := t.In(clock)
		name, offset := local.Zone()
		k := kind{int32(offset), local.IsDST(), name} //nolint:gosec // offsets are within a day
		at := 0
		for at < len(kinds) && kinds[at] != k {
			at++
		}
		if at == len(kinds) {
			kinds = append(kinds, k)
		}
		times, which = append(times, int32(t.Unix())), append(which, uint8(at)) //nolint:gosec // bounded below
		_, end := local.ZoneBounds()
		if end.IsZero() || !end.After(t) || !end.Before(to) || end.Unix() > math.MaxInt32 || len(times) == mostTimes {
			break
		}
		t = end
	}
	index := make([]uint8, len(kinds))
	for i, k := range kinds {
		index[i] = uint8(len(names)) //nolint:gosec // a few short names
		names = append(append(names, k.name...), 0)
	}
	var b bytes.Buffer
	b.WriteString("TZif")
	b.Write(make([]byte, 16))
	put := func(v any) { _ = binary.Write(&b, binary.BigEndian, v) }
	for _, n := range []int{0, 0, 0, len(times), len(kinds), len(names)} {
		put(uint32(n)) //nolint:gosec // a handful
	}
	put(times)
	b.Write(which)
	for i, k := range kinds {
		put(k.offset)
		put(k.dst)
		b.WriteByte(index[i])
	}
	b.Write(names)
	return b.Bytes()
}
