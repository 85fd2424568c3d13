package spot

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/core/ground"
	"greypebble/core/springrun"
)

// FieldError says which field of a spot is wrong, in the words its forms use: "place",
// "marks[2].bottom".
type FieldError struct {
	Field string
	Err   error
}

func (e FieldError) Error() string { return e.Err.Error() }

// Unwrap the reason.
func (e FieldError) Unwrap() error { return e.Err }

// longestName of a spot, in characters.
const longestName = 80

// RiverBend is the kind of place a run passes.
const RiverBend = "river bend"

// Between which heights one stands and fishes, metres above datum.
const (
	lowestStand  = -20
	highestStand = 100
)

// Validate checks what is written of a spot, and names the field that is wrong.
func (s *Spot) Validate() error {
	wrong := func(field string, err error) error {
		if err == nil {
			return nil
		}
		return FieldError{field, err}
	}
	name := strings.TrimSpace(s.Name)
	switch {
	case name == "" || len([]rune(name)) > longestName:
		return wrong("name", fmt.Errorf("spot: a name of 1 to %d characters is expected, not %q", longestName, s.Name))
	case !slices.Contains(ground.Places, s.Place):
		return wrong("place", fmt.Errorf("spot: unknown kind of place %q; known are %s", s.Place, strings.Join(ground.Places, ", ")))
	case !ground.KnownBottom(s.Bottom):
		return wrong("bottom", ground.UnknownBottom(s.Bottom))
	case s.FacesDeg != nil && !(*s.FacesDeg >= 0 && *s.FacesDeg <= 360):
		return wrong("faces_deg", fmt.Errorf("spot: the way it faces must lie between 0 and 360°, not %v", *s.FacesDeg))
	case s.StandM != nil && !(*s.StandM >= lowestStand && *s.StandM <= highestStand):
		return wrong("stand_m", fmt.Errorf("spot: how high one stands must lie between %d and %d m above datum, not %v", lowestStand,
			highestStand, *s.StandM))
	case s.Bend != 0 && (s.Place != RiverBend || s.Bend < 0 || s.Bend > springrun.MostBends):
		return wrong("bend", fmt.Errorf("spot: a bend of a river, counted from its mouth, is expected from 1 to %d, not %d of a %s",
			springrun.MostBends, s.Bend, s.Place))
	case math.IsNaN(s.SectionBearing) || math.Abs(s.SectionBearing) > 360:
		return wrong("section_bearing_deg", fmt.Errorf("spot: a section's bearing must lie between 0 and 360°, not %v", s.SectionBearing))
	}
	if err := s.LatLon.Validate(); err != nil {
		return wrong("lat", err)
	}
	if err := s.Access.Validate(); err != nil {
		return wrong("manner", err)
	}
	if s.Shape != nil {
		if err := s.Shape.Validate(); err != nil {
			return wrong("shape", err)
		}
	}
	if s.SectionFrom != nil {
		if err := s.SectionFrom.Validate(); err != nil {
			return wrong("section_from", err)
		}
	}
	if len(s.Section) > 0 {
		if _, err := ground.NewSection(s.Section); err != nil {
			return wrong("section", err)
		}
	}
	for i, m := range s.Marks {
		if err := m.Validate(); err != nil {
			return wrong(fmt.Sprintf("marks[%d]", i), err)
		}
	}
	return nil
}

// HeightOf a mark that was given none: that of the section at its distance; an error
// where there is no section.
func (s *Spot) HeightOf(name string, distanceM float64) (float64, error) {
	if len(s.Section) == 0 {
		return 0, fmt.Errorf("spot: mark %q needs an elevation: the spot has no section to read it from", name)
	}
	section, err := ground.NewSection(s.Section)
	if err != nil {
		return 0, err
	}
	return math.Round(section.Elevation(distanceM)*100) / 100, nil
}

// CheckWords refuses a spot that is written of in words nothing is known by: its kind of
// place, its bottom, its marks'.
func (s *Spot) CheckWords() error {
	switch {
	case !slices.Contains(ground.Places, s.Place):
		return FieldError{"place", fmt.Errorf("spot: unknown kind of place %q of %s; known are %s", s.Place, s.Name,
			strings.Join(ground.Places, ", "))}
	case !ground.KnownBottom(s.Bottom):
		return FieldError{"bottom", ground.UnknownBottom(s.Bottom)}
	}
	for i, m := range s.Marks {
		if !ground.KnownBottom(m.Bottom) {
			return FieldError{fmt.Sprintf("marks[%d]", i), fmt.Errorf("%s of %s: %w", m.Name, s.Name, ground.UnknownBottom(m.Bottom))}
		}
		if _, err := ground.ParseMarkKind(string(m.Kind)); err != nil {
			return FieldError{fmt.Sprintf("marks[%d]", i), fmt.Errorf("%s of %s: %w", m.Name, s.Name, err)}
		}
	}
	return nil
}
