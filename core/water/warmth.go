package water

import (
	"fmt"
	"math"
	"time"
)

// Bed under a column of water.
type Bed struct {
	// ElevationM above chart datum: with the tide it gives the depth.
	ElevationM float64
	// Reflects is the share of light the bed throws back.
	Reflects float64
	// Holds is the heat its upper layer takes up, J/m²K.
	Holds float64
}

// Beds by what lies there: reflection and the heat held by the upper ten
// centimetres. From memory, in the range of the usual tables for wet ground.
var beds = map[string]Bed{
	"mud": {Reflects: 0.07, Holds: 3.0e5}, "grass": {Reflects: 0.1, Holds: 3.0e5}, "timber": {Reflects: 0.1, Holds: 3.0e5},
	"shell": {Reflects: 0.25, Holds: 2.5e5}, "sand": {Reflects: 0.3, Holds: 2.5e5}, "rock": {Reflects: 0.15, Holds: 2.2e5},
}

// BedOf a bottom in words at an elevation; one not known counts as sand.
func BedOf(bottom string, elevationM float64) Bed {
	b, ok := beds[bottom]
	if !ok {
		b = beds["sand"]
	}
	b.ElevationM = elevationM
	return b
}

// Surroundings are what a column of water lives in, at any moment.
type Surroundings struct {
	Weather func(t time.Time) Weather
	// Level of the tide in metres above datum.
	Level func(t time.Time) float64
	// Around is the temperature in °C of the open water the flood brings.
	Around func(t time.Time) float64
	// Attenuation of light per metre.
	Attenuation float64
	// FlushS is the time in seconds in which a metre of water is exchanged with that around
	// it, by waves, wind and run; shallower water is sooner. Zero stands for never.
	FlushS float64
}

// Warm is a column at a moment.
type Warm struct {
	Time time.Time
	// WaterC is NaN when the ground is dry; BedC is that of the upper bed.
	WaterC, BedC, DepthM float64
}

// Heat gained by a column and its bed since the start, J/m²; losses are
// negative. Stored is what both hold more than at the start, so that the rest
// adds up to it.
type Heat struct {
	Sun, LongWave, Evaporation, Sensible float64
	// Tide is what the flood brought less what the ebb took, Deep what went into
	// the ground below the upper bed.
	Tide, Deep float64
	Stored     float64
}

// Gained is everything that came in.
func (h Heat) Gained() float64 {
	return h.Sun + h.LongWave + h.Evaporation + h.Sensible + h.Tide + h.Deep
}

const (
	// shallowest water that counts as wet, metres: a film has the bed's warmth.
	shallowest = 0.03
	// conductance between water and bed, and between the upper bed and the
	// ground below, W/m²K: saturated ground of 1 W/mK over 4 and 25 cm.
	bedConductance  = 25.0
	deepConductance = 4.0
	// damp is how freely uncovered ground evaporates.
	damp = 0.5
	// penetrating share of sunshine: the rest, infrared, stays at the surface.
	penetrating = 0.5
)

// Warming follows a column from a time on, in steps, beginning at the
// temperature of the water around it: the energy budget of sun through cloud
// and water, long wave, evaporation, sensible heat, the bed, and the depth by
// the tide. Steps are given from first to last. Its heat closes by construction
// of the budget, up to the step's own error.
func Warming(bed Bed, s Surroundings, from, to time.Time, step time.Duration) ([]Warm, Heat, error) {
	if to.Before(from) || step < time.Second || to.Sub(from)/step > 1_000_000 {
		return nil, Heat{}, fmt.Errorf("water: warming needs an interval forward in time of at most a million steps of a second or more")
	}
	c := column{bed: bed, in: s}
	c.begin(from)
	start := c.held()
	out := make([]Warm, 0, int(to.Sub(from)/step)+1)
	out = append(out, c.warm(from))
	for t := from; t.Before(to); t = t.Add(step) {
		c.advance(t, step)
		out = append(out, c.warm(t.Add(step)))
	}
	c.heat.Stored = c.held() - start
	return out, c.heat, nil
}

// column in progress: its temperatures and depth.
type column struct {
	bed          Bed
	in           Surroundings
	water, upper float64 // °C
	depth        float64
	deep         float64 // °C, of the ground below
	heat         Heat
}

