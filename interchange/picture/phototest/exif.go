// Package phototest writes what a camera writes into a JPEG, for tests: Exif 2.32 in a TIFF 6.0 of few entries.
package phototest

import (
	"bytes"
	"encoding/binary"
)

// Exif of a photo; empty fields are not written.
type Exif struct {
	// Time and Offset as the camera writes them: 2026:11:20 07:42:10, -02:00.
	Time, Offset string
	Orientation  uint16
	// LatRef and LonRef are N or S, E or W; Lat and Lon degrees, minutes, seconds.
	LatRef, LonRef string
	Lat, Lon       [3]uint32
	// Heading10 is tenths of a degree from north.
	Heading10 uint32
}

type entry struct {
	tag, kind uint16
	count     uint32
	value     []byte
}

func text(tag uint16, s string) entry {
	return entry{tag, 2, uint32(len(s) + 1), append([]byte(s), 0)}
}

func short(tag, v uint16) entry {
	return entry{tag, 3, 1, binary.LittleEndian.AppendUint16(nil, v)}
}

func long(tag uint16, v uint32) entry {
	return entry{tag, 4, 1, binary.LittleEndian.AppendUint32(nil, v)}
}

func rational(tag uint16, below uint32, above ...uint32) entry {
	e := entry{tag, 5, uint32(len(above)), nil}
	for _, v := range above {
		e.value = binary.LittleEndian.AppendUint32(e.value, v)
		e.value = binary.LittleEndian.AppendUint32(e.value, below)
	}
	return e
}

// directory at an offset, its longer values behind it.
func directory(at int, entries []entry) []byte {
	out := binary.LittleEndian.AppendUint16(nil, uint16(len(entries)))
	behind := at + 2 + 12*len(entries) + 4
	var values []byte
	for _, e := range entries {
		out = binary.LittleEndian.AppendUint16(out, e.tag)
		out = binary.LittleEndian.AppendUint16(out, e.kind)
		out = binary.LittleEndian.AppendUint32(out, e.count)
		if len(e.value) <= 4 {
			out = append(out, append(bytes.Clone(e.value), make([]byte, 4-len(e.value))...)...)
			continue
		}
		out = binary.LittleEndian.AppendUint32(out, uint32(behind+len(values)))
		values = append(values, e.value...)
	}
	return append(append(out, 0, 0, 0, 0), values...)
}

// With what a camera writes, put into a JPEG behind its beginning.
func With(jpeg []byte, e Exif) []byte {
	var camera, gps []entry
	if e.Time != "" {
		camera = append(camera, text(0x9003, e.Time))
	}
	if e.Offset != "" {
		camera = append(camera, text(0x9011, e.Offset))
	}
	if e.LatRef != "" {
		gps = append(gps, text(1, e.LatRef), rational(2, 1, e.Lat[:]...), text(3, e.LonRef), rational(4, 1, e.Lon[:]...),
			text(16, "T"), rational(17, 10, e.Heading10))
	}
	const first = 8
	length := len(directory(first, []entry{short(0, 0), long(0, 0), long(0, 0)}))
	sub := directory(first+length, camera)
	tiff := append([]byte("II*\x00\x08\x00\x00\x00"), directory(first, []entry{short(0x0112, e.Orientation),
		long(0x8769, uint32(first+length)), long(0x8825, uint32(first+length+len(sub)))})...)
	tiff = append(append(tiff, sub...), directory(len(tiff)+len(sub), gps)...)
	body := append([]byte("Exif\x00\x00"), tiff...)
	head := binary.BigEndian.AppendUint16([]byte{0xff, 0xe1}, uint16(len(body)+2))
	return append(append(append(bytes.Clone(jpeg[:2]), head...), body...), jpeg[2:]...)
}
