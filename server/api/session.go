package api

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/account"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

type signInInput struct {
	Body struct {
		Name     string `json:"name" minLength:"1" maxLength:"60"`
		Password string `json:"password" minLength:"1" maxLength:"200"`
	}
}

// who is signed in.
type who struct {
	Name string    `json:"name"`
	Now  time.Time `json:"now" doc:"the server's clock"`
}

type whoOutput struct{ Body who }

func registerSignIn(api huma.API, d *web.Deps) {
	web.Open(api, web.Post("/login", "login", "Sign in"), func(ctx context.Context, in *signInInput) (*whoOutput, error) {
		a, err := d.Accounts.SignIn(ctx, in.Body.Name, in.Body.Password)
		if errors.Is(err, account.ErrWrong) {
			return nil, huma.Error401Unauthorized("The name or the password is wrong.")
		}
		var wait account.WaitError
		if errors.As(err, &wait) {
			return nil, web.Later(wait.For, http.StatusTooManyRequests, wait.Error())
		}
		return &whoOutput{who{a.Name, d.Clock().UTC()}}, err
	})
}

func registerSession(api huma.API, d *web.Deps) {
	web.Open(api, web.Get("/health", "health", "Whether the program and its database answer"),
		func(ctx context.Context, _ *struct{}) (*healthOutput, error) {
			if err := d.Store.Ping(ctx); err != nil {
				return nil, web.Later(2*time.Second, http.StatusServiceUnavailable, web.Away)
			}
			out := &healthOutput{}
			out.Body.Status, out.Body.Database = "ok", "ok"
			if err := d.Store.Room(); errors.Is(err, store.ErrFull) {
				out.Body.Status, out.Body.Says = "disk full", web.DiskFull
			}
			return out, nil
		})
	web.Open(api, web.Post("/logout", "logout", "Sign out"), func(ctx context.Context, _ *struct{}) (*struct{}, error) {
		return nil, d.Accounts.SignOut(ctx)
	})
	web.Signed(api, d, web.Get("/me", "me", "Who is signed in, and the time here"),
		func(ctx context.Context, as *web.Scope, _ *struct{}) (*whoOutput, error) {
			a, err := d.Store.AnglerByID(ctx, as.Angler)
			return &whoOutput{who{a.Name, as.Now()}}, err
		})
}

type healthOutput struct {
	Body struct {
		Status   string `json:"status" enum:"ok,disk full" doc:"with a full disk everything can be read and nothing written"`
		Database string `json:"database" enum:"ok"`
		Says     string `json:"says,omitempty"`
	}
}
