// Package advice is the room where one asks what to tie on and how to move it.
package advice

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct {
	*web.Deps
	baselines *baselines
}

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d, &baselines{}}
	web.Signed(api, d, web.Post("/advise", "advise", "What to tie on and how to move it"), s.advise)
	web.Signed(api, d, web.Post("/advise/compare", "compareAdvice", "Two presentations, or two moments, reason by reason"), s.compareAdvice)
}
