// Package people is the room of accounts: coming in, one's settings and sessions, passing an
// invite on, taking everything along, and leaving.
package people

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

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	s.registerJoining(api)
	s.registerSettings(api)
	s.registerSessions(api)
	s.registerInvites(api)
	s.registerAccount(api)
}

// who is signed in.
type who struct {
	Name     string       `json:"name"`
	Now      time.Time    `json:"now" doc:"the server's clock"`
	Settings settingsBody `json:"settings"`
	Invented bool         `json:"invented" doc:"the invented coast is among one's waters"`
}

type whoOutput struct{ Body who }

// refused tells what the account package refuses.
func refused(err error) error {
	var wait account.WaitError
	var weak account.WeakError
	switch {
	case errors.As(err, &wait):
		return web.Later(wait.For, http.StatusTooManyRequests, wait.Error())
	case errors.As(err, &weak):
		return web.Wrong("body.password", weak)
	case errors.Is(err, store.ErrTaken):
		return huma.Error409Conflict("Somebody else goes by that name here; take another.",
			&huma.ErrorDetail{Location: "body.name", Message: "is taken"})
	case errors.Is(err, store.ErrInvite):
		return web.Wrong("body.invite", errors.New("the invite is unknown, used up or has run out; ask whoever gave it to you for another"))
	case errors.Is(err, account.ErrClosed):
		return huma.Error403Forbidden("Registration is closed here: whoever runs the server makes accounts.")
	}
	return err
}

func (s service) whoIs(ctx context.Context, a store.Angler, settings account.Settings) (*whoOutput, error) {
	invented, err := s.Store.HasInvented(ctx, a.ID)
	return &whoOutput{who{a.Name, s.Clock().UTC(), settingsOf(settings), invented}}, err
}
