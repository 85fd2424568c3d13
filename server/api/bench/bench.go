package bench

import (
	"context"
	"fmt"

	"github.com/danielgtaylor/huma/v2"

	"greypebble/core/tackle"
	"greypebble/server/api/web"
)

// Shown is how a result was come by. It is exported for huma.
type Shown struct {
	Formula string `json:"formula" doc:"with the inputs, to check by hand"`
	Weak    string `json:"weak" doc:"where it is weak"`
}

// at the bench: a calculation at a path, its input decoded, its result encoded.
func atBench[I, O any](api huma.API, d *web.Deps, path, id, says string, work func(context.Context, *I) (O, error)) {
	web.Closed(api, d, web.Post("/bench/"+path, id, says), func(ctx context.Context, in *struct{ Body I }) (*struct{ Body O }, error) {
		o, err := work(ctx, &in.Body)
		if err != nil {
			return nil, err
		}
		return &struct{ Body O }{o}, nil
	})
}

// ofSpots is a calculation that looks at the angler's spots, kit or book.
func ofSpots[I, O any](api huma.API, d *web.Deps, path, id, says string, work func(context.Context, *web.Scope, *I) (O, error)) {
	web.Signed(api, d, web.Post("/bench/"+path, id, says), func(ctx context.Context, as *web.Scope,
		in *struct{ Body I }) (*struct{ Body O }, error) {
		o, err := work(ctx, as, &in.Body)
		if err != nil {
			return nil, err
		}
		return &struct{ Body O }{o}, nil
	})
}

func (s service) registerBench(api huma.API) {
	atBench(api, s.Deps, "reel-turns", "benchReelTurns", "Turns of the handle from one depth to another", reelTurns)
	atBench(api, s.Deps, "fall", "benchFall", "How fast something sinks", fall)
	atBench(api, s.Deps, "pace", "benchPace", "How fast to wind against a push of the water", pace)
	atBench(api, s.Deps, "cadence", "benchCadence", "A retrieve in words, beat by beat", cadence)
	atBench(api, s.Deps, "lead", "benchLead", "The lead that holds bottom, and the one that trots", lead)
	ofSpots(api, s.Deps, "plug", "benchPlug", "How deep a plug runs along a cast, over a section", s.plug)
	ofSpots(api, s.Deps, "cast", "benchCast", "Which way to cast to stay over good depths", s.castAlong)
	atBench(api, s.Deps, "interception", "benchInterception", "Where and when to cast at a moving fish", interception)
	atBench(api, s.Deps, "jig", "benchJig", "The weight that keeps a line upright", verticalJig)
	atBench(api, s.Deps, "float", "benchFloat", "Where to stop a sliding float", stopKnot)
	ofSpots(api, s.Deps, "rods", "benchRods", "How to spread a row of rods", s.rodsInARow)
	atBench(api, s.Deps, "troll", "benchTroll", "A pass of a trolled lure over a ledge", troll)
	atBench(api, s.Deps, "line", "benchLine", "Leader, drag and knot", lineAndLeader)
	ofSpots(api, s.Deps, "length-weight", "benchLengthWeight", "What a fish of a length weighs", s.lengthWeight)
	atBench(api, s.Deps, "light-finish", "benchLightFinish", "Which finish shows at a depth now", lightFinish)
}

type reelTurnsIn struct {
	LengthPerTurnM float64 `json:"length_per_turn_m,omitempty" doc:"measured; or say ratio and spool"`
	GearRatio      float64 `json:"gear_ratio,omitempty"`
	SpoolDiameterM float64 `json:"spool_diameter_m,omitempty" doc:"over the line on it"`
	FromDepthM     float64 `json:"from_depth_m"`
	ToDepthM       float64 `json:"to_depth_m"`
}

type reelTurnsOut struct {
	LengthPerTurnM float64 `json:"length_per_turn_m"`
	Turns          float64 `json:"turns" doc:"below 0: line to let out"`
	Shown
}

func reelTurns(_ context.Context, in *reelTurnsIn) (o reelTurnsOut, err error) {
	o.LengthPerTurnM = in.LengthPerTurnM
	if o.LengthPerTurnM == 0 && (in.GearRatio != 0 || in.SpoolDiameterM != 0) {
		if o.LengthPerTurnM, err = tackle.TurnLength(in.GearRatio, in.SpoolDiameterM); err != nil {
			return o, web.Wrong("body", err)
		}
	}
	if err := tackle.ValidTurn(o.LengthPerTurnM); err != nil {
		return o, web.Wrong("body.length_per_turn_m", err)
	}
	if in.FromDepthM < 0 || in.ToDepthM < 0 {
		return o, web.Wrong("body.from_depth_m", fmt.Errorf("expected depths of 0 m or more, not %v and %v", in.FromDepthM, in.ToDepthM))
	}
	o.Turns = tackle.Turns(in.FromDepthM, in.ToDepthM, o.LengthPerTurnM)
	o.Shown = Shown{fmt.Sprintf("(%.2f m − %.2f m) ÷ %.2f m a turn", in.FromDepthM, in.ToDepthM, o.LengthPerTurnM),
		"A spool half empty brings in less a turn; line that slants is longer than the depth."}
	return o, nil
}

