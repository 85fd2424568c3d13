package care_test

import (
	"math"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/care"
	"greypebble/core/playbook"
	"greypebble/core/quantity"
)

func fish(t testing.TB, id string, set func(*care.Fish)) string {
	t.Helper()
	b, err := playbook.Builtin()
	require.NoError(t, err)
	target, err := b.Target(id)
	require.NoError(t, err)
	f := care.Fish{Target: target, WaterC: math.NaN(), Time: time.Date(2026, 5, 15, 9, 0, 0, 0, time.UTC)}
	if set != nil {
		set(&f)
	}
	var grave []string
	seen := false
	for _, s := range care.Release(&f, quantity.Metric) {
		if s.Grave {
			grave = append(grave, s.Says)
			assert.False(t, seen, "the gravest come first")
			continue
		}
		seen = true
		assert.NotEmpty(t, s.Says)
	}
	return strings.Join(grave, " ")
}

// Cases of the trade, common practice, no source.
func TestAFishIsTreatedAsItNeeds(t *testing.T) {
	length := func(m float64) func(*care.Fish) { return func(f *care.Fish) { f.LengthM = m } }
	water := func(c float64) func(*care.Fish) { return func(f *care.Fish) { f.WaterC = c } }
	assert.Empty(t, fish(t, "red-drum", length(0.5)))
	assert.Contains(t, fish(t, "red-drum", length(0.9)), "breeder")
	assert.Contains(t, fish(t, "sea-catfish", nil), "Venomous")
	assert.Contains(t, fish(t, "striped-bass", water(23)), "a long fight kills it")
	assert.Empty(t, fish(t, "striped-bass", water(15)))
	assert.Contains(t, fish(t, "snook", water(14)), "numb with cold")
	assert.Contains(t, fish(t, "black-sea-bass", func(f *care.Fish) { f.DepthM = 30 }), "descending device")
	assert.Empty(t, fish(t, "black-sea-bass", func(f *care.Fish) { f.DepthM = 6 }))
	assert.Contains(t, fish(t, "red-drum", func(f *care.Fish) { f.Predators = true }), "Dolphins")
	// 35 cm over a nest in May, on a wreck in October.
	assert.Contains(t, fish(t, "black-seabream", func(f *care.Fish) { f.LengthM, f.NestingMale = 0.35, true }), "straight back")
	october := func(f *care.Fish) {
		f.LengthM, f.NestingMale, f.Place, f.Time = 0.35, true, "reef", time.Date(2026, 10, 15, 9, 0, 0, 0, time.UTC)
	}
	assert.Empty(t, fish(t, "black-seabream", october))
	assert.Contains(t, fish(t, "black-seabream", func(f *care.Fish) {
		f.Time, f.South = time.Date(2026, 11, 15, 9, 0, 0, 0, time.UTC), true
	}), "They nest now", "spring is in November there")
	assert.Contains(t, fish(t, "red-drum", func(f *care.Fish) { f.LengthM, f.Own = 0.5, care.Own{BreederM: 0.45} }), "Over 45 cm",
		"one's own line")
}

// Published oxygen saturation of sea water: UNESCO International Oceanographic Tables (1973), ml/l, from memory.
func TestSaturationOfOxygen(t *testing.T) {
	for _, c := range []struct{ temp, salinity, ml float64 }{{20, 35, 5.17}, {0, 0, 10.22}, {10, 35, 6.32}, {30, 35, 4.35}, {20, 0, 6.36}} {
		assert.InDelta(t, c.ml, care.Saturation(c.temp, c.salinity)/1.42905, 0.06, "%v", c)
	}
}

func TestIce(t *testing.T) {
	i, err := care.Ice{FishKg: 5, Hours: 8, AirC: 30, WaterC: 25}.Reckon()
	require.NoError(t, err)
	assert.InDelta(t, 5*3.6*25/334, i.CoolKg, 1e-9, "to cool the fish alone")
	assert.GreaterOrEqual(t, i.TotalKg, 5.0, "never less than the fish weighs")
	assert.InDelta(t, i.TotalKg, i.SeaWaterL, 1e-9, "half and half")
	rapid.Check(t, func(t *rapid.T) {
		a := care.Ice{FishKg: rapid.Float64Range(0.1, 100).Draw(t, "kg"), Hours: rapid.Float64Range(0, 48).Draw(t, "h"),
			AirC: rapid.Float64Range(-5, 40).Draw(t, "air"), WaterC: rapid.Float64Range(-1, 32).Draw(t, "water")}
		one, err := a.Reckon()
		require.NoError(t, err)
		b := a
		b.Hours += 3
		more, err := b.Reckon()
		require.NoError(t, err)
		assert.GreaterOrEqual(t, more.TotalKg, one.TotalKg)
		// What it melts to cool fish, water and what leaks in is no more than there is.
		assert.LessOrEqual(t, one.CoolKg+one.LeakKg+one.WaterKg, one.TotalKg*(1+1e-9))
	})
	_, err = care.Ice{FishKg: -1}.Reckon()
	assert.Error(t, err)
}

func TestBaitLives(t *testing.T) {
	// Two dozen shrimp of 8 g in a 15-litre bucket: twenty minutes at 25 °C without air.
	bucket := care.LiveBait{Count: 24, EachKg: 0.008, WaterC: 25, SalinityPSU: 35, VolumeL: 15, Hours: 6}
	l, err := bucket.Reckon()
	require.NoError(t, err)
	assert.False(t, l.Enough)
	assert.InDelta(t, 0.35, l.Still.Hours(), 0.05)
	bucket.AirLMin = l.AirNeeded
	l, err = bucket.Reckon()
	require.NoError(t, err)
	assert.True(t, l.Enough, "the air it asked for is enough")
	rapid.Check(t, func(t *rapid.T) {
		b := care.LiveBait{Count: rapid.IntRange(1, 200).Draw(t, "n"), EachKg: rapid.Float64Range(0.001, 0.2).Draw(t, "kg"),
			WaterC: rapid.Float64Range(2, 33).Draw(t, "temp"), SalinityPSU: 30, VolumeL: rapid.Float64Range(5, 400).Draw(t, "l"),
			Hours: rapid.Float64Range(0.5, 24).Draw(t, "h"), AirLMin: rapid.Float64Range(0, 5).Draw(t, "air")}
		one, err := b.Reckon()
		require.NoError(t, err)
		assert.Equal(t, one.Enough, one.MostFor >= b.Count)
		warmer := b
		warmer.WaterC += 3
		hot, err := warmer.Reckon()
		require.NoError(t, err)
		assert.LessOrEqual(t, hot.Still, one.Still, "warm water holds less and is breathed faster")
		twice := b
		twice.VolumeL *= 2
		more, err := twice.Reckon()
		require.NoError(t, err)
		assert.GreaterOrEqual(t, more.MostFor, one.MostFor)
	})
}

func TestFirstAidDefersToMedicalHelp(t *testing.T) {
	for _, i := range care.FirstAid() {
		assert.Regexp(t, "(?i)medical help|emergency number", i.Says, i.Name)
	}
	assert.Len(t, care.Keeping(), 6)
	fillet, people := care.Portions(2.5)
	assert.InDelta(t, 1, fillet, 1e-9)
	assert.Equal(t, 5, people)
	assert.Equal(t, time.Date(2027, 5, 15, 0, 0, 0, 0, time.UTC), care.UseBy(time.Date(2026, 11, 15, 0, 0, 0, 0, time.UTC), false))
}
