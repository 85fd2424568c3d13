package api

import (
	"context"
	"encoding/json"
	"errors"
	"log/slog"
	"net/http"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/store"
)

func init() {
	make := huma.NewError
	// What went wrong inside is for the log, not for the world.
	huma.NewError = func(status int, message string, errs ...error) huma.StatusError {
		if status >= 500 {
			for _, err := range errs {
				slog.Error("request failed", "status", status, "error", err)
			}
			return make(status, "Something went wrong here; it has been noted. Try again.")
		}
		return make(status, message, errs...)
	}
}

// wrong is a 422 that names the field and what was expected.
func wrong(location string, err error) error {
	return huma.Error422UnprocessableEntity(err.Error(), &huma.ErrorDetail{Location: location, Message: err.Error()})
}

// statusClientGone is what no one is there to read.
const statusClientGone = 499

// failed turns an error of the store into a problem.
func failed(err error) error {
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

// refuse writes a problem outside huma.
func refuse(status int, detail string) http.HandlerFunc {
	return func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "application/problem+json")
		w.WriteHeader(status)
		_ = json.NewEncoder(w).Encode(huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: detail})
	}
}
