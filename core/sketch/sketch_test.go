package sketch

import (
	"math"
	"regexp"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/conditions"
	"greypebble/core/drawing"
	"greypebble/core/ground"
	"greypebble/core/method"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
	"greypebble/core/spot"
	"greypebble/core/tide"
	"greypebble/core/water"
)

var bank = []ground.Point{{DistanceM: 0, ElevationM: 2}, {DistanceM: 20, ElevationM: 0.8}, {DistanceM: 34, ElevationM: -0.6},
	{DistanceM: 48, ElevationM: 0.2}, {DistanceM: 90, ElevationM: -6}, {DistanceM: 160, ElevationM: -9}}

func moment(t *testing.T, place string, m ground.Manner, drawn bool, readings ...conditions.Reading) (*spot.Moment, *ground.Section) {
	t.Helper()
	h, err := tide.NewHarmonics([]tide.Constituent{{Name: "M2", AmplitudeM: 0.75}}, 1)
	require.NoError(t, err)
	way := ground.Passage{Name: "the way", ElevationM: 0.4}
	when := time.Date(2026, 6, 1, 10, 0, 0, 0, time.UTC)
	for i := range readings {
		readings[i].Time, readings[i].Origin = when, conditions.Observed
	}
	s := &spot.Spot{Name: "A place", Place: place, Tide: h, Access: ground.Access{Manner: m, In: way, Out: way},
		Current: water.Setting{SeenMS: 0.4}, Readings: conditions.Sorted(readings), LatLon: ground.LatLon{Lat: 33}}
	if drawn {
		s.Section = bank
	}
	for i, k := range []ground.MarkKind{ground.Trough, ground.Step, ground.Rock, ground.Pocket, ground.Hole, ground.Flat} {
		at := 34 + 14*float64(i)
		s.Marks = append(s.Marks, ground.Mark{ID: string(k), Name: "The " + string(k), Kind: k, DistanceM: at,
			ElevationM: -0.6 - float64(i),
			Bottom:     ground.Bottoms[i%6]})
	}
	c, err := tide.Over(h, when, when)
	require.NoError(t, err)
	now, err := s.At(c, when)
	require.NoError(t, err)
	section, _ := ground.NewSection(s.Section)
	return &now, section
}

// absolute coordinates of a path, and those a relative command goes by.
var numbers = regexp.MustCompile(`-?\d+(\.\d+)?`)

func onSheet(t *testing.T, d *drawing.Drawing, what string) {
	t.Helper()
	for _, s := range d.Strokes {
		require.NotContains(t, s.Path, "NaN", what)
		require.NotContains(t, s.Path, "Inf", what)
		if strings.ContainsAny(s.Path, "aq") {
			continue
		}
		list := numbers.FindAllString(s.Path, -1)
		for i := 0; i+1 < len(list); i += 2 {
			x, _ := strconv.ParseFloat(list[i], 64)
			y, _ := strconv.ParseFloat(list[i+1], 64)
			assert.True(t, x > -90 && x < d.Width+90 && y > -20 && y < d.Height+20, "%s: %s at %v, %v of %v × %v", what, s.Ink, x, y,
				d.Width,
				d.Height)
		}
	}
	for _, l := range d.Labels {
		assert.True(t, l.X >= 0 && l.X <= d.Width && l.Y > 0 && l.Y <= d.Height, "%s: %q at %v, %v", what, l.Text, l.X, l.Y)
	}
}

// Every offering of the book on every rig and way is drawn at every kind of place, from land and afloat, with a
// section and without, on the sheet and with its words.
func TestEveryPresentationIsDrawn(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	target := &book.Targets[0]
	kinds := map[method.Kind]bool{}
	for n, place := range ground.Places {
		for j, manner := range []ground.Manner{ground.OnFoot, ground.Wading, ground.Kayak, ground.Boat} {
			m, section := moment(t, place, manner, (n+j)%2 == 0)
			if n%3 == 0 {
				m.Signs = []string{"fish tailing"}
			}
			for i := range book.Offerings {
				o := &book.Offerings[i]
				rig := o.On()[(i+n+j)%len(o.On())]
				k := &m.Spot.Marks[(i+n+2*j)%len(m.Spot.Marks)]
				way := &rig.Ways[(n+j)%len(rig.Ways)]
				f := method.Fished{Moment: m, Section: section, Mark: k, Rig: rig, Way: way, ReachM: 40, Strikes: target.Strikes}
				p := Presented{Cast: f.Cast(), Target: target, Offering: o, Rig: rig, Way: way, Mark: k, DepthM: k.Depth(m.LevelM) / 2}
				a := Asked{Moment: m, Section: section, WidthPx: []float64{336, 420, 700}[i%3], Units: quantity.US}
				d := Side(a, p)
				what := o.ID + " on " + rig.ID + " at a " + place + ", " + string(manner) + ", " + string(p.Cast.Kind)
				onSheet(t, &d, what)
				assert.Contains(t, d.Says, "From the side", what)
				assert.NotRegexp(t, `\d m\b`, d.Says, what)
				kinds[p.Cast.Kind] = true
				if top, shown := Plan(a, p); shown {
					onSheet(t, &top, what+" from above")
					assert.NotEmpty(t, top.Says)
				}
			}
		}
	}
	for _, k := range []method.Kind{method.Down, method.To, method.Drift, method.Trot, method.Steps, method.Along, method.Slant,
		method.Under, method.Through, method.Past, method.Fan, method.Trolled, method.Shown} {
		if k != method.Through { // no passage among the marks
			assert.True(t, kinds[k], "%s was never drawn", k)
		}
	}
}

