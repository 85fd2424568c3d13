package wire

import (
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tide"
)

// ByID is a path with an id.
type ByID struct {
	ID uuid.UUID `path:"id" format:"uuid"`
}

// ByIDAt is a path with an id, at a time.
type ByIDAt struct {
	ByID
	Time time.Time `query:"time" doc:"now if left out"`
}

// RevisionOutput is the revision something was written as.
type RevisionOutput struct {
	Body struct {
		Revision int `json:"revision"`
	}
}

// Revised is the answer to a write.
func Revised(revision int) *RevisionOutput {
	out := &RevisionOutput{}
	out.Body.Revision = revision
	return out
}

// LatLon is a place in degrees, WGS 84.
type LatLon struct {
	Lat float64 `json:"lat"`
	Lon float64 `json:"lon"`
}

// LatLons of a line or a ring.
func LatLons(r []ground.LatLon) []LatLon {
	out := make([]LatLon, len(r))
	for i, p := range r {
		out[i] = LatLon(p)
	}
	return out
}

// Ground is a line or a ring as the core has it.
func Ground(list []LatLon) []ground.LatLon {
	out := make([]ground.LatLon, len(list))
	for i, p := range list {
		out[i] = ground.LatLon(p)
	}
	return out
}

// SectionPoint is a point of a section.
type SectionPoint struct {
	DistanceM  float64 `json:"distance_m"`
	ElevationM float64 `json:"elevation_m"`
}

// SectionPoints of a section.
func SectionPoints(list []ground.Point) []SectionPoint {
	out := make([]SectionPoint, len(list))
	for i, p := range list {
		out[i] = SectionPoint(p)
	}
	return out
}

// TurnAt is a high or low water.
type TurnAt struct {
	Time    time.Time `json:"time"`
	HeightM float64   `json:"height_m"`
	Kind    string    `json:"kind" enum:"high,low"`
}

// Turns of the tide.
func Turns(list []tide.Turn) []TurnAt {
	out := make([]TurnAt, len(list))
	for i, k := range list {
		out[i] = TurnAt{k.Time, k.LevelM, k.Kind.String()}
	}
	return out
}

// StageOut is where in a rise or fall a moment lies.
type StageOut struct {
	Says      string  `json:"says" example:"flood, last third"`
	Direction string  `json:"direction" enum:"flood,ebb"`
	Third     int     `json:"third"`
	Elapsed   float64 `json:"elapsed" doc:"share of the time between the turns, 0…1"`
	RateMPerH float64 `json:"rate_m_per_h"`
	RangeM    float64 `json:"range_m"`
	Last      TurnAt  `json:"last"`
	Next      TurnAt  `json:"next"`
}

// Stage of the tide.
func Stage(s tide.Stage) StageOut {
	t := Turns([]tide.Turn{s.Last, s.Next})
	return StageOut{Says: s.String(), Direction: s.Direction.String(), Third: s.Third, Elapsed: s.Elapsed,
		RateMPerH: s.RateMPerH, RangeM: s.RangeM, Last: t[0], Next: t[1]}
}

// Moment is a time, null where it is not known or lies outside what was asked about.
func Moment(t time.Time) *time.Time {
	if t.IsZero() {
		return nil
	}
	t = t.UTC()
	return &t
}
