package asc

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/ground"
)

const good = "ncols 3\nnrows 2\nxllcorner -45\nyllcorner 31\ncellsize 0.001\nNODATA_value -9999\n1 2 3\n4 -9999 6\n"

var metres = Meaning{Scale: 1}

func TestReads(t *testing.T) {
	g, err := Read([]byte(good), metres)
	require.NoError(t, err)
	assert.Equal(t, 4.0, g.Cell(0, 0), "the last row is the southernmost")
	assert.Equal(t, 3.0, g.Cell(1, 2))
	assert.True(t, math.IsNaN(g.Cell(0, 1)))
	assert.InDelta(t, 31.0005, g.South, 1e-12, "a corner is half a cell off")
	feet, err := Read([]byte(good), Meaning{Scale: 0.3048, Depths: true, DatumM: 0.4})
	require.NoError(t, err)
	assert.InDelta(t, 0.4-0.3048, feet.Cell(1, 0), 1e-6)
	local, err := Read([]byte(strings.NewReplacer("-45", "500", "corner 31", "corner 0", "0.001", "25").Replace(good)),
		Meaning{Scale: 1, Origin: &ground.LatLon{Lat: 31, Lon: -45}})
	require.NoError(t, err)
	assert.InDelta(t, 31+12.5/111195, local.South, 1e-6)
}

func TestMistakesAreNamed(t *testing.T) {
	for text, want := range map[string]string{
		"":        "missing from the header",
		"ncols 3": "nrows: missing",
		strings.Replace(good, "ncols 3", "ncols three", 1):    "line 1, column ncols: expected a number",
		strings.Replace(good, "cellsize", "cells", 1):         "line 5, column cells: not known",
		strings.Replace(good, "6\n", "", 1):                   "the file ends after 5 numbers",
		good + "7\n":                                          "line 9: more than the 2 × 3",
		strings.Replace(good, "2 3", "deep 3", 1):             "line 7: expected a number",
		strings.Replace(good, "-9999\n", "-1\n", 1):           "no height near a shore",
		strings.Replace(good, "corner -45", "corner 4e5", 1):  "not in degrees",
		strings.Replace(good, "ncols 3", "ncols 30000000", 1): "cells",
	} {
		g, err := Read([]byte(text), metres)
		assert.ErrorContains(t, err, want, text)
		assert.Nil(t, g)
	}
	_, err := Read([]byte(good), Meaning{})
	assert.ErrorContains(t, err, "unit")
}

func TestRoundTrip(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		g, err := ground.NewGrid(31.1, -45.2, rapid.SampledFrom([]float64{0.0001, 0.0009}).Draw(t, "dlat"), 0.0001,
			rapid.IntRange(2, 6).Draw(t, "rows"), rapid.IntRange(2, 6).Draw(t, "cols"))
		require.NoError(t, err)
		for i := range g.Z {
			if rapid.Bool().Draw(t, "known") {
				g.Z[i] = float32(math.Round(rapid.Float64Range(-50, 9).Draw(t, "z")*1000) / 1000)
			}
		}
		again, err := Read(Write(g, func(z float64) float64 { return z }), metres)
		require.NoError(t, err)
		assert.InDelta(t, g.South, again.South, 1e-12)
		for i := range g.Z {
			if math.IsNaN(float64(g.Z[i])) {
				assert.True(t, math.IsNaN(float64(again.Z[i])))
				continue
			}
			assert.InDelta(t, g.Z[i], again.Z[i], 1e-4)
		}
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte(good))
	f.Fuzz(func(t *testing.T, raw []byte) {
		if len(raw) > 1<<16 || strings.Contains(string(raw), "000000") {
			return // the size of a grid is bounded, not small
		}
		if g, err := Read(raw, metres); err != nil && g != nil {
			t.Fatal("half read")
		}
	})
}
