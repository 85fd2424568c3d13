package api

import (
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// condition as it is believed, with where it came from.
type condition struct {
	Kind   string    `json:"kind"`
	Value  float64   `json:"value"`
	Unit   string    `json:"unit"`
	Says   string    `json:"says,omitempty" doc:"the value in a word, where there is one" example:"stained"`
	Origin string    `json:"origin" enum:"observed,forecast,predicted,assumed"`
	Source string    `json:"source"`
	Place  string    `json:"place,omitempty" doc:"where it was taken; the whole water if left out"`
	Time   time.Time `json:"time"`
	Low    float64   `json:"low" doc:"80 % of the belief lies between low and high"`
	High   float64   `json:"high"`
	AgeS   float64   `json:"age_s" doc:"of the reading at the moment; negative for one yet to come"`
}

// inAWord says a value as anglers do, where they have words for it.
func inAWord(k conditions.Kind, value float64) string {
	switch k {
	case conditions.Clarity:
		return water.ClarityOf(value).Word
	case conditions.WindSpeed:
		return water.BeaufortOf(value).Word
	}
	return ""
}

// conditionsOf a moment: what was read or assumed, then what was predicted, with
// the surge seen, if any.
func conditionsOf(m *advise.Moment, surge *tide.Surge) []condition {
	var out []condition
	for _, k := range conditions.Kinds() {
		v, known := m.Believed[k]
		if !known {
			continue
		}
		low, high := v.Range()
		out = append(out, condition{Kind: string(k), Value: v.Value, Unit: k.Unit(), Says: inAWord(k, v.Value), Origin: string(v.Origin), Source: v.Source,
			Place: v.Place, Time: v.Time, Low: low, High: high, AgeS: v.Age.Seconds()})
	}
	add := func(origin conditions.Origin, kind string, value float64, unit, says, source string) {
		out = append(out, condition{Kind: kind, Value: value, Unit: unit, Says: says, Origin: string(origin), Source: source, Time: m.Time, Low: value, High: value})
	}
	predicted := func(kind string, value float64, unit, source string) {
		add(conditions.Predicted, kind, value, unit, "", source)
	}
	if surge != nil {
		if left, _ := surge.At(m.Time); left != 0 {
			out = append(out, condition{Kind: "tide_surge_m", Value: left, Unit: "m", Origin: string(conditions.Observed),
				Source: "seen by the angler, fading", Time: surge.Seen, Low: left, High: left, AgeS: m.Time.Sub(surge.Seen).Seconds()})
		}
	}
	predicted("tide_level_m", m.LevelM, "m", "harmonic prediction")
	predicted("tide_rate_m_per_h", m.Stage.RateMPerH, "m/h", "harmonic prediction")
	predicted("tide_strength_pct", tide.Strength(m.Stage.RangeM, m.Spot.Tide.MeanSpringRange()), "%", "range ÷ mean spring range")
	if u, known := m.Current(); known {
		predicted("current_ms", u, "m/s", currentSource(m.Spot.Current))
	}
	surface := m.Surface()
	// What rests on an assumed fetch is assumed itself.
	origin, source := m.Believed[conditions.WindSpeed].Origin, "wind over the fetch"
	if !surface.Outlined {
		origin, source = conditions.Assumed, "wind over an assumed fetch: the water has no outline"
	}
	says := surface.Surface.String()
	if surface.Outlined {
		says += map[water.Side]string{water.Lee: ", in the lee", water.Exposed: ", exposed", water.Along: ", wind along the shore"}[surface.Side]
	}
	add(origin, "wind_wave_m", surface.WaveM, "m", says, source)
	predicted("sun_altitude_deg", m.Sun.Altitude, "deg", "ephemeris")
	light := m.SurfaceLight(m.Believed[conditions.Cloud].Value)
	add(conditions.Predicted, "surface_light_lx", light, "lx", water.Class(light).String(), "sun, moon and cloud")
	predicted("dark_below_m", m.DarkBelow(), "m", "light, cloud and clarity")
	add(conditions.Predicted, "moon_illumination", m.Phase.Illumination, "", m.Phase.Name(), "ephemeris")
	predicted("days_from_full", m.FromFull, "d", "ephemeris, negative before full moon")
	predicted("days_from_new", m.FromNew(), "d", "ephemeris, negative before new moon")
	return out
}

func currentSource(s water.Setting) string {
	if s.SeenMS > 0 {
		return "the fastest run you have seen, by the rate of the tide"
	}
	return "what must pass to fill and drain the water behind"
}

type conditionsInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid" required:"true"`
	Time   time.Time `query:"time" doc:"now if left out"`
}

