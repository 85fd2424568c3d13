package logcsv

import (
	"encoding/csv"
	"io"
	"strconv"
	"time"

	"greypebble/core/conditions"
	"greypebble/interchange/table"
)

// header of a log as the program writes it; of a catch, what its spell says is said again. What stands behind the
// tide's level is worked out and not read again.
var header = []string{"what", "spell_id", "catch_id", "spot", "target", "species", "time", "ended_at", "rods", "paused_s", "mark",
	"approach", "offering", "who", "rod", "length_m", "mass_kg", "girth_m", "measured", "kept", "hook_place", "hook", "tag_number",
	"tag_side", "tag_programme", "water_temp_c", "clarity_secchi_m", "wind_speed_ms", "note", "tide_level_m", "tide_stage", "light"}

// Water of a spell that is worked out.
type Water struct {
	LevelM       float64
	Stage, Light string
}

// Writer of a log.
type Writer struct{ out *csv.Writer }

// NewWriter that has written the header.
func NewWriter(to io.Writer) (*Writer, error) {
	w := &Writer{csv.NewWriter(to)}
	return w, w.out.Write(header)
}

// Write a spell: its own line, and one for each fish.
func (w *Writer) Write(s *Spell, water Water) error {
	tail := []string{reads(s, conditions.WaterTemp), reads(s, conditions.Clarity), reads(s, conditions.WindSpeed)}
	worked := []string{decimal(&water.LevelM), water.Stage, water.Light}
	text := table.Guarded
	line := append([]string{SpellLine, s.ID, "", text(s.Spot), text(s.Target), "", stamp(s.Began), stamp(s.Ended), strconv.Itoa(s.Rods),
		strconv.Itoa(int(s.Paused.Seconds())), text(s.Mark), s.Approach, text(s.Offering), text(s.Who), text(s.Rod),
		"", "", "", "", "", "", "", "", "", ""}, tail...)
	if err := w.out.Write(append(append(line, text(s.Note)), worked...)); err != nil {
		return err
	}
	for i := range s.Fish {
		f := &s.Fish[i]
		line := append([]string{CatchLine, s.ID, f.ID, text(s.Spot), text(s.Target), text(f.Species), stamp(f.At), "", "", "",
			text(s.Mark), s.Approach, text(s.Offering), text(f.Who), text(f.Rod), decimal(f.LengthM), decimal(f.MassKg),
			decimal(f.GirthM), f.Measured, strconv.FormatBool(f.Kept), f.HookPlace, f.Hook, text(f.TagNumber), f.TagSide,
			text(f.TagProgramme)}, tail...)
		if err := w.out.Write(append(append(line, text(f.Note)), worked...)); err != nil {
			return err
		}
	}
	return nil
}

// Close writes what is still to be written.
func (w *Writer) Close() error {
	w.out.Flush()
	return w.out.Error()
}

func reads(s *Spell, kind conditions.Kind) string {
	v, there := s.Read[kind]
	if !there {
		return ""
	}
	return decimal(&v)
}

func stamp(at Wall) string { return at.Time.UTC().Format(time.RFC3339Nano) }

func decimal(v *float64) string {
	if v == nil {
		return ""
	}
	// To twelve digits: what was converted shows no more than was known.
	rounded, _ := strconv.ParseFloat(strconv.FormatFloat(*v, 'g', 12, 64), 64)
	return strconv.FormatFloat(rounded, 'f', -1, 64)
}
