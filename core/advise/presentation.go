package advise

import (
	"math"

	"greypebble/core/bylaw"
	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/kit"
	"greypebble/core/method"
	"greypebble/core/playbook"
	"greypebble/core/spot"
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
	// underFishM is how far it hangs below the level fish show at, above it negative; NaN where none show.
	underFishM float64
	// reachM is how far it can be thrown, offM how far its mark lies from where the water begins.
	reachM, offM float64
	// at is the mark's place among the spot's; yardstick presentations are there only to be
	// measured by.
	at        int
	yardstick bool
	// mine is how the angler does it, advised or not.
	mine bool
}

// RuledOut is an offering that cannot work now, and why.
type RuledOut struct{ Offering, Why string }

// options being listed, with what is the same for all of them.
type options struct {
	q       *Question
	m       *spot.Moment
	asks    bylaw.Asks
	temp    float64
	current float64
	// headwind in m/s against one who casts; section, nil where none was drawn; stands, by mark.
	headwind float64
	section  *ground.Section
	stands   []method.Stand
	// moving water rolls a lead.
	moving bool
	out    []presentation
	// works and why keep what became of each offering.
	works map[string]bool
	why   map[string]whyNot
}

// optionsAt a moment: none yet. A run counts the same either way.
func optionsAt(q *Question, m *spot.Moment) options {
	o := options{q: q, m: m, asks: m.Spot.Asks(q.Target.Species(), m.Time), temp: m.Believed[conditions.WaterTemp].Value,
		works: map[string]bool{}, why: map[string]whyNot{}}
	run, _ := m.Current()
	o.current, o.moving = math.Abs(run), method.Moving(m)
	if faces := m.Spot.FacesDeg; faces != nil {
		off := (m.Believed[conditions.WindFrom].Value - *faces) * math.Pi / 180
		o.headwind = m.Believed[conditions.WindSpeed].Value * math.Cos(off)
	}
	o.section = sectionOf(m.Spot)
	o.stands = make([]method.Stand, len(m.Spot.Marks))
	for i := range m.Spot.Marks {
		o.stands[i] = method.StandAt(m, o.section, &m.Spot.Marks[i])
	}
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
		if w := o.why[f.ID].says; w != "" && !o.works[f.ID] {
			refused = append(refused, RuledOut{f.Name, w})
		}
	}
	return o.out, refused
}

// offer an offering by its kind and as the kit has it.
func (o *options) offer(f *playbook.Offering, at int, depth float64) {
	mark := &o.m.Spot.Marks[at]
	for _, rig := range f.On() {
		if k := o.misfit(rig, at, depth); k != fits {
			o.fails(f, whyNot{depthM: depth, near: k != otherPlace && k != noBoat}, func() string { return k.says(o, rig, mark, depth) })
			continue
		}
		owned := o.q.Kit.Offered(f.ID)
		for i := range owned {
			o.onRig(f.Dressed(owned[i].Finish), &owned[i], rig, at, depth, false)
		}
		o.onRig(f, nil, rig, at, depth, len(owned) > 0 || o.q.KitOnly)
	}
}

// whyNot says why an offering does not work, and on how much water; near says that it all but does.
type whyNot struct {
	says   string
	depthM float64
	near   bool
}

// fails keeps why an offering does not work: what comes nearest to working says most.
func (o *options) fails(f *playbook.Offering, r whyNot, says func() string) {
	old := o.why[f.ID]
	if old.says == "" || r.near && !old.near || r.near == old.near && r.depthM > old.depthM {
		r.says = says()
		o.why[f.ID] = r
	}
}

// onRig adds an offering on a rig in all the ways and paces it can be moved; as a yardstick, where
// it is not what is asked for.
func (o *options) onRig(f *playbook.Offering, owned *kit.Item, rig *playbook.Rig, at int, depth float64, yardstick bool) {
	p := presentation{offering: f, rig: rig, mark: &o.m.Spot.Marks[at], at: at, owned: owned, leader: o.q.leaderOf(rig),
		yardstick: yardstick}
	why := o.asks.RulesOut(f.Approach == "live bait", f.Approach != "lure" && rig.Head, rig.HookCount())
	if why != "" {
		o.fails(f, whyNot{depthM: math.Inf(1), near: true}, func() string { return why })
		return
	}
	if p.weightKg, why = o.weight(&p, depth); why == "" {
		p.depthM, why = o.fished(&p, depth)
	}
	if why == "" {
		why = o.thrown(&p)
	}
	p.underFishM = underFish(o.m, p.depthM)
	if why != "" {
		if !yardstick {
			o.fails(f, whyNot{depthM: depth, near: true}, func() string { return why })
		}
		return
	}
	o.works[f.ID] = o.works[f.ID] || !yardstick
	for i := range rig.Ways {
		if p.way = &rig.Ways[i]; o.suits(p.way, &p) {
			o.out = append(o.out, paces(p)...)
		}
	}
}

// present the presentation to the rules on a mark.
func (p *presentation) present(on *standing, out *playbook.Presented) {
	f := &out.Facts
	f.Measure[playbook.LureDepth] = p.depthM
	f.Measure[playbook.Clearance] = math.Max(on.facts[0].Measure[playbook.Depth]-p.depthM, 0)
	f.Measure[playbook.UnderFish] = p.underFishM
	f.Offer(p.offering)
	f.Rigged(p.rig)
	f.Say(playbook.Pace, p.pace)
	f.Say(playbook.Style, p.way.Style)
	f.Say(playbook.Leader, p.leader)
	for k := range out.Light {
		out.Light[k] = on.facts[k].Measure[playbook.SurfaceLight] * water.Remaining(on.attenuation[k], p.depthM)
	}
}
