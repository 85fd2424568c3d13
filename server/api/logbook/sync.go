package logbook

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

// SyncOuting is an outing a device kept while it had no signal.
type SyncOuting struct {
	ID uuid.UUID `json:"id" format:"uuid"`
	OutingBody
}

type syncInput struct {
	Body struct {
		Outings []SyncOuting `json:"outings" minItems:"1" maxItems:"50" nullable:"false" doc:"in the order they were gone on"`
	}
}

type syncedOut struct {
	ID     string `json:"id" format:"uuid"`
	Status int    `json:"status" doc:"as PUT of this outing alone would have been answered"`
	Detail string `json:"detail,omitempty" doc:"what was wrong with it"`
	Kept   int    `json:"kept" doc:"spells of it that were changed by hand since, and stay as they are"`
}

type syncOutput struct {
	Body struct {
		Results []syncedOut `json:"results" nullable:"false" doc:"in the order of what was sent"`
	}
}

func (s service) registerSync(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/sync", "sync", "Tell several outings at once, each answered by itself"), s.sync)
}

// sync what a device kept: one that is refused holds up no other.
func (s service) sync(ctx context.Context, as *web.Scope, in *syncInput) (*syncOutput, error) {
	out := &syncOutput{}
	out.Body.Results = []syncedOut{}
	for i := range in.Body.Outings {
		o := &in.Body.Outings[i]
		one := syncedOut{ID: o.ID.String(), Status: http.StatusOK}
		told, err := s.putOuting(ctx, as, &outingInput{ByID: wire.ByID{ID: o.ID}, Body: o.OutingBody})
		if err != nil {
			var status huma.StatusError
			if failed := web.Failed(err); errors.As(failed, &status) {
				one.Status, one.Detail = status.GetStatus(), status.Error()
			}
			// What is wrong with the server is wrong for all of them: they are sent again.
			if one.Status >= http.StatusInternalServerError {
				return nil, err
			}
		} else {
			one.Kept = len(told.Body.Kept)
		}
		out.Body.Results = append(out.Body.Results, one)
	}
	return out, nil
}
