package api

import (
	"context"
	"fmt"
	"math"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tackle"
	"greypebble/core/tide"
	"greypebble/core/water"
)

// Shown is how a result was come by. It is exported for huma.
type Shown struct {
	Formula string `json:"formula" doc:"with the inputs, to check by hand"`
	Weak    string `json:"weak" doc:"where it is weak"`
}

// at the bench: a calculation at a path, its input decoded, its result encoded.
func atBench[I, O any](api huma.API, path, id, says string, work func(context.Context, *I) (O, error)) {
	huma.Register(api, operation(http.MethodPost, "/bench/"+path, id, says), func(ctx context.Context, in *struct{ Body I }) (*struct{ Body O }, error) {
		o, err := work(ctx, &in.Body)
		if err != nil {
			return nil, err
		}
		return &struct{ Body O }{o}, nil
	})
}

func (s *Server) registerBench(api huma.API) {
	atBench(api, "reel-turns", "benchReelTurns", "Turns of the handle from one depth to another", reelTurns)
	atBench(api, "fall", "benchFall", "How fast something sinks", fall)
	atBench(api, "pace", "benchPace", "How fast to wind against a push of the water", pace)
	atBench(api, "cadence", "benchCadence", "A retrieve in words, beat by beat", cadence)
	atBench(api, "lead", "benchLead", "The lead that holds bottom, and the one that trots", lead)
	atBench(api, "plug", "benchPlug", "How deep a plug runs along a cast, over a section", s.plug)
	atBench(api, "cast", "benchCast", "Which way to cast to stay over good depths", s.castAlong)
	atBench(api, "interception", "benchInterception", "Where and when to cast at a moving fish", interception)
	atBench(api, "jig", "benchJig", "The weight that keeps a line upright", verticalJig)
	atBench(api, "float", "benchFloat", "Where to stop a sliding float", stopKnot)
	atBench(api, "rods", "benchRods", "How to spread a row of rods", rodsInARow)
	atBench(api, "troll", "benchTroll", "A pass of a trolled lure over a ledge", troll)
	atBench(api, "line", "benchLine", "Leader, drag and knot", lineAndLeader)
	atBench(api, "length-weight", "benchLengthWeight", "What a fish of a length weighs", s.lengthWeight)
	atBench(api, "light-finish", "benchLightFinish", "Which finish shows at a depth now", lightFinish)
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
			return o, wrong("body.gear_ratio", err)
		}
	}
	if err := tackle.ValidTurn(o.LengthPerTurnM); err != nil {
		return o, wrong("body.length_per_turn_m", err)
	}
	if in.FromDepthM < 0 || in.ToDepthM < 0 {
		return o, wrong("body.from_depth_m", fmt.Errorf("expected depths of 0 m or more, not %v and %v", in.FromDepthM, in.ToDepthM))
	}
	o.Turns = tackle.Turns(in.FromDepthM, in.ToDepthM, o.LengthPerTurnM)
	o.Shown = Shown{fmt.Sprintf("(%.2f m − %.2f m) ÷ %.2f m a turn", in.FromDepthM, in.ToDepthM, o.LengthPerTurnM), "A spool half empty brings in less a turn; line that slants is longer than the depth."}
	return o, nil
}

type fallIn struct {
	MassKg      float64      `json:"mass_kg"`
	DensityKgM3 float64      `json:"density_kg_m3" doc:"lead 11340, tungsten 17000, a head with its soft body about 2200"`
	Shape       tackle.Shape `json:"shape" enum:"sphere,egg,jig head,soft lure,metal,fluttering spoon"`
	DepthM      float64      `json:"depth_m" minimum:"0"`
	TimedMS     float64      `json:"timed_ms,omitempty" doc:"a fall timed once; it overrules the shape"`
	BankM       []float64    `json:"bank_m,omitempty" maxItems:"40" nullable:"false" doc:"depths of a stepped bank, from the first step down"`
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
	b := tackle.Body{MassKg: in.MassKg, DensityKgM3: in.DensityKgM3, Shape: in.Shape, TimedMS: in.TimedMS}
	if o.SpeedMS, err = b.FallSpeed(); err != nil {
		return o, wrong("body", err)
	}
	o.Seconds, o.Hops = in.DepthM/o.SpeedMS, []hopOut{}
	if len(in.BankM) > 0 {
		hops, err := b.Hops(in.BankM, in.LiftM)
		if err != nil {
			return o, wrong("body.bank_m", err)
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
		return o, wrong("body", err)
	}
	return paceOut{p.TurnsPer10S, p.GroundMS, p.Drifts, Shown{fmt.Sprintf("(%.2f %+.2f m/s) × 10 s ÷ %.2f m a turn", in.LeastWaterSpeedMS, in.PushMS, in.LengthPerTurnM),
		"The push is felt in the line: slack means more of it. Slower and it planes without action; much faster than needed and it is missed."}}, nil
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
		return o, wrong("body.text", err)
	}
	o = cadenceOut{[]beatOut{}, tackle.Length(beats), tackle.WriteCadence(beats)}
	for _, b := range beats {
		o.Beats = append(o.Beats, beatOut(b))
	}
	return o, nil
}

