package advice_test

import (
	"net/http"
	"testing"

	"greypebble/testkit"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every school's other positions change something that is shown: the ranking, an edge,
// or a sentence.
func TestAPositionTakenVisiblyChangesAdvice(t *testing.T) {
	wren := kit.Fresh(t, "wren")
	spots := wren.Spots()
	var book struct {
		Schools []struct {
			ID, Default, Chosen string
			Positions           []struct{ ID string }
		}
	}
	require.Equal(t, http.StatusOK, wren.Do("GET", "/playbook", nil, &book))
	require.Len(t, book.Schools, 12)
	// Where each question comes up.
	where := map[string]object{
		"Q1": {"spot": "Kettle Bar", "target": "spotted-seatrout"}, "Q2": {"spot": "Kettle Bar", "target": "red-drum"},
		"Q3": {"spot": "Kettle Bar", "target": "red-drum"},
		"Q4": {"spot": "Kettle Bar", "target": "red-drum"}, "Q5": {"spot": "Kettle Bar", "target": "spotted-seatrout"},
		"Q6": {"spot": "", "place": "pier", "target": "red-drum"},
		"Q7": {"spot": "The Combs", "target": "black-sea-bass"}, "Q8": {"spot": "Anvil Ledge", "target": "kelp-bass"},
		"Q9":  {"spot": "Kettle Bar", "target": "trophy-seatrout"},
		"Q10": {"spot": "Kettle Bar", "target": "black-drum"}, "Q11": {"spot": "Stone Arm", "target": "bluefish"},
		"Q12": {"spot": "Ladle Flat", "target": "spotted-seatrout"},
	}
	for _, s := range book.Schools {
		w := where[s.ID]
		id := spots[w["spot"].(string)].ID
		for _, sp := range spots {
			if w["place"] == sp.Place {
				id = sp.ID
			}
		}
		ask := func(position string) object {
			at := "2026-11-24T21:30:00Z"
			if s.ID == "Q1" {
				at = "2026-11-24T15:30:00Z" // in the dark nobody throws one
			}
			if s.ID == "Q12" {
				at = "2026-11-25T03:30:00Z" // the flat is under water
			}
			a := object{}
			require.Equal(t, http.StatusOK, wren.Do("POST", "/advise", object{"spot_id": id, "target": w["target"], "time": at, "most": 20,
				"schools": object{s.ID: position}, "readings": []object{{"kind": "water_temp_c", "value": 19}}}, &a), s.ID)
			require.NotEmpty(t, a["choices"], "%s: %v", s.ID, a["note"])
			return object{"choices": a["choices"], "stay": a["stay"]}
		}
		usual := ask(s.Default)
		for _, p := range s.Positions {
			if p.ID != s.Default {
				assert.NotEqual(t, usual, ask(p.ID), "%s/%s changes nothing", s.ID, p.ID)
			}
		}
	}
	// Taken in Set-up it stays taken, for this angler alone.
	require.Equal(t, http.StatusNoContent, wren.Do("PUT", "/playbook/schools/Q6", object{"position": "far"}, nil))
	t.Cleanup(func() { wren.Do("PUT", "/playbook/schools/Q6", object{"position": ""}, nil) })
	chosen := func(who *testkit.Client) string {
		require.Equal(t, http.StatusOK, who.Do("GET", "/playbook", nil, &book))
		for _, s := range book.Schools {
			if s.ID == "Q6" {
				return s.Chosen
			}
		}
		return ""
	}
	assert.Equal(t, "far", chosen(wren))
	assert.Equal(t, "beneath", chosen(kit.Fresh(t, "moss")))
	assert.Equal(t, 422, wren.Do("PUT", "/playbook/schools/Q6", object{"position": "sideways"}, nil))
}
