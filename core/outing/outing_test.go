package outing_test

import (
	"encoding/json"
	"fmt"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/core/outing"
)

var dawn = time.Date(2026, 11, 21, 9, 0, 0, 0, time.UTC)

func at(min int) time.Time { return dawn.Add(time.Duration(min) * time.Minute) }

func doing(offering string, rods int) *outing.Doing {
	return &outing.Doing{SpotID: "bar", Target: "red-drum", Rods: rods, Presentation: outing.Presentation{Offering: offering}}
}

// The outing: three spells, two fish, one lost, the clarity changed. A change of what is on the hook
// ends a spell and begins the next, a pause stops the clock, and effort is rods times hours.
func TestAnOutingIsItsTouches(t *testing.T) {
	o, err := outing.Of([]outing.Touch{
		{ID: "s1", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 1)},
		{ID: "b1", Time: at(10), Kind: outing.Bite},
		{ID: "o1", Time: at(20), Kind: outing.On},
		{ID: "c1", Time: at(22), Kind: outing.Landed, Catch: &outing.Catch{LengthM: 0.61}},
		{ID: "s2", Time: at(40), Kind: outing.Fish, Doing: doing("shrimp", 2)},
		{ID: "r1", Time: at(50), Kind: outing.Rest},
		{ID: "r2", Time: at(60), Kind: outing.Resume},
		{ID: "w1", Time: at(61), Kind: outing.Water, Reading: &outing.Reading{Kind: conditions.Clarity, Value: 0.4}},
		{ID: "o2", Time: at(65), Kind: outing.On},
		{ID: "l1", Time: at(66), Kind: outing.Lost},
		{ID: "s3", Time: at(70), Kind: outing.Fish, Doing: doing("crab", 1)},
		{ID: "c2", Time: at(80), Kind: outing.Landed, Catch: &outing.Catch{Target: "black-drum", Kept: true}},
		{ID: "e", Time: at(100), Kind: outing.End},
	})
	require.NoError(t, err)
	require.Len(t, o.Spells, 3)
	assert.Nil(t, o.Now())
	assert.Equal(t, at(100), o.Ended)
	hours := []float64{40.0 / 60, 2 * 20.0 / 60, 30.0 / 60}
	for i := range o.Spells {
		s := &o.Spells[i]
		assert.InDelta(t, hours[i], o.Effort(s, at(500)), 1e-9)
		if i > 0 {
			assert.Equal(t, o.Spells[i-1].Ended, s.Started)
		}
	}
	assert.Equal(t, "red-drum", o.Spells[0].Catches[0].Target, "the one sought, if nothing was said")
	assert.Equal(t, "black-drum", o.Spells[2].Catches[0].Target)
	assert.Equal(t, []outing.Reading{{Kind: conditions.Clarity, Value: 0.4}}, o.Spells[1].Readings)
	total := o.Total(at(500))
	assert.Equal(t, outing.Tally{RodHours: total.RodHours, Fish: 2, Lost: 1, Bites: 1}, total)
	assert.InDelta(t, 40.0/60+40.0/60+30.0/60, total.RodHours, 1e-9)
}

// While it goes on the clock runs, unless one rests; a fish on is so until it is told what became of it.
func TestAnOutingThatGoesOn(t *testing.T) {
	touches := []outing.Touch{{ID: "s", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 2)}, {ID: "o", Time: at(30), Kind: outing.On}}
	o, err := outing.Of(touches)
	require.NoError(t, err)
	require.NotNil(t, o.Now())
	assert.InDelta(t, 2, o.Effort(o.Now(), at(60)), 1e-9)
	assert.Equal(t, at(30), o.Hooked)
	assert.Equal(t, at(30), o.Now().LastSign())
	o, err = outing.Of(append(touches, outing.Touch{ID: "b", Time: at(31), Kind: outing.BrokeOff},
		outing.Touch{ID: "r", Time: at(45), Kind: outing.Rest}))
	require.NoError(t, err)
	assert.Zero(t, o.Hooked)
	assert.InDelta(t, 1.5, o.Effort(o.Now(), at(600)), 1e-9, "resting it stands still")
}

