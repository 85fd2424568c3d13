// Package conditions is the room of readings: what kinds there are, what is seen and
// expected, the sheet of all that is known of a moment, light and waves.
package conditions

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	s.registerReadings(api)
	s.registerSheet(api)
	registerLight(api, d)
	registerKinds(api)
}
