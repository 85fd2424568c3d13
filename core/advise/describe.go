package advise

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/method"
	"greypebble/core/prose"
	"greypebble/core/sketch"
	"greypebble/core/spot"
	"greypebble/core/tackle"
	"greypebble/core/words"
)

// Working is one piece of arithmetic spelled out.
type Working struct {
	// Label of the result, the result as text, and how it was come by.
	Label, Result, Formula string
	// Weak says where the result is not to be trusted.
	Weak string
}

func describe(q *Question, m *spot.Moment, r *rankedOption) Choice {
	depth := r.mark.Depth(m.LevelM)
	pattern, size := hookOf(q, r)
	leader, leaderSays := leaderN(q, &r.presentation, size), ""
	if r.leader != "" {
		leaderSays = fmt.Sprintf(words.Of, q.Units.ShowShort(r.rig.LeaderM), q.Units.ShowLine(leader), r.leader)
	}
	cast := r.cast(q, m)
	fill := strings.NewReplacer("{leader}", leaderSays, "{weight}", q.Units.ShowWeight(r.weightKg), "{hook}",
		strings.TrimSpace(size+" "+pattern),
		" hook hook", " hook")
	article := strings.NewReplacer(" a 8 ", " an 8 ", " a 11 ", " an 11 ", " a 18 ", " an 18 ")
	name, owned := r.offering.Name, ""
	if r.owned != nil {
		name, owned = r.owned.Name, r.owned.ID
	}
	contrast := q.contrast(r)
	ch := Choice{Target: q.Target, DepthM: r.depthM, Edge: contrast.Edge(), Catch: q.catch(r, contrast), Absent: r.on.away(),
		For: q.forIt(r), Cautions: choiceCautions(q, r), contrast: contrast}
	ch.Reasons = q.reasons(r, &ch)
	ch.Sentence = fmt.Sprintf(words.OnInOfWater, name, article.Replace(" " + q.Units.Fill(fill.Replace(r.rig.Short)))[1:],
		preposition(r.mark), prose.WithArticle(r.mark.Name), q.Units.ShowWater(depth))
	ch.Card = Card{KitID: owned, OfferingID: r.offering.ID, Offering: name, Approach: r.offering.Approach, Finish: r.offering.Finish,
		Hooked: r.offering.Hooked, Size: q.Units.ShowShort(r.offering.LengthM), RigID: r.rig.ID, Rig: r.rig.Name, Mark: r.mark.Name,
		Cast: cast.Says(q.Units), Tip: q.Units.Fill(r.rig.Tip), Bite: prose.Capital(q.Units.Fill(r.rig.Bite)) + ".",
		Refused: prose.Capital(q.Units.Fill(r.rig.Refused)) + ".", Style: r.way.Style,
		WeightKg: r.weightKg, SpeedMS: r.speedMS}
	c := &ch.Card
	if r.offering.Approach != "lure" && (cast.Lies || cast.Kind == method.Trot || cast.Kind == method.Down) {
		c.Groundbait = q.Units.Fill(q.Target.Groundbait)
	}
	if r.owned != nil && r.owned.LengthM > 0 {
		c.Size = q.Units.ShowShort(r.owned.LengthM)
	}
	if r.weightKg > 0 {
		c.Weight = q.Units.ShowWeight(r.weightKg)
	}
	if size != "" {
		c.Hook = size + " " + pattern
	}
	if r.leader != "" {
		c.LeaderN, c.LeaderOf, c.Leader = leader, r.leader, leaderSays
	}
	c.Knot = knotFor(r)
	ch.Retrieve, ch.Arithmetic = retrieve(q, m, r, c, &cast, strike(pattern))
	ch.presented = sketch.Presented{Cast: cast, Target: q.Target, Offering: r.offering, Rig: r.rig, Way: r.way, Mark: r.mark,
		DepthM: r.depthM}
	ch.Handling = q.Units.Fill(q.Target.Handling)
	ch.moment, ch.units = m, q.Units
	if q.DrawnPx > 0 {
		a := ch.drawing(q.DrawnPx)
		ch.Side = sketch.Side(a, ch.presented)
		ch.Plan, _ = sketch.Plan(a, ch.presented)
	}
	if !q.Kit.Empty() {
		ch.Uses, ch.Lacks = fitOut(q, r, pattern, size, leader)
	}
	return ch
}