// What is drawn is to scale: the cast as far as it is told, the bait as deep, the dark where it begins, the fish
// at the levels they were seen at.
func TestTheDrawingIsToScale(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	m, section := moment(t, "reef", ground.Boat, true, conditions.Reading{Kind: conditions.FishDepth, Value: 3},
		conditions.Reading{Kind: conditions.Clarity, Value: 0.3})
	rig, _ := book.Rig("sliding-float")
	o, _ := book.Offering("live-shrimp")
	k := &ground.Mark{Name: "Mark", Kind: ground.Flat, DistanceM: 90, ElevationM: -6, Bottom: "sand"}
	m.Spot.Marks = []ground.Mark{*k}
	f := method.Fished{Moment: m, Section: section, Mark: k, Rig: rig, Way: &rig.Ways[0], ReachM: 60}
	p := Presented{Cast: f.Cast(), Target: &book.Targets[0], Offering: o, Rig: rig, Way: &rig.Ways[0], Mark: k, DepthM: 2}
	a := Asked{Moment: m, Section: section, WidthPx: 600, Units: quantity.Metric}
	fr := newFrame(a, []Presented{p})
	d := Side(a, p)
	deep := m.LevelM - section.Elevation(90)
	assert.InDelta(t, deep/2, (fr.y(section.Elevation(90))-fr.waterY)/(fr.yAt(2)-fr.waterY), 1e-6)
	assert.InDelta(t, math.Abs(fr.x(p.Cast.ToM)-fr.x(p.Cast.WaterM)), p.Cast.OffM/(fr.toM-fr.fromM)*(fr.right-fr.left), 1e-6)
	var inks []string
	for _, s := range d.Strokes {
		inks = append(inks, string(s.Ink))
	}
	for _, ink := range []drawing.Ink{drawing.Water, drawing.Dark, drawing.Bed, drawing.Surface, drawing.Person, drawing.Fish, drawing.Line,
		drawing.Run} {
		assert.Contains(t, inks, string(ink))
	}
	words := ""
	for _, l := range d.Labels {
		words += l.Text + "; "
	}
	for _, w := range []string{"3.0 m", "2.0 m", "20 m from the boat", "dark below", "Mark"} {
		assert.Contains(t, words, w)
	}
	// Two on one sheet, the second in its own ink; another moment's water is a line.
	other := m.LevelM - 0.5
	a.OtherLevelM = &other
	both := Side(a, p, p)
	inks = nil
	for _, s := range both.Strokes {
		inks = append(inks, string(s.Ink))
	}
	assert.Contains(t, inks, string(drawing.Other))
	assert.Contains(t, inks, string(drawing.Level))
}

// No fish swims in the ground, wherever on the sheet it has room.
func TestFishSwimInWater(t *testing.T) {
	book, err := playbook.Builtin()
	require.NoError(t, err)
	for _, tg := range []int{0, 2, 5} {
		for at := 22.0; at < 150; at += 7 {
			m, section := moment(t, "surf beach", ground.OnFoot, true)
			k := &ground.Mark{Name: "Mark", Kind: ground.Trough, DistanceM: at, ElevationM: section.Elevation(at), Bottom: "sand"}
			rig, _ := book.Rig("popping-float")
			f := method.Fished{Moment: m, Section: section, Mark: k, Rig: rig, Way: &rig.Ways[0], ReachM: 80}
			p := Presented{Cast: f.Cast(), Target: &book.Targets[tg], Offering: book.Example(rig), Rig: rig, Way: &rig.Ways[0], Mark: k}
			fr := newFrame(Asked{Moment: m, Section: section, WidthPx: 336, Units: quantity.Metric}, []Presented{p})
			fr.fish(&p)
			for _, s := range fr.Strokes {
				n := numbers.FindAllString(s.Path, 2)
				x, _ := strconv.ParseFloat(n[0], 64)
				y, _ := strconv.ParseFloat(n[1], 64)
				assert.True(t, y > fr.waterY && y < fr.bedY(x+11)+1, "at %.0f m: a head at %.0f, %.0f, the bed at %.0f", at, x, y,
					fr.bedY(x+11))
			}
		}
	}
}
