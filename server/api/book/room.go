// Package book is the room of what one goes by and what one has: the playbook, rules and
// targets of one's own, the kit, rigs and knots.
package book

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	s.registerPlaybook(api)
	s.registerCustom(api)
	s.registerOwnFile(api)
	s.registerKit(api)
	s.registerRigs(api)
}
