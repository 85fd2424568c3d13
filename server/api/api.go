// Package api is the HTTP face of the core: it decodes, calls and encodes. No
// rule of the job lives here.
package api

import (
	"context"
	"net"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/go-chi/chi/v5/middleware"
	"github.com/go-chi/httprate"
	"github.com/google/uuid"

	"greypebble/core/playbook"
	"greypebble/server/account"
	"greypebble/server/store"
)

// Server answers requests. It keeps nothing but what it could work out again: several copies may run
// on one database.
type Server struct {
	store    *store.Store
	accounts *account.Accounts
	book     *playbook.Book
	blinds   *blinds
	now      func() time.Time
}

// Config of a server.
type Config struct {
	Store    *store.Store
	Accounts *account.Accounts
	Book     *playbook.Book
	// Now is the clock; nil means the system's.
	Now func() time.Time
	// UI serves everything outside /api.
	UI http.Handler
}

// largestBody a request may have, gauge records apart.
const largestBody = 1 << 20

// signInsAMinute from one address. Behind a balancer that is the balancer's: set
// a limit there too.
const signInsAMinute = 60

// New builds the handler.
func New(c Config) http.Handler {
	s := &Server{c.Store, c.Accounts, c.Book, &blinds{}, c.Now}
	if s.now == nil {
		s.now = time.Now
	}
	crossOrigin := http.NewCrossOriginProtection()
	crossOrigin.SetDenyHandler(refuse(http.StatusForbidden, "This request came from another site."))

	r := chi.NewRouter()
	r.Use(middleware.Recoverer, security, crossOrigin.Handler, compress)
	r.Route("/api", func(r chi.Router) {
		r.Use(middleware.RequestSize(largestRecord), noStore)
		if s.accounts != nil {
			r.Use(s.accounts.Middleware)
		}
		r.With(httprate.LimitBy(signInsAMinute, time.Minute, peer)).Group(func(r chi.Router) { s.registerSignIn(describe(r)) })
		s.register(describe(r))
		r.NotFound(refuse(http.StatusNotFound, "There is no such address in the API."))
		r.MethodNotAllowed(refuse(http.StatusMethodNotAllowed, "This address does not answer that method."))
	})
	if c.UI != nil {
		r.Handle("/*", c.UI)
	}
	return r
}

// peer is the address at the other end of the connection; headers that anyone
// can write are not believed.
func peer(r *http.Request) (string, error) {
	host, _, err := net.SplitHostPort(r.RemoteAddr)
	if err != nil {
		return "", err
	}
	return httprate.CanonicalizeIP(host), nil
}

func describe(r chi.Router) huma.API {
	config := huma.DefaultConfig("Grey Pebble", "1")
	config.DocsPath, config.SchemasPath, config.OpenAPIPath = "", "", ""
	config.CreateHooks = nil
	config.Info.Description = "SI units, RFC 3339 UTC times, field names with units, errors after RFC 9457."
	return humachi.New(r, config)
}

// OpenAPI is the description of the whole API.
func OpenAPI() ([]byte, error) {
	api := describe(chi.NewRouter())
	s := &Server{}
	s.registerSignIn(api)
	s.register(api)
	return api.OpenAPI().YAML()
}

func (s *Server) register(api huma.API) {
	s.registerHealth(api)
	s.registerSession(api)
	s.registerTide(api)
	s.registerAnalyse(api)
	s.registerSky(api)
	s.registerWater(api)
	s.registerSpots(api)
	s.registerSpotWrite(api)
	s.registerVisits(api)
	s.registerWaters(api)
	s.registerReach(api)
	s.registerWords(api)
	s.registerMarks(api)
	s.registerBench(api)
	s.registerPlaybook(api)
	s.registerOwn(api)
	s.registerOwnFile(api)
	s.registerKit(api)
	s.registerRigs(api)
	s.registerPractice(api)
	s.registerZones(api)
	s.registerChart(api)
	s.registerSurf(api)
	s.registerInterchange(api)
	s.registerStations(api)
	s.registerStationFiles(api)
	s.registerCompare(api)
	s.registerSpotTide(api)
	s.registerSurge(api)
	s.registerReadings(api)
	s.registerConditions(api)
	s.registerAdvise(api)
	s.registerSpells(api)
	s.registerCatches(api)
}

// get, post, put and remove register an operation under /api/v1.
func operation(method, path, id, summary string) huma.Operation {
	return huma.Operation{Method: method, Path: "/v1" + path, OperationID: id, Summary: summary, MaxBodyBytes: largestBody,
		Errors: []int{http.StatusUnauthorized, http.StatusNotFound, http.StatusUnprocessableEntity}}
}

// angler who is signed in, or a 401.
func (s *Server) angler(ctx context.Context) (uuid.UUID, error) {
	id, ok := s.accounts.Angler(ctx)
	if !ok {
		return id, huma.Error401Unauthorized("Sign in first.")
	}
	return id, nil
}

// compress what is text.
var compress = middleware.Compress(5, "application/json", "application/problem+json", "text/html", "text/css", "text/javascript",
	"application/javascript", "image/svg+xml", "application/manifest+json")

// security headers: nothing from elsewhere, nowhere in a frame.
func security(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		h := w.Header()
		h.Set("Content-Security-Policy", "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; "+
			"object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'")
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "same-origin")
		next.ServeHTTP(w, r)
	})
}

func noStore(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("Cache-Control", "no-store")
		next.ServeHTTP(w, r)
	})
}
