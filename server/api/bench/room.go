// Package bench is the room of the arithmetic of line, lead, lure and cast: each
// calculation decoded, done by the core, and shown with its formula.
package bench

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	s.registerBench(api)
	s.registerUsual(api)
	registerPractice(api, d)
}
