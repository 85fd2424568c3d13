package plan

import (
	"fmt"
	"math"
	"slices"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/sweep"
	"greypebble/core/tide"
	"greypebble/core/words"
)

// Spoiler is a condition that would spoil a window by itself, and from which value on.
type Spoiler struct {
	Kind conditions.Kind
	// Value in the kind's unit; Less: so much or less of it, else so much or more.
	Value float64
	Less  bool
	// Forbids: it passes a limit to going; otherwise it is no longer worth it.
	Forbids bool
	Says    string
}

// strain is a condition pushed one way, step by step, to its end.
type strain struct {
	kind conditions.Kind
	// step is added, or, of a factor, multiplied by.
	step   float64
	factor bool
	end    float64
	says   string
	show   func(quantity.Units, float64) string
}

// nearGale is force 7 of the Beaufort scale, m/s: "inconvenience felt when walking against the wind" (WMO
// Manual on Codes, table of the Beaufort scale). Nobody casts in it, whatever the book says of the fish.
const nearGale = 13.9

// strains a window is put under. Beyond their ends nobody thinks of fishing, or it makes no odds (the
// house's judgement).
var strains = []strain{
	{conditions.WindSpeed, 1, false, nearGale, words.SpoiltByMoreWind, quantity.Units.ShowWind},
	{conditions.SwellHeight, 0.25, false, 4, words.SpoiltByMoreSwell, quantity.Units.ShowDepth},
	{conditions.Clarity, 0.8, true, 0.1, words.SpoiltByMurk, quantity.Units.ShowDepth},
	{conditions.Clarity, 1.25, true, 10, words.SpoiltByClearness, quantity.Units.ShowDepth},
}

// values from one that is believed on, itself first.
func (s *strain) values(from float64) []float64 {
	out := []float64{from}
	less := s.factor && s.step < 1
	for v := from; (less && v > s.end || !less && v < s.end) && v > 0 || !s.factor && v == 0; {
		if s.factor {
			v *= s.step
		} else {
			v = math.Floor(v/s.step+1) * s.step
		}
		out = append(out, v)
	}
	return out
}

// Spoilers of a window: what alone would make its best hour one not to go in, or worth less than least
// for its target. Each is the first such value on the way from what is believed.
func (o *Outlook) Spoilers(w Window, least float64) ([]Spoiler, error) {
	sp := o.Asked.Spots[w.Spot]
	believed := sp.Readings.Believe(w.middle())
	var out []Spoiler
	for i := range strains {
		s := &strains[i]
		v, known := believed[s.kind]
		if !known {
			continue
		}
		values := s.values(v.Value)
		strained := make([]*spot.Spot, len(values))
		for k, x := range values {
			strained[k] = sp.With(holding(sp.Readings, s.kind, x, w.BestFrom, w.BestUntil))
		}
		worth, err := o.worthOver(strained, w)
		if err != nil {
			return nil, err
		}
		against, err := o.forbidden(strained, w)
		if err != nil {
			return nil, err
		}
		at := slices.IndexFunc(upTo(len(values)), func(k int) bool { return against[k] != "" || !(worth[k] >= least) })
		if at < 0 && s.kind == conditions.WindSpeed && v.Value < nearGale {
			out = append(out, Spoiler{Kind: s.kind, Value: nearGale,
				Says: fmt.Sprintf(s.says, s.show(o.Asked.Units, nearGale), words.ANearGale)})
		}
		if at <= 0 {
			continue // never, or already
		}
		one := Spoiler{Kind: s.kind, Value: values[at], Less: s.factor && s.step < 1, Forbids: against[at] != ""}
		why := against[at]
		if !one.Forbids {
			// Between two steps it passes somewhere: as the logarithms run.
			part := math.Log(worth[at-1]/least) / math.Log(worth[at-1]/worth[at])
			if one.Value = values[at-1] + (values[at]-values[at-1])*part; !(part >= 0 && part <= 1) {
				one.Value = values[at]
			}
			why = words.NoLongerWorthIt
		}
		one.Says = fmt.Sprintf(s.says, s.show(o.Asked.Units, one.Value), why)
		out = append(out, one)
	}
	return out, nil
}

// SaysSpoilers in the order they were found, or that there are none.
func SaysSpoilers(list []Spoiler) []string {
	if len(list) == 0 {
		return []string{words.NothingAloneSpoils}
	}
	out := make([]string, len(list))
	for i := range list {
		out[i] = list[i].Says
	}
	return out
}

// heldFor so long before a window's best and after it one condition is what it is tried at.
const heldFor = 2 * time.Hour

// holding readings: one kind at a value around some time, as sure as what was believed there; all else
// and every other time as it was.
func holding(r conditions.Readings, k conditions.Kind, value float64, from, to time.Time) conditions.Readings {
	var list []conditions.Reading
	begin, end := from.Add(-heldFor).Truncate(time.Hour), to.Add(heldFor)
	spread := 0.0
	if v, known := r.Believe(from.Add(to.Sub(from) / 2))[k]; known {
		spread = v.Spread
	}
	r.Each(func(one *conditions.Reading) {
		if one.Kind != k || one.Time.Before(begin) || one.Time.After(end) {
			list = append(list, *one)
		}
	})
	for t := begin; !t.After(end); t = t.Add(time.Hour) {
		list = append(list, conditions.Reading{Kind: k, Value: value, Time: t, Origin: conditions.Observed,
			Source: conditions.TheAngler, Spread: spread})
	}
	return r.Instead(list)
}

// worthOver a window's best hour for its target at some spots.
func (o *Outlook) worthOver(spots []*spot.Spot, w Window) ([]float64, error) {
	from := w.BestFrom.Truncate(time.Hour)
	field, err := sweep.Sweep{Book: o.Asked.Book, Belief: o.Asked.Belief, Targets: o.Asked.Targets[w.Target : w.Target+1],
		Spots: spots, From: from, Hours: int(math.Ceil(w.BestUntil.Sub(from).Hours())), Step: Step}.Edges()
	if err != nil {
		return nil, err
	}
	first, steps := int(w.BestFrom.Sub(from)/Step), max(1, int(w.BestUntil.Sub(w.BestFrom)/Step))
	out := make([]float64, len(spots))
	for i := range spots {
		for _, e := range field.Edges[0][i][first : first+steps] {
			out[i] += float64(e) / float64(steps)
		}
	}
	return out, nil
}

// forbidden says of some spots why one does not go in a window's best hour; empty where one may.
func (o *Outlook) forbidden(spots []*spot.Spot, w Window) ([]string, error) {
	middle := w.middle()
	out := make([]string, len(spots))
	c, err := tide.Over(spots[0].Tide, middle, middle)
	if err != nil {
		return nil, err
	}
	stage, err := c.Stage(middle)
	if err != nil {
		return nil, err
	}
	for i, sp := range spots {
		m := spot.Moment{Spot: sp, Time: middle, LevelM: c.Level(middle), Stage: stage,
			Sky: spot.Sky{Sun: sp.Observer().Sun(middle)}, Believed: sp.Readings.Believe(middle)}
		out[i] = going.Forbidden(&m, o.Asked.Limits, o.Asked.Units)
	}
	return out, nil
}