type leadIn struct {
	CurrentMS     float64       `json:"current_ms"`
	LineDiameterM float64       `json:"line_diameter_m"`
	LineLengthM   float64       `json:"line_length_m" doc:"in the water"`
	DepthM        float64       `json:"depth_m,omitempty" doc:"a third of the line if left out"`
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
	p := tackle.LeadPlace{CurrentMS: in.CurrentMS, LineDiameterM: in.LineDiameterM, LineLengthM: in.LineLengthM, DepthM: in.DepthM, Sinker: in.Sinker}
	l, err := p.Lead()
	if err != nil {
		return o, wrong("body", err)
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
	o.Shown = Shown{fmt.Sprintf("half the line's drag of %.1f N = the hold of the lead in water; trotting takes 2 to 3 oz less", l.LineDragN),
		"Weed on the line, waves and the kind of bottom can double it; current is rarely the same all the way down."}
	return o, nil
}

// PlugIn is exported for huma, which embeds only such types.
type PlugIn struct {
	RatedM        float64        `json:"rated_m"`
	CastM         float64        `json:"cast_m"`
	LineDiameterM float64        `json:"line_diameter_m"`
	PaceMS        float64        `json:"pace_ms"`
	StripMinM     float64        `json:"strip_min_m" minimum:"0"`
	StripMaxM     float64        `json:"strip_max_m"`
	SpotID        *uuid.UUID     `json:"spot_id,omitempty" format:"uuid" doc:"over this spot's section, cast outwards"`
	StandM        *float64       `json:"stand_m,omitempty" doc:"where one stands on that section; the water's edge if left out"`
	Time          time.Time      `json:"time,omitempty" doc:"now if left out"`
	DepthsM       []sectionDepth `json:"depths,omitempty" maxItems:"500" nullable:"false" doc:"or over these, from the rod outwards"`
}

type sectionDepth struct {
	DistanceM float64 `json:"distance_m"`
	DepthM    float64 `json:"depth_m"`
}

type plugOut struct {
	Path     []sectionDepth `json:"path" nullable:"false" doc:"from the end of the cast to the rod"`
	TouchesM *float64       `json:"touches_m,omitempty" doc:"from the rod; left out if it never does"`
	InStripM float64        `json:"in_strip_m"`
	Seconds  float64        `json:"seconds"`
	DeepestM float64        `json:"deepest_m"`
	Shown
}

func (s *Server) plug(ctx context.Context, in *PlugIn) (o plugOut, err error) {
	depth, err := s.depthsFrom(ctx, in)
	if err != nil {
		return o, err
	}
	swim, err := tackle.Plug{RatedM: in.RatedM}.Swim(in.CastM, in.LineDiameterM, in.PaceMS, depth, in.StripMinM, in.StripMaxM)
	if err != nil {
		return o, wrong("body", err)
	}
	o = plugOut{Path: []sectionDepth{}, InStripM: swim.InStripM, Seconds: swim.Seconds}
	for i, p := range swim.Path {
		o.DeepestM = math.Max(o.DeepestM, p.DepthM)
		if i%2 == 0 || i == len(swim.Path)-1 {
			o.Path = append(o.Path, sectionDepth{p.DistanceM, p.DepthM})
		}
	}
	if swim.TouchesM >= 0 {
		o.TouchesM = &swim.TouchesM
	}
	o.Shown = Shown{fmt.Sprintf("rated %.1f m × √(0.30 mm ÷ %.2f mm), less on a cast shorter than 30 m", in.RatedM, in.LineDiameterM*1000),
		"A model good to a third: note the depth where yours first knocks, and rate it anew."}
	return o, nil
}

// depthsFrom the rod outwards: those given, or a spot's section at its tide.
func (s *Server) depthsFrom(ctx context.Context, in *PlugIn) (func(float64) float64, error) {
	var points []ground.Point
	level := 0.0
	switch {
	case in.SpotID != nil:
		sp, _, err := s.spot(ctx, *in.SpotID)
		if err != nil {
			return nil, err
		}
		t := s.at(in.Time)
		c, err := tide.Over(sp.Tide, t, t)
		if err != nil {
			return nil, failed(err)
		}
		points, level = sp.Section, c.Level(t)
	case len(in.DepthsM) > 0:
		for _, d := range in.DepthsM {
			points = append(points, ground.Point{DistanceM: d.DistanceM, ElevationM: -d.DepthM})
		}
	default:
		return nil, wrong("body.depths", fmt.Errorf("say a spot, or the depths from the rod outwards"))
	}
	section, err := ground.NewSection(points)
	if err != nil {
		return nil, wrong("body.depths", err)
	}
	from, to := section.Ends()
	stand := from
	switch {
	case in.StandM != nil:
		stand = *in.StandM
	case in.SpotID != nil:
		for d := from; d < to; d += 0.5 {
			if section.Elevation(d) < level {
				stand = d
				break
			}
		}
	}
	return func(out float64) float64 {
		if stand+out > to {
			return math.NaN()
		}
		return level - section.Elevation(stand+out)
	}, nil
}

type castIn struct {
	SpotID uuid.UUID `json:"spot_id" format:"uuid" doc:"cast from it, over the depths of its water"`
	Time   time.Time `json:"time,omitempty" doc:"now if left out"`
	CastM  float64   `json:"cast_m"`
	PaceMS float64   `json:"pace_ms"`
	MinM   float64   `json:"min_m" minimum:"0" doc:"depths that are good"`
	MaxM   float64   `json:"max_m"`
}

type directionOut struct {
	BearingDeg float64  `json:"bearing_deg"`
	InStripM   float64  `json:"in_strip_m"`
	FirstM     *float64 `json:"first_m,omitempty" doc:"where it begins"`
	Seconds    float64  `json:"seconds"`
}

type castOut struct {
	Directions []directionOut `json:"directions" nullable:"false"`
	BestDeg    *float64       `json:"best_deg,omitempty"`
	Shown
}

func (s *Server) castAlong(ctx context.Context, in *castIn) (o castOut, err error) {
	sp, angler, err := s.spot(ctx, in.SpotID)
	if err != nil {
		return o, err
	}
	g, err := s.store.Grid(ctx, angler, sp.Water.ID)
	if err != nil {
		return o, failed(err)
	}
	t := s.at(in.Time)
	c, err := tide.Over(sp.Tide, t, t)
	if err != nil {
		return o, failed(err)
	}
	here, level := ground.LatLon{Lat: sp.Lat, Lon: sp.Lon}, c.Level(t)
	list, err := tackle.Directions(in.CastM, in.PaceMS, in.MinM, in.MaxM, func(e, n float64) float64 {
		return level - g.Elevation(ground.Toward(here, math.Atan2(e, n)*180/math.Pi, math.Hypot(e, n)))
	})
	if err != nil {
		return o, wrong("body", err)
	}
	best := 0.0
	o.Directions = []directionOut{}
	for _, d := range list {
		k := directionOut{BearingDeg: d.BearingDeg, InStripM: d.InStripM, Seconds: d.Seconds}
		if d.FirstM >= 0 {
			k.FirstM = &d.FirstM
		}
		if d.InStripM > best {
			best = d.InStripM
			o.BestDeg = &k.BearingDeg
		}
		o.Directions = append(o.Directions, k)
	}
	o.Shown = Shown{fmt.Sprintf("metres of a %.0f m cast over %.1f to %.1f m of water, ÷ %.2f m/s", in.CastM, in.MinM, in.MaxM, in.PaceMS), "As good as the depths of the map; a cast that drops short fishes less."}
	return o, nil
}

type fishIn struct {
	XM         float64 `json:"x_m" doc:"east of you"`
	YM         float64 `json:"y_m" doc:"north of you"`
	SpeedMS    float64 `json:"speed_ms"`
	BearingDeg float64 `json:"bearing_deg" doc:"clockwise from north"`
}

type interceptionIn struct {
	Fish          fishIn  `json:"fish"`
	PaceMS        float64 `json:"pace_ms"`
	FlightSpeedMS float64 `json:"flight_speed_ms"`
	ReachM        float64 `json:"reach_m"`
	SplashClearM  float64 `json:"splash_clear_m" doc:"how far from the fish it must fall"`
	WindowMinM    float64 `json:"window_min_m" doc:"how far ahead of the nose it is to cross"`
	WindowMaxM    float64 `json:"window_max_m"`
}

type interceptionOut struct {
	LandXM        float64 `json:"land_x_m"`
	LandYM        float64 `json:"land_y_m"`
	WaitS         float64 `json:"wait_s" doc:"before the cast"`
	SplashS       float64 `json:"splash_s"`
	CrossS        float64 `json:"cross_s"`
	PassDistanceM float64 `json:"pass_distance_m" doc:"ahead of the nose"`
	Possible      bool    `json:"possible"`
	Why           string  `json:"why"`
}

func interception(_ context.Context, in *interceptionIn) (o interceptionOut, err error) {
	a, err := tackle.Cast{Fish: tackle.Fish(in.Fish), PaceMS: in.PaceMS, FlightMS: in.FlightSpeedMS, ReachM: in.ReachM, SplashClearM: in.SplashClearM,
		WindowMinM: in.WindowMinM, WindowMaxM: in.WindowMaxM}.Intercept()
	if err != nil {
		return o, wrong("body", err)
	}
	return interceptionOut(a), nil
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
		return o, wrong("body", err)
	}
	o.Shown = Shown{fmt.Sprintf("½ the line's drag over %.0f m ÷ tan %.0f°", in.DepthM, in.AngleDeg), "The boat's drift changes by the minute; tie to the back for vibration, nose or tail for flutter."}
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
		return o, wrong("body", err)
	}
	o.Shown = Shown{fmt.Sprintf("%.2f − (%.2f) − %.2f m", in.LevelM, in.CrestM, in.ClearM), "Move the knot as the tide moves; wind on the float lifts the bait."}
	return o, nil
}

