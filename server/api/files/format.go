package files

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/interchange/format"
)

// placesFormat is one of the formats of places in the table.
type placesFormat string

// Schema lists them.
func (placesFormat) Schema(huma.Registry) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	for _, f := range format.OfPlaces() {
		s.Enum = append(s.Enum, f.ID)
	}
	return s
}

// depthsFormat is one of the formats of depths in the table.
type depthsFormat string

// Schema lists them.
func (depthsFormat) Schema(huma.Registry) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	for _, f := range format.OfDepths() {
		s.Enum = append(s.Enum, f.ID)
	}
	return s
}
