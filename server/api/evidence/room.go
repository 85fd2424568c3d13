// Package evidence is the room of what one's log says: of what is said, of spots and conditions, of the advice itself,
// and what would tell more.
package evidence

import (
	"context"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"greypebble/core/evidence"
	"greypebble/core/playbook"
	"greypebble/server/api/web"
	"greypebble/server/learned"
)

type service struct{ *web.Deps }

// Register the room's operations.
func Register(api huma.API, d *web.Deps) {
	s := service{d}
	web.Signed(api, d, web.Get("/evidence", "evidence", "What your log says of what is said of a target"), s.evidence)
	web.Signed(api, d, web.Get("/evidence/rule", "evidenceRule", "The spells behind what your log says of a rule"), s.behind)
	web.Signed(api, d, web.Get("/evidence/curve", "evidenceCurve", "The catch a rod-hour against one condition"), s.curve)
	web.Signed(api, d, web.Get("/evidence/calibration", "calibration", "Whether what was predicted came, spell after spell"), s.calibration)
	web.Signed(api, d, web.Get("/evidence/lessons", "lessons", "The spells of the next days that would teach most"), s.lessons)
}

// about a target is what was learnt, of one the book knows.
type about struct {
	*learned.Learned
	book   *playbook.Book
	target *playbook.Target
	belief evidence.Belief
	// spots by the names they have.
	spots map[uuid.UUID]string
}

func (s service) about(ctx context.Context, as *web.Scope, target string) (*about, error) {
	book, err := as.Book(ctx)
	if err != nil {
		return nil, err
	}
	t, err := book.Target(target)
	if err != nil {
		return nil, web.Wrong("query.target", err)
	}
	l, err := as.Learned(ctx)
	if err != nil {
		return nil, err
	}
	a := &about{Learned: l, book: book, target: t, belief: l.For(t.ID), spots: map[uuid.UUID]string{}}
	for _, k := range l.Spells {
		a.spots[k.SpotID] = k.SpotName
	}
	return a, nil
}

// named is a spot by its id as the log has it.
func (a *about) named(id string) string {
	if at, err := uuid.Parse(id); err == nil {
		return a.spots[at]
	}
	return id
}

// own spells of the target, newest first.
func (a *about) own() (out []*learned.Spell) {
	for i := range a.Spells {
		if a.Spells[i].Target == a.target.ID {
			out = append(out, &a.Spells[i])
		}
	}
	return out
}
