package api

import (
	"net/http"

	"greypebble/server/api/web"
)

// sameOrigin turns away what a page of another site sends.
func sameOrigin(next http.Handler) http.Handler {
	p := http.NewCrossOriginProtection()
	p.SetDenyHandler(web.Refuse(http.StatusForbidden, "This request came from another site."))
	return p.Handler(next)
}
