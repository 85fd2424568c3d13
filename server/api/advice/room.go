// Package advice is the room where one asks what to tie on and how to move it.
package advice

import (
	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	web.Signed(api, d, web.Post("/advise", "advise", "What to tie on and how to move it"), s.advise)
	web.Signed(api, d, web.Post("/advise/compare", "compareAdvice", "Two presentations, or two moments, reason by reason"), s.compareAdvice)
	web.Signed(api, d, web.Post("/edge", "edge", "What a presentation of one's own is worth, advised or not"), s.edge)
	web.Signed(api, d, web.Get("/spots/{id}/elsewhere", "elsewhere", "What staying at a spot is compared with: those one could go to"),
		s.elsewhere)
	s.registerOutlook(api)
	web.Signed(api, d, web.Get("/limits", "getLimits", "Your limits to going"), s.limits)
	web.Signed(api, d, web.Put("/limits", "putLimits", "Set your limits to going"), s.putLimits)
}
