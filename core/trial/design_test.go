package trial_test

import (
	"fmt"
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/outing"
	"greypebble/core/trial"
)

func design() trial.Design {
	return trial.Design{Question: "Does black beat chrome in the dark?", Target: "red-drum", BlockMin: 15, Rounds: 6,
		Arms: []trial.Choice{{Name: "black", Presentation: outing.Presentation{OfferingID: "jig", RigID: "straight", Finish: "black"}},
			{Name: "chrome", Presentation: outing.Presentation{OfferingID: "jig", RigID: "straight", Finish: "chrome"}}},
		Rods: []string{"long", "short"}, Sides: []string{"left", "right"}}
}

// In each round every arm is fished once, in an order drawn for it and the same whenever it is asked; rods and sides go
// with one arm in the first half and with another in the second.
func TestTurnsAreFair(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := design()
		d.Rounds = 2 * rapid.IntRange(1, 10).Draw(t, "rounds")
		for range rapid.IntRange(0, 2).Draw(t, "more arms") {
			d.Arms = append(d.Arms, trial.Choice{Name: string(rune('a' + len(d.Arms)))})
		}
		id := rapid.String().Draw(t, "id")
		turns := d.Turns(id)
		require.Len(t, turns, d.Rounds*len(d.Arms))
		assert.Equal(t, turns, d.Turns(id))
		rounds := map[int]map[string]bool{}
		rods := map[string]map[string]int{}
		for i, k := range turns {
			assert.Equal(t, i, k.N)
			if rounds[k.Round] == nil {
				rounds[k.Round] = map[string]bool{}
			}
			rounds[k.Round][k.Arm] = true
			if rods[k.Arm] == nil {
				rods[k.Arm] = map[string]int{}
			}
			rods[k.Arm][k.Rod]++
		}
		for _, arms := range rounds {
			assert.Len(t, arms, len(d.Arms))
		}
		if len(d.Arms) == 2 {
			for arm, with := range rods {
				assert.Equal(t, with["long"], with["short"], arm)
			}
		}
	})
	d := design()
	assert.Equal(t, 3*time.Hour, d.Lasts())
	orders := map[string]bool{}
	for n := range 40 {
		orders[d.Turns(string(rune('a' + n)))[0].Arm] = true
	}
	assert.Len(t, orders, 2, "either may begin")
	// By lot: of many rounds of many trials each arm begins half, within three standard deviations.
	began := 0
	for n := range 500 {
		for i, k := range d.Turns(fmt.Sprint("trial ", n)) {
			if i%2 == 0 && k.Arm == "black" {
				began++
			}
		}
	}
	assert.InDelta(t, 1500, began, 3*math.Sqrt(3000)/2)
}

// An arm that joins on the way is fished from then on, and changes nothing of the rounds before; what was changed after the
// first block is said, before it nothing is.
func TestAnArmJoins(t *testing.T) {
	d := design()
	before := d.Turns("x")
	more := design()
	more.Arms = append(more.Arms, trial.Choice{Name: "glow"})
	more.Joining(&d, 3)
	after := more.Turns("x")
	assert.Equal(t, before[:6], after[:6])
	assert.Len(t, after, 6+9)
	assert.Equal(t, time.Duration(15*15)*time.Minute, more.Lasts())
	more.Question, more.Rounds, more.Arms[0].WeightKg = "Another", 9, 0.03
	assert.Empty(t, trial.Changes(&d, &more, 0))
	told := trial.Changes(&d, &more, 4)
	require.Len(t, told, 4)
	assert.Contains(t, told[0], "Does black beat chrome")
	assert.Contains(t, told[1], "6 rounds of 15 min")
	assert.Contains(t, told[2], "black was changed")
	assert.Contains(t, told[3], "glow joined after 4 blocks")
	assert.Contains(t, trial.Changes(&more, &d, 4)[2], "black was changed")
}

// Arms alike but for one thing; what else differs is said.
func TestWhatElseDiffers(t *testing.T) {
	d := design()
	tails := func(a, b string) bool {
		return strings.HasPrefix(a, "paddle-tail-") && strings.HasPrefix(b, "paddle-tail-")
	}
	assert.Empty(t, d.Unalike(tails))
	d.Arms[1].WeightKg = 0.02
	require.Len(t, d.Unalike(tails), 1)
	assert.Contains(t, d.Unalike(tails)[0], "the colour, the weight")
	d.Arms[1].Presentation = d.Arms[0].Presentation
	assert.Contains(t, d.Unalike(tails)[0], "nothing is tried")

	// A lure the book has in two finishes is one lure in two colours; another lure is another.
	d.Arms[0].Presentation = outing.Presentation{OfferingID: "paddle-tail-white", Finish: "white"}
	d.Arms[1].Presentation = outing.Presentation{OfferingID: "paddle-tail-dark", Finish: "dark"}
	assert.Empty(t, d.Unalike(tails))
	assert.Equal(t, []string{"the colour"}, trial.Differences(d.Arms[0].Presentation, d.Arms[1].Presentation, tails))
	d.Arms[1].OfferingID = "small-paddle-tail"
	assert.Equal(t, []string{"the bait or lure", "the colour"},
		trial.Differences(d.Arms[0].Presentation, d.Arms[1].Presentation, tails))
}

// What a design would show: by simulation in exact_test; here that it is the power of its hours.
func TestWhatADesignWouldShow(t *testing.T) {
	d := design()
	s := d.Shows(4)
	assert.InDelta(t, trial.Power(2, 4, 1.5, 0.95), s.TwoToOne, 1e-12)
	assert.Less(t, s.FourToThree, s.TwoToOne)
}

func TestADesignThatCannotBe(t *testing.T) {
	for field, change := range map[string]func(*trial.Design){
		"question":     func(d *trial.Design) { d.Question = " " },
		"arms":         func(d *trial.Design) { d.Arms = d.Arms[:1] },
		"arms[1].name": func(d *trial.Design) { d.Arms[1].Name = "black" },
		"block_min":    func(d *trial.Design) { d.BlockMin = 0 },
		"rounds":       func(d *trial.Design) { d.Rounds = 0 },
	} {
		d := design()
		change(&d)
		at, err := d.Validate()
		require.Error(t, err, field)
		assert.Equal(t, field, at)
	}
	d := design()
	_, err := d.Validate()
	assert.NoError(t, err)
}
