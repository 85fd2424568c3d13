package logcsv_test

import (
	"bytes"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"greypebble/core/conditions"
	"greypebble/interchange/logcsv"
	"greypebble/interchange/table"
)

func read(t *testing.T, text string, order logcsv.Order) []logcsv.Spell {
	t.Helper()
	rows, faults, err := logcsv.Read([]byte(text), order)
	require.NoError(t, err)
	require.Empty(t, faults)
	spells, faults := logcsv.Group(rows)
	require.Empty(t, faults)
	return spells
}

// A table as somebody keeps it: a line a fish, inches and degrees Fahrenheit, the month first, blanks.
func TestATableOfOnesOwn(t *testing.T) {
	spells := read(t, "Date,Start,Ended_at,Spot,Target,Offering,Species,Length_in,Water_temp_f,Count,Note\n"+
		"11/20/2026,6:40 am,9:10 am,Kettle Bar,red drum,cut mullet,red drum,27.5,68,,first cast\n"+
		"11/20/2026,6:40 am,9:10 am,Kettle Bar,red drum,cut mullet,bluefish,,68,,\n"+
		"11/21/2026,10:30 pm,1:15 am,Old Pier,red drum,shrimp,,,,0,nothing at all\n", "")
	require.Len(t, spells, 2)
	a, b := spells[0], spells[1]
	assert.Equal(t, "2026-11-20T06:40:00Z", a.Began.Time.Format(time.RFC3339))
	assert.False(t, a.Began.Zoned)
	require.Len(t, a.Fish, 2)
	assert.InDelta(t, 0.6985, *a.Fish[0].LengthM, 1e-12, "27.5 in (NIST SP 811: an inch is 25.4 mm)")
	assert.Equal(t, "bluefish", a.Fish[1].Species)
	assert.Equal(t, "first cast", a.Fish[0].Note)
	assert.InDelta(t, 20, a.Read[conditions.WaterTemp], 1e-9, "68 °F are 20 °C")
	assert.Empty(t, b.Fish)
	assert.Equal(t, "nothing at all", b.Note)
	assert.Equal(t, 165*time.Minute, b.Ended.Time.Sub(b.Began.Time), "past midnight")
	zone, err := time.LoadLocation("Atlantic/Azores")
	require.NoError(t, err)
	assert.Equal(t, "2026-11-20T07:40:00Z", a.Began.In(zone).Format(time.RFC3339), "by the clock at the water")
}

func TestALineAnOuting(t *testing.T) {
	spells := read(t, "time;hours;spot;count;rods\n2026-11-20 06:40;2,5;Kettle Bar;3;2\n", "")
	require.Len(t, spells, 1)
	assert.Equal(t, 150*time.Minute, spells[0].Fished)
	assert.Len(t, spells[0].Fish, 3)
	assert.Equal(t, 2, spells[0].Rods)
}

func TestDatesInEveryOrder(t *testing.T) {
	for text, order := range map[string]logcsv.Order{
		"2026-11-20 06:40": "", "20/11/2026 06:40": "", "11/20/2026 06:40": "", "20.11.2026 6.40": "", "20 Nov 2026 06:40": "",
		"Nov 20, 2026 6:40 am": "", "20-november-26 0640": "", "2026/11/20T06:40:00": "", "20/11/26 06:40": logcsv.DayFirst,
	} {
		s := read(t, "spot,time,hours\nKettle Bar,\""+text+"\",1\n", order)
		assert.Equal(t, "2026-11-20T06:40:00Z", s[0].Began.Time.Format(time.RFC3339), text)
	}
	offset := read(t, "spot,time,hours\nKettle Bar,2026-11-20T06:40:00-01:00,1\n", "")
	assert.Equal(t, "2026-11-20T07:40:00Z", offset[0].Began.Time.Format(time.RFC3339))
	assert.True(t, offset[0].Began.Zoned)

	// 4 May, or 5 April: nobody can tell, and one who guesses puts half a log into the wrong season.
	_, _, err := logcsv.Read([]byte("spot,time,hours\nKettle Bar,4/5/2026 06:40,1\n"), "")
	require.ErrorIs(t, err, logcsv.ErrOrder)
	months := read(t, "spot,time,hours\nKettle Bar,4/5/2026 06:40,1\n", logcsv.MonthFirst)
	assert.Equal(t, time.April, months[0].Began.Time.Month())
	// Another line tells.
	both := read(t, "spot,time,hours\nKettle Bar,4/5/2026 06:40,1\nKettle Bar,25/5/2026 06:40,1\n", "")
	assert.Equal(t, time.May, both[0].Began.Time.Month())
	_, _, err = logcsv.Read([]byte("spot,time,hours\nA,14/5/2026 06:40,1\nA,5/25/2026 06:40,1\n"), "")
	assert.ErrorContains(t, err, "expected one order")
}

