package answer

import (
	"errors"
	"fmt"
	"slices"
	"time"

	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/plan"
	"greypebble/core/playbook"
	"greypebble/core/spot"
)

// AheadAsked says which days and which fish.
type AheadAsked struct {
	From    time.Time `query:"from" doc:"now if left out"`
	Days    int       `query:"days" minimum:"1" maximum:"14" default:"14"`
	Targets []string  `query:"targets,explode" maxItems:"40" doc:"ids; left out: all that live about your spots"`
	Along   []string  `query:"along,explode" maxItems:"2" enum:"child,cannot wade" doc:"who comes along, where that narrows it"`
}

// company by what is said of who comes along.
func company(along []string) going.Company {
	return going.Company{Child: slices.Contains(along, "child"), CannotWade: slices.Contains(along, "cannot wade")}
}

// Looking is what the coming days are looked over for: all spots of an angler that have ground to fish over.
type Looking struct {
	plan.Asked
	Spots []*Spot
	// Bare spots have no mark to say anything of.
	Bare []*Spot
}

// Outlook over the coming days.
type Outlook struct {
	*plan.Outlook
	Spots, Bare []*Spot
}

// Look over the days.
func (l Looking) Look() (*Outlook, error) {
	o, err := l.Asked.Look()
	if err != nil {
		return nil, err
	}
	return l.Over(o), nil
}

// Over an outlook that was worked out for the same.
func (l Looking) Over(o *plan.Outlook) *Outlook { return &Outlook{o, l.Spots, l.Bare} }

// Everywhere is all one's spots.
func Everywhere(*Spot) bool { return true }

// LookingOver the days asked for, by some means, at those of one's spots that are among them; at is where the
// question stands in the request.
func LookingOver(a Around, in *AheadAsked, by ground.Means, at string, among func(*Spot) bool) (Looking, error) {
	from := when(a, in.From).Truncate(time.Hour)
	all, err := a.Spots(from)
	if err != nil {
		return Looking{}, err
	}
	book, err := a.Book(nil)
	if err != nil {
		return Looking{}, err
	}
	limits, err := a.Limits()
	if err != nil {
		return Looking{}, err
	}
	belief, err := a.Belief()
	if err != nil {
		return Looking{}, err
	}
	out := Looking{Asked: plan.Asked{Book: book, Belief: belief, Limits: limits, Company: company(in.Along),
		Units: a.Units(), By: by, From: from, Days: in.Days}}
	for _, sp := range all {
		if !among(sp) {
			continue
		}
		if len(sp.Marks) == 0 {
			out.Bare = append(out.Bare, sp)
			continue
		}
		out.Spots = append(out.Spots, sp)
		out.Asked.Spots = append(out.Asked.Spots, sp.Spot)
	}
	out.Targets, err = targetsOf(book, in.Targets, out.Asked.Spots, at)
	return out, err
}

// targetsOf a book by their ids, or all that live about some spots.
func targetsOf(book *playbook.Book, ids []string, spots []*spot.Spot, at string) ([]*playbook.Target, error) {
	var out []*playbook.Target
	for i, id := range ids {
		t, err := book.Target(id)
		if err != nil {
			return nil, Wrong(fmt.Sprintf("%s.targets[%d]", at, i), err)
		}
		if slices.Contains(out, t) {
			return nil, Wrong(fmt.Sprintf("%s.targets[%d]", at, i), errors.New("it stands twice"))
		}
		out = append(out, t)
	}
	if len(ids) > 0 {
		return out, nil
	}
	for i := range book.Targets {
		t := &book.Targets[i]
		if slices.ContainsFunc(spots, func(sp *spot.Spot) bool { return t.LivesAbout(sp.Place, sp.LatLon) }) {
			out = append(out, t)
		}
	}
	return out, nil
}
