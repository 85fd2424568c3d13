package template

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
)

// Every template is a section with marks on it, on any coast, from no tide to eight metres.
func TestTemplatesAreSectionsOnAnyCoast(t *testing.T) {
	require.Len(t, All(), 10)
	for _, tm := range All() {
		assert.Contains(t, ground.Places, tm.Place, tm.ID)
		assert.True(t, ground.KnownBottom(tm.Bottom), tm.ID)
		assert.GreaterOrEqual(t, len(tm.Asks), 2, tm.ID)
		for _, tide := range []Tide{{}, {LowM: 0.1, HighM: 0.4}, {LowM: 0.3, HighM: 1.7}, {LowM: 0.5, HighM: 8.5}, {LowM: -0.4,
			HighM: 0.6}} {
			b, err := tm.Bend(tide, nil)
			require.NoError(t, err, tm.ID)
			_, err = ground.NewSection(b.Section)
			require.NoError(t, err, "%s %v", tm.ID, tide)
			assert.GreaterOrEqual(t, len(b.Marks), 4, tm.ID)
			names := map[string]bool{}
			for _, k := range b.Marks {
				require.NoError(t, k.Validate(), tm.ID)
				assert.False(t, names[k.Name], "%s has two marks called %s", tm.ID, k.Name)
				names[k.Name] = true
			}
			// Something of it is worth a cast at low or at high water.
			assert.True(t, slices.ContainsFunc(b.Marks, func(k ground.Mark) bool {
				return k.Fishable.Holds(k.Depth(tide.LowM)) || k.Fishable.Holds(k.Depth(tide.HighM))
			}), "%s %v", tm.ID, tide)
		}
	}
}

// An answer is what the section says there, and what was not asked moves no further than
// what was.
func TestAnswersBendTheSection(t *testing.T) {
	pier, ok := ByID("pier")
	require.True(t, ok)
	tide := Tide{LowM: 0.2, HighM: 1.6}
	b, err := pier.Bend(tide, map[string]float64{"end": 5, "end_out": 260})
	require.NoError(t, err)
	section, err := ground.NewSection(b.Section)
	require.NoError(t, err)
	assert.InDelta(t, 5, tide.LowM-section.Elevation(260), 0.011, "five metres at its end at low water")
	end := b.Marks[slices.IndexFunc(b.Marks, func(k ground.Mark) bool { return k.Name == "end pilings" })]
	assert.InDelta(t, 260, end.DistanceM, 0.01)
	assert.InDelta(t, 5, end.Depth(tide.LowM), 0.011)
	assert.InDelta(t, 1.4, b.Answers["half"], 0.01, "half-way stays as it was drawn")
	_, err = pier.Bend(tide, map[string]float64{"bar": 1})
	assert.ErrorContains(t, err, "does not ask for")
	beach, _ := ByID("beach")
	_, err = beach.Bend(tide, map[string]float64{"trough_out": 90, "bar_out": 60})
	assert.ErrorContains(t, err, "further out")
	_, err = beach.Bend(Tide{LowM: 1, HighM: 0}, nil)
	assert.Error(t, err)
	_, err = beach.Bend(tide, map[string]float64{"bar": math.NaN()})
	assert.Error(t, err)
}

func TestBendingKeepsItsAnswers(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		tm := rapid.SampledFrom(templates).Draw(t, "template")
		tide := Tide{LowM: rapid.Float64Range(-1, 1).Draw(t, "low"), AboveLowM: rapid.Float64Range(0, 2).Draw(t, "above")}
		tide.HighM = tide.LowM + rapid.Float64Range(0, 8).Draw(t, "range")
		answers := map[string]float64{}
		for _, a := range tm.Asks {
			if a.Kind == Deep && rapid.Bool().Draw(t, a.ID) {
				answers[a.ID] = round(rapid.Float64Range(-2, 12).Draw(t, a.ID+" m"))
			}
		}
		b, err := tm.Bend(tide, answers)
		if err != nil {
			t.Fatal(err)
		}
		for _, a := range tm.Asks {
			want, given := answers[a.ID]
			if got := tide.LowM + tide.AboveLowM - b.Section[a.Point].ElevationM; given && math.Abs(got-want) > 0.011 {
				t.Fatalf("%s: %s is %v, said %v", tm.ID, a.ID, got, want)
			}
		}
	})
}