// Each touch can be taken back, the taking back too; what was said of a fish can be mended; a slip that
// changed the bait twice within a minute leaves no spell behind.
func TestTouchesAreUndoneAndCorrected(t *testing.T) {
	touches := []outing.Touch{
		{ID: "s1", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 1)},
		{ID: "c1", Time: at(5), Kind: outing.Landed},
		{ID: "u1", Time: at(5), Kind: outing.Undo, Of: "c1"},
	}
	o, err := outing.Of(touches)
	require.NoError(t, err)
	assert.Empty(t, o.Spells[0].Catches)
	o, err = outing.Of(append(touches, outing.Touch{ID: "u2", Time: at(6), Kind: outing.Undo, Of: "u1"},
		outing.Touch{ID: "m", Time: at(9), Kind: outing.Correct, Of: "c1", Catch: &outing.Catch{Target: "sheepshead", LengthM: 0.4}}))
	require.NoError(t, err)
	require.Len(t, o.Spells[0].Catches, 1)
	assert.Equal(t, "sheepshead", o.Spells[0].Catches[0].Target)
	assert.Equal(t, at(5), o.Spells[0].Catches[0].Time)

	o, err = outing.Of([]outing.Touch{touches[0], {ID: "s2", Time: at(10), Kind: outing.Fish, Doing: doing("crab", 1)},
		{ID: "s3", Time: at(10).Add(20 * time.Second), Kind: outing.Fish, Doing: doing("shrimp", 1)}})
	require.NoError(t, err)
	require.Len(t, o.Spells, 2)
	assert.Equal(t, "shrimp", o.Spells[1].Offering)
	o, err = outing.Of([]outing.Touch{touches[0], {ID: "s2", Time: at(10), Kind: outing.Fish, Doing: doing("crab", 1)},
		{ID: "u", Time: at(11), Kind: outing.Undo, Of: "s2"}})
	require.NoError(t, err)
	require.Len(t, o.Spells, 1, "a change of bait taken back never was")
	assert.Zero(t, o.Spells[0].Ended)
}

// A sign holds for a quarter of an hour after it was last seen, from when it was first.
func TestASignHoldsForAWhile(t *testing.T) {
	seen := func(id string, minute int) outing.Touch {
		return outing.Touch{ID: id, Time: at(minute), Kind: outing.Seen, Note: "dolphins"}
	}
	o, err := outing.Of([]outing.Touch{{ID: "s", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 1)}, seen("a", 10), seen("b", 40),
		seen("c", 50)})
	require.NoError(t, err)
	assert.Equal(t, at(40), o.SawLately("dolphins", at(60)))
	assert.Zero(t, o.SawLately("dolphins", at(65)))
	assert.Zero(t, o.SawLately("birds", at(60)))
}

func TestTouchesThatSayNothingAreRefused(t *testing.T) {
	for want, k := range map[string]outing.Touch{
		"has an id":          {Time: at(0), Kind: outing.Bite},
		"has no time":        {ID: "a", Kind: outing.Bite},
		"unknown kind":       {ID: "a", Time: at(0), Kind: "comet"},
		"says of which":      {ID: "a", Time: at(0), Kind: outing.Undo},
		"where and for what": {ID: "a", Time: at(0), Kind: outing.Fish},
		"1 to 12 rods":       {ID: "a", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 13)},
		"says what was read": {ID: "a", Time: at(0), Kind: outing.Water},
		"unknown sign":       {ID: "a", Time: at(0), Kind: outing.Seen, Note: "mermaids"},
		"before anything":    {ID: "a", Time: at(0), Kind: outing.Landed},
	} {
		_, err := outing.Of([]outing.Touch{k})
		assert.ErrorContains(t, err, want)
	}
}

// What another device told after the end is not lost.
func TestWhatComesAfterTheEndIsKept(t *testing.T) {
	touches := []outing.Touch{{ID: "a", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 1)}, {ID: "e", Time: at(9), Kind: outing.End},
		{ID: "c", Time: at(12), Kind: outing.Landed}}
	o, err := outing.Of(touches)
	require.NoError(t, err)
	require.Len(t, o.Spells, 1)
	assert.Len(t, o.Spells[0].Catches, 1)
	assert.NotNil(t, o.Now())
	o, err = outing.Of(append(touches[:2:2], outing.Touch{ID: "f", Time: at(20), Kind: outing.Fish, Doing: doing("crab", 1)}))
	require.NoError(t, err)
	require.Len(t, o.Spells, 2)
	assert.Equal(t, at(9), o.Spells[0].Ended)
}

