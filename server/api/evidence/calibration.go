package evidence

import (
	"context"
	"slices"
	"time"

	"greypebble/core/evidence"
	"greypebble/server/api/web"
)

type calibrationInput struct {
	Target string `query:"target" maxLength:"80" doc:"all, if left out"`
}

type calibrationPart struct {
	From     time.Time `json:"from" doc:"when the first of its spells began"`
	To       time.Time `json:"to" doc:"and the last"`
	Catches  float64   `json:"catches"`
	Expected float64   `json:"expected" doc:"by the log before them"`
	Inside   float64   `json:"inside" doc:"share of counts within what was to hold them four times in five"`
	Log      float64   `json:"log_score"`
	Book     float64   `json:"book_score"`
}

type calibrationOutput struct {
	Body struct {
		Spells   int               `json:"spells" doc:"0: too few to tell"`
		Fewest   int               `json:"fewest" doc:"it takes"`
		Catches  float64           `json:"catches"`
		Expected float64           `json:"expected" doc:"by the log before each"`
		ByBook   float64           `json:"expected_by_book"`
		Inside   float64           `json:"inside" doc:"share of counts within what was to hold them four times in five"`
		Log      float64           `json:"log_score" doc:"mean logarithm of the chance that was given to what came, of the log"`
		Book     float64           `json:"book_score" doc:"of the bare book"`
		Average  float64           `json:"average_score" doc:"of one's plain average so far"`
		Reads    string            `json:"reads" doc:"what that comes to"`
		Parts    []calibrationPart `json:"parts" nullable:"false" doc:"over time, oldest first"`
	}
}

func (s service) calibration(ctx context.Context, as *web.Scope, in *calibrationInput) (*calibrationOutput, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	if in.Target != "" {
		if _, err := book.Target(in.Target); err != nil {
			return nil, web.Wrong("query.target", err)
		}
	}
	l, err := as.Learned(ctx)
	if err != nil {
		return nil, err
	}
	spells := slices.Clone(l.Spells)
	slices.Reverse(spells)
	log := make([]evidence.Spell, len(spells))
	for i := range spells {
		log[i] = spells[i].Weighed
	}
	c, err := evidence.Calibrate(book, log, in.Target)
	if err != nil {
		return nil, err
	}
	out := &calibrationOutput{}
	b := &out.Body
	b.Fewest, b.Parts = evidence.Fewest, []calibrationPart{}
	if c == nil {
		b.Reads = evidence.TooFewToTell()
		return out, nil
	}
	b.Spells, b.Catches, b.Expected, b.ByBook, b.Inside = c.Spells, c.Fish, c.ByLog, c.ByBook, c.Inside
	b.Log, b.Book, b.Average, b.Reads = c.Log, c.Book, c.Average, c.Says()
	for _, p := range c.Parts {
		b.Parts = append(b.Parts, calibrationPart{spells[p.From].StartedAt, spells[p.To-1].StartedAt, p.Fish, p.ByLog, p.Inside, p.Log,
			p.Book})
	}
	return out, nil
}