func TestFaultsNameLineAndColumn(t *testing.T) {
	head := "spot,time,hours,length_m,kept,approach,rods,count\n"
	for line, says := range map[string]string{
		",2026-11-20 06:40,1,,,,,":                  "line 2, column spot: expected the name",
		"Bar,2026-02-30 06:40,1,,,,,":               "there is no day",
		"Bar,2026-11-20,1,,,,,":                     "time of day with the date",
		"Bar,2026-11-20 25:10,1,,,,,":               "there is no time of day",
		"Bar,2026-11-20 13:10 pm,1,,,,,":            "there is no time of day",
		"Bar,yesterday,1,,,,,":                      "expected a date like",
		"Bar,2026-11-20 06:40,1,long,,,,":           "column length_m: expected a number",
		"Bar,2026-11-20 06:40,-1,,,,,":              "column hours: expected a number from 0",
		"Bar,2026-11-20 06:40,1,,perhaps,,,":        "expected yes or no",
		"Bar,2026-11-20 06:40,1,,,dynamite,,":       "expected one of live bait",
		"Bar,2026-11-20 06:40,1,,,,1.5,":            "expected a whole number",
		"Bar,2026-11-20 06:40,1,0.4,,,,0":           "no fish, and yet",
		"Bar,2026-11-20 06:40,1,,,,,900":            "more than 200 fish",
		"Bar,2026-11-20 06:40":                      "expected at least",
		"Bar,2026-11-20 06:40,1,,,,,\nBar,x,1,,,,,": "line 3",
	} {
		rows, faults, err := logcsv.Read([]byte(head+line+"\n"), "")
		require.NoError(t, err, line)
		_, more := logcsv.Group(rows)
		faults = append(faults, more...)
		require.Len(t, faults, 1, line)
		assert.ErrorContains(t, faults[0], says, line)
	}
	for text, says := range map[string]string{
		"a,b\n1,2\n": "at least the columns spot and time",
		"spot,time,length_m,length_in\nBar,2026-11-20 06:40,1,1\n": "says the same as",
		"": "the file is empty",
	} {
		_, _, err := logcsv.Read([]byte(text), "")
		assert.ErrorContains(t, err, says, text)
	}
}

// What is written is read again as it was.
func TestALogComesBack(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		word := rapid.StringMatching(`[=+@'a-z][a-zé ,;"]{0,8}[a-z]`)
		at := func() logcsv.Wall {
			return logcsv.Wall{Time: time.UnixMilli(rapid.Int64Range(1e12, 2e12).Draw(t, "time")).UTC(), Zoned: true}
		}
		size := func() *float64 {
			if rapid.Bool().Draw(t, "not measured") {
				return nil
			}
			v := float64(rapid.IntRange(1, 30_000).Draw(t, "size")) / 10_000
			return &v
		}
		var spells []logcsv.Spell
		for i := range rapid.IntRange(1, 5).Draw(t, "spells") {
			s := logcsv.Spell{ID: "spell" + string(rune('a'+i)), Spot: word.Draw(t, "spot"), Target: word.Draw(t, "target"), Began: at(),
				Ended: at(), Rods: rapid.IntRange(1, 6).Draw(t, "rods"), Mark: word.Draw(t, "mark"), Approach: "lure",
				Offering: word.Draw(t, "offering"), Who: word.Draw(t, "who"), Rod: word.Draw(t, "rod"), Note: word.Draw(t, "note"),
				Paused: time.Duration(rapid.IntRange(0, 900).Draw(t, "paused")) * time.Second,
				Read:   map[conditions.Kind]float64{conditions.WaterTemp: float64(rapid.IntRange(-20, 300).Draw(t, "warmth")) / 10}}
			for range rapid.IntRange(0, 3).Draw(t, "fish") {
				s.Fish = append(s.Fish, logcsv.Fish{ID: "f", Species: word.Draw(t, "species"), At: at(), Who: word.Draw(t, "who"),
					Rod: word.Draw(t, "rod"), Note: word.Draw(t, "note"), Measures: logcsv.Measures{LengthM: size(), MassKg: size(),
						Kept: rapid.Bool().Draw(t, "kept"), Measured: "board", HookPlace: "lip", TagNumber: word.Draw(t, "tag")}})
			}
			spells = append(spells, s)
		}
		var b bytes.Buffer
		w, err := logcsv.NewWriter(&b)
		require.NoError(t, err)
		for i := range spells {
			require.NoError(t, w.Write(&spells[i], logcsv.Water{LevelM: 1.2, Stage: "flood", Light: "day"}))
		}
		require.NoError(t, w.Close())
		rows, faults, err := logcsv.Read(b.Bytes(), "")
		require.NoError(t, err)
		require.Empty(t, faults)
		again, faults := logcsv.Group(rows)
		require.Empty(t, faults)
		for i := range again {
			again[i].Line = 0
			for k := range again[i].Fish {
				again[i].Fish[k].Line = 0
			}
		}
		require.Equal(t, spells, again)
	})
}

func FuzzRead(f *testing.F) {
	f.Add([]byte("spot,time,hours\nBar,2026-11-20 06:40,1\n"), "")
	f.Add([]byte("spot;date;start;ended_at\nBar;20.11.26;6h40;9pm\n"), "dmy")
	f.Fuzz(func(t *testing.T, raw []byte, order string) {
		rows, _, err := logcsv.Read(raw, logcsv.Order(order))
		if err != nil {
			return
		}
		spells, _ := logcsv.Group(rows)
		for _, s := range spells {
			if !s.Began.Known() || s.Spot == "" {
				t.Fatalf("%+v", s)
			}
		}
		_, _ = table.Open(raw, nil)
	})
}
