// Package learned is what an angler's log has taught so far: the posterior of package evidence, kept while neither log
// nor spots nor book are written anew.
package learned

import (
	"context"
	"encoding/binary"
	"fmt"
	"hash/fnv"
	"slices"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/maypok86/otter/v2"
	"golang.org/x/sync/singleflight"

	"greypebble/core/advise"
	"greypebble/core/conditions"
	"greypebble/core/evidence"
	"greypebble/core/outing"
	"greypebble/core/playbook"
	"greypebble/core/rate"
	"greypebble/core/sweep"
	"greypebble/server/desk"
	"greypebble/server/store"
)

// Learner of what logs teach.
type Learner struct {
	store *store.Store
	desk  desk.Desk
	kept  *otter.Cache[logKey, *Learned]
	// spokes are what rules spoke in a spell: to work that out is most of the work.
	spokes *otter.Cache[spokeKey, []evidence.Spoke]
	once   *singleflight.Group
	// newest of each angler's, from where the next fit begins.
	newest *otter.Cache[uuid.UUID, *evidence.Evidence]
}

// Learned of a log.
type Learned struct {
	*evidence.Evidence
	// Spells as they were taken, newest first, and how many could not be: without effort, at a spot without marks.
	Spells  []Spell
	LeftOut int
	// GoingOn are the spells of an outing that goes on, by target: they will teach when it is ended.
	GoingOn map[string]int
}

// Belief it comes to: of an empty log, the book's.
func (l *Learned) Belief() rate.Belief {
	if len(l.Spells) == 0 {
		return rate.Priors{Book: l.Book()}
	}
	return l.For("")
}

// Spell of the log as it was taken.
type Spell struct {
	*store.Spell
	Weighed evidence.Spell
}

// logKey of a log as it is written: whose, as it stands, at which spots, under which book.
type logKey struct {
	angler uuid.UUID
	log    store.LogState
	spots  uint64
	book   *playbook.Book
}

type spokeKey struct {
	spell    uuid.UUID
	revision int
	// spot and water as they are written: its tide follows the water's station.
	spot, water int
	book        *playbook.Book
}

const (
	mostKept   = 64
	mostSpokes = 20_000
	// mostSpells, the newest, are reckoned with.
	mostSpells = 5000
	// forgotten is an outing of that age, to be ended.
	forgotten = 24 * time.Hour
)

// New learner over a store.
func New(s *store.Store, d desk.Desk) *Learner {
	return &Learner{store: s, desk: d, once: new(singleflight.Group),
		newest: otter.Must(&otter.Options[uuid.UUID, *evidence.Evidence]{MaximumSize: mostKept}),
		kept:   otter.Must(&otter.Options[logKey, *Learned]{MaximumSize: mostKept}),
		spokes: otter.Must(&otter.Options[spokeKey, []evidence.Spoke]{MaximumSize: mostSpokes})}
}

// Of an angler's log, under a book of theirs. An outing that goes on teaches when it is ended: until then what came of
// it is counted where one asks whether to stay, and would count twice.
func (l *Learner) Of(ctx context.Context, angler uuid.UUID, book *playbook.Book, now time.Time) (*Learned, error) {
	// The count first: what is read after it may be newer, never older.
	log, err := l.store.Logged(ctx, angler, now.Add(-forgotten))
	if err != nil {
		return nil, err
	}
	laid, err := l.desk.Spots(ctx, angler, now)
	if err != nil {
		return nil, err
	}
	h := fnv.New64a()
	spots := make(map[uuid.UUID]*desk.Laid, len(laid))
	for _, s := range laid {
		spots[s.ID] = s
		_, _ = h.Write(s.ID[:])
		_ = binary.Write(h, binary.LittleEndian, int64(s.Revision))
		_ = binary.Write(h, binary.LittleEndian, int64(s.Water.Revision))
	}
	key := logKey{angler, log, h.Sum64(), book}
	if known, there := l.kept.GetIfPresent(key); there {
		return known, nil
	}
	v, err, _ := l.once.Do(fmt.Sprintf("%v", key), func() (any, error) {
		out, err := l.learn(context.WithoutCancel(ctx), key, spots)
		if err == nil {
			l.kept.Set(key, out)
		}
		return out, err
	})
	if err != nil {
		return nil, err
	}
	return v.(*Learned), nil
}

func (l *Learner) learn(ctx context.Context, of logKey, spots map[uuid.UUID]*desk.Laid) (*Learned, error) {
	angler, book := of.angler, of.book
	spells, err := l.store.Listed(ctx, angler, store.Filter{Most: mostSpells})
	if err != nil {
		return nil, err
	}
	out := &Learned{GoingOn: map[string]int{}}
	spells = slices.DeleteFunc(spells, func(k store.Spell) bool {
		goesOn := k.Outing.Valid && strings.Contains(of.log.GoingOn, k.Outing.UUID.String())
		if goesOn {
			out.GoingOn[k.Target]++
		}
		return goesOn
	})
	told := make([]*evidence.Spell, len(spells))
	errs := make([]error, len(spells))
	sweep.Parallel(len(spells), func(i int) { told[i], errs[i] = l.weigh(book, spots[spells[i].SpotID], &spells[i]) })
	var log []evidence.Spell
	for i, one := range told {
		switch {
		case errs[i] != nil:
			return nil, errs[i]
		case one == nil:
			out.LeftOut++
		default:
			out.Spells = append(out.Spells, Spell{&spells[i], *one})
			log = append(log, *one)
		}
	}
	from, _ := l.newest.GetIfPresent(angler)
	if out.Evidence, err = evidence.Fit(book, log, from); err != nil {
		return nil, err
	}
	l.newest.Set(angler, out.Evidence)
	return out, nil
}

// weigh a spell; nil where nothing can be reckoned of it.
func (l *Learner) weigh(book *playbook.Book, at *desk.Laid, k *store.Spell) (*evidence.Spell, error) {
	target, err := book.Target(k.Target)
	effort := outing.RodHours(k.StartedAt, k.EndedAt, time.Duration(k.PausedS)*time.Second, k.Rods)
	if err != nil || at == nil || effort <= 0 {
		return nil, nil //nolint:nilerr,nilnil // a target the book has no longer says nothing
	}
	key := spokeKey{k.ID, k.Revision, at.Revision, at.Water.Revision, book}
	rules, known := l.spokes.GetIfPresent(key)
	if !known {
		own := at.With(conditions.Sorted(k.Readings))
		c, fished, err := advise.Fished(advise.Question{Book: book, Target: target, Spot: own, Signs: playbook.KnownSigns(k.Signs.V),
			Time: outing.Middle(k.StartedAt, k.EndedAt)},
			advise.MyWay{Mark: k.Mark, OfferingID: k.Presentation.V.OfferingID, RigID: k.Presentation.V.RigID,
				Style: k.Presentation.V.Style})
		switch {
		case err != nil:
			return nil, err
		case !fished:
			return nil, nil //nolint:nilnil // no mark had water over it
		}
		rules = evidence.SpokeOf(c)
		l.spokes.Set(key, rules)
	}
	out := &evidence.Spell{Target: k.Target, Spot: k.SpotID.String(), RodHours: effort, Rules: rules, Told: k.Outing.Valid}
	for i := range k.Catches {
		if k.Catches[i].Target == k.Target {
			out.Fish++
		}
	}
	for i := range k.Events {
		if k.Events[i].Kind.Contact() {
			out.Contacts++
		}
	}
	return out, nil
}
