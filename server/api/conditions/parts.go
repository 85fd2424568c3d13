package conditions

import (
	"time"

	"greypebble/core/conditions"
	"greypebble/core/spot"
	"greypebble/core/water"
	"greypebble/server/api/wire"
)

// The parts of the conditions sheet that are drawn.

type markWarmth struct {
	MarkID string      `json:"mark_id"`
	Name   string      `json:"name"`
	Bottom string      `json:"bottom"`
	Now    *float64    `json:"now_c,omitempty" doc:"left out when dry"`
	Points []warmPoint `json:"points" nullable:"false"`
}

type warmPoint struct {
	Time time.Time `json:"time"`
	C    *float64  `json:"c,omitempty" doc:"left out when dry"`
}

// Warmth is drawn around a moment.
const (
	warmBefore = 18 * time.Hour
	warmAfter  = 18 * time.Hour
	warmEvery  = 30 * time.Minute
)

func warmthOf(sp *spot.Spot, t time.Time) ([]markWarmth, error) {
	from, to := t.Add(-warmBefore), t.Add(warmAfter)
	w, err := sp.Warmth(from, to)
	if err != nil {
		return nil, err
	}
	at := func(i int, t time.Time) *float64 {
		if c, wet := w.At(i, t); wet {
			return &c
		}
		return nil
	}
	out := []markWarmth{}
	for i, m := range sp.Marks {
		o := markWarmth{MarkID: m.ID, Name: m.Name, Bottom: m.Bottom, Now: at(i, t), Points: []warmPoint{}}
		for k := from; !k.After(to); k = k.Add(warmEvery) {
			o.Points = append(o.Points, warmPoint{k, at(i, k)})
		}
		out = append(out, o)
	}
	return out, nil
}

type bandOut struct {
	Light    string           `json:"light" enum:"bright,dim,twilight,dark"`
	FromM    float64          `json:"from_m"`
	ToM      float64          `json:"to_m"`
	Finishes []wire.FinishOut `json:"finishes" nullable:"false" doc:"best first"`
}

func bandsOf(m *spot.Moment) []bandOut {
	out := []bandOut{}
	secchi := m.Believed[conditions.Clarity].Value
	k, err := water.Attenuation(secchi)
	if err != nil {
		return out
	}
	for _, b := range water.LightBands(m.SurfaceLight(m.Believed[conditions.Cloud].Value), k, m.DeepestM()) {
		out = append(out, bandOut{Light: b.Light.String(), FromM: b.FromM, ToM: b.ToM, Finishes: wire.Finishes(b.Light, secchi)})
	}
	return out
}

type historyOf struct {
	Kind   string         `json:"kind"`
	Points []historyPoint `json:"points" nullable:"false"`
}

type historyPoint struct {
	Time   time.Time `json:"time"`
	Value  float64   `json:"value"`
	Origin string    `json:"origin"`
	Own    bool      `json:"own" doc:"said by the angler"`
}

// A history reaches so far around a moment.
const (
	historyBefore = 72 * time.Hour
	historyAfter  = 36 * time.Hour
)

func historiesOf(list []conditions.Reading, t time.Time) []historyOf {
	by := map[conditions.Kind][]historyPoint{}
	for _, r := range list {
		if gap := r.Time.Sub(t); gap >= -historyBefore && gap <= historyAfter {
			by[r.Kind] = append(by[r.Kind], historyPoint{r.Time, r.Value, string(r.Origin), r.Source == conditions.TheAngler})
		}
	}
	out := []historyOf{}
	for _, k := range conditions.Kinds() {
		if points := by[k]; len(points) > 0 {
			out = append(out, historyOf{string(k), points})
		}
	}
	return out
}
