package advise

import (
	"fmt"
	"math"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/playbook"
	"greypebble/core/prose"
	"greypebble/core/spot"
	"greypebble/core/tackle"
	"greypebble/core/water"
)

// presentation is what is offered, on what rig, where, how deep, how moved.
type presentation struct {
	offering *playbook.Offering
	rig      *playbook.Rig
	way      *playbook.Way
	mark     *ground.Mark
	depthM   float64 // of the offering below the surface
	pace     string  // slow, medium or fast for lures, empty for baits
	speedMS  float64
	weightKg float64
	leader   string // its material, empty without one
	owned    *kit.Item
	// at is the mark's place among the spot's; yardstick presentations are there only to be
	// measured by.
	at        int
	yardstick bool
	// mine is how the angler does it, advised or not.
	mine bool
}

// clearance a float or suspending lure keeps from the bottom, metres.
const clearance = 0.2

// RuledOut is an offering that cannot work now, and why.
type RuledOut struct{ Offering, Why string }

// options being listed, with what is the same for all of them.
type options struct {
	q       *Question
	m       *spot.Moment
	temp    float64
	current float64
	out     []presentation
	// works and why keep what became of each offering.
	works map[string]bool
	why   map[string]string
}

// optionsAt a moment: none yet. A run counts the same either way.
func optionsAt(q *Question, m *spot.Moment) options {
	o := options{q: q, m: m, temp: m.Believed[conditions.WaterTemp].Value, works: map[string]bool{}, why: map[string]string{}}
	run, _ := m.Current()
	o.current = math.Abs(run)
	return o
}

// possible lists every presentation that can work at a moment, and what cannot.
func possible(q *Question, m *spot.Moment) ([]presentation, []RuledOut) {
	o := optionsAt(q, m)
	for i := range m.Spot.Marks {
		mark := &m.Spot.Marks[i]
		if depth := mark.Depth(m.LevelM); mark.Fishable.Holds(depth) {
			for j := range q.Book.Offerings {
				if f := &q.Book.Offerings[j]; q.Target.Offered(f.ID) {
					o.offer(f, i, depth)
				}
			}
		}
	}
	var refused []RuledOut
	for j := range q.Book.Offerings {
		f := &q.Book.Offerings[j]
		if w := o.why[f.ID]; w != "" && !o.works[f.ID] {
			refused = append(refused, RuledOut{f.Name, w})
		}
	}
	return o.out, refused
}

// offer an offering by its kind and as the kit has it.
func (o *options) offer(f *playbook.Offering, at int, depth float64) {
	mark := &o.m.Spot.Marks[at]
	for _, rig := range f.On() {
		if k := o.misfit(rig, mark, depth); k != fits {
			if o.why[f.ID] == "" {
				o.why[f.ID] = k.says(o, rig, mark, depth)
			}
			continue
		}
		owned := o.q.Kit.Offered(f.ID)
		for i := range owned {
			o.onRig(f.Dressed(owned[i].Finish), &owned[i], rig, at, depth, false)
		}
		o.onRig(f, nil, rig, at, depth, len(owned) > 0 || o.q.KitOnly)
	}
}

// misfit of a rig and a mark.
type misfit int

const (
	fits misfit = iota
	noBoat
	otherPlace
	tooShallow
	tooDeep
	drags
	snagged
)

// misfit says whether a rig cannot be used on a mark: the wrong depth or place, an open hook where it
// snags.
func (o *options) misfit(rig *playbook.Rig, mark *ground.Mark, depthM float64) misfit {
	switch {
	case rig.Trolled() && o.m.Spot.Access.Manner != ground.Boat:
		return noBoat
	case !rig.UsedAt(o.m.Spot.Place):
		return otherPlace
	case depthM < rig.MinDepthM:
		return tooShallow
	case depthM > rig.MaxDepthM:
		return tooDeep
	case rig.FloatM > 0 && depthM < math.Min(rig.FloatM, rig.LeaderM)+clearance:
		return drags
	case !rig.SnagSafe && snags(rig, mark):
		return snagged
	}
	return fits
}

