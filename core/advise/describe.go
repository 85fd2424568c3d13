package advise

import (
	"fmt"
	"math"
	"strings"

	"greypebble/core/conditions"
	"greypebble/core/ground"
	"greypebble/core/quantity"
	"greypebble/core/tackle"
)

// Working is one piece of arithmetic spelled out.
type Working struct {
	// Label of the result, the result as text, and how it was come by.
	Label, Result, Formula string
	// Weak says where the result is not to be trusted.
	Weak string
}

func describe(q Question, m *Moment, r *rankedOption) Choice {
	depth := r.mark.Depth(m.LevelM)
	temp := m.Believed[conditions.WaterTemp].Value
	rigShort := strings.ReplaceAll(r.rig.Short, "{weight}", q.System.Weight(r.weightKg))
	ch := Choice{
		Approach: r.offering.Approach, Offering: r.offering.Name, Rig: capital(r.rig.Name), Mark: r.mark.Name,
		DepthM: r.depthM, Edge: r.edge, Reasons: reasons(q.Book, r), Bite: capital(r.rig.Bite) + ".",
	}
	ch.Retrieve, ch.Arithmetic = retrieve(q.System, &r.presentation, depth, temp)
	ch.Sentence = fmt.Sprintf("%s on %s, %s %s in %s of water.", r.offering.Name, rigShort, preposition(r.mark), withArticle(r.mark.Name), q.System.Depth(depth))
	ch.Cautions = choiceCautions(q, r)
	return ch
}

// retrieve says how to move it, with the arithmetic done.
func retrieve(sys quantity.System, p *presentation, depth, temp float64) (string, []Working) {
	var say []string
	var work []Working
	if p.rig.Head && p.rig.Column == "bottom" {
		body := tackle.OnHead(p.weightKg)
		if v, err := body.FallSpeed(); err == nil {
			count := depth / v
			say = append(say, "Count "+count1(count)+" s down.")
			work = append(work, Working{"Fall to the bottom", count1(count) + " s",
				fmt.Sprintf("%s ÷ %s fall of a %s head with its soft body", sys.Depth(depth), sys.Speed(v), sys.Weight(p.weightKg)),
				"Fall speed is from the drag equation with a drag coefficient set to common practice; time your own lure once."})
		}
	}
	say = append(say, p.rig.Move)
	if p.speedMS > 0 {
		turns := tackle.TurnsIn(10, p.speedMS, tackle.TypicalTurn)
		pause := tackle.Pause(temp)
		say = append(say, fmt.Sprintf("%s turns in 10 s, pause %s s.", count1(turns), count1(pause)))
		work = append(work,
			Working{"Pace", count1(turns) + " turns in 10 s",
				fmt.Sprintf("%s through the water × 10 s ÷ %s a turn", sys.Speed(p.speedMS), sys.Depth(tackle.TypicalTurn)),
				"A turn is that of a common fixed-spool reel; measure yours. With a wave pushing toward you, wind faster by as much."},
			Working{"Pause", count1(pause) + " s", fmt.Sprintf("for water of %s: the colder, the longer", sys.Temperature(temp)),
				"Common practice; let the fish correct it."})
	}
	if p.rig.FloatM > 0 {
		work = append(work, Working{"Below the float", sys.Depth(p.depthM),
			fmt.Sprintf("the leader, and at least %s clear of the bottom in %s of water", sys.Depth(clearance), sys.Depth(depth)), ""})
	}
	if p.rig.Column == "mid" && p.rig.FloatM == 0 {
		work = append(work, Working{"Depth to fish", sys.Depth(p.depthM), fmt.Sprintf("half of %s; then lower until it is taken", sys.Depth(depth)), ""})
	}
	return strings.Join(say, " "), work
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
	case ground.Edge, ground.Slope, ground.Step:
		return "along"
	}
	return "in"
}

func withArticle(name string) string {
	if strings.HasPrefix(strings.ToLower(name), "the ") {
		return name
	}
	return "the " + lowerFirst(name)
}

func lowerFirst(s string) string {
	if s == "" {
		return s
	}
	return strings.ToLower(s[:1]) + s[1:]
}

func capital(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}