// knotFor ties the end: a loop where the lure is to move freely.
func knotFor(r *rankedOption) string {
	material := tackle.Material(r.leader)
	switch {
	case r.leader == "wire":
		return words.CrimpedOrAHaywireTwist
	case r.leader == "":
		material = tackle.Braid
	}
	free := r.offering.Approach == "lure" && !r.rig.Head
	name, turns, err := tackle.Knot(material, free)
	if err != nil {
		return ""
	}
	return fmt.Sprintf(words.Turns, name, turns)
}

// sinks is what falls on a rig, and what to call it.
func sinks(r *rankedOption) (tackle.Body, string) {
	body, what := tackle.OnHead(r.weightKg), words.HeadWithItsSoftBody
	switch {
	case r.rig.Sinker != "":
		body, what = tackle.Body{MassKg: r.weightKg, DensityKgM3: tackle.DensityOf(tackle.Egg), Shape: tackle.Egg}, "lead"
	case r.offering.Kind == "metal" || r.offering.Kind == "spoon":
		body, what = tackle.Body{MassKg: r.weightKg, DensityKgM3: tackle.DensityOf(tackle.Metal), Shape: tackle.Metal}, "metal"
	}
	if r.owned != nil && r.owned.FallMS > 0 {
		body.TimedMS = r.owned.FallMS
	}
	return body, what
}

// retrieve says how to move it, with the arithmetic done.
func retrieve(q *Question, m *spot.Moment, r *rankedOption, c *Card, cast *method.Cast, strikes string) (string, []Working) {
	sys, depth, temp := q.Units, r.mark.Depth(m.LevelM), m.Believed[conditions.WaterTemp].Value
	var say []string
	var work []Working
	if says, w := level(q, m, r); says != "" {
		say, work = append(say, says), append(work, w)
	} else if says, w := falls(q, m, r, cast); says != "" {
		say, work = append(say, says), append(work, w)
	}
	pause := tackle.Pause(temp) * q.Target.Pauses
	say = append(say, strings.TrimSpace(strings.NewReplacer("{strike}", strikes).Replace(sys.Fill(r.way.Moved(r.mark)))))
	if cast.Kind == method.Down && strings.Contains(r.way.Cadence, "{pause}") {
		c.Pause = count1(pause) + " s"
		work = append(work, pauseWorking(q, c.Pause, temp))
		say = append(say, fmt.Sprintf(words.PauseBetween, c.Pause))
	}
	// Straight down nothing is wound.
	if r.speedMS > 0 && r.way.Style != "troll" && cast.Kind != method.Down {
		turn, measured := q.Kit.Turn()
		weak := words.ATurnIsThatOfYour
		if !measured {
			turn, weak = tackle.TypicalTurn, words.ATurnIsThatOfA
		}
		turns := tackle.TurnsIn(10, r.speedMS, turn)
		c.Pace = fmt.Sprintf(words.TurnsIn10S, count1(turns))
		work = append(work, Working{"Pace", c.Pace, fmt.Sprintf(words.ThroughTheWater10SA, sys.ShowRun(r.speedMS),
			sys.ShowWater(turn)), weak})
		if strings.Contains(r.way.Cadence, "{pause}") {
			c.Pause = count1(pause) + " s"
			work = append(work, pauseWorking(q, c.Pause, temp))
			say = append(say, fmt.Sprintf(words.Pause, c.Pace, c.Pause))
		} else {
			say = append(say, c.Pace+".")
		}
	}
	if r.speedMS > 0 && r.way.Style == "troll" {
		c.Pace = sys.ShowBoat(r.speedMS)
		say = append(say, c.Pace+".")
	}
	c.Cadence = r.way.CadenceFor(pause)
	c.Depth = sys.ShowWater(r.depthM)
	switch {
	case r.depthM == 0:
		c.Depth = "on the surface"
	case r.offering.RatedM > 0:
		c.Depth = fmt.Sprintf(words.RunsToOver, sys.ShowWater(r.depthM), sys.ShowWater(depth))
		work = append(work, Working{words.ItRunsTo, sys.ShowWater(r.depthM), fmt.Sprintf(words.ItsRatedOnACastOf,
			sys.ShowWater(r.offering.RatedM), sys.ShowDistance(usualCast)),
			words.GoodToAThirdTheDepth})
	case r.rig.FloatM > 0:
		work = append(work, Working{words.BelowTheFloat, sys.ShowWater(r.depthM),
			fmt.Sprintf(words.TheLeaderAndAtLeastClear, sys.ShowWater(clearance), sys.ShowWater(depth)),
			""})
	}
	if does := weightDoes(r); does != "" {
		if run, known := m.Current(); known && math.Abs(run) > 0.05 {
			work = append(work, Working{"Weight", sys.ShowWeight(r.weightKg),
				fmt.Sprintf(words.WhatOnThinBraidInOf, does, sys.ShowRun(math.Abs(run)),
					sys.ShowWater(depth)), words.ThickerLineWantsMoreTheBench})
		}
	}
	return strings.Join(say, " "), work
}