func (c *column) begin(t time.Time) {
	c.water = c.in.Around(t)
	c.upper, c.deep = c.water, c.water
	c.depth = c.in.Level(t) - c.bed.ElevationM
	if c.depth < shallowest {
		c.depth = 0
	}
}

// held heat above 0 °C, J/m².
func (c *column) held() float64 {
	return heatCapacity*c.depth*c.water + c.bed.Holds*c.upper
}

func (c *column) warm(t time.Time) Warm {
	w := Warm{t, c.water, c.upper, c.depth}
	if c.depth == 0 {
		w.WaterC = math.NaN()
	}
	return w
}

// flows of heat into water and bed, W/m².
type flows struct {
	sunWater, sunBed, toBed, toDeep float64
	air                             Exchange
}

func (c *column) flows(w Weather, water, upper, depth float64) flows {
	var f flows
	sun := Sunshine(w.SunAltitude, w.Cloud)
	f.toDeep = deepConductance * (upper - c.deep)
	if depth == 0 {
		f.sunBed = sun * (1 - c.bed.Reflects)
		f.air = exchange(upper, w, damp)
		return f
	}
	sun *= 1 - reflected(w.SunAltitude)
	through := sun * penetrating * math.Exp(-c.in.Attenuation*depth)
	f.sunBed = through * (1 - c.bed.Reflects)
	// What the bed throws back is taken up on its way out; the rest is lost.
	back := through * c.bed.Reflects * (1 - math.Exp(-c.in.Attenuation*depth))
	f.sunWater = sun - through + back
	f.toBed = bedConductance * (water - upper)
	f.air = exchange(water, w, 1)
	return f
}

// advance by a step: Heun's rule for the exchanges, then the water that comes
// or goes with the tide.
func (c *column) advance(t time.Time, step time.Duration) {
	dt := step.Seconds()
	before, after := c.in.Weather(t), c.in.Weather(t.Add(step))
	f1 := c.flows(before, c.water, c.upper, c.depth)
	w1, u1 := c.after(f1, dt)
	f2 := c.flows(after, w1, u1, c.depth)
	f := flows{(f1.sunWater + f2.sunWater) / 2, (f1.sunBed + f2.sunBed) / 2, (f1.toBed + f2.toBed) / 2, (f1.toDeep + f2.toDeep) / 2,
		Exchange{(f1.air.LongWave + f2.air.LongWave) / 2, (f1.air.Evaporation + f2.air.Evaporation) / 2,
			(f1.air.Sensible + f2.air.Sensible) / 2}}
	c.water, c.upper = c.after(f, dt)
	c.heat.Sun += (f.sunWater + f.sunBed) * dt
	c.heat.LongWave += f.air.LongWave * dt
	c.heat.Evaporation += f.air.Evaporation * dt
	c.heat.Sensible += f.air.Sensible * dt
	c.heat.Deep -= f.toDeep * dt
	c.flow(t, step)
	c.flush(t.Add(step), dt)
}

// flush exchanges water with that around it; the depth stays.
func (c *column) flush(t time.Time, dt float64) {
	if c.in.FlushS == 0 || c.depth == 0 {
		return
	}
	gain := (c.in.Around(t) - c.water) * -math.Expm1(-dt/(c.in.FlushS*c.depth))
	c.water += gain
	c.heat.Tide += heatCapacity * c.depth * gain
}

// after a step of constant flows: temperatures of water and upper bed.
func (c *column) after(f flows, dt float64) (water, upper float64) {
	if c.depth == 0 {
		return c.water, c.upper + (f.sunBed+f.air.Sum()-f.toDeep)*dt/c.bed.Holds
	}
	return c.water + (f.sunWater+f.air.Sum()-f.toBed)*dt/(heatCapacity*c.depth),
		c.upper + (f.sunBed+f.toBed-f.toDeep)*dt/c.bed.Holds
}

// flow lets the tide in or out over a step.
func (c *column) flow(t time.Time, step time.Duration) {
	depth := c.in.Level(t.Add(step)) - c.bed.ElevationM
	if depth < shallowest {
		depth = 0
	}
	moved := heatCapacity * (depth - c.depth)
	if depth > c.depth {
		around := c.in.Around(t.Add(step / 2))
		c.heat.Tide += moved * around
		c.water = (c.water*c.depth + around*(depth-c.depth)) / depth
	} else {
		c.heat.Tide += moved * c.water
	}
	c.depth = depth
}
