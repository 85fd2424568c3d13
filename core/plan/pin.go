package plan

import (
	"errors"
	"fmt"
	"math"
	"time"

	"greypebble/core/ground"
)

// Pin is a stay somebody has set: it is kept as it is, and the day is planned around it.
type Pin struct {
	// Spot by its place in the outlook.
	Spot          int
	Arrive, Leave time.Time
	// Spare time within it, in which one does not fish; empty for none. It is not kept: a day planned
	// anew lays its own.
	Spare ground.Window
}

// held is what a step of a pin is worth besides, so that no day without it is worth more: above any
// edge, and small enough that what breaks ties still counts.
const held = 1e3

// ErrPins says that no day keeps what was set.
var ErrPins = errors.New("plan: no day keeps all the stays that were set")

// validatePins refuses pins that cannot stand in the day, whatever the water does.
func (d Day) validatePins() error {
	for i, p := range d.Pins {
		switch {
		case indexOf(d.Spots, p.Spot) < 0:
			return fmt.Errorf("plan: pin %d is of a spot the day is not planned over", i+1)
		case !p.Leave.After(p.Arrive):
			return fmt.Errorf("plan: pin %d leaves before it arrives", i+1)
		case p.Arrive.Before(d.From) || p.Leave.After(d.Until):
			return fmt.Errorf("plan: pin %d lies outside the day", i+1)
		}
		for _, q := range d.Pins[:i] {
			if p.Arrive.Before(q.Leave) && q.Arrive.Before(p.Leave) {
				return fmt.Errorf("plan: pin %d is at the same time as another", i+1)
			}
		}
	}
	return nil
}

func indexOf(list []int, v int) int {
	for i, x := range list {
		if x == v {
			return i
		}
	}
	return -1
}

// steps of a pin within the day: whole ones it touches.
func (d Day) stepsOf(p Pin) (from, to int) {
	from = int(p.Arrive.Sub(d.From) / Step)
	return from, max(from+1, int(math.Ceil(float64(p.Leave.Sub(d.From))/float64(Step))))
}

// pin the gains: at those steps one is there and nowhere else, and neither sooner nor longer.
func (p *planned) pin(d Day) (steps int) {
	for _, k := range d.Pins {
		from, to := d.stepsOf(k)
		at := indexOf(d.Spots, k.Spot)
		for t := max(from, 0); t < min(to, p.steps); t++ {
			for i := range p.gain {
				if i != at {
					p.gain[i][t] = math.Inf(-1)
				}
			}
			p.gain[at][t] += held
			steps++
		}
		for _, t := range []int{from - 1, to} {
			if t >= 0 && t < p.steps && p.gain[at][t] < held/2 {
				p.gain[at][t] = math.Inf(-1)
			}
		}
	}
	return steps
}

// worth of a step at a spot, without what holds a pin.
func (p *planned) worth(s, t int) float64 {
	if g := p.gain[s][t]; g > held/2 {
		return g - held
	}
	return p.gain[s][t]
}
