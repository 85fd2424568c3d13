package call

import (
	"time"

	"greypebble/core/ground"
	"greypebble/core/outing"
	"greypebble/core/tackle"
)

type feature struct {
	Name  string `json:"name"`
	Casts int    `json:"casts"`
	Fish  int    `json:"fish"`
	Signs int    `json:"signs"`
}

type row struct {
	Rods  []rodOut  `json:"rods"`
	Zones []zoneOut `json:"zones"`
	Moves []move    `json:"moves"`
}

type rodOut struct {
	Rod string `json:"rod"`
	outing.Set
	Since     time.Time `json:"since"`
	CheckBait time.Time `json:"check_bait"`
	Fish      int       `json:"fish"`
	Bites     int       `json:"bites"`
}

type zoneOut struct {
	FromM    float64 `json:"from_m"`
	ToM      float64 `json:"to_m"`
	RodHours float64 `json:"rod_hours"`
	Fish     int     `json:"fish"`
}

type move struct {
	Rod    string  `json:"rod"`
	ToM    float64 `json:"to_m"`
	Scouts bool    `json:"scouts"`
}

// level of the water, and how many turns of the reel above the bed it lies, or below the surface where the
// depth is not known.
type level struct {
	DepthM  float64 `json:"depth_m"`
	Turns   float64 `json:"turns"`
	Surface bool    `json:"surface"`
	Tried   bool    `json:"tried"`
	Next    bool    `json:"next"`
}

// crumb is one cast of a trail.
type crumb struct {
	AlongM  float64 `json:"along_m"`
	OutM    float64 `json:"out_m"`
	Feature string  `json:"feature"`
	Signs   int     `json:"signs"`
	Fish    int     `json:"fish"`
	Aimed   bool    `json:"aimed"`
}

// pass over where a trolled lure was hooked.
type pass struct {
	ToStartM   float64 `json:"to_start_m"`
	BearingDeg float64 `json:"bearing_deg"`
	CourseDeg  float64 `json:"course_deg"`
	SpeedMS    float64 `json:"speed_ms"`
	LineM      float64 `json:"line_m"`
	DepthM     float64 `json:"depth_m"`
	HookM      float64 `json:"hook_m"`
	HookDeg    float64 `json:"hook_deg"`
	BoatOverS  float64 `json:"boat_over_s"`
	LureOverS  float64 `json:"lure_over_s"`
	RunM       float64 `json:"run_m"`
}

// usualRate is what is believed of a spot nothing is known of: a fish in three rod-hours, hardly held.
var usualRate = outing.Rate{Fish: 1, RodHours: 3}

// search is what the outing says of where to look: features, zones, levels.
func (c *Core) search(out *outingAnswer, o *outing.Outing, in *outingAsked) {
	out.Features = []feature{}
	for _, f := range o.Features() {
		out.Features = append(out.Features, feature(f))
	}
	if f, pays := o.Pays(); pays {
		out.Pays = f.Name
	}
	prior := in.Here.rate()
	if prior.RodHours == 0 {
		prior = usualRate
	}
	r := o.RowOf(in.Now, prior)
	out.Row = row{[]rodOut{}, []zoneOut{}, []move{}}
	for _, k := range r.Rods {
		out.Row.Rods = append(out.Row.Rods, rodOut{k.Rod, k.Set, k.Since, k.CheckBait, k.Fish, k.Bites})
	}
	for _, z := range r.Zones {
		out.Row.Zones = append(out.Row.Zones, zoneOut{z.FromM, z.ToM, z.RodHours, z.Fish})
	}
	for _, m := range r.Moves {
		out.Row.Moves = append(out.Row.Moves, move(m))
	}
	turn := c.turn()
	at := func(depthM float64) level {
		// Deeper than the water is known to be: counted from above.
		if depthM >= in.DeepM {
			return level{DepthM: depthM, Turns: tackle.Turns(depthM, 0, turn), Surface: true}
		}
		return level{DepthM: depthM, Turns: tackle.Turns(in.DeepM, depthM, turn)}
	}
	levels := func(of []outing.Level) []level {
		out := []level{}
		for _, l := range of {
			one := at(l.DepthM)
			one.Tried, one.Next = l.Tried, l.Next
			out = append(out, one)
		}
		return out
	}
	out.Column = levels(outing.Column(in.DeepM, o.Depths()))
	out.Above = levels(outing.Marked(in.FishM, o.Depths()))
	trail, standing := o.Trail()
	out.Trail, out.Standing, out.SameM = []crumb{}, standing, outing.SamePlace
	if n := len(trail); n > 1 && trail[n-1].Aimed && trail[n-1].Signs == 0 {
		out.Again = outing.CastThere(trail[:n-1], trail[n-1].Aim)
	}
	for _, k := range trail {
		out.Trail = append(out.Trail, crumb{k.AlongM, k.OutM, k.Feature, k.Signs, k.Fish, k.Aimed})
	}
	if h, hooked := o.LastHook(); hooked && in.At != nil {
		p := h.Again(ground.LatLon{Lat: in.At.Lat, Lon: in.At.Lon})
		out.Pass = &pass{p.ToStartM, p.BearingDeg, p.CourseDeg, p.SpeedMS, p.LineM, p.DepthM, p.HookM, p.HookBearing, p.BoatOverS,
			p.LureOverS, p.RunM}
	}
	if passed := o.BoatPassed(in.Now); !passed.IsZero() {
		out.BoatS, out.SettlesS = in.Now.Sub(passed).Seconds(), outing.SettlesSoonest.Seconds()
	}
}

// turn of the handle of the reel at hand, metres.
func (c *Core) turn() float64 {
	if c.kept != nil {
		if m, known := c.kept.Mine.Kit.Turn(); known {
			return m
		}
	}
	return tackle.TypicalTurn
}
