package tides

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/http"

	"greypebble/server/api/web"

	"github.com/danielgtaylor/huma/v2"
)

// registerAnalyseWatched answers with server-sent events while the work goes
// on: waiting {place} while others are before it, progress {share}, then either done with the analysis or problem with what
// was wrong. It needs no memory between requests, so that any copy of the server
// may answer.
func (s service) registerAnalyseWatched(api huma.API, queue *web.Queue) {
	op := web.TakesFile(web.Post("/tide/analyse/watch", "watchAnalysis",
		"The same, telling how far it is (text/event-stream: waiting, progress, done, problem)"))
	web.SignedInto(api, s.Deps, queue, op, func(_ context.Context, _ *web.Scope, in *analyseInput) (*huma.StreamResponse, error) {
		return &huma.StreamResponse{Body: func(c huma.Context) {
			c.SetHeader("Content-Type", "text/event-stream")
			c.SetStatus(http.StatusOK)
			tell := func(event string, data any) {
				text, err := json.Marshal(data)
				if err != nil {
					return
				}
				_, _ = fmt.Fprintf(c.BodyWriter(), "event: %s\ndata: %s\n\n", event, text)
				if f, ok := c.BodyWriter().(http.Flusher); ok {
					f.Flush()
				}
			}
			tell("progress", progressOut{0})
			out, err := analyse(c.Context(), queue, in, watcher{func(share float64) { tell("progress", progressOut{share}) },
				func(place int) { tell("waiting", waitingOut{place}) }})
			var problem *huma.ErrorModel
			switch {
			case errors.As(err, &problem):
				tell("problem", problem)
			case err != nil:
				tell("problem", huma.ErrorModel{Status: http.StatusInternalServerError,
					Detail: "Something went wrong here; it has been noted. Try again."})
			default:
				tell("done", out.Body)
			}
		}}, nil
	})
}

// waitingOut is the place in the queue: 1 is the next.
type waitingOut struct {
	Place int `json:"place"`
}

type progressOut struct {
	Share float64 `json:"share"`
}
