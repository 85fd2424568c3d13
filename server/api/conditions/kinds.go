package conditions

import (
	"context"
	"math"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/answer"
	"greypebble/core/conditions"
	"greypebble/server/api/web"
)

// kindOut is a kind of reading: all that a form or a label needs to know of it.
type kindOut struct {
	Kind      answer.ReadingKind `json:"kind"`
	Name      string             `json:"name" doc:"in a word"`
	Long      string             `json:"long" doc:"as a form asks for it"`
	Unit      string             `json:"unit"`
	Dimension string             `json:"dimension"`
	Measure   string             `json:"measure,omitempty" enum:"depth,height,temperature,wind,rain" doc:"people choose a unit for"`
	Min       float64            `json:"min"`
	Max       float64            `json:"max"`
	Step      float64            `json:"step"`
	Decimals  int                `json:"decimals"`
	Drawn     string             `json:"drawn" enum:"number,compass,eighths" doc:"how a value is written"`
	Alongside string             `json:"alongside,omitempty" doc:"the kind it is shown and asked for with"`
	Words     []string           `json:"words" nullable:"false" doc:"that may be given instead of a value"`
	Called    []string           `json:"called" nullable:"false" doc:"words it is spoken of in, least first"`
	Columns   []string           `json:"columns" nullable:"false" doc:"of a log that hold it"`
	GivenBy   []string           `json:"given_by" nullable:"false" doc:"who may say it: angler, log, forecast"`
	Assumed   *float64           `json:"assumed,omitempty" doc:"where nothing is known"`
}

type kindsOutput struct {
	Body []kindOut `nullable:"false"`
}

func registerKinds(api huma.API) {
	web.Open(api, web.Get("/readings/kinds", "readingKinds", "The kinds of reading, in the order they are asked after"), kinds)
}

func kinds(context.Context, *struct{}) (*kindsOutput, error) {
	out := &kindsOutput{Body: []kindOut{}}
	for _, n := range conditions.Natures() {
		k := kindOut{Kind: answer.ReadingKind(n.Kind), Name: n.Name, Long: n.Long, Unit: n.Unit, Dimension: n.Dimension.String(),
			Measure: n.Measure,
			Min:     n.Min, Max: n.Max, Step: n.Step, Decimals: n.Decimals, Drawn: string(n.Drawn), Alongside: string(n.Alongside),
			Words: []string{}, Called: []string{}, Columns: n.Columns.List(),
			GivenBy: n.Givers()}
		for _, w := range n.Words {
			k.Called = append(k.Called, w.Word)
		}
		if n.Given {
			k.Words = k.Called
		}
		if !math.IsNaN(n.Assumed) {
			k.Assumed = &n.Assumed
		}
		out.Body = append(out.Body, k)
	}
	return out, nil
}
