package api

import (
	"log/slog"
	"net/http"
	"runtime/debug"

	"greypebble/server/api/web"
)

// recovered: a panic ends its request and nothing else, and whoever asked gets a problem
// document, unless half an answer is on its way.
func recovered(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		begun := &beginning{ResponseWriter: w}
		defer func() {
			what := recover()
			if what == nil {
				return
			}
			if what == http.ErrAbortHandler { //nolint:errorlint // it is raised as it is
				panic(what)
			}
			slog.Error("panic", "method", r.Method, "path", r.URL.Path, "error", what, "stack", clipped(debug.Stack()))
			if begun.begun {
				panic(http.ErrAbortHandler) // cut off, so that nobody takes half an answer for a whole
			}
			web.Refuse(http.StatusInternalServerError, web.Noted)(w, r)
		}()
		next.ServeHTTP(begun, r)
	})
}

// clipped to where it happened and what led there.
func clipped(stack []byte) string { return string(stack[:min(len(stack), 3000)]) }

// beginning remembers whether an answer was begun.
type beginning struct {
	http.ResponseWriter
	begun bool
}

func (b *beginning) WriteHeader(status int) {
	if b.begun && status >= http.StatusOK {
		return // a session that could not be kept is told too late
	}
	b.begun = b.begun || status >= http.StatusOK
	b.ResponseWriter.WriteHeader(status)
}

func (b *beginning) Write(p []byte) (int, error) {
	b.begun = true
	return b.ResponseWriter.Write(p)
}

// Unwrap for [http.ResponseController].
func (b *beginning) Unwrap() http.ResponseWriter { return b.ResponseWriter }
