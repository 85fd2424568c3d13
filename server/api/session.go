package api

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/account"
)

type signInInput struct {
	Body struct {
		Name     string `json:"name" minLength:"1" maxLength:"60"`
		Password string `json:"password" minLength:"1" maxLength:"200"`
	}
}

type who struct {
	Name string    `json:"name"`
	Now  time.Time `json:"now" doc:"the server's clock"`
}

type whoOutput struct{ Body who }

func (s *Server) registerSignIn(api huma.API) {
	huma.Register(api, operation(http.MethodPost, "/login", "login", "Sign in"), func(ctx context.Context, in *signInInput) (*whoOutput, error) {
		a, err := s.accounts.SignIn(ctx, in.Body.Name, in.Body.Password)
		if errors.Is(err, account.ErrWrong) {
			return nil, huma.Error401Unauthorized("The name or the password is wrong.")
		}
		if err != nil {
			return nil, failed(err)
		}
		return &whoOutput{who{a.Name, s.now().UTC()}}, nil
	})
}

func (s *Server) registerSession(api huma.API) {
	huma.Register(api, operation(http.MethodPost, "/logout", "logout", "Sign out"), func(ctx context.Context, _ *struct{}) (*struct{}, error) {
		return nil, failed(s.accounts.SignOut(ctx))
	})
	huma.Register(api, operation(http.MethodGet, "/me", "me", "Who is signed in, and the time here"), func(ctx context.Context, _ *struct{}) (*whoOutput, error) {
		id, err := s.angler(ctx)
		if err != nil {
			return nil, err
		}
		a, err := s.store.AnglerByID(ctx, id)
		if err != nil {
			return nil, failed(err)
		}
		return &whoOutput{who{a.Name, s.now().UTC()}}, nil
	})
}

type healthOutput struct {
	Body struct {
		Status   string `json:"status" enum:"ok"`
		Database string `json:"database" enum:"ok"`
	}
}

func (s *Server) registerHealth(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/health", "health", "Whether the program and its database answer"),
		func(ctx context.Context, _ *struct{}) (*healthOutput, error) {
			if err := s.store.Ping(ctx); err != nil {
				return nil, huma.Error503ServiceUnavailable("", err)
			}
			out := &healthOutput{}
			out.Body.Status, out.Body.Database = "ok", "ok"
			return out, nil
		})
}
