package people

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/account"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type inviteOut struct {
	ID      string    `json:"id"`
	Note    string    `json:"note"`
	Uses    int       `json:"uses_left"`
	Expires time.Time `json:"expires_at"`
	Code    string    `json:"code,omitempty" doc:"told only when it is made"`
}

type invitesOutput struct {
	Body []inviteOut `nullable:"false"`
}

type inviteInput struct {
	Body struct {
		Note string `json:"note,omitempty" maxLength:"120" doc:"for whom"`
		Uses int    `json:"uses,omitempty" minimum:"1" maximum:"100" default:"1" doc:"people it lets in"`
		Days int    `json:"days,omitempty" minimum:"1" maximum:"90" default:"14"`
	}
}

type inviteOutput struct{ Body inviteOut }

// mostInvites one person may have out at a time.
const mostInvites = 20

func (s service) registerInvites(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/invites", "listInvites", "Invites one made that still hold"), s.invites)
	web.Signed(api, s.Deps, web.Conflicting(web.Post("/invites", "makeInvite", "Let others in")), s.invite)
	web.Signed(api, s.Deps, web.Delete("/invites/{id}", "deleteInvite", "Take an invite back"), s.uninvite)
}

func (s service) invites(ctx context.Context, as *web.Scope, _ *struct{}) (*invitesOutput, error) {
	list, err := s.Store.Invites(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	out := &invitesOutput{Body: []inviteOut{}}
	for _, i := range list {
		out.Body = append(out.Body, inviteOut{i.ID.String(), i.Note, i.Uses, i.Expires, ""})
	}
	return out, nil
}

func (s service) invite(ctx context.Context, as *web.Scope, in *inviteInput) (*inviteOutput, error) {
	if s.Accounts.Registration() == account.Closed {
		return nil, refused(account.ErrClosed)
	}
	list, err := s.Store.Invites(ctx, as.Angler, as.Now())
	if err != nil {
		return nil, err
	}
	if len(list) >= mostInvites {
		return nil, web.InTheWay(fmt.Sprintf("You have %d invites out; take one back first.", len(list)))
	}
	i, err := account.NewInvite(ctx, s.Store, &as.Angler, in.Body.Note, in.Body.Uses, in.Body.Days, as.Now())
	return &inviteOutput{inviteOut{i.ID.String(), i.Note, i.Uses, i.Expires, i.Code}}, err
}

func (s service) uninvite(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeleteInvite(ctx, as.Angler, in.ID)
}