// pauseWorking says how long a pause is, and why.
func pauseWorking(q *Question, pause string, tempC float64) Working {
	how := fmt.Sprintf(words.ForWaterOfTheColderThe, q.Units.ShowTemperature(tempC))
	if q.Target.Pauses > 1 {
		how += fmt.Sprintf(words.AndLongerThanUsualFor, q.Target.InSentence())
	}
	return Working{"Pause", pause, how, words.CommonPracticeLetTheFishCorrect}
}

// level says how to bring a thing to fish that show, and which level comes next; nothing where none show
// or the rig has a depth of its own.
func level(q *Question, m *spot.Moment, r *rankedOption) (string, Working) {
	depth := r.mark.Depth(m.LevelM)
	at, shown := held(m, depth)
	if !shown || !r.rig.AnyDepth || at != r.depthM {
		if r.rig.Lead == "hangs" && r.rig.Column == "mid" {
			return fmt.Sprintf(words.HalfWayDownFirstAt, q.Units.ShowWater(r.depthM)), Working{
				words.DepthToFish, q.Units.ShowWater(r.depthM),
				fmt.Sprintf(words.HalfOfThenLowerUntilIt, q.Units.ShowWater(depth)), ""}
		}
		return "", Working{}
	}
	sys := q.Units
	turn, measured := q.Kit.Turn()
	weak := words.ATurnIsThatOfYour2
	if !measured {
		turn, weak = tackle.TypicalTurn, words.ATurnIsThatOfA2
	}
	var next []string
	for _, l := range m.FishDepthsM {
		if l <= depth && l != m.FishDepthsM[0] {
			next = append(next, sys.ShowWater(l))
		}
	}
	then := ""
	if len(next) > 0 {
		then = fmt.Sprintf(words.ThenTheNextLevel, prose.And(next))
	}
	work := Working{"Level", sys.ShowWater(at), fmt.Sprintf(words.ALittleAboveTheFishAt,
		sys.ShowWater(m.FishDepthsM[0])), weak}
	if r.rig.FloatM > 0 {
		return fmt.Sprintf(words.SetTheStopKnotAboveThe, sys.ShowWater(at), then), work
	}
	up := tackle.Turns(depth, at, turn)
	work.Formula += fmt.Sprintf(words.ATurn, sys.ShowWater(depth), sys.ShowWater(at), sys.ShowWater(turn))
	down := ""
	body, _ := sinks(r)
	if v, err := body.FallSpeed(); err == nil && r.weightKg > 0 {
		down = fmt.Sprintf(words.OrCountSDownFromThe, count1(at/v))
	}
	return fmt.Sprintf(words.ToTheBottomAndTurnsUp, count1(up), sys.ShowWater(at), down, then), work
}