type fallIn struct {
	MassKg      float64      `json:"mass_kg"`
	DensityKgM3 float64      `json:"density_kg_m3,omitempty" doc:"lead 11340, tungsten 17000, a dressed head about 2200"`
	Shape       tackle.Shape `json:"shape" enum:"sphere,egg,jig head,soft lure,metal,fluttering spoon"`
	DepthM      float64      `json:"depth_m" minimum:"0"`
	TimedMS     float64      `json:"timed_ms,omitempty" doc:"a fall timed once; it overrules the shape"`
	BankM       []float64    `json:"bank_m,omitempty" maxItems:"40" nullable:"false" doc:"depths of a stepped bank, the first step first"`
	LiftM       float64      `json:"lift_m,omitempty" doc:"how far a hop raises it"`
}

type hopOut struct {
	FromM   float64 `json:"from_m"`
	ToM     float64 `json:"to_m"`
	Seconds float64 `json:"seconds"`
}

type fallOut struct {
	SpeedMS float64  `json:"speed_ms"`
	Seconds float64  `json:"seconds"`
	Hops    []hopOut `json:"hops" nullable:"false"`
	Shown
}

func fall(_ context.Context, in *fallIn) (o fallOut, err error) {
	if in.DensityKgM3 == 0 {
		in.DensityKgM3 = tackle.DensityOf(in.Shape)
	}
	b := tackle.Body{MassKg: in.MassKg, DensityKgM3: in.DensityKgM3, Shape: in.Shape, TimedMS: in.TimedMS}
	if o.SpeedMS, err = b.FallSpeed(); err != nil {
		return o, web.Wrong("body", err)
	}
	o.Seconds, o.Hops = in.DepthM/o.SpeedMS, []hopOut{}
	if len(in.BankM) > 0 {
		hops, err := b.Hops(in.BankM, in.LiftM)
		if err != nil {
			return o, web.Wrong("body.bank_m", err)
		}
		for _, h := range hops {
			o.Hops = append(o.Hops, hopOut{h.FromDepthM, h.ToDepthM, h.Seconds})
		}
	}
	weak := "Line and current slow it; time it once over a known depth."
	if in.Shape != tackle.Sphere && in.TimedMS == 0 {
		weak = "The drag of a " + string(in.Shape) + " is a rule of thumb against the sphere's. " + weak
	}
	o.Shown = Shown{fmt.Sprintf("v = √(4(ρ/ρw − 1)gd / 3Cd) = %.2f m/s; %.2f m ÷ %.2f m/s", o.SpeedMS, in.DepthM, o.SpeedMS), weak}
	return o, nil
}

type paceIn struct {
	LeastWaterSpeedMS float64 `json:"least_water_speed_ms" doc:"slowest through the water at which it works"`
	PushMS            float64 `json:"push_ms" doc:"above 0: the water carries the lure towards you"`
	LengthPerTurnM    float64 `json:"length_per_turn_m"`
}

type paceOut struct {
	TurnsPer10S float64 `json:"turns_per_10s"`
	GroundMS    float64 `json:"ground_ms" doc:"how fast the line comes in"`
	Drifts      bool    `json:"drifts" doc:"the water draws it faster than it wants: let line out"`
	Shown
}

func pace(_ context.Context, in *paceIn) (o paceOut, err error) {
	p, err := tackle.PaceFor(in.LeastWaterSpeedMS, in.PushMS, in.LengthPerTurnM)
	if err != nil {
		return o, web.Wrong("body", err)
	}
	return paceOut{p.TurnsPer10S, p.GroundMS, p.Drifts,
		Shown{fmt.Sprintf("(%.2f %+.2f m/s) × 10 s ÷ %.2f m a turn", in.LeastWaterSpeedMS, in.PushMS, in.LengthPerTurnM),
			"The push is felt in the line: slack means more of it. Slower and it planes without action; much faster than needed and " +
				"it is missed."}}, nil
}

type cadenceIn struct {
	Text string `json:"text" maxLength:"400" doc:"such as 2 twitch pause 4 s"`
}

type beatOut struct {
	Move    string  `json:"move"`
	Seconds float64 `json:"seconds"`
}

type cadenceOut struct {
	Beats   []beatOut `json:"beats" nullable:"false"`
	Seconds float64   `json:"seconds" doc:"of one round"`
	Text    string    `json:"text" doc:"in its shortest words"`
}

func cadence(_ context.Context, in *cadenceIn) (o cadenceOut, err error) {
	beats, err := tackle.ParseCadence(in.Text)
	if err != nil {
		return o, web.Wrong("body.text", err)
	}
	o = cadenceOut{[]beatOut{}, tackle.Length(beats), tackle.WriteCadence(beats)}
	for _, b := range beats {
		o.Beats = append(o.Beats, beatOut(b))
	}
	return o, nil
}
