package tides

import (
	"context"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/tide"
	"greypebble/interchange/gauge"
	"greypebble/interchange/turns"
	"greypebble/server/api/web"
)

type analyseInput struct {
	Of       string `query:"of" enum:"record,turns" default:"record" doc:"a gauge's record, or a table: time, height_m, kind"`
	TimeZone string `query:"time_zone" doc:"of times without an offset from UTC, such as Atlantic/Azores"`
	// ContentType may be that of a form with a file.
	ContentType string `header:"Content-Type" hidden:"true"`
	RawBody     []byte `contentType:"text/csv"`
}

type estimateOut struct {
	Name            string  `json:"name"`
	AmplitudeM      float64 `json:"amplitude_m"`
	PhaseDeg        float64 `json:"phase_deg" doc:"Greenwich phase lag"`
	AmplitudeErrorM float64 `json:"amplitude_error_m" doc:"one standard error"`
	PhaseErrorDeg   float64 `json:"phase_error_deg"`
}

type excludedOut struct {
	Name   string `json:"name"`
	Reason string `json:"reason"`
}

type shiftOut struct {
	Time time.Time `json:"time"`
	ByM  float64   `json:"by_m"`
}

type analyseOutput struct {
	Body struct {
		Constituents []estimateOut `json:"constituents" nullable:"false" doc:"slowest first"`
		Z0M          float64       `json:"z0_m" doc:"mean level above the gauge's zero"`
		ResidualRMSM float64       `json:"residual_rms_m"`
		Excluded     []excludedOut `json:"excluded" nullable:"false"`
		Shifts       []shiftOut    `json:"shifts" nullable:"false" doc:"changes of the gauge's zero that were allowed for"`
		Samples      int           `json:"samples"`
		Duplicates   int           `json:"duplicates"`
		Spikes       int           `json:"spikes" doc:"readings given no weight"`
		From         time.Time     `json:"from"`
		To           time.Time     `json:"to"`
		Curve        []fittedOut   `json:"curve" nullable:"false" doc:"record and fit over its last days, for drawing"`
	}
}

type fittedOut struct {
	Time    time.Time `json:"time"`
	HeightM float64   `json:"height_m"`
	FittedM float64   `json:"fitted_m"`
}

// drawn is how much of the record's end is sent for drawing, and in how many
// points at most.
const (
	drawn      = 14 * 24 * time.Hour
	mostPoints = 1000
)

func curveOf(record []tide.Sample, a tide.Analysis) []fittedOut {
	height := make(map[time.Time]float64, len(record))
	for _, r := range record {
		height[r.Time] = r.HeightM
	}
	from := len(a.Residual)
	for from > 0 && a.To.Sub(a.Residual[from-1].Time) <= drawn {
		from--
	}
	every := 1 + (len(a.Residual)-from)/mostPoints
	out := []fittedOut{}
	for i := from; i < len(a.Residual); i += every {
		r := a.Residual[i]
		out = append(out, fittedOut{r.Time, height[r.Time], height[r.Time] - r.HeightM})
	}
	return out
}

// analysesAtOnce bounds the work and the memory.
const analysesAtOnce = 2

func registerAnalyse(api huma.API) {
	running := make(chan struct{}, analysesAtOnce)
	op := web.TakesFile(web.Post("/tide/analyse", "analyseTide",
		"Constituents from a gauge record (CSV: time, height_m) or a table of turns"))
	web.Open(api, op, func(ctx context.Context, in *analyseInput) (*analyseOutput, error) {
		return analyse(ctx, running, in, nil)
	})
	registerAnalyseWatched(api, running)
}

// analyse what was sent. running bounds how many do so at once.
func analyse(ctx context.Context, running chan struct{}, in *analyseInput, progress func(share float64)) (*analyseOutput, error) {
	zone, err := web.Zone(in.TimeZone)
	if err != nil {
		return nil, err
	}
	select {
	case running <- struct{}{}:
		defer func() { <-running }()
	case <-ctx.Done():
		return nil, ctx.Err()
	}
	raw, err := web.Uploaded(in.ContentType, in.RawBody)
	if err != nil {
		return nil, err
	}
	var record []tide.Sample
	var a tide.Analysis
	if in.Of == "turns" {
		var list []tide.Turn
		if list, err = turns.Read(raw, zone); err != nil {
			return nil, web.Wrong("body", err)
		}
		for _, k := range list {
			record = append(record, tide.Sample{Time: k.Time, HeightM: k.LevelM})
		}
		a, err = tide.AnalyseTurns(list, progress)
	} else {
		if record, err = gauge.Read(raw, gauge.Options{Zone: zone}); err != nil {
			return nil, web.Wrong("body", err)
		}
		a, err = tide.Analyse(record, progress)
	}
	if err != nil {
		return nil, web.Wrong("body", err)
	}
	out := analysisOut(a)
	out.Body.Curve = curveOf(record, a)
	return out, nil
}

func analysisOut(a tide.Analysis) *analyseOutput {
	out := &analyseOutput{}
	b := &out.Body
	b.Z0M, b.ResidualRMSM, b.Samples, b.Duplicates, b.Spikes, b.From, b.To = a.Z0M, a.ResidualRMSM, a.Samples, a.Duplicates,
		a.Spikes, a.From, a.To
	b.Constituents, b.Excluded, b.Shifts = []estimateOut{}, []excludedOut{}, []shiftOut{}
	for _, e := range a.Constituents {
		b.Constituents = append(b.Constituents, estimateOut{Name: e.Name, AmplitudeM: e.AmplitudeM, PhaseDeg: e.PhaseDeg,
			AmplitudeErrorM: e.AmplitudeErrorM, PhaseErrorDeg: e.PhaseErrorDeg})
	}
	for _, e := range a.Excluded {
		b.Excluded = append(b.Excluded, excludedOut(e))
	}
	for _, k := range a.Shifts {
		b.Shifts = append(b.Shifts, shiftOut{k.At, k.ByM})
	}
	return out
}