// says why in words; empty where it fits.
func (k misfit) says(o *options, rig *playbook.Rig, mark *ground.Mark, depthM float64) string {
	sys, name, where := o.q.Units, prose.LowerFirst(rig.Name), prose.LowerFirst(mark.Name)
	switch k {
	case noBoat:
		return "trolling wants a boat"
	case otherPlace:
		return fmt.Sprintf("%s is not for a %s", name, o.m.Spot.Place)
	case tooShallow:
		return fmt.Sprintf("%s wants %s of water; the %s has %s", name, sys.ShowDepth(rig.MinDepthM), where, sys.ShowDepth(depthM))
	case tooDeep:
		return fmt.Sprintf("%s is for less than %s of water; the %s has %s", name, sys.ShowDepth(rig.MaxDepthM), where,
			sys.ShowDepth(depthM))
	case drags:
		return fmt.Sprintf("what hangs below the float would drag in %s", sys.ShowDepth(depthM))
	case snagged:
		return fmt.Sprintf("an open hook is soon lost on the %s", where)
	case fits:
	}
	return ""
}

// onRig adds an offering on a rig in all the ways and paces it can be moved; as a yardstick, where
// it is not what is asked for.
func (o *options) onRig(f *playbook.Offering, owned *kit.Item, rig *playbook.Rig, at int, depth float64, yardstick bool) {
	p := presentation{offering: f, rig: rig, mark: &o.m.Spot.Marks[at], at: at, owned: owned, leader: o.leader(rig), yardstick: yardstick}
	var why string
	if p.weightKg, why = o.weight(&p, depth); why == "" {
		p.depthM, why = o.fished(&p, depth)
	}
	if why != "" {
		if !yardstick && o.why[f.ID] == "" {
			o.why[f.ID] = why
		}
		return
	}
	o.works[f.ID] = o.works[f.ID] || !yardstick
	for i := range rig.Ways {
		p.way = &rig.Ways[i]
		o.out = append(o.out, paces(p)...)
	}
}

// leader material a rig is tied with: wire against teeth where that school is chosen,
// floating mono for surface lures, fluorocarbon otherwise.
func (o *options) leader(rig *playbook.Rig) string {
	switch {
	case rig.LeaderM == 0:
		return ""
	case o.q.Target.Hazard == tackle.Teeth && o.q.Book.Takes("Q11/wire"):
		return "wire"
	case rig.Column == "top":
		return "mono"
	}
	return "fluorocarbon"
}

// smallestOf the usual weight a lure is commonly sold in, as a share of it.
const smallestOf = 1.0 / 3

// tooLight is how much less than what the water asks for a lure may weigh and still
// be used.
const tooLight = 0.6

// swings is how far off the run a line streams from a boat that swings at anchor, degrees.
const swings = 25

// lies is how a lead lies as the current runs, see [tackle.LeadPlace]: a boat lets it stream, the shore
// casts it across.
func (o *options) lies() float64 {
	switch o.m.Spot.Access.Manner {
	case ground.Boat, ground.Kayak:
		return 90 - swings
	}
	return 0
}

