package advice_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// Staying is compared with the spots one could fish once there: the way counted, open then, best first.
func TestWhereElseOneCouldGo(t *testing.T) {
	c := kit.Fresh(t, "wren")
	type expected struct{ Median, Low, High float64 }
	var out struct {
		Here   *expected
		Winter bool
		Others []struct {
			SpotID  string `json:"spot_id"`
			Name    string
			Here    expected
			AwayMin float64 `json:"away_min"`
			Until   *time.Time
		}
	}
	bar := c.Spots()["Kettle Bar"]
	ask := func(spot, target string, at time.Time) int {
		out.Here, out.Others = nil, nil
		return c.Do("GET", "/spots/"+spot+"/elsewhere?target="+target+"&time="+at.Format(time.RFC3339), nil, &out)
	}
	open := testkit.Now.Add(9 * time.Hour)
	require.Equal(t, http.StatusOK, ask(bar.ID, "red-drum", open))
	assert.False(t, out.Winter, "November")
	require.NotEmpty(t, out.Others)
	for i, o := range out.Others {
		assert.NotEqual(t, "Kettle Bar", o.Name)
		assert.GreaterOrEqual(t, o.AwayMin, 15.0, "packing at least")
		assert.Less(t, o.Here.Low, o.Here.Median)
		assert.Less(t, o.Here.Median, o.Here.High)
		if i > 0 {
			assert.LessOrEqual(t, o.Here.Median, out.Others[i-1].Here.Median)
		}
		if o.Until != nil {
			assert.True(t, o.Until.After(open.Add(time.Duration(o.AwayMin)*time.Minute)), "open when one comes there: %s", o.Name)
		}
		// The same as advice gives there, then.
		var advice struct {
			Choices []struct {
				PerRodHour expected `json:"per_rod_hour"`
			}
		}
		there := open.Add(time.Duration(o.AwayMin * float64(time.Minute)))
		require.Equal(t, http.StatusOK, c.Do("POST", "/advise",
			object{"spot_id": o.SpotID, "target": "red-drum", "time": there, "most": 1}, &advice))
		assert.InEpsilon(t, advice.Choices[0].PerRodHour.Median, o.Here.Median, 1e-3, o.Name)
	}
	require.Equal(t, http.StatusOK, ask(bar.ID, "red-drum", testkit.Now.AddDate(0, 2, 0)))
	assert.True(t, out.Winter, "January")
	assert.Equal(t, http.StatusUnprocessableEntity, ask(bar.ID, "unicorn", open))
	assert.Equal(t, http.StatusNotFound, ask(c.ID("nowhere"), "red-drum", open))
}

// Nobody is sent where they should not go: in a gale no spot is offered that advice begins with "do not" at.
func TestNobodyIsSentWhereOneDoesNotGo(t *testing.T) {
	c := kit.Fresh(t, "wren")
	at := testkit.Now.Add(9 * time.Hour)
	others := func() map[string]bool {
		var out struct {
			Others []struct {
				SpotID string `json:"spot_id"`
			}
		}
		require.Equal(t, http.StatusOK, c.Do("GET", "/spots/"+c.ID("Kettle Bar")+"/elsewhere?target=red-drum&time="+
			at.Format(time.RFC3339), nil, &out))
		names := map[string]bool{}
		for _, o := range out.Others {
			names[o.SpotID] = true
		}
		return names
	}
	calm := others()
	for _, water := range []string{"Sedge Sound", "Long Strand water"} {
		require.Less(t, c.Do("POST", "/waters/"+c.ID(water)+"/readings", object{"time": at, "readings": []object{
			{"kind": "wind_speed_ms", "value": 22}, {"kind": "swell_height_m", "value": 4.5}}}, nil), 300)
	}
	gale, forbidden := others(), 0
	for _, sp := range c.Spots() {
		var a struct{ Gravest string }
		require.Equal(t, http.StatusOK, c.Do("POST", "/advise", object{"spot_id": sp.ID, "target": "red-drum",
			"time": at.Add(20 * time.Minute), "most": 1}, &a))
		if a.Gravest == "do not" {
			assert.False(t, gale[sp.ID], sp.Name)
			if calm[sp.ID] {
				forbidden++
			}
		}
	}
	assert.Positive(t, forbidden, "some that were offered in calm weather are not any more")
}
