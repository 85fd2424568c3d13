package people

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/account"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type sessionOut struct {
	ID      string    `json:"id"`
	Device  string    `json:"device" doc:"what the browser says of itself"`
	Started time.Time `json:"started_at"`
	Seen    time.Time `json:"seen_at" doc:"to the hour"`
	Ends    time.Time `json:"ends_at" doc:"if it is not used before"`
	Here    bool      `json:"here" doc:"the one this was asked by"`
}

type sessionsOutput struct {
	Body struct {
		Sessions      []sessionOut `json:"sessions" nullable:"false"`
		RecoveryCodes int          `json:"recovery_codes" doc:"left"`
	}
}

type changePasswordInput struct {
	Body struct {
		Old      string `json:"old" minLength:"1" maxLength:"200"`
		Password string `json:"password" minLength:"1" maxLength:"200"`
	}
}

type confirmInput struct {
	Body struct {
		Password string `json:"password" minLength:"1" maxLength:"200"`
	}
}

type codesOutput struct {
	Body struct {
		Codes []string `json:"codes" nullable:"false" doc:"each lets one in once; they are not told again"`
	}
}

func (s service) registerSessions(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/account/sessions", "listSessions", "Where one is signed in"), s.sessions)
	web.Signed(api, s.Deps, web.Delete("/account/sessions", "endOtherSessions", "Sign out everywhere else"), s.endOthers)
	web.Signed(api, s.Deps, web.Delete("/account/sessions/{id}", "endSession", "Sign out on a device"), s.endSession)
	web.Signed(api, s.Deps, guarded(web.Put("/account/password", "changePassword", "Change the password; other sessions end")),
		s.changePassword)
	web.Signed(api, s.Deps, guarded(web.Post("/account/recovery-codes", "makeRecoveryCodes",
		"Codes to come back in by when the password is lost, in place of earlier ones")), s.makeCodes)
}

// guarded operations ask for the password once more.
func guarded(op huma.Operation) huma.Operation {
	op.Errors = append(op.Errors, http.StatusForbidden)
	return limited(op)
}

// unconfirmed tells that the password was not right, not that one is not signed in.
func unconfirmed(err error) error {
	if errors.Is(err, account.ErrWrong) {
		return huma.Error403Forbidden("The password is wrong.", &huma.ErrorDetail{Location: "body.password", Message: "is wrong"})
	}
	return refused(err)
}

func (s service) sessions(ctx context.Context, as *web.Scope, _ *struct{}) (*sessionsOutput, error) {
	list, err := s.Store.Sessions(ctx, as.Angler)
	if err != nil {
		return nil, err
	}
	out := &sessionsOutput{}
	out.Body.Sessions = []sessionOut{}
	here := s.Accounts.Session(ctx)
	for _, j := range list {
		out.Body.Sessions = append(out.Body.Sessions, sessionOut{j.ID.String(), j.Device, j.Started, j.Seen, j.Expiry, j.ID == here})
	}
	out.Body.RecoveryCodes, err = s.Store.RecoveryCodes(ctx, as.Angler)
	return out, err
}

func (s service) endOthers(ctx context.Context, as *web.Scope, _ *struct{}) (*struct{}, error) {
	return nil, s.Store.EndSessionsBut(ctx, as.Angler, s.Accounts.Session(ctx))
}

func (s service) endSession(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.EndSessionOf(ctx, as.Angler, in.ID)
}

func (s service) changePassword(ctx context.Context, as *web.Scope, in *changePasswordInput) (*struct{}, error) {
	return nil, unconfirmed(s.Accounts.ChangePassword(ctx, as.Angler, in.Body.Old, in.Body.Password))
}

func (s service) makeCodes(ctx context.Context, as *web.Scope, in *confirmInput) (*codesOutput, error) {
	codes, err := s.Accounts.NewRecoveryCodes(ctx, as.Angler, in.Body.Password)
	if err != nil {
		return nil, unconfirmed(err)
	}
	out := &codesOutput{}
	out.Body.Codes = codes
	return out, nil
}
