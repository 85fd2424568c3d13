package conditions

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/water"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type conditionsInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid" required:"true"`
	Time   time.Time `query:"time" doc:"now if left out"`
}

type conditionsOutput struct {
	Body struct {
		SpotID   string           `json:"spot_id"`
		Time     time.Time        `json:"time"`
		Stage    wire.StageOut    `json:"stage"`
		Light    string           `json:"light" enum:"bright,dim,twilight,dark"`
		Readings []wire.Condition `json:"readings" nullable:"false"`
		Surface  wire.SurfaceOut  `json:"surface"`
		Trend    *trendOut        `json:"water_temp_trend,omitempty" doc:"over the last days; left out where too little is known"`
		Warmth   []markWarmth     `json:"warmth" nullable:"false" doc:"of the water over each mark, from the day before to the day after"`
		Bands    []bandOut        `json:"bands" nullable:"false" doc:"layers of light down to the deepest mark, and what shows there"`
		History  []historyOf      `json:"history" nullable:"false" doc:"readings of the last three days and the next day and a half"`
		Words    []clarityWord    `json:"clarity_words" nullable:"false" doc:"what the words for clarity stand for"`
		Forecast *feedOut         `json:"forecast,omitempty" doc:"where the forecast comes from and how it went last time"`
	}
}

type trendOut struct {
	PerDay float64 `json:"per_day" doc:"°C a day"`
	Days   int     `json:"days"`
	Says   string  `json:"says" doc:"has warmed by 0.5 °C a day over the last 4 days"`
}

type clarityWord struct {
	Word  string  `json:"word"`
	FromM float64 `json:"from_m" doc:"Secchi depth"`
	ToM   float64 `json:"to_m"`
}

type feedOut struct {
	IssuedAt  *time.Time `json:"issued_at" required:"true" nullable:"true"`
	FetchedAt *time.Time `json:"fetched_at" required:"true" nullable:"true"`
	AgeS      *float64   `json:"age_s" required:"true" nullable:"true" doc:"since it was issued"`
	Problem   string     `json:"problem" doc:"of the last try; the last good forecast stays"`
}

func (s service) feedOf(ctx context.Context, as *web.Scope, water uuid.UUID) (*feedOut, error) {
	f, err := s.Store.FeedOf(ctx, as.Angler, water)
	if err != nil || f == nil {
		return nil, err
	}
	out := &feedOut{IssuedAt: f.IssuedAt, FetchedAt: f.FetchedAt, Problem: f.Problem}
	if f.IssuedAt != nil {
		age := as.Now().Sub(*f.IssuedAt).Seconds()
		out.AgeS = &age
	}
	return out, nil
}

func (s service) registerSheet(api huma.API) {
	web.Signed(api, s.Deps, web.Get("/conditions", "conditions", "Every condition at a spot and moment, and where it came from"), s.sheet)
}

func (s service) sheet(ctx context.Context, as *web.Scope, in *conditionsInput) (*conditionsOutput, error) {
	t := as.At(in.Time)
	sp, err := s.Desk.Spot(ctx, as.Angler, in.SpotID, t)
	if err != nil {
		return nil, err
	}
	m, _, err := sp.At(t, 0, 0)
	if err != nil {
		return nil, err
	}
	out := &conditionsOutput{}
	b := &out.Body
	b.SpotID, b.Time, b.Stage, b.Light, b.Readings = sp.ID.String(), m.Time, wire.Stage(m.Stage), m.Light().String(), wire.Conditions(&m)
	b.Surface = wire.Surface(m.Surface())
	if trend, ok := conditions.TrendOf(sp.List, conditions.WaterTemp, t); ok {
		b.Trend = &trendOut{trend.PerDay, trend.Days, trend.Says(as.Units)}
	}
	if b.Warmth, err = warmthOf(&sp.Spot.Spot, t); err != nil {
		return nil, err
	}
	b.Bands, b.History, b.Words = bandsOf(&m), historiesOf(sp.List, t), []clarityWord{}
	for _, w := range water.ClarityWords() {
		b.Words = append(b.Words, clarityWord{w.Word, w.FromSecchi, w.ToSecchi})
	}
	b.Forecast, err = s.feedOf(ctx, as, sp.Water.ID)
	return out, err
}
