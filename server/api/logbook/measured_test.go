package logbook_test

import (
	"math"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// A fish tagged and met again is found by its number; the file holds a line for each; fifteen fish weighed give a relation
// of their own, below that the book's stands; the longest is fat or lean for its length by it.
func TestTagsAndWeights(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.NoLog)
	logged := func(day int, more object) {
		at := time.Date(2026, 11, 1, 12, 0, 0, 0, time.UTC).AddDate(0, 0, day)
		fish := object{"id": uuid.NewString(), "target": "red-drum", "caught_at": at.Add(time.Hour)}
		for k, v := range more {
			fish[k] = v
		}
		require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+uuid.NewString(), object{"spot_id": c.ID([]string{"Kettle Bar",
			"Long Strand"}[day%2]),
			"target": "red-drum", "started_at": at, "ended_at": at.Add(2 * time.Hour), "catches": []object{fish}}, nil))
	}
	logged(0, object{"length_m": 0.60, "tag_number": "GP 0042", "tag_side": "left", "tag_programme": "Invented tags"})
	logged(11, object{"length_m": 0.61, "tag_number": "gp0042", "tag_programme": "invented tags"})
	var tags struct {
		Tagged     []object
		Recaptures []struct {
			Days     float64
			Growth   float64 `json:"growth_m_per_day"`
			Straight float64 `json:"straight_m"`
			Doubt    string
			First    struct{ Number string }
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/tags", nil, &tags))
	assert.Len(t, tags.Tagged, 2)
	require.Len(t, tags.Recaptures, 1)
	assert.InDelta(t, 11, tags.Recaptures[0].Days, 1e-6)
	assert.InDelta(t, 0.01/11, tags.Recaptures[0].Growth, 1e-9)
	assert.Greater(t, tags.Recaptures[0].Straight, 100.0)
	assert.Equal(t, "GP 0042", tags.Recaptures[0].First.Number)
	var file string
	require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/tags.csv", nil, &file))
	assert.Equal(t, 3, strings.Count(file, "\n"))

	type grown struct {
		Weighed  int
		Own      bool
		B        float64
		BLow     *float64 `json:"b_low"`
		Longest  *struct{ Build string }
		Heaviest *object
		Months   []struct {
			Month, Fish int
			Fat         float64
		}
	}
	var g grown
	require.Equal(t, http.StatusOK, c.Do("GET", "/growth?target=red-drum", nil, &g))
	assert.False(t, g.Own)
	assert.Nil(t, g.Heaviest)
	require.NotNil(t, g.Longest)
	assert.Empty(t, g.Longest.Build, "nothing was weighed")
	for i := range 15 {
		l := 0.40 + 0.02*float64(i)
		kg := 0.011 * math.Pow(100*l, 3) / 1000
		if i == 14 {
			kg *= 1.5
		}
		logged(1+i%9, object{"length_m": l, "mass_kg": kg})
	}
	g = grown{}
	require.Equal(t, http.StatusOK, c.Do("GET", "/growth?target=red-drum", nil, &g))
	assert.True(t, g.Own)
	assert.Equal(t, 15, g.Weighed)
	assert.InDelta(t, 3.1, g.B, 0.25)
	assert.Equal(t, "fat", g.Longest.Build)
	require.Len(t, g.Months, 1)
	assert.Equal(t, 15, g.Months[0].Fish)
	assert.InDelta(t, 1, g.Months[0].Fat, 0.05)
	assert.Equal(t, 422, c.Do("GET", "/growth?target=unicorn", nil, nil))
}
