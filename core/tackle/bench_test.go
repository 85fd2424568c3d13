package tackle

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

const ounce = 0.028349523125

func TestLead(t *testing.T) {
	at := func(t require.TestingT, p LeadPlace) Lead {
		l, err := p.Lead()
		require.NoError(t, err)
		return l
	}
	rapid.Check(t, func(t *rapid.T) {
		p := LeadPlace{CurrentMS: rapid.Float64Range(0, 2).Draw(t, "u"), LineDiameterM: rapid.Float64Range(0.0001, 0.0008).Draw(t, "d"),
			LineLengthM: rapid.Float64Range(5, 150).Draw(t, "l")}
		l := at(t, p)
		faster, thicker, longer := p, p, p
		faster.CurrentMS *= 1.2
		thicker.LineDiameterM *= 1.2
		longer.LineLengthM *= 1.2
		for _, more := range []LeadPlace{faster, thicker, longer} {
			assert.GreaterOrEqual(t, at(t, more).HoldKg, l.HoldKg*(1-1e-9), "more never wants less lead")
		}
		assert.LessOrEqual(t, l.TrotKg, l.HoldKg)
		assert.GreaterOrEqual(t, l.HoldKg, lightest)
	})
	// A knot and a half of current, 60 m of 0.35 mm mono: some ounces, as people
	// use from an anchored boat (common practice: 4 to 8 oz), which swings: 25° off the run; with braid half as
	// thick distinctly less.
	mono := at(t, LeadPlace{CurrentMS: 0.77, LineDiameterM: 0.00035, LineLengthM: 60, FromAcrossDeg: 65})
	braid := at(t, LeadPlace{CurrentMS: 0.77, LineDiameterM: 0.00018, LineLengthM: 60, FromAcrossDeg: 65})
	assert.Greater(t, mono.HoldKg, 3*ounce)
	assert.Less(t, mono.HoldKg, 14*ounce)
	assert.Less(t, braid.HoldKg, 0.75*mono.HoldKg)
	assert.InDelta(t, 2.5*ounce, mono.HoldKg-mono.TrotKg, 0.001, "trotted with 2 to 3 oz less")
	grip := at(t, LeadPlace{CurrentMS: 0.77, LineDiameterM: 0.00035, LineLengthM: 60, FromAcrossDeg: 65, Sinker: GripLead})
	assert.Less(t, grip.HoldKg, mono.HoldKg)
	for _, bad := range []LeadPlace{{CurrentMS: -1, LineDiameterM: 3e-4, LineLengthM: 9}, {LineDiameterM: 1, LineLengthM: 9},
		{LineDiameterM: 3e-4}, {LineDiameterM: 3e-4, LineLengthM: 9, DepthM: 10}, {LineDiameterM: 3e-4, LineLengthM: 9, Sinker: "anchor"}} {
		_, err := bad.Lead()
		assert.Error(t, err)
	}
}

func TestPlugOverABar(t *testing.T) {
	// Deep water outside, a bar from 8 to 14 m out, a trough inside.
	bar := func(d float64) float64 {
		if d > 8 && d < 14 {
			return 0.9
		}
		return 2.6
	}
	s, err := Plug{RatedM: 1.8}.Swim(30, 0.0003, 0.6, bar, 0.5, 1.2)
	require.NoError(t, err)
	assert.InDelta(t, 14, s.TouchesM, 0.5, "it strikes the outer face")
	assert.InDelta(t, 6, s.InStripM, 0.6)
	assert.InDelta(t, s.InStripM/0.6, s.Seconds, 1e-9)
	for _, q := range s.Path {
		assert.LessOrEqual(t, q.DepthM, bar(q.DistanceM)+1e-9, "never under the bottom")
	}
	deep, err := Plug{RatedM: 1.8}.Swim(30, 0.0003, 0.6, func(float64) float64 { return 9 }, 8, 10)
	require.NoError(t, err)
	assert.Negative(t, deep.TouchesM)
	most := 0.0
	for _, q := range deep.Path {
		most = math.Max(most, q.DepthM)
	}
	assert.InDelta(t, 1.8, most, 0.2, "about its rating at the cast and line it was rated for")
	rapid.Check(t, func(t *rapid.T) {
		cast, line := rapid.Float64Range(10, 60).Draw(t, "cast"), rapid.Float64Range(0.0001, 0.0005).Draw(t, "line")
		p := Plug{RatedM: rapid.Float64Range(0.5, 4).Draw(t, "rated")}
		assert.LessOrEqual(t, p.deepest(cast, line*1.3), p.deepest(cast, line), "thicker line, shallower")
		assert.GreaterOrEqual(t, p.deepest(cast*1.3, line), p.deepest(cast, line), "longer cast, deeper")
	})
	_, err = Plug{}.Swim(30, 0.0003, 0.6, bar, 0, 1)
	assert.ErrorContains(t, err, "rated depth")
	_, err = Plug{RatedM: 1}.Swim(30, 3, 0.6, bar, 0, 1)
	assert.ErrorContains(t, err, "thick")
}