type zoneOfRods struct {
	Name  string  `json:"name"`
	FromM float64 `json:"from_m"`
	ToM   float64 `json:"to_m"`
	Worth float64 `json:"worth,omitempty"`
}

type rodsIn struct {
	Rods   int          `json:"rods"`
	ReachM float64      `json:"reach_m"`
	Zones  []zoneOfRods `json:"zones,omitempty" maxItems:"20" nullable:"false"`
}

type rodOut struct {
	Number int     `json:"number"`
	CastM  float64 `json:"cast_m"`
	Over   string  `json:"over"`
}

type rodsOut struct {
	Rods []rodOut `json:"rods" nullable:"false"`
	Says string   `json:"says"`
}

func rodsInARow(_ context.Context, in *rodsIn) (o rodsOut, err error) {
	var zones []tackle.Zone
	for _, z := range in.Zones {
		zones = append(zones, tackle.Zone(z))
	}
	rods, err := tackle.Spread(in.Rods, in.ReachM, zones)
	if err != nil {
		return o, wrong("body", err)
	}
	o = rodsOut{[]rodOut{}, "Until one zone produces: then bring all of them there and leave one scouting."}
	for _, r := range rods {
		o.Rods = append(o.Rods, rodOut(r))
	}
	return o, nil
}

type trollIn struct {
	Lure         tackle.Trolled `json:"lure" enum:"bucktail,top-water,small skirted lure,strip bait"`
	SpeedMS      float64        `json:"speed_ms"`
	BehindM      float64        `json:"behind_m"`
	LedgeM       float64        `json:"ledge_m" doc:"along the way"`
	DragN        float64        `json:"drag_n,omitempty"`
	BreakN       float64        `json:"break_n,omitempty"`
	StretchBreak float64        `json:"stretch_at_break,omitempty" doc:"mono about 0.22, braid 0.04"`
}

