package kitcsv

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/core/kit"
	"greypebble/core/quantity"
)

func TestWhatIsWrittenIsRead(t *testing.T) {
	list := kit.Templates()
	list = append(list, kit.Item{Kind: kit.Lure, Name: "Grey one, \"the ugly\"", Offering: "minnow-plug", LengthM: 0.11, WeightKg: 0.018,
		RatedM: 1.2, FallMS: 0.4, Finish: "dark", InHand: true, Count: 3})
	metric, err := Write(list, quantity.Metric)
	require.NoError(t, err)
	assert.Contains(t, string(metric), "length_cm,weight_g,rated_g")
	us, err := Write(list, quantity.US)
	require.NoError(t, err)
	assert.Contains(t, string(us), "length_in,weight_oz,rated_oz,ratio,spool_in,turn_in,diameter_in,break_lb,")
	for _, raw := range [][]byte{metric, us} {
		again, err := Read(raw)
		require.NoError(t, err)
		require.Len(t, again, len(list))
		assert.Equal(t, list[len(list)-1], again[len(list)-1])
		for i := range list {
			for _, c := range columns {
				if c.number != nil {
					assert.InDelta(t, *c.number(&list[i]), *c.number(&again[i]), 1e-9, c.name)
				}
			}
		}
	}
}

func TestTablesAsPeopleHaveThem(t *testing.T) {
	got, err := Read([]byte("\xef\xbb\xbfName;Kind;weight_kg;in_hand\nEgg;sinker;0,028;no\n"))
	assert.ErrorContains(t, err, `line 2: sinker "Egg": needs its pattern`)
	assert.Nil(t, got)
	got, err = Read([]byte("name;kind;weight_kg;pattern;in_hand\nEgg;Sinker;0,028;egg;no\n\nHead;head;0,007;;\n"))
	require.NoError(t, err)
	assert.Equal(t, []kit.Item{{Kind: kit.Sinker, Name: "Egg", WeightKg: 0.028, Pattern: "egg"},
		{Kind: kit.Head, Name: "Head", WeightKg: 0.007, InHand: true}}, got)
	for text, want := range map[string]string{
		"name,weight_kg\nx,1\n":                     "kind and name",
		"kind,name,colour\nlure,x,red\n":            "column colour: unknown column",
		"kind,name,weight_kg\nhead,x,heavy\n":       `line 2, column weight_kg: expected a number, not "heavy"`,
		"kind,name,weight_kg\nhead,x,77\n":          "line 2: head \"x\": weight must be between 0 and 5 kg",
		"kind,name,in_hand\nhead,x,perhaps\n":       "expected yes or no",
		"kind,name,count\nhead,x,1.5\n":             "expected a whole number",
		"kind,name\nanchor,x\n":                     `unknown kind "anchor"`,
		"kind,name,size,pattern\nhook,x,3/0,bent\n": `unknown pattern "bent"`,
	} {
		_, err := Read([]byte(text))
		assert.ErrorContains(t, err, want, text)
	}
}

func FuzzRead(f *testing.F) {
	raw, err := Write(kit.Templates(), quantity.US)
	require.NoError(f, err)
	f.Add(raw)
	f.Add([]byte("name;kind;weight_kg\nEgg;sinker;0,028\n"))
	f.Fuzz(func(t *testing.T, raw []byte) {
		list, err := Read(raw)
		if err != nil {
			return
		}
		again, err := Write(list, quantity.US)
		require.NoError(t, err)
		back, err := Read(again)
		require.NoError(t, err)
		require.Equal(t, len(list), len(back))
	})
}

func TestFormulasAreDefusedAndComeBack(t *testing.T) {
	list := []kit.Item{{Kind: kit.Bait, Name: "=1+1", Offering: "cut-mullet", InHand: true},
		{Kind: kit.Bait, Name: "-x", Offering: "cut-mullet", InHand: true},
		{Kind: kit.Bait, Name: "'@y", Offering: "cut-mullet", InHand: true}}
	raw, err := Write(list, quantity.Metric)
	require.NoError(t, err)
	for _, cell := range []string{"'=1+1", "'-x", "''@y"} {
		assert.Contains(t, string(raw), ","+cell+",")
	}
	again, err := Read(raw)
	require.NoError(t, err)
	assert.Equal(t, list, again)
}
