package outing_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"greypebble/core/outing"
)

// R5, common practice: check and retie the leader after every good fish.
func TestTheLeaderIsCounted(t *testing.T) {
	o := told(t, did(outing.Landed), did(outing.Lost), did(outing.Missed), did(outing.Snagged))
	assert.Equal(t, 3, o.SinceLeader(), "a miss wears nothing")
	checked := outing.Touch{Kind: outing.Note, Note: outing.LeaderChecked}
	o = told(t, did(outing.Landed), checked, did(outing.Landed))
	assert.Equal(t, 1, o.SinceLeader())
	o = told(t, did(outing.Landed), did(outing.BrokeOff))
	assert.Zero(t, o.SinceLeader(), "what broke off is tied anew")
	note := outing.Touch{Kind: outing.Note, Note: "a line of one's own"}
	o = told(t, did(outing.Landed), note)
	assert.Equal(t, 1, o.SinceLeader())
}
