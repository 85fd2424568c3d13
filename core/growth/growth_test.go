package growth_test

import (
	"encoding/csv"
	"math"
	"math/rand/v2"
	"os"
	"strconv"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/ground"
	"greypebble/core/growth"
	"greypebble/core/tackle"
)

// As R 4.2.2 has it: lm(log(weight_g) ~ log(length_cm)) of forty fish.
func TestWeightForLengthAsRHasIt(t *testing.T) {
	f, err := os.Open("testdata/stats_lengthweight.csv")
	require.NoError(t, err)
	defer func() { _ = f.Close() }()
	lines, err := csv.NewReader(f).ReadAll()
	require.NoError(t, err)
	var fish []growth.Measured
	for _, l := range lines[1:] {
		cm, err := strconv.ParseFloat(l[0], 64)
		require.NoError(t, err)
		g, err := strconv.ParseFloat(l[1], 64)
		require.NoError(t, err)
		fish = append(fish, growth.Measured{LengthM: cm / 100, MassKg: g / 1000})
	}
	r, fitted := growth.Fit(fish)
	require.True(t, fitted)
	assert.Equal(t, 40, r.Fish)
	assert.InDelta(t, 0.012149963734928168, r.A, 1e-9)
	assert.InDelta(t, 3.045535040125353, r.B, 1e-9)
	assert.InDelta(t, 0.1057587472040901, r.Spread, 1e-9)
	assert.InDelta(t, 2.9700911761293356, r.BLow, 1e-6)
	assert.InDelta(t, 3.1209789041213702, r.BHigh, 1e-6)
	kg, err := r.Mass(0.5)
	require.NoError(t, err)
	assert.InDelta(t, 1.8148789437720359, kg, 1e-6)
	_, fitted = growth.Fit(fish[:growth.Fewest-1])
	assert.False(t, fitted, "too few")
	same := make([]growth.Measured, 20)
	for i := range same {
		same[i] = growth.Measured{LengthM: 0.5, MassKg: 1 + float64(i)/20}
	}
	_, fitted = growth.Fit(same)
	assert.False(t, fitted, "all of one length")
}

// The interval of the exponent holds the truth nineteen times in twenty.
func TestTheExponentsInterval(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4)) //nolint:gosec // the same each time
	inside := 0
	const worlds = 800
	for range worlds {
		var fish []growth.Measured
		for range 20 {
			l := 0.3 + 0.5*r.Float64()
			kg := 0.01 * math.Pow(100*l, 3) / 1000 * math.Exp(0.1*r.NormFloat64())
			fish = append(fish, growth.Measured{LengthM: l, MassKg: kg})
		}
		k, fitted := growth.Fit(fish)
		require.True(t, fitted)
		if k.BLow <= 3 && 3 <= k.BHigh {
			inside++
		}
	}
	assert.InDelta(t, 0.95, float64(inside)/worlds, 0.025)
}

// A fish of its length's weight is usual; a red drum of nearly 6 lb at 22¾ in is fat for its length (common practice: it
// lies at 24 to 25 in at 6 lb).
func TestFatForItsLength(t *testing.T) {
	drum := tackle.Curve{A: 0.0105, B: 3}
	usual, err := drum.Mass(0.62)
	require.NoError(t, err)
	fat, err := growth.Fat(growth.Measured{LengthM: 0.62, MassKg: usual}, drum)
	require.NoError(t, err)
	assert.InDelta(t, 1, fat, 1e-12)
	assert.Equal(t, growth.Usual, growth.BuildOf(fat))
	fat, err = growth.Fat(growth.Measured{LengthM: 22.75 * 0.0254, MassKg: 5.9 * 0.45359237}, drum)
	require.NoError(t, err)
	assert.Equal(t, growth.FatForIt, growth.BuildOf(fat))
	assert.Equal(t, growth.LeanForIt, growth.BuildOf(0.8))
	_, err = growth.Fat(growth.Measured{}, drum)
	assert.Error(t, err)
}

// A fish that came again is known by its number however it is written; grown by the day, so far by bee line, so long at
// liberty. Another programme's number is another fish; one that shrank or changed its kind is doubted.
func TestFishThatComeAgain(t *testing.T) {
	at := func(day int) time.Time { return time.Date(2026, 5, 1, 8, 0, 0, 0, time.UTC).AddDate(0, 0, day) }
	here, there := ground.LatLon{Lat: 38, Lon: -31}, ground.LatLon{Lat: 38.01, Lon: -31}
	r := growth.Recaptures([]growth.Tagged{
		{Number: "gp 0042", Programme: "Invented", Target: "red-drum", Time: at(100), LengthM: 0.66, At: there, Own: true},
		{Number: "GP-0042", Programme: "invented", Target: "red-drum", Time: at(0), LengthM: 0.60, At: here, Own: true},
		{Number: "GP 0042", Programme: "another", Target: "red-drum", Time: at(50), LengthM: 0.40, At: here},
		{Number: "7", Target: "snook", Time: at(0), LengthM: 0.70}, {Number: "7", Target: "snook", Time: at(9), LengthM: 0.60},
		{Number: "8", Target: "snook", Time: at(0)}, {Number: "8", Target: "red-drum", Time: at(1)},
		{Number: "", Target: "snook", Time: at(0)}, {Number: "", Target: "snook", Time: at(3)},
	})
	require.Len(t, r, 3)
	drum := r[0]
	assert.InDelta(t, 100, drum.Days, 1e-9)
	assert.True(t, drum.Known)
	assert.InDelta(t, 0.0006, drum.GrowthMPerDay, 1e-12)
	assert.InDelta(t, 1112, drum.StraightM, 3)
	assert.Equal(t, growth.None, drum.Doubt)
	assert.Equal(t, growth.Shrunk, r[1].Doubt)
	assert.Equal(t, growth.OtherKind, r[2].Doubt)
	assert.False(t, r[2].Known)
	assert.Empty(t, growth.Recaptures(nil))
}

// Fat by month is the mean over its fish; a month without one is left out.
func TestFatByMonth(t *testing.T) {
	usual := tackle.Curve{A: 0.01, B: 3}
	fish := func(share float64, month time.Month) growth.InMonth {
		kg, err := usual.Mass(0.5)
		require.NoError(t, err)
		return growth.InMonth{Measured: growth.Measured{LengthM: 0.5, MassKg: kg * share}, Month: month}
	}
	out, err := growth.FatByMonth([]growth.InMonth{fish(1.2, time.October), fish(1, time.March), fish(0.8, time.October),
		fish(1.3, time.October)}, usual)
	require.NoError(t, err)
	require.Len(t, out, 2)
	assert.Equal(t, time.March, out[0].Month)
	assert.InDelta(t, 1, out[0].Mean, 1e-9)
	assert.Equal(t, 3, out[1].Fish)
	assert.InDelta(t, 1.1, out[1].Mean, 1e-9)
	none, err := growth.FatByMonth(nil, usual)
	require.NoError(t, err)
	assert.Empty(t, none)
}
