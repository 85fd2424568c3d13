package answer

import (
	"greypebble/core/conditions"
	"greypebble/core/spot"
	"greypebble/core/water"
	"time"
)

// The parts of the conditions sheet that are drawn.

type MarkWarmth struct {
	MarkID string      `json:"mark_id"`
	Name   string      `json:"name"`
	Bottom string      `json:"bottom"`
	Now    *float64    `json:"now_c,omitempty" doc:"left out when dry"`
	Points []WarmPoint `json:"points" nullable:"false"`
}

type WarmPoint struct {
	Time time.Time `json:"time"`
	C    *float64  `json:"c,omitempty" doc:"left out when dry"`
}

// Warmth is drawn around a moment.
const (
	warmBefore = 18 * time.Hour
	warmAfter  = 18 * time.Hour
	warmEvery  = 30 * time.Minute
)

func warmthOf(sp *spot.Spot, t time.Time) ([]MarkWarmth, error) {
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
	out := []MarkWarmth{}
	for i, m := range sp.Marks {
		o := MarkWarmth{MarkID: m.ID, Name: m.Name, Bottom: m.Bottom, Now: at(i, t), Points: []WarmPoint{}}
		for k := from; !k.After(to); k = k.Add(warmEvery) {
			o.Points = append(o.Points, WarmPoint{k, at(i, k)})
		}
		out = append(out, o)
	}
	return out, nil
}

type BandOut struct {
	Light    string      `json:"light" enum:"bright,dim,twilight,dark"`
	FromM    float64     `json:"from_m"`
	ToM      float64     `json:"to_m"`
	Finishes []FinishOut `json:"finishes" nullable:"false" doc:"best first"`
}

func bandsOf(m *spot.Moment) []BandOut {
	out := []BandOut{}
	secchi := m.Believed[conditions.Clarity].Value
	k, err := water.Attenuation(secchi)
	if err != nil {
		return out
	}
	for _, b := range water.LightBands(m.SurfaceLight(m.Believed[conditions.Cloud].Value), k, m.DeepestM()) {
		out = append(out, BandOut{Light: b.Light.String(), FromM: b.FromM, ToM: b.ToM, Finishes: Finishes(b.Light, secchi)})
	}
	return out
}

type HistoryOf struct {
	Kind   string         `json:"kind"`
	Points []HistoryPoint `json:"points" nullable:"false"`
}

type HistoryPoint struct {
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

func historiesOf(list []conditions.Reading, t time.Time) []HistoryOf {
	by := map[conditions.Kind][]HistoryPoint{}
	for _, r := range list {
		if gap := r.Time.Sub(t); gap >= -historyBefore && gap <= historyAfter {
			by[r.Kind] = append(by[r.Kind], HistoryPoint{r.Time, r.Value, string(r.Origin), r.Source == conditions.TheAngler})
		}
	}
	out := []HistoryOf{}
	for _, k := range conditions.Kinds() {
		if points := by[k]; len(points) > 0 {
			out = append(out, HistoryOf{string(k), points})
		}
	}
	return out
}
