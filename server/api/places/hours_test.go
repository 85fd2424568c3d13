package places_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A pier with hours is written and read again as it was, is open in them alone, and no plan has one
// stay there beyond them.
func TestAPierIsOpenInItsHours(t *testing.T) {
	c := kit.Fresh(t, "wren")
	path := "/spots/" + uuid.NewString()
	hours := []object{{"days": []string{"mon", "tue", "wed", "thu", "fri", "sat"}, "opens": "07:00", "closes": "12:00"}}
	pier := object{"name": "Gated pier", "place": "pier", "lat": 31.2, "lon": -45.1, "manner": "on foot", "water_id": c.ID("Sedge Sound"),
		"in": object{"name": "", "elevation_m": 0, "clear": true}, "out": object{"name": "", "elevation_m": 0, "clear": true},
		"section": []object{{"distance_m": 0, "elevation_m": 2}, {"distance_m": 60, "elevation_m": -4}},
		"marks":   []object{{"id": uuid.NewString(), "name": "Piles", "kind": "piling", "distance_m": 45}},
		"hours":   hours, "fee": "2 a rod", "parking": "by the gate"}
	var refused string
	require.Equal(t, http.StatusOK, c.Do("PUT", path, pier, &refused), refused)
	var got struct {
		Written struct {
			Hours []struct {
				Days          []string
				Opens, Closes string
			}
			Fee, Parking string
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", path, nil, &got))
	require.Len(t, got.Written.Hours, 1)
	assert.Equal(t, "07:00", got.Written.Hours[0].Opens)
	assert.Equal(t, "12:00", got.Written.Hours[0].Closes)
	assert.Equal(t, []string{"mon", "tue", "wed", "thu", "fri", "sat"}, got.Written.Hours[0].Days)
	assert.Equal(t, "2 a rod", got.Written.Fee)
	assert.Equal(t, "by the gate", got.Written.Parking)

	var visits struct {
		Visits []struct {
			Opens, Closes *time.Time
			LimitedBy     string `json:"limited_by"`
		}
	}
	days := "/visits?from=2026-11-21T00:00:00Z&to=2026-11-24T00:00:00Z&margin_min=0"
	require.Equal(t, http.StatusOK, c.Do("GET", path+days, nil, &visits))
	require.Len(t, visits.Visits, 2, "Saturday and Monday; the sound's clock is UTC−3, and on Sunday it is shut")
	for _, v := range visits.Visits {
		assert.Equal(t, 5*time.Hour, v.Closes.Sub(*v.Opens))
		assert.Equal(t, "past its hours", v.LimitedBy)
	}
	var laid struct {
		Plans []struct {
			Legs []struct{ Arrive, Leave time.Time }
		}
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/plans/preview", object{"from": "2026-11-21T06:00:00Z", "to": "2026-11-22T02:00:00Z",
		"targets": []string{}, "spots": []string{path[len("/spots/"):]}, "plans": 1}, &laid))
	require.NotEmpty(t, laid.Plans)
	for _, l := range laid.Plans[0].Legs {
		assert.False(t, l.Arrive.Before(*visits.Visits[0].Opens))
		assert.False(t, l.Leave.After(*visits.Visits[0].Closes))
	}
	pier["hours"] = []object{{"days": []string{"mon"}, "opens": "25:00", "closes": "12:00"}}
	var p problem
	require.Equal(t, 422, c.Do("PUT", path, pier, &p))
	assert.Equal(t, "body.hours[0]", p.Errors[0].Location)
}
