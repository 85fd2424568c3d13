package web

import (
	"context"
	"errors"
	"math"
	"strings"
	"testing"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type sent struct {
	ID   string  `path:"id"`
	Wind float64 `query:"wind_ms"`
	Body struct {
		Name  string    `json:"name"`
		Note  string    `json:"note"`
		Depth *float64  `json:"depth_m"`
		At    time.Time `json:"at"`
		Marks []struct {
			Name string `json:"name"`
		} `json:"marks"`
	}
}

func locations(err error) (out []string) {
	var p *huma.ErrorModel
	if errors.As(err, &p) {
		for _, d := range p.Errors {
			out = append(out, d.Location+" "+d.Message)
		}
	}
	return out
}

func TestWhatNoFieldMayHoldIsNamed(t *testing.T) {
	good := sent{ID: "x"}
	good.Body.Name, good.Body.Note = "  Bar ", "two\nlines, any script: água, 水"
	require.NoError(t, check(&good))
	assert.Equal(t, "Bar", good.Body.Name, "without what stands around it")

	inf := math.Inf(1)
	bad := sent{Wind: math.NaN()}
	bad.Body.Name, bad.Body.Note, bad.Body.Depth = " ", "a\x00b", &inf
	bad.Body.At = time.Date(1500, 1, 1, 0, 0, 0, 0, time.UTC)
	bad.Body.Marks = append(bad.Body.Marks, struct {
		Name string `json:"name"`
	}{"\u202egnol"})
	err := check(&bad)
	require.Error(t, err)
	assert.ElementsMatch(t, []string{"query.wind_ms must be a number", "body.name must not be empty",
		"body.note holds a character that cannot be seen (U+0000)", "body.depth_m must be a number",
		"body.at must be a time between the years 1900 and 2199", "body.marks[0].name holds a character that cannot be seen (U+202E)"},
		locations(err))
	assert.Contains(t, err.Error(), "The name must not be empty.")
	assert.Contains(t, err.Error(), "And 1 more.")
}

func TestFieldsAreCalledAsOnScreen(t *testing.T) {
	for location, want := range map[string]string{"body.secchi_m": "The clarity", "body.elapsed_s": "The time taken",
		"body": "What was sent", "query.time_zone": "The time zone", "body.marks[2].bottom": "The bottom (number 3 of the marks)",
		"body.station_id":                  "The station",
		"body.constituents[0].amplitude_m": "The amplitude (number 1 of the constituents)", "body.targets[1]": "Number 2 of the targets"} {
		assert.Equal(t, want, fieldName(location), location)
	}
}

func TestAPasswordIsNotSentBack(t *testing.T) {
	err := huma.NewError(422, unchecked, &huma.ErrorDetail{Location: "body", Message: missing + "name",
		Value: map[string]any{"password": "secret"}})
	var p *huma.ErrorModel
	require.ErrorAs(t, err, &p)
	assert.Equal(t, "The name is missing.", p.Detail)
	assert.Equal(t, "body.name", p.Errors[0].Location)
	assert.Nil(t, p.Errors[0].Value)
}

type within struct {
	Name string  `json:"name" minLength:"1" maxLength:"20"`
	Lat  float64 `json:"lat"`
	Kind string  `json:"kind" enum:"a,b"`
}

func TestWhatComesInAFileIsCheckedLikeABody(t *testing.T) {
	var w within
	require.NoError(t, Fits([]byte(`{"name":"x","lat":31,"kind":"a"}`), &w))
	assert.Equal(t, within{"x", 31, "a"}, w)
	for raw, want := range map[string]string{
		`{"name":"x","lat":999,"kind":"a"}`:                              "The latitude must be 90 or less.",
		`{"name":"` + strings.Repeat("x", 500) + `","lat":1,"kind":"a"}`: "The name must not be longer than 20 characters.",
		`{"name":"x","lat":1,"kind":"c"}`:                                "The kind must be one of: a, b.",
		`{"name":"x","lat":1,"kind":"a","more":1}`:                       "The more is not known here.",
		`[]`: "must be an object", `{`: "no JSON object",
	} {
		assert.ErrorContains(t, Fits([]byte(raw), &w), want, raw)
	}
}

// Every number and time of a document built here has both its bounds afterwards.
func TestBoundsAreLaidOverTheDocument(t *testing.T) {
	type in struct {
		Wind float64 `query:"wind_ms"`
		Body struct {
			Lat   float64   `json:"lat"`
			At    time.Time `json:"at"`
			Text  string    `json:"text"`
			Close float64   `json:"depth_m" maximum:"3"`
		}
	}
	api := humachi.New(chi.NewRouter(), huma.DefaultConfig("x", "1"))
	Open(api, Post("/x", "x", "x"), func(context.Context, *in) (*struct{}, error) { return nil, nil })
	Bound(api)
	op := api.OpenAPI().Paths["/v1/x"].Post
	assert.InDelta(t, 100, *op.Parameters[0].Schema.Maximum, 0)
	s := op.RequestBody.Content["application/json"].Schema
	body := api.OpenAPI().Components.Schemas.SchemaFromRef(s.Ref)
	assert.InDelta(t, -90, *body.Properties["lat"].Minimum, 0)
	assert.NotEmpty(t, body.Properties["at"].Pattern)
	assert.Equal(t, 400, *body.Properties["text"].MaxLength)
	assert.InDelta(t, 3, *body.Properties["depth_m"].Maximum, 0, "a narrower bound of its own holds")
}

func TestTheQueueTellsPlacesAndLetsOneRun(t *testing.T) {
	q := NewQueue()
	var turns []*turn
	for range 3 {
		k, ok := q.enter()
		require.True(t, ok)
		turns = append(turns, k)
	}
	_, ok := q.enter()
	assert.False(t, ok, "one runs, two wait")
	ctx := context.WithValue(t.Context(), turnKey{}, turns[2])
	places := make(chan int, 5)
	done := make(chan error, 1)
	go func() { done <- q.Await(ctx, func(p int) { places <- p }) }()
	assert.Equal(t, 2, <-places)
	q.leave(turns[0])
	assert.Equal(t, 1, <-places)
	q.leave(turns[1])
	require.NoError(t, <-done)
	gone, cancel := context.WithCancel(t.Context())
	k, _ := q.enter()
	cancel()
	assert.ErrorIs(t, q.Await(context.WithValue(gone, turnKey{}, k), nil), context.Canceled)
}

func TestAKeptAnswerIsWorkedOutOnce(t *testing.T) {
	k := NewKept[int](1 << 10)
	n := 0
	work := func(context.Context) (any, error) { n++; return map[string]int{"n": n}, nil }
	for range 3 {
		a := &writtenOut{}
		require.NoError(t, k.Send(context.WithValue(t.Context(), answerKey{}, a), 1, work))
		assert.JSONEq(t, `{"n":1}`, string(a.raw))
	}
	fails := errors.New("not this time")
	assert.ErrorIs(t, k.Send(t.Context(), 2, func(context.Context) (any, error) { return nil, fails }), fails)
	require.NoError(t, k.Send(t.Context(), 2, work), "a failure is not kept")
	assert.Error(t, k.Send(t.Context(), 3, func(context.Context) (any, error) { return math.Inf(1), nil }), "nor what cannot be written")
}
