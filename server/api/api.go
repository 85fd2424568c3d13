// Package api is the HTTP face of the core: the router, the session, the OpenAPI document
// and a middleware a file. What is answered lies in the rooms below it, each named after
// what a person does there; no room knows another. They decode, call and encode: no rule
// of the job lives here.
package api

import (
	"context"
	"net/http"
	"net/netip"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/go-chi/chi/v5/middleware"
	"github.com/google/uuid"

	"greypebble/core/playbook"
	"greypebble/server/account"
	"greypebble/server/api/advice"
	"greypebble/server/api/ahead"
	"greypebble/server/api/bench"
	"greypebble/server/api/book"
	"greypebble/server/api/bylaws"
	"greypebble/server/api/care"
	"greypebble/server/api/conditions"
	"greypebble/server/api/device"
	"greypebble/server/api/evidence"
	"greypebble/server/api/files"
	"greypebble/server/api/logbook"
	"greypebble/server/api/people"
	"greypebble/server/api/places"
	"greypebble/server/api/tides"
	"greypebble/server/api/trials"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

// rooms of the API, in the order of its document.
var rooms = []func(huma.API, *web.Deps){
	people.Register, tides.Register, conditions.Register, places.Register, ahead.Register, advice.Register, book.Register, bench.Register,
	files.Register, bylaws.Register, care.Register,
	logbook.Register, evidence.Register, trials.Register, device.Register,
}

// Config of the API.
type Config struct {
	Store    *store.Store
	Accounts *account.Accounts
	Book     *playbook.Book
	// Now is the clock; nil means the system's.
	Now func() time.Time
	// UI serves everything outside /api.
	UI http.Handler
	// Hosts the program goes by; none lets any through.
	Hosts []string
	// Proxies whose word is taken for where a request comes from.
	Proxies []netip.Prefix
	// TryFeed fetches a water's forecast and says how many readings came; nil where nothing is.
	TryFeed func(context.Context, store.Feed) (store.Feed, int, error)
	// Coast copies the invented coast into somebody's account; nil where there is none.
	Coast func(ctx context.Context, angler uuid.UUID, now time.Time) error
	// Demo says how to sign in where everything is invented.
	Demo string
	// TLS says that the program is reached by TLS only.
	TLS bool
}

// New builds the handler. It keeps nothing but what it could work out again: several
// copies may run on one database.
func New(c Config) http.Handler {
	d := web.NewDeps(c.Store, c.Accounts, c.Book, c.Now)
	d.TryFeed, d.Demo, d.Coast = c.TryFeed, c.Demo, c.Coast
	r := chi.NewRouter()
	r.Use(recovered, named(c.Hosts), from(c.Proxies), security(c.TLS), sameOrigin, compress)
	r.Route("/api", func(r chi.Router) {
		r.Use(shed, middleware.RequestSize(web.LargestFile), noStore)
		if c.Accounts != nil {
			c.Accounts.Fails(web.WriteFailed)
			r.Use(c.Accounts.Middleware)
		}
		register(describe(r), d)
		r.NotFound(web.Refuse(http.StatusNotFound, "There is no such address in the API."))
		r.MethodNotAllowed(web.Refuse(http.StatusMethodNotAllowed, "This address does not answer that method."))
	})
	if c.UI != nil {
		r.Handle("/*", c.UI)
	}
	return r
}

func describe(r chi.Router) huma.API {
	config := huma.DefaultConfig("Grey Pebble", "1")
	config.DocsPath, config.SchemasPath, config.OpenAPIPath = "", "", ""
	config.CreateHooks = nil
	config.RejectUnknownQueryParameters = true
	web.Answering(&config)
	config.Info.Description = "SI units, RFC 3339 UTC times, field names with units, errors after RFC 9457."
	return humachi.New(r, config)
}

// OpenAPI is the description of the whole API.
func OpenAPI() ([]byte, error) {
	api := describe(chi.NewRouter())
	d := web.NewDeps(nil, nil, nil, nil)
	register(api, d)
	return api.OpenAPI().YAML()
}

func register(api huma.API, d *web.Deps) {
	registerHealth(api, d)
	for _, room := range rooms {
		room(api, d)
	}
	web.Bound(api)
}
