package api

import (
	"bytes"
	"context"
	"fmt"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/conditions"
	"greypebble/core/water"
	"greypebble/interchange/logger"
	"greypebble/interchange/nmea"
)

// readingIn is a condition as the angler gives it.
type readingIn struct {
	Kind  string  `json:"kind" enum:"clarity_secchi_m,water_temp_c,wind_speed_ms,wind_from_deg,cloud_fraction,air_temp_c,swell_height_m,swell_period_s,rain_mm,sounder_depth_m"`
	Value float64 `json:"value,omitempty"`
	Unit  string  `json:"unit,omitempty" doc:"the kind's own unit if left out"`
	Word  string  `json:"word,omitempty" doc:"for clarity, instead of a value: muddy, stained, clear, gin clear"`
}

// reading of what was given, in SI. where names its place in the body.
func (r readingIn) reading(where string) (conditions.Reading, error) {
	k := conditions.Kind(r.Kind)
	out := conditions.Reading{Kind: k, Origin: conditions.Observed, Source: conditions.TheAngler}
	switch {
	case r.Word != "" && k != conditions.Clarity:
		return out, wrong(where+".word", fmt.Errorf("only clarity has words; expected a value"))
	case r.Word != "":
		w, err := water.ParseClarity(r.Word)
		if err != nil {
			return out, wrong(where+".word", err)
		}
		out.Value, out.Spread = w.Secchi()
		return out, nil
	}
	v, err := conditions.InUnit(k, r.Value, r.Unit)
	if err != nil {
		return out, wrong(where+".unit", err)
	}
	out.Value = v
	if err := out.Validate(); err != nil {
		return out, wrong(where+".value", err)
	}
	return out, nil
}

// observedAt reads overrides as observations made at a time.
func observedAt(list []readingIn, t time.Time) ([]conditions.Reading, error) {
	out := make([]conditions.Reading, 0, len(list))
	for i, r := range list {
		reading, err := r.reading(fmt.Sprintf("body.readings[%d]", i))
		if err != nil {
			return nil, err
		}
		reading.Time = t
		out = append(out, reading)
	}
	return out, nil
}

type readingsInput struct {
	ByID
	Body struct {
		Time     time.Time   `json:"time,omitempty" doc:"now if left out; what is said of a time to come is kept as expected, not as observed"`
		SpotID   *uuid.UUID  `json:"spot_id,omitempty" format:"uuid" doc:"where it was taken"`
		Readings []readingIn `json:"readings" minItems:"1" maxItems:"20" nullable:"false"`
	}
}

type takeBackInput struct {
	ByID
	Kind string    `query:"kind" required:"true"`
	Time time.Time `query:"time" required:"true"`
}

type logInput struct {
	ByID
	TimeZone string `query:"time_zone" doc:"of times without an offset from UTC"`
	Name     string `query:"name" maxLength:"80" default:"a log" doc:"of the file, kept as the source of its readings"`
	Keep     bool   `query:"keep" doc:"store the readings; otherwise only say what they are"`
	RawBody  []byte `contentType:"text/plain"`
}