// Along an edge the lure stays in the strip many times longer than across it.
func TestAlongAndAcross(t *testing.T) {
	// An edge that runs north, a strip 4 m wide beginning 2 m east.
	edge := func(e, _ float64) float64 {
		if e > 2 && e < 6 {
			return 1.5
		}
		return 4
	}
	list, err := Directions(30, 0.5, 1, 2, edge)
	require.NoError(t, err)
	across, along := list[9], list[1]
	assert.InDelta(t, 90, across.BearingDeg, 1e-9)
	assert.InDelta(t, 4, across.InStripM, 0.6)
	assert.InDelta(t, 2, across.FirstM, 0.6)
	assert.Greater(t, along.InStripM, 4*across.InStripM)
	assert.InDelta(t, along.InStripM*2, along.Seconds, 1e-9)
	assert.Negative(t, list[27].FirstM, "nothing to the west")
	_, err = Directions(30, 0.5, 2, 1, edge)
	assert.Error(t, err)
	unknown, err := Directions(30, 0.5, 1, 2, func(_, _ float64) float64 { return math.NaN() })
	require.NoError(t, err)
	assert.Zero(t, unknown[0].InStripM)
}

func TestTrolling(t *testing.T) {
	p, err := Troll{Lure: Bucktail, SpeedMS: 5 * knot, BehindM: 25, LedgeM: 100, DragN: 4 * newton, BreakN: 12 * newton,
		StretchBreak: StretchOf(Mono)}.Pass()
	require.NoError(t, err)
	assert.True(t, p.Fits)
	assert.InDelta(t, 100/(5*knot), p.OverLedgeS, 1e-9)
	assert.InDelta(t, 25*StretchOf(Mono)/3, p.GiveM, 1e-9)
	p, err = Troll{Lure: SmallSkirt, SpeedMS: 5 * knot}.Pass()
	require.NoError(t, err)
	assert.False(t, p.Fits, "12 to 14 kn")
	for _, bad := range []Troll{{Lure: "net", SpeedMS: 2}, {Lure: Bucktail}, {Lure: Bucktail, SpeedMS: 2, BehindM: -1},
		{Lure: Bucktail, SpeedMS: 2, DragN: -1}} {
		_, err := bad.Pass()
		assert.Error(t, err)
	}
}

