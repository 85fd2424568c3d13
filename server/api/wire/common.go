package wire

import (
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
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
