package web

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
)

const (
	// largestBody a request may have, files apart.
	largestBody = 1 << 20
	// LargestFile in bytes: about a million readings.
	LargestFile = 32 << 20
)

// Op is an operation under /api/v1.
func Op(method, path, id, summary string) huma.Operation {
	return huma.Operation{Method: method, Path: "/v1" + path, OperationID: id, Summary: summary, MaxBodyBytes: largestBody,
		Errors: []int{http.StatusUnauthorized, http.StatusNotFound, http.StatusUnprocessableEntity}}
}

// Get, Put, Post and Delete are operations of those methods.
func Get(path, id, summary string) huma.Operation { return Op(http.MethodGet, path, id, summary) }

// Put is an operation that writes what is sent, new or changed; it may meet a newer one.
func Put(path, id, summary string) huma.Operation { return Op(http.MethodPut, path, id, summary) }

// Post is an operation that works something out or adds to a list.
func Post(path, id, summary string) huma.Operation { return Op(http.MethodPost, path, id, summary) }

// Delete is an operation that takes something away.
func Delete(path, id, summary string) huma.Operation { return Op(http.MethodDelete, path, id, summary) }

// Conflicting operations may be refused because of what is stored.
func Conflicting(op huma.Operation) huma.Operation {
	op.Errors = append(op.Errors, http.StatusConflict)
	return op
}

// TakesFile lets an operation's body be as large as files are.
func TakesFile(op huma.Operation) huma.Operation {
	op.MaxBodyBytes, op.BodyReadTimeout = LargestFile, time.Minute
	return op
}

// signedIn turns others away before their body is looked at.
func (d *Deps) signedIn(api huma.API) func(huma.Context, func(huma.Context)) {
	return func(ctx huma.Context, next func(huma.Context)) {
		if _, ok := d.Accounts.Angler(ctx.Context()); !ok {
			_ = huma.WriteErr(api, ctx, http.StatusUnauthorized, "Sign in first.")
			return
		}
		next(ctx)
	}
}

// Signed registers an operation for whoever is signed in; its handler is given their
// scope. Others are turned away before their body is looked at. What goes wrong is told
// as [Failed] tells it.
func Signed[I, O any](api huma.API, d *Deps, op huma.Operation, handler func(context.Context, *Scope, *I) (*O, error)) {
	op.Middlewares = append(op.Middlewares, d.signedIn(api))
	register(api, op, func(ctx context.Context, in *I) (*O, error) {
		angler, ok := d.Accounts.Angler(ctx)
		if !ok {
			return nil, huma.Error401Unauthorized("Sign in first.")
		}
		return handler(ctx, d.scope(ctx, angler), in)
	})
}

// SignedInto registers an operation for whoever is signed in that is [Queued]; its answer
// is given before its turn is over.
func SignedInto[I, O any](api huma.API, d *Deps, q *Queue, op huma.Operation,
	handler func(context.Context, *Scope, *I) (*O, error)) {
	op.Middlewares = append(op.Middlewares, d.signedIn(api))
	Signed(api, d, Queued(api, q, op), handler)
}

// Closed registers a calculation that knows nobody's data, for whoever is signed in: work is
// done for members only.
func Closed[I, O any](api huma.API, d *Deps, op huma.Operation, handler func(context.Context, *I) (*O, error)) {
	Signed(api, d, op, func(ctx context.Context, _ *Scope, in *I) (*O, error) { return handler(ctx, in) })
}

// Open registers an operation anyone may ask: it knows nobody's data.
func Open[I, O any](api huma.API, op huma.Operation, handler func(context.Context, *I) (*O, error)) {
	register(api, op, handler)
}

// register an operation so that what is sent is looked through before its handler sees it,
// what goes wrong is a problem, and what goes well is written out whole.
func register[I, O any](api huma.API, op huma.Operation, handler func(context.Context, *I) (*O, error)) {
	op.Middlewares = append(op.Middlewares, carry)
	huma.Register(api, op, func(ctx context.Context, in *I) (*O, error) {
		if err := check(in); err != nil {
			return nil, err
		}
		out, err := handler(ctx, in)
		if err == nil {
			err = writeOut(ctx, out)
		}
		if err != nil {
			return nil, Failed(err)
		}
		return out, nil
	})
}
