package conditions

import (
	"context"
	"fmt"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/answer"
	"greypebble/core/conditions"
	"greypebble/interchange/logger"
	"greypebble/server/api/web"
	"greypebble/server/api/wire"
)

type readingsInput struct {
	wire.ByID
	Body struct {
		Time     time.Time          `json:"time,omitempty" doc:"now if left out; what is said of a time to come is not kept as observed"`
		SpotID   *uuid.UUID         `json:"spot_id,omitempty" format:"uuid" doc:"where it was taken"`
		Readings []answer.ReadingIn `json:"readings" minItems:"1" maxItems:"20" nullable:"false"`
	}
}

type takeBackInput struct {
	wire.ByID
	Kind string    `query:"kind" required:"true"`
	Time time.Time `query:"time" required:"true"`
}

type logInput struct {
	wire.ByID
	TimeZone string `query:"time_zone" doc:"of times without an offset from UTC"`
	Name     string `query:"name" maxLength:"80" default:"a log" doc:"of the file, kept as the source of its readings"`
	Keep     bool   `query:"keep" doc:"store the readings; otherwise only say what they are"`
	RawBody  []byte `contentType:"text/plain"`
}

type logOutput struct {
	Body struct {
		Format    string            `json:"format" enum:"csv,nmea"`
		From      *time.Time        `json:"from,omitempty"`
		To        *time.Time        `json:"to,omitempty"`
		Kinds     []logKind         `json:"kinds" nullable:"false"`
		Soundings int               `json:"soundings" doc:"depths with a place, for a map of the bottom"`
		PassedBy  int               `json:"passed_by" doc:"lines that were no sentence, or a damaged one"`
		Kept      int               `json:"kept" doc:"readings stored"`
		Sample    []wire.ReadingOut `json:"sample" nullable:"false" doc:"the first few"`
	}
}

type logKind struct {
	Kind string  `json:"kind"`
	N    int     `json:"n"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	Unit string  `json:"unit"`
}

type readingsFileInput struct {
	wire.ByID
	From time.Time `query:"from"`
	To   time.Time `query:"to"`
}

func (s service) registerReadings(api huma.API) {
	web.Signed(api, s.Deps, web.Post("/waters/{id}/readings", "addReadings", "Keep what the angler sees or expects"), s.addReadings)
	web.Signed(api, s.Deps, web.Delete("/waters/{id}/readings", "takeBackReading", "Take back what the angler said"),
		func(ctx context.Context, as *web.Scope, in *takeBackInput) (*struct{}, error) {
			return nil, s.Store.DeleteReading(ctx, as.Angler, in.ID, conditions.Kind(in.Kind), in.Time.UTC())
		})
	web.Signed(api, s.Deps, web.Get("/waters/{id}/readings.csv", "readingsFile", "What was observed, as a log"), s.readingsFile)
	op := web.TakesFile(web.Post("/waters/{id}/log", "readLog", "A log of an instrument (CSV) or of a sounder (NMEA 0183)"))
	web.Signed(api, s.Deps, op, s.readLog)
}

// soonest a reading may lie ahead of the clock and still be something seen.
const clockSlack = time.Minute

func (s service) addReadings(ctx context.Context, as *web.Scope, in *readingsInput) (*struct{}, error) {
	t := as.At(in.Body.Time).Truncate(time.Millisecond)
	list, err := answer.ObservedAt(in.Body.Readings, t)
	if err != nil {
		return nil, err
	}
	place := ""
	if in.Body.SpotID != nil {
		sp, err := s.Store.Spot(ctx, as.Angler, *in.Body.SpotID)
		if err != nil {
			return nil, err
		}
		place = sp.Name
	}
	for i := range list {
		list[i].Site = place
		if t.After(as.Now().Add(clockSlack)) {
			list[i].Origin = conditions.Forecast
		}
	}
	return nil, s.Store.AddReadings(ctx, as.Angler, in.ID, list)
}

func (s service) readingsFile(ctx context.Context, as *web.Scope, in *readingsFileInput) (*web.File, error) {
	if _, err := s.Store.Water(ctx, as.Angler, in.ID); err != nil {
		return nil, err
	}
	from, to := in.From, as.At(in.To)
	if from.IsZero() {
		from = to.AddDate(-1, 0, 0)
	}
	all, err := s.Store.ReadingsOf(ctx, as.Angler, in.ID, from, to)
	if err != nil {
		return nil, err
	}
	var seen []conditions.Reading
	for _, r := range all {
		if r.Origin == conditions.Observed {
			seen = append(seen, r)
		}
	}
	return web.Attached("readings.csv", "text/csv; charset=utf-8", logger.Write(seen, as.Units)), nil
}

func (s service) readLog(ctx context.Context, as *web.Scope, in *logInput) (*logOutput, error) {
	if _, err := s.Store.Water(ctx, as.Angler, in.ID); err != nil {
		return nil, err
	}
	zone, err := web.Zone(in.TimeZone)
	if err != nil {
		return nil, err
	}
	log, err := logger.ReadAny(in.RawBody, zone, in.Name)
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := describe(log)
	b := &out.Body
	if ahead := as.Now().Add(24 * time.Hour); b.To != nil && b.To.After(ahead) {
		return nil, web.Wrong("body", fmt.Errorf("the log ends on %s, which is yet to come: are its time zone and year right?",
			b.To.Format(time.DateOnly)))
	}
	if in.Keep {
		if err := s.Store.AddReadings(ctx, as.Angler, in.ID, log.Readings); err != nil {
			return nil, err
		}
		b.Kept = len(log.Readings)
	}
	return out, nil
}

// sampled readings of a log are shown.
const sampled = 5

func describe(log logger.Log) *logOutput {
	out := &logOutput{}
	b := &out.Body
	b.Format, b.Soundings, b.PassedBy, b.Kinds = log.Format, log.Soundings, log.PassedBy, []logKind{}
	b.Sample = wire.Readings(log.Readings[:min(sampled, len(log.Readings))])
	at := map[conditions.Kind]int{}
	for i, r := range log.Readings {
		if b.From == nil || r.Time.Before(*b.From) {
			b.From = &log.Readings[i].Time
		}
		if b.To == nil || r.Time.After(*b.To) {
			b.To = &log.Readings[i].Time
		}
		k, seen := at[r.Kind]
		if !seen {
			k = len(b.Kinds)
			at[r.Kind] = k
			b.Kinds = append(b.Kinds, logKind{Kind: string(r.Kind), Low: r.Value, High: r.Value, Unit: r.Kind.Unit()})
		}
		b.Kinds[k].N++
		b.Kinds[k].Low, b.Kinds[k].High = min(b.Kinds[k].Low, r.Value), max(b.Kinds[k].High, r.Value)
	}
	return out
}
