package api

import (
	"context"
	"errors"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
	"greypebble/server/store"
)

func registerHealth(api huma.API, d *web.Deps) {
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
}

type healthOutput struct {
	Body struct {
		Status   string `json:"status" enum:"ok,disk full" doc:"with a full disk everything can be read and nothing written"`
		Database string `json:"database" enum:"ok"`
		Says     string `json:"says,omitempty"`
	}
}
