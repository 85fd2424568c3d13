package plan

import (
	"math"
	"slices"
	"sync"
	"time"

	"greypebble/core/conditions"
	"greypebble/core/going"
	"greypebble/core/ground"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/rate"
	"greypebble/core/sky"
	"greypebble/core/spot"
	"greypebble/core/sweep"
	"greypebble/core/tide"
)

// Step an outlook looks at the days by.
const Step = 10 * time.Minute

// perHour steps.
const perHour = int(time.Hour / Step)

// State of a spot in an hour.
type State byte

// States, as letters.
const (
	Open   State = 'o' // one can fish there
	DoNot  State = 'd' // one could, but it passes a limit to going
	Thin   State = 't' // the way is open, but no mark has water to fish
	Shut   State = 's' // the way there or back is shut by the water
	Closed State = 'c' // a rule closes the spot
)

// Asked is what an outlook is worked out for.
type Asked struct {
	Book    *playbook.Book
	Belief  rate.Belief
	Targets []*playbook.Target
	Spots   []*spot.Spot
	Limits  going.Limits
	Company going.Company
	Units   quantity.Units
	// By what one has to get about: where that is not how a spot is usually reached, its ways are those
	// of the other manner.
	By   ground.Means
	From time.Time
	Days int
}

// reached are the spots as one reaches them; one that these means do not reach stays as it is.
func (a Asked) reached() []*spot.Spot {
	out := slices.Clone(a.Spots)
	for i, sp := range out {
		if by, there := sp.Access.ByMeans(a.By); there && by.Manner != sp.Access.Manner {
			out[i] = sp.Reached(by)
		}
	}
	return out
}

// Outlook over the coming days.
type Outlook struct {
	// From is a full hour; Hours are counted from it.
	From  time.Time
	Hours int
	Asked Asked
	// Edges by target, spot and step, NaN where one cannot fish.
	Edges [][][]float32
	// Places by spot, in the order they were asked after.
	Places []Place
}

// Place is what an outlook says of a spot.
type Place struct {
	State []State
	// Dark hours begin and end outside civil twilight.
	Dark []bool
	// Told hours have weather somebody told; of the others the usual is assumed.
	Told []bool
	// Against is the caution that makes an hour one not to go in; empty for none.
	Against []string
	// way is when one can get in and back and no rule closes it; day, when it is light.
	way, day []ground.Window
}

// Look over the days.
func (a Asked) Look() (*Outlook, error) {
	a.Spots, a.Limits = a.reached(), a.Company.Limits(a.Limits)
	o := &Outlook{From: a.From.Truncate(time.Hour), Hours: a.Days * 24, Asked: a, Places: make([]Place, len(a.Spots))}
	var days map[about]daylight
	var light sync.WaitGroup
	light.Go(func() { days = o.days() })
	defer light.Wait()
	field, err := sweep.Sweep{Book: a.Book, Belief: a.Belief, Targets: a.Targets, Spots: a.Spots, From: a.From, Hours: a.Days * 24,
		Step: Step}.Edges()
	if err != nil {
		return nil, err
	}
	o.Edges = field.Edges
	light.Wait()
	believed := o.believed()
	tides := new(tide.Memo)
	errs := make([]error, len(a.Spots))
	sweep.Parallel(len(a.Spots), func(i int) {
		o.Places[i], errs[i] = o.place(i, tides, field.Waters[i], days[aboutOf(a.Spots[i])], believed[a.Spots[i].Readings])
	})
	for _, err := range errs {
		if err != nil {
			return nil, err
		}
	}
	return o, nil
}

// End of the outlook.
func (o *Outlook) End() time.Time { return o.From.Add(time.Duration(o.Hours) * time.Hour) }

// about is a place to the tenth of a degree: neighbouring spots share their days.
type about struct{ lat, lon int }

func aboutOf(s *spot.Spot) about {
	return about{int(math.Round(s.Lat * 10)), int(math.Round(s.Lon * 10))}
}

// daylight of a neighbourhood: civil days, and the sun at the middle of each hour.
type daylight struct {
	days []ground.Window
	sun  []sky.Position
}

// days of all neighbourhoods.
func (o *Outlook) days() map[about]daylight {
	out := map[about]daylight{}
	for _, sp := range o.Asked.Spots {
		k := aboutOf(sp)
		if _, known := out[k]; known {
			continue
		}
		d := daylight{sun: make([]sky.Position, o.Hours)}
		for _, w := range sp.Observer().Twilit(o.From, o.End()) {
			d.days = append(d.days, ground.Window{Opens: w.From, Closes: w.To})
		}
		sweep.Parallel(o.Hours, func(h int) { d.sun[h] = sp.Observer().Sun(o.middle(h)) })
		out[k] = d
	}
	return out
}

