// Package tides is the room of the tide itself: predicted, analysed from a record, its
// stations kept, compared and filed, a spot's own lag and the surge seen; and of sun and
// moon.
package tides

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	registerTide(api, d)
	s.registerAnalyse(api)
	registerSky(api, d)
	s.registerStations(api)
	s.registerKnown(api)
	s.registerStationFiles(api)
	s.registerCompare(api)
	s.registerSpotTide(api)
	s.registerSurge(api)
}
