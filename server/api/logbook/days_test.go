package logbook_test

import (
	"encoding/csv"
	"net/http"
	"net/url"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/testkit"
)

// Days add up to the log; the file has a line for each spell and each catch, with what is told of them; pages by their
// keys hold every spell once.
func TestDaysFilesAndPagesAreTheLog(t *testing.T) {
	c := kit.Fresh(t, "wren", testkit.ALog)
	spell, fish := uuid.NewString(), uuid.NewString()
	require.Equal(t, http.StatusOK, c.Do("PUT", "/spells/"+spell, object{"spot_id": c.ID("Kettle Bar"), "target": "red-drum",
		"started_at": "2026-11-19T00:30:00Z", "ended_at": "2026-11-19T01:30:00Z", "offering": "100% silver"}, nil))
	more := object{"spell_id": spell, "target": "red-drum", "caught_at": "2026-11-19T01:00:00Z", "length_m": 0.61, "girth_m": 0.33,
		"measured": "board", "hook_place": "corner", "hook": "teaser", "tag_number": "GP 0042", "tag_side": "left",
		"tag_programme": "Invented tags"}
	require.Equal(t, http.StatusOK, c.Do("PUT", "/catches/"+fish, more, nil))
	// What few catches say stays where a change leaves it out.
	require.Equal(t, http.StatusOK, c.Do("PUT", "/catches/"+fish, object{"spell_id": spell, "target": "red-drum",
		"caught_at": "2026-11-19T01:00:00Z", "length_m": 0.62, "revision": 1}, nil))

	var all struct {
		Total, Catches int
		RodHours       float64 `json:"rod_hours"`
		Next           string
		Spells         []struct{ ID string }
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/spells?most=1000", nil, &all))
	assert.Empty(t, all.Next)
	var days struct {
		Days []struct {
			Day             string
			Spells, Catches int
			RodHours        float64 `json:"rod_hours"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/log/days?from=2025-06-01T00:00:00Z&to=2026-11-21T00:00:00Z", nil, &days))
	spells, catches, hours, last := 0, 0, 0.0, ""
	for _, d := range days.Days {
		spells, catches, hours = spells+d.Spells, catches+d.Catches, hours+d.RodHours
		assert.Greater(t, d.Day, last)
		last = d.Day
	}
	assert.Equal(t, all.Total, spells)
	assert.Equal(t, all.Catches, catches)
	assert.InDelta(t, all.RodHours, hours, 1e-3)
	var places struct {
		Places []struct {
			SpotName        string `json:"spot_name"`
			Spells, Catches int
			RodHours        float64 `json:"rod_hours"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/log/places", nil, &places))
	spells, catches, hours = 0, 0, 0
	for _, p := range places.Places {
		assert.NotEmpty(t, p.SpotName)
		spells, catches, hours = spells+p.Spells, catches+p.Catches, hours+p.RodHours
	}
	assert.Equal(t, []int{all.Total, all.Catches}, []int{spells, catches}, "by place they add up too")
	assert.InDelta(t, all.RodHours, hours, 1e-3)
	assert.Equal(t, 422, c.Do("GET", "/log/days?from=1999-01-01T00:00:00Z", nil, nil))

	var file string
	require.Equal(t, http.StatusOK, c.Do("GET", "/interchange/log.csv", nil, &file))
	lines, err := csv.NewReader(strings.NewReader(file)).ReadAll()
	require.NoError(t, err)
	assert.Len(t, lines, 1+all.Total+all.Catches)
	var mine []string
	for _, l := range lines {
		if l[2] == fish {
			mine = l
		}
	}
	require.NotNil(t, mine)
	said := map[string]string{}
	for i, name := range lines[0] {
		said[name] = mine[i]
	}
	assert.Equal(t, "0.62", said["length_m"])
	assert.Equal(t, "GP 0042", said["tag_number"])
	assert.Equal(t, "teaser", said["hook"])
	assert.Equal(t, "Kettle Bar", said["spot"])

	seen := map[string]bool{}
	for next := "-"; next != ""; {
		var page struct {
			Next   string
			Total  int
			Spells []struct{ ID string }
		}
		after := ""
		if next != "-" {
			after = "&after=" + url.QueryEscape(next)
		}
		require.Equal(t, http.StatusOK, c.Do("GET", "/spells?most=7"+after, nil, &page))
		assert.Equal(t, all.Total, page.Total)
		for _, s := range page.Spells {
			assert.False(t, seen[s.ID])
			seen[s.ID] = true
		}
		next = page.Next
	}
	assert.Len(t, seen, all.Total)
	for text, n := range map[string]int{"100% si": 1, "0% s": 1, "silver_": 0, "_00%": 0} {
		var some struct{ Total int }
		require.Equal(t, http.StatusOK, c.Do("GET", "/spells?text="+url.QueryEscape(text), nil, &some))
		assert.Equal(t, n, some.Total, text)
	}
	var p problem
	require.Equal(t, 422, c.Do("GET", "/spells?after=yesterday", nil, &p))
	assert.Equal(t, "query.after", p.Errors[0].Location)
}
