package api

import (
	"context"
	"fmt"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/tide"
)

// readingIn is a condition as the angler gives it.
type readingIn struct {
	Kind  string  `json:"kind" enum:"clarity_secchi_m,water_temp_c,wind_speed_ms,wind_from_deg,cloud_fraction,air_temp_c,swell_height_m,swell_period_s"`
	Value float64 `json:"value"`
	Unit  string  `json:"unit,omitempty" doc:"the kind's own unit if left out"`
}

// observedAt reads overrides as observations made at a time.
func observedAt(list []readingIn, t time.Time) ([]conditions.Reading, error) {
	out := make([]conditions.Reading, 0, len(list))
	for i, r := range list {
		k := conditions.Kind(r.Kind)
		v, err := conditions.InUnit(k, r.Value, r.Unit)
		if err != nil {
			return nil, wrong(fmt.Sprintf("body.readings[%d].unit", i), err)
		}
		reading := conditions.Reading{Kind: k, Value: v, Time: t, Origin: conditions.Observed, Source: "the angler"}
		if err := reading.Validate(); err != nil {
			return nil, wrong(fmt.Sprintf("body.readings[%d].value", i), err)
		}
		out = append(out, reading)
	}
	return out, nil
}

// condition as it is believed, with where it came from.
type condition struct {
	Kind   string    `json:"kind"`
	Value  float64   `json:"value"`
	Unit   string    `json:"unit"`
	Origin string    `json:"origin" enum:"observed,forecast,predicted,assumed"`
	Source string    `json:"source"`
	Time   time.Time `json:"time"`
	Low    float64   `json:"low" doc:"80 % of the belief lies between low and high"`
	High   float64   `json:"high"`
	AgeS   float64   `json:"age_s" doc:"of the reading at the moment; negative for one yet to come"`
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
		out = append(out, condition{string(k), v.Value, k.Unit(), string(v.Origin), v.Source, v.Time, low, high, v.Age.Seconds()})
	}
	predicted := func(kind string, value float64, unit, source string) {
		out = append(out, condition{kind, value, unit, string(conditions.Predicted), source, m.Time, value, value, 0})
	}
	if surge != nil {
		if left, _ := surge.At(m.Time); left != 0 {
			out = append(out, condition{"tide_surge_m", left, "m", string(conditions.Observed), "seen by the angler, fading", surge.Seen, left, left,
				m.Time.Sub(surge.Seen).Seconds()})
		}
	}
	predicted("tide_level_m", m.LevelM, "m", "harmonic prediction")
	predicted("tide_rate_m_per_h", m.Stage.RateMPerH, "m/h", "harmonic prediction")
	predicted("tide_strength_pct", tide.Strength(m.Stage.RangeM, m.Spot.Tide.MeanSpringRange()), "%", "range ÷ mean spring range")
	predicted("sun_altitude_deg", m.Sun.Altitude, "deg", "ephemeris")
	predicted("surface_light_lx", m.SurfaceLight(m.Believed[conditions.Cloud].Value), "lx", "sun, moon and cloud")
	predicted("dark_below_m", m.DarkBelow(), "m", "light, cloud and clarity")
	predicted("moon_illumination", m.Phase.Illumination, "", "ephemeris")
	return out
}

type conditionsInput struct {
	SpotID uuid.UUID `query:"spot_id" format:"uuid" required:"true"`
	Time   time.Time `query:"time" doc:"now if left out"`
}

type conditionsOutput struct {
	Body struct {
		SpotID   string      `json:"spot_id"`
		Time     time.Time   `json:"time"`
		Stage    stageOut    `json:"stage"`
		Light    string      `json:"light" enum:"bright,dim,twilight,dark"`
		Readings []condition `json:"readings" nullable:"false"`
		Forecast *feedOut    `json:"forecast,omitempty" doc:"where the forecast comes from and how it went last time"`
	}
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
	huma.Register(api, operation(http.MethodGet, "/conditions", "conditions", "Every condition at a spot and moment, and where it came from"),
		func(ctx context.Context, in *conditionsInput) (*conditionsOutput, error) {
			sp, angler, err := s.spot(ctx, in.SpotID)
			if err != nil {
				return nil, err
			}
			m, _, err := s.moment(ctx, angler, sp, s.at(in.Time), 0, 0, nil)
			if err != nil {
				return nil, failed(err)
			}
			out := &conditionsOutput{}
			b := &out.Body
			b.SpotID, b.Time, b.Stage, b.Light, b.Readings = sp.ID.String(), m.Time, stageOf(m.Stage), m.Light().String(), conditionsOf(&m, sp.Surge)
			b.Forecast, err = s.feedOf(ctx, angler, sp.Water.ID)
			return out, failed(err)
		})
}