// believed at the middle of each hour, which the spots of a water share.
func (o *Outlook) believed() map[conditions.Readings][]conditions.Believed {
	out := map[conditions.Readings][]conditions.Believed{}
	for _, sp := range o.Asked.Spots {
		if out[sp.Readings] != nil {
			continue
		}
		list := make([]conditions.Believed, o.Hours)
		sweep.Parallel(o.Hours, func(h int) { list[h] = sp.Readings.Believe(o.middle(h)) })
		out[sp.Readings] = list
	}
	return out
}

func (o *Outlook) middle(hour int) time.Time {
	return o.From.Add(time.Duration(hour)*time.Hour + time.Hour/2)
}

// place is what is said of one spot but for its edges.
func (o *Outlook) place(at int, tides *tide.Memo, water sweep.Water, light daylight,
	believed []conditions.Believed) (Place, error) {
	sp := o.Asked.Spots[at]
	// Beyond the last hour, so that a way that shuts soon after it is known to.
	c, err := tides.Over(sp.Tide, o.From.Add(-12*time.Hour), o.End().Add(12*time.Hour))
	if err != nil {
		return Place{}, err
	}
	p := Place{State: make([]State, o.Hours), Dark: make([]bool, o.Hours), Told: make([]bool, o.Hours),
		Against: make([]string, o.Hours), way: sp.Open(c), day: light.days}
	company := o.Asked.Company.Against(sp)
	for h := range o.Hours {
		begin, middle := o.From.Add(time.Duration(h)*time.Hour), o.middle(h)
		p.Dark[h] = !holds(p.day, middle)
		p.Told[h] = told(believed[h])
		p.State[h] = o.state(at, h, p.way, begin)
		switch {
		case p.State[h] != Open:
			continue
		case company != "":
			p.State[h], p.Against[h] = DoNot, company
			continue
		}
		step := h*perHour + perHour/2
		stage, ok := c.StageRising(middle, water.RisingMPerH[step])
		if !ok {
			continue
		}
		// The moon has no say in going or not.
		m := spot.Moment{Spot: sp, Time: middle, LevelM: water.LevelM[step], Stage: stage,
			Sky: spot.Sky{Sun: light.sun[h]}, Believed: believed[h]}
		// When the way shuts is said by the window.
		if says := going.Forbidden(&m, o.Asked.Limits, o.Asked.Units); says != "" {
			p.State[h], p.Against[h] = DoNot, says
		}
	}
	return p, nil
}

func (o *Outlook) state(at, hour int, way []ground.Window, begin time.Time) State {
	for _, edges := range o.Edges {
		for _, e := range edges[at][hour*perHour : (hour+1)*perHour] {
			if !math.IsNaN(float64(e)) {
				return Open
			}
		}
	}
	switch {
	case o.Asked.Spots[at].Closing(begin) != nil, !o.Asked.Spots[at].OpenToday(begin), o.unsought(at, begin):
		return Closed
	case anyHolds(way, begin, begin.Add(time.Hour)):
		return Thin
	}
	return Shut
}

// unsought says that a rule forbids to fish for any of the targets at a spot at a time.
func (o *Outlook) unsought(at int, t time.Time) bool {
	sp := o.Asked.Spots[at]
	return len(sp.Rules) > 0 && len(o.Asked.Targets) > 0 && !slices.ContainsFunc(o.Asked.Targets, func(k *playbook.Target) bool {
		return sp.Unsought(k.Species(), t) == nil
	})
}

// Best edge for a target at a spot within an hour; NaN where one cannot fish.
func (o *Outlook) Best(target, at, hour int) float64 {
	best := math.NaN()
	for _, e := range o.Edges[target][at][hour*perHour : (hour+1)*perHour] {
		if v := float64(e); !(best >= v) && v == v {
			best = v
		}
	}
	return best
}

// told says that the wind of a moment is known from more than what is usual: the reading every
// forecast has.
func told(b conditions.Believed) bool {
	v, known := b[conditions.WindSpeed]
	return known && v.Origin.Told()
}

// holds says whether a moment lies in any of the windows.
func holds(windows []ground.Window, t time.Time) bool {
	for _, w := range windows {
		if w.Holds(t) {
			return true
		}
	}
	return false
}

// anyHolds says whether any of the windows has time within an interval.
func anyHolds(windows []ground.Window, from, to time.Time) bool {
	for _, w := range windows {
		if (w.Opens.IsZero() || w.Opens.Before(to)) && (w.Closes.IsZero() || w.Closes.After(from)) {
			return true
		}
	}
	return false
}
