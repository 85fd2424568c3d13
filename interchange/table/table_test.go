package table

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// rows reads a column of numbers and a column of text from each line.
func rows(t *testing.T, raw string) (numbers []float64, texts []string) {
	t.Helper()
	tab, err := Open([]byte(raw), nil)
	require.NoError(t, err)
	for {
		more, err := tab.Next()
		require.NoError(t, err)
		if !more {
			return numbers, texts
		}
		v, err := tab.Number("v")
		require.NoError(t, err)
		text, err := tab.Text("name")
		require.NoError(t, err)
		numbers, texts = append(numbers, v), append(texts, text)
	}
}

func TestTablesAsPeopleHaveThem(t *testing.T) {
	for what, raw := range map[string]string{
		"commas":             "name,v\na,1.5\nb,2\n",
		"semicolons":         "name;v\na;1,5\nb;2\n",
		"tabs":               "name\tv\na\t1.5\nb\t2\n",
		"a byte order mark":  "\xef\xbb\xbfname,v\na,1.5\nb,2\n",
		"another order":      "v,name\n1.5,a\n2,b\n",
		"capitals and space": " Name , V \n a , 1.5 \nb,2\n",
		"quotation marks":    "name,v\n\"a\",\"1.5\"\nb,2\n",
		"no last line end":   "name,v\na,1.5\nb,2",
		"Windows line ends":  "name,v\r\na,1.5\r\nb,2\r\n",
		"empty lines":        "name,v\n\na,1.5\n\n\nb,2\n",
	} {
		numbers, texts := rows(t, raw)
		assert.Equal(t, []float64{1.5, 2}, numbers, what)
		assert.Equal(t, []string{"a", "b"}, texts, what)
	}
	numbers, _ := rows(t, "name,v\na,\n")
	assert.True(t, math.IsNaN(numbers[0]), "nothing said is no number")
}

func TestWhatIsWrongIsNamedWithItsLine(t *testing.T) {
	for raw, want := range map[string]string{
		"":                        "line 1: the file is empty",
		"name,v,v\n":              "line 1, column v: there are two such columns",
		"name,v\na,\xff\n":        "line 2: not UTF-8",
		"name,v\na,1\nb,\"2\n3\n": "quotation marks do not match",
		"name,v\na,many\n":        `line 2, column v: expected a number, not "many"`,
		"name,v\na,Inf\n":         `expected a number, not "Inf"`,
		"name,v\n\na\n":           "line 3: 1 values; expected at least 2",
	} {
		tab, err := Open([]byte(raw), nil)
		for err == nil {
			var more bool
			if more, err = tab.Next(); err != nil || !more {
				break
			}
			_, err = tab.Number("v")
		}
		assert.ErrorContains(t, err, want, "%q", raw)
	}
}

// timesOf reads the times of a table.
func timesOf(raw string, zone *time.Location) ([]time.Time, error) {
	tab, err := Open([]byte(raw), zone)
	if err != nil {
		return nil, err
	}
	var out []time.Time
	for {
		more, err := tab.Next()
		if err != nil || !more {
			return out, err
		}
		at, err := tab.Time("time")
		if err != nil {
			return out, err
		}
		out = append(out, at)
	}
}

func TestTimesWithAndWithoutTheirOffset(t *testing.T) {
	want := time.Date(2026, 5, 12, 6, 0, 0, 0, time.UTC)
	for _, text := range []string{"2026-05-12T06:00:00Z", "2026-05-12T08:00+02:00", "2026-05-12 08:00:00+02:00", "2026-05-12 03:00-03:00"} {
		got, err := timesOf("time,v\n"+text+",1\n", nil)
		require.NoError(t, err, text)
		assert.Equal(t, []time.Time{want}, got, text)
	}
	zone := time.FixedZone("made up", 2*3600)
	got, err := timesOf("time,v\n2026-05-12 08:00,1\n2026-05-12T08:00:00,1\n", zone)
	require.NoError(t, err)
	assert.Equal(t, []time.Time{want, want}, got)
	for raw, says := range map[string]string{
		"time,v\n2026-05-12 08:00,1\n":                            "does not say its time zone",
		"time,v\nyesterday,1\n":                                   "expected a time like",
		"time,v\n2026-05-12T06:00Z,1\n2026-05-12 07:00,1\n":       "carries no offset from UTC, the lines before do",
		"time,v\n2026-05-12T06:00Z,1\n2026-05-12T07:00+25:99,1\n": "expected a time like",
	} {
		_, err := timesOf(raw, nil)
		assert.ErrorContains(t, err, says, raw)
	}
	_, err = timesOf("time,v\n2026-05-12 08:00,1\n2026-05-12T07:00Z,1\n", zone)
	assert.ErrorContains(t, err, "carries an offset from UTC, the lines before do not")
}

// The hour that comes twice at the end of daylight-saving time is told by the order of
// the lines.
func TestTheHourThatComesTwice(t *testing.T) {
	zone, err := time.LoadLocation("Europe/Amsterdam")
	require.NoError(t, err)
	raw := "time,v\n"
	for _, clock := range []string{"01:30", "02:00", "02:30", "02:00", "02:30", "03:00"} {
		raw += "2026-10-25 " + clock + ",1\n"
	}
	got, err := timesOf(raw, zone)
	require.NoError(t, err)
	for i := 1; i < len(got); i++ {
		assert.Equal(t, 30*time.Minute, got[i].Sub(got[i-1]), "line %d", i+2)
	}
}

func FuzzTable(f *testing.F) {
	f.Add("time,v\n2026-05-12 08:00,1\n")
	f.Add("a;b\n\"1,5\";2\n")
	f.Fuzz(func(t *testing.T, raw string) {
		tab, err := Open([]byte(raw), time.UTC)
		for err == nil {
			var more bool
			if more, err = tab.Next(); err != nil || !more {
				return
			}
			for c := range tab.Columns {
				if v, err := tab.Number(c); err == nil && math.IsInf(v, 0) {
					t.Fatal("an infinite number")
				}
				_, _ = tab.Time(c)
			}
		}
	})
}
