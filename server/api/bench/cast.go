package bench

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"
	"time"

	"github.com/google/uuid"

	"greypebble/core/ground"
	"greypebble/core/tackle"
	"greypebble/core/tide"
	"greypebble/server/api/web"
)

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

func (s service) plug(ctx context.Context, as *web.Scope, in *PlugIn) (o plugOut, err error) {
	depth, err := s.depthsFrom(ctx, as, in)
	if err != nil {
		return o, err
	}
	swim, err := tackle.Plug{RatedM: in.RatedM}.Swim(in.CastM, in.LineDiameterM, in.PaceMS, depth, in.StripMinM, in.StripMaxM)
	if err != nil {
		return o, web.Wrong("body", err)
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
func (s service) depthsFrom(ctx context.Context, as *web.Scope, in *PlugIn) (func(float64) float64, error) {
	var points []ground.Point
	level := 0.0
	switch {
	case in.SpotID != nil:
		sp, err := s.Store.Spot(ctx, as.Angler, *in.SpotID)
		if err != nil {
			return nil, err
		}
		t := as.At(in.Time)
		c, err := tide.Over(sp.Tide, t, t)
		if err != nil {
			return nil, err
		}
		points, level = sp.Section, c.Level(t)
	case len(in.DepthsM) > 0:
		for _, d := range in.DepthsM {
			points = append(points, ground.Point{DistanceM: d.DistanceM, ElevationM: -d.DepthM})
		}
	default:
		return nil, web.Wrong("body.depths", fmt.Errorf("say a spot, or the depths from the rod outwards"))
	}
	section, err := ground.NewSection(points)
	if err != nil {
		return nil, web.Wrong("body.depths", err)
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

func (s service) castAlong(ctx context.Context, as *web.Scope, in *castIn) (o castOut, err error) {
	sp, err := s.Store.Spot(ctx, as.Angler, in.SpotID)
	if err != nil {
		return o, err
	}
	g, err := s.Store.Grid(ctx, as.Angler, sp.Water.ID)
	if err != nil {
		return o, err
	}
	t := as.At(in.Time)
	c, err := tide.Over(sp.Tide, t, t)
	if err != nil {
		return o, err
	}
	here, level := sp.LatLon, c.Level(t)
	list, err := tackle.Directions(in.CastM, in.PaceMS, in.MinM, in.MaxM, func(e, n float64) float64 {
		return level - g.Elevation(ground.Toward(here, math.Atan2(e, n)*180/math.Pi, math.Hypot(e, n)))
	})
	if err != nil {
		return o, web.Wrong("body", err)
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
	o.Shown = Shown{fmt.Sprintf("metres of a %.0f m cast over %.1f to %.1f m of water, ÷ %.2f m/s", in.CastM, in.MinM, in.MaxM, in.PaceMS),
		"As good as the depths of the map; a cast that drops short fishes less."}
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
	ReachM        float64 `json:"reach_m" doc:"in still air"`
	WindMS        float64 `json:"wind_ms,omitempty"`
	WindFromDeg   float64 `json:"wind_from_deg,omitempty" doc:"clockwise from north"`
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
	a, err := tackle.Cast{Fish: tackle.Fish(in.Fish), PaceMS: in.PaceMS, FlightMS: in.FlightSpeedMS, ReachM: in.ReachM, WindMS: in.WindMS,
		WindFromDeg: in.WindFromDeg, SplashClearM: in.SplashClearM, WindowMinM: in.WindowMinM, WindowMaxM: in.WindowMaxM}.Intercept()
	if err != nil {
		return o, web.Wrong("body", err)
	}
	return interceptionOut(a), nil
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
	SpotID *uuid.UUID   `json:"spot_id,omitempty" format:"uuid" doc:"whose marks are the zones, where none are said"`
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

func (s service) rodsInARow(ctx context.Context, as *web.Scope, in *rodsIn) (o rodsOut, err error) {
	var zones []tackle.Zone
	if in.SpotID != nil && len(in.Zones) == 0 {
		sp, err := s.Store.Spot(ctx, as.Angler, *in.SpotID)
		if err != nil {
			return o, err
		}
		marks := slices.Clone(sp.Marks)
		slices.SortFunc(marks, func(a, b ground.Mark) int { return cmp.Compare(a.DistanceM, b.DistanceM) })
		for _, m := range marks {
			if m.DistanceM > 0 {
				zones = append(zones, tackle.ZoneAbout(m.Name, m.DistanceM))
			}
		}
	}
	for _, z := range in.Zones {
		zones = append(zones, tackle.Zone(z))
	}
	rods, err := tackle.Spread(in.Rods, in.ReachM, zones)
	if err != nil {
		return o, web.Wrong("body", err)
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
	StretchBreak float64        `json:"stretch_at_break,omitempty" doc:"mono about 0.22, braid 0.04; by the material if left out"`
	Material     string         `json:"material,omitempty" enum:"mono,fluorocarbon,braid"`
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
	if in.StretchBreak == 0 && in.Material != "" {
		in.StretchBreak = tackle.StretchOf(tackle.Material(in.Material))
	}
	p, err := tackle.Troll{Lure: in.Lure, SpeedMS: in.SpeedMS, BehindM: in.BehindM, LedgeM: in.LedgeM, DragN: in.DragN, BreakN: in.BreakN,
		StretchBreak: in.StretchBreak}.Pass()
	if err != nil {
		return o, web.Wrong("body", err)
	}
	return trollOut{MinMS: p.MinMS, MaxMS: p.MaxMS, Fits: p.Fits, OverLedgeS: p.OverLedgeS, TurnAfterS: p.TurnAfterS, GiveM: p.GiveM,
		Shown: Shown{fmt.Sprintf("%.0f m ÷ %.1f m/s; %.0f m behind ÷ %.1f m/s", in.LedgeM, in.SpeedMS, in.BehindM, in.SpeedMS),
			"Speed over the ground and through the water differ by the current; slow down gradually when hooked."}}, nil
}
