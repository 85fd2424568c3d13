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
	InferredFrom    string  `json:"inferred_from,omitempty" doc:"what a short record could not tell it from"`
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
		LeastShiftM  float64       `json:"least_shift_m" doc:"a lasting change of the zero of less is not found"`
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
	height := make(map[time.Time]float64)
	for _, r := range record {
		if a.To.Sub(r.Time) <= drawn {
			height[r.Time] = r.HeightM
		}
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

func (s service) registerAnalyse(api huma.API) {
	queue := web.NewQueue()
	op := web.TakesFile(web.Post("/tide/analyse", "analyseTide",
		"Constituents from a gauge record (CSV: time, height_m) or a table of turns"))
	web.SignedInto(api, s.Deps, queue, op, func(ctx context.Context, _ *web.Scope, in *analyseInput) (*analyseOutput, error) {
		return analyse(ctx, queue, in, watcher{})
	})
	s.registerAnalyseWatched(api, queue)
}

// watcher is told how far the work is, and before that which place in the queue it has; both
// may be nil.
type watcher struct {
	progress func(share float64)
	place    func(int)
}

// analyse what was sent, when its turn comes.
func analyse(ctx context.Context, queue *web.Queue, in *analyseInput, watch watcher) (*analyseOutput, error) {
	zone, err := web.Zone(in.TimeZone)
	if err != nil {
		return nil, err
	}
	if err := queue.Await(ctx, watch.place); err != nil {
		return nil, err
	}
	progress := func(share float64) error {
		if watch.progress != nil {
			watch.progress(share)
		}
		return ctx.Err() // nobody waits for it any more
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
	if ctx.Err() != nil {
		return nil, ctx.Err()
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
	b.LeastShiftM = a.LeastShiftM
	b.Constituents, b.Excluded, b.Shifts = []estimateOut{}, []excludedOut{}, []shiftOut{}
	for _, e := range a.Constituents {
		b.Constituents = append(b.Constituents, estimateOut{Name: e.Name, AmplitudeM: e.AmplitudeM, PhaseDeg: e.PhaseDeg,
			AmplitudeErrorM: e.AmplitudeErrorM, PhaseErrorDeg: e.PhaseErrorDeg, InferredFrom: e.InferredFrom})
	}
	for _, e := range a.Excluded {
		b.Excluded = append(b.Excluded, excludedOut{e.Name, e.Reason})
	}
	for _, k := range a.Shifts {
		b.Shifts = append(b.Shifts, shiftOut{k.At, k.ByM})
	}
	return out
}