type trollOut struct {
	MinMS      float64 `json:"min_ms"`
	MaxMS      float64 `json:"max_ms"`
	Fits       bool    `json:"fits"`
	OverLedgeS float64 `json:"over_ledge_s"`
	TurnAfterS float64 `json:"turn_after_s" doc:"once the boat is past it"`
	GiveM      float64 `json:"give_m" doc:"stretch before the drag slips"`
	Shown
}

func troll(_ context.Context, in *trollIn) (o trollOut, err error) {
	p, err := tackle.Troll(*in).Pass()
	if err != nil {
		return o, wrong("body", err)
	}
	return trollOut{p.MinMS, p.MaxMS, p.Fits, p.OverLedgeS, p.TurnAfterS, p.GiveM, Shown{fmt.Sprintf("%.0f m ÷ %.1f m/s; %.0f m behind ÷ %.1f m/s", in.LedgeM, in.SpeedMS, in.BehindM, in.SpeedMS),
		"Speed over the ground and through the water differ by the current; slow down gradually when hooked."}}, nil
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
		return o, wrong("body.hazard", err)
	}
	leader := in.LeaderN
	if leader == 0 {
		leader = o.LeaderMinN
	}
	if o.DragN, err = tackle.DragSetting(in.LineN, leader); err != nil {
		return o, wrong("body.line_n", err)
	}
	if o.Knot, o.Turns, err = tackle.Knot(in.Material, in.Free); err != nil {
		return o, wrong("body.material", err)
	}
	o.Shown = Shown{"a third of the weaker of line and leader", "Check the leader and tie it anew after every good fish."}
	return o, nil
}

