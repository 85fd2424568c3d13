package places

import (
	"context"
	"errors"
	"net/url"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/server/api/web"
	"greypebble/server/api/wire"
	"greypebble/server/store"
)

type waterFeedInput struct {
	wire.ByID
	Body struct {
		URL string `json:"url" minLength:"8" maxLength:"400" doc:"of a service that gives an hourly forecast as CSV with CF standard names"`
	}
}

// waterFeedOut is where a water's forecast comes from and how it went last time.
type waterFeedOut struct {
	URL       string     `json:"url"`
	TriedAt   *time.Time `json:"tried_at,omitempty"`
	FetchedAt *time.Time `json:"fetched_at,omitempty" doc:"last time it went well"`
	IssuedAt  *time.Time `json:"issued_at,omitempty"`
	Problem   string     `json:"problem,omitempty" doc:"why the last try did not go well"`
	Readings  int        `json:"readings,omitempty" doc:"that came of this try"`
}

type waterFeedOutput struct{ Body waterFeedOut }

func (s service) registerFeeds(api huma.API) {
	web.Signed(api, s.Deps, web.Put("/waters/{id}/feed", "putFeed", "Say where a water's forecast comes from, and try it at once"),
		s.putFeed)
	web.Signed(api, s.Deps, web.Delete("/waters/{id}/feed", "deleteFeed", "No forecast for a water any more"), s.deleteFeed)
}

func feedOf(f store.Feed, readings int) waterFeedOut {
	return waterFeedOut{f.URL, f.TriedAt, f.FetchedAt, f.IssuedAt, f.Problem, readings}
}

// tryWithin is how long one waits on the screen for a forecast.
const tryWithin = 20 * time.Second

func (s service) putFeed(ctx context.Context, as *web.Scope, in *waterFeedInput) (*waterFeedOutput, error) {
	u, err := url.Parse(in.Body.URL)
	if err != nil || u.Scheme != "https" && u.Scheme != "http" || u.Host == "" || u.User != nil {
		return nil, web.Wrong("body.url", errors.New("expected an address like https://forecast.example/point.csv?lat=38.5&lon=-31"))
	}
	f, err := s.Store.PutFeed(ctx, as.Angler, in.ID, in.Body.URL)
	if err != nil {
		return nil, err
	}
	if s.TryFeed == nil {
		return &waterFeedOutput{feedOf(f, 0)}, nil
	}
	ctx, cancel := context.WithTimeout(ctx, tryWithin)
	defer cancel()
	f, n, err := s.TryFeed(ctx, f)
	return &waterFeedOutput{feedOf(f, n)}, err
}

func (s service) deleteFeed(ctx context.Context, as *web.Scope, in *wire.ByID) (*struct{}, error) {
	return nil, s.Store.DeleteFeed(ctx, as.Angler, in.ID)
}
