package people

import (
	"bytes"
	"compress/gzip"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/account"
	"greypebble/server/api/web"
	"greypebble/server/store"
)

type belongingsOutput struct {
	Body struct {
		Waters   int `json:"waters"`
		Stations int `json:"stations"`
		Spots    int `json:"spots"`
		Spells   int `json:"spells"`
		Catches  int `json:"catches"`
		Readings int `json:"readings" doc:"one's own"`
		Kit      int `json:"kit"`
		Rules    int `json:"rules" doc:"of one's own, changed, and positions taken"`
	}
}

type copyInput struct {
	RawBody []byte `contentType:"application/octet-stream" doc:"the document an export gave, as it is or gzipped"`
}

type copyOutput struct {
	ContentType        string `header:"Content-Type"`
	ContentDisposition string `header:"Content-Disposition"`
	Body               func(huma.Context)
}

func (s service) registerAccount(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/account", "account", "What there is in one's account, counted"), s.belongings)
	web.Signed(api, s.Deps, guarded(web.Delete("/account", "deleteAccount", "End the account, with everything in it")), s.leave)
	web.Signed(api, s.Deps, web.Post("/account/invented-coast", "addInventedCoast", "A coast that is not there, to look at"), s.addCoast)
	web.Signed(api, s.Deps, web.Delete("/account/invented-coast", "removeInventedCoast", "Take the invented coast away, with all of it"),
		func(ctx context.Context, as *web.Scope, _ *struct{}) (*struct{}, error) {
			return nil, s.Store.DeleteInvented(ctx, as.Angler)
		})
	web.Signed(api, s.Deps, web.Get("/account/export", "exportAccount", "Everything one entered, as one JSON document"), s.export)
	web.Signed(api, s.Deps, web.TakesFile(web.Conflicting(web.Put("/account/export", "importAccount",
		"An exported document into an account that is empty"))), s.restore)
}

func (s service) addCoast(ctx context.Context, as *web.Scope, _ *struct{}) (*struct{}, error) {
	if s.Coast == nil {
		return nil, web.NotFound("There is no invented coast here.")
	}
	has, err := s.Store.HasInvented(ctx, as.Angler)
	if err != nil || has {
		return nil, err
	}
	return nil, s.Coast(ctx, as.Angler, as.Now())
}

func (s service) belongings(ctx context.Context, as *web.Scope, _ *struct{}) (*belongingsOutput, error) {
	b, err := s.Store.BelongingsOf(ctx, as.Angler)
	out := &belongingsOutput{}
	out.Body.Waters, out.Body.Stations, out.Body.Spots, out.Body.Spells = b.Waters, b.Stations, b.Spots, b.Spells
	out.Body.Catches, out.Body.Readings, out.Body.Kit, out.Body.Rules = b.Catches, b.Readings, b.Kit, b.Rules
	return out, err
}

func (s service) leave(ctx context.Context, as *web.Scope, in *confirmInput) (*struct{}, error) {
	if _, err := s.Accounts.Confirm(ctx, as.Angler, in.Body.Password); err != nil {
		return nil, unconfirmed(err)
	}
	if err := s.Store.DeleteAngler(ctx, as.Angler); err != nil {
		return nil, err
	}
	return nil, s.Accounts.SignOut(ctx)
}

func (s service) export(ctx context.Context, as *web.Scope, _ *struct{}) (*copyOutput, error) {
	name := fmt.Sprintf("grey-pebble-%s.json", as.Now().Format(time.DateOnly))
	return &copyOutput{ContentType: "application/json", ContentDisposition: fmt.Sprintf("attachment; filename=%q", name),
		Body: func(out huma.Context) {
			if err := s.Store.WriteCopy(ctx, as.Angler, as.Now(), out.BodyWriter()); err != nil && ctx.Err() == nil {
				slog.Error("export", "error", err)
				panic(http.ErrAbortHandler) // cut off, not ended as if it were whole
			}
		}}, nil
}

// largestCopy unpacked, bytes.
const largestCopy = 1 << 30

func (s service) restore(ctx context.Context, as *web.Scope, in *copyInput) (*belongingsOutput, error) {
	var r io.Reader = bytes.NewReader(in.RawBody)
	if bytes.HasPrefix(in.RawBody, []byte{0x1f, 0x8b}) {
		z, err := gzip.NewReader(r)
		if err != nil {
			return nil, web.Wrong("body", errors.New("the file is damaged; expected what an export gave"))
		}
		r = io.LimitReader(z, largestCopy)
	}
	checks := store.CopyChecks{Settings: checkSettings, Text: web.Legible}
	var wrong store.CopyError
	err := s.Store.ReadCopy(ctx, as.Angler, r, checks)
	switch {
	case errors.As(err, &wrong):
		return nil, huma.Error422UnprocessableEntity("This is no copy of an account, or a damaged one. "+wrong.Error(),
			&huma.ErrorDetail{Location: "body." + wrong.Where, Message: wrong.Says})
	case errors.Is(err, store.ErrNotEmpty):
		return nil, web.InTheWay("A copy goes into an empty account only, and this one holds something already. " +
			"Make another account for it, or remove what is here first.")
	case errors.Is(err, gzip.ErrChecksum), errors.Is(err, gzip.ErrHeader), errors.Is(err, io.ErrUnexpectedEOF):
		return nil, web.Wrong("body", errors.New("the file is damaged; expected what an export gave"))
	case err != nil:
		return nil, err
	}
	return s.belongings(ctx, as, nil)
}

func checkSettings(raw []byte) error {
	var s account.Settings
	d := json.NewDecoder(bytes.NewReader(raw))
	d.DisallowUnknownFields()
	if err := d.Decode(&s); err != nil {
		return errors.New("they are no settings")
	}
	return s.Validate()
}