type lengthWeightIn struct {
	Target  string  `json:"target"`
	LengthM float64 `json:"length_m"`
	MassKg  float64 `json:"mass_kg,omitempty" doc:"if weighed: its condition is told"`
}

type lengthWeightOut struct {
	MassKg    float64  `json:"mass_kg"`
	LowKg     float64  `json:"low_kg" doc:"four in five lie between"`
	HighKg    float64  `json:"high_kg"`
	Condition *float64 `json:"condition,omitempty" doc:"Fulton's K of the weight given"`
	Shown
}

func (s *Server) lengthWeight(_ context.Context, in *lengthWeightIn) (o lengthWeightOut, err error) {
	target, err := s.book.Target(in.Target)
	if err != nil {
		return o, wrong("body.target", err)
	}
	if o.MassKg, err = target.Weight.Mass(in.LengthM); err != nil {
		return o, wrong("body.length_m", err)
	}
	o.LowKg, o.HighKg = tackle.Spreading(o.MassKg)
	if in.MassKg > 0 {
		k := tackle.Condition(in.LengthM, in.MassKg)
		o.Condition = &k
	}
	o.Shown = Shown{fmt.Sprintf("%.4g × %.1f cm ^ %.2f g", target.Weight.A, in.LengthM*100, target.Weight.B), "Parameters from memory; fish before spawning weigh more, after it less."}
	return o, nil
}

type lightFinishIn struct {
	SecchiM        float64 `json:"secchi_m"`
	DepthM         float64 `json:"depth_m" minimum:"0"`
	SunAltitudeDeg float64 `json:"sun_altitude_deg" minimum:"-90" maximum:"90"`
	CloudFraction  float64 `json:"cloud_fraction" minimum:"0" maximum:"1"`
}

type lightFinishOut struct {
	Class    string      `json:"class"`
	Lux      float64     `json:"lux"`
	Finishes []finishOut `json:"finishes" nullable:"false" doc:"best first"`
}

func lightFinish(_ context.Context, in *lightFinishIn) (o lightFinishOut, err error) {
	k, err := water.Attenuation(in.SecchiM)
	if err != nil {
		return o, wrong("body.secchi_m", err)
	}
	o.Lux = water.Sky{SunAltitude: in.SunAltitudeDeg, Cloud: in.CloudFraction}.Surface() * water.Remaining(k, in.DepthM)
	class := water.Class(o.Lux)
	o.Class, o.Finishes = class.String(), []finishOut{}
	for _, f := range water.FinishesFor(class, in.SecchiM) {
		o.Finishes = append(o.Finishes, finishOut{string(f.Finish), f.Why})
	}
	return o, nil
}
