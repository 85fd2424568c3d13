package picture

import (
	"bytes"
	"io"
	"math"
	"strings"
	"time"

	"github.com/rwcarlsen/goexif/exif"
	"github.com/rwcarlsen/goexif/tiff"
)

// Taken is what a camera wrote of when, where and which way a photo was taken; what it did not
// write is nil.
type Taken struct {
	// Wall is what the camera's clock showed, as if in UTC; Zoned says that it told its offset, and Wall is in it.
	Wall  *time.Time
	Zoned bool
	// Lat and Lon are degrees, Heading degrees from north that the camera looked.
	Lat, Lon, Heading *float64
}

// At is when the photo was taken: its clock in a zone, where it did not tell its own.
func (t Taken) At(zone *time.Location) *time.Time {
	if t.Wall == nil {
		return nil
	}
	w := *t.Wall
	if !t.Zoned {
		w = time.Date(w.Year(), w.Month(), w.Day(), w.Hour(), w.Minute(), w.Second(), 0, zone)
	}
	w = w.UTC()
	return &w
}

// offsetTag tells the clock's offset from UTC (Exif 2.31, tag 0x9011).
const offsetTag = 0x9011

// told by the Exif of a JPEG; what cannot be read was not told.
func told(raw []byte) (t Taken, orientation int) {
	defer func() {
		if recover() != nil { // the reader trips over some damaged files
			t, orientation = Taken{}, 1
		}
	}()
	x, err := exif.Decode(bytes.NewReader(raw))
	if err != nil && (x == nil || exif.IsCriticalError(err)) {
		return t, 1
	}
	orientation = 1
	if tag, err := x.Get(exif.Orientation); err == nil {
		if v, err := tag.Int(0); err == nil {
			orientation = v
		}
	}
	t.Wall, t.Zoned = clock(x)
	if lat, lon, err := x.LatLong(); err == nil && math.Abs(lat) <= 90 && math.Abs(lon) <= 180 && (lat != 0 || lon != 0) {
		t.Lat, t.Lon = &lat, &lon
	}
	if tag, err := x.Get(exif.GPSImgDirection); err == nil {
		if n, d, err := tag.Rat2(0); err == nil && d > 0 && n >= 0 {
			h := math.Mod(float64(n)/float64(d), 360)
			t.Heading = &h
		}
	}
	return t, orientation
}

func clock(x *exif.Exif) (wall *time.Time, zoned bool) {
	text := words(x, exif.DateTimeOriginal)
	if offset := offsetOf(x); offset != "" {
		if at, err := time.Parse("2006:01:02 15:04:05-07:00", text+offset); err == nil {
			return sensible(at), true
		}
	}
	at, err := time.Parse("2006:01:02 15:04:05", text)
	if err != nil {
		return nil, false
	}
	return sensible(at), false
}

// sensible times are kept: a camera whose clock was never set tells some other.
func sensible(at time.Time) *time.Time {
	if at.Year() < 1990 || at.Year() > 2199 {
		return nil
	}
	return &at
}

func words(x *exif.Exif, name exif.FieldName) string {
	tag, err := x.Get(name)
	if err != nil {
		return ""
	}
	text, err := tag.StringVal()
	if err != nil {
		return ""
	}
	return strings.TrimRight(text, "\x00 ")
}

// offsetOf the clock, like +02:00; the reader knows no name for it.
func offsetOf(x *exif.Exif) string {
	const name exif.FieldName = "OffsetTimeOriginal"
	tag, err := x.Get(exif.ExifIFDPointer)
	if err != nil {
		return ""
	}
	at, err := tag.Int64(0)
	if err != nil {
		return ""
	}
	from := bytes.NewReader(x.Raw)
	if _, err := from.Seek(at, io.SeekStart); err != nil {
		return ""
	}
	dir, _, err := tiff.DecodeDir(from, x.Tiff.Order)
	if err != nil {
		return ""
	}
	x.LoadTags(dir, map[uint16]exif.FieldName{offsetTag: name}, false)
	return words(x, name)
}