type logOutput struct {
	Body struct {
		Format    string       `json:"format" enum:"csv,nmea"`
		From      *time.Time   `json:"from,omitempty"`
		To        *time.Time   `json:"to,omitempty"`
		Kinds     []logKind    `json:"kinds" nullable:"false"`
		Soundings int          `json:"soundings" doc:"depths with a place, for a map of the bottom"`
		PassedBy  int          `json:"passed_by" doc:"lines that were no sentence, or a damaged one"`
		Kept      int          `json:"kept" doc:"readings stored"`
		Sample    []readingOut `json:"sample" nullable:"false" doc:"the first few"`
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
	ByID
	From time.Time `query:"from"`
	To   time.Time `query:"to"`
}

func (s *Server) registerReadings(api huma.API) {
	huma.Register(api, operation(http.MethodPost, "/waters/{id}/readings", "addReadings", "Keep what the angler sees or expects"), s.addReadings)
	huma.Register(api, operation(http.MethodDelete, "/waters/{id}/readings", "takeBackReading", "Take back what the angler said"),
		func(ctx context.Context, in *takeBackInput) (*struct{}, error) {
			angler, err := s.angler(ctx)
			if err != nil {
				return nil, err
			}
			return nil, failed(s.store.DeleteReading(ctx, angler, in.ID, conditions.Kind(in.Kind), in.Time.UTC()))
		})
	huma.Register(api, operation(http.MethodGet, "/waters/{id}/readings.csv", "readingsFile", "What was observed, as a log"), s.readingsFile)
	op := operation(http.MethodPost, "/waters/{id}/log", "readLog", "A log of an instrument (CSV) or of a sounder (NMEA 0183)")
	op.MaxBodyBytes, op.BodyReadTimeout = largestRecord, time.Minute
	huma.Register(api, op, s.readLog)
}

// soonest a reading may lie ahead of the clock and still be something seen.
const clockSlack = time.Minute

func (s *Server) addReadings(ctx context.Context, in *readingsInput) (*struct{}, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	t := s.at(in.Body.Time).Truncate(time.Millisecond)
	list, err := observedAt(in.Body.Readings, t)
	if err != nil {
		return nil, err
	}
	place := ""
	if in.Body.SpotID != nil {
		sp, err := s.store.Spot(ctx, angler, *in.Body.SpotID)
		if err != nil {
			return nil, failed(err)
		}
		place = sp.Name
	}
	for i := range list {
		list[i].Place = place
		if t.After(s.now().Add(clockSlack)) {
			list[i].Origin = conditions.Forecast
		}
	}
	return nil, failed(s.store.AddReadings(ctx, angler, in.ID, list))
}

func (s *Server) readingsFile(ctx context.Context, in *readingsFileInput) (*fileOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	if _, err := s.store.Water(ctx, angler, in.ID); err != nil {
		return nil, failed(err)
	}
	from, to := in.From, s.at(in.To)
	if from.IsZero() {
		from = to.AddDate(-1, 0, 0)
	}
	all, err := s.store.Readings(ctx, angler, from, to)
	if err != nil {
		return nil, failed(err)
	}
	var seen []conditions.Reading
	for _, r := range all[in.ID] {
		if r.Origin == conditions.Observed {
			seen = append(seen, r)
		}
	}
	return &fileOutput{ContentType: "text/csv; charset=utf-8", ContentDisposition: `attachment; filename="readings.csv"`, Body: logger.Write(seen)}, nil
}

func (s *Server) readLog(ctx context.Context, in *logInput) (*logOutput, error) {
	angler, err := s.angler(ctx)
	if err != nil {
		return nil, err
	}
	if _, err := s.store.Water(ctx, angler, in.ID); err != nil {
		return nil, failed(err)
	}
	zone, err := zoneOf(in.TimeZone)
	if err != nil {
		return nil, err
	}
	out := &logOutput{}
	b := &out.Body
	var list []conditions.Reading
	if raw := bytes.TrimSpace(in.RawBody); bytes.HasPrefix(raw, []byte("$")) || bytes.HasPrefix(raw, []byte("!")) {
		pings, faults, err := nmea.ReadLog(in.RawBody)
		if err != nil {
			return nil, wrong("body", err)
		}
		b.Format, b.PassedBy = "nmea", faults.Checksums+faults.NotSentences+faults.Values
		list, b.Soundings = readingsOfPings(pings, in.Name)
	} else {
		b.Format = "csv"
		if list, err = logger.Read(in.RawBody, zone, in.Name); err != nil {
			return nil, wrong("body", err)
		}
	}
	s.describeLog(out, list)
	if ahead := s.now().Add(24 * time.Hour); b.To != nil && b.To.After(ahead) {
		return nil, wrong("body", fmt.Errorf("the log ends on %s, which is yet to come: are its time zone and year right?", b.To.Format(time.DateOnly)))
	}
	if in.Keep {
		if err := s.store.AddReadings(ctx, angler, in.ID, list); err != nil {
			return nil, failed(err)
		}
		b.Kept = len(list)
	}
	return out, nil
}

func (s *Server) describeLog(out *logOutput, list []conditions.Reading) {
	b := &out.Body
	b.Kinds, b.Sample = []logKind{}, []readingOut{}
	at := map[conditions.Kind]int{}
	for i, r := range list {
		if b.From == nil || r.Time.Before(*b.From) {
			b.From = &list[i].Time
		}
		if b.To == nil || r.Time.After(*b.To) {
			b.To = &list[i].Time
		}
		k, seen := at[r.Kind]
		if !seen {
			k = len(b.Kinds)
			at[r.Kind] = k
			b.Kinds = append(b.Kinds, logKind{string(r.Kind), 0, r.Value, r.Value, r.Kind.Unit()})
		}
		b.Kinds[k].N++
		b.Kinds[k].Low, b.Kinds[k].High = min(b.Kinds[k].Low, r.Value), max(b.Kinds[k].High, r.Value)
		if len(b.Sample) < 5 {
			b.Sample = append(b.Sample, readingOutOf(r))
		}
	}
}

// pingsEach is how often a sounder's log becomes a reading of temperature: more
// would say the same.
const pingsEach = 10 * time.Minute

// readingsOfPings are the temperatures of a sounder's log, one in ten minutes,
// and how many depths it holds.
func readingsOfPings(pings []nmea.Ping, source string) (list []conditions.Reading, soundings int) {
	var last time.Time
	for _, p := range pings {
		if p.HasDepth {
			soundings++
		}
		if p.HasTemp && (last.IsZero() || p.Time.Sub(last) >= pingsEach) {
			list = append(list, conditions.Reading{Kind: conditions.WaterTemp, Value: p.WaterTempC, Time: p.Time, Origin: conditions.Observed, Source: source})
			last = p.Time
		}
	}
	return list, soundings
}

// zoneOf a name; nil for none.
func zoneOf(name string) (*time.Location, error) {
	if name == "" {
		return nil, nil
	}
	zone, err := time.LoadLocation(name)
	if err != nil {
		return nil, wrong("query.time_zone", fmt.Errorf("unknown time zone %s; expected a name like Atlantic/Azores", name))
	}
	return zone, nil
}
