package outing_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/outing"
)

// Nothing bites: one thing at a time, spot, then depth, then pace, then size, then colour (common practice, no
// source); each is given its time, and what was tried is not proposed again.
func TestOneThingAtATimeInItsOrder(t *testing.T) {
	base := outing.Doing{SpotID: "bar", Mark: "Edge", Target: "red-drum", Rods: 1,
		Presentation: outing.Presentation{Offering: "jig", Style: "hop", DepthM: 1, SizeM: 0.1, Finish: "white"}}
	touch := func(id string, minute int, change func(*outing.Doing)) outing.Touch {
		d := base
		if change != nil {
			change(&d)
		}
		return outing.Touch{ID: id, Time: at(minute), Kind: outing.Fish, Doing: &d}
	}
	touches := []outing.Touch{touch("1", 0, nil)}
	next := func(minute int) outing.Next {
		o, err := outing.Of(touches)
		require.NoError(t, err)
		n, there := o.NextOf(at(minute))
		require.True(t, there)
		return n
	}
	early := next(5)
	assert.Empty(t, early.Change)
	assert.InDelta(t, 15, early.Left.Minutes(), 0.01)
	assert.Equal(t, outing.TheDepth, next(21).Change, "the spot has had its time")
	touches = append(touches, touch("2", 22, func(d *outing.Doing) { d.DepthM = 2 }))
	assert.Empty(t, next(30).Change)
	assert.Equal(t, outing.ThePace, next(43).Change)
	touches = append(touches, touch("3", 44, func(d *outing.Doing) { d.DepthM, d.Style = 2, "drag" }))
	assert.Equal(t, outing.TheSize, next(65).Change)
	touches = append(touches, touch("4", 66, func(d *outing.Doing) { d.DepthM, d.Style, d.SizeM = 2, "drag", 0.06 }))
	assert.Equal(t, outing.TheColour, next(87).Change)
	touches = append(touches, touch("5", 88, func(d *outing.Doing) { d.DepthM, d.Style, d.SizeM, d.Finish = 2, "drag", 0.06, "dark" }))
	all := next(109)
	assert.Equal(t, outing.TheSpot, all.Change, "all was tried: move")
	assert.Len(t, all.Tried, 5)
	touches = append(touches, touch("6", 110, func(d *outing.Doing) { d.Mark = "Hole" }))
	assert.Equal(t, outing.TheDepth, next(131).Change, "at another mark the order begins anew")

	// A bite says that this is right: its clock begins anew.
	touches = append(touches, outing.Touch{ID: "b", Time: at(132), Kind: outing.Bite})
	assert.Empty(t, next(140).Change)
}
