package advise

import (
	"errors"
	"fmt"
	"slices"
	"strings"

	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/spot"
	"greypebble/core/words"
)

// MyWay is a presentation as the angler means to fish it.
type MyWay struct {
	// Mark by its name or id.
	Mark                     string
	OfferingID, RigID, Style string
}

// Mine is what a presentation of the angler's own is worth, whether or not it would be advised; what
// speaks against it comes first among its cautions. A mark, an offering, a rig or a style that does
// not exist is a [spot.FieldError], and so is a mark that is dry.
func Mine(q Question, way MyWay) (Advice, error) {
	m, c, err := q.moment()
	if err != nil {
		return Advice{}, err
	}
	a := Advice{Moment: *m, Way: m.WayCaution(c), Cautions: going.Assess(m, c, q.Limits, q.Units)}
	mine, against, err := q.mine(m, way)
	if err != nil {
		return Advice{}, err
	}
	options, _ := possible(&q, m)
	n := len(options)
	all, err := q.weighAll(m, sortedByMark(append(options, mine...)))
	if err != nil {
		return Advice{}, err
	}
	best := bestOfMine(all)
	choice := describe(&q, m, best)
	choice.BeatsNext = 1
	if n > 0 {
		a.Usual = usual(best.on)
	}
	if against != "" {
		choice.Cautions = append([]going.Caution{{ID: "my way", Severity: going.Think, Says: against}}, choice.Cautions...)
	}
	a.Choices = []Choice{choice}
	return a, nil
}

// bestOfMine among all, of which some are.
func bestOfMine(all []rankedOption) (best *rankedOption) {
	for i := range all {
		if all[i].mine && (best == nil || all[i].better(best, byValue) < 0) {
			best = &all[i]
		}
	}
	return best
}

// sortedByMark keeps the presentations of one mark together.
func sortedByMark(list []presentation) []presentation {
	slices.SortStableFunc(list, func(a, b presentation) int { return a.at - b.at })
	return list
}

// mine in all its paces, and what speaks against it.
func (q *Question) mine(m *spot.Moment, way MyWay) (list []presentation, against string, err error) {
	at := slices.IndexFunc(m.Spot.Marks, func(k ground.Mark) bool { return k.ID == way.Mark || strings.EqualFold(k.Name, way.Mark) })
	if at < 0 {
		var known []string
		for i := range m.Spot.Marks {
			known = append(known, m.Spot.Marks[i].Name)
		}
		return nil, "", spot.FieldError{Field: "mark", Err: fmt.Errorf("no mark %q at %s; known are %s", way.Mark, m.Spot.Name,
			strings.Join(known, ", "))}
	}
	mark := &m.Spot.Marks[at]
	depth := mark.Depth(m.LevelM)
	if depth <= 0 {
		return nil, "", spot.FieldError{Field: "mark", Err: fmt.Errorf("%s is dry at that time", mark.Name)}
	}
	f, known := q.Book.Offering(way.OfferingID)
	if !known {
		return nil, "", spot.FieldError{Field: "offering_id", Err: fmt.Errorf("unknown offering %q", way.OfferingID)}
	}
	rig, known := q.Book.Rig(way.RigID)
	if !known {
		return nil, "", spot.FieldError{Field: "rig_id", Err: fmt.Errorf("unknown rig %q", way.RigID)}
	}
	o := optionsAt(q, m)
	p := presentation{offering: f, rig: rig, mark: mark, at: at, leader: q.leaderOf(rig), mine: true}
	against = o.misfit(rig, at, depth).says(&o, rig, mark, depth)
	var why string
	if p.weightKg, why = o.weight(&p, depth); why != "" && against == "" {
		against = why
	}
	if p.depthM, why = o.fished(&p, depth); why != "" && against == "" {
		against = why
	}
	p.underFishM = underFish(m, p.depthM)
	if why = o.thrown(&p); why != "" && against == "" {
		against = why
	}
	for i := range rig.Ways {
		if p.way = &rig.Ways[i]; way.Style != "" && p.way.Style != way.Style {
			continue
		}
		list = append(list, paces(p)...)
	}
	if len(list) == 0 {
		var styles []string
		for _, w := range rig.Ways {
			styles = append(styles, w.Style)
		}
		return nil, "", spot.FieldError{Field: "style", Err: errors.New("expected one of the ways of that rig: " + strings.Join(styles,
			", "))}
	}
	if against != "" {
		against = fmt.Sprintf(words.ItWouldNotBeAdvised, against)
	}
	return list, against, nil
}

// paces a presentation can be moved at.
func paces(p presentation) (out []presentation) {
	p.pace, p.speedMS = "", 0
	if p.offering.SlowMS == 0 {
		return []presentation{p}
	}
	for j, speed := range []float64{p.offering.SlowMS, p.offering.MediumMS, p.offering.FastMS} {
		if speed > 0 {
			p.pace, p.speedMS = playbook.Paces[j], speed
			out = append(out, p)
		}
	}
	return out
}