// touchesOf an outing that goes any way, by clocks that may be set back.
func touchesOf(t *rapid.T) []outing.Touch {
	out := []outing.Touch{{ID: "first", Time: at(0), Kind: outing.Fish, Doing: doing("jig", rapid.IntRange(1, 4).Draw(t, "rods"))}}
	kinds := slices.DeleteFunc(slices.Clone(outing.Kinds), func(k outing.Kind) bool { return k == outing.End })
	for i := range rapid.IntRange(0, 30).Draw(t, "touches") {
		k := outing.Touch{ID: fmt.Sprint("t", i), Time: at(rapid.IntRange(0, 400).Draw(t, "minute")),
			Kind: rapid.SampledFrom(kinds).Draw(t, "kind")}
		switch k.Kind {
		case outing.Fish:
			k.Doing = doing(rapid.SampledFrom([]string{"jig", "crab"}).Draw(t, "offering"), rapid.IntRange(1, 4).Draw(t, "rods"))
		case outing.Undo, outing.Correct:
			// Not of the first: an outing without a spell has no fish.
			k.Of = fmt.Sprint("t", rapid.IntRange(0, max(i-1, 0)).Draw(t, "of"))
		case outing.Water:
			k.Reading = &outing.Reading{Kind: conditions.Clarity, Value: 1}
		case outing.Seen:
			k.Note = "birds"
		case outing.Sounded:
			k.DepthM = 2
		case outing.RodSet:
			k.Rod, k.Set = "1", &outing.Set{DistanceM: 30}
		default:
		}
		out = append(out, k)
	}
	return out
}

// However it went: spells follow each other, nothing lies outside its spell, effort is never negative nor
// more than rods times the time that passed, a touch that is sent twice counts once, and what is kept as
// JSON tells the same.
func TestWhateverIsTouchedTheOutingHoldsTogether(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		touches := touchesOf(t)
		o, err := outing.Of(touches)
		require.NoError(t, err)
		require.NotEmpty(t, o.Spells)
		end := at(1000)
		for i := range o.Spells {
			s := &o.Spells[i]
			stops := s.Ended
			if stops.IsZero() {
				require.Equal(t, len(o.Spells)-1, i)
				stops = end
			}
			require.False(t, stops.Before(s.Started))
			for _, e := range s.Events {
				require.False(t, e.Time.Before(s.Started) || e.Time.After(stops))
			}
			for _, c := range s.Catches {
				require.False(t, c.Time.Before(s.Started) || c.Time.After(stops))
			}
			effort := o.Effort(s, end)
			require.GreaterOrEqual(t, effort, 0.0)
			require.LessOrEqual(t, effort, float64(s.Rods)*stops.Sub(s.Started).Hours()+1e-9)
			if i > 0 {
				require.False(t, s.Started.Before(o.Spells[i-1].Ended))
			}
		}
		twice, err := outing.Of(append(slices.Clone(touches), touches[rapid.IntRange(0, len(touches)-1).Draw(t, "again")]))
		require.NoError(t, err)
		require.Len(t, twice.Spells, len(o.Spells))
		require.Equal(t, o.Total(end).Fish, twice.Total(end).Fish)
		raw, err := json.Marshal(touches)
		require.NoError(t, err)
		var read []outing.Touch
		require.NoError(t, json.Unmarshal(raw, &read))
		again, err := outing.Of(read)
		require.NoError(t, err)
		require.Equal(t, o, again)
	})
}

// Anything may stand in a device's storage.
func FuzzTouches(f *testing.F) {
	raw, _ := json.Marshal([]outing.Touch{{ID: "s", Time: at(0), Kind: outing.Fish, Doing: doing("jig", 1)}})
	f.Add(raw)
	f.Fuzz(func(t *testing.T, raw []byte) {
		var touches []outing.Touch
		if json.Unmarshal(raw, &touches) != nil {
			return
		}
		o, err := outing.Of(touches)
		if err == nil && len(o.Spells) > 0 {
			o.Total(at(0))
		}
	})
}
