//go:build !js

package answer

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/conditions"
	"greypebble/core/drawing"
)

// What the API's document says of these types. The core in the browser publishes none.

// Schema lists the inks.
func (Ink) Schema(huma.Registry) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	for _, ink := range drawing.Inks {
		s.Enum = append(s.Enum, string(ink))
	}
	return s
}

// Schema lists the kinds.
func (ReadingKind) Schema(huma.Registry) *huma.Schema {
	s := &huma.Schema{Type: huma.TypeString}
	for _, name := range conditions.Names() {
		s.Enum = append(s.Enum, name)
	}
	return s
}