type conditionsOutput struct {
	Body struct {
		SpotID   string        `json:"spot_id"`
		Time     time.Time     `json:"time"`
		Stage    stageOut      `json:"stage"`
		Light    string        `json:"light" enum:"bright,dim,twilight,dark"`
		Readings []condition   `json:"readings" nullable:"false"`
		Surface  surfaceOut    `json:"surface"`
		Trend    *trendOut     `json:"water_temp_trend,omitempty" doc:"over the last days; left out where too little is known"`
		Warmth   []markWarmth  `json:"warmth" nullable:"false" doc:"of the water over each mark, from the start of the day before to the end of the day after"`
		Bands    []bandOut     `json:"bands" nullable:"false" doc:"layers of light from the surface to the deepest mark, and what shows there"`
		History  []historyOf   `json:"history" nullable:"false" doc:"readings of the last three days and the next day and a half"`
		Words    []clarityWord `json:"clarity_words" nullable:"false" doc:"what the words for clarity stand for"`
		Forecast *feedOut      `json:"forecast,omitempty" doc:"where the forecast comes from and how it went last time"`
	}
}

type surfaceOut struct {
	Word      string  `json:"word" enum:"glassy,ripple,chop,rough"`
	WaveM     float64 `json:"wave_m" doc:"height of the wind's own waves"`
	FetchM    float64 `json:"fetch_m"`
	Side      string  `json:"side" enum:"lee,exposed,along"`
	Sheltered bool    `json:"sheltered" doc:"glassy or rippled"`
	Outlined  bool    `json:"outlined" doc:"otherwise fetch and side are assumed"`
}

func surfaceOf(s advise.Surface) surfaceOut {
	return surfaceOut{s.Surface.String(), s.WaveM, s.FetchM, s.Side.String(), s.Surface.Sheltered(), s.Outlined}
}

type trendOut struct {
	PerDay float64 `json:"per_day" doc:"°C a day"`
	Days   int     `json:"days"`
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

func (s *Server) feedOf(ctx context.Context, angler, water uuid.UUID) (*feedOut, error) {
	feeds, err := s.store.FeedsOf(ctx, angler)
	f, there := feeds[water]
	if err != nil || !there {
		return nil, err
	}
	out := &feedOut{IssuedAt: f.IssuedAt, FetchedAt: f.FetchedAt, Problem: f.Problem}
	if f.IssuedAt != nil {
		age := s.now().Sub(*f.IssuedAt).Seconds()
		out.AgeS = &age
	}
	return out, nil
}

func (s *Server) registerConditions(api huma.API) {
	huma.Register(api, operation(http.MethodGet, "/conditions", "conditions", "Every condition at a spot and moment, and where it came from"), s.conditions)
}

func (s *Server) conditions(ctx context.Context, in *conditionsInput) (*conditionsOutput, error) {
	sp, angler, err := s.spot(ctx, in.SpotID)
	if err != nil {
		return nil, err
	}
	t := s.at(in.Time)
	readings, err := s.readings(ctx, angler, t)
	if err != nil {
		return nil, failed(err)
	}
	list := readings[sp.Water.ID]
	spot := sp.ForAdvice(list)
	c, err := tide.Over(sp.Tide, t, t)
	if err != nil {
		return nil, failed(err)
	}
	m, err := spot.At(c, t)
	if err != nil {
		return nil, failed(err)
	}
	out := &conditionsOutput{}
	b := &out.Body
	b.SpotID, b.Time, b.Stage, b.Light, b.Readings = sp.ID.String(), m.Time, stageOf(m.Stage), m.Light().String(), conditionsOf(&m, sp.Surge)
	b.Surface = surfaceOf(m.Surface())
	if trend, ok := conditions.TrendOf(list, conditions.WaterTemp, t); ok {
		b.Trend = &trendOut{trend.PerDay, trend.Days}
	}
	if b.Warmth, err = warmthOf(spot, t); err != nil {
		return nil, failed(err)
	}
	b.Bands, b.History, b.Words = bandsOf(&m), historiesOf(list, t), []clarityWord{}
	for _, w := range water.ClarityWords() {
		b.Words = append(b.Words, clarityWord{w.Word, w.FromSecchi, w.ToSecchi})
	}
	b.Forecast, err = s.feedOf(ctx, angler, sp.Water.ID)
	return out, failed(err)
}
