package api

import "github.com/go-chi/chi/v5/middleware"

// compress what is text.
var compress = middleware.Compress(5, "application/json", "application/wasm", "application/problem+json", "text/html", "text/css",
	"text/javascript",
	"application/javascript", "image/svg+xml", "application/manifest+json")
