package people

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/account"
	"greypebble/server/api/web"
)

// NameAndPassword are what one signs in by. It is exported for huma, which embeds only such fields.
type NameAndPassword struct {
	Name     string `json:"name" minLength:"1" maxLength:"60"`
	Password string `json:"password" minLength:"1" maxLength:"200"`
}

type signInInput struct{ Body NameAndPassword }

type joinInput struct {
	Body struct {
		NameAndPassword
		Invite string `json:"invite,omitempty" maxLength:"60" doc:"where one is needed to register"`
	}
}

type recoverInput struct {
	Body struct {
		NameAndPassword
		Code string `json:"code" minLength:"1" maxLength:"60" doc:"one of the codes kept for this; it is used up"`
	}
}

type welcomeOutput struct {
	Body struct {
		Registration  string `json:"registration" enum:"open,invite,closed" doc:"who may make an account"`
		LeastPassword int    `json:"least_password" doc:"characters"`
		Demo          string `json:"demo,omitempty" doc:"how to sign in where everything is invented"`
	}
}

func (s service) registerJoining(api huma.API) {
	web.Open(api, web.Get("/welcome", "welcome", "How one comes in here"), s.welcome)
	web.Open(api, web.Conflicting(limited(web.Post("/anglers", "register", "Make an account and sign in"))), s.join)
	web.Open(api, limited(web.Post("/login", "login", "Sign in")), s.signIn)
	web.Open(api, limited(web.Post("/recover", "recover", "Come back in by a recovery code, with a new password")), s.recover)
	web.Open(api, web.Post("/logout", "logout", "Sign out"), func(ctx context.Context, _ *struct{}) (*struct{}, error) {
		return nil, s.Accounts.SignOut(ctx)
	})
	web.Signed(api, s.Deps, web.Get("/me", "me", "Who is signed in, their settings, and the time here"), s.me)
}

// limited operations make one wait after wrong tries.
func limited(op huma.Operation) huma.Operation {
	op.Errors = append(op.Errors, http.StatusTooManyRequests)
	return op
}

func (s service) welcome(context.Context, *struct{}) (*welcomeOutput, error) {
	out := &welcomeOutput{}
	out.Body.Registration, out.Body.LeastPassword, out.Body.Demo = string(s.Accounts.Registration()), account.LeastPassword, s.Demo
	return out, nil
}

func (s service) join(ctx context.Context, in *joinInput) (*whoOutput, error) {
	a, err := s.Accounts.Register(ctx, in.Body.Name, in.Body.Password, in.Body.Invite, s.Clock())
	if err != nil {
		return nil, refused(err)
	}
	return s.whoIs(ctx, a, account.SettingsOf(nil))
}

func (s service) signIn(ctx context.Context, in *signInInput) (*whoOutput, error) {
	a, err := s.Accounts.SignIn(ctx, in.Body.Name, in.Body.Password)
	if errors.Is(err, account.ErrWrong) {
		return nil, huma.Error401Unauthorized("The name or the password is wrong.")
	}
	if err != nil {
		return nil, refused(err)
	}
	return s.whoIs(ctx, a, account.SettingsOf(a.Settings))
}

func (s service) recover(ctx context.Context, in *recoverInput) (*whoOutput, error) {
	a, err := s.Accounts.Recover(ctx, in.Body.Name, in.Body.Code, in.Body.Password)
	if errors.Is(err, account.ErrWrong) {
		return nil, huma.Error401Unauthorized("The name or the code is wrong.")
	}
	if err != nil {
		return nil, refused(err)
	}
	return s.whoIs(ctx, a, account.SettingsOf(a.Settings))
}

func (s service) me(ctx context.Context, as *web.Scope, _ *struct{}) (*whoOutput, error) {
	a, err := s.Store.AnglerByID(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	return s.whoIs(ctx, a, account.SettingsOf(a.Settings))
}
