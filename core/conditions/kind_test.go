package conditions

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every entry of the table is whole: what follows from it needs no other place.
func TestEveryKindIsWhole(t *testing.T) {
	columns, cf := map[string]Kind{}, map[string]Kind{}
	for _, n := range Natures() {
		assert.NotEmpty(t, n.Name, n.Kind)
		assert.NotEmpty(t, n.Long, n.Kind)
		assert.Less(t, n.Min, n.Max, n.Kind)
		assert.Positive(t, n.Step, n.Kind)
		assert.Positive(t, n.Fresh, n.Kind)
		assert.Equal(t, n.Unit, n.Kind.Unit())
		for _, o := range []Origin{Observed, Forecast, Predicted, Assumed} {
			assert.Positive(t, n.Spread[o], "%s, %s", n.Kind, o)
		}
		require.NotEmpty(t, n.Columns.Units, n.Kind)
		assert.Equal(t, string(n.Kind), n.Columns.Stem+"_"+n.Columns.Units[0], "its first column is its own name")
		for name, unit := range n.Columns.Names() {
			assert.NotContains(t, columns, name)
			columns[name] = n.Kind
			_, err := InUnit(n.Kind, n.Min, unit)
			require.NoError(t, err, name)
		}
		if n.CF != "" {
			assert.NotContains(t, cf, n.CF)
			cf[n.CF] = n.Kind
			assert.Contains(t, n.Givers(), "forecast")
		}
		if n.Alongside != "" {
			_, known := NatureOf(n.Alongside)
			assert.True(t, known)
		}
		if !math.IsNaN(n.Assumed) {
			require.NoError(t, Reading{Kind: n.Kind, Value: n.Assumed, Origin: Assumed}.Validate())
		}
	}
	assert.Len(t, Kinds(), len(Natures()))
}

func TestWordsHaveNoGaps(t *testing.T) {
	for _, n := range Natures() {
		for i, w := range n.Words {
			if i > 0 {
				assert.Equal(t, n.Words[i-1].To, w.From, "%s: no gap before %s", n.Kind, w.Word)
			}
			assert.Equal(t, w.Word, n.Kind.Say(w.From))
			if !n.Given {
				continue
			}
			v, spread, err := FromWord(n.Kind, " "+w.Word)
			require.NoError(t, err)
			assert.Equal(t, w.Word, n.Kind.Say(v), "what a word stands for is called by it")
			assert.InDelta(t, math.Log(w.To/w.From)/math.Sqrt(12), spread, 1e-12)
		}
	}
	_, _, err := FromWord(Clarity, "soup")
	assert.ErrorContains(t, err, "gin clear")
	_, _, err = FromWord(WaterTemp, "warm")
	assert.ErrorContains(t, err, "expected a value")
	assert.Empty(t, WaterTemp.Say(12))
}

func TestWhatIsShownWithAPlace(t *testing.T) {
	assert.Equal(t, []Kind{Clarity, WaterTemp, WindSpeed, SwellHeight, SwellPeriod}, ShownAt("surf beach"))
	assert.Equal(t, []Kind{Clarity, WaterTemp, WindSpeed, Cloud}, ShownAt("pier"))
}

// A word of the wind or the water stands for a value that is called by it.
func TestTheMiddleOfAWordIsCalledByIt(t *testing.T) {
	for _, n := range Natures() {
		for _, w := range n.Words {
			v, err := Middle(n.Kind, w.Word)
			require.NoError(t, err)
			assert.Equal(t, w.Word, n.Kind.Say(v), "%s %v", n.Kind, v)
			require.NoError(t, Reading{Kind: n.Kind, Value: v, Time: time.Unix(1, 0), Origin: Observed}.Validate())
		}
	}
	_, err := Middle(WindSpeed, "a zephyr")
	require.ErrorContains(t, err, "a zephyr")
	_, err = Middle(WaterTemp, "warm")
	require.Error(t, err)
}
