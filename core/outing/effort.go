package outing

import "time"

// RodHours of a spell: what it was paused is not fished.
func RodHours(started, ended time.Time, paused time.Duration, rods int) float64 {
	return float64(rods) * max(ended.Sub(started)-paused, 0).Hours()
}

// Middle of a spell, whose water stands for the whole.
func Middle(started, ended time.Time) time.Time { return started.Add(ended.Sub(started) / 2) }

// Contact says that something fed and was not landed.
func (k Kind) Contact() bool { return k == Bite || k == Missed || k == Robbed || k == Lost }