// falls says how long it falls until it touches: to the bottom, or from step to step; nothing for what
// does not sink there.
func falls(q *Question, m *spot.Moment, r *rankedOption, cast *method.Cast) (string, Working) {
	sys, depth := q.Units, r.mark.Depth(m.LevelM)
	if !(r.rig.Head || r.rig.Vertical) || r.rig.Column != "bottom" {
		return "", Working{}
	}
	body, what := sinks(r)
	v, err := body.FallSpeed()
	if err != nil {
		return "", Working{}
	}
	how := fmt.Sprintf(words.FallOfOf, sys.ShowRun(v), sys.ShowWeight(r.weightKg), what)
	weak := words.FallSpeedIsFromTheDrag
	if body.TimedMS > 0 {
		how, weak = fmt.Sprintf(words.AsYouTimedIt, sys.ShowRun(v)), ""
	}
	if cast.Kind == method.Steps {
		if hops, err := body.Hops(method.StepsDown(m), hopM); err == nil {
			var s, d []string
			for _, h := range hops {
				s, d = append(s, count1(h.Seconds)), append(d, sys.ShowWater(h.ToDepthM))
			}
			falls := strings.Join(s, words.Then) + " s"
			says := fmt.Sprintf(words.LetItFallToTheStep, falls)
			if len(hops) > 1 {
				says = fmt.Sprintf(words.FallsOfFromStepToStep, falls)
				if !longer(hops) {
					says = fmt.Sprintf(words.FallsOfFromStepToStep2, falls)
				}
			}
			return says, Working{words.FallToEachStep, falls, fmt.Sprintf(words.ToAfterAHopOfAt, strings.Join(d, ", "),
				sys.ShowShort(hopM), how), weak}
		}
	}
	count := count1(depth/v) + " s"
	return fmt.Sprintf(words.CountDown, count), Working{
		words.FallToTheBottom, count, fmt.Sprintf("%s ÷ %s", sys.ShowWater(depth), how), weak}
}

// longer says that no hop takes less than the one before it.
func longer(hops []tackle.Hop) bool {
	return slices.IsSortedFunc(hops, func(a, b tackle.Hop) int { return cmp.Compare(a.Seconds, b.Seconds) })
}

// hopM is how far a hop lifts a lure, metres (common practice, no source).
const hopM = 0.3

// weightDoes says what the weight was reckoned to do in the run; empty where it was not.
func weightDoes(r *rankedOption) string {
	if r.rig.Vertical && r.reachM == 0 {
		return words.KeepsTheLineUpright
	}
	return map[string]string{"holds": words.Holds, "trots": words.FindsTheBottomAndTrots, "rolls": words.RollsAlongTheBottom,
		"hangs": words.HangsUnderTheRod}[r.rig.Lead]
}

// count1 writes seconds and turns to the nearest half, as one counts.
func count1(x float64) string {
	h := math.Max(math.Round(x*2)/2, 0.5)
	if h == math.Trunc(h) {
		return fmt.Sprintf("%.0f", h)
	}
	return fmt.Sprintf("%.1f", h)
}

func preposition(m *ground.Mark) string {
	switch m.Kind {
	case ground.Crest, ground.Bar, ground.Flat:
		return "over"
	case ground.Piling, ground.Timber:
		return "beside"
	case ground.Sill, ground.Rock:
		return "at"
	case ground.EdgeMark, ground.Slope, ground.Step, ground.Seam:
		return "along"
	}
	return "in"
}

// cast of a presentation at a moment.
func (r *rankedOption) cast(q *Question, m *spot.Moment) method.Cast {
	f := method.Fished{Moment: m, Section: sectionOf(m.Spot), Mark: r.mark, Rig: r.rig, Way: r.way, ReachM: r.reachM,
		Strikes: q.Target.Strikes}
	return f.Cast()
}
