package web

import (
	"context"
	"encoding/json"
	"errors"
	"log/slog"
	"maps"
	"math"
	"net/http"
	"strconv"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
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
			return inner(status, Noted)
		}
		for _, p := range plainly { // of the body as a whole, without details
			if strings.HasPrefix(message, p.begins) {
				return inner(status, "What was sent "+p.says+".", &huma.ErrorDetail{Location: "body", Message: p.says})
			}
		}
		if message != unchecked {
			return inner(status, message, errs...)
		}
		details := make([]*huma.ErrorDetail, 0, len(errs))
		for _, err := range errs {
			var d *huma.ErrorDetail
			if errors.As(err, &d) {
				plain(d)
				details = append(details, d)
			}
		}
		if len(details) == 0 {
			return inner(status, message, errs...)
		}
		return inner(status, told(details), errs...)
	}
}

// Noted is what is said of what went wrong inside.
const Noted = "Something went wrong here; it has been noted. Try again."

// What is said when nothing can be written, or nothing be reached, for a while.
const (
	DiskFull = "The disk is full: free space, nothing was lost."
	Away     = "The database does not answer. Nothing was lost; try again in a moment."
)

// unchecked is what the router says when fields are not as they should be.
const unchecked = "validation failed"

// Wrong is a 422 that names the field and what was expected.
func Wrong(location string, err error) error {
	says := answer.Said(err)
	return huma.Error422UnprocessableEntity(says, &huma.ErrorDetail{Location: location, Message: says})
}

// Within says that what an error names in the body lies deeper in this one: "body.a".
func Within(at string, err error) error {
	var p *huma.ErrorModel
	if errors.As(err, &p) {
		for _, d := range p.Errors {
			if rest, is := strings.CutPrefix(d.Location, "body"); is {
				d.Location = at + rest
			}
		}
	}
	return err
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
	var wrong *answer.WrongError
	switch {
	case err == nil:
		return nil
	case errors.As(err, &wrong):
		return Wrong(wrong.At, wrong.Err)
	case errors.As(err, &status):
		return err
	case errors.Is(err, store.ErrFull), store.DiskFull(err):
		return &huma.ErrorModel{Status: http.StatusInsufficientStorage, Title: "Insufficient Storage", Detail: DiskFull}
	case store.Unreachable(err):
		return Later(2*time.Second, http.StatusServiceUnavailable, Away)
	case errors.Is(err, context.Canceled):
		return huma.NewError(statusClientGone, "The request was given up.")
	case errors.As(err, &inUse):
		return huma.Error409Conflict(strings.TrimPrefix(inUse.Error(), "store: "))
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("There is nothing here by that id.")
	case errors.As(err, &conflict):
		at := "body."
		if conflict.Within != "" {
			at += conflict.Within + "."
		}
		details := []error{&huma.ErrorDetail{Location: at + "revision", Message: "is not the one that is stored", Value: conflict.Revision}}
		for _, f := range conflict.Changed {
			details = append(details, &huma.ErrorDetail{Location: at + f, Message: "differs from what is stored"})
		}
		return huma.Error409Conflict(strings.TrimPrefix(conflict.Error(), "store: "), details...)
	}
	return huma.Error500InternalServerError("", err)
}

// Later is a problem that goes away by itself: try again after a while.
func Later(after time.Duration, status int, says string) error {
	seconds := strconv.Itoa(int(math.Ceil(after.Seconds())))
	return huma.ErrorWithHeaders(&huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: says},
		http.Header{"Retry-After": {seconds}})
}

// WriteFailed writes what [Failed] makes of an error outside huma.
func WriteFailed(w http.ResponseWriter, err error) {
	var status huma.StatusError
	var headers huma.HeadersError
	failed := Failed(err)
	if errors.As(failed, &headers) {
		maps.Copy(w.Header(), headers.GetHeaders())
	}
	if !errors.As(failed, &status) {
		status = huma.Error500InternalServerError("", err)
	}
	says := Noted
	var model *huma.ErrorModel
	if errors.As(failed, &model) {
		says = model.Detail
	}
	Refuse(status.GetStatus(), says)(w, nil)
}

// Refuse writes a problem outside huma.
func Refuse(status int, detail string) http.HandlerFunc {
	return func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "application/problem+json")
		w.WriteHeader(status)
		_ = json.NewEncoder(w).Encode(huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: detail})
	}
}
