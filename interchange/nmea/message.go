package nmea

import (
	"fmt"
	"math"
	"strconv"
	"time"
)

// Message is what a sentence says: one of the types below.
type Message any

// Depth of water.
type Depth struct {
	// BelowTransducerM is what the sounder measures.
	BelowTransducerM float64
	// OffsetM is added to it: positive to the surface, negative to the keel.
	OffsetM float64
}

// FromSurfaceM is the depth of the water if the offset is to the surface.
func (d Depth) FromSurfaceM() float64 { return d.BelowTransducerM + math.Max(d.OffsetM, 0) }

// WaterTemp in °C.
type WaterTemp struct{ C float64 }

// Position of the receiver.
type Position struct {
	Lat, Lon float64
	// TimeOfDay since midnight UTC; Date is zero where the sentence has none.
	TimeOfDay time.Duration
	Date      time.Time
}

// Time of the position, if its date is known.
func (p Position) Time() (time.Time, bool) { return p.Date.Add(p.TimeOfDay), !p.Date.IsZero() }

// Course over ground.
type Course struct{ TrueDeg, SpeedMS float64 }

// Wind on the instrument.
type Wind struct {
	FromDeg float64
	SpeedMS float64
	// True is relative to north (or the bow) as if standing still; otherwise it
	// is what is felt.
	True bool
}

const knot = 1852.0 / 3600

// ValueError is a field that holds nonsense.
type ValueError struct {
	Sentence string
	Field    int
	Says     string
}

func (e ValueError) Error() string {
	return fmt.Sprintf("nmea: %s field %d: %s", e.Sentence, e.Field, e.Says)
}

// reader of fields keeps the first error.
type reader struct {
	Sentence
	err error
}

func (r *reader) fail(i int, says string) {
	if r.err == nil {
		r.err = ValueError{r.Type, i + 1, says}
	}
}

// number within limits.
func (r *reader) number(i int, lo, hi float64) float64 {
	v, err := strconv.ParseFloat(r.field(i), 64)
	if err != nil || math.IsNaN(v) || v < lo || v > hi {
		r.fail(i, fmt.Sprintf("expected a number between %v and %v, not %q", lo, hi, r.field(i)))
		return 0
	}
	return v
}

// optional is a number or nothing.
func (r *reader) optional(i int, lo, hi float64) float64 {
	if r.field(i) == "" {
		return 0
	}
	return r.number(i, lo, hi)
}

func (r *reader) letter(i int, allowed string) byte {
	f := r.field(i)
	if len(f) == 1 {
		for j := range len(allowed) {
			if allowed[j] == f[0] {
				return f[0]
			}
		}
	}
	r.fail(i, fmt.Sprintf("expected one of %q, not %q", allowed, f))
	return 0
}

// angle reads degrees and minutes, ddmm.mm, and its hemisphere.
func (r *reader) angle(i int, most float64, hemispheres string) float64 {
	v := r.number(i, 0, most*100)
	degrees := math.Floor(v / 100)
	minutes := v - degrees*100
	if minutes >= 60 || degrees+minutes/60 > most {
		r.fail(i, fmt.Sprintf("expected degrees and minutes, not %q", r.field(i)))
	}
	a := degrees + minutes/60
	if r.letter(i+1, hemispheres) == hemispheres[1] {
		return -a
	}
	return a
}

// clock reads hhmmss.sss.
func (r *reader) clock(i int) time.Duration {
	v := r.number(i, 0, 235960)
	h, m := math.Floor(v/10000), math.Floor(math.Mod(v, 10000)/100)
	s := math.Mod(v, 100)
	if m >= 60 || s > 60 || len(r.field(i)) < 6 {
		r.fail(i, fmt.Sprintf("expected a time hhmmss, not %q", r.field(i)))
	}
	return time.Duration((h*3600 + m*60 + s) * float64(time.Second))
}

func (r *reader) date(i int) time.Time {
	d, err := time.Parse("020106", r.field(i))
	if err != nil {
		r.fail(i, fmt.Sprintf("expected a date ddmmyy, not %q", r.field(i)))
	}
	return d
}

// deepest a hand sounder is believed to see, metres.
const deepest = 2000

// Message of a sentence; nil for one of a type not known here, or one that says
// it has no valid value.
func (s Sentence) Message() (Message, error) {
	r := &reader{Sentence: s}
	var m Message
	switch s.Type {
	case "DPT":
		m = Depth{r.number(0, 0, deepest), r.optional(1, -50, 50)}
	case "DBT":
		d := r.number(2, 0, deepest)
		r.letter(3, "M")
		m = Depth{BelowTransducerM: d}
	case "MTW":
		t := r.number(0, -5, 50)
		r.letter(1, "C")
		m = WaterTemp{t}
	case "RMC":
		if s.field(1) != "A" {
			return nil, nil
		}
		m = Position{Lat: r.angle(2, 90, "NS"), Lon: r.angle(4, 180, "EW"), TimeOfDay: r.clock(0), Date: r.date(8)}
	case "GGA":
		if f := s.field(5); f == "" || f == "0" {
			return nil, nil
		}
		m = Position{Lat: r.angle(1, 90, "NS"), Lon: r.angle(3, 180, "EW"), TimeOfDay: r.clock(0)}
	case "VTG":
		if s.field(4) == "" {
			return nil, nil
		}
		m = Course{r.optional(0, 0, 360), r.number(4, 0, 200) * knot}
	case "MWV":
		if s.field(4) != "A" {
			return nil, nil
		}
		unit := map[byte]float64{'M': 1, 'N': knot, 'K': 1 / 3.6}[r.letter(3, "MNK")]
		m = Wind{r.number(0, 0, 360), r.number(2, 0, 200) * unit, r.letter(1, "RT") == 'T'}
	}
	if r.err != nil {
		return nil, r.err
	}
	return m, nil
}

// Parse a line to its message.
func Parse(line string) (Message, error) {
	s, err := Split(line)
	if err != nil {
		return nil, err
	}
	return s.Message()
}
