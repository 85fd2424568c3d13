package files_test

import (
	"fmt"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestASectionFromCSVAndTheWords(t *testing.T) {
	c := kit.Fresh(t, "wren")
	var out struct {
		Section []struct {
			D float64 `json:"distance_m"`
			Z float64 `json:"elevation_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("POST", "/interchange/section", "distance_ft,depth_ft\n0,-5\n100,10\n", &out))
	require.Len(t, out.Section, 2)
	assert.InDelta(t, -3.048, out.Section[1].Z, 1e-9)
	var p problem
	assert.Equal(t, http.StatusUnprocessableEntity, c.Do("POST", "/interchange/section", "distance_m,depth_m\n0,x\n", &p))
	assert.Contains(t, p.Detail+fmt.Sprint(p.Errors), "line 2, column depth_m")
	var words struct {
		Places, Bottoms []string
		Classes         []struct {
			Name string
			From float64 `json:"from_m"`
		}
	}
	require.Equal(t, http.StatusOK, c.Do("GET", "/ground/words", nil, &words))
	assert.Contains(t, words.Places, "back lake")
	require.Len(t, words.Classes, 6)
	for i := 1; i < len(words.Classes); i++ {
		assert.Greater(t, words.Classes[i].From, words.Classes[i-1].From)
	}
}
