package web

import (
	"context"
	"encoding/json"
	"errors"
	"log/slog"
	"net/http"
	"regexp"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/store"
)

func init() {
	inner := huma.NewError
	// What went wrong inside is for the log, not for the world.
	huma.NewError = func(status int, message string, errs ...error) huma.StatusError {
		if status >= 500 {
			for _, err := range errs {
				slog.Error("request failed", "status", status, "error", err)
			}
			return inner(status, "Something went wrong here; it has been noted. Try again.")
		}
		return inner(status, message, errs...)
	}
}

// found is the name of the package an error begins with: it is for developers.
var found = regexp.MustCompile(`^(advise|conditions|ground|kit|playbook|quantity|rate|sky|spot|store|sweep|tackle|tide|water): `)

// Said is what an error says, without the package that found it.
func Said(err error) string { return found.ReplaceAllString(err.Error(), "") }

// Wrong is a 422 that names the field and what was expected.
func Wrong(location string, err error) error {
	says := Said(err)
	return huma.Error422UnprocessableEntity(says, &huma.ErrorDetail{Location: location, Message: says})
}

// NotFound is a 404 in words.
func NotFound(says string) error { return huma.Error404NotFound(says) }

// InTheWay is a 409: what is stored forbids it.
func InTheWay(says string) error { return huma.Error409Conflict(says) }

// statusClientGone is what no one is there to read.
const statusClientGone = 499

// Failed turns an error of a handler into a problem.
func Failed(err error) error {
	var conflict store.ConflictError
	var inUse store.InUseError
	var status huma.StatusError
	switch {
	case err == nil:
		return nil
	case errors.As(err, &status):
		return err
	case errors.Is(err, context.Canceled):
		return huma.NewError(statusClientGone, "The request was given up.")
	case errors.As(err, &inUse):
		return huma.Error409Conflict(strings.TrimPrefix(inUse.Error(), "store: "))
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("There is nothing here by that id.")
	case errors.As(err, &conflict):
		details := make([]error, len(conflict.Changed))
		for i, f := range conflict.Changed {
			details[i] = &huma.ErrorDetail{Location: "body." + f, Message: "differs from what is stored"}
		}
		return huma.Error409Conflict(conflict.Error(), details...)
	}
	return huma.Error500InternalServerError("", err)
}

// Refuse writes a problem outside huma.
func Refuse(status int, detail string) http.HandlerFunc {
	return func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "application/problem+json")
		w.WriteHeader(status)
		_ = json.NewEncoder(w).Encode(huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: detail})
	}
}
