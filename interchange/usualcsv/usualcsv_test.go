package usualcsv

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
)

func TestWhatIsWrittenIsRead(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		u := conditions.Usual{}
		for _, k := range conditions.UsualKinds {
			var year conditions.Year
			known := 0
			for m := range year {
				year[m] = conditions.Unknown()
				if rapid.Bool().Draw(t, "known") {
					year[m] = conditions.Month{Mean: rapid.Float64Range(0.1, 25).Draw(t, "mean"),
						Spread: rapid.Float64Range(0.01, 3).Draw(t, "spread")}
					known++
				}
			}
			if known > 0 {
				u[k] = year
			}
		}
		if len(u) == 0 {
			return
		}
		again, err := Read(Write(u))
		require.NoError(t, err)
		require.Len(t, again, len(u))
		for k, year := range u {
			for m, one := range year {
				assert.Equal(t, one.Known(), again[k][m].Known())
				if one.Known() {
					assert.Equal(t, one, again[k][m])
				}
			}
		}
	})
}

func TestTablesAsPeopleHaveThem(t *testing.T) {
	u, err := Read([]byte("\xef\xbb\xbfMonth;water_temp_f;wind_speed_kn;wind_speed_kn_spread\nJan;50;10;4\nJuly;77,5;;\n"))
	require.NoError(t, err)
	assert.InDelta(t, 10, u[conditions.WaterTemp][0].Mean, 1e-9)
	assert.InDelta(t, 25.2778, u[conditions.WaterTemp][6].Mean, 1e-4)
	assert.Equal(t, conditions.UsualSpread(conditions.WaterTemp), u[conditions.WaterTemp][0].Spread, "the house's where none is told")
	assert.InDelta(t, 5.1444, u[conditions.WindSpeed][0].Mean, 1e-4)
	assert.InDelta(t, 4*0.51444, u[conditions.WindSpeed][0].Spread, 1e-4)
	assert.False(t, u[conditions.WindSpeed][6].Known())
	assert.NotContains(t, u, conditions.Clarity)
	for text, says := range map[string]string{
		"":                                         "line 1",
		"water_temp_c\n10\n":                       "line 1, column month",
		"month\n1\n":                               "no kind",
		"month,salt\n1,2\n":                        "line 1, column salt",
		"month,water_temp_c\n13,2\n":               "line 2, column month: expected 1 to 12",
		"month,water_temp_c\n1,2\nJan,3\n":         "line 3, column month: January stands twice",
		"month,water_temp_c\n1,warm\n":             "line 2, column water_temp_c: expected a number",
		"month,water_temp_c\n1,80\n":               "line 2, column water_temp_c: January",
		"month,water_temp_c\n1,\n":                 "no month with a value",
		"month,water_temp_c,water_temp_f\n1,2,3\n": "line 1, column water_temp_f: the same as water_temp_c",
		"month,water_temp_c,water_temp_c_spread\n1,9,0\n": "spread above 0",
	} {
		_, err := Read([]byte(text))
		assert.ErrorContains(t, err, says, "%q", text)
	}
}

func FuzzRead(f *testing.F) {
	f.Add("month,water_temp_c\n1,10\n")
	f.Add("Month;water_temp_f;wind_speed_kn;wind_speed_kn_spread\nJan;50;10;4\n")
	f.Add("month\tclarity_secchi_m\n12\t0.5")
	f.Fuzz(func(t *testing.T, text string) {
		u, err := Read([]byte(text))
		if err != nil {
			return
		}
		require.NoError(t, u.Validate())
		again, err := Read(Write(u))
		require.NoError(t, err)
		assert.Len(t, again, len(u))
	})
}
