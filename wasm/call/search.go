package call

import (
	"time"

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
}

// usualRate is what is believed of a spot nothing is known of: a fish in three rod-hours, hardly held.
var usualRate = outing.Rate{Fish: 1, RodHours: 3}

// search is what the outing says of where to look: features, zones, levels.
func (c *Core) search(out *outingAnswer, o *outing.Outing, in *outingAsked) {
	out.Features, out.Column = []feature{}, []level{}
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
	at := func(depthM float64, tried bool) level {
		if in.DeepM <= 0 {
			return level{depthM, tackle.Turns(depthM, 0, turn), true, tried}
		}
		return level{depthM, tackle.Turns(in.DeepM, depthM, turn), false, tried}
	}
	for _, l := range outing.Column(in.DeepM, o.Depths()) {
		out.Column = append(out.Column, at(l.DepthM, l.Tried))
	}
	if in.FishM > 0 {
		stop := at(outing.AboveFish(in.FishM), false)
		out.Above = &stop
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