func TestFloatRodsLineAndJig(t *testing.T) {
	k, err := StopKnot(1.2, -3, 0.5)
	require.NoError(t, err)
	assert.InDelta(t, 3.7, k, 1e-12)
	_, err = StopKnot(0.2, 0, 0.5)
	assert.ErrorContains(t, err, "no room")

	rods, err := Spread(4, 90, []Zone{{Name: "trough", FromM: 20, ToM: 50, Worth: 2},
		{Name: "outer trough", FromM: 80, ToM: 130, Worth: 1}, {Name: "far", FromM: 120, ToM: 200}})
	require.NoError(t, err)
	require.Len(t, rods, 4)
	assert.Equal(t, Rod{1, 35, "trough"}, rods[0])
	assert.Equal(t, Rod{2, 85, "outer trough"}, rods[1])
	for i, a := range rods {
		assert.LessOrEqual(t, a.CastM, 90.0)
		for _, b := range rods[:i] {
			assert.NotEqual(t, a.CastM, b.CastM, "no two ask the same")
		}
	}
	scouts, err := Spread(3, 90, nil)
	require.NoError(t, err)
	assert.Equal(t, "scouting", scouts[2].Over)
	_, err = Spread(0, 90, nil)
	assert.Error(t, err)
	_, err = Spread(1, 90, []Zone{{Name: "back", FromM: 9, ToM: 2}})
	assert.ErrorContains(t, err, "back")

	least, most, err := Leader(OpenSand)
	require.NoError(t, err)
	assert.InDelta(t, 15*newton, least, 1e-9)
	assert.InDelta(t, 20*newton, most, 1e-9)
	_, _, err = Leader("kelp")
	assert.Error(t, err)
	d, err := DragSetting(90, 60)
	require.NoError(t, err)
	assert.InDelta(t, 20, d, 1e-12)
	_, err = DragSetting(0, 1)
	assert.Error(t, err)
	name, turns, err := Knot(Fluoro, false)
	require.NoError(t, err)
	assert.Equal(t, "clinch 6", name+" "+string(rune('0'+turns)))
	_, _, err = Knot("rope", false)
	assert.Error(t, err)

	rapid.Check(t, func(t *rapid.T) {
		depth, run := rapid.Float64Range(2, 80).Draw(t, "depth"), rapid.Float64Range(0, 1.5).Draw(t, "run")
		a, err := VerticalJig(depth, run, 0.0002, 15)
		require.NoError(t, err)
		deeper, _ := VerticalJig(depth*1.2, run, 0.0002, 15)
		faster, _ := VerticalJig(depth, run*1.2, 0.0002, 15)
		assert.GreaterOrEqual(t, deeper, a)
		assert.GreaterOrEqual(t, faster, a)
	})
	still, err := VerticalJig(24.4, 0, 0.0002, 15)
	require.NoError(t, err)
	assert.InDelta(t, 0.75*ounce, still, 1e-9, "three quarters of an ounce at 80 ft")
	_, err = VerticalJig(0, 0, 0.0002, 15)
	assert.Error(t, err)
}

func TestCadence(t *testing.T) {
	for text, want := range map[string][]Beat{
		"twitch twitch pause 4 s": {{"twitch", 0.4}, {"twitch", 0.4}, {"pause", 4}},
		"2 twitch, pause 4s":      {{"twitch", 0.4}, {"twitch", 0.4}, {"pause", 4}},
		"wind 3 s pause 0.5":      {{"wind", 3}, {"pause", 0.5}},
		"hop 2 pop":               {{"hop", 0.8}, {"pop", 0.6}, {"pop", 0.6}},
		"Wind":                    {{"wind", 1}},
	} {
		got, err := ParseCadence(text)
		require.NoError(t, err, text)
		assert.Equal(t, want, got, text)
	}
	assert.InDelta(t, 4.8, Length([]Beat{{"twitch", 0.4}, {"twitch", 0.4}, {"pause", 4}}), 1e-12)
	for text, want := range map[string]string{"": "empty", "jiggle": `word 1 of the cadence, "jiggle"`, "pause 99 s": "lasts between",
		"2": "ends with a number", "2 3 hop": "word 2", "90 hop": "word 1", strings.Repeat("hop ", 99): "at most 60"} {
		_, err := ParseCadence(text)
		assert.ErrorContains(t, err, want, text)
	}
	rapid.Check(t, func(t *rapid.T) {
		beats := rapid.SliceOfN(rapid.Custom(func(t *rapid.T) Beat {
			m := rapid.SampledFrom([]string{"wind", "twitch", "jerk", "pop", "hop", "walk", "lift", "pause"}).Draw(t, "move")
			return Beat{m, rapid.SampledFrom([]float64{moves[m], 0.5, 2.25, 7}).Draw(t, "s")}
		}), 1, 12).Draw(t, "beats")
		again, err := ParseCadence(WriteCadence(beats))
		require.NoError(t, err, WriteCadence(beats))
		assert.Equal(t, beats, again, WriteCadence(beats))
	})
}

func FuzzCadence(f *testing.F) {
	f.Add("2 twitch pause 4 s")
	f.Fuzz(func(t *testing.T, text string) {
		beats, err := ParseCadence(text)
		if err == nil {
			again, err := ParseCadence(WriteCadence(beats))
			if err != nil || len(again) != len(beats) {
				t.Fatalf("%q: %v", WriteCadence(beats), err)
			}
		}
	})
}
