package answer

import (
	"greypebble/core/conditions"
	"greypebble/core/water"
	"time"

	"github.com/google/uuid"
)

// Sheet of every condition at a spot and moment, and where each came from.
type Sheet struct {
	SpotID   string        `json:"spot_id"`
	Time     time.Time     `json:"time"`
	Stage    StageOut      `json:"stage"`
	Light    string        `json:"light" enum:"bright,dim,twilight,dark"`
	Readings []Condition   `json:"readings" nullable:"false"`
	Surface  SurfaceOut    `json:"surface"`
	Trend    *TrendOut     `json:"water_temp_trend,omitempty" doc:"over the last days; left out where too little is known"`
	Warmth   []MarkWarmth  `json:"warmth" nullable:"false" doc:"of the water over each mark, from the day before to the day after"`
	Bands    []BandOut     `json:"bands" nullable:"false" doc:"layers of light down to the deepest mark, and what shows there"`
	History  []HistoryOf   `json:"history" nullable:"false" doc:"readings of the last three days and the next day and a half"`
	Words    []ClarityWord `json:"clarity_words" nullable:"false" doc:"what the words for clarity stand for"`
	Forecast *FeedOut      `json:"forecast,omitempty" doc:"where the forecast comes from and how it went last time"`
}

type TrendOut struct {
	PerDay float64 `json:"per_day" doc:"°C a day"`
	Days   int     `json:"days"`
	Says   string  `json:"says" doc:"has warmed by 0.5 °C a day over the last 4 days"`
}

type ClarityWord struct {
	Word  string  `json:"word"`
	FromM float64 `json:"from_m" doc:"Secchi depth"`
	ToM   float64 `json:"to_m"`
}

type FeedOut struct {
	IssuedAt  *time.Time `json:"issued_at" required:"true" nullable:"true"`
	FetchedAt *time.Time `json:"fetched_at" required:"true" nullable:"true"`
	AgeS      *float64   `json:"age_s" required:"true" nullable:"true" doc:"since it was issued"`
	Problem   string     `json:"problem" doc:"of the last try; the last good forecast stays"`
}

func feedOf(around Around, water uuid.UUID) (*FeedOut, error) {
	f, err := around.Feed(water)
	if err != nil || f == nil {
		return nil, err
	}
	out := &FeedOut{IssuedAt: f.IssuedAt, FetchedAt: f.FetchedAt, Problem: f.Problem}
	if f.IssuedAt != nil {
		age := around.Now().Sub(*f.IssuedAt).Seconds()
		out.AgeS = &age
	}
	return out, nil
}

// SheetOf a spot at a moment.
func SheetOf(around Around, id uuid.UUID, at time.Time) (*Sheet, error) {
	t := when(around, at)
	sp, err := around.Spot(id, t)
	if err != nil {
		return nil, err
	}
	m, _, err := sp.at(t, 0, 0)
	if err != nil {
		return nil, err
	}
	b := &Sheet{}
	b.SpotID, b.Time, b.Stage, b.Light, b.Readings = sp.ID.String(), m.Time, Stage(m.Stage), m.Light().String(), Conditions(&m)
	b.Surface = Surface(m.Surface())
	if trend, ok := conditions.TrendOf(sp.List, conditions.WaterTemp, t); ok {
		b.Trend = &TrendOut{trend.PerDay, trend.Days, trend.Says(around.Units())}
	}
	if b.Warmth, err = warmthOf(sp.Spot, t); err != nil {
		return nil, err
	}
	b.Bands, b.History, b.Words = bandsOf(&m), historiesOf(sp.List, t), []ClarityWord{}
	for _, w := range water.ClarityWords() {
		b.Words = append(b.Words, ClarityWord{w.Word, w.FromSecchi, w.ToSecchi})
	}
	b.Forecast, err = feedOf(around, sp.WaterID)
	return b, err
}