// weight of head, sinker or jig by depth and current; why it cannot be had.
func (o *options) weight(p *presentation, depth float64) (kg float64, why string) {
	sys := o.q.Units
	switch {
	case p.rig.Head:
		want, most := tackle.HeadFor(depth, o.temp, o.m.Stage.RateMPerH), tackle.HeaviestHead(depth)
		if p.rig.HeadKg > 0 {
			want = p.rig.HeadKg
		}
		if p.owned != nil && p.owned.WeightKg > 0 {
			want = p.owned.WeightKg
			if want > most*1.05 {
				return 0, fmt.Sprintf("%s is too heavy for %s: it would sink into the bottom before it worked", sys.ShowWeight(want),
					sys.ShowDepth(depth))
			}
			return want, ""
		}
		if h, fit := o.q.Kit.HeadFor(want, most*1.05); fit != kit.Missing {
			return h.WeightKg, ""
		}
		return want, ""
	case p.rig.Vertical:
		need, err := tackle.VerticalJig(depth, o.current, thinBraid, offUpright)
		if err != nil {
			return 0, "no weight keeps the line upright here"
		}
		if p.owned != nil && p.owned.WeightKg > 0 {
			if p.owned.WeightKg < need*tooLight {
				return 0, fmt.Sprintf("%s is too light: %s keeps the line upright in this run", sys.ShowWeight(p.owned.WeightKg),
					sys.ShowWeight(need))
			}
			return p.owned.WeightKg, ""
		}
		return math.Max(math.Max(need, p.rig.WeightKg), p.offering.WeightKg*smallestOf), ""
	case p.rig.Holds && o.current > 0:
		l, err := tackle.LeadPlace{CurrentMS: o.current, LineDiameterM: thinBraid, LineLengthM: math.Max(depth*3, 30), DepthM: depth,
			FromAcrossDeg: o.lies(), Sinker: tackle.Sinker(p.rig.Sinker)}.Lead()
		if err != nil {
			return 0, "nothing holds here"
		}
		if l.HoldKg > p.rig.HeaviestKg {
			return 0, fmt.Sprintf("it would take %s to hold in this run, more than it carries", sys.ShowWeight(l.HoldKg))
		}
		return math.Max(l.HoldKg, p.rig.WeightKg), ""
	case p.owned != nil && p.owned.WeightKg > 0:
		return p.owned.WeightKg, ""
	case p.offering.WeightKg > 0:
		return p.offering.WeightKg, ""
	}
	return p.rig.WeightKg, ""
}

// thinBraid is the line leads and jigs are reckoned on, metres thick; offUpright, how
// far a vertical line may lean, degrees.
const (
	thinBraid  = tackle.UsualLine
	offUpright = 15
)

// usualCast of a plug in metres, and the line it is thrown on.
const (
	usualCast = 30.0
	plugLine  = 0.00028
	// knocksBy is how far past the bottom a plug may be made to dive over rock, which
	// it strikes and comes off; over anything else it ploughs.
	knocksBy = 1.5
)

// fished is how deep the offering is, metres; why it cannot be.
func (o *options) fished(p *presentation, depthM float64) (float64, string) {
	rated := p.offering.RatedM
	if p.owned != nil && p.owned.RatedM > 0 {
		rated = p.owned.RatedM
	}
	if rated > 0 {
		runs := tackle.Plug{RatedM: rated}.RunsTo(usualCast, plugLine)
		limit := depthM
		if p.mark.Bottom == "rock" {
			limit *= knocksBy
		}
		if runs > limit {
			return 0, fmt.Sprintf("it runs to %s and would plough the bottom in %s", o.q.Units.ShowDepth(runs), o.q.Units.ShowDepth(depthM))
		}
		return math.Min(runs, depthM), ""
	}
	switch {
	case p.rig.FloatM > 0:
		return math.Min(p.rig.FloatM, depthM-clearance), ""
	case p.rig.Column == "bottom":
		return depthM, ""
	case p.rig.Column == "mid":
		return depthM / 2, ""
	}
	return 0, ""
}

// snags says where an open hook is soon lost: in timber and over shell; and one that
// is dragged over rock.
func snags(rig *playbook.Rig, mark *ground.Mark) bool {
	switch {
	case mark.Kind == ground.Timber || mark.Bottom == "timber":
		return true
	case mark.Kind == ground.Rock || mark.Bottom == "rock":
		return rig.Head && rig.Column == "bottom"
	}
	return mark.Kind == ground.Crest && mark.Bottom == "shell"
}

// present the presentation to the rules on a mark.
func (p *presentation) present(on *standing, out *playbook.Presented) {
	f := &out.Facts
	f.Measure[playbook.LureDepth] = p.depthM
	f.Measure[playbook.Clearance] = math.Max(on.facts[0].Measure[playbook.Depth]-p.depthM, 0)
	f.Offer(p.offering)
	f.Rigged(p.rig)
	f.Say(playbook.Pace, p.pace)
	f.Say(playbook.Style, p.way.Style)
	f.Say(playbook.Leader, p.leader)
	for k := range out.Light {
		out.Light[k] = on.facts[k].Measure[playbook.SurfaceLight] * water.Remaining(on.attenuation[k], p.depthM)
	}
}
