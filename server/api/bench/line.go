package bench

import (
	"context"
	"fmt"

	"greypebble/core/tackle"
	"greypebble/server/api/web"
)

type leadIn struct {
	CurrentMS     float64       `json:"current_ms"`
	LineDiameterM float64       `json:"line_diameter_m"`
	LineLengthM   float64       `json:"line_length_m" doc:"from rod tip to lead, straight"`
	DepthM        float64       `json:"depth_m,omitempty" doc:"a third of the line if left out"`
	TipM          float64       `json:"tip_m,omitempty" doc:"of the rod above the water; 2.5 if left out"`
	AngleDeg      *float64      `json:"angle_deg,omitempty" minimum:"0" maximum:"180" doc:"of cast to current: 0 down it; 90 if left out"`
	Sinker        tackle.Sinker `json:"sinker,omitempty" enum:"egg,bank,pyramid,grip" doc:"bank if left out"`
}

type leadOut struct {
	HoldKg    float64 `json:"hold_kg"`
	TrotKg    float64 `json:"trot_kg"`
	LineDragN float64 `json:"line_drag_n"`
	// Thicker and Thinner line by one common size, a quarter of its diameter.
	ThickerKg float64 `json:"thicker_kg" doc:"what holds with line a quarter thicker"`
	ThinnerKg float64 `json:"thinner_kg" doc:"and a quarter thinner"`
	Shown
}

func lead(_ context.Context, in *leadIn) (o leadOut, err error) {
	p := tackle.LeadPlace{CurrentMS: in.CurrentMS, LineDiameterM: in.LineDiameterM, LineLengthM: in.LineLengthM, DepthM: in.DepthM,
		TipM: in.TipM, Sinker: in.Sinker}
	if in.AngleDeg != nil {
		p.FromAcrossDeg = 90 - *in.AngleDeg
	}
	l, err := p.Lead()
	if err != nil {
		return o, web.Wrong("body", err)
	}
	o = leadOut{HoldKg: l.HoldKg, TrotKg: l.TrotKg, LineDragN: l.LineDragN}
	for _, one := range []struct {
		by float64
		to *float64
	}{{1.25, &o.ThickerKg}, {0.75, &o.ThinnerKg}} {
		q := p
		q.LineDiameterM *= one.by
		if l, err := q.Lead(); err == nil {
			*one.to = l.HoldKg
		}
	}
	o.Shown = Shown{fmt.Sprintf("pull of a line bowed by %.1f N of current = the hold of the lead in water; trotting takes 2 to 3 oz less",
		l.LineDragN), "Weed on the line, waves and the kind of bottom can double it; current is rarely the same all the way down."}
	return o, nil
}

type jigIn struct {
	DepthM        float64 `json:"depth_m"`
	RunMS         float64 `json:"run_ms" doc:"of the water past the line: current less drift"`
	LineDiameterM float64 `json:"line_diameter_m"`
	AngleDeg      float64 `json:"angle_deg,omitempty" doc:"from upright; 15 if left out"`
}

type jigOut struct {
	MassKg float64 `json:"mass_kg"`
	Shown
}

func verticalJig(_ context.Context, in *jigIn) (o jigOut, err error) {
	if in.AngleDeg == 0 {
		in.AngleDeg = 15
	}
	if o.MassKg, err = tackle.VerticalJig(in.DepthM, in.RunMS, in.LineDiameterM, in.AngleDeg); err != nil {
		return o, web.Wrong("body", err)
	}
	o.Shown = Shown{fmt.Sprintf("½ the line's drag over %.0f m ÷ tan %.0f°", in.DepthM, in.AngleDeg),
		"The boat's drift changes by the minute; tie to the back for vibration, nose or tail for flutter. A teaser half a metre above " +
			"it takes many."}
	return o, nil
}

type floatIn struct {
	LevelM float64 `json:"level_m" doc:"of the tide"`
	CrestM float64 `json:"crest_m" doc:"elevation of the wreck or bar"`
	ClearM float64 `json:"clear_m" doc:"how far over it the bait is to hang"`
}

type floatOut struct {
	KnotM float64 `json:"knot_m" doc:"from hook to stop knot"`
	Shown
}

func stopKnot(_ context.Context, in *floatIn) (o floatOut, err error) {
	if o.KnotM, err = tackle.StopKnot(in.LevelM, in.CrestM, in.ClearM); err != nil {
		return o, web.Wrong("body", err)
	}
	o.Shown = Shown{fmt.Sprintf("%.2f − (%.2f) − %.2f m", in.LevelM, in.CrestM, in.ClearM),
		"Move the knot as the tide moves; wind on the float lifts the bait. A popping float has no knot: its leader must hang a " +
			"hand's breadth clear."}
	return o, nil
}

type lineIn struct {
	Hazard   tackle.Hazard   `json:"hazard" enum:"open sand,shell,pilings,rock,teeth"`
	LineN    float64         `json:"line_n" doc:"breaking strength"`
	LeaderN  float64         `json:"leader_n,omitempty" doc:"the least for the hazard if left out"`
	Material tackle.Material `json:"material" enum:"mono,fluorocarbon,braid"`
	Free     bool            `json:"free_action,omitempty" doc:"the lure is to swing freely"`
}

type lineOut struct {
	LeaderMinN float64 `json:"leader_min_n"`
	LeaderMaxN float64 `json:"leader_max_n"`
	DragN      float64 `json:"drag_n"`
	Knot       string  `json:"knot"`
	Turns      int     `json:"turns"`
	Shown
}

func lineAndLeader(_ context.Context, in *lineIn) (o lineOut, err error) {
	if o.LeaderMinN, o.LeaderMaxN, err = tackle.Leader(in.Hazard); err != nil {
		return o, web.Wrong("body.hazard", err)
	}
	leader := in.LeaderN
	if leader == 0 {
		leader = o.LeaderMinN
	}
	if o.DragN, err = tackle.DragSetting(in.LineN, leader); err != nil {
		return o, web.Wrong("body.line_n", err)
	}
	if o.Knot, o.Turns, err = tackle.Knot(in.Material, in.Free); err != nil {
		return o, web.Wrong("body.material", err)
	}
	o.Shown = Shown{"a third of the weaker of line and leader",
		"Check the leader and tie it anew after every good fish. Never wind against slipping drag, which twists the line: lift, then " +
			"wind down."}
	return o, nil
}
