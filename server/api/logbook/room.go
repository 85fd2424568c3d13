// Package logbook is the room of the log: spells, blanks included, and catches.
package logbook

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	s.registerSpells(api)
	s.registerCatches(api)
	s.registerDays(api)
	s.registerMeasured(api)
	s.registerOutings(api)
	s.registerSync(api)
	s.registerTags(api)
	s.registerPhotos(api)
	s.registerSightings(api)
	s.registerIncoming(api)
	s.registerOutgoing(api)
}
