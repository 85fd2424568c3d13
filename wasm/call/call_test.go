package call_test

import (
	"encoding/json"
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/wasm/call"
)

// The page asks in JSON and is answered in JSON; what cannot be read is named.
func TestThePageAsksOfAnOuting(t *testing.T) {
	begin := time.Date(2026, 11, 20, 12, 0, 0, 0, time.UTC)
	touch := func(n, minute int, kind, more string) string {
		return fmt.Sprintf(`{"id":"t%d","n":%d,"time":%q,"kind":%q%s}`, n, n,
			begin.Add(time.Duration(minute)*time.Minute).Format(time.RFC3339), kind, more)
	}
	touches := touch(1, 0, "fish", `,"doing":{"spot_id":"bar","target":"red-drum","rods":2,"offering":"jig"}`) + "," +
		touch(2, 10, "bite", "") + "," + touch(3, 20, "landed", `,"catch":{"length_m":0.6}`)
	ask := func(now int, more string) (out struct {
		Spells []struct {
			Offering string
			Going    bool
			LastedS  float64 `json:"lasted_s"`
			Tally    struct{ Fish, Bites int }
		}
		Total struct {
			RodHours float64 `json:"rod_hours"`
		}
		Next *struct{ Change string }
		Stay *struct {
			Stay    bool
			Reason  string
			Staying float64
		}
	}) {
		raw, err := new(call.Core).Call("outing", []byte(fmt.Sprintf(`{"touches":[%s],"now":%q%s}`, touches,
			begin.Add(time.Duration(now)*time.Minute).Format(time.RFC3339), more)))
		require.NoError(t, err)
		require.NoError(t, json.Unmarshal(raw, &out))
		return out
	}
	out := ask(30, "")
	require.Len(t, out.Spells, 1)
	assert.Equal(t, "jig", out.Spells[0].Offering)
	assert.True(t, out.Spells[0].Going)
	assert.Equal(t, 1800.0, out.Spells[0].LastedS)
	assert.Equal(t, 1, out.Spells[0].Tally.Fish)
	assert.InDelta(t, 1, out.Total.RodHours, 1e-9)
	assert.Nil(t, out.Stay, "nothing is known of what to expect")

	here := `,"here":{"median":0.5,"low":0.2,"high":1.2}`
	odds := ask(30, here+`,"school":"odds"`)
	require.NotNil(t, odds.Stay)
	assert.Equal(t, "nowhere else", odds.Stay.Reason)
	assert.Greater(t, odds.Stay.Staying, 1.0, "a fish in the first hour of two rods")
	clock := ask(55, here+`,"school":"fixed clock"`)
	assert.False(t, clock.Stay.Stay)
	elsewhere := ask(300, here+`,"school":"odds","others":[{"name":"The Gut","here":{"median":2,"low":1,"high":4},"away_min":10}]`)
	assert.False(t, elsewhere.Stay.Stay)

	_, err := new(call.Core).Call("outing", []byte(`{"touches":[{"kind":"comet"}]}`))
	assert.ErrorContains(t, err, "wasm: outing: outing: a touch has an id")
	_, err = new(call.Core).Call("outing", []byte(`no`))
	assert.ErrorContains(t, err, "wasm: outing: ")
	_, err = new(call.Core).Call("tides", nil)
	assert.ErrorContains(t, err, `unknown question "tides"`)
}

func FuzzCall(f *testing.F) {
	f.Add([]byte(`{"touches":[{"id":"a","n":1,"time":"2026-11-20T12:00:00Z","kind":"fish",
		"doing":{"spot_id":"b","target":"c","rods":1}}]}`))
	f.Fuzz(func(t *testing.T, raw []byte) {
		if out, err := new(call.Core).Call("outing", raw); err == nil && !json.Valid(out) {
			t.Fatalf("%q is answered with %q", raw, out)
		}
	})
}

// A fish touched twice on the plan, three seconds apart: cast ahead of it, so that the lure crosses its path
// before its nose.
func TestAFishIsSeenTwice(t *testing.T) {
	var out struct {
		SpeedMS  float64 `json:"speed_ms"`
		Bearing  float64 `json:"bearing_deg"`
		LandXM   float64 `json:"land_x_m"`
		LandYM   float64 `json:"land_y_m"`
		PassM    float64 `json:"pass_m"`
		Possible bool
	}
	ask := func(seconds string) error {
		raw, err := new(call.Core).Call("seen", []byte(`{"first":{"x_m":-4,"y_m":14},"second":{"x_m":-3,"y_m":14},"seconds":`+seconds+`}`))
		if err != nil {
			return err
		}
		return json.Unmarshal(raw, &out)
	}
	require.NoError(t, ask("3.3"))
	assert.InDelta(t, 0.3, out.SpeedMS, 0.01)
	assert.InDelta(t, 90, out.Bearing, 1e-6)
	require.True(t, out.Possible)
	assert.Greater(t, out.LandXM, -3.0, "ahead of it")
	assert.Greater(t, out.LandYM, 14.0, "beyond it")
	assert.Greater(t, out.PassM, 0.1)
	assert.ErrorContains(t, ask("0.5"), "three or four seconds")
}
