package outing_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
	"greypebble/core/outing"
)

var beach = ground.LatLon{Lat: 31.2, Lon: -45.1}

func place(p ground.LatLon) *outing.Place { return &outing.Place{Lat: p.Lat, Lon: p.Lon} }

func castFrom(p ground.LatLon, along, out float64) outing.Touch {
	return outing.Touch{Kind: outing.Cast, At: place(p), Aim: &outing.Aim{AlongM: along, OutM: out}}
}

// Walking a beach that runs any way, casts lie as far along it as one walked, and as far out as they went; the
// hand shakes the position by a few metres to the side.
func TestATrailAlongABeach(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		runs := rapid.Float64Range(0, 360).Draw(t, "the beach runs")
		var casts []outing.Touch
		var walked []float64
		at := 0.0
		for range rapid.IntRange(2, 12).Draw(t, "casts") {
			aside := rapid.Float64Range(-2, 2).Draw(t, "aside")
			p := ground.Toward(ground.Toward(beach, runs, at), runs+90, aside)
			if at == 0 {
				p = beach
			}
			casts, walked = append(casts, castFrom(p, 3, 40)), append(walked, at)
			at += rapid.Float64Range(20, 60).Draw(t, "a step")
		}
		o := told(t, casts...)
		trail, standing := o.Trail()
		require.Len(t, trail, len(casts))
		for i, c := range trail {
			assert.InDelta(t, walked[i]+3, c.AlongM, 1+0.02*at)
			assert.InDelta(t, 40, c.OutM, 1e-9)
		}
		assert.InDelta(t, walked[len(walked)-1], standing, 1+0.02*at)
	})
}

// A place that showed nothing is not cast to again; one with a sign is, and one beside it.
func TestNeverTwiceToOnePlace(t *testing.T) {
	o := told(t, castFrom(beach, 0, 30), castFrom(beach, 10, 30), did(outing.Bite), cast("pocket"))
	trail, _ := o.Trail()
	require.Len(t, trail, 2, "a cast nobody told the place of leaves no crumb")
	assert.True(t, outing.CastThere(trail, outing.Aim{AlongM: 1, OutM: 31}))
	assert.False(t, outing.CastThere(trail, outing.Aim{AlongM: 10, OutM: 32}), "there was a bite")
	assert.False(t, outing.CastThere(trail, outing.Aim{AlongM: 0, OutM: 36}), "beside it")
	// Told first and aimed after, it is one cast.
	o = told(t, cast("pocket"), outing.Touch{Kind: outing.Correct, Of: "m0", Aim: &outing.Aim{AlongM: 4, OutM: 20}})
	trail, _ = o.Trail()
	require.Len(t, trail, 1)
	assert.Equal(t, outing.Crumb{Aim: outing.Aim{AlongM: 4, OutM: 20}, Feature: "pocket", Aimed: true}, trail[0])
	assert.Equal(t, 1, o.Spells[0].Casts)
	// At the next spot nothing was cast to yet.
	over := doing("jig", 4)
	over.SpotID = "another"
	o = told(t, castFrom(beach, 0, 30), outing.Touch{Kind: outing.Fish, Doing: over})
	trail, _ = o.Trail()
	assert.Empty(t, trail)
}

func TestACastThatGoesNowhere(t *testing.T) {
	for _, a := range []outing.Aim{{0, -1}, {0, math.NaN()}, {500, 3}, {math.Inf(1), 3}} {
		bad := outing.Touch{ID: "x", Time: at(1), Kind: outing.Cast, Aim: &a}
		require.Error(t, bad.Validate())
	}
	for _, r := range []outing.Run{{400, 2}, {10, 0}, {10, 30}, {math.NaN(), 2}} {
		bad := outing.Touch{ID: "x", Time: at(1), Kind: outing.On, Run: &r}
		require.Error(t, bad.Validate())
	}
}

// The pass over a hook-up: on the course of before the lure comes over the place it was hooked at when it is said
// to, from wherever the boat has drifted; nothing else is planned again.
func TestThePassIsPlannedAgain(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		course := rapid.Float64Range(0, 359).Draw(t, "course")
		speed := rapid.Float64Range(0.5, 7).Draw(t, "speed")
		line := rapid.Float64Range(0, 120).Draw(t, "line out")
		d := doing("jig", 1)
		d.DistanceM, d.DepthM = line, 4.5
		o := told(t, outing.Touch{Kind: outing.Fish, Doing: d},
			outing.Touch{Kind: outing.On, At: place(beach), Run: &outing.Run{CourseDeg: course, SpeedMS: speed}}, did(outing.Landed),
			did(outing.On))
		h, hooked := o.LastHook()
		require.True(t, hooked)
		assert.InDelta(t, line, ground.Distance(beach, h.Lure), 0.01*line+0.1, "the lure was hooked, not the boat")
		boat := ground.Toward(beach, rapid.Float64Range(0, 359).Draw(t, "drifted to"), rapid.Float64Range(0, 400).Draw(t, "so far"))
		p := h.Again(boat)
		assert.InDelta(t, 0, ground.Distance(ground.Toward(boat, p.BearingDeg, p.ToStartM), p.Start), 1)
		lure := ground.Toward(p.Start, p.CourseDeg, p.SpeedMS*p.LureOverS-line)
		assert.InDelta(t, 0, ground.Distance(lure, h.Lure), 1, "after so long it is over the place")
		assert.InDelta(t, 0, ground.Distance(ground.Toward(p.Start, p.CourseDeg, p.SpeedMS*p.BoatOverS), h.Lure), 1)
		assert.GreaterOrEqual(t, p.RunM-line, 2*line-1e-6, "the line is straight before it comes there")
		assert.InDelta(t, 4.5, p.DepthM, 0)
	})
	o := told(t, did(outing.On), did(outing.Landed))
	_, hooked := o.LastHook()
	assert.False(t, hooked, "nobody trolled")
}
