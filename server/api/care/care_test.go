package care_test

import (
	"net/http"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

type told struct {
	Steps []struct {
		Grave bool
		Says  string
	}
	FirstAid []object `json:"first_aid"`
	Keeping  []string
	Own      object
	People   int
}

// How a fish is treated goes by the water it lies in and by what the angler holds; nobody else sees that.
func TestAFishIsTreatedByTheBookOrByOnesOwn(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	ask := func(c *testkit.Client, body object) (o told, grave string) {
		require.Equal(t, http.StatusOK, c.Do("POST", "/care", body, &o))
		for _, s := range o.Steps {
			if s.Grave {
				grave += s.Says + " "
			}
		}
		return o, grave
	}
	o, grave := ask(c, object{"target": "red drum", "length_m": 0.6, "mass_kg": 2.5})
	assert.Empty(t, grave)
	assert.Equal(t, 5, o.People)
	assert.NotEmpty(t, o.FirstAid)
	assert.NotEmpty(t, o.Keeping)
	_, grave = ask(c, object{"target": "red-drum", "spot_id": c.ID("Kettle Bar"), "water_temp_c": 30})
	assert.Contains(t, grave, "30 °C")
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/care/red-drum", object{"breeder_m": 0.55, "handling": "By the lip, never."}, nil))
	o, grave = ask(c, object{"target": "red-drum", "length_m": 0.6})
	assert.Contains(t, grave, "Over 55 cm")
	says := ""
	for _, s := range o.Steps {
		says += s.Says
	}
	assert.Contains(t, says, "By the lip, never.")
	_, grave = ask(kit.Fresh(t, "wren", testkit.NoLog), object{"target": "red-drum", "length_m": 0.6})
	assert.Empty(t, grave)
	require.Equal(t, http.StatusNoContent, c.Do("PUT", "/care/red-drum", object{}, nil))
	_, grave = ask(c, object{"target": "red-drum", "length_m": 0.6})
	assert.Empty(t, grave, "the book's again")
	var p struct{ Errors []struct{ Location string } }
	require.Equal(t, 422, c.Do("POST", "/care", object{"target": "whale"}, &p))
	assert.Equal(t, "body.target", p.Errors[0].Location)
}

func TestIceAndLiveBait(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	var ice struct {
		Ice float64 `json:"ice_kg"`
		Sea float64 `json:"sea_water_l"`
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/care/ice", object{"fish_kg": 5, "hours": 8, "air_temp_c": 30, "water_temp_c": 25}, &ice))
	assert.GreaterOrEqual(t, ice.Ice, 5.0)
	assert.InDelta(t, ice.Ice, ice.Sea, 1e-9)
	var bait struct {
		Enough bool
		Still  float64 `json:"still_min"`
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/care/live-bait", object{"count": 24, "each_kg": 0.008, "water_temp_c": 25,
		"volume_l": 15,
		"hours":    6}, &bait))
	assert.False(t, bait.Enough)
	assert.Greater(t, bait.Still, 10.0)
	var raw string
	require.Equal(t, 422, c.Do("POST", "/care/ice", object{"fish_kg": -5, "hours": 8, "air_temp_c": 30, "water_temp_c": 25}, &raw))
	assert.True(t, strings.Contains(raw, "fish_kg"))
}
