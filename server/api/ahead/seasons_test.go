package ahead_test

import (
	"net/http"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func yearOf(mean float64) (out []object) {
	for m := range 12 {
		swing := 8.0
		if m >= 3 && m < 9 {
			swing = -8
		}
		out = append(out, object{"month": m + 1, "mean": mean - swing, "spread": 1.5})
	}
	return out
}

// What is usual is written, read again, believed where nobody told, and gives the fish a year.
func TestWhatIsUsualAndTheSeasons(t *testing.T) {
	c := kit.Fresh(t, "wren")
	water := "/waters/" + c.ID("Sedge Sound") + "/usual"
	type kinds struct {
		Kinds, Learned []struct {
			Kind   string
			Months []struct {
				Month        int
				Mean, Spread float64
			}
		}
	}
	var got kinds
	require.Equal(t, http.StatusOK, c.Do("GET", water, nil, &got))
	assert.Empty(t, got.Kinds)
	var s struct {
		Waters []struct {
			Water   string
			Warmth  []struct{ Month int }
			Seasons []struct {
				Target string
				Months []string
				Warms  *time.Time
				Ahead  string
			}
		}
		Runs []struct {
			Target string
			Waters []struct {
				Water string
				Warms time.Time
			}
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/seasons", nil, &s))
	require.NotEmpty(t, s.Waters)
	for _, w := range s.Waters {
		for _, k := range w.Seasons {
			require.Len(t, k.Months, 12)
			assert.Nil(t, k.Warms, "nobody has said how warm it is")
		}
	}

	months := yearOf(16)[:11]
	require.Equal(t, http.StatusNoContent, c.Do("PUT", water, object{"kinds": []object{{"kind": "water_temp_c", "months": months}}}, nil))
	require.Equal(t, http.StatusOK, c.Do("GET", water, nil, &got))
	require.Len(t, got.Kinds, 1)
	assert.Len(t, got.Kinds[0].Months, 11)
	assert.InDelta(t, 24, got.Kinds[0].Months[6].Mean, 1e-9)
	// Taken along as a table and read again it is what it was; nothing is kept by reading.
	var table struct{ Kinds []struct{ Kind string } }
	var file string
	require.Equal(t, http.StatusOK, c.Do("GET", water+".csv", nil, &file))
	require.Equal(t, http.StatusOK, c.Do("POST", "/usual/read", file, &table))
	require.Len(t, table.Kinds, 1)
	var bad problem
	require.Equal(t, 422, c.Do("POST", "/usual/read", "month,water_temp_c\n13,2\n", &bad))
	assert.Contains(t, bad.Errors[0].Message, "line 2, column month")
	require.Equal(t, http.StatusOK, c.Do("GET", "/seasons?from=2027-01-10T00:00:00Z", nil, &s))
	for _, w := range s.Waters {
		if w.Water != "Sedge Sound" {
			continue
		}
		require.Len(t, w.Warmth, 11)
		for _, k := range w.Seasons {
			assert.NotEmpty(t, k.Ahead)
			if k.Target == "florida-pompano" {
				assert.Contains(t, []string{"away", "slow"}, k.Months[0], "8 °C is no water for it")
				assert.Contains(t, []string{"feeding", "prime"}, k.Months[6])
			}
		}
	}
	// Beyond the forecast it is what is believed.
	var sheet struct {
		Readings []struct {
			Kind, Origin string
			Value        float64
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/conditions?spot_id="+c.ID("Kettle Bar")+"&time=2027-02-15T12:00:00Z", nil, &sheet))
	seen := false
	for _, r := range sheet.Readings {
		if r.Kind == "water_temp_c" {
			seen = true
			assert.Equal(t, "usual", r.Origin)
			assert.InDelta(t, 8, r.Value, 1e-6)
		}
	}
	assert.True(t, seen)

	var p problem
	hot := yearOf(16)
	hot[2] = object{"month": 3, "mean": 80, "spread": 1}
	for at, body := range map[string]object{
		"body.kinds[0]": {"kinds": []object{{"kind": "water_temp_c", "months": hot}}},
		"body.kinds[1].kind": {"kinds": []object{{"kind": "water_temp_c", "months": yearOf(16)},
			{"kind": "water_temp_c", "months": yearOf(16)}}},
		"body.kinds[0].months[1].month": {"kinds": []object{{"kind": "water_temp_c", "months": []object{months[0], months[0]}}}},
		"body.kinds[0].months[0].spread": {"kinds": []object{{"kind": "water_temp_c",
			"months": []object{{"month": 1, "mean": 10, "spread": 0}}}}},
	} {
		require.Equal(t, 422, c.Do("PUT", water, body, &p), at)
		assert.Equal(t, at, p.Errors[0].Location)
	}
	assert.Equal(t, http.StatusNotFound, kit.Fresh(t, "moss").Do("GET", water, nil, nil))
}
