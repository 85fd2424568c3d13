package plan

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/quantity"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Nudge is a day near the one that is believed in: more or less wind, water that comes late or before
// its time.
type Nudge struct {
	WindMS float64
	Late   time.Duration
	// Told by itself, and not only counted.
	Told bool
}

// Nudges a day is tried under: what a forecast of a day ahead is commonly wrong by (common practice,
// no source), alone and together.
var Nudges = []Nudge{
	{3, 0, true}, {0, time.Hour, true}, {-3, 0, false}, {0, -time.Hour, false},
	{3, time.Hour, false}, {3, -time.Hour, false}, {-3, time.Hour, false}, {-3, -time.Hour, false},
}

// says names one that is told.
func (n Nudge) says(u quantity.Units) string {
	if n.Late != 0 {
		return words.WithTheWaterLate
	}
	return fmt.Sprintf(words.WithMoreWind, u.ShowWind(n.WindMS))
}

// near is the share of the best a day may fall short by and still stay within a tenth of it.
const near = 0.9

// Robust is how a day stands when the forecast is off.
type Robust struct {
	// Share of the nudged days in which it stays within a tenth of the best.
	Share float64
	// Changes are what the nudges that are told by themselves make of it.
	Changes []Change
}

// Change of a day by one nudge.
type Change struct {
	Says string
	// Worth of the day as it is laid, and of the Best there would be then.
	Worth, Best float64
	// Better is the best then where that is another; its spots are by their place in the outlook.
	Better *Itinerary
}

// Robustness of itineraries of a day, each held against the best under every nudge.
func (o *Outlook) Robustness(d Day, laid []Itinerary) ([]Robust, error) {
	out := make([]Robust, len(laid))
	within := make([]int, len(laid))
	for _, n := range Nudges {
		other, day, err := o.nudged(n, d)
		if err != nil {
			return nil, err
		}
		best, _, err := other.Itinerary(day)
		if err != nil {
			return nil, err
		}
		for i := range best.Legs {
			best.Legs[i].Spot = d.Spots[best.Legs[i].Spot]
		}
		for i := range laid {
			worth := other.worthOf(day, d.Spots, &laid[i])
			if worth >= near*best.Worth {
				within[i]++
			}
			if !n.Told {
				continue
			}
			c := Change{Says: n.says(o.Asked.Units), Worth: worth, Best: max(best.Worth, worth)}
			if worth < near*best.Worth {
				c.Better = &best
			}
			out[i].Changes = append(out[i].Changes, c)
		}
	}
	for i := range out {
		out[i].Share = float64(within[i]) / float64(len(Nudges))
	}
	return out, nil
}

// nudged is the outlook over a day's spots alone, as it would be, and the day in its terms.
func (o *Outlook) nudged(n Nudge, d Day) (*Outlook, Day, error) {
	a := o.Asked
	a.From = d.From.Truncate(time.Hour)
	a.Days = int(math.Ceil(d.Until.Sub(a.From).Hours() / 24))
	a.Spots = nil
	blown := map[conditions.Readings]conditions.Readings{}
	for _, at := range d.Spots {
		sp := o.Asked.Spots[at]
		if n.WindMS != 0 {
			if _, done := blown[sp.Readings]; !done {
				blown[sp.Readings] = windier(sp.Readings, n.WindMS)
			}
			sp = sp.With(blown[sp.Readings])
		}
		if n.Late != 0 {
			moved := *sp.With(sp.Readings)
			moved.Tide = tide.Later(sp.Tide, n.Late)
			sp = &moved
		}
		a.Spots = append(a.Spots, sp)
	}
	other, err := a.Look()
	day := d
	day.Spots, day.Pins = upTo(len(d.Spots)), nil
	day.Way = func(from, to int) (time.Duration, bool) { return d.Way(at(d.Spots, from), at(d.Spots, to)) }
	return other, day, err
}

func at(spots []int, i int) int {
	if i == Home {
		return Home
	}
	return spots[i]
}

// windier readings: every wind by so much, never below a calm.
func windier(r conditions.Readings, ms float64) conditions.Readings {
	return r.Changed(func(one *conditions.Reading) {
		if one.Kind == conditions.WindSpeed {
			one.Value = max(0, one.Value+ms)
		}
	})
}

// worthOf an itinerary's stays in an outlook whose spots stand in another order.
func (o *Outlook) worthOf(d Day, spots []int, it *Itinerary) float64 {
	targets := d.Targets
	if len(targets) == 0 {
		targets = upTo(len(o.Edges))
	}
	sum := 0.0
	for _, l := range it.Legs {
		sum += o.stay(d, Pin{slices.Index(spots, l.Spot), l.Arrive, l.Leave, l.Spare}, targets).Worth
	}
	return sum
}
