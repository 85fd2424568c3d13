package tide

import "time"

// later is a place whose water comes so much later than predicted, all of it.
type later struct {
	place Predictor
	by    time.Duration
}

// Later is a place whose water comes later than predicted by so much (before its time where
// that is negative): what wind and rain do to a tide that is otherwise as it should be.
func Later(p Predictor, by time.Duration) Predictor { return later{p, by} }

// Turns of the water as it comes.
func (l later) Turns(from, to time.Time) ([]Turn, error) {
	list, err := l.place.Turns(from.Add(-l.by), to.Add(-l.by))
	return shifted(list, l.by), err
}

func shifted(list []Turn, by time.Duration) []Turn {
	for i := range list {
		list[i].Time = list[i].Time.Add(by)
	}
	return list
}

// MeanSpringRange of the place.
func (l later) MeanSpringRange() float64 { return l.place.MeanSpringRange() }

// MeanLevel of the place.
func (l later) MeanLevel() float64 { return l.place.MeanLevel() }

func (l later) prepare(from, to time.Time, turns turnsOf) (source, error) {
	inner, err := l.place.prepare(from.Add(-l.by), to.Add(-l.by), turns)
	return laterSource{inner, l.by}, err
}

func (l later) identify(put func(...float64)) {
	l.place.identify(put)
	put(l.by.Hours())
}

type laterSource struct {
	source
	by time.Duration
}

func (l laterSource) Level(t time.Time) float64 { return l.source.Level(t.Add(-l.by)) }
func (l laterSource) Rate(t time.Time) float64  { return l.source.Rate(t.Add(-l.by)) }
func (l laterSource) Series(dst []float64, from time.Time, step time.Duration) {
	l.source.Series(dst, from.Add(-l.by), step)
}

func (l laterSource) Turns(from, to time.Time) ([]Turn, error) {
	list, err := l.source.Turns(from.Add(-l.by), to.Add(-l.by))
	return shifted(list, l.by), err
}
